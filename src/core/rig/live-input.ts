// What goes into a channel's curve while the pointer stands somewhere: for a drawing on which the present moment rides.
import type { Place } from '../geometry/place'
import { pointAt } from '../geometry/place'
import { evaluate } from './evaluate'
import { touchedBy } from './resolve'
import type { Rig } from './rig'

/** The number that a channel reads at a place of its area (of this size, px), before its curve; undefined where it reads none. */
export function liveInput(
  rig: Rig,
  channelId: string,
  place: Place,
  size: { readonly width: number; readonly height: number },
): number | undefined {
  const channel = rig.channels.find(({ id }) => id === channelId)
  if (!channel) return undefined
  const box = { x: 0, y: 0, ...size }
  const bare: Rig = {
    ...rig,
    channels: [
      { ...channel, curve: undefined, feel: { kind: 'direct' }, going: undefined, timing: undefined, chain: undefined, seenBy: undefined },
    ],
    outputs: [],
    parts: [],
    rules: [],
    layers: undefined,
  }
  const boxes = { window: size, elements: Object.fromEntries(touchedBy(bare).read.map((select) => [select, [box]])) }
  const { x, y } = pointAt(box, place)
  const value = evaluate(bare, [{ t: 0, x, y, buttons: 0, pointerType: 'mouse', phase: 'move' }], boxes, [1]).moments[0]?.values[0]
  return typeof value === 'number' && Number.isFinite(value) ? value : undefined
}
