// What a designer does with effects while the focus or the pointer is in the page: copy, cut and paste; their numbers; and a click on what has none.
import type { Numbers } from './numbers'
import type { Overlay } from './overlay'
import type { Pointing } from './pointing'
import type { FromStage } from './protocol'

interface Handled {
  readonly page: Document
  readonly numbers: Numbers
  readonly overlay: Overlay
  readonly pointing: Pointing
  /** The effects that are chosen, as text; empty for none. */
  readonly copyable: () => string
  /** Whether the hand does something else with the page, such as dragging an edge. */
  readonly isBusy: () => boolean
  readonly say: (message: FromStage) => void
}

/** Whether something is being written in the page. */
const isWriting = ({ target }: Event) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(input|textarea|select)$/.test(target.localName))

export function hearHandling({ page, numbers, overlay, pointing, copyable, isBusy, say }: Handled): void {
  const copied = (event: ClipboardEvent) => {
    const text = copyable()
    if (text === '' || isWriting(event) || String(getSelection()) !== '') return
    event.preventDefault()
    event.clipboardData?.setData('text/plain', text)
    say({ type: 'clipboard', what: event.type === 'cut' ? 'cut' : 'copy', text: '' })
  }
  page.addEventListener('copy', copied)
  page.addEventListener('cut', copied)
  page.addEventListener('paste', (event) => {
    if (isWriting(event)) return
    event.preventDefault()
    say({ type: 'clipboard', what: 'paste', text: (event.clipboardData?.getData('text') ?? '').slice(0, 1_000_000) })
  })
  /** A click on a number is for its effect, and not for the page. */
  const onNumber = (event: MouseEvent, isMenu: boolean) => {
    const number = pointing.isOn() || isBusy() ? undefined : overlay.numberAt(event.clientX, event.clientY)
    if (number === undefined) return false
    event.preventDefault()
    event.stopPropagation()
    say({ type: 'number', number, isMenu, x: event.clientX, y: event.clientY })
    return true
  }
  page.addEventListener('contextmenu', (event) => void onNumber(event, true), { capture: true })
  page.addEventListener(
    'click',
    (event) => {
      // A click that chose something was for that.
      if (event.defaultPrevented || pointing.isOn() || isBusy() || onNumber(event, false) || !(event.target instanceof Element)) return
      const shown = overlay.shown()
      for (let each: Element | null = event.target; each && each !== page.body; each = each.parentElement) if (shown.has(each)) return
      const number = numbers.of(event.target)
      if (number !== undefined) say({ type: 'plain', number })
    },
    { capture: true },
  )
}
