// The demo's page "The garden": the motto round the corner of its wall, the glasshouse by day and by night, its paths, the borders, and what sleeps beneath.
import { beneath, beneathStyles } from './beneath'
import { borders, bordersStyles } from './borders'
import { glasshouse, glasshouseStyles } from './glasshouse'
import { pageOf } from './house-style'
import { flowers, grass } from './meadow'
import { paths, pathsStyles } from './paths'
import { seededRandom } from './random'

/** What the wall is made of, and its own colour in shade. */
export const wall = {
  stone:
    'repeating-linear-gradient(rgb(36 44 28 / 0.2) 0 2px, transparent 2px 61px), repeating-linear-gradient(90deg, rgb(36 44 28 / 0.14) 0 2px, transparent 2px 148px), linear-gradient(#828b68, #6b7455)',
  shade: '#1f2c1e',
} as const

const n = (value: number) => Number(value.toFixed(1))

/** A strand of ivy that hangs from a point: leaves on both sides of a bent stem. */
function ivy(random: () => number, x: number, y: number, long: number): string {
  const bend = (random() - 0.5) * 46
  const leaves = Array.from({ length: Math.round(long / 15) }, (_, i) => {
    const t = (i + 0.6) / Math.round(long / 15)
    const size = 5 + random() * 5
    const turn = (i % 2 === 0 ? 62 : -62) + (random() - 0.5) * 44
    return `<path d="M0 0C${n(size * 0.7)} ${n(-size * 0.2)} ${n(size)} ${n(size * 0.9)} 0 ${n(size * 2)}C${n(-size)} ${n(size * 0.9)} ${n(-size * 0.7)} ${n(-size * 0.2)} 0 0Z" transform="translate(${n(x + bend * t * t)} ${n(y + long * t)}) rotate(${n(turn)})" fill="${['#2f5a3c', '#386845', '#274d36', '#45744c'][Math.floor(random() * 4)] ?? '#2f5a3c'}"/>`
  }).join('')
  return `<path d="M${n(x)} ${n(y)}Q${n(x)} ${n(y + long * 0.6)} ${n(x + bend)} ${n(y + long)}" fill="none" stroke="#1f3a28" stroke-width="1.6"/>${leaves}`
}

/** What lies behind the wall: the sky after dark, a moon, and the trees of the mill. */
function drawBehind(): string {
  const random = seededRandom(57)
  const stars = Array.from(
    { length: 150 },
    () =>
      `<circle cx="${n(random() * 1280)}" cy="${n(random() * 420)}" r="${n(0.4 + random() * 1.1)}" opacity="${n(0.2 + random() * 0.7)}"/>`,
  ).join('')
  const tree = (x: number, foot: number, tall: number) =>
    `<path d="M${x - 9} ${foot}L${x - 5} ${n(foot - tall * 0.5)}H${x + 5}L${x + 9} ${foot}Z"/>${Array.from({ length: 11 }, (_, i) => `<circle cx="${n(x + (i / 10 - 0.5) * tall * 0.6)}" cy="${n(foot - tall * (0.5 + 0.3 * Math.sin((i / 10) * Math.PI) + 0.1 * random()))}" r="${n(tall * (0.11 + 0.07 * random()))}"/>`).join('')}`
  return `<svg class="behind" viewBox="0 0 1280 760" preserveAspectRatio="xMidYMin slice" aria-hidden="true">
      <defs><radialGradient id="moon-light"><stop offset="0" stop-color="#f7efcf" stop-opacity=".5"/><stop offset="1" stop-color="#f7efcf" stop-opacity="0"/></radialGradient></defs>
      <g fill="#f7efcf">${stars}</g>
      <circle cx="950" cy="150" r="150" fill="url(#moon-light)"/><circle cx="950" cy="150" r="42" fill="#f3e9c4"/><circle cx="937" cy="141" r="8" fill="#e0d3a6"/><circle cx="964" cy="165" r="5" fill="#e0d3a6"/>
      <path d="M0 470Q210 372 430 424T900 392T1280 440V760H0Z" fill="#122c27"/>
      <g fill="#0f2521">${tree(118, 470, 220)}${tree(238, 452, 150)}${tree(1146, 456, 250)}${tree(980, 440, 140)}${tree(356, 446, 110)}</g>
      <path d="M0 520Q320 470 640 508T1280 492V760H0Z" fill="#19382d"/>
      <path d="${grass(71, 150, 560, 70)}" fill="#1f4435"/>
    </svg>`
}

/** What grows before it: grass and evening flowers at its foot, over the lower edges of both walls. */
function drawBefore(): string {
  return `<svg class="before" viewBox="0 0 1280 240" preserveAspectRatio="xMidYMax slice" aria-hidden="true">
      <path d="${grass(83, 150, 214, 96)}" fill="#2b5c46"/>
      ${flowers(33, 22, 226, 96)}
      <path d="M0 196Q300 176 640 200T1280 188V240H0Z" fill="#214a38"/>
      <path d="${grass(97, 230, 232, 74)}" fill="#34705a"/>
    </svg>`
}

/** Where the corner of the wall stands: the heading is 9 % in from both sides, the corner at 44 % of it. */
const corner = 1280 * (0.09 + 0.44 * 0.82)

/** Ivy along the upper edge of the wall, on both sides of its corner. */
function drawIvy(): string {
  const random = seededRandom(19)
  const strands = Array.from({ length: 34 }, (_, i) => {
    const x = 34 + i * 35.5 + random() * 20
    // The walls are slanted by 17 degrees, down from the corner at both sides.
    const y = Math.abs(x - corner) * Math.tan((17 * Math.PI) / 180)
    return ivy(random, x, y, 16 + random() * 60 * (0.25 + Math.abs(x - corner) / 800))
  }).join('')
  return `<svg class="ivy" viewBox="0 0 1280 320" preserveAspectRatio="xMidYMin meet" aria-hidden="true">${strands}</svg>`
}

const styles = `
  .corner { position: relative; padding: 190px 0 250px; overflow: clip; background: linear-gradient(#0d2329, #1a4140 62%); }
  .behind { position: absolute; inset: 0; width: 100%; height: 100%; }
  .before { position: absolute; left: 0; bottom: 0; width: 100%; height: 240px; pointer-events: none; }
  .ivy { display: none; position: absolute; left: 0; top: 187px; width: 100%; pointer-events: none; }
  /* It grows on the wall, which is there while the heading is folded. */
  @media screen and (forced-colors: none) { .motto[data-motto-fold] ~ .ivy { display: block; } }
  .motto { position: relative; margin: 0 9%; padding: 34px 0; font-weight: 420; font-size: clamp(44px, 8.2vw, 118px); line-height: 1.02; letter-spacing: -0.025em; text-align: center; color: #f3ecd0; }
  .garden-words { display: grid; grid-template-columns: repeat(3, 1fr); gap: 44px; padding: 72px; }
  .garden-words h3 { margin: 0 0 8px; font: 440 24px/1.15 "Hollow Display", serif; color: #f5ecd2; }
  .garden-words p { margin: 0; color: var(--leaf); }
  @media (max-width: 900px) { .corner { padding: 130px 0 170px; } .ivy { top: 128px; } .garden-words { grid-template-columns: 1fr; padding: 44px 24px; } }
`

export function gardenPage(): string {
  return pageOf(
    'The garden',
    'The garden',
    styles + glasshouseStyles + pathsStyles + beneathStyles + bordersStyles,
    `
    <section class="corner art">
      ${drawBehind()}
      <h1 class="motto on-art">What opens after dark is worth the walk</h1>
      ${drawIvy()}
      ${drawBefore()}
    </section>
    ${glasshouse()}
    ${paths()}
    ${borders()}
    ${beneath()}
    <section class="garden-words">
      <div><h3>The wall</h3><p>Four hundred paces round, built from the stones of the old mill. The motto was cut by the first warden, who could not stop at the corner.</p></div>
      <div><h3>The beds</h3><p>Five of them, planted by the hour at which they open. The last one opens for an hour a year, and we ring the bell.</p></div>
      <div><h3>The ditch</h3><p>Not a path. It belongs to the marsh lanterns and to the mist, and it keeps your shoes.</p></div>
    </section>`,
  )
}
