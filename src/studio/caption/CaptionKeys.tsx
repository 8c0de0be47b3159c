// The small row under a caption: what can be done with the effect and with the pointer, and the rest of the rows.
import { Box, Flex } from '@chakra-ui/react'
import {
  ArrowUpDown,
  ChevronDown,
  ChevronUp,
  Focus,
  Footprints,
  Hand,
  LogOut,
  Move,
  Power,
  Ruler,
  SplitSquareHorizontal,
} from 'lucide-react'
import type { ReactNode } from 'react'
import { findKind } from '../../core/effect/kinds'
import type { Effect } from '../../core/site/site'
import { useStudio, useView } from '../context'
import { commandOf, keyOf, type CommandId } from '../registry'
import { Button } from '../theme/controls'
import { ActionMenu } from './ActionMenu'

interface CaptionKeysProps {
  readonly effect: Effect
  readonly open: boolean
  readonly onOpen: (open: boolean) => void
  /** What there is to know of the word in hand. */
  readonly children: ReactNode
}

const icons = {
  turn: ArrowUpDown,
  path: Footprints,
  leave: LogOut,
  pose: Move,
  measure: Ruler,
  tries: SplitSquareHorizontal,
  off: Power,
  only: Focus,
} as const
const icon = { size: 14, 'aria-hidden': true } as const
const small = { variant: 'quiet', minHeight: '25px', fontSize: '13px', color: 'soft', px: '4px' } as const

/** What the menu of holding has, in order. */
const holds = ['holdOff', 'holdOn', 'holdPressed', 'holdStill', 'fasten'] as const

export function CaptionKeys({ effect, open, onOpen, children }: CaptionKeysProps) {
  const studio = useStudio()
  const view = useView('mode', 'onlyThis', 'drawer')
  const isOn = (id: CommandId) => commandOf(id).isOn?.(view)
  const button = (id: keyof typeof icons, more: { readonly pressed?: boolean; readonly count?: number } = {}) => {
    const { label, hint, run } = commandOf(id)
    const Icon = icons[id]
    return (
      <Button {...small} aria-pressed={more.pressed ?? isOn(id)} onClick={() => run(studio)} title={`${hint ?? ''} (${keyOf(id)})`}>
        <Icon {...icon} /> {label}
        {more.count ? ` ${more.count}` : ''}
      </Button>
    )
  }
  return (
    <Flex gap="2px" pl="23px" mt="auto" flex="none" wrap="wrap" align="center">
      {findKind(effect.kind)?.turned(effect.settings) !== effect.settings && button('turn')}
      {button('path')}
      <ActionMenu
        label="Hold state"
        isOn={holds.some((id) => isOn(id))}
        options={holds.map((id) => ({ value: id, words: `${commandOf(id).label ?? ''} (${keyOf(id)})`, isCurrent: isOn(id) }))}
        onChoose={(value) => commandOf(value).run(studio)}
      >
        <Hand {...icon} /> Hold state
      </ActionMenu>
      {button('leave')}
      {button('pose')}
      {button('measure')}
      {button('tries', { count: effect.tries?.length })}
      {button('off', { pressed: effect.isOff === true })}
      {button('only')}
      <Button {...small} aria-expanded={open} onClick={() => onOpen(!open)}>
        {open ? <ChevronUp {...icon} /> : <ChevronDown {...icon} />} More
      </Button>
      <Box flex="1" />
      {children}
    </Flex>
  )
}
