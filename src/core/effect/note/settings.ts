// Note: its settings.
import { choice, coming, countsIf, described, flag, going, number, type SettingsOf } from '../parameters'

const parameters = {
  side: choice({
    title: 'It lies',
    help: 'on which side it opens; on the other where there is no room',
    from: 'top',
    options: { top: 'above it', bottom: 'below it', left: 'to the left of it', right: 'to the right of it' },
  }),
  align: choice({
    title: 'Along that side',
    help: 'where along that side it stands',
    from: 'center',
    options: { start: 'from where it begins', center: 'in the middle', end: 'to where it ends' },
    row: 'more',
  }),
  gapPx: number({
    title: 'With a gap of',
    from: 10,
    unit: 'px',
    least: 0,
    greatest: 120,
    step: 1,
    handle: { on: 'reach' },
    knob: { id: 'gap', note: 'how far from it the note lies' },
  }),
  travelPx: number({
    title: 'It travels',
    from: 7,
    unit: 'px',
    least: 0,
    greatest: 120,
    step: 1,
    knob: { id: 'travel', note: 'how far it travels as it comes, and as it goes' },
  }),
  ...countsIf(({ travelPx }) => Number(travelPx) > 0, {
    leaves: choice({
      title: 'When it goes it travels',
      help: 'which way it goes as it fades',
      section: 'Motion',
      from: 'on',
      options: { on: 'on in the same direction', back: 'back to where it came from' },
      row: 'more',
    }),
  }),
  /** How long it stays when neither is pointed at any more. */
  waitMs: number({
    title: 'It waits for',
    help: 'how long it stays once the pointer has left, so that a hand can come to it',
    from: 320,
    unit: 'ms',
    least: 0,
    greatest: 5000,
    step: 20,
  }),
  widthPx: number({
    title: 'At most so wide',
    from: 280,
    unit: 'px',
    least: 0,
    greatest: 1200,
    step: 10,
    row: 'more',
    knob: { id: 'width', note: 'how wide it may be' },
  }),
  atMostOne: flag({
    title: 'Open at a time',
    help: 'whether one that opens closes the others',
    from: true,
    yes: { value: 'one', words: 'one of them' },
    no: { value: 'all', words: 'all that are pointed at' },
    row: 'more',
  }),
  tap: choice({
    title: 'A tap on a link',
    help: 'what a finger gets first: the note, or where the link leads',
    section: 'Touch and access',
    from: 'opens',
    options: { opens: 'opens it first, and follows the link the next time', follows: 'follows the link' },
    row: 'more',
  }),
  display: choice({
    title: 'Its contents are laid out',
    help: 'how what the note holds is laid out',
    from: 'block',
    options: { block: 'as a block', flex: 'as a flex box', grid: 'as a grid' },
    row: 'more',
  }),
  noScript: choice({
    title: 'Without script it is',
    help: 'what is seen of it where scripts do not run',
    section: 'Touch and access',
    from: 'page',
    options: { page: 'as the page has it', hidden: 'not shown' },
    row: 'more',
  }),
  comeMs: coming(160),
  goMs: going(200),
}

export type NoteSettings = SettingsOf<typeof parameters>
export const noteParameters = described(parameters)
export const { settings: noteSettings, defaults: noteDefaults } = noteParameters
