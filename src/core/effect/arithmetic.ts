// Sums with units, as they are typed into a number: `2 * 4deg`, `1/3`, `0.2s + 40ms`, or a CSS function that holds one.
import type { Unit } from './unit'

/** What one of a unit is in the control's own unit. */
const factors: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  deg: { '': 1, deg: 1, '\u00b0': 1, turn: 360, rad: 180 / Math.PI, grad: 0.9 },
  ms: { '': 1, ms: 1, s: 1000 },
  px: { '': 1, px: 1, in: 96, cm: 96 / 2.54, mm: 96 / 25.4, pt: 96 / 72, pc: 16 },
  '%': { '': 1, '%': 1 },
  s: { '': 1, s: 1, ms: 0.001 },
  Hz: { '': 1, hz: 1 },
  'px/s': { '': 1, px: 1 },
  '': { '': 1 },
}

/** A value, and whether a unit was written anywhere in it. */
interface Term {
  readonly value: number
  readonly hasUnit: boolean
}

/** Nobody types more, characters. */
const longestSum = 1000

/** Why a text is no sum. */
export type Fault = 'nonsense' | 'unit'

/**
 * What a typed text comes to in `unit`: sums with + - * / and brackets, where products and quotients have one unit at
 * most; a function of CSS around a single value (`rotateY(5deg)`, `calc(...)`) is taken off first. Never evaluates code.
 */
export function readSum(text: string, unit: Unit): number | Fault {
  if (text.length > longestSum) return 'nonsense'
  const known = factors[unit] ?? { '': 1, [unit]: 1 }
  const tokens =
    text
      .trim()
      .replaceAll('\u2212', '-')
      .replace(/(\d),(\d)/g, '$1.$2')
      .replace(/^(calc|translate[XYZ]?|rotate[XYZ]?|scale[XY]?|skew[XY]?|perspective|blur)(?=\()/i, '')
      .match(/(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?|[a-z%\u00b0]+|[-+*/()]|\S/gi) ?? []
  let at = 0
  let fault: Fault | undefined
  const fail = (why: Fault): Term => {
    fault ??= why
    return { value: NaN, hasUnit: false }
  }
  const single = (): Term => {
    const token = tokens[at++]
    if (token === '-' || token === '+') {
      const { value, hasUnit } = single()
      return { value: token === '-' ? -value : value, hasUnit }
    }
    if (token === '(') {
      const inner = sum()
      return tokens[at++] === ')' ? inner : fail('nonsense')
    }
    if (token === undefined || !/^[\d.]/.test(token)) return fail('nonsense')
    const next = tokens[at]
    if (next === undefined || !/^[a-z%\u00b0]/i.test(next)) return { value: Number(token), hasUnit: false }
    at++
    const factor = known[next.toLowerCase()]
    return factor === undefined ? fail('unit') : { value: Number(token) * factor, hasUnit: true }
  }
  const product = (): Term => {
    let left = single()
    while (tokens[at] === '*' || tokens[at] === '/') {
      const isTimes = tokens[at++] === '*'
      const right = single()
      // A length times a length is no length.
      if (right.hasUnit && (left.hasUnit || !isTimes)) return fail('unit')
      left = { value: isTimes ? left.value * right.value : left.value / right.value, hasUnit: left.hasUnit || right.hasUnit }
    }
    return left
  }
  const sum = (): Term => {
    let left = product()
    while (tokens[at] === '+' || tokens[at] === '-') {
      const isPlus = tokens[at++] === '+'
      const right = product()
      left = { value: isPlus ? left.value + right.value : left.value - right.value, hasUnit: left.hasUnit || right.hasUnit }
    }
    return left
  }
  const { value } = sum()
  if (fault) return fault
  return at < tokens.length || !Number.isFinite(value) ? 'nonsense' : value
}
