// Rigs and traces made at random, over all that a rig can say: for tests of what must hold whatever an effect is made of.
import fc from 'fast-check'
import type { Insets } from '../geometry/insets'
import type { Feel } from '../feel/feel'
import { lookNames } from '../look/look'
import { keys, type Sample } from '../signal/sample'
import { isZone, metBy, type Signal } from '../signal/signal'
import type { Channel, FrameOf, Rig } from './rig'

/** Numbers as a designer or a browser gives them: six decimals, and none that are hardly there. */
export const between = (min: number, max: number) =>
  fc.integer({ min: Math.round(min * 1e6), max: Math.round(max * 1e6) }).map((value) => value / 1e6)
const easing = fc.constantFrom(
  'linear',
  'ease',
  'ease-in-out',
  'cubic-bezier(0.2, 1.5, 0.4, 1)',
  'linear(0, 0.7 30%, 0.4 60%, 1)',
  'steps(4, jump-both)',
)
const smooth = fc.constantFrom('linear', 'ease', 'cubic-bezier(0.2, 1.5, 0.4, 1)', 'linear(0, 0.7 30%, 0.4 60%, 1)')
export const timed = fc.record({
  kind: fc.constant('timed' as const),
  durationMs: between(1, 600),
  easing: smooth,
  delayMs: fc.oneof(fc.constant(0), between(0, 120)),
})
export const glide = fc.record({ kind: fc.constant('glide' as const), halfLifeMs: between(2, 300) })
export const spring = fc.record({
  kind: fc.constant('spring' as const),
  frequencyHz: between(0.4, 8),
  dampingRatio: fc.oneof(between(0.15, 0.95), fc.constant(1), between(1.05, 3)),
})
const feel: fc.Arbitrary<Feel> = fc.oneof(fc.constant({ kind: 'direct' as const }), glide, spring, timed)

function evenInsets(value: number): Insets {
  const inset = { value, unit: 'px' as const }
  return { top: inset, right: inset, bottom: inset, left: inset }
}

const beyond = fc.constantFrom('clamp' as const, 'extend' as const)
const axis = fc.constantFrom('x' as const, 'y' as const)
const pose = fc.oneof(between(-1, 1), fc.tuple(between(-1, 1), between(-1, 1), between(-1, 1), between(-1, 1)))
const signal: fc.Arbitrary<Signal> = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.record({ of: fc.constantFrom('x' as const, 'y' as const, 'centredX' as const, 'centredY' as const), beyond }),
  },
  { weight: 4, arbitrary: fc.record({ of: fc.constantFrom('xPx' as const, 'yPx' as const, 'angle' as const, 'heading' as const) }) },
  { weight: 4, arbitrary: fc.record({ of: fc.constantFrom('inside' as const, 'pressed' as const, 'focus' as const, 'speed' as const) }) },
  { weight: 1, arbitrary: fc.record({ of: fc.constant('distance' as const), from: fc.constantFrom('centre' as const, 'edge' as const) }) },
  {
    weight: 1,
    arbitrary: fc.record({
      of: fc.constant('zone' as const),
      columns: fc.integer({ min: 1, max: 5 }),
      rows: fc.integer({ min: 1, max: 4 }),
      hysteresisPx: between(0, 30),
      insets: fc.option(between(0, 60).map(evenInsets), { nil: undefined }),
      first: fc.option(fc.constant(0), { nil: undefined }),
      touched: fc.option(fc.constant('.layer'), { nil: undefined }),
    }),
  },
  { weight: 1, arbitrary: fc.record({ of: fc.constant('nearest' as const), among: fc.constant('.zone'), hysteresisPx: between(0, 30) }) },
  {
    weight: 1,
    arbitrary: fc.record({ of: fc.constant('over' as const), among: fc.constantFrom(['.card'], ['.layer', '.card'], ['.card', '.layer']) }),
  },
  {
    weight: 4,
    arbitrary: fc.record({
      of: fc.constantFrom('overX' as const, 'overY' as const, 'overWidth' as const, 'overHeight' as const),
      among: fc.constantFrom('.card', '.layer'),
    }),
  },
  { weight: 1, arbitrary: fc.record({ of: fc.constant('finger' as const), roomPx: between(0, 700) }) },
  { weight: 1, arbitrary: fc.record({ of: fc.constant('still' as const), afterMs: between(10, 400) }) },
  { weight: 1, arbitrary: fc.record({ of: fc.constant('here' as const), come: timed, go: timed }) },
  { weight: 2, arbitrary: fc.record({ of: fc.constant('past' as const), axis, lagMs: between(0, 300) }) },
  {
    weight: 1,
    arbitrary: fc.record({
      of: fc.constant('wheel' as const),
      start: between(-1, 1),
      least: fc.constant(-2),
      greatest: between(1, 9),
      perPx: between(-0.1, 0.1),
    }),
  },
  {
    weight: 1,
    arbitrary: fc.record({ of: fc.constant('pinch' as const), start: between(1, 2), least: between(0.5, 1), greatest: between(2, 8) }),
  },
  {
    weight: 11,
    arbitrary: fc.record({
      of: fc.constantFrom(
        'width' as const,
        'height' as const,
        'overflowX' as const,
        'overflowY' as const,
        'excessX' as const,
        'excessY' as const,
      ),
    }),
  },
  { weight: 1, arbitrary: fc.record({ of: fc.constant('time' as const), periodMs: between(200, 3000) }) },
  {
    weight: 2,
    arbitrary: fc.record({ of: fc.constantFrom('entrySide' as const, 'exitSide' as const), axis: fc.option(axis, { nil: undefined }) }),
  },
  {
    weight: 3,
    arbitrary: fc.record({
      of: fc.constant('look' as const),
      values: fc.record({ off: between(-1, 1), on: between(-1, 1), pressed: between(-1, 1), still: between(-1, 1) }),
      enterFrom: fc.option(pose, { nil: undefined }),
      leaveTo: fc.option(pose, { nil: undefined }),
    }),
  },
)

/** Times that may fall together: those of samples, and of what is due by itself. */
const evenMs = fc.constantFrom(20, 40, 100, 200)

const frame: fc.Arbitrary<FrameOf> = fc.constantFrom<FrameOf>('area', 'area', 'window', { each: '.layer' }, { box: '.zone' })
const away = fc.record({ kind: fc.constantFrom('settle' as const, 'hold' as const, 'letGo' as const), pose: between(-1, 1) })
const curve = fc.record({
  stops: fc.tuple(between(-5, 5), between(-5, 5), between(-5, 5), easing).map(([a, b, c, each]) => [
    { at: -1, value: a, easing: each },
    { at: 0.3, value: b },
    { at: 400, value: c },
  ]),
  beyond: fc.constantFrom('clamp' as const, 'extend' as const),
})

const channel: fc.Arbitrary<Omit<Channel, 'id'>> = fc
  .record({
    signal,
    frame,
    away,
    feel,
    going: fc.option(feel, { nil: undefined }),
    curve: fc.option(curve, { nil: undefined }),
    group: fc.constantFrom('turn' as const, 'light' as const),
  })
  .chain((base) =>
    fc
      .record({
        chain: fc.oneof({ weight: 5, arbitrary: fc.constant(undefined) }, { weight: 1, arbitrary: fc.integer({ min: 1, max: 12 }) }),
        halfLife: glide,
        timing: fc.option(
          fc.array(fc.record({ from: fc.constantFrom(...lookNames, 'any' as const), to: fc.constantFrom(...lookNames), feel }), {
            minLength: 1,
            maxLength: 3,
          }),
          { nil: undefined },
        ),
      })
      .map(({ chain, halfLife, timing }) => ({
        ...base,
        area: 'cards',
        // A chain follows by a glide; where the pointer was is told as it is.
        ...(chain === undefined
          ? {}
          : base.signal.of === 'past'
            ? {
                chain,
                feel: { kind: 'direct' as const },
                going: undefined,
                curve: undefined,
                away: { ...base.away, kind: 'hold' as const },
              }
            : { chain, feel: halfLife, going: undefined }),
        ...(base.signal.of === 'look' && chain === undefined ? { timing } : {}),
      })),
  )

/** What is hidden of a content is that of single elements. */
function ofElements(channel: Omit<Channel, 'id'>, of: Rig['areas'][number]['of']): Omit<Channel, 'id'> {
  const { signal: read, frame: home } = channel
  if (!/^(overflow|excess)/.test(read.of)) return channel
  const isOfEach = typeof home === 'object' && 'each' in home
  if (of !== 'each' && read.of.startsWith('excess')) return { ...channel, signal: { of: 'height' } }
  if (isOfEach || of === 'each') return isOfEach ? channel : { ...channel, frame: 'area' }
  return { ...channel, signal: { of: 'width' } }
}

/** With one more that hangs on what a zone among them chooses, and shares of the area where a pose is of px. */
function withChosen(channels: readonly Omit<Channel, 'id'>[], of: Rig['areas'][number]['of']): readonly Omit<Channel, 'id'>[] {
  const shared = channels.map((each) =>
    (each.signal.of === 'xPx' || each.signal.of === 'yPx') && each.away.pose > 0 && (each.frame === 'area' || of === 'each')
      ? { ...each, away: { ...each.away, isShare: true, ...(each.away.pose > 0.5 ? { byFinger: 'hold' as const } : {}) } }
      : each,
  )
  const zone = shared.findIndex(({ signal: each, frame: read }) => isZone(each) && read === 'area')
  const base = shared[zone]
  if (!base) return shared
  return [
    ...shared,
    { ...base, feel: { kind: 'glide', halfLifeMs: 60 }, frame: { each: '.layer' }, signal: { of: 'chosen', by: `c${zone}` } },
  ]
}

export const rig: fc.Arbitrary<Rig> = fc
  .record({
    of: fc.constantFrom('each' as const, 'each' as const, 'group' as const, 'window' as const),
    among: fc.constantFrom('one' as const, 'all' as const),
    insetPx: fc.constantFrom(0, 12, -40),
    beyond: fc.constantFrom(undefined, undefined, '.card', '.layer'),
    except: fc.constantFrom(undefined, undefined, undefined, '.layer'),
    pointer: fc.constantFrom('fine' as const, 'any' as const),
    arrowKeys: fc.option(between(0.01, 0.4), { nil: undefined }),
    looks: fc.record({
      goDelayMs: fc.oneof(fc.constant(0), between(0, 200), evenMs),
      stillMs: fc.option(fc.oneof(between(20, 400), evenMs), { nil: undefined }),
      atMostOne: fc.boolean(),
      keys: fc.boolean(),
      stays: fc.option(fc.boolean(), { nil: undefined }),
      escape: fc.option(fc.boolean(), { nil: undefined }),
      first: fc.option(fc.integer({ min: 0, max: 4 }), { nil: undefined }),
    }),
    channels: fc.array(channel, { minLength: 1, maxLength: 4 }),
  })
  .map(({ of, among, insetPx, beyond, except, pointer, arrowKeys, looks: machine, channels: made }) => {
    const channels = withChosen(
      made.map((each) => ofElements(each, of)),
      of,
    )
    const asksHits = except !== undefined || channels.some(({ signal: each }) => metBy(each).length > 0)
    return {
      areas: [
        {
          id: 'cards',
          of,
          select: '.card',
          insets: evenInsets(insetPx),
          box: 'still' as const,
          among,
          pointer,
          touch: 'tap' as const,
          looks: machine,
          ...(beyond !== undefined && of === 'each' && among === 'all' ? { beyond } : {}),
          ...(except === undefined ? {} : { except }),
          // Keys put the pointer on the area, whatever lies there.
          ...(arrowKeys === undefined || asksHits ? {} : { arrowKeys }),
        },
      ],
      channels: channels.map((each, i) => ({ ...each, id: `c${i}` })),
      knobs: [],
      outputs: channels.map((each, i) => ({
        to: 'self' as const,
        slot: { on: 'property' as const, name: `--c${i}`, unit: '' as const, law: 'replace' as const },
        base: 0,
        factor: 1,
        channel: `c${i}`,
        weight: each.away.kind === 'letGo' ? `c${i}` : undefined,
        strength: 1,
      })),
      parts: [],
      rules: [],
    }
  })

const gap = fc.oneof(between(0, 30), between(0, 30), between(0, 400), evenMs)
const far = fc.record({ x: between(40, 620), y: between(60, 380) })
const near = fc.record({ dx: between(-9, 9), dy: between(-9, 9) })
const step = fc.record({
  gap,
  to: fc.oneof(far, far, far, near),
  phase: fc.constantFrom<Sample['phase']>(
    'move',
    'move',
    'move',
    'move',
    'move',
    'move',
    'down',
    'up',
    'leave',
    'cancel',
    'focus',
    'blur',
    'scroll',
    'wheel',
    'pinch',
    'key',
    'key',
  ),
  key: fc.constantFrom(...keys),
  turn: between(-60, 60),
  pointerType: fc.constantFrom<Sample['pointerType']>('mouse', 'mouse', 'mouse', 'touch', 'pen'),
  buttons: fc.constantFrom(0, 0, 1),
})
/** A finger, or what points, that comes down and goes up again nearby: mostly soon enough for a tap. */
const tap = fc
  .record({
    gap,
    to: far,
    moved: near,
    heldMs: fc.oneof(between(10, 490), between(10, 900)),
    pointerType: fc.constantFrom<Sample['pointerType']>('touch', 'touch', 'pen', 'mouse'),
  })
  .map(({ gap: wait, to, moved, heldMs, pointerType }) => [
    { gap: wait, to, phase: 'down' as const, pointerType, buttons: 1 },
    { gap: heldMs, to: moved, phase: 'up' as const, pointerType, buttons: 0 },
  ])
type Step = Pick<Sample, 'phase' | 'pointerType' | 'buttons' | 'key'> & {
  readonly gap: number
  readonly to: { readonly x: number; readonly y: number } | { readonly dx: number; readonly dy: number }
  readonly turn?: number
}
export const trace: fc.Arbitrary<readonly Sample[]> = fc
  .array(fc.oneof({ weight: 9, arbitrary: step.map((each) => [each]) }, { weight: 1, arbitrary: tap }), { minLength: 1, maxLength: 40 })
  .map((steps) => {
    let [t, x, y] = [0, 300, 200]
    return steps.flat().map(({ gap: wait, to, key, turn, ...sample }: Step) => {
      t += wait
      ;[x, y] = 'dx' in to ? [x + to.dx, y + to.dy] : [to.x, to.y]
      // By as much as browsers have it of a wheel with Ctrl.
      const by = sample.phase === 'wheel' ? { by: turn } : sample.phase === 'pinch' ? { by: Math.exp((turn ?? 0) / 300) } : {}
      return { ...sample, t, x, y, ...by, ...(sample.phase === 'key' ? { key } : {}) }
    })
  })
