import { describe, expect, it } from 'vitest'
import { goesOn, tellDone } from './versions'

describe('a save', () => {
  const last = { beganAt: 100_000, savedAt: 130_000, window: 'w', name: null }

  it('goes on with the version before it, of the same window and within a pause', () => {
    expect(goesOn(last, 'w', 130_000)).toBe(true)
    expect(goesOn(last, 'w', 149_999)).toBe(true)
    expect(goesOn(last, 'w', 150_000)).toBe(false)
  })

  it('begins another after a stretch, by another window, where the last has a name, or where the clock went back', () => {
    expect(goesOn({ ...last, savedAt: 155_000 }, 'w', 159_999)).toBe(true)
    expect(goesOn({ ...last, savedAt: 155_000 }, 'w', 160_000)).toBe(false)
    expect(goesOn(last, 'v', 131_000)).toBe(false)
    expect(goesOn({ ...last, window: null }, 'w', 131_000)).toBe(false)
    expect(goesOn({ ...last, name: 'Before the launch' }, 'w', 131_000)).toBe(false)
    expect(goesOn(last, 'w', 129_999)).toBe(false)
  })
})

describe('what was done in a stretch', () => {
  it('is told in four words at most, each once, with how many more there are', () => {
    expect(tellDone('', ['a', 'b', 'a'])).toBe('a; b')
    expect(tellDone('a; b; c', ['d', 'e', 'f'])).toBe('a; b; c; d; and 2 more')
    expect(tellDone('a; b; c; d; and 2 more', ['g'])).toBe('a; b; c; d; and 3 more')
  })
})
