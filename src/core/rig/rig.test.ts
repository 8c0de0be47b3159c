import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { expandTilt } from '../effect/tilt/expand'
import { tiltDefaults, type TiltSettings } from '../effect/tilt/settings'
import type { Sample } from '../signal/sample'
import { claimPoint } from './claim'
import { evaluate, transformOf } from './evaluate'
import { rigSchema } from './schema'

const box = { x: 100, y: 100, width: 200, height: 100 }
const at = (t: number, x: number, y: number, change: Partial<Sample> = {}): Sample => ({ t, x, y, buttons: 0, pointerType: 'mouse', phase: 'move', ...change })
const rigOf = (change: Partial<TiltSettings> = {}) => expandTilt({ ...tiltDefaults, ...change }, '.card')
const channelsAt = (trace: readonly Sample[], t: number, change: Partial<TiltSettings> = {}) => evaluate(rigOf(change), trace, [box], [t])[0]?.channels[0] ?? []
const late = 100_000

describe('a tilt, evaluated', () => {
  it.each([
    ['the left edge', 100, 150, 'perspective(820px) rotateX(0deg) rotateY(-9deg)'],
    ['the right edge', 300, 150, 'perspective(820px) rotateX(0deg) rotateY(9deg)'],
    ['the upper left corner', 100, 100, 'perspective(820px) rotateX(9deg) rotateY(-9deg)'],
    ['the lower right corner', 300, 200, 'perspective(820px) rotateX(-9deg) rotateY(9deg)'],
    ['the centre', 200, 150, 'perspective(820px) rotateX(0deg) rotateY(0deg)'],
    ['a place outside', 310, 150, 'perspective(820px) rotateX(0deg) rotateY(0deg)'],
  ])('leans by its angle with the pointer at rest on %s', (_, x, y, transform) => {
    expect(transformOf(rigOf(), channelsAt([at(0, 200, 150), at(20, x, y)], late)).replaceAll('-0deg', '0deg')).toBe(transform)
  })

  it('leans the other way when the edge rises', () => {
    expect(transformOf(rigOf({ edge: 'rises' }), channelsAt([at(0, 300, 100)], late))).toBe('perspective(820px) rotateX(-9deg) rotateY(-9deg)')
  })

  it('lies at its away pose before the pointer comes and after it leaves, or holds', () => {
    const trace = [at(100, 300, 150), at(600, 300, 150, { phase: 'leave' })]
    const pose = { x: -0.5, y: 0.25 }
    expect(channelsAt(trace, 0, { pose })).toEqual([-0.5, 0.25])
    expect(channelsAt(trace, late, { pose })).toEqual([-0.5, 0.25])
    expect(channelsAt(trace, late, { pose, away: 'hold' })).toEqual([1, 0])
  })

  it('goes back by the feel for going, where there is one', () => {
    const back = { kind: 'spring', frequencyHz: 0.4, dampingRatio: 1 } as const
    const trace = [at(0, 300, 150), at(2000, 300, 150, { phase: 'leave' })]
    expect(channelsAt(trace, 2300)[0]).toBeLessThan(0.2)
    expect(channelsAt(trace, 2300, { back })[0]).toBeGreaterThan(0.7)
  })

  it('is lifted while the pointer is there, in its times to come and to go', () => {
    const change = { liftPx: 40, comeMs: 100, goMs: 200 }
    const trace = [at(0, 200, 150), at(1000, 200, 150, { phase: 'leave' })]
    const here = (t: number) => channelsAt(trace, t, change)[2] ?? NaN
    expect([here(0), here(100), here(1000), here(1200)]).toEqual([0, 1, 1, 0])
    expect(here(50)).toBeGreaterThan(0.5)
    expect(transformOf(rigOf(change), channelsAt(trace, 500, change))).toContain('translateZ(40px)')
  })

  it('takes no notice of a finger', () => {
    expect(channelsAt([at(0, 300, 100, { pointerType: 'touch' })], late)).toEqual([0, 0])
  })

  it('has the same values at common moments for any frame rate', () => {
    const traces = fc.array(fc.record({ gap: fc.double({ min: 0, max: 120, noNaN: true }), x: fc.double({ min: 50, max: 350, noNaN: true }), y: fc.double({ min: 50, max: 250, noNaN: true }), leave: fc.boolean() }), { minLength: 1, maxLength: 30 })
    fc.assert(
      fc.property(traces, fc.constantFrom(24, 30, 60, 144, 240), (steps, fps) => {
        let t = 0
        const trace = steps.map(({ gap, x, y, leave }) => at((t += gap), x, y, leave ? { phase: 'leave' } : {}))
        const moments = [300, 700, 1500, 2500]
        const frames = Array.from({ length: Math.ceil(2.5 * fps) }, (_, i) => (i * 1000) / fps)
        const rig = rigOf({ liftPx: 20 })
        const rare = evaluate(rig, trace, [box], moments)
        const often = evaluate(rig, trace, [box], [...new Set([...frames, ...moments])].sort((a, b) => a - b)).filter(({ t: moment }) => moments.includes(moment))
        expect(often).toEqual(rare)
      }),
    )
  })

  it('never makes a value that is not finite, whatever the boxes and the pointer', () => {
    const wild = fc.oneof(fc.constantFrom(0, 1e9, -1e9, NaN, Infinity), fc.double({ min: -500, max: 500, noNaN: true }))
    fc.assert(
      fc.property(fc.array(fc.tuple(wild, wild), { minLength: 1, maxLength: 8 }), wild, wild, (points, width, height) => {
        const trace = points.map(([x, y], i) => at(i * 30, x, y))
        const moments = evaluate(rigOf({ growPercent: 10 }), trace, [{ x: 0, y: 0, width, height }], [0, 50, 100, 1000])
        expect(moments.flatMap(({ channels }) => channels.flat()).every(Number.isFinite)).toBe(true)
      }),
    )
  })
})

describe('the pointer between boxes', () => {
  const boxes = [{ box: { x: 0, y: 0, width: 100, height: 100 } }, { box: { x: 80, y: 0, width: 100, height: 100 } }]
  const nothingForeign = () => false

  it('belongs to the box that was hit, else to the one that had it, else to the one painted last', () => {
    expect(claimPoint(boxes, 0, 1, 90, 50, nothingForeign)).toBe(0)
    expect(claimPoint(boxes, -1, 0, 90, 50, nothingForeign)).toBe(0)
    expect(claimPoint(boxes, -1, -1, 90, 50, nothingForeign)).toBe(1)
    expect(claimPoint(boxes, 1, 1, 20, 50, nothingForeign)).toBe(0)
    expect(claimPoint(boxes, -1, 0, 300, 50, nothingForeign)).toBe(-1)
  })

  it('belongs to none that something foreign covers', () => {
    expect(claimPoint(boxes, -1, 0, 90, 50, () => true)).toBe(-1)
    expect(claimPoint(boxes, -1, 0, 90, 50, (index) => index === 0)).toBe(1)
  })
})

describe('a rig at the border', () => {
  const rig = rigOf({ liftPx: 10 })
  const messageOf = (change: (draft: Record<string, unknown>) => void) => {
    const draft = structuredClone(rig) as unknown as Record<string, unknown>
    change(draft)
    const issue = rigSchema.safeParse(draft).error?.issues[0]
    return issue && `${issue.path.join('.')}: ${issue.message}`
  }

  it('passes as a kind makes it', () => {
    expect(rigSchema.parse(rig)).toEqual(rig)
  })

  it('is refused with the place and the reason', () => {
    expect(messageOf((draft) => Object.assign(draft, { outputs: [{ ...rig.outputs[0], knob: 'depth' }] }))).toBe('outputs.0.knob: there is no knob "depth"')
    expect(messageOf((draft) => Object.assign(draft, { outputs: [{ ...rig.outputs[1], channel: 'z' }] }))).toBe('outputs.0.channel: there is no channel "z"')
    expect(messageOf((draft) => Object.assign(draft, { channels: [{ ...rig.channels[0], curve: { stops: [{ at: 0, value: 0 }] } }] }))).toBe('channels.0.curve.stops: a curve needs two stops at least')
    expect(messageOf((draft) => Object.assign(draft, { channels: [{ ...rig.channels[0], curve: { stops: [{ at: 1, value: 0 }, { at: 0, value: 1 }] } }] }))).toBe('channels.0.curve: the stops of a curve rise from each to the next')
    expect(messageOf((draft) => Object.assign(draft, { channels: [{ ...rig.channels[2], feel: { kind: 'timed', durationMs: 5, easing: 'jump', delayMs: 0 } }] }))).toMatch(/^channels\.0\.feel\.easing: is not an easing/)
    expect(messageOf((draft) => Object.assign(draft, { channels: [{ ...rig.channels[0], signal: 'mood' }] }))).toMatch(/^channels\.0\.signal: /)
  })
})
