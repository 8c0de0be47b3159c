// A page as facts are read from it without a browser: a tree, and its sheets by their text.
import { generate, parse, walk, type CssNode } from 'css-tree'
import type { Document, Element } from 'domhandler'
import { elementsOf, findIn, parentOf, textOf } from '../page/tree'
import type { Source } from './effects'
import type { Facts } from './facts'
import { askedBy, readFacts, takeFacts, type Declarations, type PageFacts, type PageRead } from './page-facts'

/** The page as it is dressed: its HTML with all of its sheets in it, and what could not be had. */
export interface Dressed {
  readonly tree: Document
  /** Whether a sheet is missing, and whether the page has scripts that may change it. */
  readonly lacksSheets: boolean
  readonly hasScripts: boolean
}

/** The facts about a page that matter to these effects; the worst where its sheets do not tell. */
export const pageFactsOf = (dressed: Dressed, sources: readonly Source[]): PageFacts => readFacts(pageOf(dressed))(askedBy(sources))
export const factsOf = (dressed: Dressed, sources: readonly Source[]): Facts => takeFacts(pageFactsOf(dressed, sources))

function pageOf({ tree, lacksSheets, hasScripts }: Dressed): PageRead<Element> {
  const all = elementsOf(tree)
  const rules: PageRead<Element>['rules'][number][] = []
  const animated: (readonly [string, string])[] = []
  for (const element of all)
    if (element.name === 'style')
      walk(parse(textOf(element), { parseValue: false }), {
        visit: 'Rule',
        enter(this: { readonly atrule?: { readonly name: string } | null }, { prelude, block }) {
          // What a frame of an animation says is of whatever has the animation.
          if (/keyframes$/i.test(this.atrule?.name ?? '')) animated.push(...declarationsIn(block))
          else rules.push({ select: generate(prelude), declarations: declarationsIn(block) })
        },
      })
  return {
    all: () => all,
    find: (select) => findIn(tree, select),
    classes: () => new Set(all.flatMap(({ attribs }) => (attribs.class ?? '').split(/\s+/))),
    parentOf: (element) => parentOf(element) ?? null,
    nameOf: ({ name }) => name,
    rules,
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

/** The declarations of a block, those of rules in it apart. */
function declarationsIn(node: CssNode): Declarations {
  const found: (readonly [string, string])[] = []
  walk(node, {
    enter: (each: CssNode) => {
      if (each.type === 'Rule') return walk.skip
      if (each.type === 'Declaration') found.push([each.property.toLowerCase(), generate(each.value)])
      return undefined
    },
  })
  return found
}
