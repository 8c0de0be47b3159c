// What holds the pointer of the page: looks, a fastening, poses by hand, the edges of a gap, a walk.
import { expandEffect, findKind } from '../../core/effect/kinds'
import { asksBecause, isPosable, poseByHand, type Because } from '../../core/effect/pose'
import type { Place } from '../../core/geometry/place'
import type { Look } from '../../core/look/look'
import type { Edge } from '../../stage/protocol'
import { changeSettings, notify, selectedEffect } from '../commands'
import type { Studio } from '../context'
import { newGesture } from '../store/site-store'

/** Holds a look of the selected effect, or lets it go where it is held already. */
export function holdLook({ link, view }: Studio, look: Look): void {
  const held = view.get().held === look ? null : look
  view.update({ held, fastened: false, walking: false })
  link.say({ type: 'hold', look: held })
}

/** Fastens the ghost where it stands, so that no move takes it away; or lets it follow again. */
export function toggleFastened({ link, view }: Studio): void {
  const fastened = !view.get().fastened
  view.update({ fastened, held: null, walking: false })
  link.say({ type: 'fasten', on: fastened })
}

/** Begins or ends posing by hand: the pointer is fastened, and the element is dragged to where it should be there. */
export function togglePosing(studio: Studio): void {
  const { link, view } = studio
  const effect = selectedEffect(studio)
  if (effect && !view.get().posing && !isPosable(expandEffect(effect))) return notify(studio, 'Nothing of this effect can be posed by dragging: it needs a number that turns or moves with where the pointer is.')
  const posing = view.get().posing || !effect ? null : { because: 'both' as const, asks: false }
  view.update({ posing, fastened: posing !== null, held: null, walking: false })
  link.say({ type: 'pose', select: posing && effect ? effect.select : null })
}

/** The last pose by hand: from which settings it went, how far it was dragged, and whether it still is. */
let posed: { readonly effect: string; readonly settings: unknown; readonly place: Place; readonly drag: { readonly x: number; readonly y: number }; readonly gesture: string; readonly isDragged: boolean } | null = null

/** Poses the selected effect by a drag of so many px; the numbers follow from what they were when it began. */
export function poseSelected(studio: Studio, place: Place, drag: { readonly x: number; readonly y: number }, last: boolean): void {
  const { view } = studio
  const effect = selectedEffect(studio)
  const kind = effect && findKind(effect.kind)
  const { posing } = view.get()
  if (!effect || !kind || !posing) return
  const from = posed?.isDragged && posed.effect === effect.id ? posed : { effect: effect.id, settings: effect.settings, gesture: newGesture() }
  posed = { ...from, place, drag, isDragged: !last }
  const asks = asksBecause(kind.expand(posed.settings, effect.select), place)
  if (asks !== posing.asks) view.update({ posing: { ...posing, asks } })
  changeSettings(studio, effect, poseByHand(kind, posed.settings, place, drag, asks ? posing.because : 'both'), 'Posing by hand', posed.gesture)
}

/** Says because of what the last pose is meant, and poses it so. */
export function poseBecause(studio: Studio, because: Because): void {
  const { view } = studio
  const effect = selectedEffect(studio)
  const kind = effect && findKind(effect.kind)
  const { posing } = view.get()
  if (!posing || !effect || !kind) return
  view.update({ posing: { ...posing, because } })
  if (posed?.effect === effect.id) changeSettings(studio, effect, poseByHand(kind, posed.settings, posed.place, posed.drag, because), 'Posing by hand', posed.gesture)
}

/** Begins to measure a gap: the next two clicks on the page choose edges. Or puts it away. */
export function toggleGap({ link, view }: Studio): void {
  const gap = view.get().gap ? null : { edges: [], measures: [] }
  view.update({ gap, touched: null })
  link.say({ type: 'edges', on: gap !== null })
  if (!gap) link.say({ type: 'gap', edges: [], measures: false })
}

/** Takes an edge for the gap; with the second one it is measured. */
export function takeEdge(studio: Studio, edge: Edge): void {
  const { link, view } = studio
  const { gap } = view.get()
  if (!gap) return
  const edges = [...gap.edges, edge].slice(-2)
  view.update({ gap: { edges, measures: [] } })
  if (edges.length === 2) link.say({ type: 'edges', on: false })
  link.say({ type: 'gap', edges, measures: edges.length === 2, select: selectedEffect(studio)?.select })
}

/** Ends whatever holds the pointer: a look, a fastening, a walk. */
export function letGo({ link, view }: Pick<Studio, 'link' | 'view'>): void {
  const { held, fastened } = view.get()
  if (held !== null) link.say({ type: 'hold', look: null })
  if (fastened) link.say({ type: 'fasten', on: false })
  view.update({ held: null, fastened: false, walking: false })
}

/** Sends the stand-in pointer off the page, as a real one would leave. */
export function leavePage({ link, view }: Studio): void {
  letGo({ link, view })
  link.say({ type: 'leave', to: 'away' })
}

/** Starts or ends the walk of the stand-in pointer over the selected effect. */
export function toggleWalk(studio: Studio): void {
  studio.view.update({ walking: !studio.view.get().walking && selectedEffect(studio) !== undefined })
}
