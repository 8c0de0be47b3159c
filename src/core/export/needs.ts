// What the script of an export must bring along: the entries of the player's tables that its figures use.
import type { PlayedFigure } from '../rig/played'
import { readers } from '../signal/readers'
import type { SignalName } from '../signal/signal'

/** Signals that look back along the pointer's track. */
const tracked: readonly SignalName[] = ['speed', 'heading', 'past']

/** The names of the entries that the player's tables must keep, sorted. */
export function needsOf(figures: readonly PlayedFigure[]): readonly string[] {
  const needs = new Set<string>(figures.length > 0 ? ['telling'] : [])
  for (const { area, frames, parts, sharesEye, media, notCalm } of figures) {
    if (media !== undefined || notCalm) needs.add('widths')
    if (sharesEye) needs.add('eyes')
    if (area.looks) for (const each of ['looks', 'flow', 'late', 'states']) needs.add(each)
    if (parts) needs.add('parts')
    if (parts?.some(({ holds }) => holds)) needs.add('copies')
    if (area.of !== 'each' || area.bridge !== undefined) needs.add('frames')
    for (const { of, channels } of frames) {
      if (of !== 'area') needs.add('frames')
      for (const { signal, feel, going, timing, curve, chain, writes } of channels) {
        needs.add(signal.of)
        if (readers[signal.of].due) for (const each of ['flow', 'late']) needs.add(each)
        if (tracked.includes(signal.of)) needs.add('tracking')
        if (signal.of === 'zone' || signal.of === 'nearest') needs.add('states')
        if (signal.of === 'nearest') needs.add('frames')
        if (signal.of === 'focus') for (const each of ['looks', 'flow', 'late']) needs.add(each)
        // What takes its own time follows by a law of its own.
        if (signal.of === 'here') needs.add('timed')
        if (signal.of === 'entrySide' || signal.of === 'exitSide' || (signal.of === 'look' && (signal.enterFrom ?? signal.leaveTo) !== undefined)) needs.add('crossings')
        for (const each of [feel, going, ...(timing ?? []).map((pair) => pair.feel)]) if (each) needs.add(each.kind)
        if (curve) needs.add('stops')
        if (chain) needs.add('chains')
        for (const write of writes) {
          if (write.curve) needs.add('colours' in write.curve ? 'colours' : 'stops')
          if (write.to) needs.add('targets')
        }
      }
    }
  }
  return [...needs].sort()
}
