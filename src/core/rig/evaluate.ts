// evaluate(): a rig, a trace and boxes in; values at given moments out. Pure: the same in a browser, a worker and a test.
import { emptyFrame, frameOf, type Frame } from '../geometry/frame'
import { holdsPoint, hullOf, type Box } from '../geometry/box'
import { isOfPointer, type Sample } from '../signal/sample'
import { hear, hearAgain, newEngine, playUntil, type Engine } from './engine'
import { beginPlay, channelValue, followSizes, shape, showFrame, type Play } from './play'
import { dropsAt, newWay, type Drop, type Way } from './drops'
import { liesInWindow, planRig, type AreaPlan } from './plan'
import { droppedBy, type Output, type Rig } from './rig'
import { resolveArea, touchedBy, type Platform } from './resolve'
import { metBy } from '../signal/signal'
import { newPlace, newPresence, newScene, type Place } from './place'
import type { Presence } from '../signal/reader'
import { outputValue } from './values'
import { slotName } from './slot'

/** Where elements lie, in CSS px of the window: by selector, in the order of the page. */
export interface Boxes {
  readonly window: { readonly width: number; readonly height: number }
  readonly elements: Readonly<Record<string, readonly Box[]>>
}

/** Boxes from a moment on. Times in ms on the trace's clock. */
export interface BoxesAt extends Boxes {
  readonly t: number
}

/** Values at `t`, in the order of the columns; what cannot be told as a number (a colour) is a text. */
export interface Moment {
  readonly t: number
  readonly values: readonly (number | string)[]
}

export interface Evaluation {
  /** The name of each value: a channel or an output, with the number of its element in brackets. */
  readonly columns: readonly string[]
  readonly moments: readonly Moment[]
}

/** Of what elements no boxes are known: the first selector; undefined when all are. */
export function missingBoxes(rig: Rig, boxes: Boxes): string | undefined {
  return touchedBy(rig).read.find((select) => !boxes.elements[select])
}

/** Whether a sample is heard: a finger, a wheel or two fingers are not where nothing responds to them. */
export function isHeard({ areas, channels }: Pick<Rig, 'areas' | 'channels'>, sample: Sample): boolean {
  const { t, phase, pointerType } = sample
  if (!Number.isFinite(t)) return false
  if ((phase === 'wheel' || phase === 'pinch') && !channels.some(({ signal }) => signal.of === 'wheel' || signal.of === 'pinch'))
    return false
  return pointerType !== 'touch' || !isOfPointer(sample) || phase === 'scroll' || areas.some(({ pointer }) => pointer === 'any')
}

/** A rig with its places over boxes, ready to be played through. */
interface Setup {
  readonly engine: Engine
  readonly plans: readonly AreaPlan[]
  /** Each frame with where it is read from, for boxes that change. */
  readonly frames: readonly { readonly frame: Frame; readonly find: (boxes: Boxes) => Box | undefined }[]
}

/**
 * The values at each of `times` (ms, rising) for a trace over boxes, which may change in time (in order of time, the first
 * one from the beginning). A moment before the first sample shows the away pose. `byCss` names channels that a stylesheet's
 * transitions follow: the times are those of its frames then, with which they begin.
 */
export function evaluate(
  rig: Rig,
  trace: readonly Sample[],
  boxes: Boxes | readonly BoxesAt[],
  times: readonly number[],
  byCss: readonly string[] = [],
): Evaluation {
  const scenery: readonly BoxesAt[] = 'window' in boxes ? [{ ...boxes, t: -Infinity }] : boxes
  const [first] = scenery
  if (!first) return { columns: [], moments: [] }
  const setup = setUp(rig, first, byCss)
  const { engine } = setup
  const heard = trace.filter((sample) => isHeard(rig, sample)).sort((one, other) => one.t - other.t)
  let next = 0
  let scene = 0
  const readings = readingsOf(rig, setup)
  const moments = times.map((t) => {
    for (;;) {
      const sample = heard[next]
      const sampleAt = sample?.t ?? Infinity
      const boxesAt = scenery[scene + 1]?.t ?? Infinity
      if (!(Math.min(sampleAt, boxesAt) <= t)) break
      if (boxesAt <= sampleAt) {
        playUntil(engine, boxesAt)
        moveFrames(setup, scenery[++scene] ?? first)
        hearAgain(engine, boxesAt)
      } else {
        next++
        if (sample) hear(engine, sample)
      }
    }
    playUntil(engine, t)
    if (byCss.length > 0)
      for (const { places } of engine.scenes) for (const { plays } of places) for (const play of plays) showFrame(play, t)
    return { t, values: readings.map(({ read }) => read(t)) }
  })
  return { columns: readings.map(({ name }) => name), moments }
}

function setUp(rig: Rig, boxes: Boxes, byCss: readonly string[]): Setup {
  const plans = planRig(rig, { title: 'the rig', name: 'rig' }).map((plan) => ({
    ...plan,
    frames: plan.frames.map(({ of, channels }) => ({
      of,
      channels: channels.map((channel) => (byCss.includes(channel.id) ? { ...channel, inFrames: true as const } : channel)),
    })),
  }))
  const frames: { frame: Frame; find: (boxes: Boxes) => Box | undefined }[] = []
  const frameFrom = (find: (boxes: Boxes) => Box | undefined): Frame => {
    const frame = emptyFrame()
    frames.push({ frame, find })
    return frame
  }
  const scenes = plans.map((plan) => {
    const scene = newScene(plan)
    scene.places = placesOf(rig, plan, boxes, frameFrom)
    const framesOf = (select: string) => (boxes.elements[select] ?? []).map((_, index) => frameFrom((at) => at.elements[select]?.[index]))
    const { beyond, except } = plan.area
    if (beyond !== undefined) scene.beyond = framesOf(beyond)
    if (except !== undefined) scene.except = framesOf(except)
    return scene
  })
  const setup: Setup = { engine: newEngine(scenes), plans, frames }
  moveFrames(setup, boxes)
  for (const { places } of setup.engine.scenes)
    for (const { plays } of places) for (const play of plays) followSizes(play, setup.engine.at, true)
  return setup
}

function moveFrames({ frames }: Setup, boxes: Boxes): void {
  for (const { frame, find } of frames) Object.assign(frame, frameOf(find(boxes) ?? { x: 0, y: 0, width: 0, height: 0 }))
}

const windowBox = ({ window }: Boxes): Box => ({ x: 0, y: 0, ...window })

/** An element of which nothing is known but its box: the one of this number that a selector matches. */
interface BoxElement {
  readonly select: string
  readonly index: number
}

/** Boxes alone as a platform: an element lies in another whose box holds its middle. */
const platformOf = ({ elements }: Boxes): Platform<BoxElement> => ({
  find: (select) => elements[select]?.map((_, index) => ({ select, index })),
  homeOf: ({ select, index }, among) => {
    const box = elements[select]?.[index]
    return among.findIndex((each) => {
      const around = elements[each.select]?.[each.index]
      return box && around && holdsPoint(around, box.x + box.width / 2, box.y + box.height / 2)
    })
  },
})

function placesOf(rig: Rig, plan: AreaPlan, boxes: Boxes, frameFrom: (find: (boxes: Boxes) => Box | undefined) => Frame): readonly Place[] {
  const { area } = plan
  const platform = platformOf(boxes)
  const boxOf =
    ({ select, index }: BoxElement) =>
    (at: Boxes) =>
      at.elements[select]?.[index]
  const resolved = resolveArea(
    area,
    plan.frames.map(({ of }) => of),
    platform,
  )
  return resolved.map(({ elements, frames }, index) => {
    const [first] = elements
    const frame = frameFrom(
      area.of === 'window' ? windowBox : area.of === 'group' || !first ? (at) => hullOf(at.elements[area.select] ?? []) : boxOf(first),
    )
    const presence = newPresence()
    if (area.looks?.first === index) Object.assign(presence.look, { state: 'on', shown: 'on' })
    const beside = area.joined === undefined ? undefined : platform.find(area.joined)?.[index]
    const holding =
      area.of === 'group' ? elements.map((each) => frameFrom(boxOf(each))) : [frame, ...(beside ? [frameFrom(boxOf(beside))] : [])]
    const plays = plan.frames.flatMap(({ of, channels }, f) => {
      const begin = (at: Frame): Play => {
        const play = beginPlay(channels, at, frame, presence, of === 'area' ? area.insets : undefined, (n) =>
          startOf(channels[n], presence),
        )
        const among = channels.find(({ signal }) => signal.of === 'nearest')?.signal
        const focus = channels.flatMap(({ signal }) => ('focus' in signal && signal.focus !== undefined ? [signal.focus] : []))
        play.focusable = focus.slice(0, 1).flatMap((select) => (platform.find(select) ?? []).map((each) => frameFrom(boxOf(each))))
        const met = new Set(channels.flatMap(({ signal }) => metBy(signal)))
        play.met = new Map([...met].map((select) => [select, (platform.find(select) ?? []).map((each) => frameFrom(boxOf(each)))]))
        if (among?.of === 'nearest') play.zones = (platform.find(among.among) ?? []).map((each) => frameFrom(boxOf(each)))
        return play
      }
      if (of === 'area') return [begin(frame)]
      if (of === 'window') return [begin(frameFrom(windowBox))]
      const read = (frames[f] ?? []).map((each) => begin(frameFrom(boxOf(each))))
      read.forEach((play, n) => (play.index = n))
      return read
    })
    const ways = plan.parts.flatMap((part) => {
      const by = droppedBy(part)
      // Of a group the first one has what is dropped.
      return by ? [newWay(part.id, by, liesInWindow(rig, part) ? undefined : holding[0])] : []
    })
    return newPlace(presence, frame, holding, plays, ways)
  })
}

/** What is on from the start lies there. */
function startOf(channel: AreaPlan['frames'][number]['channels'][number] | undefined, { look }: Presence): number | undefined {
  if (look.shown !== 'on' || channel?.signal.of !== 'look') return undefined
  const { whose, values } = channel.signal
  return shape(channel, whose === 'others' ? values.off : (values.on ?? values.off))
}

/** What can be read of a rig, by column. */
function readingsOf(
  rig: Rig,
  { engine, plans }: Setup,
): readonly { readonly name: string; readonly read: (t: number) => number | string }[] {
  return plans.flatMap(({ frames }, f) => {
    const places = engine.scenes[f]?.places ?? []
    const dropped = places.flatMap(({ ways }, n) => ways.flatMap((way) => columnsOfWay(way, n)))
    const followed = frames.flatMap(({ channels }) => {
      const plays = places.flatMap((place) => place.plays.filter((play) => play.channels === channels))
      return plays.flatMap((play, n) =>
        columnsOf(
          rig,
          channels.map(({ id }) => id),
          play,
          n,
        ),
      )
    })
    return [...followed, ...dropped]
  })
}

/** What is dropped, the newest first: where each lies and how old it is, ms; NaN where there are not so many. */
const columnsOfWay = (way: Way, n: number) =>
  Array.from({ length: way.by.atMost }, (_, k) => {
    const column = (name: string, of: (drop: Drop, t: number) => number) => ({
      name: `${way.id}.${k + 1} ${name}[${n}]`,
      read: (t: number): number | string => {
        const drop = dropsAt(way, t)[k]
        return drop ? of(drop, t) : NaN
      },
    })
    return [
      column('index', ({ index }) => index),
      column('x', ({ x }) => x),
      column('y', ({ y }) => y),
      column('age', ({ t: fallenAt }, t) => t - fallenAt),
    ]
  }).flat()

function columnsOf(rig: Rig, ids: readonly string[], play: Play, n: number) {
  const valueOf = (id: string, t: number, link?: number) => {
    const index = ids.indexOf(id)
    return index < 0 ? undefined : channelValue(play, index, t, link)
  }
  const ofChannels = ids.flatMap((id) => {
    const count = rig.channels.find((channel) => channel.id === id)?.chain
    const links = count === undefined ? [undefined] : Array.from({ length: count }, (_, link) => link)
    return links.map((link) => ({
      name: `${id}${link === undefined ? '' : `.${link + 1}`}[${n}]`,
      read: (t: number): number | string => valueOf(id, t, link) ?? NaN,
    }))
  })
  const outputs = rig.outputs.filter(({ channel }) => channel !== undefined && ids.includes(channel))
  return [
    ...ofChannels,
    ...outputs.map((output) => ({
      name: `${outputName(output)}[${n}]`,
      read: (t: number) => outputValue(rig, output, (id, link) => valueOf(id, t, link)),
    })),
  ]
}

function outputName({ to, slot, link }: Output): string {
  const target = to === 'self' ? '' : `${Object.values(to).join('')} `
  return `${target}${slotName(slot)}${link === undefined ? '' : `.${link + 1}`}`
}
