// What a designer can do in the studio, by button or by key: each is one function over the stores.
import { nanoid } from 'nanoid'
import * as z from 'zod'
import type { Place } from '../core/geometry/place'
import type { Control } from '../core/effect/control'
import type { Recipe } from '../core/effect/kind'
import { expandEffect, findKind } from '../core/effect/kinds'
import { asksBecause, isPosable, poseByHand, type Because } from '../core/effect/pose'
import { wordOf } from '../core/export/names'
import { describeIssues, effectSchema, type Effect } from '../core/site/site'
import { withTie, withTies } from '../core/site/ties'
import type { Edge, Under } from '../stage/protocol'
import { pageOf, type Studio } from './context'
import type { Look } from '../core/look/look'
import { newGesture } from './store/site-store'
import { notPointing, type Drawer, type Goal, type LadderRung } from './store/view-store'

export function selectedEffect({ store, view }: Studio): Effect | undefined {
  return store.history.get().site.effects.find(({ id }) => id === view.get().selected)
}

export function startPointing({ link, view }: Studio, goal: Goal = { for: 'new' }): void {
  // At once, and not only with the next picture of the screen: the very next click is meant for the page.
  link.say({ type: 'point', on: true })
  view.update({ pointing: { ...notPointing, stage: 'looking', goal }, trial: null, walking: false, touched: null, notice: null })
}

export function stopPointing({ view }: Studio): void {
  view.update({ pointing: notPointing, trial: null })
}

/** Goes on pointing, and keeps what is chosen as one of several places. */
export function addAnother({ view, ...studio }: Studio): void {
  const { pointing } = view.get()
  const target = chosenTarget({ view, ...studio })
  if (target) view.update({ trial: null, pointing: { ...notPointing, stage: 'looking', goal: pointing.goal, also: target.select.split(/\s*,\s*/) } })
}

/** Asks the worker what these elements could mean, and shows it as the ladder. */
export async function climb(studio: Studio, elements: readonly Under[], chosen: boolean, pick?: number): Promise<void> {
  const { view, search } = studio
  await search.follow(studio.store.history.get().site)
  const rungs = await search.ask({ ask: 'rungs', page: pageOf(studio).id, numbers: elements.map(({ number }) => number) })
  const { pointing } = view.get()
  if (pointing.stage === 'no' || (pointing.stage === 'choosing' && !chosen)) return
  const ladder = rungs.map((rung): LadderRung => ({ ...rung, how: elements.find(({ number }) => number === rung.number)?.how ?? 'seen' }))
  const picked = pick ?? likeliest(ladder, elements)
  view.update({ pointing: { ...pointing, stage: chosen ? 'choosing' : 'looking', rungs: ladder, pick: picked, choice: 0, typed: null } })
}

/** The rung most likely meant: the nearest of some size that has likes, or what wraps it as often (the card, not its picture). */
function likeliest(rungs: readonly LadderRung[], elements: readonly Under[]): number {
  const countsOf = (rung: LadderRung | undefined) => rung?.choices.filter(({ count }) => count > 1).map(({ count }) => count) ?? []
  const sizeOf = (rung: LadderRung) => elements.find(({ number }) => number === rung.number)
  const nearest = rungs.findIndex((rung) => rung.how !== 'hidden' && countsOf(rung).length > 0 && (sizeOf(rung)?.width ?? 0) >= 90 && (sizeOf(rung)?.height ?? 0) >= 70)
  if (nearest < 0) return 0
  const often = countsOf(rungs[nearest])
  const around = rungs.findLastIndex((rung, i) => i >= nearest && rung.how === 'wraps' && countsOf(rung).slice(0, 1).some((count) => often.includes(count)))
  return Math.max(nearest, around)
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
  await search.follow(studio.store.history.get().site)
  const { pointing } = view.get()
  const page = pageOf(studio).id
  const from = pointing.rungs[pointing.pick]
  const number = from ? await search.ask({ ask: 'way', page, number: from.number, to }) : ((await search.ask({ ask: 'first', page, select: 'body > *' }))?.number ?? null)
  if (number === null) return
  const above: number[] = []
  for (let each: number | null = number; each !== null && above.length < 8; each = await search.ask({ ask: 'way', page, number: each, to: 'parent' })) above.push(each)
  await climb(studio, above.slice(0, -1).length > 0 ? above.slice(0, -1).map((each, i) => ({ number: each, how: i === 0 ? 'seen' : 'wraps', width: 0, height: 0 })) : [{ number, how: 'seen', width: 0, height: 0 }], false, 0)
}

/** Takes the picked rung as it stands: what a click does, by key. */
export function choosePicked({ view }: Studio): Promise<void> {
  return inTurn(() => {
    const { pointing } = view.get()
    if (pointing.stage === 'looking' && pointing.rungs.length > 0) view.update({ pointing: { ...pointing, stage: 'choosing' } })
  })
}

/** The selector and the noun of what is chosen on the ladder; undefined while nothing is. */
export function chosenTarget({ view }: Studio): { readonly select: string; readonly noun: string } | undefined {
  const { rungs, pick, choice, typed, also } = view.get().pointing
  const rung = rungs[pick]
  const chosen = rung?.choices[choice]
  const own = typed ?? chosen?.select
  if (own === undefined || own.trim() === '') return undefined
  const select = [...new Set([...also, own])].join(', ')
  const isOne = typed === null && also.length === 0 && chosen?.count === 1
  return { select, noun: isOne ? `this ${rung?.noun ?? wordOf(own)}` : also.length > 0 ? `each of ${also.length + 1} kinds` : `each ${wordOf(own)}` }
}

/** The effect that a recipe makes of what is chosen on the ladder. */
export function recipeEffect(studio: Studio, kindId: string, recipeId: string, id: string): Effect | undefined {
  const recipe = findKind(kindId)?.recipes.find((each) => each.id === recipeId)
  const target = chosenTarget(studio)
  if (!recipe || !target) return undefined
  const roles = rolesInside(recipe.roles, target.select)
  return { id, kind: kindId, name: recipe.title, ...target, ...(roles ? { roles } : {}), settings: recipe.settings }
}

/** The roles of a recipe inside what `select` chooses, until they are pointed at. */
export function rolesInside(roles: Recipe<unknown>['roles'], select: string): Effect['roles'] {
  const outer = select.includes(',') ? `:is(${select})` : select
  return roles && Object.fromEntries(Object.entries(roles).map(([id, { within, noun }]) => [id, { select: `${outer} ${within}`, noun }]))
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
  store.edit({ do: 'change', id: effect.id, to: { settings: more.remove(effect.settings, role), roles: Object.keys(roles).length > 0 ? roles : undefined } }, `Removing a ${more.noun}`)
}

/** Adds what a recipe makes of the chosen element, selects it, and leaves the ghost where it was pointed at. */
export function addRecipe(studio: Studio, kindId: string, recipeId: string): void {
  const effect = recipeEffect(studio, kindId, recipeId, nanoid(10))
  if (!effect) return
  studio.view.update({ selected: effect.id, pointing: notPointing, trial: null })
  studio.store.edit({ do: 'add', effect, at: studio.store.history.get().site.effects.length }, `Adding ${effect.name}`)
  void fitToPage(studio, effect)
}

/** Meets what the page does to the elements of an effect: in what is drawn flat nothing can rise. */
async function fitToPage({ store, link }: Studio, { id, kind, select }: Effect): Promise<void> {
  const onFlat = findKind(kind)?.onFlat
  if (!onFlat) return
  const by = await link.ask({ type: 'flat', select }, (message) => (message.type === 'flat' ? { property: message.by } : undefined)).catch(() => undefined)
  const now = store.history.get().site.effects.find((each) => each.id === id)
  if (!by?.property || !now) return
  const settings: unknown = onFlat(now.settings)
  if (settings !== now.settings) store.edit({ do: 'change', id, to: { settings } }, `Meeting the card’s ${by.property}`)
}

/** Fills the role that was pointed for with what is chosen. */
export function fillRole(studio: Studio): void {
  const { goal } = studio.view.get().pointing
  const target = chosenTarget(studio)
  const effect = goal.for === 'role' ? studio.store.history.get().site.effects.find(({ id }) => id === goal.effect) : undefined
  stopPointing(studio)
  if (goal.for !== 'role' || !target || !effect) return
  const isMain = findKind(effect.kind)?.roles(effect.settings)[0]?.id === goal.role
  const to = isMain ? target : { roles: { ...effect.roles, [goal.role]: target } }
  studio.store.edit({ do: 'change', id: effect.id, to }, 'Choosing which elements')
}

/** Changes the selected effect's settings. */
export function changeSettings({ store }: Studio, effect: Effect, settings: unknown, words: string, gesture?: string): void {
  store.edit({ do: 'change', id: effect.id, to: { settings } }, words, gesture)
}

/** Changes what one word says; a word that was tied to another is by itself again. */
export function changeControl({ store }: Studio, effect: Effect, control: Control<unknown>, value: unknown, gesture?: string): void {
  const now = store.history.get().site.effects.find(({ id }) => id === effect.id)
  if (!now) return
  const present = findKind(now.kind)?.controls(now.settings).find(({ id }) => id === control.id) ?? control
  const settings = (present.write as (settings: unknown, value: unknown) => unknown)(now.settings, value)
  store.edit({ do: 'change', id: effect.id, to: { settings, ...(now.ties?.[control.id] ? { ties: withTie(now.ties, control.id) } : {}) } }, control.title, gesture)
}

/** Turns the direction of the selected effect. */
export function turnDirection(studio: Studio): void {
  const effect = selectedEffect(studio)
  const kind = effect && findKind(effect.kind)
  if (!effect || !kind) return
  const turned: unknown = kind.turned(effect.settings)
  if (turned === effect.settings) return notify(studio, 'This figure has no direction that could be turned.')
  changeSettings(studio, effect, turned, 'Turning the direction')
}

/** Puts the away pin of the selected effect. */
export function placePin(studio: Studio, place: Place, gesture: string): void {
  const effect = selectedEffect(studio)
  const kind = effect && findKind(effect.kind)
  if (effect && kind) changeSettings(studio, effect, kind.withAwayPlace(effect.settings, place), 'Moving the away pin', gesture)
}

/** Holds a look of the selected effect, or lets it go where it is held already. */
export function holdLook({ link, view }: Studio, look: Look): void {
  const held = view.get().held === look ? null : look
  view.update({ held, fastened: false, walking: false })
  link.say({ type: 'hold', look: held })
}

/** Fastens the ghost where it stands, so that no move takes it away; or lets it follow again. */
export function toggleFastened({ link, view }: Studio): void {
  const fastened = !view.get().fastened
  view.update({ fastened, held: null, walking: false })
  link.say({ type: 'fasten', on: fastened })
}

/** Begins or ends posing by hand: the pointer is fastened, and the element is dragged to where it should be there. */
export function togglePosing(studio: Studio): void {
  const { link, view } = studio
  const effect = selectedEffect(studio)
  if (effect && !view.get().posing && !isPosable(expandEffect(effect))) return notify(studio, 'Nothing of this figure can be posed by dragging: it needs a number that turns or moves with where the pointer is.')
  const posing = view.get().posing || !effect ? null : { because: 'both' as const, asks: false }
  view.update({ posing, fastened: posing !== null, held: null, walking: false })
  link.say({ type: 'pose', select: posing && effect ? effect.select : null })
}

/** The last pose by hand: from which settings it went, how far it was dragged, and whether it still is. */
let posed: { readonly effect: string; readonly settings: unknown; readonly place: Place; readonly drag: { readonly x: number; readonly y: number }; readonly gesture: string; readonly isDragged: boolean } | null = null

/** Poses the selected effect by a drag of so many px; the numbers follow from what they were when it began. */
export function poseSelected(studio: Studio, place: Place, drag: { readonly x: number; readonly y: number }, last: boolean): void {
  const { view } = studio
  const effect = selectedEffect(studio)
  const kind = effect && findKind(effect.kind)
  const { posing } = view.get()
  if (!effect || !kind || !posing) return
  const from = posed?.isDragged && posed.effect === effect.id ? posed : { effect: effect.id, settings: effect.settings, gesture: newGesture() }
  posed = { ...from, place, drag, isDragged: !last }
  const asks = asksBecause(kind.expand(posed.settings, effect.select), place)
  if (asks !== posing.asks) view.update({ posing: { ...posing, asks } })
  changeSettings(studio, effect, poseByHand(kind, posed.settings, place, drag, asks ? posing.because : 'both'), 'Posing by hand', posed.gesture)
}

/** Says because of what the last pose is meant, and poses it so. */
export function poseBecause(studio: Studio, because: Because): void {
  const { view } = studio
  const effect = selectedEffect(studio)
  const kind = effect && findKind(effect.kind)
  const { posing } = view.get()
  if (!posing || !effect || !kind) return
  view.update({ posing: { ...posing, because } })
  if (posed?.effect === effect.id) changeSettings(studio, effect, poseByHand(kind, posed.settings, posed.place, posed.drag, because), 'Posing by hand', posed.gesture)
}

/** Begins to measure a gap: the next two clicks on the page choose edges. Or puts it away. */
export function toggleGap({ link, view }: Studio): void {
  const gap = view.get().gap ? null : { edges: [], measures: [] }
  view.update({ gap, touched: null })
  link.say({ type: 'edges', on: gap !== null })
  if (!gap) link.say({ type: 'gap', edges: [], measures: false })
}

/** Takes an edge for the gap; with the second one it is measured. */
export function takeEdge(studio: Studio, edge: Edge): void {
  const { link, view } = studio
  const { gap } = view.get()
  if (!gap) return
  const edges = [...gap.edges, edge].slice(-2)
  view.update({ gap: { edges, measures: [] } })
  if (edges.length === 2) link.say({ type: 'edges', on: false })
  link.say({ type: 'gap', edges, measures: edges.length === 2, select: selectedEffect(studio)?.select })
}

export function removeEffect({ store, view }: Studio, effect: Effect): void {
  view.update({ selected: null, touched: null })
  store.edit({ do: 'remove', id: effect.id }, `Removing ${effect.name}`)
}

/** Ends whatever holds the pointer: a look, a fastening, a walk. */
export function letGo({ link, view }: Pick<Studio, 'link' | 'view'>): void {
  const { held, fastened } = view.get()
  if (held !== null) link.say({ type: 'hold', look: null })
  if (fastened) link.say({ type: 'fasten', on: false })
  view.update({ held: null, fastened: false, walking: false })
}

/** Sends the stand-in pointer off the page, as a real one would leave. */
export function leavePage({ link, view }: Studio): void {
  letGo({ link, view })
  link.say({ type: 'leave', to: 'away' })
}

/** Starts or ends the walk of the stand-in pointer over the selected effect. */
export function toggleWalk(studio: Studio): void {
  studio.view.update({ walking: !studio.view.get().walking && selectedEffect(studio) !== undefined })
}

/** Opens a drawer, or closes it where it is open. */
export function toggleDrawer({ view }: Studio, drawer: Drawer): void {
  view.update({ drawer: view.get().drawer === drawer ? null : drawer })
}

let noticeTimer: ReturnType<typeof setTimeout> | undefined

/** Says a sentence at the foot of the page for some seconds. */
export function notify({ view }: Studio, notice: string): void {
  clearTimeout(noticeTimer)
  noticeTimer = setTimeout(() => view.update({ notice: null }), 6000)
  view.update({ notice })
}

/** Turns an effect off, or on again. */
export function toggleOff({ store }: Studio, effect: Effect): void {
  store.edit({ do: 'change', id: effect.id, to: { isOff: effect.isOff ? undefined : true } }, `Turning ${effect.name} ${effect.isOff ? 'on' : 'off'}`)
}

/** Puts a copy of an effect behind it, and selects the copy. */
export function duplicateEffect({ store, view }: Studio, effect: Effect): void {
  const copy = { ...effect, id: nanoid(10), name: `${effect.name.slice(0, 110)}, copy` }
  store.edit({ do: 'add', effect: copy, at: store.history.get().site.effects.indexOf(effect) + 1 }, `Duplicating ${effect.name}`)
  view.update({ selected: copy.id, touched: null })
}

/** Selects the figure behind the selected one, or before it; from the last on to the first. */
export function selectBeside({ store, view }: Studio, by: -1 | 1): void {
  const { effects } = store.history.get().site
  const at = effects.findIndex(({ id }) => id === view.get().selected)
  const next = effects[at < 0 ? (by > 0 ? 0 : effects.length - 1) : (at + by + effects.length) % effects.length]
  if (next) view.update({ selected: next.id, touched: null })
}

/** Moves an effect up or down among the figures. */
export function moveEffect({ store }: Studio, effect: Effect, by: -1 | 1): void {
  const { effects } = store.history.get().site
  store.edit({ do: 'move', id: effect.id, to: effects.indexOf(effect) + by }, `Moving ${effect.name}`)
}

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
    if (typeof read === 'object' && read !== null && 'format' in read && read.format === effectText) notify(studio, `This effect cannot be pasted. ${describeIssues(pasted.error)}`)
    return false
  }
  const { store, view } = studio
  // Roles, pages and what each had of its own belong to where it comes from.
  const { kind, name, select, noun, narrow, settings } = pasted.data.effect
  const effect: Effect = { id: nanoid(10), kind, name, settings, ...(narrow ? { narrow } : {}), ...(view.get().pointing.stage === 'choosing' ? chosenTarget(studio) ?? { select, noun } : { select, noun }) }
  store.edit({ do: 'add', effect, at: store.history.get().site.effects.length }, `Pasting ${name}`)
  view.update({ selected: effect.id, pointing: notPointing, trial: null })
  return true
}

const pastedSchema = z.object({ format: z.literal(effectText), effect: effectSchema })

/** Keeps the present settings of the selected effect as a try. */
export function keepTry(studio: Studio): void {
  const effect = selectedEffect(studio)
  if (!effect) return
  const tries = effect.tries ?? []
  if (tries.length >= 40) return notify(studio, 'Forty tries are kept of this figure; remove one first.')
  studio.store.edit({ do: 'change', id: effect.id, to: { tries: [...tries, { id: nanoid(8), name: `Try ${tries.length + 1}`, settings: withTies(studio.store.history.get().site).effects.find(({ id }) => id === effect.id)?.settings ?? effect.settings }] } }, 'Keeping a try')
  studio.view.update({ drawer: 'tries' })
}
