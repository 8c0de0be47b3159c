// Work that follows a drag, at a pace of its own: at once where nothing was done lately, else so often and no more.

/**
 * Takes entries by their number and hands the newest of each on: the first at once, those that follow within `everyMs` together.
 * `work` is not called again before it has come to its end.
 */
export function paced<Entry extends { readonly number: number }>(
  everyMs: number,
  work: (entries: readonly Entry[]) => Promise<void> | void,
): (entry: Entry) => void {
  const waiting = new Map<number, Entry>()
  let isBusy = false
  const go = async () => {
    isBusy = true
    while (waiting.size > 0) {
      const entries = [...waiting.values()]
      waiting.clear()
      await Promise.all([work(entries), new Promise((resolve) => setTimeout(resolve, everyMs))])
    }
    isBusy = false
  }
  return (entry) => {
    waiting.set(entry.number, entry)
    if (!isBusy) void go()
  }
}
