// Rows: its settings.
import { choice, coming, described, following, going, number, type SettingsOf } from '../parameters'

const beside = (title: string, from: number, least: number, help: string) =>
  number({ title, help, from, unit: 'px', least, greatest: 1200, step: 2, row: 'more' })

const parameters = {
  /** What the face of a row that is off does as the other one rolls in. */
  off: choice({
    title: 'The one before',
    help: 'what the plain face does as the other one rolls in',
    from: 'pushed',
    options: { pushed: 'is pushed out', covered: 'is covered' },
  }),
  layers: choice({
    title: 'The two faces',
    help: 'one face has to lie on the other to roll over it',
    from: 'over',
    options: { over: 'are laid over each other', page: 'lie as the page has them' },
    row: 'more',
  }),
  /** Where the picture of the current row stands. */
  picture: choice({
    title: 'Its picture',
    help: 'where the picture of the row is seen',
    from: 'pointer',
    options: { pointer: 'rides beside the pointer', place: 'stands in one place' },
  }),
  pictureWidthPx: number({
    title: 'The picture is',
    from: 260,
    unit: 'px',
    least: 20,
    greatest: 1200,
    step: 2,
    knob: { id: 'picture-width', note: 'how wide the picture is' },
  }),
  pictureHeightPx: number({
    title: 'The height of the picture',
    from: 180,
    unit: 'px',
    least: 20,
    greatest: 1200,
    step: 2,
    row: 'more',
    knob: { id: 'picture-height', note: 'how high the picture is' },
  }),
  radiusPx: number({
    title: 'Its border radius',
    from: 8,
    unit: 'px',
    least: 0,
    greatest: 600,
    step: 1,
    row: 'more',
    knob: { id: 'picture-radius', note: 'the radius of its corners' },
  }),
  /** Its nearer corner from the pointer; or its corner from that of the window. */
  besideXPx: beside(
    'To the right of the pointer',
    28,
    -1200,
    'how far the picture is to the right of the pointer; to its left where negative',
  ),
  besideYPx: beside('Below the pointer', -90, -1200, 'how far the picture is below the pointer; above it where negative'),
  placeX: number({
    title: 'Across the window at',
    help: 'where across the window the picture stands',
    from: 72,
    unit: '%',
    least: 0,
    greatest: 100,
    step: 1,
    row: 'more',
    percentOf: { words: 'the window' },
  }),
  placeY: number({
    title: 'Down the window at',
    help: 'where down the window the picture stands',
    from: 50,
    unit: '%',
    least: 0,
    greatest: 100,
    step: 1,
    row: 'more',
    percentOf: { words: 'the window' },
  }),
  comeMs: coming(260),
  goMs: going(260, { greatest: 400 }),
  follow: following('How the picture follows', { kind: 'spring', frequencyHz: 3.2, dampingRatio: 1 }),
}

export type RowsSettings = SettingsOf<typeof parameters>
export const rowsParameters = described(parameters)
export const { settings: rowsSettings, defaults: rowsDefaults } = rowsParameters
