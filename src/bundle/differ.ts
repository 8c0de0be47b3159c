// Plays a rig by its compiled script and by evaluate(), and tells by how much they differ: for random rigs, boxes, traces and screens.
import fc from 'fast-check'
import { compile } from '../core/compile/compile'
import { plainFacts } from '../core/compile/facts'
import type { Fragment } from '../core/compile/join'
import { between, rig, trace } from '../core/rig/arbitrary'
import { evaluate, isHeard, type Boxes } from '../core/rig/evaluate'
import { propertyOfChannel } from '../core/rig/plan'
import { spanOf } from '../core/rig/play'
import type { Rig } from '../core/rig/rig'
import { metBy } from '../core/signal/signal'
import { isOfPointer, type Sample } from '../core/signal/sample'
import { makePage } from './stand-in-page'

const names = { title: 'the rig', name: 'rig' }

/** Cards that do not lie on one another, with what lies in them, and zones anywhere. */
const boxes: fc.Arbitrary<Boxes> = fc
  .tuple(
    fc.array(fc.tuple(between(0, 30), between(60, 300), between(80, 210), between(40, 260)), { minLength: 1, maxLength: 4 }),
    between(0.1, 0.8),
  )
  .map(([cards, share]) => {
    const made = cards.map(([dx, y, width, height], i) => ({
      ...{ x: 20 + i * 250 + dx, y, width, height },
      ...(i === 0 ? { content: { width: width * 1.5, height: height + 30 } } : {}),
    }))
    return {
      window: { width: 1000, height: 700 },
      elements: {
        '.card': made,
        '.layer': made
          .slice(0, 2)
          .map(({ x, y, width, height }) => ({ x: x + share * 0.5 * width, y: y + 4, width: share * 0.5 * width, height: height / 2 })),
        '.zone': [
          { x: 0, y: 0, width: 300, height: 700 },
          { x: 400, y: 0, width: 600, height: 300 },
          { x: 400, y: 400, width: 600, height: 300 },
        ],
      },
    }
  })

/** The same with what is shown of it: each channel on the element that it is read in, of a chain a link. */
const shown = (rig: Rig): Rig => ({
  ...rig,
  outputs: rig.channels.map(({ id, chain }) => ({
    to: 'self',
    slot: { on: 'property', name: `--${id}`, unit: '', law: 'replace' },
    base: 0,
    factor: 1,
    channel: id,
    link: chain === undefined ? undefined : chain - 1,
    strength: 1,
  })),
})

/** The trace as a page has it: what only scrolls is of the pointer that moved last, among those that are heard. */
function asOnPage(rig: Rig, trace: readonly Sample[]): readonly Sample[] {
  let pointerType: Sample['pointerType'] = 'mouse'
  // A key is of what has the focus.
  let focus = { x: -1, y: -1 }
  return trace.map((each) => {
    // A browser's wheel has no type of pointer.
    const sample = each.phase === 'wheel' || each.phase === 'pinch' ? { ...each, pointerType: 'mouse' as const } : each
    if (sample.phase === 'focus') focus = { x: sample.x, y: sample.y }
    if (sample.phase === 'blur') focus = { x: -1, y: -1 }
    if (sample.phase === 'key') return { ...sample, ...focus }
    if (sample.phase === 'scroll') return { ...sample, pointerType }
    if (isOfPointer(sample) && isHeard(rig, sample)) pointerType = sample.pointerType
    return sample
  })
}

/** The band of rest, and what is rounded off, in shares of the range: the most that they may differ. */
export const most = 3e-4

export interface Difference {
  readonly worst: number
  readonly told: string
  readonly isAsleep: boolean
}

/** How many samples are heard before each frame, and what time it shows: every third one hears moves that are up to 6 ms newer than itself. */
function heardBy(
  rig: Rig,
  trace: readonly Sample[],
  frames: readonly number[],
): readonly { readonly now: number; readonly count: number; readonly shown: number }[] {
  let [count, shown] = [0, 0]
  return frames.map((now, k) => {
    while ((trace[count]?.t ?? Infinity) <= now) count++
    shown = Math.max(shown, now)
    for (
      let sample = trace[count];
      k % 3 === 0 && sample?.phase === 'move' && sample.t <= now + 6 && isHeard(rig, sample);
      sample = trace[++count]
    )
      shown = Math.max(shown, sample.t)
    return { now, count, shown }
  })
}

/** The script of a rig by itself, written once for all the ways to play it. */
const written = new WeakMap<readonly Fragment[], WeakMap<Rig, string>>()
function scriptOf(rig: Rig, fragments: readonly Fragment[]): string {
  const known = written.get(fragments) ?? new WeakMap<Rig, string>()
  const script = known.get(rig) ?? compile([{ rig, names }], plainFacts, fragments)
  written.set(fragments, known.set(rig, script))
  return script
}

/** Plays a rig by its script and by evaluate(), and gives by how much they differ, in shares of the range. */
function differ(rig: Rig, at: Boxes, trace: readonly Sample[], frames: readonly number[], fragments: readonly Fragment[]): Difference {
  const page = makePage(at, '.card', '.layer')
  page.play(scriptOf(rig, fragments))
  const heard = heardBy(rig, trace, frames)
  const { columns, moments } = evaluate(
    rig,
    trace,
    at,
    heard.map(({ shown }) => shown),
  )
  const asksHits = rig.areas.some(({ except }) => except !== undefined) || rig.channels.some(({ signal }) => metBy(signal).length > 0)
  let worst = 0
  let told = ''
  let next = 0
  for (const [m, { t, values }] of moments.entries()) {
    // What is heard with one frame comes in one group, as far as it is of one sort; some of it is newer than the frame.
    let group: Sample[] = []
    const flush = () => {
      page.hear(group)
      group = []
    }
    for (let sample = trace[next]; sample && next < (heard[m]?.count ?? 0); sample = trace[++next]) {
      // All of a group are told to have hit what the last one hit.
      if (sample.phase !== 'move' || asksHits || sample.pointerType !== group[0]?.pointerType) flush()
      group.push(sample)
      if (sample.phase !== 'move') flush()
    }
    flush()
    page.frame(heard[m]?.now ?? t)
    for (const channel of rig.channels) {
      const { frame, id, chain } = channel
      const link = chain === undefined ? undefined : chain - 1
      const isEach = typeof frame === 'object' && 'each' in frame
      const elements = isEach
        ? page.outers.flatMap((card) => page.others.filter(({ selects, parent }) => selects[0] === '.layer' && parent === card))
        : rig.areas[0]?.of === 'window'
          ? []
          : rig.areas[0]?.of === 'group'
            ? page.outers.slice(0, 1)
            : page.outers
      elements.forEach(({ values: written }, n) => {
        const column = columns.indexOf(`${id}${link === undefined ? '' : `.${link + 1}`}[${n}]`)
        const text = written.get(propertyOfChannel(names, id, link))
        const expected = Number(values[column])
        const first = Number(moments[0]?.values[column])
        const apart = Math.abs((text === undefined ? first : Number(text)) - expected) / spanOf(channel)
        if (apart > worst || Number.isNaN(apart)) {
          worst = Number.isNaN(apart) ? Infinity : apart
          told = `${id} (${channel.signal.of}, ${JSON.stringify(channel.feel)}) of element ${n} at ${t}: ${text ?? 'nothing'} instead of ${expected}`
        }
      })
    }
  }
  const isAsleep = page.isAsleep()
  page.end()
  return { worst, told, isAsleep }
}

/** Frames of a screen of so many Hz that jitters, and then of one that was not looked at for a minute. */
const screen = fc.tuple(between(24, 240), fc.array(between(0.8, 1.2), { minLength: 7, maxLength: 7 }))
const framesOf = ([hz, jitter]: readonly [number, readonly number[]], until: number) => {
  const frames: number[] = []
  for (let t = 3; t < until; t += (1000 / hz) * (jitter[frames.length % jitter.length] ?? 1)) frames.push(t)
  return [...frames, until + 60_000, until + 60_020, until + 60_040]
}

/** The trace with the pointer gone and the focus with it at its end: then everything comes to rest. */
function endedTrace(trace: readonly Sample[]): readonly Sample[] {
  const t = (trace.at(-1)?.t ?? 0) + 30
  return [
    ...trace,
    { t, x: 0, y: 0, buttons: 0, pointerType: 'mouse', phase: 'leave' },
    { t: t + 1, x: 0, y: 0, buttons: 0, pointerType: 'mouse', phase: 'blur' },
  ]
}

/** A rig, and some ways to play it: those without a liking for zeros, at which nothing would move. */
export const cases = (count: number) =>
  fc.tuple(
    fc.oneof(rig, fc.noBias(rig)).map(shown),
    fc.array(fc.tuple(fc.noBias(boxes), fc.noBias(trace), fc.noBias(screen)), { minLength: count, maxLength: count }),
  )

type Played = readonly [Boxes, readonly Sample[], readonly [number, readonly number[]]]

/** By how much the script and evaluate() differ for one of them. */
export const differenceOf = (made: Rig, [at, samples, hz]: Played, fragments: readonly Fragment[]): Difference =>
  differ(made, at, asOnPage(made, endedTrace(samples)), framesOf(hz, (samples.at(-1)?.t ?? 0) + 400), fragments)
