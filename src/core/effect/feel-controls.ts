// The controls of one feel: the word for it, its time, how far it goes past the mark, and its exact numbers.
import { answerOfFeel, withOvershoot, withSettleTime } from '../feel/answer'
import type { Feel, Spring } from '../feel/feel'
import type { Control, FeelControl, NumberControl, Piece } from './control'

/** The range of the time to settle, ms; of the way past the mark, %. */
const settleRange = { least: 60, greatest: 4000 } as const
const pastRange = { least: 0, greatest: 60 } as const

export interface FeelWords {
  /** The ids of the five controls: the feel, its time, the way past the mark, its frequency and its damping ratio. */
  readonly ids: readonly [feel: string, time: string, past: string, frequency: string, damping: string]
  /** What the feel and its time are called: "How it follows", "The time to follow". */
  readonly title: string
  readonly timeTitle: string
  readonly drawing: 'flick' | 'return'
  /** What stands behind the titles of its numbers, where there are others of these names. */
  readonly when?: string
}

/** Five controls that tune one feel of the settings. */
export function feelControls<S>(
  { ids: [feelId, timeId, pastId, frequencyId, dampingId], title, timeTitle, drawing, when = '' }: FeelWords,
  read: (settings: S) => Feel,
  write: (settings: S, feel: Feel) => S,
): readonly Control<S>[] {
  const number = (id: string, each: Omit<NumberControl<S>, 'kind' | 'id' | 'drawing' | 'draws'>): NumberControl<S> => ({
    kind: 'number',
    id,
    section: 'Motion',
    drawing,
    draws: feelId,
    ...each,
  })
  const springOf = (settings: S): Spring => {
    const feel = read(settings)
    if (feel.kind === 'spring') return feel
    const spring = withOvershoot(feel, 0)
    return spring.kind === 'spring' ? spring : { kind: 'spring', frequencyHz: 2.27, dampingRatio: 1 }
  }
  const feel: FeelControl<S> = { kind: 'feel', id: feelId, title, drawing, read, write }
  return [
    feel,
    number(timeId, {
      title: timeTitle,
      help: 'how long it takes to come to rest where it is to be',
      unit: 'ms',
      ...settleRange,
      step: 10,
      read: (settings) => answerOfFeel(read(settings)).settleMs,
      write: (settings, ms) => write(settings, withSettleTime(read(settings), ms)),
    }),
    number(pastId, {
      title: `Overshoot${when}`,
      help: 'how far it swings past its mark before it comes back',
      unit: '%',
      ...pastRange,
      step: 1,
      percentOf: { words: 'the way' },
      read: (settings) => answerOfFeel(read(settings)).overshoot * 100,
      write: (settings, percent) => write(settings, withOvershoot(read(settings), percent / 100)),
    }),
    number(frequencyId, {
      title: `The frequency${when}`,
      help: 'how often the spring would swing in a second; higher is brisker',
      unit: 'Hz',
      least: 0.1,
      greatest: 20,
      step: 0.05,
      read: (settings) => springOf(settings).frequencyHz,
      write: (settings, frequencyHz) => write(settings, { ...springOf(settings), frequencyHz }),
    }),
    number(dampingId, {
      title: `The damping ratio${when}`,
      help: 'below 1 it swings past its mark, at 1 just no more, above it only slows down',
      unit: '',
      least: 0.15,
      greatest: 4,
      step: 0.05,
      read: (settings) => springOf(settings).dampingRatio,
      write: (settings, dampingRatio) => write(settings, { ...springOf(settings), dampingRatio }),
    }),
  ]
}

/** How something follows, as a line of time says it: its time only where it takes any. */
export const followingPieces = ({ follow }: { readonly follow: Feel }): readonly Piece[] => [
  'Follows ',
  { control: 'follow' },
  ...(follow.kind === 'direct' ? [] : [', in ', { control: 'followMs' }]),
]
