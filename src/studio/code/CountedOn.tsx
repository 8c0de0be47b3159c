// What the script counts on: one list, each entry with what it weighs, and what is allowed for although this page needs none of it.
import { Box, chakra, Flex } from '@chakra-ui/react'
import { ChevronDown, ChevronRight } from 'lucide-react'
import type { Leaving } from '../../core/compile/facts'
import { Button } from '../theme/controls'
import { useStudio } from '../context'
import { useCosts, type ScriptCost } from './costs'
import type { AskedScript } from './script-text'

/** How each entry is told: what it is, what is so without it, and what is so where the page itself has it. */
const told: Readonly<Record<ScriptCost['what'], readonly [what: string, without: string, byPage: string]>> = {
  hasBorders: ['Borders and round corners', 'its elements have none', 'some elements have them'],
  hasPositions: ['Positions of their own', 'its elements have none', 'some elements have them'],
  hasTurns: ['Turned or scaled by the page', 'neither its elements nor what they lie in', 'some elements are, or what they lie in'],
  hasOwnStyles: [
    'Transforms, filters, shadows and pictures of their own',
    'none, or its rules tell which',
    'some elements have them in ways that its rules do not tell',
  ],
  hasInlineStyles: [
    'Such styles on the elements themselves',
    'none, and no script of this page could set any',
    'some elements have them, or scripts may set them',
  ],
  hasTransitions: [
    'Transitions of their own',
    'none, or its rules tell which',
    'some would make it lag, in ways that its rules do not tell',
  ],
  hasLateElements: ['Elements that come later', 'no script of this page makes any', 'scripts of this page may make them'],
  hasOwnCode: ['Events for the page’s own code', 'no script of this page could listen', 'scripts of this page may listen'],
  takesOff: ['Taking it all off again', 'it stays for as long as the page does', ''],
}

const weightOf = ({ isIn, bytes }: ScriptCost) => (isIn === 'no' && bytes > 0 ? `+${bytes} bytes` : `${bytes} bytes`)

export function CountedOn({
  asked,
  isOpen,
  onOpen: setOpen,
}: {
  readonly asked: AskedScript
  readonly isOpen: boolean
  readonly onOpen: (isOpen: boolean) => void
}) {
  const studio = useStudio()
  const { costs, failure } = useCosts(asked, isOpen)
  const { script = {} } = asked
  const set = (to: Leaving, words: string) => {
    const tidy = { ...script, ...to, allows: to.allows ?? script.allows }
    const kept = Object.fromEntries(
      Object.entries(tidy).filter(([, value]) => (Array.isArray(value) ? value.length > 0 : value !== undefined)),
    )
    studio.store.edit({ do: 'site', to: { script: Object.keys(kept).length > 0 ? kept : undefined } }, words)
  }
  const turn = ({ what, isIn }: ScriptCost) => {
    if (what === 'takesOff') return set({ takesOff: isIn === 'no' ? true : undefined }, told.takesOff[0])
    set({ allows: isIn === 'no' ? [...(script.allows ?? []), what] : (script.allows ?? []).filter((each) => each !== what) }, told[what][0])
  }
  const Chevron = isOpen ? ChevronDown : ChevronRight
  return (
    <Box flex="0 0 auto" borderTop="1px solid" borderColor="hairline" px="14px" py="4px">
      <Button variant="quiet" minHeight="28px" fontSize="13px" ml="-8px" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        <Chevron size={14} aria-hidden="true" /> What this script counts on
      </Button>
      {isOpen &&
        (costs ? (
          <Box as="ul" listStyleType="none" m="0" p="0 0 6px" fontSize="13px" aria-label="What this script counts on">
            {costs.map((cost) => (
              <Flex as="li" key={cost.what} align="baseline" gap="8px" py="2px">
                <chakra.label
                  display="flex"
                  gap="8px"
                  alignItems="baseline"
                  flex="1"
                  minWidth="0"
                  cursor={cost.isIn === 'page' ? 'default' : 'pointer'}
                >
                  <chakra.input
                    type="checkbox"
                    checked={cost.isIn !== 'no'}
                    disabled={cost.isIn === 'page'}
                    onChange={() => turn(cost)}
                    accentColor="var(--gm-violet)"
                    position="relative"
                    top="2px"
                  />
                  <span>
                    {told[cost.what][0]}{' '}
                    <Box as="span" color="soft">
                      {cost.isIn === 'page' ? told[cost.what][2] : cost.isIn === 'wish' ? 'allowed for' : told[cost.what][1]}
                    </Box>
                  </span>
                </chakra.label>
                <Box color="soft" whiteSpace="nowrap" fontVariantNumeric="tabular-nums">
                  {weightOf(cost)}
                </Box>
              </Flex>
            ))}
            <Flex as="li" align="baseline" py="2px">
              <chakra.label display="flex" gap="8px" alignItems="baseline" cursor="pointer">
                <chakra.input
                  type="checkbox"
                  checked={script.isModule === true}
                  onChange={() => set({ isModule: script.isModule ? undefined : true }, 'As a module')}
                  accentColor="var(--gm-violet)"
                  position="relative"
                  top="2px"
                />
                <span>
                  As a module{' '}
                  <Box as="span" color="soft">
                    {script.takesOff ? 'it exports takeOff()' : 'instead of a classic script'}
                  </Box>
                </span>
              </chakra.label>
            </Flex>
          </Box>
        ) : (
          <Box fontSize="13px" color="soft" py="4px" aria-live="polite">
            {failure ?? 'Weighing …'}
          </Box>
        ))}
    </Box>
  )
}
