// Whether the page has two elements in one place.
import type { Box } from '../../core/geometry/box'
import type { Studio } from '../context'

/** Whether two boxes share more than a half of the smaller one. */
function overlap(one: Box, other: Box): boolean {
  const along = (from: number, long: number, start: number, length: number) =>
    Math.max(0, Math.min(from + long, start + length) - Math.max(from, start))
  const shared = along(one.x, one.width, other.x, other.width) * along(one.y, one.height, other.y, other.height)
  return shared > 0.5 * Math.min(one.width * one.height, other.width * other.height)
}

/** Whether the first matches of two selectors lie over each other; true where the page has none, or does not answer. */
export async function liesOver(link: Studio['link'], one: string, other: string): Promise<boolean> {
  const answer = await link.ask({ type: 'boxes', selects: [one, other] }).catch(() => undefined)
  const [first, second] = [answer?.elements[one]?.[0], answer?.elements[other]?.[0]]
  return first && second ? overlap(first, second) : true
}
