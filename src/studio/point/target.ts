// What is chosen while pointing: the selector and the noun that an effect would have.
import { standsInside } from '../../core/effect/inside'
import type { Recipe } from '../../core/effect/kind'
import type { AnyKind } from '../../core/effect/kinds'
import { wordOf } from '../../core/export/names'
import type { Studio } from '../context'
import type { LadderRung } from '../store/view-store'

/**
 * The selector and the noun of what is chosen on the ladder, or of another rung by its first choice; undefined while nothing is. Where it is one
 * element alone and `wantsSeveral`, it is all that are like it: as many as that says, where there are just so many.
 */
export function chosenTarget(
  { view }: Pick<Studio, 'view'>,
  other?: number,
  wantsSeveral: boolean | number = false,
): { readonly select: string; readonly noun: string } | undefined {
  const { rungs, pick, choice, typed, also } = view.get().pointing
  const rung = rungs[other ?? pick]
  // Around so many that are alike there are as many.
  const alike = rungs[pick]?.choices[choice]?.count ?? 1
  const first =
    rung?.choices[
      other === undefined
        ? choice
        : Math.max(
            0,
            rung.choices.findIndex(({ count }) => count === alike),
          )
    ]
  const several = rung?.choices.filter(({ count }) => count > 1) ?? []
  const likes = several.find(({ count }) => count === wantsSeveral) ?? several[0]
  const chosen = (wantsSeveral !== false && first?.count === 1 && also.length === 0 && likes) || first
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

/**
 * The rung of what holds just so many elements, for effects that are about that: the one around what is picked, where there are several like it
 * or the picked one is none itself. Undefined where it is the picked one, where none is, or where a selector was typed or several places.
 */
export function holderOf({ view }: Pick<Studio, 'view'>, count: number): number | undefined {
  const { rungs, pick, typed, also } = view.get().pointing
  if (typed !== null || also.length > 0) return undefined
  const around = rungs.findIndex(({ how }, i) => i > pick && how === 'wraps')
  const holder = rungs[around]
  if (holder?.holds !== count) return undefined
  return rungs[pick]?.holds !== count || holder.choices.some((choice) => choice.count > 1) ? around : undefined
}

/** The rung around a picture or the like, for effects that stand in their element. Undefined where nothing of the kind is picked. */
function aroundReplaced({ view }: Pick<Studio, 'view'>): number | undefined {
  const { rungs, pick, choice, typed, also } = view.get().pointing
  if (typed !== null || also.length > 0 || !rungs[pick]?.isReplaced || rungs[pick].choices[choice]?.how === 'picture') return undefined
  const around = rungs.findIndex(({ how }, i) => i > pick && how === 'wraps')
  return around < 0 ? undefined : around
}

/** The rung that what a recipe of a kind makes is about, where it is not the picked one. */
export function meantRung(
  studio: Pick<Studio, 'view'>,
  kind: AnyKind | undefined,
  recipe: Recipe<unknown> | undefined,
): number | undefined {
  const around = kind && recipe && standsInside(kind, recipe) ? aroundReplaced(studio) : undefined
  if (around !== undefined) return around
  if (kind?.wantsHolder !== undefined) return holderOf(studio, kind.wantsHolder)
  return kind?.wantsBox ? boxAroundWords(studio) : undefined
}

/** Another layer in the place of the element of a rung, about as large as it is: one that it covers, or that is not seen there. */
export function coveredTarget(studio: Pick<Studio, 'view'>, of: number | undefined): ReturnType<typeof chosenTarget> {
  const { rungs, pick, also, typed } = studio.view.get().pointing
  const over = rungs[of ?? pick]
  if (!over || typed !== null || also.length > 0) return undefined
  const isAsLarge = (one: number, other: number) => one >= 0.8 * other && one <= 1.25 * other
  const index = rungs.findIndex(
    ({ how, width, height }) => (how === 'covered' || how === 'hidden') && isAsLarge(width, over.width) && isAsLarge(height, over.height),
  )
  return index < 0 ? undefined : chosenTarget(studio, index)
}

/** The selector of what a recipe is tried on just now; undefined while none is touched. */
export const triedSelect = (studio: Pick<Studio, 'view'>): string | undefined =>
  studio.view.get().trial === null ? undefined : chosenTarget(studio)?.select
