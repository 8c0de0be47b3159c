// The law of the journal: whatever crashes, is lost or comes twice, each edit counts once, and nothing that was saved is reverted.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { tiltDefaults } from '../effect/tilt/settings'
import { checkSite } from './check-site'
import { doEdit, beginHistory } from './history'
import {
  beginJournal,
  entrySchema,
  hearOther,
  hearServer,
  markSent,
  nextBatch,
  shownSite,
  takeEntries,
  writeEntry,
  type Entry,
  type Journal,
} from './journal'
import { diff } from './patch'
import type { Effect, Site } from './site'

const effect = (id: string): Effect => ({
  id,
  kind: 'tilt',
  name: `Effect ${id}`,
  select: '.card',
  noun: 'each card',
  settings: tiltDefaults,
})
const start: Site = {
  format: 'glass-moth/2',
  name: 'A site',
  pages: [{ id: 'p', name: 'A page', source: 'a'.repeat(64) }],
  effects: ['0', '1', '2'].map(effect),
}
const nameOf = (site: Site, id: string) => site.effects.find((each) => each.id === id)?.name
const naming = (site: Site, id: string, name: string) =>
  diff(site, { ...site, effects: site.effects.map((each) => (each.id === id ? { ...each, name } : each)) })

/** A window as a browser has it: its journal in memory, and what reached its disk. */
interface Window {
  journal: Journal
  readonly disk: Map<number, Entry>
  /** Entries that were on the disk when an earlier life of a window ended, by its name. */
  readonly inherited: Map<string, readonly Entry[]>
}

type Act =
  | { readonly do: 'edit'; readonly who: number; readonly id: string; readonly drag: boolean }
  | { readonly do: 'save'; readonly who: number; readonly fate: 'all' | 'request lost' | 'answer lost' | 'server dies before' }
  | { readonly do: 'crash'; readonly who: number; readonly staleDisk: boolean }
  | { readonly do: 'news'; readonly who: number }

const who = fc.nat(1)
const acts: fc.Arbitrary<Act> = fc.oneof(
  { weight: 5, arbitrary: fc.record({ do: fc.constant('edit' as const), who, id: fc.constantFrom('0', '1', '2'), drag: fc.boolean() }) },
  {
    weight: 4,
    arbitrary: fc.record({
      do: fc.constant('save' as const),
      who,
      fate: fc.constantFrom('all' as const, 'request lost' as const, 'answer lost' as const, 'server dies before' as const),
    }),
  },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('crash' as const), who, staleDisk: fc.boolean() }) },
  { weight: 2, arbitrary: fc.record({ do: fc.constant('news' as const), who }) },
)

describe('a journal', () => {
  it('loses no edit, counts none twice and reverts nothing, whatever crashes and is lost', () => {
    fc.assert(
      fc.property(fc.array(acts, { maxLength: 60 }), (all) => {
        const server = { site: start, revision: 1, lasts: {} as Record<string, number>, log: [] as string[] }
        const lives = [0, 0]
        const newWindow = (n: number): Window => ({
          journal: beginJournal(`w${n}.${lives[n] ?? 0}`, server.site, server.revision),
          disk: new Map(),
          inherited: new Map(),
        })
        const windows = [newWindow(0), newWindow(1)]
        const written: string[] = []
        let count = 0

        const state = () => ({ site: server.site, revision: server.revision, lasts: { ...server.lasts } })
        const receive = (name: string, entries: readonly Entry[]) => {
          const taken = takeEntries(server.site, server.lasts[name] ?? 0, entries)
          for (const { number } of entries) if (number > (server.lasts[name] ?? 0)) server.log.push(`${name}#${number}`)
          Object.assign(server, { site: taken.site, revision: server.revision + 1, lasts: { ...server.lasts, [name]: taken.last } })
        }
        const hear = (window: Window) => {
          window.journal = hearServer(window.journal, state())
          for (const number of window.disk.keys()) if (number <= (server.lasts[window.journal.window] ?? 0)) window.disk.delete(number)
        }
        const save = (window: Window, fate: Extract<Act, { do: 'save' }>['fate']) => {
          // What earlier lives left comes first; it carries their names and numbers.
          for (const [name, entries] of window.inherited) {
            if (fate === 'request lost' || fate === 'server dies before') return
            receive(name, entries)
            if (fate === 'all') window.inherited.delete(name)
          }
          const entries = nextBatch(window.journal)
          if (entries.length === 0) return
          window.journal = markSent(window.journal, entries.at(-1)?.number ?? 0)
          if (fate === 'request lost' || fate === 'server dies before') return
          receive(window.journal.window, entries)
          if (fate === 'all') hear(window)
        }

        for (const act of all) {
          const window = windows[act.who]
          if (!window) continue
          if (act.do === 'edit') {
            const site = shownSite(window.journal)
            const name = `value ${++count}`
            const { journal, entry } = writeEntry(
              window.journal,
              naming(site, act.id, name),
              'Renaming',
              act.drag ? `drag ${act.id}` : `edit ${count}`,
            )
            window.journal = journal
            window.disk.set(entry.number, entry)
            const other = windows[1 - act.who]
            if (other) other.journal = hearOther(other.journal, journal.window, entry)
            // One that was sent is amended no more.
            expect(entry.number).toBeGreaterThan(journal.sent)
            const key = `${journal.window}#${entry.number}`
            if (!written.includes(key)) written.push(key)
            expect(nameOf(shownSite(window.journal), act.id)).toBe(name)
          } else if (act.do === 'save') save(window, act.fate)
          else if (act.do === 'news') hear(window)
          else {
            // The browser dies. What is on its disk may be older than what the server acknowledged; its name tells what is what.
            const left = [
              ...(act.staleDisk
                ? new Map([...window.disk, ...window.journal.own.map((entry) => [entry.number, entry] as const)])
                : window.disk
              ).values(),
            ]
            lives[act.who] = (lives[act.who] ?? 0) + 1
            const next = newWindow(act.who)
            for (const [name, entries] of window.inherited) next.inherited.set(name, entries)
            if (left.length > 0) next.inherited.set(window.journal.window, left)
            windows[act.who] = next
          }
        }
        for (let round = 0; round < 80; round++) for (const window of windows) save(window, 'all')
        for (const window of windows) hear(window)

        // Each edit reached the server once, and those of a window in their order.
        expect([...server.log].sort()).toEqual([...written].sort())
        for (const name of new Set(server.log.map((key) => key.split('#')[0] ?? ''))) {
          const numbers = server.log.filter((key) => key.startsWith(`${name}#`)).map((key) => Number(key.split('#')[1]))
          expect(numbers).toEqual(numbers.toSorted((one, other) => one - other))
        }
        // And both windows show what the server has.
        for (const { journal } of windows) expect([journal.own, journal.others, shownSite(journal)]).toEqual([[], {}, server.site])
      }),
      { numRuns: 400 },
    )
  })

  it('keeps what was saved last, when a stale entry is sent again after it', () => {
    const first = takeEntries(start, 0, [{ number: 1, words: 'Renaming', patch: naming(start, '0', '31') }])
    const second = takeEntries(first.site, first.last, [{ number: 2, words: 'Renaming', patch: naming(first.site, '0', '40') }])
    const again = takeEntries(second.site, second.last, [{ number: 1, words: 'Renaming', patch: naming(start, '0', '31') }])
    expect([nameOf(again.site, '0'), again.last, again.done]).toEqual(['40', 2, []])
  })

  it('leaves out an edit that would leave no valid site, says why, and takes the rest', () => {
    const taken = takeEntries(start, 0, [
      { number: 1, words: 'Nonsense', patch: [{ do: 'set', at: ['effects', { id: '0' }, 'settings', 'acrossDeg'], from: 9, to: 900 }] },
      { number: 2, words: 'Renaming', patch: naming(start, '1', 'fine') },
    ])
    expect([nameOf(taken.site, '1'), taken.last, taken.done]).toEqual(['fine', 2, ['Renaming']])
    expect(taken.refusals).toMatchObject([
      { number: 1, detail: expect.stringContaining('“Nonsense” cannot be saved. At effects.0.settings.acrossDeg: ') as string },
    ])
  })

  it('tells when the site is not just what was sent: names are trimmed, and effects checked once are known again', () => {
    const renamed = (to: string) =>
      takeEntries(start, 0, [{ number: 1, words: 'Renaming', patch: [{ do: 'set', at: ['name'], from: 'A site', to }] }])
    expect([renamed(' spaced ').isAsSent, renamed(' spaced ').site.name, renamed('plain').isAsSent]).toEqual([false, 'spaced', true])
    const first = renamed('plain')
    const second = takeEntries(first.site, 1, [{ number: 2, words: 'Renaming', patch: naming(first.site, '1', 'One') }])
    // The others are the same objects: nothing was read again.
    expect([second.site.effects[0], second.site.effects[2]].every((each, i) => each === first.site.effects[i * 2])).toBe(true)
    const broken = takeEntries(second.site, 2, [
      { number: 3, words: 'x', patch: [{ do: 'set', at: ['effects', { id: '2' }, 'kind'], from: 'tilt', to: 'wobble' }] },
    ])
    expect(broken.refusals[0]?.detail).toBe('“x” cannot be saved. At effects.2.kind: there is no kind of effect called "wobble".')
  })

  it('is not deceived by a patch that would reach past the document', () => {
    const at = ['__proto__', 'polluted']
    expect(entrySchema.safeParse({ number: 1, words: '', gesture: '', patch: [{ do: 'set', at, to: true }] }).success).toBe(false)
    expect(
      entrySchema.safeParse({
        number: 1,
        words: '',
        gesture: '',
        patch: doEdit(beginHistory(start), { do: 'remove', id: '0' }, '', '')?.step.patch,
      }).success,
    ).toBe(true)
  })
})

describe('an edit of a wrong shape', () => {
  const places: readonly Entry['patch'][number]['at'][] = [
    [],
    ['effects'],
    ['pages'],
    ['bin'],
    ['name'],
    ['format'],
    ['values'],
    ['traces'],
    ['bundles'],
    ['script'],
    ['effects', { id: '0' }],
    ['effects', { id: 'none' }],
    ['effects', { id: '0' }, 'id'],
    ['effects', { id: '0' }, 'kind'],
    ['effects', { id: '0' }, 'settings'],
    ['pages', { id: 'p' }],
  ]
  const values = [null, 5, 'x', true, [], {}, [1], [null], { id: 'y' }, [[]], { length: 3 }]

  it('is left out with a reason, or leaves a site, wherever it is and whatever it puts there', () => {
    let refused = 0
    for (const at of places)
      for (const value of values)
        for (const op of [
          { do: 'set', at, from: null, to: value },
          { do: 'put', at, item: value, behind: null },
        ]) {
          const entry = entrySchema.safeParse({ format: start.format, number: 1, words: 'Nonsense', gesture: 'g', patch: [op] })
          if (!entry.success) continue
          const after = { format: start.format, number: 2, words: 'Fine', gesture: 'h', patch: naming(start, '1', 'Named') }
          const taken = takeEntries(start, 0, [entry.data, after])
          expect(checkSite(taken.site), JSON.stringify(op)).toHaveProperty('site')
          refused += taken.refusals.length
          if (taken.refusals.length > 0) expect(nameOf(taken.site, '1')).toBe('Named')
        }
    expect(refused).toBeGreaterThan(100)
  })
})
