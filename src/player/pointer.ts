// The pointer of a real page, as samples.
import { isPresent, type Phase, type PointerType, type Sample } from '../core/signal/sample'

/** Takes a sample, and the element that was hit where the browser told. */
export type Feed = (sample: Sample, hit?: Element | null) => void

/** A source of samples: it calls `feed` until the function it gave back is called. */
export type Source = (feed: Feed) => () => void

const phases: Readonly<Record<string, Phase>> = {
  pointermove: 'move',
  pointerdown: 'down',
  pointerup: 'up',
  pointercancel: 'cancel',
  pointerleave: 'leave',
}

/** Listens to the pointer of a document, and to what moves the page under it. */
export function pointerOf(page: Document): Source {
  return (feed) => {
    const last: Sample = { t: 0, x: NaN, y: NaN, buttons: 0, pointerType: 'mouse', phase: 'leave' }
    const take = (event: PointerEvent) => {
      last.t = event.timeStamp
      last.x = event.clientX
      last.y = event.clientY
      last.buttons = event.buttons
      last.pointerType = event.pointerType as PointerType
      last.phase = phases[event.type] ?? 'move'
      // A finger that is lifted is gone.
      if (last.phase === 'up' && last.pointerType === 'touch') last.phase = 'leave'
      feed(last, event.composedPath()[0] as Element)
    }
    const moved = (event: PointerEvent) => {
      // What happened since the last frame, each with its own time, where the browser keeps it.
      for (const each of event.getCoalescedEvents?.() ?? []) if (each.timeStamp < event.timeStamp) take(each)
      take(event)
    }
    const scrolled = ({ timeStamp }: Event) => {
      if (!isPresent(last)) return
      last.t = timeStamp
      last.phase = 'scroll'
      feed(last)
    }
    const stop = new AbortController()
    const options = { passive: true, capture: true, signal: stop.signal } as const
    page.addEventListener('pointermove', moved, options)
    page.addEventListener('pointerdown', take, options)
    page.addEventListener('pointerup', take, options)
    page.addEventListener('pointercancel', take, options)
    page.documentElement.addEventListener('pointerleave', (event) => event.target === page.documentElement && take(event), options)
    page.addEventListener('scroll', scrolled, options)
    window.addEventListener('resize', scrolled, options)
    return () => stop.abort()
  }
}
