// Hover look: what an element is like while it is met, pressed or stood on, and how it gets there.
import { state } from '../families'
import type { Kind } from '../kind'
import { comingFeel } from '../build'
import type { Sample } from '../samples'
import { expandHoverLook, hasOwnLook } from './expand'
import { hoverLookDefaults, hoverLookParameters, hoverLookSettings, type HoverLookSettings } from './settings'
import { hoverLookSentence, hoverLookTime } from './words'

/** Three buttons in a column. */
const sample: Sample = {
  html: '<div class="sample"><div class="key"><i></i></div><div class="key"><i></i></div><div class="key"><i></i></div></div>',
  css: `.sample { width: 58px; height: 76px; display: grid; gap: 8px; align-content: center; }
  .key { height: 19px; display: grid; place-items: center; border-radius: 10px; background: #e3cfa2; color: #24424a; }
  i { width: 26px; height: 3px; background: currentColor; }`,
  select: '.key',
}

/** The settings that matter. */
const leftOut = (settings: HoverLookSettings): readonly string[] => [
  ...(settings.ground === 'own' ? [] : ['groundColour']),
  ...(settings.ink === 'own' ? [] : ['inkColour']),
  ...(settings.stillCss.trim() === '' ? ['stillMs'] : []),
  ...(settings.others === 'dim' ? [] : ['othersPercent']),
  ...(settings.staggerBy === 'order' ? [] : ['pieces']),
  ...(settings.way === 'spring' || settings.goWay === 'spring' ? [] : ['overshootPercent']),
  ...(settings.release === 'own' ? [] : ['releaseMs']),
  ...(settings.risePx === 0 ? ['hold'] : []),
]

/** Whether the caption tells a setting: only what is so stands there. */
const isTold = (settings: HoverLookSettings, id: string) =>
  [...hoverLookSentence(settings), ...hoverLookTime(settings)].some(
    (piece) => typeof piece === 'object' && 'control' in piece && piece.control === id,
  )

const words = { pieces: { within: '> *', noun: 'its pieces' } }

export const hoverLook: Kind<HoverLookSettings> = {
  id: 'hover-look',
  title: 'Hover look',
  does: 'It has another look while the pointer is on it, it is pressed, or it has the focus.',
  suits: ['button', 'link', 'box', 'heading', 'text'],
  alsoCalled: ['hover state', 'button hover', 'hover effect', 'lift', 'scale on hover', 'dim others', 'stagger', 'hover transition'],
  family: state,
  sample,
  settings: hoverLookSettings,
  defaults: hoverLookDefaults,
  roles: (settings) => [
    { id: 'element', title: 'element', needs: 'yours' },
    { id: 'pieces', title: 'pieces', needs: 'yours', ...(hasOwnLook(settings) ? {} : { ask: 'point at the pieces', unless: 'linked' }) },
    { id: 'linked', title: 'linked element', needs: 'yours' },
  ],
  inStep: ['linked'],
  controls: (settings) =>
    hoverLookParameters
      .controls(settings)
      .filter(({ id }) => !leftOut(settings).includes(id))
      .map((control) => ({ ...control, row: isTold(settings, control.id) ? undefined : 'more' })),
  forSample: hoverLookParameters.forSample,
  recipes: [
    {
      id: 'lifted',
      title: 'Lifted',
      need: 'It rises a little, with a shadow, and gives way when it is pressed.',
      settings: { ...hoverLookDefaults, shadowPx: 18 },
    },
    {
      id: 'inked',
      title: 'Inked',
      need: 'Its ground and its text take other colours.',
      settings: { ...hoverLookDefaults, risePx: 0, ground: 'own', ink: 'own', comeMs: 160, goMs: 280 },
    },
    {
      id: 'only-this',
      title: 'Only this one',
      need: 'The others step back while one of them is met.',
      settings: { ...hoverLookDefaults, risePx: 0, growPercent: 103, others: 'dim', comeMs: 260, goMs: 420 },
    },
    {
      id: 'sprung',
      title: 'Sprung',
      need: 'It grows past its mark, and comes to rest: a spring, in CSS alone.',
      settings: { ...hoverLookDefaults, risePx: 0, growPercent: 107, way: 'spring', comeMs: 480, overshootPercent: 18 },
    },
    {
      id: 'one-after-another',
      title: 'One after another',
      need: 'What it holds comes up piece by piece.',
      settings: { ...hoverLookDefaults, risePx: 0, comeMs: 320, staggerMs: 60 },
      roles: words,
    },
    {
      id: 'from-the-pointer',
      title: 'From the pointer outward',
      need: 'What it holds wakes where the pointer came in, and further off a little later.',
      settings: { ...hoverLookDefaults, risePx: 0, comeMs: 300, staggerBy: 'pointer', staggerMs: 90, pieceRisePx: 6 },
      roles: words,
    },
  ],
  sentence: hoverLookSentence,
  time: hoverLookTime,
  answers: {
    touch: 'A tap puts it on, and a tap elsewhere off; a link is followed as ever.',
    keyboard: 'The focus does what the pointer does, or has a look of its own.',
    reducedMotion: 'What moves and grows stays; colours, light and shadows go on.',
    noScript: 'Where it needs a script all is as the page has it; otherwise all of it is there.',
  },
  turned: (settings) => ({ ...settings, risePx: -settings.risePx, pieceRisePx: -settings.pieceRisePx }),
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ comeMs, goMs }) => ({ follow: { kind: 'direct' }, back: { kind: 'direct' }, come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandHoverLook,
  lacks: ['strength', 'insets', 'touch'],
}
