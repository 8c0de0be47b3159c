// Recipes are found by what designers call them, here and elsewhere.
import { expect, it } from 'vitest'
import { distance, findRecipes } from './find-recipes'
import { kinds } from './kinds'

const found = (search: string) =>
  findRecipes(kinds, search).map(({ kind: { id }, recipes }) => [id, recipes.map((recipe) => recipe.id)] as const)
const idsFor = (search: string) => found(search).map(([id]) => id)

it('all of them stand there while nothing is typed', () => {
  expect(found('  ')).toEqual(kinds.map(({ id, recipes }) => [id, recipes.map((recipe) => recipe.id)]))
})

it.each([
  ['parallax', 'drift'],
  ['flashlight', 'spotlight'],
  ['Follower', 'follow'],
  ['reveal', 'wash'],
  ['tilt', 'tilt'],
])('%s finds %s', (search, kind) => {
  expect(idsFor(search)).toContain(kind)
})

it('every word counts, and a recipe is found by its own name alone', () => {
  expect(found('heavy SLAB')).toEqual([['tilt', ['heavy']]])
  expect(idsFor('parallax lamp')).toEqual([])
})

it.each([
  ['lens', 'magnifier'],
  ['letter', 'letters'],
  ['tooltip', 'note'],
  ['magnetic button', 'pull'],
  ['accordion', 'spread'],
  ['hover zoom', 'crop'],
  ['before and after', 'wipe'],
  ['cursor', 'cursor'],
  ['mouse trail', 'trail'],
  ['flip card', 'flip'],
])('what is called “%s” comes first: %s', (search, kind) => {
  expect(idsFor(search)[0]).toBe(kind)
})

it.each([
  ['paralax', 'drift'],
  ['spotligth', 'spotlight'],
  ['magnifer', 'magnifier'],
  ['tooltop', 'note'],
  ['acordion', 'spread'],
])('“%s” is understood: %s', (search, kind) => {
  expect(idsFor(search)[0]).toBe(kind)
})

it('words as they are typed go before words that would be misspelt', () => {
  expect(idsFor('note')).not.toContain('rows')
  expect([distance('kitten', 'sitting'), distance('ab', 'ba'), distance('', 'abc')]).toEqual([3, 1, 3])
})
