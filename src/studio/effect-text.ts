// An effect as text, to be carried to another element, page or site.
import { nanoid } from 'nanoid'
import * as z from 'zod'
import { describeIssues } from '../core/site/issues'
import { effectSchema, type Effect } from '../core/site/site'
import { notify } from './commands'
import type { Studio } from './context'
import { chosenTarget } from './point/target'
import { notPointing } from './store/view-store'

const effectText = 'glass-moth-effect/1'

/** An effect as text, to be pasted on another element, page or site. */
export function textOfEffect(effect: Effect): string {
  return JSON.stringify({ format: effectText, effect }, null, 2)
}

/** Pastes an effect that was copied as text: on what is chosen, else on what it was for. Gives false for any other text. */
export function pasteEffect(studio: Studio, text: string): boolean {
  let read: unknown
  try {
    read = JSON.parse(text)
  } catch {
    return false
  }
  const pasted = pastedSchema.safeParse(read)
  if (!pasted.success) {
    if (typeof read === 'object' && read !== null && 'format' in read && read.format === effectText)
      notify(studio, `This effect cannot be pasted. ${describeIssues(pasted.error)}`)
    return false
  }
  const { store, view } = studio
  // Roles, pages and what each had of its own belong to where it comes from.
  const { kind, name, select, noun, narrow, settings } = pasted.data.effect
  const effect: Effect = {
    id: nanoid(10),
    kind,
    name,
    settings,
    ...(narrow ? { narrow } : {}),
    ...(view.get().pointing.stage === 'choosing' ? (chosenTarget(studio) ?? { select, noun }) : { select, noun }),
  }
  store.edit({ do: 'add', effect, at: store.history.get().site.effects.length }, `Pasting ${name}`)
  view.update({ selected: effect.id, pointing: notPointing, trial: null })
  return true
}

const pastedSchema = z.object({ format: z.literal(effectText), effect: effectSchema })
