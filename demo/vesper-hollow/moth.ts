// Draws a pinned moth as layers of SVG: wings, body, antennae. Everything is drawn by rule from a seed and a palette.
import { seededRandom } from './random'

/** Colours of a species, as CSS colours, from the wing's ground to its brightest mark. */
export interface Palette {
  readonly ground: string
  readonly shade: string
  readonly band: string
  readonly mark: string
  readonly pale: string
  readonly fur: string
}

export interface MothShape {
  readonly seed: number
  readonly palette: Palette
  /** How far the forewing reaches, and how pointed it is: 0 round .. 1 pointed. */
  readonly reach: number
  readonly point: number
  /** How long the hind wing's tail is, 0..1. */
  readonly tail: number
  readonly eyespots: boolean
}

interface Point {
  readonly x: number
  readonly y: number
}

const n = (value: number) => Number(value.toFixed(2))
const at = ({ x, y }: Point) => `${n(x)} ${n(y)}`
const mix = (a: Point, b: Point, share: number): Point => ({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share })

/** A point on a cubic Bezier. */
function onBezier([a, b, c, d]: readonly [Point, Point, Point, Point], t: number): Point {
  const ab = mix(a, b, t),
    bc = mix(b, c, t),
    cd = mix(c, d, t)
  return mix(mix(ab, bc, t), mix(bc, cd, t), t)
}

interface Wing {
  readonly root: Point
  readonly outline: string
  /** The outer margin, from the leading edge to the trailing one. */
  readonly margin: readonly [Point, Point, Point, Point]
}

function foreWing({ reach, point }: MothShape): Wing {
  const root = { x: 5, y: -16 }
  const apex = { x: 84 * reach, y: -58 - 10 * point }
  const tornus = { x: 66 * reach, y: 14 }
  const margin = [apex, { x: apex.x + 4 - 8 * point, y: apex.y + 26 }, { x: tornus.x + 13, y: tornus.y - 20 }, tornus] as const
  const outline = `M${at(root)}C${at({ x: 26, y: -38 })} ${at({ x: apex.x - 30, y: apex.y - 6 })} ${at(apex)}C${at(margin[1])} ${at(margin[2])} ${at(tornus)}C${at({ x: tornus.x - 22, y: 20 })} ${at({ x: 20, y: 10 })} ${at({ x: 4, y: 2 })}Z`
  return { root, outline, margin }
}

function hindWing({ reach, tail }: MothShape): Wing {
  const root = { x: 4, y: 0 }
  const shoulder = { x: 58 * reach, y: 16 }
  const foot = { x: 22, y: 62 + 34 * tail }
  const margin = [shoulder, { x: shoulder.x + 14, y: 40 }, { x: foot.x + 26 - 18 * tail, y: foot.y - 2 }, foot] as const
  const outline = `M${at(root)}C${at({ x: 20, y: -4 })} ${at({ x: shoulder.x - 18, y: 4 })} ${at(shoulder)}C${at(margin[1])} ${at(margin[2])} ${at(foot)}C${at({ x: 14 - 4 * tail, y: foot.y - 14 })} ${at({ x: 5, y: 36 })} ${at({ x: 3, y: 18 })}Z`
  return { root, outline, margin }
}

/** A line that runs like the margin, at a share of the way from the root, waved. */
function bandPath({ root, margin }: Wing, share: number, wave: number, waves: number): string {
  const points = Array.from({ length: 41 }, (_, i) => {
    const t = i / 40
    const edge = onBezier(margin, t)
    const reach = share + wave * Math.sin(t * waves * 2 * Math.PI)
    return mix(root, edge, reach)
  })
  return `M${points.map(at).join('L')}`
}

function drawWing(
  id: string,
  wing: Wing,
  { palette, seed }: MothShape,
  eyespot: { t: number; share: number; size: number } | undefined,
): string {
  const random = seededRandom(seed + id.length * 977)
  const { root, margin, outline } = wing
  const veins = Array.from({ length: 9 }, (_, i) => {
    const t = (i + 0.5) / 9
    const edge = onBezier(margin, t)
    const bend = mix(root, edge, 0.55)
    return `M${at(root)}Q${at({ x: bend.x, y: bend.y - 5 + 8 * t })} ${at(edge)}`
  }).join('')
  const scales = Array.from({ length: 240 }, () => {
    const from = mix(root, onBezier(margin, random()), Math.sqrt(random()) * 0.98)
    const length = 1.2 + 1.8 * random()
    const away = mix(root, from, 1 + length / (1 + Math.hypot(from.x - root.x, from.y - root.y)))
    return `M${at(from)}L${at(away)}`
  })
  const fringe = Array.from({ length: 46 }, (_, i) => {
    const edge = onBezier(margin, i / 45)
    return `M${at(mix(root, edge, 0.975))}L${at(mix(root, edge, 1.03 + 0.008 * random()))}`
  }).join('')
  const scallops = Array.from({ length: 8 }, (_, i) => {
    const { x, y } = mix(root, onBezier(margin, (i + 0.5) / 8), 0.905)
    return `<circle cx="${n(x)}" cy="${n(y)}" r="1.5"/>`
  }).join('')
  const spot = eyespot ? mix(root, onBezier(margin, eyespot.t), eyespot.share) : undefined
  const eye =
    spot && eyespot
      ? [
          [1, palette.shade],
          [0.84, palette.mark],
          [0.62, palette.shade],
          [0.46, palette.pale],
          [0.3, '#16140f'],
        ]
          .map(([size, fill]) => `<circle cx="${n(spot.x)}" cy="${n(spot.y)}" r="${n(Number(size) * eyespot.size)}" fill="${fill}"/>`)
          .join('') +
        `<circle cx="${n(spot.x - eyespot.size * 0.16)}" cy="${n(spot.y - eyespot.size * 0.2)}" r="${n(eyespot.size * 0.1)}" fill="#fff" opacity=".85"/>`
      : ''
  return `
  <clipPath id="${id}"><path d="${outline}"/></clipPath>
  <path d="${fringe}" stroke="${palette.pale}" stroke-width=".8" opacity=".75"/>
  <path d="${outline}" fill="${palette.ground}"/>
  <g clip-path="url(#${id})" fill="none">
    <path d="${bandPath(wing, 0.2, 0.02, 2)}" stroke="${palette.shade}" stroke-width="13" opacity=".8"/>
    <path d="${bandPath(wing, 0.42, 0.035, 3)}" stroke="${palette.band}" stroke-width="10" opacity=".85"/>
    <path d="${bandPath(wing, 0.36, 0.035, 3)}" stroke="${palette.shade}" stroke-width="1.6"/>
    <path d="${bandPath(wing, 0.5, 0.035, 3)}" stroke="${palette.shade}" stroke-width="2"/>
    <path d="${bandPath(wing, 0.7, 0.02, 5)}" stroke="${palette.pale}" stroke-width="3.4" opacity=".8"/>
    <path d="${bandPath(wing, 0.74, 0.02, 5)}" stroke="${palette.mark}" stroke-width="3"/>
    <path d="${bandPath(wing, 0.97, 0, 1)}" stroke="${palette.shade}" stroke-width="7"/>
    <path d="${veins}" stroke="${palette.shade}" stroke-width=".55" opacity=".7"/>
    <path d="${scales.slice(0, 120).join('')}" stroke="${palette.pale}" stroke-width=".5" opacity=".5"/>
    <path d="${scales.slice(120).join('')}" stroke="${palette.shade}" stroke-width=".55" opacity=".5"/>
  </g>
  <g fill="${palette.pale}" opacity=".9">${scallops}</g>
  ${eye}
  <path d="${outline}" fill="none" stroke="${palette.shade}" stroke-width=".8"/>`
}

/** Both pairs of wings, the right ones drawn and the left ones mirrored; the middle of the moth is at 0, 0. */
export function drawWings(id: string, shape: MothShape): string {
  const hind = drawWing(`${id}-hind`, hindWing(shape), shape, shape.eyespots ? { t: 0.5, share: 0.6, size: 9 } : undefined)
  const fore = drawWing(`${id}-fore`, foreWing(shape), shape, { t: 0.38, share: 0.56, size: shape.eyespots ? 7 : 4 })
  return `<g id="${id}-right">${hind}${fore}</g><use href="#${id}-right" transform="scale(-1 1)"/>`
}

/** The furred body with its feathered antennae. */
export function drawBody({ seed, palette }: MothShape): string {
  const random = seededRandom(seed * 7 + 3)
  const hairs = (count: number, place: (t: number) => { from: Point; to: Point }) =>
    Array.from({ length: count }, () => {
      const { from, to } = place(random())
      return `M${at(from)}L${at(to)}`
    }).join('')
  const side = () => (random() < 0.5 ? -1 : 1)
  const thorax = hairs(150, (t) => {
    const angle = t * 2 * Math.PI
    const reach = 0.3 + 0.7 * random()
    const from = { x: 8 * reach * Math.cos(angle), y: -9 + 13 * reach * Math.sin(angle) }
    return { from, to: { x: from.x * 1.18 + (random() - 0.5), y: from.y + 3.4 } }
  })
  const abdomen = hairs(130, (t) => {
    const width = 6.4 * (1 - t * t * 0.85)
    const from = { x: side() * width * random(), y: 4 + 42 * t }
    return { from, to: { x: from.x * 1.12, y: from.y + 3 } }
  })
  const rings = Array.from({ length: 6 }, (_, i) => {
    const y = 10 + 6 * i
    const width = 6.4 * (1 - (i / 7) ** 2 * 0.85)
    return `M${n(-width)} ${y}Q0 ${y + 2.6} ${n(width)} ${y}`
  }).join('')
  const antenna = Array.from({ length: 22 }, (_, i) => {
    const t = (i + 1) / 23
    const { x, y } = onBezier(
      [
        { x: 1.5, y: -24 },
        { x: 8, y: -42 },
        { x: 22, y: -52 },
        { x: 34, y: -50 },
      ],
      t,
    )
    const barb = 5.2 * Math.sin(Math.PI * Math.min(1, t * 1.1))
    return `M${n(x)} ${n(y)}l${n(-barb * 0.5)} ${n(-barb)}M${n(x)} ${n(y)}l${n(barb * 0.75)} ${n(barb * 0.6)}`
  }).join('')
  const feeler = `<path d="M1.5 -24C8 -42 22 -52 34 -50${antenna}" fill="none" stroke="${palette.fur}" stroke-width=".8" stroke-linecap="round"/>`
  return `
  ${feeler}<g transform="scale(-1 1)">${feeler}</g>
  <path d="M0 50C-5 44 -7.4 22 -6.4 4C-6 -2 6 -2 6.4 4C7.4 22 5 44 0 50Z" fill="${palette.band}"/>
  <path d="${rings}" fill="none" stroke="${palette.shade}" stroke-width="1.6"/>
  <path d="${abdomen}" stroke="${palette.pale}" stroke-width=".5" opacity=".8"/>
  <ellipse cy="-9" rx="9" ry="13.5" fill="${palette.shade}"/>
  <path d="${thorax}" stroke="${palette.fur}" stroke-width=".8" stroke-linecap="round"/>
  <ellipse cy="-23.5" rx="4.6" ry="3.8" fill="${palette.shade}"/>
  <circle cx="-3.9" cy="-24.2" r="1.5" fill="#16140f"/><circle cx="3.9" cy="-24.2" r="1.5" fill="#16140f"/>`
}
