// What a browser remembers of how its designer works.
import { expect, it } from 'vitest'
import { foldedAtFirst } from '../../core/effect/sections'
import { keepHabits, readHabits, withLately } from './habits'

const storageWith = (text: string | null) => {
  const kept = { text }
  return { kept, getItem: () => kept.text, setItem: (_: string, next: string) => void (kept.text = next) }
}

it('is read again as it was kept', () => {
  const storage = storageWith(null)
  const habits = { ...readHabits(storage), folded: ['Light' as const], panels: { code: 620 }, lately: ['tilt/heavy'], listStays: true }
  keepHabits(storage, habits)
  expect(readHabits(storage)).toEqual(habits)
})

it.each([null, '', 'no JSON', '3', 'null', '{"folded":["Nothing"],"panels":{"code":1e9},"lately":7,"listStays":"yes"}'])(
  'is as at first where it cannot be read: %s',
  (text) => {
    expect(readHabits(storageWith(text))).toEqual({ folded: foldedAtFirst, panels: {}, lately: [], listStays: false })
  },
)

it('is for the visit where nothing can be kept', () => {
  const refuses = () => {
    throw new Error('It is full.')
  }
  expect(() => keepHabits({ getItem: refuses, setItem: refuses }, readHabits({ getItem: refuses, setItem: refuses }))).not.toThrow()
})

it('has the recipe that was used last first, each once, and not too many', () => {
  const all = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'b'].reduce<string[]>((lately, name) => withLately(lately, name), [])
  expect(all).toEqual(['b', 'g', 'f', 'e', 'd', 'c'])
})
