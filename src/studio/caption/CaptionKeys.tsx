// The small row under a caption: turn the direction, walk, leave, the rest of the rows.
import { Flex } from '@chakra-ui/react'
import { ArrowUpDown, ChevronDown, ChevronUp, Focus, Footprints, LogOut, Power } from 'lucide-react'
import { leavePage, toggleOff, toggleWalk, turnDirection } from '../commands'
import type { Effect } from '../../core/site/site'
import { useStudio, useView } from '../context'
import { keyNames } from '../keys'
import { Button } from '../theme/controls'

interface CaptionKeysProps {
  readonly effect: Effect
  readonly open: boolean
  readonly onOpen: (open: boolean) => void
}

export function CaptionKeys({ effect, open, onOpen }: CaptionKeysProps) {
  const studio = useStudio()
  const { walking, onlyThis } = useView()
  const small = { look: 'quiet', minHeight: '25px', fontSize: '13px', color: 'soft' } as const
  return (
    <Flex gap="4px" pl="23px" mt="auto" flex="none" wrap="wrap">
      <Button {...small} onClick={() => turnDirection(studio)} title={`Turn the direction (${keyNames.turn})`}><ArrowUpDown size={14} aria-hidden="true" /> Turn it round</Button>
      <Button {...small} aria-pressed={walking} onClick={() => toggleWalk(studio)} title={`A stand-in pointer walks over it (${keyNames.walk})`}><Footprints size={14} aria-hidden="true" /> Walk</Button>
      <Button {...small} onClick={() => leavePage(studio)} title={`The pointer leaves the page for real (${keyNames.leave})`}><LogOut size={14} aria-hidden="true" /> Leave</Button>
      <Button {...small} aria-pressed={effect.isOff === true} onClick={() => toggleOff(studio, effect)} title={`Off: it plays nowhere and is not exported (${keyNames.off})`}><Power size={14} aria-hidden="true" /> Off</Button>
      <Button {...small} aria-pressed={onlyThis} onClick={() => studio.view.update({ onlyThis: !onlyThis })} title={`Only this one plays (${keyNames.only})`}><Focus size={14} aria-hidden="true" /> Only this</Button>
      <Button {...small} aria-expanded={open} onClick={() => onOpen(!open)}>{open ? <ChevronUp size={14} aria-hidden="true" /> : <ChevronDown size={14} aria-hidden="true" />} More</Button>
    </Flex>
  )
}
