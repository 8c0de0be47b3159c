// Note as a rig: an element that counts as one place with its anchor, laid beside it by the stylesheet, which comes and goes by a look.
import type { Rig, State } from '../../rig/rig'
import { areaOn, comingFeel, rigOf, timed, whileOn } from '../build'
import type { Filled } from '../kind'
import { noteParameters, type NoteSettings } from './settings'

const { knob } = noteParameters

type Css = State['css']

/** The part of the window round the anchor that a note fills (CSS Anchor Positioning Module Level 1, `position-area`). */
function areaOf({ side, align }: NoteSettings): string {
  const isLevel = side === 'left' || side === 'right'
  if (align === 'center') return side
  return `${side} span-${isLevel ? (align === 'start' ? 'bottom' : 'top') : align === 'start' ? 'right' : 'left'}`
}

/** The side opposite each: that of a note which faces its anchor. */
export const opposite = { top: 'bottom', bottom: 'top', left: 'right', right: 'left' } as const

/** So far away from its anchor (`sign` 1), or toward it. */
function travelled({ side, travelPx }: NoteSettings, sign: 1 | -1): Css {
  if (travelPx === 0) return {}
  const isNegative = (side === 'top' || side === 'left') === (sign === 1)
  const way = isNegative ? 'calc({travel} * -1)' : '{travel}'
  return { translate: side === 'left' || side === 'right' ? `${way} 0` : `0 ${way}` }
}

/** The rig of notes: `select` is what they are about; `note` among the roles is one for each, in their order. */
export function expandNote(settings: NoteSettings, select: string, { note }: Filled = {}): Rig {
  const { side, align, gapPx, travelPx, leaves, waitMs, widthPx, atMostOne, tap, display, noScript, comeMs, goMs } = settings
  if (note === undefined || note === select) return rigOf({ areas: [areaOn('anchor', select)] })
  const to = { linked: note }
  const rest: Css = travelPx > 0 ? { translate: '0 0' } : {}
  const lies: Css = {
    position: 'fixed',
    // Where the browser's stylesheets can lay it out, the script leaves these alone.
    inset: 'var(--note-top, auto) auto auto var(--note-left, auto)',
    margin: '0',
    [`margin-${opposite[side]}`]: 'var(--note-gap, {gap})',
    'position-anchor': 'var(--note-anchor)',
    'position-area': areaOf(settings),
    'position-try-fallbacks': side === 'top' || side === 'bottom' ? 'flip-block' : 'flip-inline',
    'position-visibility': 'anchors-visible',
    'z-index': '10',
    ...(widthPx > 0 ? { 'max-inline-size': 'min({width}, 100vw)' } : {}),
  }
  const all: State['looks'] = ['off', ...whileOn]
  return rigOf({
    areas: [
      areaOn('anchor', select, {
        box: 'live',
        pointer: 'any',
        touch: 'tap',
        joined: note,
        describes: true,
        placed: { side, align, gapPx },
        looks: { goDelayMs: waitMs, atMostOne, keys: true, escape: true, ...(tap === 'opens' ? { opensByTap: true } : {}) },
      }),
    ],
    knobs: [
      knob(settings, 'gapPx'),
      ...(travelPx > 0 ? [knob(settings, 'travelPx')] : []),
      ...(widthPx > 0 ? [knob(settings, 'widthPx')] : []),
    ],
    rules: noScript === 'hidden' ? [{ select: note, css: { display: 'none' } }] : [],
    states: [
      { area: 'anchor', looks: all, to: 'self', css: { 'anchor-name': 'var(--note-anchor)' } },
      { area: 'anchor', looks: all, to, css: lies },
      {
        area: 'anchor',
        looks: ['off'],
        to,
        css: { display: 'none', opacity: '0', ...travelled(settings, leaves === 'on' ? 1 : -1) },
        ways: [{ from: 'any', feel: timed(goMs, 'cubic-bezier(0.4, 0, 0.8, 0.4)'), id: 'goes', note: 'how it goes' }],
      },
      {
        area: 'anchor',
        looks: whileOn,
        to,
        css: { display, opacity: '1', ...rest },
        startsFrom: { opacity: '0', ...travelled(settings, -1) },
        ways: [{ from: 'any', feel: comingFeel(comeMs), id: 'comes', note: 'how it comes' }],
      },
    ],
  })
}
