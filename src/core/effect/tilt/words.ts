// Tilt in words: its sentence and its line of time.
import type { Piece } from '../control'
import type { TiltSettings } from './settings'

export function tiltSentence({ linked: isLinked, liftPx, layers, sheenPercent }: TiltSettings): readonly Piece[] {
  const pieces: Piece[] = [
    'Over ',
    { role: 'card' },
    ', the edge under the pointer ',
    { control: 'edge' },
    ' by ',
    { control: 'acrossDeg' },
  ]
  if (!isLinked) pieces.push(' across and ', { control: 'upDownDeg' }, ' up-down')
  pieces.push(', seen from ', { control: 'perspectivePx' })
  if (liftPx > 0) pieces.push(', lifted by ', { control: 'liftPx' })
  const [first] = layers
  if (first)
    pieces.push(
      '; ',
      { role: first.id },
      ' floats ',
      { control: first.id },
      ' above it',
      ...(layers.length > 1 ? [`, and ${layers.length - 1} more`] : []),
    )
  if (sheenPercent > 0) pieces.push('; a sheen of ', { control: 'sheenPercent' }, ' goes ', { control: 'sheenDirection' })
  pieces.push('.')
  return pieces
}

/** Whether anything comes with the pointer and goes with it. */
const comesAndGoes = ({ liftPx, scalePercent, layers, sheenPercent, shadowPx }: TiltSettings) =>
  liftPx > 0 || scalePercent > 0 || layers.length > 0 || sheenPercent > 0 || shadowPx > 0

export function tiltTime(settings: TiltSettings): readonly Piece[] {
  const pieces: Piece[] = ['Follows ', { control: 'follow' }]
  if (settings.follow.kind !== 'direct') pieces.push(', in ', { control: 'followMs' }, ', ', { control: 'pastPercent' }, ' overshoot')
  if (comesAndGoes(settings)) pieces.push('; comes in ', { control: 'comeMs' }, ', goes in ', { control: 'goMs' })
  pieces.push('. When away ', { control: 'away' }, '.')
  return pieces
}
