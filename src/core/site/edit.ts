// Edits: what can be done to a site. What one changed becomes a patch, so that it can be undone, saved and met by others.
import { applyPatch, type Patch } from './patch'
import { tidySite, type Effect, type Page, type Site } from './site'

export type Edit =
  | { readonly do: 'add'; readonly effect: Effect; readonly at: number }
  | { readonly do: 'remove'; readonly id: string }
  | {
      readonly do: 'change'
      readonly id: string
      readonly to: Partial<
        Pick<Effect, 'name' | 'select' | 'noun' | 'settings' | 'roles' | 'overrides' | 'narrow' | 'pages' | 'isOff' | 'bindings' | 'tries'>
      >
    }
  /** Gives an effect another place in the order of effects. */
  | { readonly do: 'move'; readonly id: string; readonly to: number }
  /** Changes one page, or the lists of pages, of the files that came with them, of the bin, of named values and of traces, or what is asked of the script. */
  | { readonly do: 'page'; readonly id: string; readonly to: Partial<Omit<Page, 'id'>> }
  | { readonly do: 'site'; readonly to: Partial<Pick<Site, 'name' | 'pages' | 'bundles' | 'bin' | 'values' | 'traces' | 'script'>> }
  | { readonly do: 'replace'; readonly site: Site }
  | { readonly do: 'patch'; readonly patch: Patch }

/** The site after the edit. An edit of an effect or a page that is not there changes nothing. */
export function applyEdit(site: Site, edit: Edit): Site {
  switch (edit.do) {
    case 'add':
      return { ...site, effects: site.effects.toSpliced(edit.at, 0, edit.effect) }
    case 'replace':
      return edit.site
    case 'patch':
      return tidySite(applyPatch(site, edit.patch).value)
    case 'remove':
      return site.effects.some(({ id }) => id === edit.id) ? { ...site, effects: site.effects.filter(({ id }) => id !== edit.id) } : site
    case 'change': {
      const before = site.effects.find(({ id }) => id === edit.id)
      return before ? { ...site, effects: site.effects.map((effect) => (effect === before ? withChange(effect, edit.to) : effect)) } : site
    }
    case 'move': {
      const from = site.effects.findIndex(({ id }) => id === edit.id)
      const effect = site.effects[from]
      const to = Math.min(site.effects.length - 1, Math.max(0, edit.to))
      return !effect || from === to ? site : { ...site, effects: site.effects.toSpliced(from, 1).toSpliced(to, 0, effect) }
    }
    case 'page': {
      const before = site.pages.find(({ id }) => id === edit.id)
      return before ? { ...site, pages: site.pages.map((page) => (page === before ? withChange(page, edit.to) : page)) } : site
    }
    case 'site':
      return withChange(site, edit.to)
  }
}

/** A record with some of its fields changed; a field that is changed to undefined is gone. */
function withChange<T extends object>(before: T, change: Partial<NoInfer<T>>): T {
  const after = { ...before, ...change }
  for (const key of Object.keys(change)) if (after[key as keyof T] === undefined) Reflect.deleteProperty(after, key)
  return after
}
