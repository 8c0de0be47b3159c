// Wash in words: its sentence and its line of time.
import type { Piece } from '../control'
import type { WashSettings } from './settings'

export const washSentence = ({ fill, text, shadePercent }: WashSettings): readonly Piece[] => [
  'Over ',
  { role: 'picture' },
  ' comes ',
  { control: 'fill' },
  ' of ',
  { control: fill === 'tint' ? 'colour' : 'gradient' },
  ', ',
  { control: 'washPercent' },
  ' strong, and ',
  { role: 'text' },
  ' ',
  { control: 'text' },
  ...(text === 'comes' ? [', rising ', { control: 'risePx' }] : []),
  ...(shadePercent > 0 ? ['; a fixed shade of ', { control: 'shadePercent' }, ' lies below'] : []),
  '.',
]

export const washTime = (): readonly Piece[] => ['Comes in ', { control: 'comeMs' }, ', goes in ', { control: 'goMs' }, '.']
