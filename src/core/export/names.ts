// Names in the exported code: taken from the page, unique within the site.
import type { Effect } from '../site/site'

/**
 * The word that a selector is about: the class, id or element of its last compound, in lower case with hyphens
 * (`.row > .Plate:nth-of-type(3)` gives `plate`).
 */
export function wordOf(select: string): string {
  const last = select.split(/[\s>+~,]+/).at(-1) ?? ''
  const bare = last.replace(/:[\w-]+(\([^)]*\))?/g, '').replace(/\[[^\]]*\]/g, '')
  const name = /\.((?:\\.|[\w-])+)/.exec(bare)?.[1] ?? /#((?:\\.|[\w-])+)/.exec(bare)?.[1] ?? /^[a-z][\w-]*/i.exec(bare)?.[0] ?? 'effect'
  const word = name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
  return /^[a-z]/.test(word) ? word : `effect-${word}`.replace(/-$/, '')
}

/** A name for each effect, in order: its word and its kind, with a number behind it where that is taken (`card-tilt`, `card-tilt-2`). */
export function namesOf(effects: readonly Pick<Effect, 'select' | 'kind'>[]): readonly string[] {
  const taken = new Set<string>()
  return effects.map(({ select, kind }) => {
    const noun = wordOf(select)
    // What is on the whole page is the one of its kind there.
    const word = select === 'body' ? kind : noun === kind || noun.endsWith(`-${kind}`) ? noun : `${noun}-${kind}`
    let name = word
    for (let n = 2; taken.has(name); n++) name = `${word}-${n}`
    taken.add(name)
    return name
  })
}
