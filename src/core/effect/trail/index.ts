// Trail: pieces behind the pointer.
import { comingFeel } from '../build'
import { atPointer } from '../families'
import type { Kind } from '../kind'
import type { Sample } from '../samples'
import { expandTrail, isPainted, restOf } from './expand'
import { trailDefaults, trailParameters, trailSettings, type TrailSettings } from './settings'
import { trailSentence, trailTime } from './words'

/** A dark field. */
const sample: Sample = {
  html: '<div class="sample"></div>',
  css: '.sample { position: relative; width: 58px; height: 76px; overflow: clip; border-radius: 3px; background: #1d3b40; }',
  select: '.sample',
  rest: { x: 0.55, y: -0.35 },
  heldAtMs: 650,
}

/** The settings that matter. */
function leftOut(settings: TrailSettings): readonly string[] {
  const { law, shape, rest } = settings
  const isLeft = law === 'dropped'
  const rising = isLeft || restOf(settings) === 'fizz'
  return [
    ...(isLeft ? ['endPx', 'lateMs', 'endPercent', 'rest', 'restMs'] : ['everyPx']),
    ...(isLeft || rest !== 'gather' ? [] : ['restMs', 'lifeMs']),
    ...(rising ? [] : ['risePx', 'spreadPx', 'swellPercent', 'seed']),
    ...(isPainted(settings) ? ['endPercent', 'turnDeg'] : []),
    ...(shape === 'picture' ? ['colour', 'endColour'] : ['picture']),
    ...(shape === 'text' ? [] : ['text']),
  ]
}

export const trail: Kind<TrailSettings> = {
  id: 'trail',
  title: 'Trail',
  does: 'Pieces or a ribbon run after the pointer.',
  suits: ['page', 'box'],
  alsoCalled: ['mouse trail', 'cursor trail', 'particles', 'confetti', 'sparkles', 'ribbon', 'tail', 'comet'],
  family: atPointer,
  sample,
  settings: trailSettings,
  defaults: trailDefaults,
  roles: () => [{ id: 'ground', title: 'page', needs: 'yours' }],
  wantsBox: true,
  controls: (settings) => trailParameters.controls(settings).filter(({ id }) => !leftOut(settings).includes(id)),
  forSample: (settings) => ({ ...trailParameters.forSample(settings), layer: 'inside', calm: 'on' }),
  recipes: [
    {
      id: 'on-a-string',
      title: 'On a string',
      need: 'Shrinking pieces run after one another, and gather when you stop.',
      settings: trailDefaults,
    },
    {
      id: 'fizz',
      title: 'Fizz',
      need: 'Shrinking pieces that rise, swell and are gone as long as you rest.',
      settings: { ...trailDefaults, rest: 'fizz', pieces: 12, sizePx: 14, endPx: 6, colour: '#e3cfa2', endColour: '#6f8f7a' },
    },
    {
      id: 'silk',
      title: 'Silk',
      need: 'One ribbon that goes where the pointer went, wide at first and thin at its end.',
      settings: { ...trailDefaults, law: 'path', shape: 'ribbon', pieces: 40, lateMs: 12, sizePx: 22, endPx: 1, rest: 'fade', lifeMs: 500 },
    },
    {
      id: 'pollen',
      title: 'Pollen',
      need: 'Specks are left behind, drift up and are gone.',
      settings: {
        ...trailDefaults,
        law: 'dropped',
        pieces: 24,
        sizePx: 6,
        everyPx: 18,
        risePx: 60,
        spreadPx: 26,
        lifeMs: 1500,
        colour: '#e8c25a',
        endColour: '#c98b5a',
      },
    },
    {
      id: 'footlights',
      title: 'Footlights',
      need: 'Pieces where the pointer went, which turn light and dark about below them.',
      settings: {
        ...trailDefaults,
        law: 'path',
        pieces: 14,
        lateMs: 22,
        sizePx: 34,
        endPx: 4,
        colour: '#ffffff',
        endColour: '#ffffff',
        endPercent: 100,
        blend: 'difference',
        rest: 'fade',
      },
    },
  ],
  sentence: trailSentence,
  time: trailTime,
  answers: {
    touch: 'By finger there is none, so that the page scrolls as ever.',
    keyboard: 'It shows nothing that a keyboard would miss.',
    reducedMotion: 'There is none, unless it was chosen to be seen all the same.',
    noScript: 'The page stands as designed.',
  },
  turned: (settings) => settings,
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ law, lateMs, comeMs, goMs }) => {
    const follow = law === 'chain' ? ({ kind: 'glide', halfLifeMs: lateMs * Math.LN2 } as const) : ({ kind: 'direct' } as const)
    return { follow, back: follow, come: comingFeel(comeMs), go: comingFeel(goMs) }
  },
  expand: expandTrail,
  lacks: ['strength', 'insets', 'touch', 'reducedMotion'],
}
