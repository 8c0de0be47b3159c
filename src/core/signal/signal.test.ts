import { describe, expect, it } from 'vitest'
import { readRig } from '../rig/check'
import { evaluate, type Boxes } from '../rig/evaluate'
import type { Area, FrameOf, Rig } from '../rig/rig'
import { frameOf, type Frame } from '../geometry/frame'
import { pxOfShare, xPx, yPx } from './position'
import type { At, Memory } from './reader'
import type { Sample } from './sample'
import type { Signal } from './signal'

const at = (t: number, x: number, y: number, change: Partial<Sample> = {}): Sample => ({
  t,
  x,
  y,
  buttons: 0,
  pointerType: 'mouse',
  phase: 'move',
  ...change,
})
const boxes: Boxes = {
  window: { width: 1000, height: 500 },
  elements: {
    '.card': [{ x: 100, y: 100, width: 200, height: 100 }],
    '.layer': [
      { x: 120, y: 110, width: 50, height: 50 },
      { x: 500, y: 100, width: 100, height: 100 },
    ],
    '.zone': [
      { x: 0, y: 0, width: 100, height: 500 },
      { x: 400, y: 0, width: 600, height: 500 },
    ],
  },
}

/** What a signal reads at these moments, straight, in each of its frames. */
function read(
  signal: Signal,
  trace: readonly Sample[],
  times: readonly number[],
  area: Partial<Area> = {},
  frame: FrameOf = 'area',
): readonly (readonly number[])[] {
  const rig: Rig = {
    areas: [{ id: 'a', of: 'each', select: '.card', box: 'still', among: 'one', pointer: 'any', touch: 'none', ...area }],
    channels: [{ id: 'c', area: 'a', frame, signal, away: { kind: 'settle', pose: 0 }, feel: { kind: 'direct' }, group: 'light' }],
    knobs: [],
    outputs: [],
    parts: [],
    rules: [],
  }
  return evaluate(rig, trace, boxes, times).moments.map(({ values }) => values.map((value) => Number(Number(value).toFixed(6))))
}
const one = (signal: Signal, x: number, y: number, area: Partial<Area> = {}) => read(signal, [at(0, x, y)], [0], area)[0]?.[0]
const px = (value: number) => ({ value, unit: 'px' as const })

describe('a position in px', () => {
  it('counts from the padding, from the middle, or from the border of its own side', () => {
    const frame: Frame = { ...frameOf({ x: 0, y: 0, width: 200, height: 100 }), border: [1, 2, 4, 8] }
    const seen = (from: 'centre' | 'border' | undefined) =>
      (['xPx', 'yPx'] as const).flatMap((of) => {
        const signal = { of, ...(from ? { from } : {}) }
        const at = { frame, area: frame, point: { x: 50, y: 25 } } as At
        return [pxOfShare(signal, 0.25, at), (of === 'xPx' ? xPx : yPx).read(signal, at, {} as Memory)]
      })
    expect(seen(undefined)).toEqual([50, 50, 25, 25])
    expect(seen('centre')).toEqual([-50, -50, -25, -25])
    expect(seen('border')).toEqual([58, 58, 26, 26])
  })
})

describe('a position', () => {
  it('runs from 0 to 1, or -1 to 1, between the insets, held at the ends or running on', () => {
    const insets = { top: px(0), right: { value: 10, unit: '%' as const }, bottom: px(0), left: px(50) }
    expect(one({ of: 'x' }, 150, 150)).toBe(0.25)
    expect(one({ of: 'centredY' }, 150, 125)).toBe(-0.5)
    expect(one({ of: 'x' }, 215, 150, { insets })).toBe(0.5)
    expect(one({ of: 'x' }, 320, 150, { of: 'window' })).toBe(0.32)
    expect(read({ of: 'x', beyond: 'extend' }, [at(0, 400, 150)], [0], { of: 'window' }, { each: '.card' })).toEqual([[1.5]])
    expect(read({ of: 'x' }, [at(0, 400, 150)], [0], { of: 'window' }, { each: '.card' })).toEqual([[1]])
  })

  it('is read in the frame that is asked for: the area, each element of a role, one box, the window', () => {
    const trace = [at(0, 145, 135)]
    expect(read({ of: 'xPx' }, trace, [0])).toEqual([[45]])
    expect(read({ of: 'xPx' }, trace, [0], {}, 'window')).toEqual([[145]])
    expect(read({ of: 'yPx' }, trace, [0], {}, { each: '.layer' })).toEqual([[25, 35]])
    expect(read({ of: 'xPx' }, trace, [0], {}, { box: '.layer' })).toEqual([[25]])
  })

  it('is read in the box around all members of a group', () => {
    expect(read({ of: 'x' }, [at(0, 310, 120)], [0], { of: 'group', select: '.layer' })).toEqual([[0]])
    expect(read({ of: 'x' }, [at(0, 580, 120)], [0], { of: 'group', select: '.layer' })).toEqual([[Number((460 / 480).toFixed(6))]])
  })
})

describe('a distance, an angle', () => {
  it('is in px from the middle, or from the edge and negative inside', () => {
    expect(one({ of: 'distance', from: 'centre' }, 230, 190)).toBe(50)
    expect(one({ of: 'distance', from: 'edge' }, 110, 150)).toBe(-10)
  })

  it('turns clockwise from up, goes on beyond a full turn, and keeps its word in the middle', () => {
    expect(one({ of: 'angle' }, 200, 110)).toBe(0)
    expect(one({ of: 'angle' }, 290, 150)).toBe(90)
    const round = Array.from({ length: 25 }, (_, i) =>
      at(i * 10, 200 + 40 * Math.sin((i * Math.PI) / 8), 150 - 40 * Math.cos((i * Math.PI) / 8)),
    )
    expect(read({ of: 'angle' }, [...round, at(260, 200, 151)], [80, 160, 240, 300]).flat()).toEqual([180, 360, 540, 540])
  })

  it('says which way the pointer goes, unless it hardly moves', () => {
    const trace = [at(0, 120, 150), at(10, 130, 150), at(20, 140, 150), at(500, 140, 150.2), at(510, 140, 160)]
    expect(read({ of: 'heading' }, trace, [15, 505, 515]).flat()).toEqual([90, 90, 180])
  })
})

describe('what goes on by itself', () => {
  it('is the true speed of a steady movement, and halves every 50 ms after it', () => {
    const steady = Array.from({ length: 1001 }, (_, i) => at(i, 101 + i * 0.19, 150))
    const [moving = 0, halved = 0] = read({ of: 'speed' }, steady, [1000, 1050]).flat()
    expect(moving).toBeCloseTo(190, -0.5)
    expect(Math.abs(moving / 190 - 1)).toBeLessThan(0.01)
    // Followed at every multiple of 4 ms.
    expect(halved / moving).toBeCloseTo(2 ** (-48 / 50), 3)
    expect(read({ of: 'speed' }, steady, [3000])).toEqual([[0]])
  })

  it('is where the pointer was: straight between samples that are near in time, else held', () => {
    const trace = [at(0, 100, 150), at(40, 140, 150), at(240, 240, 150)]
    expect(read({ of: 'past', axis: 'x', lagMs: 100 }, trace, [120, 144, 200, 320, 340]).flat()).toEqual([20, 40, 40, 40, 140])
  })

  it('is the time, while the pointer is there', () => {
    expect(read({ of: 'time', periodMs: 1000 }, [at(0, 200, 150), at(1500, 900, 400)], [100, 900, 1200, 1600]).flat()).toEqual([
      0.1, 0.9, 0.2, 0,
    ])
  })

  it('is here with times of its own to come and to go, turned round where it is, for as long as it had come', () => {
    const times = (durationMs: number) => ({ kind: 'timed', durationMs, easing: 'linear', delayMs: 0 }) as const
    const signal = { of: 'here', come: times(100), go: times(200) } as const
    expect(read(signal, [at(0, 200, 150), at(40, 900, 400)], [20, 40, 80, 120]).flat()).toEqual([0.2, 0.4, 0.2, 0])
  })

  it('is still after standing still for so long, within 3 px', () => {
    const trace = [at(0, 200, 150), at(90, 202, 150), at(150, 210, 150)]
    expect(read({ of: 'still', afterMs: 100 }, trace, [99, 100, 149, 151, 249, 250]).flat()).toEqual([0, 1, 1, 0, 0, 1])
  })
})

describe('what is turned', () => {
  it('goes on from where it is, between its limits, and only over the element', () => {
    const wheel = { of: 'wheel', start: 0, least: -3, greatest: 20, perPx: 0.1 } as const
    const turned = (t: number, by: number, x = 200) => at(t, x, 150, { phase: 'wheel', by })
    expect(read(wheel, [turned(0, 50), turned(10, 30), turned(20, 900), turned(30, -1e4)], [5, 15, 25, 35]).flat()).toEqual([5, 8, 20, -3])
    expect(read(wheel, [turned(0, 50), turned(10, 30, 900), at(20, 200, 150)], [5, 15, 25], {}).flat()).toEqual([5, 0, 5])
    expect(read(wheel, [at(0, 200, 150, { phase: 'wheel' }), turned(5, NaN)], [8]).flat()).toEqual([0])
  })

  it('is so many times as large, and two fingers or a wheel with Ctrl are one', () => {
    const pinch = { of: 'pinch', start: 2, least: 1, greatest: 8 } as const
    const pinched = (t: number, by: number) => at(t, 200, 150, { phase: 'pinch', by })
    expect(
      read(pinch, [pinched(0, 1.5), pinched(10, 2), pinched(20, 9), pinched(30, 0.01), pinched(40, -2)], [5, 15, 25, 35, 45]).flat(),
    ).toEqual([3, 6, 8, 1, 1])
  })
})

describe('what the pointer is on', () => {
  const page: Partial<Area> = { of: 'window', select: '' }

  it('is told by the number of the selector whose element is the innermost; 0 on none', () => {
    const among = ['.card', '.layer', '.zone']
    expect(one({ of: 'over', among }, 140, 130, page)).toBe(2)
    expect(one({ of: 'over', among }, 250, 150, page)).toBe(1)
    expect(one({ of: 'over', among }, 60, 400, page)).toBe(3)
    expect(one({ of: 'over', among }, 350, 400, page)).toBe(0)
    // Of two that match alike the last one counts.
    expect(one({ of: 'over', among: ['.card', '.card'] }, 250, 150, page)).toBe(2)
  })

  it('lies where it is from the pointer, and is as large as it is; the last one still, once the pointer is beside it', () => {
    const trace = [at(0, 350, 400), at(100, 250, 150), at(200, 350, 400)]
    const of = (name: 'overX' | 'overY' | 'overWidth' | 'overHeight') =>
      read({ of: name, among: '.card' }, trace, [50, 150, 250], page).map(([value]) => value)
    expect(of('overX')).toEqual([0, -50, -150])
    expect(of('overY')).toEqual([0, 0, -250])
    expect(of('overWidth')).toEqual([0, 200, 200])
    expect(of('overHeight')).toEqual([0, 100, 100])
  })

  it('may be nothing of the area’s: there the pointer is not', () => {
    const inside = (x: number, y: number) => one({ of: 'inside' }, x, y, { except: '.layer' })
    expect([inside(250, 150), inside(140, 130)]).toEqual([1, 0])
  })
})

describe('how large things are', () => {
  const large: Boxes = {
    ...boxes,
    elements: { ...boxes.elements, '.card': [{ x: 100, y: 100, width: 200, height: 100, content: { width: 260, height: 90 } }] },
  }
  const rigOf = (signal: Signal, more: object = {}): Rig => ({
    areas: [{ id: 'a', of: 'each', select: '.card', box: 'still', among: 'one', pointer: 'any', touch: 'none' }],
    channels: [
      { id: 'c', area: 'a', frame: 'area', signal, away: { kind: 'settle', pose: 0, ...more }, feel: { kind: 'direct' }, group: 'travel' },
    ],
    ...{ knobs: [], outputs: [], parts: [], rules: [] },
  })
  const valuesOf = (rig: Rig, trace: readonly Sample[], times: readonly number[], at: Parameters<typeof evaluate>[2] = large) =>
    evaluate(rig, trace, at, times).moments.flatMap(({ values }) => values)

  it('is known without the pointer, and followed where it changes', () => {
    const [none, over] = [[], [at(0, 150, 150)]] as const
    expect([...valuesOf(rigOf({ of: 'width' }), none, [0]), ...valuesOf(rigOf({ of: 'overflowX' }), over, [1])]).toEqual([200, 60])
    expect(valuesOf(rigOf({ of: 'overflowY' }), none, [0])).toEqual([0])
    const grown = { ...large, t: 10, elements: { '.card': [{ x: 0, y: 0, width: 320, height: 40 }] } }
    expect(valuesOf(rigOf({ of: 'width' }), none, [5, 15], [{ ...large, t: 0 }, grown])).toEqual([200, 320])
  })

  it('gives a pose as a share of the side, for what is read in px', () => {
    const trace = [at(10, 150, 150), at(20, 900, 450)]
    expect(valuesOf(rigOf({ of: 'xPx' }, { pose: 0.25, isShare: true }), trace, [5, 15, 25])).toEqual([50, 50, 50])
    expect(valuesOf(rigOf({ of: 'yPx', from: 'centre' }, { pose: 1, isShare: true }), trace, [5, 15, 25])).toEqual([50, 0, 50])
    expect(() => readRig({ ...rigOf({ of: 'x' }, { pose: 1, isShare: true }) })).toThrow('a share is of px along a side')
  })

  it('is what a zone chooses of several', () => {
    const rig = rigOf({ of: 'zone', columns: 2, rows: 1 })
    const chosen = { ...rig.channels[0], id: 'k', frame: { each: '.layer' }, signal: { of: 'chosen', by: 'c' } }
    const both = readRig({ ...rig, channels: [...rig.channels, chosen] })
    expect(evaluate(both, [at(0, 120, 150), at(10, 280, 150)], boxes, [5, 15]).moments.map(({ values }) => values)).toEqual([
      [0, 1, 0],
      [1, 0, 1],
    ])
    expect(() => readRig({ ...rig, channels: [chosen] })).toThrow('there is no channel')
  })
})

describe('arrow keys', () => {
  const focus = at(0, 150, 150, { phase: 'focus' })
  const key = (t: number, name: Sample['key']) => at(t, 0, 0, { phase: 'key', key: name })
  const keyed = (trace: readonly Sample[], times: readonly number[], of: 'x' | 'y' = 'x') =>
    read({ of }, trace, times, { arrowKeys: 0.1 })
      .flat()
      .map((value) => Number(value.toFixed(6)))

  it('move the pointer on what has the focus, from its middle or from where it is, to its ends', () => {
    expect(
      keyed(
        [focus, key(10, 'ArrowRight'), key(20, 'ArrowRight'), key(30, 'Home'), key(40, 'ArrowLeft'), key(50, 'End')],
        [15, 25, 35, 45, 55],
      ),
    ).toEqual([0.6, 0.7, 0, 0, 1])
    expect(keyed([at(0, 120, 110), { ...focus, t: 5 }, key(10, 'ArrowDown')], [2, 15], 'y')).toEqual([0.1, 0.2])
  })

  it('do nothing without the focus; what they moved is gone with it, unless the pointer came since', () => {
    expect(keyed([key(10, 'ArrowRight')], [15])).toEqual([0])
    const blur = at(30, 0, 0, { phase: 'blur' })
    expect(keyed([focus, key(10, 'ArrowRight'), blur], [20, 35])).toEqual([0.6, 0])
    expect(keyed([focus, key(10, 'ArrowRight'), at(20, 120, 150), blur], [25, 35])).toEqual([0.1, 0.1])
  })
})

describe('a zone', () => {
  it('is one of columns and rows, held beyond the ends, and kept on a border for as long as asked', () => {
    const zones = { of: 'zone', columns: 4, rows: 2 } as const
    expect([one(zones, 110, 110), one(zones, 299, 199), one(zones, 199, 149), one(zones, 201, 149)]).toEqual([0, 7, 1, 2])
    const trace = [at(0, 199, 110), at(10, 204, 110), at(20, 212, 110), at(30, 196, 110)]
    expect(read({ ...zones, hysteresisPx: 10 }, trace, [5, 15, 25, 35]).flat()).toEqual([1, 1, 2, 2])
  })

  it('is that of the element that a finger is on, where that is asked for', () => {
    const zones = { of: 'zone', columns: 4, rows: 1, touched: '.zone' } as const
    const of = (x: number, pointerType: 'mouse' | 'touch') => read(zones, [at(0, x, 150, { pointerType })], [0], { of: 'window' })[0]?.[0]
    // Over the second one; over none of them; by a mouse.
    expect([of(450, 'touch'), of(300, 'touch'), of(450, 'mouse')]).toEqual([1, 1, 1])
    expect([of(760, 'touch'), of(260, 'touch'), of(760, 'mouse')]).toEqual([1, 1, 3])
    expect([of(50, 'touch'), of(300, 'touch')]).toEqual([0, 1])
  })

  it('is the nearest of given boxes, gutters included', () => {
    const trace = [at(0, 50, 20), at(10, 240, 20), at(20, 262, 20)]
    expect(read({ of: 'nearest', among: '.zone' }, trace, [5, 15, 25], { of: 'window' }).flat()).toEqual([0, 0, 1])
    expect(read({ of: 'nearest', among: '.zone', hysteresisPx: 40 }, trace, [25], { of: 'window' }).flat()).toEqual([0])
  })
})

describe('a side', () => {
  const side = (of: 'entrySide' | 'exitSide', trace: readonly Sample[], t: number, axis?: 'x' | 'y') =>
    read({ of, axis }, trace, [t]).flat()[0]

  it('is the one that the path crosses, however far apart its samples are', () => {
    // From far above and to the left, across the upper edge; out to the right in one leap.
    const trace = [at(0, 190, -400), at(10, 200, 150), at(20, 950, 160)]
    expect([side('entrySide', trace, 15), side('exitSide', trace, 25)]).toEqual([0, 1])
    expect(side('entrySide', [at(0, 0, 190), at(10, 150, 195)], 15)).toBe(3)
    expect(side('entrySide', [at(0, 200, 480), at(10, 200, 150)], 15)).toBe(2)
  })

  it('is one of two where one axis is asked for', () => {
    expect(side('entrySide', [at(0, 0, 190), at(10, 150, 195)], 15, 'y')).toBe(2)
    // In from the left and out to the right, near the upper edge: by the left side, and by the top.
    const across = [at(0, 0, 110), at(10, 150, 112), at(20, 950, 111)]
    expect([
      side('entrySide', across, 15, 'x'),
      side('entrySide', across, 15, 'y'),
      side('exitSide', across, 25, 'x'),
      side('exitSide', across, 25, 'y'),
    ]).toEqual([3, 0, 1, 0])
  })
})
