// Single letters as keys: the choice is kept, and a browser that keeps nothing does no harm.
import { describe, expect, it } from 'vitest'
import { makeLetters } from './letters'

const storageOf = (given: Record<string, string> = {}) => {
  const kept = new Map(Object.entries(given))
  return {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  }
}

describe('single letters', () => {
  it('act from the start, and no more once that is chosen, on the next visit too', () => {
    const storage = storageOf()
    const letters = makeLetters(storage)
    expect(letters.get()).toBe(true)
    letters.set(false)
    expect([letters.get(), makeLetters(storage).get()]).toEqual([false, false])
    letters.set(true)
    expect(makeLetters(storage).get()).toBe(true)
  })

  it('can be turned off for the moment where nothing can be kept', () => {
    const broken = {
      getItem: () => {
        throw new Error('no')
      },
      setItem: () => {
        throw new Error('no')
      },
      removeItem: () => {
        throw new Error('no')
      },
    }
    const letters = makeLetters(broken)
    letters.set(false)
    expect(letters.get()).toBe(false)
  })
})
