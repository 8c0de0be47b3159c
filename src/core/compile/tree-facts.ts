// A page as facts are read from it without a browser: a tree, and its sheets by their text.
import { generate, parse, type ParseOptions } from 'css-tree'
import type { Document, Element } from 'domhandler'
import { readSheet, readStyle, type AtRule, type CssItem } from '../page/css-rules'
import { makeFinder } from '../page/finder'
import { parentOf, textOf } from '../page/tree'
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
  const { all, find, looks } = makeFinder(tree)
  const { rules, animated, layers, isWhole } = readStyles(all.filter(({ name }) => name === 'style'))
  return {
    all: () => all,
    find,
    looks,
    classes: () => new Set(all.flatMap(({ attribs }) => (attribs.class ?? '').split(/\s+/))),
    parentOf: (element) => parentOf(element) ?? null,
    nameOf: ({ name }) => name,
    rules,
    layers,
    animated,
    inline: all.flatMap((element) =>
      element.attribs.style === undefined ? [] : [{ element, declarations: declarationsIn(readStyle(element.attribs.style)) }],
    ),
    sheets: lacksSheets ? 'missing' : isWhole ? 'read' : 'unread',
    hasScripts,
  }
}

type Rule = PageRead<Element>['rules'][number]

/** What the sheets of a page have. */
interface Styles {
  readonly rules: readonly Rule[]
  readonly layers: readonly string[]
  /** What frames of animations declare. */
  readonly animated: Declarations
  /** Whether nothing was passed over: what nests without end comes to selectors without end. */
  readonly isWhole: boolean
}

/** So much of all sheets together is read, characters. */
const mostRead = 8_000_000
/** A longer selector than this is not written down, and no more than so much of all of them together, characters. */
const longestSelect = 20_000
const mostWritten = 10_000_000

/** Reads the sheets in these elements, nested rules by the selector that they come to. */
function readStyles(elements: readonly Element[]): Styles {
  const rules: Rule[] = []
  const animated: Declaration[] = []
  const layers: string[] = []
  let isWhole = true
  let written = 0
  const read = (items: readonly CssItem[], context: readonly string[], around: string) => {
    for (const item of items) {
      if (item.kind === 'rule') {
        const select = nested(plainly(item.select, { context: 'selectorList' }), around)
        written += select.length
        if (select.length > longestSelect || written > mostWritten) {
          isWhole = false
          continue
        }
        rules.push({ context, select, declarations: declarationsIn(item.contents) })
        read(item.contents, context, select)
      } else if (item.kind === 'at') readAt(item, context, around)
    }
  }
  const readAt = ({ name, prelude: asked, contents }: AtRule, context: readonly string[], around: string) => {
    const prelude = asked === '' ? '' : plainly(asked, { context: 'atrulePrelude', atrule: name })
    if (name === 'layer' && prelude !== '') layers.push(...layersIn(context, prelude))
    if (contents === undefined) return
    // What a frame of an animation says is of whatever has the animation.
    if (name.endsWith('keyframes')) {
      for (const frame of contents) if (frame.kind === 'rule') animated.push(...declarationsIn(frame.contents))
      return
    }
    const inside = [...context, `@${name}${prelude === '' ? '' : ` ${prelude}`}`]
    const own = around === '' ? [] : declarationsIn(contents)
    if (own.length > 0) rules.push({ context: inside, select: around, declarations: own })
    read(contents, inside, around)
  }
  let length = 0
  for (const element of elements) {
    const media = element.attribs.media?.trim()
    const text = textOf(element)
    if ((length += text.length) > mostRead) return { rules, layers, animated, isWhole: false }
    const sheet = readSheet(text)
    if (!sheet.isWhole) isWhole = false
    read(sheet.items, media ? [`@media ${media}`] : [], '')
  }
  return { rules, layers: [...new Set(layers)], animated, isWhole }
}

/** A selector or what an at-rule asks, in the one way in which it can be written; as it stands where that cannot be told. */
function plainly(text: string, as: ParseOptions): string {
  let isWhole = true
  try {
    const node = parse(text, { ...as, parseAtrulePrelude: true, onParseError: () => (isWhole = false) })
    return isWhole ? generate(node) : text
  } catch {
    return text
  }
}

/** The declarations of a block itself. */
function declarationsIn(items: readonly CssItem[]): Declarations {
  const found: Declaration[] = []
  for (const item of items)
    if (item.kind === 'declaration') {
      const { property, value } = item
      const pictures = /^(background|mask|-webkit-mask)$/.test(property) ? picturesIn(value) : undefined
      const name = pictures === undefined ? property : property === 'background' ? 'background-image' : 'mask-image'
      const give = (given: string, text: string) => found.push(item.isImportant ? [given, text, true] : [given, text])
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
