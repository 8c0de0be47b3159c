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
  const studio = useStudio()
  const [front, back] = selectsApart(effect)
  const kind = findKind(effect.kind)
  if (!kind || front === undefined || back === undefined) return null
  if (kind.covers !== undefined) return <NeededStack front={front} back={back} />
  const laid: unknown = kind.laid?.(effect.settings, 'over')
  const isLaid = laid === undefined || JSON.stringify(laid) === JSON.stringify(effect.settings)
  return isLaid ? null : (
    <OfferedStack front={front} back={back} onAct={() => changeSettings(studio, effect, laid, 'Stacking two elements')} />
  )
}

/** What the effect itself can stack: that changes the page at rest, so it is asked for. */
function OfferedStack({ front, back, onAct }: Pair & { readonly onAct: () => void }) {
  const isApart = useOnPage(`${front} ${back} apart`, async ({ studio: { link } }) => !(await liesOver(link, front, back)))
  if (!isApart) return null
  return (
    <Flex align="baseline" gap="10px" pl="30px" fontSize="13.5px" lineHeight="1.4" wrap="wrap">
      <span>These two do not overlap. Stacked, they take the space of the larger one, also at rest.</span>
      <Button minHeight="24px" fontSize="13px" onClick={onAct}>
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
