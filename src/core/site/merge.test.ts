import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { tiltDefaults } from '../effect/tilt/settings'
import { applyEdit, type Edit } from './edit'
import { mergeSites } from './merge'
import { siteSchema, type Effect, type Page, type Site } from './site'

const effect = (id: string): Effect => ({ id, kind: 'tilt', name: `Effect ${id}`, select: '.card', noun: 'each card', settings: tiltDefaults })
const page = (id: string): Page => ({ id, name: `Page ${id}`, source: 'a'.repeat(64) })
const base: Site = { format: 'glass-moth/1', name: 'A site', pages: [page('p'), page('q')], effects: [effect('a'), effect('b'), effect('c')] }

let made = 0
/** Edits of one side; `side` marks what it writes, so that it can be found again. */
const editsOf = (side: string): fc.Arbitrary<readonly Edit[]> => {
  const id = fc.constantFrom('a', 'b', 'c')
  return fc.array(
    fc.oneof(
      fc.nat(3).map((at): Edit => ({ do: 'add', effect: effect(`${side}${++made}`), at })),
      id.map((each): Edit => ({ do: 'remove', id: each })),
      fc.record({ do: fc.constant('change' as const), id, to: fc.record({ name: fc.string({ minLength: 1 }).map((text) => `${side} ${text}`) }) }),
      fc.record({ do: fc.constant('change' as const), id, to: fc.record({ settings: fc.record({ acrossDeg: fc.integer({ min: 1, max: 40 }) }).map((some) => ({ ...tiltDefaults, ...some })) }) }),
      fc.record({ do: fc.constant('page' as const), id: fc.constantFrom('p', 'q'), to: fc.record({ name: fc.string({ minLength: 1 }).map((text) => `${side} ${text}`) }) }),
    ),
    { maxLength: 6 },
  )
}
const play = (edits: readonly Edit[]) => edits.reduce((site, edit) => applyEdit(site, edit).site, base)
const ids = (site: Site) => site.effects.map(({ id }) => id)

describe('two versions of a site', () => {
  it('lose no edit of either side and double none', () => {
    fc.assert(
      fc.property(editsOf('ours'), editsOf('theirs'), (one, two) => {
        const [ours, theirs] = [play(one), play(two)]
        const { site, clashes } = mergeSites(base, ours, theirs)
        expect(new Set(ids(site)).size).toBe(site.effects.length)
        // What either side added is there once; what either removed and the other left alone is gone.
        for (const id of [...ids(ours), ...ids(theirs)].filter((each) => !ids(base).includes(each))) expect(ids(site)).toContain(id)
        for (const old of base.effects) {
          const sides = [ours, theirs].map((each) => each.effects.find(({ id }) => id === old.id))
          const merged = site.effects.find(({ id }) => id === old.id)
          const changed = sides.filter((each) => each && JSON.stringify(each) !== JSON.stringify(old))
          if (sides.includes(undefined)) expect(merged !== undefined).toBe(changed.length > 0)
          // Every field that one side alone changed has that side's value; what both changed has ours, and is told.
          for (const key of ['name', 'settings'] as const) {
            const values = changed.map((each) => JSON.stringify(each?.[key])).filter((value) => value !== JSON.stringify(old[key]))
            if (merged && values.length === 1) expect(JSON.stringify(merged[key])).toBe(values[0])
            if (merged && values.length === 2 && values[0] !== values[1]) {
              expect(JSON.stringify(merged[key])).toBe(values[0])
              expect(clashes.some((words) => words.includes(`: ${key}`))).toBe(true)
            }
          }
        }
        expect(siteSchema.safeParse(site).success || site.effects.some(({ name }) => name.trim().length > 120 || name.trim() === '')).toBe(true)
      }),
      { numRuns: 500 },
    )
  })

  it('are the other one where one side changed nothing', () => {
    fc.assert(
      fc.property(editsOf('one'), (edits) => {
        const changed = play(edits)
        expect(mergeSites(base, changed, base)).toEqual({ site: changed, clashes: [] })
        expect(mergeSites(base, base, changed)).toEqual({ site: changed, clashes: [] })
        expect(mergeSites(base, changed, changed)).toEqual({ site: changed, clashes: [] })
      }),
      { numRuns: 300 },
    )
  })

  it('keep a page where each side removed another one', () => {
    const without = (id: string): Site => ({ ...base, pages: base.pages.filter((each) => each.id !== id) })
    expect(mergeSites(base, without('p'), without('q')).site.pages).toHaveLength(1)
  })

  it('keep what one removed and the other changed, and say so', () => {
    const ours = play([{ do: 'remove', id: 'a' }])
    const theirs = play([{ do: 'change', id: 'a', to: { name: 'Better' } }])
    const { site, clashes } = mergeSites(base, ours, theirs)
    expect(site.effects.map(({ name }) => name)).toContain('Better')
    expect(clashes).toEqual(['figure Better, removed on one side and changed on the other'])
  })
})
