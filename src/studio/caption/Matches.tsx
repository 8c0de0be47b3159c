// What is worth knowing about the elements that an effect means.
import { Box } from '@chakra-ui/react'
import { expandEffect } from '../../core/effect/kinds'
import { clashesOf } from '../../core/rig/clash'
import { isOneAlone, type Effect } from '../../core/site/site'
import { usePage, useSite, useView } from '../context'
import { OneOfSeveral } from './OneOfSeveral'

/** What is worth knowing about the elements that are meant: none are there, or a later effect sets what only one can. */
export function Matches({ effect }: { readonly effect: Effect }) {
  const { effects, pages } = useSite()
  const { counts, overlaps } = useView('counts', 'overlaps')
  const page = usePage()
  const meets = (other: Effect) =>
    other.select === effect.select || overlaps.some((set) => set.includes(effect.select) && set.includes(other.select))
  const rig = expandEffect(effect)
  const [later] = effects
    .slice(effects.findIndex(({ id }) => id === effect.id) + 1)
    .filter(meets)
    .map((other) => ({ number: effects.indexOf(other) + 1, clashes: clashesOf(rig, expandEffect(other)) }))
    .filter(({ clashes }) => clashes.length > 0)
  const count = counts.get(effect.select) === null ? null : counts.get(effect.select)?.[page.id]
  const elsewhere = pages
    .filter(({ id }) => id !== page.id && (counts.get(effect.select)?.[id] ?? 0) > 0)
    .map(({ id, name }) => `${counts.get(effect.select)?.[id] ?? 0} on ${name}`)
  if (count === 0 && elsewhere.length > 0)
    return (
      <Box role="status" fontSize="13.5px" color="soft" pl="30px" lineHeight="1.4">
        Nothing on this page; {elsewhere.join(', ')}.
      </Box>
    )
  // What was chosen as one alone means that one, also when the page has grown.
  if (typeof count === 'number' && count > 1 && isOneAlone(effect)) return <OneOfSeveral effect={effect} count={count} />
  const words =
    count === 0
      ? `Nothing on this page matches ${effect.select}. Point at the element again, or fix the selector under More.`
      : count === null
        ? `${effect.select} is no selector that a browser can read. Point at the element again, or fix it under More.`
        : later
          ? `Effect ${later.number} sets the ${later.clashes.join(' and the ')} of some of these elements too, and the later effect counts there. All else adds up.`
          : undefined
  return words ? (
    <Box role="status" fontSize="13.5px" fontWeight="600" pl="30px" lineHeight="1.4">
      ⚠ {words}
    </Box>
  ) : null
}
