// The recipes: touching one plays it on the chosen element, choosing one keeps it.
import { Box, Flex, Grid, chakra } from '@chakra-ui/react'
import { families, kinds, type AnyKind } from '../../core/effect/kinds'
import type { Recipe } from '../../core/effect/kind'
import { findRecipes } from '../../core/effect/find-recipes'
import { memo, useMemo, useRef, useState } from 'react'
import { addRecipe } from './commands'
import { useStudio, useView } from '../context'
import { Button, Field } from '../theme/controls'
import { RecipeSample } from './RecipeSample'

export function Recipes() {
  const studio = useStudio()
  const { trial } = useView('trial')
  const list = useRef<HTMLDivElement>(null)
  const [search, setSearch] = useState('')
  const found = useMemo(() => findRecipes(kinds, search), [search])
  const attempt = (name: string | null) => studio.view.update({ trial: name })
  return (
    <Flex as="section" aria-label="Recipes" px="14px" py="8px" direction="column" minWidth="0" minHeight="0" flex="1">
      <Flex fontSize="13px" color="soft" mb="4px" align="center" gap="2px">
        <Box flex="1" minWidth="0" truncate>
          Touch to try, click to keep.
        </Box>
        <Field
          type="search"
          aria-label="Find a recipe"
          placeholder="Find: parallax, flashlight …"
          value={search}
          onChange={({ currentTarget }) => setSearch(currentTarget.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Escape' || search === '') return
            event.stopPropagation()
            setSearch('')
          }}
          width="190px"
          minHeight="24px"
          mr="4px"
          fontSize="13px"
          _placeholder={{ color: 'soft', opacity: 1 }}
        />
        {families.map((family) => (
          <Button
            key={family.title}
            variant="quiet"
            minHeight="24px"
            fontSize="13px"
            px="7px"
            onClick={() => list.current?.querySelector(`[data-family="${family.title}"]`)?.scrollIntoView({ block: 'start' })}
          >
            {family.title}
          </Button>
        ))}
      </Flex>
      <Grid
        ref={list}
        templateColumns="repeat(auto-fill, minmax(180px, 1fr))"
        gridAutoRows="max-content"
        gap="7px"
        minHeight="0"
        flex="1"
        overflowY="auto"
        alignContent="start"
        onMouseLeave={() => attempt(null)}
      >
        {found.length === 0 && (
          <Box gridColumn="1 / -1" fontSize="14px" color="soft" py="10px">
            No recipe is called “{search.trim()}”. Try what it looks like: light, depth, a picture.
          </Box>
        )}
        {families
          .flatMap((family) => found.filter(({ kind }) => kind.family === family))
          .flatMap(({ kind, recipes }) => [
            <Box
              as="h3"
              key={kind.id}
              data-family={kind.family.title}
              gridColumn="1 / -1"
              fontSize="13px"
              fontWeight="600"
              mt="2px"
              mb="-4px"
            >
              {kind.title}
            </Box>,
            ...recipes.map((recipe) => (
              <RecipeCard key={`${kind.id}/${recipe.id}`} kind={kind} recipe={recipe} isTried={trial === `${kind.id}/${recipe.id}`} />
            )),
          ])}
      </Grid>
    </Flex>
  )
}

interface RecipeCardProps {
  readonly kind: AnyKind
  readonly recipe: Recipe<unknown>
  readonly isTried: boolean
}

/** One recipe; what is touched is drawn afresh alone, so that it plays at once. */
const RecipeCard = memo(function RecipeCard({ kind, recipe, isTried }: RecipeCardProps) {
  const studio = useStudio()
  const attempt = (name: string | null) => studio.view.update({ trial: name })
  const name = `${kind.id}/${recipe.id}`
  return (
    <chakra.button
      type="button"
      onMouseEnter={() => attempt(name)}
      onFocus={() => attempt(name)}
      onBlur={() => attempt(null)}
      onClick={() => addRecipe(studio, kind.id, recipe.id)}
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
  )
})
