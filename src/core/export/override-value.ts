// Values that single matches have of their own, as CSS writes them.
import type { Token } from '../rig/rig'

/** A text as a CSS string in which nothing can end the declaration or the style element that it stands in. */
export function cssString(text: string): string {
  return `"${[...text].map((character) => (/["\\;{}<>\n\r\f\0]/.test(character) ? `\\${(character.codePointAt(0) ?? 0).toString(16)} ` : character)).join('')}"`
}

/** The text of a CSS string as `cssString` writes it; any other text as it is. */
export function textOfString(css: string): string {
  if (!/^".*"$/.test(css)) return css
  return css.slice(1, -1).replace(/\\([0-9a-f]{1,6}) ?/gi, (_, hex: string) => String.fromCodePoint(parseInt(hex, 16)))
}

/** A value as it is typed or read from an element; undefined where it is none of its kind. `isColour` tells what a browser takes for one. */
export function writeOverride(
  of: Token['of'] | 'amount',
  typed: string,
  unit: string,
  isColour: (text: string) => boolean,
): string | undefined {
  const text = typed.trim()
  switch (of) {
    case 'amount': {
      const number = /^(-?\d*\.?\d+)\s*([a-z%]*)$/i.exec(text)
      return number && (number[2] === '' || number[2] === unit) && Number.isFinite(Number(number[1]))
        ? `${Number(number[1])}${unit}`
        : undefined
    }
    case 'gradient':
      return /^(repeating-)?(linear|radial|conic)-gradient\([^{};<]*\)$/i.test(text) ? text : undefined
    case 'colour':
      return isColour(text) && /^[^{};<]*$/.test(text) ? text : undefined
    case 'text':
      return cssString(text)
    case 'picture':
      return text === '' ? undefined : `url(${cssString(text)})`
  }
}
