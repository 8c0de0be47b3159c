// Tilt: a card leans as if hinged at its centre.
import { depth } from '../families'
import { cardSample } from '../samples'
import type { Kind } from '../kind'
import { comingFeel } from '../build'
import { layerRoles, withLayer, withoutLayer } from '../layers'
import { expandTilt } from './expand'
import { tiltDefaults, tiltParameters, tiltSettings, type TiltLayer, type TiltSettings } from './settings'
import { tiltSketch } from './sketch'
import { tiltSentence, tiltTime } from './words'

export const tilt: Kind<TiltSettings> = {
  id: 'tilt',
  title: 'Tilt',
  does: 'It leans under the pointer, in depth.',
  suits: ['box', 'picture', 'button'],
  alsoCalled: ['3D card', '3D hover', 'lean', 'perspective', 'sheen'],
  family: depth,
  sample: cardSample,
  settings: tiltSettings,
  defaults: tiltDefaults,
  roles: (settings) => [{ id: 'card', title: 'card', needs: 'yours' }, ...layerRoles(settings)],
  moreRoles: {
    noun: 'layer',
    add: (settings) =>
      withLayer<TiltLayer, TiltSettings>(settings, (last, id) => ({ id, heightPx: last ? Math.min(300, last.heightPx + 18) : 36 })),
    remove: withoutLayer,
  },
  onFlat: (settings) => (settings.layers.length > 0 ? { ...settings, layersRise: 'card' } : settings),
  lights: ({ sheenPercent, sheenColour, sheenBlend }) =>
    sheenPercent > 0 ? [{ colour: sheenColour, strength: sheenPercent / 100, blend: sheenBlend }] : [],
  litIn: (settings, colour) => ({ ...settings, sheenColour: colour, sheenBlend: 'normal' }),
  controls: tiltParameters.controls,
  forSample: tiltParameters.forSample,
  recipes: [
    { id: 'give-way', title: 'Give way', need: 'The edge you touch sinks, like a plate on a pin.', settings: tiltDefaults },
    {
      id: 'come-nearer',
      title: 'Come nearer',
      need: 'The edge you touch rises and the card comes up to you.',
      settings: {
        ...tiltDefaults,
        acrossDeg: 7,
        edge: 'rises',
        perspectivePx: 900,
        liftPx: 28,
        follow: { kind: 'spring', frequencyHz: 2.9, dampingRatio: 0.62 },
      },
    },
    {
      id: 'heavy',
      title: 'Heavy slab',
      need: 'A slow, weighty lean that never swings back.',
      settings: { ...tiltDefaults, acrossDeg: 14, perspectivePx: 1400, follow: { kind: 'spring', frequencyHz: 1.1, dampingRatio: 1 } },
    },
    {
      id: 'floating-title',
      title: 'Floating title',
      need: 'It leans, and what you point at next floats above it.',
      settings: { ...tiltDefaults, acrossDeg: 11, layers: [{ id: 'layer-1', heightPx: 36 }], shadowPx: 14 },
      roles: { 'layer-1': { within: '> :nth-child(2)', noun: 'what comes second' } },
    },
    {
      id: 'under-glass',
      title: 'Under glass',
      need: 'A soft sheen travels over it against the lean, and a shadow answers.',
      settings: { ...tiltDefaults, acrossDeg: 10, sheenPercent: 30, shadowPx: 10, liftPx: 10 },
    },
  ],
  sketch: tiltSketch,
  sentence: tiltSentence,
  time: tiltTime,
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
