// Colours between stops, in OKLab or OKLCH (CSS Color Module Level 4, sections 9.2 and 12).
import type { Described } from '../described'
import type { colourCurveSchema, colourSchema } from '../rig/schema'
import { easingFor } from './easing'

export type Colour = Described<typeof colourSchema>

/** Colour stops in rising order of `at`, two at least, all in one space. Outside them the end colours hold. */
export type ColourCurve = Described<typeof colourCurveSchema>

/** The colour at `x`: components with premultiplied alpha, the hue by the shorter way and not premultiplied. */
export function colourOnCurve({ colours }: ColourCurve, x: number): Colour {
  let i = 1
  while (i < colours.length - 1 && x >= (colours[i]?.at ?? 0)) i++
  const from = colours[i - 1]
  const to = colours[i]
  if (!from || !to) return from?.value ?? { space: 'oklab', values: [0, 0, 0, 0] }
  const progress = Math.min(1, Math.max(0, (x - from.at) / (to.at - from.at)))
  return mixColours(from.value, to.value, easingFor(from.easing ?? 'linear')(progress))
}

/** The mixture of two colours of one space; `share` 0 is the first, 1 the second. */
export function mixColours(
  { space, values: [l1, a1, b1, alpha1] }: Colour,
  { values: [l2, a2, b2, alpha2] }: Colour,
  share: number,
): Colour {
  const alpha = alpha1 + (alpha2 - alpha1) * share
  const mixed = (one: number, two: number) =>
    alpha === 0 ? one + (two - one) * share : (one * alpha1 * (1 - share) + two * alpha2 * share) / alpha
  const turn = ((((b2 - b1) % 360) + 540) % 360) - 180
  return { space, values: [mixed(l1, l2), mixed(a1, a2), space === 'oklch' ? b1 + turn * share : mixed(b1, b2), alpha] }
}

/** The colour as CSS writes it. */
export function cssColour({ space, values: [l, a, b, alpha] }: Colour): string {
  const short = (value: number) => Number(value.toFixed(5))
  return `${space}(${short(l)} ${short(a)} ${short(b)}${alpha < 1 ? ` / ${short(alpha)}` : ''})`
}
