// Grain light: a grainy gradient with a light that follows the pointer.
import { comingFeel } from '../build'
import { light } from '../families'
import { cardSample } from '../samples'
import type { Kind } from '../kind'
import { expandGrainLight } from './expand'
import { grainLightDefaults, grainLightParameters, grainLightSettings, type GrainLightSettings } from './settings'
import { grainLightSentence, grainLightTime } from './words'

export const grainLight: Kind<GrainLightSettings> = {
  id: 'grain-light',
  title: 'Grain light',
  does: 'A ground of grain is lit where the pointer is.',
  suits: ['box', 'page'],
  alsoCalled: ['noise', 'grain', 'gradient', 'texture', 'film grain'],
  family: light,
  sample: { ...cardSample, rest: { x: 0.1, y: 0.1 } },
  settings: grainLightSettings,
  defaults: grainLightDefaults,
  roles: () => [{ id: 'ground', title: 'ground', needs: 'yours' }],
  wantsBox: true,
  controls: grainLightParameters.controls,
  forSample: grainLightParameters.forSample,
  recipes: [
    {
      id: 'dusk-wall',
      title: 'Dusk on plaster',
      need: 'A grainy evening ground with a warm light under the pointer.',
      settings: grainLightDefaults,
    },
    {
      id: 'paper-noon',
      title: 'Paper at noon',
      need: 'Pale and finely specked; the light is a little brighter paper.',
      settings: {
        ...grainLightDefaults,
        gradient: 'linear-gradient(180deg, #e7e2d4 0%, #d5d3c4 100%)',
        speckle: 'dark',
        grainPercent: 22,
        fineness: 1.1,
        colour: '#fffbee',
        lightPercent: 70,
        radiusPx: 420,
      },
    },
    {
      id: 'ember',
      title: 'Ember in ash',
      need: 'Coarse dark ground where a glow stays where you left it.',
      settings: {
        ...grainLightDefaults,
        gradient: 'linear-gradient(200deg, #1b1918 0%, #2c2522 100%)',
        fineness: 0.45,
        detail: 3,
        grainPercent: 26,
        colour: '#e2703a',
        lightPercent: 52,
        radiusPx: 240,
        away: 'stays',
      },
    },
  ],
  sentence: grainLightSentence,
  time: grainLightTime,
  answers: {
    touch: 'By finger the ground is there, and the light as when away.',
    keyboard: 'It shows nothing that a keyboard would miss.',
    reducedMotion: 'The light stays: it is light, and nothing of the page moves.',
    noScript: 'The page stands as designed.',
  },
  turned: (settings) => settings,
  awayPlace: ({ away, pose }) => (away === 'pinned' ? pose : undefined),
  withAwayPlace: (settings, pose) => ({ ...settings, away: 'pinned', pose }),
  feels: ({ follow, comeMs, goMs }) => ({ follow, back: follow, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandGrainLight,
}
