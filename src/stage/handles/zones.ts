// Into how many columns or rows the area is cut: a line for each cut.
import type { Box } from '../../core/geometry/box'
import { lineAt, type HandleKind, type HandleOf } from './handle'

type Zones = HandleOf<'zones'>

const startOf = ({ along, insetPx = 0 }: Zones, box: Box) => (along === 'columns' ? box.x : box.y) + insetPx
const lengthOf = ({ along, insetPx = 0 }: Zones, box: Box) => Math.max(1, (along === 'columns' ? box.width : box.height) - 2 * insetPx)

export const zones: HandleKind<HandleOf<'zones'>> = {
  grip: (handle, { box }) => {
    const at = startOf(handle, box) + lengthOf(handle, box) / handle.value
    return handle.along === 'columns' ? { x: at, y: box.y + box.height - 12 } : { x: box.x + 12, y: at }
  },
  valueAt: (handle, { box }, { x, y }) => {
    const size = (handle.along === 'columns' ? x : y) - startOf(handle, box)
    return Math.round(lengthOf(handle, box) / Math.max(4, size))
  },
  draw: (handle, { box }) => {
    const { along, value, insetPx = 0 } = handle
    // Where the outermost ones go on beyond their limits, the limits are drawn too.
    const [from, until] = insetPx > 0 ? [0, value] : [1, value - 1]
    return Array.from({ length: Math.max(0, until - from + 1) }, (_, i) =>
      lineAt(box, along === 'columns', startOf(handle, box) + ((from + i) / value) * lengthOf(handle, box)),
    )
  },
}
