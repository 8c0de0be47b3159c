// Hover look in words: its sentence and its line of time.
import type { Piece } from '../control'
import type { Filled } from '../kind'
import { reasonOf } from './expand'
import type { HoverLookSettings } from './settings'

/** Pieces joined as a sentence joins them. */
const joined = (parts: readonly (readonly Piece[])[]): readonly Piece[] =>
  parts.flatMap((part, i) => (i === 0 ? part : [i === parts.length - 1 ? ' and ' : ', ', ...part]))

export function hoverLookSentence(settings: HoverLookSettings): readonly Piece[] {
  const { risePx, growPercent, ground, ink, others, shadowPx } = settings
  const does: readonly (readonly Piece[])[] = [
    ...(risePx === 0 && (growPercent !== 100 || ground === 'own') ? [] : [['it rises by ', { control: 'risePx' }]]),
    ...(growPercent === 100 ? [] : [['it grows to ', { control: 'growPercent' }]]),
    ...(ground === 'own' ? [['its ground ', { control: 'ground' }, ' ', { control: 'groundColour' }]] : []),
    ...(ink === 'own' ? [['its text ', { control: 'ink' }, ' ', { control: 'inkColour' }]] : []),
    ...(shadowPx > 0 ? [['its shadow reaches ', { control: 'shadowPx' }]] : []),
  ]
  return [
    'Over ',
    { role: 'element' },
    ' ',
    ...joined(does),
    '; the others ',
    { control: 'others' },
    ...(others === 'dim' ? [' to ', { control: 'othersPercent' }] : []),
    '.',
  ]
}

export function hoverLookTime(settings: HoverLookSettings, roles?: Filled): readonly Piece[] {
  const reason = reasonOf(settings, roles)
  return [
    'Comes in ',
    { control: 'comeMs' },
    ', goes in ',
    { control: 'goMs' },
    reason === undefined ? '.' : `. ${reason}, so a script does.`,
  ]
}
