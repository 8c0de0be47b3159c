// Slips planted one at a time in what scripts are compiled from, and whether playing random rigs against evaluate() catches each:
// a proof that the differential test would.
import fc from 'fast-check'
import { cases, differenceOf, most } from '../../src/bundle/differ'
import { readFragments } from '../../src/bundle/fragments'
import type { Fragment } from '../../src/core/compile/join'

/** In which declaration, what stands there, and what a hand that slips would write. */
const slips: readonly (readonly [name: string, text: string, slip: string])[] = [
  ['underdamped', 'Math.exp(-decay * s)', 'Math.exp(decay * s)'],
  ['underdamped', '/ 1000', '/ 100'],
  ['underdamped', 'speed + decay * gap', 'speed - decay * gap'],
  ['underdamped', '(speed + decay * gap) / swing', 'speed + decay * gap'],
  ['underdamped', 'gap * cos + push * sin', 'gap * cos - push * sin'],
  ['underdamped', 'gap * cos + push * sin', 'gap * sin + push * cos'],
  ['underdamped', 'decay * push + swing * gap', 'decay * push - swing * gap'],
  ['underdamped', 'speed * cos -', 'speed * cos +'],
  ['underdamped', 'moves: fade * Math.hypot(gap, push) >= band', 'moves: false'],
  ['underdamped', '>= band', '>= 200 * band'],
  ['critical', 'gap + push * s', 'gap - push * s'],
  ['critical', 'speed - decay * push * s', 'speed + decay * push * s'],
  ['critical', 'speed + decay * gap', 'decay * gap'],
  ['overdamped', '(gap - push) / 2', '(gap + push) / 2'],
  ['overdamped', 'split - decay) * s', 'split + decay) * s'],
  ['overdamped', '(split + decay) * fast', '(split - decay) * fast'],
  ['glide', '(since - t)', '(t - since)'],
  ['glide', 'gap * 2 **', 'gap * Math.E **'],
  ['glide', 'moves: Math.abs(left) > band', 'moves: false'],
  ['timed', 't - since - delayMs', 't - since + delayMs'],
  ['timed', '1 - (share', '(share'],
  ['timed', 'share < 1', 'share < 0.9'],
  ['missingOf', 'term *= x / (j + 1)', 'term *= x / (j + 2)'],
  ['missingOf', 'gaps[k - j]', 'gaps[j]'],
  ['missingOf', 'Math.LN2 *', ''],
  ['linkMoves', '< k)', '< 0)'],
  ['turnChain', 'linkAt(chain, k, t) - target', 'linkAt(chain, k, t)'],
  ['turnChain', 'since: t', 'since: 0'],
  ['bezier', '(1 - s) * a + s * b', 's * a + (1 - s) * b'],
  ['bezier', '+ s ** 3', ''],
  ['steps', '+ early', ''],
  ['linearPoints', 'high - low', 'low - high'],
  ['onCurve', 'high - low', 'high'],
  ['onCurve', '[at]) => at <= x', '[at]) => at < x - 1'],
  ['onCurve', 'goesOn ? share', 'goesOn ? 0'],
  ['shorten', '1 - missing / gap', 'missing / gap'],
  ['shorten', '* share + 1 - share', ''],
  ['shorten', 'target === from', 'target !== from'],
  ['shorten', 'isBack ? follower.target :', ''],
  ['timed', '(durationMs * part)', 'durationMs'],
  ['turn', 'gap + follower.target - target', 'gap - follower.target + target'],
  ['turn', 'since: t', 'since: t + 8'],
  ['turn', ', speed })', ', speed: 0 })'],
  ['turnValue', 'value.going ?? value.feel', 'value.feel'],
  ['turnValue', '!at.place.isOn && value.holds', 'value.holds'],
  ['turnValue', 'value.leave ? value.leave(at, follower) : value.pose', 'value.pose'],
  ['turnValue', 'follower.reading = reading', ''],
  ['turnPlace', 'place.moves = true', ''],
  ['draw', 'Math.max(now, pointer.time)', 'now'],
  ['draw', 'events.splice(0)', 'events.splice(0, 1)'],
  ['meet', 'Math.max(pointer.time, timeStamp)', 'timeStamp + 4'],
  ['meet', 'pointer.y = clientY', 'pointer.y = clientX'],
  ['meet', "|| type === 'pointercancel'", ''],
  ['meet', 'advance(t)', 'advance(pointer.time)'],
  ['draw', 'nextFrame = 0', ''],
  ['hasPointer', 'x >= before - left', 'x >= before - left + 9'],
  ['hasPointer', 'width + right - after', 'width + right + after'],
  ['hasPointer', 'height + bottom - below', 'height + bottom'],
  ['meetEffect', 'has || place.isOn', 'has'],
  ['meetEffect', 'holding.find((place) => place.isOn', 'holding.find((place) => !place.isOn'],
  ['meetPlace', '>= 3', '>= 30'],
  ['meetPlace', 'place.isOn = has', 'place.isOn = true'],
  ['shareX', '(x - left)', '(x + left)'],
  ['shareY', 'height - top - bottom > 0', 'height - top - bottom < 0'],
  ['fromEdge', '- radius', '+ 1'],
  ['angleOf', 'Math.atan2(dx, -dy)', 'Math.atan2(dx, dy)'],
  ['unwrapped', '+ 540', '+ 500'],
  ['zoneOf', 'row * columns + column', 'row * rows + column'],
  ['zoneOf', 'slackPx ? reading : NaN', 'NaN'],
  ['stretchOf', 'Math.floor', 'Math.ceil'],
  ['nearestOf', '(i === reading ? slackPx : 0)', '0'],
  ['isStill', '>=', '<'],
  ['stillDue', '> t', '>= t + 9'],
  ['speedAt', '/ 50)', '/ 40)'],
  ['follow', 'Math.LN2 * 1000', '1000'],
  ['follow', 'wasOn && isOn', 'wasOn'],
  ['pastPoint', '> 50', '> 500'],
  ['pastPoint', 'to.x - from.x', 'to.x'],
  ['hereNow', 'turn(follower.own, target, feel, t)', 'turn(follower.own, 1, feel, t)'],
  ['hereDue', '/ 4) * 4', '/ 4) * 8'],
  ['nextInstant', '+ 1) * 4', '+ 2) * 4'],
  ['flowsOn', '< Infinity', '< 0'],
  ['advanceLooks', 'at = t', ''],
  ['advanceLooks', '<= (first', '< (first'],
  ['turnLook', 't + (looks?.goDelayMs ?? 0)', 't'],
  ['turnLook', 'place.stood.t + looks.stillMs', 't + looks.stillMs'],
  ['followCauses', "'press' : 'release'", "'release' : 'press'"],
  ['show', 'other.area === place.area', 'false'],
  ['states', "going: { come: 'on'", "going: { come: 'off'"],
  ['change', 'look.before = look.shown', ''],
  ['feelByLook', "from === 'any' || ", ''],
  ['leftTo', "=== 'off' &&", "!== 'off' &&"],
  ['sideOf', 'dx > 0 ? 3 : 1', 'dx > 0 ? 1 : 3'],
  ['noteSide', '[before, now] : [now, before]', '[now, before] : [before, now]'],
  ['meetFocus', 'place.focused = focused', ''],
  ['hearTap', '<= 500', '<= 5'],
  ['meetTap', 'place.look.tapped = tapped', ''],
  ['write', 'follower.target + gap', 'follower.target'],
  ['write', 'if (moves) place.moves = true', ''],
  ['writeChain', 'value.link ?? k++', 'k++'],
]

const tries = 500

interface Caught {
  readonly after: number
  readonly how: string
}

type Sampled = ReturnType<typeof sampled>[number]
const sampled = () => fc.sample(cases(4), { numRuns: tries, seed: 20261128 })

/** After how many cases a slip is caught, and how; undefined where it is not. */
function caughtBy(planted: readonly Fragment[], samples: readonly Sampled[]): Caught | undefined {
  let after = 0
  for (const [rig, played] of samples) {
    for (const each of played) {
      after++
      try {
        const { worst, told, isAsleep } = differenceOf(rig, each, planted)
        if (worst > most) return { after, how: told.replace(/ \(.*?\}\)| of element.*/g, '').slice(0, 60) }
        if (!isAsleep) return { after, how: 'frames for ever' }
      } catch (error) {
        return { after, how: error instanceof Error ? error.name : 'an error' }
      }
    }
  }
  return undefined
}

/** Plants each, and gives how many there are, how many are not caught, and a table of them in Markdown. */
export function plantInScripts(root: string, say: (words: string) => void) {
  const fragments = readFragments(root)
  const samples = sampled()
  const rows = slips.map(([name, text, slip]) => {
    const target = fragments.find(({ names }) => names.includes(name))
    if (!target?.text.includes(text)) throw new Error(`"${text}" does not stand in ${name}.`)
    const planted = fragments.map((each) => (each === target ? { ...each, text: each.text.replace(text, slip) } : each))
    const caught = caughtBy(planted, samples)
    say(`${caught ? `caught after ${caught.after}` : 'NOT CAUGHT'}: ${name}, ${text} -> ${slip}`)
    return { name, text, slip, caught }
  })
  const row = ({ name, text, slip, caught }: (typeof rows)[number]) =>
    `| ${name} | ${inCode(text)} | ${inCode(slip)} | ${caught ? caught.after : '**not**'} | ${caught?.how ?? ''} |`
  return {
    planted: rows.length,
    missed: rows.filter(({ caught }) => !caught).length,
    cases: tries * 4,
    table: ['| in | instead of | stood | caught after | by |', '|---|---|---|---:|---|', ...rows.map(row)].join('\n'),
  }
}

/** A text as code in a table of Markdown. */
export const inCode = (text: string) => (text === '' ? 'nothing' : `\`${text.replaceAll('|', '\\|')}\``)
