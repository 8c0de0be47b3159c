// Tilt as a rig: two centred signals turn the card about its own axes; `inside` lifts and grows it.
import type { Channel, Knob, Layer, Output, Part, Rig, Rule, Target, Token } from '../../rig/rig'
import type { TransformFunction } from '../../rig/names'
import type { Slot } from '../../rig/slot'
import { areaOn, comingFeel, coverCss, fading, groundOf, outputOn, rigOf, sliding, turning } from '../build'
import type { Filled } from '../kind'
import { tiltParameters, type TiltLayer, type TiltSettings } from './settings'

const { knob, token } = tiltParameters

/** What a rig is made of, to be added to. */
interface Made {
  readonly channels: Channel[]
  readonly knobs: Knob[]
  readonly outputs: Output[]
  readonly parts: Part[]
  readonly rules: Rule[]
  readonly tokens: Token[]
  readonly layers: Layer[]
}

/**
 * The rig of a tilt on the elements that `select` matches.
 * For a lean that *sinks*: rotateY = +angle * centredX, rotateX = -angle * centredY; *rises* turns both signs.
 */
export function expandTilt(settings: TiltSettings, select: string, roles: Filled = {}): Rig {
  const sign = settings.edge === 'sinks' ? 1 : -1
  const lean = (of: 'centredX' | 'centredY', pose: number): Channel => ({
    id: of === 'centredX' ? 'x' : 'y',
    area: 'card',
    frame: 'area',
    signal: { of },
    away: { kind: settings.away, pose },
    feel: settings.follow,
    going: settings.back ?? undefined,
    group: 'turn',
  })
  const knobs: Knob[] = settings.linked
    ? [knob(settings, 'acrossDeg')]
    : [knob(settings, 'acrossDeg', { note: 'how far it leans at its left and right edge' }), knob(settings, 'upDownDeg')]
  const upDownKnob = knobs.at(-1)?.id ?? ''
  knobs.push(knob(settings, 'perspectivePx'))
  const output = (fn: TransformFunction, factor: number, knob: string, channel?: string, base = 0): Output => ({
    to: 'self',
    slot: { on: 'transform', fn },
    base,
    factor,
    knob,
    channel,
    strength: 1,
  })
  const isShared = settings.vanishing === 'shared'
  const outputs = [
    ...(isShared ? [] : [output('perspective', 1, 'perspective')]),
    output('rotateX', -sign, upDownKnob, 'y'),
    output('rotateY', sign, 'lean', 'x'),
  ]
  const channels = [lean('centredX', settings.pose.x), lean('centredY', settings.pose.y)]
  // What floats above a card that waits in a pose, or shines on it, is there at all times; else it comes with the pointer, so that
  // the page at rest is as it was designed.
  const stays = settings.away === 'settle' && (settings.pose.x !== 0 || settings.pose.y !== 0)
  const floats = settings.layers.some(({ id }) => roles[id] !== undefined)
  if (settings.liftPx > 0 || settings.scalePercent > 0 || settings.shadowPx > 0 || floats || (settings.sheenPercent > 0 && !stays)) {
    channels.push({
      id: 'here',
      area: 'card',
      frame: 'area',
      signal: { of: 'inside' },
      away: { kind: settings.away, pose: 0 },
      feel: comingFeel(settings.comeMs),
      going: comingFeel(settings.goMs),
      group: 'scale',
    })
  }
  if (settings.liftPx > 0) {
    knobs.push(knob(settings, 'liftPx'))
    outputs.push(output('translateZ', 1, 'lift', 'here'))
  }
  if (settings.scalePercent > 0) {
    knobs.push(knob(settings, 'scalePercent'))
    outputs.push(output('scale', 1, 'scale', 'here', 1))
  }
  const made: Made = { channels, knobs, outputs, parts: [], rules: [], tokens: [], layers: [] }
  if (isShared) made.rules.push({ select: groundOf(select), css: { perspective: '{perspective}' } })
  addLayers(made, settings, stays, select, roles)
  if (settings.sheenPercent > 0) addSheen(made, settings, stays)
  if (settings.shadowPx > 0) addShadow(made, settings)
  return rigOf({ areas: [areaOn('card', select)], ...made })
}

/** Layers at heights of their own, in one space with the card, or sliding on it as they would be seen to. */
function addLayers(made: Made, settings: TiltSettings, stays: boolean, select: string, roles: Filled): void {
  const { layers, layersRise } = settings
  const filled = layers.filter(({ id }) => roles[id] !== undefined)
  filled.forEach(({ id, heightPx }) => {
    const to = { within: roles[id] ?? '' }
    if (layersRise === 'card') return slideLayer(made, settings, to, { id, heightPx })
    made.knobs.push({ id, value: heightPx, unit: 'px', note: `how high {${id}} floats`, isAmount: true })
    made.outputs.push(outputOn(to, turning('translateZ'), { knob: id, ...(stays ? {} : { channel: 'here' }) }))
  })
  if (filled.length > 0 && layersRise === 'space') made.rules.push({ select, whilePlayed: true, css: { 'transform-style': 'preserve-3d' } })
}

/**
 * A layer that slides on the card as one at a height is seen to: a point at height h over a plane turned by b is seen at
 * h sin(b) e / (e - h) beside its foot, from an eye at distance e. A pose of the card slides it too.
 */
function slideLayer(
  { knobs, outputs }: Made,
  { acrossDeg, upDownDeg, linked, perspectivePx, edge }: TiltSettings,
  to: Target,
  { id, heightPx }: TiltLayer,
): void {
  const way = (angleDeg: number) =>
    Number(
      (heightPx * Math.sin((angleDeg * Math.PI) / 180) * (perspectivePx / (perspectivePx - Math.min(heightPx, perspectivePx / 2)))).toFixed(
        2,
      ),
    )
  const sign = edge === 'sinks' ? 1 : -1
  const across = `${id}-way`
  const down = linked ? across : `${id}-way-down`
  knobs.push({
    id: across,
    value: way(acrossDeg),
    unit: 'px',
    note: `how far {${id}} slides at the edges: it seems ${heightPx} px high`,
    isAmount: true,
  })
  if (!linked)
    knobs.push({ id: down, value: way(upDownDeg), unit: 'px', note: `how far {${id}} slides at the upper and lower edge`, isAmount: true })
  outputs.push(
    outputOn(to, sliding('X'), { factor: sign, knob: across, channel: 'x' }),
    outputOn(to, sliding('Y'), { factor: sign, knob: down, channel: 'y' }),
  )
}

/** A soft light on the card that goes with the lean or against it, cut at the card's corners. */
function addSheen({ parts, outputs, knobs, tokens }: Made, settings: TiltSettings, stays: boolean): void {
  const { sheenSizePercent, sheenSoftPercent, sheenDirection, sheenShape, sheenBlend } = settings
  const sign = sheenDirection === 'against' ? -1 : 1
  /** How much of the sheen is at full strength, % of it. */
  const core = Number((0.7 * (100 - sheenSoftPercent)).toFixed(2))
  const ground =
    sheenShape === 'round'
      ? `radial-gradient(closest-side, {sheen-colour} ${core}%, transparent)`
      : `linear-gradient(105deg, transparent 12%, {sheen-colour} ${50 - core / 3}% ${50 + core / 3}%, transparent 88%)`
  knobs.push(knob(settings, 'sheenPercent'), knob(settings, 'sheenTravelPercent'))
  tokens.push(token(settings, 'sheenColour'))
  const inset = `${Number(((100 - sheenSizePercent) / 2).toFixed(2))}%`
  parts.push(
    {
      id: 'glass',
      area: 'card',
      box: 'border',
      css: { ...coverCss, ...(sheenBlend === 'normal' ? {} : { 'mix-blend-mode': sheenBlend }) },
    },
    { id: 'sheen', area: 'card', inside: 'glass', css: { position: 'absolute', inset, background: ground } },
  )
  const to = { part: 'sheen' }
  outputs.push(
    outputOn(to, sliding('X', '%'), { factor: sign, knob: 'sheen-travel', channel: 'x' }),
    outputOn(to, sliding('Y', '%'), { factor: sign, knob: 'sheen-travel', channel: 'y' }),
    outputOn(to, fading, { knob: 'sheen', ...(stays ? {} : { channel: 'here' }) }),
  )
}

/** A shadow that falls away from the pointer, exactly behind the card while it is away. */
function addShadow({ outputs, knobs, tokens, layers }: Made, settings: TiltSettings): void {
  const hole = (name: string): Slot => ({ on: 'shadow', layer: 'shadow', hole: name, unit: 'px' })
  knobs.push(knob(settings, 'shadowPx'), knob(settings, 'shadowSoftPx'))
  tokens.push(token(settings, 'shadowColour'))
  layers.push({ id: 'shadow', css: '{across} {down} {blur} {shadow-colour}' })
  outputs.push(
    outputOn('self', hole('across'), { factor: -1, knob: 'shadow', channel: 'x', weight: 'here' }),
    outputOn('self', hole('down'), { factor: -1, knob: 'shadow', channel: 'y', weight: 'here' }),
    // The light comes from above, so that it also falls a little.
    outputOn('self', hole('down'), { factor: 0.6, knob: 'shadow', channel: 'here' }),
    outputOn('self', hole('blur'), { knob: 'shadow-soft', channel: 'here' }),
  )
}
