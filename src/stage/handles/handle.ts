// What a handle on the page is made of: where its grip stands, what its number is with the grip elsewhere, and what is drawn of it.
import type { Box } from '../../core/geometry/box'
import type { ShownHandle } from '../protocol'

export interface Point {
  readonly x: number
  readonly y: number
}

/** What a handle is dragged about: the box of the area (px of the window), and where the ring has its middle. */
export interface Ground {
  readonly box: Box
  readonly middle: Point
}

/** What is drawn: a class of the overlay's stylesheet, and where. */
export interface Shape {
  readonly className: 'line' | 'ring' | 'ring soft' | 'cross' | 'arrow'
  readonly style: Readonly<Record<string, string>>
}

/** The handles of one sort; some share a description. */
export type HandleOf<On extends ShownHandle['on']> = ShownHandle extends infer H
  ? H extends { on: infer Sorts }
    ? On extends Sorts
      ? H & { readonly on: On }
      : never
    : never
  : never

/** One sort of handle. Its number is held in its range by whoever asks. */
export interface HandleKind<H extends ShownHandle> {
  readonly grip: (handle: H, ground: Ground, all: readonly ShownHandle[]) => Point
  readonly valueAt: (handle: H, ground: Ground, at: Point) => number
  readonly draw: (handle: H, ground: Ground, grip: Point) => readonly Shape[]
}

export const px = (value: number): string => `${value}px`

/** An upright or a level line through the whole box. */
export const lineAt = ({ x, y, width, height }: Box, isUpright: boolean, at: number): Shape => ({
  className: 'line',
  style: isUpright
    ? { left: px(at), top: px(y), height: px(height), borderLeftWidth: '1.5px' }
    : { left: px(x), top: px(at), width: px(width), borderTopWidth: '1.5px' },
})
