// Keeps the page in its frame: nothing that the page offers may navigate, submit, or take a dropped file.

/** Stops every way out of `page`; `onLink` hears where a link would have gone. */
export function guardPage(page: Document, onLink: (href: string) => void): void {
  const stop = (event: Event) => event.preventDefault()
  const followed = (event: Event) => {
    const link = event
      .composedPath()
      .find((node): node is Element => node instanceof Element && (node.localName === 'a' || node.localName === 'area'))
    if (!link) return
    event.preventDefault()
    onLink(link.getAttribute('href') ?? link.getAttribute('xlink:href') ?? '')
  }
  page.addEventListener('click', followed, { capture: true })
  page.addEventListener('auxclick', followed, { capture: true })
  page.addEventListener('submit', stop, { capture: true })
  page.addEventListener('dragstart', stop, { capture: true })
  page.addEventListener('dragover', stop, { capture: true })
  page.addEventListener('drop', stop, { capture: true })
}
