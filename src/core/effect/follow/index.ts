// Follow: an element rides the pointer inside an area.
import { comingFeel } from '../build'
import { depth } from '../families'
import { moverSample } from '../samples'
import type { Kind } from '../kind'
import { expandFollow } from './expand'
import { followDefaults, followParameters, followSettings, type FollowSettings } from './settings'
import { followSentence, followTime } from './words'

export const follow: Kind<FollowSettings> = {
  id: 'follow',
  title: 'Follow',
  does: 'It goes where the pointer goes, within limits.',
  suits: ['box', 'picture', 'page'],
  alsoCalled: ['follower', 'cursor follower', 'magnetic', 'magnet', 'eyes'],
  family: depth,
  sample: moverSample,
  settings: followSettings,
  defaults: followDefaults,
  roles: () => [
    { id: 'mover', title: 'mover', needs: 'yours' },
    { id: 'ground', title: 'what it stands in', needs: 'yours' },
  ],
  controls: followParameters.controls,
  forSample: followParameters.forSample,
  recipes: [
    {
      id: 'come-along',
      title: 'Come along',
      need: 'It rides on the pointer inside what it stands in, and goes home again.',
      settings: followDefaults,
    },
    {
      id: 'on-a-rail',
      title: 'On a rail',
      need: 'It goes across with the pointer on a bowed path of its own.',
      settings: {
        ...followDefaults,
        axes: 'across',
        path: {
          stops: [
            { at: 0, value: 26, easing: 'ease-in-out' },
            { at: 0.5, value: -26, easing: 'ease-in-out' },
            { at: 1, value: 26 },
          ],
        },
      },
    },
    {
      id: 'keel',
      title: 'With a keel',
      need: 'It trails a little and leans into the way you go.',
      settings: {
        ...followDefaults,
        leanDeg: 14,
        acrossPx: 240,
        upDownPx: 160,
        follow: { kind: 'spring', frequencyHz: 1.9, dampingRatio: 0.8 },
      },
    },
  ],
  sentence: followSentence,
  time: followTime,
  answers: {
    touch: 'By finger it stays at home, so that the page scrolls as ever.',
    keyboard: 'It shows nothing that a keyboard would miss.',
    reducedMotion: 'It stays at home.',
    noScript: 'The page stands as designed.',
  },
  turned: (settings) => settings,
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ follow: follows, comeMs, goMs }) => ({ follow: follows, back: follows, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandFollow,
}
