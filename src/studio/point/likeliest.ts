// Which of all that lies under the pointer is most likely meant.
import type { Under } from '../../stage/protocol'
import type { LadderRung } from '../store/view-store'

type Rung = Pick<LadderRung, 'number' | 'how' | 'isReplaced' | 'choices' | 'thing' | 'element'>
type Lying = (rung: Rung | undefined) => Under | undefined

/** From which size on something counts as more than a detail, px. */
const [leastWidth, leastHeight] = [90, 70]

/** Whether something is one thing to a visitor, whatever it stands in: what is pressed, or a cell of a table. */
const isOneThing = ({ thing, element, how }: Rung) =>
  how !== 'hidden' && how !== 'covered' && (thing === 'link' || thing === 'button' || /^(td|th)\b/.test(element))

/**
 * The index of the rung most likely meant: the innermost link, button or cell, where nothing nearer is a box; the nearest box that is plainly seen, such as a card or a button; where none is seen nearer, the
 * nearest of some size that has likes, or what wraps it as often.
 */
export function likeliest(rungs: readonly Rung[], elements: readonly Under[]): number {
  const box = likeliestBox(rungs, elements)
  const thing = rungs.findIndex(isOneThing)
  return thing >= 0 && thing < box ? thing : box
}

/** The same for what is told by its box and its likes alone. */
function likeliestBox(rungs: readonly Rung[], elements: readonly Under[]): number {
  const lying: Lying = (rung) => elements.find(({ number }) => number === rung?.number)
  const [top] = rungs
  // What is as large as the picture in it is the picture's frame.
  const isFrame = (box: Under) => {
    const picture = top?.isReplaced ? lying(top) : undefined
    return picture !== undefined && Math.abs(picture.width - box.width) < 6 && Math.abs(picture.height - box.height) < 6
  }
  const isBox = (rung: Rung) => {
    const box = lying(rung)
    return rung.how !== 'hidden' && rung.how !== 'covered' && box?.isBox === true && !isFrame(box)
  }
  const byLikes = likeliestByLikes(rungs, lying)
  const nearest = rungs.findIndex(isBox)
  if (nearest < 0 || nearest > byLikes) return byLikes
  // A large part of a card that is a box itself, such as its picture, stands for the card; a button on it does not.
  if (!isLarge(lying(rungs[nearest]))) return nearest
  const counts = countsOf(rungs[nearest])
  return rungs.findLastIndex((rung, i) => i === nearest || (i > nearest && isBox(rung) && isAsOften(rung, counts)))
}

/** The nearest of some size that has likes, or what wraps it as often: the card, not its picture. */
function likeliestByLikes(rungs: readonly Rung[], lying: Lying): number {
  const nearest = rungs.findIndex((rung) => rung.how !== 'hidden' && countsOf(rung).length > 0 && isLarge(lying(rung)))
  const firstBox = rungs.findIndex((rung) => lying(rung)?.isBox)
  if (nearest < 0) return Math.max(0, firstBox)
  const counts = countsOf(rungs[nearest])
  return rungs.findLastIndex((rung, i) => i === nearest || (i > nearest && rung.how === 'wraps' && isAsOften(rung, counts)))
}

/** How many elements choices match, of those that match several. */
const countsOf = (rung: Rung | undefined): readonly number[] =>
  rung?.choices.filter(({ count }) => count > 1).map(({ count }) => count) ?? []

/** Whether the first choice of several is of as many. */
const isAsOften = (rung: Rung, counts: readonly number[]) =>
  countsOf(rung)
    .slice(0, 1)
    .some((count) => counts.includes(count))

const isLarge = (box: Under | undefined) => (box?.width ?? 0) >= leastWidth && (box?.height ?? 0) >= leastHeight
