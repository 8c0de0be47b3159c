// Whose the pointer of the page is, and what it is for: one of these at a time.
import type { Because } from '../../core/effect/pose'
import type { Look } from '../../core/look/look'
import type { Edge, PageMode } from '../../stage/protocol'

/** How far apart two edges are along the pointer's travel, in a window of this width. */
export interface DistanceMeasure {
  readonly width: number
  readonly across: readonly number[]
  readonly down: readonly number[]
}

/** Two edges that should meet, as far as they have been chosen, and how far apart they are. */
export interface Measuring {
  readonly is: 'measuring'
  readonly edges: readonly Edge[]
  readonly measures: readonly DistanceMeasure[]
}

export type PointerMode =
  /** The real pointer, or the stand-in where it rested last. */
  | { readonly is: 'real' }
  /** The stand-in plays a path over the selected effect. */
  | { readonly is: 'playing' }
  /** A state is held. */
  | { readonly is: 'held'; readonly look: Look }
  /** It is fastened where it stands. */
  | { readonly is: 'fastened' }
  /** It is fastened, and the element is dragged to where it should be there; `because` of what the numbers change, and whether that has to be asked. */
  | { readonly is: 'posing'; readonly because: Because; readonly asks: boolean }
  | Measuring

export type ModeEvent =
  /** Begins what it names, or ends it where it is on. */
  | { readonly type: 'play' | 'fasten' | 'pose' | 'measure' }
  | { readonly type: 'hold'; readonly look: Look }
  /** What a drag posed has to be asked about, or was answered. */
  | { readonly type: 'posed'; readonly because?: Because; readonly asks?: boolean }
  | { readonly type: 'edge'; readonly edge: Edge }
  | { readonly type: 'measured'; readonly measure: DistanceMeasure }
  /** The real pointer came on the page, or something else begins that plays no path. */
  | { readonly type: 'stop playing' }
  /** Ends whatever holds the pointer. */
  | { readonly type: 'let go' }
  /** Ends whatever is on. */
  | { readonly type: 'escape' }

export const realPointer: PointerMode = { is: 'real' }

/** The mode as the page mirrors it, with what the selected effect means, and what a recipe is tried on just now. */
export function pageMode(mode: PointerMode, select: string | undefined, tried?: string): PageMode {
  if (tried !== undefined) return { is: 'playing', select: tried }
  switch (mode.is) {
    case 'playing':
    case 'posing':
      return select === undefined ? { is: 'real' } : { is: mode.is, select }
    case 'measuring':
      return { is: 'measuring', edges: [...mode.edges], ...(select === undefined ? {} : { select }) }
    default:
      return mode
  }
}

const begun = {
  play: { is: 'playing' },
  fasten: { is: 'fastened' },
  pose: { is: 'posing', because: 'both', asks: false },
  measure: { is: 'measuring', edges: [], measures: [] },
} as const satisfies Record<string, PointerMode>

/** What an event makes of a mode; the very same one where it means nothing to it. */
export function modeAfter(mode: PointerMode, event: ModeEvent): PointerMode {
  switch (event.type) {
    case 'play':
    case 'fasten':
    case 'pose':
    case 'measure':
      return mode.is === begun[event.type].is ? realPointer : begun[event.type]
    case 'hold':
      return mode.is === 'held' && mode.look === event.look ? realPointer : { is: 'held', look: event.look }
    case 'posed':
      return mode.is === 'posing' ? { ...mode, because: event.because ?? mode.because, asks: event.asks ?? mode.asks } : mode
    case 'edge':
      return mode.is === 'measuring' ? { ...mode, edges: [...mode.edges, event.edge].slice(-2), measures: [] } : mode
    case 'measured':
      return mode.is === 'measuring'
        ? {
            ...mode,
            measures: [...mode.measures.filter(({ width }) => width !== event.measure.width), event.measure].sort(
              (a, b) => b.width - a.width,
            ),
          }
        : mode
    case 'stop playing':
      return mode.is === 'playing' ? realPointer : mode
    case 'let go':
      return mode.is === 'measuring' ? mode : realPointer
    case 'escape':
      return mode.is === 'playing' ? mode : realPointer
  }
}
