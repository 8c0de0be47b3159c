// compile(): the script of a page, from its effects and from what is known of the page.
import type { Source } from './effects'
import type { Facts } from './facts'
import { joinFragments, type Fragment } from './join'
import { planScript, withNumbers, type Shape } from './plan'
import { specialise } from './specialise'

/** Scripts by their shapes: what differs by numbers alone is written once. */
const written = new WeakMap<readonly Fragment[], Map<string, string>>()
const mostWritten = 200

/** The readable script of a shape, with the stand-ins of its numbers. `fragments` is what it is made of. */
export function writeShape(shape: Shape, fragments: readonly Fragment[]): string {
  const kept = written.get(fragments) ?? new Map<string, string>()
  written.set(fragments, kept)
  const key = JSON.stringify(shape)
  const made = kept.get(key) ?? `(() => {\n${specialise(joinFragments(fragments, shape.main, new Map(shape.known))).replaceAll(/^(?=.)/gm, '  ')}\n})()\n`
  if (kept.size >= mostWritten) kept.clear()
  kept.set(key, made)
  return made
}

/** The readable script of these effects on a page of which this is known. */
export function compile(sources: readonly Source[], facts: Facts, fragments: readonly Fragment[]): string {
  if (sources.length === 0) return ''
  const { shape, numbers } = planScript(sources, facts)
  return withNumbers(writeShape(shape, fragments), numbers)
}
