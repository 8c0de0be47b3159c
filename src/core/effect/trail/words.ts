// Trail in words: its sentence and its line of time.
import type { Piece } from '../control'
import { isPainted, restOf, rises } from './expand'
import type { TrailSettings } from './settings'

const made = ({ shape }: TrailSettings): readonly Piece[] => [
  { control: 'shape' },
  ...(shape === 'picture' ? [' ', { control: 'picture' }] : shape === 'text' ? [' ', { control: 'text' }] : []),
]

export function trailSentence(settings: TrailSettings): readonly Piece[] {
  const { law, shape } = settings
  const colour: readonly Piece[] = shape === 'picture' ? [] : [' in ', { control: 'colour' }]
  if (law === 'dropped')
    return [
      'Over ',
      { role: 'ground' },
      ', ',
      ...made(settings),
      ' of ',
      { control: 'sizePx' },
      ...colour,
      '; they ',
      { control: 'law' },
      ', one every ',
      { control: 'everyPx' },
      ', and rise by ',
      { control: 'risePx' },
      '.',
    ]
  return [
    'Behind the pointer over ',
    { role: 'ground' },
    ', ',
    ...made(settings),
    ', ',
    { control: 'pieces' },
    ' pieces from ',
    { control: 'sizePx' },
    ' to ',
    { control: 'endPx' },
    ...colour,
    '; they ',
    { control: 'law' },
    '.',
  ]
}

export function trailTime(settings: TrailSettings): readonly Piece[] {
  const { law, rest } = settings
  if (law === 'dropped') return ['Each lives for ', { control: 'lifeMs' }, '.']
  return [
    'Each is later by ',
    { control: 'lateMs' },
    '. When the pointer rests, ',
    { control: 'rest' },
    ...(rises(settings)
      ? [', by ', { control: 'risePx' }, ' in ', { control: 'lifeMs' }]
      : restOf(settings) === 'fade'
        ? [' in ', { control: 'lifeMs' }]
        : []),
    rest === 'fizz' && isPainted(settings) ? '; on a canvas they fade instead.' : '.',
  ]
}
