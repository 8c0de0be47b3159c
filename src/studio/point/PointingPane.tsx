// While pointing: the ladder of what lies under the pointer, and beside it the recipes for what is chosen.
import { Box, Flex, Grid } from '@chakra-ui/react'
import { stopPointing } from '../commands'
import { useStudio, useView } from '../context'
import type { Rung } from '../../stage/protocol'
import { Recipes } from './Recipes'
import { Button } from '../theme/controls'

export function PointingPane() {
  const { pointing } = useView()
  return (
    <Grid templateColumns="minmax(380px, 5fr) 7fr" height="100%">
      <Ladder />
      {pointing.stage === 'choosing' ? <Recipes /> : <LookingHint />}
    </Grid>
  )
}

function LookingHint() {
  const studio = useStudio()
  return (
    <Flex borderLeft="1px solid" borderColor="hairline" align="center" justify="center" gap="14px" color="soft">
      <span>Click what should answer the pointer.</span>
      <Button onClick={() => stopPointing(studio)}>Stop pointing (Esc)</Button>
    </Flex>
  )
}

function Ladder() {
  const { pointing } = useView()
  return (
    <Box as="section" aria-label="Under the pointer" px="14px" py="8px" overflowY="auto" minHeight="0">
      <Box as="h2" fontSize="14px" fontWeight="600" mb="4px">Under the pointer</Box>
      {pointing.rungs.length === 0 && <Box color="soft" fontSize="14px">Nothing yet. Move over the page.</Box>}
      <ol>
        {pointing.rungs.map((rung, index) => (
          <RungRow key={`${index}-${rung.one}`} rung={rung} index={index} />
        ))}
      </ol>
    </Box>
  )
}

function RungRow({ rung, index }: { readonly rung: Rung; readonly index: number }) {
  const { view } = useStudio()
  const { pointing } = useView()
  const isPicked = pointing.pick === index
  const choose = (scope: 'one' | 'likes') => view.update({ pointing: { ...pointing, pick: index, scope } })
  const canChoose = pointing.stage === 'choosing'
  return (
    <Flex as="li" align="center" gap="8px" minHeight="27px" borderLeft="2px solid" borderColor={isPicked ? 'madder' : 'hairline'} pl="10px">
      <Box flex="1" minWidth="0" truncate fontSize="14px" fontWeight={isPicked ? '600' : undefined}>
        {rung.noun} <Box as="span" color="soft" fontFamily="mono" fontSize="12px" fontWeight="400">{rung.element}</Box>
      </Box>
      <Button look="quiet" minHeight="24px" fontSize="13px" disabled={!canChoose} aria-pressed={canChoose && isPicked && pointing.scope === 'one'} onClick={() => choose('one')}>this one</Button>
      {rung.likes && (
        <Button look="quiet" minHeight="24px" fontSize="13px" disabled={!canChoose} aria-pressed={canChoose && isPicked && pointing.scope === 'likes'} onClick={() => choose('likes')} title={rung.likes.select}>
          all {rung.likes.count}
        </Button>
      )}
    </Flex>
  )
}
