// Glow as a rig: tiles of light that follow the pointer inside each card, one in its surface and one in a ring along its edge.
import type { Channel, Knob, Output, Part, Rig, Rule } from '../../rig/rig'
import { areaOn, channelsIn, comingFeel, coverCss, fading, insetsOf, outputOn, rigOf, sliding, turning } from '../build'
import { glowParameters, type GlowSettings } from './settings'

const { knob, token } = glowParameters

/** What of a ring is seen: all but what lies inside its padding. */
const ringMask = 'linear-gradient(#000 0 0) content-box exclude, linear-gradient(#000 0 0)'

/** A pool of light, strongest in its middle, and soft to its rim. */
const poolOf = (strength: string) =>
  `radial-gradient(closest-side, color-mix(in oklab, {light} {${strength}}, transparent), color-mix(in oklab, {light} calc({${strength}} * 0.4), transparent) 50%, transparent)`

const tileCss = (strength: string) => ({
  position: 'absolute',
  left: 'calc({size} / -2)',
  top: 'calc({size} / -2)',
  width: '{size}',
  height: '{size}',
  background: poolOf(strength),
})

/** The rig of a glow on the elements that `select` matches. One pointer lights them all, each in its own px. */
export function expandGlow(settings: GlowSettings, select: string): Rig {
  const { surfacePercent, edgePx, edgePercent, reachPx, lies, shrinkPercent, turnS, comeMs, goMs, follow } = settings
  const channel = channelsIn('card')
  const hasSurface = surfacePercent > 0
  const hasEdge = edgePx > 0 && edgePercent > 0
  const hasTurn = turnS > 0
  const shrinks = shrinkPercent > 0
  const follows = { away: { kind: 'hold', pose: 0 }, seenBy: 'here' } as const
  const channels: Channel[] = [
    channel('x', { of: 'xPx', from: 'border' }, 'light', follow, follows),
    channel('y', { of: 'yPx', from: 'border' }, 'light', follow, follows),
    channel('here', { of: 'inside' }, 'light', comingFeel(comeMs), { going: comingFeel(goMs) }),
  ]
  // The area reaches beyond the card; what happens on the card alone goes by the way to its edge.
  if (shrinks || hasTurn)
    channels.push(
      channel('on', { of: 'distance', from: 'edge' }, 'scale', comingFeel(comeMs), {
        going: comingFeel(goMs),
        curve: {
          stops: [
            { at: -1, value: 1 },
            { at: 0, value: 0 },
          ],
        },
      }),
    )
  if (hasTurn)
    channels.push(
      channel('turn', { of: 'time', periodMs: turnS * 1000 }, 'travel', { kind: 'direct' }, { away: { kind: 'hold', pose: 0 } }),
    )

  const knobs: Knob[] = [knob(settings, 'sizePx')]
  const parts: Part[] = []
  const outputs: Output[] = []
  const rules: Rule[] = []
  /** A tile of light in a part that clips it. */
  const lit = (id: string, strength: string, css: Part['css']) => {
    parts.push({ id, area: 'card', lives: 'on', box: 'border', css })
    // What moves has nothing but its place; what is drawn hangs on it and stays as it is, so that a move asks little of the page.
    parts.push({ id: `${id}-pool`, area: 'card', inside: id, css: { position: 'absolute', left: '0', top: '0' } })
    parts.push({ id: `${id}-tile`, area: 'card', inside: `${id}-pool`, css: tileCss(strength) })
    const to = { part: `${id}-pool` }
    outputs.push(
      outputOn(to, sliding('X'), { channel: 'x' }),
      outputOn(to, sliding('Y'), { channel: 'y' }),
      outputOn(to, fading, { channel: 'here' }),
    )
  }
  if (hasSurface) {
    knobs.push(knob(settings, 'surfacePercent'))
    lit('surface', 'surface', { ...coverCss, ...(lies === 'under' ? { 'z-index': '-1' } : {}) })
    // What lies under the content stays over the card's own ground.
    if (lies === 'under') rules.push({ select, whilePlayed: true, css: { isolation: 'isolate' } })
  }
  const ringCss = { position: 'absolute', inset: '0', padding: '{line}', 'border-radius': 'inherit', overflow: 'clip', mask: ringMask }
  if (hasEdge || hasTurn) knobs.push(knob(settings, 'edgePx', { value: Math.max(edgePx, hasTurn ? 1 : 0) }))
  if (hasEdge) {
    knobs.push(knob(settings, 'edgePercent'))
    lit('edge', 'edge', ringCss)
  }
  if (hasTurn) {
    knobs.push(knob(settings, 'arcDeg'))
    parts.push({ id: 'round', area: 'card', lives: 'on', box: 'border', css: ringCss })
    // Wide enough to cover a card of three to one while it turns.
    parts.push({
      id: 'runner',
      area: 'card',
      inside: 'round',
      css: {
        position: 'absolute',
        left: '-100%',
        top: '50%',
        width: '300%',
        'aspect-ratio': '1',
        translate: '0 -50%',
        background: 'conic-gradient(transparent, {light} {arc}, transparent 0)',
      },
    })
    outputs.push(
      outputOn({ part: 'runner' }, turning('rotate'), { factor: 360, channel: 'turn' }),
      outputOn({ part: 'runner' }, fading, { channel: 'on' }),
    )
  }
  if (shrinks) {
    knobs.push(knob(settings, 'shrinkPercent'))
    outputs.push(outputOn('self', turning('scale'), { base: 1, factor: -1, knob: 'shrink', channel: 'on' }))
  }
  return rigOf({
    areas: [areaOn('card', select, { box: shrinks ? 'still' : 'live', among: 'all', insets: insetsOf(-reachPx) })],
    channels,
    knobs,
    outputs,
    parts,
    rules,
    tokens: [token(settings, 'colour')],
  })
}
