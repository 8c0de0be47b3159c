// Elements by their number in the source: the studio's copy carries it on each, until the agent has read it.
import { numberAttribute } from '../core/page/studio-copy-marks'

export interface Numbers {
  /** The element's number; undefined for what came after the source: parts, and what the agent adds. */
  readonly of: (element: Element) => number | undefined
  readonly at: (number: number) => Element | undefined
}

/** Reads the numbers and takes them off, so that the page is as it was. */
export function readNumbers(page: Document): Numbers {
  const numbers = new WeakMap<Element, number>()
  const elements: Element[] = []
  const read = (root: ParentNode) => {
    for (const element of root.querySelectorAll(`[${numberAttribute}]`)) {
      const number = Number(element.getAttribute(numberAttribute))
      numbers.set(element, number)
      elements[number] = element
      element.removeAttribute(numberAttribute)
      if (element instanceof HTMLTemplateElement) read(element.content)
    }
  }
  read(page)
  return { of: (element) => numbers.get(element), at: (number) => elements[number] }
}
