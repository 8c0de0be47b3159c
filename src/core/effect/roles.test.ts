import { describe, expect, it } from 'vitest'
import { touchedBy } from '../rig/resolve'
import { expandEffect, kinds } from './kinds'
import { relativeToMatches, rolesInside, selectOfRole } from './roles'

const recipes = kinds.flatMap((kind) =>
  kind.recipes.map((recipe) => ({
    name: `${kind.id}, ${recipe.id}`,
    kind: kind.id,
    roles: rolesInside(recipe.roles),
    settings: recipe.settings as unknown,
  })),
)

describe('a role within the matches', () => {
  it.each([
    ['.card', '.card img', '& img'],
    ['.card', '.card > img', '& > img'],
    ['a, b', ':is(a, b) img', '& img'],
    ['.card', '.card', '&'],
    ['.card', '.cards img', '.cards img'],
    // Only its first selector lies in the card.
    ['.card', '.card img, .other', '.card img, .other'],
    ['.card', '.card :is(img, video)', '& :is(img, video)'],
    ['.card', 'img', 'img'],
  ])('on %s, %s is kept as %s', (own, select, kept) => {
    expect(relativeToMatches(own, select)).toBe(kept)
    expect(selectOfRole(own, kept)).toBe(select)
  })

  it('goes with its effect', () => {
    expect(selectOfRole('.other', '& > img')).toBe('.other > img')
    expect(selectOfRole('.other', '& img, & > video')).toBe('.other img, .other > video')
    expect(selectOfRole('a, b', '& ~ .note')).toBe(':is(a, b) ~ .note')
  })
})

describe.each(recipes)('$name', ({ kind, roles, settings }) => {
  it('works on all matches after it was chosen for one of them', () => {
    const one = { kind, settings, select: '.card:nth-child(1)', roles }
    const { read, written } = touchedBy(expandEffect({ ...one, select: '.card' }))
    expect([...read, ...written].join()).not.toContain('nth-child(1) ')
    const ofOne = touchedBy(expandEffect(one))
    expect([...ofOne.read, ...ofOne.written].map((select) => select.replaceAll('.card:nth-child(1)', '.card'))).toEqual([
      ...read,
      ...written,
    ])
  })
})
