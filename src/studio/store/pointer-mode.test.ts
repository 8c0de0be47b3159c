// The pointer's mode as a table: what each event makes of each mode.
import { describe, expect, it } from 'vitest'
import { modeAfter, pageMode, realPointer, type ModeEvent, type PointerMode } from './pointer-mode'

const edge = (number: number) => ({ number, side: 'left' as const })
const modes: Readonly<Record<string, PointerMode>> = {
  real: realPointer,
  playing: { is: 'playing' },
  held: { is: 'held', look: 'on' },
  fastened: { is: 'fastened' },
  posing: { is: 'posing', because: 'across', asks: true },
  measuring: { is: 'measuring', edges: [edge(1)], measures: [] },
}
const events: Readonly<Record<string, ModeEvent>> = {
  play: { type: 'play' },
  hold: { type: 'hold', look: 'on' },
  fasten: { type: 'fasten' },
  pose: { type: 'pose' },
  measure: { type: 'measure' },
  stop: { type: 'stop playing' },
  letGo: { type: 'let go' },
  escape: { type: 'escape' },
}

/** By mode, what each event makes of it, in the order of `events`. */
const table: Readonly<Record<string, readonly PointerMode['is'][]>> = {
  //           play       hold    fasten      pose      measure      stop         let go       escape
  real: ['playing', 'held', 'fastened', 'posing', 'measuring', 'real', 'real', 'real'],
  playing: ['real', 'held', 'fastened', 'posing', 'measuring', 'real', 'real', 'playing'],
  held: ['playing', 'real', 'fastened', 'posing', 'measuring', 'held', 'real', 'real'],
  fastened: ['playing', 'held', 'real', 'posing', 'measuring', 'fastened', 'real', 'real'],
  posing: ['playing', 'held', 'fastened', 'real', 'measuring', 'posing', 'real', 'real'],
  measuring: ['playing', 'held', 'fastened', 'posing', 'real', 'measuring', 'measuring', 'real'],
}

describe('the pointer’s mode', () => {
  it.each(Object.entries(table))('from %s goes where each event takes it', (name, expected) => {
    const mode = modes[name] ?? realPointer
    expect(Object.values(events).map((event) => modeAfter(mode, event).is)).toEqual(expected)
  })

  it('holds another state without letting go, and asks about a pose only while posing', () => {
    expect(modeAfter({ is: 'held', look: 'on' }, { type: 'hold', look: 'pressed' })).toEqual({ is: 'held', look: 'pressed' })
    expect(modeAfter({ is: 'posing', because: 'both', asks: false }, { type: 'posed', asks: true })).toEqual({
      is: 'posing',
      because: 'both',
      asks: true,
    })
    expect(modeAfter({ is: 'posing', because: 'both', asks: true }, { type: 'posed', because: 'across' })).toEqual({
      is: 'posing',
      because: 'across',
      asks: true,
    })
    expect(modeAfter(realPointer, { type: 'posed', asks: true })).toBe(realPointer)
  })

  it('takes the two edges that were chosen last, and one measure for each width of window, the widest first', () => {
    const both = modeAfter(modeAfter({ is: 'measuring', edges: [edge(1)], measures: [] }, { type: 'edge', edge: edge(2) }), {
      type: 'edge',
      edge: edge(3),
    })
    expect(both).toMatchObject({ edges: [edge(2), edge(3)] })
    const measured = [390, 1280, 390].reduce(
      (mode, width, at) => modeAfter(mode, { type: 'measured', measure: { width, across: [at], down: [] } }),
      both,
    )
    expect(measured).toMatchObject({
      measures: [
        { width: 1280, across: [1] },
        { width: 390, across: [2] },
      ],
    })
    expect(modeAfter(measured, { type: 'edge', edge: edge(4) })).toMatchObject({ edges: [edge(3), edge(4)], measures: [] })
  })

  it('is the very same where an event means nothing to it', () => {
    for (const mode of Object.values(modes)) expect(modeAfter(mode, { type: 'stop playing' }) === mode).toBe(mode.is !== 'playing')
  })
})

describe('the mode as the page mirrors it', () => {
  it('names what the selected effect means where that matters', () => {
    const mirrored = Object.values(modes).map((mode) => pageMode(mode, '.card'))
    expect(mirrored).toEqual([
      { is: 'real' },
      { is: 'playing', select: '.card' },
      { is: 'held', look: 'on' },
      { is: 'fastened' },
      { is: 'posing', select: '.card' },
      { is: 'measuring', edges: [edge(1)], select: '.card' },
    ])
  })

  it('plays and poses nothing where nothing is selected, and plays over what a recipe is tried on', () => {
    expect(pageMode({ is: 'playing' }, undefined)).toEqual({ is: 'real' })
    expect(pageMode(realPointer, '.card', '.other')).toEqual({ is: 'playing', select: '.other' })
  })
})
