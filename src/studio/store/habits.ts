// What this browser remembers of how its designer works: how wide panels are, which headings are folded, which recipes were used lately.
import * as z from 'zod'
import { foldedAtFirst, sections } from '../../core/effect/sections'
import { panelNames, panelWidths } from '../panel-widths'

const place = 'glass-moth-habits'
/** So many recipes are remembered. */
const mostLately = 6

const habitsSchema = z.object({
  folded: z.array(z.enum(sections)).catch([...foldedAtFirst]),
  panels: z.partialRecord(z.enum(panelNames), z.number().min(panelWidths.least).max(panelWidths.most)).catch({}),
  /** Recipes as `kind/recipe`, the last one first. */
  lately: z
    .array(z.string())
    .transform((all) => all.slice(0, mostLately))
    .catch([]),
  /** Whether the list of effects stays open. */
  listStays: z.boolean().catch(false),
})
export type Habits = Readonly<z.infer<typeof habitsSchema>>

type Store = Pick<Storage, 'getItem' | 'setItem'>

/** What is remembered; what cannot be read is as it is at first. */
export function readHabits(storage: Store): Habits {
  const read = (): unknown => {
    try {
      return JSON.parse(storage.getItem(place) ?? '{}')
    } catch {
      return {}
    }
  }
  const given = read()
  return habitsSchema.parse(typeof given === 'object' && given !== null ? given : {})
}

/** Remembers these; where nothing can be kept they are for this visit. */
export function keepHabits(storage: Store, { folded, panels, lately, listStays }: Habits): void {
  try {
    storage.setItem(place, JSON.stringify({ folded, panels, lately, listStays }))
  } catch {
    // They hold until the page is left.
  }
}

/** The recipes that were used lately, with one more. */
export const withLately = (lately: readonly string[], name: string): string[] =>
  [name, ...lately.filter((each) => each !== name)].slice(0, mostLately)
