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

/** The present value, kept up to date in a component. */
export function useObservable<T>(watched: Observable<T>): T {
  return useSyncExternalStore(watched.watch, watched.get, watched.get)
}
