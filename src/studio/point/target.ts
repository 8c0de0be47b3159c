// What is chosen while pointing: the selector and the noun that an effect would have.
import { wordOf } from '../../core/export/names'
import type { Studio } from '../context'
import type { LadderRung } from '../store/view-store'

/** The selector and the noun of what is chosen on the ladder, or of another rung by its first choice; undefined while nothing is. */
export function chosenTarget(
  { view }: Pick<Studio, 'view'>,
  other?: number,
): { readonly select: string; readonly noun: string } | undefined {
  const { rungs, pick, choice, typed, also } = view.get().pointing
  const rung = rungs[other ?? pick]
  const chosen = rung?.choices[other === undefined ? choice : 0]
  const own = typed ?? chosen?.select
  if (own === undefined || own.trim() === '') return undefined
  const select = [...new Set([...also, own])].join(', ')
  const isOne = typed === null && also.length === 0 && chosen?.count === 1
  return {
    select,
    noun: isOne ? `this ${rung?.noun ?? wordOf(own)}` : also.length > 0 ? `each of ${also.length + 1} kinds` : `each ${wordOf(own)}`,
  }
}

const words = /^(h[1-6]|p|span|a|em|strong|b|i|small|label|li|blockquote|figcaption|time)\b/
const grounds = /^(section|header|footer|main|article|aside|figure|body)\b/

/**
 * The rung of the box that words stand in, for effects that are about a box: one that is seen as such, or else a part of the page by its
 * tag. Undefined where no words are chosen, or a selector was typed or several places.
 */
export function boxAroundWords({ view }: Pick<Studio, 'view'>): number | undefined {
  const { rungs, pick, typed, also } = view.get().pointing
  if (typed !== null || also.length > 0 || rungs[pick]?.isBox !== false || !words.test(rungs[pick].element)) return undefined
  const around = (is: (rung: LadderRung) => boolean) => rungs.findIndex((rung, i) => i > pick && rung.how === 'wraps' && is(rung))
  const [box, ground] = [around(({ isBox }) => isBox), around(({ element }) => grounds.test(element))]
  return box >= 0 ? box : ground >= 0 ? ground : undefined
}

/** What lies under the element of a rung, about as large as it is: another layer in the same place. */
export function coveredTarget(studio: Pick<Studio, 'view'>, of: number | undefined): ReturnType<typeof chosenTarget> {
  const { rungs, pick, also, typed } = studio.view.get().pointing
  const over = rungs[of ?? pick]
  if (!over || typed !== null || also.length > 0) return undefined
  const isAsLarge = (one: number, other: number) => one >= 0.8 * other && one <= 1.25 * other
  const index = rungs.findIndex(
    ({ how, width, height }) => how === 'covered' && isAsLarge(width, over.width) && isAsLarge(height, over.height),
  )
  return index < 0 ? undefined : chosenTarget(studio, index)
}

/** The selector of what a recipe is tried on just now; undefined while none is touched. */
export const triedSelect = (studio: Pick<Studio, 'view'>): string | undefined =>
  studio.view.get().trial === null ? undefined : chosenTarget(studio)?.select
