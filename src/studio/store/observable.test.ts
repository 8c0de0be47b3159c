// Watched values: parts of them change only when they do.
import { describe, expect, it } from 'vitest'
import { observable, partOf } from './observable'

describe('a part of a watched value', () => {
  const whole = observable({ drawer: 'code', counts: [1], notice: 'saved' })
  const part = partOf(whole, ['drawer', 'counts'])

  it('stays the very same while something else changes', () => {
    const before = part.get()
    whole.set({ ...whole.get(), notice: 'gone' })
    expect(part.get()).toBe(before)
  })

  it('is new once one of its fields changes, and tells all of them as they are', () => {
    const before = part.get()
    whole.set({ ...whole.get(), drawer: 'markup' })
    expect(part.get()).not.toBe(before)
    expect(part.get()).toMatchObject({ drawer: 'markup', counts: [1] })
  })
})
