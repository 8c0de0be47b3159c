// Magnifier as a rig: a lens where the pointer is, and in it what it lies on, larger, about that very point.
import type { Area, Channel, Knob, Output, Part, Rig, State } from '../../rig/rig'
import { areaOn, channelsIn, comingFeel, fading, outputOn, rigOf, sliding, turning, whileOn } from '../build'
import { magnifierParameters, type MagnifierSettings } from './settings'

const { knob, token } = magnifierParameters

/** Whether its width is told apart from its height, and its corners by px. */
export const isWide = ({ shape }: Pick<MagnifierSettings, 'shape'>): boolean => shape !== 'circle'

/** A step of an arrow key, as a share of the area. */
const arrowStep = 0.02

function areaOf({ finger, keyboard }: MagnifierSettings, select: string): Area {
  const isReached = keyboard === 'reached'
  return areaOn('area', select, {
    pointer: finger === 'drag' ? 'any' : 'fine',
    touch: finger === 'drag' ? 'drag' : 'none',
    looks: { goDelayMs: 0, atMostOne: false, keys: isReached, escape: true },
    ...(isReached ? { arrowKeys: arrowStep } : {}),
  })
}

function knobsOf(settings: MagnifierSettings): readonly Knob[] {
  const { rimPx, highlightPercent, shadowPx, finger } = settings
  return [
    knob(settings, 'zoom'),
    knob(settings, 'sizePx'),
    ...(isWide(settings) ? [knob(settings, 'widePercent'), knob(settings, 'cornersPx')] : []),
    ...(rimPx > 0 ? [knob(settings, 'rimPx')] : []),
    ...(highlightPercent > 0 ? [knob(settings, 'highlightPercent')] : []),
    ...(shadowPx > 0 ? [knob(settings, 'shadowPx')] : []),
    ...(finger === 'drag' ? [knob(settings, 'besidePx')] : []),
  ]
}

function partsOf(settings: MagnifierSettings): readonly Part[] {
  const { zoom, rimPx, highlightPercent, shadowPx, sharper } = settings
  const width = isWide(settings) ? 'calc({wide} * {size})' : '{size}'
  const background =
    'linear-gradient(150deg, rgb(255 255 255 / {highlight}), transparent 45%, transparent 80%, rgb(255 255 255 / calc({highlight} / 3)))'
  return [
    // What is moved is moved and nothing else, so that no more is worked out anew.
    { id: 'hand', area: 'area', lives: 'on', css: { position: 'absolute', 'z-index': '3', left: '50%', top: '50%' } },
    {
      id: 'lens',
      area: 'area',
      inside: 'hand',
      css: {
        position: 'absolute',
        left: isWide(settings) ? 'calc({wide} * {size} / -2)' : 'calc({size} / -2)',
        top: 'calc({size} / -2)',
        width,
        height: '{size}',
        overflow: 'clip',
        background: 'var(--ground)',
        'border-radius': isWide(settings) ? '{corners}' : '50%',
        ...(shadowPx > 0 ? { 'box-shadow': '0 calc({shadow} / 3) {shadow} rgb(0 0 0 / 0.35)' } : {}),
      },
    },
    { id: 'near', area: 'area', inside: 'lens', css: { position: 'absolute', inset: '0' } },
    {
      id: 'glass',
      area: 'area',
      inside: 'near',
      holds: { copy: 'live', zoom, ...(sharper === '' ? {} : { sharper }) },
      css: { position: 'absolute', left: '50%', top: '50%' },
    },
    ...(rimPx > 0 || highlightPercent > 0
      ? [
          {
            id: 'rim',
            area: 'area',
            inside: 'lens',
            css: {
              position: 'absolute',
              inset: '0',
              'border-radius': 'inherit',
              ...(rimPx > 0 ? { border: '{rim} solid {rim-colour}' } : {}),
              ...(highlightPercent > 0 ? { background } : {}),
            },
          },
        ]
      : []),
  ]
}

/** Where the lens is, whether it is seen, what two fingers make of it, and on which side of a finger it lies. */
function channelsOf({
  zoom,
  zooms,
  leastZoom,
  mostZoom,
  finger,
  sizePx,
  besidePx,
  comeMs,
  goMs,
  follow,
}: MagnifierSettings): readonly Channel[] {
  const channel = channelsIn('area')
  const [least, greatest] = [Math.min(leastZoom, zoom) / zoom, Math.max(mostZoom, zoom) / zoom]
  return [
    channel('here', { of: 'look', values: { off: 0, on: 1 } }, 'light', comingFeel(comeMs), { going: comingFeel(goMs) }),
    ...(['x', 'y'] as const).map((axis) =>
      channel(axis, { of: `${axis}Px`, from: 'centre' }, 'light', follow, { away: { kind: 'hold', pose: 0 }, seenBy: 'here' }),
    ),
    ...(zooms === 'zoom'
      ? [
          channel(
            'pinch',
            { of: 'pinch', start: 1, least, greatest },
            'state',
            { kind: 'glide', halfLifeMs: 40 },
            { away: { kind: 'hold', pose: 1 } },
          ),
        ]
      : []),
    ...(finger === 'drag'
      ? [
          channel(
            'finger',
            { of: 'finger', roomPx: sizePx + besidePx + 20 },
            'state',
            { kind: 'glide', halfLifeMs: 40 },
            { away: { kind: 'hold', pose: 0 } },
          ),
        ]
      : []),
  ]
}

function outputsOf({ zooms, finger }: MagnifierSettings): readonly Output[] {
  const [hand, near, glass] = [{ part: 'hand' }, { part: 'near' }, { part: 'glass' }]
  return [
    outputOn(hand, fading, { channel: 'here' }),
    ...(['x', 'y'] as const).flatMap((axis) => {
      const slot = sliding(axis === 'x' ? 'X' : 'Y')
      return [outputOn(hand, slot, { channel: axis }), outputOn(glass, slot, { channel: axis, factor: -1 })]
    }),
    ...(finger === 'drag'
      ? [
          outputOn(hand, sliding('Y'), { knob: 'size', channel: 'finger', factor: 0.5 }),
          outputOn(hand, sliding('Y'), { knob: 'beside', channel: 'finger' }),
        ]
      : []),
    outputOn(near, turning('scale'), { knob: 'zoom', ...(zooms === 'zoom' ? { channel: 'pinch' } : {}) }),
  ]
}

/** The rig of a magnifier over what `select` matches. */
export function expandMagnifier(settings: MagnifierSettings, select: string): Rig {
  const { arrow, keyboard, name, rimPx } = settings
  const to = 'self' as const
  const states: readonly State[] = [
    ...(arrow === 'gone' ? [{ area: 'area', looks: whileOn, to, css: { cursor: 'none' } }] : []),
    ...(keyboard === 'reached'
      ? [
          {
            area: 'area',
            looks: ['off', ...whileOn] as State['looks'],
            to,
            css: {},
            attributes: { tabindex: '0', ...(name === '' ? {} : { role: 'group', 'aria-label': name }) },
            unless: 'a[href], button, input, select, textarea, summary, [tabindex]',
          },
        ]
      : []),
  ]
  return rigOf({
    areas: [areaOf(settings, select)],
    channels: channelsOf(settings),
    knobs: knobsOf(settings),
    tokens: rimPx > 0 ? [token(settings, 'rimColour')] : [],
    outputs: outputsOf(settings),
    parts: partsOf(settings),
    states,
  })
}
