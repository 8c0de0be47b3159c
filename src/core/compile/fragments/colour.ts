type Colour = readonly [number, number, number, alpha: number]
type Stretch = readonly [from: number, one: Colour, to: number, other: Colour, ease?: (share: number) => number]

/** The colour at x on stretches of a colour space, as CSS writes it. */
export function colourAt(space: string, stretches: readonly [Stretch, ...Stretch[]], x: number): string {
  const [from, one, to, other, ease] = stretches.findLast(([at]) => at <= x) ?? stretches[0]
  const held = Math.min(1, Math.max(0, (x - from) / (to - from)))
  const share = ease ? ease(held) : held
  const alpha = one[3] + (other[3] - one[3]) * share
  // Mixed as far as they can be seen; a hue goes by the shorter way.
  const mix = (a: number, b: number) => (alpha ? (a * one[3] * (1 - share) + b * other[3] * share) / alpha : a + (b - a) * share)
  const turn = ((((other[2] - one[2]) % 360) + 540) % 360) - 180
  const last = space === 'oklch' ? one[2] + turn * share : mix(one[2], other[2])
  return `${space}(${[mix(one[0], other[0]), mix(one[1], other[1]), last].map((each) => each.toFixed(5)).join(' ')} / ${alpha.toFixed(5)})`
}
