// Whether what a recipe makes has to stand in its element, which a picture or a video has no room for.
import { addedParts } from '../rig/rig'
import type { Recipe } from './kind'
import type { AnyKind } from './kinds'

/**
 * Whether a recipe puts parts into its element, or moves nothing but what is in it. A kind that knows what to do on a picture, or takes what
 * is picked for one layer of several, is about the picture itself.
 */
export function standsInside(
  { onReplaced, covers, roles: rolesOf, expand }: Pick<AnyKind, 'onReplaced' | 'covers' | 'roles' | 'expand'>,
  { settings, roles = {} }: Recipe<unknown>,
): boolean {
  if (onReplaced || rolesOf(settings).some(({ id }) => id === covers)) return false
  const { areas, parts, outputs, states = [] } = expand(settings, '.of-its-own')
  const isOwn = (id: string) => areas.find((area) => area.id === id)?.of !== 'window'
  const hasParts = addedParts({ parts }).some(
    ({ host, is, inside, area }) => host === undefined && is === undefined && inside === undefined && isOwn(area),
  )
  const isMoved = outputs.some(({ to }) => to === 'self') || states.some(({ to }) => to === 'self')
  const inner = Object.values(roles).some(({ within }) => within !== '' && !within.startsWith('~'))
  return hasParts || (inner && !isMoved)
}
