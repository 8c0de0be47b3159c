// Names in the exported code: taken from the page, unique within the site.
import type { Effect } from '../site/site'

/**
 * The word that a selector is about: the class, id or element of its last compound, in lower case with hyphens
 * (`.row > .Plate:nth-of-type(3)` gives `plate`).
 */
export function wordOf(select: string): string {
  const last = select.split(/[\s>+~,]+/).at(-1) ?? ''
  const bare = last.replace(/:[\w-]+(\([^)]*\))?/g, '').replace(/\[[^\]]*\]/g, '')
  const name = /\.((?:\\.|[\w-])+)/.exec(bare)?.[1] ?? /#((?:\\.|[\w-])+)/.exec(bare)?.[1] ?? /^[a-z][\w-]*/i.exec(bare)?.[0] ?? 'figure'
  const word = name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-+|-+$/g, '')
  return /^[a-z]/.test(word) ? word : `figure-${word}`.replace(/-$/, '')
}

/** A name for each effect, in order: its word, with a number behind it where the word is taken. */
export function namesOf(effects: readonly Effect[]): readonly string[] {
  const taken = new Set<string>()
  return effects.map(({ select }) => {
    const word = wordOf(select)
    let name = word
    for (let n = 2; taken.has(name); n++) name = `${word}-${n}`
    taken.add(name)
    return name
  })
}

/** Three letters that keep the properties of one site's script apart from those of another (FNV-1a, 32 bit). */
export function siteMark(siteId: string): string {
  let hash = 0x811c9dc5
  for (const character of siteId) hash = Math.imul(hash ^ (character.codePointAt(0) ?? 0), 0x01000193) >>> 0
  return hash.toString(36).slice(-3).padStart(3, '0')
}
