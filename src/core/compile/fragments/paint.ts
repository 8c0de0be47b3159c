import { inFrame } from './areas'
import { linkAt } from './chain'
import { given } from './given'
import { toldBySheet } from './knobs'
import { partsOf } from './parts'
import { onWay } from './track'
import type { Effect, Place, ValueFollower } from './types'

/** A canvas is made anew in steps of this, px. */
const canvasStep = 128

/** Where each piece is along one axis at t, px of the frame. */
function piecesAt(effect: Effect, place: Place, follower: ValueFollower, t: number): readonly number[] {
  const { links = 0, pieces = 0, lagMs = 0, axis = 'x' } = follower.value
  if (links) return Array.from({ length: links }, (_, k) => linkAt(follower, k, t))
  return Array.from({ length: pieces }, (_, k) => inFrame(effect, place, onWay(place, lagMs, k, t))[axis])
}

/** The colour of each piece, in the words that a canvas reads fastest: what CSS makes of two of them is painted, and read again. */
function coloursOf(context: CanvasRenderingContext2D, [, , near = '', far = '']: readonly string[], count: number): readonly string[] {
  context.resetTransform()
  context.clearRect(0, 0, count, 1)
  for (let k = 0; k < count; k++) {
    context.fillStyle = `color-mix(in oklab, ${far} ${(100 * k) / Math.max(1, count - 1)}%, ${near})`
    context.fillRect(k, 0, 1, 1)
  }
  const { data } = context.getImageData(0, 0, count, 1)
  return Array.from({ length: count }, (_, k) => {
    const [red, green, blue, alpha] = data.slice(4 * k) as unknown as [number, number, number, number]
    return `rgba(${red}, ${green}, ${blue}, ${(alpha / 255).toFixed(3)})`
  })
}

/** Paints the pieces of an effect on its canvas, which goes with them and is no larger than they need it. */
export function paint(effect: Effect, place: Place, t: number): void {
  const [canvas] = partsOf(place.area, effect.canvas ?? '') as Iterable<HTMLCanvasElement>
  const [xs = [], ys = []] = (['x', 'y'] as const).map((axis) =>
    place.followers.filter(({ value }) => value.paints === axis).flatMap((each) => piecesAt(effect, place, each, t)),
  )
  const context = canvas?.getContext('2d')
  if (!canvas || !context || xs.some(Number.isNaN)) return
  // How large and which colour they are.
  const told = toldBySheet(canvas, effect.paintedBy ?? [], t)
  if (place.painted?.told !== told) place.painted = { told, colours: coloursOf(context, told, xs.length) }
  const { colours } = place.painted
  const [from, to] = told.map(parseFloat) as [number, number]
  const most = Math.max(from, to) / 2 + 1
  // On whole pixels of the screen, so that it is sharp.
  const ratio = devicePixelRatio
  const [left, top] = [xs, ys].map((all) => Math.floor((Math.min(...all) - most) * ratio) / ratio) as [number, number]
  const [width, height] = [Math.max(...xs) + most - left, Math.max(...ys) + most - top].map(
    (length) => Math.ceil((length * ratio) / canvasStep) * canvasStep,
  ) as [number, number]
  // As long as they move, one that is not much larger than it has to be stays.
  const fits = (has: number, needs: number) => has >= needs && has <= (place.moves ? 2 : 1) * needs
  if (!canvas.style.width || !fits(canvas.width, width) || !fits(canvas.height, height)) {
    Object.assign(canvas, { width, height })
    canvas.style.width = `${width / ratio}px`
    canvas.style.height = `${height / ratio}px`
  }
  canvas.style.translate = `${left}px ${top}px`
  context.setTransform(ratio, 0, 0, ratio, -left * ratio, -top * ratio)
  context.clearRect(left, top, canvas.width / ratio, canvas.height / ratio)
  context.lineCap = 'round'
  for (let k = xs.length - 1; k >= 0; k--) {
    const share = k / Math.max(1, xs.length - 1)
    const [x = 0, y = 0, size] = [xs[k], ys[k], from + share * (to - from)]
    context.beginPath()
    if (given.paintsRibbon && effect.isRibbon) {
      context.strokeStyle = colours[k] ?? ''
      context.lineWidth = size
      context.moveTo(x, y)
      context.lineTo(xs[k + 1] ?? x, ys[k + 1] ?? y)
      context.stroke()
    } else {
      context.fillStyle = colours[k] ?? ''
      context.arc(x, y, size / 2, 0, 2 * Math.PI)
      context.fill()
    }
  }
}
