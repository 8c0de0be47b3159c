// Pull as a rig: so much of the way from the middle of an element to the pointer is what it is moved by, within limits.
import type { Rig } from '../../rig/rig'
import { targetSelect } from '../../rig/resolve'
import { areaOn, channelsIn, insetsOf, outputOn, rigOf, sliding } from '../build'
import type { Filled } from '../kind'
import { pullParameters, type PullSettings } from './settings'

const { knob } = pullParameters

/** The rig of what is pulled, which `select` matches; `inner` among the roles is what goes further in it. */
export function expandPull(settings: PullSettings, select: string, { inner }: Filled = {}): Rig {
  const { reachPx, sharePercent, mostPx, innerPercent, keepsPx, follow, back } = settings
  const channel = channelsIn('element')
  // The way to the pointer at which it is as far as it goes.
  const limit = sharePercent === 0 ? 1 : (100 * mostPx) / sharePercent
  const curve = {
    stops: [
      { at: -limit, value: -limit },
      { at: limit, value: limit },
    ],
  }
  const hasInner = inner !== undefined && innerPercent > 0
  const axes = ['x', 'y'] as const
  return rigOf({
    areas: [areaOn('element', select, { insets: insetsOf(-reachPx) })],
    channels: axes.map((axis) =>
      channel(axis, { of: axis === 'x' ? 'xPx' : 'yPx', from: 'centre' }, 'travel', follow, {
        curve,
        ...(back === null ? {} : { going: back }),
      }),
    ),
    knobs: [knob(settings, 'sharePercent'), ...(hasInner ? [knob(settings, 'innerPercent')] : [])],
    outputs: axes.flatMap((axis) => {
      const slot = sliding(axis === 'x' ? 'X' : 'Y')
      return [
        outputOn('self', slot, { knob: 'share', channel: axis, ...(keepsPx > 0 ? { keepsPx } : {}) }),
        ...(hasInner ? [outputOn({ within: innerOf(select, inner) }, slot, { knob: 'inner', channel: axis })] : []),
      ]
    }),
  })
}

/** What is in the element itself: its own content moves with it alone. */
const innerOf = (select: string, inner: string) => (inner === select ? targetSelect(select, { within: '> *' }) : inner)
