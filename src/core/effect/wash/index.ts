// Wash: a tint or a gradient that comes over a picture, with the text on it.
import { comingFeel } from '../build'
import { reveal } from '../families'
import type { Kind } from '../kind'
import type { Sample } from '../samples'
import { expandWash } from './expand'
import { washDefaults, washParameters, washSettings, type WashSettings } from './settings'
import { washSentence, washTime } from './words'

/** A picture with a line written on it. */
const sample: Sample = {
  html: '<figure class="sample"><figcaption><i></i><i></i></figcaption></figure>',
  css: `.sample { position: relative; margin: 0; box-sizing: border-box; width: 58px; height: 76px; overflow: clip; border-radius: 3px; background: radial-gradient(circle at 68% 30%, #f0d9a8 0 15%, transparent 16%), linear-gradient(165deg, #c98b5a, #6f8f7a 60%, #4d6a61); }
  figcaption { position: absolute; left: 8px; right: 8px; bottom: 9px; }
  figcaption i { display: block; width: 80%; height: 3px; background: #fff; }
  figcaption i + i { width: 56%; height: 2px; margin-top: 4px; opacity: 0.8; }`,
  select: '.sample',
}

const caption = { text: { within: 'figcaption', noun: 'its caption' } }

export const wash: Kind<WashSettings> = {
  id: 'wash',
  title: 'Wash',
  does: 'A colour or a gradient comes over it, with a text.',
  suits: ['picture', 'box'],
  alsoCalled: ['overlay', 'tint', 'hover overlay', 'gradient overlay', 'image hover'],
  family: reveal,
  sample,
  settings: washSettings,
  defaults: washDefaults,
  roles: () => [
    { id: 'picture', title: 'picture', needs: 'yours' },
    { id: 'text', title: 'its text', needs: 'yours' },
  ],
  controls: (settings) => {
    // What is not in it has no words.
    const leftOut = [settings.fill === 'tint' ? 'gradient' : 'colour', ...(settings.text === 'comes' ? [] : ['risePx'])]
    return washParameters.controls(settings).filter(({ id }) => !leftOut.includes(id))
  },
  forSample: washParameters.forSample,
  onReplaced: (settings) => ({ ...settings, lies: 'over' }),
  recipes: [
    {
      id: 'dusk-from-below',
      title: 'Dusk from below',
      need: 'A dark gradient rises over the picture, and its caption with it.',
      settings: washDefaults,
      roles: caption,
    },
    {
      id: 'tinted-glass',
      title: 'Tinted glass',
      need: 'One clear tint over the picture; what is written on it stays.',
      settings: { ...washDefaults, fill: 'tint', colour: '#1d4a4b', washPercent: 62, blend: 'multiply', text: 'stays', shadePercent: 30 },
      roles: caption,
    },
    {
      id: 'first-light',
      title: 'First light',
      need: 'A warm brightness from one corner; the words give way to the picture.',
      settings: {
        ...washDefaults,
        gradient: 'linear-gradient(225deg, #ffe2a6 0%, rgb(255 214 150 / 0.3) 55%, rgb(255 214 150 / 0) 100%)',
        washPercent: 80,
        blend: 'soft-light',
        text: 'goes',
        shadePercent: 45,
        comeMs: 420,
        goMs: 700,
      },
      roles: caption,
    },
  ],
  sentence: washSentence,
  time: washTime,
  answers: {
    touch: 'A tap brings it, and a tap elsewhere takes it away; the page scrolls as ever.',
    keyboard: 'The focus on a picture that is a link, or on what is in it, brings it like the pointer.',
    reducedMotion: 'It comes and goes as light does; the text stands where it is.',
    noScript: 'All of it is there: it needs no script.',
  },
  turned: (settings) => settings,
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ comeMs, goMs }) => ({ follow: { kind: 'direct' }, back: { kind: 'direct' }, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandWash,
  // CSS tells by itself whether the pointer is on it: as large as it is.
  lacks: ['insets', 'touch'],
}
