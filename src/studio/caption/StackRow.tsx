// Two layers that do not stand in one element: an element around both, shown as a difference of the page, and put there in one act.
import { Flex } from '@chakra-ui/react'
import { selectsApart } from '../../core/check/layers'
import { findKind } from '../../core/effect/kinds'
import type { Effect } from '../../core/site/site'
import { changeSettings } from '../commands'
import { changeSource, type SourceChange } from '../markup/commands'
import { liesOver } from '../point/lies-over'
import { Button } from '../theme/controls'
import { useStudio } from '../context'
import { MarkupOffer } from './MarkupOffer'
import { useOnPage } from './on-page'

export function StackRow({ effect }: { readonly effect: Effect }) {
  const [front, back] = selectsApart(effect)
  const kind = findKind(effect.kind)
  if (!kind || front === undefined || back === undefined) return null
  if (kind.covers !== undefined) return <NeededStack front={front} back={back} />
  return kind.laidOver ? <OfferedStack effect={effect} front={front} back={back} laidOver={kind.laidOver} /> : null
}

/** What the effect itself can lay over each other: that changes the page at rest, so it is asked for. */
function OfferedStack({
  effect,
  front,
  back,
  laidOver,
}: Pair & { readonly effect: Effect; readonly laidOver: (settings: unknown) => unknown }) {
  const studio = useStudio()
  const isApart = useOnPage(`${front} ${back} apart`, async ({ studio: { link } }) => !(await liesOver(link, front, back)))
  const settings = laidOver(effect.settings)
  if (!isApart || JSON.stringify(settings) === JSON.stringify(effect.settings)) return null
  return (
    <Flex align="baseline" gap="10px" pl="30px" fontSize="13.5px" lineHeight="1.4" wrap="wrap">
      <span>The two lie apart. Over each other, they take the room of the larger one, also while nobody points at them.</span>
      <Button minHeight="24px" fontSize="13px" onClick={() => changeSettings(studio, effect, settings, 'Laying two over each other')}>
        Lay them over each other
      </Button>
    </Flex>
  )
}

interface Pair {
  readonly front: string
  readonly back: string
}

function NeededStack({ front, back }: Pair) {
  const studio = useStudio()
  const change = useOnPage(`${front} ${back}`, async ({ page, studio: { link, search }, matchesOf }): Promise<SourceChange | null> => {
    const [fronts, backs] = await Promise.all([matchesOf(front), matchesOf(back)])
    const [one, other] = [fronts[0]?.number, backs[0]?.number]
    // Of several each has its own, and stands with it.
    if (one === undefined || other === undefined || fronts.length !== 1 || backs.length !== 1) return null
    if (await liesOver(link, front, back)) return null
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
