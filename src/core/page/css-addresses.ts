// The addresses in CSS, found by its tokens; every other byte stays as it is.
import { tokenize, tokenNames } from 'css-tree'

interface Token {
  readonly name: string
  readonly start: number
  readonly end: number
}

export interface AddressChanges {
  /** What an address of `url()`, `src()` or `image-set()` becomes; undefined leaves it. */
  readonly address: (address: string) => string | undefined
  /** What a whole `@import` rule becomes, by its address and what stands behind that; undefined leaves it. */
  readonly import: (address: string, condition: string) => string | undefined
}

const loading = /^(url|src|image-set|-webkit-image-set|image|cross-fade|-webkit-cross-fade)\($/i

/** CSS with its addresses and imports as is wished. It takes time in proportion to the text. */
export function changeAddresses(given: string, changes: AddressChanges): string {
  const css = withoutDisguise(given)
  const tokens = tokensOf(css)
  const textOf = ({ start, end }: Token) => css.slice(start, end)
  const parts: string[] = []
  let copied = 0
  const put = (from: number, to: number, text: string) => {
    parts.push(css.slice(copied, from), text)
    copied = to
  }
  /** How deep in brackets, and in which of them strings are addresses. */
  const brackets: boolean[] = []
  for (let i = 0; i < tokens.length; i++) {
    const token = tokens[i]
    if (!token) continue
    const { name, start, end } = token
    if (name === 'at-keyword-token' && /^@import$/i.test(textOf(token))) {
      const rule = readImport(tokens, i + 1, textOf)
      const changed = rule.address === undefined ? undefined : changes.import(rule.address, rule.condition)
      if (changed !== undefined) put(start, tokens[rule.last]?.end ?? css.length, changed)
      i = rule.last
    } else if (name === 'url-token') {
      const changed = changes.address(
        unescape(
          textOf(token)
            .replace(/^url\(\s*/i, '')
            .replace(/\s*\)$/, ''),
        ),
      )
      if (changed !== undefined) put(start, end, `url("${changed}")`)
    } else if (name === 'string-token' && brackets.at(-1) === true) {
      const changed = changes.address(stringOf(textOf(token)))
      if (changed !== undefined) put(start, end, `"${changed}"`)
    } else if (name === 'function-token') brackets.push(loading.test(textOf(token)))
    else if (name === '(-token' || name === '[-token' || name === '{-token') brackets.push(false)
    else if (name === ')-token' || name === ']-token' || name === '}-token') brackets.pop()
  }
  return parts.length === 0 ? css : parts.join('') + css.slice(copied)
}

function tokensOf(css: string): readonly Token[] {
  const tokens: Token[] = []
  tokenize(css, (type, start, end) => void tokens.push({ name: tokenNames[type] ?? '', start, end }))
  return tokens
}

/** An import rule from behind its keyword: where it ends, what it imports, and under which condition. */
function readImport(
  tokens: readonly Token[],
  from: number,
  textOf: (token: Token) => string,
): { readonly last: number; readonly address: string | undefined; readonly condition: string } {
  let address: string | undefined
  let condition = ''
  let isInUrl = false
  let last = from - 1
  for (let i = from; i < tokens.length; i++) {
    const token = tokens[i]
    if (!token || token.name === '{-token' || token.name === '}-token') break
    last = i
    if (token.name === 'semicolon-token') break
    if (token.name === 'comment-token') continue
    const text = textOf(token)
    if (address === undefined) {
      if (token.name === 'string-token') address = stringOf(text)
      else if (token.name === 'url-token') address = unescape(text.replace(/^url\(\s*/i, '').replace(/\s*\)$/, ''))
      else if (token.name === 'function-token') isInUrl = true
    } else if (isInUrl && token.name === ')-token') isInUrl = false
    else condition += text
  }
  return { last, address, condition: condition.trim() }
}

const stringOf = (text: string) => unescape(text.slice(1, text.length > 1 && /["']$/.test(text) ? -1 : undefined))

const unescape = (text: string) =>
  text.replace(/\\(?:([0-9a-f]{1,6})[ \t\n\f]?|\n|([^]))/gi, (_, hex?: string, character?: string) =>
    hex === undefined ? (character ?? '') : codePoint(parseInt(hex, 16)),
  )

const codePoint = (code: number) =>
  code === 0 || code > 0x10ffff || (code >= 0xd800 && code <= 0xdfff) ? '\ufffd' : String.fromCodePoint(code)

const disguised = /^@?-?[a-z-]+\(?$/i
/** As often as names within names are looked for. */
const mostLayers = 4

/**
 * CSS in which the names of what loads something are written plainly: browsers read `u\72l(` as `url(`. What is still disguised
 * after some rounds is no stylesheet that anybody wrote, and is left empty.
 */
function withoutDisguise(css: string): string {
  let text = css
  for (let round = 0; round < mostLayers; round++) {
    if (!text.includes('\\')) return text
    const parts: string[] = []
    let copied = 0
    for (const { name, start, end } of tokensOf(text)) {
      if (name !== 'function-token' && name !== 'at-keyword-token') continue
      const written = text.slice(start, end)
      if (!written.includes('\\')) continue
      const plain = unescape(written)
      if (!disguised.test(plain) || !(loading.test(plain) || /^@import$/i.test(plain))) continue
      parts.push(text.slice(copied, start), plain)
      copied = end
    }
    if (parts.length === 0) return text
    text = parts.join('') + text.slice(copied)
  }
  return ''
}
