// A row that is offered counts: some other value of it changes what the effect does, with the settings of every recipe.
import { expect, it } from 'vitest'
import type { Control } from './control'
import { kinds } from './kinds'

/** Values that a control may be given besides its own. */
function othersOf(control: Control<unknown>, settings: unknown): readonly unknown[] {
  switch (control.kind) {
    case 'number':
      return [control.least, control.greatest, control.read(settings) + control.step]
    case 'choice':
      return control.options.map(({ value }) => value)
    case 'colour':
      return ['#123456']
    case 'gradient':
      return ['linear-gradient(90deg, #111111 0%, #222222 100%)']
    case 'text':
      return ['data-x', 'color: red']
    case 'feel':
      return [{ kind: 'glide', halfLifeMs: 61 }]
    case 'curve':
      return [{ stops: [{ at: 0, value: 3 }, { at: 1, value: 7 }] }] // prettier-ignore
  }
}

/** What says in what unit the rows after it are does nothing alone, and a cursor that is late is not for reduced motion anyway. */
const allowed = (kind: string, { id }: Control<unknown>) => id === 'insetUnit' || (kind === 'cursor' && id === 'reducedMotion')

it.each(kinds.filter(({ id }) => id !== 'free').map((kind) => [kind.id, kind] as const))('of %s all of them', (id, kind) => {
  for (const settings of [kind.defaults, ...kind.recipes.map((recipe) => recipe.settings as unknown)] as readonly unknown[]) {
    const roles = Object.fromEntries(kind.roles(settings).map((role) => [role.id, `.${role.id}`]))
    const rig = (given: unknown) => JSON.stringify([kind.expand(given, '.self', roles), kind.expand(given, '.self')])
    const before = rig(settings)
    for (const control of kind.controls(settings)) {
      if (control.row === undefined || control.isIdle || allowed(id, control)) continue
      const write = control.write as (given: unknown, value: unknown) => unknown
      expect(
        othersOf(control, settings).some((value) => rig(write(settings, value)) !== before),
        `${control.id} with ${JSON.stringify(settings)}`,
      ).toBe(true)
    }
  }
})
