// The agent inside the page's frame: it plays the figures, points, outlines and reports, as the studio asks.
import * as z from 'zod'
import { findAll } from './find'
import { guardPage } from './guard'
import { makeHand } from './hand'
import { makeHost } from './host'
import { elementsUnder, makeLadder } from './ladder'
import { makeOverlay } from './overlay'
import { toStage, type FromStage, type ThreadSample, type ToStage } from './protocol'

// The frame's policy forbids `eval`, so Zod must not try it.
z.config({ jitless: true })

function start(page: Document) {
  const say = (message: FromStage) => parent.postMessage(message, '*')
  const overlay = makeOverlay(page, (place, last) => say({ type: 'pin', place, last }))

  let samples: ThreadSample[] = []
  const reportSamples = () => {
    if (samples.length > 0) say({ type: 'samples', samples })
    samples = []
  }
  const hand = makeHand(page, {
    overlay: overlay.host,
    onMeet: overlay.meet,
    onGhost: overlay.showGhost,
    onSample: (sample) => {
      if (samples.length === 0) requestAnimationFrame(reportSamples)
      samples.push(sample)
    },
  })

  const host = makeHost(page, hand)

  let pointing = false
  let underPointer: Element[] = []
  const point = (on: boolean) => {
    pointing = on
    underPointer = []
    page.documentElement.style.cursor = on ? 'crosshair' : ''
    if (page.documentElement.getAttribute('style') === '') page.documentElement.removeAttribute('style')
    if (!on) return overlay.outline(null)
    // What lies under a pointer that already stands on the page is told at once.
    const standing = hand.pointer()
    if (standing) lookUnder(standing, false)
  }
  const lookUnder = ({ x, y }: { readonly x: number; readonly y: number }, chosen: boolean) => {
    const elements = elementsUnder(page, x, y, overlay.host)
    const same = elements.length === underPointer.length && elements.every((element, i) => element === underPointer[i])
    if (same && !chosen) return
    underPointer = elements
    const { rungs, pick } = makeLadder(elements)
    overlay.outline(rungs[pick]?.one ?? null)
    if (chosen) hand.standAt(elements[pick] ?? null, x, y)
    say({ type: 'ladder', rungs, pick, chosen })
  }
  page.addEventListener('pointermove', (event) => pointing && lookUnder(event, false), { passive: true })
  page.addEventListener(
    'click',
    (event) => {
      if (!pointing) return
      event.preventDefault()
      event.stopPropagation()
      lookUnder(event, true)
      pointing = false
      page.documentElement.style.cursor = ''
    },
    { capture: true },
  )
  guardPage(page, (href) => say({ type: 'link', href }))
  page.addEventListener('keydown', (event) => {
    const { key, code, ctrlKey, shiftKey, altKey, metaKey, target } = event
    if (target instanceof HTMLElement && (target.isContentEditable || /^(input|textarea|select)$/.test(target.localName))) return
    say({ type: 'key', key, code, ctrlKey, shiftKey, altKey, metaKey })
  })

  const countMatches = (selects: readonly string[]) => {
    const matches = new Map(selects.map((select) => [select, findAll(page, select)]))
    return selects.map((select) => {
      const own = new Set(matches.get(select))
      const sharedWith = selects.filter((other) => other !== select && matches.get(other)?.some((element) => own.has(element)))
      return { select, count: matches.get(select)?.length ?? null, sharedWith }
    })
  }
  const answer = (message: ToStage) => {
    switch (message.type) {
      case 'play':
        host.play(message.stylesheet, message.figures)
        return overlay.draw()
      case 'show':
        hand.setArea(message.figures.find(({ selected }) => selected)?.select ?? null)
        return overlay.showFigures(message.figures)
      case 'point':
        return point(message.on)
      case 'outline':
        return overlay.outline(message.select)
      case 'count':
        return say({ type: 'counts', counts: countMatches(message.selects) })
      case 'describe': {
        const [rung] = makeLadder(findAll(page, message.select)?.slice(0, 1) ?? []).rungs
        return rung ? say({ type: 'described', select: message.select, rung }) : undefined
      }
      case 'walk':
        return hand.walk(message.select)
      case 'leave':
        return message.to === 'away' ? hand.leave() : hand.leaveForControls()
    }
  }
  addEventListener('message', (event) => {
    if (event.source !== parent) return
    const message = toStage.safeParse(event.data)
    if (message.success) answer(message.data)
    else console.warn('The studio sent a message that the page does not know.', message.error.issues)
  })
  say({ type: 'ready', now: performance.now() })
}

if (document.readyState === 'loading') document.addEventListener('DOMContentLoaded', () => start(document))
else start(document)
