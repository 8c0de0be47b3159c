import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { tilt } from '../effect/tilt'
import { tiltDefaults } from '../effect/tilt/settings'
import type { Feel } from '../feel/feel'
import { answerOf } from '../feel/spring-answer'
import type { Sample } from '../signal/sample'
import { answerTo } from './compare'
import { readTrace } from './csv'
import { keepTrace, mostCsv, readTraceFile, writeTraceJson } from './kept'
import { makeRun, runNames } from './runs'

const box = { x: 100, y: 100, width: 200, height: 120 }
const window = { width: 1000, height: 700 }
const holds = ({ x, y }: Sample) => x >= box.x && x <= box.x + box.width && y >= box.y && y <= box.y + box.height

describe('a trace with more than a pointer', () => {
  it('keeps wheel, fingers and keys as CSV and as JSON, and says what is missing', () => {
    const rest = { x: 4, y: 5, buttons: 0, pointerType: 'mouse' as const }
    const samples: readonly Sample[] = [
      { t: 0, ...rest, phase: 'move' },
      { t: 1, ...rest, phase: 'wheel', by: -33 },
      { t: 2, ...rest, phase: 'pinch', by: 1.25 },
      { t: 3, ...rest, phase: 'key', key: 'ArrowLeft' },
    ]
    expect(readTrace(keepTrace(samples))).toEqual(samples)
    expect(readTraceFile(writeTraceJson(samples))).toEqual(samples)
    expect(() => readTrace('t,x,y,buttons,phase\n0,0,0,0,wheel\n')).toThrow('Line 2 of the trace: "" is no number for by.')
    expect(() => readTrace('t,x,y,buttons,phase,key\n0,0,0,0,key,F1\n')).toThrow(/key is one of Escape, ArrowLeft/)
  })
})

describe('the built-in runs', () => {
  it.each(runNames)('%s: samples in order of time, in the window, over the box', (name) => {
    const run = makeRun(name, box, window)
    expect(run.some(holds)).toBe(true)
    run.forEach((sample, i) => {
      expect(sample.t).toBeGreaterThanOrEqual(run[i - 1]?.t ?? 0)
      expect(Number.isFinite(sample.x + sample.y)).toBe(true)
    })
  })

  it('do what they are for', () => {
    const flick = makeRun('flick', box, window)
    expect(flick.map(holds)).toEqual([false, true, true, false])
    expect(flick.at(-1)?.t).toBe(36)
    const jitter = makeRun('jitter', box, window).map(holds)
    expect(jitter.filter((isIn, i) => i > 0 && isIn !== jitter[i - 1]).length).toBe(jitter.length - 1)
    expect(makeRun('window', box, window).at(-1)?.phase).toBe('leave')
    const scroll = makeRun('scroll', box, window)
    expect(Math.max(...scroll.map(({ scrollY = 0 }) => scrollY))).toBe(180)
    expect(new Set(scroll.filter(({ phase }) => phase === 'scroll').map(({ x, y }) => `${x} ${y}`)).size).toBe(1)
    const note = { x: 400, y: 100, width: 50, height: 20 }
    expect(makeRun('to-linked', box, window, note).some(({ x, y }) => x === 425 && y === 110)).toBe(true)
  })
})

describe('kept traces', () => {
  const sample = fc.record({
    t: fc.nat(10_000),
    x: fc.nat(2000),
    y: fc.nat(2000),
    buttons: fc.constantFrom(0, 1),
    phase: fc.constantFrom<Sample['phase']>('move', 'down', 'up', 'leave'),
    pointerType: fc.constantFrom<Sample['pointerType']>('mouse', 'pen'),
  })
  const samples = fc.array(sample, { minLength: 1, maxLength: 60 }).map((all) => all.sort((a, b) => a.t - b.t))

  it('come back from CSV and from JSON as they were, counted from their first sample', () => {
    fc.assert(
      fc.property(samples, (trace) => {
        const from = trace[0]?.t ?? 0
        const moved = trace.map((each) => ({ ...each, t: each.t - from }))
        expect(readTraceFile(keepTrace(trace))).toEqual(moved)
        expect(readTraceFile(writeTraceJson(trace))).toEqual(trace)
      }),
    )
  })

  it('fit into a document, and lose moves only', () => {
    const long = Array.from({ length: 12_000 }, (_, i): Sample => ({
      t: i + 0.123,
      x: 600 + 300 * Math.sin(i / 90),
      y: 400.456,
      buttons: 0,
      pointerType: 'mouse',
      phase: i % 999 === 0 ? 'down' : 'move',
    }))
    const csv = keepTrace(long)
    expect(csv.length).toBeLessThanOrEqual(mostCsv)
    expect(readTrace(csv).filter(({ phase }) => phase === 'down')).toHaveLength(13)
  })

  it.each([
    ['{', 'cannot be read'],
    ['{"format":"other"}', 'glass-moth-trace/1'],
    ['{"format":"glass-moth-trace/1","samples":[]}', 'has no samples'],
    ['a,b\n1,2', 'no column "t"'],
    ['t,x,y,buttons\n0,1,2,x', 'Line 2'],
    ['x'.repeat(4_000_001), 'too long'],
  ])('are refused in a sentence: %.20s', (text, words) => {
    expect(() => readTraceFile(text)).toThrow(words)
  })
})

describe('two under one trace', () => {
  const boxes = { window, elements: { '.card': [box] } }
  const answer = (follow: Feel, trace: readonly Sample[]) =>
    answerTo(tilt.expand({ ...tiltDefaults, follow }, '.card'), trace, boxes).numbers
  const spring = { kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 } as const
  const move = (t: number, x: number, y: number, phase: Sample['phase'] = 'move'): Sample => ({
    t,
    x,
    y,
    buttons: 0,
    pointerType: 'mouse',
    phase,
  })
  const jump = [move(0, 110, 160), move(100, 290, 160)]

  it('have the times and ways of their closed forms', () => {
    const { settleMs, overshoot, leftovers } = answer(spring, [move(0, 200, 160), move(2000, 290, 160)])
    expect(Math.abs(settleMs - answerOf(spring).settleMs)).toBeLessThan(8)
    expect(overshoot).toBeCloseTo(answerOf(spring).overshoot, 2)
    expect(leftovers).toBe(0)
  })

  it('are told apart by how far they go past the mark where outputs are made of several followers as well', () => {
    const shadowed = (follow: Feel) =>
      answerTo(tilt.expand({ ...tiltDefaults, follow, liftPx: 18, shadowPx: 12, shadowSoftPx: 30 }, '.card'), jump, boxes).numbers.overshoot
    const springy = { kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.36 } as const
    for (const feel of [spring, springy]) expect(shadowed(feel)).toBeCloseTo(answer(feel, jump).overshoot, 6)
    expect(shadowed(springy)).toBeGreaterThan(4 * shadowed(spring))
  })

  it('differ as their feels do: what follows at once has no lag and jumps, what is heavy lags', () => {
    expect(answer({ kind: 'direct' }, jump)).toMatchObject({ greatestLag: 0, jumps: 1, overshoot: 0 })
    const heavy = answer({ kind: 'spring', frequencyHz: 0.95, dampingRatio: 1 }, jump)
    expect(heavy.greatestLag).toBeGreaterThan(0.5)
    expect(heavy.settleMs).toBeGreaterThan(answer(spring, jump).settleMs)
    expect(heavy.jumps).toBe(0)
  })

  it('tell what is left over where the pointer has gone', () => {
    const gone = [...jump, move(400, 290, 160, 'leave')]
    expect(answer(spring, gone).leftovers).toBe(0)
    expect(answerTo(tilt.expand({ ...tiltDefaults, away: 'hold' }, '.card'), gone, boxes).numbers.leftovers).toBe(1)
  })
})
