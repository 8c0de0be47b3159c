// The demo's page "Tonight": the meadow after dark, the gate, the programme of the evening, and the twelve lanterns of the garden.
import { pageOf } from './house-style'
import { drawGate, drawMeadow } from './meadow'
import { programme, programmeStyles } from './programme'

/** Each lantern is named after the flower that it lights, and burns in that flower's colour. */
export const lanterns: readonly { readonly name: string; readonly place: string; readonly light: string }[] = [
  { name: 'Evening primrose', place: 'by the south step', light: '#f4d35e' },
  { name: 'Moonflower', place: 'over the well', light: '#e8ecd4' },
  { name: 'Night phlox', place: 'along the gravel', light: '#d9a5c9' },
  { name: 'Tobacco flower', place: 'at the third bench', light: '#cfe08c' },
  { name: 'Dame’s violet', place: 'under the pear', light: '#b9a0dc' },
  { name: 'Honeysuckle', place: 'on the gate itself', light: '#f2a65a' },
  { name: 'White campion', place: 'in the long grass', light: '#dfe9ee' },
  { name: 'Four o’clock', place: 'where the path forks', light: '#ef7f6a' },
  { name: 'Night stock', place: 'below the kitchen wall', light: '#a9c7e8' },
  { name: 'Angel’s trumpet', place: 'in the glasshouse', light: '#f6c58f' },
  { name: 'Soapwort', place: 'beside the ditch', light: '#e6b8b0' },
  { name: 'Marsh marigold', place: 'on the island', light: '#e9b93c' },
]

const lantern = ({ name, place, light }: (typeof lanterns)[number], index: number) => `
      <article class="lantern" data-light="${light}">
        <svg viewBox="0 0 60 84" aria-hidden="true"><path d="M30 4V14M18 22Q18 14 30 14T42 22" fill="none" stroke="#8d9a86" stroke-width="2.4"/><path d="M14 24H46L42 68H18Z" fill="${light}" fill-opacity=".18" stroke="#8d9a86" stroke-width="2"/><path d="M30 62C20 50 25 40 30 32C35 40 40 50 30 62Z" fill="${light}"/><path d="M30 60C26 54 28 48 30 44C32 48 34 54 30 60Z" fill="#fffbe8"/><path d="M12 68H48V74H12Z" fill="#8d9a86"/></svg>
        <div><h3>${name}</h3><p>${place}</p></div>
        <span class="number">${String(index + 1).padStart(2, '0')}</span>
      </article>`

const styles = `
  .meadow { position: relative; min-height: calc(100vh - 104px); overflow: clip; background: linear-gradient(#12303a, #1d4a47 60%, #245043); }
  .meadow-art { position: absolute; inset: 0; width: 100%; height: 100%; }
  .meadow-words { position: relative; padding: 72px; }
  .meadow-words h1 { margin: 0; font-weight: 330; font-size: 124px; line-height: 0.9; letter-spacing: -0.03em; }
  .meadow-words p { margin: 22px 0 0; max-width: 25em; font-size: 18px; color: #dfe3d3; }
  .gate { position: relative; height: clamp(560px, 43.75vw, 840px); overflow: clip; background: #2b332a; }
  .gate-art { position: absolute; inset: 0; width: 100%; height: 100%; }
  .gate-words { position: relative; width: 340px; padding: 84px 0 0 72px; }
  .gate-words h2 { margin: 0; font-weight: 360; font-size: 48px; line-height: 1; }
  .gate-words p { margin: 14px 0 0; color: #e3e2cd; }
  .lanterns { display: grid; grid-template-columns: repeat(4, 1fr); gap: 14px; padding: 0 72px 120px; }
  .lantern { display: grid; grid-template-columns: 52px 1fr; gap: 16px; align-items: center; min-height: 148px; padding: 20px; border: 1px solid #2a453d; border-radius: 74px 14px 14px 14px; background: #102420; }
  .lantern:nth-child(even) { border-radius: 14px 14px 74px 14px; }
  .lantern svg { width: 52px; }
  .lantern h3 { margin: 0; font: 440 19px/1.15 "Hollow Display", serif; color: #f0e8cf; }
  .lantern p { margin: 5px 0 0; font-size: 14px; line-height: 1.3; color: #d5dece; }
  .number { display: none; }
  @media (max-width: 900px) { .meadow-words h1 { font-size: 68px; } .meadow-words, .gate-words { padding: 36px 24px; } .lanterns { grid-template-columns: repeat(2, 1fr); padding: 0 24px 80px; } }
  @media (max-width: 560px) { .lanterns { grid-template-columns: 1fr; gap: 10px; } .lantern { min-height: 116px; } }
`

export function tonightPage(): string {
  return pageOf(
    'Tonight',
    'Tonight',
    styles + programmeStyles,
    `
    <section class="meadow art">
      ${drawMeadow()}
      <div class="meadow-words on-art">
        <h1>After dark</h1>
        <p>The garden opens when the last swift has gone. Bring a coat, leave your torch, and look twice: five of those who live here are looking at you.</p>
      </div>
    </section>
    <section class="gate art">
      ${drawGate()}
      <div class="gate-words on-art">
        <h2>The gate</h2>
        <p>Two lamps are lit at dusk. When they are put out we are full, and the hedgehogs have the path.</p>
      </div>
    </section>
    ${programme()}
    <section class="opening">
      <h2>Lanterns</h2>
      <p>Twelve of them, each named after the flower it lights and glazed in its colour. Carry one for the evening; it knows its way back.</p>
    </section>
    <section class="lanterns">${lanterns.map(lantern).join('')}
    </section>`,
  )
}
