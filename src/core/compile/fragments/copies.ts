/** Fills a part with what its host holds, now and whenever that changes; nobody can focus, select or hear it. */
export function keepCopy(host: HTMLElement, part: HTMLElement): void {
  const isOurs = (node: Node) => [...host.children].some((each) => each.ariaHidden === 'true' && each.contains(node) && each.contains(part))
  const fill = () => {
    part.replaceChildren(...[...host.childNodes].filter((node) => !(node instanceof Element && node.matches('[data-part]'))).map((node) => node.cloneNode(true)))
    for (const element of part.querySelectorAll('[id]')) element.removeAttribute('id')
  }
  part.inert = true
  fill()
  new MutationObserver((records) => {
    if (records.some(({ target }) => !isOurs(target))) fill()
  }).observe(host, { subtree: true, childList: true, characterData: true })
}
