// A page as facts are read from it without a browser: a tree, and its sheets by their text.
import { generate, parse, type CssNode } from 'css-tree'
import type { Document, Element } from 'domhandler'
import { elementsOf, findIn, parentOf, textOf } from '../page/tree'
import type { Source } from './effects'
import type { Facts } from './facts'
import { layersIn, nested, splitList, type Declaration, type Declarations } from './own-rules'
import { askedBy, readFacts, takeFacts, type PageFacts, type PageRead } from './page-facts'

/** The page as it is dressed: its HTML with all of its sheets in it, and what could not be had. */
export interface Dressed {
  readonly tree: Document
  /** Whether a sheet is missing, and whether the page has scripts that may change it. */
  readonly lacksSheets: boolean
  readonly hasScripts: boolean
}

/** The facts about a page that matter to these effects; the worst where its sheets do not tell. */
export const pageFactsOf = (dressed: Dressed, sources: readonly Source[]): PageFacts => readFacts(readDressed(dressed))(askedBy(sources))
export const factsOf = (dressed: Dressed, sources: readonly Source[]): Facts => takeFacts(pageFactsOf(dressed, sources))

/** A dressed page as facts are read from it. */
export function readDressed({ tree, lacksSheets, hasScripts }: Dressed): PageRead<Element> {
  const all = elementsOf(tree)
  const rules: PageRead<Element>['rules'][number][] = []
  const animated: Declaration[] = []
  const layers: string[] = []
  for (const element of all)
    if (element.name === 'style') {
      const media = element.attribs.media?.trim()
      readRules(parse(textOf(element), { parseValue: false }), media ? [`@media ${media}`] : [], '', rules, animated, layers)
    }
  return {
    all: () => all,
    find: (select) => findIn(tree, select),
    classes: () => new Set(all.flatMap(({ attribs }) => (attribs.class ?? '').split(/\s+/))),
    parentOf: (element) => parentOf(element) ?? null,
    nameOf: ({ name }) => name,
    rules,
    layers: [...new Set(layers)],
    animated,
    inline: all.flatMap((element) =>
      element.attribs.style === undefined
        ? []
        : [{ element, declarations: declarationsIn(parse(element.attribs.style, { context: 'declarationList', parseValue: false })) }],
    ),
    lacksSheets,
    hasScripts,
  }
}

/** Reads the rules of a sheet, or of a block of one, with what they stand in; nested ones by the selector that they come to. */
function readRules(
  node: CssNode,
  context: readonly string[],
  around: string,
  rules: PageRead<Element>['rules'][number][],
  animated: Declaration[],
  layers: string[],
): void {
  if (!('children' in node) || !node.children) return
  for (const each of node.children.toArray()) {
    if (each.type === 'Rule') {
      const select = nested(generate(each.prelude), around)
      rules.push({ context, select, declarations: declarationsIn(each.block) })
      readRules(each.block, context, select, rules, animated, layers)
    } else if (each.type === 'Raw' && around !== '') {
      // Rules in a rule that do not begin with &.
      readRules(parse(each.value, { parseValue: false }), context, around, rules, animated, layers)
    } else if (each.type === 'Atrule') {
      if (each.name === 'layer' && each.prelude) layers.push(...layersIn(context, generate(each.prelude)))
      if (!each.block) continue
      // What a frame of an animation says is of whatever has the animation.
      if (/keyframes$/i.test(each.name)) {
        const frames: PageRead<Element>['rules'][number][] = []
        readRules(each.block, [], '', frames, animated, layers)
        animated.push(...frames.flatMap(({ declarations }) => declarations))
        continue
      }
      const inside = [...context, `@${each.name}${each.prelude ? ` ${generate(each.prelude)}` : ''}`]
      const own = around === '' ? [] : declarationsIn(each.block)
      if (own.length > 0) rules.push({ context: inside, select: around, declarations: own })
      readRules(each.block, inside, around, rules, animated, layers)
    }
  }
}

/** The declarations of a block itself. */
function declarationsIn(node: CssNode): Declarations {
  const found: Declaration[] = []
  if (!('children' in node) || !node.children) return found
  for (const each of node.children.toArray())
    if (each.type === 'Declaration') {
      const property = each.property.toLowerCase()
      const value = generate(each.value)
      const pictures = /^(background|mask|-webkit-mask)$/.test(property) ? picturesIn(value) : undefined
      const name = pictures === undefined ? property : property === 'background' ? 'background-image' : 'mask-image'
      const give = (given: string, text: string) => found.push(each.important ? [given, text, true] : [given, text])
      give(name, pictures ?? value)
      const colour = property === 'background' && pictures !== undefined ? colourIn(value) : undefined
      if (colour !== undefined) give('background-color', colour)
    }
  return found
}

/** The pictures of a shorthand for backgrounds or masks, layer by layer; undefined where they cannot be told. */
function picturesIn(value: string): string | undefined {
  if (/\b(var|env|attr)\(/i.test(value)) return undefined
  return splitList(value)
    .map((layer) => /^(initial|inherit|unset|revert|revert-layer)$/i.exec(layer)?.[0] ?? pictureIn(layer))
    .join(', ')
}

/** The colour of a shorthand for backgrounds; undefined where it gives none. */
const colourIn = (value: string): string | undefined => {
  const layer = splitList(value).at(-1) ?? ''
  return layer
    .replace(pictureIn(layer), '')
    .match(/#[\da-f]+|\b(?:rgb|hsl|hwb|lab|lch|oklab|oklch|color|color-mix)a?\([^()]*(?:\([^()]*\)[^()]*)*\)|(?<![\w-])[a-z]+(?![\w(-])/gi)
    ?.find(
      (word) =>
        !/^(none|repeat|space|round|center|left|right|top|bottom|cover|contain|auto|fixed|scroll|local|initial|unset|inherit|revert)$/i.test(
          word,
        ),
    )
}

function pictureIn(layer: string): string {
  const start =
    /(?:url|image-set|-webkit-image-set|element|paint|cross-fade|(?:-webkit-)?(?:repeating-)?(?:linear|radial|conic)-gradient)\(/i.exec(
      layer,
    )
  if (!start) return 'none'
  let depth = 0
  for (let i = start.index; i < layer.length; i++) {
    if (layer[i] === '(') depth++
    else if (layer[i] === ')' && --depth === 0) return layer.slice(start.index, i + 1)
  }
  return 'none'
}
