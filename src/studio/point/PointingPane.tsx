// While pointing: the ladder of what lies under the pointer, what a choice would mean, and what can be done with it.
import { Box, Flex, Grid } from '@chakra-ui/react'
import { findKind } from '../../core/effect/kinds'
import type { Role } from '../../core/rig/rig'
import type { Effect } from '../../core/site/site'
import { fillRole, stopPointing } from './commands'
import { useSite, useStudio, useView } from '../context'
import { MarkupActions } from '../markup/MarkupActions'
import type { Goal } from '../store/view-store'
import { Button } from '../theme/controls'
import { PresetList } from '../presets/PresetList'
import { Choices } from './Choices'
import { Ladder } from './Ladder'
import { Recipes } from './Recipes'

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
    <Grid templateColumns="270px 390px minmax(0, 1fr)" height="100%">
      <Ladder />
      <Choices />
      <WhatToDo />
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
  const role = goal.for === 'role' ? roleOf(effects, goal)?.title : undefined
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

/** The role that is pointed for. */
function roleOf(effects: readonly Effect[], { effect: id, role }: Extract<Goal, { for: 'role' }>): Role | undefined {
  const effect = effects.find((each) => each.id === id)
  return findKind(effect?.kind ?? '')
    ?.roles(effect?.settings)
    .find((each) => each.id === role)
}

/** What can be done with what is chosen, by what was pointed for. */
function WhatToDo() {
  const studio = useStudio()
  const { pointing } = useView('pointing')
  const { goal, tab } = pointing
  const { effects } = useSite()
  if (goal.for === 'role') {
    const effect = effects.find(({ id }) => id === goal.effect)
    const role = roleOf(effects, goal)
    return (
      <Flex as="section" aria-label="Role" borderLeft="1px solid" borderColor="hairline" direction="column" gap="10px" px="18px" py="12px">
        <Box>
          {effect?.name}: these are to be the {role?.title}.
        </Box>
        <Flex gap="8px">
          <Button variant="act" onClick={() => fillRole(studio)}>
            Take these
          </Button>
          <Button onClick={() => stopPointing(studio)}>Cancel (Esc)</Button>
        </Flex>
      </Flex>
    )
  }
  const show = (to: typeof tab) => studio.view.update({ pointing: { ...pointing, tab: to }, trial: null })
  return (
    <Flex direction="column" borderLeft="1px solid" borderColor="hairline" minWidth="0" minHeight="0">
      <Flex px="12px" pt="7px" gap="6px" align="center" role="group" aria-label="What to do with it">
        <Button
          variant="quiet"
          minHeight="25px"
          fontSize="14px"
          fontWeight="600"
          aria-pressed={tab === 'effects'}
          onClick={() => show('effects')}
        >
          What the pointer does to it
        </Button>
        {goal.for === 'new' && (
          <Button
            variant="quiet"
            minHeight="25px"
            fontSize="14px"
            fontWeight="600"
            aria-pressed={tab === 'presets'}
            onClick={() => show('presets')}
          >
            Your presets
          </Button>
        )}
        <Button
          variant="quiet"
          minHeight="25px"
          fontSize="14px"
          fontWeight="600"
          aria-pressed={tab === 'markup'}
          onClick={() => show('markup')}
        >
          Markup
        </Button>
        <Box flex="1" />
        <Button variant="quiet" minHeight="24px" fontSize="13px" onClick={() => stopPointing(studio)}>
          Cancel (Esc)
        </Button>
      </Flex>
      {goal.for !== 'new' || tab === 'markup' ? <MarkupActions /> : tab === 'presets' ? <PresetList /> : <Recipes />}
    </Flex>
  )
}
