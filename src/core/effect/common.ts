// What the settings of every kind have in common: how strong it is, where in its area it is read, for whom it plays, and what a finger does.
import * as z from 'zod'
import type { Insets } from '../geometry/insets'
import type { Area, Rig, State } from '../rig/rig'
import { asOneSelector } from '../rig/resolve'
import { sides } from '../rig/names'
import { areaOn, whileOn } from './build'
import type { Control } from './control'
import type { Kind } from './kind'
import { choice, described, number, percent, type SettingsOf } from './parameters'

/** What an inset may be: in % it ends before the middle. */
const insetRange = { px: { least: -400, greatest: 400 }, '%': { least: -100, greatest: 49 } } as const

const insetKeys = { top: 'insetTop', right: 'insetRight', bottom: 'insetBottom', left: 'insetLeft' } as const

const inset = (side: keyof typeof insetKeys) => {
  const length = side === 'left' || side === 'right' ? 'width' : 'height'
  return number({
    title: `Inset ${side}`,
    help: `how far inside the ${side === 'top' ? 'upper' : side === 'bottom' ? 'lower' : side} edge the pointer counts; outside it where negative`,
    id: `inset-${side}`,
    section: 'Area',
    from: 0,
    unit: 'px',
    ...insetRange.px,
    step: 2,
    handle: { on: 'inset', side },
    varies: ({ insetUnit }) =>
      insetUnit === '%' ? { unit: '%', ...insetRange['%'], step: 1, percentOf: { words: `the ${length} of the area`, length } } : {},
  })
}

const width = (title: string, help: string) =>
  number({ title, help, section: 'Area', from: 900, unit: 'px', least: 200, greatest: 4000, step: 10 })

const parameters = {
  /** How strong all of it is. */
  strengthPercent: percent({
    title: 'Strength',
    help: 'scales all of the effect at once',
    section: 'Strength',
    from: 100,
    greatest: 200,
    step: 5,
    percentOf: { words: 'what was designed' },
  }),
  touch: choice({
    title: 'Touch',
    help: 'what a finger on it does; without it the page scrolls as ever',
    section: 'Touch and access',
    from: 'none',
    options: { none: 'no response', 'drag-x': 'a drag across', 'drag-y': 'a drag up and down', drag: 'any drag' },
  }),
  /** What it is for visitors who prefer reduced motion: what travels and turns at rest, or nothing at all. */
  reducedMotion: choice({
    title: 'Reduced motion',
    help: 'what visitors get who asked their system for less motion',
    section: 'Touch and access',
    from: 'stop',
    options: { stop: 'stop movement', off: 'do not play' },
  }),
  /** Whether what it is on comes before the elements after it while the pointer is there, so that what grows is not covered. */
  neighbours: choice({
    title: 'Among its neighbours',
    help: 'whether what grows lies over the elements after it',
    section: 'Area',
    from: 'page',
    options: { page: 'as the page has it', front: 'in front while the pointer is on it' },
  }),
  /** In how wide windows it plays, and from and up to which width. */
  windowWidth: choice({
    title: 'Window width',
    help: 'in how wide windows it plays; in others all stays as it is while the pointer is away',
    section: 'Area',
    from: 'any',
    options: { any: 'any', wide: 'from a width on', narrow: 'up to a width', between: 'between two widths' },
  }),
  fromWidthPx: width('From a width of', 'in narrower windows it does not play'),
  toWidthPx: width('Up to a width of', 'in wider windows it does not play'),
  /** How far inside the edges of its area the pointer is read; outside where it is negative. */
  insetUnit: choice({
    title: 'Inset unit',
    help: 'px are the same for all; % grow with the area',
    section: 'Area',
    from: 'px',
    options: { px: 'px', '%': '% of the area' },
  }),
  insetTop: inset('top'),
  insetRight: inset('right'),
  insetBottom: inset('bottom'),
  insetLeft: inset('left'),
}

const common = described(parameters)
type Common = SettingsOf<typeof parameters>

/** The common settings as they stand with an effect: what is as it is from the start is left out. */
export type Given = Partial<Common>

const isCommon = (key: string): key is keyof Common => key in common.defaults

/** Settings with all that is common. */
const full = <S extends Given>(settings: S): S & Common => ({ ...common.defaults, ...settings })

/** Settings without what is common and as it is from the start. */
const thin = (settings: object): object =>
  Object.fromEntries(Object.entries(settings).filter(([key, value]) => !isCommon(key) || value !== common.defaults[key]))

/** What of all this a kind may lack. */
type Lacks = NonNullable<Kind<unknown>['lacks']>

/** Of the common settings those that a kind has, and that matter as they are. */
function commonControls(settings: Common, lacks: Lacks): readonly Control<Common>[] {
  const { windowWidth } = settings
  const isLeftOut: Readonly<Record<string, boolean>> = {
    strengthPercent: lacks.includes('strength'),
    touch: lacks.includes('touch'),
    reducedMotion: lacks.includes('reducedMotion'),
    neighbours: lacks.includes('neighbours'),
    fromWidthPx: windowWidth === 'any' || windowWidth === 'narrow',
    toWidthPx: windowWidth === 'any' || windowWidth === 'wide',
  }
  return common.controls(settings).filter(({ id }) => !(isLeftOut[id] ?? (id.startsWith('inset') && lacks.includes('insets'))))
}

/** The widths of windows in which it plays, as a media query; undefined for all. */
function mediaOf({ windowWidth, fromWidthPx, toWidthPx }: Common): string | undefined {
  const from = `(min-width: ${fromWidthPx}px)`
  const to = `(max-width: ${toWidthPx}px)`
  return { any: undefined, wide: from, narrow: to, between: `${from} and ${to}` }[windowWidth]
}

function insetsGiven(settings: Common): Insets | undefined {
  const { insetUnit: unit } = settings
  if (sides.every((side) => settings[insetKeys[side]] === 0)) return undefined
  const { least, greatest } = insetRange[unit]
  const one = (side: (typeof sides)[number]) => ({ value: Math.min(greatest, Math.max(least, settings[insetKeys[side]])), unit })
  return { top: one('top'), right: one('right'), bottom: one('bottom'), left: one('left') }
}

/** What a finger does, where it is not left at rest. */
const fingerWords: Readonly<Record<Exclude<Common['touch'], 'none'>, string>> = {
  'drag-x': 'By finger it responds to a drag across, and the page scrolls up and down as ever.',
  'drag-y': 'By finger it responds to a drag up and down.',
  drag: 'By finger it responds to every drag that begins on it.',
}

const strengthKnob = 'amount'

/** What brings the matches of an area in front of what stands after them while the pointer is on them; a position of the page's own stays. */
function inFront({ id, of, select }: Area): Pick<Rig, 'areas' | 'rules'> & { readonly states: readonly State[] } {
  const area = areaOn(`${id}-front`, select, {
    box: 'live',
    pointer: 'any',
    touch: 'none',
    looks: { goDelayMs: 0, atMostOne: false, keys: false },
  })
  if (of === 'window') return { areas: [], rules: [], states: [] }
  return {
    areas: [area],
    rules: [{ select: `:where(${asOneSelector(select)})`, css: { position: 'relative' } }],
    states: [{ area: area.id, looks: whileOn, to: 'self', css: { 'z-index': '1' } }],
  }
}

/** The rig with what is common to all kinds, as far as the kind has it. */
function withCommon(rig: Rig, settings: Common, lacks: Lacks): Rig {
  const { touch, strengthPercent, reducedMotion } = settings
  const [first, ...rest] = rig.areas
  const insets = lacks.includes('insets') ? undefined : insetsGiven(settings)
  const answersFinger = !lacks.includes('touch') && touch !== 'none'
  const touched = (area: Area): Area => (answersFinger ? { ...area, pointer: 'any', touch } : area)
  const front = first && settings.neighbours === 'front' ? inFront(first) : undefined
  const isScaled = strengthPercent !== 100 && rig.knobs.some(({ isAmount }) => isAmount)
  return {
    ...rig,
    areas: [...(first ? [touched(insets ? { ...first, insets } : first), ...rest.map(touched)] : rig.areas), ...(front?.areas ?? [])],
    rules: [...rig.rules, ...(front?.rules ?? [])],
    states: front ? [...(rig.states ?? []), ...front.states] : rig.states,
    knobs: isScaled
      ? [
          { id: strengthKnob, value: strengthPercent / 100, unit: '', note: 'how strong all of it is' },
          ...rig.knobs.map((knob) => (knob.isAmount && knob.times === undefined ? { ...knob, times: strengthKnob } : knob)),
        ]
      : rig.knobs,
    window: mediaOf(settings) ?? rig.window,
    notCalm: reducedMotion === 'off' ? true : rig.notCalm,
    // What a finger brings, it can take along.
    finePointerOnly: answersFinger ? undefined : rig.finePointerOnly,
  }
}

/** A kind with what all kinds have in common: its answers as the settings have it. */
export interface WholeKind<S> extends Kind<S> {
  readonly answersOf: (settings: S) => Kind<S>['answers']
}

/** The same kind with the settings, controls and rig that all kinds have in common. */
export function wholeKind<S extends object>(kind: Kind<S>): WholeKind<S & Given> {
  const { lacks = [] } = kind
  const commonOf = (settings: Given) => commonControls(full(settings), lacks).map(sparse)
  return {
    ...kind,
    settings: z.intersection(kind.settings, common.sparse),
    controls: (settings) => [...kind.controls(settings), ...commonOf(settings)],
    answersOf: (settings) => {
      const { touch, reducedMotion } = full<Given>(settings)
      return {
        ...kind.answers,
        touch: touch === 'none' ? kind.answers.touch : fingerWords[touch],
        reducedMotion: reducedMotion === 'off' ? 'It does not play.' : kind.answers.reducedMotion,
      }
    },
    expand: (settings, select, roles) => {
      const whole = full<Given>(settings)
      return withCommon(kind.expand(settings, select, roles, whole.strengthPercent / 100), whole, lacks)
    },
  } as WholeKind<S & Given>
}

/** A control of the common settings for those of an effect: what is as it is from the start is not written down. */
const sparse = (control: Control<Common>): Control<Given> =>
  ({
    ...control,
    row: 'common',
    read: (settings: Given) => control.read(full(settings)),
    write: (settings: Given, value: never) => thin(control.write(full(settings), value)),
  }) as Control<Given>
