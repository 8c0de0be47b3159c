import { describe, expect, it } from 'vitest'
import { plainFacts } from '../../compile/facts'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { expandPull } from './expand'
import { pull } from './index'
import { pullDefaults, type PullSettings } from './settings'

const rigOf = (changes: Partial<PullSettings> = {}, inner?: string) =>
  expandPull({ ...pullDefaults, ...changes }, '.key', inner === undefined ? {} : { inner })
const sheetOf = (changes: Partial<PullSettings> = {}, inner?: string) =>
  writeStylesheet([{ number: 1, names: { title: 'a pull', name: 'key' }, rig: rigOf(changes, inner), sentence: '' }], [], plainFacts)

describe('a pull', () => {
  it('goes its share of the way from the middle, and no further than it may', () => {
    const { channels, areas } = rigOf({ sharePercent: 40, mostPx: 20, reachPx: 30 })
    expect(areas[0]?.insets?.left).toEqual({ value: -30, unit: 'px' })
    expect(channels.map(({ signal }) => signal)).toEqual([
      { of: 'xPx', from: 'centre' },
      { of: 'yPx', from: 'centre' },
    ])
    // At 50 px of the way it is at 20 px, and stays there.
    expect(channels[0]?.curve).toEqual({
      stops: [
        { at: -50, value: -50 },
        { at: 50, value: 50 },
      ],
    })
    expect(sheetOf({ sharePercent: 40 })).toContain('--key-share: 0.4;')
  })

  it('leaves a place to press it where it was', () => {
    expect(sheetOf({ keepsPx: 24 })).toContain(
      'translateX(clamp(min(24px - 100%, -40%), var(--key-share) * var(--key-x), max(100% - 24px, 40%)))',
    )
    expect(sheetOf({ keepsPx: 0 })).not.toContain('clamp(')
  })

  it('moves what it holds further, where something is', () => {
    expect(rigOf({}, '.key b').outputs.filter(({ to }) => to !== 'self')).toHaveLength(2)
    expect(rigOf({ innerPercent: 0 }, '.key b').outputs).toHaveLength(2)
    expect(rigOf().outputs).toHaveLength(2)
    expect(rigOf().knobs.map(({ id }) => id)).toEqual(['share'])
  })

  it('goes home by a feel of its own where it has one, and stays at home with no share', () => {
    const back = { kind: 'spring', frequencyHz: 1, dampingRatio: 0.4 } as const
    expect(rigOf({ back }).channels[0]?.going).toEqual(back)
    expect(rigOf().channels[0]?.going).toBeUndefined()
    expect(() => readRig(rigOf({ sharePercent: 0, mostPx: 300 }, '.key b'))).not.toThrow()
  })

  it('refuses a share beyond the pointer, and a target kept of what does not slide', () => {
    expect(pull.settings.safeParse({ ...pullDefaults, sharePercent: 110 }).success).toBe(false)
    const rig = rigOf()
    const turned = { ...rig, outputs: [{ ...rig.outputs[0], slot: { on: 'opacity' } }] }
    expect(() => readRig(turned)).toThrow(/translation across or down/)
  })
})
