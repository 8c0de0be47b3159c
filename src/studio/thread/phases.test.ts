import { describe, expect, it } from 'vitest'
import type { ThreadSample } from '../../stage/protocol'
import { phasesOf } from './phases'

const at = (t: number, inside: boolean, phase: ThreadSample['phase'] = 'here'): ThreadSample => ({ t, x: 0, y: 0, by: 'hand', phase, ...(inside ? { place: { x: 0, y: 0 } } : {}) })
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

  it('are none before the pointer first came', () => {
    expect(phasesOf([], 100, times)).toEqual([])
  })
})
