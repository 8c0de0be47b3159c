// What an address in a page or a stylesheet refers to: a file that came with it, something elsewhere, or itself.

export type Reference =
  /** Contained in the page: `data:`, `blob:`, a fragment, or nothing at all. */
  | { readonly kind: 'within' }
  /** A file by its path from the top of what was brought. */
  | { readonly kind: 'file'; readonly path: string }
  | { readonly kind: 'remote'; readonly address: string }
  /** Would run code. */
  | { readonly kind: 'code' }

const top = 'http://page.invalid/'

/** Reads an address as a browser would, from a file at `from` (a path from the top). */
export function readReference(text: string, from: string): Reference {
  const trimmed = text.trim()
  if (trimmed === '' || trimmed.startsWith('#')) return { kind: 'within' }
  let url: URL
  try {
    url = new URL(trimmed, top + from.split('/').map(encodeURIComponent).join('/'))
  } catch {
    return { kind: 'within' }
  }
  if (url.protocol === 'data:' || url.protocol === 'blob:' || url.protocol === 'about:') return { kind: 'within' }
  if (/^(javascript|vbscript):$/.test(url.protocol)) return { kind: 'code' }
  if (!url.href.startsWith(top)) return { kind: 'remote', address: url.href }
  return { kind: 'file', path: decodePath(url.pathname.slice(1)) }
}

function decodePath(path: string): string {
  try {
    return decodeURIComponent(path)
  } catch {
    return path
  }
}

const isSpace = (character: string | undefined) =>
  character === ' ' || character === '\t' || character === '\n' || character === '\f' || character === '\r'

/** The candidates of a `srcset`, each with its address and what stands behind it (HTML, "parse a srcset attribute"), in one pass. */
export function readSrcset(text: string): readonly { readonly address: string; readonly rest: string }[] {
  const found: { address: string; rest: string }[] = []
  let at = 0
  while (at < text.length) {
    while (at < text.length && (isSpace(text[at]) || text[at] === ',')) at += 1
    const start = at
    while (at < text.length && !isSpace(text[at])) at += 1
    let end = at
    while (end > start && text[end - 1] === ',') end -= 1
    if (end === start) continue
    const address = text.slice(start, end)
    // An address that ends in a comma has nothing behind it.
    const from = at
    for (let depth = 0; end === from && at < text.length; at += 1) {
      if (text[at] === '(') depth += 1
      else if (text[at] === ')') depth = Math.max(0, depth - 1)
      else if (text[at] === ',' && depth === 0) break
    }
    found.push({ address, rest: text.slice(from, at).trim() })
  }
  return found
}
