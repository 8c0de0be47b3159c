// What is done with effects as a whole, one or several at once: each is one step of undo, and says what happened.
import { nanoid } from 'nanoid'
import { bindingsFor, isCircle, withBinding } from '../../core/site/bindings'
import { findKind } from '../../core/effect/kinds'
import { playsOn, type Effect, type Page, type Site } from '../../core/site/site'
import { cutText } from '../../core/site/text'
import { notify } from '../commands'
import { pageOf, type Studio } from '../context'
import { keyNamed } from '../key-names'
import { newGesture } from '../store/site-store'
import type { View } from '../store/view-store'

type Counts = View['counts']

/** Whether an effect is for a page and finds something there; one whose matches are not known yet may. */
export const isHere = (effect: Effect, page: Pick<Page, 'id'>, counts: Counts): boolean =>
  (!effect.pages || effect.pages.includes(page.id)) && (counts.get(effect.select)?.[page.id] ?? 1) > 0

/** The effects of a site that are on a page, and those that are elsewhere, each in their own order. */
export function sortedByPage({ effects }: Site, page: Pick<Page, 'id'>, counts: Counts) {
  const here = effects.filter((effect) => isHere(effect, page, counts))
  return { here, elsewhere: effects.filter((effect) => !here.includes(effect)) }
}

/** The effect whose caption is shown when a page opens: the first that plays there, or that would. */
export function firstHere(site: Site, page: Pick<Page, 'id'>, counts: Counts): Effect | undefined {
  const { here } = sortedByPage(site, page, counts)
  return here.find((effect) => playsOn(effect, page.id)) ?? here[0]
}

/** Selects the first effect of the page that is seen, where none is selected that is on it. */
export function selectHere({ store, view }: Pick<Studio, 'store' | 'view'>): void {
  const { site } = store.history.get()
  const { selected, counts } = view.get()
  const page = pageOf({ store, view })
  const effect = site.effects.find(({ id }) => id === selected)
  if (!effect || !isHere(effect, page, counts))
    view.update({ selected: firstHere(site, page, counts)?.id ?? null, chosen: [], touched: null })
}

/** The effects that are chosen in the list, or the selected one; in the order of effects. */
export function chosenEffects({ store, view }: Pick<Studio, 'store' | 'view'>): readonly Effect[] {
  const { chosen, selected } = view.get()
  return store.history.get().site.effects.filter(({ id }) => id === selected || chosen.includes(id))
}

/** Effects in words: by its name, or how many. */
export const told = (effects: readonly Effect[]) => (effects.length === 1 ? (effects[0]?.name ?? '') : `${effects.length} effects`)

/** Takes effects away. */
export function removeEffects(studio: Studio, effects: readonly Effect[] = chosenEffects(studio)): void {
  if (effects.length === 0) return
  const gesture = newGesture()
  studio.view.update({ selected: null, chosen: [], touched: null })
  for (const { id } of effects) studio.store.edit({ do: 'remove', id }, `Removing ${told(effects)}`, gesture)
  notify(studio, `Removed ${told(effects)}. ${keyNamed('Ctrl Z')} brings ${effects.length === 1 ? 'it' : 'them'} back.`)
}

/** Turns effects off; or on, where all of them are off. */
export function toggleOff({ store }: Studio, effects: readonly Effect[]): void {
  const gesture = newGesture()
  const isOff = effects.every((each) => each.isOff) ? undefined : true
  for (const { id } of effects) store.edit({ do: 'change', id, to: { isOff } }, `Turning ${told(effects)} ${isOff ? 'off' : 'on'}`, gesture)
}

/** Puts a copy behind each, and selects the first copy. */
export function duplicateEffects({ store, view }: Studio, effects: readonly Effect[]): void {
  const gesture = newGesture()
  const copies = effects.map((effect) => ({ effect, copy: { ...effect, id: nanoid(10), name: `${cutText(effect.name, 110)}, copy` } }))
  for (const { effect, copy } of copies) {
    const at = store.history.get().site.effects.findIndex(({ id }) => id === effect.id) + 1
    store.edit({ do: 'add', effect: copy, at }, `Duplicating ${told(effects)}`, gesture)
  }
  const [first, ...rest] = copies
  if (first) view.update({ selected: first.copy.id, chosen: rest.map(({ copy }) => copy.id), touched: null })
}

/** Moves an effect up or down, past its neighbour among those that are shown beside it. */
export function moveEffect({ store, view }: Studio, effect: Effect, by: -1 | 1): void {
  const { site } = store.history.get()
  const { here, elsewhere } = sortedByPage(site, pageOf({ store, view }), view.get().counts)
  const list = here.includes(effect) ? here : elsewhere
  const neighbour = list[list.indexOf(effect) + by]
  if (neighbour) store.edit({ do: 'move', id: effect.id, to: site.effects.indexOf(neighbour) }, `Moving ${effect.name}`)
}

export function renameEffect({ store }: Studio, { id }: Effect, name: string): void {
  store.edit({ do: 'change', id, to: { name } }, 'Renaming an effect')
}

/** Selects the effect behind the selected one on this page, or before it; from the last on to the first. */
export function selectBeside({ store, view }: Studio, by: -1 | 1): void {
  const { here } = sortedByPage(store.history.get().site, pageOf({ store, view }), view.get().counts)
  const at = here.findIndex(({ id }) => id === view.get().selected)
  const next = here[at < 0 ? (by > 0 ? 0 : here.length - 1) : (at + by + here.length) % here.length]
  if (next) view.update({ selected: next.id, chosen: [], touched: null })
}

/** Ties what several effects have in common to the first of them: its numbers and colours are theirs from then on. */
export function tieEffects(studio: Studio, effects: readonly Effect[] = chosenEffects(studio)): void {
  const [first, ...others] = effects
  if (!first || others.length === 0) return
  const gesture = newGesture()
  let count = 0
  for (const { id } of others) {
    const site = studio.store.history.get().site
    const effect = site.effects.find((each) => each.id === id)
    if (!effect) continue
    const bindings = (findKind(effect.kind)?.controls(effect.settings) ?? []).reduce((all, control) => {
      const binding = { to: { effect: first.id, control: control.id }, times: 1 }
      const isThere = bindingsFor(site, effect, control).some(
        ({ to }) => 'effect' in to && to.effect === first.id && to.control === control.id,
      )
      if (!isThere || isCircle(site, effect.id, control.id, binding)) return all
      count += 1
      return withBinding(all, control.id, binding)
    }, effect.bindings)
    if (bindings !== effect.bindings)
      studio.store.edit({ do: 'change', id, to: { bindings } }, `Linking ${told(effects)} to ${first.name}`, gesture)
  }
  notify(
    studio,
    count > 0
      ? `${count} values of ${told(others)} follow ${first.name} now.`
      : `${told(others)} and ${first.name} have nothing in common that could be linked.`,
  )
}

/** Keeps each as a preset. */
export async function keepAsPresets(studio: Studio, effects: readonly Effect[] = chosenEffects(studio)): Promise<void> {
  try {
    const { savePreset } = await import('../presets/commands')
    for (const effect of effects) await savePreset(studio, effect)
  } catch {
    notify(studio, 'The studio’s server cannot be reached, so nothing was kept as a preset.')
  }
}

/** Takes the last step back, and says which it was. */
export function undo(studio: Studio): void {
  const step = studio.store.history.get().undo.at(-1)
  studio.store.undo()
  if (step) notify(studio, `Undone: ${step.words}.`)
}

export function redo(studio: Studio): void {
  const step = studio.store.history.get().redo.at(-1)
  studio.store.redo()
  if (step) notify(studio, `Done again: ${step.words}.`)
}

/** Chooses an effect in the list: alone, beside others, or all from the selected one to it. */
export function chooseEffect({ store, view }: Studio, id: string, how: 'alone' | 'also' | 'range', order: readonly string[]): void {
  const { selected, chosen } = view.get()
  if (how === 'alone' || selected === null) return view.update({ selected: id, chosen: [], touched: null })
  if (how === 'range') {
    const [from, to] = [order.indexOf(selected), order.indexOf(id)].sort((a, b) => a - b)
    return view.update({ chosen: order.slice(from, (to ?? 0) + 1).filter((each) => each !== selected) })
  }
  const all = new Set([selected, ...chosen])
  if (all.has(id) && all.size > 1) all.delete(id)
  else all.add(id)
  const [first = null, ...rest] = store.history
    .get()
    .site.effects.map((each) => each.id)
    .filter((each) => all.has(each))
  const next = selected !== null && all.has(selected) ? selected : first
  view.update({ selected: next, chosen: [...(first === null ? [] : [first]), ...rest].filter((each) => each !== next) })
}
