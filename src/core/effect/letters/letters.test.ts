// Letters: what their settings make of the rig and of its CSS.
import { describe, expect, it } from 'vitest'
import { plainFacts } from '../../compile/facts'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { evaluate } from '../../rig/evaluate'
import { expandLetters } from './expand'
import { letters } from './index'
import { lettersDefaults, type LettersSettings } from './settings'

const rigOf = (changes: Partial<LettersSettings> = {}, select = 'h1') => expandLetters({ ...lettersDefaults, ...changes }, select)
const sheetOf = (changes: Partial<LettersSettings> = {}, facts: Partial<typeof plainFacts> = {}) =>
  writeStylesheet([{ number: 1, names: { title: 'letters', name: 'motto' }, rig: rigOf(changes), sentence: '' }], [], {
    ...plainFacts,
    ...facts,
  })
const letterCss = (changes: Partial<LettersSettings> = {}) => readRig(rigOf(changes)).parts.find(({ id }) => id === 'letter')?.css ?? {}

describe('letters', () => {
  it('are as the page has them, where nothing is asked of them', () => {
    const css = letterCss()
    expect(css['font-weight']).toBe('var(--letter-weight)')
    expect(css.color).toBe('var(--letter-colour)')
    for (const property of ['transform', 'filter']) expect(css).not.toHaveProperty(property)
    expect(readRig(rigOf()).knobs.map(({ id }) => id)).toEqual(['reach'])
  })

  it('have of all they can do what is asked for, with a knob each', () => {
    const all = { weight: 700, sizePercent: 130, risePx: 8, asidePx: -6, turnDeg: 12, blurPx: 2, colours: 'other' } as const
    expect(letterCss(all).transform).toMatch(/^translate\(.*\) translateY\(.*\) rotate\(.*\) scale\(.*\)$/)
    expect(letterCss(all).filter).toBe('blur(calc({blur} * var(--near)))')
    expect(readRig(rigOf(all)).knobs.map(({ id }) => id)).toEqual(['reach', 'weight', 'size', 'rise', 'aside', 'turn', 'blur'])
    const sheet = sheetOf(all)
    for (const line of [
      '--motto-reach: 160px;',
      '--motto-size: 1.3;',
      '--motto-rise: 8px;',
      '--motto-turn: 12deg;',
      '--motto-aside: -6px;',
    ])
      expect(sheet).toContain(line)
  })

  it('hide what they lie over, of every text that a selector means, and stay where they are for those who prefer less motion', () => {
    expect(rigOf({}, 'h1, .motto').rules[0]?.select).toBe(':is(h1, .motto):has(> [data-letters])')
    expect(sheetOf({ risePx: 9 })).toMatch(/prefers-reduced-motion: reduce\) \{\n {2}\.motto-letter \{ transform: none !important; \}/)
  })

  it('are told where the pointer is in their text, from as far as they reach, and nothing once it has gone', () => {
    const at = (t: number, x: number, y: number) => ({ t, x, y, buttons: 0, pointerType: 'mouse' as const, phase: 'move' as const })
    const boxes = { window: { width: 1000, height: 700 }, elements: { h1: [{ x: 300, y: 200, width: 400, height: 60 }] } }
    const { columns, moments } = evaluate(rigOf({ comeMs: 0, goMs: 0 }), [at(0, 250, 210), at(2000, 20, 20)], boxes, [1900, 4000])
    const told = moments.map(({ values }) => ['here[0]', 'x[0]', 'y[0]'].map((column) => values[columns.indexOf(column)]))
    expect(told).toEqual([
      [1, -50, 10],
      [0, -50, 10],
    ])
  })

  it('hear the script also on a page whose important rules are for everything', () => {
    const sheet = sheetOf({ risePx: 8 }, { partStyles: ['color'] })
    expect(sheet).toMatch(/color: .* !important;/)
    expect(sheet).toContain('--near: 0;')
    expect(sheet).not.toMatch(/--near: 0 !important/)
  })

  it('that are turned about go the other way', () => {
    expect(letters.turned({ ...lettersDefaults, risePx: 5, turnDeg: -8 })).toMatchObject({ risePx: -5, turnDeg: 8 })
  })
})
