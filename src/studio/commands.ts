// What a designer can do in the studio, by button or by key: each is one function over the stores.
import { nanoid } from 'nanoid'
import type { Place } from '../core/geometry/place'
import { findKind } from '../core/effect/kinds'
import type { Effect } from '../core/site/site'
import type { Studio } from './context'
import { notPointing } from './store/view-store'

export function selectedEffect({ store, view }: Studio): Effect | undefined {
  return store.history.get().site.effects.find(({ id }) => id === view.get().selected)
}

export function startPointing({ view }: Studio): void {
  view.update({ pointing: { ...notPointing, stage: 'looking' }, trial: null, walking: false, touched: null, notice: null })
}

export function stopPointing({ view }: Studio): void {
  view.update({ pointing: notPointing, trial: null })
}

/** The selector and the noun of what is chosen on the ladder; undefined while nothing is. */
export function chosenTarget({ view }: Studio): { readonly select: string; readonly noun: string } | undefined {
  const { rungs, pick, scope } = view.get().pointing
  const rung = rungs[pick]
  if (!rung) return undefined
  return scope === 'likes' && rung.likes ? { select: rung.likes.select, noun: `each ${rung.noun}` } : { select: rung.one, noun: `this ${rung.noun}` }
}

/** The effect that a recipe makes of what is chosen on the ladder. */
export function recipeEffect(studio: Studio, kindId: string, recipeId: string, id: string): Effect | undefined {
  const recipe = findKind(kindId)?.recipes.find((each) => each.id === recipeId)
  const target = chosenTarget(studio)
  return recipe && target && { id, kind: kindId, name: recipe.title, ...target, settings: recipe.settings }
}

/** Adds what a recipe makes of the chosen element, selects it, and leaves the ghost where it was pointed at. */
export function addRecipe(studio: Studio, kindId: string, recipeId: string): void {
  const effect = recipeEffect(studio, kindId, recipeId, nanoid(10))
  if (!effect) return
  studio.view.update({ selected: effect.id, pointing: notPointing, trial: null })
  studio.store.edit({ do: 'add', effect, at: studio.store.history.get().site.effects.length }, `Adding ${effect.name}`)
}

/** Changes the selected effect's settings. */
export function changeSettings({ store }: Studio, effect: Effect, settings: unknown, words: string, gesture?: string): void {
  store.edit({ do: 'change', id: effect.id, to: { settings } }, words, gesture)
}

/** Turns the direction of the selected effect. */
export function turnDirection(studio: Studio): void {
  const effect = selectedEffect(studio)
  const kind = effect && findKind(effect.kind)
  if (effect && kind) changeSettings(studio, effect, kind.turned(effect.settings), 'Turning the direction')
}

/** Puts the away pin of the selected effect. */
export function placePin(studio: Studio, place: Place, gesture: string): void {
  const effect = selectedEffect(studio)
  const kind = effect && findKind(effect.kind)
  if (effect && kind) changeSettings(studio, effect, kind.withAwayPlace(effect.settings, place), 'Moving the away pin', gesture)
}

export function removeEffect({ store, view }: Studio, effect: Effect): void {
  view.update({ selected: null, touched: null })
  store.edit({ do: 'remove', id: effect.id }, `Removing ${effect.name}`)
}

/** Sends the stand-in pointer off the page, as a real one would leave. */
export function leavePage({ link, view }: Studio): void {
  view.update({ walking: false })
  link.say({ type: 'leave', to: 'away' })
}

/** Starts or ends the walk of the stand-in pointer over the selected effect. */
export function toggleWalk(studio: Studio): void {
  studio.view.update({ walking: !studio.view.get().walking && selectedEffect(studio) !== undefined })
}
