// Files of the page: the studio posts their bytes, and they become blobs inside the frame.
import { mediaAttribute, placeholderPattern } from '../core/page/studio-copy-marks'

export interface Assets {
  /** The hashes of all files that the page asks for. */
  readonly needs: readonly string[]
  /** Puts a file in wherever the page asks for it. */
  readonly give: (hash: string, type: string, bytes: ArrayBuffer) => void
}

const asking = ['src', 'srcset', 'poster', 'href', 'xlink:href', 'style', 'background', mediaAttribute]

/** Finds what the page asks for. */
export function findAssets(page: Document): Assets {
  const places = new Map<string, Set<Element>>()
  const note = (text: string | null, element: Element) => {
    for (const [, hash = ''] of (text ?? '').matchAll(placeholderPattern)) places.set(hash, (places.get(hash) ?? new Set()).add(element))
  }
  for (const element of page.querySelectorAll('*')) {
    if (element.localName === 'style') note(element.textContent, element)
    for (const name of asking) if (element.hasAttribute(name)) note(element.getAttribute(name), element)
  }
  const urls = new Map<string, string>()
  const fill = (text: string) => text.replace(placeholderPattern, (placeholder, hash: string) => urls.get(hash) ?? placeholder)
  const give = (hash: string, type: string, bytes: ArrayBuffer) => {
    urls.set(hash, URL.createObjectURL(new Blob([bytes], { type })))
    for (const element of places.get(hash) ?? []) {
      if (element.localName === 'style') {
        element.textContent = fill(element.textContent)
        continue
      }
      for (const name of asking) {
        const text = element.getAttribute(name)
        const filled = text === null ? '' : fill(text)
        if (text !== null && filled !== text) element.setAttribute(name === mediaAttribute ? 'src' : name, filled)
      }
    }
  }
  return { needs: [...places.keys()], give }
}
