// Tilt as a rig: two centred signals turn the card about its own axes; `inside` lifts and grows it.
import type { Timed } from '../../feel/feel'
import type { Channel, Knob, Output, Rig } from '../../rig/rig'
import type { TransformFunction } from '../../rig/slot'
import type { TiltSettings } from './settings'

const easeOut = 'cubic-bezier(0.2, 0.7, 0.2, 1)'

/** How lift and growth come and go. */
export const comingFeel = (durationMs: number): Timed => ({ kind: 'timed', durationMs, easing: easeOut, delayMs: 0 })

/**
 * The rig of a tilt on the elements that `select` matches.
 * For a lean that *sinks*: rotateY = +angle * centredX, rotateX = -angle * centredY; *rises* turns both signs.
 */
export function expandTilt(settings: TiltSettings, select: string): Rig {
  const sign = settings.edge === 'sinks' ? 1 : -1
  const lean = (of: 'centredX' | 'centredY', pose: number): Channel => ({
    id: of === 'centredX' ? 'x' : 'y',
    area: 'card',
    frame: 'area',
    signal: { of },
    away: { kind: settings.away, pose },
    feel: settings.follow,
    going: settings.back ?? undefined,
    group: 'turn',
  })
  const upDownKnob = settings.linked ? 'lean' : 'lean-up-down'
  const knobs: Knob[] = [
    settings.linked
      ? { id: 'lean', value: settings.acrossDeg, unit: 'deg', note: 'how far it leans at its edges' }
      : { id: 'lean', value: settings.acrossDeg, unit: 'deg', note: 'how far it leans at its left and right edge' },
  ]
  if (!settings.linked) knobs.push({ id: upDownKnob, value: settings.upDownDeg, unit: 'deg', note: 'how far it leans at its upper and lower edge' })
  knobs.push({ id: 'eye', value: settings.eyePx, unit: 'px', note: 'how far away the eye is; nearer looks deeper' })
  const output = (fn: TransformFunction, factor: number, knob: string, channel?: string, base = 0): Output => ({
    to: 'self',
    slot: { on: 'transform', fn },
    base,
    factor,
    knob,
    channel,
    strength: 1,
  })
  const outputs = [output('perspective', 1, 'eye'), output('rotateX', -sign, upDownKnob, 'y'), output('rotateY', sign, 'lean', 'x')]
  const channels = [lean('centredX', settings.pose.x), lean('centredY', settings.pose.y)]
  if (settings.liftPx > 0 || settings.growPercent > 0) {
    channels.push({
      id: 'here',
      area: 'card',
      frame: 'area',
      signal: { of: 'inside' },
      away: { kind: settings.away, pose: 0 },
      feel: comingFeel(settings.comeMs),
      going: comingFeel(settings.goMs),
      group: 'scale',
    })
  }
  if (settings.liftPx > 0) {
    knobs.push({ id: 'lift', value: settings.liftPx, unit: 'px', note: 'how far it comes toward you' })
    outputs.push(output('translateZ', 1, 'lift', 'here'))
  }
  if (settings.growPercent > 0) {
    knobs.push({ id: 'grow', value: settings.growPercent / 100, unit: '', note: 'how much it grows, as a share of its size' })
    outputs.push(output('scale', 1, 'grow', 'here', 1))
  }
  return {
    areas: [{ id: 'card', of: 'each', select, box: 'still', among: 'one', pointer: 'fine', touch: 'none' }],
    channels,
    knobs,
    outputs,
    parts: [],
    rules: [],
  }
}
