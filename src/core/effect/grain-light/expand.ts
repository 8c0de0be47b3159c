// Grain light as a rig: a gradient, a tile of light that is moved over it, and grain over both, all under the content.
import type { Rig } from '../../rig/rig'
import { channelsIn, comingFeel, coverOf, fading, groundAreaOn, isWindow, outputOn, ridingSheet, rigOf } from '../build'
import { noiseTilePx, noiseUrl } from './noise'
import { grainLightParameters, type GrainLightSettings } from './settings'

const { knob, token } = grainLightParameters

const falloffs: Readonly<Record<GrainLightSettings['falloff'], string>> = {
  soft: 'radial-gradient(closest-side, {light}, color-mix(in oklab, {light} 42%, transparent) 40%, color-mix(in oklab, {light} 12%, transparent) 72%, transparent)',
  even: 'radial-gradient(closest-side, {light}, transparent)',
}

/** The rig of a grain light on the grounds that `select` matches. */
export function expandGrainLight(settings: GrainLightSettings, select: string): Rig {
  const { falloff, away, pose, comeMs, goMs, follow } = settings
  const sheet = ridingSheet('ground', 'sheet', follow, away === 'pinned' ? pose : undefined, away === 'out' ? 'here' : undefined)
  const shines = away === 'out' ? { channel: 'here' } : {}
  return rigOf({
    areas: [groundAreaOn(select, { box: 'live' })],
    channels: [
      ...sheet.channels,
      ...(away === 'out' ? [channelsIn('ground')('here', { of: 'inside' }, 'light', comingFeel(comeMs), { going: comingFeel(goMs) })] : []),
    ],
    knobs: [knob(settings, 'radiusPx'), knob(settings, 'lightPercent'), knob(settings, 'grainPercent')],
    outputs: [...sheet.outputs, outputOn({ part: 'light' }, fading, { knob: 'strength', ...shines })],
    parts: [
      { id: 'ground', area: 'ground', box: 'border', css: { ...coverOf(select), 'z-index': '-1', background: '{gradient}' } },
      { id: 'sheet', area: 'ground', inside: 'ground', css: { position: 'absolute', inset: '0', 'will-change': 'transform' } },
      {
        id: 'light',
        area: 'ground',
        inside: 'sheet',
        css: {
          position: 'absolute',
          left: 'calc(50% - {radius})',
          top: 'calc(50% - {radius})',
          width: 'calc(2 * {radius})',
          height: 'calc(2 * {radius})',
          background: falloffs[falloff],
        },
      },
      {
        id: 'specks',
        area: 'ground',
        inside: 'ground',
        css: {
          position: 'absolute',
          inset: '0',
          'will-change': 'transform',
          opacity: '{grain}',
          background: `${noiseUrl(settings)} 0 0 / ${noiseTilePx}px`,
        },
      },
    ],
    rules: isWindow(select) ? [] : [{ select, whilePlayed: true, css: { isolation: 'isolate' } }],
    tokens: [token(settings, 'gradient'), token(settings, 'colour')],
  })
}
