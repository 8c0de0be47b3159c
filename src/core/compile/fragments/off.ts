/** What ends with the script, and how all that it did to the page is undone. */
export const ending = new AbortController()
export const undone: (() => void)[] = []

/** Takes all of it off the page again. */
export function takeOff(): void {
  ending.abort()
  for (const undo of undone.splice(0).reverse()) undo()
}

/** Remembers what stands in an element's style, to give it back. */
export function remember({ style }: HTMLElement, name: string): void {
  const before = style.getPropertyValue(name)
  undone.push(() => style.setProperty(name, before))
}
