// Porthole: through a shape at the pointer one sees another layer.
import { comingFeel } from '../build'
import { reveal } from '../families'
import type { Kind } from '../kind'
import type { Sample } from '../samples'
import { expandPorthole } from './expand'
import { portholeDefaults, portholeParameters, portholeSettings, type PortholeSettings } from './settings'
import { isWide } from './shape'
import { portholeSentence, portholeTime } from './words'

/** Two layers over each other. */
const sample: Sample = {
  html: '<div class="sample"><div class="back"><i></i></div><div class="front"><i></i></div></div>',
  css: `.sample { display: grid; box-sizing: border-box; width: 58px; height: 76px; overflow: clip; border-radius: 3px; }
  .sample > * { grid-area: 1 / 1; display: grid; place-items: center; }
  .front { background: #2b4a4f; } .back { background: #f0d9a8; }
  i { width: 34px; height: 4px; background: #dfe8e0; } .back i { background: #a8562f; transform: rotate(-18deg); }`,
  select: '.front',
  rest: { x: 0.05, y: -0.05 },
}

/** The settings that matter for a shape, and for what is seen through it. */
const leftOut = ({ shape, shows, wobblePercent }: PortholeSettings): readonly string[] => [
  ...(isWide({ shape }) ? [] : ['widePercent']),
  ...(shape === 'box' ? [] : ['cornersPx']),
  ...(shape === 'outline' ? [] : ['outline']),
  ...(shows === 'picture' ? [] : ['picture']),
  ...(shows === 'look' ? [] : ['look']),
  ...(shows === 'back' ? [] : ['layers']),
  ...(wobblePercent > 0 ? [] : ['wobbleMs']),
]

/** A moth with its wings spread, in a square of 100 by 100. */
const moth =
  'M50 34C54 20 70 8 92 12 96 30 88 46 72 52 84 56 90 68 82 82 70 88 58 80 53 66L50 82 47 66C42 80 30 88 18 82 10 68 16 56 28 52 12 46 4 30 8 12 30 8 46 20 50 34Z'

export const porthole: Kind<PortholeSettings> = {
  id: 'porthole',
  title: 'Porthole',
  does: 'A hole at the pointer shows what lies beneath.',
  suits: ['picture', 'box', 'heading'],
  alsoCalled: ['reveal', 'x-ray', 'peek', 'mask on hover', 'clip at the pointer', 'spyhole', 'blob'],
  family: reveal,
  sample,
  settings: portholeSettings,
  defaults: portholeDefaults,
  roles: ({ shows }) => [
    { id: 'front', title: 'front', needs: 'yours' },
    ...(shows === 'back' ? [{ id: 'back', title: 'back', needs: 'yours', ask: 'point at what lies behind' } as const] : []),
    { id: 'ground', title: 'what it opens in', needs: 'yours' },
  ],
  wantsBox: true,
  covers: 'back',
  apart: ['front', 'back'],
  controls: (settings) => portholeParameters.controls(settings).filter(({ id }) => !leftOut(settings).includes(id)),
  forSample: portholeParameters.forSample,
  recipes: [
    {
      id: 'round-window',
      title: 'Round window',
      need: 'A clear round opening, through which one sees what lies behind.',
      settings: portholeDefaults,
    },
    {
      id: 'mist-wiped-off',
      title: 'Mist wiped off',
      need: 'A wide soft opening that grows as the hand goes fast.',
      settings: { ...portholeDefaults, radiusPx: 170, softPx: 110, growPx: 90, goMs: 900 },
    },
    {
      id: 'negative',
      title: 'Negative',
      need: 'No second layer: the same words and pictures inverted, in a drop that never stands still.',
      settings: { ...portholeDefaults, shows: 'look', radiusPx: 90, wobblePercent: 9 },
    },
    {
      id: 'moth-hole',
      title: 'Moth hole',
      need: 'An outline of your own, here a moth; pressed, it opens wide.',
      settings: { ...portholeDefaults, shape: 'outline', outline: moth, radiusPx: 130, pressPx: 120 },
    },
  ],
  sentence: portholeSentence,
  time: portholeTime,
  answers: {
    touch: 'By finger nothing opens, and the page scrolls as ever.',
    keyboard: 'What lies behind comes to the front while something in it has the focus.',
    reducedMotion: 'It opens and follows as it does: nothing of the page moves; it neither wobbles nor grows with speed.',
    noScript: 'The front stands as the page has it.',
  },
  turned: (settings) => settings,
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ comeMs, goMs, follow }) => ({ follow, back: follow, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandPorthole,
  lacks: ['strength'],
}
