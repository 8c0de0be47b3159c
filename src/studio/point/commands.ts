// What pointing does: the ladder, what a choice means, roles, and the recipes that make effects of it.
import { nanoid } from 'nanoid'
import { selectsApart } from '../../core/check/layers'
import type { Recipe } from '../../core/effect/kind'
import { isLostOn, shadeOn } from '../../core/effect/lights'
import { expandEffect, filledIn, findKind, type AnyKind } from '../../core/effect/kinds'
import { relativeToMatches, rolesInside } from '../../core/effect/roles'
import type { Effect } from '../../core/site/site'
import type { Under } from '../../stage/protocol'
import { changeSettings, notify } from '../commands'
import { pageOf, type Studio } from '../context'
import { changeMode } from '../frame/holding'
import { withLately } from '../store/habits'
import { newGesture } from '../store/site-store'
import { liesOver } from './lies-over'
import { likeliest } from './likeliest'
import { chosenTarget, coveredTarget, meantRung } from './target'
import { notPointing, type Goal, type LadderRung } from '../store/view-store'

export function startPointing(studio: Studio, goal: Goal = { for: 'new' }): void {
  const { link, view } = studio
  // At once, and not only with the next picture of the screen: the very next click is meant for the page.
  link.say({ type: 'point', on: true })
  view.update({ pointing: { ...notPointing, stage: 'looking', goal }, trial: null, touched: null, notice: null })
  changeMode(studio, { type: 'stop playing' })
}

export function stopPointing({ view }: Studio): void {
  view.update({ pointing: notPointing, trial: null })
}

/** Goes on pointing, and keeps what is chosen as one of several places. */
export function addAnother({ view, ...studio }: Studio): void {
  const { pointing } = view.get()
  const target = chosenTarget({ view, ...studio })
  if (target)
    view.update({ trial: null, pointing: { ...notPointing, stage: 'looking', goal: pointing.goal, also: target.select.split(/\s*,\s*/) } })
}

/** Asks the worker what these elements could mean, and shows it as the ladder. */
export async function climb(studio: Studio, elements: readonly Under[], chosen: boolean, pick?: number): Promise<void> {
  const { view, search } = studio
  const rungs = await search.ask({ ask: 'rungs', page: pageOf(studio).id, numbers: elements.map(({ number }) => number) })
  const { pointing } = view.get()
  if (pointing.stage === 'no' || (pointing.stage === 'choosing' && !chosen)) return
  const ladder = rungs.map((rung): LadderRung => {
    const lying = elements.find(({ number }) => number === rung.number)
    return { ...rung, how: lying?.how ?? 'seen', width: lying?.width ?? 0, height: lying?.height ?? 0, isBox: lying?.isBox === true }
  })
  const picked = pick ?? likeliestFor(studio, pointing.goal, ladder, elements)
  view.update({ pointing: { ...pointing, stage: chosen ? 'choosing' : 'looking', rungs: ladder, pick: picked, choice: 0, typed: null } })
  // A role is filled by the click alone; what else it could mean is chosen by keys.
  if (chosen && pointing.goal.for === 'role' && pointing.also.length === 0) await fillRole(studio)
}

/** What is likeliest meant; for a role of an effect not what the effect itself is on, but what was pointed at in it. */
function likeliestFor({ store }: Studio, goal: Goal, ladder: readonly LadderRung[], elements: readonly Under[]): number {
  const pick = likeliest(ladder, elements)
  const own = goal.for === 'role' ? store.history.get().site.effects.find(({ id }) => id === goal.effect)?.select : undefined
  const isOwn = ladder[pick]?.choices.some(({ select }) => select === own) === true
  return isOwn
    ? Math.max(
        0,
        ladder.findIndex(({ how }) => how === 'seen'),
      )
    : pick
}

/** Climbs by key: to what is around the picked element, in it, or beside it. */
export function walkTree(studio: Studio, to: 'parent' | 'child' | 'next' | 'previous'): Promise<void> {
  return inTurn(() => stepInTree(studio, to))
}

/** Steps by key wait for those before them, so that fast fingers go where they mean to. */
let turn: Promise<void> = Promise.resolve()

const inTurn = (step: () => Promise<void> | void): Promise<void> => (turn = turn.then(step).catch(() => undefined))

async function stepInTree(studio: Studio, to: 'parent' | 'child' | 'next' | 'previous'): Promise<void> {
  const { view, search } = studio
  const { pointing } = view.get()
  const page = pageOf(studio).id
  const from = pointing.rungs[pointing.pick]
  const number = from
    ? await search.ask({ ask: 'way', page, number: from.number, to })
    : ((await search.ask({ ask: 'first', page, select: 'body > *' }))?.number ?? null)
  if (number === null) return
  const above: number[] = []
  for (
    let each: number | null = number;
    each !== null && above.length < 8;
    each = await search.ask({ ask: 'way', page, number: each, to: 'parent' })
  )
    above.push(each)
  await climb(
    studio,
    above.slice(0, -1).length > 0
      ? above.slice(0, -1).map((each, i) => ({ number: each, how: i === 0 ? 'seen' : 'wraps', width: 0, height: 0, isBox: false }))
      : [{ number, how: 'seen', width: 0, height: 0, isBox: false }],
    false,
    0,
  )
}

/** Takes the picked rung as it stands: what a click does, by key. */
export function choosePicked({ view }: Studio): Promise<void> {
  return inTurn(() => {
    const { pointing } = view.get()
    if (pointing.stage === 'looking' && pointing.rungs.length > 0) view.update({ pointing: { ...pointing, stage: 'choosing' } })
  })
}

/** The effect that a recipe makes of what is chosen on the ladder. */
export function recipeEffect(studio: Studio, kindId: string, recipeId: string, id: string): Effect | undefined {
  const kind = findKind(kindId)
  const recipe = kind?.recipes.find((each) => each.id === recipeId)
  const box = meantRung(studio, kind, recipe)
  const target = chosenTarget(studio, box, kind?.wantsSeveral)
  if (!recipe || !target) return undefined
  if (kind?.onPage) return onWholePage(studio, id, kind, recipe, target)
  const covered = kind?.covers === undefined ? undefined : coveredTarget(studio, box)
  // A picture holds no other one: it fills that role itself.
  const isPicture = isReplaced(studio) && kind?.onReplaced !== undefined
  const inside = isPicture ? undefined : rolesInside(recipe.roles)
  const roles = kind?.covers !== undefined && covered ? { ...inside, [kind.covers]: covered } : inside
  const settings: unknown = isPicture ? kind.onReplaced?.(recipe.settings) : recipe.settings
  return { id, kind: kindId, name: recipe.title, ...target, ...(roles ? { roles } : {}), settings }
}

/** An effect for the whole page, wherever on the site; what was pointed at fills the role that it has for that. */
function onWholePage(
  { store }: Studio,
  id: string,
  kind: AnyKind,
  recipe: Recipe<unknown>,
  target: { readonly select: string; readonly noun: string },
): Effect {
  const role = kind.onPage?.(recipe.settings)
  return {
    id,
    kind: kind.id,
    name: recipe.title,
    select: 'body',
    noun: store.history.get().site.pages.length > 1 ? 'every page' : 'the whole page',
    settings: recipe.settings,
    ...(role === undefined ? {} : { roles: { [role]: { select: target.select, noun: target.noun } } }),
  }
}

/** Whether what is chosen holds nothing, as a picture does; what holds only the picture does hold it. */
function isReplaced({ view }: Studio): boolean {
  const { rungs, pick, choice, typed } = view.get().pointing
  return typed === null && rungs[pick]?.isReplaced === true && rungs[pick].choices[choice]?.how !== 'picture'
}

/** One role more of those of which there may be several, to be pointed at next. */
export function addRole(studio: Studio, effect: Effect): void {
  const kind = findKind(effect.kind)
  if (!kind?.moreRoles) return
  const settings: unknown = kind.moreRoles.add(effect.settings)
  const added = kind.roles(settings).find(({ id }) => !kind.roles(effect.settings).some((each) => each.id === id))
  if (!added) return notify(studio, `There are as many ${kind.moreRoles.noun}s as it can have.`)
  changeSettings(studio, effect, settings, `Adding a ${kind.moreRoles.noun}`)
  startPointing(studio, { for: 'role', effect: effect.id, role: added.id })
}

/** One role less. */
export function removeRole({ store }: Studio, effect: Effect, role: string): void {
  const more = findKind(effect.kind)?.moreRoles
  if (!more) return
  const roles = Object.fromEntries(Object.entries(effect.roles ?? {}).filter(([id]) => id !== role))
  store.edit(
    {
      do: 'change',
      id: effect.id,
      to: { settings: more.remove(effect.settings, role), roles: Object.keys(roles).length > 0 ? roles : undefined },
    },
    `Removing a ${more.noun}`,
  )
}

/** Adds what a recipe makes of the chosen element and selects it. Resolves once it is fitted to the page. */
export async function addRecipe(studio: Studio, kindId: string, recipeId: string): Promise<void> {
  const effect = recipeEffect(studio, kindId, recipeId, nanoid(10))
  if (!effect) return
  const words = chosenTarget(studio)
  const isPicture = isReplaced(studio)
  // What was pointed at is known already: the caption need not wait until the page has been searched.
  const rung = studio.view
    .get()
    .pointing.rungs.find(({ choices }) => choices.some(({ how, select }) => how === 'one' && select === effect.select))
  studio.view.update({
    ...(rung ? { described: { select: effect.select, rung } } : {}),
    selected: effect.id,
    pointing: notPointing,
    trial: null,
    lately: withLately(studio.view.get().lately, `${kindId}/${recipeId}`),
  })
  const kind = findKind(kindId)
  if (words && words.select !== effect.select)
    notify(
      studio,
      kind?.onPage
        ? `It is on ${effect.noun}${effect.roles ? ', and changes over what you pointed at' : ''}; the caption can put it on an element.`
        : kind?.wantsSeveral
          ? `It is on ${effect.noun}, by ${effect.select}; the caption can put it on others.`
          : `It is on ${effect.select}, the box that ${words.select} stands in; the caption can put it on ${isPicture ? 'another element' : 'the words alone'}.`,
    )
  const gesture = newGesture()
  studio.store.edit({ do: 'add', effect, at: studio.store.history.get().site.effects.length }, `Adding ${effect.name}`, gesture)
  await suitElements(studio, effect, gesture)
  await fitToPage(studio, effect)
}

/**
 * Suits an effect to the elements that it is on, wherever its selector came from. Roles that nothing fills are taken out, so that the
 * caption asks for them; what is on pictures themselves is given the settings for that.
 */
async function suitElements(studio: Studio, effect: Effect, gesture: string): Promise<void> {
  const { id, select, roles = {}, settings } = effect
  const page = pageOf(studio).id
  const filled = filledIn(effect)
  const onReplaced = findKind(effect.kind)?.onReplaced
  const [counts, first] = await Promise.all([
    studio.search.ask({ ask: 'count', selects: [select, ...Object.values(filled)] }),
    studio.search.ask({ ask: 'first', page, select }),
  ]).catch(() => [])
  if (!counts || !((counts[select]?.[page] ?? 0) > 0)) return
  const isSomewhere = (each: string | undefined) => Object.values(counts[each ?? ''] ?? {}).some((count) => count > 0)
  const found = Object.entries(roles).filter(([role]) => isSomewhere(filled[role]))
  const to = {
    ...(found.length < Object.keys(roles).length ? { roles: found.length > 0 ? Object.fromEntries(found) : undefined } : {}),
    ...(first?.isReplaced && onReplaced ? { settings: onReplaced(settings) as unknown } : {}),
  }
  if (Object.keys(to).length > 0) studio.store.edit({ do: 'change', id, to }, `Adding ${effect.name}`, gesture)
}

/** Meets what the page does to the elements of an effect: in what is drawn flat nothing can rise, panels stand in a row of their own, and light must differ from its ground. */
async function fitToPage(studio: Studio, { id, kind: kindId, select }: Effect): Promise<void> {
  const { store, link } = studio
  const kind = findKind(kindId)
  const change = (words: string, to: (settings: unknown) => unknown) => {
    const now = store.history.get().site.effects.find((each) => each.id === id)
    const settings = now && to(now.settings)
    if (now && settings !== now.settings) store.edit({ do: 'change', id, to: { settings } }, words)
    return now && settings !== now.settings
  }
  if (kind?.onFlat) {
    const property = await link.ask({ type: 'flat', select }).catch(() => null)
    if (property !== null) change(`Meeting the card’s ${property}`, kind.onFlat)
  }
  if (kind?.onInline && (await link.ask({ type: 'inline', select }).catch(() => false))) change('Keeping it in its line', kind.onInline)
  if (kind?.onHugging) {
    const effect = store.history.get().site.effects.find((each) => each.id === id)
    if (effect && (await hugsWhereContained(studio, effect))) change('Leaving the frames their size', kind.onHugging)
  }
  if (kind?.laid) {
    const effect = store.history.get().site.effects.find((each) => each.id === id)
    const [one, other] = effect ? selectsApart(effect) : []
    if (one !== undefined && other !== undefined && !(await liesOver(link, one, other)))
      change('Leaving the two where they are', (settings) => kind.laid?.(settings, 'page') as unknown)
  }
  if (kind?.onCorners) {
    const radiusPx = await link.ask({ type: 'corners', select }).catch(() => 0)
    if (radiusPx > 0) change('Keeping the corners', (settings) => kind.onCorners?.(settings, radiusPx) ?? settings)
  }
  if (kind?.onRow) {
    const row = await link.ask({ type: 'row', select }).catch(() => null)
    if (row) change('Meeting the row', (settings) => kind.onRow?.(settings, row) ?? settings)
  }
  if (kind?.lights) {
    const [ground] = await link.ask({ type: 'grounds', select }).catch(() => [])
    const isSeen = (settings: unknown) => ground === undefined || !isLostOn(kind.lights?.(settings) ?? [], ground)
    const colour = ground === undefined ? undefined : shadeOn(ground)
    if (
      colour !== undefined &&
      change('Meeting the ground', (settings) => (isSeen(settings) ? settings : (kind.litIn?.(settings, colour) ?? settings)))
    )
      notify(studio, 'Its light could not be seen on this ground, so it is a shade of the ground now; the caption has its colour.')
  }
}

/** Whether an element that an effect makes a container of its size would have another size then. */
async function hugsWhereContained({ link }: Studio, effect: Effect): Promise<boolean> {
  for (const { select, css } of expandEffect(effect).rules ?? []) {
    const container = css['container-type']
    if (container !== 'size' && container !== 'inline-size') continue
    if (await link.ask({ type: 'hugs', select, container }).catch(() => false)) return true
  }
  return false
}

/** Fills the role that was pointed for with what is chosen. */
export async function fillRole(studio: Studio): Promise<void> {
  const { pointing, counts, matches } = studio.view.get()
  const { goal } = pointing
  const effect = goal.for === 'role' ? studio.store.history.get().site.effects.find(({ id }) => id === goal.effect) : undefined
  const kind = findKind(effect?.kind ?? '')
  const isMain = goal.for === 'role' && kind?.roles(effect?.settings)[0]?.id === goal.role
  // What goes with several elements, one for one, is as many.
  const isInStep = goal.for === 'role' && effect !== undefined && kind?.inStep?.includes(goal.role)
  const own =
    effect && (matches?.select === effect.select ? matches.all.length : Math.max(1, ...Object.values(counts.get(effect.select) ?? {})))
  const several = isMain ? kind.wantsSeveral === true : isInStep && own !== undefined && own > 1 ? own : false
  const target = chosenTarget(studio, undefined, several)
  const { number } = pointing.rungs[pointing.pick] ?? {}
  stopPointing(studio)
  if (goal.for !== 'role' || !target || !effect) return
  // What lies in a match is meant in each of them.
  const inside =
    isMain || number === undefined
      ? null
      : await studio.search
          .ask({ ask: 'inside', page: pageOf(studio).id, own: effect.select, number, select: target.select })
          .catch(() => null)
  const role = { ...target, select: inside ?? relativeToMatches(effect.select, target.select) }
  const to = isMain ? target : { roles: { ...effect.roles, [goal.role]: role } }
  studio.store.edit({ do: 'change', id: effect.id, to }, 'Choosing which elements')
}
