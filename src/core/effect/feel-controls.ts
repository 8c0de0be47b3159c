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
}

/** Five controls that tune one feel of the settings. */
export function feelControls<S>({ ids: [feelId, timeId, pastId, frequencyId, dampingId], title, timeTitle, drawing }: FeelWords, read: (settings: S) => Feel, write: (settings: S, feel: Feel) => S): readonly Control<S>[] {
  const number = (id: string, each: Omit<NumberControl<S>, 'kind' | 'id' | 'drawing' | 'draws'>): NumberControl<S> => ({ kind: 'number', id, drawing, draws: feelId, ...each })
  const springOf = (settings: S): Spring => {
    const feel = read(settings)
    if (feel.kind === 'spring') return feel
    const spring = withOvershoot(feel, 0)
    return spring.kind === 'spring' ? spring : { kind: 'spring', frequencyHz: 2.27, dampingRatio: 1 }
  }
  const feel: FeelControl<S> = { kind: 'feel', id: feelId, title, drawing, read, write }
  return [
    feel,
    number(timeId, { title: timeTitle, unit: 'ms', ...settleRange, step: 10, read: (settings) => answerOfFeel(read(settings)).settleMs, write: (settings, ms) => write(settings, withSettleTime(read(settings), ms)) }),
    number(pastId, { title: 'The way past the mark', unit: '%', ...pastRange, step: 1, percentOf: { words: 'the way' }, read: (settings) => answerOfFeel(read(settings)).overshoot * 100, write: (settings, percent) => write(settings, withOvershoot(read(settings), percent / 100)) }),
    number(frequencyId, { title: 'The frequency', unit: 'Hz', least: 0.1, greatest: 20, step: 0.05, read: (settings) => springOf(settings).frequencyHz, write: (settings, frequencyHz) => write(settings, { ...springOf(settings), frequencyHz }) }),
    number(dampingId, { title: 'The damping ratio', unit: '', least: 0.15, greatest: 4, step: 0.05, read: (settings) => springOf(settings).dampingRatio, write: (settings, dampingRatio) => write(settings, { ...springOf(settings), dampingRatio }) }),
  ]
}

/** The controls of how a kind follows. */
export const followingControls = <S extends { readonly follow: Feel }>(title: string): readonly Control<S>[] =>
  feelControls<S>({ ids: ['follow', 'followMs', 'pastPercent', 'frequencyHz', 'dampingRatio'], title, timeTitle: 'The time to follow', drawing: 'flick' }, ({ follow }) => follow, (settings, follow) => ({ ...settings, follow }))

/** How something follows, as a line of time says it: its time only where it takes any. */
export const followingPieces = ({ follow }: { readonly follow: Feel }): readonly Piece[] => ['Follows ', { control: 'follow' }, ...(follow.kind === 'direct' ? [] : [', in ', { control: 'followMs' }])]

/** The controls of how it goes back, which is as it follows until it is said otherwise. */
export const returnControls = <S extends { readonly follow: Feel; readonly back: Feel | null }>(title: string): readonly Control<S>[] =>
  feelControls<S>({ ids: ['back', 'backMs', 'backPastPercent', 'backFrequencyHz', 'backDampingRatio'], title, timeTitle: 'The time to go back', drawing: 'return' }, ({ back, follow }) => back ?? follow, (settings, back) => ({ ...settings, back }))
