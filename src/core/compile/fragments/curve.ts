/** A stretch of a curve: from where, with which value, to where, with which value, and the easing between them. */
type Stretch = readonly [from: number, low: number, to: number, high: number, ease?: (share: number) => number]

/** The value of a curve at x. Outside its stretches it holds, or goes on straight. */
export function onCurve(stretches: readonly [Stretch, ...Stretch[]], x: number, goesOn?: boolean): number {
  const [from, low, to, high, ease] = stretches.findLast(([at]) => at <= x) ?? stretches[0]
  const share = (x - from) / (to - from)
  const held = goesOn ? share : Math.min(1, Math.max(0, share))
  return low + (high - low) * (ease && share > 0 && share < 1 ? ease(share) : held)
}
