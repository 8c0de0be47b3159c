// Edits: described changes of a site that can be inverted, so that everything can be undone.
import type { Effect, Page, Site } from './site'

export type Edit =
  | { readonly do: 'add'; readonly effect: Effect; readonly at: number }
  | { readonly do: 'remove'; readonly id: string }
  | { readonly do: 'change'; readonly id: string; readonly to: Partial<Pick<Effect, 'name' | 'select' | 'noun' | 'settings' | 'roles' | 'own' | 'narrow' | 'pages' | 'isOff' | 'ties' | 'tries'>> }
  /** Gives an effect another place in the order of figures. */
  | { readonly do: 'move'; readonly id: string; readonly to: number }
  /** Changes one page, or the lists of pages, of the files that came with them, of the bin, of named values and of traces. */
  | { readonly do: 'page'; readonly id: string; readonly to: Partial<Omit<Page, 'id'>> }
  | { readonly do: 'site'; readonly to: Partial<Pick<Site, 'name' | 'pages' | 'bundles' | 'bin' | 'values' | 'traces'>> }
  | { readonly do: 'replace'; readonly site: Site }

/** The site after the edit, and the edit that takes it back. An edit of an effect that is not there changes nothing. */
export function applyEdit(site: Site, edit: Edit): { readonly site: Site; readonly inverse: Edit } {
  switch (edit.do) {
    case 'add':
      return { site: { ...site, effects: site.effects.toSpliced(edit.at, 0, edit.effect) }, inverse: { do: 'remove', id: edit.effect.id } }
    case 'replace':
      return { site: edit.site, inverse: { do: 'replace', site } }
    case 'remove': {
      const at = site.effects.findIndex(({ id }) => id === edit.id)
      const effect = site.effects[at]
      if (!effect) return { site, inverse: edit }
      return { site: { ...site, effects: site.effects.toSpliced(at, 1) }, inverse: { do: 'add', effect, at } }
    }
    case 'change': {
      const before = site.effects.find(({ id }) => id === edit.id)
      if (!before) return { site, inverse: edit }
      const effects = site.effects.map((effect) => (effect === before ? withChange(effect, edit.to) : effect))
      return { site: { ...site, effects }, inverse: { do: 'change', id: edit.id, to: wayBack(before, edit.to) } }
    }
    case 'move': {
      const from = site.effects.findIndex(({ id }) => id === edit.id)
      const effect = site.effects[from]
      const to = Math.min(site.effects.length - 1, Math.max(0, edit.to))
      if (!effect || from === to) return { site, inverse: edit }
      return { site: { ...site, effects: site.effects.toSpliced(from, 1).toSpliced(to, 0, effect) }, inverse: { do: 'move', id: edit.id, to: from } }
    }
    case 'page': {
      const before = site.pages.find(({ id }) => id === edit.id)
      if (!before) return { site, inverse: edit }
      const pages = site.pages.map((page) => (page === before ? withChange(page, edit.to) : page))
      return { site: { ...site, pages }, inverse: { do: 'page', id: edit.id, to: wayBack(before, edit.to) } }
    }
    case 'site':
      return { site: withChange(site, edit.to), inverse: { do: 'site', to: wayBack(site, edit.to) } }
  }
}

/** A record with some of its fields changed; a field that is changed to undefined is gone. */
function withChange<T extends object>(before: T, change: Partial<NoInfer<T>>): T {
  const after = { ...before, ...change }
  for (const key of Object.keys(change)) if (after[key as keyof T] === undefined) Reflect.deleteProperty(after, key)
  return after
}

function wayBack<T extends object>(before: T, change: Partial<NoInfer<T>>): Partial<T> {
  return Object.fromEntries(Object.keys(change).map((key) => [key, before[key as keyof T]])) as Partial<T>
}
