import { fromEdge } from './distance'
import { frameOf } from './frames'
import { pointer } from './pointer'
import type { At, Effect, Follower } from './types'

/** Which of `count` equal stretches holds a share; the last one still, while it lies within the slack beyond it. */
function stretchOf(count: number, share: number, last: number, slack: number): number {
  if (last >= 0 && last < count && share >= last / count - slack && share <= (last + 1) / count + slack) return last
  return Math.max(0, Math.min(count - 1, Math.floor(share * count)))
}

/** Which cell of columns x rows the pointer is in, row by row from 0; the last one still, while it is less than `slackPx` beyond it. */
export function zoneOf(
  { x, y, width, height }: At,
  { reading = NaN }: Follower,
  columns: number,
  rows: number,
  slackPx: number,
  [top, right, bottom, left]: readonly [number, number, number, number],
): number {
  const [across, down] = [width - left - right, height - top - bottom]
  const last = slackPx ? reading : NaN
  const column = stretchOf(columns, across > 0 ? (x - left) / across : 0.5, last % columns, slackPx / Math.max(1, across))
  const row = stretchOf(rows, down > 0 ? (y - top) / down : 0.5, Math.floor(last / columns), slackPx / Math.max(1, down))
  return row * columns + column
}

/** Which of the elements that `among` selects is nearest to the pointer; the last one still, while no other is nearer by `slackPx`. */
export function nearestOf({ reading = NaN }: Follower, among: string, slackPx: number, measure: Effect['measure']): number {
  const ways = [...document.querySelectorAll(among)].map((element, i) => {
    const frame = frameOf(element, measure)
    return fromEdge(frame, frame.toFrame.transformPoint(pointer)) - (i === reading ? slackPx : 0)
  })
  const least = Math.min(...ways)
  return ways[reading] === least ? reading : Math.max(0, ways.indexOf(least))
}
