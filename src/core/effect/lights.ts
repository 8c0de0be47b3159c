// Light on a ground: whether it is seen there, and what would be.
import { apart, over, readColour, shadeFor, type Rgba } from '../curve/seen-colour'
import type { Light } from './kind'

/** So far apart, in OKLab, light and its ground are to be seen for what they are. */
const leastApart = 0.022

/** How far apart a ground and the light on it are: 0 where nothing of it is seen; undefined where a colour cannot be told. */
function seenOf({ colour, strength, blend }: Light, ground: Rgba): number | undefined {
  const light = readColour(colour)
  return light && apart(over(light, ground, strength, blend), ground)
}

/** Whether none of this light is seen on a ground, a CSS colour. What cannot be told counts as seen; no light at all is not lost. */
export function isLostOn(lights: readonly Light[], ground: string): boolean {
  const colour = readColour(ground)
  return colour !== undefined && lights.length > 0 && lights.every((light) => (seenOf(light, colour) ?? 1) < leastApart)
}

/** A colour of light that is seen on a ground; undefined where that is no colour. */
export function shadeOn(ground: string): string | undefined {
  const colour = readColour(ground)
  return colour && shadeFor(colour)
}
