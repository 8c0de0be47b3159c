// Glow: coloured light at the pointer, on the surface and along the edge of every card in reach.
import { comingFeel } from '../build'
import { light } from '../families'
import { cardSample } from '../samples'
import type { Kind } from '../kind'
import { expandGlow } from './expand'
import { glowDefaults, glowParameters, glowSettings, type GlowSettings } from './settings'
import { glowSentence, glowTime } from './words'

export const glow: Kind<GlowSettings> = {
  id: 'glow',
  title: 'Glow',
  does: 'A light goes along its edge and over its surface with the pointer.',
  suits: ['box', 'group', 'button'],
  alsoCalled: ['border glow', 'hover glow', 'lit edge', 'card grid'],
  family: light,
  sample: { ...cardSample, rest: { x: 0.75, y: -0.35 } },
  settings: glowSettings,
  defaults: glowDefaults,
  roles: () => [{ id: 'card', title: 'card', needs: 'yours' }],
  lights: ({ colour, surfacePercent, edgePx, edgePercent }) => [
    { colour, strength: Math.max(surfacePercent, edgePx > 0 ? edgePercent : 0) / 100, blend: 'normal' },
  ],
  litIn: (settings, colour) => ({ ...settings, colour }),
  controls: glowParameters.controls,
  forSample: glowParameters.forSample,
  recipes: [
    { id: 'near-the-lamp', title: 'Near the lamp', need: 'Cards lit on their face and edge, neighbours too.', settings: glowDefaults },
    {
      id: 'edges-alone',
      title: 'Edges alone',
      need: 'Only the rims of the cards light up, from a good way off.',
      settings: { ...glowDefaults, surfacePercent: 0, edgePx: 2, reachPx: 140, sizePx: 320, colour: '#7fb7a4' },
    },
    {
      id: 'breath',
      title: 'Warm breath',
      need: 'A wide, slow warmth over what the card holds; it draws in a little.',
      settings: {
        ...glowDefaults,
        lies: 'over',
        sizePx: 460,
        surfacePercent: 34,
        edgePercent: 0,
        shrinkPercent: 2,
        comeMs: 420,
        goMs: 900,
        follow: { kind: 'spring', frequencyHz: 1.1, dampingRatio: 1 },
      },
    },
    {
      id: 'firefly',
      title: 'Running spark',
      need: 'A small light runs round the edge while you are there.',
      settings: { ...glowDefaults, surfacePercent: 12, edgePercent: 0, turnS: 4, arcDeg: 60, edgePx: 2, reachPx: 0, colour: '#c9d86a' },
    },
  ],
  sentence: glowSentence,
  time: glowTime,
  answers: {
    touch: 'By finger nothing is lit, and the page scrolls as ever.',
    keyboard: 'It shows nothing that a keyboard would miss.',
    reducedMotion: 'The light stays; nothing shrinks and nothing runs round.',
    noScript: 'The page stands as designed.',
  },
  turned: (settings) => settings,
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ follow, comeMs, goMs }) => ({ follow, back: follow, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandGlow,
  // Its area reaches as far as its light.
  lacks: ['insets'],
}
