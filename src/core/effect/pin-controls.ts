// The two numbers of an away pin: where along each axis the pointer is imagined while it is away.
import type { NumberControl } from './control'

interface Posed {
  readonly pose: { readonly x: number; readonly y: number }
}

/** The pin's numbers, in % of the way from the middle of `of` to an edge. `kept` makes the settings wait at the pin. */
export function pinControls<S extends Posed>(kept: (settings: S) => S, of: string): readonly NumberControl<S>[] {
  return (['x', 'y'] as const).map((axis): NumberControl<S> => ({
    kind: 'number',
    id: `pin-${axis}`,
    title: axis === 'x' ? 'The pin, across' : 'The pin, up-down',
    help: 'where the pointer is imagined while it is away',
    unit: '%',
    least: -100,
    greatest: 100,
    step: 5,
    drawing: 'none',
    handle: 'pin',
    percentOf: {
      words: axis === 'x' ? `half the width of ${of}` : `half the height of ${of}`,
      length: axis === 'x' ? 'half-width' : 'half-height',
    },
    read: ({ pose }) => pose[axis] * 100,
    write: (settings, percent) => kept({ ...settings, pose: { ...settings.pose, [axis]: percent / 100 } }),
  }))
}
