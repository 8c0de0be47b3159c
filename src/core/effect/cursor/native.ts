// A cursor that the browser draws by itself: a still picture, where nothing more is wanted.
import { cssString } from '../../rig/css-text'
import type { Rig } from '../../rig/rig'
import { areaOn, isWindow, rigOf } from '../build'
import { nativeControls } from './native-controls'
import type { CursorSettings } from './settings'

/** Larger ones browsers do not draw near the edges of the window, or not at all. */
const mostPx = 64

/** A colour that needs nothing of the page it is in: what a picture of its own knows too. */
const isPlainColour = (colour: string) => !/var\(|currentcolor|inherit|gradient/i.test(colour)

/** Whether a still picture is all that is wanted. */
export const isNative = ({
  shape,
  sizePx,
  colour,
  lateMs,
  speedPercent,
  pressPercent,
  blend,
  system,
  shapes,
  layer,
  picture,
  pictureSize,
}: CursorSettings) =>
  (shape === 'dot' || shape === 'ring'
    ? sizePx <= mostPx && isPlainColour(colour)
    : shape === 'picture' && picture !== '' && pictureSize === 'file') &&
  lateMs === 0 &&
  speedPercent === 0 &&
  pressPercent === 100 &&
  blend === 'normal' &&
  system === 'hidden' &&
  layer === 'top' &&
  shapes.length === 0

/** The picture of a dot or a ring, with where it points. */
function drawn({ shape, sizePx, colour, linePx, picture }: CursorSettings): string {
  const size = Math.ceil(sizePx)
  const middle = size / 2
  if (shape === 'picture') return `url(${cssString(picture)}) 0 0`
  const line = Math.min(linePx, sizePx / 2)
  const circle =
    shape === 'dot'
      ? `<circle cx="${middle}" cy="${middle}" r="${sizePx / 2}" fill="${colour}"/>`
      : `<circle cx="${middle}" cy="${middle}" r="${(sizePx - line) / 2}" fill="none" stroke="${colour}" stroke-width="${line}"/>`
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}">${circle}</svg>`
  return `url("data:image/svg+xml,${encodeURIComponent(svg).replaceAll("'", '%27')}") ${Math.floor(middle)} ${Math.floor(middle)}`
}

/** The rig of a cursor for which the browser needs no script. */
export function expandNative(settings: CursorSettings, select: string): Rig {
  const home = isWindow(select) ? ':root' : select
  const cursor = `${drawn(settings)}, auto !important`
  return rigOf({
    areas: [areaOn('ground', isWindow(select) ? '' : select, { of: isWindow(select) ? 'window' : 'group', among: 'all' })],
    rules: [
      { select: home, css: { cursor } },
      { select: `${home} :not(:is(${nativeControls}))`, css: { cursor } },
      { select: `:where(${home} :is(${nativeControls}))`, css: { cursor: 'auto' } },
    ],
    finePointerOnly: true,
  })
}
