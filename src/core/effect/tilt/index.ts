// Tilt: a card leans as if hinged at its centre.
import type { Kind } from '../kind'
import { comingFeel, expandTilt } from './expand'
import { tiltDefaults, tiltSettings, type TiltSettings } from './settings'
import { tiltControls, tiltSentence, tiltTime } from './words'

export const tilt: Kind<TiltSettings> = {
  id: 'tilt',
  title: 'Tilt',
  settings: tiltSettings,
  defaults: tiltDefaults,
  roles: () => [{ id: 'card', title: 'card', needs: 'yours' }],
  controls: () => tiltControls,
  recipes: [
    { id: 'give-way', title: 'Give way', need: 'The edge you touch sinks, like a plate on a pin.', settings: tiltDefaults },
    {
      id: 'come-nearer',
      title: 'Come nearer',
      need: 'The edge you touch rises and the card comes up to you.',
      settings: { ...tiltDefaults, acrossDeg: 7, edge: 'rises', eyePx: 900, liftPx: 28, follow: { kind: 'spring', frequencyHz: 2.9, dampingRatio: 0.62 } },
    },
    {
      id: 'heavy',
      title: 'Heavy slab',
      need: 'A slow, weighty lean that never swings back.',
      settings: { ...tiltDefaults, acrossDeg: 14, eyePx: 1400, follow: { kind: 'spring', frequencyHz: 1.1, dampingRatio: 1 } },
    },
  ],
  sentence: tiltSentence,
  time: tiltTime,
  rows: () => ({ more: ['linked', 'back', 'backMs', 'liftPx', 'growPercent', 'pin-x', 'pin-y'], exact: ['frequencyHz', 'dampingRatio'] }),
  answers: {
    touch: 'By finger it lies as when away, so that the page scrolls as ever.',
    keyboard: 'It shows nothing that a keyboard would miss.',
    reducedMotion: 'It stays as when away.',
    noScript: 'The page stands as designed.',
  },
  turned: (settings) => ({ ...settings, edge: settings.edge === 'sinks' ? 'rises' : 'sinks' }),
  awayPlace: (settings) => (settings.away === 'hold' ? undefined : settings.pose),
  withAwayPlace: (settings, pose) => ({ ...settings, away: 'settle', pose }),
  feels: ({ follow, back, comeMs, goMs }) => ({ follow, back: back ?? follow, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandTilt,
}
