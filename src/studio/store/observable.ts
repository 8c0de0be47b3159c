// A value that can be watched: what the stores are made of.
import { useSyncExternalStore } from 'react'

export interface Observable<T> {
  readonly get: () => T
  readonly set: (next: T) => void
  readonly watch: (listener: () => void) => () => void
}

export function observable<T>(initial: T): Observable<T> {
  let value = initial
  const listeners = new Set<() => void>()
  return {
    get: () => value,
    set: (next) => {
      if (Object.is(next, value)) return
      value = next
      for (const listener of [...listeners]) listener()
    },
    watch: (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
  }
}

/** Some fields of a watched value: it stays the same value while none of them changes. */
export function partOf<T, Key extends keyof T>(
  { get, watch }: Pick<Observable<T>, 'get' | 'watch'>,
  keys: readonly Key[],
): Pick<Observable<Pick<T, Key>>, 'get' | 'watch'> {
  let kept = get()
  return {
    get: () => {
      const now = get()
      if (keys.some((key) => !Object.is(kept[key], now[key]))) kept = now
      return kept
    },
    watch,
  }
}

/** The present value, kept up to date in a component. */
export function useObservable<T>(watched: Pick<Observable<T>, 'get' | 'watch'>): T {
  return useSyncExternalStore(watched.watch, watched.get, watched.get)
}
