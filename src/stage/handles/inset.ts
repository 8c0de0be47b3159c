// An inset: a line along a side of the area.
import type { Box } from '../../core/geometry/box'
import { lineAt, type HandleKind, type HandleOf } from './handle'

type Inset = HandleOf<'inset'>

const isUpright = ({ side }: Inset) => side === 'left' || side === 'right'
/** The length that 100 % of it is. */
const wholeOf = (handle: Inset, box: Box) => (isUpright(handle) ? box.width : box.height)

export const inset: HandleKind<Inset> = {
  grip: (handle, { box }) => {
    const { side } = handle
    const inside = handle.unit === '%' ? (handle.value / 100) * wholeOf(handle, box) : handle.value
    return {
      x: side === 'left' ? box.x + inside : side === 'right' ? box.x + box.width - inside : box.x + box.width / 2,
      y: side === 'top' ? box.y + inside : side === 'bottom' ? box.y + box.height - inside : box.y + box.height / 2,
    }
  },
  valueAt: (handle, { box }, { x, y }) => {
    const inside = { left: x - box.x, right: box.x + box.width - x, top: y - box.y, bottom: box.y + box.height - y }[handle.side]
    return Math.round(handle.unit === '%' ? (inside / wholeOf(handle, box)) * 100 : inside)
  },
  draw: (handle, { box }, { x, y }) => [lineAt(box, isUpright(handle), isUpright(handle) ? x : y)],
}
