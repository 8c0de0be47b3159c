// The kinds there are. Adding a kind is adding a folder and a line here.
import type { Rig } from '../rig/rig'
import { wholeKind, type WholeKind } from './common'
import { drift } from './drift'
import { fold } from './fold'
import { follow } from './follow'
import { free } from './free'
import { glow } from './glow'
import { grainLight } from './grain-light'
import { spotlight } from './spotlight'
import { tilt } from './tilt'

/**
 * A kind whose settings are checked at the border by its own schema. Its functions take the settings of any effect of
 * that kind; the document's schema has seen to it that they fit.
 */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- one list holds kinds with different settings
export type AnyKind = WholeKind<any>

export const kinds: readonly AnyKind[] = [wholeKind(tilt), wholeKind(drift), wholeKind(fold), wholeKind(follow), wholeKind(spotlight), wholeKind(glow), wholeKind(grainLight), wholeKind(free)]

/** The headings under which recipes stand, in order. */
export const families = [{ id: 'depth', words: 'Depth' }, { id: 'light', words: 'Light' }, { id: 'free', words: 'From signals up' }] as const

/** The kind with this id, or undefined. */
export function findKind(id: string): AnyKind | undefined {
  return kinds.find((kind) => kind.id === id)
}

/** An effect as a rig. Throws an Error for a kind that does not exist. */
export function expandEffect(effect: { readonly kind: string; readonly settings: unknown; readonly select: string; readonly roles?: Readonly<Record<string, { readonly select: string }>> | undefined }): Rig {
  const kind = findKind(effect.kind)
  if (!kind) throw new Error(`There is no kind of effect called "${effect.kind}".`)
  return kind.expand(effect.settings, effect.select, Object.fromEntries(Object.entries(effect.roles ?? {}).map(([id, { select }]) => [id, select])))
}
