import { describe, expect, it } from 'vitest'
import { plainFacts } from '../../compile/facts'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { needsScript } from '../../compile/needs-script'
import { expandNote } from './expand'
import { note } from './index'
import { noteDefaults, noteSettings, type NoteSettings } from './settings'

const rigOf = (changes: Partial<NoteSettings> = {}, filled: Readonly<Record<string, string>> = { note: '.note' }) =>
  expandNote({ ...noteDefaults, ...changes }, '.term', filled)
const sheetOf = (changes: Partial<NoteSettings> = {}) =>
  writeStylesheet([{ number: 1, names: { title: 'a note', name: 'term' }, rig: rigOf(changes), sentence: '' }], [], plainFacts)

describe('a note', () => {
  it('is one place with what it is about, waits before it goes, and is dismissed by Escape', () => {
    const [area] = rigOf({ waitMs: 450, atMostOne: false }).areas
    expect(area).toMatchObject({ joined: '.note', describes: true, looks: { goDelayMs: 450, atMostOne: false, keys: true, escape: true } })
    expect(needsScript(rigOf())).toBe(true)
    expect(() => readRig(rigOf())).not.toThrow()
  })

  it.each([
    ['top', 'center', 'position-area: top;', 'margin-bottom: var(--note-gap, var(--term-gap));'],
    ['top', 'start', 'position-area: top span-right;', 'flip-block'],
    ['bottom', 'end', 'position-area: bottom span-left;', 'margin-top'],
    ['left', 'start', 'position-area: left span-bottom;', 'flip-inline'],
    ['right', 'center', 'position-area: right;', 'margin-left'],
  ] as const)('lies %s of it, %s', (side, align, area, more) => {
    const sheet = sheetOf({ side, align })
    expect(sheet).toContain(area)
    expect(sheet).toContain(more)
    expect(rigOf({ side, align, gapPx: 14 }).areas[0]?.placed).toEqual({ side, align, gapPx: 14 })
  })

  it('comes from its anchor and goes on away from it, or back', () => {
    const moving = (changes: Partial<NoteSettings>) => sheetOf(changes).split('(prefers-reduced-motion: no-preference)')[1] ?? ''
    expect(moving({ side: 'top' })).toMatch(/="off"\] \{\n\s+translate: 0 calc\(var\(--term-travel\) \* -1\);/)
    expect(moving({ side: 'top' })).toMatch(/@starting-style \{\n\s+translate: 0 var\(--term-travel\);/)
    expect(moving({ side: 'top', leaves: 'back' })).toMatch(/="off"\] \{\n\s+translate: 0 var\(--term-travel\);/)
    expect(moving({ side: 'right' })).toMatch(/="off"\] \{\n\s+translate: var\(--term-travel\) 0;/)
    expect(moving({ travelPx: 0 })).toBe('')
  })

  it('is there until it has gone, and hidden without a script only where that is chosen', () => {
    expect(sheetOf()).toMatch(
      /\.note\[data-term="off"\] \{\n\s+display: none;[^}]*transition: display [^;]*;\n\s+transition-behavior: allow-discrete;/,
    )
    expect(sheetOf({ display: 'grid' })).toMatch(/\.note:is\([^{]*\{\n\s+display: grid;/)
    expect(sheetOf({ noScript: 'hidden' })).toMatch(/\n {2}\.note \{\n\s+display: none;/)
    expect(sheetOf()).not.toMatch(/\n {2}\.note \{/)
    // Nothing that says where it lies takes any time.
    expect(sheetOf()).not.toMatch(/transition:[^;]*(inset|margin|position)/)
  })

  it('does nothing until a note is pointed at, and can be turned over', () => {
    expect(rigOf({}, {}).states).toBeUndefined()
    expect(rigOf({}, { note: '.term' }).states).toBeUndefined()
    expect(note.turned({ ...noteDefaults, side: 'left' }).side).toBe('right')
    expect(noteSettings.safeParse({ ...noteDefaults, waitMs: -1 }).success).toBe(false)
  })

  it('has knobs where its values are used', () => {
    expect(sheetOf()).toMatch(/\.term,\n\.note \{\n\s+--term-gap: 10px;/)
  })
})
