import { describe, expect, it } from 'vitest'
import { standsInside } from './inside'
import { findKind } from './kinds'

const asked = (kindId: string, recipeId: string) => {
  const kind = findKind(kindId)
  const recipe = kind?.recipes.find(({ id }) => id === recipeId)
  if (!kind || !recipe) throw new Error(`There is no recipe ${recipeId} of ${kindId}.`)
  return standsInside(kind, recipe)
}

describe('what has to stand in its element', () => {
  it.each([
    ['spotlight', 'hand-lamp'],
    ['glow', 'near-the-lamp'],
    ['grain-light', 'dusk-wall'],
    ['magnifier', 'hand-lens'],
    ['drift', 'window'],
    ['tilt', 'under-glass'],
  ])('%s by %s does: a picture has no room for it', (kind, recipe) => expect(asked(kind, recipe)).toBe(true))

  it.each([
    ['tilt', 'give-way'],
    ['follow', 'come-along'],
    ['pull', 'drawn-near'],
    ['note', 'comes-up'],
    ['wash', 'dusk-from-below'],
    ['crop', 'even-mount'],
    ['hover-look', 'sprung'],
    ['wipe', 'two-sides'],
  ])('%s by %s does not, or knows what to do on a picture', (kind, recipe) => expect(asked(kind, recipe)).toBe(false))
})
