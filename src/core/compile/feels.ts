// How a feel is written in a script: a constant with what it comes to beside it.
import { readEasing } from '../curve/easing'
import { jumpsOf } from '../curve/steps'
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
      return constants.name(
        wished,
        `${from} glide(follower, t, ${number(feel.halfLifeMs)})`,
        `what is missing halves every ${number(feel.halfLifeMs)} ms`,
      )
    case 'timed':
      return writeTimed(feel, wished, constants)
    case 'spring': {
      const { frequencyHz, dampingRatio } = feel
      const decay = `2 * Math.PI * ${number(frequencyHz)}${dampingRatio === 1 ? '' : ` * ${number(dampingRatio)}`}`
      const { settleMs, overshoot } = answerOf(feel)
      const note = `settles in ${Math.round(settleMs)} ms${overshoot >= 0.005 ? `, ${Math.round(overshoot * 100)} % overshoot` : ''}`
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
  if (durationMs === 0)
    return delayMs === 0 ? 'direct' : constants.name(wished, `(follower, t) => timed(follower, t, 1e-9, (share) => share${delay})`)
  return constants.name(wished, `(follower, t) => timed(follower, t, ${number(durationMs)}, ${writeEasing(easing, constants)}${delay})`)
}

/** The expression of an easing function, for shares between 0 and 1; anything unreadable is linear. */
export function writeEasing(text: string, constants: Constants): string {
  const form = readEasing(text) ?? { of: 'linear' }
  switch (form.of) {
    case 'linear':
      return '(share) => share'
    case 'bezier':
      return constants.name('ease', `bezier(${form.points.map(number).join(', ')})`, text.includes('(') ? '' : text.trim())
    case 'points':
      return constants.name(
        'ease',
        `linearPoints(${form.points.inputs.map((input, i) => `[${number(input)}, ${number(form.points.outputs[i] ?? 0)}]`).join(', ')})`,
      )
    case 'steps': {
      const { jumps, early } = jumpsOf(form.count, form.jump)
      return constants.name('ease', `steps(${form.count}, ${jumps}, ${early})`)
    }
  }
}
