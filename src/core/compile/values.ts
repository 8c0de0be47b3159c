// How a channel is written in a script: what is read, and how it is followed.
import type { ColourCurve } from '../curve/colour'
import type { Curve } from '../curve/curve'
import type { Insets } from '../geometry/insets'
import type { Pose, Signal } from '../signal/signal'
import { restBand } from '../feel/follower'
import { spanOf } from '../rig/play'
import type { Channel } from '../rig/rig'
import type { Write } from '../rig/plan'
import { type Constants, writeEasing, writeFeel } from './feels'
import { number, quote } from './literal'

/** A member of a table, by its name: the source text of its value. */
export type Fields = ReadonlyMap<string, string>

/** What the reading of a channel hangs on. */
interface Surroundings {
  /** Insets of the area, where its values are read in the area itself. */
  readonly insets: Insets | undefined
  /** Whether the pointer is surely between the edges of the frame, which then has a size. */
  readonly isBetween: boolean
  readonly measure: string
  readonly hasBorders: boolean
  /** How the page is told of a zone. */
  readonly zone?: string | undefined
  /** It is written as a length. */
  readonly isLength?: boolean
  /** A slider shows it. */
  readonly slides?: boolean
  /** Pieces are painted by it, along this axis. */
  readonly paints?: 'x' | 'y' | undefined
  /** It tells this of how near the pointer is to letters. */
  readonly nears?: 'x' | 'y' | 'here' | undefined
  /** What chooses among the elements of its frame: where they are looked for, and by which selector. */
  readonly chosen?: { readonly zone: string; readonly isInArea: boolean; readonly select: string } | undefined
}

type Of<Name extends Signal['of']> = Extract<Signal, { of: Name }>

const inset = (insets: Insets | undefined, side: keyof Insets, length: 'width' | 'height'): string => {
  const { value, unit } = insets?.[side] ?? { value: 0, unit: 'px' }
  return value === 0 ? '0' : unit === 'px' ? number(value) : `${number(value / 100)} * at.${length}`
}

function writePosition({ of, beyond }: Of<'x' | 'y' | 'centredX' | 'centredY'>, { insets, isBetween }: Surroundings): string {
  const isAcross = of === 'x' || of === 'centredX'
  const isCentred = of.startsWith('centred')
  const [point, length] = isAcross ? ['x', 'width'] : ['y', 'height']
  if (!insets && isBetween) {
    const share = isCentred ? `2 * ${point} / ${length} - 1` : `${point} / ${length}`
    return `({ ${point}, ${length} }) => ${beyond === 'extend' ? share : `limited(${share}, ${isCentred ? -1 : 0}, 1)`}`
  }
  const between = insets
    ? `, ${isAcross ? `${inset(insets, 'left', 'width')}, ${inset(insets, 'right', 'width')}` : `${inset(insets, 'top', 'height')}, ${inset(insets, 'bottom', 'height')}`}`
    : ''
  const share = `${isAcross ? 'shareX' : 'shareY'}(at${between})`
  const kept = beyond === 'extend' ? share : `limited(${share}, 0, 1)`
  return `(at) => ${isCentred ? `2 * ${kept} - 1` : kept}`
}

function writePx({ of, from }: Of<'xPx' | 'yPx'>, { hasBorders }: Surroundings): string {
  const [point, length, side] = of === 'xPx' ? ['x', 'width', 3] : ['y', 'height', 0]
  if (from === 'centre') return `({ ${point}, ${length} }) => ${point} - ${length} / 2`
  return from === 'border' && hasBorders ? `({ ${point}, border }) => ${point} + border[${side}]` : `({ ${point} }) => ${point}`
}

/** Where a share of the area lies along the side of a signal in px. */
function writeShare({ of, from }: Of<'xPx' | 'yPx'>, share: number, { hasBorders, measure }: Surroundings, isInArea: boolean): string {
  const [length, side] = of === 'xPx' ? ['width', 3] : ['height', 0]
  if (!isInArea) {
    const more = from === 'centre' ? ` - at.${length} / 2` : from === 'border' && hasBorders ? ` + at.border[${side}]` : ''
    return `(at) => shareOfArea(at, ${number(share)}, ${measure}).${of === 'xPx' ? 'x' : 'y'}${more}`
  }
  if (from === 'centre') return `({ ${length} }) => ${number(share - 0.5)} * ${length}`
  return from === 'border' && hasBorders
    ? `({ ${length}, border }) => ${number(share)} * ${length} + border[${side}]`
    : `({ ${length} }) => ${number(share)} * ${length}`
}

const sideIndex = (axis: 'x' | 'y' | undefined) => (axis === 'x' ? 1 : axis === 'y' ? 2 : 0)

const writePose = (pose: Pose, side: string, axis: 'x' | 'y' | undefined): string =>
  typeof pose === 'number' ? number(pose) : `[${pose.map(number).join(', ')}][place.${side}[${sideIndex(axis)}]]`

/** What each signal is in a script: how it is read, what it is while the pointer is away, when it changes by itself. */
export function writeSignal(signal: Signal, around: Surroundings, constants: Constants): Fields {
  const fields = (read: string, more: Readonly<Record<string, string>> = {}): Fields => new Map(Object.entries({ read, ...more }))
  const told: Readonly<Record<string, string>> =
    around.zone === undefined
      ? {}
      : {
          zone: quote(around.zone),
          ...('first' in signal && signal.first !== undefined ? { zoneFirst: number(signal.first) } : {}),
          ...('focus' in signal && signal.focus !== undefined ? { zoneFocus: quote(signal.focus) } : {}),
        }
  switch (signal.of) {
    case 'x':
    case 'y':
    case 'centredX':
    case 'centredY':
      return fields(writePosition(signal, around))
    case 'xPx':
    case 'yPx':
      return fields(writePx(signal, around))
    case 'distance':
      return fields(signal.from === 'edge' ? '(at) => fromEdge(at, at)' : 'fromCentre')
    case 'angle':
      return fields('angleOf')
    case 'heading':
      return fields('headingNow')
    case 'speed':
      return fields('({ t }) => speedAt(t)', { due: '({ t }) => speedDue(t)' })
    case 'zone': {
      const insets = signal.insets ?? around.insets
      const four = `[${inset(insets, 'top', 'height')}, ${inset(insets, 'right', 'width')}, ${inset(insets, 'bottom', 'height')}, ${inset(insets, 'left', 'width')}]`
      return fields(
        `(at, follower) => ${signal.touched === undefined ? '' : `fingerOn(${quote(signal.touched)}) ?? `}zoneOf(at, follower, ${signal.columns}, ${signal.rows}, ${number(signal.hysteresisPx ?? 0)}, ${four})`,
        told,
      )
    }
    case 'nearest':
      return fields(
        `(at, follower) => nearestOf(follower, ${quote(signal.among)}, ${number(signal.hysteresisPx ?? 0)}, ${around.measure})`,
        told,
      )
    case 'over':
      return fields(`(at, { reading }) => overOf([${signal.among.map(quote).join(', ')}], reading)`, told)
    case 'overX':
    case 'overY':
    case 'overWidth':
    case 'overHeight':
      return fields(`(at, follower) => ${signal.of}(follower, ${quote(signal.among)}, ${around.measure})`)
    case 'finger':
      return fields(`() => (pointer.isTouch ? (pointer.y < ${number(signal.roomPx)} ? 1 : -1) : 0)`)
    case 'inside':
      return fields('() => 1')
    case 'pressed':
      return fields('() => (pointer.buttons ? 1 : 0)')
    case 'focus':
      return fields('({ place }) => Number(place.focused)', { leave: '({ place }) => Number(place.focused)' })
    case 'chosen': {
      const { chosen } = around
      const read = `(at) => isChosen(at, ${quote(chosen?.zone ?? '')}, ${chosen?.isInArea ? 'at.place.area' : 'document'}, ${quote(chosen?.select ?? '')})`
      return fields(read, { leave: read })
    }
    case 'width':
    case 'height':
      return fields(`({ ${signal.of} }) => ${signal.of}`, { leave: `({ ${signal.of} }) => ${signal.of}`, bySize: 'true' })
    case 'overflowX':
    case 'overflowY':
      return fields(signal.of, { leave: signal.of, bySize: 'true' })
    case 'excessX':
    case 'excessY': {
      const read = `(at) => ${signal.of}(at, ${around.measure})`
      return fields(read, { leave: read, bySize: 'true' })
    }
    case 'still':
      return fields(`(at) => isStill(at, ${number(signal.afterMs)})`, { due: `(at) => stillDue(at, ${number(signal.afterMs)})` })
    case 'here': {
      const [come, go] = [writeFeel(signal.come, 'comes', constants), writeFeel(signal.go, 'goes', constants)]
      return fields(`(at, follower) => hereNow(at, follower, 1, ${come})`, {
        leave: `(at, follower) => hereNow(at, follower, 0, ${go})`,
        due: '({ t }, follower) => hereDue(t, follower)',
      })
    }
    case 'entrySide':
    case 'exitSide': {
      const side = `({ place }) => place.${signal.of === 'entrySide' ? 'entry' : 'exit'}[${sideIndex(signal.axis)}]`
      return fields(side, { leave: side })
    }
    case 'past':
      return fields(`(at) => pastOf(at, ${number(signal.lagMs)}).${signal.axis}`, { due: `({ t }) => pastDue(t, ${number(signal.lagMs)})` })
    case 'time': {
      const period = number(signal.periodMs)
      return fields(`({ t }) => (t / ${period}) % 1`, { due: '({ t }) => nextInstant(t)', isEndless: 'true' })
    }
    case 'wheel': {
      const { start, least, greatest, perPx } = signal
      return fields(`(at, follower) => wheeled(at, follower, ${[start, least, greatest, perPx].map(number).join(', ')})`)
    }
    case 'pinch':
      return fields(`(at, follower) => pinched(at, follower, ${[signal.start, signal.least, signal.greatest].map(number).join(', ')})`)
    case 'look': {
      const { off, ...others } = signal.values
      const values = `{ ${Object.entries(others)
        .flatMap(([name, value]) => (value === undefined ? [] : [`${name}: ${number(value)}`]))
        .join(', ')} }`
      const look = signal.whose === 'others' ? 'others' : 'place.look'
      const read =
        signal.leaveTo === undefined
          ? `({ place, others }) => lookValue(${values}, ${number(off)}, ${look})`
          : `({ place, others }) => leftTo(${values}, ${number(off)}, ${look}, ${writePose(signal.leaveTo, 'exit', signal.axis)})`
      const start: Readonly<Record<string, string>> =
        signal.enterFrom !== undefined && signal.whose === undefined
          ? { start: `({ place }) => cameFrom(place, ${writePose(signal.enterFrom, 'entry', signal.axis)})` }
          : {}
      return fields(read, { leave: read, byLook: 'true', ...start })
    }
  }
}

/** A curve as a function of a reading. */
export function writeCurve(curve: Curve, constants: Constants): string {
  const { stops, beyond, step } = curve
  const [first, second] = stops
  const stepped = (text: string) => (step ? `Math.round(${text} / ${number(step)}) * ${number(step)}` : text)
  if (first && second && stops.length === 2 && (first.easing ?? 'linear') === 'linear') {
    const slope = (second.value - first.value) / (second.at - first.at)
    const offset = first.value - slope * first.at
    const line = `${slope === 1 ? 'x' : `${number(slope)} * x`}${Math.abs(offset) < 1e-12 ? '' : ` ${offset < 0 ? '-' : '+'} ${number(Math.abs(offset))}`}`
    if (beyond === 'extend') return `(x) => ${stepped(step ? `(${line})` : line)}`
    return `(x) => ${stepped(`limited(${line}, ${number(Math.min(first.value, second.value))}, ${number(Math.max(first.value, second.value))})`)}`
  }
  return `(x) => ${stepped(`onCurve([${stretchesOf(stops, number, constants).join(', ')}], x${beyond === 'extend' ? ', true' : ''})`)}`
}

/** A curve of colours as a function of a value. */
export function writeColours({ colours }: ColourCurve, constants: Constants): string {
  return `(x) => colourAt(${quote(colours[0]?.value.space ?? 'oklab')}, [${stretchesOf(colours, ({ values }) => `[${values.map(number).join(', ')}]`, constants).join(', ')}], x)`
}

function stretchesOf<Value>(
  stops: readonly { readonly at: number; readonly value: Value; readonly easing?: string | undefined }[],
  write: (value: Value) => string,
  constants: Constants,
): readonly string[] {
  return stops.slice(1).map((to, i) => {
    const from = stops[i]
    if (!from) return ''
    const easing = (from.easing ?? 'linear') === 'linear' ? '' : `, ${writeEasing(from.easing ?? '', constants)}`
    return `[${number(from.at)}, ${write(from.value)}, ${number(to.at)}, ${write(to.value)}${easing}]`
  })
}

/**
 * The fields of a channel that is written as `write` says; `seenBy` is the index of the value that tells whether it is seen, or that the
 * stylesheet makes it so.
 */
export function writeChannel(
  channel: Channel,
  write: Write,
  seenBy: number | 'stylesheet',
  around: Surroundings,
  constants: Constants,
): Fields {
  const { signal, away, curve, feel, going, timing, chain } = channel
  const fields = new Map<string, string>([
    ...(write.property === '' ? [] : [['property', quote(write.property)] as const]),
    ...writeSignal(signal, around, constants),
  ])
  const pose = signal.of === 'look' ? signal.values.off : away.pose
  fields.set('pose', number(pose))
  if (around.paints) fields.set('paints', quote(around.paints))
  if (around.isLength) fields.set('isLength', 'true')
  if (around.nears) fields.set('nears', quote(around.nears))
  if (around.slides) fields.set('slides', signal.of === 'y' ? quote('y') : quote('x'))
  if (away.isShare && (signal.of === 'xPx' || signal.of === 'yPx'))
    fields.set('leave', writeShare(signal, away.pose, around, channel.frame === 'area')).set('bySize', 'true')
  if (curve) fields.set('curve', constants.name('bend', writeCurve(curve, constants)))
  if (away.kind === 'settle' && away.byFinger === 'hold') fields.set('holds', quote('touch'))
  if (away.kind !== 'settle') {
    fields.set('holds', 'true')
    // What holds begins at its share all the same.
    if (!away.isShare) fields.delete('leave')
  }
  const band = restBand * spanOf(channel)
  fields.set('band', number(band))
  // A half of what cannot be seen is the most that is rounded off.
  if (!write.curve) fields.set('digits', String(Math.max(2, Math.min(20, Math.ceil(-Math.log10(band / 2))))))
  if (chain !== undefined && signal.of === 'past') {
    fields
      .set('read', '() => 0')
      .set('feel', 'direct')
      .set('pieces', String(chain))
      .set('lagMs', number(signal.lagMs))
      .set('axis', quote(signal.axis))
    fields.delete('due')
    if (write.link !== undefined) fields.set('link', String(write.link))
  } else if (chain !== undefined && feel.kind === 'glide') {
    fields.set('feel', 'direct').set('links', String(chain)).set('halfLifeMs', number(feel.halfLifeMs))
    if (going?.kind === 'glide') fields.set('goingHalfLifeMs', number(going.halfLifeMs))
    if (write.link !== undefined) fields.set('link', String(write.link))
  } else {
    const isTimed = feel.kind === 'timed'
    fields.set('feel', writeFeel(feel, isTimed ? 'comes' : 'follows', constants))
    if (going) fields.set('going', writeFeel(going, going.kind === 'timed' ? 'goes' : 'returns', constants))
    if (timing && timing.length > 0 && signal.of === 'look')
      fields.set(
        'timing',
        `[${timing.map((each) => `[${quote(each.from)}, ${quote(each.to)}, ${writeFeel(each.feel, 'turns', constants)}]`).join(', ')}]`,
      )
  }
  if (seenBy === 'stylesheet') fields.set('beginsUnseen', 'true')
  else if (seenBy >= 0) fields.set('seenBy', String(seenBy))
  const { curve: shown } = write
  if (shown) fields.set('as', constants.name('shown', 'colours' in shown ? writeColours(shown, constants) : writeCurve(shown, constants)))
  return fields
}
