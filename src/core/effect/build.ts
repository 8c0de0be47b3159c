// Short ways to write the members of a rig, with what most of them have in common.
import type { Feel, Timed } from '../feel/feel'
import type { Area, Channel, Output, Part, Rig, State, Target } from '../rig/rig'
import type { TransformFunction } from '../rig/names'
import { asCompound } from '../rig/resolve'
import type { Slot } from '../rig/slot'

/** Over so many ms, by an easing of CSS. */
export const timed = (durationMs: number, easing: string): Timed => ({ kind: 'timed', durationMs, easing, delayMs: 0 })

/** How what is only there with the pointer comes and goes. */
export const comingFeel = (durationMs: number): Timed => timed(durationMs, 'cubic-bezier(0.2, 0.7, 0.2, 1)')

/** How an effect follows unless it is said otherwise: it settles in 416 ms, 4 % past the mark. */
export const softSpring: Feel = { kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 }

/** An area on each match, for a mouse or a pen. */
export const areaOn = (id: string, select: string, more: Partial<Area> = {}): Area => ({
  id,
  of: 'each',
  select,
  box: 'still',
  among: 'one',
  pointer: 'fine',
  touch: 'none',
  ...more,
})

/** An area on each match that shows looks by pointer, focus and tap, each for itself and at once: CSS can tell these alone. */
export const hoverOn = (id: string, select: string, more: Partial<Area> = {}): Area =>
  areaOn(id, select, { pointer: 'any', touch: 'tap', looks: { goDelayMs: 0, atMostOne: false, keys: true }, ...more })

/** The looks of what is met: all but `off`. */
export const whileOn: State['looks'] = ['on', 'pressed', 'still']

/** What a picture is, where none was pointed at. */
export const anyPicture = 'img, video, canvas, svg'

/** The same inset, in px, on all sides. */
export const insetsOf = (px: number): NonNullable<Area['insets']> => {
  const length = { value: px, unit: 'px' } as const
  return { top: length, right: length, bottom: length, left: length }
}

/** Channels of one area, in its own frame unless it is said otherwise; they settle at 0. */
export const channelsIn =
  (area: string) =>
  (id: string, signal: Channel['signal'], group: Channel['group'], feel: Feel, more: Partial<Channel> = {}): Channel => ({
    id,
    area,
    frame: 'area',
    signal,
    away: { kind: 'settle', pose: 0 },
    feel,
    group,
    ...more,
  })

/** An output that is a factor of a channel, a knob, or both. */
export const outputOn = (to: Target, slot: Slot, given: Partial<Omit<Output, 'to' | 'slot'>> = {}): Output => ({
  to,
  slot,
  base: 0,
  factor: 1,
  strength: 1,
  ...given,
})

export const turning = (fn: TransformFunction): Slot => ({ on: 'transform', fn })
export const sliding = (axis: 'X' | 'Y', unit?: '%'): Slot => ({ on: 'transform', fn: `translate${axis}`, ...(unit ? { unit } : {}) })
export const fading: Slot = { on: 'opacity' }

/**
 * The channels and outputs of a sheet as large as its area, which rides with the pointer from the middle of it: at a share of
 * the area where it waits at a pin, else by px, staying where it was left. `seenBy` tells by which channel it is seen.
 */
export function ridingSheet(
  area: string,
  part: string,
  follow: Feel,
  pin: { readonly x: number; readonly y: number } | undefined,
  seenBy: string | undefined,
): { readonly channels: readonly Channel[]; readonly outputs: readonly Output[] } {
  const channel = channelsIn(area)
  const axes = ['x', 'y'] as const
  return {
    channels: axes.map((axis) =>
      pin
        ? channel(axis, { of: axis === 'x' ? 'centredX' : 'centredY' }, 'light', follow, { away: { kind: 'settle', pose: pin[axis] } })
        : channel(axis, { of: axis === 'x' ? 'xPx' : 'yPx', from: 'centre' }, 'light', follow, {
            away: { kind: 'hold', pose: 0 },
            ...(seenBy === undefined ? {} : { seenBy }),
          }),
    ),
    outputs: axes.map((axis) =>
      outputOn({ part }, sliding(axis === 'x' ? 'X' : 'Y', pin ? '%' : undefined), { factor: pin ? 50 : 1, channel: axis }),
    ),
  }
}

/** Whether a selector means the whole page. */
export const isWindow = (select: string): boolean => /^(body|html|:root)$/.test(select)

/** What elements stand in, where nothing was pointed at for it. */
export const groundOf = (select: string) => `:has(> ${asCompound(select)})`

/** A rig with what is not given left empty. */
export const rigOf = (given: Partial<Rig> & Pick<Rig, 'areas'>): Rig => ({
  channels: [],
  knobs: [],
  outputs: [],
  parts: [],
  rules: [],
  ...given,
})

/** The CSS of a part that covers its match and can be seen through its round corners only. */
export const coverCss = { position: 'absolute', inset: '0', overflow: 'clip', 'border-radius': 'inherit' } as const

/** What lies over a ground: over the window, however long or short the page is, where the ground is the page itself. */
export const coverOf = (select: string): Part['css'] => (isWindow(select) ? { ...coverCss, position: 'fixed' } : coverCss)

/** The area of a ground that something lies over. */
export const groundAreaOn = (select: string, more: Partial<Area>): Area =>
  isWindow(select) ? areaOn('ground', '', { of: 'window', ...more }) : areaOn('ground', select, more)
