// Text at the border: whole characters, and no halves of them.

/** A sentence, or an entry of a menu, begins with a capital. */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** Text cut to at most so many UTF-16 units, never within a character; a cut one ends in an ellipsis. */
export function cutText(text: string, most: number): string {
  if (text.length <= most) return text
  let cut = ''
  for (const { segment } of new Intl.Segmenter(undefined, { granularity: 'grapheme' }).segment(text.slice(0, most + 40))) {
    if (cut.length + segment.length > most - 1) break
    cut += segment
  }
  return `${cut.trimEnd()}…`
}

/** JSON read as it can be kept: a lone half of a surrogate pair becomes U+FFFD. Throws a SyntaxError. */
export function readJson(text: string): unknown {
  const value: unknown = JSON.parse(text)
  return /\\ud[89a-f]|[\ud800-\udfff]/i.test(text) ? wellFormed(value) : value
}

function wellFormed(value: unknown): unknown {
  if (typeof value === 'string') return value.toWellFormed()
  if (Array.isArray(value)) return value.map(wellFormed)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key.toWellFormed(), wellFormed(each)]))
}

/** Whether a text has every word of a search somewhere; a search of no words is in every text. */
export function hasWords(text: string, search: string): boolean {
  const all = text.toLowerCase()
  return search
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word))
}
