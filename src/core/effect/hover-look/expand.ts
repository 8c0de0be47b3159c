// Hover look as a rig: declarations by look, with a way into each. CSS tells it alone wherever it can.
import { springAsTimed } from '../../feel/as-timed'
import type { Timed } from '../../feel/feel'
import { readDeclarations } from '../../rig/css-text'
import type { Channel, Output, Rig, Rule, State } from '../../rig/rig'
import { asOneSelector, targetSelect } from '../../rig/resolve'
import { channelsIn, comingFeel, hoverOn, outputOn, rigOf, whileOn } from '../build'
import type { Filled } from '../kind'
import { hoverLookParameters, type HoverLookSettings } from './settings'

const { knob, token } = hoverLookParameters

type Css = State['css']

/** Where a piece stands among the others, from 0; how much later it sets out by where the pointer came in. */
const [orderProperty, laterProperty] = ['--piece-order', '--piece-later']

function feelOf(way: HoverLookSettings['way'], durationMs: number, overshootPercent: number): Timed {
  return way === 'spring' ? springAsTimed({ settleMs: durationMs, overshoot: overshootPercent / 100 }) : comingFeel(durationMs)
}

/** Why there is a script, where there is one; undefined where CSS tells all of it. */
export function reasonOf({ stillCss, staggerBy, release }: HoverLookSettings, roles: Filled = {}): string | undefined {
  if (stillCss.trim() !== '') return 'CSS cannot tell that the pointer stands still'
  if (roles.pieces !== undefined && staggerBy === 'pointer') return 'CSS cannot tell how far the pieces are from the pointer'
  if (release === 'own') return 'CSS cannot tell what was before'
  return roles.linked === undefined ? undefined : 'CSS cannot tell which is linked to which'
}

/** What its look is, of what is told by numbers and colours; the size while it is pressed apart. */
function lookOf({ risePx, growPercent, ground, ink, shadowPx }: HoverLookSettings): Css {
  return {
    ...(risePx === 0 ? {} : { translate: '0 calc({rise} * -1)' }),
    ...(growPercent === 100 ? {} : { scale: '{grow}' }),
    ...(ground === 'own' ? { 'background-color': '{ground}' } : {}),
    ...(ink === 'own' ? { color: '{ink}' } : {}),
    ...(shadowPx === 0 ? {} : { 'box-shadow': '0 calc({shadow} * 0.4) {shadow} rgb(0 0 0 / 0.24)' }),
  }
}

/** Whether the element itself looks different while the pointer is on it. */
export const hasOwnLook = (settings: HoverLookSettings): boolean =>
  Object.keys(lookOf(settings)).length > 0 ||
  settings.others === 'dim' ||
  [settings.onCss, settings.pressedCss, settings.stillCss].some((css) => css.trim() !== '')

/** The rules by which pieces know their order, each in what holds it. */
const orderOf = (select: string, pieces: string, count: number): readonly Rule[] =>
  Array.from({ length: count - 1 }, (_, i) => ({
    select: `${targetSelect(select, { within: pieces })}:nth-child(${i === count - 2 ? `n + ${count}` : i + 2} of ${pieces})`,
    css: { [orderProperty]: String(i + 1) },
  }))

/** How far each piece is from where the pointer is, as a time. */
function awayFrom(pieces: string): { readonly channel: Channel; readonly output: Output } {
  const channel = channelsIn('element')(
    'away',
    { of: 'distance', from: 'centre' },
    'state',
    { kind: 'direct' },
    { frame: { each: pieces }, away: { kind: 'hold', pose: 0 } },
  )
  const slot = { on: 'property', name: laterProperty, unit: 'ms', law: 'replace' } as const
  return { channel, output: outputOn('self', slot, { factor: 0.01, knob: 'stagger', channel: 'away' }) }
}

type Looks = State['looks']
type Way = NonNullable<State['ways']>[number]

/** What its elements are like in some looks, and the ways there. */
const state = (looks: Looks, to: State['to'], css: Css, ways: readonly Way[], given: Partial<State> = {}): State => ({
  area: 'element',
  looks,
  to,
  css,
  ways,
  ...given,
})

/** The ways that a designer may time. */
function waysOf({ way, goWay, comeMs, goMs, pressMs, releaseMs, overshootPercent }: HoverLookSettings) {
  const towards = (id: string, note: string, feel: Timed, from: Way['from'] = 'any'): Way => ({ from, feel, id, note })
  return {
    comes: towards('comes', 'how it comes', feelOf(way, comeMs, overshootPercent)),
    goes: towards('goes', 'how it goes', feelOf(goWay, goMs, overshootPercent)),
    pressed: towards('pressed', 'how it is pressed', comingFeel(pressMs)),
    released: towards('released', 'how it comes back from that', feelOf(way, releaseMs, overshootPercent), 'pressed'),
  }
}

const declared = (css: string): Css => readDeclarations(css) ?? {}

const hasStill = ({ stillCss }: HoverLookSettings) => Object.keys(declared(stillCss)).length > 0

/** Its own looks, and what the others do meanwhile. */
function ownStates(settings: HoverLookSettings, on: Css): readonly State[] {
  const { pressPercent, pressedCss, stillCss, others, release } = settings
  const { comes, goes, pressed, released } = waysOf(settings)
  return [
    state(['off'], 'self', {}, [goes]),
    state(hasStill(settings) ? ['on'] : ['on', 'still'], 'self', on, release === 'own' ? [released, comes] : [comes]),
    ...(hasStill(settings) ? [state(['still'], 'self', { ...on, ...declared(stillCss) }, [comes])] : []),
    state(['pressed'], 'self', { ...on, ...(pressPercent === 100 ? {} : { scale: '{press}' }), ...declared(pressedCss) }, [pressed]),
    ...(others === 'dim' ? [state(whileOn, 'self', { opacity: '{others}' }, [comes], { whose: 'others' })] : []),
  ]
}

/** How its pieces come, each later than the one before it or nearer to the pointer. */
function pieceStates(settings: HoverLookSettings, pieces: string, isByPointer: boolean): readonly State[] {
  const { fades, pieceRisePx, staggerMs } = settings
  const { comes, goes } = waysOf(settings)
  const seen = (opacity: string, translate: string): Css => ({ ...(fades ? { opacity } : {}), ...(pieceRisePx === 0 ? {} : { translate }) })
  const later = isByPointer ? `var(${laterProperty}, 0ms)` : `calc(var(${orderProperty}, 0) * {stagger})`
  const given = staggerMs > 0 ? { later } : {}
  return [
    state(['off'], { within: pieces }, seen('0', '0 {piece-rise}'), [goes], given),
    state(whileOn, { within: pieces }, seen('1', '0 0'), [comes], given),
  ]
}

/** What is linked to it: it appears with it, or does the same. */
function linkedStates(settings: HoverLookSettings, linked: string, on: Css): readonly State[] {
  const { comes, goes } = waysOf(settings)
  const appears = settings.linked === 'appears'
  return [
    state(['off'], { linked }, appears ? { opacity: '0' } : {}, [goes]),
    state(whileOn, { linked }, appears ? { opacity: '1' } : on, [comes]),
  ]
}

/** What rises from under the pointer would be off, fall back, and be on again: the edge that it leaves is kept. */
function holdingRules({ risePx, hold }: HoverLookSettings, select: string): readonly Rule[] {
  if (risePx === 0 || hold === 'none') return []
  const inset = risePx > 0 ? '0 0 calc({rise} * -1)' : '{rise} 0 0'
  return [
    { select: `:where(${asOneSelector(select)})`, css: { position: 'relative' } },
    { select: `${asOneSelector(select)}:hover::${hold}`, css: { content: "''", position: 'absolute', inset, 'z-index': '-1' } },
  ]
}

/** The rig of a hover look of what `select` matches; `pieces` among the roles set out one after another, `linked` goes with it elsewhere. */
export function expandHoverLook(settings: HoverLookSettings, select: string, { pieces, linked }: Filled = {}): Rig {
  const { risePx, growPercent, pressPercent, shadowPx, others, staggerBy, staggerMs, pieceRisePx, focusCss, ground, ink, stillMs } =
    settings
  const on: Css = { ...lookOf(settings), ...declared(settings.onCss) }
  const focus = declared(focusCss)
  const isStaggered = pieces !== undefined && staggerMs > 0
  const byPointer = isStaggered && staggerBy === 'pointer' ? awayFrom(pieces) : undefined
  return rigOf({
    areas: [
      hoverOn('element', select, {
        looks: { goDelayMs: 0, atMostOne: false, keys: settings.keys === 'on', ...(hasStill(settings) ? { stillMs } : {}) },
      }),
    ],
    channels: byPointer ? [byPointer.channel] : [],
    outputs: byPointer ? [byPointer.output] : [],
    knobs: [
      ...(risePx === 0 ? [] : [knob(settings, 'risePx')]),
      ...(growPercent === 100 ? [] : [knob(settings, 'growPercent')]),
      ...(pressPercent === 100 ? [] : [knob(settings, 'pressPercent')]),
      ...(shadowPx === 0 ? [] : [knob(settings, 'shadowPx')]),
      ...(others === 'dim' ? [knob(settings, 'othersPercent')] : []),
      ...(pieces === undefined || pieceRisePx === 0 ? [] : [knob(settings, 'pieceRisePx')]),
      ...(isStaggered ? [knob(settings, 'staggerMs')] : []),
    ],
    rules: [
      ...holdingRules(settings, select),
      ...(Object.keys(focus).length > 0 ? [{ select: `${asOneSelector(select)}:focus-visible`, css: focus }] : []),
      ...(isStaggered && !byPointer ? orderOf(select, pieces, settings.pieces) : []),
    ],
    states: [
      ...ownStates(settings, on),
      ...(pieces === undefined ? [] : pieceStates(settings, pieces, byPointer !== undefined)),
      ...(linked === undefined ? [] : linkedStates(settings, linked, on)),
    ],
    tokens: [...(ground === 'own' ? [token(settings, 'groundColour')] : []), ...(ink === 'own' ? [token(settings, 'inkColour')] : [])],
  })
}
