// Roles: an effect lacks an element without which it is not whole, is on one element where it needs several, or what fills one of its roles is
// not on the page.
import { askFor, nameOfRole } from '../effect/help'
import { filledIn } from '../effect/kinds'
import { openRoles } from '../effect/roles'
import { capital, nameOf, type Check } from './check'

export const roles: Check = {
  id: 'roles',
  needsLayout: false,
  look: (checked) => {
    const { effect, kind, told } = checked
    if (told.count === 0) return undefined
    const [main, ...others] = kind.roles(effect.settings)
    const [open] = openRoles(kind, effect, told.count)
    if (open)
      return {
        words:
          open.id === main?.id
            ? `${nameOf(checked)} is for several elements side by side, and is on one alone.`
            : `${nameOf(checked)} has no ${nameOfRole(open)} yet, and waits for it.`,
        fix: { words: capital(askFor(open)), role: open.id },
      }
    const filled = filledIn(effect)
    const lost = others.find(({ id }) => told.unmet.includes(id) && !checked.matchesElsewhere(filled[id] ?? ''))
    return lost
      ? {
          words: `${nameOf(checked)} finds nothing for its role “${lost.title}”: no element matches ${filled[lost.id] ?? ''}.`,
          fix: { words: capital(askFor(lost)), role: lost.id },
        }
      : undefined
  },
}
