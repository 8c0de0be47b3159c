// The demo's section "The evening": ten hours of the programme, whose rows turn to what happens then, each with its picture.
import { grass } from './meadow'
import { drawWings, type Palette } from './moth'
import { seededRandom } from './random'

interface Hour {
  readonly at: string
  readonly name: string
  readonly place: string
  readonly told: string
  readonly sky: readonly [string, string]
  readonly shown: 'moth' | 'flower' | 'lamp' | 'moon'
  readonly colour: string
}

const hours: readonly Hour[] = [
  {
    at: '20:30',
    name: 'The gate',
    place: 'south lane',
    told: 'Lamps are handed out, and names are taken',
    sky: ['#24424a', '#a8562f'],
    shown: 'lamp',
    colour: '#f0c36d',
  },
  {
    at: '21:05',
    name: 'Evening primrose',
    place: 'south step',
    told: 'It opens while you hold your breath',
    sky: ['#1f3b46', '#6f6a4a'],
    shown: 'flower',
    colour: '#f4d35e',
  },
  {
    at: '21:40',
    name: 'First lampwrights',
    place: 'gate lantern',
    told: 'They come one by one, and stay',
    sky: ['#172f39', '#3f4a3a'],
    shown: 'moth',
    colour: '#b98a4a',
  },
  {
    at: '22:00',
    name: 'Soup',
    place: 'glasshouse',
    told: 'Nettle or beetroot, and bread',
    sky: ['#16302a', '#7a4a2a'],
    shown: 'lamp',
    colour: '#ef9a5a',
  },
  {
    at: '22:20',
    name: 'The thistle walk',
    place: 'gravel',
    told: 'Slowly, and without talking',
    sky: ['#142a33', '#2b5a49'],
    shown: 'moth',
    colour: '#a3552f',
  },
  {
    at: '22:45',
    name: 'Night stock',
    place: 'kitchen wall',
    told: 'To be smelled before it is seen',
    sky: ['#12262f', '#34506a'],
    shown: 'flower',
    colour: '#a9c7e8',
  },
  {
    at: '23:10',
    name: 'Moon sails',
    place: 'island',
    told: 'If there are any; there are four nights a year',
    sky: ['#0f2029', '#2a4a3e'],
    shown: 'moth',
    colour: '#bcd0a6',
  },
  {
    at: '23:30',
    name: 'The white sheet',
    place: 'meadow',
    told: 'A lamp behind it, and everybody in front',
    sky: ['#0d1c24', '#4a5648'],
    shown: 'moon',
    colour: '#efe6cf',
  },
  {
    at: '00:10',
    name: 'Moonflower',
    place: 'well',
    told: 'The last to open, and the widest',
    sky: ['#0b1820', '#1d3a44'],
    shown: 'flower',
    colour: '#e8ecd4',
  },
  {
    at: '00:40',
    name: 'Lamps out',
    place: 'everywhere',
    told: 'We walk back by what is left of the moon',
    sky: ['#08131a', '#16302a'],
    shown: 'moon',
    colour: '#f3e9c4',
  },
]

const n = (value: number) => Number(value.toFixed(1))

const petals = (colour: string) =>
  Array.from(
    { length: 7 },
    (_, i) =>
      `<path d="M0 0C34 -20 40 -66 0 -84C-40 -66 -34 -20 0 0Z" transform="rotate(${n(i * (360 / 7))})" fill="${colour}" fill-opacity=".82"/>`,
  ).join('')

const mothOf = (colour: string): Palette => ({
  ground: colour,
  shade: '#241a12',
  band: '#6b5334',
  mark: '#f3e3b0',
  pale: '#fbf3da',
  fur: '#e6d8b4',
})

/** What an hour looks like: a sky, grass, and what there is to be seen. */
function draw({ sky, shown, colour }: Hour, index: number): string {
  const random = seededRandom(300 + index)
  const stars = Array.from(
    { length: 36 },
    () => `<circle cx="${n(random() * 400)}" cy="${n(random() * 170)}" r="${n(0.5 + random())}" opacity="${n(0.3 + random() * 0.6)}"/>`,
  ).join('')
  const seen = {
    moth: `<g transform="translate(210 150) rotate(${n(-14 + random() * 28)}) scale(1.25)">${drawWings(`hour-${index}`, { reach: 1, point: 0.2 + 0.6 * random(), tail: index === 6 ? 1 : 0, eyespots: index % 2 === 0, palette: mothOf(colour), seed: 40 + index })}</g>`,
    flower: `<path d="M206 330Q196 240 206 160" fill="none" stroke="#3f6b4c" stroke-width="7"/><g transform="translate(206 156) scale(1.15)">${petals(colour)}<circle r="17" fill="#fffbe8"/></g>`,
    lamp: `<circle cx="210" cy="176" r="120" fill="${colour}" opacity=".2"/><circle cx="210" cy="176" r="64" fill="${colour}" opacity=".3"/><path d="M178 132H242L234 224H186Z" fill="${colour}" fill-opacity=".34" stroke="#d9cba4" stroke-width="4"/><path d="M210 214C190 190 200 168 210 150C220 168 230 190 210 214Z" fill="#fffbe8"/><path d="M176 224H244V236H176ZM210 132V98M190 112Q190 96 210 96T230 112" fill="#d9cba4" stroke="#d9cba4" stroke-width="4" fill-opacity="1"/>`,
    moon: `<circle cx="238" cy="112" r="104" fill="${colour}" opacity=".16"/><circle cx="238" cy="112" r="52" fill="${colour}"/><circle cx="221" cy="100" r="9" fill="#d9cba4"/><circle cx="256" cy="128" r="6" fill="#d9cba4"/>`,
  }[shown]
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 400 300"><defs><linearGradient id="s" x1="0" x2="0" y1="0" y2="1"><stop offset="0" stop-color="${sky[0]}"/><stop offset="1" stop-color="${sky[1]}"/></linearGradient></defs><rect width="400" height="300" fill="url(#s)"/><g fill="#f7efcf">${stars}</g>${seen}<g transform="translate(0 78) scale(.3125 1)"><path d="${grass(500 + index, 90, 226, 70)}" fill="#0c1f1a"/></g></svg>`
  return `data:image/svg+xml,${encodeURIComponent(svg)}`
}

export const programmeStyles = `
  .programme { padding: 0 72px 130px; }
  .hour { display: block; border-top: 1px solid #2f4f45; color: #e6e6d4; text-decoration: none; }
  .hour:last-child { border-bottom: 1px solid #2f4f45; }
  .hour:focus-visible { outline: 2px solid var(--lamp); outline-offset: -2px; }
  .hour .face { display: grid; grid-template-columns: 110px 1fr auto; gap: 24px; align-items: baseline; padding: 17px 20px 18px; }
  .hour .face b { font: 400 30px/1.1 "Hollow Display", serif; letter-spacing: -0.01em; }
  .hour .face time, .hour .face i { font-style: normal; font-size: 15px; color: var(--leaf); }
  .hour .then { background: var(--lamp); color: #1d2a20; }
  .hour .then time, .hour .then i { color: #4b431f; }
  .hour img { display: none; }
  @media (max-width: 900px) { .programme { padding: 0 24px 80px; } .hour .face { grid-template-columns: 62px 1fr; gap: 12px; padding: 13px 6px; } .hour .face b { font-size: 22px; } .hour .face i { display: none; } }
`

/** The section: a heading, and a row for each hour. */
export const programme = (): string => `
    <section class="opening">
      <h2>The evening</h2>
      <p>Ten hours that mostly keep to themselves. Come to one of them, or stay until the lamps are out.</p>
    </section>
    <section class="programme">${hours
      .map(
        (hour, index) => `
      <a class="hour" href="#at-${hour.at.replace(':', '')}">
        <span class="face now"><time>${hour.at}</time><b>${hour.name}</b><i>${hour.place}</i></span>
        <span class="face then"><time>${hour.at}</time><b>${hour.told}</b><i>${hour.place}</i></span>
        <img alt="" width="400" height="300" src="${draw(hour, index)}">
      </a>`,
      )
      .join('')}
    </section>`
