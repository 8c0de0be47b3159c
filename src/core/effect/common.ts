// What the settings of every kind have in common: how strong it is, where in its area it is read, for whom it plays, and what a finger does.
import * as z from 'zod'
import type { Insets } from '../geometry/insets'
import type { Area, Rig } from '../rig/rig'
import { sides } from '../rig/names'
import type { Control, NumberControl } from './control'
import type { Filled, Kind } from './kind'
import { plainControls } from './plain-controls'
import { within } from './settings'

const ranges = {
  strength: { least: 0, greatest: 200 },
  window: { least: 200, greatest: 4000 },
  inset: { px: { least: -400, greatest: 400 }, '%': { least: -100, greatest: 49 } },
} as const

const anyInset = within({ least: -400, greatest: 400 })

const commonSettings = z.object({
  /** How strong all of it is, %. */
  strengthPercent: within(ranges.strength),
  /** In how wide windows it plays, and from and up to which width, px. */
  windows: z.enum(['any', 'wide', 'narrow', 'between']),
  fromWidthPx: within(ranges.window),
  toWidthPx: within(ranges.window),
  /** What it is for visitors who prefer reduced motion: what travels and turns at rest, or nothing at all. */
  calm: z.enum(['still', 'off']),
  /** What a finger does to it. */
  finger: z.enum(['rest', 'drag-x', 'drag-y', 'drag']),
  /** How far inside the edges of its area the pointer is read; outside where it is negative. */
  insetUnit: z.enum(['px', '%']),
  insetTop: anyInset,
  insetRight: anyInset,
  insetBottom: anyInset,
  insetLeft: anyInset,
})

type Common = z.infer<typeof commonSettings>

/** The common settings as they stand with an effect: what is as it is from the start is left out. */
export type Given = Partial<Common>

const fromTheStart: Common = { strengthPercent: 100, windows: 'any', fromWidthPx: 900, toWidthPx: 900, calm: 'still', finger: 'rest', insetUnit: 'px', insetTop: 0, insetRight: 0, insetBottom: 0, insetLeft: 0 }

const isCommon = (key: string): key is keyof Common => key in fromTheStart

/** Settings with all that is common. */
const full = <S extends Given>(settings: S): S & Common => ({ ...fromTheStart, ...settings })

/** Settings without what is common and as it is from the start. */
const thin = (settings: object): object => Object.fromEntries(Object.entries(settings).filter(([key, value]) => !isCommon(key) || value !== fromTheStart[key]))

const { number, choice } = plainControls<Common>()

const insetKeys = { top: 'insetTop', right: 'insetRight', bottom: 'insetBottom', left: 'insetLeft' } as const

function insetControls({ insetUnit: unit }: Common): readonly Control<Common>[] {
  return [
    choice('insetUnit', { title: 'Read inside its edges, in', options: [{ value: 'px', words: 'px' }, { value: '%', words: '% of the area' }] }),
    ...sides.map((side): NumberControl<Common> => {
      const key = insetKeys[side]
      const length = side === 'left' || side === 'right' ? 'width' : 'height'
      return {
        kind: 'number', id: `inset-${side}`, title: `Inside its ${side} edge`, unit, ...ranges.inset[unit], step: unit === '%' ? 1 : 2, drawing: 'none', handle: { on: 'inset', side },
        percentOf: unit === '%' ? { words: `the ${length} of the area`, length } : undefined,
        read: (settings) => settings[key],
        write: (settings, value) => ({ ...settings, [key]: value }),
      }
    }),
  ]
}

const windowsControl = choice('windows', { title: 'Plays in windows', options: [{ value: 'any', words: 'of any width' }, { value: 'wide', words: 'from a width on' }, { value: 'narrow', words: 'up to a width' }, { value: 'between', words: 'between two widths' }] })
const fromControl = number('fromWidthPx', { title: 'From a width of', unit: 'px', ...ranges.window, step: 10 })
const toControl = number('toWidthPx', { title: 'Up to a width of', unit: 'px', ...ranges.window, step: 10 })

const fingerControl = choice('finger', {
  title: 'By finger',
  options: [{ value: 'rest', words: 'it rests as when away' }, { value: 'drag-x', words: 'it answers a drag across' }, { value: 'drag-y', words: 'it answers a drag up and down' }, { value: 'drag', words: 'it answers every drag' }],
})
const calmControl = choice('calm', { title: 'With reduced motion', options: [{ value: 'still', words: 'what moves is at rest' }, { value: 'off', words: 'it does not play' }] })
const strengthControl = number('strengthPercent', { title: 'How strong all of it is', unit: '%', ...ranges.strength, step: 5, percentOf: { words: 'what was designed' } })

/** What a kind has of all this. */
interface Takes {
  readonly strength: boolean
  readonly insets: boolean
  readonly finger: boolean
}

function commonControls(settings: Common, takes: Takes): readonly Control<Common>[] {
  const { windows } = settings
  return [
    ...(takes.strength ? [strengthControl] : []),
    ...(takes.finger ? [fingerControl] : []),
    calmControl,
    windowsControl,
    ...(windows === 'wide' || windows === 'between' ? [fromControl] : []),
    ...(windows === 'narrow' || windows === 'between' ? [toControl] : []),
    ...(takes.insets ? insetControls(settings) : []),
  ]
}

/** The widths of windows in which it plays, as a media query; undefined for all. */
function mediaOf({ windows, fromWidthPx, toWidthPx }: Common): string | undefined {
  const from = `(min-width: ${fromWidthPx}px)`
  const to = `(max-width: ${toWidthPx}px)`
  return { any: undefined, wide: from, narrow: to, between: `${from} and ${to}` }[windows]
}

function insetsGiven(settings: Common): Insets | undefined {
  const { insetUnit: unit } = settings
  if (sides.every((side) => settings[insetKeys[side]] === 0)) return undefined
  const { least, greatest } = ranges.inset[unit]
  const one = (side: (typeof sides)[number]) => ({ value: Math.min(greatest, Math.max(least, settings[insetKeys[side]])), unit })
  return { top: one('top'), right: one('right'), bottom: one('bottom'), left: one('left') }
}

/** What a finger does, where it is not left at rest. */
const fingerWords: Readonly<Record<Exclude<Common['finger'], 'rest'>, string>> = {
  'drag-x': 'By finger it answers a drag across, and the page scrolls up and down as ever.',
  'drag-y': 'By finger it answers a drag up and down.',
  drag: 'By finger it answers every drag that begins on it.',
}

const strengthKnob = 'amount'

/** The rig with what is common to all kinds, as far as the kind has it. */
function withCommon(rig: Rig, settings: Common, takes: Takes): Rig {
  const { finger, strengthPercent, calm } = settings
  const [first, ...rest] = rig.areas
  const insets = takes.insets ? insetsGiven(settings) : undefined
  const answersFinger = takes.finger && finger !== 'rest'
  const touched = (area: Area): Area => (answersFinger ? { ...area, pointer: 'any', touch: finger } : area)
  const isScaled = strengthPercent !== 100 && rig.knobs.some(({ isAmount }) => isAmount)
  return {
    ...rig,
    areas: first ? [touched(insets ? { ...first, insets } : first), ...rest.map(touched)] : rig.areas,
    knobs: isScaled
      ? [{ id: strengthKnob, value: strengthPercent / 100, unit: '', note: 'how strong all of it is' }, ...rig.knobs.map((knob) => (knob.isAmount && knob.times === undefined ? { ...knob, times: strengthKnob } : knob))]
      : rig.knobs,
    media: mediaOf(settings) ?? rig.media,
    notCalm: calm === 'off' ? true : rig.notCalm,
    // What a finger brings, it can take along.
    finePointerOnly: answersFinger ? undefined : rig.finePointerOnly,
  }
}

/** A kind with what all kinds have in common: rows of its own for it, and its answers as the settings have it. */
export interface WholeKind<S> extends Kind<S> {
  readonly commonRows: (settings: S) => readonly string[]
  readonly answersOf: (settings: S) => Kind<S>['answers']
}

/** The same kind with the settings, controls and rig that all kinds have in common. */
export function wholeKind<S extends object>(kind: Kind<S>): WholeKind<S & Given> {
  const filled: Filled = Object.fromEntries(kind.roles(kind.defaults).map(({ id }) => [id, `.${id}`]))
  const plain = kind.expand(kind.defaults, '&', filled)
  const takes: Takes = {
    strength: plain.knobs.some(({ isAmount }) => isAmount) || JSON.stringify(plain) !== JSON.stringify(kind.expand(kind.defaults, '&', filled, 0.5)),
    // An area with insets of its own, or written by hand, has words of its own for them.
    insets: !kind.areasByHand && plain.areas.every(({ of, insets }) => of !== 'window' && insets === undefined),
    finger: !kind.areasByHand && plain.areas.every(({ pointer }) => pointer === 'fine'),
  }
  const commonOf = (settings: Given) => commonControls(full(settings), takes).map(sparse)
  return {
    ...kind,
    settings: z.intersection(kind.settings, commonSettings.partial()),
    controls: (settings) => [...kind.controls(settings), ...commonOf(settings)],
    commonRows: (settings) => commonOf(settings).map(({ id }) => id),
    answersOf: (settings) => {
      const { finger, calm } = full<Given>(settings)
      return { ...kind.answers, touch: finger === 'rest' ? kind.answers.touch : fingerWords[finger], reducedMotion: calm === 'off' ? 'It does not play.' : kind.answers.reducedMotion }
    },
    expand: (settings, select, roles) => {
      const common = full<Given>(settings)
      return withCommon(kind.expand(settings, select, roles, common.strengthPercent / 100), common, takes)
    },
  } as WholeKind<S & Given>
}

/** A control of the common settings for those of an effect: what is as it is from the start is not written down. */
const sparse = (control: Control<Common>): Control<Given> =>
  ({ ...control, read: (settings: Given) => control.read(full(settings)), write: (settings: Given, value: never) => thin(control.write(full(settings), value)) }) as Control<Given>
