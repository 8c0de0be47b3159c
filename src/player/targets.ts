// Values that are written on something else than the element they are read in.
import type { Write } from '../core/rig/played'
import { findAll } from './find'
import type { House } from './house'
import type { Styled } from './measure'
import type { Parts } from './parts'
import type { Writer } from './write'

/** Where a value is read. */
interface Home {
  readonly house: House
  readonly element: Styled
  /** Which place of the area it is. */
  readonly index: number
  readonly parts: Parts | undefined
}

/** The writers of one value: on a part, on elements inside its own, or on the one that is linked to its place. */
function writersOn(to: NonNullable<Write['to']>, own: Writer, { house, element, index, parts }: Home): readonly Writer[] {
  if ('within' in to) return [{ ...own, elements: findAll(element, to.within) }]
  if ('linked' in to) return [{ ...own, elements: findAll(house.root, to.linked).slice(index, index + 1) }]
  const pieces = parts?.get(to.part) ?? []
  const links = own.play.channels[own.channel]?.chain
  // Each piece of a chain has a link of its own.
  if (links === undefined || own.link !== undefined) return [{ ...own, elements: pieces }]
  return pieces.map((piece, k) => ({ ...own, link: Math.min(k, links - 1), elements: [piece] }))
}

export const targets = { writersOn }
