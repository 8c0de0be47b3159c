import { describe, expect, it } from 'vitest'
import { apart, contrastOf, over, readColour, type Rgba } from '../curve/seen-colour'
import { isLostOn, shadeOn } from './lights'

const white: Rgba = [1, 1, 1, 1]
const black: Rgba = [0, 0, 0, 1]

describe('colours as they are seen', () => {
  it.each([
    ['#fff', [1, 1, 1, 1]],
    ['rgb(255 0 0 / 50%)', [1, 0, 0, 0.5]],
    ['oklab(1 0 0)', [1, 1, 1, 1]],
    ['color(srgb 0 1 0)', [0, 1, 0, 1]],
    ['hsl(240 100% 50%)', [0, 0, 1, 1]],
  ])('reads %s', (css, colour) => {
    readColour(css)?.forEach((value, i) => expect(value).toBeCloseTo(colour[i] ?? NaN, 3))
  })

  it('reads no colour where there is none', () => {
    expect(readColour('currentcolor')).toBeUndefined()
    expect(readColour('url(a.png)')).toBeUndefined()
  })

  it('lays one over another by its alpha, its opacity and its blend', () => {
    expect(over([1, 1, 1, 0.5], black)).toEqual([0.5, 0.5, 0.5, 1])
    expect(over([1, 1, 1, 0.5], black, 0.5)).toEqual([0.25, 0.25, 0.25, 1])
    const grey: Rgba = [0.5, 0.5, 0.5, 1]
    expect(over(grey, grey, 1, 'screen')).toEqual([0.75, 0.75, 0.75, 1])
    expect(over(grey, grey, 1, 'multiply')).toEqual([0.25, 0.25, 0.25, 1])
    expect(over([0.25, 0.25, 0.25, 1], grey, 1, 'overlay')).toEqual([0.25, 0.25, 0.25, 1])
    expect(over(grey, grey, 1, 'soft-light')).toEqual([0.5, 0.5, 0.5, 1])
    for (const blend of ['screen', 'overlay'] as const) expect(over(white, white, 1, blend)).toEqual(white)
  })

  it('knows how far they are apart, and the contrast of WCAG', () => {
    expect(apart(white, black)).toBeCloseTo(1, 3)
    expect(apart(white, white)).toBe(0)
    expect(contrastOf(white, black)).toBeCloseTo(21, 6)
    expect(contrastOf(readColour('#767676') ?? white, white)).toBeCloseTo(4.54, 2)
  })
})

describe('light on a ground', () => {
  const light = (colour: string, strength: number, blend: 'normal' | 'screen' = 'normal') => [{ colour, strength, blend }]

  it('is lost where it is like it, or where its blend leaves nothing', () => {
    expect(isLostOn(light('#fff', 0.3), 'rgb(253, 253, 253)')).toBe(true)
    expect(isLostOn(light('#fff', 0.3), 'rgb(40, 60, 50)')).toBe(false)
    expect(isLostOn(light('#f2b866', 0.5, 'screen'), 'rgb(255, 255, 255)')).toBe(true)
    expect(isLostOn(light('#f2b866', 0.22), 'rgb(255, 255, 255)')).toBe(false)
    expect(isLostOn([], 'rgb(255, 255, 255)')).toBe(false)
    expect(isLostOn(light('#fff', 0.3), 'none')).toBe(false)
  })

  it('is seen as a shade of it', () => {
    for (const ground of ['rgb(255, 255, 255)', 'rgb(250, 246, 236)', 'rgb(18, 20, 26)', 'rgb(128, 128, 128)'])
      expect(isLostOn(light(shadeOn(ground) ?? '', 0.2), ground), ground).toBe(false)
    expect(shadeOn('none')).toBeUndefined()
  })
})
