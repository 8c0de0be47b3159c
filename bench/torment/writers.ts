// Windows without a browser: the studio's own store in front of the real server, its disk in memory.
import 'fake-indexeddb/auto'
import { nanoid } from 'nanoid'
import { tiltDefaults } from '../../src/core/effect/tilt/settings'
import { isSame } from '../../src/core/site/patch'
import { siteSchema, type Site } from '../../src/core/site/site'
import { openEditLog } from '../../src/studio/store/edit-log'
import { makeSiteStore, type SiteStore } from '../../src/studio/store/site-store'
import { ask, pause, pick, type TormentHouse } from './house'

const send = globalThis.fetch

/** The store asks by paths; here they are the house's. */
export function pointAt({ address }: TormentHouse): void {
  globalThis.fetch = (input, init) => (typeof input === 'string' && input.startsWith('/') ? ask(address + input, init) : send(input, init))
}

export async function makeSite(
  { address }: TormentHouse,
  effects: number,
): Promise<{ readonly id: string; readonly site: Site; readonly revision: number }> {
  const made = (await (
    await ask(`${address}/api/sites`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ starter: 'card-grid' }),
    })
  ).json()) as { siteId: string }
  const id = made.siteId
  const { site, revision } = await readServer(address, id)
  const store = makeSiteStore({ id, site, revision, window: nanoid(16), join: () => ({ tell: () => undefined, end: () => undefined }) })
  for (let i = 0; i < effects; i++)
    store.edit(
      {
        do: 'add',
        at: i,
        effect: { id: `e${i}`, kind: 'tilt', name: `Effect ${i}`, select: '.grid-card', noun: 'each card', settings: tiltDefaults },
      },
      'Adding',
    )
  await store.saver.settle()
  return { id, ...(await readServer(address, id)) }
}

export async function readServer(address: string, id: string): Promise<{ readonly site: Site; readonly revision: number }> {
  const state = (await (await ask(`${address}/api/sites/${id}/state`)).json()) as { site: unknown; revision: number }
  return { site: siteSchema.parse(state.site), revision: state.revision }
}

/** A window's store; what it tells, nobody hears but the server. */
export const openWindow = (id: string, { site, revision }: { readonly site: Site; readonly revision: number }): SiteStore =>
  makeSiteStore({
    id,
    site,
    revision,
    window: nanoid(16),
    log: openEditLog(id),
    join: () => ({ tell: () => undefined, end: () => undefined }),
  })

/** Brings all edits of some windows to the server. Gives whether that was possible in so many ms. */
export async function settleAll(stores: readonly SiteStore[], mostMs: number): Promise<boolean> {
  for (const end = Date.now() + mostMs; Date.now() < end; await pause(100)) {
    const settled = await Promise.all(stores.map((store) => store.saver.settle()))
    if (settled.every(Boolean)) return true
  }
  return false
}

export interface WritersResult {
  readonly edits: number
  readonly undone: number
  readonly lost: number
  readonly reverted: number
}

/**
 * Two windows that edit one site at once, each fields of its own and some that both change, and undo now and then. Afterwards
 * every field that one alone changed has the value that it gave last, and both windows show what the server has.
 */
export async function twoWriters(house: TormentHouse, count: number, random: () => number): Promise<WritersResult> {
  pointAt(house)
  const { id, ...start } = await makeSite(house, 6)
  const stores = [openWindow(id, start), openWindow(id, start)]
  let [edits, undone, reverted] = [0, 0, 0]
  const ownOf = (site: Site, who: number) =>
    site.effects.filter((_, i) => i % 3 === who).map(({ name, settings }) => [name, (settings as typeof tiltDefaults).acrossDeg] as const)
  for (let i = 0; i < count; i++) {
    for (const [who, store] of stores.entries()) {
      const before = store.history.get()
      const isUndo = random() < 0.2 && before.undo.length > 0
      if (isUndo) {
        store.undo()
        undone += 1
      } else {
        const index = random() < 0.2 ? pick(random, [2, 5]) : pick(random, [who, who + 3])
        const effect = before.site.effects[index]
        if (effect)
          store.edit(
            random() < 0.5
              ? { do: 'change', id: effect.id, to: { name: `${who} ${i}` } }
              : {
                  do: 'change',
                  id: effect.id,
                  to: { settings: { ...(effect.settings as typeof tiltDefaults), acrossDeg: Math.floor(random() * 40) } },
                },
            'An edit',
          )
        edits += 1
      }
      // What the other one alone changes is never changed by an undo of ours.
      if (isUndo && !isSame(ownOf(before.site, 1 - who), ownOf(store.history.get().site, 1 - who))) reverted += 1
    }
    if (random() < 0.3) await pause(random() * 60)
  }
  const mine = stores.map((store, who) => ownOf(store.history.get().site, who))
  await settleAll(stores, 60_000)
  await Promise.all(stores.map((store) => store.saver.refresh()))
  const { site } = await readServer(house.address, id)
  const lost =
    mine.filter((values, who) => !isSame(values, ownOf(site, who))).length +
    stores.filter((store) => !isSame(store.history.get().site, site)).length
  for (const store of stores) store.saver.end()
  return { edits, undone, lost, reverted }
}
