// compile(): the script of a page, from its effects and from what is known of the page.
import type { Source } from './effects'
import type { Facts, Leaving } from './facts'
import { joinFragments, type Fragment } from './join'
import { needsScript } from './needs-script'
import { handedOut, keyOf, planScript, withNumbers, type Shape } from './plan'
import { specialise } from './specialise'

/** Scripts by their shapes: what differs by numbers alone is written once. */
const written = new WeakMap<readonly Fragment[], Map<string, string>>()
const mostWritten = 200

/** The readable script of a shape, with the stand-ins of its numbers. `fragments` is what it is made of. */
export function writeShape(shape: Shape, fragments: readonly Fragment[]): string {
  const kept = written.get(fragments) ?? new Map<string, string>()
  written.set(fragments, kept)
  const key = keyOf(shape)
  const made = kept.get(key) ?? wrapped(specialise(joinFragments(fragments, shape.main, new Map(shape.known))), shape)
  if (kept.size >= mostWritten) kept.clear()
  kept.set(key, made)
  return made
}

/** A script as a module, or as an expression of its own that defines nothing but what it hands out. */
function wrapped(text: string, { takesOff, isModule }: Shape): string {
  const body = takesOff ? text.replace(`${handedOut}(takeOff)`, isModule ? 'export { takeOff }' : 'return takeOff') : text
  if (isModule) return `${body}\n`
  return `${takesOff ? 'const takeOff = ' : ''}(() => {\n${body.replaceAll(/^(?=.)/gm, '  ')}\n})()\n`
}

/** The readable script of these effects on a page of which this is known, as a designer wants it. */
export function compile(sources: readonly Source[], facts: Facts, fragments: readonly Fragment[], leaving: Leaving = {}): string {
  if (!sources.some(({ rig }) => needsScript(rig))) return ''
  const { shape, numbers } = planScript(sources, facts, leaving)
  return withNumbers(writeShape(shape, fragments), numbers)
}
