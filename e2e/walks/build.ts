// A walk in a line or two: an element that is pointed at, a recipe that is chosen, and what is read of the page then.
import { eventually } from '../support/house'
import { moveTo, styleOf } from '../support/readings'
import type { Moment, Taken, Walk, Walking } from '../support/walk'

/** What is read at a moment: a property of an element, and what it is to be. */
export interface Reading {
  /** At the first moment, at the second, or before the pointer came. */
  readonly at: 0 | 1 | 'first'
  readonly select: string
  readonly index?: number
  readonly property: string
  /** A text as it is computed, or a pattern of it. */
  readonly is: string | RegExp
}

interface Given extends Omit<Walk, 'walk' | 'check' | 'acts' | 'starters'> {
  readonly starter: string
  /** What is pointed at, and where in its box. */
  readonly on: readonly [select: string, u?: number, v?: number]
  /** Which of what that may mean, where it is not the first. */
  readonly all?: RegExp
  readonly recipe: RegExp
  /** What is done after that. */
  readonly then?: (walking: Walking) => Promise<void>
  readonly acts?: number
  readonly reads?: readonly Reading[]
  /** What is looked at besides. */
  readonly check?: (taken: Taken) => Promise<void>
}

/** Brings the pointer to a moment. */
async function bring({ alone }: Taken, { on, index = 0, u = 0.5, v = 0.5, isPressed }: Moment): Promise<void> {
  if (on === undefined) await alone.mouse.move(3, 3)
  else await moveTo(alone, on, { index, u, v })
  if (isPressed) await alone.mouse.down()
}

async function read({ alone }: Taken, { select, index, property, is }: Reading): Promise<void> {
  const asked = () => styleOf(alone, select, property, index)
  if (typeof is === 'string') await eventually(asked).toBe(is)
  else await eventually(asked).toMatch(is)
}

export const recipeWalk = ({
  starter,
  on: [select, u, v],
  all,
  recipe,
  then,
  acts = all ? 3 : 2,
  reads = [],
  check,
  ...walk
}: Given): Walk => ({
  ...walk,
  acts,
  starters: [starter],
  walk: async (walking) => {
    const { hand, frame } = walking
    await hand.pointAt(frame, select, u, v)
    if (all) await hand.clickOn(all)
    await hand.clickOn(recipe)
    await then?.(walking)
  },
  check: async (taken) => {
    for (const reading of reads.filter(({ at }) => at === 'first')) await read(taken, reading)
    for (const at of [0, 1] as const) {
      const here = reads.filter((reading) => reading.at === at)
      if (here.length > 0) await bring(taken, walk.moments[at])
      for (const reading of here) await read(taken, reading)
      if (walk.moments[at].isPressed) await taken.alone.mouse.up()
    }
    await check?.(taken)
  },
})
