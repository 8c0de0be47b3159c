// attach(): plays figures on a page until it is told to stop.
import { shapers } from '../core/curve/shapers'
import { fail, hear, hearAgain, leaveAll, newEngine, playUntil, settle } from '../core/rig/engine'
import { poseOf } from '../core/rig/play'
import type { PlayedFigure } from '../core/rig/played'
import type { Hit, Place, Scene } from '../core/rig/place'
import type { Sample } from '../core/signal/sample'
import { abilities } from './abilities'
import { clearHouse, newHouse, readHouse, settleHouse } from './house'
import { pointerOf, type Source } from './pointer'
import { endStand, findStands, newPlaying, type Playing, type Stand } from './stands'
import { quiet, writeValues } from './write'

/** What may be given from outside: a clock (ms), a frame callback with its cancel, and the samples of the pointer. */
export interface AttachOptions {
  readonly clock?: () => number
  readonly frame?: { readonly request: (callback: (now: number) => void) => number; readonly cancel: (handle: number) => void }
  readonly samples?: Source
  /** Whether the visitor prefers reduced motion, where the browser is not to be asked. */
  readonly reducedMotion?: boolean
}

/**
 * Plays the figures on everything under `root`, elements that come later included. Gives `detach`, which takes off
 * what was written; with `keepValues` the values stay on the elements for the player that comes next.
 */
export function attach(root: Document | ShadowRoot, figures: readonly PlayedFigure[], options: AttachOptions = {}): (keepValues?: boolean) => void {
  const page = root instanceof Document ? root : root.ownerDocument
  const clock = options.clock ?? (() => performance.now())
  const frames = options.frame ?? { request: (callback) => requestAnimationFrame(callback), cancel: (handle) => cancelAnimationFrame(handle) }
  const motion = matchMedia('(prefers-reduced-motion: reduce)')
  const playing: Playing[] = figures.map(newPlaying)
  const playingOf = new Map<Scene, Playing>(playing.map((each) => [each, each]))
  const stop = new AbortController()
  let handle = 0
  let isStale = true
  let readsAll = true
  let isToldLate = false

  const wake = () => {
    handle ||= frames.request(onFrame)
  }

  /** All elements are found again before the next frame is drawn. */
  const meetAfresh = () => {
    isStale = true
    wake()
  }

  // What was hit, for whoever asks about a place; filled in again for each sample.
  let found: Element | null = null
  let asked: Playing | undefined
  const hit: Hit = {
    isIn: (place) => found !== null && isAmong(asked?.stands.get(place)?.cast.members ?? nobody, found),
    isForeign: (place) => isForeign(place),
    isLink: () => !!found?.closest('a[href], button, input, select, textarea, summary, label'),
  }
  /** Whether what was hit is no part of the area: not it, nor in it, nor around it, nor something that we move. */
  const isForeign = (place: Place) => {
    const area = asked?.stands.get(place)?.cast.elements[0]
    if (!found || !area || found.contains(area)) return false
    for (let each: Element | null = found; each; each = each.parentElement) if (house.moved.has(each)) return false
    return true
  }

  const engine = newEngine<Element | null>(
    [...playing],
    (scene, sample, hitElement) => {
      asked = playingOf.get(scene)
      found = hitElement === undefined ? root.elementFromPoint(sample.x, sample.y) : hitElement
      return hit
    },
    (scene, error) => {
      const failed = playingOf.get(scene)
      if (failed) {
        playing.splice(playing.indexOf(failed), 1)
        end(failed, true)
      }
      console.error(`${scene.figure.title} was turned off:`, error)
    },
  )
  engine.at.reducedMotion = options.reducedMotion ?? motion.matches

  const hearSample = (sample: Sample, element?: Element | null) => {
    // Something may have moved while nobody looked.
    if (sample.t - engine.time > pauseMs || sample.phase === 'scroll') readsAll = true
    hear(engine, sample, element)
    if (engine.tooLate > 0 && !isToldLate) console.warn('A pointer sample came more than 64 ms late and counts as 64 ms old.')
    isToldLate = engine.tooLate > 0
    wake()
  }
  /** Elements came, went, or changed their size: what the pointer stands on is met afresh. */
  const onChange = () => {
    readsAll = true
    if (hearAgain(engine, clock())) wake()
  }
  const house = newHouse(root, figures, onChange, abilities.eyes?.locateInRow)

  const guarded = (each: Playing, act: (each: Playing) => void) => {
    try {
      act(each)
    } catch (error) {
      fail(engine, each, error)
    }
  }
  const findAfresh = () => {
    isStale = false
    readsAll = true
    clearHouse(house)
    for (const each of [...playing]) guarded(each, () => findStands(each, house, abilities.widths?.applies(each.figure, engine.at.reducedMotion)))
    settleHouse(house)
    for (const each of [...playing]) guarded(each, ({ stands, styled, figure: { drives } }) => stands.forEach(({ writers }) => quiet(styled, writers, drives)))
  }
  /** A place has come to rest. */
  const onSettle = (scene: Scene, place: Place) => {
    const each = playingOf.get(scene)
    const stand = each?.stands.get(place)
    if (!each || !stand) return
    if (!place.presence.inside) showParts(each, stand, false)
    // What follows at once is never under way, and so does not come to rest either.
    if (stand.framesMoving > 1) abilities.telling?.settled(each, stand)
    stand.framesMoving = 0
  }
  const write = (each: Playing, place: Place, t: number) => {
    const stand = each.stands.get(place)
    if (!stand) return
    showParts(each, stand, true)
    stand.framesMoving++
    writeValues(stand.writers, t)
    abilities.states?.tell(each, stand)
    abilities.telling?.tell(each, stand)
  }

  /** Parts that are seen only while their place is on come with the pointer, and go once all rests. */
  const showParts = (each: Playing, stand: Stand, isOn: boolean) => {
    if (!stand.parts || stand.isShown === isOn) return
    stand.isShown = isOn
    if (each.figure.parts) abilities.parts?.show(stand.parts, each.figure.parts, isOn)
  }

  // First everything is read, then everything is written: the page is laid out once a frame at most.
  const onFrame = (now: number) => {
    handle = 0
    if (isStale) {
      findAfresh()
      onChange()
    }
    readHouse(house, engine.standing.x, engine.standing.y, readsAll)
    abilities.frames?.readGroups(house)
    readsAll = false
    const t = playUntil(engine, now)
    for (let i = playing.length - 1; i >= 0; i--) {
      const each = playing[i]
      if (!each) continue
      for (let k = each.awake.length - 1; k >= 0; k--) {
        const place = each.awake[k]
        if (place) write(each, place, t)
      }
    }
    if (settle(engine, onSettle)) wake()
  }

  const sheet = new CSSStyleSheet()
  sheet.replaceSync(figures.flatMap(registrations).join('\n'))
  page.adoptedStyleSheets.push(sheet)
  const stopSamples = (options.samples ?? pointerOf(page, root))(hearSample)
  motion.addEventListener(
    'change',
    () => {
      engine.at.reducedMotion = false
      leaveAll(engine, clock())
      engine.at.reducedMotion = options.reducedMotion ?? motion.matches
      meetAfresh()
    },
    { signal: stop.signal },
  )
  abilities.widths?.watch(figures, meetAfresh, stop.signal)
  const mutations = new MutationObserver((records) => {
    // Text that changes brings no element and takes none away.
    if (!records.some(({ type, addedNodes, removedNodes }) => type === 'attributes' || [...addedNodes, ...removedNodes].some((node) => node instanceof Element))) return
    meetAfresh()
  })
  mutations.observe(root, { subtree: true, childList: true, attributes: true, attributeFilter: ['class', 'id'] })

  // The away pose stands before the first frame.
  findAfresh()
  leaveAll(engine, clock())
  for (const each of [...playing]) guarded(each, () => each.places.forEach((place) => write(each, place, clock())))
  wake()

  function end(each: Playing, takesValues: boolean) {
    for (const stand of each.stands.values()) endStand(each, stand, takesValues)
    each.stands.clear()
  }
  return (keepValues = false) => {
    stopSamples()
    stop.abort()
    frames.cancel(handle)
    mutations.disconnect()
    house.sight.disconnect()
    house.sizes.disconnect()
    page.adoptedStyleSheets = page.adoptedStyleSheets.filter((each) => each !== sheet)
    for (const each of playing) end(each, !keepValues)
    playing.length = engine.scenes.length = 0
  }
}

const nobody: readonly Element[] = []

/** Whether an element is one of these or inside one. */
function isAmong(members: readonly Element[], element: Element): boolean {
  for (const member of members) if (member.contains(element)) return true
  return false
}

/** After a pause of so long, ms, everything is measured afresh. */
const pauseMs = 200

/** Our properties are numbers (or colours) that no element hands down: changing one touches that element alone. */
function registrations({ frames, own }: PlayedFigure): string[] {
  const kept = Object.values(own ?? {}).map((name) => `@property ${name} { syntax: "*"; inherits: false; }`)
  return kept.concat(frames.flatMap(({ channels }) =>
    channels.flatMap((channel) =>
      channel.writes.map(({ property, curve }) => {
        const pose = poseOf(channel)
        const isColour = curve && 'colours' in curve
        return `@property ${property} { syntax: "<${isColour ? 'color' : 'number'}>"; inherits: false; initial-value: ${isColour ? shapers.colours.cssAt(curve, pose) : curve ? shapers.stops.valueAt(curve, pose) : pose}; }`
      }),
    ),
  ))
}
