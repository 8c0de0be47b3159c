// The demo's section "Night flowers": four flowers that open after dark, each drawn in the light of its own hour.
import { seededRandom } from './random'

export interface Flower {
  readonly name: string
  readonly opens: string
  readonly note: string
  /** Who comes to it: a plate of the same page. */
  readonly guest: { readonly name: string; readonly plate: string }
  readonly sky: readonly [above: string, below: string]
  readonly leaf: string
  readonly petal: readonly [heart: string, rim: string]
  readonly heart: string
  /** How many petals in how many rings, how long and wide they are (px), and how deep their rims are notched (0..1). */
  readonly petals: number
  readonly rings: number
  readonly long: number
  readonly wide: number
  readonly notch: number
  readonly seed: number
}

export const flowers: readonly Flower[] = [
  {
    name: 'Moonvine',
    opens: '20:50',
    note: 'Unrolls in four minutes. Stand still and you can watch it.',
    guest: { name: 'Moon Sail', plate: 'moth-4' },
    sky: ['#1c3a4a', '#3b6a67'],
    leaf: '#234c3f',
    petal: ['#f7f6e4', '#c9d8d0'],
    heart: '#e7e2a4',
    ...{ petals: 5, rings: 1, long: 104, wide: 112, notch: 0.1, seed: 3 },
  },
  {
    name: 'Lamp primrose',
    opens: '21:15',
    note: 'Its yellow is the last colour that the eye keeps.',
    guest: { name: 'Lampwright', plate: 'moth-1' },
    sky: ['#2a2f4c', '#665c63'],
    leaf: '#39502f',
    petal: ['#f4d968', '#eab54a'],
    heart: '#a9c15a',
    ...{ petals: 4, rings: 1, long: 96, wide: 96, notch: 0.34, seed: 8 },
  },
  {
    name: 'Evening stock',
    opens: '22:00',
    note: 'Nothing to look at by day. At night the whole bed turns round for it.',
    guest: { name: 'Orchard Veil', plate: 'moth-2' },
    sky: ['#241f3c', '#5a3f63'],
    leaf: '#3b4a3d',
    petal: ['#e3c6e0', '#a06aa4'],
    heart: '#f3ecc0',
    ...{ petals: 4, rings: 2, long: 100, wide: 74, notch: 0.2, seed: 13 },
  },
  {
    name: 'One-night cereus',
    opens: '23:40',
    note: 'Opens once a year. We ring the small bell for it.',
    guest: { name: 'Last Candle', plate: 'moth-8' },
    sky: ['#101c26', '#2b4a48'],
    leaf: '#2c5040',
    petal: ['#fbf3de', '#e0b9a4'],
    heart: '#f0d27a',
    ...{ petals: 13, rings: 3, long: 120, wide: 30, notch: 0, seed: 21 },
  },
]

const n = (value: number) => Number(value.toFixed(1))

/** A petal from the middle upward, with its rim notched. */
function petal({ long, wide, notch }: Flower, scale: number): string {
  const [l, w] = [long * scale, (wide * scale) / 2]
  return `M0 0C${n(-w * 0.5)} ${n(-l * 0.25)} ${n(-w * 1.1)} ${n(-l * 0.7)} ${n(-w * 0.55)} ${n(-l * 0.97)}Q${n(-w * 0.2)} ${n(-l * 1.03)} 0 ${n(-l * (1 - notch))}Q${n(w * 0.2)} ${n(-l * 1.03)} ${n(w * 0.55)} ${n(-l * 0.97)}C${n(w * 1.1)} ${n(-l * 0.7)} ${n(w * 0.5)} ${n(-l * 0.25)} 0 0Z`
}

/** A leaf from a point, turned, so long. */
const leaf = (x: number, y: number, turn: number, long: number, fill: string, opacity: number) =>
  `<path d="M0 0C${n(long * 0.34)} ${n(-long * 0.2)} ${n(long * 0.3)} ${n(-long * 0.8)} 0 ${n(-long)}C${n(-long * 0.3)} ${n(-long * 0.8)} ${n(-long * 0.34)} ${n(-long * 0.2)} 0 0Z" transform="translate(${n(x)} ${n(y)}) rotate(${n(turn)})" fill="${fill}" opacity="${opacity}"/>`

/** A flower with its sky and its leaves; `id` names its gradients. */
export function drawFlower(flower: Flower, id: string): string {
  const random = seededRandom(flower.seed)
  const { petals, rings, sky, leaf: green } = flower
  const stars = Array.from(
    { length: 26 },
    () =>
      `<circle cx="${n(random() * 300)}" cy="${n(random() * 190)}" r="${n(0.4 + random() * 0.9)}" opacity="${n(0.2 + random() * 0.6)}"/>`,
  ).join('')
  const far = Array.from({ length: 16 }, () =>
    leaf(random() * 300, 380 + random() * 50, (random() - 0.5) * 90, 90 + random() * 110, green, 0.45),
  ).join('')
  const near = Array.from({ length: 9 }, () =>
    leaf(random() * 300, 412 + random() * 20, (random() - 0.5) * 110, 80 + random() * 90, green, 0.95),
  ).join('')
  const rows = Array.from({ length: rings }, (_, ring) => {
    const scale = 1 - ring * 0.3
    return Array.from({ length: petals }, (__, i) => {
      const turn = ((i + ring * 0.5) * 360) / petals + (random() - 0.5) * 7
      return `<path d="${petal(flower, scale)}" transform="rotate(${n(turn)})" fill="url(#${id}-petal)" stroke="${flower.petal[1]}" stroke-opacity=".55" stroke-width="1"/><path d="M0 ${n(-flower.long * scale * 0.2)}V${n(-flower.long * scale * 0.78)}" transform="rotate(${n(turn)})" stroke="${flower.petal[1]}" stroke-opacity=".5" stroke-width="1.4" stroke-linecap="round"/>`
    }).join('')
  }).join('')
  const stamens = Array.from({ length: 9 }, (_, i) => {
    const turn = i * 40 + random() * 14
    const long = 14 + random() * 10
    return `<path d="M0 0V${n(-long)}" transform="rotate(${n(turn)})" stroke="${flower.heart}" stroke-width="1.3"/><circle cy="${n(-long)}" r="2.3" transform="rotate(${n(turn)})" fill="${flower.heart}"/>`
  }).join('')
  return `<svg viewBox="0 0 300 400" preserveAspectRatio="xMidYMid slice" role="img" aria-label="${flower.name}, open">
          <defs>
            <linearGradient id="${id}-sky" x2="0" y2="1"><stop offset="0" stop-color="${sky[0]}"/><stop offset="1" stop-color="${sky[1]}"/></linearGradient>
            <radialGradient id="${id}-petal" gradientUnits="userSpaceOnUse" cx="0" cy="0" r="${flower.long}"><stop offset=".18" stop-color="${flower.petal[0]}"/><stop offset="1" stop-color="${flower.petal[1]}"/></radialGradient>
            <radialGradient id="${id}-glow"><stop offset="0" stop-color="${flower.petal[0]}" stop-opacity=".42"/><stop offset="1" stop-color="${flower.petal[0]}" stop-opacity="0"/></radialGradient>
          </defs>
          <path d="M0 0H300V400H0Z" fill="url(#${id}-sky)"/><g fill="#f7efcf">${stars}</g>${far}
          <circle cx="150" cy="170" r="168" fill="url(#${id}-glow)"/>
          <path d="M150 176Q${n(138 + random() * 24)} 300 ${n(130 + random() * 40)} 410" fill="none" stroke="${green}" stroke-width="6"/>
          <g transform="translate(150 172) rotate(${n((random() - 0.5) * 24)})">${rows}<circle r="${n(8 + rings * 2)}" fill="${flower.heart}" opacity=".85"/>${stamens}</g>${near}
        </svg>`
}

export const nightFlowerStyles = `
  .night-flowers { display: grid; grid-template-columns: repeat(4, 1fr); gap: 22px; padding: 0 72px 140px; }
  .flower { position: relative; margin: 0; aspect-ratio: 3 / 4; overflow: clip; border-radius: 3px; box-shadow: 0 26px 50px -26px #000c; }
  .flower svg { display: block; width: 100%; height: 100%; }
  .flower figcaption { position: absolute; inset: auto 22px 20px; display: grid; gap: 4px; color: #f3ead0; font-size: 14px; line-height: 1.42; }
  .flower strong { font: 440 25px/1.1 "Hollow Display", serif; }
  .flower .opens { color: var(--lamp); font-variant-numeric: tabular-nums; }
  .flower a { color: inherit; }
  @media (max-width: 900px) { .night-flowers { grid-template-columns: repeat(2, 1fr); padding-left: 24px; padding-right: 24px; } }
`

/** The section: a heading, and a picture of each with its caption. */
export const nightFlowers = (): string => `
    <section class="opening">
      <h2>Night flowers</h2>
      <p>They keep their faces shut all day. Come close to one, and it tells you when it opens, and for whom.</p>
    </section>
    <section class="night-flowers">${flowers
      .map(
        (flower, index) => `
      <figure class="flower">
        ${drawFlower(flower, `flower-${index + 1}`)}
        <figcaption class="on-art">
          <strong>${flower.name}</strong>
          <span class="opens">opens ${flower.opens}</span>
          <span>${flower.note} <a href="#${flower.guest.plate}-plate">${flower.guest.name}</a> comes to it.</span>
        </figcaption>
      </figure>`,
      )
      .join('')}
    </section>`
