// How a feel is written in a script: a constant with what it comes to beside it.
import type { Easing } from '../curve/cubic-bezier'
import { parseEasing } from '../curve/easing'
import type { Feel, Timed } from '../feel/feel'
import { nameOfFeel } from '../feel/named'
import { answerOf } from '../feel/spring-answer'
import { number } from './literal'

/** Constants that a script declares before its effects, each once, by the text of what they are. */
export class Constants {
  private readonly byText = new Map<string, string>()
  private readonly taken = new Set<string>()
  readonly lines: string[] = []

  /** The name of a constant of this text; one that is new is declared under a name like the wished one. */
  name(wished: string, text: string, note = ''): string {
    const known = this.byText.get(text)
    if (known !== undefined) return known
    let name = wished
    for (let n = 2; this.taken.has(name); n++) name = `${wished}${n}`
    this.taken.add(name)
    this.byText.set(text, name)
    this.lines.push(`const ${name} = ${text}${note && ` // ${note}`}`)
    return name
  }
}

/** The expression of a feel: the name of a constant. */
export function writeFeel(feel: Feel, wished: string, constants: Constants): string {
  const from = '(follower, t) =>'
  switch (feel.kind) {
    case 'direct':
      return 'direct'
    case 'glide':
      return constants.name(wished, `${from} glide(follower, t, ${number(feel.halfLifeMs)})`, `what is missing halves every ${number(feel.halfLifeMs)} ms`)
    case 'timed':
      return writeTimed(feel, wished, constants)
    case 'spring': {
      const { frequencyHz, dampingRatio } = feel
      const decay = `2 * Math.PI * ${number(frequencyHz)}${dampingRatio === 1 ? '' : ` * ${number(dampingRatio)}`}`
      const { settleMs, overshoot } = answerOf(feel)
      const note = `settles in ${Math.round(settleMs)} ms${overshoot >= 0.005 ? `, ${Math.round(overshoot * 100)} % past the mark` : ''}`
      const name = (nameOfFeel(feel)?.id ?? wished).replace(/-./g, (each) => each.slice(1).toUpperCase())
      // So near to critical damping that its two decays cannot be told apart.
      if (Math.abs(dampingRatio - 1) < 1e-5) return constants.name(name, `${from} critical(follower, t, ${decay})`, note)
      const root = `2 * Math.PI * ${number(frequencyHz)} * Math.sqrt(${dampingRatio < 1 ? `1 - ${number(dampingRatio)} ** 2` : `${number(dampingRatio)} ** 2 - 1`})`
      return constants.name(name, `${from} ${dampingRatio < 1 ? 'underdamped' : 'overdamped'}(follower, t, ${decay}, ${root})`, note)
    }
  }
}

function writeTimed({ durationMs, easing, delayMs }: Timed, wished: string, constants: Constants): string {
  const delay = delayMs === 0 ? '' : `, ${number(delayMs)}`
  if (durationMs === 0) return delayMs === 0 ? 'direct' : constants.name(wished, `(follower, t) => timed(follower, t, 1e-9, (share) => share${delay})`)
  return constants.name(wished, `(follower, t) => timed(follower, t, ${number(durationMs)}, ${writeEasing(easing, constants)}${delay})`)
}

/** The expression of an easing function, for shares between 0 and 1. */
export function writeEasing(text: string, constants: Constants): string {
  const source = text.trim().toLowerCase()
  const keywords: Readonly<Record<string, string>> = { ease: '0.25, 0.1, 0.25, 1', 'ease-in': '0.42, 0, 1, 1', 'ease-out': '0, 0, 0.58, 1', 'ease-in-out': '0.42, 0, 0.58, 1' }
  if (source === 'linear' || parseEasing(source) === undefined) return '(share) => share'
  const keyword = keywords[source]
  if (keyword) return constants.name('ease', `bezier(${keyword})`, source)
  const [, name = '', inner = ''] = /^([a-z-]+)(?:\(([^()]*)\))?$/.exec(source) ?? []
  if (name === 'cubic-bezier') return constants.name('ease', `bezier(${inner.split(',').map((each) => number(Number(each.trim()))).join(', ')})`)
  if (name === 'linear') return constants.name('ease', `linearPoints(${pointsOf(parseEasing(source), inner).join(', ')})`)
  const [count = '1', where = 'end'] = name === 'steps' ? inner.split(',').map((each) => each.trim().replace('jump-', '')) : ['1', name.slice('step-'.length)]
  const jumps = Number(count) + (where === 'both' ? 1 : where === 'none' ? -1 : 0)
  return constants.name('ease', `steps(${Number(count)}, ${jumps}, ${where === 'start' || where === 'both' ? 1 : 0})`)
}

/** The points of linear(), each with its place: those that are given without one are asked of the easing itself. */
function pointsOf(easing: Easing | undefined, inner: string): readonly string[] {
  const parts = inner.split(',').map((part) => part.trim().split(/\s+/))
  const places: number[] = []
  const values: number[] = []
  for (const words of parts) {
    const value = Number(words.find((word) => !word.endsWith('%')))
    const given = words.filter((word) => word.endsWith('%')).map((word) => Number(word.slice(0, -1)) / 100)
    for (const place of given.length > 0 ? given : [NaN]) {
      places.push(place)
      values.push(value)
    }
  }
  if (Number.isNaN(places[0])) places[0] = 0
  if (Number.isNaN(places.at(-1))) places[places.length - 1] = Math.max(1, ...places.filter((each) => !Number.isNaN(each)))
  let greatest = 0
  places.forEach((place, i) => {
    if (Number.isNaN(place)) {
      const next = places.findIndex((each, k) => k > i && !Number.isNaN(each))
      const end = Math.max(greatest, places[next] ?? 1)
      places[i] = greatest + (end - greatest) / (next - i + 1)
    } else places[i] = Math.max(place, greatest)
    greatest = places[i] ?? greatest
  })
  return easing ? places.map((place, i) => `[${number(place)}, ${number(values[i] ?? 0)}]`) : []
}
