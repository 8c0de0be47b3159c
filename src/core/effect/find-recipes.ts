// Recipes by what is typed: their own words, the trade name of their kind, what it does, its family, and what people call such an effect
// otherwise. What fits best comes first; where nothing has the words as they are typed, words that are misspelt count.
import type { Recipe } from './kind'
import type { AnyKind } from './kinds'

export interface FoundRecipes {
  readonly kind: AnyKind
  readonly recipes: readonly Recipe<unknown>[]
}

/** A text with how much it counts that a word is in it. */
type Told = readonly [text: string, weight: number]

/** How many letters of a word may be otherwise, left out or too many. */
const slips = (word: string) => (word.length < 4 ? 0 : word.length < 8 ? 1 : 2)

/** The kinds with those of their recipes that have every word of a search, what fits best first; all of them, in their own order, where nothing is typed. */
export function findRecipes(kinds: readonly AnyKind[], search: string): readonly FoundRecipes[] {
  const phrase = search.toLowerCase().split(/\s+/).filter(Boolean).join(' ')
  if (phrase === '') return kinds.map((kind) => ({ kind, recipes: kind.recipes }))
  const plain = found(kinds, phrase, wordIn)
  return plain.length > 0 ? plain : found(kinds, phrase, (word, text) => wordIn(word, text) || misspeltIn(word, text))
}

function found(kinds: readonly AnyKind[], phrase: string, fits: (word: string, text: string) => number): readonly FoundRecipes[] {
  const scored = kinds.flatMap((kind) => {
    const ofKind: readonly Told[] = [
      [kind.title, 40],
      ...kind.alsoCalled.map((name): Told => [name, 30]),
      [kind.does, 12],
      [kind.family.title, 10],
    ]
    const asWhole = Math.max(...[kind.title, ...kind.alsoCalled].map((name) => wholeScore(phrase, name)))
    const recipes = kind.recipes.flatMap((recipe) => {
      const told: readonly Told[] = [[recipe.title, 40], [recipe.need, 12], ...ofKind]
      const scores = phrase.split(' ').map((word) => Math.max(...told.map(([text, weight]) => weight * fits(word, text.toLowerCase()))))
      if (scores.some((score) => score === 0)) return []
      return [{ recipe, score: scores.reduce((sum, score) => sum + score, 0) + wholeScore(phrase, recipe.title) }]
    })
    if (recipes.length === 0) return []
    const ordered = [...recipes].sort((a, b) => b.score - a.score)
    return [{ kind, recipes: ordered.map(({ recipe }) => recipe), score: asWhole + (ordered[0]?.score ?? 0) }]
  })
  return scored.sort((a, b) => b.score - a.score).map(({ kind, recipes }) => ({ kind, recipes }))
}

/** What it counts that a name is just what was typed, or begins so. */
function wholeScore(phrase: string, name: string): number {
  const text = name.toLowerCase()
  return text === phrase ? 200 : text.startsWith(phrase) ? 60 : 0
}

const wordsOf = (text: string) => text.split(/[^\p{L}\p{N}]+/u)

/** How well a word stands in a text: as a word of it, as the beginning of one, or somewhere in one; 0 where it does not. */
function wordIn(word: string, text: string): number {
  const words = wordsOf(text)
  if (words.includes(word)) return 1
  if (words.some((each) => each.startsWith(word))) return 0.8
  return text.includes(word) ? 0.4 : 0
}

/** Whether a word of the text, or the beginning of one, is the same but for a slip or two. */
function misspeltIn(word: string, text: string): number {
  const most = slips(word)
  return most > 0 && wordsOf(text).some((each) => each.length > 2 && distance(word, each) <= most) ? 0.2 : 0
}

/** How many letters have to be put in, left out, replaced or swapped with their neighbour (optimal string alignment). */
export function distance(one: string, other: string): number {
  let before: number[] = []
  let last = Array.from({ length: other.length + 1 }, (_, i) => i)
  for (let i = 1; i <= one.length; i++) {
    const row = [i]
    for (let j = 1; j <= other.length; j++) {
      const isSame = one[i - 1] === other[j - 1]
      const least = Math.min((row[j - 1] ?? 0) + 1, (last[j] ?? 0) + 1, (last[j - 1] ?? 0) + (isSame ? 0 : 1))
      const isSwapped = i > 1 && j > 1 && one[i - 1] === other[j - 2] && one[i - 2] === other[j - 1]
      row.push(isSwapped ? Math.min(least, (before[j - 2] ?? 0) + 1) : least)
    }
    before = last
    last = row
  }
  return last[other.length] ?? 0
}
