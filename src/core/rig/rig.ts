// The rig: what an effect is made of. Data only; every kind expands to one, and scripts are made of nothing else. Each is described in `schema.ts`.
import type { Described } from '../described'
import type { Unit } from './names'
import type {
  areaSchema,
  awaySchema,
  channelSchema,
  droppedSchema,
  frameOfSchema,
  knobSchema,
  layerSchema,
  looksSchema,
  outputSchema,
  partSchema,
  rigShape,
  roleSchema,
  ruleSchema,
  shellSchema,
  stateSchema,
  targetSchema,
  timingSchema,
  tokenSchema,
} from './schema'

export type Area = Described<typeof areaSchema>
export type Looks = Described<typeof looksSchema>
export type Away = Described<typeof awaySchema>
export type FrameOf = Described<typeof frameOfSchema>
export type Timing = Described<typeof timingSchema>
export type Channel = Described<typeof channelSchema>
export type Knob = Described<typeof knobSchema>
export type Token = Described<typeof tokenSchema>
export type Role = Described<typeof roleSchema>
export type Shell = Described<typeof shellSchema>
export type Target = Described<typeof targetSchema>
export type Output = Described<typeof outputSchema>
export type Part = Described<typeof partSchema>
export type Dropped = Described<typeof droppedSchema>
export type Rule = Described<typeof ruleSchema>
export type State = Described<typeof stateSchema>
export type Layer = Described<typeof layerSchema>
export type Rig = Described<typeof rigShape>

/** The part that a target is, by id; undefined for elements of the page. */
export function partOf(to: Target | undefined): string | undefined {
  return typeof to === 'object' && 'part' in to ? to.part : undefined
}

/** How a part is dropped along the pointer's way; undefined where it is there by itself. */
export const droppedBy = ({ lives }: Part): Dropped | undefined => (typeof lives === 'object' && 'forMs' in lives ? lives : undefined)

/** At how many places at most a part is there at a time; undefined where it is there whether it is seen or not. */
export const atMostAt = ({ lives }: Part): number | undefined =>
  typeof lives === 'object' && 'atMostAt' in lives ? lives.atMostAt : undefined

/** What a part holds that says what the element under the pointer says; undefined for others. */
export const saidOver = ({ holds }: Part) => (typeof holds === 'object' && 'over' in holds ? holds : undefined)

/** How a part copies its match: within the page, or apart from it; undefined where it holds no copy. */
export const copyOf = ({ holds }: Part): 'within' | 'apart' | 'live' | undefined =>
  holds === 'copy' ? 'within' : typeof holds === 'object' && 'copy' in holds ? holds.copy : undefined

/** What tells how near the pointer is to each letter of a part; undefined where it holds none. */
export const nearOf = ({ holds }: Part) => (typeof holds === 'object' && 'lay' in holds ? holds.near : undefined)

/** Whether each of several parts has its number, for its CSS: of what is dropped, or there more than once. */
export const hasIndex = (part: Part): boolean => droppedBy(part) !== undefined || part.count !== undefined

/** Whether an element has the pointer beyond its own box too. */
export const reachesOut = ({ insets }: Pick<Area, 'insets'>): boolean =>
  insets !== undefined && Object.values(insets).some(({ value }) => value < 0)

/** Whether of several elements that the pointer reaches from beyond the nearest one has it. */
export const goesByNearest = (area: Area): boolean => area.among === 'one' && area.of === 'each' && reachesOut(area)

/** The parts that a script adds: all but those that the stylesheet draws. */
export const addedParts = ({ parts }: Pick<Rig, 'parts'>): readonly Part[] => parts.filter(({ drawn }) => drawn === undefined)

/** A knob's own unit, or that of the knob that it is a multiple of. */
export function unitOfKnob(knobs: readonly Knob[], id: string | undefined, depth = 0): Unit | undefined {
  const knob = knobs.find((each) => each.id === id)
  return knob?.unit === '' && knob.times !== undefined && depth < knobs.length ? unitOfKnob(knobs, knob.times, depth + 1) : knob?.unit
}

/** A part that is a slider, with the channel that it shows and what it is named by. */
export interface Slider {
  readonly part: string
  readonly value: string
  readonly namedBy: readonly string[]
}

/** The slider of an area, where it has one. */
export function sliderOf({ parts }: Pick<Rig, 'parts'>, area: string): Slider | undefined {
  const [slider] = parts.flatMap((part) =>
    part.area === area && typeof part.reached === 'object' && 'value' in part.reached ? [{ ...part.reached, part: part.id }] : [],
  )
  return slider
}
