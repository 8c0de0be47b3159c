// Spotlight as a rig: a pool tile and four solid sides that move as one sheet inside a clip, dark as a whole.
import type { Knob, Part, Rig } from '../../rig/rig'
import { channelsIn, comingFeel, coverOf, fading, groundAreaOn, insetsOf, isWindow, outputOn, ridingSheet, rigOf, turning } from '../build'
import { spotlightParameters, type SpotlightSettings } from './settings'

const { knob, token } = spotlightParameters

/** From the middle of the sheet to the rim of the pool; the sides overlap it a little, so that no seam shows. */
const rim = '({clear} + {soft})'
const overlap = '2px'

const sideCss = (css: Part['css']) => ({ position: 'absolute', background: '{tint}', ...css })

/** What the pool is drawn with, by its shape. */
const pools: Readonly<Record<SpotlightSettings['shape'], Part['css']>> = {
  round: { background: 'radial-gradient(closest-side, transparent {clear}, {tint})' },
  wide: { background: 'radial-gradient(closest-side, transparent {clear}, {tint})' },
  square: { 'box-shadow': 'inset 0 0 {soft} calc({soft} / 2) {tint}' },
}

/** The rig of a spotlight on the grounds that `select` matches. */
export function expandSpotlight(settings: SpotlightSettings, select: string): Rig {
  const { clearPx, softPx, shape, pressedPercent, pressedDarkerPercent, away, pose, comeMs, goMs, follow } = settings
  const channel = channelsIn('ground')
  const isPinned = away === 'pinned'
  const come = comingFeel(comeMs)
  const go = comingFeel(goMs)
  // A parked pool lies at a share of the ground; else it stays where it was while the light goes.
  const sheet = ridingSheet('ground', 'sheet', follow, isPinned ? pose : undefined, 'here')
  const knobs: Knob[] = [knob(settings, 'clearPx'), knob(settings, 'softPx'), knob(settings, 'darknessPercent')]
  const channels = [...sheet.channels, channel('here', { of: 'inside' }, 'light', come, { going: go })]
  const dark = { on: 'property', name: 'opacity', unit: '', law: 'add' } as const
  // Dark while the pointer is there; parked and all dark at all times.
  const weight = away === 'lit' ? { weight: 'here' } : {}
  const outputs = [outputOn({ part: 'dark' }, dark, { knob: 'darkness', ...weight }), ...sheet.outputs]
  if (pressedPercent !== 100 || pressedDarkerPercent > 0)
    channels.push(channel('pressed', { of: 'pressed' }, 'light', { kind: 'spring', frequencyHz: 3.4, dampingRatio: 0.9 }))
  if (pressedPercent !== 100) {
    knobs.push({ id: 'narrower', value: 1 - pressedPercent / 100, unit: '', note: 'how much the pool narrows while pressed' })
    outputs.push(outputOn({ part: 'sheet' }, turning('scale'), { base: 1, factor: -1, knob: 'narrower', channel: 'pressed' }))
  }
  if (pressedDarkerPercent > 0) {
    knobs.push(knob(settings, 'pressedDarkerPercent'))
    outputs.push(outputOn({ part: 'dark' }, dark, { knob: 'darker', channel: 'pressed', ...weight }))
  }
  if (shape === 'wide') outputs.push(outputOn({ part: 'sheet' }, turning('scaleX'), { base: 1.6, factor: 0 }))
  const sides: Part[] = [
    {
      id: 'above',
      area: 'ground',
      inside: 'sheet',
      css: sideCss({ left: '-300%', width: '700%', height: '500%', bottom: `calc(50% + ${rim} - ${overlap})` }),
    },
    {
      id: 'below',
      area: 'ground',
      inside: 'sheet',
      css: sideCss({ left: '-300%', width: '700%', height: '500%', top: `calc(50% + ${rim} - ${overlap})` }),
    },
    {
      id: 'before',
      area: 'ground',
      inside: 'sheet',
      css: sideCss({
        top: `calc(50% - ${rim} - ${overlap})`,
        height: `calc(2 * (${rim} + ${overlap}))`,
        width: '500%',
        right: `calc(50% + ${rim} - ${overlap})`,
      }),
    },
    {
      id: 'after',
      area: 'ground',
      inside: 'sheet',
      css: sideCss({
        top: `calc(50% - ${rim} - ${overlap})`,
        height: `calc(2 * (${rim} + ${overlap}))`,
        width: '500%',
        left: `calc(50% + ${rim} - ${overlap})`,
      }),
    },
  ]
  const poolCss = {
    position: 'absolute',
    left: `calc(50% - ${rim})`,
    top: `calc(50% - ${rim})`,
    width: `calc(2 * ${rim})`,
    height: `calc(2 * ${rim})`,
  }
  const lid: Part[] = away === 'dark' ? [{ id: 'lid', area: 'ground', inside: 'sheet', css: { ...poolCss, background: '{tint}' } }] : []
  if (away === 'dark') outputs.push(outputOn({ part: 'lid' }, fading, { base: 1, factor: -1, channel: 'here' }))
  return rigOf({
    // On the next ground it counts as there until its whole pool has left, so that the light goes over the border.
    areas: [
      groundAreaOn(
        select,
        isWindow(select) ? {} : { among: 'all', ...(isPinned ? {} : { insets: insetsOf(-(clearPx + softPx)), beyond: select }) },
      ),
    ],
    channels,
    knobs,
    outputs,
    parts: [
      { id: 'dark', area: 'ground', box: 'border', lives: away === 'lit' ? 'on' : undefined, css: { ...coverOf(select), 'z-index': '1' } },
      { id: 'sheet', area: 'ground', inside: 'dark', css: { position: 'absolute', inset: '0' } },
      { id: 'pool', area: 'ground', inside: 'sheet', css: { ...poolCss, ...pools[shape] } },
      ...lid,
      ...sides,
    ],
    rules: isWindow(select) ? [] : [{ select, whilePlayed: true, css: { isolation: 'isolate' } }],
    tokens: [token(settings, 'tint')],
    // A finger could not lift a dark that stays.
    finePointerOnly: away === 'lit' ? undefined : true,
  })
}
