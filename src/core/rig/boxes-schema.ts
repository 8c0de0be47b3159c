// Boxes as they come in from a file: where elements lie, by selector, at once or from moments on.
import * as z from 'zod'
import type { Boxes, BoxesAt } from './evaluate'

const px = z.number().min(-1e7).max(1e7)
const size = z.object({ width: px.min(0), height: px.min(0) })
const box = size.extend({ x: px, y: px, content: size.optional() })
const boxes = z.object({ window: size, elements: z.record(z.string(), z.array(box).max(10_000)) })
const schema = z.union([boxes, z.array(boxes.extend({ t: z.number() })).min(1)])

/** Reads boxes. Throws a ZodError that names the place. */
export function readBoxes(value: unknown): Boxes | readonly BoxesAt[] {
  return schema.parse(value)
}
