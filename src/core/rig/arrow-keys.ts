// Arrow keys move the pointer on what has the focus: so whoever uses no pointer reaches what the others reach.
import { toFrame, toWindow, type Point } from '../geometry/frame'
import type { Pointer } from '../signal/pointer'
import type { Key, Sample } from '../signal/sample'
import type { Place, Scene } from './place'
import type { AreaPlan } from './plan'

/** Which way a key moves the pointer, in steps; so many that it ends at a side where that is meant. */
const ways: { readonly [key in Key]?: readonly [right: number, down: number] } = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
  Home: [-1e6, 0],
  End: [1e6, 0],
}

/** How many times as large a key makes what fingers would, where there is such. */
const zooms: { readonly [key in Key]?: number } = { '+': 1.25, '-': 0.8 }

const limited = (value: number, size: number) => Math.min(size, Math.max(0, value))

/** What a key, or the focus that goes, does to the pointer: the sample of it; undefined where it does nothing. */
export function nudge(scenes: readonly Scene[], pointer: Pointer, { t, phase, key }: Sample): Sample | undefined {
  const sample = { t, x: pointer.x, y: pointer.y, buttons: 0, pointerType: 'mouse' as const }
  if (phase === 'blur' && pointer.isByKeys) return { ...sample, phase: 'leave' }
  const by = key && zooms[key]
  const way = key && (by === undefined ? ways[key] : ([0, 0] as const))
  if (phase !== 'key' || !way) return undefined
  for (const { plan, places } of scenes) {
    const step = plan.area.arrowKeys
    const place = step === undefined ? undefined : places.find(({ presence }) => presence.focused)
    if (!place || step === undefined || (by !== undefined && !isPinched(place))) continue
    const { frame } = place
    const at = startOf(plan, place, pointer)
    const [right, down] = slid(plan, place, way)
    const [x, y] = [limited(at.x + right * step * frame.width, frame.width), limited(at.y + down * step * frame.height, frame.height)]
    return { ...sample, ...toWindow(frame, x, y), ...(by === undefined ? { phase: 'move' } : { phase: 'pinch', by }) }
  }
  return undefined
}

const isPinched = ({ plays }: Place) => plays.some(({ channels }) => channels.some(({ signal }) => signal.of === 'pinch'))

/** A slider goes along its own side by every key: to the right, and up as well, it goes on; one that goes down goes on downward. */
function slid({ slider }: AreaPlan, { plays }: Place, [right, down]: readonly [number, number]): readonly [right: number, down: number] {
  const shown = plays.flatMap(({ channels }) => channels).find(({ id }) => id === slider)
  if (shown?.signal.of === 'x') return [right - down, 0]
  return shown?.signal.of === 'y' ? [0, right + down] : [right, down]
}

/** Where the pointer is on a place, if it is there; else the middle of it, or where its slider is. */
function startOf({ slider }: AreaPlan, { frame, presence, plays }: Place, pointer: Pointer): Point {
  const at = { x: frame.width / 2, y: frame.height / 2 }
  if (pointer.present && presence.inside) toFrame(frame, pointer.x, pointer.y, at)
  else if (slider !== undefined)
    for (const { channels, states } of plays)
      channels.forEach(({ id, signal }, i) => {
        const share = states[i]?.follower.target ?? 0
        if (id === slider && signal.of === 'x') at.x = share * frame.width
        if (id === slider && signal.of === 'y') at.y = share * frame.height
      })
  return at
}
