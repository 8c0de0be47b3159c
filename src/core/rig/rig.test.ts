import { describe, expect, it } from 'vitest'
import { expandTilt } from '../effect/tilt/expand'
import { tiltDefaults, type TiltSettings } from '../effect/tilt/settings'
import type { Box } from '../geometry/box'
import type { Sample } from '../signal/sample'
import { evaluate } from './evaluate'
import type { Rig } from './rig'
import { clashesOf } from './clash'
import { rigSchema } from './check'
import { transformOf } from './values'

const box = { x: 100, y: 100, width: 200, height: 100 }
const at = (t: number, x: number, y: number, change: Partial<Sample> = {}): Sample => ({
  t,
  x,
  y,
  buttons: 0,
  pointerType: 'mouse',
  phase: 'move',
  ...change,
})
const boxesOf = (...cards: readonly Box[]) => ({ window: { width: 1280, height: 720 }, elements: { '.card': cards } })
const rigOf = (change: Partial<TiltSettings> = {}) => expandTilt({ ...tiltDefaults, ...change }, '.card')
/** The channels of the first card at `t`, in the rig's order. */
const channelsAt = (trace: readonly Sample[], t: number, change: Partial<TiltSettings> = {}) => {
  const rig = rigOf(change)
  const { columns, moments } = evaluate(rig, trace, boxesOf(box), [t])
  return rig.channels.map(({ id }) => Number(moments[0]?.values[columns.indexOf(`${id}[0]`)]))
}
const transformAt = (trace: readonly Sample[], t: number, change: Partial<TiltSettings> = {}) => {
  const rig = rigOf(change)
  const values = channelsAt(trace, t, change)
  return transformOf(rig, (channel) => values[rig.channels.findIndex(({ id }) => id === channel)])
}
const late = 100_000

it('has no number that is next to nothing, wherever it stands in what was written by hand', () => {
  // Each number of a rig of every sort of output, one after another.
  const rig = JSON.parse(JSON.stringify(rigOf({ liftPx: 12, scalePercent: 4 }))) as object
  const places: (readonly [holder: Record<string, unknown>, key: string])[] = []
  const walk = (value: object) => {
    for (const [key, each] of Object.entries(value))
      if (typeof each === 'number') places.push([value as Record<string, unknown>, key])
      else if (typeof each === 'object' && each !== null) walk(each as object)
  }
  walk(rig)
  expect(places.length).toBeGreaterThan(20)
  for (const [holder, key] of places) {
    const kept = holder[key]
    holder[key] = 1e-320
    const read = rigSchema.safeParse(rig)
    if (read.success) expect(JSON.stringify(read.data), key).not.toContain('e-3')
    holder[key] = kept
  }
})

describe('a tilt, evaluated', () => {
  it.each([
    ['the left edge', 100, 150, 'perspective(820px) rotateX(0deg) rotateY(-9deg)'],
    ['the right edge', 300, 150, 'perspective(820px) rotateX(0deg) rotateY(9deg)'],
    ['the upper left corner', 100, 100, 'perspective(820px) rotateX(9deg) rotateY(-9deg)'],
    ['the lower right corner', 300, 200, 'perspective(820px) rotateX(-9deg) rotateY(9deg)'],
    ['the centre', 200, 150, 'perspective(820px) rotateX(0deg) rotateY(0deg)'],
    ['a place outside', 310, 150, 'perspective(820px) rotateX(0deg) rotateY(0deg)'],
  ])('leans by its angle with the pointer at rest on %s', (_, x, y, transform) => {
    expect(transformAt([at(0, 200, 150), at(20, x, y)], late).replaceAll('-0deg', '0deg')).toBe(transform)
  })

  it('leans the other way when the edge rises', () => {
    expect(transformAt([at(0, 300, 100)], late, { edge: 'rises' })).toBe('perspective(820px) rotateX(-9deg) rotateY(-9deg)')
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
    expect(transformAt(trace, 500, change)).toContain('translateZ(40px)')
  })

  it('takes no notice of a finger', () => {
    expect(channelsAt([at(0, 300, 100, { pointerType: 'touch' })], late)).toEqual([0, 0])
  })
})

describe('the pointer between boxes', () => {
  const overlapping = boxesOf({ x: 0, y: 0, width: 100, height: 100 }, { x: 80, y: 0, width: 100, height: 100 })
  /** Which of the two leans at the end. */
  const leaning = (points: readonly (readonly [number, number])[], rig = rigOf(), boxes = overlapping) => {
    const { columns, moments } = evaluate(
      rig,
      points.map(([x, y], i) => at(i * 50, x, y)),
      boxes,
      [late],
    )
    return [0, 1].filter((index) => Number(moments[0]?.values[columns.indexOf(`x[${index}]`)]) !== 0)
  }

  it('belongs to the one that it hits, which is painted last', () => {
    expect(
      leaning([
        [20, 50],
        [90, 50],
      ]),
    ).toEqual([1])
    expect(
      leaning([
        [90, 50],
        [20, 50],
      ]),
    ).toEqual([0])
    expect(
      leaning([
        [90, 50],
        [300, 50],
      ]),
    ).toEqual([])
  })

  it('beyond what it hits belongs to the nearest, of those as near to the one that had it, else to the one painted last', () => {
    const [area, ...others] = rigOf().areas
    const wide = { value: -60, unit: 'px' as const }
    const reaching = {
      ...rigOf(),
      areas: area ? [{ ...area, insets: { top: wide, right: wide, bottom: wide, left: wide } }, ...others] : [],
    }
    const apart = boxesOf({ x: 0, y: 0, width: 100, height: 100 }, { x: 180, y: 0, width: 100, height: 100 })
    expect(
      leaning(
        [
          [20, 50],
          [140, 50],
        ],
        reaching,
        apart,
      ),
    ).toEqual([0])
    expect(leaning([[140, 50]], reaching, apart)).toEqual([1])
    // 30 px from the first one, 50 from the second, which had it.
    expect(
      leaning(
        [
          [200, 50],
          [130, 50],
        ],
        reaching,
        apart,
      ),
    ).toEqual([0])
    expect(leaning([[150, 120]], reaching, apart)).toEqual([1])
    // The box that it hits has it, however far another one reaches over it.
    expect(
      leaning(
        [
          [20, 50],
          [140, 50],
          [90, 50],
        ],
        reaching,
        apart,
      ),
    ).toEqual([0])
    expect(
      leaning(
        [
          [190, 50],
          [140, 50],
          [70, 50],
        ],
        reaching,
        apart,
      ),
    ).toEqual([0])
  })
})

describe('a rig at the border', () => {
  const rig = rigOf({ liftPx: 10 })
  const messageOf = (change: { readonly [part in keyof Rig]?: unknown }) => {
    const issue = rigSchema.safeParse({ ...structuredClone(rig), ...change }).error?.issues[0]
    return issue && `${issue.path.join('.')}: ${issue.message}`
  }
  const channel = (change: object) => ({ channels: [{ ...rig.channels[0], ...change }], outputs: [] })
  const output = (change: object) => ({ outputs: [{ ...rig.outputs[1], ...change }] })
  const property = (name: string, unit: string) => ({
    to: 'self',
    slot: { on: 'property', name, unit, law: 'replace' },
    base: 0,
    factor: 1,
    strength: 1,
  })

  const shadow = (hole: string, on = 'shadow') => ({
    to: 'self',
    slot: { on, layer: 'cast', hole, unit: 'px' },
    base: 0,
    factor: 1,
    strength: 1,
  })

  it('passes as a kind makes it', () => {
    expect(rigSchema.parse(rig)).toEqual(rig)
  })

  it.each([
    [
      'an unknown signal',
      channel({ signal: { of: 'mood' } }),
      /^channels\.0\.signal(\.of)?: there is no signal "mood"; signals are x, y, centredX/,
    ],
    [
      'something joined to the window',
      { areas: [{ ...rig.areas[0], of: 'window', select: '', joined: '.note' }] },
      /^areas\.0\.joined: is in step with single matches$/,
    ],
    [
      'a place of nothing',
      { areas: [{ ...rig.areas[0], placed: { side: 'top', align: 'center', gapPx: 4 } }] },
      /^areas\.0\.joined: is what is placed and describes$/,
    ],
    [
      'parts of one area that come and go, and others that stay',
      {
        parts: [
          { id: 'a', area: rig.areas[0]?.id, lives: { atMostAt: 2 }, css: {} },
          { id: 'b', area: rig.areas[0]?.id, css: {} },
        ],
        outputs: [],
      },
      /^parts\.1\.lives: all parts of an area are there only with the pointer, or none$/,
    ],
    [
      'a curve with one stop',
      channel({ curve: { stops: [{ at: 0, value: 0 }] } }),
      /^channels\.0\.curve\.stops: a curve needs two stops at least$/,
    ],
    [
      'stops out of order',
      channel({
        curve: {
          stops: [
            { at: 1, value: 0 },
            { at: 0, value: 1 },
          ],
        },
      }),
      /^channels\.0\.curve\.stops: the stops of a curve rise/,
    ],
    [
      'an easing that is none',
      channel({ feel: { kind: 'timed', durationMs: 5, easing: 'jump', delayMs: 0 } }),
      /^channels\.0\.feel\.easing: is not an easing/,
    ],
    ['a number that is none', channel({ feel: { kind: 'glide', halfLifeMs: NaN } }), /^channels\.0\.feel\.halfLifeMs: /],
    ['a chain that does not glide', channel({ chain: 5 }), /^channels\.0\.feel: a chain follows by a glide$/],
    ['a channel in no area', channel({ area: 'desk' }), /^channels\.0\.area: there is no area "desk"$/],
    [
      'a look where there are none',
      channel({ signal: { of: 'look', values: { off: 0, on: 1 } } }),
      /^channels\.0\.signal: the area "card" has no looks$/,
    ],
    [
      'letting go without a weight',
      { channels: [{ ...rig.channels[0], away: { kind: 'letGo', pose: 0 } }], outputs: [{ ...rig.outputs[1], channel: 'x' }] },
      /^channels\.0\.away: an output of a channel that lets go needs a weight$/,
    ],
    ['an output of an unknown knob', output({ knob: 'depth' }), /^outputs\.0\.knob: there is no knob "depth"$/],
    ['an output of an unknown channel', output({ channel: 'z' }), /^outputs\.0\.channel: there is no channel "z"$/],
    [
      'a unit that does not fit the property',
      { outputs: [property('opacity', 'px')] },
      /^outputs\.0\.slot\.unit: opacity is not given in px$/,
    ],
    [
      'a length without a unit',
      { outputs: [property('border-radius', '')] },
      /^outputs\.0\.slot\.unit: border-radius is not given in plain numbers$/,
    ],
    [
      'a knob whose unit does not fit',
      output({ knob: 'perspective' }),
      /^outputs\.0\.knob: the knob "perspective" is in px, which does not fit rotateX$/,
    ],
    [
      'a cycle among values',
      {
        knobs: [
          { id: 'a', value: 2, unit: '', note: '', times: 'b' },
          { id: 'b', value: 2, unit: '', note: '', times: 'a' },
        ],
        outputs: [],
      },
      /^knobs\.0\.times: "a" is a multiple of itself, by way of "b", "a"$/,
    ],
    ['two of one name', { knobs: [rig.knobs[0], rig.knobs[0]], outputs: [] }, /^knobs\.1\.id: "lean" is used twice$/],
    [
      'a part inside one that comes later',
      {
        parts: [
          { id: 'tile', area: 'card', inside: 'ring', css: {} },
          { id: 'ring', area: 'card', css: {} },
        ],
      },
      /^parts\.0\.inside: "ring" is no part that comes before it$/,
    ],
    [
      'a part elsewhere for each match',
      { parts: [{ id: 'tile', area: 'card', host: 'top', css: {} }] },
      /^parts\.0\.host: what stands elsewhere is of an area that is one place, and lies in no other part$/,
    ],
    [
      'a style that would end its rule',
      { rules: [{ select: '.a', css: { color: 'red; } body { display: none' } }] },
      /^rules\.0\.css\.color: is not one CSS value$/,
    ],
    [
      'a hole that nothing fills',
      { outputs: [shadow('x')], layers: [{ id: 'cast', css: '{x} {y} red' }] },
      /^layers\.0\.css: nothing fills \{y\}$/,
    ],
    [
      'a hole that there is not',
      { outputs: [shadow('x'), shadow('z')], layers: [{ id: 'cast', css: '{x} 0 red' }] },
      /^layers\.0\.css: there is no hole \{z\}$/,
    ],
    ['a layer that there is not', { outputs: [shadow('x')] }, /^outputs\.0\.slot\.layer: there is no layer "cast"$/],
    [
      'a layer in two properties',
      { outputs: [shadow('x'), shadow('x', 'mask')], layers: [{ id: 'cast', css: '{x} 0 red' }] },
      /^layers\.0: stands in one property of one target$/,
    ],
    [
      'a path that is followed by a feel',
      { ...channel({ signal: { of: 'past', axis: 'x', lagMs: 20 }, chain: 4 }) },
      /^channels\.0: where the pointer was at several times is told as it is: directly, through no curve, and held$/,
    ],
    [
      'a canvas for what is no chain',
      { parts: [{ id: 'p', area: 'card', css: {}, paints: { x: 'x', y: 'y', as: 'dots', sizes: ['lift', 'lift'], colours: ['a', 'a'] } }] },
      /^parts\.0\.paints\.x: there is no chain "x" in the same area$/,
    ],
    [
      'a text of what nothing asks for',
      { parts: [{ id: 'p', area: 'card', css: {}, holds: { over: 'x', says: ['label'] } }] },
      /^parts\.0\.holds\.over: there is no channel "x" of the same area that tells what the pointer is on$/,
    ],
    [
      'a state by a zone that there is not',
      { states: [{ area: 'card', looks: ['on'], zone: { of: 'x', is: [1] }, to: 'self', css: {} }] },
      /^states\.0\.zone\.of: there is no channel "x" in the area that tells a zone of it$/,
    ],
    [
      'the number of one part alone',
      { parts: [{ id: 'p', area: 'card', css: { rotate: 'calc({index} * 2deg)' } }] },
      /^parts\.0\.css\.rotate: there is no knob or token "index"$/,
    ],
    ['no area', { areas: [] }, /^areas: /],
  ])('is refused for %s, with the place and the reason', (_, change, message) => {
    expect(messageOf(change)).toMatch(message)
  })
})

describe('two rigs on one element', () => {
  const withColour = (name: string): Rig => ({
    ...rigOf({}),
    outputs: [{ to: 'self', slot: { on: 'property', name, unit: 'px', law: 'replace' }, base: 0, factor: 1, channel: 'x', strength: 1 }],
  })

  it('clash where only one can have its way: an eye at another distance, one plain property', () => {
    expect(clashesOf(rigOf({}), rigOf({ acrossDeg: 4 }))).toEqual([])
    expect(clashesOf(rigOf({}), rigOf({ perspectivePx: 400 }))).toEqual(['perspective'])
    expect(clashesOf(withColour('gap'), withColour('gap'))).toEqual(['gap'])
    expect(clashesOf(withColour('gap'), withColour('width'))).toEqual([])
  })
})
