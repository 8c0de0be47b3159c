// A way in time as linear() of CSS Easing Functions Level 2: as few points as will do.

/** So many points are looked at; of them those are written that are needed. */
const looked = 400

/**
 * The text of linear() for a way from 0 at 0 to 1 at 1, nowhere further from it than `tolerance` (a share of the way): from each point the
 * longest segment that stays within it, as far as numbers of three places tell.
 */
export function linearThrough(way: (share: number) => number, tolerance: number): string {
  const values = Array.from({ length: looked + 1 }, (_, i) => (i === 0 ? 0 : i === looked ? 1 : way(i / looked)))
  const at = (i: number) => values[i] ?? 1
  const fits = (from: number, to: number) => {
    for (let i = from + 1; i < to; i++)
      if (Math.abs(at(from) + ((at(to) - at(from)) * (i - from)) / (to - from) - at(i)) > tolerance) return false
    return true
  }
  const points = [0]
  for (let from = 0; from < looked; from = points.at(-1) ?? looked) {
    let to = from + 1
    while (to < looked && fits(from, to + 1)) to += 1
    points.push(to)
  }
  const told = (i: number) => {
    const value = Number(at(i).toFixed(3))
    return i === 0 || i === looked ? String(value) : `${value} ${Number(((100 * i) / looked).toFixed(2))}%`
  }
  return `linear(${points.map(told).join(', ')})`
}
