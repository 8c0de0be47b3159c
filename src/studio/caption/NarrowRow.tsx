// In narrow windows: which numbers and colours are otherwise there, and up to which width.
import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { readSum } from '../../core/effect/arithmetic'
import { expandEffect } from '../../core/effect/kinds'
import type { Effect, Narrow } from '../../core/site/site'
import { useStudio } from '../context'
import { Button } from '../theme/controls'
import { NamedField } from '../theme/NamedField'
import { WordMenu } from './ChoiceWord'
import { ThingField, thingsOf } from './things'

const fromTheStart: Narrow = { upToPx: 600, values: {} }
const [least, greatest] = [200, 4000]

export function NarrowRow({ effect }: { readonly effect: Effect }) {
  const { store } = useStudio()
  const [chosen, setChosen] = useState<string | null>(null)
  const { narrow = fromTheStart } = effect
  const all = thingsOf(expandEffect(effect))
  // Numbers first: they are what is most often otherwise.
  const things = [...all.filter(({ of }) => of === 'amount'), ...all.filter(({ of }) => of === 'colour' || of === 'gradient')]
  const set = Object.keys(narrow.values)
  const thing = things.find(({ id }) => id === (chosen ?? set[0])) ?? things[0]
  if (!thing) return null
  const write = (to: Narrow) =>
    store.edit({ do: 'change', id: effect.id, to: { narrow: Object.keys(to.values).length > 0 ? to : undefined } }, 'In narrow windows')
  const put = (id: string, value: string | undefined) => {
    const others = Object.fromEntries(Object.entries(narrow.values).filter(([each]) => each !== id))
    write({ ...narrow, values: value === undefined ? others : { ...others, [id]: value } })
  }
  return (
    <Flex align="center" gap="8px" minHeight="34px" fontSize="14px" wrap="wrap" role="group" aria-label="In narrow windows">
      <Box color="soft" flex="none">
        In windows up to
      </Box>
      <NamedField
        label="Up to a width of, px"
        value={`${narrow.upToPx}px`}
        width="78px"
        minHeight="26px"
        textAlign="center"
        onTake={(text) => {
          const px = readSum(text, 'px')
          if (typeof px === 'number' && px >= least && px <= greatest) write({ ...narrow, upToPx: Math.round(px) })
        }}
      />
      <WordMenu
        label="What is otherwise there"
        words={thing.words}
        options={things.map(({ id, words }) => ({
          value: id,
          words: narrow.values[id] === undefined ? words : `${words}: ${narrow.values[id] ?? ''}`,
          isCurrent: id === thing.id,
        }))}
        onTouch={() => undefined}
        onChange={setChosen}
      />
      <Box color="soft" flex="none">
        is
      </Box>
      <ThingField
        key={thing.id + (narrow.values[thing.id] ?? '')}
        label={`In narrow windows: ${thing.words}`}
        thing={thing}
        value={narrow.values[thing.id]}
        onValue={(value) => put(thing.id, value)}
      />
      {set.length > 1 && <Box color="soft">and {set.length - 1} more</Box>}
      {set.length > 0 && (
        <Button variant="quiet" minHeight="25px" fontSize="13px" onClick={() => write({ ...narrow, values: {} })}>
          As in wide ones
        </Button>
      )}
    </Flex>
  )
}
