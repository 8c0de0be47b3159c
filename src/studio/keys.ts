// The studio's keys, in one place: what the page forwards and what the studio hears itself go the same way.
import { tinykeys } from 'tinykeys'
import { chosenEffects } from './effects/commands'
import { pasteEffect, tellCopied, textOfEffects } from './effects/effect-text'
import { changeMode } from './frame/holding'
import { choosePicked, stopPointing, walkTree } from './point/commands'
import type { Studio } from './context'
import { codesOf, commands } from './registry'

function isTyping(event: Event): boolean {
  const target = event.target
  return (
    target instanceof HTMLElement &&
    ((target.matches('input, textarea, select') && !target.matches('input:is([type=checkbox], [type=radio], [type=button])')) ||
      target.isContentEditable)
  )
}

/** Whether a key belongs to a number that has the focus: what is typed there is the number, or takes it away. */
const isOnNumber = (event: KeyboardEvent) =>
  event.target instanceof HTMLElement &&
  event.target.closest('[role=spinbutton], [role=slider]') !== null &&
  /^(\d|[.(+-]|Delete|Backspace)$/.test(event.key)

/** Whether a key belongs to a button or a link that has the focus. */
function isOnControl(event: KeyboardEvent): boolean {
  return isTyping(event) || (event.target instanceof HTMLElement && event.target.closest('button, a, [role=menuitem]') !== null)
}

/** Listens until the function it gives back is called. */
export function listenToKeys(studio: Studio): () => void {
  const when = (act: () => void) => (event: KeyboardEvent) => {
    // While recipes are looked through, letters are searched for.
    const search = event.ctrlKey || event.metaKey ? null : document.querySelector<HTMLElement>('[data-takes-letters]')
    if (search && !isTyping(event)) return search.focus({ preventScroll: true })
    if (isTyping(event) || isOnNumber(event) || (!studio.letters.get() && !event.ctrlKey && !event.metaKey)) return
    event.preventDefault()
    act()
  }
  const { view } = studio
  /** While looking, the arrows walk the tree of the page: up to what is around, down into it, left and right beside it. */
  const climbing = (to: Parameters<typeof walkTree>[1]) => (event: KeyboardEvent) => {
    if (view.get().pointing.stage !== 'looking' || isTyping(event)) return
    event.preventDefault()
    void walkTree(studio, to)
  }
  // Copying with nothing selected copies the effects that are chosen; pasting puts them on what is chosen.
  const copy = (event: ClipboardEvent) => {
    const text = textOfEffects(chosenEffects(studio))
    if (text === '' || isTyping(event) || String(window.getSelection()) !== '') return
    event.preventDefault()
    event.clipboardData?.setData('text/plain', text)
    tellCopied(studio, event.type === 'cut')
  }
  const paste = (event: ClipboardEvent) => {
    // An effect is no search for a recipe.
    const isSearching = event.target instanceof Element && event.target.matches('[data-takes-letters]')
    if ((isSearching || !isTyping(event)) && pasteEffect(studio, event.clipboardData?.getData('text') ?? '')) event.preventDefault()
  }
  const unbare = (event: Event) => {
    // Of a key that goes up while the page has the focus the page tells.
    const isHeld = event instanceof KeyboardEvent ? event.code !== 'KeyB' : document.activeElement instanceof HTMLIFrameElement
    if (!isHeld) studio.link.say({ type: 'bare', on: false })
  }
  const stopMoving = (event: Event) => {
    if (!(event instanceof KeyboardEvent) || event.code === 'Space') view.update({ panning: false })
  }
  window.addEventListener('keyup', unbare)
  window.addEventListener('keyup', stopMoving)
  window.addEventListener('blur', stopMoving)
  window.addEventListener('blur', unbare)
  document.addEventListener('copy', copy)
  document.addEventListener('cut', copy)
  document.addEventListener('paste', paste)
  const stop = tinykeys(window, {
    ...Object.fromEntries(commands.flatMap((command) => codesOf(command).map((code) => [code, when(() => command.run(studio))]))),
    Space: (event) => {
      if (isOnControl(event)) return
      event.preventDefault()
      if (!view.get().panning) view.update({ panning: true })
    },
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
      if (view.get().pointing.stage !== 'no') stopPointing(studio)
      else changeMode(studio, { type: 'escape' })
    },
  })
  return () => {
    stop()
    window.removeEventListener('keyup', unbare)
    window.removeEventListener('keyup', stopMoving)
    window.removeEventListener('blur', stopMoving)
    window.removeEventListener('blur', unbare)
    document.removeEventListener('copy', copy)
    document.removeEventListener('cut', copy)
    document.removeEventListener('paste', paste)
  }
}
