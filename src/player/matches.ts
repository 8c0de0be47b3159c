// The elements that a figure plays on: found, kept up to date, measured.
import { writeStillBox } from '../core/geometry/still-box'
import type { Box } from '../core/geometry/box'
import { beginPlay, leavePointer, type Play } from '../core/rig/play'
import type { PlayedFigure } from '../core/rig/played'

/** One matched element while it is played. */
export interface Match {
  readonly element: HTMLElement | SVGElement
  readonly play: Play
  /** Where it lies without us, in CSS px of the viewport. */
  readonly box: Box
  /** What was last written for each channel. */
  readonly written: number[]
  /** Whether the page had given it a style attribute before we came. */
  readonly hadStyle: boolean
  /** Whether any of it is in the window; true until the browser has told. */
  visible: boolean
}

/**
 * A match at its away pose. Values that already stand on the element, left there by a player before us,
 * are where its followers start from, at `t` (ms).
 */
export function beginMatch(element: HTMLElement | SVGElement, figure: PlayedFigure, t: number): Match {
  const standing = (index: number) => {
    const text = element.style.getPropertyValue(figure.channels[index]?.property ?? '')
    return text === '' ? undefined : Number(text)
  }
  const play = beginPlay(figure.channels, standing)
  leavePointer(play, figure.channels, t)
  return {
    element,
    play,
    box: { x: 0, y: 0, width: 0, height: 0 },
    written: figure.channels.map(() => NaN),
    hadStyle: element.hasAttribute('style'),
    visible: true,
  }
}

/** Takes our values off the element; the style attribute goes too where the page had none. */
export function endMatch({ element, hadStyle }: Match, figure: PlayedFigure): void {
  for (const { property } of figure.channels) element.style.removeProperty(property)
  if (!hadStyle && element.getAttribute('style') === '') element.removeAttribute('style')
}

/** Reads into `box` where the element lies without its own transform. */
export function readStillBox(element: Element, box: Box): void {
  const hull = element.getBoundingClientRect()
  const style = getComputedStyle(element)
  const [originX = 0, originY = 0] = style.transformOrigin.split(' ').map(parseFloat)
  const isBorderBox = style.boxSizing === 'border-box'
  const width = parseFloat(style.width) + (isBorderBox ? 0 : edges(style, 'Left', 'Right'))
  const height = parseFloat(style.height) + (isBorderBox ? 0 : edges(style, 'Top', 'Bottom'))
  writeStillBox(box, { hull, width, height, matrix: new DOMMatrixReadOnly(style.transform), originX, originY })
}

/** Padding and border on two sides, px. */
function edges(style: CSSStyleDeclaration, from: 'Left' | 'Top', to: 'Right' | 'Bottom'): number {
  return (
    parseFloat(style[`padding${from}`]) + parseFloat(style[`padding${to}`]) +
    parseFloat(style[`border${from}Width`]) + parseFloat(style[`border${to}Width`])
  )
}
