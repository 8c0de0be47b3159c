// Pan: its settings.
import { choice, coming, described, following, going, number, type SettingsOf } from '../parameters'

const pace = (title: string, from: number, id: string, note: string) =>
  number({ title, from, unit: 'px/s', least: 10, greatest: 5000, step: 10, inSample: 0.25, knob: { id, note } })

const parameters = {
  toward: choice({
    title: 'It travels to',
    help: 'which end comes into sight; it begins at the other',
    from: 'bottom',
    options: { bottom: 'its lower end', right: 'its right end', left: 'its left end' },
  }),
  by: choice({
    title: 'It goes',
    help: 'one pace for tall and short, one time for all, or as the hand goes',
    from: 'pace',
    options: { pace: 'at one pace', time: 'in one time', pointer: 'with the pointer' },
  }),
  /** Tall and short ones go as fast as each other. */
  goPxS: pace('The pace there', 140, 'pace', 'how fast it goes there, px a second'),
  backPxS: pace('The pace back', 420, 'pace-back', 'how fast it comes back, px a second'),
  comeMs: coming(1600),
  goMs: going(600),
  follow: following('How it follows', { kind: 'spring', frequencyHz: 3.5, dampingRatio: 1 }),
  /** By how much a picture is larger than its frame: CSS can tell where the frame's height does not hang on what is in it. */
  room: choice({
    title: 'Its way is known',
    help: 'who measures it; CSS is enough for a frame with a height of its own',
    from: 'css',
    options: { css: 'to CSS alone, in a frame with a height of its own', script: 'by a script that measures it, in any frame' },
    row: 'more',
  }),
  lies: choice({
    title: 'The frame is',
    help: 'which box cuts the picture off',
    from: 'self',
    options: { self: 'the element itself', around: 'what holds the picture' },
    row: 'more',
  }),
}

export type PanSettings = SettingsOf<typeof parameters>
export const panParameters = described(parameters)
export const { settings: panSettings, defaults: panDefaults } = panParameters
