// Follow as a rig: the way from the middle of the mover, where it stands, to the pointer is what it is moved by.
import { lagOf } from '../../feel/answer'
import type { Channel, Knob, Output, Rig } from '../../rig/rig'
import { areaOn, channelsIn, comingFeel, groundOf, outputOn, rigOf, sliding, turning } from '../build'
import type { Filled } from '../kind'
import { bends, followParameters, type FollowSettings } from './settings'

const { knob } = followParameters

/** The lean is told for this speed, px/s. */
const leanSpeed = 1000

/** The rig of the movers that `select` matches, inside their grounds. */
export function expandFollow(settings: FollowSettings, select: string, roles: Filled = {}, strength = 1): Rig {
  const { axes, acrossPx, upDownPx, offsetXPx, offsetYPx, path, leanDeg, facing, away, comeMs, goMs, follow } = settings
  const ground = roles.ground ?? groundOf(select)
  const channel = channelsIn('ground')
  const inMover = { frame: { each: select }, away: { kind: away === 'home' ? 'settle' : 'hold', pose: 0 } } as const
  const limited = (px: number) => ({
    stops: [
      { at: -Math.max(px, 0.1), value: -px },
      { at: Math.max(px, 0.1), value: px },
    ],
  })
  const hasAcross = axes !== 'up-down'
  const hasDown = axes !== 'across'
  const channels: Channel[] = []
  const knobs: Knob[] = []
  const outputs: Output[] = []
  const place = (id: 'x' | 'y', limit: number) => {
    channels.push(channel(id, { of: id === 'x' ? 'xPx' : 'yPx', from: 'centre' }, 'travel', follow, { ...inMover, curve: limited(limit) }))
    outputs.push(outputOn('self', sliding(id === 'x' ? 'X' : 'Y'), { channel: id, strength }))
  }
  if (hasAcross) place('x', acrossPx)
  if (hasDown) place('y', upDownPx)
  const needsHere = offsetXPx !== 0 || offsetYPx !== 0 || facing === 'heading'
  if (needsHere)
    channels.push(
      channel('here', { of: 'inside' }, 'travel', comingFeel(comeMs), {
        going: comingFeel(goMs),
        frame: { each: select },
        ...(away === 'stays' ? { away: { kind: 'hold', pose: 0 } } : {}),
      }),
    )
  const offset = (axis: 'X' | 'Y') => {
    const beside = knob(settings, `offset${axis}Px`)
    if (beside.value === 0) return
    knobs.push(beside)
    outputs.push(outputOn('self', sliding(axis), { knob: beside.id, channel: 'here' }))
  }
  offset('X')
  offset('Y')
  if (bends(settings)) {
    // Where along the ground the pointer is, is read in the ground itself.
    const weight = channel('along', { of: 'inside' }, 'travel', comingFeel(comeMs), {
      going: comingFeel(goMs),
      ...(away === 'stays' ? { away: { kind: 'hold', pose: 0 } } : {}),
    })
    channels.push(
      weight,
      channel('run', { of: 'x' }, 'travel', follow, { away: { kind: away === 'home' ? 'settle' : 'hold', pose: 0.5 }, curve: path }),
    )
    outputs.push(outputOn({ within: select }, sliding('Y'), { channel: 'run', weight: 'along', strength }))
  }
  const axis = hasAcross ? 'x' : 'y'
  const lagPx = lagOf(follow, leanSpeed)
  if (leanDeg > 0 && lagPx > 0) {
    // By how far it is behind the pointer: a spring that follows a steady hand lags in proportion to its speed.
    knobs.push(knob(settings, 'leanDeg'))
    channels.push({
      ...channel('ahead', { of: axis === 'x' ? 'xPx' : 'yPx', from: 'centre' }, 'turn', { kind: 'glide', halfLifeMs: 25 }, inMover),
      curve: limited(axis === 'x' ? acrossPx : upDownPx),
    })
    outputs.push(
      outputOn('self', turning('rotate'), { factor: 1 / lagPx, knob: 'lean', channel: 'ahead' }),
      outputOn('self', turning('rotate'), { factor: -1 / lagPx, knob: 'lean', channel: axis }),
    )
  }
  if (facing === 'heading') {
    channels.push(
      channel('heading', { of: 'heading' }, 'turn', { kind: 'glide', halfLifeMs: 60 }, { ...inMover, away: { kind: 'hold', pose: 0 } }),
    )
    outputs.push(outputOn('self', turning('rotate'), { channel: 'heading', weight: 'here' }))
  }
  return rigOf({ areas: [areaOn('ground', ground)], channels, knobs, outputs })
}
