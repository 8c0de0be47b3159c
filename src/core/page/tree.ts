// A page as a tree that selectors can be tried on, without a browser.
import { selectAll } from 'css-select'
import { Element, isDocument, isTag, Text, type AnyNode, type Document, type ParentNode } from 'domhandler'
import { parse } from 'parse5'
import { adapter } from 'parse5-htmlparser2-tree-adapter'

/** What a page may have; browsers themselves nest no deeper. */
export const pageLimits = { elements: 40_000, comments: 100_000, attributes: 2000, depth: 512 } as const

/** A page that is more than the studio reads; the message says what of it, after the page's name. */
export class PageTooLarge extends Error {}

/** Reads HTML as a browser does, one without script if so asked; each node knows where in the source it stands. Throws a PageTooLarge, as soon as that is certain. */
export function readTree(html: string, noScript = false): Document {
  return parse(html, { treeAdapter: boundedAdapter(), sourceCodeLocationInfo: true, scriptingEnabled: !noScript })
}

/** The adapter of a tree that counts while it grows. */
function boundedAdapter(): typeof adapter {
  let elements = 0
  let comments = 0
  const depths = new WeakMap<AnyNode, number>()
  const sink = (parent: AnyNode, child: AnyNode) => {
    const depth = (depths.get(parent) ?? 0) + 1
    if (depth > pageLimits.depth)
      throw new PageTooLarge(`is nested deeper than ${pageLimits.depth} elements, which no browser shows as it stands`)
    depths.set(child, depth)
    // What a template holds was tied to it before it had a place.
    if (isTag(child) && child.name === 'template') for (const content of child.children) depths.set(content, depth)
  }
  return {
    ...adapter,
    createElement: (name, namespace, attributes) => {
      if (++elements > pageLimits.elements)
        throw new PageTooLarge(`has more than ${pageLimits.elements} elements, the most that a page may have`)
      if (attributes.length > pageLimits.attributes)
        throw new PageTooLarge(`has an element of ${attributes.length} attributes; one may have ${pageLimits.attributes}`)
      return adapter.createElement(name, namespace, attributes)
    },
    createCommentNode: (text) => {
      if (++comments > pageLimits.comments) throw new PageTooLarge(`has more than ${pageLimits.comments} comments`)
      return adapter.createCommentNode(text)
    },
    appendChild: (parent, child) => {
      sink(parent, child)
      adapter.appendChild(parent, child)
    },
    insertBefore: (parent, child, before) => {
      sink(parent, child)
      adapter.insertBefore(parent, child, before)
    },
  }
}

/** What a selector matches, in the order of the page; undefined where it cannot be read. */
export function findIn(tree: Document, select: string): readonly Element[] | undefined {
  try {
    return selectAll<AnyNode, Element>(select, tree)
  } catch {
    return undefined
  }
}

/** All elements in the order of the source; an element's place in it is its number. */
export function elementsOf(tree: ParentNode): readonly Element[] {
  const all: Element[] = []
  const collect = (node: ParentNode) => {
    for (const child of node.childNodes) {
      if (isTag(child)) all.push(child)
      if (isTag(child) || isDocument(child)) collect(child)
    }
  }
  collect(tree)
  return all
}

/** The element around another, if there is one. */
export function parentOf(element: Element): Element | undefined {
  return element.parent && isTag(element.parent) ? element.parent : undefined
}

export function childrenOf(element: ParentNode): readonly Element[] {
  return element.childNodes.filter(isTag)
}

export function newElement(name: string, parent: Element): Element {
  const element = new Element(name, {}, [])
  element.parent = parent
  // The serializer asks for it.
  element['x-attribsNamespace'] = {}
  element['x-attribsPrefix'] = {}
  element.namespace = parent.namespace
  return element
}

export function newText(data: string, parent: Element): Text {
  const text = new Text(data)
  text.parent = parent
  return text
}

/** The text in an element and all inside it, spaces run together. */
export function textOf(element: ParentNode): string {
  return element.childNodes
    .map((child) => (child instanceof Text ? child.data : isTag(child) ? textOf(child) : ''))
    .join(' ')
    .replace(/\s+/g, ' ')
    .trim()
}
