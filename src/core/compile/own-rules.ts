// What a page's own rules give elements of what effects drive: the same rules, with the values in custom properties, so that the page's
// cascade goes on to say what counts, in every state, and effects are composed with it.
import { propertyOfOwn } from '../rig/plan'
import { keptProperties } from '../rig/slot'

/** A declaration as it is written: a longhand, or `transition` as a whole. */
export type Declaration = readonly [property: string, value: string] | readonly [property: string, value: string, isImportant: boolean]
export type Declarations = readonly Declaration[]

/** A rule of the page that is taken over: what it stands in, from the outside, whom it selects, and what it gives of which property. */
export interface OwnRule {
  readonly context: readonly string[]
  readonly select: string
  readonly declarations: Declarations
}

/** Whether some of these rules give elements something of a property. */
export const gives = (rules: readonly OwnRule[], property: string): boolean =>
  rules.some(({ declarations }) => declarations.some(([name]) => name === property))

const nothing = /^(none|initial|unset|revert|revert-layer)$/
const takenOver = new Set([...Object.keys(keptProperties), 'transition'])

/** Shorthands, as far as their parts could not be told. */
const shorthands: Readonly<Record<string, readonly string[]>> = {
  all: [...takenOver],
  background: ['background-image'],
  mask: ['mask-image'],
  '-webkit-mask': ['mask-image'],
}

/** Longhands of a transition by themselves go with a list that stands elsewhere. */
const partOfTransition = /^transition-(property|duration|delay|timing-function|behavior)$/

/** What of a rule's declarations can be taken over, and of which properties a page has to be asked what they come to. */
export function takeOver(declarations: Declarations): { readonly taken: Declarations; readonly unsaid: readonly string[] } {
  const taken: Declaration[] = []
  const unsaid: string[] = []
  for (const [property, value, isImportant] of declarations) {
    const name = property === '-webkit-mask-image' ? 'mask-image' : property
    if (takenOver.has(name) && value !== '') taken.push(isImportant ? [name, value, true] : [name, value])
    else if (takenOver.has(name)) unsaid.push(name)
    else if (partOfTransition.test(name)) unsaid.push('transition')
    else unsaid.push(...(shorthands[name] ?? []))
  }
  return { taken, unsaid }
}

/** The declaration of a rule of ours that stands for one of the page's; `given` are the properties of which the page gives something. */
export function writeOwn([property, value, isImportant]: Declaration, given: readonly string[]): string {
  const text = value.trim()
  const kept = nothing.test(text) ? 'initial' : text
  return `${propertyOfOwn(property)}: ${property === 'transition' ? withOwn(kept, given) : asOwn(property, kept)}${isImportant ? ' !important' : ''};`
}

const asOwn = (property: string, value: string) =>
  property === 'opacity' && /^[\d.]+%$/.test(value) ? String(Number.parseFloat(value) / 100) : value

/** A list of transitions in which what the page keeps in a property of its own goes as the property itself did. */
function withOwn(list: string, given: readonly string[]): string {
  return splitList(list)
    .flatMap((entry) => {
      const name = /(?:^|\s)(transform|opacity)(?=\s|$)/.exec(entry)?.[1]
      return name === undefined || !given.includes(name) ? [entry] : [entry, entry.replace(name, propertyOfOwn(name))]
    })
    .join(', ')
}

/** The entries of a list of CSS, whose commas are not in brackets. */
export function splitList(list: string): readonly string[] {
  let depth = 0
  const entries = ['']
  for (const character of list) {
    if (character === '(') depth++
    else if (character === ')') depth--
    if (character === ',' && depth === 0) entries.push('')
    else entries[entries.length - 1] += character
  }
  return entries.map((entry) => entry.trim()).filter((entry) => entry !== '')
}

/** A selector that stands in a rule, by itself (CSS Nesting Module Level 1). */
export function nested(select: string, around: string): string {
  if (around === '') return select
  return splitList(select)
    .map((each) => (each.includes('&') ? each.replaceAll('&', `:is(${around})`) : `:is(${around}) ${each}`))
    .join(', ')
}

/** The full names of layers that are named in a sheet, by the layers that this stands in. */
export function layersIn(context: readonly string[], names: string): readonly string[] {
  const around = context.flatMap((each) => /^@layer (.+)$/.exec(each)?.[1] ?? [])
  return splitList(names).map((name) => [...around, name].join('.'))
}
