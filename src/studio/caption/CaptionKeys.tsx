// The small row under a caption: what can be done with the figure and with the pointer, and the rest of the rows.
import { Box, Flex } from '@chakra-ui/react'
import { ArrowUpDown, ChevronDown, ChevronUp, Focus, Footprints, Hand, LogOut, Move, Power, Ruler, SplitSquareHorizontal } from 'lucide-react'
import type { ReactNode } from 'react'
import { findKind } from '../../core/effect/kinds'
import type { Look } from '../../core/look/look'
import { toggleDrawer, toggleOff, turnDirection } from '../commands'
import { holdLook, leavePage, toggleFastened, toggleGap, togglePosing, toggleWalk } from '../frame/holding'
import type { Effect } from '../../core/site/site'
import { useStudio, useView } from '../context'
import { keyNames } from '../keys'
import { Button } from '../theme/controls'
import { ActionMenu } from './ActionMenu'

interface CaptionKeysProps {
  readonly effect: Effect
  readonly open: boolean
  readonly onOpen: (open: boolean) => void
  /** What there is to know of the word in hand. */
  readonly children: ReactNode
}

const looks: readonly { readonly look: Look; readonly words: string }[] = [
  { look: 'off', words: `away (${keyNames.holdOff})` },
  { look: 'on', words: `on it (${keyNames.holdOn})` },
  { look: 'pressed', words: `pressed (${keyNames.holdPressed})` },
  { look: 'still', words: `standing still (${keyNames.holdStill})` },
]

export function CaptionKeys({ effect, open, onOpen, children }: CaptionKeysProps) {
  const studio = useStudio()
  const { walking, onlyThis, held, fastened, posing, gap, drawer } = useView('walking', 'onlyThis', 'held', 'fastened', 'posing', 'gap', 'drawer')
  const small = { look: 'quiet', minHeight: '25px', fontSize: '13px', color: 'soft', px: '6px' } as const
  const icon = { size: 14, 'aria-hidden': true } as const
  return (
    <Flex gap="2px" pl="23px" mt="auto" flex="none" wrap="wrap" align="center">
      {findKind(effect.kind)?.turned(effect.settings) !== effect.settings && <Button {...small} onClick={() => turnDirection(studio)} title={`Reverse the direction (${keyNames.turn})`}><ArrowUpDown {...icon} /> Reverse direction</Button>}
      <Button {...small} aria-pressed={walking} onClick={() => toggleWalk(studio)} title={`A stand-in pointer plays a path over it (${keyNames.walk})`}><Footprints {...icon} /> Play a path</Button>
      <ActionMenu label="Hold state" isOn={held !== null || fastened} options={[...looks.map(({ look, words }) => ({ value: look, words, isCurrent: held === look })), { value: 'fasten', words: `fastened where it stands (${keyNames.fasten})`, isCurrent: fastened }]}
        onChoose={(value) => (value === 'fasten' ? toggleFastened(studio) : holdLook(studio, value as Look))}><Hand {...icon} /> Hold state</ActionMenu>
      <Button {...small} onClick={() => leavePage(studio)} title={`The pointer leaves the page for real (${keyNames.leave})`}><LogOut {...icon} /> Pointer out</Button>
      <Button {...small} aria-pressed={posing !== null} onClick={() => togglePosing(studio)} title={`Fasten the pointer and drag the element to where it should be there (${keyNames.pose})`}><Move {...icon} /> Pose by hand</Button>
      <Button {...small} aria-pressed={gap !== null} onClick={() => toggleGap(studio)} title={`Measure the distance between two edges (${keyNames.gap})`}><Ruler {...icon} /> Distance</Button>
      <Button {...small} aria-pressed={drawer === 'tries'} onClick={() => toggleDrawer(studio, 'tries')} title={`Kept tries, to go back to and to compare (${keyNames.tries})`}><SplitSquareHorizontal {...icon} /> Tries{effect.tries && effect.tries.length > 0 ? ` ${effect.tries.length}` : ''}</Button>
      <Button {...small} aria-pressed={effect.isOff === true} onClick={() => toggleOff(studio, effect)} title={`Off: it plays nowhere and is not exported (${keyNames.off})`}><Power {...icon} /> Off</Button>
      <Button {...small} aria-pressed={onlyThis} onClick={() => studio.view.update({ onlyThis: !onlyThis })} title={`Only this one plays (${keyNames.only})`}><Focus {...icon} /> Only this</Button>
      <Button {...small} aria-expanded={open} onClick={() => onOpen(!open)}>{open ? <ChevronUp {...icon} /> : <ChevronDown {...icon} />} More</Button>
      <Box flex="1" />
      {children}
    </Flex>
  )
}
