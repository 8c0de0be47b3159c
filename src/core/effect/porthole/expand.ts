// Porthole as a rig: where the pointer is in the layer that is seen through it, and how large it is open there.
import type { Channel, Knob, Output, Part, Rig, Rule, Target } from '../../rig/rig'
import { asOneSelector } from '../../rig/resolve'
import type { Slot } from '../../rig/slot'
import type { Unit } from '../../rig/names'
import { areaOn, channelsIn, comingFeel, groundOf, outputOn, rigOf, sliding, turning } from '../build'
import type { Filled } from '../kind'
import { portholeParameters, type PortholeSettings } from './settings'
import { hole, isPlainClip, partCss, plainClip, shapeCss } from './shape'

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
  const isWide = shape === 'ellipse' || shape === 'box'
  // A drawn mask has its softness and its corners in it.
  const isPlainBox = shape === 'box' && softPx === 0
  return [
    knob(settings, 'radiusPx'),
    ...(isWide ? [knob(settings, 'widePercent')] : []),
    ...(isPlainBox ? [knob(settings, 'cornersPx')] : []),
    ...(softPx > 0 && (shape === 'circle' || shape === 'ellipse') ? [knob(settings, 'softPx')] : []),
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

/** The rig of a porthole: `select` is the front; `back` among the roles is what is seen through it, `ground` what both stand in. */
export function expandPorthole(settings: PortholeSettings, select: string, roles: Filled = {}): Rig {
  const { shows, growPx, pressPx, wobblePercent, wobbleMs, layers, comeMs, goMs, follow, look } = settings
  const ground = roles.ground ?? (shows === 'back' ? groundOf(select) : select)
  // What is its own back cannot be seen through itself.
  const back = shows === 'back' && roles.back !== select ? roles.back : undefined
  const isLaid = layers === 'over' || back === undefined
  const channel = channelsIn('ground')
  const isPart = shows !== 'back'
  // What lies where the page has it has coordinates of its own.
  const frame = isLaid || back === undefined ? ({} as const) : ({ frame: { each: back } } as const)
  const to: Target | undefined = isPart ? { part: 'hole' } : back === undefined ? undefined : isLaid ? { within: back } : 'self'
  const channels: Channel[] = (['x', 'y'] as const).map((axis) =>
    channel(axis, { of: `${axis}Px`, from: isPart ? 'padding' : 'border' }, 'light', follow, {
      ...frame,
      away: { kind: 'hold', pose: 0 },
      seenBy: 'here',
    }),
  )
  channels.push(channel('here', { of: 'inside' }, 'light', comingFeel(comeMs), { ...frame, going: comingFeel(goMs) }))
  const outputs: Output[] = []
  const grows = (output: Partial<Output>, slot: Slot) => to && outputs.push(outputOn(to, slot, output))
  if (growPx > 0)
    channels.push(
      channel('fast', { of: 'speed' }, 'scale', { kind: 'glide', halfLifeMs: 90 }, {
        ...frame,
        curve: { stops: [{ at: 0, value: 0 }, { at: fast, value: 1 }] },
      }),
    ) // prettier-ignore
  if (pressPx !== 0)
    channels.push(channel('held', { of: 'pressed' }, 'light', { kind: 'spring', frequencyHz: 3.4, dampingRatio: 0.9 }, frame))
  if (wobblePercent > 0)
    channels.push(
      channel(
        'wave',
        { of: 'time', periodMs: wobbleMs },
        'scale',
        { kind: 'direct' },
        { ...frame, curve: wave, away: { kind: 'settle', pose: 0.25 } },
      ),
    )
  if (shows === 'look') {
    grows({ channel: 'x' }, sliding('X'))
    grows({ channel: 'y' }, sliding('Y'))
    grows({ channel: 'here' }, turning('scale'))
    if (growPx > 0) grows({ base: 1, knob: 'grows', channel: 'fast' }, turning('scale'))
    if (pressPx !== 0) grows({ base: 1, knob: 'pressed', channel: 'held' }, turning('scale'))
    if (wobblePercent > 0) {
      grows({ base: 1, knob: 'wobble', channel: 'wave' }, turning('scaleX'))
      grows({ base: 1, factor: -1, knob: 'wobble', channel: 'wave' }, turning('scaleY'))
    }
  } else {
    const slotOf = (name: 'x' | 'y' | 'size', written: string): Slot =>
      isPlainClip(settings) ? { on: 'clip', layer: 'hole', hole: name, unit: 'px' } : property(written, 'px')
    const [x, y, size] = [slotOf('x', hole.x), slotOf('y', hole.y), slotOf('size', hole.radius)]
    grows({ knob: 'radius', channel: 'here' }, size)
    if (growPx > 0) grows({ knob: 'grows', channel: 'fast', weight: 'here' }, size)
    if (pressPx !== 0) grows({ knob: 'pressed', channel: 'held', weight: 'here' }, size)
    grows({ channel: 'x' }, x)
    grows({ channel: 'y' }, y)
    if (wobblePercent > 0) grows({ knob: 'wobble', channel: 'wave' }, property(hole.wobble, ''))
  }
  const covers = { position: 'absolute', inset: '0' } as const
  const parts: Part[] = isPart
    ? [
        {
          id: 'hole',
          area: 'ground',
          lives: 'on',
          css:
            shows === 'look'
              ? { position: 'absolute', ...partCss(settings), 'backdrop-filter': filters[look] }
              : { ...covers, background: '{picture}', ...shapeCss(settings) },
        },
      ]
    : []
  return rigOf({
    areas: [areaOn('ground', ground)],
    channels: to === undefined ? [] : channels,
    knobs: knobsOf(settings),
    outputs,
    parts,
    layers: isPlainClip(settings) && outputs.some(({ slot }) => slot.on === 'clip') ? [{ id: 'hole', css: plainClip }] : [],
    rules: back === undefined ? [] : rulesOf(settings, { front: select, back, ground }),
    tokens: shows === 'picture' ? [token(settings, 'picture')] : [],
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
          { select: `${inGround}${asOneSelector(front)}`, css: { 'z-index': '1' } },
        ]
      : []),
    { select: back, css: { 'z-index': '2', ...shapeCss(settings) }, whilePlayed: true },
    // What has the focus behind is seen, pointer or none.
    { select: `${asOneSelector(back)}:has(:focus-visible)`, css: { 'clip-path': 'none !important', 'mask-image': 'none !important' } },
  ]
}
