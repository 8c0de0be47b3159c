import { describe, expect, it } from 'vitest'
import { evaluate } from '../rig/evaluate'
import type { Looks, Rig } from '../rig/rig'
import type { Sample } from '../signal/sample'
import type { Signal } from '../signal/signal'
import { lookTable, newLook, turnLook, type LookEvent, type LookStateName } from './look'

describe('the hover machine', () => {
  const events: readonly LookEvent[] = ['come', 'go', 'press', 'release', 'rest', 'move', 'due', 'dismiss']
  /** Rows are states, columns the events above; a dot leaves the state as it is. */
  it.each<[LookStateName, readonly (LookStateName | '.')[]]>([
    ['off', ['on', '.', '.', '.', '.', '.', '.', '.']],
    ['on', ['.', 'going', 'pressed', '.', 'still', '.', '.', 'off']],
    ['still', ['.', 'going', 'pressed', '.', '.', 'on', '.', 'off']],
    ['pressed', ['.', 'going', '.', 'on', '.', '.', '.', 'off']],
    ['going', ['on', '.', '.', '.', '.', '.', 'off', 'off']],
  ])('from %s goes where the table says', (state, row) => {
    events.forEach((event, i) => expect(lookTable[state][event] ?? '.', event).toBe(row[i]))
  })

  it('goes on showing what it showed while it is going, and says when that changes', () => {
    const look = newLook()
    expect([turnLook(look, 'come'), look.shown]).toEqual([true, 'on'])
    expect([turnLook(look, 'come'), look.shown]).toEqual([false, 'on'])
    expect([turnLook(look, 'go'), look.shown, look.state]).toEqual([false, 'on', 'going'])
    expect([turnLook(look, 'come'), look.shown]).toEqual([false, 'on'])
    turnLook(look, 'go')
    expect([turnLook(look, 'due'), look.shown, look.before]).toEqual([true, 'off', 'on'])
  })
})

const at = (t: number, x: number, y: number, change: Partial<Sample> = {}): Sample => ({
  t,
  x,
  y,
  buttons: 0,
  pointerType: 'mouse',
  phase: 'move',
  ...change,
})
const boxes = {
  window: { width: 1000, height: 700 },
  elements: {
    '.card': [
      { x: 0, y: 0, width: 100, height: 100 },
      { x: 200, y: 0, width: 100, height: 100 },
    ],
  },
}

/** What two cards show at these moments: one number for each look. */
function shown(
  trace: readonly Sample[],
  times: readonly number[],
  looks: Partial<Looks> = {},
  signal: Partial<Extract<Signal, { of: 'look' }>> = {},
  feel: Rig['channels'][number]['feel'] = { kind: 'direct' },
) {
  const rig: Rig = {
    areas: [
      {
        id: 'card',
        of: 'each',
        select: '.card',
        box: 'still',
        among: 'one',
        pointer: 'any',
        touch: 'tap',
        looks: { goDelayMs: 0, atMostOne: true, keys: true, ...looks },
      },
    ],
    channels: [
      {
        id: 'look',
        area: 'card',
        frame: 'area',
        signal: { of: 'look', values: { off: 0, on: 1, pressed: 2, still: 3 }, ...signal },
        away: { kind: 'settle', pose: 0 },
        feel,
        group: 'state',
      },
    ],
    knobs: [],
    outputs: [],
    parts: [],
    rules: [],
  }
  return evaluate(rig, trace, boxes, times).moments.map(({ values }) => values)
}

describe('the look of an element', () => {
  it('waits with going, and is called back by a return', () => {
    const trace = [at(0, 50, 50), at(100, 50, 400), at(150, 50, 50), at(300, 50, 400)]
    expect(shown(trace, [10, 120, 160, 390, 401], { goDelayMs: 100 })).toEqual([
      [1, 0],
      [1, 0],
      [1, 0],
      [1, 0],
      [0, 0],
    ])
  })

  it('is pressed while a button is down inside, still after standing still, and on again once it moves', () => {
    const trace = [at(0, 50, 50), at(50, 50, 50, { phase: 'down', buttons: 1 }), at(90, 50, 50, { phase: 'up' }), at(600, 60, 50)]
    expect(shown(trace, [10, 60, 100, 310, 590, 601], { stillMs: 300 }).map(([first]) => first)).toEqual([1, 2, 3 - 2, 3, 3, 1])
  })

  it('is on by the focus too, and in a group the latest cause wins', () => {
    const trace = [at(0, 50, 50), at(100, 250, 50, { phase: 'focus' }), at(200, 250, 50, { phase: 'blur' }), at(300, 51, 50)]
    expect(shown(trace, [50, 150, 250, 350])).toEqual([
      [1, 0],
      [0, 1],
      [0, 0],
      [1, 0],
    ])
    expect(shown(trace, [150], { atMostOne: false })).toEqual([[1, 1]])
    expect(shown(trace, [150], { keys: false })).toEqual([[1, 0]])
  })

  it('puts the others off as it comes on pressed at once, by a finger or by a button that is down already', () => {
    const focused = at(0, 250, 50, { phase: 'focus' })
    for (const pointer of [{ pointerType: 'touch' }, {}] as const)
      expect(shown([focused, at(100, 50, 50, { phase: 'down', buttons: 1, ...pointer })], [50, 150])).toEqual([
        [0, 1],
        [2, 0],
      ])
  })

  it('is turned on by a tap, and off by a tap elsewhere', () => {
    const finger = (t: number, x: number, phase: Sample['phase']) =>
      at(t, x, 50, { phase, pointerType: 'touch', buttons: phase === 'down' ? 1 : 0 })
    const trace = [finger(0, 50, 'down'), finger(80, 52, 'up'), finger(1000, 600, 'down'), finger(1050, 600, 'up')]
    expect(shown(trace, [500, 1100])).toEqual([
      [1, 0],
      [0, 0],
    ])
    // A long press, or a drag, is no tap.
    expect(shown([finger(0, 50, 'down'), finger(900, 50, 'up')], [1000])).toEqual([[0, 0]])
  })

  it('comes in from a pose of its own and goes on to another, by side, and turns round where it is in as much of its time', () => {
    const signal = { values: { off: 0, on: 1 }, enterFrom: [-5, 0, 5, 0] as const, leaveTo: [-9, 0, 9, 0] as const }
    const feel = { kind: 'timed', durationMs: 100, easing: 'linear', delayMs: 0 } as const
    const through = [at(0, 50, -50), at(20, 50, 20), at(400, 50, 150)]
    expect(shown(through, [20, 70, 399, 450, 600], {}, signal, feel).map(([first]) => Number(Number(first).toFixed(6)))).toEqual([
      -5, -2, 1, 5, 9,
    ])
    const back = [...through, at(450, 50, 90)]
    expect(Number(shown(back, [451], {}, signal, feel)[0]?.[0])).toBeCloseTo(5 - 0.08, 6)
  })

  it('stays when the pointer has gone, until another comes on', () => {
    const trace = [
      at(0, 50, 50),
      at(40, 50, 50, { phase: 'down', buttons: 1 }),
      at(60, 50, 400, { buttons: 1 }),
      at(100, 250, 50),
      at(200, 50, 400),
    ]
    expect(shown(trace, [10, 50, 90, 150, 250], { stays: true })).toEqual([
      [1, 0],
      [2, 0],
      [1, 0],
      [0, 1],
      [0, 1],
    ])
  })

  it('may be there from the start', () => {
    expect(shown([at(100, 50, 50)], [10, 150], { first: 1 })).toEqual([
      [0, 1],
      [1, 0],
    ])
    expect(shown([at(100, 50, 50)], [10], { first: 7 })).toEqual([[0, 0]])
  })

  it('is put off by Escape until its causes have gone and come again, where so asked', () => {
    const escape = at(50, 0, 0, { phase: 'key', key: 'Escape' })
    const trace = [at(0, 50, 50), escape, at(60, 55, 55), at(100, 50, 400), at(150, 50, 50)]
    expect(shown(trace, [10, 55, 70, 110, 160], { escape: true }).map(([first]) => first)).toEqual([1, 0, 0, 0, 1])
    expect(shown(trace, [10, 55, 70], {}).map(([first]) => first)).toEqual([1, 1, 1])
    expect(shown([at(0, 50, 50), at(20, 50, 400), { ...escape, t: 60 }], [50, 70], { escape: true, stays: true })).toEqual([
      [1, 0],
      [0, 0],
    ])
  })

  it('lets the others answer', () => {
    expect(shown([at(0, 50, 50)], [10], {}, { whose: 'others' })).toEqual([[0, 1]])
  })
})
