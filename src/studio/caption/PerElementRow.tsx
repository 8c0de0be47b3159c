// Per element: the matches as a row of dots; a colour, text, picture or amount can be set for one, or read from it.
import { Box, Flex, chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { expandEffect, filledIn } from '../../core/effect/kinds'
import { textOfString, writeOverride } from '../../core/export/override-value'
import type { Effect, Override } from '../../core/site/site'
import type { Match } from '../../worker/protocol'
import { notify } from '../commands'
import { useStudio, useView } from '../context'
import { Button, Field } from '../theme/controls'
import { WordMenu } from './ChoiceWord'
import { overChecks, swatch } from './ColourField'
import { huesFrom } from './hues'
import { useOnPage } from './on-page'
import { isColour, thingsOf, ThingField, type Thing } from './things'

const most = 30

export function PerElementRow({ effect }: { readonly effect: Effect }) {
  const studio = useStudio()
  const { matches } = useView('matches')
  const [chosen, setChosen] = useState<string | null>(null)
  const [at, setAt] = useState<number | null>(null)
  const things = thingsOf(expandEffect(effect))
  const own = matches?.select === effect.select ? matches.all : noMatches
  const told = things.find(({ id }) => id === (chosen ?? Object.keys(effect.overrides ?? {})[0]))
  // What is on one element alone may still say something else for each of several others.
  const thing = told ?? (own.length < 2 ? things.find((each) => roleOf(effect, each)) : things[0])
  const role = thing && roleOf(effect, thing)
  const others = useOnPage(role ?? '', role === undefined ? null : ({ matchesOf }) => matchesOf(role))
  const all = role === undefined ? own : (others ?? noMatches)
  if (!thing || all.length < 2) return null
  const override: Override = effect.overrides?.[thing.id] ?? { values: {} }
  const write = (next: Override) => {
    const rest = Object.fromEntries(Object.entries(effect.overrides ?? {}).filter(([id]) => id !== thing.id))
    const isEmpty = Object.keys(next.values).length === 0
    const changed = isEmpty ? rest : { ...rest, [thing.id]: next }
    studio.store.edit(
      { do: 'change', id: effect.id, to: { overrides: Object.keys(changed).length > 0 ? changed : undefined } },
      'Per element',
    )
  }
  const readFrom = (from: NonNullable<Override['from']>) => {
    const values = Object.fromEntries(
      all.flatMap((match, index) => {
        const text = readValue(from, match, matches?.grounds[index] ?? '')
        const value = text === '' ? undefined : writeOverride(thing.of, text, thing.unit, isColour)
        return value === undefined ? [] : [[match.select, value]]
      }),
    )
    if (Object.keys(values).length === 0) return notify(studio, 'None of them has such a value there.')
    write({ from, values: { ...values } })
  }
  const match = at === null ? undefined : all[at]
  return (
    <Flex align="center" gap="8px" minHeight="30px" fontSize="14px" wrap="wrap" role="group" aria-label="Per element">
      <Box color="soft" flex="none">
        Per element
      </Box>
      <WordMenu
        label="What each has of its own"
        words={thing.words}
        options={things.map(({ id, words }) => ({ value: id, words, isCurrent: id === thing.id }))}
        onTouch={() => undefined}
        onChange={setChosen}
      />
      <Flex gap="3px" wrap="wrap">
        {all.slice(0, most).map((each, index) => (
          <Dot
            key={each.select}
            match={each}
            index={index}
            thing={thing}
            value={override.values[each.select]}
            isChosen={at === index}
            onChoose={() => setAt(at === index ? null : index)}
          />
        ))}
        {all.length > most && <Box color="soft">and {all.length - most} more</Box>}
      </Flex>
      {match && (
        <ThingField
          key={match.select + thing.id}
          label={`Per element: ${thing.words}`}
          thing={thing}
          value={override.values[match.select]}
          onValue={(value) => {
            const others = Object.fromEntries(Object.entries(override.values).filter(([select]) => select !== match.select))
            write({ ...override, values: value === undefined ? others : { ...others, [match.select]: value } })
          }}
        />
      )}
      <ReadFrom thing={thing} onRead={readFrom} />
      {thing.of === 'colour' && (
        <Button
          variant="quiet"
          minHeight="25px"
          fontSize="13px"
          title="From the colour of all, round the circle of hues"
          onClick={() => {
            const hues = huesFrom(thing.value, all.length)
            write({ values: Object.fromEntries(all.flatMap(({ select }, i) => (hues[i] === undefined ? [] : [[select, hues[i]]]))) })
          }}
        >
          Spread hues
        </Button>
      )}
      {Object.keys(override.values).length > 0 && (
        <Button variant="quiet" minHeight="25px" fontSize="13px" onClick={() => write({ values: {} })}>
          Reset
        </Button>
      )}
    </Flex>
  )
}

const noMatches: readonly Match[] = []

/** The selector of the elements that a text is of, where that is those of a role: what a cursor says over each of them. */
const roleOf = (effect: Effect, { id, of }: Thing): string | undefined =>
  of === 'text' ? Object.entries(filledIn(effect)).find(([role]) => id.startsWith(`${role}-`))?.[1] : undefined

/** What a match shows of such a value: its ground, its words, its picture, an attribute. */
function readValue(from: NonNullable<Override['from']>, { words, picture, attributes }: Match, ground: string): string {
  if (typeof from === 'object') return attributes[from.attribute.toLowerCase()] ?? ''
  return { background: ground, text: words, picture }[from]
}

interface DotProps {
  readonly match: Match
  readonly index: number
  readonly thing: Thing
  readonly value: string | undefined
  readonly isChosen: boolean
  readonly onChoose: () => void
}

function Dot({ match, index, thing, value, isChosen, onChoose }: DotProps) {
  const { link } = useStudio()
  const shown = value ?? thing.value
  return (
    <chakra.button
      type="button"
      aria-pressed={isChosen}
      aria-label={`${index + 1}, ${match.words.slice(0, 30) || match.select}: ${value === undefined ? 'like the others' : textOfString(value)}`}
      title={match.words.slice(0, 60) || match.select}
      onClick={onChoose}
      onMouseEnter={() => link.say({ type: 'outline', select: match.select })}
      onMouseLeave={() => link.say({ type: 'outline', select: null })}
      width="24px"
      height="24px"
      borderRadius="12px"
      border="1px solid"
      borderColor={isChosen ? 'ink' : 'edge'}
      outline={isChosen ? '2px solid var(--gm-madder)' : undefined}
      opacity={value === undefined ? 0.5 : 1}
      style={thing.of === 'colour' ? swatch(shown) : thing.of === 'gradient' ? overChecks(shown) : undefined}
      background="ground"
      color="ink"
      fontSize="11px"
      cursor="pointer"
      _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '2px' }}
    >
      {thing.of === 'colour' || thing.of === 'gradient' ? '' : thing.of === 'amount' ? parseFloat(shown) : index + 1}
    </chakra.button>
  )
}

function ReadFrom({ thing, onRead }: { readonly thing: Thing; readonly onRead: (from: NonNullable<Override['from']>) => void }) {
  const [attribute, setAttribute] = useState<string | null>(null)
  const options = [
    ...(thing.of === 'colour' ? [{ value: 'background', words: 'its background' }] : []),
    ...(thing.of === 'text' ? [{ value: 'text', words: 'its text' }] : []),
    ...(thing.of === 'picture' ? [{ value: 'picture', words: 'its picture' }] : []),
    { value: 'attribute', words: 'an attribute …' },
  ]
  if (attribute !== null) {
    return (
      <chakra.form
        display="flex"
        gap="5px"
        onSubmit={(event) => {
          event.preventDefault()
          setAttribute(null)
          if (/^[a-z][a-z0-9-]{0,60}$/i.test(attribute.trim())) onRead({ attribute: attribute.trim() })
        }}
      >
        <Field
          aria-label="Name of the attribute"
          autoFocus
          value={attribute}
          placeholder="data-colour"
          width="120px"
          fontFamily="mono"
          fontSize="12px"
          onChange={(event) => setAttribute(event.target.value)}
          onKeyDown={(event) => event.stopPropagation()}
        />
        <Button type="submit" minHeight="26px" fontSize="13px">
          Read
        </Button>
      </chakra.form>
    )
  }
  return (
    <WordMenu
      label="Read it from each"
      words="from …"
      options={options.map((each) => ({ ...each, isCurrent: false }))}
      onTouch={() => undefined}
      onChange={(value) => (value === 'attribute' ? setAttribute('') : onRead(value as 'background'))}
    />
  )
}
