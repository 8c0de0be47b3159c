// Pull: an element comes toward the pointer while that is near, and springs home.
import { state } from '../families'
import type { Kind } from '../kind'
import type { Sample } from '../samples'
import { expandPull } from './expand'
import { pullDefaults, pullParameters, pullSettings, type PullSettings } from './settings'
import { pullSentence, pullTime } from './words'

/** A round button with a mark in it. */
const sample: Sample = {
  html: '<div class="sample"><div class="key"><b></b></div></div>',
  css: `.sample { width: 58px; height: 76px; display: grid; place-items: center; }
  .key { width: 38px; height: 38px; display: grid; place-items: center; border-radius: 19px; background: #24424a; }
  b { width: 14px; height: 14px; border-radius: 50% 50% 50% 8%; background: #f0d9a8; }`,
  select: '.key',
  rest: { x: 0.9, y: -0.7 },
}

const inner = { inner: { within: '> *', noun: 'what it holds' } }

export const pull: Kind<PullSettings> = {
  id: 'pull',
  title: 'Pull',
  does: 'It is drawn toward a pointer that comes near.',
  suits: ['button', 'link'],
  alsoCalled: ['magnetic button', 'magnet', 'attract', 'sticky button', 'magnetic'],
  family: state,
  sample,
  settings: pullSettings,
  defaults: pullDefaults,
  roles: () => [
    { id: 'element', title: 'element', needs: 'yours' },
    { id: 'inner', title: 'content', needs: 'yours' },
  ],
  controls: pullParameters.controls,
  forSample: pullParameters.forSample,
  recipes: [
    {
      id: 'drawn-near',
      title: 'Drawn near',
      need: 'It comes part of the way to the pointer, and swings home.',
      settings: pullDefaults,
      roles: inner,
    },
    {
      id: 'loose-tooth',
      title: 'Loose in its socket',
      need: 'A few px and no more, at once, from quite near.',
      settings: {
        ...pullDefaults,
        reachPx: 16,
        sharePercent: 22,
        mostPx: 8,
        innerPercent: 8,
        follow: { kind: 'spring', frequencyHz: 4.4, dampingRatio: 1 },
      },
      roles: inner,
    },
    {
      id: 'long-arm',
      title: 'From afar',
      need: 'It feels the pointer early, and comes slowly, far out of its place.',
      settings: {
        ...pullDefaults,
        reachPx: 140,
        sharePercent: 36,
        mostPx: 70,
        follow: { kind: 'spring', frequencyHz: 1.6, dampingRatio: 0.8 },
        back: { kind: 'spring', frequencyHz: 2.2, dampingRatio: 0.45 },
      },
      roles: inner,
    },
    {
      id: 'mark-leans-out',
      title: 'Its mark leans out',
      need: 'The element hardly moves; what it holds goes to meet the pointer.',
      settings: { ...pullDefaults, reachPx: 32, sharePercent: 8, mostPx: 60, innerPercent: 30 },
      roles: inner,
    },
  ],
  sentence: pullSentence,
  time: pullTime,
  answers: {
    touch: 'By finger it stays where it is.',
    keyboard: 'It shows nothing that a keyboard would miss.',
    reducedMotion: 'It stays where it is.',
    noScript: 'The page stands as designed.',
  },
  turned: (settings) => settings,
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ follow, back }) => ({ follow, back: back ?? follow, come: follow, go: back ?? follow }),
  expand: expandPull,
  lacks: ['insets'],
}
