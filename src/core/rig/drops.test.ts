import { describe, expect, it } from 'vitest'
import { emptyFrame, frameOf } from '../geometry/frame'
import { rigSchema } from './check'
import { dropsAt, followWay, newWay, standOnWay } from './drops'
import type { Dropped } from './rig'

const frame = Object.assign(emptyFrame(), frameOf({ x: 100, y: 50, width: 400, height: 300 }))
const wayOf = (every: Dropped['every'], more: Partial<Dropped> = {}) => newWay('star', { every, forMs: 1000, atMost: 8, ...more }, frame)
type Way = ReturnType<typeof wayOf>
const come = (way: Way, x: number, y: number, t: number) => followWay(way, x, y, t, true, true)
const move = (way: Way, x: number, y: number, t: number) => followWay(way, x, y, t, true, false)
const leave = (way: Way, x: number, y: number, t: number) => followWay(way, x, y, t, false, false)
const told = (way: Way, t: number) =>
  dropsAt(way, t).map(({ index, x, y, t: fallenAt }) => [index, x, y, fallenAt].map((each) => Math.round(each * 1000) / 1000))

describe('what is dropped along the way of the pointer', () => {
  it('falls where the pointer comes in, and with every so many px from there, whatever the samples', () => {
    const [fast, slow] = [wayOf({ px: 30 }), wayOf({ px: 30 })]
    come(fast, 110, 60, 0)
    move(fast, 210, 60, 40)
    come(slow, 110, 60, 0)
    for (let i = 1; i <= 40; i++) move(slow, 110 + 2.5 * i, 60, i)
    const points = (way: Way) => told(way, 40).map(([index, x, y]) => [index, x, y])
    expect(points(fast)).toEqual([
      [3, 100, 10],
      [2, 70, 10],
      [1, 40, 10],
      [0, 10, 10],
    ])
    expect(points(slow)).toEqual(points(fast))
    expect(told(fast, 40).map(([, , , t]) => t)).toEqual([40, 40, 40, 0])
  })

  it('falls round corners by the length of the way', () => {
    const way = wayOf({ px: 50 })
    come(way, 100, 50, 0)
    move(way, 130, 50, 10)
    move(way, 130, 90, 20)
    expect(told(way, 20).map(([, x, y]) => [x, y])).toEqual([
      [30, 20],
      [0, 0],
    ])
  })

  it('falls with every so many ms where the pointer was then, also while it stands', () => {
    const way = wayOf({ ms: 40 })
    come(way, 110, 60, 0)
    move(way, 150, 60, 70)
    standOnWay(way, 100)
    standOnWay(way, 130)
    expect(told(way, 130)).toEqual([
      [3, 50, 10, 120],
      [2, 50, 10, 80],
      [1, 10, 10, 40],
      [0, 10, 10, 0],
    ])
  })

  it('falls as well until the pointer leaves, and not on its way back', () => {
    const [byTime, byWay] = [wayOf({ ms: 40 }), wayOf({ px: 30 })]
    for (const way of [byTime, byWay]) {
      come(way, 110, 60, 0)
      leave(way, 900, 60, 90)
      come(way, 110, 350, 400)
    }
    expect(told(byTime, 400).map(([, , , t]) => t)).toEqual([400, 80, 40, 0])
    expect(told(byWay, 400).map(([index, , y]) => [index, y])).toEqual([
      [1, 300],
      [0, 10],
    ])
  })

  it('is gone when its time is over, and never more than so many', () => {
    const way = wayOf({ px: 1 }, { atMost: 3, forMs: 100 })
    come(way, 110, 60, 0)
    move(way, 310, 60, 10)
    expect(told(way, 10).map(([index, x]) => [index, x])).toEqual([
      [200, 210],
      [199, 209],
      [198, 208],
    ])
    expect(told(way, 109)).toHaveLength(3)
    expect(told(way, 110)).toEqual([])
  })

  it('costs nothing of a pause that nobody saw', () => {
    const way = wayOf({ ms: 4 }, { atMost: 5, forMs: 60_000 })
    come(way, 110, 60, 0)
    standOnWay(way, 3_600_000)
    expect(told(way, 3_600_000).map(([index]) => index)).toEqual([900_000, 899_999, 899_998, 899_997, 899_996])
  })
})

describe('a part that is dropped', () => {
  const lives = { every: { px: 30 }, forMs: 400, atMost: 6 }
  const refusal = (part: object, more: object = {}) => {
    const result = rigSchema.safeParse({
      areas: [{ id: 'desk', of: 'group', select: '.desk', box: 'still', among: 'one', pointer: 'fine', touch: 'none' }],
      ...{ channels: [], knobs: [], outputs: [], rules: [] },
      parts: [{ id: 'star', area: 'desk', lives, css: {}, ...part }],
      ...more,
    })
    return result.success ? 'taken' : (result.error.issues[0]?.message ?? '')
  }

  it('is taken with a text or a picture, in the top layer, and with its number in its CSS', () => {
    expect(refusal({})).toBe('taken')
    expect(refusal({ holds: { picture: {} }, host: 'top' })).toBe('taken')
    expect(refusal({ css: { rotate: 'calc({index} * 9deg)' }, lives: { ...lives, to: { opacity: 'calc(1 / {index})' } } })).toBe('taken')
  })

  it.each([
    ['holds a copy', { holds: 'copy' }, 'it holds a text or a picture at most'],
    ['is letters', { holds: { split: 'letters' } }, 'letters and words lie in another part'],
    ['can be reached', { reached: true }, 'is reached by nobody'],
    ['is counted besides', { count: 3 }, 'it holds a text or a picture at most'],
    ['stands on another element', { host: { on: '.shelf' } }, 'stands in its area, or over all else'],
    ['falls more often than there are instants', { lives: { ...lives, every: { ms: 1 } } }, ''],
    ['asks for a knob that there is not', { css: { width: '{size}' } }, 'there is no knob or token "size"'],
    ['asks so in its life', { lives: { ...lives, from: { width: '{size}' } } }, 'there is no knob or token "size"'],
  ])('is refused where it %s', (_, part, message) => {
    const said = refusal(part)
    expect(said).not.toBe('taken')
    expect(said).toContain(message)
  })

  it('is no frame of reference, and nothing lies in it; its number is only its own', () => {
    const star = { id: 'star', area: 'desk', lives, css: {} }
    expect(refusal({}, { parts: [star, { id: 'ray', area: 'desk', inside: 'star', css: {} }] })).toContain('nothing lies in "star"')
    const channel = { id: 'x', area: 'desk', frame: { part: 'star' }, signal: { of: 'x' }, away: { kind: 'hold', pose: 0 } }
    expect(refusal({}, { channels: [{ ...channel, feel: { kind: 'direct' }, group: 'light' }] })).toContain('stays there')
    expect(refusal({ lives: undefined, css: { rotate: '{index}' } })).toContain('there is no knob or token "index"')
  })
})
