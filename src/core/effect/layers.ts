// Layers of a kind: elements inside its own, each with a number of its own, pointed at one by one.
import * as z from 'zod'
import type { Role } from '../rig/rig'

/** More than so many layers nobody tells apart. */
export const mostLayers = 20

export const layerId = z.string().regex(/^layer-\d{1,2}$/)

interface Layer {
  readonly id: string
}

interface Layered<L extends Layer> {
  readonly layers: readonly L[]
}

const nth = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']

/** What a layer is called, by its place among them. */
export const layerTitle = (index: number) => `${nth[index] ?? `${index + 1}th`} layer`

export const layerRoles = <L extends Layer>({ layers }: Layered<L>): readonly Role[] =>
  layers.map(({ id }, index) => ({ id, title: layers.length === 1 ? 'layer' : layerTitle(index), needs: 'yours', ask: 'point at a layer' }))

/** The settings with one layer more, like the last one but changed by `next`; as they were where there are enough. */
export function withLayer<L extends Layer, S extends Layered<L>>(settings: S, next: (last: L | undefined, id: string) => L): S {
  const { layers } = settings
  if (layers.length >= mostLayers) return settings
  const numbers = layers.map(({ id }) => Number(id.slice('layer-'.length)))
  return { ...settings, layers: [...layers, next(layers.at(-1), `layer-${Math.max(0, ...numbers) + 1}`)] }
}

/** The settings with one layer less; as they were where there is none of that id. */
export const withoutLayer = <L extends Layer, S extends Layered<L>>(settings: S, id: string): S =>
  settings.layers.some((each) => each.id === id) ? { ...settings, layers: settings.layers.filter((each) => each.id !== id) } : settings
