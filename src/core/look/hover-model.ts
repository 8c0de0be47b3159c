// What hover looks are to do, told a second time and apart from the engine: a model for tests, with the commands that a visitor can give.
import * as fc from 'fast-check'
import type { Box } from '../geometry/box'
import { holdsPoint } from '../geometry/box'
import type { BoxesAt } from '../rig/evaluate'
import type { Looks, Rig } from '../rig/rig'
import type { Sample } from '../signal/sample'
import type { Look } from './look'

/** How many elements there are, each with one that is joined to it. */
const count = 3
const size = { width: 100, height: 40 }
export const hoverWindow = { width: 1000, height: 700 }

/** Where an element lies, and what is joined to it above a gap; when the page was scrolled and made narrower by so many px. */
const anchorAt = (index: number, dx: number, dy: number): Box => ({ x: 100 + 250 * index + dx, y: 300 + dy, ...size })
const noteAt = (index: number, dx: number, dy: number): Box => ({ ...anchorAt(index, dx, dy), y: 240 + dy })
const nowhere: Box = { x: -9000, y: -9000, width: 0, height: 0 }

export type Options = Pick<Looks, 'goDelayMs' | 'stillMs' | 'atMostOne' | 'stays'>

interface Match {
  inside: boolean
  focused: boolean
  tapped: boolean
  /** Escape put it off while something still causes it. */
  dismissed: boolean
  shown: Look
  /** Until when it stays on although nothing causes it. */
  waitsUntil: number
  stands: { x: number; y: number; t: number }
  isThere: boolean
}

/** What is the case, and what has happened so far: the samples, where things lay, and what was expected when. */
export interface Told {
  readonly options: Options
  readonly matches: readonly Match[]
  readonly pointer: { x: number; y: number; isPresent: boolean; buttons: number; isTouch: boolean }
  readonly moved: { dx: number; dy: number }
  t: number
  readonly samples: Sample[]
  readonly boxes: BoxesAt[]
  readonly expected: { readonly t: number; readonly shown: readonly Look[] }[]
}

export function beginTold(options: Options): Told {
  const told: Told = {
    options,
    matches: Array.from({ length: count }, () => ({
      inside: false,
      focused: false,
      tapped: false,
      dismissed: false,
      shown: 'off',
      waitsUntil: Infinity,
      stands: { x: 0, y: 0, t: 0 },
      isThere: true,
    })),
    pointer: { x: 0, y: 0, isPresent: false, buttons: 0, isTouch: false },
    moved: { dx: 0, dy: 0 },
    t: 0,
    samples: [],
    boxes: [],
    expected: [],
  }
  told.boxes.push({ t: -Infinity, ...boxesOf(told) })
  return told
}

const boxesOf = ({ matches, moved: { dx, dy } }: Told) => ({
  window: hoverWindow,
  elements: {
    '.anchor': matches.map(({ isThere }, i) => (isThere ? anchorAt(i, dx, dy) : nowhere)),
    '.note': matches.map(({ isThere }, i) => (isThere ? noteAt(i, dx, dy) : nowhere)),
  },
})

/** Which element has a point: it, or what is joined to it; -1 for none. */
const homeOf = ({ matches, moved: { dx, dy } }: Told, x: number, y: number) =>
  matches.findIndex(({ isThere }, i) => isThere && (holdsPoint(anchorAt(i, dx, dy), x, y) || holdsPoint(noteAt(i, dx, dy), x, y)))

const putOff = (match: Match) => Object.assign(match, { shown: 'off', waitsUntil: Infinity, tapped: false })

/** Lets time pass: what waits goes, and what the pointer stands on long enough is still. */
function pass(told: Told, until: number): void {
  const { matches, options } = told
  for (;;) {
    const dues = matches.map(({ shown, inside, stands, waitsUntil }) =>
      shown === 'on' && inside && waitsUntil === Infinity && options.stillMs !== undefined ? stands.t + options.stillMs : waitsUntil,
    )
    const next = Math.min(...dues)
    if (next > until) break
    const match = matches[dues.indexOf(next)]
    if (!match) break
    if (match.waitsUntil < Infinity) Object.assign(match, { shown: 'off', waitsUntil: Infinity })
    else match.shown = 'still'
  }
  told.t = until
}

/** What causes a match, or causes it no more, has changed, or was met once more. */
function meet(told: Told, match: Match): void {
  const { options, pointer, t } = told
  const isCaused = match.inside || match.focused || match.tapped
  if (!isCaused) match.dismissed = false
  if (match.dismissed) return
  const wasOff = match.shown === 'off'
  if (isCaused && (wasOff || match.waitsUntil < Infinity)) Object.assign(match, { shown: 'on', waitsUntil: Infinity })
  if (!isCaused && !wasOff && !options.stays && match.waitsUntil === Infinity) {
    if (options.goDelayMs === 0) match.shown = 'off'
    else match.waitsUntil = t + options.goDelayMs
  }
  if (match.shown !== 'off' && match.waitsUntil === Infinity && (match.inside || options.stays)) {
    if (match.inside && pointer.buttons) match.shown = 'pressed'
    else if (match.shown === 'pressed') match.shown = 'on'
  }
  const hasStood = t >= match.stands.t + (options.stillMs ?? 0)
  if (match.shown === 'still' && match.waitsUntil === Infinity && (!isCaused || !hasStood)) match.shown = 'on'
  if (options.atMostOne && wasOff && match.shown !== 'off')
    for (const other of told.matches) if (other !== match && other.shown !== 'off') putOff(other)
}

/** The pointer is somewhere, or what lies under it has moved. */
function point(told: Told): void {
  const { pointer, matches, t } = told
  const home = pointer.isPresent ? homeOf(told, pointer.x, pointer.y) : -1
  matches.forEach((match, i) => {
    const has = i === home
    if (!has && !match.inside) return
    if ((has && !match.inside) || Math.hypot(pointer.x - match.stands.x, pointer.y - match.stands.y) >= 3)
      match.stands = { x: pointer.x, y: pointer.y, t }
    match.inside = has
    meet(told, match)
  })
}

/** Between two things that a visitor does there is some time, ms. */
const between = 6

function say(told: Told, sample: Partial<Sample>): void {
  const { x, y, buttons, isTouch } = told.pointer
  told.samples.push({ t: told.t, x, y, buttons, pointerType: isTouch ? 'touch' : 'mouse', phase: 'move', ...sample })
}

function movePointer(told: Told, phase: Sample['phase'], to: Partial<Told['pointer']>): void {
  Object.assign(told.pointer, to)
  say(told, { phase })
  point(told)
}

function moveFocus(told: Told, home: number, isOn: boolean): void {
  const { dx, dy } = told.moved
  const { x, y } = home < 0 ? { x: 5, y: 5 } : anchorAt(home, dx, dy)
  say(told, { phase: isOn ? 'focus' : 'blur', x: x + 10, y: y + 10, pointerType: 'mouse' })
  told.matches.forEach((match, i) => {
    const focused = isOn && i === home && match.isThere
    if (focused === match.focused) return
    match.focused = focused
    meet(told, match)
  })
}

function movePage(told: Told, dx: number, dy: number): void {
  // All of it stays in the window: beyond it there is no pointer.
  told.moved.dx = Math.min(90, Math.max(-90, told.moved.dx + dx))
  told.moved.dy = Math.min(200, Math.max(-200, told.moved.dy + dy))
  told.boxes.push({ t: told.t, ...boxesOf(told) })
  if (told.pointer.isPresent) point(told)
}

/** A place of the window: the middle of an element, of what is joined to it, the gap between them, or outside of all. */
function placeOf({ moved: { dx, dy } }: Told, where: 'anchor' | 'note' | 'gap' | 'outside', index: number) {
  const { x, y } = anchorAt(index, dx, dy)
  return where === 'outside' ? { x: 900, y: 600 } : { x: x + 50, y: { anchor: y + 20, note: y - 40, gap: y - 10 }[where] }
}

/** A finger comes down and up at once, and what had it is on, or nothing is. */
function tap(told: Told, at: { readonly x: number; readonly y: number }): void {
  movePointer(told, 'down', { ...at, isPresent: true, isTouch: true, buttons: 1 })
  pass(told, told.t + between)
  told.pointer.buttons = 0
  for (const match of told.matches) {
    if (match.inside === match.tapped) continue
    match.tapped = match.inside
    meet(told, match)
  }
  movePointer(told, 'up', { isPresent: false })
  told.pointer.isTouch = false
}

type Command = fc.Command<Told, Told>

const command = (name: string, does: (told: Told) => void): Command => ({
  check: () => true,
  run: (told) => {
    pass(told, told.t + between)
    does(told)
    pass(told, told.t)
    told.expected.push({ t: told.t, shown: told.matches.map(({ shown }) => shown) })
  },
  toString: () => name,
})

const index = fc.integer({ min: 0, max: count - 1 })
const where = fc.constantFrom('anchor' as const, 'note' as const, 'gap' as const, 'outside' as const)

/** All that a visitor, the keyboard, a finger, time and the page can do. */
export const commands: fc.Arbitrary<Command>[] = [
  fc
    .tuple(where, index)
    .map(([place, i]) => command(`to ${place} ${i}`, (told) => movePointer(told, 'move', { ...placeOf(told, place, i), isPresent: true }))),
  fc
    .tuple(where, index)
    .map(([place, i]) => command(`to ${place} ${i}`, (told) => movePointer(told, 'move', { ...placeOf(told, place, i), isPresent: true }))),
  fc.constant(
    command('a little way', (told) => {
      if (told.pointer.isPresent) movePointer(told, 'move', { x: told.pointer.x + 2, y: told.pointer.y })
    }),
  ),
  fc.constant(command('leave', (told) => movePointer(told, 'leave', { isPresent: false, buttons: 0 }))),
  fc.constant(command('press', (told) => told.pointer.isPresent && movePointer(told, 'down', { buttons: 1 }))),
  fc.constant(command('release', (told) => told.pointer.isPresent && movePointer(told, 'up', { buttons: 0 }))),
  fc.tuple(where, index).map(([place, i]) => command(`tap ${place} ${i}`, (told) => tap(told, placeOf(told, place, i)))),
  index.map((i) => command(`focus ${i}`, (told) => moveFocus(told, i, true))),
  fc.constant(command('blur', (told) => moveFocus(told, -1, false))),
  fc.constant(
    command('Escape', (told) => {
      say(told, { phase: 'key', key: 'Escape' })
      for (const match of told.matches) {
        if (match.shown === 'off') continue
        putOff(match)
        match.dismissed = match.inside || match.focused
      }
    }),
  ),
  fc.integer({ min: 1, max: 900 }).map((ms) => command(`wait ${ms}`, (told) => pass(told, told.t + ms))),
  index.map((i) =>
    command(`remove ${i}`, (told) => {
      const match = told.matches[i]
      if (!match?.isThere) return
      match.isThere = false
      movePage(told, 0, 0)
      // A page takes the focus away from what it removes.
      if (match.focused) moveFocus(told, -1, false)
    }),
  ),
  fc.constantFrom(-60, -20, 20, 60).map((dy) => command(`scroll ${dy}`, (told) => movePage(told, 0, dy))),
  fc.constantFrom(-90, -30, 30, 90).map((dx) => command(`resize ${dx}`, (told) => movePage(told, dx, 0))),
  fc.constant(
    command('window blur', (told) => {
      movePointer(told, 'leave', { isPresent: false, buttons: 0 })
      moveFocus(told, -1, false)
    }),
  ),
]

export const options: fc.Arbitrary<Options> = fc.record({
  goDelayMs: fc.constantFrom(0, 80, 320),
  stillMs: fc.constantFrom(undefined, 200),
  atMostOne: fc.boolean(),
  stays: fc.constantFrom(undefined, true as const),
})

/** How long the way of a look takes, ms. */
export const wayMs = 100

/** A rig whose channel `shown` tells the look by its number, and `way` how far it is on. */
export function hoverRig(own: Options): Rig {
  const timed = { kind: 'timed', durationMs: wayMs, easing: 'linear', delayMs: 0 } as const
  const channel = { area: 'anchor', frame: 'area', away: { kind: 'settle', pose: 0 }, group: 'state' } as const
  return {
    areas: [
      {
        id: 'anchor',
        of: 'each',
        select: '.anchor',
        box: 'live',
        among: 'one',
        pointer: 'any',
        touch: 'tap',
        joined: '.note',
        looks: { ...own, keys: true, escape: true, opensByTap: true },
      },
    ],
    channels: [
      { ...channel, id: 'shown', signal: { of: 'look', values: { off: 0, on: 1, pressed: 2, still: 3 } }, feel: { kind: 'direct' } },
      { ...channel, id: 'way', signal: { of: 'look', values: { off: 0, on: 1, pressed: 1, still: 1 } }, feel: timed },
    ],
    knobs: [],
    outputs: [
      {
        to: 'self',
        slot: { on: 'property', name: '--shown', unit: '', law: 'replace' },
        base: 0,
        factor: 1,
        channel: 'shown',
        strength: 1,
      },
      { to: 'self', slot: { on: 'opacity' }, base: 0, factor: 1, channel: 'way', strength: 1 },
    ],
    parts: [],
    rules: [],
  }
}
