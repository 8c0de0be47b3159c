// The answer of any feel to a flick: how long until it has settled, and how far it goes past the mark.
import type { Feel, Spring } from './feel'
import type { Motion } from './law'
import { laws } from './laws'
import { answerOf, settleBand, springFor, type SpringAnswer } from './spring-answer'

const out: Motion = { gap: 0, speed: 0 }

/** The way followed `ms` after the target jumped from 0 to 1: 0..1, and beyond where it goes past the mark. */
export function wayOf(feel: Feel, ms: number): number {
  out.gap = out.speed = 0
  laws[feel.kind].move(feel, { gap: -1, speed: 0, share: 1 }, Math.max(0, ms), out)
  return 1 + out.gap
}

/** The answer of a feel that starts at rest: to within 2 % in ms, and the overshoot as a share of the way. */
export function answerOfFeel(feel: Feel): SpringAnswer {
  switch (feel.kind) {
    case 'direct':
      return { settleMs: 0, overshoot: 0 }
    case 'glide':
      return { settleMs: feel.halfLifeMs * Math.log2(1 / settleBand), overshoot: 0 }
    case 'timed':
      return { settleMs: feel.delayMs + feel.durationMs, overshoot: overshootOf(feel) }
    case 'spring':
      return answerOf(feel)
  }
}

/** The greatest value past the mark, looked for at even moments. */
function overshootOf(feel: Extract<Feel, { kind: 'timed' }>): number {
  const ways = Array.from({ length: 101 }, (_, i) => wayOf(feel, feel.delayMs + (feel.durationMs * i) / 100))
  return Math.max(0, Math.max(...ways) - 1)
}

/** How far (px) a value lags behind a pointer that goes steadily at `speed` (px/s): the gap that a ramp leaves in the end. */
export function lagOf(feel: Feel, speed: number): number {
  switch (feel.kind) {
    case 'direct':
      return 0
    case 'glide':
      // A first-order follower with time constant T lags a ramp by speed * T.
      return (speed * feel.halfLifeMs) / 1000 / Math.LN2
    case 'timed':
      return (speed * feel.delayMs) / 1000 + speed * areaLeft(feel)
    case 'spring':
      // A second-order follower lags a ramp by speed * 2 z / omega.
      return (speed * 2 * feel.dampingRatio) / (2 * Math.PI * feel.frequencyHz)
  }
}

/** What is missing on the way, added up over its time, s. */
function areaLeft(feel: Extract<Feel, { kind: 'timed' }>): number {
  const count = 100
  let sum = 0
  for (let i = 0; i < count; i++) sum += 1 - wayOf(feel, feel.delayMs + (feel.durationMs * (i + 0.5)) / count)
  return (sum / count) * (feel.durationMs / 1000)
}

/** As far as springs go in a document: what is asked for beyond that settles a little later. */
const held = (spring: Spring): Spring => ({ ...spring, frequencyHz: Math.min(60, Math.max(0.05, spring.frequencyHz)) })

/** The same feel with another time to settle, ms: what has no spring in it yet becomes one that never goes past the mark. */
export function withSettleTime(feel: Feel, settleMs: number): Feel {
  switch (feel.kind) {
    case 'glide':
      return { ...feel, halfLifeMs: Math.max(0.1, settleMs / Math.log2(1 / settleBand)) }
    case 'timed':
      return { ...feel, durationMs: Math.max(0, settleMs - feel.delayMs) }
    case 'spring':
    case 'direct':
      return held(springFor({ settleMs, overshoot: answerOfFeel(feel).overshoot }))
  }
}

/** A spring that settles as long as this feel does, and goes so far past the mark (a share of the way). */
export function withOvershoot(feel: Feel, overshoot: number): Feel {
  return held(springFor({ settleMs: Math.max(60, answerOfFeel(feel).settleMs), overshoot }))
}
