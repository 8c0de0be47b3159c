import { frameOf } from './frames'
import { pointer } from './pointer'
import type { Effect, Follower } from './types'

/** Which of several selectors the innermost element under the pointer matches, the last of those that do, from 1; 0 for none. While a pointer goes, as it was. */
export function overOf(among: readonly string[], before = 0): number {
  if (!pointer.over) return before
  const element = pointer.over.closest(among.join(', '))
  return element ? 1 + among.findLastIndex((select) => element.matches(select)) : 0
}

/** Which of the elements that this selects a finger is on, or is in, by their order; none of them where no finger points. */
export function fingerOn(among: string): number | undefined {
  const met = pointer.isTouch ? pointer.over?.closest(among) : null
  return met ? [...document.querySelectorAll(among)].indexOf(met) : undefined
}

/** How the innermost element that this selects under the pointer lies, or the last one that was: from the pointer to its middle, and its size, px. */
function overBox(follower: Follower, among: string, measure: Effect['measure']) {
  follower.held = pointer.over?.closest(among) ?? follower.held
  if (!follower.held) return { overX: 0, overY: 0, overWidth: 0, overHeight: 0 }
  const { toFrame, width, height, border } = frameOf(follower.held, measure)
  const { x, y } = toFrame.inverse().transformPoint({ x: width / 2, y: height / 2 })
  return {
    overX: x - pointer.x,
    overY: y - pointer.y,
    overWidth: border[3] + width + border[1],
    overHeight: border[0] + height + border[2],
  }
}
export const overX = (follower: Follower, among: string, measure: Effect['measure']) => overBox(follower, among, measure).overX
export const overY = (follower: Follower, among: string, measure: Effect['measure']) => overBox(follower, among, measure).overY
export const overWidth = (follower: Follower, among: string, measure: Effect['measure']) => overBox(follower, among, measure).overWidth
export const overHeight = (follower: Follower, among: string, measure: Effect['measure']) => overBox(follower, among, measure).overHeight
