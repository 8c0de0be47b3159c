// Text that is written into a stylesheet as it stands: it must end nothing that it stands in, nor leave anything open behind it.
import { isTraversal, parse as parseSelector } from 'css-what'
import * as z from 'zod'

const closing: Readonly<Record<string, string>> = { '(': ')', '[': ']' }

/**
 * Whether CSS text stays within its place (CSS Syntax Module Level 3): brackets and strings are closed, nothing is escaped past
 * its end, and outside of strings there are no braces, semicolons, comments or tags.
 */
export function isContained(text: string): boolean {
  const open: string[] = []
  for (let i = 0; i < text.length; i++) {
    const character = text.charAt(i)
    if (character === '\\') {
      i += 1
      if (i >= text.length || /[\n\r\f]/.test(text.charAt(i))) return false
    } else if (character === '"' || character === "'") {
      const end = endOfString(text, i)
      if (end < 0) return false
      i = end
    } else if (character in closing) open.push(closing[character] ?? '')
    else if (character === ')' || character === ']') {
      if (open.pop() !== character) return false
    } else if (/[{};<@\0]/.test(character) || text.startsWith('/*', i) || text.startsWith('*/', i)) return false
  }
  return open.length === 0
}

/**
 * The declarations of CSS text like `color: #fff; opacity: 0.6`, by property; undefined where it is none. A property is
 * written in lower case but for custom ones, and none is important.
 */
export function readDeclarations(text: string): Readonly<Record<string, string>> | undefined {
  const declarations: Record<string, string> = {}
  for (const one of splitOutside(text, ';')) {
    if (one.trim() === '') continue
    const [, property = '', value = ''] = /^\s*(--[a-z][\w-]*|-?[a-z][a-z-]*)\s*:\s*([^]*?)\s*$/i.exec(one) ?? []
    if (value === '' || value.length > 500 || !isContained(value) || /!/.test(value)) return undefined
    declarations[property.startsWith('--') ? property : property.toLowerCase()] = value
  }
  return declarations
}

/** Text cut at a character, wherever it stands in no bracket and no string. */
function splitOutside(text: string, at: string): readonly string[] {
  const pieces: string[] = []
  let from = 0
  let depth = 0
  for (let i = 0; i < text.length; i++) {
    const character = text.charAt(i)
    if (character === '\\') i += 1
    else if (character === '"' || character === "'") {
      const end = endOfString(text, i)
      if (end > 0) i = end
    } else if (character in closing) depth += 1
    else if (character === ')' || character === ']') depth -= 1
    else if (character === at && depth === 0) {
      pieces.push(text.slice(from, i))
      from = i + 1
    }
  }
  return [...pieces, text.slice(from)]
}

/** Where the string that begins here ends; -1 where it does not. */
function endOfString(text: string, from: number): number {
  for (let i = from + 1; i < text.length; i++) {
    if (text.charAt(i) === '\\') i += 1
    else if (/[\n\r\f]/.test(text.charAt(i))) return -1
    else if (text.charAt(i) === text.charAt(from)) return i
  }
  return -1
}

const nameText = String.raw`(?:-?[a-z_\u0080-\uffff]|--)[\w\u0080-\uffff-]*`
/** What stands in the brackets of an attribute, where strings are written as `""` (Selectors 4, 6). */
const attributeText = new RegExp(String.raw`^\s*(?:\*?\|)?${nameText}\s*(?:[~|^$*]?=\s*(?:${nameText}|"")\s*[a-z]?\s*)?$`, 'i')

/**
 * Whether the names in a selector, outside of its parentheses, are names (CSS Syntax 4.3.9): one that begins with a digit, or has other signs
 * in it, makes browsers drop the whole rule.
 */
function hasNames(text: string): boolean {
  const escaped = text.replace(/\\(?:[\da-f]{1,6}\s?|[^])/gi, 'x')
  let depth = 0
  let plain = ''
  let unquoted = ''
  for (let i = 0; i < escaped.length; i++) {
    const character = escaped.charAt(i)
    if (character === '"' || character === "'") {
      i = Math.max(i, endOfString(escaped, i))
      unquoted += '""'
      continue
    }
    unquoted += character
    if (character === ')' || character === ']') depth -= 1
    else if (depth === 0 && !(character in closing)) plain += character
    if (character in closing) depth += 1
  }
  const attributes = [...unquoted.matchAll(/\[([^\]]*)\]/g)].map(([, inside = '']) => inside)
  return (
    attributes.every((inside) => attributeText.test(inside)) &&
    !/[^\w\s\u0080-\uffff.#:>+~,*|&-]|(?:^|[^\w\u0080-\uffff-])-?(?:\d|(?![\w\u0080-\uffff-])(?<=-))/.test(plain)
  )
}

/** Whether text is a list of selectors, `&` included, that can be written as it stands. */
export function isSelector(text: string): boolean {
  if (!isContained(text) || !hasNames(text)) return false
  try {
    const selectors = parseSelector(text.replace(/(^|[\s,(>+~])&/g, '$1*'))
    return (
      selectors.length > 0 &&
      selectors.every((steps) => {
        const last = steps.at(-1)
        return last !== undefined && !isTraversal(last)
      })
    )
  } catch {
    return false
  }
}

/** A selector that can be written as it stands. */
export const selectorText = (most = 500) => z.string().trim().min(1).max(most).refine(isSelector, 'is not a CSS selector')

/** A value of one declaration that can be written as it stands; holes like `{name}` where it may have them. */
export const valueText = (most: number) =>
  z
    .string()
    .min(1)
    .max(most)
    .refine((text) => isContained(text) && !/[{};<]/.test(text), 'is not one CSS value')
export const valueWithHoles = (most: number, message = 'is not one CSS value') =>
  z
    .string()
    .max(most)
    .refine((text) => {
      const filled = text.replace(/\{[A-Za-z][A-Za-z0-9-]*\}/g, '0')
      return isContained(filled) && !/[{};<]/.test(filled)
    }, message)

/** Whether text is the address of a picture: relative to the page, of the web, or the picture itself. */
export const isAddress = (text: string): boolean =>
  /^[^\s"'()\\{};<>]{1,500}$/.test(text) && (!/^[a-z][a-z0-9+.-]*:/i.test(text) || /^(https?:\/\/|data:image\/)/i.test(text))

/** A picture by its address as CSS writes it; none where there is no address. */
export const cssPicture = (address: string): string => (address === '' ? 'none' : `url(${cssString(address)})`)

/** Text as a string of CSS. */
export const cssString = (text: string): string =>
  `"${text
    .replaceAll(/["\\]/g, '\\$&')
    .replaceAll(/[\n\r\f]/g, ' ')
    .replaceAll('<', '\\3c ')}"`
