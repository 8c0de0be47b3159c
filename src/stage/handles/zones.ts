// Into how many columns or rows the area is cut: a line for each cut.
import { lineAt, type HandleKind, type HandleOf } from './handle'

export const zones: HandleKind<HandleOf<'zones'>> = {
  grip: ({ along, value }, { box }) =>
    along === 'columns' ? { x: box.x + box.width / value, y: box.y + box.height - 12 } : { x: box.x + 12, y: box.y + box.height / value },
  valueAt: ({ along }, { box }, { x, y }) => {
    const [size, whole] = along === 'columns' ? [x - box.x, box.width] : [y - box.y, box.height]
    return Math.round(whole / Math.max(4, size))
  },
  draw: ({ along, value }, { box }) =>
    Array.from({ length: Math.max(0, value - 1) }, (_, i) => {
      const share = (i + 1) / value
      return lineAt(box, along === 'columns', along === 'columns' ? box.x + share * box.width : box.y + share * box.height)
    }),
}
