// The demo's page "The collection": eight plates of moths that come to the lamps of a made-up garden, the flowers they come for, and their seeds.
import { glass, glassStyles } from './glass'
import { pageOf } from './house-style'
import { nightFlowers, nightFlowerStyles } from './night-flowers'
import { seedPackets, seedPacketStyles } from './seed-packets'
import { drawBody, drawWings, type MothShape, type Palette } from './moth'

interface Species {
  readonly name: string
  readonly latin: string
  readonly hour: string
  readonly note: string
  readonly shape: Omit<MothShape, 'palette' | 'seed'>
  readonly palette: Palette
}

const species: readonly Species[] = [
  {
    name: 'Lampwright',
    latin: 'Vespera lucerna',
    hour: '21:40',
    note: 'First to the gate lantern, last to leave it.',
    shape: { reach: 1, point: 0.3, tail: 0, eyespots: true },
    palette: { ground: '#b98a4a', shade: '#4a3219', band: '#8a5e2c', mark: '#e0b265', pale: '#f2dfb4', fur: '#d8b984' },
  },
  {
    name: 'Orchard Veil',
    latin: 'Pomona tenuis',
    hour: '22:05',
    note: 'Rests on pear bark and is not seen there.',
    shape: { reach: 0.96, point: 0, tail: 0, eyespots: false },
    palette: { ground: '#a9b39a', shade: '#46503f', band: '#7c8a6c', mark: '#d9d3ae', pale: '#eef0df', fur: '#c9cdb4' },
  },
  {
    name: 'Thistle Ember',
    latin: 'Cinera cardui',
    hour: '22:20',
    note: 'Drinks at thistles while they still hold the day.',
    shape: { reach: 1.02, point: 0.8, tail: 0, eyespots: false },
    palette: { ground: '#7d4a33', shade: '#2f1b14', band: '#a3552f', mark: '#e39a4e', pale: '#f0cf9d', fur: '#c48a5b' },
  },
  {
    name: 'Moon Sail',
    latin: 'Hollowia selene',
    hour: '23:10',
    note: 'Four nights of flying, and no mouth to eat with.',
    shape: { reach: 1.02, point: 0.5, tail: 1, eyespots: true },
    palette: { ground: '#bcd0a6', shade: '#56704f', band: '#9dbb8b', mark: '#e6dc9a', pale: '#f4f6dd', fur: '#eef0d8' },
  },
  {
    name: 'Ivy Sovereign',
    latin: 'Hederina regia',
    hour: '23:25',
    note: 'Found on the north wall, always alone.',
    shape: { reach: 1.04, point: 0.55, tail: 0.25, eyespots: true },
    palette: { ground: '#4f6650', shade: '#1b2a20', band: '#36503d', mark: '#b6a45c', pale: '#dcd9ab', fur: '#8f9f78' },
  },
  {
    name: 'Ash Quill',
    latin: 'Penna cineris',
    hour: '23:50',
    note: 'Folds itself to a twig at the first touch.',
    shape: { reach: 0.98, point: 1, tail: 0, eyespots: false },
    palette: { ground: '#8f8f88', shade: '#36362f', band: '#66665e', mark: '#c9c2a8', pale: '#ecebe0', fur: '#b9b7a8' },
  },
  {
    name: 'Marsh Lantern',
    latin: 'Palustra ignis',
    hour: '00:15',
    note: 'Comes over the wall with the mist from the ditch.',
    shape: { reach: 0.97, point: 0.2, tail: 0.1, eyespots: true },
    palette: { ground: '#5b6f6c', shade: '#1d2b2c', band: '#3f5554', mark: '#d4b25a', pale: '#e7ddb0', fur: '#a8ab91' },
  },
  {
    name: 'Last Candle',
    latin: 'Vespera ultima',
    hour: '01:30',
    note: 'When it settles, the wardens put out the lights.',
    shape: { reach: 0.99, point: 0.4, tail: 0.55, eyespots: false },
    palette: { ground: '#d8c49a', shade: '#6a5230', band: '#b99a62', mark: '#9a6a34', pale: '#f8eed2', fur: '#efe0b9' },
  },
]

function plate(each: Species, index: number): string {
  const id = `moth-${index + 1}`
  const shape: MothShape = { ...each.shape, palette: each.palette, seed: 41 + index * 17 }
  return `
      <article class="plate" id="${id}-plate">
        <div class="paper"></div>
        <svg class="shadow" viewBox="-100 -100 200 200" aria-hidden="true"><use href="#${id}-wings" /></svg>
        <svg class="moth" viewBox="-100 -100 200 200" role="img" aria-label="${each.name}, wings spread">
          <g id="${id}-wings">${drawWings(id, shape)}</g>
          <g>${drawBody(shape)}</g>
          <g class="needle"><circle cx="1.4" cy="-7" r="3.6" fill="#000" opacity=".3"/><circle cy="-9" r="3.4" fill="#c9b27a"/><circle cx="-1" cy="-10.2" r="1.1" fill="#fff" opacity=".9"/></g>
        </svg>
        <div class="label">
          <h2>${each.name}</h2>
          <p class="latin">${each.latin}</p>
          <p class="hour">${each.hour}</p>
          <p class="note">${each.note}</p>
        </div>
      </article>`
}

const styles = `
  .plates { display: grid; grid-template-columns: repeat(4, 1fr); gap: 34px 28px; padding: 0 72px 120px; }
  .plates .plate:nth-child(even) { margin-top: 44px; margin-bottom: -44px; }
  .plate { position: relative; min-height: clamp(382px, 26vw, 520px); color: var(--ink); border-radius: 3px; }
  .paper { position: absolute; inset: 0; border-radius: inherit; background: radial-gradient(120% 90% at 50% 8%, #fbf5e3, var(--paper) 55%, #ddd0b0); box-shadow: 0 1px 0 #fff8 inset, 0 26px 50px -22px #000c, 0 6px 14px -4px #0007; }
  .paper::after { content: ""; position: absolute; inset: 10px; border: 1px solid #b9a87d; border-radius: 1px; }
  .plate svg { position: absolute; left: 6%; top: 18px; width: 88%; height: auto; overflow: visible; }
  .shadow { filter: brightness(0) blur(2.4px); opacity: 0.3; translate: 5px 9px; }
  .label { position: absolute; inset: auto 24px 24px; display: grid; grid-template-columns: 1fr auto; }
  .label h2 { margin: 0; font: 480 21px/1.2 "Hollow Display", serif; color: var(--ink); }
  .label p { margin: 0; }
  .latin { grid-column: 1; font-style: italic; font-size: 14px; color: #6a6149; }
  .hour { grid-column: 2; grid-row: 1; font-size: 14px; line-height: 25px; font-variant-numeric: tabular-nums; color: #6a6149; }
  .note { grid-column: 1 / -1; margin-top: 8px !important; font-size: 13.5px; line-height: 1.42; color: #4d4735; }
  @media (max-width: 900px) { .plates { grid-template-columns: repeat(2, 1fr); padding-left: 24px; padding-right: 24px; } }
  @media (min-width: 561px) and (max-width: 900px) { .plate svg { left: 16%; width: 68%; } }
  @media (max-width: 560px) { .plates { gap: 18px 14px; } .plates .plate:nth-child(even) { margin-top: 26px; margin-bottom: -26px; } .plate { min-height: 262px; } .label { grid-template-columns: 1fr; inset: auto 18px 18px; } .label h2 { font-size: 18px; } .hour { grid-column: 1; grid-row: auto; line-height: 1.4; } .note { display: none; } }
`

/** The page of the collection. */
export function specimensPage(): string {
  return pageOf(
    'The collection',
    'Specimens',
    styles + glassStyles + nightFlowerStyles + seedPacketStyles,
    `
    <section class="opening">
      <h1>Specimens</h1>
      <p>Eight moths that come to our lamps between dusk and the last bell. Each was drawn from life, on the night it first came, and let go again.</p>
    </section>
    <section class="plates">${species.map(plate).join('')}
    </section>${glass()}${nightFlowers()}${seedPackets()}`,
  )
}
