// Runs a compiled script: the text that is exported, with stand-ins for what it asks of the browser, so that it hears whom it
// should, its frames are counted, and it can be taken off again.
import { eventTypes, type Sample } from '../core/signal/sample'

/** Where a script runs, and what stands in for the browser. */
export interface Surroundings {
  /** What it takes for its page. */
  readonly root: Document | ShadowRoot
  /** Of the policy under which scripts may run here. */
  readonly nonce: string
  readonly requestFrame: (callback: (now: number) => void) => void
  readonly elementFromPoint: (x: number, y: number) => Element | null
}

export interface RunningScript {
  /** Tells it a sample of the pointer, and the element that was hit. */
  readonly hear: (sample: Sample, hit: Element | null, prevent?: () => void) => void
  /** Ends it, and takes off the page what it added to it; the values that it wrote stay. */
  readonly end: () => void
}

type Listener = (event: object) => void

/** What a script may set in a style that is no value of its own. */
const settled = ['transition-property', 'transition-duration', 'transition-delay', 'position'] as const

/** The attributes that a script sets on elements of the page, as it names them. */
const lookAttributes = (text: string) => [
  ...(text.includes("'aria-describedby'") ? ['aria-describedby', 'id'] : []),
  ...new Set([...text.matchAll(/\['((?:aria|data)-[a-z0-9-]+|inert|hidden|open|role|tabindex)', '/g)].flatMap(([, name]) => name ?? [])),
]

/** The names that a script asks the browser by. */
const names = ['document', 'addEventListener', 'requestAnimationFrame', 'getComputedStyle', 'MutationObserver'] as const

/** Runs a script. Throws what it throws while it begins. */
export function runScript(text: string, { root, nonce, requestFrame, elementFromPoint }: Surroundings): RunningScript {
  const page = root instanceof Document ? root : root.ownerDocument
  const listeners = new Map<string, Listener[]>()
  let made: Element[] = []
  const styles = new Map<Element, string>()
  const observers: MutationObserver[] = []
  const ending = new AbortController()
  let isOn = true
  const standInPage = {
    documentElement: page.documentElement,
    // What stands over all else of a sample stays in the sample.
    body: root instanceof Document ? root.body : root,
    querySelector: (select: string) => root.querySelector(select),
    querySelectorAll: (select: string) => root.querySelectorAll(select),
    elementFromPoint,
    // What happens beside the pointer happens here as well.
    addEventListener: (type: string, listener: (event: Event) => void) =>
      root.addEventListener(type, listener, { capture: true, signal: ending.signal }),
    get adoptedStyleSheets() {
      return root.adoptedStyleSheets
    },
    createRange: () => page.createRange(),
    createTreeWalker: (from: Node, what: number) => page.createTreeWalker(from, what),
    createElement: (name: string) => {
      const element = page.createElement(name)
      // What it took away again is not kept for ever.
      if (made.length > 500) made = made.filter(({ isConnected }) => isConnected)
      made.push(element)
      return element
    },
  }
  class Observer extends MutationObserver {
    constructor(callback: MutationCallback) {
      super(callback)
      observers.push(this)
    }
    override observe(target: Node | typeof standInPage, options: MutationObserverInit) {
      super.observe(target instanceof Node ? target : root, options)
    }
  }
  /** What the page gave elements of attributes that a look has set since. */
  const given = new Map<Element, Map<string, string | null>>()
  const note = (records: readonly MutationRecord[]) => {
    for (const { target, attributeName, oldValue } of records) {
      if (!(target instanceof Element) || attributeName === null || made.includes(target)) continue
      const known = given.get(target) ?? new Map<string, string | null>()
      given.set(target, known)
      if (!known.has(attributeName)) known.set(attributeName, oldValue)
    }
  }
  const changes = new MutationObserver(note)
  const attributeFilter = lookAttributes(text)
  if (attributeFilter.length > 0) changes.observe(root, { subtree: true, attributes: true, attributeOldValue: true, attributeFilter })
  const begin = functionOf(page, nonce, text)
  begin(
    standInPage,
    (type: string, listener: Listener) => listeners.set(type, [...(listeners.get(type) ?? []), listener]),
    (callback: (now: number) => void) => {
      requestFrame((now) => isOn && callback(now))
      return 1
    },
    (element: Element) => {
      // It asks before it sets anything.
      if (!styles.has(element)) styles.set(element, element.getAttribute('style') ?? '')
      return getComputedStyle(element)
    },
    Observer,
  )
  return {
    hear: ({ t, x, y, buttons, pointerType, phase, by = 0, key }, hit, prevent) => {
      const type = eventTypes[phase]
      const event = {
        type,
        timeStamp: t,
        clientX: x,
        clientY: y,
        target: hit ?? page.documentElement,
        relatedTarget: null,
        buttons,
        pointerType: type.startsWith('pointer') ? pointerType : undefined,
        isPrimary: true,
        key,
        ctrlKey: phase === 'pinch',
        deltaY: phase === 'pinch' ? -100 * Math.log(by) : by,
        preventDefault: () => prevent?.(),
      }
      for (const listener of listeners.get(type) ?? []) listener(event)
    },
    end: () => {
      isOn = false
      ending.abort()
      for (const observer of observers) observer.disconnect()
      note(changes.takeRecords())
      changes.disconnect()
      for (const [element, attributes] of given)
        for (const [name, text] of attributes) {
          if (text === null) element.removeAttribute(name)
          else element.setAttribute(name, text)
        }
      for (const element of made) element.remove()
      for (const [element, style] of styles) restore(element, style)
    },
  }
}

/** A text as a function of what stands in for the browser. */
function functionOf(page: Document, nonce: string, text: string): (...standIns: readonly unknown[]) => void {
  const script: HTMLScriptElement & { begin?: (...standIns: readonly unknown[]) => void } = page.createElement('script')
  script.nonce = nonce
  script.textContent = `document.currentScript.begin = (${names.join(', ')}) => {\n${text}\n}`
  page.head.append(script)
  script.remove()
  if (!script.begin) throw new Error('The script cannot be run here.')
  return script.begin
}

/** Sets what a script may have set in a style to what it was before. */
function restore(element: Element, before: string): void {
  if (!(element instanceof HTMLElement || element instanceof SVGElement)) return
  const old = element.ownerDocument.createElement('i').style
  old.cssText = before
  for (const property of settled)
    if (element.style.getPropertyValue(property) !== old.getPropertyValue(property))
      element.style.setProperty(property, old.getPropertyValue(property))
  if (element.getAttribute('style') === '') element.removeAttribute('style')
}
