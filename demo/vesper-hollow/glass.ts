// The demo's section "The glass": one wing, drawn so finely that it wants a lens.
import { seededRandom } from './random'

interface Point {
  readonly x: number
  readonly y: number
}

const n = (value: number) => Number(value.toFixed(1))

/** The outer margin of the wing, from its tip to its hind corner. */
const margin = [
  { x: 742, y: 84 },
  { x: 772, y: 168 },
  { x: 742, y: 292 },
  { x: 640, y: 404 },
] as const
const root = { x: 70, y: 330 }
const outline = `M${root.x} ${root.y}C190 200 420 96 742 84C772 168 742 292 640 404C500 442 240 424 ${root.x} ${root.y}Z`

const between = (a: Point, b: Point, share: number): Point => ({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share })

/** A point of the margin, 0 at the tip, 1 at the hind corner. */
function onMargin(t: number): Point {
  const [a, b, c, d] = margin
  const weights = [(1 - t) ** 3, 3 * (1 - t) ** 2 * t, 3 * (1 - t) * t * t, t ** 3]
  const sum = (axis: 'x' | 'y') => [a, b, c, d].reduce((all, point, i) => all + (weights[i] ?? 0) * point[axis], 0)
  return { x: sum('x'), y: sum('y') }
}

/** Lines that run like the margin, so far of the way from the root, waved. */
const band = (share: number, wave: number, waves: number) =>
  `M${Array.from({ length: 61 }, (_, i) => {
    const t = -0.2 + (1.4 * i) / 60
    const on = Math.min(1, Math.max(0, t))
    const edge = onMargin(on)
    // Beyond the margin it goes on round the root.
    const angle = Math.atan2(edge.y - root.y, edge.x - root.x) + 1.6 * (t - on)
    const reach = Math.hypot(edge.x - root.x, edge.y - root.y) * (share + wave * Math.sin(t * waves * 2 * Math.PI))
    return `${n(root.x + reach * Math.cos(angle))} ${n(root.y + reach * Math.sin(angle))}`
  }).join('L')}`

/** Rows of scales over each other, each with its ribs, as a pattern. */
function scales(id: string, fill: string, edge: string, rib: string, turn: number): string {
  const scale = (x: number, y: number) => `M${x} ${y}v7q1 5 5 6q4-1 5-6v-7z`
  const ribs = (x: number, y: number) =>
    [1.6, 3.3, 5, 6.7, 8.4].map((at) => `M${n(x + at)} ${y}v${n(11 - Math.abs(at - 5) * 0.9)}`).join('')
  const row = (y: number, xs: readonly number[], shade: string) =>
    `<path d="${xs.map((x) => scale(x, y)).join('')}" fill="${shade}" stroke="${edge}" stroke-width=".5"/><path d="${xs.map((x) => ribs(x, y)).join('')}" stroke="${rib}" stroke-width=".28"/>`
  const darker = `color-mix(in oklab, ${fill} 88%, ${edge})`
  return `<pattern id="${id}" width="10" height="18" patternUnits="userSpaceOnUse" patternTransform="rotate(${turn})"><rect width="10" height="18" fill="${edge}"/>${row(-9, [-5, 5], darker)}${row(0, [0], fill)}${row(9, [-5, 5], darker)}</pattern>`
}

const notes: readonly (readonly [x: number, y: number, words: string, to: Point])[] = [
  [96, 176, 'Leading edge, rubbed bare. It has been under a door.', { x: 262, y: 203 }],
  [528, 36, 'Tip. Torn on a thorn on the second night.', { x: 716, y: 92 }],
  [70, 420, 'Here it holds on to the moth. We did not cut: it was found so.', { x: 92, y: 338 }],
  [430, 452, 'One row of scales is as deep as a page is thick.', { x: 436, y: 402 }],
  [676, 452, 'Fringe. Counted twice: 212 hairs, then 209.', { x: 664, y: 392 }],
  [300, 108, 'The brown is dye. The blue is not: it is how the ribs stand.', { x: 520, y: 216 }],
]

/** The wing on its sheet, with what was written beside it. */
function wing(): string {
  const random = seededRandom(404)
  const strewn = Array.from({ length: 190 }, () => {
    const { x, y } = between(root, onMargin(random()), 0.2 + 0.76 * Math.sqrt(random()))
    return `M${n(x)} ${n(y)}l4-1.6 5.4 2.6q1.6 2.4-.6 4l-6-1.4z`
  }).join('')
  const fringe = Array.from({ length: 212 }, (_, i) => {
    const edge = onMargin(i / 211)
    const out = between(root, edge, 1.018 + 0.012 * random())
    return `M${n(edge.x)} ${n(edge.y)}L${n(out.x + random() * 2)} ${n(out.y + random() * 3)}`
  }).join('')
  const veins = Array.from({ length: 10 }, (_, i) => {
    const edge = onMargin((i + 0.4) / 10)
    const bend = between(root, edge, 0.5)
    return `M${root.x} ${root.y}Q${n(bend.x)} ${n(bend.y - 26 + i * 5)} ${n(edge.x)} ${n(edge.y)}`
  }).join('')
  const eye = [
    [46, 'url(#glass-dark)'],
    [39, 'url(#glass-lamp)'],
    [29, 'url(#glass-dark)'],
    [22, 'url(#glass-blue)'],
    [9, '#14110c'],
  ]
    .map(([r, fill]) => `<circle cx="520" cy="216" r="${r}" fill="${fill}"/>`)
    .join('')
  const written = notes
    .map(
      ([x, y, words, to]) =>
        `<path d="M${x} ${y + 3}H${n(x + words.length * 2.35)}M${n(Math.min(Math.max(to.x, x), x + words.length * 2.35))} ${y + 3}L${to.x} ${to.y}" stroke="#7b6a45" stroke-width=".45"/><text x="${x}" y="${y}">${words}</text>`,
    )
    .join('')
  const rule = Array.from({ length: 41 }, (_, i) => `M${n(40 + i * 2.5)} 462v${i % 10 === 0 ? -9 : i % 5 === 0 ? -6 : -3.6}`).join('')
  return `<svg viewBox="0 0 820 480" role="img" aria-label="The right forewing of a Lampwright, drawn scale by scale, with notes in a very small hand">
    <defs>
      ${scales('glass-ground', '#b98a4a', '#3d2912', '#8a6430', -68)}
      ${scales('glass-dark', '#5a3d1e', '#1d1209', '#3c2812', -72)}
      ${scales('glass-band', '#8a5a2a', '#2d1b0b', '#64401d', -76)}
      ${scales('glass-pale', '#e8d2a0', '#6b5127', '#b99a62', -66)}
      ${scales('glass-lamp', '#e0b265', '#6a4a1c', '#a97d3a', -60)}
      ${scales('glass-blue', '#5f7fa6', '#1c2c40', '#9fc0dd', -50)}
      <clipPath id="glass-wing"><path d="${outline}"/></clipPath>
    </defs>
    <path d="${fringe}" stroke="#8c744a" stroke-width=".9"/>
    <g clip-path="url(#glass-wing)">
      <path d="${outline}" fill="url(#glass-ground)"/>
      <g fill="none" stroke-linejoin="round">
        <path d="${band(0.17, 0.006, 2)}" stroke="url(#glass-dark)" stroke-width="88"/>
        <path d="${band(0.44, 0.014, 3)}" stroke="url(#glass-band)" stroke-width="76"/>
        <path d="${band(0.385, 0.014, 3)}" stroke="url(#glass-dark)" stroke-width="11"/>
        <path d="${band(0.5, 0.014, 3)}" stroke="url(#glass-dark)" stroke-width="14"/>
        <path d="${band(0.77, 0.012, 5)}" stroke="url(#glass-pale)" stroke-width="26"/>
        <path d="${band(0.81, 0.012, 5)}" stroke="url(#glass-lamp)" stroke-width="20"/>
        <path d="${band(0.98, 0, 1)}" stroke="url(#glass-dark)" stroke-width="44"/>
        <path d="${veins}" stroke="#24170a" stroke-width="3.4" opacity=".75"/>
        <path d="${veins}" stroke="#c9a568" stroke-width=".9" opacity=".8"/>
      </g>
      ${eye}
      <path d="M512 206q5-6 12-4" fill="none" stroke="#fff" stroke-width="2.4" stroke-linecap="round" opacity=".9"/>
      <path d="${strewn}" fill="#f4e4bb" stroke="#6b5127" stroke-width=".4" opacity=".9"/>
    </g>
    <path d="${outline}" fill="none" stroke="#24170a" stroke-width="1.6"/>
    <g fill="#4b3d22" font-family="Hollow Display, serif" font-style="italic" font-size="5.2">${written}
      <text x="40" y="472">Ten steps of the rule are one millimetre of the moth.</text></g>
    <path d="M40 462H140${rule}" stroke="#4b3d22" stroke-width=".6"/>
  </svg>`
}

export const glassStyles = `
  .glass { display: grid; grid-template-columns: 17em 1fr; gap: 64px; align-items: end; padding: 40px 72px 130px; }
  .glass h2 { margin: 0 0 18px; font-weight: 340; font-size: 76px; line-height: 0.95; letter-spacing: -0.02em; }
  .glass p { margin: 0; color: var(--leaf); }
  .glass .how { margin-top: 18px; font-size: 14px; color: #9fb0a0; }
  .under-glass { position: relative; border-radius: 3px; background: radial-gradient(120% 90% at 60% 10%, #fbf5e3, var(--paper) 55%, #ddd0b0); box-shadow: 0 1px 0 #fff8 inset, 0 26px 50px -22px #000c, 0 6px 14px -4px #0007; }
  .under-glass:focus-visible { outline: 2px solid var(--lamp); outline-offset: 4px; }
  .under-glass svg { display: block; width: 100%; height: auto; }
  @media (max-width: 900px) { .glass { grid-template-columns: 1fr; gap: 28px; padding: 20px 24px 80px; } .glass h2 { font-size: 52px; } }
`

export const glass = (): string => `
    <section class="glass">
      <div>
        <h2>The glass</h2>
        <p>A wing that was left on the sill of the gatehouse. It has some four thousand scales, in rows like the slates of a roof, and whoever drew it wrote down what they saw.</p>
        <p class="how">Take the lens: the wheel with Ctrl brings it nearer, and so do two fingers, or the keys + and -.</p>
      </div>
      <div class="under-glass">${wing()}</div>
    </section>`
