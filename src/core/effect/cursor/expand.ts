// Cursor as a rig: a part on the pointer, over all else; it is another one by what the pointer is on.
import type { Feel } from '../../feel/feel'
import { cssPicture, cssString } from '../../rig/css-text'
import type { Channel, Knob, Output, Part, Rig, Rule, State, Token } from '../../rig/rig'
import { areaOn, channelsIn, isWindow, outputOn, rigOf, sliding, timed, turning } from '../build'
import type { Filled } from '../kind'
import { nativeControls } from './native-controls'
import { expandNative, isNative } from './native'
import { cursorParameters, type CursorSettings, type OverShape } from './settings'

const { knob, token } = cursorParameters

const direct: Feel = { kind: 'direct' }

/** Behind a steady pointer a glide is so late: its half-life / ln 2. */
const late = (ms: number): Feel => (ms > 0 ? { kind: 'glide', halfLifeMs: ms * Math.LN2 } : direct)

/** By how much the time of a press may lag. */
const pressFeel = timed(140, 'ease-out')

const axes = ['X', 'Y'] as const

/** A shape that elements ask for, with the selector of those. */
type Asked = OverShape & { readonly select: string }

/**
 * The rig of a cursor on what `select` matches; `shape-1`, `shape-2` ... among the roles ask for other shapes, `figure` is the element that is
 * the cursor: a dot until it was pointed at.
 */
export function expandCursor(given: CursorSettings, select: string, roles: Filled = {}): Rig {
  const { figure } = roles
  const settings: CursorSettings = given.shape === 'element' && figure === undefined ? { ...given, shape: 'dot' } : given
  if (isNative(settings)) return expandNative(settings, select)
  const { shape, system, layer, lateMs } = settings
  const isInside = layer === 'inside'
  const home = isWindow(select) && !isInside ? ':root' : select
  const asked = settings.shapes.flatMap((each): readonly Asked[] => {
    const among = roles[each.id]
    return among === undefined ? [] : [{ ...each, select: among }]
  })
  const hasRing = shape === 'both'
  return rigOf({
    areas: [
      areaOn('ground', home === ':root' ? '' : select, {
        of: isInside ? 'each' : home === ':root' ? 'window' : 'group',
        box: 'live',
        ...(system === 'hidden' ? { except: nativeControls } : {}),
      }),
    ],
    // The window itself is the area's frame.
    channels: channelsOf(settings, asked, isInside || home === ':root' ? 'area' : 'window'),
    knobs: knobsOf(settings, asked),
    tokens: tokensOf(settings, asked),
    outputs: outputsOf(settings, asked),
    parts: partsOf(settings, asked, figure, isInside),
    rules: [...(system === 'hidden' ? hidden(home) : []), ...calm(settings, asked)],
    states: asked.flatMap((each, i) => stateOf(settings, each, i + 1)),
    finePointerOnly: true,
    // What only comes late is no help to those who prefer less motion: they keep the system's own.
    ...(lateMs > 0 && !hasRing ? { notCalm: true } : {}),
  })
}

/** The system's own cursor is seen over what only it can tell of. */
const hidden = (home: string): readonly Rule[] => [
  { select: home, css: { cursor: 'none !important' }, whilePlayed: true },
  { select: `${home} :not(:is(${nativeControls}))`, css: { cursor: 'none !important' }, whilePlayed: true },
  // Of no weight: what the page itself gives them stays.
  { select: `:where(${home} :is(${nativeControls}))`, css: { cursor: 'auto' } },
]

/** Whether a shape is drawn: an element of the page alone is none. */
const isDrawn = ({ shape }: CursorSettings, asked: readonly Asked[]) => shape !== 'element' || asked.length > 0

/** For those who prefer less motion it is another one at once, and nothing runs after it. */
const calm = (settings: CursorSettings, asked: readonly Asked[]): readonly Rule[] => [
  ...(isDrawn(settings, asked) ? [{ select: ':root', css: { transition: 'none' }, isCalm: true, part: 'shape' }] : []),
  ...(settings.shape === 'both' ? [{ select: ':root', css: { display: 'none' }, isCalm: true, part: 'late' }] : []),
]

/** A glide is all but there (99 %) after so many half-lives. */
const settlesIn = Math.log2(100)

/** Whether something of it goes on when the pointer has gone: it is not seen then all the same. */
const isSlow = ({ shape, lateMs, speedPercent, pressPercent }: CursorSettings, asked: readonly Asked[]) =>
  shape === 'both' || lateMs > 0 || speedPercent > 0 || pressPercent !== 100 || outlined(asked).length > 0

/** Where the shapes of asking elements are outlines, the selectors of these. */
const outlined = (asked: readonly Asked[]) => asked.filter(({ shape }) => shape === 'outline').map(({ select }) => select)

function channelsOf(settings: CursorSettings, asked: readonly Asked[], frame: 'area' | 'window'): readonly Channel[] {
  const { shape, lateMs, ringLateMs, speedPercent, pressPercent, blendMs } = settings
  const channel = channelsIn('ground')
  const follows = (id: string, axis: 'X' | 'Y', ms: number) =>
    channel(id, { of: axis === 'X' ? 'xPx' : 'yPx' }, ms > 0 && shape === 'both' ? 'travel' : 'light', late(ms), {
      frame,
      away: { kind: 'hold', pose: 0 },
      ...(ms > 0 ? { seenBy: 'there' } : {}),
    })
  const boxes = outlined(asked)
  const sticks = asked.map(({ shape: each }) => Number(each === 'outline'))
  return [
    ...axes.map((axis) => follows(axis.toLowerCase(), axis, shape === 'both' ? 0 : lateMs)),
    ...(shape === 'both' ? axes.map((axis) => follows(`late${axis}`, axis, ringLateMs)) : []),
    ...(isSlow(settings, asked) ? [channel('there', { of: 'inside' }, 'light', direct, { frame })] : []),
    ...(asked.length > 0 ? [channel('over', { of: 'over', among: asked.map(({ select }) => select) }, 'state', direct, { frame })] : []),
    ...(boxes.length > 0
      ? [
          ...(['overX', 'overY', 'overWidth', 'overHeight'] as const).map((of) =>
            channel(
              of === 'overX' ? 'boxX' : of === 'overY' ? 'boxY' : of === 'overWidth' ? 'wide' : 'tall',
              { of, among: boxes.join(', ') },
              'light',
              direct,
              { frame, away: { kind: 'hold', pose: 0 } },
            ),
          ),
          channel(
            'stuck',
            { of: 'over', among: asked.map(({ select }) => select) },
            'travel',
            { kind: 'glide', halfLifeMs: Math.max(1, blendMs / settlesIn) },
            { frame, curve: { stops: [{ at: 0, value: 0 }, ...sticks.map((value, i) => ({ at: i + 1, value }))] } },
          ),
        ]
      : []),
    ...(speedPercent > 0
      ? [
          channel(
            'speed',
            { of: 'speed' },
            'scale',
            { kind: 'glide', halfLifeMs: 60 },
            {
              frame,
              curve: {
                stops: [
                  { at: 0, value: 0 },
                  { at: 2000, value: 2 },
                ],
              },
            },
          ),
        ]
      : []),
    ...(pressPercent === 100 ? [] : [channel('press', { of: 'pressed' }, 'scale', pressFeel, { frame })]),
  ]
}

function knobsOf(settings: CursorSettings, asked: readonly Asked[]): readonly Knob[] {
  const { shape, speedPercent, pressPercent } = settings
  return [
    ...(isDrawn(settings, asked) ? [knob(settings, 'sizePx')] : []),
    ...(shape === 'both' ? [knob(settings, 'ringPx')] : []),
    ...(usesLine(settings, asked) ? [knob(settings, 'linePx')] : []),
    knob(settings, 'blendMs'),
    ...(speedPercent > 0 ? [knob(settings, 'speedPercent')] : []),
    ...(pressPercent === 100 ? [] : [knob(settings, 'pressPercent')]),
    ...asked.flatMap(({ id, sizePx, shape: own }) =>
      own === 'none'
        ? []
        : [
            {
              id,
              value: sizePx,
              unit: 'px' as const,
              note: own === 'outline' ? 'how far around it the outline is' : 'how large it is over {' + id + '}',
            },
          ],
    ),
  ]
}

const usesLine = ({ shape }: CursorSettings, asked: readonly Asked[]) =>
  shape === 'ring' || shape === 'both' || asked.some(({ shape: own }) => own === 'ring' || own === 'outline')

function tokensOf(settings: CursorSettings, asked: readonly Asked[]): readonly Token[] {
  const { shape, picture } = settings
  return [
    ...(shape === 'picture' || shape === 'element' ? [] : [token(settings, 'colour')]),
    ...(shape === 'picture'
      ? [{ id: 'picture', of: 'picture' as const, value: cssPicture(picture), note: 'the picture of the cursor' }]
      : []),
    ...asked.flatMap(({ id, shape: own, colour, ink, says, text, picture: face }): readonly Token[] => [
      ...(own === 'none' || own === 'picture'
        ? []
        : [{ id: `${id}-colour`, of: 'colour' as const, value: colour, note: 'its colour over {' + id + '}' }]),
      ...(own === 'label' ? [{ id: `${id}-ink`, of: 'colour' as const, value: ink, note: 'the colour of its text there' }] : []),
      ...(own === 'label' && says === 'text'
        ? [{ id: `${id}-text`, of: 'text' as const, value: cssString(text), note: 'what it says there' }]
        : []),
      ...(own === 'picture'
        ? [{ id: `${id}-picture`, of: 'picture' as const, value: cssPicture(face), note: 'its picture over {' + id + '}' }]
        : []),
    ]),
  ]
}

function outputsOf(settings: CursorSettings, asked: readonly Asked[]): readonly Output[] {
  const { shape, speedPercent, pressPercent } = settings
  const hasBoxes = outlined(asked).length > 0
  const grows = [
    ...(speedPercent > 0 ? [{ base: 1, knob: 'speed', channel: 'speed' }] : []),
    ...(pressPercent === 100 ? [] : [{ base: 0, knob: 'pressed', weight: 'press' }]),
  ]
  const ridden = [
    ...(isDrawn(settings, asked) ? [{ part: 'point', channel: '' }] : []),
    ...(shape === 'element' ? [{ part: 'figure', channel: '' }] : []),
    ...(shape === 'both' ? [{ part: 'late', channel: 'late' }] : []),
  ]
  return [
    ...ridden.flatMap(({ part, channel }) => [
      ...axes.flatMap((axis) => [
        outputOn({ part }, sliding(axis), { channel: channel === '' ? axis.toLowerCase() : `${channel}${axis}` }),
        ...(hasBoxes && part === 'point' ? [outputOn({ part }, sliding(axis), { channel: `box${axis}`, weight: 'stuck' })] : []),
      ]),
      ...(isSlow(settings, asked) ? [outputOn({ part }, { on: 'opacity' }, { channel: 'there' })] : []),
    ]),
    ...(hasBoxes
      ? (['wide', 'tall'] as const).map((id) =>
          outputOn({ part: 'shape' }, { on: 'property', name: `--${id}`, unit: 'px', law: 'replace' }, { channel: id }),
        )
      : []),
    ...(isDrawn(settings, asked) ? grows.map((each) => outputOn({ part: 'shape' }, turning('scale'), each)) : []),
  ]
}

const ringCss = (colour: string) => ({ background: 'none', 'box-shadow': `inset 0 0 0 {line} ${colour}` })

const changing = ['width', 'height', 'border-radius', 'background-color', 'box-shadow', 'color', 'opacity']
const transition = changing.map((property) => `${property} {change} ease`).join(', ')

/** What the cursor is where nothing asks for another shape. */
function ownFace({ shape, pointX, pointY }: CursorSettings): Part['css'] {
  if (shape === 'picture')
    return { background: '{picture} center / contain no-repeat', 'border-radius': '0', translate: `-${pointX}% -${pointY}%` }
  if (shape === 'element') return { opacity: '0' }
  return shape === 'ring' ? ringCss('{colour}') : { background: '{colour}' }
}

function partsOf(settings: CursorSettings, asked: readonly Asked[], figure: string | undefined, isInside: boolean): readonly Part[] {
  const { shape, blend } = settings
  const blends: Part['css'] = blend === 'normal' ? {} : { 'mix-blend-mode': blend }
  const home: Part['css'] = isInside ? { position: 'absolute', left: '0', top: '0', 'z-index': '1' } : {}
  const riding = (id: string): Part => ({
    id,
    area: 'ground',
    lives: 'on',
    ...(isInside ? {} : { host: 'top' }),
    css: { ...home, width: '0', height: '0', ...blends },
  })
  const drawn = (id: string, inside: string, css: Part['css']): Part => ({
    id,
    area: 'ground',
    inside,
    css: { position: 'absolute', left: '0', top: '0', translate: '-50% -50%', 'border-radius': '50%', ...css, transition },
  })
  const says = asked.map(({ shape: own, id, says: by }) =>
    own !== 'label' ? null : by === 'text' ? { token: `${id}-text` } : by === 'attribute' ? { attribute: 'data-cursor' } : by,
  )
  const face = drawn('shape', 'point', { width: '{size}', height: '{size}', ...ownFace(settings) })
  return [
    ...(shape === 'both' ? [riding('late'), drawn('ring', 'late', { width: '{ring}', height: '{ring}', ...ringCss('{colour}') })] : []),
    ...(shape === 'element' && figure !== undefined
      ? [{ id: 'figure', area: 'ground', lives: 'on' as const, is: figure, css: { translate: '-50% -50%', ...blends } }]
      : []),
    ...(isDrawn(settings, asked)
      ? [
          riding('point'),
          outlined(asked).length > 0 ? { ...face, holds: { over: 'over', says: asked.map(() => null), isRound: true } } : face,
        ]
      : []),
    ...(says.some((by) => by !== null)
      ? [{ id: 'text', area: 'ground', inside: 'shape', holds: { over: 'over', says }, css: textCss }]
      : []),
  ]
}

/** A few words in the middle of a disc. */
const textCss = {
  position: 'absolute',
  inset: '0',
  display: 'grid',
  'place-content': 'center',
  padding: '6px',
  font: '600 13px/1.15 system-ui, sans-serif',
  'text-align': 'center',
  'overflow-wrap': 'anywhere',
  'text-wrap': 'balance',
  overflow: 'clip',
  'border-radius': 'inherit',
  opacity: '0',
  transition: 'opacity {change} ease',
}

/** What the cursor is like over what asks for the shape of this number. */
function stateOf({ shape: own }: CursorSettings, { id, shape }: Asked, number: number): readonly State[] {
  const state = (part: string, css: State['css']): State => ({
    area: 'ground',
    looks: ['on'],
    zone: { of: 'over', is: [number] },
    to: { part },
    css,
  })
  const size = { width: `{${id}}`, height: `{${id}}`, 'border-radius': '50%' }
  const fill = `{${id}-colour}`
  const css: Readonly<Record<OverShape['shape'], State['css']>> = {
    label: { ...size, background: fill, 'box-shadow': 'none', color: `{${id}-ink}` },
    dot: { ...size, background: fill, 'box-shadow': 'none' },
    ring: { ...size, ...ringCss(fill) },
    outline: {
      width: `calc(var(--wide) + 2 * {${id}})`,
      height: `calc(var(--tall) + 2 * {${id}})`,
      'border-radius': 'var(--radius)',
      ...ringCss(fill),
    },
    picture: { ...size, 'border-radius': '0', background: `{${id}-picture} center / contain no-repeat`, 'box-shadow': 'none' },
    none: { opacity: '0' },
  }
  return [
    state('shape', own === 'element' && shape !== 'none' ? { ...css[shape], opacity: '1' } : css[shape]),
    ...(shape === 'label' ? [state('text', { opacity: '1' })] : []),
    // What the cursor is by itself would lie across what it has become.
    ...(own === 'both' ? [state('ring', { opacity: '0' })] : []),
    ...(own === 'element' ? [state('figure', { opacity: '0' })] : []),
  ]
}
