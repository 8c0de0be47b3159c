import { describe, expect, it } from 'vitest'
import { compile } from '../../compile/compile'
import { plainFacts, worstFacts } from '../../compile/facts'
import { needsScript } from '../../compile/needs-script'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { findKind } from '../kinds'
import { expandSpread, reasonOf } from './expand'
import { spread } from './index'
import { spreadDefaults, spreadSettings, type SpreadSettings } from './settings'

const rigOf = (changes: Partial<SpreadSettings> = {}, filled: Readonly<Record<string, string>> = { content: '.words' }) =>
  expandSpread({ ...spreadDefaults, ...changes }, '.panel', filled)
const names = { title: 'a spread', name: 'panel' }
const sheetOf = (changes: Partial<SpreadSettings> = {}, facts = plainFacts) =>
  writeStylesheet([{ number: 1, names, rig: rigOf(changes), sentence: '' }], [], facts)
const scripted: readonly Partial<SpreadSettings>[] = [{ plays: 'open' }, { plays: 'never' }, { first: 2 }, { stays: true }]

describe('a spread', () => {
  it('is done by CSS unless something else is asked, and says what that is', () => {
    for (const facts of [plainFacts, worstFacts]) expect(compile([{ rig: rigOf(), names }], facts, [])).toBe('')
    expect(reasonOf(spreadDefaults)).toBeUndefined()
    expect(spread.time(spreadDefaults).at(-1)).toContain('CSS does all of it')
    for (const changes of scripted) {
      expect(() => readRig(rigOf(changes))).not.toThrow()
      expect(needsScript(rigOf(changes))).toBe(true)
      expect(spread.time({ ...spreadDefaults, ...changes }).at(-1)).toContain(reasonOf({ ...spreadDefaults, ...changes }))
    }
  })

  it('grows by flex-grow, at once for those who prefer reduced motion', () => {
    const [still = '', moving = ''] = sheetOf({ growsTimes: 3 }).split('(prefers-reduced-motion: no-preference)')
    expect(still).toContain('--panel-grows: 3;')
    expect(still).toContain('flex-grow: var(--panel-grows);')
    expect(still).not.toMatch(/transition: [^;]*flex-grow/)
    expect(moving).toContain('transition: flex-grow var(--panel-opens), background-image var(--panel-opens);')
    // The contents come in their time for everybody.
    expect(still).toContain('transition: opacity var(--panel-opens);')
  })

  it('goes on with transitions of the page itself', () => {
    const rule = { context: [], select: '.panel', declarations: [['transition', 'color 1s']] } as const
    const sheet = sheetOf({ off: 'seen' }, { ...plainFacts, ownRules: [rule] })
    expect(sheet).toContain('transition: var(--own-transition, visibility 0s), flex-grow var(--panel-opens) !important;')
  })

  it('holds contents at the width that they have in an open panel, side by side alone', () => {
    const width = (changes: Partial<SpreadSettings>) => rigOf(changes).rules.find(({ css }) => css.width)?.css.width
    expect(width({})).toContain('- {count} * {beside}) * {grows} / ({count} - 1 + {grows})')
    expect(width({ isHeld: false })).toBeUndefined()
    expect(width({ along: 'down' })).toBeUndefined()
    expect(sheetOf({ panels: 4, besidePx: 44 })).toMatch(/--panel-count: 4;[^]*--panel-beside: 44px;/)
  })

  it.each([
    ['none', { opacity: '0' }, true],
    ['dim', { opacity: '0.35' }, false],
    ['seen', undefined, false],
  ] as const)('has contents that are seen %s while off', (off, css, hidesGround) => {
    const states = rigOf({ off }).states ?? []
    expect(states.find(({ to, looks }) => typeof to === 'object' && looks.includes('off'))?.css).toEqual(css)
    expect(states[0]?.css['background-image']).toBe(hidesGround ? 'none' : undefined)
  })

  it('plays, pauses and starts what moves', () => {
    const media = (changes: Partial<SpreadSettings>) => (rigOf(changes).states ?? []).flatMap((state) => state.media ?? [])
    expect(media({})).toEqual([])
    expect(media({ plays: 'open' })).toEqual(['pause', 'play'])
    expect(media({ plays: 'open', resumes: 'start' })).toEqual(['pause', 'restart'])
    expect(media({ plays: 'always' })).toEqual(['play', 'play'])
    expect(media({ plays: 'never' })).toEqual(['pause', 'pause'])
  })

  it('has one open from the start, keeps the last one, and is not there in narrow windows', () => {
    expect(rigOf({ first: 3, stays: true }).areas[0]?.looks).toMatchObject({ first: 2, stays: true, atMostOne: true })
    expect(rigOf().areas[0]?.looks).toEqual({ goDelayMs: 0, atMostOne: false, keys: true })
    expect(rigOf().media).toBe('(min-width: 640px)')
    expect(rigOf({ stackBelowPx: 0 }).media).toBeUndefined()
  })

  it('meets the row that it is put on', () => {
    const row = { count: 5, gapPx: 14, besidePx: 44, along: 'down', isFlex: false, isGrid: false } as const
    expect(spread.onRow?.(spreadDefaults, row)).toMatchObject({ panels: 5, gapPx: 6, besidePx: 44, along: 'down', lays: 'effect' })
    expect(spread.onRow?.(spreadDefaults, { ...row, isGrid: true })).toMatchObject({ gapPx: 14, lays: 'grid' })
    expect(spread.onRow?.(spreadDefaults, { ...row, isFlex: true })).toMatchObject({ gapPx: 14, lays: 'page' })
    expect(spreadSettings.safeParse(spread.onRow?.(spreadDefaults, { ...row, count: 900, gapPx: 9000, besidePx: 9000 })).success).toBe(true)
    const laid = rigOf({ lays: 'effect', along: 'down' })
    expect(laid.rules[0]?.css).toMatchObject({ display: 'flex', 'flex-direction': 'column' })
  })

  it('grows by the tracks of a grid, as many as there are, and as a flex box where a script tells what is open', () => {
    const sheet = sheetOf({ lays: 'grid', panels: 3, growsTimes: 2 })
    expect(sheet).toMatch(/:has\(> \.panel\) \{[^}]*grid-template-columns: 1fr 1fr 1fr;/)
    for (const [i, tracks] of ['2fr 1fr 1fr', '1fr 2fr 1fr', '1fr 1fr 2fr'].entries())
      expect(sheet).toMatch(new RegExp(`nth-child\\(${i + 1} of \\.panel\\)[^{]*\\{\\s+grid-template-columns: ${tracks};`))
    expect(sheet).not.toContain('flex-grow')
    const [still = '', moving = ''] = sheet.split('(prefers-reduced-motion: no-preference)')
    expect(still).not.toContain('transition: grid-template')
    expect(moving).toContain('transition: grid-template-columns 380ms cubic-bezier(0.3, 0.7, 0.2, 1);')
    expect(sheetOf({ lays: 'grid', along: 'down', off: 'seen' })).toContain('grid-template-rows: 2.4fr 1fr 1fr 1fr 1fr 1fr;')
    expect(rigOf({ lays: 'grid', stays: true }).rules[0]?.css).toMatchObject({ display: 'flex' })
    for (const off of ['seen', 'dim', 'none'] as const) expect(() => readRig(rigOf({ lays: 'grid', off }))).not.toThrow()
  })

  it('takes all but headings for contents, and has the words that matter', () => {
    expect(rigOf({}, {}).states?.map(({ to }) => to)).toContainEqual({ within: '.panel > :not(h1, h2, h3, h4, h5, h6, [data-part])' })
    for (const changes of [{}, { off: 'dim' as const }, ...scripted]) {
      const settings = { ...spreadDefaults, ...changes }
      const ids =
        findKind('spread')
          ?.controls(settings)
          .map(({ id }) => id) ?? []
      for (const piece of [...spread.sentence(settings), ...spread.time(settings)])
        if (typeof piece !== 'string' && 'control' in piece) expect(ids).toContain(piece.control)
    }
  })

  it('refuses what cannot be', () => {
    for (const changes of [{ growsTimes: 1 }, { gapPx: -1 }, { panels: 1 }, { panels: 2.5 }, { first: -1 }, { off: 'half' }])
      expect(spreadSettings.safeParse({ ...spreadDefaults, ...changes }).success).toBe(false)
  })
})
