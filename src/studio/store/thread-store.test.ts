import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { ThreadSample } from '../../stage/protocol'
import { makeThreadStore, threadMs } from './thread-store'

const sampleAt = (t: number): ThreadSample => ({ t, x: t, y: 0, by: 'real', phase: 'here' })

describe('the thread', () => {
  beforeEach(() => void vi.useFakeTimers({ toFake: ['performance'] }))
  afterEach(() => void vi.useRealTimers())

  it('stays as it was when it was taken hold of, however long it is dragged along', () => {
    const thread = makeThreadStore()
    thread.add([sampleAt(10)], 0)
    thread.stand(true)
    const taken = thread.stood()
    vi.advanceTimersByTime(900)
    thread.add([sampleAt(20)], 0)
    thread.stand(true)
    expect(thread.stood()).toBe(taken)
    expect(taken?.samples).toEqual([sampleAt(10)])
    thread.stand(false)
    expect(thread.stood()).toBeNull()
    thread.stand(true)
    expect(thread.stood()?.at).toBe((taken?.at ?? 0) + 900)
    expect(thread.stood()?.samples).toHaveLength(2)
  })

  it('keeps its last twelve seconds, and one sample from before, by the clock of the studio', () => {
    const thread = makeThreadStore()
    thread.add([sampleAt(0), sampleAt(1000), sampleAt(threadMs + 1500)], 5)
    expect(thread.samples.map(({ t }) => t)).toEqual([1005, threadMs + 1505])
  })
})
