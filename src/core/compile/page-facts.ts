// What a page's own sheets and attributes do to elements, as far as it matters to a script; worked out without a browser.
import { generate, parse, walk, type CssNode } from 'css-tree'
import type { Document, Element } from 'domhandler'
import { elementsOf, findIn, parentOf, textOf } from '../page/tree'
import { liesInBy } from '../page/overlaps'
import { selectorsOf } from '../rig/evaluate'
import { selectOf } from '../rig/select'
import { partOf } from '../rig/rig'
import type { Source } from './effects'
import { worstFacts, type Facts } from './facts'

/** What matters, by the properties that do it. */
const deeds = {
  border: /^(border(-(top|right|bottom|left|block|inline)(-(start|end))?)?(-(width|style))?|border-radius|border-(top|bottom)-(left|right)-radius|border-(start|end)-(start|end)-radius|all)$/,
  turn: /^(transform|transform-origin|rotate|scale|zoom|perspective|perspective-origin|offset(-.*)?|all)$/,
  own: /^(transform|filter|box-shadow|background|background-image|mask|mask-image|-webkit-mask|-webkit-mask-image|all)$/,
  transition: /^(transition(-.*)?|animation(-.*)?|all)$/,
} as const
type Deed = keyof typeof deeds

/** Elements that browsers give borders of their own. */
const bordered = new Set(['button', 'input', 'select', 'textarea', 'fieldset', 'iframe', 'hr', 'dialog', 'th', 'td', 'table'])

/** The page as it is dressed: its HTML with all of its sheets in it, and what could not be had. */
export interface Dressed {
  readonly tree: Document
  /** Whether a sheet is missing, and whether the page has scripts that may change it. */
  readonly lacksSheets: boolean
  readonly hasScripts: boolean
}

/** The facts about a page that matter to these effects; the worst where its sheets do not tell. */
export function factsOf({ tree, lacksSheets, hasScripts }: Dressed, sources: readonly Source[]): Facts {
  const find = (select: string) => findIn(tree, select) ?? []
  const liesIn = liesInBy(find)
  if (lacksSheets) return { ...worstFacts, hasLateElements: hasScripts, hasOwnCode: hasScripts, liesIn }
  const read = new Set(sources.flatMap(({ rig }) => selectorsOf(rig)).flatMap(find))
  const written = new Set(sources.flatMap(({ rig }) => rig.outputs.filter(({ to }) => partOf(to) === undefined).map((output) => selectOf(rig, output))).flatMap(find))
  const around = new Set([...read].flatMap(withParents))
  const does = deedsOf(tree, hasScripts)
  const meets = (deed: Deed, elements: ReadonlySet<Element>) => does[deed].some((each) => elements.has(each))
  return {
    hasBorders: meets('border', read) || [...read].some(({ name }) => bordered.has(name)),
    hasTurns: meets('turn', around),
    hasOwnStyles: meets('own', written),
    hasTransitions: meets('transition', written),
    hasLateElements: hasScripts,
    hasOwnCode: hasScripts,
    liesIn,
  }
}

function withParents(element: Element): readonly Element[] {
  const parent = parentOf(element)
  return parent ? [element, ...withParents(parent)] : [element]
}

/** The elements to which something of each sort is done, or may be once a state or a class comes. */
function deedsOf(tree: Document, hasScripts: boolean): Readonly<Record<Deed, readonly Element[]>> {
  const found: Record<Deed, Element[]> = { border: [], turn: [], own: [], transition: [] }
  const all = elementsOf(tree)
  const classes = new Set(all.flatMap(({ attribs }) => (attribs.class ?? '').split(/\s+/)))
  const names = Object.keys(deeds) as Deed[]
  const add = (declarations: readonly string[], elements: () => readonly Element[]) => {
    const done = names.filter((deed) => declarations.some((property) => deeds[deed].test(property)))
    const which = done.length > 0 ? elements() : []
    for (const deed of done) found[deed].push(...which)
  }
  for (const element of all) {
    if (element.attribs.style !== undefined) add(propertiesIn(parse(element.attribs.style, { context: 'declarationList', parseValue: false })), () => [element])
    if (element.name !== 'style') continue
    walk(parse(textOf(element), { parseValue: false }), {
      visit: 'Rule',
      enter: ({ prelude, block }) => {
        add(propertiesIn(block), () => {
          const select = atMost(prelude, hasScripts ? classes : undefined)
          return select === '' ? [] : (findIn(tree, select) ?? all)
        })
      },
    })
  }
  return found
}

function propertiesIn(node: CssNode): readonly string[] {
  const properties: string[] = []
  walk(node, { visit: 'Declaration', enter: ({ property, value }) => void (!isNothing(property, generate(value)) && properties.push(property.toLowerCase())) })
  return properties
}

/** Declarations that only say that there is nothing. */
const isNothing = (property: string, value: string) => /^(none|0|0px|unset|initial)$/i.test(value.trim()) && /^(border|outline|transition|animation|box-shadow|filter)/.test(property)

/**
 * The most that a selector may come to match: without pseudo-classes of a moment, and without classes that no element has now, where
 * scripts may give them. Nothing for pseudo-elements, which are no elements.
 */
function atMost(prelude: CssNode, classes: ReadonlySet<string> | undefined): string {
  const selectors: string[] = []
  const momentary = /^(hover|active|focus|focus-visible|focus-within|target|visited|checked|disabled|enabled|valid|invalid|user-valid|user-invalid|placeholder-shown|open|popover-open|fullscreen|autofill|indeterminate|default|in-range|out-of-range|required|optional|read-only|read-write|defined)$/
  walk(prelude, {
    visit: 'Selector',
    enter: (selector) => {
      let isElement = true
      const text = selector.children.toArray().map((part) => {
        if (part.type === 'PseudoElementSelector') isElement = false
        if (part.type === 'PseudoClassSelector' && momentary.test(part.name)) return ''
        if (part.type === 'ClassSelector' && classes && !classes.has(part.name)) return ''
        return part.type === 'NestingSelector' ? '*' : generate(part)
      })
      if (isElement) selectors.push(text.join('').replace(/(^|[\s>+~])(?=$|[\s>+~])/g, '$1*').trim() || '*')
      return walk.skip
    },
  })
  return selectors.join(', ')
}
