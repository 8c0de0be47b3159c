// The noun of a caption: which elements fill a role. One choice makes it this one, or all of its likes; or it is pointed at.
import type { Role } from '../../core/rig/rig'
import type { Effect } from '../../core/site/site'
import { wordOf } from '../../core/export/names'
import { askFor, nameOfRole } from '../../core/effect/help'
import { findKind } from '../../core/effect/kinds'
import { openRoles, selectOfRole } from '../../core/effect/roles'
import { removeRole, startPointing } from '../point/commands'
import { usePage, useStudio, useView } from '../context'
import { WordMenu } from './ChoiceWord'

interface NounWordProps {
  readonly effect: Effect
  readonly role: Role
  /** Whether it is the role that the effect itself is about. */
  readonly isMain: boolean
}

/** A noun in hand, among the ids of controls. */
export const roleWord = (id: string) => `role ${id}`

const needs = { yours: 'uses elements of your page', added: 'added at run time', shell: 'needs a shell' } as const

export function NounWord({ effect, role, isMain }: NounWordProps) {
  const studio = useStudio()
  const { counts, described } = useView('counts', 'described')
  const page = usePage()
  const filled = isMain ? effect : effect.roles?.[role.id]
  const counted = filled && counts.get(selectOfRole(effect.select, filled.select))
  const count = counted?.[page.id]
  const rung = isMain && described?.select === effect.select ? described.rung : undefined
  const likes = rung?.choices.find(({ how }) => how === 'class') ?? rung?.choices.find(({ how }) => how !== 'one' && how !== 'picture')
  const options = [...(rung?.choices.filter(({ how }) => how === 'one') ?? []), ...(likes ? [likes] : [])].map(
    ({ how, select, count: all }) => ({
      value: select,
      words: how === 'one' ? `this ${rung?.noun ?? ''} alone` : `all ${all}: each ${wordOf(select)}`,
      isCurrent: select === filled?.select,
    }),
  )
  const kind = findKind(effect.kind)
  const more = kind?.moreRoles
  const isOneOfMany = more !== undefined && more.remove(effect.settings, role.id) !== effect.settings
  const all = [
    ...options,
    { value: 'point', words: `point at something${filled ? ' else' : ''}`, isCurrent: false },
    ...(isOneOfMany ? [{ value: 'remove', words: `take this ${more?.noun ?? ''} out`, isCurrent: false }] : []),
  ]
  const change = (value: string) => {
    if (value === 'remove') return removeRole(studio, effect, role.id)
    if (value === 'point') return startPointing(studio, { for: 'role', effect: effect.id, role: role.id })
    const isOne = rung?.choices.find(({ select }) => select === value)?.how === 'one'
    studio.store.edit(
      { do: 'change', id: effect.id, to: { select: value, noun: `${isOne ? 'this' : 'each'} ${wordOf(value)}` } },
      'Choosing which elements',
    )
  }
  // What fills it is on no page, where the effect itself is on this one.
  const own = counts.get(effect.select)?.[page.id] ?? 0
  const isLost = !isMain && count === 0 && own > 0 && Object.values(counted ?? {}).every((each) => each === 0)
  const isOpen = isLost || (kind !== undefined && openRoles(kind, effect, own).some(({ id }) => id === role.id))
  const noun = isOpen ? askFor(role) : (filled?.noun ?? role.title)
  return (
    <WordMenu
      label={`Which elements are the ${nameOfRole(role)} (${needs[role.needs]})`}
      note={`The ${nameOfRole(role)} ${needs[role.needs]}.`}
      words={count !== undefined && count > 1 ? `${noun}, ${count}` : noun}
      isOpen={isOpen}
      isWaiting={isMain && !rung}
      options={all}
      onTouch={() => studio.view.update({ touched: roleWord(role.id) })}
      onChange={change}
    />
  )
}
