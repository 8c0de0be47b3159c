// What the script of an export must bring along: the laws and shapers that its figures use.
import type { Figure } from './plan'

/** The names of the entries that the player's tables must keep, sorted. */
export function needsOf(figures: readonly Figure[]): readonly string[] {
  const needs = new Set<string>()
  for (const { rig } of figures) {
    for (const { feel, going, curve } of rig.channels) {
      needs.add(feel.kind)
      if (going) needs.add(going.kind)
      if (curve) needs.add('stops')
    }
  }
  return [...needs].sort()
}
