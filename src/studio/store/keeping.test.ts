import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { tiltDefaults } from '../../core/effect/tilt/settings'
import type { Site } from '../../core/site/site'
import { makeSiteStore, takeUpLeftOvers } from './site-store'

const site: Site = { format: 'glass-moth/1', name: 'A site', pages: [{ id: 'p', name: 'A page', source: 'a'.repeat(64) }], effects: [{ id: 'e', kind: 'tilt', name: 'Lean', select: '.card', noun: 'each card', settings: tiltDefaults }] }

function makeStorage(): Storage {
  const kept = new Map<string, string>()
  return { getItem: (key) => kept.get(key) ?? null, setItem: (key, value) => void kept.set(key, value), removeItem: (key) => void kept.delete(key), clear: () => kept.clear(), key: (i) => [...kept.keys()][i] ?? null, get length() { return kept.size } }
}

/** A server that keeps one document, and can be told to be down. */
function makeServer() {
  const server = { revision: 1, document: site as unknown, isDown: false, status: 503, saves: 0 }
  const fetch = async (_url: string, { headers, body }: { headers: Record<string, string>; body: string }) => {
    await Promise.resolve()
    if (server.isDown) return Response.json({ detail: 'down' }, { status: server.status })
    if (headers['if-match'] !== `"${server.revision}"`) return Response.json({ detail: 'stale', revision: server.revision, document: server.document }, { status: 412 })
    server.document = JSON.parse(body)
    server.revision += 1
    server.saves += 1
    return Response.json({ revision: server.revision })
  }
  vi.stubGlobal('fetch', fetch)
  return server
}

const rename = (name: string) => ({ do: 'change', id: 'e', to: { name } }) as const
const nameOf = (document: unknown) => (document as Site).effects[0]?.name

beforeEach(() => void vi.useFakeTimers())
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('a site that is edited', () => {
  it('is saved once after a burst of edits, and says so', async () => {
    const server = makeServer()
    const store = makeSiteStore('s', site, 1, makeStorage())
    for (const name of ['a', 'b', 'c']) store.edit(rename(name), 'Renaming')
    expect(store.keeper.keeping.get().state).toBe('saving')
    await vi.advanceTimersByTimeAsync(1000)
    expect(store.keeper.keeping.get()).toEqual({ state: 'saved' })
    expect([server.saves, nameOf(server.document)]).toEqual([1, 'c'])
  })

  it('is saved to the last edit, also when edits come while one is on its way', async () => {
    const server = makeServer()
    const store = makeSiteStore('s', site, 1, makeStorage())
    store.edit(rename('a'), 'Renaming')
    await vi.advanceTimersByTimeAsync(400)
    store.edit(rename('b'), 'Renaming')
    await vi.advanceTimersByTimeAsync(2000)
    expect(nameOf(server.document)).toBe('b')
    expect(store.keeper.keeping.get().state).toBe('saved')
  })

  it('is settled once all is saved: what was stale when it was sent, and what came meanwhile, too', async () => {
    const server = makeServer()
    const store = makeSiteStore('s', site, 1, makeStorage())
    store.edit(rename('a'), 'Renaming')
    // Another window was faster, so that the first sending is refused and merged.
    server.document = { ...site, name: 'Renamed elsewhere' }
    server.revision = 2
    const first = store.keeper.settle()
    store.edit(rename('b'), 'Renaming')
    expect(await Promise.all([first, store.keeper.settle()])).toEqual([true, true])
    expect(server.document).toMatchObject({ name: 'Renamed elsewhere', effects: [{ name: 'b' }] })
  })

  it('keeps edits in the browser while the server is down, and saves them when it comes back', async () => {
    const server = makeServer()
    const storage = makeStorage()
    const store = makeSiteStore('s', site, 1, storage)
    server.isDown = true
    store.edit(rename('a'), 'Renaming')
    await vi.advanceTimersByTimeAsync(5000)
    expect(store.keeper.keeping.get()).toMatchObject({ state: 'offline', detail: expect.stringContaining('kept in this browser') as string })
    store.edit(rename('b'), 'Renaming')
    expect(storage.length).toBe(1)
    server.isDown = false
    await vi.advanceTimersByTimeAsync(5000)
    expect(nameOf(server.document)).toBe('b')
    expect([store.keeper.keeping.get().state, storage.length]).toEqual(['saved', 0])
  })

  it('says that a window must stay open where the browser keeps nothing', async () => {
    const server = makeServer()
    const full = { ...makeStorage(), setItem: () => { throw new DOMException('full', 'QuotaExceededError') } }
    const store = makeSiteStore('s', site, 1, full)
    server.isDown = true
    store.edit(rename('a'), 'Renaming')
    await vi.advanceTimersByTimeAsync(1000)
    expect(store.keeper.keeping.get()).toMatchObject({ state: 'offline', detail: expect.stringContaining('leave this window open') as string })
    server.isDown = false
    await vi.advanceTimersByTimeAsync(3000)
    expect(nameOf(server.document)).toBe('a')
  })

  it('takes up what an earlier window left unsaved', async () => {
    const server = makeServer()
    const storage = makeStorage()
    server.isDown = true
    makeSiteStore('s', site, 1, storage).edit(rename('left over'), 'Renaming')
    server.isDown = false
    const later = makeSiteStore('s', site, 1, storage, 'another')
    takeUpLeftOvers(later)
    expect(nameOf(later.history.get().site)).toBe('left over')
    await vi.advanceTimersByTimeAsync(1000)
    expect([nameOf(server.document), storage.length]).toEqual(['left over', 0])
    later.undo()
    expect(nameOf(later.history.get().site)).toBe('Lean')
  })

  it('takes up nothing twice: what the server has by now is known as our own', () => {
    const server = makeServer()
    const storage = makeStorage()
    server.isDown = true
    makeSiteStore('s', site, 1, storage).edit(rename('saved after all'), 'Renaming')
    const saved = { ...site, effects: site.effects.map((effect) => ({ ...effect, name: 'saved after all' })) }
    const later = makeSiteStore('s', saved, 2, storage, 'another')
    takeUpLeftOvers(later)
    expect([later.history.get().undo.length, storage.length]).toEqual([0, 0])
  })

  it('is merged with what was saved elsewhere: both sides count, and undo takes back ours alone', async () => {
    const server = makeServer()
    const store = makeSiteStore('s', site, 1, makeStorage())
    const added = { ...site.effects[0], id: 'f', name: 'Added there' }
    Object.assign(server, { revision: 4, document: { ...site, effects: [...site.effects, added] } })
    store.edit(rename('ours'), 'Renaming')
    await vi.advanceTimersByTimeAsync(1000)
    const names = (document: unknown) => (document as Site).effects.map(({ name }) => name)
    expect([names(store.history.get().site), names(server.document), store.keeper.keeping.get().state]).toEqual([['ours', 'Added there'], ['ours', 'Added there'], 'saved'])
    expect(store.merged.get()?.clashes).toEqual([])
    store.undo()
    await vi.advanceTimersByTimeAsync(1000)
    expect(names(server.document)).toEqual(['Lean', 'Added there'])
  })

  it('says what both sides changed; ours counts, and theirs stays an earlier state', async () => {
    const server = makeServer()
    const store = makeSiteStore('s', site, 1, makeStorage())
    Object.assign(server, { revision: 4, document: { ...site, effects: site.effects.map((effect) => ({ ...effect, name: 'theirs' })) } })
    store.edit(rename('ours'), 'Renaming')
    await vi.advanceTimersByTimeAsync(1000)
    expect([nameOf(server.document), store.merged.get()?.clashes]).toEqual(['ours', ['figure ours: name']])
  })

  it('says why when the server refuses it', async () => {
    const server = makeServer()
    Object.assign(server, { isDown: true, status: 422 })
    const store = makeSiteStore('s', site, 1, makeStorage())
    store.edit(rename('x'), 'Renaming')
    await vi.advanceTimersByTimeAsync(1000)
    expect(store.keeper.keeping.get()).toEqual({ state: 'refused', detail: 'down' })
    expect(await store.keeper.settle()).toBe(false)
  })
})
