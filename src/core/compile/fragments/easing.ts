/** cubic-bezier(x1, y1, x2, y2): the time is found by Newton's method inside a shrinking bracket. Outside 0..1 it holds. */
export function bezier(x1: number, y1: number, x2: number, y2: number) {
  const on = (a: number, b: number, s: number) => 3 * (1 - s) * s * ((1 - s) * a + s * b) + s ** 3
  return (share: number): number => {
    let [low, high, s] = [0, 1, share]
    for (let step = 0; step < 40; step++) {
      const error = on(x1, x2, s) - share
      if (error > 0) high = s
      else low = s
      const next = s - error / (3 * (1 - s) ** 2 * x1 + 6 * (1 - s) * s * (x2 - x1) + 3 * s * s * (1 - x2))
      s = next > low && next < high ? next : (low + high) / 2
    }
    return on(y1, y2, s)
  }
}
