// Flip: its settings.
import { choice, coming, described, number, type SettingsOf } from '../parameters'

const parameters = {
  turns: choice({
    title: 'It turns',
    help: 'which way the card goes over',
    from: 'right',
    options: {
      right: 'to the right',
      left: 'to the left',
      up: 'upward',
      down: 'downward',
      'side-x': 'away from the side that the pointer comes from, left or right',
      'side-y': 'away from the side that the pointer comes from, above or below',
    },
  }),
  perspectivePx: number({
    title: 'Seen from a distance of',
    from: 1100,
    inSample: 0.3,
    unit: 'px',
    least: 200,
    greatest: 5000,
    step: 20,
    knob: { id: 'perspective', note: 'how far away the eye is; nearer looks deeper' },
  }),
  turnMs: coming(560, { title: 'The time to turn over', help: 'how long the card takes to turn to its back' }),
  returnMs: coming(560, { title: 'The time to turn back', help: 'how long the card takes to turn to its front again' }),
  /** A page that has its cards focused by itself, or a link around each, needs no script for that. */
  keys: choice({
    title: 'By keyboard it is turned by the focus on',
    help: 'whether the card itself is a stop of the Tab key',
    section: 'Touch and access',
    from: 'card',
    options: { card: 'the card, which takes it', page: 'what the page lets take it' },
    row: 'more',
  }),
  /** Faces in one place of a grid are as high as the higher one. */
  layers: choice({
    title: 'The faces lie',
    help: 'the back has to lie on the front to turn with it',
    from: 'over',
    options: { over: 'over each other, as high as the higher one', page: 'where the page has them' },
    row: 'more',
  }),
  display: choice({
    title: 'Display',
    help: 'block, or inline for cards that stand in a line of text',
    from: 'block',
    options: { block: 'block', inline: 'inline' },
    row: 'more',
  }),
}

export type FlipSettings = SettingsOf<typeof parameters>

/** Whether the way that it turns hangs on the side that the pointer comes from. */
export const isBySide = (turns: FlipSettings['turns']): turns is 'side-x' | 'side-y' => turns === 'side-x' || turns === 'side-y'

export const flipParameters = described(parameters, ['display'])
export const { settings: flipSettings, defaults: flipDefaults } = flipParameters
