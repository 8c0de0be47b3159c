// Flip: a card of two faces turns over.
import { comingFeel } from '../build'
import { reveal } from '../families'
import type { Kind } from '../kind'
import type { Sample } from '../samples'
import { expandFlip } from './expand'
import { flipDefaults, flipParameters, flipSettings, type FlipSettings } from './settings'
import { flipSentence, flipTime } from './words'

/** A card with a picture in front and a few lines behind. */
const sample: Sample = {
  html: '<div class="sample"><div class="front"><b></b></div><div class="back"><i></i><i></i><i></i></div></div>',
  css: `.sample { width: 58px; height: 76px; }
  .sample > div { box-sizing: border-box; height: 76px; border-radius: 4px; padding: 12px 9px; }
  .front { background: #e3cfa2; display: grid; place-items: center; } .front b { width: 26px; height: 26px; border-radius: 50% 50% 50% 8%; background: #a8562f; }
  .back { background: #24424a; } .back i { display: block; height: 3px; margin-bottom: 7px; background: #e9dcc3; } .back i + i + i { width: 60%; }`,
  select: '.sample',
  rest: { x: 0.3, y: 0 },
  heldAtMs: 330,
}

const turnedWay: Readonly<Record<FlipSettings['turns'], FlipSettings['turns']>> = {
  right: 'left',
  left: 'right',
  up: 'down',
  down: 'up',
  'side-x': 'side-y',
  'side-y': 'side-x',
}

const faces = { front: { within: '> :nth-child(1)', noun: 'its front' }, back: { within: '> :nth-child(2)', noun: 'its back' } }

export const flip: Kind<FlipSettings> = {
  id: 'flip',
  title: 'Flip',
  does: 'It turns over and shows its back.',
  suits: ['box'],
  alsoCalled: ['flip card', 'turn over', 'two-sided card', 'card back', 'rotate card'],
  family: reveal,
  sample,
  settings: flipSettings,
  defaults: flipDefaults,
  roles: () => [
    { id: 'card', title: 'card', needs: 'yours' },
    { id: 'front', title: 'front', needs: 'yours' },
    { id: 'back', title: 'back', needs: 'yours' },
  ],
  apart: ['front', 'back'],
  onInline: (settings) => ({ ...settings, display: 'inline' }),
  laid: (settings, layers) => ({ ...settings, layers }),
  wantsHolder: 2,
  wantsSeveral: true,
  controls: flipParameters.controls,
  forSample: flipParameters.forSample,
  recipes: [
    {
      id: 'turned-over',
      title: 'Turned over',
      need: 'The card turns to the right, and shows its back.',
      settings: flipDefaults,
      roles: faces,
    },
    {
      id: 'from-the-side',
      title: 'From the side you come',
      need: 'It gives way where the pointer comes in, from the left or from the right.',
      settings: { ...flipDefaults, turns: 'side-x', turnMs: 620 },
      roles: faces,
    },
    {
      id: 'calendar-leaf',
      title: 'Calendar leaf',
      need: 'It turns upward, slowly and flat, like a leaf that is lifted.',
      settings: { ...flipDefaults, turns: 'up', perspectivePx: 2200, turnMs: 760, returnMs: 520 },
      roles: faces,
    },
    {
      id: 'without-script',
      title: 'Without a script',
      need: 'For cards that are links or hold one: CSS does all of it.',
      settings: { ...flipDefaults, turns: 'left', keys: 'page', turnMs: 480, returnMs: 480 },
      roles: faces,
    },
  ],
  sentence: flipSentence,
  time: flipTime,
  answers: {
    touch: 'A tap turns it over, and a tap elsewhere back; what is on its back can be tapped then.',
    keyboard: 'The focus on it turns it over, and the next key reaches what is on its back.',
    reducedMotion: 'The faces change places at once, without turning.',
    noScript: 'Where it needs a script both faces stand one after the other; otherwise all of it is there.',
  },
  turned: (settings) => ({ ...settings, turns: turnedWay[settings.turns] }),
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ turnMs, returnMs }) => ({
    follow: { kind: 'direct' },
    back: { kind: 'direct' },
    come: comingFeel(turnMs),
    go: comingFeel(returnMs),
  }),
  expand: expandFlip,
  lacks: ['strength', 'insets', 'touch'],
}
