// Rings round the pointer: by their radius, by their width, and the soft edge beyond one of them.
import { px, type Ground, type HandleKind, type HandleOf, type Point, type Shape } from './handle'

const away = ({ middle }: Ground, { x, y }: Point) => Math.hypot(x - middle.x, y - middle.y)

const drawn = (className: Shape['className'], { middle }: Ground, radius: number): readonly Shape[] => [
  { className, style: { left: px(middle.x), top: px(middle.y), width: px(2 * radius), height: px(2 * radius) } },
]

export const radius: HandleKind<HandleOf<'radius'>> = {
  grip: ({ value }, { middle }) => ({ x: middle.x + value, y: middle.y }),
  valueAt: (_, ground, at) => Math.round(away(ground, at)),
  draw: ({ value }, ground) => drawn('ring', ground, value),
}

export const diameter: HandleKind<HandleOf<'diameter'>> = {
  grip: ({ value }, { middle }) => ({ x: middle.x + value / 2, y: middle.y }),
  valueAt: (_, ground, at) => Math.round(2 * away(ground, at)),
  draw: ({ value }, ground) => drawn('ring', ground, value / 2),
}

export const softness: HandleKind<HandleOf<'softness'>> = {
  grip: ({ inner, value }, { middle }) => ({ x: middle.x, y: middle.y + inner + value }),
  valueAt: ({ inner }, ground, at) => Math.round(away(ground, at) - inner),
  draw: ({ inner, value }, ground) => drawn('ring soft', ground, inner + value),
}
