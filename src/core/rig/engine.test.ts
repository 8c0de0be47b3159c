// The laws of the engine, for rigs, boxes and traces made at random: what must hold whatever an effect is made of.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Feel } from '../feel/feel'
import { restBand } from '../feel/follower'
import type { Sample } from '../signal/sample'
import { readers } from '../signal/readers'
import { between, glide, rig, spring, timed, trace } from './arbitrary'
import { evaluate, type Boxes } from './evaluate'
import type { Rig } from './rig'
import { rigSchema } from './check'
import { signalNames } from './schema'

const boxes: Boxes = {
  window: { width: 1000, height: 700 },
  elements: {
    '.card': [
      { x: 100, y: 100, width: 200, height: 120 },
      { x: 320, y: 100, width: 200, height: 120 },
      { x: 250, y: 180, width: 160, height: 140 },
    ],
    '.layer': [
      { x: 120, y: 110, width: 60, height: 40 },
      { x: 340, y: 130, width: 80, height: 50 },
    ],
    '.zone': [
      { x: 0, y: 0, width: 300, height: 700 },
      { x: 400, y: 0, width: 600, height: 300 },
      { x: 400, y: 400, width: 600, height: 300 },
    ],
  },
}

const endMs = 2600
const common = [40, 333, 700, 1200, 1900, endMs]

/** How far two evaluations of one rig are apart at the common moments, in shares of each column's range. */
function apart(made: Rig, one: ReturnType<typeof evaluate>, other: ReturnType<typeof evaluate>): number {
  const scale = one.columns.map((name) => spanOf(made, name))
  return Math.max(
    ...one.moments.flatMap(({ values }, m) =>
      values.map((value, i) => Math.abs(Number(value) - Number(other.moments[m]?.values[i])) / (scale[i] ?? 1)),
    ),
  )
}

function spanOf({ channels }: Rig, column: string): number {
  const made = channels.find(({ id }) => column.replace(/^--/, '').startsWith(id))
  if (!made) throw new Error(column)
  const values = made.curve?.stops.map(({ value }) => value)
  return values ? Math.max(...values) - Math.min(...values) || 1 : readers[made.signal.of].span(made.signal)
}

const atCommon = (evaluation: ReturnType<typeof evaluate>) => ({
  ...evaluation,
  moments: evaluation.moments.filter(({ t }) => common.includes(t)),
})
const merged = (times: readonly number[]) => [...new Set([...times, ...common])].sort((a, b) => a - b)

const seen = {
  signals: new Map<string, number>(),
  feels: new Map<string, number>(),
  aways: new Map<string, number>(),
  areas: new Map<string, number>(),
  chains: 0,
  runs: 0,
}
const count = (map: Map<string, number>, key: string) => map.set(key, (map.get(key) ?? 0) + 1)

function note(made: Rig): void {
  seen.runs++
  for (const area of made.areas) count(seen.areas, `${area.of} ${area.among}`)
  for (const each of made.channels) {
    count(seen.signals, each.signal.of)
    count(seen.feels, each.feel.kind)
    count(seen.aways, each.away.kind)
    if (each.chain !== undefined) seen.chains++
  }
}

describe('whatever a rig is made of', () => {
  it('has the same values at common moments for any frame rate, and for frames that jitter', () => {
    fc.assert(
      fc.property(rig, trace, fc.array(between(1, 60), { minLength: 20, maxLength: 60 }), (made, samples, jitter) => {
        note(made)
        const bare = evaluate(made, samples, boxes, common)
        let t = 0
        const uneven = Array.from({ length: 300 }, (_, i) => (t += jitter[i % jitter.length] ?? 16)).filter((at) => at < endMs)
        for (const fps of [24, 30, 60, 120, 144, 240]) {
          const frames = Array.from({ length: Math.floor((endMs * fps) / 1000) }, (_, i) => (i * 1000) / fps)
          expect(apart(made, bare, atCommon(evaluate(made, samples, boxes, merged(frames))))).toBeLessThan(1e-6)
        }
        expect(apart(made, bare, atCommon(evaluate(made, samples, boxes, merged(uneven))))).toBeLessThan(1e-6)
      }),
      { numRuns: 300 },
    )
  }, 240_000)

  it('goes on from any moment as if nothing had been asked there: a trace split in two gives the same', () => {
    fc.assert(
      fc.property(rig, trace, between(0, endMs), (made, samples, split) => {
        const whole = evaluate(made, samples, boxes, common)
        expect(apart(made, whole, atCommon(evaluate(made, samples, boxes, merged([split]))))).toBeLessThan(1e-6)
      }),
      { numRuns: 300 },
    )
  }, 240_000)

  it('stays settled once it is settled', () => {
    fc.assert(
      fc.property(rig, trace, (made, samples) => {
        const last = samples.at(-1)
        if (!last) return
        // Time itself never settles while the pointer is there.
        const gone: Sample = { ...last, pointerType: 'mouse', t: last.t + 50, phase: 'leave', x: 0, y: 0, buttons: 0 }
        const settled = gone.t + 60_000
        const [one, ...later] = evaluate(
          made,
          [...samples, gone, { ...gone, t: gone.t + 1, phase: 'blur' }],
          boxes,
          [0, 1, 17, 260, 5000].map((ms) => settled + ms),
        ).moments
        for (const moment of later) expect(moment.values).toEqual(one?.values)
      }),
      { numRuns: 300 },
    )
  }, 240_000)

  it('shows what reads one channel at one place, at every instant', () => {
    fc.assert(
      fc.property(rig, trace, (made, samples) => {
        const twice: Rig = {
          ...made,
          outputs: made.channels.flatMap(({ id }) =>
            ['a', 'b'].map((name) => ({
              to: 'self' as const,
              slot: { on: 'property' as const, name: `--${name}-${id}`, unit: '' as const, law: 'replace' as const },
              base: 0,
              factor: 1,
              channel: id,
              strength: 1,
            })),
          ),
          channels: made.channels.map((each) => ({ ...each, chain: undefined })),
        }
        const { columns, moments } = evaluate(
          twice,
          samples,
          boxes,
          Array.from({ length: 120 }, (_, i) => i * 21.7),
        )
        columns.forEach((name, i) => {
          if (!name.startsWith('--a-')) return
          const other = columns.indexOf(name.replace('--a-', '--b-'))
          for (const { values } of moments) expect(values[i]).toBe(values[other])
        })
      }),
      { numRuns: 100 },
    )
  }, 240_000)

  it('passes the border, and its generators reach every signal, feel, away, area and chain often', () => {
    fc.assert(
      fc.property(rig, (made) => void expect(rigSchema.safeParse(made).error?.issues).toBeUndefined()),
      { numRuns: 100 },
    )
    expect(seen.runs).toBeGreaterThanOrEqual(300)
    const often = (map: Map<string, number>, names: readonly string[]) => names.filter((name) => (map.get(name) ?? 0) < 10)
    expect(often(seen.signals, signalNames)).toEqual([])
    expect(often(seen.feels, ['direct', 'glide', 'spring', 'timed'])).toEqual([])
    expect(often(seen.aways, ['settle', 'hold', 'letGo'])).toEqual([])
    expect(often(seen.areas, ['each one', 'each all', 'group one', 'group all', 'window one', 'window all'])).toEqual([])
    expect(seen.chains).toBeGreaterThan(10)
  })
})

describe('a pointer that turns round', () => {
  /** A rig of one channel that is followed by this feel. */
  const following = (made: Feel): Rig => ({
    areas: [{ id: 'cards', of: 'each', select: '.card', box: 'still', among: 'one', pointer: 'any', touch: 'none' }],
    channels: [
      { id: 'x', area: 'cards', frame: 'area', signal: { of: 'centredX' }, away: { kind: 'settle', pose: 0 }, feel: made, group: 'turn' },
    ],
    knobs: [],
    outputs: [],
    parts: [],
    rules: [],
  })

  it('makes nothing jump, unless the feel is direct', () => {
    fc.assert(
      fc.property(fc.oneof(glide, spring, timed), trace, (made, samples) => {
        for (const { t } of samples) {
          const { moments } = evaluate(
            following(made),
            samples,
            boxes,
            [t - 1e-6, t + 1e-6].map((each) => Math.max(0, each)),
          )
          const jump = Math.abs(Number(moments[1]?.values[0]) - Number(moments[0]?.values[0]))
          // What a feel does in two millionths of a ms, and the band of rest.
          expect(jump).toBeLessThan(2 * restBand + 1e-3)
        }
      }),
      { numRuns: 60 },
    )
  })
})

describe('what moves under the pointer', () => {
  const across: Rig = {
    areas: [{ id: 'cards', of: 'each', select: '.card', box: 'still', among: 'one', pointer: 'any', touch: 'none' }],
    channels: [
      {
        id: 'x',
        area: 'cards',
        frame: 'area',
        signal: { of: 'xPx' },
        away: { kind: 'settle', pose: 0 },
        feel: { kind: 'direct' },
        group: 'turn',
      },
    ],
    knobs: [],
    outputs: [],
    parts: [],
    rules: [],
  }
  const sample = (t: number, x: number, phase: Sample['phase'] = 'move'): Sample => ({
    t,
    x,
    y: 110,
    buttons: 0,
    pointerType: 'mouse',
    phase,
  })
  /** The x in the first card, px, once all has been heard. */
  const xAfter = (samples: readonly Sample[]) => evaluate(across, samples, boxes, [500]).moments[0]?.values[0]

  it('is met where the pointer is by then', () => {
    expect(xAfter([sample(0, 120), sample(20, 260), sample(30, 0, 'scroll')])).toBe(160)
  })

  it('does not bring a pointer back that has left', () => {
    expect(xAfter([sample(0, 120), sample(20, 260, 'leave'), sample(30, 120, 'scroll')])).toBe(0)
  })

  it('counts samples in the order of their times, whatever order they are given in', () => {
    expect(xAfter([sample(20, 260), sample(0, 120)])).toBe(160)
  })
})

describe('nonsense', () => {
  it('never makes a value that is not finite: NaN, reversed times, boxes without size, far away', () => {
    const wild = fc.oneof(fc.constantFrom(0, 1e9, -1e9, NaN, Infinity, -Infinity), between(-500, 900))
    const box = fc.record({ x: wild, y: wild, width: wild, height: wild })
    const samples = fc.array(
      fc.record({
        t: fc.oneof(between(0, 900), wild),
        x: wild,
        y: wild,
        buttons: fc.constantFrom(0, 1, NaN),
        pointerType: fc.constantFrom<Sample['pointerType']>('mouse', 'touch'),
        phase: fc.constantFrom<Sample['phase']>('move', 'down', 'leave', 'focus', 'scroll'),
      }),
      { minLength: 1, maxLength: 12 },
    )
    fc.assert(
      fc.property(
        rig,
        samples,
        fc.array(box, { minLength: 1, maxLength: 3 }),
        fc.array(box, { maxLength: 2 }),
        (made, heard, cards, layers) => {
          const { moments } = evaluate(
            made,
            heard.filter(({ t }) => !(t > 1e6)),
            { window: { width: 1000, height: 700 }, elements: { '.card': cards, '.layer': layers, '.zone': cards } },
            [0, 50, 100, 1000, 1500],
          )
          expect(moments.flatMap(({ values }) => values).every((value) => typeof value === 'string' || Number.isFinite(value))).toBe(true)
        },
      ),
      { numRuns: 300 },
    )
  }, 240_000)
})
