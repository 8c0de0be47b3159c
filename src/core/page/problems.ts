// What a browser has to guess at in a source, with the place.
import { parse as parseCss } from 'css-tree'
import { parse } from 'parse5'

export interface SourceProblem {
  /** Offsets in the text. */
  readonly from: number
  readonly to: number
  readonly words: string
}

const most = 60

/** Not worth a word: what every browser takes the same way. */
const harmless = new Set(['missing-doctype', 'non-void-html-element-start-tag-with-trailing-solidus', 'unknown-named-character-reference'])

/** What HTML leaves to guess at, in the specification's own words. */
export function htmlProblems(html: string): readonly SourceProblem[] {
  const found: SourceProblem[] = []
  parse(html, {
    sourceCodeLocationInfo: true,
    onParseError: ({ code, startOffset, endOffset }) => {
      if (found.length < most && !harmless.has(code))
        found.push({ from: startOffset, to: endOffset, words: `${code.replaceAll('-', ' ')}.` })
    },
  })
  return [...found, ...unclosed(html)].slice(0, most)
}

/** Elements that are opened and never closed, though they ought to be. */
function unclosed(html: string): readonly SourceProblem[] {
  const found: SourceProblem[] = []
  const tree = parse(html, { sourceCodeLocationInfo: true })
  const optional =
    /^(html|head|body|p|li|dt|dd|option|optgroup|tr|td|th|thead|tbody|tfoot|colgroup|rt|rp|area|base|br|col|embed|hr|img|input|link|meta|source|track|wbr)$/
  const look = (node: (typeof tree)['childNodes'][number]) => {
    if (
      'tagName' in node &&
      node.sourceCodeLocation?.startTag &&
      !node.sourceCodeLocation.endTag &&
      node.namespaceURI.endsWith('xhtml') &&
      !optional.test(node.tagName)
    ) {
      const { startOffset, endOffset } = node.sourceCodeLocation.startTag
      found.push({ from: startOffset, to: endOffset, words: `This ${node.tagName} is never closed.` })
    }
    if ('childNodes' in node) node.childNodes.forEach(look)
  }
  tree.childNodes.forEach(look)
  return found
}

/** What of a stylesheet cannot be read; a browser drops it. */
export function cssProblems(css: string): readonly SourceProblem[] {
  const found: SourceProblem[] = []
  const enough = new Error('These are enough.')
  try {
    parseCss(css, {
      positions: true,
      onParseError: ({ message, offset }: { message: string; offset?: number }) => {
        found.push({ from: offset ?? 0, to: (offset ?? 0) + 1, words: `${message}; a browser drops this.` })
        if (found.length >= most) throw enough
      },
    })
  } catch (error) {
    if (error !== enough) throw error
  }
  return found
}
