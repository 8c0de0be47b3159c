// The demo's section "Seed packets": the night flowers again, as packets that turn over to the sowing note.
import { drawFlower, flowers } from './night-flowers'

interface Sowing {
  readonly sow: string
  readonly plant: string
  readonly grams: string
  readonly price: string
  readonly advice: string
}

/** In the order of the flowers. */
const sowings: readonly Sowing[] = [
  {
    sow: 'March, in the warm',
    plant: 'end of May',
    grams: '12 seeds',
    price: '3.40',
    advice: 'Nick each seed and leave it in warm tea for a night.',
  },
  {
    sow: 'April to June',
    plant: 'where it lies',
    grams: '0.3 g',
    price: '2.60',
    advice: 'Do not cover it. It wants to see the light it will do without.',
  },
  { sow: 'September', plant: 'March', grams: '0.5 g', price: '2.90', advice: 'Sow it under a window that you leave open.' },
  { sow: 'any time', plant: 'never; keep the pot', grams: '5 seeds', price: '6.80', advice: 'Wait seven years. Then stay up.' },
]

export const seedPacketStyles = `
  .packets { display: grid; grid-template-columns: repeat(4, 1fr); gap: 26px; padding: 0 72px 150px; }
  .packet > div { display: flex; flex-direction: column; min-height: 372px; padding: 18px; border-radius: 4px; background: var(--paper); color: var(--ink); box-shadow: 0 22px 40px -22px #000a; }
  .packet .front { text-align: center; background: linear-gradient(var(--paper) 60%, #e3d6b3); border-top: 12px solid #d3c290; }
  .packet .front svg { width: 100%; height: clamp(236px, 20vw, 400px); border-radius: 3px; }
  .packet h3 { margin: 14px 0 2px; font: 440 23px/1.1 "Hollow Display", serif; color: var(--ink); }
  .packet .front p { margin: 0; font-size: 14px; color: #6b6247; }
  .packet .sowing { background: #1d3a34; color: #e3e4d2; font-size: 14px; }
  .packet .sowing h3 { margin: 4px 0 12px; color: #f3ead0; }
  .packet dl { display: grid; grid-template-columns: auto 1fr; gap: 4px 14px; margin: 0 0 14px; } .packet dt { color: var(--lamp); } .packet dd { margin: 0; }
  .packet .sowing p { margin: 0; line-height: 1.45; }
  .packet button { margin-top: auto; padding: 10px 14px; border: 1px solid var(--lamp); border-radius: 3px; background: none; color: var(--lamp); font: inherit; cursor: pointer; }
  .packet button:hover { background: var(--lamp); color: #1d2a20; }
  @media (max-width: 900px) { .packets { grid-template-columns: 1fr 1fr; padding-left: 24px; padding-right: 24px; } }
  @media (max-width: 560px) { .packets { grid-template-columns: 1fr; } }
`

/** The section: a heading, and a packet of each flower. */
export const seedPackets = (): string => `
    <section class="opening">
      <h2>Seed packets</h2>
      <p>Folded by hand on Thursdays. What to do with them is written on the back, and can be read by lamplight.</p>
    </section>
    <section class="packets">${flowers
      .map((flower, index) => {
        const { sow, plant, grams, price, advice } = sowings[index] ?? { sow: '', plant: '', grams: '', price: '', advice: '' }
        return `
      <article class="packet">
        <div class="front">
          ${drawFlower(flower, `packet-${index + 1}`)}
          <h3>${flower.name}</h3>
          <p>${grams}, opens at ${flower.opens}</p>
        </div>
        <div class="sowing">
          <h3>${flower.name}</h3>
          <dl><dt>Sow</dt><dd>${sow}</dd><dt>Plant out</dt><dd>${plant}</dd><dt>Price</dt><dd>${price}</dd></dl>
          <p>${advice}</p>
          <button type="button">Into the basket</button>
        </div>
      </article>`
      })
      .join('')}
    </section>`
