// Drift: layers slide with or against the pointer, each by its own amount.
import { comingFeel } from '../build'
import { depth } from '../families'
import { cardSample } from '../samples'
import type { Kind } from '../kind'
import { layerRoles, withLayer, withoutLayer } from '../layers'
import { expandDrift } from './expand'
import { driftDefaults, driftParameters, driftSettings, type DriftLayer, type DriftSettings } from './settings'
import { driftSentence, driftTime } from './words'

const guessed = {
  'layer-1': { within: '> :nth-child(2)', noun: 'what comes second' },
  'layer-2': { within: '> :nth-child(1)', noun: 'what comes first' },
}

export const drift: Kind<DriftSettings> = {
  id: 'drift',
  title: 'Drift',
  does: 'Its layers move apart as the pointer goes over them, near ones further than far ones.',
  suits: ['box', 'group', 'page'],
  alsoCalled: ['parallax', 'layers', 'depth', 'mouse parallax'],
  family: depth,
  sample: cardSample,
  settings: driftSettings,
  defaults: driftDefaults,
  roles: (settings) => [{ id: 'ground', title: 'box', needs: 'yours' }, ...layerRoles(settings)],
  moreRoles: {
    noun: 'layer',
    add: (settings) => withLayer<DriftLayer, DriftSettings>(settings, (last, id) => ({ id, amount: Math.round((last?.amount ?? 44) / 2) })),
    remove: withoutLayer,
  },
  controls: driftParameters.controls,
  forSample: driftParameters.forSample,
  recipes: [
    {
      id: 'near-and-far',
      title: 'Near and far',
      need: 'What is near slips further from the pointer than what is far.',
      settings: driftDefaults,
      roles: guessed,
    },
    {
      id: 'window',
      title: 'Through a window',
      need: 'A picture slides behind its frame, and no edge of it shows.',
      settings: { ...driftDefaults, layers: [{ id: 'layer-1', amount: 6 }], kept: 'enlarged', unit: '%' },
      roles: { 'layer-1': { within: '> :nth-child(1)', noun: 'what comes first' } },
    },
    {
      id: 'afloat',
      title: 'Afloat',
      need: 'Things go slowly along with the pointer and turn a little.',
      settings: {
        ...driftDefaults,
        direction: 'with',
        turnDeg: 4,
        layers: [
          { id: 'layer-1', amount: 30 },
          { id: 'layer-2', amount: 14 },
        ],
        follow: { kind: 'spring', frequencyHz: 0.9, dampingRatio: 0.9 },
      },
      roles: guessed,
    },
  ],
  sentence: driftSentence,
  time: driftTime,
  answers: {
    touch: 'By finger the layers lie as when away.',
    keyboard: 'It shows nothing that a keyboard would miss.',
    reducedMotion: 'The layers stay as when away.',
    noScript: 'The page stands as designed.',
  },
  turned: (settings) => ({ ...settings, direction: settings.direction === 'with' ? 'against' : 'with' }),
  awayPlace: ({ away, pose }) => (away === 'hold' ? undefined : pose),
  withAwayPlace: (settings, pose) => ({ ...settings, away: 'settle', pose }),
  feels: ({ follow, back }) => ({ follow, back: back ?? follow, come: comingFeel(320), go: comingFeel(520) }),
  expand: expandDrift,
}
