import { describe, expect, it } from 'vitest'
import { plainFacts } from '../../compile/facts'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { evaluate } from '../../rig/evaluate'
import { expandTrail } from './expand'
import { trail } from './index'
import { trailDefaults, type TrailSettings } from './settings'

const rigOf = (changes: Partial<TrailSettings> = {}, select = 'body') => expandTrail({ ...trailDefaults, ...changes }, select)
const sheetOf = (changes: Partial<TrailSettings> = {}) =>
  writeStylesheet([{ number: 1, names: { title: 'a trail', name: 'trail' }, rig: rigOf(changes), sentence: '' }], [], plainFacts)
const at = (t: number, x: number, phase: 'move' | 'leave' = 'move') => ({ t, x, y: 300, buttons: 0, pointerType: 'mouse' as const, phase })
const boxes = { window: { width: 1000, height: 700 }, elements: {} }

describe('a trail', () => {
  it('of pieces that follow one another: behind a steady hand each is later by what was said', () => {
    const steady = Array.from({ length: 401 }, (_, i) => at(i * 5, i * 2))
    const { columns, moments } = evaluate(rigOf({ pieces: 5, lateMs: 50 }), steady, boxes, [2000])
    const xs = [1, 2, 3, 4, 5].map((link) => Number(moments[0]?.values[columns.indexOf(`x.${link}[0]`)]))
    // 400 px/s: 20 px each, turned every 5 ms.
    xs.forEach((x, k) => expect(Math.abs(800 - x - 20 * (k + 1))).toBeLessThan(1.1))
  })

  it('that goes where the pointer went: each is where it was so long ago, since it came', () => {
    const way = [at(0, 100), at(40, 200), at(80, 200), at(120, 500), at(400, 900, 'leave'), at(900, 50)]
    const { columns, moments } = evaluate(rigOf({ law: 'path', pieces: 3, lateMs: 30 }), way, boxes, [10, 90, 130, 170, 1000, 905])
    const xs = moments.map(({ values }) => [1, 2, 3].map((link) => values[columns.indexOf(`x.${link}[0]`)]))
    expect(xs[0]).toEqual([100, 100, 100])
    expect(xs[1]).toEqual([200, 175, 100])
    expect(xs[2]).toEqual([350, 200, 200])
    expect(xs[3]).toEqual([500, 425, 200])
    // It came back elsewhere: nothing of the way before counts.
    expect(xs[4]).toEqual([50, 50, 50])
  })

  it('is at most 24 elements, and on a canvas above that, where it fades instead of fizzing', () => {
    expect(rigOf({ pieces: 24 }).parts.find(({ id }) => id === 'piece')?.count).toBe(24)
    expect(rigOf({ pieces: 40, shape: 'picture', picture: 'a.svg' }).parts.find(({ id }) => id === 'piece')?.count).toBe(24)
    const painted = readRig(rigOf({ pieces: 60, rest: 'fizz' }))
    expect(painted.parts.map(({ id }) => id)).toEqual(['pieces', 'canvas'])
    expect(painted.states?.some(({ animation }) => animation)).toBe(false)
    expect(painted.channels.find(({ id }) => id === 'x')?.chain).toBe(60)
    expect(readRig(rigOf({ shape: 'ribbon', pieces: 9 })).parts[1]?.paints?.as).toBe('ribbon')
  })

  it('is different along it by the number of each piece', () => {
    const sheet = sheetOf({ pieces: 11, turnDeg: 12 })
    expect(sheet).toContain('--piece: calc(var(--trail-size) + (var(--trail-end) - var(--trail-size)) * var(--trail-piece-index) / 10);')
    expect(sheet).toContain('transform: rotate(calc(var(--trail-piece-index) * var(--trail-turn)));')
    expect(sheetOf({ shape: 'text', text: '\u2726<' })).toContain('mask: url("data:image/svg+xml,')
    expect(sheetOf({ shape: 'text', text: '\u2726<' })).not.toContain('<text')
  })

  it('fizzes by an animation of the stylesheet while the pointer rests', () => {
    const sheet = sheetOf({ rest: 'fizz', lifeMs: 900, pieces: 9, seed: 40 })
    expect(sheet).toContain('@keyframes trail-piece-still {')
    expect(sheet).toContain('sin(var(--trail-piece-index) * 137deg + 40deg)')
    expect(sheet).toContain('animation: trail-piece-still 900ms ease-in calc(var(--trail-piece-index) * 100ms) infinite backwards;')
    expect(rigOf({ rest: 'fizz' }).areas[0]?.looks?.stillMs).toBe(140)
    expect(rigOf({ rest: 'gather' }).areas[0]?.looks).toBeUndefined()
  })

  it('leaves pieces behind by the way, so many at most', () => {
    const rig = readRig(rigOf({ law: 'dropped', everyPx: 10, pieces: 4, lifeMs: 500 }))
    const { columns, moments } = evaluate(rig, [at(0, 100), at(20, 200)], boxes, [30, 2000])
    const there = (m: number) => columns.filter((name, i) => name.includes(' x[') && Number.isFinite(moments[m]?.values[i]))
    expect(there(0)).toHaveLength(4)
    expect(there(1)).toHaveLength(0)
  })

  it('is not there for those who prefer less motion, unless it was chosen to be', () => {
    expect(rigOf().notCalm).toBe(true)
    const seen = rigOf({ calm: 'on' })
    expect(seen.notCalm).toBeUndefined()
    expect(new Set(seen.channels.map(({ group }) => group))).toEqual(new Set(['light']))
  })

  it('refuses a text that is none, and one that is too long', () => {
    const control = trail.controls({ ...trailDefaults, shape: 'text' }).find(({ id }) => id === 'text')
    const faultOf = (text: string) => (control?.kind === 'text' ? control.faultOf(text) : 'none')
    expect(faultOf('\u2726')).toBeUndefined()
    expect(faultOf(' ')).toBe('is empty')
    expect(faultOf('a'.repeat(25))).toBe('is too long for a piece of a trail')
  })
})
