// Effects as text, to be carried to another element, page or site by copy, cut and paste.
import { nanoid } from 'nanoid'
import * as z from 'zod'
import { describeIssues } from '../../core/site/issues'
import { effectSchema, type Effect } from '../../core/site/site'
import { notify } from '../commands'
import type { Studio } from '../context'
import { chosenTarget } from '../point/target'
import { keyNamed } from '../key-names'
import { newGesture } from '../store/site-store'
import { notPointing } from '../store/view-store'
import { chosenEffects, removeEffects, told } from './commands'

const effectText = 'glass-moth-effect/1'

const pastedSchema = z
  .object({ format: z.literal(effectText), effect: effectSchema.optional(), effects: z.array(effectSchema).max(400).optional() })
  .transform(({ effect, effects = [] }) => (effect ? [effect, ...effects] : effects))
  .refine((effects) => effects.length > 0, { error: 'there is no effect in it' })

/** Effects as text, to be pasted on other elements, pages or sites; empty for none. */
export function textOfEffects(effects: readonly Effect[]): string {
  const [effect, ...more] = effects
  return effect ? JSON.stringify({ format: effectText, effect, ...(more.length > 0 ? { effects: more } : {}) }, null, 2) : ''
}

/** Says that what is chosen was copied, or takes it away where it was cut. */
export function tellCopied(studio: Studio, isCut: boolean): void {
  const effects = chosenEffects(studio)
  if (effects.length === 0) return
  if (isCut) removeEffects(studio, effects)
  notify(studio, `${isCut ? 'Cut' : 'Copied'} ${told(effects)}. Point at something and paste, here or on another site.`)
}

/**
 * Pastes effects that were copied as text: on what is chosen, else on what they were for. One of the same kind that is there already has
 * the settings then. Gives false for any other text.
 */
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
  const gesture = newGesture()
  const target = studio.view.get().pointing.stage === 'choosing' ? chosenTarget(studio) : undefined
  const put = pasted.data.map((effect) => pasteOne(studio, effect, target, `Pasting ${told(pasted.data)}`, gesture))
  const [first, ...rest] = put
  if (!first) return false
  studio.view.update({ selected: first.id, chosen: rest.map(({ id }) => id), pointing: notPointing, trial: null })
  const replaced = put.filter(({ isReplaced }) => isReplaced).length
  const back = `${keyNamed('Ctrl Z')} takes it back.`
  notify(
    studio,
    replaced === 0
      ? `Pasted ${told(pasted.data)} on ${first.noun}.`
      : replaced === put.length
        ? `Replaced ${told(pasted.data)} on ${first.noun}. ${back}`
        : `Pasted ${put.length - replaced} effects and replaced ${replaced}. ${back}`,
  )
  return true
}

interface Put {
  readonly id: string
  readonly noun: string
  readonly isReplaced: boolean
}

function pasteOne({ store }: Studio, pasted: Effect, target: ReturnType<typeof chosenTarget>, words: string, gesture: string): Put {
  // Roles, pages and what each had of its own belong to where it comes from.
  const { kind, name, narrow, settings } = pasted
  const { select, noun } = target ?? pasted
  const { effects } = store.history.get().site
  const same = effects.find((each) => each.kind === kind && each.select === select)
  if (same) {
    store.edit({ do: 'change', id: same.id, to: { settings, narrow } }, words, gesture)
    return { id: same.id, noun: same.noun, isReplaced: true }
  }
  const effect: Effect = { id: nanoid(10), kind, name, select, noun, settings, ...(narrow ? { narrow } : {}) }
  store.edit({ do: 'add', effect, at: effects.length }, words, gesture)
  return { id: effect.id, noun, isReplaced: false }
}
