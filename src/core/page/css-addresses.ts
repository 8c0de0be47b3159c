// The addresses in CSS, found by its tokens; every other byte stays as it is.
import { tokenize, tokenNames } from 'css-tree'

/** CSS with each address of `url()` and `@import` as `change` wants it; undefined leaves it. */
export function changeAddresses(css: string, change: (address: string, isImport: boolean) => string | undefined): string {
  const changes: { readonly start: number; readonly end: number; readonly text: string }[] = []
  let before: 'url' | 'import' | '' = ''
  tokenize(css, (type, start, end) => {
    const name = tokenNames[type] ?? ''
    const text = css.slice(start, end)
    if (name === 'url-token') {
      const changed = change(unescape(text.replace(/^url\(\s*/i, '').replace(/\s*\)$/, '')), before === 'import')
      if (changed !== undefined) changes.push({ start, end, text: `url("${changed}")` })
    } else if (name === 'string-token' && before !== '') {
      const changed = change(unescape(text.slice(1, /["']$/.test(text.slice(1)) ? -1 : undefined)), before === 'import')
      if (changed !== undefined) changes.push({ start, end, text: `"${changed}"` })
    }
    if (name === 'whitespace-token' || name === 'comment-token') return
    if (name === 'function-token' && /^(url|src)\($/i.test(text)) before = before === 'import' ? 'import' : 'url'
    else before = name === 'at-keyword-token' && /^@import$/i.test(text) ? 'import' : ''
    // The strings of image-set() are addresses too.
    if (name === 'function-token' && /^(-webkit-)?image-set\($/i.test(text)) before = 'url'
  })
  return changes.reduceRight((text, { start, end, text: put }) => text.slice(0, start) + put + text.slice(end), css)
}

const unescape = (text: string) => text.replace(/\\([0-9a-f]{1,6})\s?/gi, (_, hex: string) => String.fromCodePoint(Math.min(0x10ffff, parseInt(hex, 16)))).replace(/\\(.)/g, '$1')
