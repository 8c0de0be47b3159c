import { given } from './given'
import type { Frame } from './types'

const none = [0, 0, 0, 0] as const
const px = (text: string) => parseFloat(text) || 0

/** Where an element lies that nothing turns: its padding box, as the browser lays it out. */
export function plain(element: Element): Frame {
  const { left, top, width, height } = element.getBoundingClientRect()
  if (!given.hasBorders) return { toFrame: new DOMMatrix([1, 0, 0, 1, -left, -top]), width, height, border: none, radii: none }
  const style = getComputedStyle(element)
  const border = [px(style.borderTopWidth), px(style.borderRightWidth), px(style.borderBottomWidth), px(style.borderLeftWidth)] as const
  const radii = [px(style.borderTopLeftRadius), px(style.borderTopRightRadius), px(style.borderBottomRightRadius), px(style.borderBottomLeftRadius)] as const
  return { toFrame: new DOMMatrix([1, 0, 0, 1, -left - border[3], -top - border[0]]), width: width - border[1] - border[3], height: height - border[0] - border[2], border, radii }
}
