// What checks are: each looks at one effect on one page, and says in a sentence what is amiss there.
import type { Kind } from '../effect/kind'
import type { MarkupEdit } from '../page/markup'
import type { Edit } from '../site/edit'
import type { Effect } from '../site/site'
import type { PlannedEffect } from '../export/plan'
import type { Seen } from './seen'
import type { Told } from './told'

/** What mends it, in one act: an edit of the site, edits of the page's markup, CSS for the page, or pointing at what fills a role. */
export type Fix = { readonly words: string } & (
  { readonly edit: Edit } | { readonly markup: readonly MarkupEdit[] } | { readonly css: string } | { readonly role: string }
)

/** An effect on a page, with all that is known of it there. */
export interface Checked {
  readonly effect: Effect
  readonly kind: Kind<unknown>
  readonly planned: PlannedEffect
  /** What the page's markup and sheets tell. */
  readonly told: Told
  /** What a browser has seen; undefined where the page was not laid out. */
  readonly seen: Seen | undefined
  /** Whether another page of the site has elements of a selector. */
  readonly matchesElsewhere: (select: string) => boolean
  /** The style of an element as its source has it, by its number. */
  readonly styleOf: (number: number) => string
}

/** What a check has found. */
export interface Found {
  readonly words: string
  /** The elements that it is about, by their numbers in the source. */
  readonly elements?: readonly number[]
  readonly fix?: Fix | undefined
  /** What else can be done about it. */
  readonly or?: Fix | undefined
}

export interface Check {
  readonly id: string
  /** Whether it needs the page laid out. */
  readonly needsLayout: boolean
  readonly look: (checked: Checked) => Found | undefined
}

/** The effect in a sentence: by its number. */
export const nameOf = ({ planned: { number } }: Checked): string => `Effect ${number}`

/** "one element", "7 elements". */
export const countOf = (count: number, one = 'element', several = `${one}s`): string => (count === 1 ? `one ${one}` : `${count} ${several}`)

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** An edit of an effect's settings. */
export const settingsTo = ({ effect }: Checked, settings: unknown): Edit => ({ do: 'change', id: effect.id, to: { settings } })

/** An edit of the first area of a rig by hand; undefined for settings that are none. */
export function firstAreaTo(checked: Checked, change: object, looks?: object): Edit | undefined {
  const settings = checked.effect.settings as { readonly areas?: readonly { readonly looks?: object }[] }
  const [first, ...rest] = settings.areas ?? []
  if (!first || (looks && !first.looks)) return undefined
  return settingsTo(checked, {
    ...settings,
    areas: [{ ...first, ...change, ...(looks ? { looks: { ...first.looks, ...looks } } : {}) }, ...rest],
  })
}

/** A fix that is an edit of the site; none where there is no such edit. */
export const fixBy = (words: string, edit: Edit | undefined): Fix | undefined => edit && { words, edit }

/** Pointing at another element for the effect itself. */
export const pointingAgain = ({ effect, kind }: Checked, words = 'Point at another element'): Fix | undefined => {
  const [main] = kind.roles(effect.settings)
  return main && { words, role: main.id }
}

/** Switching the effect off. */
export const switchingOff = ({ effect: { id } }: Checked): Fix => ({
  words: 'Switch it off',
  edit: { do: 'change', id, to: { isOff: true } },
})

/** Settings that all kinds have in common, changed. */
export const withCommonSetting = (checked: Checked, change: Readonly<Record<string, unknown>>): Edit =>
  settingsTo(checked, { ...(checked.effect.settings as object), ...change })
