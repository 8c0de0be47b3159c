// Documents of older versions: they open, nothing of them is lost, and edits that were made on them go on counting.
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { writeStylesheet } from '../export/stylesheet'
import { planEffects } from '../export/plan'
import { upgradeEffect, upgradePatch, upgradePreset } from './formats'
import { applyPatch, diff } from './patch'
import { presetFormat } from './preset'
import { siteFormat, siteSchema, type Site } from './site'

interface OlderEffect {
  readonly id: string
  readonly kind: string
  readonly settings: Readonly<Record<string, unknown>>
  readonly own?: object
  readonly ties?: object
}
interface Older {
  readonly format: string
  readonly effects: readonly OlderEffect[]
}

const folder = join(import.meta.dirname, 'older')
const older = readdirSync(folder).map((name) => [name, JSON.parse(readFileSync(join(folder, name), 'utf8')) as Older] as const)

const openOlder = (document: unknown): Site => siteSchema.parse(document)
const kindIn = (document: Older) => (id: string) => document.effects.find((effect) => effect.id === id)?.kind
const tilt = (document: Older) => document.effects.find(({ id, kind }) => kind === 'tilt' && id.startsWith('tilt-'))

describe.each(older)('the older document %s', (_, document) => {
  const site = openOlder(document)

  it('opens whole in the present format', () => {
    expect(document.format).toBe('glass-moth/1')
    expect(site.format).toBe(siteFormat)
    expect(site.effects.map(({ id }) => id)).toEqual(document.effects.map(({ id }) => id))
  })

  it('keeps every setting: one that has another name has its value under it', () => {
    const renamed: Readonly<Record<string, string>> = { eyePx: 'perspectivePx', growPercent: 'scalePercent', sheenWay: 'sheenDirection' }
    const more: Readonly<Record<string, string>> = {
      way: 'direction',
      turns: 'facing',
      finger: 'touch',
      calm: 'reducedMotion',
      windows: 'windowWidth',
    }
    const named: Readonly<Record<string, unknown>> = { opposite: 'against', along: 'with', rest: 'none', still: 'stop' }
    document.effects.forEach((effect, i) => {
      const now = site.effects[i]?.settings as Readonly<Record<string, unknown>>
      for (const [key, value] of Object.entries(effect.settings)) {
        const name = renamed[key] ?? more[key] ?? key
        const isRenamedValue = name !== key && typeof value === 'string' && value in named
        expect(now, `${effect.id}: ${key}`).toHaveProperty(name, isRenamedValue ? named[value] : value)
      }
    })
  })

  it('is written as a stylesheet, with what single elements have otherwise', () => {
    const css = writeStylesheet(planEffects(site))
    for (const { id, overrides = {} } of site.effects)
      for (const { values } of Object.values(overrides))
        for (const select of Object.keys(values)) expect(css, `${id}: ${select}`).toContain(`${select} {`)
    expect(css.length).toBeGreaterThan(500)
  })

  it('takes an edit that was made on it before', () => {
    const effect = tilt(document) ?? document.effects.find(({ kind }) => kind === 'tilt')
    if (!effect) return expect(document.effects.every(({ kind }) => kind !== 'tilt')).toBe(true)
    // A setting that the document does not have yet would meet what it is from the start.
    const sheen = 'sheenWay' in effect.settings ? { sheenWay: 'along' } : {}
    const to = { settings: { ...effect.settings, ...sheen, eyePx: 1234 }, own: { eye: { values: { '.a': '9px' } } } }
    const changed: Older = { ...document, effects: document.effects.map((each) => (each === effect ? { ...each, ...to } : each)) }
    const patch = upgradePatch(diff(document, changed), kindIn(document))
    const { value, clashes } = applyPatch(site, patch)
    expect(clashes).toEqual([])
    expect(siteSchema.parse(value)).toEqual(openOlder(changed))
  })
})

it('what is in the present format, or in none, is left as it is', () => {
  const [, document] = older.at(-1) ?? []
  const site = openOlder(document)
  expect(openOlder(site)).toEqual(site)
  expect(siteSchema.safeParse({ ...site, format: 'glass-moth/3' }).success).toBe(false)
  expect(siteSchema.safeParse('glass-moth/1').success).toBe(false)
})

describe('an older patch', () => {
  const upgraded = (...patch: Parameters<typeof upgradePatch>[0]) => upgradePatch(patch, (id) => id)

  it('names settings, knobs and values as they are called now, of the kind that it is about', () => {
    expect(upgraded({ do: 'set', at: ['effects', { id: 'tilt' }, 'settings', 'sheenWay'], from: 'opposite', to: 'along' })).toEqual([
      { do: 'set', at: ['effects', { id: 'tilt' }, 'settings', 'sheenDirection'], from: 'against', to: 'with' },
    ])
    const knob = (id: string) => upgraded({ do: 'set', at: ['effects', { id }, 'own', 'eye', 'values', '.a'], to: '4px' })[0]?.at
    expect(knob('tilt')).toEqual(['effects', { id: 'tilt' }, 'overrides', 'perspective', 'values', '.a'])
    expect(knob('free')).toEqual(['effects', { id: 'free' }, 'overrides', 'eye', 'values', '.a'])
    expect(upgraded({ do: 'set', at: ['effects', { id: 'tilt' }, 'narrow', 'values', 'grow'], from: '1' })).toEqual([
      { do: 'set', at: ['effects', { id: 'tilt' }, 'narrow', 'values', 'scale'], from: '1' },
    ])
    expect(
      upgraded({
        do: 'set',
        at: ['effects', { id: 'tilt' }, 'ties', 'eyePx'],
        to: { to: { effect: 'a', control: 'growPercent' }, times: 2 },
      }),
    ).toEqual([
      {
        do: 'set',
        at: ['effects', { id: 'tilt' }, 'bindings', 'perspectivePx'],
        to: { to: { effect: 'a', control: 'scalePercent' }, times: 2 },
      },
    ])
  })

  it('upgrades what comes into a list, and leaves what is no effect', () => {
    const kept = { id: 't', name: 'T', settings: { calm: 'still' } }
    expect(upgraded({ do: 'put', at: ['effects', { id: 'tilt' }, 'tries'], item: kept, behind: null })).toEqual([
      { do: 'put', at: ['effects', { id: 'tilt' }, 'tries'], item: { ...kept, settings: { reducedMotion: 'stop' } }, behind: null },
    ])
    expect(upgraded({ do: 'put', at: ['effects'], item: { id: 'a', kind: 'drift', settings: { way: 'with' } }, behind: null })).toEqual([
      { do: 'put', at: ['effects'], item: { id: 'a', kind: 'drift', settings: { direction: 'with' } }, behind: null },
    ])
    const name = { do: 'set', at: ['name'], from: 'way', to: 'own' } as const
    expect(upgraded(name)).toEqual([name])
    const order = { do: 'order', at: ['effects'], from: ['a', 'b'], to: ['b', 'a'] } as const
    expect(upgraded(order)).toEqual([order])
  })
})

it('a rig by hand says in general what had names for one kind alone', () => {
  const settings = {
    areas: [
      { id: 'a', select: '&', beyond: 'fellows' },
      { id: 'b', select: '.b' },
    ],
    parts: [
      { id: 'p', covers: 'border', whileOn: true },
      { id: 'q', whileOn: false },
    ],
    rules: [{ select: '.c', bearsKnobs: true, css: {} }],
  }
  expect(upgradeEffect({ kind: 'free', settings })).toEqual({
    kind: 'free',
    settings: {
      areas: [
        { id: 'a', select: '&', beyond: '&' },
        { id: 'b', select: '.b' },
      ],
      parts: [{ id: 'p', box: 'border', lives: 'on' }, { id: 'q' }],
      rules: [{ select: '.c', css: {} }],
    },
  })
})

it('an older preset has its effect in the present format', () => {
  const effect = { kind: 'tilt', settings: { finger: 'rest' }, narrow: { upToPx: 600, values: { eye: '400px' } } }
  expect(upgradePreset({ format: 'glass-moth-preset/1', effect }, presetFormat)).toEqual({
    format: presetFormat,
    effect: { kind: 'tilt', settings: { touch: 'none' }, narrow: { upToPx: 600, values: { perspective: '400px' } } },
  })
  expect(upgradePreset({ format: presetFormat, effect }, presetFormat)).toEqual({ format: presetFormat, effect })
})
