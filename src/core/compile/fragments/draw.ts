import { advance } from './advance'
import { effects, given } from './given'
import { areOld, forgetFrames } from './frames'
import { findAll } from './find'
import { guarded } from './guard'
import { pressKey } from './press-key'
import { meetEffect } from './meet'
import { ending } from './off'
import { pointer } from './pointer'
import { followSizes } from './size'
import { follow } from './track'
import { meetFocus, meetTap, hearTap } from './causes'
import type { Effect, Heard } from './types'
import { write } from './write'

/** What happened since the last frame. */
export const events: Heard[] = []
let nextFrame = 0

export const wake = () => {
  nextFrame ||= requestAnimationFrame(draw)
}

/** First all is read, then all is written: the page is laid out once a frame. */
function draw(now: number): void {
  nextFrame = 0
  if (given.takesOff && ending.signal.aborted) return
  for (const event of events.splice(0)) meet(event)
  const t = Math.max(now, pointer.time)
  if (given.hasFlows || given.hasDues) advance(t)
  for (const effect of effects) {
    if (given.hasMany) guarded(effect, drawEffect, t)
    else drawEffect(effect, t)
  }
}

function drawEffect(effect: Effect, t: number): void {
  for (const place of effect.places.values()) if (place.moves && write(effect, place, t)) wake()
}

/** Where the pointer stands while the page moves is where it was then. */
function standStill(t: number): void {
  if (given.hasTrack && pointer.over) follow(t, pointer.x, pointer.y, true, true)
  if (given.hasPath) [pointer.fromX, pointer.fromY] = [pointer.x, pointer.y]
  pointer.over &&= document.elementFromPoint(pointer.x, pointer.y)
}

/** Takes a key to the effects, and the pointer to where it moves that to. */
function takeKey(key: string, t: number): void {
  const moved = pressKey(key, t)
  if (moved) {
    meet(moved)
    pointer.isByKeys = true
  }
}

/** Takes an event to all effects, in the order of time. */
function meet({ type, timeStamp, clientX, clientY, target, buttons, pointerType, by, key }: Heard): void {
  const t = Math.max(pointer.time, timeStamp)
  if (given.hasFlows || given.hasDues) advance(t)
  // After a scroll, and after a while, the page may lie elsewhere.
  const isTurn = given.hasWheel && (type === 'wheel' || type === 'pinch')
  if (!(type.startsWith('pointer') || isTurn) || areOld(t)) {
    forgetFrames(t)
    if (given.hasFinds) for (const effect of effects) findAll(effect)
  }
  pointer.time = t
  if (given.hasKeys && type === 'keydown') {
    if (given.hasArrowKeys) takeKey(key ?? '', t)
    else pressKey(key ?? '', t)
    return
  }
  if (given.hasFocus && type.startsWith('focus')) {
    for (const effect of effects)
      meetFocus(effect, type === 'focusin' && (target as Element).matches(':focus-visible') ? (target as Element) : null)
    // Where the keys took the pointer it is as long as the focus.
    if (given.hasArrowKeys && type === 'focusout' && pointer.isByKeys)
      meet({ type: 'pointerout', timeStamp: t, clientX: pointer.x, clientY: pointer.y, target, buttons: 0, pointerType: 'mouse' })
    return
  }
  if (given.hasWheel) {
    pointer.wheelPx = (type === 'wheel' && by) || 0
    pointer.pinch = (type === 'pinch' && by) || 1
    if (isTurn) pointer.turns++
  }
  if (type.startsWith('pointer') || isTurn) {
    const isOut = type === 'pointerout' || type === 'pointercancel' || (given.hasTouch && type === 'pointerup' && pointerType === 'touch')
    if (given.hasArrowKeys) pointer.isByKeys = false
    if (given.hasTrack) follow(t, clientX, clientY, !!pointer.over, !isOut)
    // A pointer that comes has no way behind it.
    if (given.hasPath) [pointer.fromX, pointer.fromY] = pointer.over || isOut ? [pointer.x, pointer.y] : [clientX, clientY]
    Object.assign(pointer, { x: clientX, y: clientY, over: isOut ? null : target })
    if (given.asksButtons) pointer.buttons = buttons
    if (given.hasTouch) pointer.isTouch = pointerType === 'touch'
  } else standStill(t)
  if (given.hasTaps) hearTap(type, t)
  if (given.hasSizes && !(type.startsWith('pointer') || isTurn)) for (const effect of effects) followSizes(effect, t)
  for (const effect of effects) {
    if (given.hasTaps) meetTap(effect, target as Element)
    if (given.hasMany) guarded(effect, meetEffect, t)
    else meetEffect(effect)
  }
}
