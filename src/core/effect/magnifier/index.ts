// Magnifier: a lens under the pointer, in which what it lies on is seen larger.
import { comingFeel } from '../build'
import { atPointer } from '../families'
import type { Kind } from '../kind'
import type { Sample } from '../samples'
import { expandMagnifier, isWide } from './expand'
import { magnifierDefaults, magnifierParameters, magnifierSettings, type MagnifierSettings } from './settings'
import { magnifierSentence, magnifierTime } from './words'

/** A wing, with veins fine enough to be looked at. */
const sample: Sample = {
  html: '<div class="sample"><i></i></div>',
  css: `.sample { box-sizing: border-box; width: 58px; height: 76px; overflow: clip; border-radius: 3px; background: #f3ead6; }
  i { display: block; width: 100%; height: 100%; background: radial-gradient(circle at 4px 5px, #b4632f 0 1.4px, transparent 1.9px) 0 0 / 8px 8px, linear-gradient(160deg, #e6c48d, #a9713f); }`,
  select: '.sample',
  rest: { x: 0.1, y: -0.15 },
}

/** The settings that do not matter as they are. */
const leftOut = (settings: MagnifierSettings): readonly string[] => [
  ...(isWide(settings) ? [] : ['widePercent', 'cornersPx']),
  ...(settings.rimPx > 0 ? [] : ['rimColour']),
  ...(settings.zooms === 'zoom' ? [] : ['leastZoom', 'mostZoom']),
  ...(settings.finger === 'drag' ? [] : ['besidePx']),
  ...(settings.keyboard === 'reached' ? [] : ['name']),
]

export const magnifier: Kind<MagnifierSettings> = {
  id: 'magnifier',
  title: 'Magnifier',
  does: 'A lens shows what is under the pointer larger.',
  suits: ['picture', 'box'],
  alsoCalled: ['lens', 'loupe', 'zoom', 'image zoom', 'product zoom', 'magnifying glass', 'hover zoom'],
  family: atPointer,
  sample,
  settings: magnifierSettings,
  defaults: magnifierDefaults,
  roles: () => [{ id: 'area', title: 'what is looked at', needs: 'yours' }],
  wantsBox: true,
  controls: (settings) => magnifierParameters.controls(settings).filter(({ id }) => !leftOut(settings).includes(id)),
  forSample: magnifierParameters.forSample,
  recipes: [
    {
      id: 'hand-lens',
      title: 'Hand lens',
      need: 'A round lens with a rim, in which a picture shows what it is made of.',
      settings: magnifierDefaults,
    },
    {
      id: 'clear-glass',
      title: 'Clear glass',
      need: 'Large and without a rim, a soft shadow: for pictures of goods.',
      settings: { ...magnifierDefaults, zoom: 2, sizePx: 280, rimPx: 0, highlightPercent: 0, shadowPx: 30 },
    },
    {
      id: 'reading-strip',
      title: 'Reading strip',
      need: 'A wide strip that makes small print easy to read, line by line.',
      settings: {
        ...magnifierDefaults,
        shape: 'strip',
        zoom: 1.8,
        sizePx: 96,
        widePercent: 420,
        cornersPx: 10,
        rimPx: 1.5,
        rimColour: '#3b4a44',
        highlightPercent: 0,
      },
    },
    {
      id: 'thread-counter',
      title: 'Thread counter',
      need: 'A small square that shows things eight times as large, a little late, as a heavy one would be.',
      settings: {
        ...magnifierDefaults,
        shape: 'box',
        zoom: 8,
        sizePx: 130,
        cornersPx: 4,
        rimPx: 8,
        rimColour: '#2c3330',
        follow: { kind: 'spring', frequencyHz: 5, dampingRatio: 1 },
      },
    },
  ],
  sentence: magnifierSentence,
  time: magnifierTime,
  answers: {
    touch: 'A finger that is drawn over it moves the lens, which lies beside it; two fingers change how large it shows things.',
    keyboard: 'It can be reached: arrow keys move the lens, plus and minus change how large, Escape puts it away.',
    reducedMotion: 'It comes and moves as it does: no further than the hand.',
    noScript: 'The page stands as it is.',
  },
  turned: (settings) => settings,
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ comeMs, goMs, follow }) => ({ follow, back: follow, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandMagnifier,
  lacks: ['strength', 'touch'],
}
