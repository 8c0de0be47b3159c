// The page under the stand-in pointer: its own rules for :hover and :active follow a mark that the pointer source puts where it is, in this copy only.

import { activeMark, hoverMark, withHoverMarks } from '../core/page/hover-marks'

export interface Hover {
  /** What the hand is over, and whether it is pressed there. */
  readonly mark: (element: Element | null, isPressed: boolean) => void
  /** Takes up rules that came since. */
  readonly follow: () => void
  /** Lends the marks to somebody who puts them elsewhere for the moment. */
  readonly lend: <Answer>(work: (mark: (element: Element | null) => void) => Answer) => Answer
}

export function makeHover(page: Document): Hover {
  let over: Element[] = []
  let pressed = false
  const walk = (rules: CSSRuleList) => {
    for (const rule of rules) {
      if (rule instanceof CSSStyleRule && /:(hover|active)(?![\w-])/.test(rule.selectorText))
        rule.selectorText = withHoverMarks(rule.selectorText)
      if ('cssRules' in rule) walk(rule.cssRules as CSSRuleList)
    }
  }
  const follow = () => {
    for (const sheet of page.styleSheets) walk(sheet.cssRules)
  }
  follow()
  const mark: Hover['mark'] = (element, isPressed) => {
    if (element === (over[0] ?? null) && isPressed === pressed) return
    const now: Element[] = []
    for (let each = element; each; each = each.parentElement) now.push(each)
    for (const each of over) {
      if (!now.includes(each)) each.removeAttribute(hoverMark)
      if (!isPressed || !now.includes(each)) each.removeAttribute(activeMark)
    }
    for (const each of now) {
      if (!each.hasAttribute(hoverMark)) each.setAttribute(hoverMark, '')
      if (isPressed) each.setAttribute(activeMark, '')
    }
    over = now
    pressed = isPressed
  }
  return {
    follow,
    mark,
    lend: (work) => {
      const [element = null] = over
      const wasPressed = pressed
      try {
        return work((each) => mark(each, false))
      } finally {
        mark(element, wasPressed)
      }
    },
  }
}
