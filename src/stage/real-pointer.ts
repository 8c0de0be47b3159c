// The pointer of a real page, as samples.
import { turnedPx } from '../core/geometry/wheel'
import { isPresent, keys, type Phase, type PointerType, type Sample } from '../core/signal/sample'

/** Takes a sample, and the element that was hit; `prevent` keeps the browser from what it does by itself, where that can be. */
export type Feed = (sample: Sample, hit: Element | null, prevent?: () => void) => void

const phaseOf: Readonly<Record<string, Phase>> = {
  pointermove: 'move',
  pointerover: 'move',
  pointerdown: 'down',
  pointerup: 'up',
  pointercancel: 'cancel',
  pointerout: 'leave',
}

/** Listens to the pointer of a document, to the focus, and to what moves the page under the pointer. */
export function pointerOf(page: Document, feed: (sample: Sample, hit?: Element | null, prevent?: () => void) => void): void {
  const last: Sample = { t: 0, x: NaN, y: NaN, buttons: 0, pointerType: 'mouse', phase: 'leave' }
  // Of several pointers the one that came or moved last leads.
  let lead = NaN
  const take = (event: PointerEvent) => {
    last.t = event.timeStamp
    last.x = event.clientX
    last.y = event.clientY
    last.buttons = event.buttons
    last.pointerType = event.pointerType as PointerType
    last.phase = phaseOf[event.type] ?? 'move'
    feed(last, event.target as Element)
  }
  const led = (event: PointerEvent) => {
    lead = event.pointerId
    // What happened since the last frame, each with its own time, where the browser keeps it.
    if (event.type === 'pointermove')
      for (const each of event.getCoalescedEvents?.() ?? []) if (each.timeStamp < event.timeStamp) take(each)
    take(event)
  }
  /** What lies under the pointer changed. Where the pointer moved, its own event comes next; where it stands, none does. */
  const revealed = (event: PointerEvent) => {
    if (event.clientX === last.x && event.clientY === last.y && event.pointerId === lead) take(event)
  }
  const ended = (event: PointerEvent) => {
    const isOut = event.type === 'pointerout'
    if (event.pointerId === lead && (!isOut || event.relatedTarget === null)) take(event)
  }
  /** Something changed under the pointer, or the pointer is gone without a word. */
  const changed = (phase: Phase, t: number) => {
    if (!isPresent(last)) return
    last.t = t
    last.phase = phase
    feed(last)
  }
  const left = (event: Event) => (event.type === 'blur' || page.hidden) && changed('leave', event.timeStamp)
  const scrolled = (event: Event) => changed('scroll', event.timeStamp)
  const focused = (event: FocusEvent) => {
    const target = event.target as Element
    const phase = event.type === 'focusin' ? 'focus' : 'blur'
    if (phase === 'blur' || target.matches(':focus-visible')) feed({ ...last, t: event.timeStamp, phase }, target)
  }
  const turned = (event: WheelEvent) => {
    const { timeStamp, clientX, clientY, ctrlKey, buttons } = event
    const px = turnedPx(event)
    // With Ctrl it is what two fingers on a pad do.
    const by = ctrlKey ? Math.exp(-Math.max(-25, Math.min(25, px)) / 100) : px
    const sample: Sample = { ...last, t: timeStamp, x: clientX, y: clientY, buttons, phase: ctrlKey ? 'pinch' : 'wheel', by }
    feed(sample, event.target as Element, () => event.preventDefault())
  }
  const typed = (event: KeyboardEvent) => {
    const key = keys.find((each) => each === event.key)
    if (key && !event.altKey && !event.ctrlKey && !event.metaKey)
      feed({ ...last, t: event.timeStamp, phase: 'key', key }, event.target as Element, () => event.preventDefault())
  }
  const options = { passive: true, capture: true } as const
  page.addEventListener('pointermove', led, options)
  page.addEventListener('pointerover', revealed, options)
  page.addEventListener('pointerdown', led, options)
  page.addEventListener('pointerup', ended, options)
  page.addEventListener('pointercancel', ended, options)
  page.addEventListener('pointerout', ended, options)
  page.addEventListener('focusin', focused, options)
  page.addEventListener('focusout', focused, options)
  page.addEventListener('scroll', scrolled, options)
  page.addEventListener('wheel', turned, { passive: false, capture: true })
  page.addEventListener('keydown', typed, { capture: true })
  page.addEventListener('visibilitychange', left, options)
  window.addEventListener('blur', left, { passive: true })
  window.addEventListener('resize', scrolled, options)
}
