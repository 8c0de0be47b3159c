// Wipe: of two layers in one place, one gives way to the other along a line that follows the pointer.
import { comingFeel } from '../build'
import { reveal } from '../families'
import type { Kind } from '../kind'
import type { Sample } from '../samples'
import { expandWipe, waitingPercent, waitingPlace } from './expand'
import { wipeDefaults, wipeParameters, wipeSettings, type WipeSettings } from './settings'
import { wipeSentence, wipeTime } from './words'

/** Two layers over each other, each with a line of its own. */
const sample: Sample = {
  html: '<div class="sample"><div class="back"><i></i></div><div class="front"><i></i></div></div>',
  css: `.sample { display: grid; box-sizing: border-box; width: 58px; height: 76px; overflow: clip; border-radius: 3px; }
  .sample > * { grid-area: 1 / 1; display: grid; place-items: center; }
  .front { background: #e9dcc3; } .back { background: #24424a; }
  i { width: 34px; height: 4px; background: #a8562f; } .back i { background: #f0d9a8; }`,
  select: '.front',
  rest: { x: 0.05, y: 0 },
}

/** By finger the line is dragged, and the page scrolls the other way. */
const dragged = (settings: WipeSettings, touch: 'drag-x' | 'drag-y'): WipeSettings => ({ ...settings, touch }) as WipeSettings

/** A path that dips and rises again on its way. */
const bowed: WipeSettings['path'] = {
  stops: [
    { at: 0, value: 40, easing: 'ease-in-out' },
    { at: 0.45, value: -50, easing: 'ease-in-out' },
    { at: 1, value: 30 },
  ],
}

export const wipe: Kind<WipeSettings> = {
  id: 'wipe',
  title: 'Wipe',
  does: 'Of two layers one ends where the pointer is, and the other begins.',
  suits: ['picture', 'box'],
  alsoCalled: ['before and after', 'comparison', 'image compare', 'split hero', 'split screen', 'divider'],
  family: reveal,
  sample,
  settings: wipeSettings,
  defaults: wipeDefaults,
  roles: () => [
    { id: 'front', title: 'front', needs: 'yours' },
    { id: 'back', title: 'back', needs: 'yours', ask: 'point at the other layer' },
    { id: 'rider', title: 'rider', needs: 'yours' },
    { id: 'ahead', title: 'companions of the front', needs: 'yours' },
    { id: 'behind', title: 'companions of the back', needs: 'yours' },
    { id: 'ground', title: 'what they stand in', needs: 'yours' },
  ],
  wantsBox: true,
  covers: 'back',
  apart: ['front', 'back'],
  controls: (settings) => wipeParameters.controls(settings).filter(({ id }) => id !== 'waitsPercent' || settings.away === 'waits'),
  forSample: wipeParameters.forSample,
  recipes: [
    {
      id: 'two-sides',
      title: 'Two sides',
      need: 'The border between two halves follows the pointer; by finger it is dragged.',
      settings: dragged({ ...wipeDefaults, waitsPercent: 50 }, 'drag-x'),
    },
    {
      id: 'headline-behind-a-headline',
      title: 'One line behind another',
      need: 'A headline gives way to another that stands still behind it; what rides on the line goes its own way.',
      settings: dragged({ ...wipeDefaults, waitsPercent: 92, path: bowed }, 'drag-x'),
    },
    {
      id: 'slanting-dusk',
      title: 'Slanting dusk',
      need: 'A soft slanting edge takes one picture over into the next, and stays where it is left.',
      settings: dragged({ ...wipeDefaults, directionDeg: 115, softPx: 120, waitsPercent: 92, away: 'holds', cuts: 'front' }, 'drag-x'),
    },
    {
      id: 'rising-water',
      title: 'Rising water',
      need: 'From below, the one comes up over the other as high as you point.',
      settings: dragged({ ...wipeDefaults, directionDeg: 0, waitsPercent: 12 }, 'drag-y'),
    },
  ],
  sentence: wipeSentence,
  time: wipeTime,
  answers: {
    touch: 'By finger the line stays where it waits.',
    keyboard: 'The line can be focused: arrow keys move it.',
    reducedMotion: 'The line follows: nothing of the page moves but it.',
    noScript: 'Both layers stand as the page has them.',
  },
  turned: (settings) => ({ ...settings, directionDeg: (settings.directionDeg + 180) % 360 }),
  awayPlace: (settings) => (settings.away === 'waits' ? waitingPlace(settings) : undefined),
  withAwayPlace: (settings, place) => ({ ...settings, away: 'waits', waitsPercent: waitingPercent(settings, place) }),
  feels: ({ follow }) => ({ follow, back: follow, come: comingFeel(0), go: comingFeel(0) }),
  expand: expandWipe,
  lacks: ['strength'],
}
