// Parts that hold a copy of what their host holds, kept in step with it.

const copyWatchers = new WeakMap<Element, MutationObserver>()

/** Fills a part with what the host holds without our parts, now and whenever that changes. */
function keepCopy(host: Element, part: HTMLElement): void {
  // What is inert is not focused, found, selected or read out.
  part.inert = true
  const observer = new MutationObserver((records) => {
    if (records.some(({ target }) => !isOfPart(target, host))) refill()
  })
  const refill = () => {
    part.replaceChildren(...[...host.childNodes].filter((node) => !isOfPart(node, host)).map((node) => node.cloneNode(true)))
    for (const each of part.querySelectorAll('[id]')) each.removeAttribute('id')
  }
  refill()
  observer.observe(host, { subtree: true, childList: true, characterData: true })
  copyWatchers.set(part, observer)
}

/** Whether a node is one of our parts in the host, or inside one. */
function isOfPart(node: Node, host: Element): boolean {
  for (let each: Node | null = node; each && each !== host; each = each.parentNode) if (each instanceof Element && each.hasAttribute('data-part')) return true
  return false
}

/** Stops keeping a part in step. */
function endCopy(part: Element): void {
  copyWatchers.get(part)?.disconnect()
}

export const copies = { keep: keepCopy, end: endCopy }
