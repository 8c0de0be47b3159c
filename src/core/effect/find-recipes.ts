// Recipes by what is typed: their own words, the trade name of their kind, its family, and what people call such an effect otherwise.
import type { Recipe } from './kind'
import type { AnyKind } from './kinds'

export interface FoundRecipes {
  readonly kind: AnyKind
  readonly recipes: readonly Recipe<unknown>[]
}

/** The kinds with those of their recipes that have every word of a search; all of them where nothing is typed. */
export function findRecipes(kinds: readonly AnyKind[], search: string): readonly FoundRecipes[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean)
  return kinds.flatMap((kind) => {
    const ofKind = [kind.title, kind.family.title, ...kind.alsoCalled].join(' ').toLowerCase()
    const recipes = kind.recipes.filter(({ title, need }) => {
      const all = `${title} ${need} ${ofKind}`.toLowerCase()
      return words.every((word) => all.includes(word))
    })
    return recipes.length > 0 ? [{ kind, recipes }] : []
  })
}
