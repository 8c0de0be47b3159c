// Tilt as a rig: two centred signals turn the card about its own axes; `inside` lifts and grows it.
import type { Channel, Knob, Layer, Output, Part, Rig, Rule, Target, Token } from '../../rig/rig'
import type { TransformFunction } from '../../rig/names'
import type { Slot } from '../../rig/slot'
import { areaOn, comingFeel, coverCss, fading, outputOn, rigOf, sliding, turning } from '../build'
import { groundOf } from '../follow/expand'
import type { Filled } from '../kind'
import type { TiltLayer, TiltSettings } from './settings'

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
  const upDownKnob = settings.linked ? 'lean' : 'lean-up-down'
  const knobs: Knob[] = [
    settings.linked
      ? { id: 'lean', value: settings.acrossDeg, unit: 'deg', note: 'how far it leans at its edges', isAmount: true }
      : { id: 'lean', value: settings.acrossDeg, unit: 'deg', note: 'how far it leans at its left and right edge', isAmount: true },
  ]
  if (!settings.linked) knobs.push({ id: upDownKnob, value: settings.upDownDeg, unit: 'deg', note: 'how far it leans at its upper and lower edge', isAmount: true })
  knobs.push({ id: 'eye', value: settings.eyePx, unit: 'px', note: 'how far away the eye is; nearer looks deeper' })
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
  const outputs = [...(isShared ? [] : [output('perspective', 1, 'eye')]), output('rotateX', -sign, upDownKnob, 'y'), output('rotateY', sign, 'lean', 'x')]
  const channels = [lean('centredX', settings.pose.x), lean('centredY', settings.pose.y)]
  // What floats above a card that waits in a pose, or shines on it, is there at all times; else it comes with the pointer, so that
  // the page at rest is as it was designed.
  const stays = settings.away === 'settle' && (settings.pose.x !== 0 || settings.pose.y !== 0)
  const floats = settings.layers.some(({ id }) => roles[id] !== undefined)
  if (settings.liftPx > 0 || settings.growPercent > 0 || settings.shadowPx > 0 || floats || (settings.sheenPercent > 0 && !stays)) {
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
    knobs.push({ id: 'lift', value: settings.liftPx, unit: 'px', note: 'how far it comes toward you', isAmount: true })
    outputs.push(output('translateZ', 1, 'lift', 'here'))
  }
  if (settings.growPercent > 0) {
    knobs.push({ id: 'grow', value: settings.growPercent / 100, unit: '', note: 'how much it grows, as a share of its size', isAmount: true })
    outputs.push(output('scale', 1, 'grow', 'here', 1))
  }
  const made: Made = { channels, knobs, outputs, parts: [], rules: [], tokens: [], layers: [] }
  if (isShared) made.rules.push({ select: groundOf(select), bearsKnobs: true, css: { perspective: '{eye}' } })
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
function slideLayer({ knobs, outputs }: Made, { acrossDeg, upDownDeg, linked, eyePx, edge }: TiltSettings, to: Target, { id, heightPx }: TiltLayer): void {
  const way = (angleDeg: number) => Number((heightPx * Math.sin((angleDeg * Math.PI) / 180) * (eyePx / (eyePx - Math.min(heightPx, eyePx / 2)))).toFixed(2))
  const sign = edge === 'sinks' ? 1 : -1
  const across = `${id}-way`
  const down = linked ? across : `${id}-way-down`
  knobs.push({ id: across, value: way(acrossDeg), unit: 'px', note: `how far {${id}} slides at the edges: it seems ${heightPx} px high`, isAmount: true })
  if (!linked) knobs.push({ id: down, value: way(upDownDeg), unit: 'px', note: `how far {${id}} slides at the upper and lower edge`, isAmount: true })
  outputs.push(outputOn(to, sliding('X'), { factor: sign, knob: across, channel: 'x' }), outputOn(to, sliding('Y'), { factor: sign, knob: down, channel: 'y' }))
}

/** A soft light on the card that goes with the lean or against it, cut at the card's corners. */
function addSheen({ parts, outputs, knobs, tokens }: Made, settings: TiltSettings, stays: boolean): void {
  const { sheenPercent, sheenSizePercent, sheenTravelPercent, sheenSoftPercent, sheenWay, sheenShape, sheenColour, sheenBlend } = settings
  const sign = sheenWay === 'opposite' ? -1 : 1
  /** How much of the sheen is at full strength, % of it. */
  const core = Number((0.7 * (100 - sheenSoftPercent)).toFixed(2))
  const ground = sheenShape === 'round' ? `radial-gradient(closest-side, {sheen-colour} ${core}%, transparent)` : `linear-gradient(105deg, transparent 12%, {sheen-colour} ${50 - core / 3}% ${50 + core / 3}%, transparent 88%)`
  knobs.push({ id: 'sheen', value: sheenPercent / 100, unit: '', note: 'how strong the sheen is', isAmount: true }, { id: 'sheen-way', value: sheenTravelPercent, unit: '%', note: 'how far it goes, of its own size' })
  tokens.push({ id: 'sheen-colour', of: 'colour', value: sheenColour, note: 'the colour of the sheen' })
  const inset = `${Number(((100 - sheenSizePercent) / 2).toFixed(2))}%`
  parts.push(
    { id: 'glass', area: 'card', covers: 'border', css: { ...coverCss, ...(sheenBlend === 'normal' ? {} : { 'mix-blend-mode': sheenBlend }) } },
    { id: 'sheen', area: 'card', inside: 'glass', css: { position: 'absolute', inset, background: ground } },
  )
  const to = { part: 'sheen' }
  outputs.push(
    outputOn(to, sliding('X', '%'), { factor: sign, knob: 'sheen-way', channel: 'x' }),
    outputOn(to, sliding('Y', '%'), { factor: sign, knob: 'sheen-way', channel: 'y' }),
    outputOn(to, fading, { knob: 'sheen', ...(stays ? {} : { channel: 'here' }) }),
  )
}

/** A shadow that falls away from the pointer, exactly behind the card while it is away. */
function addShadow({ outputs, knobs, tokens, layers }: Made, { shadowPx, shadowSoftPx, shadowColour }: TiltSettings): void {
  const hole = (name: string): Slot => ({ on: 'shadow', layer: 'shadow', hole: name, unit: 'px' })
  knobs.push({ id: 'shadow', value: shadowPx, unit: 'px', note: 'how far the shadow goes', isAmount: true }, { id: 'shadow-soft', value: shadowSoftPx, unit: 'px', note: 'how soft it is' })
  tokens.push({ id: 'shadow-colour', of: 'colour', value: shadowColour, note: 'the colour of the shadow' })
  layers.push({ id: 'shadow', css: '{across} {down} {blur} {shadow-colour}' })
  outputs.push(
    outputOn('self', hole('across'), { factor: -1, knob: 'shadow', channel: 'x', weight: 'here' }),
    outputOn('self', hole('down'), { factor: -1, knob: 'shadow', channel: 'y', weight: 'here' }),
    // The light comes from above, so that it also falls a little.
    outputOn('self', hole('down'), { factor: 0.6, knob: 'shadow', channel: 'here' }),
    outputOn('self', hole('blur'), { knob: 'shadow-soft', channel: 'here' }),
  )
}
