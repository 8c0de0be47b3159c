// Roles: an effect lacks an element without which it is not whole, is on one element where it needs several, or what fills one of its roles is
// not on the page.
import { nameOfRole } from '../effect/help'
import { filledIn } from '../effect/kinds'
import { capital, nameOf, type Check } from './check'

export const roles: Check = {
  id: 'roles',
  needsLayout: false,
  look: (checked) => {
    const { effect, kind, told } = checked
    if (told.matches.length === 0) return undefined
    const filled = filledIn(effect)
    const [main, ...others] = kind.roles(effect.settings)
    if (kind.needsSeveral && main && told.matches.length === 1)
      return {
        words: `${nameOf(checked)} is for several elements side by side, and is on one alone.`,
        fix: { words: capital(main.ask ?? 'point at one of several'), role: main.id },
      }
    const open = others.find(({ id, ask }) => ask !== undefined && filled[id] === undefined)
    const lost = others.find(({ id }) => told.unmet.includes(id))
    const role = open ?? lost
    if (!role) return undefined
    const name = nameOfRole(role)
    return {
      words: open
        ? `${nameOf(checked)} has no ${name} yet, and waits for it.`
        : `The ${name} of effect ${checked.planned.number} is not on this page: nothing matches ${filled[role.id] ?? ''}.`,
      fix: { words: capital(role.ask ?? `point at the ${name}`), role: role.id },
    }
  },
}
