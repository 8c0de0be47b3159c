// The kinds there are. Adding a kind is adding a folder and a line here.
import type { Rig } from '../rig/rig'
import { wholeKind, type WholeKind } from './common'
import { crop } from './crop'
import { cursor } from './cursor'
import { drift } from './drift'
import { flip } from './flip'
import { fold } from './fold'
import { follow } from './follow'
import { free } from './free'
import { glow } from './glow'
import { grainLight } from './grain-light'
import { hoverLook } from './hover-look'
import type { Filled } from './kind'
import { letters } from './letters'
import { magnifier } from './magnifier'
import { note } from './note'
import { pan } from './pan'
import { porthole } from './porthole'
import { pull } from './pull'
import { rows } from './rows'
import { spotlight } from './spotlight'
import { spread } from './spread'
import { selectOfRole } from './roles'
import { tilt } from './tilt'
import { trail } from './trail'
import { wash } from './wash'
import { wipe } from './wipe'
import { zones } from './zones'

/**
 * A kind whose settings are checked at the border by its own schema. Its functions take the settings of any effect of
 * that kind; the document's schema has seen to it that they fit.
 */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- one list holds kinds with different settings
export type AnyKind = WholeKind<any>

export const kinds: readonly AnyKind[] = [
  wholeKind(tilt),
  wholeKind(drift),
  wholeKind(fold),
  wholeKind(follow),
  wholeKind(spotlight),
  wholeKind(glow),
  wholeKind(grainLight),
  wholeKind(wipe),
  wholeKind(porthole),
  wholeKind(wash),
  wholeKind(crop),
  wholeKind(pan),
  wholeKind(flip),
  wholeKind(spread),
  wholeKind(hoverLook),
  wholeKind(pull),
  wholeKind(zones),
  wholeKind(note),
  wholeKind(rows),
  wholeKind(letters),
  wholeKind(cursor),
  wholeKind(trail),
  wholeKind(magnifier),
  wholeKind(free),
]

/** The headings under which recipes stand, in the order of the kinds. */
export const families = [...new Set(kinds.map(({ family }) => family))]

/** The kind with this id, or undefined. */
export function findKind(id: string): AnyKind | undefined {
  return kinds.find((kind) => kind.id === id)
}

/** What of an effect its rig is made from. */
interface Expandable {
  readonly kind: string
  readonly settings: unknown
  readonly select: string
  readonly roles?: Readonly<Record<string, { readonly select: string; readonly noun: string }>> | undefined
}

/** What fills the roles of an effect, as selectors of the page. */
export const filledIn = ({ select: own, roles = {} }: Pick<Expandable, 'select' | 'roles'>): Filled =>
  Object.fromEntries(Object.entries(roles).map(([id, { select }]) => [id, selectOfRole(own, select)]))

/** An effect as a rig, its knobs and colours told by the nouns of its roles. Throws an Error for a kind that does not exist. */
export function expandEffect(effect: Expandable): Rig {
  const kind = findKind(effect.kind)
  if (!kind) throw new Error(`There is no kind of effect called "${effect.kind}".`)
  const { roles = {} } = effect
  const rig = kind.expand(effect.settings, effect.select, filledIn(effect))
  const told = <T extends { readonly note: string }>(item: T): T =>
    item.note.includes('{') ? { ...item, note: item.note.replace(/\{([a-z0-9-]+)\}/g, (_, id: string) => roles[id]?.noun ?? 'it') } : item
  return { ...rig, knobs: rig.knobs.map(told), ...(rig.tokens ? { tokens: rig.tokens.map(told) } : {}) }
}
