import { expect, it } from 'vitest'
import { covering } from './covering'

it('keeps what brings something new, and as many of each as are asked for', () => {
  const words = ['ab', 'a', 'b', 'bc', 'abc', 'd']
  expect(covering(words, (word) => [...word])).toEqual(['ab', 'bc', 'd'])
  expect(covering(words, (word) => [...word], 2)).toEqual(['ab', 'a', 'b', 'bc', 'abc', 'd'])
})
