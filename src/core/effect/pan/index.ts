// Pan: a picture that is taller or wider than its frame travels to its far end, and back.
import { targetSelect } from '../../rig/resolve'
import { anyPicture, comingFeel, groundOf } from '../build'
import { reveal } from '../families'
import type { Kind } from '../kind'
import type { Sample } from '../samples'
import { expandPan } from './expand'
import { panDefaults, panParameters, panSettings, type PanSettings } from './settings'
import { panSentence, panTime } from './words'

/** A tall picture in a low frame. */
const sample: Sample = {
  html: '<div class="sample"><svg viewBox="0 0 58 180"><path fill="#c98b5a" d="M0 0h58v180H0z"/><path fill="#6f8f7a" d="M0 62 30 40l28 26v114H0z"/><path fill="#4d6a61" d="M0 132 18 116l20 20 20-12v56H0z"/><circle cx="40" cy="24" r="8" fill="#f0d9a8"/></svg></div>',
  css: `.sample { box-sizing: border-box; width: 58px; height: 76px; overflow: clip; border-radius: 3px; }
  svg { display: block; width: 100%; }`,
  select: '.sample',
  heldAtMs: 1700,
}

const picture = { picture: { within: 'img', noun: 'its picture' } }

/** The settings that matter for how it goes. */
const leftOut: Readonly<Record<PanSettings['by'], readonly string[]>> = {
  pace: ['comeMs', 'goMs', 'room', 'follow', 'followMs', 'pastPercent', 'frequencyHz', 'dampingRatio'],
  time: ['goPxS', 'backPxS', 'follow', 'followMs', 'pastPercent', 'frequencyHz', 'dampingRatio'],
  pointer: ['goPxS', 'backPxS', 'comeMs', 'goMs'],
}

export const pan: Kind<PanSettings> = {
  id: 'pan',
  title: 'Pan',
  does: 'What is larger than its frame travels through it.',
  suits: ['picture'],
  alsoCalled: ['scroll on hover', 'long screenshot', 'image scroll', 'tall picture', 'panorama', 'travel'],
  family: reveal,
  sample,
  settings: panSettings,
  defaults: panDefaults,
  roles: ({ lies }) => [
    { id: 'frame', title: 'frame', needs: 'yours' },
    { id: 'picture', title: 'its picture', needs: 'yours', ...(lies === 'self' ? { ask: 'point at the picture' } : {}) },
  ],
  remedy: ({ toward, lies }, select, { picture }) => {
    const frame = lies === 'around' ? groundOf(select) : select
    const travels = targetSelect(frame, { within: picture ?? (lies === 'around' ? select : anyPicture) })
    return toward === 'bottom'
      ? {
          words: 'Make the frames lower than the pictures',
          css: `${frame} { aspect-ratio: 2 / 1; min-height: 0; }\n${travels} { width: 100%; height: auto; }\n`,
        }
      : { words: 'Make the pictures wider than the frames', css: `${travels} { width: 180%; max-width: none; height: auto; }\n` }
  },
  controls: (settings) => panParameters.controls(settings).filter(({ id }) => !leftOut[settings.by].includes(id)),
  forSample: panParameters.forSample,
  onHugging: (settings) => ({ ...settings, room: 'script' }),
  onReplaced: (settings) => ({ ...settings, lies: 'around' }),
  recipes: [
    {
      id: 'one-pace',
      title: 'One pace',
      need: 'Tall pictures travel to their lower ends, the longer ones for longer; all pass at one pace.',
      settings: panDefaults,
      roles: picture,
    },
    {
      id: 'in-step',
      title: 'In step',
      need: 'All arrive at the same time, however long they are; without any script in frames with a height of their own.',
      settings: { ...panDefaults, by: 'time' },
      roles: picture,
    },
    {
      id: 'under-the-hand',
      title: 'Under the hand',
      need: 'The picture goes with the pointer: at the lower edge of the frame one sees its lower end.',
      settings: { ...panDefaults, by: 'pointer' },
      roles: picture,
    },
    {
      id: 'wide-view',
      title: 'A wide view',
      need: 'A panorama glides to its right end at a walking pace.',
      settings: { ...panDefaults, toward: 'right', goPxS: 90, backPxS: 300 },
      roles: picture,
    },
  ],
  sentence: panSentence,
  time: panTime,
  answers: {
    touch: 'A tap sends it on its way, and a tap elsewhere back; where it goes with the pointer a finger drags it.',
    keyboard: 'The focus on a frame that is a link, or on what is in it, sends it on its way; with the pointer, arrow keys move it.',
    reducedMotion: 'The picture stays at its beginning.',
    noScript: 'In one time it needs no script; otherwise the picture stands at its beginning.',
  },
  turned: (settings) => ({ ...settings, toward: settings.toward === 'right' ? 'left' : settings.toward === 'left' ? 'right' : 'bottom' }),
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ comeMs, goMs, follow }) => ({ follow, back: follow, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandPan,
  lacks: ['strength', 'insets', 'touch'],
}
