// While posing by hand: what to do, and, off the midlines, because of what the numbers change.
import { Box, Flex } from '@chakra-ui/react'
import type { Because } from '../../core/effect/pose'
import { poseBecause } from '../frame/holding'
import { useStudio, useView } from '../context'
import { Button } from '../theme/controls'

const reasons: readonly { readonly because: Because; readonly words: string }[] = [
  { because: 'across', words: 'horizontal' },
  { because: 'up-down', words: 'vertical' },
  { because: 'both', words: 'both' },
]

export function PosingRow() {
  const studio = useStudio()
  const { mode: posing } = useView('mode')
  if (posing.is !== 'posing') return null
  return (
    <Flex pl="30px" gap="6px" align="center" fontSize="14px" role="group" aria-label="Posing by hand">
      {posing.asks ? (
        <>
          <Box>Adjust</Box>
          {reasons.map(({ because, words }) => (
            <Button
              key={because}
              minHeight="25px"
              fontSize="13px"
              aria-pressed={posing.because === because}
              onClick={() => poseBecause(studio, because)}
            >
              {words}
            </Button>
          ))}
        </>
      ) : (
        <Box color="soft">The pointer is fastened. Drag the element on the page to where it should be there.</Box>
      )}
    </Flex>
  )
}
