// The role of an effect that is pointed for.
import { findKind } from '../../core/effect/kinds'
import type { Role } from '../../core/rig/rig'
import type { Effect } from '../../core/site/site'

export function roleOf(effects: readonly Effect[], effectId: string, roleId: string): Role | undefined {
  const effect = effects.find((each) => each.id === effectId)
  return findKind(effect?.kind ?? '')
    ?.roles(effect?.settings)
    .find(({ id }) => id === roleId)
}
