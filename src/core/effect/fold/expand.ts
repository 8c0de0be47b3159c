// Fold as a rig: two walls that meet at a corner, each a box that cuts off a copy of the heading; both copies slide alike.
import type { Part, Rig } from '../../rig/rig'
import { areaOn, channelsIn, outputOn, rigOf, sliding, turning } from '../build'
import { foldParameters, type FoldSettings } from './settings'

const { knob, token } = foldParameters

/** How far a wall reaches beyond the lines: letters may be taller than a line is high. */
const room = '0.2em'

/** A wall from one share of the heading to the corner, or from the corner on, wide enough for words that slide out. */
const wallCss = {
  position: 'absolute',
  top: `-${room}`,
  bottom: `-${room}`,
  'overflow-x': 'clip',
  'box-sizing': 'border-box',
  padding: 'inherit',
  'border-radius': '0',
  background: '{ground}',
  'user-select': 'none',
  '-webkit-text-fill-color': 'currentcolor',
}
/** The copy in it, as wide as the heading and wrapped alike. */
const wordsCss = { position: 'absolute', top: room, 'box-sizing': 'border-box', padding: 'inherit', 'will-change': 'transform' }

const first = '({corner} + {travel})'
const second = '(1 - {corner} + {travel})'

/** The rig of a fold of the headings that `select` matches. */
export function expandFold(settings: FoldSettings, select: string): Rig {
  const { corner, shadePercent, direction, follow, back, away, pose } = settings
  const channel = channelsIn('heading')
  const lean = corner === 'outer' ? 1 : -1
  const sign = direction === 'with' ? 1 : -1
  const shading: Part[] =
    shadePercent > 0
      ? [
          {
            id: 'shade',
            area: 'heading',
            inside: 'wall-2',
            css: { position: 'absolute', inset: '0', background: '{shade}', opacity: '{dark}' },
          },
        ]
      : []
  const slides = (part: string) => outputOn({ part }, sliding('X', '%'), { factor: 100 * sign, knob: 'travel', channel: 'x' })
  return rigOf({
    areas: [areaOn('heading', select)],
    channels: [channel('x', { of: 'centredX' }, 'travel', follow, { away: { kind: away, pose: pose.x }, going: back ?? undefined })],
    knobs: [
      knob(settings, 'cornerPercent'),
      knob(settings, 'angleDeg'),
      knob(settings, 'travelPercent'),
      ...(shadePercent > 0 ? [knob(settings, 'shadePercent')] : []),
    ],
    outputs: [
      outputOn({ part: 'wall-1' }, turning('skewY'), { factor: -lean, knob: 'angle' }),
      outputOn({ part: 'wall-2' }, turning('skewY'), { factor: lean, knob: 'angle' }),
      slides('words-1'),
      slides('words-2'),
    ],
    parts: [
      {
        id: 'wall-1',
        area: 'heading',
        css: { ...wallCss, left: 'calc(-100% * {travel})', width: `calc(100% * ${first})`, 'transform-origin': '100% 50%' },
      },
      {
        id: 'words-1',
        area: 'heading',
        inside: 'wall-1',
        holds: 'copy',
        css: { ...wordsCss, left: `calc(100% * {travel} / ${first})`, width: `calc(100% / ${first})` },
      },
      {
        id: 'wall-2',
        area: 'heading',
        css: { ...wallCss, left: 'calc(100% * {corner})', width: `calc(100% * ${second})`, 'transform-origin': '0 50%' },
      },
      {
        id: 'words-2',
        area: 'heading',
        inside: 'wall-2',
        holds: 'copy',
        css: { ...wordsCss, left: `calc(-100% * {corner} / ${second})`, width: `calc(100% / ${second})` },
      },
      ...shading,
    ],
    // The heading itself keeps its place, is read out and can be selected; what is seen of it are the walls.
    // Words that slide out of it do not widen the page (CSS Containment Module Level 2: overflow is ink then).
    rules: [{ select, whilePlayed: true, css: { '-webkit-text-fill-color': 'transparent', contain: 'layout' } }],
    tokens: [...(shadePercent > 0 ? [token(settings, 'shade')] : []), token(settings, 'ground')],
  })
}
