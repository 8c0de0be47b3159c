// How a sample plays: the pointer comes in and rests where the effect is seen best; while it is touched it goes round.
import type { AnyKind } from '../../core/effect/kinds'
import { holdsPoint } from '../../core/geometry/box'
import { pointAt, type Place } from '../../core/geometry/place'
import { hoverMark } from '../../core/page/hover-marks'
import { placeOnPath } from '../../core/trace/path'
import { runScript } from '../../play/run-script'

/** How long the pointer takes from where it comes in to where it rests, ms. */
const comingMs = 650
/** The pointer comes in at the lower left. */
const from: Place = { x: -0.8, y: 0.75 }
/** Where it rests unless the sample says otherwise: near the upper right corner, where what leans leans most. */
const usualRest: Place = { x: 0.88, y: -0.62 }

/** Where the pointer is so long after it came, in a bow to where it rests. */
function placeComing(ms: number, rest: Place): Place {
  const share = Math.min(1, ms / comingMs)
  return { x: from.x + (rest.x - from.x) * share, y: from.y + (rest.y - from.y) * share - 0.45 * Math.sin(Math.PI * share) }
}

export interface SamplePlay {
  /** The pointer comes and rests; at once where motion is to be reduced. */
  readonly come: () => void
  /** The pointer goes round until it comes to rest again. */
  readonly goRound: () => void
  readonly end: () => void
}

interface Played {
  readonly root: ShadowRoot
  readonly sample: AnyKind['sample']
  /** The script, and the nonce by which the studio's own page lets it run. */
  readonly text: string
  readonly nonce: string
  readonly isCalm: boolean
}

/** Lets frames go by, or holds them with all animations of a root, so that everything stays as it is at that moment. */
function makeHolding(root: ShadowRoot) {
  let held: FrameRequestCallback[] | undefined
  return {
    requestFrame: (callback: FrameRequestCallback) => {
      if (held) held.push(callback)
      else requestAnimationFrame(callback)
    },
    hold: (isHeld: boolean) => {
      for (const each of root.getAnimations()) {
        if (isHeld) each.pause()
        else each.play()
      }
      const waiting = held ?? []
      held = isHeld ? waiting : undefined
      if (!isHeld) for (const each of waiting) requestAnimationFrame(each)
    },
  }
}

/** Runs a sample's script in its root. */
export function playSample({ root, sample, text, nonce, isCalm }: Played): SamplePlay {
  const card = root.querySelector<HTMLElement>('.sample')
  const matches = [...root.querySelectorAll<HTMLElement>(sample.select)]
  const { hold, requestFrame } = makeHolding(root)
  /** Of what the effect is on the one under the pointer, or the sample itself. */
  const hitAt = (x: number, y: number) => matches.find((each) => holdsPoint(each.getBoundingClientRect(), x, y)) ?? card
  const running = runScript(text, { root, nonce, requestFrame, elementFromPoint: hitAt })
  const playAt = (place: Place, ground: Element | null | undefined) => {
    if (!ground) return
    const { x, y } = pointAt(ground.getBoundingClientRect(), place)
    const hit = hitAt(x, y)
    // What CSS does alone goes by a mark, since no pointer is there.
    for (const each of root.querySelectorAll('.sample, .sample *')) each.toggleAttribute(hoverMark, hit !== null && each.contains(hit))
    running.hear({ t: performance.now(), x, y, buttons: 0, pointerType: 'mouse', phase: 'move' }, hit)
  }
  const { rest = usualRest, heldAtMs } = sample
  const restsOn = sample.rest === undefined ? card : (matches[Math.floor((matches.length - 1) / 2)] ?? card)
  let handle = 0
  /** Takes a step at each frame, for as long as it says so. */
  const animate = (step: (ms: number) => boolean) => {
    const begun = performance.now()
    cancelAnimationFrame(handle)
    handle = requestAnimationFrame(function next(now) {
      if (step(now - begun)) handle = requestAnimationFrame(next)
    })
  }
  return {
    come: () => {
      hold(false)
      animate((ms) => {
        playAt(placeComing(isCalm ? comingMs : ms, rest), restsOn)
        const isHeld = heldAtMs !== undefined && ms >= heldAtMs
        if (isHeld) hold(true)
        return !isHeld && ms < Math.max(comingMs, heldAtMs ?? 0)
      })
    },
    goRound: () => {
      hold(false)
      animate((ms) => {
        playAt(placeOnPath(900 + ms), card)
        return true
      })
    },
    end: () => {
      cancelAnimationFrame(handle)
      running.end()
    },
  }
}
