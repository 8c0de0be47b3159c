// Arrow keys move the pointer on what has the focus: so whoever uses no pointer reaches what the others reach.
import { toFrame, toWindow, type Point } from '../geometry/frame'
import type { Pointer } from '../signal/pointer'
import type { Key, Sample } from '../signal/sample'
import type { Place, Scene } from './place'
import type { AreaPlan } from './plan'

/** Where a key takes a point along one side of so many px, in steps of a share of it. */
const along: { readonly [axis in 'x' | 'y']: { readonly [key in Key]?: (at: number, size: number, step: number) => number } } = {
  x: {
    ArrowLeft: (at, size, step) => at - step * size,
    ArrowRight: (at, size, step) => at + step * size,
    Home: () => 0,
    End: (_, size) => size,
  },
  y: { ArrowUp: (at, size, step) => at - step * size, ArrowDown: (at, size, step) => at + step * size },
}

const limited = (value: number, size: number) => Math.min(size, Math.max(0, value))

/** What a key, or the focus that goes, does to the pointer: the sample of it; undefined where it does nothing. */
export function nudge(scenes: readonly Scene[], pointer: Pointer, { t, phase, key }: Sample): Sample | undefined {
  const sample = { t, x: pointer.x, y: pointer.y, buttons: 0, pointerType: 'mouse' as const }
  if (phase === 'blur' && pointer.isByKeys) return { ...sample, phase: 'leave' }
  const move = { x: key && along.x[key], y: key && along.y[key] }
  if (phase !== 'key' || !(move.x ?? move.y)) return undefined
  for (const { plan, places } of scenes) {
    const step = plan.area.arrowKeys
    const place = step === undefined ? undefined : places.find(({ presence }) => presence.focused)
    if (!place || step === undefined) continue
    const { frame } = place
    const at = startOf(plan, place, pointer)
    const [x, y] = [
      limited(move.x?.(at.x, frame.width, step) ?? at.x, frame.width),
      limited(move.y?.(at.y, frame.height, step) ?? at.y, frame.height),
    ]
    return { ...sample, ...toWindow(frame, x, y), phase: 'move' }
  }
  return undefined
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
