// The journal of a window: its edits by running number until the server has them. What is shown is what the server has, with
// all that is under way on top; so nothing that was saved can be reverted by what was kept, nor be counted twice.
import * as z from 'zod'
import { applyPatch, isSame, join, type Clash, type Op, type Patch } from './patch'
import { checkSite, misshapen } from './check-site'
import { upgradePatch } from './formats'
import { siteFormat, tidySite, type Site } from './site'

/** One described edit. `gesture` joins the edits of one drag. `format` is that of the site that it was made on; the oldest one where it is left out. */
export interface Entry {
  readonly format?: typeof siteFormat | undefined
  readonly number: number
  readonly words: string
  readonly gesture: string
  readonly patch: Patch
}

export interface Journal {
  readonly window: string
  /** What the server has, at which revision. */
  readonly revision: number
  readonly base: Site
  /** Edits of other windows that were heard of and are not in the base yet, by window. */
  readonly others: Readonly<Record<string, readonly Entry[]>>
  /** Edits of this window that the server has not acknowledged. */
  readonly own: readonly Entry[]
  /** The number of the next entry, and up to which one they were sent: those are not amended any more. */
  readonly next: number
  readonly sent: number
}

export function beginJournal(window: string, base: Site, revision: number): Journal {
  return { window, revision, base, others: {}, own: [], next: 1, sent: 0 }
}

/** The site as it stands with everything that is under way. */
export function shownSite({ base, others, own }: Journal): Site {
  const under = [...Object.values(others).flat(), ...own]
  return under.length === 0 ? base : tidySite(under.reduce((site, { patch }) => applyPatch(site, patch).value, base))
}

/** Writes an edit down; one of the gesture of the last entry amends it, unless that was sent. Gives the entry to be kept. */
export function writeEntry(
  journal: Journal,
  patch: Patch,
  words: string,
  gesture: string,
): { readonly journal: Journal; readonly entry: Entry } {
  const last = journal.own.at(-1)
  if (last?.gesture === gesture && last.number > journal.sent) {
    const entry = { ...last, words, patch: join(last.patch, patch) }
    return { journal: { ...journal, own: [...journal.own.slice(0, -1), entry] }, entry }
  }
  const entry: Entry = { format: siteFormat, number: journal.next, words, gesture, patch }
  return { journal: { ...journal, own: [...journal.own, entry], next: journal.next + 1 }, entry }
}

/** As many entries as are sent at once, and how long their patches may be together, characters. */
const batch = { entries: 100, characters: 1_000_000 } as const

/** The entries that are to be sent next, in order; none where all are acknowledged. At least one, however long. */
export function nextBatch({ own }: Pick<Journal, 'own'>): readonly Entry[] {
  let length = 0
  return own.slice(0, batch.entries).filter(({ patch }, i) => {
    length += JSON.stringify(patch).length
    return i === 0 || length <= batch.characters
  })
}

export const markSent = (journal: Journal, number: number): Journal => ({ ...journal, sent: Math.max(journal.sent, number) })

/** What the server says of a site: its revision, and the last number that it has of each window. */
export interface ServerState {
  readonly revision: number
  readonly site: Site
  readonly lasts: Readonly<Record<string, number>>
}

/** Takes over what the server has; an older answer than the last one changes nothing but what it acknowledges. */
export function hearServer(journal: Journal, { revision, site, lasts }: ServerState): Journal {
  if (revision < journal.revision) return journal
  const left = (window: string, entries: readonly Entry[]) => entries.filter(({ number }) => number > (lasts[window] ?? 0))
  const others = Object.fromEntries(
    Object.entries(journal.others)
      .map(([window, entries]) => [window, left(window, entries)] as const)
      .filter(([, entries]) => entries.length > 0),
  )
  return { ...journal, revision, base: site, others, own: left(journal.window, journal.own) }
}

/** Hears of an entry of another window of this browser, new or amended; `known` is the last that the base is known to have. */
export function hearOther(journal: Journal, window: string, entry: Entry, known = 0): Journal {
  if (window === journal.window || entry.number <= known) return journal
  const before = journal.others[window] ?? []
  const entries = [...before.filter(({ number }) => number !== entry.number), entry].sort((one, other) => one.number - other.number)
  return { ...journal, others: { ...journal.others, [window]: entries } }
}

/** The type of the problem (RFC 9457) by which the server says that it will never take these edits; whatever else it answers, they are sent again. */
export const editsRefused = 'urn:glass-moth:problem:edits-refused'

/** An entry that was not taken, with the reason. */
export interface Refusal {
  readonly number: number
  readonly detail: string
}

export interface Taken {
  readonly site: Site
  /** The last number that is dealt with. */
  readonly last: number
  /** What was done, in words. */
  readonly done: readonly string[]
  readonly clashes: readonly Clash[]
  readonly refusals: readonly Refusal[]
  /** Whether the site is what the edits make of it: the schema trims names and fills in what is new. */
  readonly isAsSent: boolean
}

type SentEntry = Pick<Entry, 'format' | 'number' | 'words' | 'patch'>

/** The server's side: applies the entries of a window that it does not have yet, in order, to what the site is now. One that would leave no valid site is left out, and told. */
export function takeEntries(now: Site, last: number, entries: readonly SentEntry[]): Taken {
  const fresh = entries.filter(({ number }, i) => number > last && entries.slice(0, i).every((before) => before.number < number))
  // Mostly all of them can be taken, and are checked once.
  const all = takeAll(now, last, fresh)
  if (!('reason' in all)) return all
  return fresh.reduce<Taken>(
    (taken, entry) => {
      const one = takeAll(taken.site, taken.last, [entry])
      if ('reason' in one)
        return {
          ...taken,
          isAsSent: false,
          last: entry.number,
          refusals: [...taken.refusals, { number: entry.number, detail: `“${entry.words}” cannot be saved. ${one.reason}` }],
        }
      return {
        site: one.site,
        last: one.last,
        done: [...taken.done, ...one.done],
        clashes: [...taken.clashes, ...one.clashes],
        refusals: taken.refusals,
        isAsSent: taken.isAsSent && one.isAsSent,
      }
    },
    { site: now, last, done: [], clashes: [], refusals: [], isAsSent: true },
  )
}

/** All of these entries in a row, or why they leave no valid site. */
function takeAll(now: Site, last: number, entries: readonly SentEntry[]): Taken | { readonly reason: string } {
  let site = now
  const clashes: Clash[] = []
  for (const { format, patch } of entries) {
    const { effects } = site
    const applied = applyPatch(site, format ? patch : upgradePatch(patch, (id) => effects.find((effect) => effect.id === id)?.kind))
    // A patch may put anything anywhere.
    const reason = misshapen(applied.value)
    if (reason !== undefined) return { reason }
    site = tidySite(applied.value)
    clashes.push(...applied.clashes)
  }
  const checked = site === now ? { site } : checkSite(site)
  if ('reason' in checked) return checked
  return {
    site: checked.site,
    last: entries.at(-1)?.number ?? last,
    done: entries.map(({ words }) => words),
    clashes,
    refusals: [],
    isAsSent: isSame(checked.site, site),
  }
}

const field = z
  .string()
  .max(2000)
  .refine((name) => name !== '__proto__', 'is no field')
const pathSchema: z.ZodType<Op['at']> = z.array(z.union([field, z.strictObject({ id: z.string().max(2000) })])).max(60)
const keys = z.array(z.string().max(2000)).max(5000)
const opSchema: z.ZodType<Op> = z.union([
  z.strictObject({ do: z.literal('set'), at: pathSchema, from: z.unknown().optional(), to: z.unknown().optional() }),
  z.strictObject({ do: z.enum(['put', 'drop']), at: pathSchema, item: z.unknown(), behind: z.string().max(2000).nullable() }),
  z.strictObject({ do: z.literal('order'), at: pathSchema, from: keys, to: keys }),
])

/** An entry as it is kept and sent. */
export const entrySchema = z.object({
  format: z.literal(siteFormat).optional(),
  number: z
    .number()
    .int()
    .min(1)
    .max(2 ** 31),
  words: z.string().max(400),
  gesture: z.string().max(80),
  patch: z.array(opSchema).max(20_000),
})
export const clashSchema: z.ZodType<Clash> = z.object({
  op: opSchema,
  what: z.enum(['both', 'gone', 'kept']),
  theirs: z.unknown().optional(),
})
