// Porthole as a rig: where the pointer is in the layer that is seen through it, and how large it is open there.
import type { Channel, Knob, Output, Part, Rig, Rule, Target } from '../../rig/rig'
import { asCompound, asOneSelector } from '../../rig/resolve'
import type { Slot } from '../../rig/slot'
import type { Unit } from '../../rig/names'
import { areaOn, channelsIn, comingFeel, groundOf, outputOn, rigOf, sliding, turning } from '../build'
import type { Filled } from '../kind'
import { portholeParameters, type PortholeSettings } from './settings'
import { hole, isPlainClip, isRound, isWide, partCss, plainClip, shapeCss } from './shape'

const { knob, token } = portholeParameters

/** As fast as a hand goes, px a second: then it is as much larger as it grows at the most. */
const fast = 1500

const filters: Readonly<Record<PortholeSettings['look'], string>> = {
  inverted: 'invert(1)',
  grey: 'grayscale(1)',
  blurred: 'blur(7px)',
  bright: 'brightness(1.5) saturate(1.3)',
}

const property = (name: string, unit: Unit): Slot => ({ on: 'property', name, unit, law: 'add' })

/** The knobs that the settings come to. */
function knobsOf(settings: PortholeSettings): readonly Knob[] {
  const { shape, softPx, growPx, pressPx, wobblePercent, shows } = settings
  // A drawn mask has its softness and its corners in it.
  const isPlainBox = shape === 'box' && softPx === 0
  return [
    knob(settings, 'radiusPx'),
    ...(isWide(settings) ? [knob(settings, 'widePercent')] : []),
    ...(isPlainBox ? [knob(settings, 'cornersPx')] : []),
    ...(softPx > 0 && isRound(settings) ? [knob(settings, 'softPx')] : []),
    ...(growPx > 0 ? [knob(settings, 'growPx', shows === 'look' ? inRadii(settings, growPx) : {})] : []),
    ...(pressPx !== 0 ? [knob(settings, 'pressPx', shows === 'look' ? inRadii(settings, pressPx) : {})] : []),
    ...(wobblePercent > 0 ? [knob(settings, 'wobblePercent')] : []),
  ]
}

/** A part grows by scales: so much of its radius. */
const inRadii = ({ radiusPx }: PortholeSettings, px: number) => ({ value: Number((px / radiusPx).toFixed(4)), unit: '' as const })

/** What moves a wobble to and fro: from -1 to 1 and back in one period. */
const wave: Channel['curve'] = {
  stops: [
    { at: 0, value: -1, easing: 'ease-in-out' },
    { at: 0.5, value: 1, easing: 'ease-in-out' },
    { at: 1, value: -1 },
  ],
}

/** Where the pointer is, how far the porthole is open, and what makes it larger meanwhile; read in `frame`. */
function channelsOf(settings: PortholeSettings, from: 'padding' | 'border', frame: Partial<Channel>): readonly Channel[] {
  const { growPx, pressPx, wobblePercent, wobbleMs, comeMs, goMs, follow } = settings
  const channel = channelsIn('ground')
  const grows = { stops: [{ at: 0, value: 0 }, { at: fast, value: 1 }] } // prettier-ignore
  return [
    ...(['x', 'y'] as const).map((axis) =>
      channel(axis, { of: `${axis}Px`, from }, 'light', follow, { ...frame, away: { kind: 'hold', pose: 0 }, seenBy: 'here' }),
    ),
    channel('here', { of: 'inside' }, 'light', comingFeel(comeMs), { ...frame, going: comingFeel(goMs) }),
    ...(growPx > 0 ? [channel('fast', { of: 'speed' }, 'scale', { kind: 'glide', halfLifeMs: 90 }, { ...frame, curve: grows })] : []),
    ...(pressPx !== 0 ? [channel('held', { of: 'pressed' }, 'light', { kind: 'spring', frequencyHz: 3.4, dampingRatio: 0.9 }, frame)] : []),
    ...(wobblePercent > 0
      ? [
          channel(
            'wave',
            { of: 'time', periodMs: wobbleMs },
            'scale',
            { kind: 'direct' },
            { ...frame, curve: wave, away: { kind: 'settle', pose: 0.25 } },
          ),
        ]
      : []),
  ]
}

/** A part as large as the porthole, moved and scaled as a whole. */
function movedPart({ growPx, pressPx, wobblePercent }: PortholeSettings): readonly Output[] {
  const on = (slot: Slot, given: Partial<Output>) => outputOn({ part: 'hole' }, slot, given)
  return [
    on(sliding('X'), { channel: 'x' }),
    on(sliding('Y'), { channel: 'y' }),
    on(turning('scale'), { channel: 'here' }),
    ...(growPx > 0 ? [on(turning('scale'), { base: 1, knob: 'grows', channel: 'fast' })] : []),
    ...(pressPx !== 0 ? [on(turning('scale'), { base: 1, knob: 'pressed', channel: 'held' })] : []),
    ...(wobblePercent > 0
      ? [
          on(turning('scaleX'), { base: 1, knob: 'wobble', channel: 'wave' }),
          on(turning('scaleY'), { base: 1, factor: -1, knob: 'wobble', channel: 'wave' }),
        ]
      : []),
  ]
}

/** What is written on a layer for its clip, or for clip and mask. */
function cutLayer(settings: PortholeSettings, to: Target): readonly Output[] {
  const { growPx, pressPx, wobblePercent } = settings
  const slotOf = (name: 'x' | 'y' | 'size', written: string): Slot =>
    isPlainClip(settings) ? { on: 'clip', layer: 'hole', hole: name, unit: 'px' } : property(written, 'px')
  const size = slotOf('size', hole.radius)
  return [
    outputOn(to, size, { knob: 'radius', channel: 'here' }),
    ...(growPx > 0 ? [outputOn(to, size, { knob: 'grows', channel: 'fast', weight: 'here' })] : []),
    ...(pressPx !== 0 ? [outputOn(to, size, { knob: 'pressed', channel: 'held', weight: 'here' })] : []),
    outputOn(to, slotOf('x', hole.x), { channel: 'x' }),
    outputOn(to, slotOf('y', hole.y), { channel: 'y' }),
    ...(wobblePercent > 0 ? [outputOn(to, property(hole.wobble, ''), { knob: 'wobble', channel: 'wave' })] : []),
  ]
}

/** The rig of a porthole: `select` is the front; `back` among the roles is what is seen through it, `ground` what both stand in. */
export function expandPorthole(settings: PortholeSettings, select: string, roles: Filled = {}): Rig {
  const { shows, layers, look } = settings
  const ground = roles.ground ?? (shows === 'back' ? groundOf(select) : select)
  const areas = [areaOn('ground', ground)]
  const cut = isPlainClip(settings) ? [{ id: 'hole', css: plainClip }] : []
  const knobs = knobsOf(settings)
  if (shows !== 'back') {
    const isLook = shows === 'look'
    const css: Part['css'] = isLook
      ? { position: 'absolute', ...partCss(settings), 'backdrop-filter': filters[look] }
      : { position: 'absolute', inset: '0', background: '{picture}', ...shapeCss(settings) }
    return rigOf({
      areas,
      knobs,
      channels: channelsOf(settings, 'padding', {}),
      outputs: isLook ? movedPart(settings) : cutLayer(settings, { part: 'hole' }),
      parts: [{ id: 'hole', area: 'ground', lives: 'on', css }],
      layers: isLook ? [] : cut,
      tokens: isLook ? [] : [token(settings, 'picture')],
    })
  }
  // Without a back nothing is seen through it, and none is its own.
  const { back } = roles
  if (back === undefined || back === select) return rigOf({ areas, knobs })
  // What lies where the page has it has coordinates of its own; what is laid there has those of the ground.
  const isLaid = layers === 'over'
  return rigOf({
    areas,
    knobs,
    channels: channelsOf(settings, 'border', isLaid ? {} : { frame: { each: back } }),
    outputs: cutLayer(settings, isLaid ? { within: back } : 'self'),
    layers: cut,
    rules: rulesOf(settings, { front: select, back, ground }),
  })
}

/** What lies behind comes in front, as far as the porthole is open; without a script the front covers it as the page has it. */
function rulesOf(
  settings: PortholeSettings,
  { front, back, ground }: { readonly front: string; readonly back: string; readonly ground: string },
): Rule[] {
  const inGround = `${asOneSelector(ground)} > `
  return [
    ...(settings.layers === 'over'
      ? [
          { select: ground, css: { display: 'grid' } },
          { select: `${inGround}:is(${front}, ${back})`, css: { 'grid-area': '1 / 1' } },
          { select: `${inGround}${asCompound(front)}`, css: { 'z-index': '1' } },
        ]
      : []),
    { select: back, css: { 'z-index': '2', ...shapeCss(settings) }, whilePlayed: true },
    // What has the focus behind is seen, pointer or none.
    { select: `${asOneSelector(back)}:has(:focus-visible)`, css: { 'clip-path': 'none !important', 'mask-image': 'none !important' } },
  ]
}
