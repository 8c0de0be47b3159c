// "Dusk and day" in the demo: one glasshouse twice, by day and by night, of the very same lines, with a moth that rides where they meet.
import { drawWings, type Palette } from './moth'
import { flowers, grass } from './meadow'
import { seededRandom } from './random'

const n = (value: number) => Number(value.toFixed(1))

/** How the glasshouse looks at an hour. */
interface Hour {
  readonly id: 'day' | 'night'
  readonly sky: readonly [above: string, below: string]
  readonly hills: readonly [far: string, near: string]
  readonly iron: string
  readonly glass: string
  readonly within: string
  readonly leaf: string
  readonly grass: readonly [far: string, near: string]
}

const day: Hour = {
  id: 'day',
  sky: ['#b9d4cf', '#f3e4bd'],
  hills: ['#9fbfa4', '#7fa586'],
  iron: '#3d5a50',
  glass: 'rgb(236 246 232 / 0.62)',
  within: '#d8e6c8',
  leaf: '#4f8560',
  grass: ['#6f9a5c', '#557f49'],
}
const night: Hour = {
  id: 'night',
  sky: ['#0a1a22', '#1d3f45'],
  hills: ['#143038', '#102a2b'],
  iron: '#0b1917',
  glass: 'rgb(247 205 120 / 0.34)',
  within: '#e9b95e',
  leaf: '#1c3a2c',
  grass: ['#153228', '#0f261f'],
}

/** Upright bars of a hall, between two heights that a vault gives. */
const bars = (from: number, to: number, count: number, top: (x: number) => number, foot: number) =>
  Array.from({ length: count + 1 }, (_, i) => {
    const x = from + ((to - from) * i) / count
    return `M${n(x)} ${n(top(x))}V${foot}`
  }).join('')

/** Plants behind the glass: stems with leaves on both sides, as tall as there is room. */
function plants(colour: string): string {
  const random = seededRandom(29)
  return Array.from({ length: 23 }, (_, i) => {
    const x = 318 + i * 27.5 + random() * 12
    const tall = 70 + random() * 150 * (1 - Math.abs(x - 640) / 520)
    const leaves = Array.from({ length: 7 }, (_, k) => {
      const y = 560 - (tall * (k + 1)) / 7
      const size = 10 + random() * 12
      const side = k % 2 === 0 ? 1 : -1
      return `<path d="M${n(x)} ${n(y)}q${n(side * size)} ${n(-size * 0.9)} ${n(side * size * 2)} ${n(size * 0.2)}q${n(-side * size)} ${n(size * 0.7)} ${n(-side * size * 2)} ${n(-size * 0.2)}Z"/>`
    }).join('')
    return `<path d="M${n(x)} 560V${n(560 - tall)}" stroke="${colour}" stroke-width="2.4"/>${leaves}`
  }).join('')
}

/** The glasshouse at an hour: a vaulted hall between two wings, on a meadow. */
function drawHouse({ id, sky, hills, iron, glass, within, leaf, grass: blades }: Hour): string {
  const random = seededRandom(7)
  const vault = (x: number) => 372 - 150 * Math.sqrt(Math.max(0, 1 - ((x - 640) / 190) ** 2))
  const wing = () => 372
  const stars =
    id === 'night'
      ? `<g fill="#f7efcf">${Array.from({ length: 120 }, () => `<circle cx="${n(random() * 1280)}" cy="${n(random() * 330)}" r="${n(0.5 + random())}" opacity="${n(0.25 + random() * 0.7)}"/>`).join('')}</g><circle cx="1058" cy="112" r="30" fill="#f3e9c4"/>`
      : '<circle cx="1058" cy="112" r="120" fill="#fff6d8" opacity=".55"/><circle cx="1058" cy="112" r="40" fill="#fff3c6"/>'
  const lit = id === 'night' ? '<ellipse cx="640" cy="600" rx="620" ry="120" fill="url(#night-lit)"/>' : ''
  return `<svg class="house" viewBox="0 0 1280 720" preserveAspectRatio="xMidYMax slice" aria-hidden="true">
      <defs><linearGradient id="${id}-sky" x2="0" y2="1"><stop offset="0" stop-color="${sky[0]}"/><stop offset="1" stop-color="${sky[1]}"/></linearGradient><radialGradient id="${id}-lit"><stop offset="0" stop-color="#f0c36d" stop-opacity=".34"/><stop offset="1" stop-color="#f0c36d" stop-opacity="0"/></radialGradient></defs>
      <rect width="1280" height="720" fill="url(#${id}-sky)"/>${stars}
      <path d="M0 470Q220 380 460 440T900 410T1280 450V720H0Z" fill="${hills[0]}"/>
      <path d="M0 540Q320 480 640 530T1280 500V720H0Z" fill="${hills[1]}"/>
      <path d="M286 560V372H450C450 172 830 172 830 372H994V560Z" fill="${within}"/>
      <g fill="${leaf}" stroke="none">${plants(leaf)}</g>
      <path d="M286 560V372H450C450 172 830 172 830 372H994V560Z" fill="${glass}"/>
      <g fill="none" stroke="${iron}" stroke-width="3">
        <path d="${bars(286, 450, 5, wing, 560)}${bars(450, 830, 10, vault, 560)}${bars(830, 994, 5, wing, 560)}M286 440H994M286 500H994"/>
        <path d="M286 560V372H450C450 172 830 172 830 372H994V560Z" stroke-width="6"/>
        <path d="M500 372C500 226 780 226 780 372M560 372C560 288 720 288 720 372M450 372H830" stroke-width="2.4"/>
        <path d="M602 560V430Q640 396 678 430V560" stroke-width="5"/>
      </g>
      <rect x="272" y="556" width="736" height="16" fill="${iron}"/>
      ${lit}
      <path d="${grass(41, 190, 660, 90)}" fill="${blades[0]}"/>
      ${flowers(15, 30, 690, 84)}
      <path d="M0 640Q320 616 640 646T1280 634V720H0Z" fill="${blades[1]}"/>
    </svg>`
}

const wings: Palette = { ground: '#efe2b8', shade: '#5b4a2c', band: '#b98f4b', mark: '#f8edc6', pale: '#fff7df', fur: '#f1e6c6' }

export const glasshouseStyles = `
  .hours { position: relative; height: clamp(640px, 50vw, 960px); overflow: clip; }
  .by-day, .by-night { position: absolute; inset: 0; }
  .house { position: absolute; inset: 0; width: 100%; height: 100%; }
  .hours h2 { position: absolute; left: 72px; right: 72px; top: 26px; margin: 0; font-weight: 340; font-size: clamp(36px, 6vw, 76px); line-height: 1; letter-spacing: -0.02em; text-align: center; }
  .by-day h2 { color: #274a3f; } .by-night h2 { color: #f6e6b8; }
  .rider { position: absolute; left: calc(50% - 46px); top: 51%; width: 92px; pointer-events: none; }
  .rider svg { display: block; width: 100%; height: auto; overflow: visible; filter: drop-shadow(0 6px 10px rgb(10 20 18 / 0.35)); }
  @media (max-width: 900px) { .hours { height: 520px; } .hours h2 { left: 24px; right: 24px; } }
`

/** The section: day in front of night, and the moth. */
export const glasshouse = (): string => `<section class="hours">
      <div class="by-night">${drawHouse(night)}<h2 class="on-art">Open when it is dark</h2></div>
      <div class="by-day">${drawHouse(day)}<h2>Closed while it is day</h2></div>
      <div class="rider"><svg viewBox="-60 -50 120 100" aria-hidden="true">${drawWings('rider', { reach: 1, point: 0.5, tail: 0.2, eyespots: true, palette: wings, seed: 12 })}</svg></div>
    </section>`
