import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { tiltDefaults } from '../effect/tilt/settings'
import { applyEdit, type Edit } from './edit'
import { beginHistory, doEdit, redo, undo, type Done, type History } from './history'
import { describeIssues } from './issues'
import { siteSchema, type Effect, type Site } from './site'

const effect = (id: string, change: Partial<Effect> = {}): Effect => ({
  id,
  kind: 'tilt',
  name: `Effect ${id}`,
  select: '.card',
  noun: 'each card',
  settings: tiltDefaults,
  ...change,
})
const site: Site = {
  format: 'glass-moth/2',
  name: 'A site',
  pages: [{ id: 'p', name: 'A page', source: 'a'.repeat(64) }],
  effects: [effect('a'), effect('b')],
}

describe('a site document', () => {
  it('passes as it is, and as JSON', () => {
    expect(siteSchema.parse(JSON.parse(JSON.stringify(site)))).toEqual(site)
  })

  it('is refused in a sentence that names the place', () => {
    const wordsFor = (document: unknown) => {
      const { error } = siteSchema.safeParse(document)
      return error && describeIssues(error)
    }
    expect(wordsFor({ ...site, effects: [effect('a', { kind: 'wobble' })] })).toBe(
      'At effects.0.kind: there is no kind of effect called "wobble".',
    )
    expect(wordsFor({ ...site, effects: [effect('a', { settings: { ...tiltDefaults, acrossDeg: 90 } })] })).toMatch(
      /^At effects\.0\.settings\.acrossDeg: /,
    )
    expect(wordsFor({ ...site, name: ' ' })).toBe('At name: needs a name.')
    expect(wordsFor({ ...site, pages: [{ id: 'p', name: 'A page', source: 'xyz' }] })).toBe('At pages.0.source: is not a SHA-256 in hex.')
    expect(wordsFor({ ...site, format: 'other/2' })).toBe('At format: should be "glass-moth/2".')
    expect(wordsFor({ ...site, effects: [effect('a', { settings: { ...tiltDefaults, acrossDeg: '9' } })] })).toBe(
      'At effects.0.settings.acrossDeg: should be a number.',
    )
    expect(wordsFor({ ...site, pages: [] })).toBe('At pages: has nothing in it.')
    expect(wordsFor({ ...site, effects: [effect('a', { select: '.a{} html' })] })).toBe('At effects.0.select: is not a CSS selector.')
    expect(wordsFor({ ...site, effects: undefined })).toBe('At effects: is missing.')
    expect(wordsFor([])).toMatch(/^Should be a group of fields\.$/)
  })

  it('takes no path that leads out of it, no half of a character, and no CSS that ends what it stands in', () => {
    const filed = (path: string) =>
      siteSchema.safeParse({ ...site, bundles: [{ id: 'b', files: [{ path, hash: 'a'.repeat(64), type: 'text/css', size: 1 }] }] }).success
    expect(['a/b.css', 'https://example.org/x.css', 'a..b/c'].map(filed)).toEqual([true, true, true])
    expect(['../x', 'a/../../x', '/etc/x', 'C:\\x', 'a\0b', ''].map(filed)).toEqual([false, false, false, false, false, false])
    expect(siteSchema.parse({ ...site, name: 'x\ud83d' }).name).toBe('x\ufffd')
    const own = (value: string) =>
      siteSchema.safeParse({ ...site, effects: [effect('a', { overrides: { colour: { values: { '.card': value } } } })] }).success
    expect(['red', 'rgb(0 0 0 / 20%)', 'red; } html { color: red', 'rgb(0', '"x'].map(own)).toEqual([true, true, false, false, false])
  })
})

const edits: fc.Arbitrary<Edit> = fc.oneof(
  fc.record({ do: fc.constant('add' as const), effect: fc.uuid().map((id) => effect(id.slice(0, 8))), at: fc.nat(2) }),
  fc.record({ do: fc.constant('remove' as const), id: fc.constantFrom('a', 'b', 'nobody') }),
  fc.record({
    do: fc.constant('change' as const),
    id: fc.constantFrom('a', 'b', 'nobody'),
    to: fc.record({ name: fc.string(), noun: fc.string() }, { requiredKeys: [] }),
  }),
  fc.record({ do: fc.constant('move' as const), id: fc.constantFrom('a', 'b', 'nobody'), to: fc.integer({ min: -1, max: 3 }) }),
  fc.record({
    do: fc.constant('change' as const),
    id: fc.constantFrom('a', 'b'),
    to: fc.constantFrom<Extract<Edit, { do: 'change' }>['to']>({ isOff: true }, { pages: ['p'] }, { pages: undefined }),
  }),
  fc.record({
    do: fc.constant('page' as const),
    id: fc.constantFrom('p', 'nobody'),
    to: fc.constantFrom<Extract<Edit, { do: 'page' }>['to']>({ name: 'Other' }, { shown: ['.x'] }, { shown: undefined }),
  }),
  fc.record({
    do: fc.constant('site' as const),
    to: fc.constantFrom<Extract<Edit, { do: 'site' }>['to']>({ bin: [] }, { bundles: [] }, { name: 'Other' }),
  }),
  fc.constant({ do: 'replace' as const, site: { ...site, name: 'Another' } }),
)

/** Does, undoes or does again; the same history where there is nothing to do. */
const step = (history: History, how: (from: History) => Done | undefined): History => how(history)?.history ?? history
const doAll = (all: readonly Edit[]) =>
  all.reduce<History>((history, edit, i) => doEdit(history, edit, 'an edit', `gesture ${i}`)?.history ?? history, beginHistory(site))

describe('edits', () => {
  it('in any number are undone to the beginning and done again to the end', () => {
    fc.assert(
      fc.property(fc.array(edits, { maxLength: 12 }), (all) => {
        let history = doAll(all)
        const end = history.site
        while (history.undo.length > 0) history = step(history, undo)
        expect(history.site).toEqual(site)
        while (history.redo.length > 0) history = step(history, redo)
        expect(history.site).toEqual(end)
      }),
    )
  })

  it('are undone alone: what somebody else did meanwhile stays, field by field', () => {
    const settingsOf = ({ effects }: Site) => effects[0]?.settings as typeof tiltDefaults
    const change = (settings: object): Edit => ({ do: 'change', id: 'a', to: { settings: { ...tiltDefaults, ...settings } } })
    let history = step(beginHistory(site), (from) => doEdit(from, change({ acrossDeg: 12 }), 'The angle', '1'))
    // Another window sets the distance of the eye.
    history = { ...history, site: applyEdit(history.site, change({ acrossDeg: 12, perspectivePx: 700 })) }
    history = step(history, (from) => doEdit(from, change({ acrossDeg: 20, perspectivePx: 700 }), 'The angle', '2'))
    history = step(history, undo)
    expect(settingsOf(history.site)).toMatchObject({ acrossDeg: 12, perspectivePx: 700 })
    // And where it set the same number since, undoing leaves that alone, and says so.
    history = { ...history, site: applyEdit(history.site, change({ acrossDeg: 33, perspectivePx: 700 })) }
    const last = undo(history)
    expect([settingsOf(last?.history.site ?? site).acrossDeg, last?.isPartial, last?.step.patch]).toEqual([33, true, []])
  })

  it('of one gesture are one step, and a new edit ends what could be done again', () => {
    let history = beginHistory(site)
    for (const name of ['one', 'two', 'three'])
      history = step(history, (from) => doEdit(from, { do: 'change', id: 'a', to: { name } }, 'Renaming', 'drag'))
    expect(history.undo).toHaveLength(1)
    history = step(history, undo)
    expect(history.site).toEqual(site)
    expect(history.redo).toHaveLength(1)
    expect(doEdit(history, { do: 'remove', id: 'b' }, 'Removing', 'other')?.history.redo).toEqual([])
  })

  it('goes back five hundred steps, and the first ones are gone', () => {
    let history = beginHistory(site)
    for (let i = 1; i <= 503; i++)
      history = doEdit(history, { do: 'change', id: 'a', to: { name: `Name ${i}` } }, 'Renaming', `g${i}`)?.history ?? history
    expect(history.undo).toHaveLength(500)
    for (let done = undo(history); done; done = undo(history)) history = done.history
    expect(history.site.effects[0]?.name).toBe('Name 3')
    expect(history.redo).toHaveLength(500)
  })

  it('of an effect that is gone change nothing', () => {
    const history = beginHistory(site)
    expect([doEdit(history, { do: 'change', id: 'nobody', to: { name: 'x' } }, 'Renaming', 'g'), undo(history), redo(history)]).toEqual([
      undefined,
      undefined,
      undefined,
    ])
  })
})
