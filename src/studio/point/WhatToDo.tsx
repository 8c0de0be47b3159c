// What can be done with what is chosen: effects, presets, markup; or, by what was pointed for, filling a role and moving an element.
import { Box, Flex } from '@chakra-ui/react'
import { X } from 'lucide-react'
import { fillRole, stopPointing } from './commands'
import { useSite, useStudio, useView } from '../context'
import { MarkupActions } from '../markup/MarkupActions'
import { PresetList } from '../presets/PresetList'
import { Button } from '../theme/controls'
import { Recipes } from './Recipes'
import { roleOf } from './roles'

const tabs = [
  { tab: 'effects', words: 'Effects' },
  { tab: 'presets', words: 'Your presets' },
  { tab: 'markup', words: 'Markup' },
] as const

export function WhatToDo() {
  const studio = useStudio()
  const { pointing } = useView('pointing')
  const { goal, tab } = pointing
  const cancel = (
    <Button variant="quiet" px="4px" aria-label="Cancel (Esc)" title="Cancel (Esc)" onClick={() => stopPointing(studio)}>
      <X size={16} aria-hidden="true" />
    </Button>
  )
  return (
    <Flex
      as="aside"
      aria-label="What to do with it"
      direction="column"
      flex="1 1 0"
      minHeight="0"
      background="sheet"
      borderLeft="1px solid"
      borderColor="edge"
    >
      {goal.for === 'new' ? (
        <>
          <Flex px="8px" py="5px" gap="2px" align="center" borderBottom="1px solid" borderColor="hairline">
            <Flex role="group" aria-label="What to do with it" gap="2px" flex="1">
              {tabs.map(({ tab: each, words }) => (
                <Button
                  key={each}
                  variant="quiet"
                  fontSize="14px"
                  fontWeight="600"
                  aria-pressed={tab === each}
                  onClick={() => studio.view.update({ pointing: { ...pointing, tab: each }, trial: null })}
                >
                  {words}
                </Button>
              ))}
            </Flex>
            {cancel}
          </Flex>
          {tab === 'markup' ? <MarkupActions /> : tab === 'presets' ? <PresetList /> : <Recipes />}
        </>
      ) : (
        <>
          <Flex px="14px" py="5px" align="center" borderBottom="1px solid" borderColor="hairline">
            <Box as="h2" fontSize="15px" fontWeight="600" flex="1">
              {goal.for === 'role' ? 'Which elements' : 'Where it goes'}
            </Box>
            {cancel}
          </Flex>
          {goal.for === 'role' ? <TakeThese effectId={goal.effect} roleId={goal.role} /> : <MarkupActions />}
        </>
      )}
    </Flex>
  )
}

/** What is chosen becomes a role of an effect. */
function TakeThese({ effectId, roleId }: { readonly effectId: string; readonly roleId: string }) {
  const studio = useStudio()
  const { effects } = useSite()
  const effect = effects.find(({ id }) => id === effectId)
  return (
    <Flex as="section" aria-label="Role" direction="column" gap="10px" px="14px" py="12px">
      <Box>
        {effect?.name}: these are to be the {roleOf(effects, effectId, roleId)?.title}.
      </Box>
      <Flex gap="8px">
        <Button variant="act" onClick={() => void fillRole(studio)}>
          Take these
        </Button>
        <Button onClick={() => stopPointing(studio)}>Cancel</Button>
      </Flex>
    </Flex>
  )
}
