// Outlines: path data of SVG (SVG 2, 9.3), as far as it has to be known whether a browser would draw them.

/** How many numbers each command takes; those of an arc that are flags are 0 or 1. */
const takes: Readonly<Record<string, number>> = { m: 2, l: 2, h: 1, v: 1, c: 6, s: 4, q: 4, t: 2, a: 7, z: 0 }
const number = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?/i
const flag = /^[01]/
/** The longest text that is taken for an outline, characters. */
export const longestOutline = 4000

/**
 * Why a text is no outline, in words that end a sentence; undefined where it is one: it begins with a move, and every command has its
 * numbers.
 */
export function faultOfOutline(text: string): string | undefined {
  if (text.length > longestOutline) return `is longer than ${longestOutline} characters`
  let rest = text.trim()
  if (rest === '') return 'is empty'
  if (!/^m/i.test(rest)) return 'does not begin with a move, M'
  const skip = () => (rest = rest.replace(/^[\s,]+/, ''))
  while (rest !== '') {
    const command = rest.charAt(0)
    const count = takes[command.toLowerCase()]
    if (count === undefined) return `has a “${command}” where a command should be`
    rest = rest.slice(1)
    let groups = 0
    for (;;) {
      skip()
      if (count === 0 || !number.test(rest)) break
      for (let i = 0; i < count; i++) {
        const read = (command.toLowerCase() === 'a' && (i === 3 || i === 4) ? flag : number).exec(rest)?.[0]
        if (read === undefined) return `has too few numbers after its ${command}`
        rest = rest.slice(read.length)
        skip()
      }
      groups += 1
    }
    if (count > 0 && groups === 0) return `has no numbers after its ${command}`
  }
  return undefined
}
