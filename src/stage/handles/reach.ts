// How far beyond its edges an area still counts: a border round it.
import { px, type HandleKind, type HandleOf } from './handle'

export const reach: HandleKind<HandleOf<'reach'>> = {
  grip: ({ value }, { box }) => ({ x: box.x + box.width + value, y: box.y + box.height / 2 }),
  valueAt: (_, { box }, { x }) => Math.round(x - box.x - box.width),
  draw: ({ value }, { box }) => [
    {
      className: 'line',
      style: {
        left: px(box.x - value),
        top: px(box.y - value),
        width: px(box.width + 2 * value),
        height: px(box.height + 2 * value),
        borderWidth: '1.5px',
      },
    },
  ],
}
