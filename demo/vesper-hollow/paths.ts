// The demo's section "Paths": a plan of the garden in five beds. The one that you are nearest to is lit, and said something of; a lamp-bearer goes along.
import { seededRandom } from './random'

interface Bed {
  readonly name: string
  readonly hour: string
  readonly told: string
  readonly shape: string
  readonly middle: readonly [number, number]
  readonly colour: string
}

/** On a plan of 720 x 460. */
const beds: readonly Bed[] = [
  {
    name: 'Dusk bed',
    hour: '20:30 to 21:30',
    told: 'Planted for those who are early: primrose, soapwort, and a seat that faces west.',
    shape: 'M44 60Q150 18 262 52Q282 128 214 178Q118 196 56 158Q30 110 44 60Z',
    middle: [152, 108],
    colour: '#c98b5a',
  },
  {
    name: 'White bed',
    hour: '21:30 to 22:30',
    told: 'Nothing in it has a colour. By ten it is the only thing that you can see.',
    shape: 'M318 40Q430 16 520 60Q548 130 486 176Q396 200 326 160Q290 100 318 40Z',
    middle: [420, 108],
    colour: '#dfe3cf',
  },
  {
    name: 'Scent bed',
    hour: '22:00 to 23:30',
    told: 'Stand on the downwind side. Night stock first, then honeysuckle, then rain.',
    shape: 'M566 96Q656 70 690 140Q700 236 640 290Q570 300 538 238Q532 150 566 96Z',
    middle: [616, 186],
    colour: '#a78bbd',
  },
  {
    name: 'Long bed',
    hour: '23:00 to 00:30',
    told: 'For moths that feed standing in the air. Forty paces, all of them thistles.',
    shape: 'M60 232Q170 206 300 226Q410 240 470 226Q502 270 452 306Q320 336 190 318Q90 320 50 288Q36 254 60 232Z',
    middle: [262, 272],
    colour: '#7fae7a',
  },
  {
    name: 'Hour bed',
    hour: 'once a year',
    told: 'It opens for one hour. We ring the bell, and whoever is in bed gets up.',
    shape: 'M196 384Q330 362 470 376Q552 392 556 430Q420 454 264 446Q182 434 196 384Z',
    middle: [376, 404],
    colour: '#6fa3b0',
  },
]

const n = (value: number) => Number(value.toFixed(1))

/** Tufts in a bed, as the plan of a gardener has them. */
function tufts({ middle: [x, y], colour }: Bed, seed: number): string {
  const random = seededRandom(seed)
  return Array.from({ length: 16 }, () => {
    const [angle, far] = [random() * 2 * Math.PI, Math.sqrt(random())]
    return `<circle cx="${n(x + Math.cos(angle) * far * 62)}" cy="${n(y + Math.sin(angle) * far * 26 - 12)}" r="${n(2.5 + random() * 5)}" fill="${colour}" opacity="${n(0.35 + random() * 0.5)}"/>`
  }).join('')
}

export const pathsStyles = `
  .paths { display: grid; grid-template-columns: 1.55fr 1fr; gap: 56px; align-items: center; padding: 0 72px 140px; }
  .plan { position: relative; border-radius: 10px; background: #122b25; }
  .plan:focus-visible { outline: 2px solid var(--lamp); outline-offset: 4px; }
  .plan svg { display: block; width: 100%; height: auto; }
  .plan text { font: 440 17px "Hollow Display", serif; fill: #f3ead0; text-anchor: middle; }
  .plan .lamp { position: absolute; left: calc(50% - 13px); top: calc(50% - 13px); width: 26px; height: 26px; border-radius: 13px; background: radial-gradient(#fffbe8 0 22%, #f0c36d 30%, rgb(240 195 109 / 0.25) 62%, transparent 70%); pointer-events: none; }
  .bed-words { display: grid; }
  .bed-words article { grid-area: 1 / 1; }
  .bed-words h3 { margin: 0; font: 380 44px/1.05 "Hollow Display", serif; color: #f5ecd2; }
  .bed-words time { display: block; margin: 10px 0 14px; color: var(--lamp); font-size: 15px; }
  .bed-words p { margin: 0; max-width: 26em; color: var(--leaf); font-size: 18px; }
  /* Where nothing chooses one of them they stand one below the other. */
  @media (scripting: none) { .bed-words { gap: 22px; } .bed-words article { grid-area: auto; } .bed-words h3 { font-size: 26px; } }
  @media print { .paths { grid-template-columns: 1fr; } .bed-words { gap: 22px; } .bed-words article { grid-area: auto; opacity: 1 !important; } }
  @media (max-width: 900px) { .paths { grid-template-columns: 1fr; gap: 28px; padding: 0 24px 90px; } .bed-words h3 { font-size: 32px; } }
`

/** The section: a heading, the plan, and what there is to say of each bed. */
export const paths = (): string => `
    <section class="opening">
      <h2>Paths</h2>
      <p>Five beds, in the order in which they open. There is a path to each of them, and one back.</p>
    </section>
    <section class="paths">
      <div class="plan art" role="figure" aria-label="Plan of the garden">
        <svg viewBox="0 0 720 460" aria-hidden="true">
          <path d="M20 200Q180 214 300 202T520 204Q560 300 500 336T180 344M300 202Q296 120 292 20M520 204Q540 120 548 30M180 344Q150 380 120 450M546 262Q590 340 648 450" fill="none" stroke="#2f5546" stroke-width="13" stroke-linecap="round"/>
          ${beds.map((bed, i) => `<g class="plot"><path d="${bed.shape}" fill="#1f4638" stroke="#3b6a55" stroke-width="2"/>${tufts(bed, 700 + i)}<text x="${bed.middle[0]}" y="${bed.middle[1] + 31}">${bed.name}</text></g>`).join('\n          ')}
        </svg>
        <span class="lamp" aria-hidden="true"></span>
      </div>
      <div class="bed-words">${beds
        .map(
          ({ name, hour, told }) => `
        <article><h3>${name}</h3><time>${hour}</time><p>${told}</p></article>`,
        )
        .join('')}
      </div>
    </section>`
