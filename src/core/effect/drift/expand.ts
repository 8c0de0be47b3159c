// Drift as a rig: two centred signals of the box slide every layer by an amount of its own.
import type { Channel, Knob, Output, Rig } from '../../rig/rig'
import { areaOn, channelsIn, comingFeel, outputOn, rigOf, sliding, turning } from '../build'
import type { Filled } from '../kind'
import { driftParameters, unitOf, type DriftSettings } from './settings'

const { knob } = driftParameters

/** Boxes up to so many times as long as wide are filled by a layer that turns. */
const longest = 1.8

/**
 * How large a layer has to be to fill its box wherever it slides (by so many % of itself) and turns: a box a times as long as
 * wide, turned by t, lies inside one that is cos t + a sin t times as large.
 */
function fillingScale(percent: number, turnDeg: number): number {
  const turn = (turnDeg * Math.PI) / 180
  return Number(((1 + (2 * percent) / 100) * (Math.cos(turn) + longest * Math.sin(turn))).toFixed(4))
}

/** The rig of a drift in the elements that `select` matches; layers that nobody has pointed at yet are left out. */
export function expandDrift(settings: DriftSettings, select: string, roles: Filled = {}, strength = 1): Rig {
  const { layers, direction, axes, turnDeg, scalePercent, kept, follow, back, away, pose } = settings
  const channel = channelsIn('ground')
  const filled = layers.flatMap((layer) => (roles[layer.id] === undefined ? [] : [{ ...layer, select: roles[layer.id] ?? '' }]))
  const sign = direction === 'with' ? 1 : -1
  const hasAcross = axes !== 'up-down'
  const hasDown = axes !== 'across'
  const isEnlarged = kept === 'enlarged'
  const place = (id: 'x' | 'y'): Channel =>
    channel(id, { of: id === 'x' ? 'centredX' : 'centredY' }, 'travel', follow, {
      away: { kind: away, pose: pose[id] },
      going: back ?? undefined,
    })
  const channels: Channel[] = [...(hasAcross || turnDeg > 0 ? [place('x')] : []), ...(hasDown ? [place('y')] : [])]
  if (scalePercent > 0) channels.push(channel('here', { of: 'inside' }, 'scale', comingFeel(320), { going: comingFeel(520) }))
  const knobs: Knob[] = filled.map(({ id, amount }) => ({
    id,
    value: amount,
    unit: unitOf(settings),
    note: `how far {${id}} slides`,
    isAmount: true,
  }))
  if (turnDeg > 0) knobs.push(knob(settings, 'turnDeg'))
  if (scalePercent > 0) knobs.push(knob(settings, 'scalePercent'))
  const slot = (axis: 'X' | 'Y') => sliding(axis, unitOf(settings) === '%' ? '%' : undefined)
  const outputs: Output[] = filled.flatMap(({ id, amount, select: within }) => {
    const to = { within }
    return [
      ...(hasAcross ? [outputOn(to, slot('X'), { factor: sign, knob: id, channel: 'x' })] : []),
      ...(hasDown ? [outputOn(to, slot('Y'), { factor: sign, knob: id, channel: 'y' })] : []),
      ...(turnDeg > 0 ? [outputOn(to, turning('rotate'), { factor: sign, knob: 'turn', channel: 'x' })] : []),
      ...(scalePercent > 0 ? [outputOn(to, turning('scale'), { base: 1, knob: 'scale', channel: 'here' })] : []),
      ...(isEnlarged ? [outputOn(to, turning('scale'), { base: fillingScale(amount * strength, turnDeg * strength), factor: 0 })] : []),
    ]
  })
  return rigOf({
    areas: [areaOn('ground', select)],
    channels,
    knobs,
    outputs,
    rules: kept === 'free' ? [] : [{ select, whilePlayed: true, css: { overflow: 'clip' } }],
  })
}
