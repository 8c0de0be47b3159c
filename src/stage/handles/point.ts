// A point on the area: two numbers with one grip.
import type { ShownHandle } from '../protocol'
import { px, type HandleKind, type HandleOf } from './handle'

const shareOf = (handle: ShownHandle | undefined) =>
  handle?.on === 'point' ? (handle.value - handle.from) / (handle.to - handle.from) : 0.5

export const point: HandleKind<HandleOf<'point'>> = {
  grip: (handle, { box }, all) => {
    const other = all.find((each) => each.on === 'point' && each.axis !== handle.axis)
    const [x, y] = handle.axis === 'x' ? [shareOf(handle), shareOf(other)] : [shareOf(other), shareOf(handle)]
    return { x: box.x + x * box.width, y: box.y + y * box.height }
  },
  valueAt: ({ axis, from, to }, { box }, { x, y }) => {
    const share = axis === 'x' ? (x - box.x) / box.width : (y - box.y) / box.height
    // Caught by the middle.
    const caught = Math.abs(share - 0.5) < 0.03 ? 0.5 : share
    return Math.round(from + caught * (to - from))
  },
  draw: (_, __, { x, y }) => [{ className: 'cross', style: { left: px(x), top: px(y) } }],
}
