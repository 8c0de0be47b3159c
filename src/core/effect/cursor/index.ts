// Cursor: what is drawn in place of the system's own, and becomes another one over what asks for it.
import { timed } from '../build'
import { atPointer } from '../families'
import type { Kind } from '../kind'
import type { Sample } from '../samples'
import { expandCursor } from './expand'
import { isNative } from './native'
import { cursorDefaults, cursorParameters, cursorSettings, mostShapes, overShape, type CursorSettings } from './settings'
import { cursorSentence, cursorTime } from './words'

/** A page with a picture that can be opened. */
const sample: Sample = {
  html: '<div class="sample"><div class="picture"></div><div class="line"></div></div>',
  css: `.sample { box-sizing: border-box; width: 58px; height: 76px; padding: 6px; overflow: clip; border: 1px solid var(--gm-edge); border-radius: 3px; background: var(--gm-sheet); }
  .picture { height: 44px; border-radius: 2px; background: linear-gradient(135deg, #c98b5a, #6f8f7a); }
  .line { height: 2px; margin-top: 8px; background: var(--gm-edge); }`,
  select: '.sample',
  rest: { x: 0.15, y: 0.05 },
}

/** The settings that matter. */
function leftOut(settings: CursorSettings): readonly string[] {
  const { shape, shapes, layer, lateMs } = settings
  const hasLine = shape === 'ring' || shape === 'both' || shapes.some((each) => each.shape === 'ring' || each.shape === 'outline')
  return [
    ...(shape === 'picture' ? ['colour'] : ['picture', 'pictureSize']),
    ...(shape === 'picture' && !isNative(settings) ? [] : ['pointX', 'pointY']),
    ...(shape === 'picture' && isNative(settings) ? ['sizePx'] : []),
    ...(shape === 'both' ? ['lateMs'] : ['ringPx', 'ringLateMs']),
    ...(shape === 'element' ? ['sizePx', 'colour', 'layer'] : []),
    ...(hasLine ? [] : ['linePx']),
    ...(shapes.length === 0 && lateMs === 0 && layer === 'top' && shape !== 'both' ? ['blendMs'] : []),
  ]
}

const asking = { 'shape-1': { within: '', noun: 'this' } }

export const cursor: Kind<CursorSettings> = {
  id: 'cursor',
  title: 'Cursor',
  does: 'The pointer is drawn, and becomes something else over what asks for it.',
  suits: ['page', 'link', 'button'],
  alsoCalled: [
    'custom cursor',
    'mouse pointer',
    'cursor follower',
    'dot cursor',
    'ring cursor',
    'cursor label',
    'view cursor',
    'blob cursor',
  ],
  family: atPointer,
  sample,
  settings: cursorSettings,
  defaults: cursorDefaults,
  roles: ({ shape, shapes }) => [
    { id: 'ground', title: 'page', needs: 'yours' },
    ...(shape === 'element'
      ? ([{ id: 'figure', title: 'element that is the cursor', needs: 'yours', ask: 'point at the element' }] as const)
      : []),
    ...shapes.map(({ id }, i) => ({
      id,
      title: shapes.length === 1 ? 'what it changes over' : `what it changes over, ${i + 1}`,
      needs: 'yours' as const,
    })),
  ],
  moreRoles: {
    noun: 'shape',
    add: (settings) => {
      if (settings.shapes.length >= mostShapes) return settings
      const numbers = settings.shapes.map(({ id }) => Number(id.slice('shape-'.length)))
      return { ...settings, shapes: [...settings.shapes, overShape(`shape-${Math.max(0, ...numbers) + 1}`)] }
    },
    remove: (settings, role) =>
      settings.shapes.some(({ id }) => id === role) ? { ...settings, shapes: settings.shapes.filter(({ id }) => id !== role) } : settings,
  },
  onPage: ({ shapes }) => shapes[0]?.id,
  controls: (settings) => cursorParameters.controls(settings).filter(({ id }) => !leftOut(settings).includes(id)),
  forSample: (settings) => ({ ...cursorParameters.forSample(settings), sizePx: Math.min(settings.sizePx, 10), layer: 'inside' }),
  recipes: [
    {
      id: 'labelled-disc',
      title: 'A disc with a word',
      need: 'A dot everywhere; over what you point at it grows to a disc that says what a click does.',
      settings: { ...cursorDefaults, shapes: [overShape('shape-1')] },
      roles: asking,
    },
    {
      id: 'plain-dot',
      title: 'A plain dot',
      need: 'A dot in place of the arrow; the browser draws it, no script.',
      settings: cursorDefaults,
    },
    {
      id: 'dot-and-ring',
      title: 'A dot and a ring',
      need: 'The dot is on the pointer, the ring comes after it and gives way when you press.',
      settings: { ...cursorDefaults, shape: 'both', sizePx: 6, linePx: 1.5, pressPercent: 70 },
    },
    {
      id: 'takes-hold',
      title: 'Takes hold of it',
      need: 'Over what you point at it opens to an outline of it, corners and all.',
      settings: { ...cursorDefaults, sizePx: 16, shapes: [{ ...overShape('shape-1'), shape: 'outline', sizePx: 6 }] },
      roles: asking,
    },
    {
      id: 'negative',
      title: 'In the negative',
      need: 'A large disc that turns light and dark about below it, a little late.',
      settings: { ...cursorDefaults, sizePx: 56, colour: '#ffffff', blend: 'difference', lateMs: 60, speedPercent: 25, system: 'stays' },
    },
  ],
  sentence: cursorSentence,
  time: cursorTime,
  answers: {
    touch: 'There is no cursor; links and buttons work as ever.',
    keyboard: 'It shows nothing that a keyboard would miss: what it says is the page’s own label, or beside it.',
    reducedMotion: 'It is on the pointer, and becomes another one at once; what would come late is left out.',
    noScript: 'The system’s own cursor is seen; one that the browser draws by itself stays.',
  },
  turned: (settings) => settings,
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ lateMs, ringLateMs, shape, blendMs }) => {
    const ms = shape === 'both' ? ringLateMs : lateMs
    const follow = ms > 0 ? ({ kind: 'glide', halfLifeMs: ms * Math.LN2 } as const) : ({ kind: 'direct' } as const)
    return { follow, back: follow, come: timed(blendMs, 'ease'), go: timed(blendMs, 'ease') }
  },
  expand: expandCursor,
  lacks: ['strength', 'insets', 'touch'],
}
