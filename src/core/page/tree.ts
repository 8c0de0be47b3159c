// A page as a tree that selectors can be tried on, without a browser.
import { selectAll } from 'css-select'
import { Element, isDocument, isTag, Text, type AnyNode, type Document, type ParentNode } from 'domhandler'
import { parse } from 'parse5'
import { adapter } from 'parse5-htmlparser2-tree-adapter'

/** Reads HTML as a browser does, one without script if so asked; each node knows where in the source it stands. */
export function readTree(html: string, noScript = false): Document {
  return parse(html, { treeAdapter: adapter, sourceCodeLocationInfo: true, scriptingEnabled: !noScript })
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
  return element.childNodes.map((child) => (child instanceof Text ? child.data : isTag(child) ? textOf(child) : '')).join(' ').replace(/\s+/g, ' ').trim()
}
