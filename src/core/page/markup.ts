// Edits of a page's source: each touches its own place, and every other byte stays as it was.
import type { Element } from 'domhandler'
import { childrenOf, elementsOf, parentOf, readTree } from './tree'

/** An edit of the markup. Elements are named by their number in the source. */
export type MarkupEdit =
  | { readonly do: 'insert'; readonly at: number; readonly where: Where; readonly html: string }
  | { readonly do: 'move'; readonly at: number; readonly to: number; readonly where: Where }
  | { readonly do: 'copy' | 'remove'; readonly at: number }
  | { readonly do: 'replace'; readonly at: number; readonly html: string }
  /** Puts an element around it, given as its two tags. */
  | { readonly do: 'wrap'; readonly at: number; readonly open: string; readonly close: string }
  | { readonly do: 'text'; readonly at: number; readonly text: string }
  /** Sets an attribute, or takes it off. */
  | { readonly do: 'attribute'; readonly at: number; readonly name: string; readonly value: string | null }

export type Where = 'before' | 'after' | 'inside'

/** An edit that cannot be done, with the reason. */
export class MarkupError extends Error {}

interface Range {
  readonly start: number
  readonly end: number
}

interface Change extends Range {
  readonly text: string
}

const voids = new Set(['area', 'base', 'br', 'col', 'embed', 'hr', 'img', 'input', 'link', 'meta', 'source', 'track', 'wbr'])

/** The source after an edit. Throws a MarkupError when the element is not there, or has no tag of its own in the source. */
export function applyMarkup(source: string, edit: MarkupEdit): string {
  const all = elementsOf(readTree(source))
  const element = elementAt(all, edit.at)
  switch (edit.do) {
    case 'insert':
      return apply(source, [insertion(source, element, edit.where, edit.html)])
    case 'copy':
      return apply(source, [insertion(source, element, 'after', sliceOf(source, outerOf(element), element))])
    case 'remove':
      return apply(source, [{ ...withLine(source, outerOf(element)), text: '' }])
    case 'replace':
      return apply(source, [{ ...outerOf(element), text: edit.html }])
    case 'move': {
      const target = elementAt(all, edit.to)
      for (let each: Element | undefined = target; each; each = parentOf(each))
        if (each === element) throw new MarkupError('An element cannot be moved into itself.')
      const taken = withLine(source, outerOf(element))
      return apply(source, [{ ...taken, text: '' }, insertion(source, target, edit.where, sliceOf(source, outerOf(element), element))])
    }
    case 'wrap': {
      const { start, end } = outerOf(element)
      const indent = indentAt(source, start)
      const step = stepOf(source)
      const inner = source
        .slice(start, end)
        .split('\n')
        .map((line, i) => (i === 0 ? line : step + line))
        .join('\n')
      return apply(source, [
        {
          start,
          end,
          text:
            indent === undefined
              ? `${edit.open}${source.slice(start, end)}${edit.close}`
              : `${edit.open}\n${indent}${step}${inner}\n${indent}${edit.close}`,
        },
      ])
    }
    case 'text': {
      if (childrenOf(element).length > 0) throw new MarkupError('This element holds others; edit the text of one of them, or the markup.')
      const { start, end } = innerOf(element)
      const own = source.slice(start, end)
      const [before = ''] = /^\s*/.exec(own) ?? []
      const [after = ''] = own.trim() === '' ? [''] : (/\s*$/.exec(own) ?? [])
      return apply(source, [{ start, end, text: before + escapeText(edit.text) + after }])
    }
    case 'attribute':
      return apply(source, [attributeChange(source, element, edit.name, edit.value)])
  }
}

/** CSS put behind what the page's own first style element holds, or into a new one at the end of its head. */
export function addCss(source: string, css: string): string {
  const all = elementsOf(readTree(source))
  const style = all.find(({ name, sourceCodeLocation }) => name === 'style' && sourceCodeLocation?.endTag)
  if (style) {
    const { end } = innerOf(style)
    const closing = indentAt(source, end)
    if (closing === undefined) return `${source.slice(0, end)}\n${css}${source.slice(end)}`
    const indented = css
      .trimEnd()
      .split('\n')
      .map((line) => closing + (closing === '' ? '' : stepOf(source)) + line)
      .join('\n')
    return `${source.slice(0, end - closing.length)}${indented}\n${closing}${source.slice(end)}`
  }
  const head = all.find(({ name }) => name === 'head')
  const body = all.find(({ name }) => name === 'body')
  const place = head?.sourceCodeLocation?.endTag?.startOffset ?? body?.sourceCodeLocation?.startOffset ?? firstInBody(all) ?? source.length
  return `${source.slice(0, place)}<style>\n${css}</style>\n${source.slice(place)}`
}

/** The source with CSS that it may have already; however it is indented there, it comes once. */
export function addCssOnce(source: string, css: string): string {
  const plain = (text: string) =>
    text
      .trim()
      .split('\n')
      .map((line) => line.trim())
      .join('\n')
  return plain(source).includes(plain(css)) ? source : addCss(source, css)
}

function firstInBody(all: readonly Element[]): number | undefined {
  const body = all.find(({ name }) => name === 'body')
  return body && childrenOf(body)[0]?.sourceCodeLocation?.startOffset
}

function elementAt(all: readonly Element[], number: number): Element {
  const element = all[number]
  if (!element) throw new MarkupError('This element is not in the source any more.')
  return element
}

/** An element from its first byte to its last. */
export function outerOf({ name, sourceCodeLocation: at }: Element): Range {
  if (!at) throw new MarkupError(`The ${name} has no tag of its own in the source.`)
  return { start: at.startOffset, end: at.endOffset }
}

function innerOf(element: Element): Range {
  const at = element.sourceCodeLocation
  if (!at?.startTag || voids.has(element.name)) throw new MarkupError(`Nothing can be put into this ${element.name}.`)
  return { start: at.startTag.endOffset, end: at.endTag?.startOffset ?? at.endOffset }
}

/** The white space at the beginning of the line on which a place stands; undefined when something else comes before it. */
function indentAt(source: string, place: number): string | undefined {
  const line = source.slice(source.lastIndexOf('\n', place - 1) + 1, place)
  return /^[ \t]*$/.test(line) ? line : undefined
}

/** One step of the source's own indentation. */
function stepOf(source: string): string {
  return /^\t/m.test(source) ? '\t' : ' '.repeat(/^( {2,8})\S/m.exec(source)?.[1]?.length ?? 2)
}

/** A range with the line that it stands on by itself. */
function withLine(source: string, { start, end }: Range): Range {
  const indent = indentAt(source, start)
  const rest = /^[ \t]*\r?\n/.exec(source.slice(end))?.[0]
  return indent === undefined || rest === undefined ? { start, end } : { start: start - indent.length, end: end + rest.length }
}

/** Source text without the indentation of its place. */
export function sliceOf(source: string, { start, end }: Range, { name }: Element): string {
  const indent = indentAt(source, start) ?? ''
  const text = source.slice(start, end)
  // White space counts in there.
  return indent === '' || name === 'pre' || name === 'textarea'
    ? text
    : text
        .split('\n')
        .map((line, i) => (i > 0 && line.startsWith(indent) ? line.slice(indent.length) : line))
        .join('\n')
}

function insertion(source: string, element: Element, where: Where, html: string): Change {
  const indented = (indent: string) =>
    html
      .trimEnd()
      .split('\n')
      .map((line) => (line === '' ? line : indent + line))
      .join('\n')
  if (where === 'inside') {
    const { end } = innerOf(element)
    const outer = indentAt(source, outerOf(element).start)
    const closing = indentAt(source, end)
    if (outer === undefined) return { start: end, end, text: html }
    const inner = indented(outer + stepOf(source))
    return closing === undefined
      ? { start: end, end, text: `\n${inner}\n${outer}` }
      : { start: end - closing.length, end: end - closing.length, text: `${inner}\n` }
  }
  const { start, end } = outerOf(element)
  const indent = indentAt(source, start)
  if (where === 'before')
    return indent === undefined
      ? { start, end: start, text: html }
      : { start: start - indent.length, end: start - indent.length, text: `${indented(indent)}\n` }
  return { start: end, end, text: indent === undefined ? html : `\n${indented(indent)}` }
}

/** The parser tells where each attribute stands; the tree's own types leave it out. */
interface Located {
  readonly attrs?: Readonly<Record<string, { readonly startOffset: number; readonly endOffset: number }>>
}

function attributeChange(source: string, element: Element, name: string, value: string | null): Change {
  if (!/^[a-z][\w:.-]{0,80}$/i.test(name)) throw new MarkupError(`"${name.slice(0, 40)}" is not the name of an attribute.`)
  if (/^on/i.test(name)) throw new MarkupError('Handlers of the page’s own are not edited here; they do not run in the studio.')
  const at = element.sourceCodeLocation
  const tag = at?.startTag
  if (!at || !tag) throw new MarkupError(`The ${element.name} has no tag of its own in the source.`)
  const own = (at as Located).attrs?.[name.toLowerCase()]
  const text = value === null ? '' : `${name}="${value.replaceAll('&', '&amp;').replaceAll('"', '&quot;')}"`
  if (own) {
    const before = value === null ? (/\s+$/.exec(source.slice(0, own.startOffset))?.[0].length ?? 0) : 0
    return { start: own.startOffset - before, end: own.endOffset, text }
  }
  const end = tag.endOffset - (source.slice(0, tag.endOffset).endsWith('/>') ? 2 : 1)
  const place = source.slice(0, end).trimEnd().length
  return { start: place, end: place, text: value === null ? '' : ` ${text}` }
}

const escapeText = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')

/** Changes that do not overlap, from the last to the first. */
function apply(source: string, changes: readonly Change[]): string {
  return [...changes]
    .sort((a, b) => b.start - a.start || b.end - a.end)
    .reduce((text, { start, end, text: put }) => text.slice(0, start) + put + text.slice(end), source)
}
