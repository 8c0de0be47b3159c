import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { tiltDefaults } from '../effect/tilt/settings'
import { applyEdit, type Edit } from './edit'
import { beginHistory, doEdit, redo, undo } from './history'
import { describeIssues, siteSchema, type Effect, type Site } from './site'

const effect = (id: string, change: Partial<Effect> = {}): Effect => ({ id, kind: 'tilt', name: `Effect ${id}`, select: '.card', noun: 'each card', settings: tiltDefaults, ...change })
const site: Site = { format: 'glass-moth/1', name: 'A site', pages: [{ id: 'p', name: 'A page', source: 'a'.repeat(64) }], effects: [effect('a'), effect('b')] }

describe('a site document', () => {
  it('passes as it is, and as JSON', () => {
    expect(siteSchema.parse(JSON.parse(JSON.stringify(site)))).toEqual(site)
  })

  it('is refused in a sentence that names the place', () => {
    const wordsFor = (document: unknown) => {
      const { error } = siteSchema.safeParse(document)
      return error && describeIssues(error)
    }
    expect(wordsFor({ ...site, effects: [effect('a', { kind: 'wobble' })] })).toBe('At effects.0.kind: there is no kind of effect called "wobble".')
    expect(wordsFor({ ...site, effects: [effect('a', { settings: { ...tiltDefaults, acrossDeg: 90 } })] })).toMatch(/^At effects\.0\.settings\.acrossDeg: /)
    expect(wordsFor({ ...site, name: ' ' })).toBe('At name: needs a name.')
    expect(wordsFor({ ...site, pages: [{ id: 'p', name: 'A page', source: 'xyz' }] })).toBe('At pages.0.source: is not a SHA-256 in hex.')
    expect(wordsFor({ ...site, format: 'other/2' })).toMatch(/^At format: /)
  })
})

const edits: fc.Arbitrary<Edit> = fc.oneof(
  fc.record({ do: fc.constant('add' as const), effect: fc.uuid().map((id) => effect(id.slice(0, 8))), at: fc.nat(2) }),
  fc.record({ do: fc.constant('remove' as const), id: fc.constantFrom('a', 'b', 'nobody') }),
  fc.record({ do: fc.constant('change' as const), id: fc.constantFrom('a', 'b', 'nobody'), to: fc.record({ name: fc.string(), noun: fc.string() }, { requiredKeys: [] }) }),
  fc.record({ do: fc.constant('move' as const), id: fc.constantFrom('a', 'b', 'nobody'), to: fc.integer({ min: -1, max: 3 }) }),
  fc.record({ do: fc.constant('change' as const), id: fc.constantFrom('a', 'b'), to: fc.constantFrom<Extract<Edit, { do: 'change' }>['to']>({ isOff: true }, { pages: ['p'] }, { pages: undefined }) }),
  fc.record({ do: fc.constant('page' as const), id: fc.constantFrom('p', 'nobody'), to: fc.constantFrom<Extract<Edit, { do: 'page' }>['to']>({ name: 'Other' }, { shown: ['.x'] }, { shown: undefined }) }),
  fc.record({ do: fc.constant('site' as const), to: fc.constantFrom<Extract<Edit, { do: 'site' }>['to']>({ bin: [] }, { bundles: [] }, { name: 'Other' }) }),
  fc.constant({ do: 'replace' as const, site: { ...site, name: 'Another' } }),
)

describe('edits', () => {
  it('are taken back exactly by their inverse', () => {
    fc.assert(
      fc.property(edits, (edit) => {
        const { site: after, inverse } = applyEdit(site, edit)
        expect(applyEdit(after, inverse).site).toEqual(site)
      }),
    )
  })

  it('in any number are undone to the beginning and done again to the end', () => {
    fc.assert(
      fc.property(fc.array(edits, { maxLength: 12 }), (all) => {
        let history = beginHistory(site)
        all.forEach((edit, i) => (history = doEdit(history, edit, 'an edit', `gesture ${i}`)))
        const end = history.site
        while (history.undo.length > 0) history = undo(history)
        expect(history.site).toEqual(site)
        while (history.redo.length > 0) history = redo(history)
        expect(history.site).toEqual(end)
      }),
    )
  })

  it('of one gesture are one step, and a new edit ends what could be done again', () => {
    let history = beginHistory(site)
    for (const name of ['one', 'two', 'three']) history = doEdit(history, { do: 'change', id: 'a', to: { name } }, 'Renaming', 'drag')
    expect(history.undo).toHaveLength(1)
    history = undo(history)
    expect(history.site).toEqual(site)
    expect(history.redo).toHaveLength(1)
    expect(doEdit(history, { do: 'remove', id: 'b' }, 'Removing', 'other').redo).toEqual([])
  })

  it('of an effect that is gone change nothing', () => {
    const history = beginHistory(site)
    expect(doEdit(history, { do: 'change', id: 'nobody', to: { name: 'x' } }, 'Renaming', 'g')).toBe(history)
    expect(undo(history)).toBe(history)
    expect(redo(history)).toBe(history)
  })
})
