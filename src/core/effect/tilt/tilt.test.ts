import { namedFeels } from '../../feel/named'
import { slotName } from '../../rig/slot'
import { describe, expect, it } from 'vitest'
import { formatNumber, parseNumber, stepNumber, type NumberControl } from '../control'
import { tilt } from '.'
import { tiltDefaults, tiltParameters, tiltSettings, type TiltSettings } from './settings'
import { tiltSketch } from './sketch'
import { tiltSentence } from './words'

const tiltControls = tiltParameters.controls(tiltDefaults)

const number = (id: string) => {
  const control = tiltControls.find((each) => each.id === id)
  if (control?.kind !== 'number') throw new Error(`There is no number "${id}".`)
  return control
}
const choice = (id: string) => {
  const control = tiltControls.find((each) => each.id === id)
  if (control?.kind !== 'choice') throw new Error(`There is no choice "${id}".`)
  return control
}

describe('the settings of a tilt', () => {
  it.each([
    ['acrossDeg', 46],
    ['acrossDeg', -1],
    ['acrossDeg', NaN],
    ['perspectivePx', 0],
    ['perspectivePx', 1e9],
    ['liftPx', '12'],
    ['edge', 'floats'],
    ['pose', { x: 2, y: 0 }],
    ['follow', { kind: 'spring', frequencyHz: 0, dampingRatio: 1 }],
  ])('refuse %s = %s', (key, value) => {
    expect(tiltSettings.safeParse({ ...tiltDefaults, [key]: value }).success).toBe(false)
  })

  it('of every recipe pass', () => {
    for (const { settings } of tilt.recipes) expect(tiltSettings.parse(settings)).toEqual(settings)
  })
})

describe('the rig of a tilt', () => {
  it('brings no channel and no knob that it does not need', () => {
    const rig = tilt.expand(tiltDefaults, '.card')
    expect(rig.channels.map(({ id }) => id)).toEqual(['x', 'y'])
    expect(rig.knobs.map(({ id }) => id)).toEqual(['lean', 'perspective'])
  })

  it('has a knob for each angle when they are not linked', () => {
    const rig = tilt.expand({ ...tiltDefaults, linked: false, acrossDeg: 4, upDownDeg: 12 }, '.card')
    expect(rig.knobs.map(({ id, value }) => [id, value])).toEqual([
      ['lean', 4],
      ['lean-up-down', 12],
      ['perspective', 820],
    ])
    expect(rig.outputs.find(({ slot }) => slotName(slot) === 'rotateX')?.knob).toBe('lean-up-down')
  })

  it('grows from its own size', () => {
    const rig = tilt.expand({ ...tiltDefaults, scalePercent: 5 }, '.card')
    expect(rig.outputs.find(({ slot }) => slotName(slot) === 'scale')).toMatchObject({ base: 1, channel: 'here' })
    expect(rig.knobs.at(-1)).toMatchObject({ id: 'scale', value: 0.05 })
  })
})

describe('the words of a tilt', () => {
  it('name only controls and roles that exist', () => {
    const all: TiltSettings = { ...tiltDefaults, linked: false, liftPx: 5, scalePercent: 3 }
    const ids = new Set(tiltControls.map(({ id }) => id))
    for (const piece of [...tilt.sentence(all), ...tilt.time(all)]) {
      if (typeof piece === 'string') continue
      expect('control' in piece ? ids.has(piece.control) : tilt.roles(tiltDefaults).some(({ id }) => id === piece.role)).toBe(true)
    }
  })

  it('say what is so: two angles, the lift', () => {
    const words = (settings: TiltSettings) =>
      tiltSentence(settings)
        .filter((piece) => typeof piece === 'string')
        .join('_')
    expect(words(tiltDefaults)).not.toContain('across')
    expect(words({ ...tiltDefaults, linked: false, liftPx: 8 })).toContain(' across and _ up-down_, seen from _, lifted by ')
  })

  it('turn with the direction', () => {
    const edge = choice('edge')
    expect(edge.read(tilt.turned(tiltDefaults))).toBe('rises')
    expect(tilt.turned(tilt.turned(tiltDefaults))).toEqual(tiltDefaults)
  })

  it('keep the way past the mark when the time to follow changes, and the time when the way does', () => {
    const slower = number('followMs').write(tiltDefaults, 900)
    expect(number('followMs').read(slower)).toBeCloseTo(900, 3)
    expect(number('pastPercent').read(slower)).toBeCloseTo(number('pastPercent').read(tiltDefaults), 9)
    const calmer = number('pastPercent').write(slower, 0)
    expect(calmer.follow).toMatchObject({ kind: 'spring', dampingRatio: 1 })
    expect(number('followMs').read(calmer)).toBeCloseTo(900, 3)
  })

  it('stay within what the schema allows at both ends of every range', () => {
    for (const control of tiltControls) {
      const ends =
        control.kind === 'number'
          ? [control.write(tiltDefaults, control.least), control.write(tiltDefaults, control.greatest)]
          : control.kind === 'choice'
            ? control.options.map(({ value }) => control.write(tiltDefaults, value))
            : control.kind === 'feel'
              ? namedFeels.map(({ feel }) => control.write(tiltDefaults, feel))
              : []
      for (const settings of ends) expect(tiltSettings.safeParse(settings).success, control.id).toBe(true)
    }
  })

  it('go from lying flat to a pose and back, and hold', () => {
    const away = choice('away')
    const posed = away.write(tiltDefaults, 'pose')
    expect(away.read(posed)).toBe('pose')
    expect(tilt.awayPlace(posed)).not.toEqual({ x: 0, y: 0 })
    expect(away.read(away.write(posed, 'flat'))).toBe('flat')
    expect(tilt.awayPlace(away.write(posed, 'hold'))).toBeUndefined()
    expect(away.read(tilt.withAwayPlace(away.write(posed, 'hold'), { x: 0.2, y: 0 }))).toBe('pose')
  })
})

describe('the drawing of a tilt', () => {
  const thick = (settings: Partial<TiltSettings>) =>
    tiltSketch({ ...tiltDefaults, ...settings }).marks.flatMap((mark) => (mark.draw === 'line' && mark.how === 'thick' ? [mark.to] : []))[0]
  it('has the edge under the pointer away from the eye where it sinks, toward it where it rises, and nearer where it is lifted', () => {
    expect(thick({})?.y).toBeLessThan(58)
    expect(thick({ edge: 'rises' })?.y).toBeGreaterThan(58)
    expect(thick({ liftPx: 50 })?.y).toBeCloseTo((thick({})?.y ?? 0) + 6, 9)
    expect(tiltSketch(tiltDefaults).words).toBe('The edge under the pointer sinks by 9°.')
  })
})

describe('a number that is typed', () => {
  const angle: NumberControl<TiltSettings> = number('acrossDeg')
  const time: NumberControl<TiltSettings> = number('followMs')

  it.each([
    ['12', 12],
    [' 12.5 deg ', 12.5],
    ['7\u00b0', 7],
    ['.5', 0.5],
    ['7,5', 7.5],
    ['4.5e1', 45],
  ])('is read from "%s"', (text, value) => {
    expect(parseNumber(text, angle)).toEqual({ value })
  })

  it('may be in seconds where it is a time', () => {
    expect(parseNumber('0.5s', time)).toEqual({ value: 500 })
    expect(parseNumber('500 ms', time)).toEqual({ value: 500 })
  })

  it.each([
    ['', 'is a number or a sum, from 0\u00b0 to 45\u00b0'],
    ['much', 'is a number'],
    ['1e9', 'goes from 0\u00b0 to 45\u00b0'],
    ['-1', 'goes from'],
    ['9 px', 'is given in deg'],
    ['1 2', 'is a number'],
    ['NaN', 'is a number'],
    ['Infinity', 'is a number'],
  ])('is refused as "%s"', (text, reason) => {
    expect(parseNumber(text, angle)).toEqual({ refusal: expect.stringContaining(reason) as string })
  })

  it('is stepped on its grid and stays in range', () => {
    expect(stepNumber(angle, 9, 1)).toBe(10)
    expect(stepNumber(angle, 9, 0.1)).toBe(9.1)
    expect(stepNumber(angle, 44, 10)).toBe(45)
    expect(stepNumber(time, 416.31, 1)).toBe(430)
  })

  it('is shown with its unit', () => {
    expect([formatNumber(9, 'deg'), formatNumber(-3.25, 'px'), formatNumber(0.715, ''), formatNumber(2.27, 'Hz')]).toEqual([
      '9\u00b0',
      '\u22123.3px',
      '0.715',
      '2.27Hz',
    ])
  })
})
