// A page with its effects: the designer's source to the byte, with a style and a script put in.
import { parse, type DefaultTreeAdapterTypes } from 'parse5'

import { firmLayer, layerOrder } from '../core/export/own-styles'

type Element = DefaultTreeAdapterTypes.Element

/**
 * The page with `stylesheet` at the end of its head and `script`, which may be a module or nothing at all, at the end of its body; every other byte is as it
 * was. Where the page has layers of its own, the first of all is ours: of what is important it counts most. Where the source leaves head or body out, they go where the parser would have closed them.
 */
export function writePage(
  source: string,
  stylesheet: string,
  script: string,
  { isModule = false, hasLayers = false }: { readonly isModule?: boolean | undefined; readonly hasLayers?: boolean } = {},
): string {
  const document = parse(source, { sourceCodeLocationInfo: true })
  const html = document.childNodes.find((node): node is Element => node.nodeName === 'html')
  const child = (name: string) => html?.childNodes.find((node): node is Element => node.nodeName === name)
  const bodyStart = child('body')?.sourceCodeLocation?.startOffset ?? firstOffset(child('body'))
  const headEnd = child('head')?.sourceCodeLocation?.endTag?.startOffset ?? bodyStart ?? 0
  const bodyEnd = child('body')?.sourceCodeLocation?.endTag?.startOffset ?? html?.sourceCodeLocation?.endTag?.startOffset ?? source.length
  const style = `<style>\n${stylesheet}</style>\n`
  const code = script === '' ? '' : `<script${isModule ? ' type="module"' : ''}>\n${script}</script>\n`
  const headStart = Math.min(headEnd, child('head')?.sourceCodeLocation?.startTag?.endOffset ?? firstOffset(child('head')) ?? headEnd)
  const order = hasLayers && stylesheet.includes(firmLayer) ? `<style>${layerOrder}</style>\n` : ''
  return (
    source.slice(0, headStart) +
    order +
    source.slice(headStart, headEnd) +
    style +
    source.slice(headEnd, bodyEnd) +
    code +
    source.slice(bodyEnd)
  )
}

/** Where the first thing in an element begins that the source has no tag for. */
function firstOffset(element: Element | undefined): number | undefined {
  for (const node of element?.childNodes ?? []) if (node.sourceCodeLocation) return node.sourceCodeLocation.startOffset
  return undefined
}
