// Cursor in words: its sentence and its line of time.
import type { Piece } from '../control'
import { isNative } from './native'
import type { CursorSettings, OverShape } from './settings'

function over({ id, shape, says }: OverShape): readonly Piece[] {
  const word = (key: string): Piece => ({ control: `${id}-${key}` })
  return [
    '; over ',
    { role: id },
    ' it is ',
    word('shape'),
    ...(shape === 'none' ? [] : shape === 'outline' ? [' ', word('sizePx'), ' around'] : [' of ', word('sizePx')]),
    ...(shape === 'none' || shape === 'picture' ? [] : [' in ', word('colour')]),
    ...(shape === 'picture' ? [': ', word('picture')] : []),
    ...(shape === 'label' ? [' that says ', word('says'), ...(says === 'text' ? [': ', word('text')] : [])] : []),
  ]
}

export function cursorSentence(settings: CursorSettings): readonly Piece[] {
  const { shape, shapes } = settings
  return [
    'On ',
    { role: 'ground' },
    ' the cursor is ',
    { control: 'shape' },
    ...(shape === 'element'
      ? [': ', { role: 'figure' }]
      : shape === 'picture' && isNative(settings)
        ? []
        : [' of ', { control: 'sizePx' }]),
    ...(shape === 'both' ? [' and ', { control: 'ringPx' }] : []),
    ...(shape === 'picture' ? [': ', { control: 'picture' }] : shape === 'element' ? [] : [' in ', { control: 'colour' }]),
    ...shapes.flatMap(over),
    '.',
  ]
}

export function cursorTime(settings: CursorSettings): readonly Piece[] {
  const { shape, lateMs } = settings
  if (isNative(settings)) return ['The browser draws it by itself: no script. With ', { control: 'lateMs' }, ' of delay a script would.']
  return [
    ...(shape === 'both'
      ? ['The dot is on the pointer, the ring ', { control: 'ringLateMs' }, ' late. ']
      : lateMs > 0
        ? [{ control: 'lateMs' }, ' behind the pointer. ']
        : ['On the pointer, ', { control: 'lateMs' }, ' late. ']),
    'It becomes another one in ',
    { control: 'blendMs' },
    '.',
  ]
}
