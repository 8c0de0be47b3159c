// Cursor: its settings, with those of each other shape that elements ask for.
import * as z from 'zod'
import type { Control, NumberControl } from '../control'
import {
  blending,
  choice,
  colour,
  described,
  faultOfAddress,
  number,
  percent,
  pictureAddress,
  type Parameter,
  type SettingsOf,
} from '../parameters'
import { cssValueSchema } from '../settings'

/** More shapes than these nobody tells apart. */
export const mostShapes = 20

const ownShapes = {
  dot: 'a dot',
  ring: 'a ring',
  both: 'a dot with a late ring',
  picture: 'a picture',
  element: 'an element of the page',
} as const
const overShapes = {
  label: 'a disc with a text',
  dot: 'a dot',
  ring: 'a ring',
  outline: 'an outline of it',
  picture: 'a picture',
  none: 'nothing at all',
} as const
const sayings = { text: 'this text', words: 'its own words', label: 'its label', attribute: 'its attribute data-cursor' } as const

const shapeSchema = z.object({
  id: z.string().regex(/^shape-\d{1,2}$/),
  shape: z.enum(Object.keys(overShapes) as [keyof typeof overShapes, ...(keyof typeof overShapes)[]]),
  sizePx: z.number().min(0).max(400),
  colour: cssValueSchema,
  ink: cssValueSchema,
  says: z.enum(Object.keys(sayings) as [keyof typeof sayings, ...(keyof typeof sayings)[]]),
  text: z.string().max(200),
  picture: z.string().max(500),
})

/** What the cursor is over some elements. */
export type OverShape = z.infer<typeof shapeSchema>

export const overShape = (id: string): OverShape => ({
  id,
  shape: 'label',
  sizePx: 72,
  colour: '#1d3b40',
  ink: '#ffffff',
  says: 'text',
  text: 'Open',
  picture: '',
})

type Settings = Readonly<Record<string, unknown>>
const shapesIn = (settings: Settings) => settings.shapes as readonly OverShape[]

/** The words of one shape. */
function controlsOf({ id, shape, says }: OverShape): readonly Control<Settings>[] {
  const own = <Key extends keyof OverShape>(key: Key) => ({
    id: `${id}-${key}`,
    drawing: 'none' as const,
    read: (settings: Settings) => shapesIn(settings).find((each) => each.id === id)?.[key] as OverShape[Key],
    write: (settings: Settings, value: OverShape[Key]): Settings => ({
      ...settings,
      shapes: shapesIn(settings).map((each) => (each.id === id ? { ...each, [key]: value } : each)),
    }),
  })
  const size: NumberControl<Settings> = {
    kind: 'number',
    title: shape === 'outline' ? 'How far around it' : 'Its size',
    help: shape === 'outline' ? 'how far outside the element the line goes round it' : 'how large it is over these',
    unit: 'px',
    least: 0,
    greatest: shape === 'outline' ? 60 : 400,
    step: 1,
    knob: id,
    ...own('sizePx'),
  }
  const isDrawn = shape !== 'none' && shape !== 'picture'
  return [
    {
      kind: 'choice',
      title: 'Over these it is',
      help: 'what the cursor becomes over these elements',
      options: Object.entries(overShapes).map(([value, words]) => ({ value, words })),
      ...own('shape'),
    } as Control<Settings>,
    ...(shape === 'none' ? [] : [size]),
    ...(isDrawn ? [{ kind: 'colour', title: 'Its colour', token: `${id}-colour`, ...own('colour') } as Control<Settings>] : []),
    ...(shape === 'picture'
      ? [
          {
            kind: 'text',
            title: 'Its picture',
            hint: 'the address of a picture',
            faultOf: faultOfAddress,
            ...own('picture'),
          } as Control<Settings>,
        ]
      : []),
    ...(shape === 'label'
      ? ([
          {
            kind: 'choice',
            title: 'What it says',
            help: 'where the words on the disc come from',
            options: Object.entries(sayings).map(([value, words]) => ({ value, words })),
            ...own('says'),
          },
          ...(says === 'text'
            ? [
                {
                  kind: 'text',
                  title: 'The text',
                  help: 'the words on the disc',
                  hint: 'a word or two',
                  faultOf: faultOfText,
                  ...own('text'),
                },
              ]
            : []),
          { kind: 'colour', title: 'The colour of its text', token: `${id}-ink`, row: 'more', ...own('ink') },
        ] as Control<Settings>[])
      : []),
  ]
}

const faultOfText = (given: string) => (given.length > 200 ? 'is too long for a cursor' : undefined)

/** Other shapes, each for elements that are pointed at. */
const shapes: Parameter<readonly OverShape[]> = {
  schema: () => z.array(shapeSchema).max(mostShapes).readonly(),
  from: [],
  forSample: (all) => all.map((each) => ({ ...each, sizePx: Math.max(each.shape === 'outline' ? 2 : 8, each.sizePx * 0.4) })),
  controls: (_, settings) => shapesIn(settings).flatMap(controlsOf),
}

const parameters = {
  shape: choice({ title: 'The cursor is', help: 'what is drawn where the pointer is', from: 'dot', options: ownShapes }),
  sizePx: number({
    title: 'Its size',
    from: 14,
    unit: 'px',
    least: 2,
    greatest: 300,
    step: 1,
    handle: { on: 'diameter' },
    knob: { id: 'size', note: 'how large the cursor is' },
  }),
  colour: colour({ title: 'Its colour', from: '#1d3b40', token: { id: 'colour', note: 'the colour of the cursor' } }),
  linePx: number({
    title: 'How thick its line is',
    from: 2,
    unit: 'px',
    least: 0.5,
    greatest: 20,
    step: 0.5,
    row: 'more',
    knob: { id: 'line', note: 'how thick the line of the ring is' },
  }),
  picture: pictureAddress('Its picture'),
  /** A picture that the browser draws has the size of its file, and points by its upper left corner. */
  pictureSize: choice({
    title: 'It is as large',
    help: 'whether the picture has your size, or that of its file',
    from: 'said',
    options: { said: 'as is said', file: 'as its file' },
    row: 'more',
  }),
  /** Which point of it is where the pointer is, % of its size. */
  pointX: percent({
    title: 'The point of it that points, across',
    help: 'which point of the picture is where the pointer is, from its left',
    from: 50,
    row: 'more',
  }),
  pointY: percent({
    title: 'The point of it that points, down',
    help: 'which point of the picture is where the pointer is, from its top',
    from: 50,
    row: 'more',
  }),
  ringPx: number({
    title: 'The size of its ring',
    from: 38,
    inSample: 0.5,
    unit: 'px',
    least: 4,
    greatest: 400,
    step: 1,
    knob: { id: 'ring', note: 'how large the ring is' },
  }),
  ringLateMs: number({
    title: 'How late the ring is',
    help: 'how far behind the dot its ring comes',
    from: 90,
    unit: 'ms',
    least: 10,
    greatest: 1000,
    step: 10,
  }),
  lateMs: number({
    title: 'How late it is',
    help: 'how far behind the pointer it comes; 0 is at once',
    from: 0,
    unit: 'ms',
    least: 0,
    greatest: 1000,
    step: 10,
  }),
  blendMs: number({
    title: 'It changes in',
    from: 220,
    unit: 'ms',
    least: 0,
    greatest: 2000,
    step: 20,
    knob: { id: 'change', note: 'how long it takes to become another one' },
  }),
  speedPercent: percent({
    title: 'Larger at 1000 px/s by',
    section: 'Motion',
    from: 0,
    greatest: 300,
    row: 'more',
    knob: { id: 'speed', note: 'how much larger it is when the pointer is fast', per: 100 },
  }),
  pressPercent: percent({
    title: 'While pressed, its size is',
    section: 'Motion',
    from: 100,
    least: 20,
    greatest: 300,
    percentOf: { words: 'its size' },
    row: 'more',
    knob: { id: 'pressed', note: 'how many times as large it is while something is pressed', per: 100 },
  }),
  blend: blending('On what lies below it'),
  system: choice({
    title: 'The system’s own cursor',
    help: 'whether the arrow of the system is seen too',
    section: 'Touch and access',
    from: 'hidden',
    options: { hidden: 'is hidden', stays: 'is seen beside it' },
    row: 'more',
  }),
  layer: choice({
    title: 'It lies',
    help: 'over everything nothing covers it; inside, it stays on that element',
    from: 'top',
    options: { top: 'over everything, dialogs too', inside: 'inside what it is on' },
    row: 'more',
  }),
  shapes,
}

export type CursorSettings = SettingsOf<typeof parameters>
export const cursorParameters = described(parameters, ['pictureSize'])
export const { settings: cursorSettings, defaults: cursorDefaults } = cursorParameters
