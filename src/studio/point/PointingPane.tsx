// While pointing: the ladder of what lies under the pointer, and what a choice would mean.
import { Box, Flex, Grid } from '@chakra-ui/react'
import { stopPointing } from './commands'
import { useSite, useStudio, useView } from '../context'
import { Button } from '../theme/controls'
import { Choices } from './Choices'
import { Ladder } from './Ladder'
import { roleOf } from './roles'

export function PointingPane() {
  const { pointing } = useView('pointing')
  if (pointing.stage !== 'choosing') {
    return (
      <Grid templateColumns="minmax(380px, 5fr) 7fr" height="100%">
        <Ladder />
        <LookingHint />
      </Grid>
    )
  }
  return (
    <Grid templateColumns="minmax(270px, 3fr) minmax(0, 7fr)" height="100%">
      <Ladder />
      <Choices />
    </Grid>
  )
}

const hints = {
  new: 'Click what should respond to the pointer, or what you want to change.',
  role: 'Click what should be the',
  move: 'Click where it should go.',
} as const

function LookingHint() {
  const studio = useStudio()
  const { pointing } = useView('pointing')
  const { effects } = useSite()
  const { goal, also } = pointing
  const role = goal.for === 'role' ? roleOf(effects, goal.effect, goal.role)?.title : undefined
  return (
    <Flex
      borderLeft="1px solid"
      borderColor="hairline"
      direction="column"
      align="center"
      justify="center"
      gap="10px"
      color="soft"
      px="20px"
      textAlign="center"
    >
      <Box>
        {also.length > 0
          ? `Click the next kind; ${also.length} chosen so far: ${also.join(', ')}`
          : `${hints[goal.for]}${role ? ` ${role}.` : ''}`}
      </Box>
      <Box fontSize="13px">
        By key: arrows walk the page’s tree (up is what is around), Enter chooses. While B is held, what is hidden is seen.
      </Box>
      <Button onClick={() => stopPointing(studio)}>Stop pointing (Esc)</Button>
    </Flex>
  )
}
