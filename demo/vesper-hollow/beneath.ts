// The demo's section "What sleeps beneath": one bed twice, as it lies there, and as a lamp would show it under the ground.
import { flowers, grass } from './meadow'
import { seededRandom } from './random'

const n = (value: number) => Number(value.toFixed(1))

/** Stones in the ground, the same in both pictures. */
function stones(fill: string): string {
  const random = seededRandom(63)
  return `<g fill="${fill}">${Array.from({ length: 46 }, () => {
    const size = 5 + random() * 20
    return `<ellipse cx="${n(random() * 1280)}" cy="${n(276 + random() * 280)}" rx="${n(size)}" ry="${n(size * (0.5 + random() * 0.3))}" transform="rotate(${n(random() * 30 - 15)} 640 400)"/>`
  }).join('')}</g>`
}

/** Roots from the surface down, each forking as it goes. */
function roots(): string {
  const random = seededRandom(35)
  const fork = (x: number, y: number, long: number, lean: number, wide: number): string => {
    if (long < 18) return ''
    const [ex, ey] = [x + lean * long, y + long]
    const line = `<path d="M${n(x)} ${n(y)}Q${n(x + lean * long * 0.2)} ${n(y + long * 0.6)} ${n(ex)} ${n(ey)}" stroke-width="${n(wide)}"/>`
    const [left, right] = [random(), random()]
    return (
      line +
      fork(ex, ey, long * (0.45 + left * 0.3), lean - 0.5 * left - 0.1, wide * 0.62) +
      fork(ex, ey, long * (0.4 + right * 0.3), lean + 0.6 * right, wide * 0.58)
    )
  }
  return `<g fill="none" stroke="#e4cf9f" stroke-linecap="round">${Array.from({ length: 19 }, (_, i) => fork(40 + i * 66 + random() * 24, 190 + random() * 12, 58 + random() * 60, random() * 0.5 - 0.25, 3.4)).join('')}</g>`
}

/** A pupa: a spindle with its rings, in a small chamber that is lit from within. */
const pupa = (x: number, y: number, turn: number, size: number) =>
  `<g transform="translate(${x} ${y}) rotate(${turn}) scale(${size})"><ellipse rx="46" ry="30" fill="#f0c36d" opacity=".16"/><ellipse rx="36" ry="22" fill="#20150d"/><path d="M-28 0C-22-13 10-15 28 0C10 15-22 13-28 0Z" fill="#9b5f2e"/><path d="M-4-11Q0 0-4 11M4-10Q9 0 4 10M12-8Q16 0 12 8M19-5Q22 0 19 5" stroke="#5c3215" stroke-width="2" fill="none"/><path d="M-26-1C-20-9-10-10-6-10C-14-6-16 2-14 9C-20 8-25 4-26-1Z" fill="#b9793d"/></g>`

const bulb = (x: number, y: number, size: number) =>
  `<g transform="translate(${x} ${y}) scale(${size})"><path d="M0-44C10-26 30-16 30 8C30 28 14 36 0 36C-14 36-30 28-30 8C-30-16-10-26 0-44Z" fill="#d9b98a"/><path d="M0-44C4-20 14-10 14 10C14 26 6 34 0 36M0-44C-4-20-14-10-14 10C-14 26-6 34 0 36" fill="none" stroke="#8f6a3d" stroke-width="2"/><path d="M-12 36Q-14 54-22 62M0 37V64M12 36Q14 54 22 62" fill="none" stroke="#d9b98a" stroke-width="2"/></g>`

const worm = (d: string) =>
  `<path d="${d}" fill="none" stroke="#c98672" stroke-width="9" stroke-linecap="round"/><path d="${d}" fill="none" stroke="#e0a48f" stroke-width="3" stroke-linecap="round" stroke-dasharray="1 9"/>`

function drawBed(inside: string, soil: readonly [string, string], blade: string): string {
  return `<svg viewBox="0 0 1280 560" preserveAspectRatio="xMidYMin slice" aria-hidden="true">
      <defs><linearGradient id="soil-${blade.slice(1)}" x2="0" y2="1"><stop offset="0" stop-color="${soil[0]}"/><stop offset="1" stop-color="${soil[1]}"/></linearGradient></defs>
      <rect width="1280" height="560" fill="#16302a"/>
      <path d="${grass(77, 260, 206, 60)}" fill="${blade}"/>${flowers(44, 30, 204, 78)}
      <path d="M0 196Q200 180 420 198T860 190T1280 200V560H0Z" fill="url(#soil-${blade.slice(1)})"/>
      ${inside}
    </svg>`
}

export const beneathStyles = `
  .bed { position: relative; height: 560px; overflow: clip; background: #16302a; }
  .above, .below { position: absolute; inset: 0; }
  .above svg, .below svg { position: absolute; inset: 0; width: 100%; height: 100%; }
  .bed h2 { position: absolute; left: 72px; right: 72px; top: 26px; margin: 0; font-weight: 340; font-size: clamp(34px, 5vw, 64px); letter-spacing: -0.02em; line-height: 1; }
  .bed p { position: absolute; right: 72px; bottom: 34px; margin: 0; max-width: 25em; color: #cbbd98; }
  .below h2 { color: #f7dfa0; } .below p { color: #2b1c10; padding: 12px 16px; background: #f0d9a0; border-radius: 3px; }
  /* Where no lamp can be taken down, a spade has been there before. */
  @media (scripting: none) { .above { clip-path: inset(0 0 62% 0); } .above p { display: none; } }
  @media (max-width: 900px) { .bed { height: 480px; } .bed h2, .bed p { left: 24px; right: 24px; } }
`

/** The section: the bed in front of what is under it. */
export const beneath = (): string => `<section class="bed art on-art">
      <div class="below">${drawBed(
        `${roots()}${stones('#7d5f3f')}${pupa(214, 398, -12, 1.25)}${pupa(566, 322, 24, 1)}${pupa(742, 468, 8, 1.5)}${pupa(1060, 360, -30, 1.1)}${pupa(404, 500, 40, 0.9)}${bulb(330, 300, 0.9)}${bulb(898, 330, 1.1)}${bulb(1180, 470, 0.8)}${worm('M70 480q40-34 80 0t80-6')}${worm('M930 510q30 24 64-4t70 10')}`,
        ['#a97a45', '#6d4524'],
        '#5b8a52',
      )}<h2>What sleeps beneath</h2><p>Hawk moths, in their second winter. Bulbs of the evening stock. Two worms, who do not sleep.</p></div>
      <div class="above">${drawBed(stones('#241a12'), ['#33251a', '#17100b'], '#2b5c46')}<h2>What sleeps beneath</h2><p>Nothing is to be seen of it from up here. Take the lamp down to it.</p></div>
    </section>`
