// Colours as they are picked: read from CSS and written again.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { held, isShown, readPicked, writeHex, writeOklch } from './picked-colour'

describe('a colour that is picked', () => {
  it.each(['#a8326a', '#000000', '#ffffff', '#3f6b4c80', '#f2b86600'])('%s is read and written as it was', (css) => {
    expect(writeHex(readPicked(css) ?? fail(css))).toBe(css)
  })

  it.each([
    ['oklch(0.62 0.14 240)', 'oklch(0.62 0.14 240)'],
    ['oklch(0.62 0.14 240 / 0.5)', 'oklch(0.62 0.14 240 / 0.5)'],
    ['red', 'oklch(0.628 0.2577 29.2)'],
    ['rgb(0 0 0 / 40%)', 'oklch(0 0 0 / 0.4)'],
  ])('%s is %s', (css, written) => {
    expect(writeOklch(readPicked(css) ?? fail(css))).toBe(written)
  })

  it('keeps the hue of grey, and reads nothing that hangs on where it stands', () => {
    expect(readPicked('#777777', 210)?.hue).toBe(210)
    for (const css of ['currentcolor', 'var(--gold)', 'no colour', '']) expect(readPicked(css)).toBeUndefined()
  })

  it.each(['#fff', '#000', '#f00', '#00f', '#0f0', '#ff0', '#808080'])('%s is one that a screen with the colours of sRGB shows', (css) => {
    const picked = readPicked(css)
    expect(picked && isShown(picked)).toBe(true)
    expect(isShown({ lightness: 0.7, chroma: 0.33, hue: 150, alpha: 1 })).toBe(false)
  })

  it('is written within sRGB, as near as that goes, whatever is picked', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(share, share, share, (lightness, chroma, turn) => {
        const picked = { lightness, chroma: chroma * 0.33, hue: turn * 360, alpha: 1 }
        const within = held(picked)
        expect(within.chroma).toBeLessThanOrEqual(picked.chroma)
        expect(within.lightness).toBe(lightness)
        if (isShown(picked)) expect(within).toBe(picked)
        expect(writeHex(picked)).toMatch(/^#[0-9a-f]{6}$/)
      }),
      { numRuns: 300 },
    )
  })
})

function fail(css: string): never {
  throw new Error(`${css} was not read.`)
}
