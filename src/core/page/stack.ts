// Two elements of a page in one place: an element around both of them, in which they lie over each other.
import { addCssOnce, applyMarkup, MarkupError } from './markup'
import { elementsOf, parentOf, readTree } from './tree'

export const stackCss = '.stacked { display: grid; }\n.stacked > * { grid-area: 1 / 1; }\n'

/** Whether two elements of a source, by their numbers, stand in one element. */
export function standTogether(source: string, one: number, other: number): boolean {
  const all = elementsOf(readTree(source))
  const [first, second] = [all[one], all[other]]
  return first !== undefined && second !== undefined && parentOf(first) === parentOf(second)
}

/** The source with an element around the front, and the back in it before that. Throws a MarkupError where one lies in the other. */
export function stack(source: string, front: number, back: number): string {
  const all = elementsOf(readTree(source))
  for (const [one, other] of [
    [all[front], all[back]],
    [all[back], all[front]],
  ])
    for (let each = one && parentOf(one); each; each = parentOf(each))
      if (each === other) throw new MarkupError('One of the two lies in the other, so they cannot be laid over each other.')
  const wrapped = applyMarkup(source, { do: 'wrap', at: front, open: '<div class="stacked">', close: '</div>' })
  // One element more stands before what comes after it; the back is moved to before the front.
  const [at, to] = [back > front ? back + 1 : back, front + 1]
  return addCssOnce(applyMarkup(wrapped, { do: 'move', at, to, where: 'before' }), stackCss)
}
