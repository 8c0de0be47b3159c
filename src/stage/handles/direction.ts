// A direction: an arrow from the middle of the area, degrees clockwise from up.
import type { Box } from '../../core/geometry/box'
import { px, type HandleKind, type HandleOf } from './handle'

const middleOf = ({ x, y, width, height }: Box) => ({ x: x + width / 2, y: y + height / 2 })

export const direction: HandleKind<HandleOf<'direction'>> = {
  grip: ({ value }, { box }) => {
    const from = middleOf(box)
    const long = Math.min(box.width, box.height) * 0.4
    return { x: from.x + long * Math.sin((value * Math.PI) / 180), y: from.y - long * Math.cos((value * Math.PI) / 180) }
  },
  valueAt: ({ value }, { box }, { x, y }) => {
    const from = middleOf(box)
    const degrees = (Math.atan2(x - from.x, from.y - y) * 180) / Math.PI
    const eighth = Math.round(degrees / 45) * 45
    const caught = Math.abs(degrees - eighth) < 3 ? eighth : Math.round(degrees)
    // The turn that comes nearest to where it was.
    return caught + 360 * Math.round((value - caught) / 360)
  },
  draw: ({ value }, { box }, grip) => {
    const from = middleOf(box)
    const style = {
      left: px(from.x),
      top: px(from.y - 1),
      width: px(Math.hypot(grip.x - from.x, grip.y - from.y)),
      transform: `rotate(${value - 90}deg)`,
    }
    return [{ className: 'arrow', style }]
  },
}
