// The studio's keys, in one place: what the page forwards and what the studio hears itself go the same way.
import { tinykeys } from 'tinykeys'
import { leavePage, startPointing, stopPointing, toggleWalk, turnDirection } from './commands'
import type { Studio } from './context'

/** The keys as they are named on buttons. */
export const keyNames = { point: 'P', turn: 'T', code: 'C', walk: 'W', leave: 'L', undo: 'Ctrl Z', redo: 'Ctrl Shift Z' } as const

function isTyping(event: KeyboardEvent): boolean {
  const target = event.target
  return target instanceof HTMLElement && (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable)
}

/** Listens until the function it gives back is called. */
export function listenToKeys(studio: Studio): () => void {
  const when = (act: () => void) => (event: KeyboardEvent) => {
    if (isTyping(event)) return
    event.preventDefault()
    act()
  }
  const { store, view } = studio
  return tinykeys(window, {
    KeyP: when(() => (view.get().pointing.stage === 'no' ? startPointing(studio) : stopPointing(studio))),
    KeyT: when(() => turnDirection(studio)),
    KeyC: when(() => view.update({ codeOpen: !view.get().codeOpen })),
    KeyW: when(() => toggleWalk(studio)),
    KeyL: when(() => leavePage(studio)),
    '$mod+KeyZ': when(store.undo),
    '$mod+Shift+KeyZ': when(store.redo),
    '$mod+KeyY': when(store.redo),
    Escape: () => {
      if (view.get().pointing.stage !== 'no') stopPointing(studio)
    },
  })
}
