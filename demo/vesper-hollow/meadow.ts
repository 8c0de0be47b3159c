// The night meadow and the gate of the demo: drawn by code from a fixed seed, with creatures that are easily overlooked.
import { drawBody, drawWings, type MothShape } from './moth'
import { seededRandom } from './random'

const n = (value: number) => Number(value.toFixed(1))

/** Blades of grass along the ground, as one path. */
export function grass(seed: number, count: number, ground: number, tall: number, width = 1280): string {
  const random = seededRandom(seed)
  return Array.from({ length: count }, () => {
    const x = random() * width
    const height = tall * (0.45 + 0.55 * random())
    const lean = (random() - 0.5) * tall * 0.55
    const half = 1.2 + random() * 1.6
    return `M${n(x - half)} ${ground}Q${n(x + lean * 0.3)} ${n(ground - height * 0.6)} ${n(x + lean)} ${n(ground - height)}Q${n(x + lean * 0.3 + half)} ${n(ground - height * 0.5)} ${n(x + half)} ${ground}Z`
  }).join('')
}

/** An open flower of the evening: five petals round an eye, on a stem. */
function flower(x: number, ground: number, height: number, size: number, colour: string, turn: number): string {
  const y = ground - height
  const petals = Array.from(
    { length: 5 },
    (_, i) =>
      `<ellipse cx="0" cy="${n(-size * 0.62)}" rx="${n(size * 0.36)}" ry="${n(size * 0.56)}" transform="rotate(${72 * i + turn})"/>`,
  ).join('')
  return `<path d="M${n(x)} ${ground}Q${n(x + turn * 0.4)} ${n(ground - height * 0.5)} ${n(x)} ${n(y)}" fill="none" stroke="#3c5a3d" stroke-width="1.6"/><g transform="translate(${n(x)} ${n(y)})" fill="${colour}">${petals}<circle r="${n(size * 0.2)}" fill="#f2d98a"/></g>`
}

export function flowers(seed: number, count: number, ground: number, tall: number): string {
  const random = seededRandom(seed)
  const colours = ['#e9e2c8', '#d8c9e4', '#f0dca0', '#cfe0d2', '#e8c7b4']
  return Array.from({ length: count }, () =>
    flower(
      random() * 1280,
      ground,
      tall * (0.55 + 0.5 * random()),
      8 + random() * 8,
      colours[Math.floor(random() * colours.length)] ?? '#e9e2c8',
      random() * 40 - 20,
    ),
  ).join('')
}

const hare =
  '<g transform="translate(330 574)"><path d="M-34 34C-40 6-22-12 0-12C20-12 40 4 38 34Z" fill="#6d5a44"/><path d="M18-10C22-34 16-60 20-70C30-58 32-34 30-8Z" fill="#78654d"/><path d="M30-8C38-30 40-50 48-60C52-42 46-20 40-2Z" fill="#6d5a44"/><ellipse cx="34" cy="2" rx="17" ry="14" fill="#78654d"/><circle cx="40" cy="-2" r="2.6" fill="#17140e"/><circle cx="41" cy="-3" r=".8" fill="#f5ecd2"/><circle cx="-34" cy="20" r="8" fill="#d9cdb4"/></g>'
const hedgehog =
  '<g transform="translate(900 622)"><path d="M-34 12C-34-14-10-26 10-20C26-16 34 0 44 8L40 14Z" fill="#4d4031"/><path d="M-32 8l-7-6l8-1l-5-8l9 2l-2-9l9 5l1-10l8 7l4-9l6 9l7-6l2 9" fill="none" stroke="#8d7a5d" stroke-width="2.2" stroke-linejoin="round"/><path d="M22-6C32-6 40 4 46 9C40 15 28 15 18 13Z" fill="#a58e6a"/><circle cx="33" cy="4" r="2" fill="#17140e"/><circle cx="46" cy="9" r="2.4" fill="#17140e"/></g>'
const owl =
  '<g transform="translate(1092 208)"><path d="M-24 44C-36 10-30-26 0-30C30-26 36 10 24 44C12 54-12 54-24 44Z" fill="#8a7753"/><path d="M-12 42C-18 18-14 2 0-2C14 2 18 18 12 42C6 48-6 48-12 42Z" fill="#cdbb90"/><path d="M-26-20L-20-38L-8-28ZM26-20L20-38L8-28Z" fill="#6d5c3e"/><circle cx="-11" cy="-12" r="10" fill="#e6d8ae"/><circle cx="11" cy="-12" r="10" fill="#e6d8ae"/><circle cx="-10" cy="-12" r="5" fill="#1b160d"/><circle cx="10" cy="-12" r="5" fill="#1b160d"/><circle cx="-8" cy="-14" r="1.5" fill="#fff"/><circle cx="12" cy="-14" r="1.5" fill="#fff"/><path d="M-3-6L0 2L3-6Z" fill="#b98a3a"/></g>'
const fox =
  '<g transform="translate(664 556)"><path d="M-52 62C-58 26-34 8 0 8C22 8 40 24 40 62Z" fill="#9a5330"/><path d="M4 14L-2-26L18-10L38-10L58-26L52 14C46 30 36 38 28 42C20 38 10 30 4 14Z" fill="#b0623a"/><path d="M4 14C12 14 22 22 28 42C34 22 44 14 52 14C46 32 36 40 28 44C20 40 10 32 4 14Z" fill="#eadbc0"/><circle cx="17" cy="10" r="3" fill="#17120b"/><circle cx="39" cy="10" r="3" fill="#17120b"/><circle cx="28" cy="40" r="3.4" fill="#17120b"/></g>'
const frog =
  '<g transform="translate(112 650)"><path d="M-24 12C-26-8-10-16 4-16C20-16 30-4 28 12Z" fill="#6d8f4d"/><circle cx="-4" cy="-15" r="6" fill="#7fa25b"/><circle cx="14" cy="-15" r="6" fill="#7fa25b"/><circle cx="-3" cy="-16" r="2.6" fill="#14180d"/><circle cx="15" cy="-16" r="2.6" fill="#14180d"/><path d="M-10-2Q6 6 22-2" fill="none" stroke="#44602f" stroke-width="1.6"/></g>'

const shapes: readonly Omit<MothShape, 'seed'>[] = [
  {
    reach: 1.02,
    point: 0.5,
    tail: 1,
    eyespots: true,
    palette: { ground: '#bcd0a6', shade: '#56704f', band: '#9dbb8b', mark: '#e6dc9a', pale: '#f4f6dd', fur: '#eef0d8' },
  },
  {
    reach: 1,
    point: 0.3,
    tail: 0,
    eyespots: true,
    palette: { ground: '#b98a4a', shade: '#4a3219', band: '#8a5e2c', mark: '#e0b265', pale: '#f2dfb4', fur: '#d8b984' },
  },
]

function moths(): string {
  const drawn = shapes
    .map(
      (shape, i) =>
        `<g id="night-moth-${i}">${drawWings(`night-${i}`, { ...shape, seed: 61 + i })}${drawBody({ ...shape, seed: 61 + i })}</g>`,
    )
    .join('')
  const places = [
    [0, 640, 236, 0.34, -24],
    [1, 782, 352, 0.2, 16],
    [0, 930, 330, 0.24, 34],
    [1, 996, 440, 0.3, -12],
    [0, 1186, 520, 0.2, 8],
    [1, 66, 440, 0.2, 40],
  ]
  return `<defs>${drawn}</defs>${places.map(([which, x, y, scale, turn]) => `<use href="#night-moth-${which}" transform="translate(${x} ${y}) rotate(${turn}) scale(${scale})"/>`).join('')}`
}

/** The meadow at night, 1280 x 720, on nothing: its sky is the page's. */
export function drawMeadow(): string {
  const trees =
    'M0 520V372Q22 330 44 352Q58 296 92 330Q110 270 148 322Q176 300 190 346Q230 318 262 366Q320 350 372 388T560 402T760 392T920 402Q944 340 984 352Q1000 250 1052 268Q1076 196 1130 232Q1176 190 1208 250Q1252 232 1280 286V520H0Z'
  return `<svg class="meadow-art" viewBox="0 0 1280 720" preserveAspectRatio="xMidYMax slice" aria-hidden="true">
      <circle cx="884" cy="190" r="46" fill="#f3e9c4"/><circle cx="870" cy="180" r="9" fill="#e0d3a6"/><circle cx="898" cy="204" r="6" fill="#e0d3a6"/>
      <path d="${trees}" fill="#16342f"/>
      <path d="M980 300Q1060 262 1170 266" stroke="#0f2420" stroke-width="9" fill="none" stroke-linecap="round"/>
      ${owl}
      <path d="M0 470Q320 420 640 462T1280 440V720H0Z" fill="#1d4038"/>
      <path d="${grass(3, 170, 520, 74)}" fill="#28503f"/>
      <path d="M0 520Q300 488 620 522T1280 506V720H0Z" fill="#245043"/>
      ${fox}${hare}
      ${flowers(8, 34, 600, 96)}
      <path d="${grass(5, 190, 616, 100)}" fill="#2f6350"/>
      ${hedgehog}
      <path d="M0 610Q420 584 760 612T1280 600V720H0Z" fill="#2a5c4b"/>
      ${flowers(21, 26, 700, 120)}${frog}
      <path d="${grass(9, 210, 722, 128)}" fill="#3b7560"/>
      ${moths()}
    </svg>`
}

/** The gate in the wall with its two lamps, 1280 x 560. */
export function drawGate(): string {
  const random = seededRandom(31)
  const stones = Array.from({ length: 150 }, (_, i) => {
    const row = Math.floor(i / 15)
    const x = (i % 15) * 92 - (row % 2) * 46 + random() * 8
    return `<rect x="${n(x)}" y="${n(40 + row * 44 + random() * 3)}" width="${n(80 + random() * 8)}" height="${n(36 + random() * 4)}" rx="7" fill="hsl(${Math.round(70 + random() * 30)} ${Math.round(8 + random() * 8)}% ${Math.round(27 + random() * 8)}%)"/>`
  }).join('')
  const bars = Array.from(
    { length: 13 },
    (_, i) =>
      `<path d="M${520 + i * 20} 480V${n(150 - Math.sqrt(Math.max(0, 1 - ((i - 6) / 6.6) ** 2)) * 96)}" stroke="#1a221d" stroke-width="5"/>`,
  ).join('')
  const lamp = (x: number) =>
    `<g transform="translate(${x} 214)"><circle r="130" fill="url(#lamp-light)"/><path d="M-15-26H15L20 22H-20Z" fill="#ffe2a0"/><path d="M-24 22H24V30H-24ZM-18-34H18L10-46H-10Z" fill="#20261f"/><path d="M0-46V-66M0-66Q${x < 640 ? -22 : 22}-66 ${x < 640 ? -22 : 22}-40" stroke="#20261f" stroke-width="4" fill="none"/><path d="M0 14C-8 4-4-8 0-16C4-8 8 4 0 14Z" fill="#e89a3c"/></g>`
  return `<svg class="gate-art" viewBox="0 0 1280 560" preserveAspectRatio="xMidYMax slice" aria-hidden="true">
      <defs><radialGradient id="lamp-light"><stop offset="0" stop-color="#ffd98a" stop-opacity=".85"/><stop offset=".4" stop-color="#f3b95f" stop-opacity=".3"/><stop offset="1" stop-color="#f3b95f" stop-opacity="0"/></radialGradient></defs>
      <rect width="1280" height="560" fill="#2b332a"/>${stones}
      <path d="M494 480V158Q506 24 640 24T786 158V480Z" fill="#5d6350"/>
      <path d="M514 480V162Q524 44 640 44T766 162V480Z" fill="#0e1c1a"/>
      <path d="M514 480Q600 380 640 372T766 480Z" fill="#1b362d"/>
      ${bars}<path d="M514 250H766M514 404H766" stroke="#1a221d" stroke-width="6"/>
      ${lamp(404)}${lamp(876)}
      <path d="M0 480H1280V560H0Z" fill="#1c2822"/><path d="M520 480H760L860 560H420Z" fill="#3a4438"/>
      <path d="${grass(44, 120, 484, 34)}" fill="#35523f"/>
    </svg>`
}
