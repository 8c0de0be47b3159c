// What is chosen while pointing: the selector and the noun that an effect would have.
import { wordOf } from '../../core/export/names'
import type { Studio } from '../context'

/** The selector and the noun of what is chosen on the ladder; undefined while nothing is. */
export function chosenTarget({ view }: Pick<Studio, 'view'>): { readonly select: string; readonly noun: string } | undefined {
  const { rungs, pick, choice, typed, also } = view.get().pointing
  const rung = rungs[pick]
  const chosen = rung?.choices[choice]
  const own = typed ?? chosen?.select
  if (own === undefined || own.trim() === '') return undefined
  const select = [...new Set([...also, own])].join(', ')
  const isOne = typed === null && also.length === 0 && chosen?.count === 1
  return {
    select,
    noun: isOne ? `this ${rung?.noun ?? wordOf(own)}` : also.length > 0 ? `each of ${also.length + 1} kinds` : `each ${wordOf(own)}`,
  }
}

/** The selector of what a recipe is tried on just now; undefined while none is touched. */
export const triedSelect = (studio: Pick<Studio, 'view'>): string | undefined =>
  studio.view.get().trial === null ? undefined : chosenTarget(studio)?.select
