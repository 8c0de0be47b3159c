// Zones as a rig: one channel that tells which of several the pointer is in; looks of what that chooses, one for one.
import type { Insets } from '../../geometry/insets'
import { readDeclarations } from '../../rig/css-text'
import type { Area, Rig, State } from '../../rig/rig'
import { areaOn, channelsIn, groundOf, rigOf, timed, whileOn } from '../build'
import type { Filled } from '../kind'
import { zonesParameters, type ZonesSettings } from './settings'

const { knob } = zonesParameters

/** How many columns and rows there are. */
export function cutOf({ cut, columns, rows }: ZonesSettings): { readonly columns: number; readonly rows: number } {
  return { columns: cut === 'rows' ? 1 : columns, rows: cut === 'columns' ? 1 : rows }
}

function marginsOf({ marginXPx, marginYPx }: ZonesSettings): Insets | undefined {
  if (marginXPx === 0 && marginYPx === 0) return undefined
  const [x, y] = [marginXPx, marginYPx].map((value) => ({ value, unit: 'px' as const }))
  return x && y && { top: y, right: x, bottom: y, left: x }
}

/** The rig of zones for the elements that `select` matches; `linked` among the roles goes with them one for one, `ground` is where the pointer is read. */
export function expandZones(settings: ZonesSettings, select: string, roles: Filled = {}): Rig {
  const { where, cut, hysteresisPx, first, leaves, growPercent, keyboard, comeMs, goMs } = settings
  const { columns, rows } = cutOf(settings)
  const slack = hysteresisPx > 0 ? { hysteresisPx } : {}
  const begins = first > 0 ? { first: first - 1 } : {}
  const focus = settings.focus === 'chooses' ? { focus: select } : {}
  const channel = channelsIn('area')(
    'zone',
    cut === 'nearest'
      ? { of: 'nearest', among: select, ...slack, ...begins, ...focus }
      : { of: 'zone', columns, rows, insets: marginsOf(settings), ...slack, ...begins, ...focus, touched: select },
    'state',
    { kind: 'direct' },
    // No zone has this number: what it chooses is none.
    { away: { kind: leaves === 'stays' ? 'hold' : 'settle', pose: leaves === 'none' ? -1 : first - 1, byFinger: 'hold' } },
  )
  const state = (to: string, css: State['css'], whose?: 'others'): State => ({
    area: 'area',
    looks: whileOn,
    chosenBy: 'zone',
    to: { linked: to },
    css,
    ...(whose ? { whose } : {}),
    ways: [
      whose
        ? { from: 'any', feel: timed(goMs, 'ease'), id: 'goes', note: 'how the one before goes' }
        : { from: 'any', feel: timed(comeMs, 'ease'), id: 'comes', note: 'how the chosen one comes' },
    ],
  })
  const chosen: State['css'] = { ...(growPercent === 100 ? {} : { scale: '{grow}' }), ...readDeclarations(settings.chosenCss) }
  const dims = settings.othersPercent < 100
  return rigOf({
    areas: [areaOf(settings, select, roles)],
    channels: [channel],
    knobs: [...(growPercent === 100 ? [] : [knob(settings, 'growPercent')]), ...(dims ? [knob(settings, 'othersPercent')] : [])],
    states: [
      ...(where === 'area' && keyboard === 'choose'
        ? [{ area: 'area', looks: ['off', ...whileOn] as State['looks'], to: 'self' as const, css: {}, attributes: { tabindex: '0' } }]
        : []),
      state(select, chosen),
      state(select, dims ? { opacity: '{others}' } : {}, 'others'),
      ...(roles.linked === undefined ? [] : linkedOf(settings, roles.linked, dims, state)),
    ],
  })
}

/** What is linked: seen for the chosen one, or as its CSS has it. */
function linkedOf(
  { linked, linkedCss }: ZonesSettings,
  to: string,
  dims: boolean,
  state: (to: string, css: State['css'], whose?: 'others') => State,
): readonly State[] {
  if (linked === 'css') return [state(to, readDeclarations(linkedCss) ?? {}), state(to, {}, 'others')]
  if (linked === 'dims') return [state(to, { opacity: '1' }), state(to, { opacity: dims ? '{others}' : '0.4' }, 'others')]
  // What is not seen is not reached either.
  return [state(to, { opacity: '1', visibility: 'visible' }), state(to, { opacity: '0', visibility: 'hidden' }, 'others')]
}

function areaOf({ where, cut, columns, rows, keyboard }: ZonesSettings, select: string, { ground }: Filled): Area {
  const more: Partial<Area> = { box: 'live', pointer: 'any', touch: 'tap' }
  if (where === 'window') return areaOn('area', '', { of: 'window', ...more })
  const steps = cut === 'rows' ? rows : columns
  return areaOn('area', ground ?? groundOf(select), {
    ...more,
    ...(keyboard === 'choose' ? { arrowKeys: 1 / Math.max(2, steps), looks: { goDelayMs: 0, atMostOne: false, keys: true } } : {}),
  })
}
