import { describe, expect, it } from 'vitest'
import { plainFacts } from '../../compile/facts'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { expandRows } from './expand'
import { rows } from './index'
import { rowsDefaults, rowsSettings, type RowsSettings } from './settings'

const roles = { off: '.row .off', on: '.row .on', picture: '.row img' }
const rigOf = (changes: Partial<RowsSettings> = {}, filled: Readonly<Record<string, string>> = roles) =>
  expandRows({ ...rowsDefaults, ...changes }, '.row', filled)
const sheetOf = (changes: Partial<RowsSettings> = {}) =>
  writeStylesheet([{ number: 1, names: { title: 'rows', name: 'row' }, rig: rigOf(changes), sentence: '' }], [], plainFacts)

describe('rows', () => {
  it('roll by the sides of entry and leaving, above or below', () => {
    const [roll] = rigOf().channels
    expect(roll?.signal).toMatchObject({
      of: 'look',
      values: { off: 1, on: 0 },
      axis: 'y',
      enterFrom: [-1, 1, 1, -1],
      leaveTo: [-1, 1, 1, -1],
    })
    expect(rigOf({ comeMs: 200, goMs: 90 }).channels[0]).toMatchObject({ feel: { durationMs: 200 }, going: { durationMs: 90 } })
  })

  it('push the face that was there a whole height ahead, or cover it', () => {
    const pushed = rigOf().outputs.find(({ curve }) => curve)
    expect(pushed?.to).toEqual({ within: '.row .off' })
    expect(pushed?.curve).toMatchObject({ stops: [{ at: -1, value: 0 }, { at: 0, value: 1 }, { value: -1 }, { at: 1, value: 0 }] })
    expect(rigOf({ off: 'covered' }).outputs.some(({ curve }) => curve)).toBe(false)
  })

  it('show a picture at two rows at most, the current one on top, beside the pointer or in its place', () => {
    const sheet = sheetOf()
    expect(rigOf().parts.map(({ id, lives }) => [id, lives])).toEqual([
      ['picture', { atMostAt: 2 }],
      ['shot', undefined],
    ])
    expect(sheet).toMatch(/> \.row-picture \{\n\s+z-index: 2;/)
    expect(sheet).toMatch(/\.row\[data-row\] img \{\n\s+display: none;/)
    expect(sheetOf({ picture: 'place', placeX: 60 })).toContain('left: calc(60vw - var(--row-picture-width) / 2);')
    expect(rigOf({ picture: 'place' }).channels.map(({ id }) => id)).toEqual(['roll'])
    expect(rigOf({}, { off: '.row .off', on: '.row .on' }).parts).toEqual([])
  })

  it('change at once for those who prefer it so, and keep what is out of sight from being read', () => {
    const sheet = sheetOf()
    expect(sheet).toMatch(
      /\(prefers-reduced-motion: reduce\) \{[^]*\.row \.on \{ transform: none !important; \}[^]*\.row-shot \{ transform: none !important; \}/,
    )
    expect(sheet).toMatch(/\.row\[data-row="off"\] \.on \{\n\s+visibility: hidden;\n\s+transition: visibility 260ms linear;/)
  })

  it('do nothing without a second face, and refuse nonsense', () => {
    expect(rigOf({}, {}).channels).toEqual([])
    expect(rigOf({}, { off: '.a', on: '.a' }).channels).toEqual([])
    expect(() => readRig(rigOf())).not.toThrow()
    // No picture is left 400 ms after leaving.
    expect(rowsSettings.safeParse({ ...rowsDefaults, goMs: 401 }).success).toBe(false)
    expect(rows.controls({ ...rowsDefaults, picture: 'place' }).map(({ id }) => id)).not.toContain('besideXPx')
  })
})
