// Tells samples on: to the script, to the page's own rules, to what is drawn, and to the studio's thread.
import type { Sample } from '../core/signal/sample'
import type { Area } from './area'
import { placeIn, stillBoxOf } from './boxes'
import type { ThreadSample } from './protocol'
import type { Feed } from './real-pointer'

/** How many samples are kept for a script that begins. */
const mostPast = 600

export interface TellerListeners {
  readonly onSample: (sample: ThreadSample) => void
  readonly onMeet: (element: Element | null) => void
  /** What is under the pointer, and whether it is pressed: for the page's own rules. */
  readonly onHit: (element: Element | null, isPressed: boolean) => void
}

export interface Teller {
  /** Gives every sample from now on to one more. */
  readonly feedTo: (feed: Feed) => void
  /** What was told lately, each with its own time. */
  readonly past: () => readonly { readonly sample: Sample; readonly hit: Element | null }[]
  /** The last sample of a pointer, and whose it was. */
  readonly last: () => Sample | null
  readonly by: () => ThreadSample['by']
  /** Tells a sample of a pointer; `source` is whose it is. */
  readonly tell: (sample: Sample, source: ThreadSample['by'], hit: Element | null, prevent?: () => void) => void
  /** Tells a key, a wheel or the focus: none of them takes the pointer anywhere. */
  readonly tellOther: Feed
}

export function makeTeller(area: Area, { onSample, onMeet, onHit }: TellerListeners): Teller {
  const feeds = new Set<Feed>()
  let past: { readonly sample: Sample; readonly hit: Element | null }[] = []
  let last: Sample | null = null
  let by: ThreadSample['by'] = 'real'
  let lastTold: ThreadSample | undefined
  const feedAll: Feed = (sample, hit, prevent) => {
    past.push({ sample: { ...sample }, hit })
    if (past.length > 2 * mostPast) past = past.slice(-mostPast)
    for (const feed of feeds) feed(sample, hit, prevent)
  }
  // Whoever had the pointer before may have told of a later moment; the one who has it now goes on from there.
  const inOrder = (sample: Sample): Sample => ({ ...sample, t: Math.max(sample.t, last?.t ?? -Infinity) })
  const placeOf = (element: Element, { x, y }: Sample) => {
    const box = stillBoxOf(element, 'padding')
    return { place: placeIn(box, x, y), index: area.indexOf(element), size: { width: box.width, height: box.height } }
  }
  return {
    feedTo: (feed) => void feeds.add(feed),
    past: () => past,
    last: () => last,
    by: () => by,
    tell: (given, source, hit, prevent) => {
      const sample = inOrder(given)
      last = { ...sample }
      by = source
      feedAll(sample, hit, prevent)
      const met = sample.phase === 'leave' ? null : area.at(hit, sample.x, sample.y)
      onMeet(met)
      onHit(sample.phase === 'leave' ? null : hit, sample.buttons !== 0)
      lastTold = { ...toldOf(sample, source), ...(met ? placeOf(met, sample) : {}) }
      onSample(lastTold)
    },
    tellOther: (heard, hit, prevent) => {
      const sample = inOrder(heard)
      feedAll(sample, hit, prevent)
      // A key leaves the pointer where it is, or gone.
      const where: ThreadSample = lastTold ?? { t: 0, x: 0, y: 0, by: 'real', phase: 'away' }
      if (heard.key) onSample({ ...where, t: sample.t, turned: { phase: 'key', key: heard.key } })
    },
  }
}

/** A sample as the studio's thread has it, without the place on an element. */
function toldOf({ t, x, y, buttons, phase, by, key }: Sample, source: ThreadSample['by']): ThreadSample {
  const told: ThreadSample = { t, x, y, by: source, phase: phase === 'leave' ? 'away' : 'here' }
  if (buttons !== 0) told.buttons = buttons
  if (phase === 'wheel' || phase === 'pinch' || phase === 'key') told.turned = { phase, by, key }
  return told
}
