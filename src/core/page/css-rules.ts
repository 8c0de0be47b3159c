// What a browser keeps of a stylesheet, by the recovery of CSS Syntax (https://drafts.csswg.org/css-syntax/#parser-algorithms): whatever
// is written there, something is kept, and it takes time in proportion to the text.
import { tokenize, tokenNames } from 'css-tree'

export interface StyleRule {
  readonly kind: 'rule'
  /** The selector as it is written, without comments. */
  readonly select: string
  readonly contents: readonly CssItem[]
}

export interface AtRule {
  readonly kind: 'at'
  /** In lower case. */
  readonly name: string
  readonly prelude: string
  /** Undefined where it has no block. */
  readonly contents: readonly CssItem[] | undefined
}

export interface CssDeclaration {
  readonly kind: 'declaration'
  /** In lower case, but for custom properties. */
  readonly property: string
  readonly value: string
  readonly isImportant: boolean
}

export type CssItem = StyleRule | AtRule | CssDeclaration

/** At-rules that have rules alone where they stand in no rule. */
const holdsRules = /^(?:media|supports|layer|container|scope|starting-style|(?:-\w+-)?(?:keyframes|document))$/

/** Blocks deeper than this are passed over. */
const deepest = 200

interface Token {
  readonly name: string
  readonly text: string
  /** Whether a comment stands before it. */
  readonly isParted: boolean
}

const closing: Readonly<Record<string, string>> = {
  '{-token': '}-token',
  '[-token': ']-token',
  '(-token': ')-token',
  'function-token': ')-token',
}

export interface Sheet {
  readonly items: readonly CssItem[]
  /** Whether nothing was passed over for its depth. */
  readonly isWhole: boolean
}

/** What a stylesheet has. Takes any text. */
export function readSheet(css: string): Sheet {
  const { rules, isWhole } = readerOf(css)
  return { items: rules(0), isWhole: isWhole() }
}

/** What a `style` attribute has. Takes any text. */
export const readStyle = (css: string): readonly CssDeclaration[] => readerOf(css).declarations()

/** Reads from token to token. What is named after a part of the grammar reads that from here, and stands behind it then. */
function readerOf(css: string) {
  const tokens = tokensOf(css)
  const ends = endsOf(tokens)
  let at = 0
  let isWhole = true
  const has = () => at < tokens.length
  const now = (): Token => tokens[at] ?? { name: 'EOF', text: '', isParted: false }
  const skip = () => void at++
  const textFrom = (from: number) => textOf(tokens.slice(from, at))
  const isBadFrom = (from: number) => tokens.slice(from, at).some(({ name }) => name.startsWith('bad-'))
  /** Goes past a token, and past all that it opens. */
  const pass = () => {
    at = closing[now().name] === undefined ? at + 1 : (ends[at] ?? at) + 1
  }
  const passUntil = (names: readonly string[]) => {
    while (has() && !names.includes(now().name)) pass()
  }

  /** Rules alone, up to the end; in a block up to the brace that ends it. */
  function rules(depth: number): readonly CssItem[] {
    const items: CssItem[] = []
    while (has() && !(depth > 0 && now().name === '}-token')) {
      const { name } = now()
      if (name === 'whitespace-token' || (depth === 0 && (name === 'CDO-token' || name === 'CDC-token'))) skip()
      else {
        const item = name === 'at-keyword-token' ? atRule(depth, false) : rule(depth, depth > 0 ? ['{-token', '}-token'] : ['{-token'])
        if (item) items.push(item)
      }
    }
    return items
  }

  /** Declarations alone, up to the end. */
  function declarations(): readonly CssDeclaration[] {
    const items: CssDeclaration[] = []
    while (has()) {
      const { name } = now()
      if (name === 'whitespace-token' || name === 'semicolon-token') skip()
      else if (name === 'at-keyword-token') atRule(0, false)
      else {
        const from = at
        const item = declaration(['semicolon-token'])
        if (item) items.push(item)
        else {
          at = from
          passUntil(['semicolon-token'])
        }
      }
    }
    return items
  }

  /** Declarations and rules, up to the brace that ends their block. */
  function contents(depth: number): readonly CssItem[] {
    const items: CssItem[] = []
    while (has() && now().name !== '}-token') {
      const { name } = now()
      if (name === 'whitespace-token' || name === 'semicolon-token') {
        skip()
        continue
      }
      const from = at
      let item: CssItem | undefined = name === 'at-keyword-token' ? atRule(depth, true) : declaration(['semicolon-token', '}-token'])
      if (!item) {
        at = from
        item = rule(depth, ['{-token', 'semicolon-token', '}-token'])
      }
      if (item) items.push(item)
    }
    return items
  }

  /** What a block holds, from the brace that opens it to the one that ends it. */
  function block(depth: number, read: (depth: number) => readonly CssItem[]): readonly CssItem[] {
    if (depth >= deepest) {
      isWhole = false
      pass()
      return []
    }
    skip()
    const items = read(depth + 1)
    skip()
    return items
  }

  function atRule(depth: number, isInRule: boolean): AtRule {
    const name = now().text.slice(1).toLowerCase()
    skip()
    const from = at
    passUntil(depth > 0 ? ['semicolon-token', '{-token', '}-token'] : ['semicolon-token', '{-token'])
    const prelude = textFrom(from)
    if (now().name === '{-token')
      return { kind: 'at', name, prelude, contents: block(depth, !isInRule && holdsRules.test(name) ? rules : contents) }
    if (now().name === 'semicolon-token') skip()
    return { kind: 'at', name, prelude, contents: undefined }
  }

  function rule(depth: number, ends: readonly string[]): StyleRule | undefined {
    const from = at
    passUntil(ends)
    if (now().name !== '{-token') return undefined
    // What would be a custom property is no rule.
    const [first, second] = tokens.slice(from, from + 3).filter(({ name }) => name !== 'whitespace-token')
    if (first?.name === 'ident-token' && first.text.startsWith('--') && second?.name === 'colon-token') {
      if (ends.includes('semicolon-token')) passUntil(['semicolon-token', '}-token'])
      else pass()
      return undefined
    }
    const [select, isBad] = [textFrom(from), isBadFrom(from)]
    const inside = block(depth, contents)
    return isBad ? undefined : { kind: 'rule', select, contents: inside }
  }

  /** A declaration; none where what stands here is something else, wherever the reader stands then. */
  function declaration(ends: readonly string[]): CssDeclaration | undefined {
    const named = now()
    if (named.name !== 'ident-token') return undefined
    skip()
    if (now().name === 'whitespace-token') skip()
    if (now().name !== 'colon-token') return undefined
    skip()
    const from = at
    const isCustom = named.text.startsWith('--')
    passUntil(isCustom ? ends : [...ends, '{-token'])
    // A rule of which the selector has a colon.
    if (!isCustom && now().name === '{-token') return undefined
    if (isBadFrom(from)) return undefined
    const text = textFrom(from)
    const important = /\s*!(?:\s|\/\*\*\/)*important$/i.exec(text)
    return {
      kind: 'declaration',
      property: isCustom ? named.text : named.text.toLowerCase(),
      value: important ? text.slice(0, important.index) : text,
      isImportant: important !== null,
    }
  }

  return { rules, declarations, isWhole: () => isWhole }
}

/** The tokens of a text, without comments. */
function tokensOf(css: string): readonly Token[] {
  const text = css.replaceAll('\0', '\uFFFD')
  const tokens: Token[] = []
  let isParted = false
  tokenize(text, (type, start, end) => {
    const name = tokenNames[type] ?? ''
    if (name !== 'comment-token') tokens.push({ name, text: text.slice(start, end), isParted })
    isParted = name === 'comment-token'
  })
  return tokens
}

/** The text of tokens, with what is missing at its end: what the end of a sheet cuts off is closed there. */
function textOf(given: readonly Token[]): string {
  const isSpace = ({ name }: Token) => name === 'whitespace-token'
  const tokens = given.slice(
    given.findIndex((token) => !isSpace(token)),
    given.findLastIndex((token) => !isSpace(token)) + 1,
  )
  const missing: string[] = []
  let text = ''
  for (const [i, { name, text: own, isParted }] of tokens.entries()) {
    if (isParted && i > 0) text += '/**/'
    text += name === 'whitespace-token' ? ' ' : own
    const by = closing[name]
    if (by !== undefined) missing.push(by.charAt(0))
    else if (missing.length > 0 && name === `${missing.at(-1) ?? ''}-token`) missing.pop()
  }
  const last = tokens.at(-1)
  if (last?.name === 'string-token' && !isClosed(last.text)) missing.push(last.text.charAt(0))
  if (last?.name === 'url-token' && !last.text.endsWith(')')) missing.push(')')
  return text + missing.toReversed().join('')
}

/** Whether a string ends with the quote that it begins with. */
const isClosed = (text: string): boolean =>
  text.length > 1 && text.endsWith(text.charAt(0)) && (/\\*$/.exec(text.slice(0, -1))?.[0].length ?? 0) % 2 === 0

/** Where each bracket ends. One that is closed by nothing ends with the text; a bracket that closes nothing is a token as others are. */
function endsOf(tokens: readonly Token[]): Int32Array {
  const ends = new Int32Array(tokens.length).fill(tokens.length)
  const open: { readonly at: number; readonly by: string }[] = []
  for (const [at, { name }] of tokens.entries()) {
    const by = closing[name]
    const last = open.at(-1)
    if (by !== undefined) open.push({ at, by })
    else if (last?.by === name) {
      ends[last.at] = at
      open.pop()
    }
  }
  return ends
}
