// What a browser tells of an effect on a page that is laid out: read at nine places of the pointer on one of its elements. Data only.
import * as z from 'zod'

const number = z.number().int()
const px = z.number()

/** A layer that is drawn over or under a text: a CSS colour, and how much of it is seen, 0..1. */
const layer = z.object({ colour: z.string(), opacity: z.number(), isOver: z.boolean() })

/** A text at one place of the pointer: its colour, the grounds under it down to the first solid one, and what the effect lays there. */
const textLook = z.object({ colour: z.string(), opacity: z.number(), grounds: z.array(z.string()), layers: z.array(layer) })

export const seenSchema = z.object({
  /** Whether anything that is computed differs, at any of the nine places, from what it is without the effect. */
  isSeen: z.boolean(),
  /** What cuts off something that the effect makes stick out, and by how much, px. */
  clipped: z.array(z.object({ by: number, px, scrolls: z.boolean() })),
  /** Elements that come to lie under one that stands after them. */
  covered: z.array(z.object({ number, px })),
  /** By which property the page draws the elements flat. */
  flat: z.string().nullable(),
  /** Texts in one of the elements. */
  texts: z.array(z.object({ number, words: z.string(), isLarge: z.boolean(), rest: textLook, looks: z.array(textLook) })),
  /** Things to press that go away from the pointer, by how much, px; and how large they are. */
  fleeing: z.array(z.object({ number, width: px, height: px, px })),
  /** Pictures that are enlarged to more pixels than they have. */
  coarse: z.array(z.object({ number, has: px, needs: px })),
  /** How many elements one of them holds. */
  holds: number,
  /** The solid ground of the elements, as a CSS colour; null where it is none, or a picture. */
  ground: z.string().nullable(),
})
export type Seen = z.infer<typeof seenSchema>
export type TextLook = z.infer<typeof textLook>

/** What of an effect a page is asked to look at. */
export interface SeenAsked {
  /** The elements on which it reads the pointer; empty for the window. */
  readonly select: string
  /** Selectors of what it writes on, and of the parts that it adds. */
  readonly written: readonly string[]
  readonly parts: readonly string[]
  /** The properties that it gives something of. */
  readonly properties: readonly string[]
  /** Whether it moves, turns or enlarges its elements, or gives them shadows. */
  readonly moves: boolean
  /** Where it shows its elements in a lens: how many times as large, and by which attribute of a picture a sharper file is told. */
  readonly lens?: { readonly zoom: number; readonly sharper?: string | undefined } | undefined
}
