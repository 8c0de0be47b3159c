// Which elements fill the roles of an effect beside its own. What lies within its matches is kept relative to them: `& img` is the picture in each,
// whatever the effect is on. So roles go with their effect to other elements, pages and presets.
import { asOneSelector } from '../rig/resolve'
import type { Role } from '../rig/rig'
import type { Kind, Recipe } from './kind'

/** A role's selector as CSS has it on the page, for an effect on `own`: `&` is each match. */
export const selectOfRole = (own: string, select: string): string =>
  select.startsWith('&') ? select.replace(/(^|,\s*)&/g, (_, before: string) => `${before}${asOneSelector(own)}`) : select

/** A selector relative to the matches of `own`, where it begins with them; as it was where it does not. */
export function relativeToMatches(own: string, select: string): string {
  const start = asOneSelector(own)
  // Of a list only its first selector would begin with them.
  return select === start || (select.startsWith(`${start} `) && !/,(?![^(]*\))/.test(select.slice(start.length)))
    ? `&${select.slice(start.length)}`
    : select
}

/** The roles of a recipe within what its effect is on, until they are pointed at. */
export const rolesInside = (roles: Recipe<unknown>['roles']): Readonly<Record<string, { select: string; noun: string }>> | undefined =>
  roles && Object.fromEntries(Object.entries(roles).map(([id, { within, noun }]) => [id, { select: `& ${within}`.trim(), noun }]))

/**
 * The roles that an effect waits for: its own, where it is on one of so many elements and one alone is too few; and those without which it is not
 * whole, as long as nothing fills them, nor what does instead.
 */
export function openRoles(
  { roles: rolesOf, needsSeveral }: Pick<Kind<unknown>, 'roles' | 'needsSeveral'>,
  { settings, roles = {} }: { readonly settings: unknown; readonly roles?: Readonly<Record<string, unknown>> | undefined },
  count: number | undefined,
): readonly Role[] {
  const [main, ...others] = rolesOf(settings)
  const isFilled = (id: string | undefined) => id !== undefined && roles[id] !== undefined
  return [
    ...(main && needsSeveral && count === 1 ? [main] : []),
    ...others.filter(({ id, ask, unless }) => ask !== undefined && !isFilled(id) && !isFilled(unless)),
  ]
}
