// A window's store against a server that can be down, slow or lose its answers, on a disk that can be stale, full or broken.
import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { tiltDefaults } from '../../core/effect/tilt/settings'
import { editsRefused, entrySchema, takeEntries, type Entry } from '../../core/site/journal'
import { isSame } from '../../core/site/patch'
import type { Site } from '../../core/site/site'
import { openEditLog, type EditLog } from './edit-log'
import type { News } from './neighbours'
import { makeSiteStore, type SiteStore } from './site-store'
import { tellRefused, tellTold } from './told-words'

const site: Site = {
  format: 'glass-moth/2',
  name: 'A site',
  pages: [{ id: 'p', name: 'A page', source: 'a'.repeat(64) }],
  effects: [{ id: 'e', kind: 'tilt', name: 'Lean', select: '.card', noun: 'each card', settings: tiltDefaults }],
}

/** The server's side of saving, as `src/server/saving.ts` does it. */
function makeServer() {
  const server = {
    site,
    revision: 1,
    lasts: {} as Record<string, number>,
    fails: 0 as number | 'away',
    losesAnswer: false,
    refuses: '',
    posts: 0,
  }
  vi.stubGlobal('fetch', async (url: string, init?: { body: string }) => {
    await Promise.resolve()
    if (server.fails === 'away') throw new TypeError('Failed to fetch')
    if (server.fails !== 0)
      return Response.json(
        { detail: server.fails === 507 ? 'The disk is full.' : 'The database does not answer.' },
        { status: server.fails },
      )
    if (url.includes('/state')) return Response.json({ site: server.site, revision: server.revision, lasts: server.lasts })
    const { window, revision, entries } = JSON.parse(init?.body ?? '') as { window: string; revision: number; entries: Entry[] }
    server.posts += 1
    if (entries.some(({ words }) => words === server.refuses))
      return Response.json({ type: editsRefused, detail: 'It is too large.' }, { status: 413 })
    const known = server.revision
    const taken = takeEntries(
      server.site,
      server.lasts[window] ?? 0,
      entries.map((entry) => entrySchema.parse(entry)),
    )
    if (!isSame(taken.site, server.site)) server.revision += 1
    Object.assign(server, { site: taken.site, lasts: { ...server.lasts, [window]: taken.last } })
    if (server.losesAnswer) throw new TypeError('Failed to fetch')
    const isExpected = revision === known && taken.isAsSent && taken.clashes.length === 0 && taken.done.length === entries.length
    return Response.json({
      revision: server.revision,
      last: taken.last,
      clashes: taken.clashes,
      refusals: taken.refusals,
      ...(isExpected ? {} : { site: taken.site }),
    })
  })
  return server
}

/** Windows of one browser: what one tells, the others hear. */
function makeBrowser() {
  const windows = new Map<string, { onEdit: (window: string, entry: Entry) => void; onNews: (news: News) => void }>()
  let count = 0
  return {
    news: (news: News) => windows.forEach(({ onNews }) => onNews(news)),
    open: (server: ReturnType<typeof makeServer>, log: EditLog = openEditLog('s')): SiteStore => {
      const window = `w${++count}`
      return makeSiteStore({
        id: 's',
        site: server.site,
        revision: server.revision,
        window,
        log,
        join: ({ onEdit, onNews }) => {
          windows.set(window, { onEdit, onNews })
          return {
            tell: (entry) => windows.forEach((other, name) => name !== window && other.onEdit(window, entry)),
            end: () => windows.delete(window),
          }
        },
      })
    },
  }
}

const rename = (name: string) => ({ do: 'change', id: 'e', to: { name } }) as const
const turn = (acrossDeg: number) => ({ do: 'change', id: 'e', to: { settings: { ...tiltDefaults, acrossDeg } } }) as const
const nameOf = (document: Site) => document.effects[0]?.name
const angleOf = (document: Site) => (document.effects[0]?.settings as typeof tiltDefaults).acrossDeg
/** What a window is told; that nothing was read where it is told nothing. */
const told = (store: SiteStore) => store.told.get() ?? ({ what: 'unreadable', count: 0 } as const)
const shown = (store: SiteStore) => store.history.get().site
const later = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))
/** However busy the machine is. */
const eventually = (check: () => void | Promise<void>) => vi.waitFor(check, { timeout: 4000, interval: 5 })
const kept = async () => (await openEditLog('s').leftovers('nobody')).flatMap(({ entries }) => entries)

const open: (() => void)[] = []
const connect = (store: SiteStore) => {
  open.push(store.connect())
  return store
}

beforeEach(() => {
  vi.stubGlobal('indexedDB', new IDBFactory())
  vi.stubGlobal('document', { visibilityState: 'visible', addEventListener: () => undefined, removeEventListener: () => undefined })
  vi.stubGlobal('addEventListener', () => undefined)
  vi.stubGlobal('removeEventListener', () => undefined)
  // Without locks, every window that is not this one counts as gone.
  vi.stubGlobal('navigator', {})
})
afterEach(() => {
  for (const end of open.splice(0)) end()
  vi.unstubAllGlobals()
})

describe('a site that is edited', () => {
  it('is saved once after a burst of edits, is on the disk until then, and not after', async () => {
    const server = makeServer()
    const store = connect(makeBrowser().open(server))
    for (const name of ['a', 'b', 'c']) store.edit(rename(name), 'Renaming', 'drag')
    expect(store.saver.saving.get().state).toBe('saving')
    await eventually(async () =>
      expect((await kept()).map(({ patch }) => patch)).toEqual([
        [{ do: 'set', at: ['effects', { id: 'e' }, 'name'], from: 'Lean', to: 'c' }],
      ]),
    )
    expect(await store.saver.settle()).toBe(true)
    expect([server.posts, nameOf(server.site), store.saver.saving.get().state, await kept()]).toEqual([1, 'c', 'saved', []])
  })

  it('is sent and on the disk when the window closes, though nothing was heard from others yet', async () => {
    const server = makeServer()
    const heard = new Map<string, () => void>()
    vi.stubGlobal('addEventListener', (type: string, listener: () => void) => heard.set(type, listener))
    const store = makeBrowser().open(server)
    open.push(store.connect(new Promise(() => undefined)))
    store.edit(turn(11), 'Turning')
    heard.get('pagehide')?.()
    await eventually(() => expect(angleOf(server.site)).toBe(11))
    await eventually(async () => expect(await kept()).toHaveLength(1))
  })

  it('is saved every two seconds at the latest while one goes on editing', async () => {
    const server = makeServer()
    const store = connect(makeBrowser().open(server))
    for (let i = 0; i < 26; i++) {
      store.edit(rename(`name ${i}`), 'Renaming', 'one long drag')
      await later(100)
    }
    expect(server.posts).toBeGreaterThan(0)
    await store.saver.settle()
    expect(nameOf(server.site)).toBe('name 25')
    store.undo()
    expect(nameOf(shown(store))).toBe('Lean')
  })

  it('keeps edits on the disk while the server is away, says why, and saves them when it is back', async () => {
    const server = makeServer()
    const store = connect(makeBrowser().open(server))
    for (const [fails, words] of [
      ['away', 'The studio’s server cannot be reached.'],
      [503, 'The database does not answer.'],
      [507, 'The disk is full.'],
    ] as const) {
      server.fails = fails
      store.edit(rename(words), 'Renaming')
      expect(await store.saver.settle()).toBe(false)
      expect(store.saver.saving.get()).toEqual({
        state: 'offline',
        detail: `${words} Your edits are kept in this browser, not yet saved, and are saved when it comes back.`,
      })
    }
    await eventually(async () => expect(await kept()).toHaveLength(3))
    server.fails = 0
    expect(await store.saver.settle()).toBe(true)
    expect([nameOf(server.site), await kept()]).toEqual(['The disk is full.', []])
  })

  it('says that a window must stay open where the browser keeps nothing, and that closing it would lose something', async () => {
    const server = makeServer()
    const full: EditLog = { ...openEditLog('s'), keep: () => Promise.reject(new DOMException('full', 'QuotaExceededError')) }
    const store = connect(makeBrowser().open(server, full))
    server.fails = 'away'
    store.edit(rename('a'), 'Renaming')
    await store.saver.settle()
    expect(store.saver.saving.get()).toMatchObject({ detail: expect.stringContaining('leave this window open') as string })
    expect(store.saver.isAtRisk()).toBe(true)
    server.fails = 0
    await store.saver.settle()
    expect([nameOf(server.site), store.saver.isAtRisk()]).toEqual(['a', false])
  })

  it('loses nothing when the answer of a save is lost: what is undone then stays undone', async () => {
    const server = makeServer()
    const store = connect(makeBrowser().open(server))
    server.losesAnswer = true
    store.edit({ do: 'remove', id: 'e' }, 'Removing')
    expect(await store.saver.settle()).toBe(false)
    expect(server.site.effects).toEqual([])
    server.losesAnswer = false
    store.undo()
    expect(await store.saver.settle()).toBe(true)
    expect([nameOf(server.site), nameOf(shown(store))]).toEqual(['Lean', 'Lean'])
  })

  it('is not reverted by a stale disk after its browser was killed', async () => {
    const server = makeServer()
    const browser = makeBrowser()
    const first = browser.open(server)
    server.fails = 503
    first.edit(turn(31), 'The angle')
    await first.saver.settle()
    const stale = await kept()
    server.fails = 0
    await first.saver.settle()
    first.edit(turn(40), 'The angle')
    await first.saver.settle()
    first.saver.end()
    // The browser is killed, and its disk comes back as it was some seconds before.
    const log = openEditLog('s')
    for (const entry of stale) await log.keep('w1', entry)
    const second = connect(browser.open(server))
    await later(60)
    await second.saver.settle()
    expect([angleOf(server.site), angleOf(shown(second)), await kept()]).toEqual([40, 40, []])
  })

  it('takes up what a killed window left, once, and shows it at once', async () => {
    const server = makeServer()
    const browser = makeBrowser()
    const first = browser.open(server)
    server.fails = 'away'
    first.edit(rename('left behind'), 'Renaming')
    first.edit(turn(21), 'The angle')
    await first.saver.settle()
    await eventually(async () => expect(await kept()).toHaveLength(2))
    first.saver.end()
    await later(20)
    server.fails = 0
    const second = connect(browser.open(server))
    await eventually(() => expect(nameOf(shown(second))).toBe('left behind'))
    await second.saver.settle()
    expect([nameOf(server.site), angleOf(server.site), server.lasts.w1, await kept()]).toEqual(['left behind', 21, 2, []])
    expect(second.history.get().undo).toEqual([])
  })

  it('takes up what an earlier version of the studio kept, but not over what was saved since', async () => {
    const server = makeServer()
    const changed = (settings: object, name: string): Site => ({
      ...site,
      effects: [{ ...(site.effects[0] as Site['effects'][number]), name, settings: { ...tiltDefaults, ...settings } }],
    })
    const items = new Map([
      [
        'glass-moth:unsaved:s:old',
        JSON.stringify({ revision: 1, base: site, site: changed({ acrossDeg: 31, perspectivePx: 700 }, 'Lean') }),
      ],
      ['glass-moth:unsaved:s:broken', '{'],
      ['glass-moth:unsaved:other:x', '{}'],
    ])
    const storage = {
      length: 3,
      key: (i: number) => [...items.keys()][i] ?? null,
      getItem: (key: string) => items.get(key) ?? null,
      removeItem: (key: string) => void items.delete(key),
      setItem: () => undefined,
      clear: () => undefined,
    }
    Object.assign(server, { site: changed({ acrossDeg: 40 }, 'Lean'), revision: 3 })
    const store = connect(
      makeSiteStore({
        id: 's',
        site: server.site,
        revision: 3,
        window: 'new',
        storage,
        join: () => ({ tell: () => undefined, end: () => undefined }),
      }),
    )
    await store.saver.settle()
    await later(20)
    expect(server.site.effects[0]?.settings).toMatchObject({ acrossDeg: 40, perspectivePx: 700 })
    expect([...items.keys()]).toEqual(['glass-moth:unsaved:s:broken', 'glass-moth:unsaved:other:x'])
  })

  it('keeps an edit that it cannot read, and says so', async () => {
    const server = makeServer()
    await openEditLog('s').keep('older', { number: 1, words: 'x', gesture: 'g', patch: [{ do: 'twist' }] } as unknown as Entry)
    const store = connect(makeBrowser().open(server))
    await eventually(() =>
      expect(tellTold(shown(store), told(store))[0]?.sentence).toContain('cannot be read by this version. Nothing was deleted'),
    )
    expect((await openEditLog('s').leftovers('nobody'))[0]?.unreadable).toBe(1)
  })
})

describe('two windows', () => {
  it('see each other’s edits at once, and each undoes its own alone', async () => {
    const server = makeServer()
    const browser = makeBrowser()
    const [one, two] = [connect(browser.open(server)), connect(browser.open(server))]
    one.edit(turn(12), 'The angle')
    expect(angleOf(shown(two))).toBe(12)
    two.edit(rename('Theirs'), 'Renaming')
    one.edit(turn(20), 'The angle')
    one.undo()
    expect([shown(one), shown(two)].map((each) => [angleOf(each), nameOf(each)])).toEqual([
      [12, 'Theirs'],
      [12, 'Theirs'],
    ])
    await one.saver.settle()
    await two.saver.settle()
    await one.saver.refresh()
    expect([server.site, shown(one), shown(two)].map((each) => [angleOf(each), nameOf(each)])).toEqual([
      [12, 'Theirs'],
      [12, 'Theirs'],
      [12, 'Theirs'],
    ])
  })

  it('of which one is closed before it could save: the other saves what it was told of', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] })
    const server = makeServer()
    const browser = makeBrowser()
    const [one, two] = [browser.open(server), connect(browser.open(server))]
    open.push(one.connect())
    await later(30)
    server.fails = 'away'
    one.edit(rename('Told'), 'Renaming')
    await one.saver.settle()
    await later(150)
    one.saver.end()
    expect(nameOf(shown(two))).toBe('Told')
    server.fails = 0
    vi.advanceTimersByTime(5000)
    await later(80)
    await two.saver.settle()
    expect([nameOf(server.site), server.lasts.w1]).toEqual(['Told', 1])
    vi.useRealTimers()
  })

  it('hear of what somebody elsewhere saved, without a reload', async () => {
    const server = makeServer()
    const browser = makeBrowser()
    const store = connect(browser.open(server))
    Object.assign(server, { site: { ...site, name: 'Renamed elsewhere' }, revision: 2 })
    browser.news({ revision: 2, window: 'far', last: 1, clashes: [] })
    await eventually(() => expect([shown(store).name, store.told.get()]).toEqual(['Renamed elsewhere', null]))
  })

  it('that change the same are both told, with the other value one act away', async () => {
    const server = makeServer()
    const store = connect(makeBrowser().open(server))
    // Somebody elsewhere was faster, and no news came of it yet.
    const theirs = takeEntries(site, 0, [
      { number: 1, words: 'The angle', patch: [{ do: 'set', at: ['effects', { id: 'e' }, 'settings', 'acrossDeg'], from: 9, to: 40 }] },
    ])
    await later(30)
    Object.assign(server, { site: theirs.site, revision: 2 })
    store.edit(turn(5), 'The angle')
    await store.saver.settle()
    const [first] = tellTold(shown(store), told(store))
    expect(first?.sentence).toBe('The angle of the effect Lean was changed in two windows at once: 5° counts, the other one set 40°.')
    expect(first?.act?.title).toBe('Use 40°')
    if (first?.act) store.edit(first.act.edit, first.act.title)
    await store.saver.settle()
    expect([angleOf(shown(store)), angleOf(server.site)]).toEqual([40, 40])
  })

  it('of which one removes what the other changes: it stays removed, and comes back with one act', async () => {
    const server = makeServer()
    const store = connect(makeBrowser().open(server))
    await later(30)
    Object.assign(server, { site: { ...site, effects: [] }, revision: 2 })
    store.edit(rename('Mine'), 'Renaming')
    await store.saver.settle()
    const [first] = tellTold(shown(store), told(store))
    expect(first?.sentence).toBe('The effect Mine was removed in one window while the other changed it. It stays removed.')
    if (first?.act) store.edit(first.act.edit, first.act.title)
    await store.saver.settle()
    expect(nameOf(server.site)).toBe('Mine')
  })

  it('is told of an edit that the server left out, and goes on without it', async () => {
    const server = makeServer()
    const store = connect(makeBrowser().open(server))
    store.edit({ do: 'patch', patch: [{ do: 'set', at: ['effects', { id: 'e' }, 'settings', 'acrossDeg'], from: 9, to: 900 }] }, 'Nonsense')
    store.edit(rename('Fine'), 'Renaming')
    await store.saver.settle()
    expect([angleOf(shown(store)), nameOf(shown(store)), nameOf(server.site)]).toEqual([9, 'Fine', 'Fine'])
    expect(store.saver.refused.get().map(({ detail }) => detail)).toEqual([expect.stringContaining('“Nonsense” cannot be saved.')])
  })

  it('is not held up by an edit that the server will never take, which is kept, also for the next window, and can be tried again', async () => {
    const server = makeServer()
    const browser = makeBrowser()
    const store = connect(browser.open(server))
    await later(30)
    server.refuses = 'Huge'
    store.edit(rename('Huge'), 'Huge')
    store.edit(turn(17), 'The angle')
    expect(await store.saver.settle()).toBe(true)
    expect([nameOf(server.site), angleOf(server.site), nameOf(shown(store)), await kept()]).toEqual(['Lean', 17, 'Lean', []])
    const refused = [expect.objectContaining({ detail: '“Huge” cannot be saved. It is too large.' })]
    expect(store.saver.refused.get()).toEqual(refused)
    expect(tellRefused(store.saver.refused.get())).toBe(
      'An edit was not taken; everything else is saved. “Huge” cannot be saved. It is too large.',
    )
    const next = connect(browser.open(server))
    await eventually(() => expect(next.saver.refused.get()).toEqual(refused))
    server.refuses = ''
    next.tryAgain()
    expect(await next.saver.settle()).toBe(true)
    expect([nameOf(server.site), next.saver.refused.get(), await openEditLog('s').refused()]).toEqual(['Huge', [], []])
  })

  it('is not held up by an edit on its disk that would leave no site: it is listed, and what came after it is saved', async () => {
    const server = makeServer()
    const damaged = {
      format: site.format,
      number: 1,
      words: 'Damaged',
      gesture: 'g',
      patch: [{ do: 'set', at: ['effects'], from: [], to: null }],
    }
    await openEditLog('s').keep('gone', damaged as unknown as Entry)
    const renamed = { do: 'set', at: ['effects', { id: 'e' }, 'name'], from: 'Lean', to: 'Later' }
    await openEditLog('s').keep('gone', {
      format: site.format,
      number: 2,
      words: 'Later',
      gesture: 'h',
      patch: [renamed],
    } as unknown as Entry)
    const store = connect(makeBrowser().open(server))
    await eventually(() => expect([nameOf(server.site), nameOf(shown(store))]).toEqual(['Later', 'Later']))
    await eventually(() =>
      expect(store.saver.refused.get().map(({ detail }) => detail)).toEqual([expect.stringContaining('“Damaged” cannot be saved.')]),
    )
  })

  it.each([400, 413, 422, 431])(
    'whose edits are answered by a %i that is not about them keeps them, and sends them again',
    async (status) => {
      const server = makeServer()
      const store = connect(makeBrowser().open(server))
      await later(30)
      server.fails = status
      store.edit(rename('Mine'), 'Renaming')
      expect(await store.saver.settle()).toBe(false)
      expect([nameOf(shown(store)), store.saver.saving.get().state, (await kept()).length]).toEqual(['Mine', 'offline', 1])
      server.fails = 0
      expect(await store.saver.settle()).toBe(true)
      expect(nameOf(server.site)).toBe('Mine')
    },
  )
})
