// What the kinds of depth and light do to numbers, at given pointer positions.
import { describe, expect, it } from 'vitest'
import type { Box } from '../geometry/box'
import { evaluate } from '../rig/evaluate'
import type { Rig } from '../rig/rig'
import type { Sample } from '../signal/sample'
import { driftDefaults } from './drift/settings'
import { expandDrift } from './drift/expand'
import { foldDefaults, foldSettings } from './fold/settings'
import { expandFold } from './fold/expand'
import { followDefaults } from './follow/settings'
import { expandFollow } from './follow/expand'
import { glowDefaults, glowSettings } from './glow/settings'
import { expandGlow } from './glow/expand'
import { grainLightDefaults, grainLightSettings } from './grain-light/settings'
import { expandGrainLight } from './grain-light/expand'
import { noiseUrl } from './grain-light/noise'
import { spotlightDefaults } from './spotlight/settings'
import { expandSpotlight } from './spotlight/expand'
import { tiltDefaults } from './tilt/settings'
import { expandTilt } from './tilt/expand'

const sample = (t: number, x: number, y: number, buttons = 0, phase: Sample['phase'] = 'move'): Sample => ({
  t,
  x,
  y,
  buttons,
  pointerType: 'mouse',
  phase,
})

/** The values of a rig, by column, long after a trace. */
function settled(rig: Rig, elements: Readonly<Record<string, readonly Box[]>>, ...trace: readonly Sample[]): Record<string, number> {
  const { columns, moments } = evaluate(rig, trace, { window: { width: 1280, height: 720 }, elements }, [20_000])
  return Object.fromEntries(columns.map((column, i) => [column, Number(moments[0]?.values[i])]))
}

const card: Box = { x: 100, y: 100, width: 200, height: 100 }

describe('a drift', () => {
  const rig = expandDrift(driftDefaults, '.box', { 'layer-1': '.near', 'layer-2': '.far' })

  it.each([
    [300, 200, -22, -6],
    [100, 100, 22, 6],
    [200, 150, 0, 0],
    [900, 900, 0, 0],
  ])('with the pointer at %i, %i slides its layers by %i and %i px', (x, y, near, far) => {
    const values = settled(rig, { '.box': [card] }, sample(0, x, y))
    for (const axis of ['X', 'Y']) {
      expect(values[`.near translate${axis}[0]`]).toBeCloseTo(near, 3)
      expect(values[`.far translate${axis}[0]`]).toBeCloseTo(far, 3)
    }
  })

  it('leaves out layers that nobody has pointed at', () => {
    expect(expandDrift(driftDefaults, '.box', { 'layer-2': '.far' }).outputs.map(({ to }) => to)).toEqual([
      { within: '.far' },
      { within: '.far' },
    ])
  })

  it('enlarges a layer by as much as it slides to either side', () => {
    const enlarged = expandDrift({ ...driftDefaults, layers: [{ id: 'layer-1', amount: 6 }], kept: 'enlarged' }, '.box', {
      'layer-1': '.near',
    })
    expect(enlarged.outputs.find(({ slot }) => slot.on === 'transform' && slot.fn === 'scale')?.base).toBeCloseTo(1.12)
    expect(enlarged.rules).toEqual([{ select: '.box', whilePlayed: true, css: { overflow: 'clip' } }])
  })
})

describe('a follow', () => {
  const mover: Box = { x: 140, y: 140, width: 20, height: 20 }
  const boxes = { '.ground': [card], '.lamp': [mover] }
  const rig = expandFollow(followDefaults, '.lamp', { ground: '.ground' })

  it('puts the middle of the mover on the pointer, and home when it goes', () => {
    expect(settled(rig, boxes, sample(0, 250, 120))).toMatchObject({ 'translateX[0]': 100, 'translateY[0]': -30 })
    expect(settled(rig, boxes, sample(0, 250, 120), sample(500, 700, 700))).toMatchObject({ 'translateX[0]': 0, 'translateY[0]': 0 })
  })

  it('stays within its limits, and on its one axis', () => {
    const limited = expandFollow({ ...followDefaults, axes: 'across', acrossPx: 40 }, '.lamp', { ground: '.ground' })
    const values = settled(limited, boxes, sample(0, 290, 120))
    expect(values['translateX[0]']).toBeCloseTo(40, 6)
    expect(values['translateY[0]']).toBeUndefined()
  })

  it('rides on its path, and not once it is home', () => {
    const bowed = expandFollow(
      {
        ...followDefaults,
        axes: 'across',
        path: {
          stops: [
            { at: 0, value: 20 },
            { at: 1, value: -20 },
          ],
        },
      },
      '.lamp',
      { ground: '.ground' },
    )
    expect(settled(bowed, boxes, sample(0, 250, 120))['.lamp translateY[0]']).toBeCloseTo(-10, 3)
    expect(settled(bowed, boxes, sample(0, 250, 120), sample(500, 900, 700))['.lamp translateY[0]']).toBeCloseTo(0, 3)
  })

  it('turns to where the pointer heads', () => {
    const turning = expandFollow({ ...followDefaults, facing: 'heading' }, '.lamp', { ground: '.ground' })
    const run = Array.from({ length: 40 }, (_, i) => sample(i * 10, 120 + i * 4, 150))
    const { columns, moments } = evaluate(turning, run, { window: { width: 1280, height: 720 }, elements: boxes }, [1000])
    expect(Number(moments[0]?.values[columns.indexOf('rotate[0]')])).toBeCloseTo(90, 0)
  })

  it('leans by its angle behind a pointer of 1000 px a second, and stands upright at rest', () => {
    const wide: Box = { x: 0, y: 0, width: 1280, height: 720 }
    const leaning = expandFollow({ ...followDefaults, leanDeg: 12, acrossPx: 2000 }, '.lamp', { ground: '.ground' })
    const run = Array.from({ length: 200 }, (_, i) => sample(i * 5, 100 + i * 5, 300))
    const { columns, moments } = evaluate(
      leaning,
      run,
      { window: { width: 1280, height: 720 }, elements: { '.ground': [wide], '.lamp': [mover] } },
      [995, 9000],
    )
    const sum = (index: number) =>
      columns.flatMap((name, i) => (name === 'rotate[0]' ? [Number(moments[index]?.values[i])] : [])).reduce((all, each) => all + each, 0)
    // The glide that smooths the pointer takes its own 36 ms off.
    expect(sum(0)).toBeGreaterThan(5)
    expect(sum(0)).toBeLessThan(12.5)
    expect(sum(1)).toBeCloseTo(0, 2)
  })
})

describe('a spotlight', () => {
  const two = {
    '.ground': [
      { x: 0, y: 0, width: 1000, height: 400 },
      { x: 0, y: 400, width: 1000, height: 400 },
    ],
  }

  it('is lit while the pointer is away, and dark in the ground that has it', () => {
    const rig = expandSpotlight(spotlightDefaults, '.ground')
    expect(settled(rig, two)).toMatchObject({ 'here[0]': 0, 'here[1]': 0 })
    expect(settled(rig, two, sample(0, 500, 60))).toMatchObject({ 'here[0]': 1, 'here[1]': 0 })
    expect(settled(rig, two, sample(0, 500, 60), sample(100, 5000, 60))).toMatchObject({ 'here[0]': 0 })
  })

  it('lies over both grounds near their border, at one and the same point', () => {
    const values = settled(expandSpotlight(spotlightDefaults, '.ground'), two, sample(0, 300, 380))
    expect(values).toMatchObject({ 'here[0]': 1, 'here[1]': 1, 'x[0]': -200, 'x[1]': -200, 'y[0]': 180, 'y[1]': -220 })
  })

  it('does not reach beyond all of its grounds', () => {
    expect(settled(expandSpotlight(spotlightDefaults, '.ground'), two, sample(0, 1100, 200))).toMatchObject({ 'here[0]': 0, 'here[1]': 0 })
  })

  it('narrows and darkens while the button is down', () => {
    const rig = expandSpotlight(spotlightDefaults, '.ground')
    const scaleOf = (values: Record<string, number>) => values['sheet scale[0]']
    expect(scaleOf(settled(rig, two, sample(0, 500, 60)))).toBeCloseTo(1, 4)
    expect(scaleOf(settled(rig, two, sample(0, 500, 60), sample(10, 500, 60, 1, 'down')))).toBeCloseTo(0.7, 4)
  })

  it('parks its pool at the pin, as a share of the ground', () => {
    const rig = expandSpotlight({ ...spotlightDefaults, away: 'pinned', pose: { x: -0.5, y: 0.2 } }, '.ground')
    expect(settled(rig, two)).toMatchObject({ 'sheet translateX[0]': -25, 'sheet translateY[0]': 10 })
    expect(rig.finePointerOnly).toBe(true)
  })
})

describe('a glow', () => {
  const grid = { '.card': [card, { ...card, x: 320 }, { ...card, x: 900 }] }

  it('lights a card and its neighbour, each in its own px, and none that is out of reach', () => {
    const values = settled(expandGlow(glowDefaults, '.card'), grid, sample(0, 290, 150))
    expect(values).toMatchObject({ 'here[0]': 1, 'here[1]': 1, 'here[2]': 0, 'x[0]': 190, 'x[1]': -30, 'y[0]': 50 })
  })

  it('shrinks only the card that the pointer is on', () => {
    const values = settled(expandGlow({ ...glowDefaults, shrinkPercent: 4 }, '.card'), grid, sample(0, 290, 150))
    expect(values['scale[0]']).toBeCloseTo(0.96, 4)
    expect(values['scale[1]']).toBeCloseTo(1, 4)
  })

  it('makes no part for what is not asked for', () => {
    expect(expandGlow({ ...glowDefaults, surfacePercent: 0, edgePx: 0 }, '.card').parts).toEqual([])
    expect(expandGlow({ ...glowDefaults, edgePercent: 0 }, '.card').parts.map(({ id }) => id)).toEqual([
      'surface',
      'surface-pool',
      'surface-tile',
    ])
  })
})

describe('a grain light', () => {
  it('lies under the pointer, counted from the middle of the ground', () => {
    expect(settled(expandGrainLight(grainLightDefaults, '.ground'), { '.ground': [card] }, sample(0, 290, 120))).toMatchObject({
      'x[0]': 90,
      'y[0]': -30,
      'here[0]': 1,
    })
  })

  it('draws its noise as one picture whose edges meet, the same for the same throw', () => {
    const url = noiseUrl(grainLightDefaults)
    expect(url).toBe(noiseUrl({ ...grainLightDefaults }))
    expect(url).not.toBe(noiseUrl({ ...grainLightDefaults, seed: 8 }))
    const svg = decodeURIComponent(url)
    for (const part of ["baseFrequency='0.8'", "numOctaves='2'", "seed='7'", "stitchTiles='stitch'"]) expect(svg).toContain(part)
  })
})

describe('a fold', () => {
  it('slides both copies alike, by a share of the heading', () => {
    const values = settled(expandFold(foldDefaults, '.motto'), { '.motto': [card] }, sample(0, 300, 150))
    expect(values['words-1 translateX[0]']).toBeCloseTo(-12, 3)
    expect(values['words-2 translateX[0]']).toBe(values['words-1 translateX[0]'])
  })

  it('slants its walls opposite ways', () => {
    const slants = (corner: 'outer' | 'inner') =>
      expandFold({ ...foldDefaults, corner }, '.motto').outputs.flatMap(({ slot, factor }) =>
        slot.on === 'transform' && slot.fn === 'skewY' ? [factor] : [],
      )
    expect(slants('outer')).toEqual([-1, 1])
    expect(slants('inner')).toEqual([1, -1])
  })
})

describe('a tilt with more to it', () => {
  it('raises its layers with the pointer, so that the card at rest is as it was designed', () => {
    const rig = expandTilt({ ...tiltDefaults, layers: [{ id: 'layer-1', heightPx: 36 }] }, '.card', { 'layer-1': '.card h3' })
    expect(settled(rig, { '.card': [card] })['.card h3 translateZ[0]']).toBe(0)
    expect(settled(rig, { '.card': [card] }, sample(0, 200, 150))['.card h3 translateZ[0]']).toBeCloseTo(36, 4)
    expect(rig.rules).toEqual([{ select: '.card', whilePlayed: true, css: { 'transform-style': 'preserve-3d' } }])
  })

  it('keeps them raised where it waits in a pose', () => {
    const rig = expandTilt({ ...tiltDefaults, pose: { x: 1, y: 0 }, layers: [{ id: 'layer-1', heightPx: 36 }] }, '.card', {
      'layer-1': '.card h3',
    })
    expect(rig.outputs.find(({ knob }) => knob === 'layer-1')?.channel).toBeUndefined()
  })

  it('sends its sheen against the lean, and its shadow away from the pointer', () => {
    const values = settled(
      expandTilt({ ...tiltDefaults, sheenPercent: 18, shadowPx: 10 }, '.card'),
      { '.card': [card] },
      sample(0, 300, 150),
    )
    expect(values['sheen translateX[0]']).toBeCloseTo(-60, 3)
    expect(values['shadow-across[0]']).toBeCloseTo(-10, 3)
    expect(values['rotateY[0]']).toBeCloseTo(9, 3)
  })

  it('leaves the depth to what the cards stand in where they share a vanishing point', () => {
    const rig = expandTilt({ ...tiltDefaults, vanishing: 'shared' }, '.card')
    expect(rig.outputs.some(({ slot }) => slot.on === 'transform' && slot.fn === 'perspective')).toBe(false)
    expect(rig.rules).toEqual([{ select: ':has(> .card)', css: { perspective: '{perspective}' } }])
  })
})

describe('nonsense', () => {
  it.each([
    [glowSettings, { ...glowDefaults, sizePx: NaN }],
    [glowSettings, { ...glowDefaults, colour: 'red; } body { display: none' }],
    [glowSettings, { ...glowDefaults, reachPx: -4 }],
    [grainLightSettings, { ...grainLightDefaults, gradient: 'much' }],
    [grainLightSettings, { ...grainLightDefaults, detail: 2.5 }],
    [grainLightSettings, { ...grainLightDefaults, colour: '' }],
    [foldSettings, { ...foldDefaults, cornerPercent: 400 }],
    [foldSettings, { ...foldDefaults, ground: '</style><script>' }],
  ] as const)('is refused', (schema, settings) => {
    expect(schema.safeParse(settings).success).toBe(false)
  })
})
