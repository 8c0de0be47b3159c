import { given } from './given'
import { undone } from './off'

const isPart = (node: Node) => node instanceof Element && node.hasAttribute('data-part')

/** Fills a part with what its host holds, now and whenever that changes; nobody can focus, select or hear it. */
export function keepCopy(host: HTMLElement, part: HTMLElement): void {
  const isOwn = (node: Node | null): boolean => node === host || (node !== null && !isPart(node) && isOwn(node.parentNode))
  const fill = () => {
    part.replaceChildren(...[...host.childNodes].filter((node) => !isPart(node)).map((node) => node.cloneNode(true)))
    for (const element of part.querySelectorAll('[id]')) element.removeAttribute('id')
  }
  part.inert = true
  fill()
  const observer = new MutationObserver((records) => {
    if (records.some(({ target, addedNodes, removedNodes }) => isOwn(target) && ![...addedNodes, ...removedNodes].some(isPart))) fill()
  })
  observer.observe(host, { subtree: true, childList: true, characterData: true })
  if (given.takesOff) undone.push(() => observer.disconnect())
}
