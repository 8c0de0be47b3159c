/** linear(): straight lines between points [in, out]; where two are at one place, the later one counts. */
export const linearPoints =
  (...points: readonly (readonly [number, number])[]) =>
  (share: number): number => {
    const last = Math.min(
      points.length - 2,
      Math.max(
        0,
        points.findLastIndex(([at]) => at <= share),
      ),
    )
    const [[from, low] = [0, 0], [to, high] = [1, 1]] = points.slice(last, last + 2)
    return to > from ? low + ((high - low) * (share - from)) / (to - from) : share < from ? low : high
  }
