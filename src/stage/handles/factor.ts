// A factor: how many times as large as the others the area is, by the edge at which it ends.
import type { Box } from '../../core/geometry/box'
import { lineAt, type HandleKind, type HandleOf } from './handle'

type Factor = HandleOf<'factor'>

const lengthOf = ({ along }: Factor, box: Box) => (along === 'across' ? box.width : box.height) || 1

export const factor: HandleKind<Factor> = {
  grip: ({ along }, { box }) => ({
    x: box.x + (along === 'across' ? box.width : box.width / 2),
    y: box.y + (along === 'across' ? box.height / 2 : box.height),
  }),
  // What it gains the others give: as long as these are as many as they are, its share grows with its length.
  valueAt: (handle, { box }, { x, y }) => {
    const long = handle.along === 'across' ? x - box.x : y - box.y
    return Math.round((handle.value * long * 10) / lengthOf(handle, box)) / 10
  },
  draw: ({ along }, { box }, { x, y }) => [lineAt(box, along === 'across', along === 'across' ? x : y)],
}
