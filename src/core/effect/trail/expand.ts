// Trail as a rig: pieces behind the pointer, as elements or on one canvas, or left behind for a while.
import type { Feel } from '../../feel/feel'
import { cssPicture } from '../../rig/css-text'
import type { Channel, Knob, Output, Part, Rig, State, Token } from '../../rig/rig'
import { areaOn, channelsIn, comingFeel, coverCss, isWindow, outputOn, rigOf, timed, whileOn } from '../build'
import { mostElements, trailParameters, type TrailSettings } from './settings'

const { knob, token } = trailParameters

/** A picture of the web is drawn as it is; a text is a hole through which its colour is seen. */
const isMasked = ({ shape }: TrailSettings) => shape === 'text'

/** Whether the pieces are painted on a canvas: a ribbon, or more dots than a page should hold. */
export const isPainted = ({ law, shape, pieces }: TrailSettings): boolean =>
  law !== 'dropped' && (shape === 'ribbon' || (shape === 'dots' && pieces > mostElements))

/** How many pieces there are: of elements no more than a page should hold. */
export const countOf = (settings: TrailSettings): number =>
  isPainted(settings) ? settings.pieces : Math.min(settings.pieces, mostElements)

/** What they do at rest: what is painted does not fizz, it fades. */
export const restOf = (settings: TrailSettings): TrailSettings['rest'] =>
  settings.rest === 'fizz' && isPainted(settings) ? 'fade' : settings.rest

/** Whether it is another one once the pointer rests. */
const rests = ({ law, rest }: TrailSettings) => law !== 'dropped' && rest !== 'gather'

/** The rig of a trail over what `select` matches: the whole window, where that is the page. */
export function expandTrail(settings: TrailSettings, select: string): Rig {
  const { layer, calm, restMs } = settings
  const isInside = layer === 'inside'
  const isWhole = isWindow(select) && !isInside
  return rigOf({
    areas: [
      areaOn('ground', isWhole ? '' : select, {
        of: isInside ? 'each' : isWhole ? 'window' : 'group',
        box: 'live',
        ...(rests(settings) ? { looks: { goDelayMs: 0, stillMs: restMs, atMostOne: false, keys: false } } : {}),
      }),
    ],
    channels: channelsOf(settings, isInside || isWhole ? 'area' : 'window'),
    knobs: knobsOf(settings),
    tokens: tokensOf(settings),
    outputs: outputsOf(settings),
    parts: partsOf(settings, isInside),
    states: rests(settings) ? statesOf(settings) : [],
    finePointerOnly: true,
    ...(calm === 'off' ? { notCalm: true } : {}),
  })
}

function channelsOf(settings: TrailSettings, frame: 'area' | 'window'): readonly Channel[] {
  const { law, lateMs, comeMs, goMs, calm } = settings
  const channel = channelsIn('ground')
  // What plays for those who prefer less motion is not held still for them.
  const group = calm === 'on' ? 'light' : 'travel'
  // Where looks tell of rest, they tell of coming and going too.
  const here = rests(settings)
    ? channel('here', { of: 'inside' }, 'light', { kind: 'direct' }, { frame })
    : channel('here', { of: 'inside' }, 'light', comingFeel(comeMs), { going: comingFeel(goMs), frame })
  if (law === 'dropped') return [here]
  const chain = countOf(settings)
  // Each link is behind the one before by half-life / ln 2.
  const feel: Feel = law === 'chain' ? { kind: 'glide', halfLifeMs: lateMs * Math.LN2 } : { kind: 'direct' }
  return [
    ...(['x', 'y'] as const).map((axis) =>
      channel(axis, law === 'chain' ? { of: `${axis}Px` } : { of: 'past', axis, lagMs: lateMs }, group, feel, {
        frame,
        chain,
        away: { kind: 'hold', pose: 0 },
        ...(law === 'chain' ? { seenBy: 'here' } : {}),
      }),
    ),
    // After those that ask whether it was there: by now it is.
    here,
  ]
}

/** Whether pieces rise, spread and swell: those that are left behind, and those that fizz. */
export const rises = (settings: TrailSettings): boolean => settings.law === 'dropped' || restOf(settings) === 'fizz'

function knobsOf(settings: TrailSettings): readonly Knob[] {
  const { law, turnDeg, endPercent } = settings
  const isLeft = law === 'dropped'
  return [
    knob(settings, 'sizePx'),
    ...(isLeft ? [] : [knob(settings, 'endPx')]),
    ...(isLeft || isPainted(settings) || endPercent === 100 ? [] : [knob(settings, 'endPercent')]),
    ...(turnDeg === 0 || isPainted(settings) ? [] : [knob(settings, 'turnDeg')]),
    ...(rises(settings) ? [knob(settings, 'risePx'), knob(settings, 'spreadPx'), knob(settings, 'swellPercent')] : []),
  ]
}

function tokensOf(settings: TrailSettings): readonly Token[] {
  const { shape, picture } = settings
  if (shape === 'picture') return [{ id: 'picture', of: 'picture', value: cssPicture(picture), note: 'the picture of each piece' }]
  return [token(settings, 'colour'), token(settings, 'endColour')]
}

function outputsOf(settings: TrailSettings): readonly Output[] {
  const places: readonly Output[] =
    settings.law === 'dropped' || isPainted(settings)
      ? []
      : (['x', 'y'] as const).map((axis) => outputOn({ part: 'piece' }, { on: 'slide', axis }, { channel: axis }))
  return [...(rests(settings) ? [] : [outputOn({ part: 'pieces' }, { on: 'opacity' }, { channel: 'here' })]), ...places]
}

/** A text as a picture of which only the shape counts. */
function maskOf(text: string): string {
  const size = Math.min(90, Math.round(160 / [...text].length))
  const escaped = text.replaceAll('&', '&amp;').replaceAll('<', '&lt;')
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><text x="50" y="52" font-size="${size}" font-family="system-ui, sans-serif" text-anchor="middle" dominant-baseline="central">${escaped}</text></svg>`
  return `url("data:image/svg+xml,${encodeURIComponent(svg).replaceAll("'", '%27')}") center / contain no-repeat`
}

/** How far along the trail a piece is, 0..1. */
const shareOf = (count: number) => `{index} / ${Math.max(1, count - 1)}`

/** What each piece is like by its number. */
function faceOf(settings: TrailSettings): Part['css'] {
  const { shape, text, law, endPercent, turnDeg } = settings
  const share = shareOf(countOf(settings))
  const isLeft = law === 'dropped'
  const colour = isLeft
    ? // Each a little other, the same with every visit.
      'color-mix(in oklab, {colour}, {end-colour} calc(50% + 50% * sin({index} * 137deg)))'
    : `color-mix(in oklab, {colour}, {end-colour} calc(100% * ${share}))`
  return {
    '--piece': isLeft ? '{size}' : `calc({size} + ({end} - {size}) * ${share})`,
    width: 'var(--piece)',
    height: 'var(--piece)',
    margin: 'calc(var(--piece) / -2)',
    ...(shape === 'picture' ? { background: '{picture} center / contain no-repeat' } : { background: colour }),
    ...(isMasked(settings) ? { mask: maskOf(text) } : shape === 'picture' ? {} : { 'border-radius': '50%' }),
    ...(isLeft || endPercent === 100 ? {} : { opacity: `calc(1 + ({faint} - 1) * ${share})` }),
    ...(turnDeg === 0 ? {} : { transform: turned }),
  }
}

/** By its place in the trail. */
const turned = 'rotate(calc({index} * {turn}))'

/** Up, to one side or the other by its number, and larger, while it is gone. */
const gone = ({ seed, turnDeg, law }: TrailSettings): Part['css'] => ({
  transform: `translate(calc({spread} * sin({index} * 137deg${seed === 0 ? '' : ` + ${seed}deg`})), calc({rise} * -1))${turnDeg === 0 || law !== 'dropped' ? '' : ` ${turned}`} scale({swell})`,
  opacity: '0',
})

function partsOf(settings: TrailSettings, isInside: boolean): readonly Part[] {
  const { law, shape, lifeMs, everyPx, blend, pieces } = settings
  const home: Part = {
    id: 'pieces',
    area: 'ground',
    ...(rests(settings) ? {} : { lives: 'on' }),
    ...(isInside ? {} : { host: 'top' }),
    css: {
      ...(rests(settings) ? { opacity: '0' } : {}),
      ...(isInside ? coverCss : { width: '0', height: '0' }),
      ...(blend === 'normal' ? {} : { 'mix-blend-mode': blend }),
    },
  }
  const placed = { position: 'absolute', left: '0', top: '0' }
  if (isPainted(settings))
    return [
      home,
      {
        id: 'canvas',
        area: 'ground',
        inside: 'pieces',
        paints: { x: 'x', y: 'y', as: shape === 'ribbon' ? 'ribbon' : 'dots', sizes: ['size', 'end'], colours: ['colour', 'end-colour'] },
        css: placed,
      },
    ]
  if (law === 'dropped')
    return [
      home,
      {
        id: 'piece',
        area: 'ground',
        inside: 'pieces',
        lives: { every: { px: everyPx }, forMs: lifeMs, atMost: Math.min(60, pieces), to: gone(settings), easing: 'ease-out' },
        css: faceOf(settings),
      },
    ]
  // What is moved is moved and nothing else, so that no more is worked out anew.
  return [
    home,
    { id: 'piece', area: 'ground', inside: 'pieces', count: countOf(settings), css: placed },
    { id: 'face', area: 'ground', inside: 'piece', drawn: 'before', css: { ...placed, ...faceOf(settings) } },
  ]
}

const away: State['looks'] = ['off']

function statesOf(settings: TrailSettings): readonly State[] {
  const { lifeMs, comeMs, goMs } = settings
  const fades = (part: string, looks: State['looks'], opacity: string | undefined, ms: number): State => ({
    area: 'ground',
    looks,
    to: { part },
    css: opacity === undefined ? {} : { opacity },
    ways: [{ from: 'any', feel: timed(ms, 'ease') }],
  })
  const comes = [fades('pieces', whileOn, '1', comeMs), fades('pieces', away, '0', goMs)]
  if (restOf(settings) === 'fizz')
    return [
      ...comes,
      {
        area: 'ground',
        looks: ['still'],
        to: { part: 'piece' },
        css: {},
        animation: { to: gone(settings), forMs: lifeMs, laterMs: Math.round(lifeMs / countOf(settings)), easing: 'ease-in' },
      },
    ]
  const part = isPainted(settings) ? 'canvas' : 'piece'
  return [...comes, fades(part, ['still'], '0', lifeMs), fades(part, ['off', 'on', 'pressed'], undefined, comeMs)]
}
