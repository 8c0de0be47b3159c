// What was saved, told to every window that listens. Next bundles each route for itself, so the listeners hang on the process.
import { EventEmitter } from 'node:events'
import type { Clash } from '../core/site/patch'

export interface News {
  readonly site: string
  readonly revision: number
  /** The window that saved, and the last of its numbers that is saved; empty for what home or the server did. */
  readonly window: string
  readonly last: number
  /** What somebody else had changed at the same time. */
  readonly clashes: readonly Clash[]
}

const shared = globalThis as typeof globalThis & { glassMothNews?: EventEmitter<{ saved: [News] }> }
const emitter = (shared.glassMothNews ??= new EventEmitter<{ saved: [News] }>().setMaxListeners(0))

export const tellNews = (news: News): void => void emitter.emit('saved', news)

/** Hears of whatever is saved from now on; gives how to stop. */
export function hearNews(listener: (news: News) => void): () => void {
  emitter.on('saved', listener)
  return () => void emitter.off('saved', listener)
}
