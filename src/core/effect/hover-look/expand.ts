// Hover look as a rig: declarations by look, with a way into each. CSS tells it alone wherever it can.
import { springAsTimed } from '../../feel/as-timed'
import type { Timed } from '../../feel/feel'
import { readDeclarations } from '../../rig/css-text'
import type { Channel, Output, Rig, Rule, State } from '../../rig/rig'
import { asOneSelector, targetSelect } from '../../rig/resolve'
import { channelsIn, hoverOn, outputOn, rigOf } from '../build'
import type { Filled } from '../kind'
import { hoverLookParameters, type HoverLookSettings } from './settings'

const { knob, token } = hoverLookParameters

type Css = State['css']

/** Where a piece stands among the others, from 0; how much later it sets out by where the pointer came in. */
const [orderProperty, laterProperty] = ['--piece-order', '--piece-later']

function timed(way: HoverLookSettings['way'], durationMs: number, overshootPercent: number): Timed {
  return way === 'spring'
    ? springAsTimed({ settleMs: durationMs, overshoot: overshootPercent / 100 })
    : { kind: 'timed', durationMs, easing: 'cubic-bezier(0.2, 0.7, 0.2, 1)', delayMs: 0 }
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

/** The rig of a hover look of what `select` matches; `pieces` among the roles set out one after another, `linked` goes with it elsewhere. */
export function expandHoverLook(settings: HoverLookSettings, select: string, roles: Filled = {}): Rig {
  const { pressPercent, risePx, others, staggerBy, staggerMs, fades, pieceRisePx, way, goWay, overshootPercent, release, hold } = settings
  const { pieces, linked } = roles
  const [more, pressed, still, focus] = [settings.onCss, settings.pressedCss, settings.stillCss, settings.focusCss].map(
    (css) => readDeclarations(css) ?? {},
  )
  const on: Css = { ...lookOf(settings), ...more }
  const presses: Css = { ...(pressPercent === 100 ? {} : { scale: '{press}' }), ...pressed }
  const isStill = Object.keys(still ?? {}).length > 0
  type Way = NonNullable<State['ways']>[number]
  const comes: Way = { from: 'any', feel: timed(way, settings.comeMs, overshootPercent), id: 'comes', note: 'how it comes' }
  const goes: Way = { from: 'any', feel: timed(goWay, settings.goMs, overshootPercent), id: 'goes', note: 'how it goes' }
  const isPressed: Way = { from: 'any', feel: timed('eased', settings.pressMs, 0), id: 'pressed', note: 'how it is pressed' }
  const released: Way = {
    from: 'pressed',
    feel: timed(way, settings.releaseMs, overshootPercent),
    id: 'released',
    note: 'how it comes back from that',
  }
  const state = (looks: readonly State['looks'][number][], to: State['to'], css: Css, own: readonly Way[], given: Partial<State> = {}) => ({
    area: 'element',
    looks,
    to,
    css,
    ways: own,
    ...given,
  })
  const self: readonly State[] = [
    state(['off'], 'self', {}, [goes]),
    state(isStill ? ['on'] : ['on', 'still'], 'self', on, release === 'own' ? [released, comes] : [comes]),
    ...(isStill ? [state(['still'], 'self', { ...on, ...still }, [comes])] : []),
    state(['pressed'], 'self', { ...on, ...presses }, [isPressed]),
    ...(others === 'dim' ? [state(['on', 'pressed', 'still'], 'self', { opacity: '{others}' }, [comes], { whose: 'others' })] : []),
  ]
  const hidden: Css = { ...(fades ? { opacity: '0' } : {}), ...(pieceRisePx === 0 ? {} : { translate: '0 {piece-rise}' }) }
  const shown: Css = { ...(fades ? { opacity: '1' } : {}), ...(pieceRisePx === 0 ? {} : { translate: '0 0' }) }
  const byPointer = pieces !== undefined && staggerBy === 'pointer' && staggerMs > 0 ? awayFrom(pieces) : undefined
  const later = { later: byPointer ? `var(${laterProperty}, 0ms)` : `calc(var(${orderProperty}, 0) * {stagger})` }
  const inside: readonly State[] =
    pieces === undefined
      ? []
      : [
          state(['off'], { within: pieces }, hidden, [goes], staggerMs > 0 ? later : {}),
          state(['on', 'pressed', 'still'], { within: pieces }, shown, [comes], staggerMs > 0 ? later : {}),
        ]
  const elsewhere: readonly State[] =
    linked === undefined
      ? []
      : [
          state(['off'], { linked }, settings.linked === 'appears' ? { opacity: '0' } : {}, [goes]),
          state(['on', 'pressed', 'still'], { linked }, settings.linked === 'appears' ? { opacity: '1' } : on, [comes]),
        ]
  const rules: Rule[] = []
  // What rises from under the pointer would be off, fall back, and be on again.
  if (risePx !== 0 && hold !== 'none') {
    rules.push(
      { select: `:where(${asOneSelector(select)})`, css: { position: 'relative' } },
      {
        select: `${asOneSelector(select)}:hover::${hold}`,
        css: { content: "''", position: 'absolute', inset: risePx > 0 ? '0 0 calc({rise} * -1)' : '{rise} 0 0', 'z-index': '-1' },
      },
    )
  }
  if (Object.keys(focus ?? {}).length > 0) rules.push({ select: `${asOneSelector(select)}:focus-visible`, css: focus ?? {} })
  if (pieces !== undefined && !byPointer && staggerMs > 0) rules.push(...orderOf(select, pieces, settings.pieces))
  return rigOf({
    areas: [
      hoverOn('element', select, {
        looks: { goDelayMs: 0, atMostOne: false, keys: settings.keys === 'on', ...(isStill ? { stillMs: settings.stillMs } : {}) },
      }),
    ],
    channels: byPointer ? [byPointer.channel] : [],
    outputs: byPointer ? [byPointer.output] : [],
    knobs: [
      ...(risePx === 0 ? [] : [knob(settings, 'risePx')]),
      ...(settings.growPercent === 100 ? [] : [knob(settings, 'growPercent')]),
      ...(pressPercent === 100 ? [] : [knob(settings, 'pressPercent')]),
      ...(settings.shadowPx === 0 ? [] : [knob(settings, 'shadowPx')]),
      ...(others === 'dim' ? [knob(settings, 'othersPercent')] : []),
      ...(pieces === undefined || pieceRisePx === 0 ? [] : [knob(settings, 'pieceRisePx')]),
      ...(pieces === undefined || staggerMs === 0 ? [] : [knob(settings, 'staggerMs')]),
    ],
    rules,
    states: [...self, ...inside, ...elsewhere],
    tokens: [
      ...(settings.ground === 'own' ? [token(settings, 'groundColour')] : []),
      ...(settings.ink === 'own' ? [token(settings, 'inkColour')] : []),
    ],
  })
}
