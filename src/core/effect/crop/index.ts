// Crop: a frame draws in evenly, while the picture in it grows.
import { comingFeel } from '../build'
import { reveal } from '../families'
import type { Kind } from '../kind'
import type { Sample } from '../samples'
import { expandCrop } from './expand'
import { cropDefaults, cropParameters, cropSettings, type CropSettings } from './settings'
import { cropSentence, cropTime } from './words'

/** A picture that fills its frame. */
const sample: Sample = {
  html: `<figure class="sample"><img alt="" src="data:image/svg+xml,${encodeURIComponent('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 58 76" preserveAspectRatio="none"><path fill="#6f8f7a" d="M0 0h58v76H0z"/><path fill="#4d6a61" d="M0 54 22 34l14 14 10-8 12 12v24H0z"/><circle cx="41" cy="19" r="8" fill="#f0d9a8"/></svg>')}"></figure>`,
  css: `.sample { margin: 0; box-sizing: border-box; width: 58px; height: 76px; overflow: clip; }
  img { display: block; width: 100%; height: 100%; }`,
  select: '.sample',
}

const picture = { picture: { within: 'img', noun: 'its picture' } }

export const crop: Kind<CropSettings> = {
  id: 'crop',
  title: 'Crop',
  does: 'Its frame shrinks, or what is in it grows.',
  suits: ['picture', 'box'],
  alsoCalled: ['image zoom', 'hover zoom', 'zoom in', 'frame shrinks', 'inset', 'clip on hover'],
  family: reveal,
  sample,
  settings: cropSettings,
  defaults: cropDefaults,
  roles: ({ lies }) => [
    { id: 'frame', title: 'frame', needs: 'yours' },
    { id: 'picture', title: 'its picture', needs: 'yours', ...(lies === 'self' ? { ask: 'point at the picture' } : {}) },
  ],
  controls: (settings) => cropParameters.controls(settings).filter(({ id }) => id !== (settings.by === 'px' ? 'insetPercent' : 'insetPx')),
  forSample: cropParameters.forSample,
  onReplaced: (settings) => ({ ...settings, lies: 'around' }),
  // Its corners are kept until they are changed.
  onCorners: (settings, radiusPx) => (settings.radiusPx === 0 ? { ...settings, radiusPx: Math.min(400, radiusPx) } : settings),
  recipes: [
    {
      id: 'even-mount',
      title: 'Even mount',
      need: 'The frame draws in on all sides alike, and the picture comes a little nearer.',
      settings: cropDefaults,
      roles: picture,
    },
    {
      id: 'soft-corners',
      title: 'Soft corners',
      need: 'Drawn in less, and rounded; calm, for a grid of products.',
      settings: { ...cropDefaults, insetPx: 8, radiusPx: 22, growPercent: 4, comeMs: 480, goMs: 480 },
      roles: picture,
    },
    {
      id: 'closer-look',
      title: 'A closer look',
      need: 'The frame stays as it is, and the picture comes well nearer in it.',
      settings: { ...cropDefaults, insetPx: 0, growPercent: 18, comeMs: 700, goMs: 500 },
      roles: picture,
    },
    {
      id: 'passe-partout',
      title: 'Passe-partout',
      need: 'A wide border of the same share on each side, at any size of the picture.',
      settings: { ...cropDefaults, by: '%', insetPercent: 9, growPercent: 10, comeMs: 420, goMs: 300 },
      roles: picture,
    },
  ],
  sentence: cropSentence,
  time: cropTime,
  answers: {
    touch: 'A tap draws it in, and a tap elsewhere lets it out again; the page scrolls as ever.',
    keyboard: 'The focus on a frame that is a link, or on what is in it, draws it in like the pointer.',
    reducedMotion: 'The picture stays as it is.',
    noScript: 'All of it is there: it needs no script.',
  },
  turned: (settings) => settings,
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ comeMs, goMs }) => ({ follow: { kind: 'direct' }, back: { kind: 'direct' }, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandCrop,
  // CSS tells by itself whether the pointer is on it: as large as it is.
  lacks: ['insets', 'touch'],
}
