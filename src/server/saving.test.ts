import type { RowDataPacket } from 'mysql2/promise'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { tiltDefaults } from '../core/effect/tilt/settings'
import type { Patch } from '../core/site/patch'
import type { Site } from '../core/site/site'
import { pool, toldProblem, withDatabase } from './database'
import { withoutOldBin } from './housekeeping'
import { migrate } from './migrate'
import { hearNews, type News } from './news'
import { changeSite, readState, saveEdits } from './saving'
import { createSite, readSite } from './sites'
import { listVersions, nameVersion, readVersion } from './versions'

const site: Site = {
  format: 'glass-moth/2',
  name: 'A site',
  pages: [{ id: 'p', name: 'A page', source: 'e'.repeat(64) }],
  effects: [{ id: 'e', kind: 'tilt', name: 'Lean', select: '.card', noun: 'each card', settings: tiltDefaults }],
}
const renaming = (from: string, to: string): Patch => [{ do: 'set', at: ['name'], from, to }]
const turning = (from: number, to: number): Patch => [{ do: 'set', at: ['effects', { id: 'e' }, 'settings', 'acrossDeg'], from, to }]
const save = (id: string, window: string, number: number, patch: Patch, words = 'Renaming', revision = 0) =>
  saveEdits(id, { window, revision, entries: [{ number, words, gesture: 'g', patch }] })
const nameOf = async (id: string) => (await readSite(id)).site.name
const age = (id: string, revision: number, hours: number) =>
  pool().query(
    'UPDATE site_revisions SET saved_at = CURRENT_TIMESTAMP(3) - INTERVAL ? HOUR, began_at = CURRENT_TIMESTAMP(3) - INTERVAL ? HOUR WHERE site_id = ? AND revision = ?',
    [hours, hours, id, revision],
  )

beforeAll(() => migrate(join(import.meta.dirname, 'migrations')))
afterAll(() => pool().end())

describe('the edits of a window', () => {
  it('are saved once, however often they are sent, and the answer can be asked for again', async () => {
    await createSite('edits', 0, site)
    expect(await save('edits', 'w', 1, renaming('A site', 'One'), 'Renaming', 1)).toEqual({
      revision: 2,
      last: 1,
      site: undefined,
      clashes: [],
      refusals: [],
    })
    expect(await save('edits', 'w', 2, renaming('One', 'Two'))).toMatchObject({ revision: 3, last: 2 })
    // The first one again, from a stale disk.
    expect(await save('edits', 'w', 1, renaming('A site', 'One'))).toMatchObject({ revision: 3, last: 2, site: { name: 'Two' } })
    expect(await nameOf('edits')).toBe('Two')
    expect(await readState('edits', ['w', 'other'])).toMatchObject({ revision: 3, lasts: { w: 2 } })
  })

  it('meet those of another: each has its field, and what both changed is told to both', async () => {
    await createSite('meet', 0, site)
    const heard: News[] = []
    const stop = hearNews((news) => news.site === 'meet' && heard.push(news))
    await save('meet', 'one', 1, turning(9, 12), 'The angle', 1)
    const answer = await save('meet', 'two', 1, [...renaming('A site', 'Two'), ...turning(9, 40)], 'Both', 1)
    stop()
    expect(answer.site).toMatchObject({ name: 'Two', effects: [{ settings: { acrossDeg: 40 } }] })
    expect(answer.clashes).toMatchObject([{ what: 'both', theirs: 12 }])
    expect(heard.map(({ window, last, clashes }) => [window, last, clashes.length])).toEqual([
      ['one', 1, 0],
      ['two', 1, 1],
    ])
    // What was there before they met is a version of its own.
    const [, before] = await listVersions('meet')
    expect((await readVersion('meet', before?.revision ?? 0)).effects[0]?.settings).toMatchObject({ acrossDeg: 12 })
  })

  it('of two hundred windows at once are all taken', async () => {
    await createSite('many', 0, site)
    const results = await Promise.allSettled(
      Array.from({ length: 200 }, (_, i) => save('many', `w${i}`, 1, renaming('A site', `Name ${i}`))),
    )
    expect(results.filter(({ status }) => status === 'rejected')).toEqual([])
    expect((await readSite('many')).revision).toBe(201)
  })

  it('that would leave no valid site are left out and told; what is no edit at all is refused in a sentence', async () => {
    await createSite('invalid', 0, site)
    const answer = await saveEdits('invalid', {
      window: 'w',
      revision: 1,
      entries: [
        { number: 1, words: 'The angle', gesture: 'g', patch: turning(9, 900) },
        { number: 2, words: 'Renaming', gesture: 'h', patch: renaming('A site', 'Fine') },
      ],
    })
    expect([answer.refusals.map(({ number }) => number), answer.last, await nameOf('invalid')]).toEqual([[1], 2, 'Fine'])
    for (const nonsense of [
      null,
      {},
      { window: 'a b', revision: 1, entries: [] },
      { window: 'w', revision: 1, entries: [{ number: 0, words: '', gesture: '', patch: [{ do: 'explode' }] }] },
    ])
      await expect(saveEdits('invalid', nonsense)).rejects.toMatchObject({ status: 422 })
  })

  it('keep a name whose last character was cut in half by a sender', async () => {
    await createSite('emoji', 0, site)
    await changeSite('emoji', 'Renaming', (now) => ({ ...now, name: `${'x'.repeat(99)}\ud83d` }))
    expect((await nameOf('emoji')).at(-1)).toBe('\ufffd')
  })
})

describe('versions', () => {
  it('are a stretch of work each, told by what was done', async () => {
    await createSite('stretch', 0, site)
    await save('stretch', 'w', 1, renaming('A site', 'One'))
    await save('stretch', 'w', 2, turning(9, 10), 'The angle')
    await save('stretch', 'w', 3, turning(10, 11), 'The angle')
    expect((await listVersions('stretch')).map(({ revision, done }) => [revision, done])).toEqual([
      [4, 'Renaming; The angle'],
      [1, 'Beginning'],
    ])
    // After a pause, another begins; and so it does for another window.
    await pool().query("UPDATE site_revisions SET saved_at = saved_at - INTERVAL 30 SECOND WHERE site_id = 'stretch'")
    await save('stretch', 'w', 4, renaming('One', 'Two'))
    await save('stretch', 'other', 1, renaming('Two', 'Three'))
    expect((await listVersions('stretch')).map(({ revision }) => revision)).toEqual([6, 5, 4, 1])
  })

  it('grow thin with age, but one with a name stays', async () => {
    await createSite('thin', 0, site)
    for (let i = 1; i <= 6; i++) await save('thin', `w${i}`, 1, renaming(i === 1 ? 'A site' : `Name ${i - 1}`, `Name ${i}`))
    for (const revision of [1, 2, 3, 4]) await age('thin', revision, 49)
    await nameVersion('thin', 2, 'Before the launch')
    await save('thin', 'w7', 1, renaming('Name 6', 'Name 7'))
    expect((await listVersions('thin')).map(({ revision, name }) => [revision, name])).toEqual([
      [8, null],
      [7, null],
      [6, null],
      [5, null],
      [4, null],
      [2, 'Before the launch'],
    ])
    await expect(nameVersion('thin', 1, 'x')).rejects.toMatchObject({ status: 404 })
  })

  it('of a bin that is old by a clock that jumped lose nothing', () => {
    const page = { id: 'p', name: 'P', source: 'e'.repeat(64) }
    const binned: Site = {
      ...site,
      bin: [
        { page, removedAt: '2026-01-01T00:00:00.000Z' },
        { page, removedAt: '2026-01-20T00:00:00.000Z' },
      ],
    }
    expect(withoutOldBin(binned, '2026-01-06').bin).toHaveLength(1)
  })
})

describe('a database in trouble', () => {
  it('is told by its cause', () => {
    const error = (code: string, message = '', fatal = false) => Object.assign(new Error(message), { code, fatal })
    const sentence = (given: Error) => (toldProblem(given) as Error).message
    expect(sentence(error('ER_RECORD_FILE_FULL'))).toContain('disk that holds the studio’s data is full')
    expect(sentence(error('ER_GET_ERRNO', 'Got error 28 "No space left on device" from storage engine'))).toContain('disk')
    expect(sentence(error('ER_CANT_CREATE_FILE', 'Errcode: 30 "Read-only file system"'))).toContain('cannot be written to')
    expect(sentence(error('ECONNREFUSED'))).toBe('The database does not answer.')
    expect(toldProblem(error('ER_PARSE_ERROR', 'no'))).toMatchObject({ code: 'ER_PARSE_ERROR' })
  })

  it('that hangs is not waited for without end', async () => {
    await expect(withDatabase((db) => db.query('SELECT SLEEP(3600)'), 300)).rejects.toMatchObject({ status: 503 })
    const [[row]] = await withDatabase((db) => db.query<RowDataPacket[]>('SELECT 1 AS one'))
    expect(row?.one).toBe(1)
  })
})
