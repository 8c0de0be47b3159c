// Spotlight: dark but for a pool of light round the pointer.
import { comingFeel } from '../build'
import { light } from '../families'
import { cardSample } from '../samples'
import type { Kind } from '../kind'
import { expandSpotlight } from './expand'
import { spotlightDefaults, spotlightParameters, spotlightSettings, type SpotlightSettings } from './settings'
import { spotlightSentence, spotlightTime } from './words'

export const spotlight: Kind<SpotlightSettings> = {
  id: 'spotlight',
  title: 'Spotlight',
  does: 'It is dark, and light where the pointer is.',
  suits: ['box', 'picture', 'page'],
  alsoCalled: ['flashlight', 'torch', 'mask', 'light in the dark'],
  family: light,
  sample: { ...cardSample, rest: { x: 0.75, y: -0.55 } },
  settings: spotlightSettings,
  defaults: spotlightDefaults,
  roles: () => [{ id: 'ground', title: 'ground', needs: 'yours' }],
  wantsBox: true,
  controls: spotlightParameters.controls,
  forSample: spotlightParameters.forSample,
  recipes: [
    {
      id: 'hand-lamp',
      title: 'Hand lamp',
      need: 'Dark but for a pool of light where you point; lit again when you go.',
      settings: spotlightDefaults,
    },
    {
      id: 'narrow-beam',
      title: 'Narrow beam',
      need: 'A small, sharp light for a picture; it narrows while you press.',
      settings: {
        ...spotlightDefaults,
        clearPx: 90,
        softPx: 34,
        darknessPercent: 88,
        pressedPercent: 55,
        follow: { kind: 'spring', frequencyHz: 4.6, dampingRatio: 1 },
      },
    },
    {
      id: 'parked',
      title: 'Lamp on a hook',
      need: 'The light waits at a place of yours until the pointer takes it along.',
      settings: { ...spotlightDefaults, away: 'pinned', pose: { x: -0.4, y: -0.3 }, darknessPercent: 62, clearPx: 180, softPx: 160 },
    },
    {
      id: 'shut-eyes',
      title: 'Night with closed shutters',
      need: 'All dark, until the pointer opens a way to see.',
      settings: { ...spotlightDefaults, away: 'dark', darknessPercent: 94, softPx: 140 },
    },
  ],
  sentence: spotlightSentence,
  time: spotlightTime,
  answers: {
    touch: 'By finger all is lit, and can be read.',
    keyboard: 'Without a pointer on it all is as when away.',
    reducedMotion: 'The light stays: it is light, and nothing of the page moves.',
    noScript: 'The page stands as designed, lit.',
  },
  turned: (settings) => settings,
  awayPlace: ({ away, pose }) => (away === 'pinned' ? pose : undefined),
  withAwayPlace: (settings, pose) => ({ ...settings, away: 'pinned', pose }),
  feels: ({ follow, comeMs, goMs }) => ({ follow, back: follow, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandSpotlight,
  // Its area reaches as far as its pool.
  lacks: ['insets'],
}
