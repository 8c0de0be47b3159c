import { describe, expect, it } from 'vitest'
import { readRig } from './check'
import { areaOf, asOneSelector, selectOf, targetSelect } from './resolve'
import { markOfOutput } from './plan'

describe('what an output is written on', () => {
  it.each([
    ['.card', 'self', '.card'],
    ['.card', { part: 'glow' }, '.card'],
    ['.card', { linked: '.door' }, '.door'],
    ['.card', { within: 'img' }, '.card img'],
    ['.card', { within: '.card img' }, '.card img'],
    ['.card', { within: '> img' }, '.card :is(> img)'],
    ['.card, .plate', { within: 'img' }, ':is(.card, .plate) img'],
    ['.card, .plate', { within: 'img, svg' }, ':is(.card, .plate) :is(img, svg)'],
  ] as const)('of %j, to %j', (frame, to, select) => {
    expect(targetSelect(frame, to)).toBe(select)
  })

  it('takes a list as one selector, and leaves one selector as it is', () => {
    expect(asOneSelector('main > .card')).toBe('main > .card')
    expect(asOneSelector('.card, .plate')).toBe(':is(.card, .plate)')
  })

  const channel = (id: string, change: object = {}) => ({
    id,
    area: 'area',
    signal: { of: 'centredX' },
    frame: 'area',
    away: { kind: 'settle', pose: 0 },
    feel: { kind: 'direct' },
    group: 'light',
    ...change,
  })
  const output = (change: object) => ({ slot: { on: 'transform', fn: 'rotateY' }, to: 'self', base: 0, factor: 1, strength: 1, ...change })
  const area = (id: string, change: object = {}) => ({
    id,
    of: 'each',
    select: '.card',
    box: 'still',
    among: 'one',
    pointer: 'any',
    touch: 'none',
    ...change,
  })
  const rig = readRig({
    areas: [area('area'), area('window', { of: 'window', select: ':root' }), area('ground', { select: '.ground' })],
    channels: [channel('x'), channel('all', { area: 'window' }), channel('held', { area: 'ground', frame: { each: '.mover' } })],
    knobs: [],
    outputs: [
      output({ channel: 'x' }),
      output({ channel: 'all' }),
      output({ channel: 'held' }),
      output({ weight: 'held' }),
      output({ base: 4 }),
    ],
    parts: [],
    rules: [],
  })
  it.each([
    [0, 'area', '.card'],
    [1, 'window', ':root'],
    [2, 'ground', '.mover'],
    [3, 'ground', '.mover'],
    [4, 'area', '.card'],
  ])('output %d is read in %s and written on %s', (index, areaId, select) => {
    const [one] = rig.outputs.slice(index)
    expect(one && areaOf(rig, one)?.id).toBe(areaId)
    expect(one && selectOf(rig, one)).toBe(select)
    expect(one && markOfOutput({ title: '', name: 'lean' }, rig, one)).toBe(areaId === 'area' ? 'data-lean' : `data-lean-${areaId}`)
  })
})
