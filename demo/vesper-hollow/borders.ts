// The demo's section "Borders": five strips of planting, by the hour at which they open, and the long sheets of the herbarium.
import { seededRandom } from './random'

const n = (value: number) => Number(value.toFixed(1))

interface Strip {
  readonly hour: string
  readonly name: string
  readonly words: string
  readonly ground: readonly [above: string, below: string]
  readonly stem: string
  readonly bloom: string
}

const strips: readonly Strip[] = [
  {
    hour: '20',
    name: 'The white hour',
    words: 'Campion, moonvine and tobacco. Nothing here has a colour that the dark could take away.',
    ground: ['#5f7f7a', '#2c4f48'],
    stem: '#1d3f38',
    bloom: '#f4efdc',
  },
  {
    hour: '21',
    name: 'The yellow hour',
    words: 'Primroses along the ditch. They open all at once, and you can hear it if the others keep quiet.',
    ground: ['#4d6a5a', '#234336'],
    stem: '#17352a',
    bloom: '#f0c95f',
  },
  {
    hour: '22',
    name: 'The sweet hour',
    words: 'Stock, jasmine, honeysuckle on the old fence. Walk it with your eyes shut; there is a rope.',
    ground: ['#4b5064', '#26304a'],
    stem: '#1a2440',
    bloom: '#d9b3d8',
  },
  {
    hour: '23',
    name: 'The still hour',
    words: 'Ferns and moss, and flowers as green as their leaves. The moths come here to be left alone.',
    ground: ['#2f4a41', '#14291f'],
    stem: '#0d2018',
    bloom: '#8fb58a',
  },
  {
    hour: '0',
    name: 'The bell',
    words: 'One cereus in one pot. It opens for an hour a year, and whoever is here is called by the bell.',
    ground: ['#2c3146', '#11141f'],
    stem: '#0b0e18',
    bloom: '#f6e7c9',
  },
]

/** Plants of a strip: stems from the foot, each with leaves and a bloom. */
function drawStrip({ ground, stem, bloom }: Strip, index: number): string {
  const random = seededRandom(200 + index * 17)
  const plants = Array.from({ length: 15 }, () => {
    const [x, tall, lean] = [random() * 480, 150 + random() * 260, (random() - 0.5) * 60]
    const leaves = Array.from({ length: 5 }, (_, k) => {
      const [y, side] = [560 - (tall * (k + 1)) / 7, k % 2 ? 1 : -1]
      return `<path d="M${n(x + lean * ((560 - y) / tall) ** 2)} ${n(y)}q${side * 22}-20 ${side * 40}-4q${side * -18} 14 ${side * -40} 4Z"/>`
    }).join('')
    const petals = Array.from(
      { length: 6 },
      (_, k) => `<ellipse rx="4.4" ry="12" cy="-12" transform="rotate(${60 * k + n(random() * 20)})"/>`,
    ).join('')
    return `<g fill="${stem}"><path d="M${n(x)} 560Q${n(x)} ${n(560 - tall * 0.6)} ${n(x + lean)} ${n(560 - tall)}" fill="none" stroke="${stem}" stroke-width="3"/>${leaves}</g><g fill="${bloom}" transform="translate(${n(x + lean)} ${n(560 - tall)}) scale(${n(0.8 + random() * 0.9)})">${petals}</g>`
  }).join('')
  return `<svg viewBox="0 0 480 560" preserveAspectRatio="xMidYMax slice" aria-hidden="true"><defs><linearGradient id="strip-${index}" x2="0" y2="1"><stop offset="0" stop-color="${ground[0]}"/><stop offset="1" stop-color="${ground[1]}"/></linearGradient></defs><rect width="480" height="560" fill="url(#strip-${index})"/>${plants}</svg>`
}

interface Sheet {
  readonly name: string
  readonly place: string
  readonly tall: number
  readonly seed: number
  readonly ink: string
  readonly bloom: string
}

const sheets: readonly Sheet[] = [
  { name: 'Hop, climbing', place: 'the mill fence, 3 m of it', tall: 1480, seed: 5, ink: '#5a6b3c', bloom: '#a9a45c' },
  { name: 'Foxglove', place: 'the shaded bank', tall: 980, seed: 9, ink: '#56633f', bloom: '#9a5f7c' },
  { name: 'Mullein', place: 'gravel by the gate', tall: 1240, seed: 14, ink: '#7b7a52', bloom: '#d0a53c' },
]

/** A pressed plant on its long sheet, from the root to the tip, with strips of paper that hold it. */
function drawSheet({ name, place, tall, seed, ink, bloom }: Sheet): string {
  const random = seededRandom(seed)
  const foot = tall - 120
  const sway = (y: number) => 180 + Math.sin(y / 190 + seed) * 34
  const stem = Array.from(
    { length: 40 },
    (_, i) => `${i === 0 ? 'M' : 'L'}${n(sway((foot * i) / 39 + 40))} ${n((foot * i) / 39 + 40)}`,
  ).join('')
  const leaves = Array.from({ length: Math.round(tall / 56) }, (_, i) => {
    const y = 190 + i * 52
    if (y > foot - 60) return ''
    const [side, long] = [i % 2 ? 1 : -1, 50 + random() * 66]
    return `<path d="M${n(sway(y))} ${y}q${n(side * long * 0.4)} ${n(-long * 0.5)} ${n(side * long)} ${n(-long * 0.1)}q${n(-side * long * 0.4)} ${n(long * 0.5)} ${n(-side * long)} ${n(long * 0.1)}Z" fill="${ink}" opacity="${n(0.72 + random() * 0.28)}"/>`
  }).join('')
  const blooms = Array.from({ length: 17 }, (_, i) => {
    const y = 46 + i * 11
    return `<ellipse cx="${n(sway(y) + (i % 2 ? 13 : -13) * (0.4 + i / 17))}" cy="${y}" rx="${n(7 + i * 0.5)}" ry="${n(9 + i * 0.5)}" fill="${bloom}" opacity=".9"/>`
  }).join('')
  const roots = Array.from(
    { length: 9 },
    () =>
      `<path d="M${n(sway(foot + 40))} ${foot + 36}q${n((random() - 0.5) * 60)} 30 ${n((random() - 0.5) * 150)} ${n(40 + random() * 30)}" fill="none" stroke="#7a6544" stroke-width="2"/>`,
  ).join('')
  const holds = Array.from(
    { length: Math.round(tall / 330) },
    (_, i) => `<path d="M${n(sway(300 + i * 320) - 30)} ${296 + i * 320}h60v9h-60Z" fill="#e9dfc4" opacity=".9"/>`,
  ).join('')
  return `<svg viewBox="0 0 360 ${tall}" role="img" aria-label="${name}, pressed"><rect width="360" height="${tall}" fill="#efe6cf"/><rect x="10" y="10" width="340" height="${tall - 20}" fill="none" stroke="#d3c6a3"/>${roots}<path d="${stem}" fill="none" stroke="${ink}" stroke-width="5"/>${leaves}${blooms}${holds}<g font-family="serif" fill="#4a4230"><text x="196" y="${tall - 44}" font-size="19">${name}</text><text x="196" y="${tall - 24}" font-size="13">${place}</text></g></svg>`
}

export const bordersStyles = `
  .borders { display: flex; gap: 8px; height: 540px; padding: 0 72px; }
  .strip { position: relative; flex: 1; min-width: 0; overflow: clip; border-radius: 3px; }
  .strip > svg { position: absolute; inset: 0; width: 100%; height: 100%; }
  .strip h3 { position: absolute; left: 22px; top: 18px; margin: 0; font: 340 54px/1 "Hollow Display", serif; color: #fff6df; }
  .strip div { position: absolute; left: 22px; bottom: 22px; width: 300px; color: #f3ecd8; }
  .strip div strong { display: block; margin-bottom: 6px; font: 440 25px/1.1 "Hollow Display", serif; }
  .strip div p { margin: 0; }
  .sheets { display: grid; grid-template-columns: repeat(3, 1fr); gap: 28px; padding: 20px 72px 40px; }
  .sheet { height: 420px; overflow: clip; border-radius: 3px; box-shadow: 0 24px 44px -26px #000c; }
  .sheet svg { display: block; width: 100%; height: auto; }
  @media (scripting: none) { .strip div { width: auto; right: 14px; left: 14px; } .strip div strong { font-size: 20px; } .strip div p { font-size: 14px; } .strip > svg { opacity: 0.5; } .strip > .about { opacity: 1 !important; } }
  @media (max-width: 900px) { .borders { display: block; height: auto; padding: 0 24px; } .strip { height: 300px; margin-bottom: 10px; } .strip > svg { left: auto; right: 0; width: 62%; } .strip { background: linear-gradient(var(--above), var(--below)); } .strip > svg { mask-image: linear-gradient(90deg, transparent, #000 45%); } .sheets { grid-template-columns: 1fr; padding-left: 24px; padding-right: 24px; } }
`

/** The section: the strips, and the sheets under them. */
export const borders = (): string => `
    <section class="opening">
      <h2>Borders</h2>
      <p>Five of them, planted by the hour at which they open. Stand before one, and it makes room for you.</p>
    </section>
    <section class="borders">${strips
      .map(
        (strip, index) => `
      <article class="strip art" tabindex="0" style="--above: ${strip.ground[0]}; --below: ${strip.ground[1]}">${drawStrip(strip, index)}<h3 class="on-art">${strip.hour}</h3><div class="about on-art"><strong>${strip.name}</strong><p>${strip.words}</p></div></article>`,
      )
      .join('')}
    </section>
    <section class="opening">
      <h2>Long sheets</h2>
      <p>Whatever is taller than a drawer is pressed in one piece, from the root to the tip.</p>
    </section>
    <section class="sheets">${sheets
      .map(
        (sheet) => `
      <figure class="sheet" style="margin: 0">${drawSheet(sheet)}</figure>`,
      )
      .join('')}
    </section>`
