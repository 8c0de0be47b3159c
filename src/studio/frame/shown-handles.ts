// The handles of the word in hand, as the page draws them.
import type { Control, NumberControl } from '../../core/effect/control'
import type { ShownHandle } from '../../stage/protocol'

/** The handle of a control, with those that are drawn along with it: the ring with its soft edge, both numbers of a point, all insets. */
export function shownHandles(controls: readonly Control<unknown>[], settings: unknown, touched: string): ShownHandle[] {
  const control = controls.find(({ id }) => id === touched)
  if (control?.kind !== 'number' || !control.handle || control.handle === 'pin') return []
  const { handle } = control
  const numbers = controls.filter((each): each is NumberControl<unknown> => each.kind === 'number' && typeof each.handle === 'object')
  const along = numbers.filter((each) => {
    if (each === control || typeof each.handle !== 'object') return each === control
    if (handle.on === 'point') return each.id === handle.with
    if (handle.on === 'softness') return each.id === handle.beyond
    if (handle.on === 'radius') return each.handle.on === 'softness' && each.handle.beyond === control.id
    return handle.on === 'inset' && each.handle.on === 'inset' && each.id.replace(/-[a-z]+$/, '') === control.id.replace(/-[a-z]+$/, '')
  })
  return along.flatMap((each) => shown(each, controls, settings))
}

function shown(control: NumberControl<unknown>, controls: readonly Control<unknown>[], settings: unknown): ShownHandle[] {
  const { handle, id, least, greatest, unit } = control
  if (typeof handle !== 'object') return []
  const valued = { id, value: control.read(settings), least, greatest, unit }
  switch (handle.on) {
    case 'softness': {
      const inner = controls.find((each) => each.id === handle.beyond)
      return [{ on: 'softness', inner: inner?.kind === 'number' ? inner.read(settings) : 0, ...valued }]
    }
    case 'point':
      return [{ on: 'point', axis: handle.axis, from: handle.from, to: handle.to, ...valued }]
    default:
      return [{ ...handle, ...valued }]
  }
}
