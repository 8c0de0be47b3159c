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

/** The candidates of a `srcset`, each with its address and what stands behind it. */
export function readSrcset(text: string): readonly { readonly address: string; readonly rest: string }[] {
  return [...text.matchAll(/\s*,*\s*(\S*[^\s,])\s*([^,(]*(?:\([^)]*\)[^,]*)?)/g)].map(([, address = '', rest = '']) => ({ address, rest: rest.trim() }))
}
