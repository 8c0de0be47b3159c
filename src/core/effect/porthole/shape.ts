// The shape of a porthole as CSS: what is left of a layer round a point of it, and what its edge is drawn with.
import type { PortholeSettings } from './settings'

type Css = Readonly<Record<string, string>>

/** What is written on the layer: where the middle of the porthole is in it, px from its corner, and how large it is from there. */
export const hole = { x: '--hole-x', y: '--hole-y', radius: '--hole-radius', wobble: '--hole-wobble' } as const

/** Whether it is drawn by its radius, as a circle or an ellipse. */
export const isRound = ({ shape }: Pick<PortholeSettings, 'shape'>): boolean => shape === 'circle' || shape === 'ellipse'

/** Whether its width is told apart from its height. */
export const isWide = ({ shape }: Pick<PortholeSettings, 'shape'>): boolean => shape === 'ellipse' || shape === 'box'

/** What the edge of a round one is softened by. */
const softRound = 'radial-gradient(closest-side, #000 calc(100% - {soft}), transparent)'

/** Half of its width and of its height. */
function halves(settings: PortholeSettings): readonly [string, string] {
  const { wobblePercent } = settings
  const radius = `var(${hole.radius})`
  const wide = isWide(settings) ? ' * {wide}' : ''
  const swung = (sign: string) => (wobblePercent > 0 ? ` * (1 ${sign} var(${hole.wobble}))` : '')
  return [`${radius}${wide}${swung('+')}`, `${radius}${swung('-')}`]
}

const worked = (sum: string) => (sum.includes(' ') ? `calc(${sum})` : sum)

/** A picture of the shape, as large as its tile: a box with its corners, or an outline; softened by a share of its size. */
function drawn({ shape, outline, cornersPx, radiusPx, widePercent, softPx }: PortholeSettings): string {
  const share = Math.min(50, (50 * softPx) / radiusPx)
  const [rx, ry] = [(cornersPx * 50 * 100) / (radiusPx * widePercent), (cornersPx * 50) / radiusPx].map((each) => Math.min(50, each))
  const n = (value = 0) => Number(value.toFixed(2))
  const inner =
    shape === 'outline'
      ? `<path d='${outline.trim()}'/>`
      : `<rect x='${n(share)}' y='${n(share)}' width='${n(100 - 2 * share)}' height='${n(100 - 2 * share)}' rx='${n(rx)}' ry='${n(ry)}'/>`
  const soft =
    softPx > 0 ? [`<filter id='s'><feGaussianBlur stdDeviation='${n(share / 2)}'/></filter><g filter='url(#s)'>`, '</g>'] : ['', '']
  const svg = `<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 100 100' preserveAspectRatio='none'>${soft[0]}${inner}${soft[1]}</svg>`
  return `url("data:image/svg+xml,${svg.replace(/[%#<>"{}\s]/g, (each) => encodeURIComponent(each))}")`
}

/** Whether a clip with holes for what is written is all of it: then nothing else is told on the way. */
export const isPlainClip = ({ shape, softPx, wobblePercent }: PortholeSettings): boolean =>
  shape === 'circle' && softPx === 0 && wobblePercent === 0

/** That clip. */
export const plainClip = 'circle({size} at {x} {y})'

/**
 * The declarations that leave of a layer what is in the porthole. The pointer meets the layer within the clip alone. A mask, where one is
 * needed, is a tile as large as the porthole, however large the layer is.
 */
export function shapeCss(settings: PortholeSettings): Css {
  if (isPlainClip(settings)) return {}
  const { shape, softPx } = settings
  const [halfWidth, halfHeight] = halves(settings)
  const [x, y] = [`var(${hole.x})`, `var(${hole.y})`]
  const sized = halfWidth === halfHeight ? `circle(${worked(halfWidth)}` : `ellipse(${worked(halfWidth)} ${worked(halfHeight)}`
  const [left, top] = [`calc(${x} - ${halfWidth})`, `calc(${y} - ${halfHeight})`]
  const sides = [top, `calc(100% - ${x} - ${halfWidth})`, `calc(100% - ${y} - ${halfHeight})`, left]
  const clip = isRound(settings)
    ? `${sized} at ${x} ${y})`
    : `inset(${sides.join(' ')}${shape === 'box' && softPx === 0 ? ' round {corners}' : ''})`
  if (softPx === 0 && shape !== 'outline') return { 'clip-path': clip }
  return {
    'clip-path': clip,
    'mask-image': isRound(settings) ? softRound : drawn(settings),
    'mask-size': `calc(2 * ${halfWidth}) calc(2 * ${halfHeight})`,
    'mask-position': `${left} ${top}`,
    'mask-repeat': 'no-repeat',
  }
}

/** The same for a part that is itself as large as the porthole, and is moved as a whole. */
export function partCss(settings: PortholeSettings): Css {
  const { shape, softPx } = settings
  const wide = isWide(settings) ? ' * {wide}' : ''
  const half = `{radius}${wide}`
  const size = {
    left: wide ? `calc(-1 * ${half})` : 'calc(-1 * {radius})',
    top: 'calc(-1 * {radius})',
    width: `calc(2 * ${half})`,
    height: 'calc(2 * {radius})',
    ...(shape === 'outline' || (shape === 'box' && softPx > 0) ? {} : { 'border-radius': isRound(settings) ? '50%' : '{corners}' }),
  }
  if (softPx === 0 && shape !== 'outline') return size
  return { ...size, 'mask-image': isRound(settings) ? softRound : drawn(settings), 'mask-size': '100% 100%' }
}
