// Five feels to choose among first; everything else is tuned from there.
import type { Feel } from './feel'

export interface NamedFeel {
  readonly id: string
  readonly words: string
  readonly feel: Feel
}

export const namedFeels: readonly NamedFeel[] = [
  { id: 'crisp', words: 'crisply', feel: { kind: 'spring', frequencyHz: 4.6, dampingRatio: 1 } },
  { id: 'soft', words: 'softly', feel: { kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 } },
  { id: 'heavy', words: 'heavily', feel: { kind: 'spring', frequencyHz: 0.95, dampingRatio: 1 } },
  { id: 'springy', words: 'springily', feel: { kind: 'spring', frequencyHz: 2.6, dampingRatio: 0.36 } },
  { id: 'at-once', words: 'at once', feel: { kind: 'direct' } },
]

/** The named feel that this one is, if it is one of the five. */
export function nameOfFeel(feel: Feel): NamedFeel | undefined {
  return namedFeels.find((named) => {
    if (named.feel.kind === 'spring' && feel.kind === 'spring')
      return Math.abs(named.feel.frequencyHz - feel.frequencyHz) < 1e-6 && Math.abs(named.feel.dampingRatio - feel.dampingRatio) < 1e-6
    return named.feel.kind === 'direct' && feel.kind === 'direct'
  })
}
