// Parameters: a setting of a kind, described once. Its check, what it is from the start, its word in the caption and the knob or token
// that it becomes are read from there, and the table of its page in the docs.
import * as z from 'zod'
import type { Feel } from '../feel/feel'
import type { Knob, Token } from '../rig/rig'
import { orZero } from '../rig/near-zero'
import { isAddress, readDeclarations } from '../rig/css-text'
import { curveSchema, feelSchema } from '../rig/schema'
import { awayChoice } from './away'
import type {
  ChoiceControl,
  ColourControl,
  Control,
  ControlRow,
  CurveControl,
  Drawing,
  GradientControl,
  NumberControl,
  TextControl,
} from './control'
import { feelControls, type FeelWords } from './feel-controls'
import { layerId, layerTitle, mostLayers } from './layers'
import { pinControls } from './pin-controls'
import { cssValueSchema, poseSchema } from './settings'
import { cssUnitOf } from './unit'

/** Settings of any kind, by key. */
type Settings = Readonly<Record<string, unknown>>

/** The knob of a rig that a number becomes. */
export interface BecomesKnob extends Pick<Knob, 'id' | 'note' | 'isAmount'> {
  /** So many of it are 1 of the knob, which then has no unit: 5 % are 0.05. */
  readonly per?: number
}

/** The token of a rig that a colour or a gradient becomes. */
export type BecomesToken = Pick<Token, 'id' | 'note'>

export interface Parameter<Value> {
  /** Made when it is asked for: most kinds are not on a page that is opened. */
  readonly schema: () => z.ZodType<Value>
  /** What it is from the start. */
  readonly from: Value
  /** Its words in a caption, `key` being its own name among the settings. */
  readonly controls: (key: string, settings: Settings) => readonly Control<Settings>[]
  readonly knob?: (BecomesKnob & Pick<Knob, 'unit'>) | undefined
  readonly token?: (BecomesToken & Pick<Token, 'of'>) | undefined
  /** Whether it counts for these settings, where it does not always. */
  readonly counts?: ((settings: Settings) => boolean) | undefined
  /** What it is in a sample of a recipe, which is a quarter as large as a card. */
  readonly forSample?: ((value: Value, settings: Settings) => Value) | undefined
}

/** Of a control what a parameter gives: all but how it is read and written. */
type Words<C> = Omit<C, 'kind' | 'id' | 'read' | 'write' | 'drawing' | 'knob' | 'token' | 'isIdle'> & { readonly drawing?: Drawing }

interface NumberGiven extends Words<NumberControl<Settings>> {
  readonly from: number
  readonly isWhole?: boolean
  /** So many times as much of it is right in a sample of a recipe, a quarter as large as a card; within its range. */
  readonly inSample?: number
  /** What its word goes by, where that is not its key. */
  readonly id?: string
  readonly knob?: BecomesKnob
  /** What of it hangs on other settings. */
  readonly varies?: (settings: Settings) => Partial<Words<NumberControl<Settings>> & { readonly inSample: number }>
}

/** Writes a setting of this key. */
const writing =
  (key: string) =>
  (settings: Settings, value: unknown): Settings => ({ ...settings, [key]: value })

/** What is right in a sample. */
const sampled = (value: number, { inSample = 1, least, greatest }: Pick<NumberGiven, 'inSample' | 'least' | 'greatest'>) =>
  Math.min(greatest, Math.max(Math.min(least, value), value * inSample))

/** A number with its unit, its range (inclusive) and its step. */
export function number({ from, isWhole, id, inSample, knob, varies, ...words }: NumberGiven): Parameter<number> {
  return {
    schema: () => {
      const within = z.number().min(words.least).max(words.greatest).overwrite(orZero)
      return isWhole ? within.int() : within
    },
    from,
    knob: knob && { ...knob, unit: knob.per !== undefined ? '' : cssUnitOf(words.unit) },
    forSample: (value, settings) => sampled(value, { ...words, inSample, ...varies?.(settings) }),
    controls: (key, settings) => [
      {
        kind: 'number',
        id: id ?? key,
        drawing: 'none',
        knob: knob?.id,
        per: knob?.per,
        help: knob?.note,
        ...words,
        ...varies?.(settings),
        read: (each) => Number(each[key]),
        write: (each, value) => writing(key)(each, isWhole ? Math.round(value) : value),
      },
    ],
  }
}

export const percent = (
  given: Omit<NumberGiven, 'unit' | 'least' | 'greatest' | 'step'> & Partial<Pick<NumberGiven, 'least' | 'greatest' | 'step'>>,
) => number({ unit: '%', least: 0, greatest: 100, step: 1, ...given })

/** How long it takes to come, and to go, ms. */
const time =
  (title: string, help: string) =>
  (from: number, more: Partial<NumberGiven> = {}) =>
    number({ title, help, from, unit: 'ms', least: 0, greatest: 5000, step: 20, drawing: 'strip', ...more })
export const coming = time('The time to come', 'how long it takes to be all there')
export const going = time('The time to go', 'how long it takes to be gone')

interface ChoiceGiven<Value extends string> extends Omit<Words<ChoiceControl<Settings>>, 'options'> {
  readonly from: NoInfer<Value>
  /** The words of each value, in order. */
  readonly options: Readonly<Record<Value, string>>
}

export function choice<Value extends string>({ from, options, ...words }: ChoiceGiven<Value>): Parameter<Value> {
  const values = Object.keys(options) as Value[]
  return {
    schema: () => z.enum(values as [Value, ...Value[]]),
    from,
    controls: (key) => [
      {
        kind: 'choice',
        id: key,
        drawing: 'none',
        ...words,
        options: values.map((value) => ({ value, words: options[value] })),
        read: (settings) => String(settings[key]),
        write: (settings, value) => (value in options ? writing(key)(settings, value) : settings),
      },
    ],
  }
}

/** A choice between two words, kept as true and false. */
export function flag({
  from,
  yes,
  no,
  ...words
}: Omit<Words<ChoiceControl<Settings>>, 'options'> & {
  readonly from: boolean
  readonly yes: ChoiceControl<Settings>['options'][number]
  readonly no: ChoiceControl<Settings>['options'][number]
}): Parameter<boolean> {
  return {
    schema: () => z.boolean(),
    from,
    controls: (key) => [
      {
        kind: 'choice',
        id: key,
        drawing: 'none',
        ...words,
        options: [yes, no],
        read: (settings) => (settings[key] ? yes : no).value,
        write: (settings, value) => writing(key)(settings, value === yes.value),
      },
    ],
  }
}

interface ColourGiven extends Words<ColourControl<Settings>> {
  readonly from: string
  readonly token: BecomesToken
}

const readText = (key: string) => (settings: Settings) => String(settings[key])

export function colour({ from, token, ...words }: ColourGiven): Parameter<string> {
  return {
    schema: () => cssValueSchema,
    from,
    token: { ...token, of: 'colour' },
    controls: (key) => [
      { kind: 'colour', id: key, drawing: 'none', token: token.id, help: token.note, ...words, read: readText(key), write: writing(key) },
    ],
  }
}

/** A gradient with stops; `isOne` tells whether a text is one. */
export function gradient({
  from,
  token,
  isOne,
  ...words
}: Words<GradientControl<Settings>> &
  Omit<ColourGiven, 'takesBackgrounds'> & { readonly isOne: (css: string) => boolean }): Parameter<string> {
  return {
    schema: () => cssValueSchema.refine(isOne, { error: 'is not a gradient of CSS with its stops' }),
    from,
    token: { ...token, of: 'gradient' },
    controls: (key) => [
      { kind: 'gradient', id: key, drawing: 'gradient', token: token.id, ...words, read: readText(key), write: writing(key) },
    ],
  }
}

/** A text of its own grammar: `faultOf` tells why one is none, in words that end a sentence. */
export function text({
  from,
  faultOf,
  ...words
}: Words<TextControl<Settings>> & { readonly from: string; readonly faultOf: TextControl<Settings>['faultOf'] }): Parameter<string> {
  return {
    schema: () =>
      z.string().superRefine((given, context) => {
        const fault = faultOf(given)
        if (fault !== undefined) context.addIssue({ code: 'custom', message: fault })
      }),
    from,
    controls: (key) => [{ kind: 'text', id: key, drawing: 'none', ...words, faultOf, read: readText(key), write: writing(key) }],
  }
}

/** Declarations of CSS, such as `color: #fff; opacity: 0.6`; none from the start. */
export const declarations = (words: Omit<Words<TextControl<Settings>>, 'hint' | 'faultOf'>): Parameter<string> =>
  text({
    from: '',
    hint: 'CSS, such as color: #fff; opacity: 0.6',
    isCss: true,
    faultOf: (css) =>
      css.length > 1000 ? 'is too long' : readDeclarations(css) === undefined ? 'cannot be read as declarations of CSS' : undefined,
    ...words,
  })

/** Why a text is not the address of a picture, in words that end a sentence about it; none yet is no fault. */
export const faultOfAddress = (address: string): string | undefined =>
  address === '' || isAddress(address) ? undefined : 'cannot be the address of a picture, such as art/moth.svg'

/** The address of a picture; none from the start. */
export const pictureAddress = (title: string): Parameter<string> =>
  text({ title, from: '', hint: 'the address of a picture', faultOf: faultOfAddress })

/** How something is laid on what lies below it. */
export const blending = (title: string) =>
  choice({
    title,
    help: 'how it is mixed with what it goes over',
    section: 'Light',
    from: 'normal',
    options: {
      normal: 'it lies as it is',
      difference: 'it turns light and dark about',
      multiply: 'it is laid on as shade',
      screen: 'it is laid on as light',
    },
    row: 'more',
  })

type Curve = z.infer<typeof curveSchema>

export function curve({ from, ...words }: Words<CurveControl<Settings>> & { readonly from: Curve }): Parameter<Curve> {
  return {
    schema: () => curveSchema,
    from,
    controls: (key) => [
      { kind: 'curve', id: key, drawing: 'curve', ...words, read: (settings) => settings[key] as Curve, write: writing(key) },
    ],
  }
}

/** The ids of a feel's controls: how it follows, and how it goes back. */
const followIds = ['followMs', 'pastPercent', 'frequencyHz', 'dampingRatio'] as const
const backIds = ['backMs', 'backPastPercent', 'backFrequencyHz', 'backDampingRatio'] as const

/** A feel among the settings: its word, its time, its overshoot, its frequency and its damping ratio, each with its row. */
function feel<Value extends Feel | null>(
  from: Value,
  words: FeelWords,
  rows: readonly (ControlRow | undefined)[],
  schema: () => z.ZodType,
  read: (settings: Settings) => Feel,
): Parameter<Value> {
  return {
    schema: schema as () => z.ZodType<Value>,
    from,
    controls: (key) => feelControls<Settings>(words, read, writing(key)).map((control, i) => ({ ...control, row: rows[i] })),
  }
}

/** How it follows, the setting `follow`; its overshoot stands among the rows unless it is said otherwise. */
export const following = (title: string, from: Feel, overshoot: 'row' | 'caption' = 'row'): Parameter<Feel> =>
  feel(
    from,
    { ids: ['follow', ...followIds], title, timeTitle: 'The time to follow', drawing: 'flick' },
    [undefined, undefined, overshoot === 'row' ? 'more' : undefined, 'exact', 'exact'],
    () => feelSchema,
    ({ follow }) => follow as Feel,
  )

/** How it goes back, the setting `back`: as it follows until it is said otherwise. */
export const returning = (title: string): Parameter<Feel | null> =>
  feel<Feel | null>(
    null,
    { ids: ['back', ...backIds], title, timeTitle: 'The time to go back', drawing: 'return', when: ', going back' },
    ['more', 'more'],
    () => feelSchema.nullable(),
    ({ back, follow }) => (back ?? follow) as Feel,
  )

/** Where it lies when the pointer is away: in the middle, at the pin, or where it was left. The pin is the setting `pose`. */
export function away(middle: string, pin: string, left: string): Parameter<'settle' | 'hold'> {
  return {
    schema: () => z.enum(['settle', 'hold']),
    from: 'settle',
    controls: () => [awayChoice(middle, pin, left) as unknown as Control<Settings>],
  }
}

type Place = z.infer<typeof poseSchema>

/** The pin on `of`; moving it makes the setting `away` what waits there. */
export function pinned(
  of: string,
  waits: string,
  { axes = ['x', 'y'], drawing = 'none' }: { readonly axes?: readonly ('x' | 'y')[]; readonly drawing?: Drawing } = {},
): Parameter<Place> {
  const controls = pinControls<{ readonly pose: Place }>((settings) => ({ ...settings, away: waits }), of).filter((_, i) =>
    axes.includes(i === 0 ? 'x' : 'y'),
  )
  return {
    schema: () => poseSchema,
    from: { x: 0, y: 0 },
    controls: () => controls.map((control) => ({ ...control, drawing, row: 'more' }) as unknown as Control<Settings>),
  }
}

/** Layers with a number each; `inCaption` of them are told there. */
export function layers<Key extends string>(
  key: Key,
  { inCaption, inSample, varies, ...words }: Omit<NumberGiven, 'from' | 'isWhole' | 'id' | 'knob'> & { readonly inCaption: number },
  from: readonly Layer<Key>[],
): Parameter<readonly Layer<Key>[]> {
  const layer = () => z.object({ id: layerId, [key]: z.number().min(words.least).max(words.greatest) }) as unknown as z.ZodType<Layer<Key>>
  const listOf = (settings: Settings, name: string) => settings[name] as readonly Layer<Key>[]
  return {
    schema: () => z.array(layer()).max(mostLayers).readonly(),
    from,
    forSample: (all, settings) => all.map((one) => ({ ...one, [key]: sampled(one[key], { ...words, inSample, ...varies?.(settings) }) })),
    controls: (name, settings) =>
      listOf(settings, name).map(({ id }, index, { length }) => ({
        kind: 'number',
        id,
        drawing: 'none',
        knob: id,
        row: index < inCaption ? undefined : 'more',
        ...words,
        ...varies?.(settings),
        title: length === 1 ? words.title : `${words.title}, ${layerTitle(index)}`,
        read: (each) => listOf(each, name).find((one) => one.id === id)?.[key] ?? 0,
        write: (each, value) => ({ ...each, [name]: listOf(each, name).map((one) => (one.id === id ? { ...one, [key]: value } : one)) }),
      })),
  }
}

export type Layer<Key extends string> = { readonly id: string } & { readonly [key in Key]: number }

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- parameters of all sorts stand in one table
type Parameters = Readonly<Record<string, Parameter<any>>>

/** The settings that parameters describe. */
export type SettingsOf<P extends Parameters> = { -readonly [Key in keyof P]: P[Key] extends Parameter<infer Value> ? Value : never }

/** What is read from a table of parameters. */
export interface DescribedSettings<S> {
  readonly settings: z.ZodType<S>
  /** What is missing stays so. */
  readonly sparse: z.ZodType<Partial<S>>
  readonly defaults: S
  readonly controls: (settings: S) => readonly Control<S>[]
  /** The settings as they are right in a sample of a recipe. */
  readonly forSample: (settings: S) => S
  /** The knob, or the token, that a setting becomes. */
  readonly knob: (settings: S, key: keyof S & string, more?: Partial<Knob>) => Knob
  readonly token: (settings: S, key: keyof S & string) => Token
}

/** Parameters that count only for such settings. */
export const countsIf = <P extends Parameters>(counts: (settings: Settings) => boolean, parameters: P): P =>
  Object.fromEntries(Object.entries(parameters).map(([key, parameter]) => [key, { ...parameter, counts }])) as unknown as P

/** Reads all from a table of parameters. `later` are those that came when there were documents without them: there they are as from the start. */
export function described<P extends Parameters>(
  parameters: P,
  later: readonly (keyof P & string)[] = [],
): DescribedSettings<SettingsOf<P>> {
  type S = SettingsOf<P>
  const entries = Object.entries(parameters)
  const of = (key: string): Parameter<unknown> => {
    const parameter = parameters[key]
    if (!parameter) throw new Error(`There is no setting "${key}".`)
    return parameter as Parameter<unknown>
  }
  return {
    settings: z.lazy(() =>
      z.object(
        Object.fromEntries(entries.map(([key, { schema, from }]) => [key, later.includes(key) ? schema().default(from) : schema()])),
      ),
    ) as unknown as z.ZodType<S>,
    sparse: z.lazy(() =>
      z.object(Object.fromEntries(entries.map(([key, { schema }]) => [key, schema().optional()]))),
    ) as unknown as z.ZodType<Partial<S>>,
    defaults: Object.fromEntries(entries.map(([key, { from }]) => [key, from as unknown])) as S,
    controls: (settings) =>
      entries.flatMap(([key, { controls, counts = () => true }]) =>
        counts(settings as Settings)
          ? controls(key, settings as Settings)
          : controls(key, settings as Settings).map((control) => ({ ...control, isIdle: true })),
      ) as unknown as readonly Control<S>[],
    forSample: (settings) => ({
      ...settings,
      ...Object.fromEntries(
        entries.flatMap(([key, { forSample }]) => (forSample ? [[key, forSample(settings[key], settings as Settings) as unknown]] : [])),
      ),
    }),
    knob: (settings, key, more) => {
      const { knob } = of(key)
      if (!knob) throw new Error(`The setting "${key}" becomes no knob.`)
      const { per = 1, ...told } = knob
      return { ...told, value: Number(settings[key]) / per, ...more }
    },
    token: (settings, key) => {
      const { token } = of(key)
      if (!token) throw new Error(`The setting "${key}" becomes no token.`)
      return { ...token, value: String(settings[key]) }
    },
  }
}
