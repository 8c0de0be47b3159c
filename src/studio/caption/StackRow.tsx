// Two layers that do not stand in one element: an element around both, shown as a difference of the page, and put there in one act.
import { selectsApart } from '../../core/check/layers'
import { findKind } from '../../core/effect/kinds'
import type { Box } from '../../core/geometry/box'
import type { Effect } from '../../core/site/site'
import { changeSource, type SourceChange } from '../markup/commands'
import { useStudio } from '../context'
import { MarkupOffer } from './MarkupOffer'
import { useOnPage } from './on-page'

export function StackRow({ effect }: { readonly effect: Effect }) {
  const [front, back] = selectsApart(effect)
  return findKind(effect.kind)?.covers !== undefined && front !== undefined && back !== undefined ? (
    <NeededStack front={front} back={back} />
  ) : null
}

/** Whether two boxes share more than a half of the smaller one: then the page has them in one place already. */
function overlap(one: Box | undefined, other: Box | undefined): boolean {
  if (!one || !other) return false
  const along = (from: number, long: number, start: number, length: number) =>
    Math.max(0, Math.min(from + long, start + length) - Math.max(from, start))
  const shared = along(one.x, one.width, other.x, other.width) * along(one.y, one.height, other.y, other.height)
  return shared > 0.5 * Math.min(one.width * one.height, other.width * other.height)
}

function NeededStack({ front, back }: { readonly front: string; readonly back: string }) {
  const studio = useStudio()
  const change = useOnPage(`${front} ${back}`, async ({ page, studio: { link, search }, matchesOf }): Promise<SourceChange | null> => {
    const [fronts, backs] = await Promise.all([matchesOf(front), matchesOf(back)])
    const [one, other] = [fronts[0]?.number, backs[0]?.number]
    // Of several each has its own, and stands with it.
    if (one === undefined || other === undefined || fronts.length !== 1 || backs.length !== 1) return null
    const { elements } = await link.ask({ type: 'boxes', selects: [front, back] })
    if (overlap(elements[front]?.[0], elements[back]?.[0])) return null
    const [source, { stack, standTogether }] = await Promise.all([search.source(page.source), import('../../core/page/stack')])
    return standTogether(source, one, other) ? null : (text) => stack(text, one, other)
  })
  if (!change) return null
  return (
    <MarkupOffer
      words="The two do not stand in one place: they can be laid over each other, in an element around both."
      change={change}
      act="Lay them over each other"
      onAct={() => void changeSource(studio, 'Laying two over each other', change)}
    />
  )
}
