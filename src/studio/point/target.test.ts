import { describe, expect, it } from 'vitest'
import type { LadderRung } from '../store/view-store'
import { makeViewStore } from '../store/view-store'
import { chosenTarget, holderOf } from './target'

const rung = (noun: string, holds: number, count: number, how: LadderRung['how'] = 'wraps'): LadderRung => ({
  number: 1,
  noun,
  element: 'div',
  isReplaced: false,
  thing: 'box',
  holds,
  words: '',
  how,
  width: 100,
  height: 100,
  isBox: true,
  choices: [
    { how: 'one', select: `#${noun}`, specificity: [1, 0, 0], count: 1, counts: {} },
    ...(count > 1 ? [{ how: 'class' as const, select: `.${noun}`, specificity: [0, 1, 0] as const, count, counts: {} }] : []),
  ],
})

function pointing(rungs: readonly LadderRung[], typed: string | null = null) {
  const view = makeViewStore('page', null, { getItem: () => null, setItem: () => undefined })
  view.update({ pointing: { ...view.get().pointing, stage: 'choosing', rungs, pick: 0, choice: 0, typed } })
  return { view }
}

describe('what holds just so many elements', () => {
  it('is the card around a face, be it that the face holds as many', () => {
    expect(holderOf(pointing([rung('face', 2, 6, 'seen'), rung('card', 2, 3), rung('row', 3, 1)]), 2)).toBe(1)
    expect(holderOf(pointing([rung('face', 3, 6, 'seen'), rung('card', 2, 1)]), 2)).toBe(1)
  })

  it('is the picked one itself where what is around it is one alone, or holds others', () => {
    expect(holderOf(pointing([rung('card', 2, 2, 'seen'), rung('row', 2, 1)]), 2)).toBeUndefined()
    expect(holderOf(pointing([rung('card', 2, 3, 'seen'), rung('row', 3, 1)]), 2)).toBeUndefined()
    expect(holderOf(pointing([rung('face', 3, 3, 'seen'), rung('card', 2, 3)], '.mine'), 2)).toBeUndefined()
  })
})

describe('what is chosen', () => {
  it('is all like one, for what is for several, and one alone otherwise', () => {
    const studio = pointing([rung('card', 2, 3, 'seen')])
    expect(chosenTarget(studio)).toEqual({ select: '#card', noun: 'this card' })
    expect(chosenTarget(studio, undefined, true)).toEqual({ select: '.card', noun: 'each card' })
    // Around so many that are alike there are as many.
    const { view } = pointing([rung('picture', 0, 3, 'seen'), rung('frame', 1, 3)])
    expect(chosenTarget({ view }, 1)).toEqual({ select: '#frame', noun: 'this frame' })
    view.update({ pointing: { ...view.get().pointing, choice: 1 } })
    expect(chosenTarget({ view }, 1)).toEqual({ select: '.frame', noun: 'each frame' })
    expect(chosenTarget(pointing([rung('card', 2, 1, 'seen')]), undefined, true)).toEqual({ select: '#card', noun: 'this card' })
  })
})
