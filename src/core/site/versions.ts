// Which versions of a site are kept: all of a day, then the last of each hour for a week, then the last of each day; those with
// a name for ever.

export interface Version {
  readonly revision: number
  /** When it was saved last, ms since 1970. */
  readonly savedAt: number
  readonly name: string | null
}

const hour = 3600_000
const day = 24 * hour

/** The revisions that may go; the newest never does. `now` in ms since 1970. */
export function versionsToDrop(versions: readonly Version[], now: number): readonly number[] {
  const newest = Math.max(...versions.map(({ revision }) => revision))
  const seen = new Set<string>()
  return versions
    .toSorted((one, other) => other.revision - one.revision)
    .flatMap(({ revision, savedAt, name }) => {
      const age = now - savedAt
      if (revision === newest || name !== null || age < day) return []
      const span = age < 8 * day ? hour : day
      const key = `${span} ${Math.floor(savedAt / span)}`
      if (!seen.has(key)) {
        seen.add(key)
        return []
      }
      return [revision]
    })
}

/** A stretch of work ends with a pause so long, and after so long at the latest, ms. */
const pauseMs = 20_000
const longestMs = 60_000

/** Whether a save goes on with the version that was saved last, rather than beginning another. Times in ms since 1970. */
export function goesOn(
  last: { readonly beganAt: number; readonly savedAt: number; readonly window: string | null; readonly name: string | null },
  window: string,
  now: number,
): boolean {
  return (
    last.name === null && last.window === window && now >= last.savedAt && now - last.savedAt < pauseMs && now - last.beganAt < longestMs
  )
}

const mostWords = 4

/** What was done in a stretch of work, in words: each once, and how many more there are. */
export function tellDone(before: string, done: readonly string[], longest = 380): string {
  const words = [...new Set([...before.split('; ').filter((each) => each !== ''), ...done])]
  const more = words.findLast((each) => /^and \d+ more$/.test(each))
  const all = words.filter((each) => !/^and \d+ more$/.test(each))
  const hidden = Number(/\d+/.exec(more ?? '')?.[0] ?? 0) + Math.max(0, all.length - mostWords)
  const shown = all
    .slice(0, mostWords)
    .join('; ')
    .slice(0, longest - 20)
  return hidden > 0 ? `${shown}; and ${hidden} more` : shown
}
