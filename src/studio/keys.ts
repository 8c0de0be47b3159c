// The studio's keys, in one place: what the page forwards and what the studio hears itself go the same way.
import { tinykeys } from 'tinykeys'
import { keepTry, selectBeside, selectedEffect, toggleDrawer, toggleOff, turnDirection } from './commands'
import { pasteEffect, textOfEffect } from './effect-text'
import { holdLook, leavePage, toggleFastened, toggleGap, togglePosing, toggleWalk } from './frame/holding'
import { addAnother, choosePicked, startPointing, stopPointing, walkTree } from './point/commands'
import type { Studio } from './context'

/** The keys as they are named on buttons. */
export const keyNames = { point: 'P', turn: 'T', code: 'C', markup: 'M', pages: 'G', another: 'A', next: 'N', before: 'Shift N', off: 'O', only: 'Shift O', bare: 'B', sheet: '?', walk: 'W', leave: 'L', fasten: 'F', pose: 'H', gap: 'J', tries: 'Y', keepTry: 'Shift Y', holdOff: '1', holdOn: '2', holdPressed: '3', holdStill: '4', undo: 'Ctrl Z', redo: 'Ctrl Shift Z' } as const

function isTyping(event: Event): boolean {
  const target = event.target
  return target instanceof HTMLElement && ((target.matches('input, textarea, select') && !target.matches('input:is([type=checkbox], [type=radio], [type=button])')) || target.isContentEditable)
}

/** Whether a key belongs to a button or a link that has the focus. */
function isOnControl(event: KeyboardEvent): boolean {
  return isTyping(event) || (event.target instanceof HTMLElement && event.target.closest('button, a, [role=menuitem]') !== null)
}

/** Listens until the function it gives back is called. */
export function listenToKeys(studio: Studio): () => void {
  const when = (act: () => void) => (event: KeyboardEvent) => {
    if (isTyping(event) || (!studio.letters.get() && !event.ctrlKey && !event.metaKey)) return
    event.preventDefault()
    act()
  }
  const { store, view } = studio
  /** While looking, the arrows walk the tree of the page: up to what is around, down into it, left and right beside it. */
  const climbing = (to: Parameters<typeof walkTree>[1]) => (event: KeyboardEvent) => {
    if (view.get().pointing.stage !== 'looking' || isTyping(event)) return
    event.preventDefault()
    void walkTree(studio, to)
  }
  // Copying with nothing selected copies the effect; pasting puts one on what is chosen.
  const copy = (event: ClipboardEvent) => {
    const effect = selectedEffect(studio)
    if (!effect || isTyping(event) || String(window.getSelection()) !== '') return
    event.preventDefault()
    event.clipboardData?.setData('text/plain', textOfEffect(effect))
  }
  const paste = (event: ClipboardEvent) => {
    if (!isTyping(event) && pasteEffect(studio, event.clipboardData?.getData('text') ?? '')) event.preventDefault()
  }
  const unbare = (event: Event) => (!(event instanceof KeyboardEvent) || event.code === 'KeyB') && studio.link.say({ type: 'bare', on: false })
  window.addEventListener('keyup', unbare)
  window.addEventListener('blur', unbare)
  document.addEventListener('copy', copy)
  document.addEventListener('paste', paste)
  const stop = tinykeys(window, {
    KeyP: when(() => (view.get().pointing.stage === 'no' ? startPointing(studio) : stopPointing(studio))),
    KeyT: when(() => turnDirection(studio)),
    KeyC: when(() => toggleDrawer(studio, 'code')),
    KeyM: when(() => toggleDrawer(studio, 'markup')),
    KeyG: when(() => toggleDrawer(studio, 'pages')),
    KeyO: when(() => {
      const effect = selectedEffect(studio)
      if (effect) toggleOff(studio, effect)
    }),
    'Shift+KeyO': when(() => view.update({ onlyThis: !view.get().onlyThis })),
    KeyN: when(() => selectBeside(studio, 1)),
    'Shift+KeyN': when(() => selectBeside(studio, -1)),
    KeyB: when(() => studio.link.say({ type: 'bare', on: true })),
    '?': when(() => toggleDrawer(studio, 'keys')),
    'Shift+?': when(() => toggleDrawer(studio, 'keys')),
    KeyA: when(() => view.get().pointing.stage === 'choosing' && addAnother(studio)),
    KeyW: when(() => toggleWalk(studio)),
    KeyL: when(() => leavePage(studio)),
    KeyF: when(() => toggleFastened(studio)),
    KeyH: when(() => togglePosing(studio)),
    KeyJ: when(() => toggleGap(studio)),
    KeyY: when(() => toggleDrawer(studio, 'tries')),
    'Shift+KeyY': when(() => keepTry(studio)),
    Digit1: when(() => holdLook(studio, 'off')),
    Digit2: when(() => holdLook(studio, 'on')),
    Digit3: when(() => holdLook(studio, 'pressed')),
    Digit4: when(() => holdLook(studio, 'still')),
    '$mod+KeyZ': when(store.undo),
    '$mod+Shift+KeyZ': when(store.redo),
    '$mod+KeyY': when(store.redo),
    ArrowUp: climbing('parent'),
    ArrowDown: climbing('child'),
    ArrowLeft: climbing('previous'),
    ArrowRight: climbing('next'),
    Enter: (event) => {
      if (view.get().pointing.stage !== 'looking' || isOnControl(event)) return
      event.preventDefault()
      void choosePicked(studio)
    },
    Escape: () => {
      const { pointing, posing, gap, held, fastened } = view.get()
      if (pointing.stage !== 'no') stopPointing(studio)
      else if (posing) togglePosing(studio)
      else if (gap) toggleGap(studio)
      else if (held) holdLook(studio, held)
      else if (fastened) toggleFastened(studio)
    },
  })
  return () => {
    stop()
    window.removeEventListener('keyup', unbare)
    window.removeEventListener('blur', unbare)
    document.removeEventListener('copy', copy)
    document.removeEventListener('paste', paste)
  }
}
