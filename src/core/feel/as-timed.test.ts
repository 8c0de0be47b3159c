import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { linearThrough } from '../curve/linear-through'
import { parseEasing } from '../curve/easing'
import { springAsTimed } from './as-timed'
import { springFor } from './spring-answer'
import { springGap } from './spring'

describe('a spring as a transition', () => {
  it('is within half a percent of the closed form at every moment, and takes a spring’s whole time', () => {
    fc.assert(
      fc.property(fc.double({ min: 40, max: 4000, noNaN: true }), fc.double({ min: 0, max: 0.6, noNaN: true }), (settleMs, overshoot) => {
        const { durationMs, easing } = springAsTimed({ settleMs, overshoot })
        const ease = parseEasing(easing)
        const spring = springFor({ settleMs, overshoot })
        expect(ease).toBeDefined()
        const apart = Array.from({ length: 1001 }, (_, i) =>
          Math.abs((ease?.(i / 1000) ?? 0) - 1 - springGap(spring, -1, 0, (i / 1000) * durationMs)),
        )
        expect(Math.max(...apart)).toBeLessThan(0.005)
        // After that it stays within a thousandth.
        for (const more of [1, 1.1, 1.5]) expect(Math.abs(springGap(spring, -1, 0, durationMs * more + 1))).toBeLessThan(0.001)
      }),
      { numRuns: 200 },
    )
  })

  it('says it in few words', () => {
    expect(springAsTimed({ settleMs: 480, overshoot: 0.18 }).easing.split(',').length).toBeLessThan(30)
    expect(linearThrough((share) => share, 0.003)).toBe('linear(0, 1)')
  })
})
