import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { paced } from './paced'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

const entry = (number: number, value = '') => ({ number, value })

describe('work at a pace of its own', () => {
  it('is done at once, and then the newest of each together', async () => {
    const done: string[][] = []
    const add = paced<ReturnType<typeof entry>>(25, (entries) => void done.push(entries.map(({ number, value }) => `${number}${value}`)))
    add(entry(1, 'a'))
    for (const value of ['b', 'c', 'd']) add(entry(1, value))
    add(entry(2))
    expect(done).toEqual([['1a']])
    await vi.advanceTimersByTimeAsync(25)
    expect(done).toEqual([['1a'], ['1d', '2']])
    await vi.advanceTimersByTimeAsync(100)
    add(entry(3))
    expect(done.at(-1)).toEqual(['3'])
    expect(done).toHaveLength(3)
  })

  it('waits for what is under way', async () => {
    let running = 0
    let most = 0
    const add = paced<ReturnType<typeof entry>>(5, async () => {
      most = Math.max(most, ++running)
      await new Promise((resolve) => setTimeout(resolve, 50))
      running -= 1
    })
    for (let i = 0; i < 10; i++) {
      add(entry(i))
      await vi.advanceTimersByTimeAsync(12)
    }
    expect(most).toBe(1)
  })
})
