import { describe, expect, it } from 'vitest'
import type { ThreadSample } from '../../stage/protocol'
import { sayPresent } from './draw-thread'
import { phasesOf } from './phases'

const at = (t: number, inside: boolean, phase: ThreadSample['phase'] = 'here'): ThreadSample => ({
  t,
  x: 0,
  y: 0,
  by: 'real',
  phase,
  ...(inside ? { place: { x: 0, y: 0 } } : {}),
})
const times = { followMs: 400, backMs: 600 }

describe('the phases of a thread', () => {
  it('are coming until the effect has followed, then on, going until it is back, then away', () => {
    const samples = [at(0, false), at(1000, true), at(1300, true), at(3000, false), at(3100, false, 'away')]
    expect(phasesOf(samples, 5000, times).filter(({ from }) => from >= 0)).toEqual([
      { phase: 'away', from: 0, until: 1000 },
      { phase: 'coming', from: 1000, until: 1400 },
      { phase: 'on', from: 1400, until: 3000 },
      { phase: 'going', from: 3000, until: 3600 },
      { phase: 'away', from: 3600, until: 5000 },
    ])
  })

  it('turn round midway when the pointer comes back at once', () => {
    const phases = phasesOf([at(0, true), at(100, false), at(200, true)], 300, times).map(({ phase }) => phase)
    expect(phases.slice(-2)).toEqual(['going', 'coming'])
  })

  it('wait to go for as long as the effect stays on, which coming back calls off', () => {
    const phases = phasesOf([at(0, true), at(1000, false), at(1200, true), at(2000, false)], 4000, { ...times, waitMs: 300 })
    expect(phases.filter(({ from }) => from >= 400).map(({ phase, until }) => [phase, until])).toEqual([
      ['waiting to go', 1200],
      ['coming', 1600],
      ['on', 2000],
      ['waiting to go', 2300],
      ['going', 2900],
      ['away', 4000],
    ])
  })

  it('are still once the pointer has stood long enough, and on again when it moves', () => {
    const moved = { ...at(2000, true), x: 40 }
    const phases = phasesOf([at(0, false), at(100, true), moved], 3500, { ...times, stillMs: 1000 })
    expect(phases.slice(-5).map(({ phase, from, until }) => [phase, from, until])).toEqual([
      ['coming', 100, 500],
      ['on', 500, 1100],
      ['still', 1100, 2000],
      ['on', 2000, 3000],
      ['still', 3000, 3500],
    ])
  })

  it('are none before the pointer first came', () => {
    expect(phasesOf([], 100, times)).toEqual([])
  })
})

describe('the present moment in words', () => {
  const sample = (more: object) => ({ t: 100, x: 10, y: 10, by: 'real', phase: 'here', ...more }) as ThreadSample
  const times = { followMs: 0, backMs: 0 }

  it('tells where the pointer is, what the effect does, and which zone it is in, counted from 1', () => {
    expect(sayPresent([sample({ place: { x: 0.5, y: -1 } })], 200, times, 2)).toBe('x 0.75  y 0.00  pointer, on, zone 3')
    expect(sayPresent([sample({ place: { x: 0.5, y: -1 } })], 200, times)).toBe('x 0.75  y 0.00  pointer, on')
    expect(sayPresent([sample({ phase: 'away' })], 200, times, 0)).toBe('The pointer is gone, away, zone 1')
  })
})
