// What holds the pointer of the page: states, a fastening, poses by hand, the edges of a distance, a path.
import { expandEffect, findKind } from '../../core/effect/kinds'
import { asksBecause, isPosable, poseByHand, type Because } from '../../core/effect/pose'
import type { Place } from '../../core/geometry/place'
import type { Look } from '../../core/look/look'
import type { Edge } from '../../stage/protocol'
import { changeSettings, notify, selectedEffect } from '../commands'
import type { Studio } from '../context'
import { triedSelect } from '../point/target'
import { modeAfter, pageMode, type ModeEvent } from '../store/pointer-mode'
import { newGesture } from '../store/site-store'

type ModeHolder = Pick<Studio, 'link' | 'view' | 'store'>

/** Tells the page whose its pointer is now. */
export function tellMode(studio: ModeHolder): void {
  const { link, view } = studio
  link.say({ type: 'mode', mode: pageMode(view.get().mode, selectedEffect(studio)?.select, triedSelect(studio)) })
}

/** Takes an event to the pointer's mode, and tells the page. */
export function changeMode(studio: ModeHolder, event: ModeEvent): void {
  const { view } = studio
  const { mode } = view.get()
  const next = modeAfter(mode, event)
  if (next === mode) return
  view.update({ mode: next })
  tellMode(studio)
}

/** Holds a state of the selected effect, or lets it go where it is held already. */
export const holdLook = (studio: Studio, look: Look): void => changeMode(studio, { type: 'hold', look })

/** Fastens the pointer where it stands, so that no move takes it away; or lets it follow again. */
export const toggleFastened = (studio: Studio): void => changeMode(studio, { type: 'fasten' })

/** Begins or ends posing by hand: the pointer is fastened, and the element is dragged to where it should be there. */
export function togglePosing(studio: Studio): void {
  const effect = selectedEffect(studio)
  const isPosing = studio.view.get().mode.is === 'posing'
  if (!effect && !isPosing) return
  if (effect && !isPosing && !isPosable(expandEffect(effect)))
    return notify(
      studio,
      'Nothing of this effect can be posed by dragging: it needs a number that turns or moves with where the pointer is.',
    )
  changeMode(studio, { type: 'pose' })
}

/** The last pose by hand: from which settings it went, how far it was dragged, and whether it still is. */
let posed: {
  readonly effect: string
  readonly settings: unknown
  readonly place: Place
  readonly drag: { readonly x: number; readonly y: number }
  readonly gesture: string
  readonly isDragged: boolean
} | null = null

/** Poses the selected effect by a drag of so many px; the numbers follow from what they were when it began. */
export function poseSelected(studio: Studio, place: Place, drag: { readonly x: number; readonly y: number }, last: boolean): void {
  const effect = selectedEffect(studio)
  const kind = effect && findKind(effect.kind)
  const { mode } = studio.view.get()
  if (!effect || !kind || mode.is !== 'posing') return
  const from =
    posed?.isDragged && posed.effect === effect.id ? posed : { effect: effect.id, settings: effect.settings, gesture: newGesture() }
  posed = { ...from, place, drag, isDragged: !last }
  const asks = asksBecause(kind.expand(posed.settings, effect.select), place)
  if (asks !== mode.asks) changeMode(studio, { type: 'posed', asks })
  changeSettings(
    studio,
    effect,
    poseByHand(kind, posed.settings, place, drag, asks ? mode.because : 'both'),
    'Posing by hand',
    posed.gesture,
  )
}

/** Says because of what the last pose is meant, and poses it so. */
export function poseBecause(studio: Studio, because: Because): void {
  const effect = selectedEffect(studio)
  const kind = effect && findKind(effect.kind)
  if (studio.view.get().mode.is !== 'posing' || !effect || !kind) return
  changeMode(studio, { type: 'posed', because })
  if (posed?.effect === effect.id)
    changeSettings(studio, effect, poseByHand(kind, posed.settings, posed.place, posed.drag, because), 'Posing by hand', posed.gesture)
}

/** Begins to measure a distance: the next two clicks on the page choose edges. Or puts it away. */
export function toggleMeasuring(studio: Studio): void {
  studio.view.update({ touched: null })
  changeMode(studio, { type: 'measure' })
}

/** Takes an edge of the distance; with the second one it is measured. */
export const takeEdge = (studio: Studio, edge: Edge): void => changeMode(studio, { type: 'edge', edge })

/** Ends whatever holds the pointer: a state, a fastening, a pose, a path. */
export const letGo = (studio: ModeHolder): void => changeMode(studio, { type: 'let go' })

/** Sends the stand-in pointer off the page, as a real one would leave. */
export function leavePage(studio: Studio): void {
  letGo(studio)
  studio.link.say({ type: 'leave', to: 'away' })
}

/** Starts or ends the path of the stand-in pointer over the selected effect. */
export function togglePath(studio: Studio): void {
  if (studio.view.get().mode.is === 'playing' || selectedEffect(studio)) changeMode(studio, { type: 'play' })
}
