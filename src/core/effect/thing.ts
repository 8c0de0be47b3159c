// What sort of thing an element is to a designer, by its markup: effects that suit it are offered first.

export const things = ['heading', 'picture', 'group', 'link', 'button', 'text', 'page', 'box'] as const
export type Thing = (typeof things)[number]

interface Seen {
  /** As it is written: tag, id, classes. */
  readonly element: string
  readonly holds: number
  /** How many of what it holds are alike. */
  readonly alike: number
  /** The words in it. */
  readonly words: string
}

const texts = new Set([
  'p',
  'span',
  'em',
  'strong',
  'b',
  'i',
  'small',
  'blockquote',
  'q',
  'cite',
  'label',
  'dt',
  'dd',
  'code',
  'time',
  'abbr',
])

/** What sort of thing it is: by its tag, then by what it is called, then by what it holds. */
export function thingOf({ element, holds, alike, words }: Seen): Thing {
  const [, tag = '', name = ''] = /^([a-z0-9-]+)(.*)$/i.exec(element) ?? []
  if (/^(body|html|main)$/.test(tag)) return 'page'
  if (/^h[1-6]$/.test(tag)) return 'heading'
  if (/^(img|picture|video|canvas|svg|figure)$/.test(tag)) return 'picture'
  if (/^(button|summary)$/.test(tag) || /[.#_-](button|btn|cta)\b/i.test(name)) return 'button'
  if (tag === 'a' && holds < 2) return 'link'
  if (/^(ul|ol|menu|nav|dl|table|tbody)$/.test(tag) || alike > 2) return 'group'
  if (texts.has(tag) && words !== '') return 'text'
  if (/[.#_-](picture|photo|image|img|thumb|cover|media|art)\b/i.test(name) && holds < 2) return 'picture'
  return 'box'
}
