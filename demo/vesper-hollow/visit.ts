// The demo's page "Visit": hours and prices, what its words mean, the way there, and two buttons.
import { pageOf } from './house-style'
import { flowers, grass } from './meadow'

const nights = [
  ['May and June', 'Thursday to Saturday', '21:00', '00:30'],
  ['July and August', 'every night but Monday', '20:30', '01:00'],
  ['September', 'Friday and Saturday', '19:30', '23:30'],
] as const

interface Ticket {
  readonly name: string
  readonly price: string
  readonly for: string
}

const tickets: readonly Ticket[] = [
  { name: 'One lamp', price: '14', for: 'for yourself' },
  { name: 'Two lamps', price: '24', for: 'if you want to talk' },
  { name: 'Small lamp', price: '6', for: 'up to twelve years, and up to eleven o’clock' },
]

const ways = [
  ['By foot', 'From the mill along the leat, twenty minutes. Turn where you hear the water stop.'],
  ['By bus', 'The 14 to Hollow Lane; the last one is at ten past eight. The first one back is at twenty to six, and there is tea.'],
  ['By bicycle', 'There is a wall to lean it on. Put out your light at the white stone.'],
] as const

/** A lantern that somebody left burning in the grass, beside the closing line. */
const drawLantern = () => `<svg class="left-lantern" viewBox="0 0 1280 420" preserveAspectRatio="xMaxYMax slice" aria-hidden="true">
      <defs><radialGradient id="left-light"><stop offset="0" stop-color="#ffd98a" stop-opacity=".62"/><stop offset=".35" stop-color="#f3b95f" stop-opacity=".2"/><stop offset="1" stop-color="#f3b95f" stop-opacity="0"/></radialGradient></defs>
      <path d="M0 350Q320 318 640 346T1280 330V420H0Z" fill="#12302a"/>
      <path d="${grass(61, 210, 372, 84)}" fill="#17392f"/>
      <circle cx="1010" cy="262" r="250" fill="url(#left-light)"/>
      <g transform="translate(1010 236)"><path d="M0-92V-74M-26-62Q-26-78 0-78T26-62" fill="none" stroke="#8d9a86" stroke-width="5"/><path d="M-36-58H36L28 66H-28Z" fill="#f0c36d" fill-opacity=".24" stroke="#8d9a86" stroke-width="4"/><path d="M0 54C-24 28-12 2 0-16C12 2 24 28 0 54Z" fill="#f3b95f"/><path d="M0 50C-10 36-5 20 0 8C5 20 10 36 0 50Z" fill="#fffbe8"/><path d="M-42 66H42V80H-42Z" fill="#8d9a86"/></g>
      <path d="${grass(67, 230, 392, 78)}" fill="#1f4a3a"/>
      ${flowers(29, 16, 400, 92)}
      <path d="M0 392Q320 372 640 394T1280 384V420H0Z" fill="#163329"/>
    </svg>`

const term = (word: string, note: string) =>
  `<span class="explained"><button class="term" type="button">${word}</button><span class="note">${note}</span></span>`

const styles = `
  .visit { display: grid; grid-template-columns: 1.3fr 1fr; gap: 72px; padding: 20px 72px 90px; }
  .visit h2 { margin: 0 0 18px; font-weight: 380; font-size: 34px; }
  .nights { width: 100%; border-collapse: collapse; font-size: 17px; }
  .nights th, .nights td { padding: 13px 12px 13px 0; border-bottom: 1px solid #2f4f45; text-align: left; font-weight: 400; }
  .nights th { color: #f0e8cf; } .nights td { color: var(--leaf); } .nights td + td { font-variant-numeric: tabular-nums; }
  .tickets { display: grid; gap: 12px; }
  .ticket { display: grid; grid-template-columns: 1fr auto; gap: 2px 20px; padding: 18px 22px; border: 1px solid #2f5546; border-radius: 10px; background: #132c26; color: inherit; text-decoration: none; }
  .ticket b { font: 440 23px/1.1 "Hollow Display", serif; color: #f3ead0; }
  .ticket strong { font: 380 26px/1 "Hollow Display", serif; color: var(--lamp); }
  .ticket span { grid-column: 1; font-size: 14px; color: var(--leaf); }
  .ticket:focus-visible, .action:focus-visible, .term:focus-visible { outline: 2px solid var(--lamp); outline-offset: 3px; }
  .terms { display: grid; grid-template-columns: 1.3fr 1fr; gap: 0 72px; align-items: start; padding: 0 72px 110px; }
  .terms h2 { margin: 0 0 14px; font-weight: 380; font-size: 34px; }
  .terms p { margin: 0; max-width: 40em; font-size: 20px; line-height: 1.7; color: #dfe3d3; }
  .term { padding: 0; border: 0; border-bottom: 1.5px dotted var(--lamp); background: none; color: var(--lamp); font: inherit; cursor: help; }
  .note { display: none; padding: 14px 18px; border-radius: 8px; background: var(--paper); color: var(--ink); font-size: 15px; line-height: 1.45; box-shadow: 0 18px 40px -16px #000c; }
  .note a { color: #6b3d12; }
  .actions { display: flex; flex-wrap: wrap; gap: 32px; align-items: center; padding: 46px 0 0; }
  .ways { display: grid; grid-template-columns: repeat(3, 1fr); gap: 40px; margin: 0; padding: 26px 72px 96px; }
  .ways dt { margin-bottom: 6px; font: 440 23px/1.15 "Hollow Display", serif; color: #f3ead0; }
  .ways dd { margin: 0; color: var(--leaf); }
  .way h2 { margin: 0; padding: 0 72px; font-weight: 380; font-size: 34px; }
  .pledges p { margin-top: 0; font-size: 17px; line-height: 1.6; color: var(--leaf); }
  .action { display: inline-grid; place-items: center; min-height: 64px; padding: 0 34px; border: 1px solid var(--lamp); border-radius: 32px; background: var(--lamp); color: #1d2a20; font: 500 18px/1 "Hollow Text", sans-serif; text-decoration: none; }
  .action.quiet { background: none; color: var(--lamp); }
  .last { position: relative; min-height: 440px; overflow: clip; }
  .left-lantern { position: absolute; inset: 0; width: 100%; height: 100%; }
  .closing { position: relative; margin: 0; padding: 20px 72px 0; max-width: 11em; text-wrap: balance; font: 330 74px/1 "Hollow Display", serif; color: #f5ecd2; letter-spacing: -0.02em; }
  @media (max-width: 900px) { .visit { grid-template-columns: 1fr; gap: 44px; padding: 10px 24px 60px; } .terms { grid-template-columns: 1fr; gap: 48px; } .ways { grid-template-columns: 1fr; gap: 22px; } .terms, .ways, .way h2, .closing { padding-left: 24px; padding-right: 24px; } .closing { font-size: 46px; } .last { min-height: 520px; } .nights { font-size: 15px; } }
`

export function visitPage(): string {
  return pageOf(
    'Visit',
    'Visit',
    styles,
    `
    <section class="opening">
      <h1>Visit</h1>
      <p>By foot from the mill, by the last bus, or by the first one if you stay. Bring a coat; leave your torch with us.</p>
    </section>
    <section class="visit">
      <div>
        <h2>When it is open</h2>
        <table class="nights">
          <tbody>${nights.map(([months, days, from, to]) => `<tr><th scope="row">${months}</th><td>${days}</td><td>${from} to ${to}</td></tr>`).join('')}</tbody>
        </table>
      </div>
      <div>
        <h2>Lamps</h2>
        <div class="tickets" id="lamps">${tickets.map(({ name, price, for: whom }) => `<a class="ticket" href="#lamps"><b>${name}</b><strong>${price}</strong><span>${whom}</span></a>`).join('')}</div>
      </div>
    </section>
    <section class="terms">
      <div>
      <h2>Before you come</h2>
      <p>Every lamp is ${term('pledged', 'You give us something that you would miss, and get it back with the light. Keys are best. <a href="#pledges">What people left</a>')} at the gate, and burns for
      ${term('two watches', 'A watch is an hour and a half, by the bell of the mill. After the second we come and look for you.')}. On nights of
      ${term('hard rain', 'Rain that you can hear on the glasshouse from the gate. Soft rain is a good night.')} we stay shut, and your evening is
      ${term('kept', 'For any other night of the same year, or for somebody else. Tell us the name on the lamp.')}. Dogs are welcome if they are old.</p>
      <div class="actions">
        <a class="action" href="#lamps"><span>Take a lamp</span></a>
        <a class="action quiet" href="#way"><span>The way to the gate</span></a>
      </div>
      </div>
      <div class="pledges" id="pledges">
        <h2>What people left</h2>
        <p>This year so far: a cello bow, two left gloves, a library card, the second half of a novel, and one wedding ring, which was fetched within the hour.</p>
      </div>
    </section>
    <section class="way" id="way">
      <h2>The way to the gate</h2>
      <dl class="ways">${ways.map(([how, words]) => `<div><dt>${how}</dt><dd>${words}</dd></div>`).join('')}</dl>
    </section>
    <section class="last">
      ${drawLantern()}
      <p class="closing">The garden is dark so that you can see it.</p>
    </section>`,
  )
}
