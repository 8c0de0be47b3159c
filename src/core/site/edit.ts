// Edits: described changes of a site that can be inverted, so that everything can be undone.
import type { Effect, Site } from './site'

export type Edit =
  | { readonly do: 'add'; readonly effect: Effect; readonly at: number }
  | { readonly do: 'remove'; readonly id: string }
  | { readonly do: 'change'; readonly id: string; readonly to: Partial<Pick<Effect, 'name' | 'select' | 'noun' | 'settings'>> }
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
      const effects = site.effects.map((effect) => (effect === before ? { ...effect, ...edit.to } : effect))
      const back: Record<string, unknown> = {}
      for (const key of Object.keys(edit.to)) back[key] = before[key as keyof Effect]
      return { site: { ...site, effects }, inverse: { do: 'change', id: edit.id, to: back } }
    }
  }
}
