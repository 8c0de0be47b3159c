// Where things lie when the pointer is away: in the middle, at the pin, or where they were left.
import type { ChoiceControl } from './control'

interface Away {
  readonly away: 'settle' | 'hold'
  readonly pose: { readonly x: number; readonly y: number }
}

/** Where the pin stands when it is asked for and was not put anywhere yet. */
const firstPose = { x: -0.5, y: -0.4 } as const

const isMiddle = ({ pose }: Away) => pose.x === 0 && pose.y === 0

/** The choice between the three, in the words of a kind. */
export function awayChoice<S extends Away>(middle: string, pin: string, left: string): ChoiceControl<S> {
  return {
    kind: 'choice',
    id: 'away',
    title: 'When away',
    help: 'how it lies while the pointer is elsewhere',
    drawing: 'return',
    draws: 'back',
    handle: 'pin',
    options: [
      { value: 'flat', words: middle },
      { value: 'pose', words: pin },
      { value: 'hold', words: left },
    ],
    read: (settings) => (settings.away === 'hold' ? 'hold' : isMiddle(settings) ? 'flat' : 'pose'),
    write: (settings, value) => {
      if (value === 'hold') return { ...settings, away: 'hold' }
      if (value === 'flat') return { ...settings, away: 'settle', pose: { x: 0, y: 0 } }
      return { ...settings, away: 'settle', pose: isMiddle(settings) ? firstPose : settings.pose }
    },
  }
}
