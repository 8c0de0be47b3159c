import { describe, expect, it } from 'vitest'
import { plainFacts } from '../../compile/facts'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { findKind } from '../kinds'
import { expandPorthole } from './expand'
import { porthole } from './index'
import { portholeDefaults, portholeSettings, type PortholeSettings } from './settings'

const roles = { back: '.night', ground: '.hours' }
const rigOf = (changes: Partial<PortholeSettings> = {}, filled: Readonly<Record<string, string>> = roles) =>
  expandPorthole({ ...portholeDefaults, ...changes }, '.day', filled)
const sheetOf = (changes: Partial<PortholeSettings> = {}, filled = roles as Readonly<Record<string, string>>) =>
  writeStylesheet([{ number: 1, names: { title: 'a porthole', name: 'day' }, rig: rigOf(changes, filled), sentence: '' }], [], plainFacts)
const shapes = ['circle', 'ellipse', 'box', 'outline'] as const
const all = shapes.flatMap((shape) =>
  (['back', 'picture', 'look'] as const).flatMap((shows) => [0, 30].map((softPx) => ({ shape, shows, softPx }))),
)

describe('a porthole', () => {
  it.each(all)('is a rig that can be: $shape of $shows, softened over $softPx', (changes) => {
    for (const more of [{}, { growPx: 40, pressPx: -20, wobblePercent: 8, layers: 'over' as const }])
      expect(() => readRig(rigOf({ ...changes, ...more }))).not.toThrow()
    // Without a back there is nothing to be seen through it, and nothing is done.
    const { outputs, channels, parts } = rigOf(changes, {})
    if (changes.shows === 'back') expect([outputs, channels, parts]).toEqual([[], [], []])
    else expect(outputs.length).toBeGreaterThan(2)
    // Nor where it would be its own back.
    if (changes.shows === 'back') expect(rigOf(changes, { back: '.day', ground: '.hours' }).outputs).toEqual([])
  })

  it('leaves of what lies behind what is in the shape, in its own coordinates', () => {
    expect(sheetOf()).toMatch(/clip-path: circle\(calc\(var\(--day-radius\) \* var\(--day-here\)\) at var\(--day-x\)\s+var\(--day-y\)\);/)
    expect(sheetOf({ shape: 'ellipse' })).toContain(
      'clip-path: ellipse(calc(var(--hole-radius) * var(--day-wide)) var(--hole-radius) at var(--hole-x) var(--hole-y));',
    )
    expect(sheetOf({ shape: 'box' })).toMatch(
      /clip-path: inset\(\s*calc\(var\(--hole-y\) - var\(--hole-radius\)\)[^;]*round var\(--day-corners\)\s*\);/,
    )
    expect(rigOf().channels.map(({ frame }) => frame)).toEqual([{ each: '.night' }, { each: '.night' }, { each: '.night' }])
    expect(rigOf({ layers: 'over' }).channels.map(({ frame }) => frame)).toEqual(['area', 'area', 'area'])
  })

  it('has a mask where its edge is soft or drawn, a tile as large as the porthole', () => {
    expect(sheetOf()).not.toMatch(/mask-(size|position|repeat)/)
    for (const changes of [{ softPx: 40 }, { shape: 'outline' as const }, { shape: 'box' as const, softPx: 12 }]) {
      const sheet = sheetOf(changes)
      expect(sheet).toMatch(/mask-size: calc\(2 \* var\(--hole-radius\)/)
      expect(sheet).toContain('mask-repeat: no-repeat;')
      // The pointer meets it within a clip all the same.
      expect(sheet).toMatch(/clip-path: (circle|inset)\(\s*(var|calc)/)
    }
    expect(sheetOf({ softPx: 40 })).toContain('radial-gradient(closest-side, #000 calc(100% - var(--day-soft)), transparent)')
    expect(sheetOf({ shape: 'outline', outline: 'M0 0H100V100Z' })).toContain("path%20d='M0%200H100V100Z'")
  })

  it('grows in a fast hand, while pressed, and as it wobbles', () => {
    const sheet = sheetOf({ growPx: 60, pressPx: 90, wobblePercent: 10 })
    expect(sheet).toContain('--day-grows: 60px;')
    expect(sheet).toContain('--day-pressed: 90px;')
    expect(sheet).toContain('--day-wobble: 0.1;')
    expect(sheet).toMatch(
      /--hole-radius: calc\([^;]*var\(--day-fast\) \* var\(--day-here\)[^;]*var\(--day-held\) \* var\(--day-here\)[^;]*\);/,
    )
    expect(sheet).toMatch(/ellipse\(calc\(var\(--hole-radius\) \* \(1 \+ var\(--hole-wobble\)\)\) calc\(var\(--hole-radius\) \* \(1 - /)
    // For those who prefer reduced motion it does neither wobble nor grow with speed, and stands in the middle of its wobble.
    const calm = sheet.slice(sheet.indexOf('prefers-reduced-motion: reduce'))
    expect(calm).toContain('--day-fast: 0 !important;')
    expect(calm).toMatch(/--day-wave: -?0 !important;/)
    expect(calm).not.toContain('--day-x')
  })

  it('shows another look in a part as large as the porthole, and a picture in one that lies over the ground', () => {
    const look = rigOf({ shows: 'look', look: 'grey', pressPx: 60 })
    expect(look.parts[0]?.css).toMatchObject({ 'backdrop-filter': 'grayscale(1)', width: 'calc(2 * {radius})', 'border-radius': '50%' })
    expect(look.knobs.find(({ id }) => id === 'pressed')).toMatchObject({ value: 0.5, unit: '' })
    const picture = rigOf({ shows: 'picture', picture: 'url("night.jpg") center / cover' })
    expect(picture.parts[0]?.css).toMatchObject({ inset: '0', background: '{picture}' })
    expect(picture.tokens).toMatchObject([{ id: 'picture', value: 'url("night.jpg") center / cover' }])
  })

  it('brings what lies behind in front for the focus, and leaves the front in front until its script is there', () => {
    const sheet = sheetOf({ layers: 'over' })
    expect(sheet).toMatch(/\.night:has\(:focus-visible\) \{\n\s+clip-path: none !important;/)
    expect(sheet).toMatch(/\.night\[data-day\] \{[^}]*z-index: 2;/)
    expect(sheet).not.toMatch(/^\s*\.night \{[^}]*z-index/m)
    expect(sheet).toMatch(/\.hours > \.day \{\n\s+z-index: 1;/)
  })

  it('has the words that matter for what it shows', () => {
    const idsFor = (changes: Partial<PortholeSettings>) =>
      findKind('porthole')
        ?.controls({ ...portholeDefaults, ...changes })
        .map(({ id }) => id) ?? []
    for (const changes of all) {
      const ids = idsFor(changes)
      for (const piece of [
        ...porthole.sentence({ ...portholeDefaults, ...changes }),
        ...porthole.time({ ...portholeDefaults, ...changes }),
      ])
        if (typeof piece !== 'string' && 'control' in piece) expect(ids).toContain(piece.control)
    }
    expect(idsFor({ shape: 'outline' })).toContain('outline')
    expect(idsFor({})).not.toContain('outline')
  })

  it('refuses what cannot be, a path that cannot be drawn among it', () => {
    for (const changes of [
      { radiusPx: 0 },
      { softPx: -1 },
      { widePercent: 0 },
      { wobblePercent: 41 },
      { outline: 'M0 0L10' },
      { outline: '' },
    ])
      expect(portholeSettings.safeParse({ ...portholeDefaults, ...changes }).success).toBe(false)
    expect(portholeSettings.safeParse({ ...portholeDefaults, outline: 'M0 0L10' }).error?.issues[0]?.message).toBe(
      'has too few numbers after its L',
    )
  })
})
