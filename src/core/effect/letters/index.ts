// Letters: the letters, words or lines of a text respond by how near the pointer is to each.
import { comingFeel } from '../build'
import { state } from '../families'
import type { Kind } from '../kind'
import type { Sample } from '../samples'
import { expandLetters } from './expand'
import { lettersDefaults, lettersParameters, lettersSettings, type LettersSettings } from './settings'
import { lettersSentence, lettersTime } from './words'

/** A word of a few letters. */
const sample: Sample = {
  html: '<div class="sample"><b>noctua</b></div>',
  css: `.sample { display: grid; place-items: center; width: 58px; height: 76px; overflow: clip; border-radius: 3px; background: var(--gm-sheet); border: 1px solid var(--gm-edge); box-sizing: border-box; color: #2b3b34; }
  b { font: 400 17px/1.2 "Commissioner Variable", sans-serif; }`,
  select: 'b',
  rest: { x: -0.1, y: 0 },
}

/** The settings that do not matter as they are. */
const leftOut = ({ colours }: LettersSettings): readonly string[] => (colours === 'other' ? [] : ['colour'])

export const letters: Kind<LettersSettings> = {
  id: 'letters',
  title: 'Letters',
  does: 'Its letters or words change near the pointer.',
  suits: ['heading', 'text', 'link'],
  alsoCalled: ['text hover', 'variable font', 'font weight', 'split text', 'kinetic type', 'letter by letter', 'proximity text'],
  family: state,
  sample,
  settings: lettersSettings,
  defaults: lettersDefaults,
  roles: () => [{ id: 'text', title: 'text', needs: 'yours' }],
  controls: (settings) => lettersParameters.controls(settings).filter(({ id }) => !leftOut(settings).includes(id)),
  forSample: lettersParameters.forSample,
  recipes: [
    {
      id: 'heavier-nearby',
      title: 'Heavier nearby',
      need: 'Letters near the pointer grow heavier and larger; nothing moves in the line.',
      settings: { ...lettersDefaults, weight: 800, sizePercent: 112 },
    },
    {
      id: 'in-a-wave',
      title: 'In a wave',
      need: 'The line rises in a soft wave where the pointer passes.',
      settings: { ...lettersDefaults, risePx: 14, follow: { kind: 'spring', frequencyHz: 3, dampingRatio: 0.7 } },
    },
    {
      id: 'give-way',
      title: 'They give way',
      need: 'Letters go a little out of the way, turned as grass is, and come back.',
      settings: { ...lettersDefaults, reachPx: 110, asidePx: 16, turnDeg: 9, goMs: 700 },
    },
    {
      id: 'lit-words',
      title: 'Lit word by word',
      need: 'Words near the pointer take another colour, as by a small lamp.',
      settings: { ...lettersDefaults, by: 'words', reachPx: 200, colours: 'other' },
    },
    {
      id: 'reading-line',
      title: 'The line you read',
      need: 'The line under the pointer stands out in weight and colour, the ones beside it half as much.',
      settings: { ...lettersDefaults, by: 'lines', reachPx: 70, weight: 600, colours: 'other', colour: '#2f5d48' },
    },
  ],
  sentence: lettersSentence,
  time: lettersTime,
  answers: {
    touch: 'By finger the text stands as it is.',
    keyboard: 'The text is read, found and copied as it is.',
    reducedMotion: 'Weight and colour respond; letters neither move nor grow.',
    noScript: 'The text stands as it is.',
  },
  turned: (settings) => ({ ...settings, risePx: -settings.risePx, asidePx: -settings.asidePx, turnDeg: -settings.turnDeg }),
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ comeMs, goMs, follow }) => ({ follow, back: follow, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandLetters,
  lacks: ['strength', 'insets'],
}
