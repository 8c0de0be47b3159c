// Fold: a heading goes round a vertical corner between two walls.
import { comingFeel } from '../build'
import { depth } from '../families'
import { headingSample } from '../samples'
import type { Kind } from '../kind'
import { expandFold } from './expand'
import { foldDefaults, foldParameters, foldSettings, type FoldSettings } from './settings'
import { foldSentence, foldTime } from './words'

export const fold: Kind<FoldSettings> = {
  id: 'fold',
  title: 'Fold',
  does: 'Words run over two walls that meet in a corner, and slide along them with the pointer.',
  suits: ['heading', 'box'],
  alsoCalled: ['corner', 'perspective text', '3D text'],
  family: depth,
  sample: headingSample,
  settings: foldSettings,
  defaults: foldDefaults,
  roles: () => [{ id: 'heading', title: 'heading', needs: 'yours' }],
  controls: foldParameters.controls,
  forSample: foldParameters.forSample,
  recipes: [
    {
      id: 'round-the-corner',
      title: 'Round the corner',
      need: 'Words run round the corner of a wall, one side in shade.',
      settings: foldDefaults,
    },
    {
      id: 'book',
      title: 'Open book',
      need: 'Two pages that fall away to a fold in the middle.',
      settings: { ...foldDefaults, cornerPercent: 50, angleDeg: 12, corner: 'inner', shadePercent: 14, travelPercent: 5 },
    },
    {
      id: 'frieze',
      title: 'Frieze',
      need: 'A steep corner, far to one side, and words that go along with you.',
      settings: {
        ...foldDefaults,
        cornerPercent: 28,
        angleDeg: 34,
        shadePercent: 46,
        travelPercent: 20,
        direction: 'with',
        follow: { kind: 'spring', frequencyHz: 1.2, dampingRatio: 1 },
      },
    },
  ],
  sentence: foldSentence,
  time: foldTime,
  answers: {
    touch: 'By finger the words stand as when away, round the corner.',
    keyboard: 'It shows nothing that a keyboard would miss; the heading is read out once.',
    reducedMotion: 'The corner stays, and the words stand still.',
    noScript: 'The heading stands flat, as designed.',
  },
  turned: (settings) => ({ ...settings, direction: settings.direction === 'with' ? 'against' : 'with' }),
  awayPlace: ({ away, pose }) => (away === 'hold' ? undefined : pose),
  withAwayPlace: (settings, pose) => ({ ...settings, away: 'settle', pose }),
  feels: ({ follow, back }) => ({ follow, back: back ?? follow, come: comingFeel(320), go: comingFeel(520) }),
  expand: expandFold,
}
