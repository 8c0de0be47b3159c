// The recipes, in a browser of their own: what suits the chosen element first, then family by family. Touching one plays it on the chosen
// element, choosing one keeps it. All of it goes by keyboard: typing searches, arrows go from one to the next.
import { Box, Flex, Grid, chakra } from '@chakra-ui/react'
import { memo, useEffect, useMemo, useRef, useState, type ComponentProps, type KeyboardEvent, type ReactNode } from 'react'
import { families, findKind, kinds, type AnyKind } from '../../core/effect/kinds'
import type { Recipe } from '../../core/effect/kind'
import { findRecipes, type FoundRecipes } from '../../core/effect/find-recipes'
import { addRecipe } from './commands'
import { stepIn } from './step-in'
import { useStudio, useView } from '../context'
import { listPresets, putPreset, type KeptPreset } from '../presets/commands'
import { Button } from '../theme/controls'
import { SearchField } from '../theme/SearchField'
import { RecipeSample } from './RecipeSample'

/** Recipes under one heading; without one, where they are ordered by a search. */
interface Part {
  readonly title: string
  readonly found: readonly FoundRecipes[]
}

export function Recipes() {
  const studio = useStudio()
  const { pointing } = useView('pointing')
  const list = useRef<HTMLDivElement>(null)
  const field = useRef<HTMLInputElement>(null)
  const [search, setSearch] = useState('')
  const { thing = 'box', noun = 'element' } = pointing.rungs[pointing.pick] ?? {}
  const isSearching = search.trim() !== ''
  const parts = useMemo((): readonly Part[] => {
    if (isSearching) return [{ title: '', found: findRecipes(kinds, search) }]
    const suiting = kinds.filter(({ suits }) => suits.includes(thing)).sort((a, b) => a.suits.indexOf(thing) - b.suits.indexOf(thing))
    const rest = kinds.filter((kind) => !suiting.includes(kind))
    return [
      { title: `For this ${noun}`, found: findRecipes(suiting, '') },
      ...families.map((family) => ({
        title: family.title,
        found: findRecipes(
          rest.filter((kind) => kind.family === family),
          '',
        ),
      })),
    ].filter(({ found }) => found.length > 0)
  }, [isSearching, search, thing, noun])
  useEffect(() => field.current?.focus({ preventScroll: true }), [])
  const goTo = (title: string) => list.current?.querySelector(`[data-part="${title}"]`)?.scrollIntoView({ block: 'start' })
  const onKeys = (event: KeyboardEvent<HTMLDivElement>) => {
    const { key, ctrlKey, metaKey, altKey, currentTarget } = event
    if (ctrlKey || metaKey || altKey) return
    if (key.length === 1 && key !== ' ') {
      // Whoever types searches, wherever the focus is.
      event.stopPropagation()
      field.current?.focus({ preventScroll: true })
      return
    }
    if (stepIn(currentTarget, key, () => field.current?.focus())) event.preventDefault()
  }
  return (
    <Flex as="section" aria-label="Recipes" direction="column" minWidth="0" minHeight="0" flex="1">
      <Box px="12px" pt="8px">
        <SearchField
          ref={field}
          label="Find a recipe"
          placeholder="Find: parallax, flashlight …"
          value={search}
          data-takes-letters
          onSearch={setSearch}
          onKey={(event) => {
            if (event.key === 'ArrowDown' && list.current && stepIn(list.current, 'Home')) event.preventDefault()
          }}
          width="100%"
          minHeight="29px"
        />
        {!isSearching && (
          <Flex wrap="wrap" gap="1px" mt="3px" ml="-6px" role="group" aria-label="Go to a family">
            {parts.map(({ title }) => (
              <Button key={title} variant="quiet" minHeight="24px" fontSize="13px" px="6px" color="soft" onClick={() => goTo(title)}>
                {title}
              </Button>
            ))}
          </Flex>
        )}
      </Box>
      <Box
        ref={list}
        px="12px"
        pb="10px"
        minHeight="0"
        flex="1"
        overflowY="auto"
        onMouseLeave={() => studio.view.update({ trial: null })}
        onKeyDown={onKeys}
      >
        {!isSearching && <Lately />}
        <Presets search={search.trim()} />
        {parts.every(({ found }) => found.length === 0) && (
          <Box fontSize="14px" color="soft" py="10px">
            No recipe is called “{search.trim()}”. Try what it looks like: light, depth, a picture.
          </Box>
        )}
        {parts.map(({ title, found }) => (
          <Box key={title} data-part={title}>
            {title !== '' && (
              <Box as="h2" fontSize="13px" fontWeight="600" color="soft" pt="10px" pb="1px">
                {title}
              </Box>
            )}
            {found.map(({ kind, recipes }) => (
              <KindRecipes key={kind.id} kind={kind} recipes={recipes} />
            ))}
          </Box>
        ))}
      </Box>
    </Flex>
  )
}

/** What was used lately, to be used again. */
function Lately() {
  const studio = useStudio()
  const { lately } = useView('lately')
  const recipes = lately.flatMap((name) => {
    const [kindId = '', id] = name.split('/')
    const recipe = findKind(kindId)?.recipes.find((each) => each.id === id)
    return recipe ? [{ name, kindId, recipe }] : []
  })
  const attempt = (name: string | null) => studio.view.update({ trial: name })
  return (
    <Chips title="Used lately">
      {recipes.map(({ name, kindId, recipe }) => (
        <Chip
          key={name}
          aria-label={`Used lately: ${recipe.title}`}
          onMouseEnter={() => attempt(name)}
          onFocus={() => attempt(name)}
          onBlur={() => attempt(null)}
          onClick={() => void addRecipe(studio, kindId, recipe.id)}
        >
          {recipe.title}
        </Chip>
      ))}
    </Chips>
  )
}

/** A line of short names under a heading; nothing where there are none. */
function Chips({ title, children }: { readonly title: string; readonly children: readonly ReactNode[] }) {
  if (children.length === 0) return null
  return (
    <Box as="section" aria-label={title} pt="6px">
      <Box as="h2" fontSize="13px" fontWeight="600" color="soft" mb="3px">
        {title}
      </Box>
      <Flex wrap="wrap" gap="4px">
        {children}
      </Flex>
    </Box>
  )
}

const Chip = ({ children, ...rest }: ComponentProps<typeof Button>) => (
  <Button data-step minHeight="25px" px="8px" fontSize="13px" maxWidth="100%" {...rest}>
    <Box as="span" truncate>
      {children}
    </Box>
  </Button>
)

/** The designer's own presets, by name; what else can be done with them stands under their tab. */
function Presets({ search }: { readonly search: string }) {
  const studio = useStudio()
  const [presets, setPresets] = useState<readonly KeptPreset[]>([])
  useEffect(() => {
    let isCurrent = true
    // Without them the recipes are there all the same; their own tab says why.
    listPresets().then(
      (all) => isCurrent && setPresets(all),
      () => undefined,
    )
    return () => {
      isCurrent = false
    }
  }, [])
  const found = presets.filter(({ preset }) => preset.name.toLowerCase().includes(search.toLowerCase())).slice(0, 8)
  return (
    <Chips title="Your presets">
      {found.map(({ id, preset }) => (
        <Chip key={id} aria-label={`Preset: ${preset.name}`} title={preset.name} onClick={() => putPreset(studio, preset)}>
          {preset.name}
        </Chip>
      ))}
    </Chips>
  )
}

/** A kind by its trade name, with what it does, and its recipes. */
const KindRecipes = memo(function KindRecipes({ kind, recipes }: { readonly kind: AnyKind; readonly recipes: FoundRecipes['recipes'] }) {
  const { trial } = useView('trial')
  return (
    <Box as="section" aria-label={kind.title} pt="8px">
      <Box as="h3" fontSize="15px" fontWeight="600" lineHeight="1.2">
        {kind.title}
      </Box>
      <Box fontSize="13px" color="soft" lineHeight="1.3" mb="5px">
        {kind.does}
      </Box>
      <Grid
        role="grid"
        aria-label={`Recipes of ${kind.title}`}
        templateColumns="repeat(auto-fill, minmax(210px, 1fr))"
        gap="6px"
        alignContent="start"
      >
        {recipes.map((recipe, index) => (
          <RecipeCard key={recipe.id} kind={kind} recipe={recipe} isTried={trial === `${kind.id}/${recipe.id}`} isStop={index === 0} />
        ))}
      </Grid>
    </Box>
  )
})

interface RecipeCardProps {
  readonly kind: AnyKind
  readonly recipe: Recipe<unknown>
  readonly isTried: boolean
  /** Whether Tab stops at it; arrows go on from there. */
  readonly isStop: boolean
}

/** One recipe; what is touched is drawn afresh alone, so that it plays at once. */
const RecipeCard = memo(function RecipeCard({ kind, recipe, isTried, isStop }: RecipeCardProps) {
  const studio = useStudio()
  const attempt = (name: string | null) => studio.view.update({ trial: name })
  const name = `${kind.id}/${recipe.id}`
  return (
    <Box role="row" minWidth="0" display="grid">
      <Box role="gridcell" minWidth="0" display="grid">
        <chakra.button
          type="button"
          data-step
          tabIndex={isStop ? 0 : -1}
          onMouseEnter={() => attempt(name)}
          onFocus={() => attempt(name)}
          onBlur={() => attempt(null)}
          onClick={() => void addRecipe(studio, kind.id, recipe.id)}
          minWidth="0"
          minHeight="80px"
          display="grid"
          gridTemplateColumns="58px 1fr"
          gap="9px"
          alignItems="center"
          textAlign="left"
          px="6px"
          py="1px"
          border="1px solid"
          borderColor={isTried ? 'madder' : 'edge'}
          borderRadius="4px"
          background="ground"
          color="ink"
          cursor="pointer"
          _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '2px' }}
        >
          <RecipeSample kind={kind} recipe={recipe} moving={isTried} />
          <Box minWidth="0">
            <Box fontWeight="600" fontSize="14.5px" lineHeight="1.2">
              {recipe.title}
            </Box>
            <Box fontSize="12.5px" lineHeight="1.25" color="soft" mt="2px">
              {recipe.need}
            </Box>
          </Box>
        </chakra.button>
      </Box>
    </Box>
  )
})
