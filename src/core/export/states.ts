// Hover looks in a stylesheet: what elements are like in each, and how they get there.
import { nameOfArea, nameOfZone, partWhile } from '../rig/plan'
import { hasIndex, partOf, type Area, type State } from '../rig/rig'
import { asOneSelector } from '../rig/resolve'
import { isByStylesheet, statesOf, whileShowing, whileSomeShows } from '../rig/states'
import { cssNumber, fillHoles, styleText, writeDeclarations, writeTime } from './css-value'
import type { PlannedEffect } from './plan'

/** A rule, whether it is for elements of the page, and whether for what they are like while nothing is shown. */
export type StateRule = readonly [select: string, declarations: readonly string[], isOnPage: boolean, isOff: boolean]
type Way = NonNullable<State['ways']>[number]

/** The selector of the matches of an area. */
const groundOf = ({ of, select }: Area) => (of === 'window' ? ':root' : styleText(select))

const markOf = ({ names, rig }: PlannedEffect, area: Area) => `data-${nameOfArea(names, rig, area.id)}`

/** The attribute by which the elements that a zone chooses are told. */
const chosenMark = (mark: string): string => `${mark}-chosen`

const propertyOfWay = ({ names }: PlannedEffect, id: string) => `--${names.name}-${id}`

/** The times that a designer may turn, each with what it is. */
export function writeWays(effect: PlannedEffect): readonly (readonly [declaration: string, note: string])[] {
  const told = new Map<string, readonly [string, string]>()
  for (const { ways = [] } of effect.rig.states ?? [])
    for (const { id, feel, note = '' } of ways)
      if (id !== undefined) told.set(id, [`${propertyOfWay(effect, id)}: ${writeTime(feel)};`, note])
  return [...told.values()]
}

/** The selector of what the stylesheet draws of an area's matches. */
export const selectOfDrawn = (area: Area, drawn: 'before' | 'after'): string => `${asOneSelector(styleText(area.select))}::${drawn}`

/** What a state is seen on, from the selector of its area while it shows it. */
function seenOn({ rig, names }: PlannedEffect, { to, whose, looks }: State, area: Area, showing: string, mark: string | undefined): string {
  const select = groundOf(area)
  // What others show tells of all matches but those that show something themselves.
  const machine = area.looks ?? { keys: false }
  const ground =
    whose === 'others' ? `${whileSomeShows(select, looks, machine, mark)} ${whileShowing(select, ['off'], machine, mark)}` : showing
  if (to === 'self') return ground
  if ('within' in to) {
    const inner = styleText(to.within)
    const own = inner.startsWith(`${select} `) ? inner.slice(select.length + 1) : inner
    return `${ground} ${/^[>+~]/.test(own) || !/[\s>+~,]/.test(own) ? own : `:is(${own})`}`
  }
  if ('part' in to) {
    const drawn = rig.parts.find(({ id }) => id === to.part)?.drawn
    return drawn ? `${ground}::${drawn}` : partWhile(rig, names, ground, to.part)
  }
  const linked = asOneSelector(styleText(to.linked))
  return ground === showing && mark !== undefined ? linked + showing.slice(asOneSelector(select).length) : linked
}

/** The area while a zone of it tells one of some numbers. */
function whileTold({ rig, names }: PlannedEffect, area: Area, { of, is }: NonNullable<State['zone']>): string {
  const channel = rig.channels.find(({ id }) => id === of)
  const attribute = `data-${nameOfArea(names, rig, area.id)}-${(channel && nameOfZone(rig, channel)) ?? ''}`
  const told = is.map((each) => `[${attribute}="${each}"]`)
  return asOneSelector(groundOf(area)) + (told.length > 1 ? `:is(${told.join(', ')})` : told.join(''))
}

/** What turns, grows, is cut or goes from its place: for those who prefer reduced motion it stays where it is. */
const moving = new Set(['transform', 'translate', 'rotate', 'scale', 'offset-distance', 'clip-path'])

/** The rules of all looks of an effect: those of what moves, or those of all the rest. */
export function writeStates(effect: PlannedEffect, what: 'moving' | 'still'): readonly StateRule[] {
  return effect.rig.areas.flatMap((area) => {
    const states = statesOf(effect.rig, area)
    const mark = isByStylesheet(effect.rig, area) ? undefined : markOf(effect, area)
    return states.flatMap((state) => writeState(effect, area, state, propertiesOf(states, state), mark, what))
  })
}

/** What moves others as it changes: it does so for everybody, and takes its time where motion is welcome. */
const pushing = new Set(['flex-grow'])

/** What changes at once: between two of its values there is nothing to be seen. */
const atOnce = new Set(['z-index'])

/** What any look of these elements declares that takes its time. */
function propertiesOf(states: readonly State[], { to }: State): readonly string[] {
  const key = JSON.stringify(to)
  const changed = states.filter((each) => JSON.stringify(each.to) === key && each.ways !== undefined)
  return [...new Set(changed.flatMap(({ css }) => Object.keys(css)))].filter((property) => !atOnce.has(property))
}

/** What the numbers of several parts stand in, where a state is seen on some. */
function prefixOf({ rig, names }: PlannedEffect, { to }: Pick<State, 'to'>): string | undefined {
  const part = rig.parts.find(({ id }) => id === partOf(to))
  return part && hasIndex(part) ? `${names.name}-${part.id}` : undefined
}

const nameOfAnimation = ({ names }: PlannedEffect, { to, looks }: State) => `${names.name}-${partOf(to) ?? 'goes'}-${looks[0] ?? ''}`

/** How what a state goes through is declared. */
function writeAnimation(
  effect: PlannedEffect,
  state: State,
  { forMs, laterMs, easing = 'linear' }: NonNullable<State['animation']>,
): string {
  const prefix = prefixOf(effect, state)
  const later = laterMs === undefined || prefix === undefined ? '' : ` calc(var(--${prefix}-index) * ${cssNumber(laterMs)}ms)`
  return `${nameOfAnimation(effect, state)} ${cssNumber(forMs)}ms ${easing}${later} infinite backwards`
}

/** What states go through, as keyframes. */
export function writeKeyframes(effect: PlannedEffect): readonly string[] {
  const { rig, names } = effect
  return (rig.states ?? []).flatMap((state) => {
    if (!state.animation) return []
    const fill = (css: State['css'] = {}) => writeDeclarations(css, names, prefixOf(effect, state)).join(' ')
    const { from, to } = state.animation
    return [`@keyframes ${nameOfAnimation(effect, state)} {`, ...(from ? [`  from { ${fill(from)} }`] : []), `  to { ${fill(to)} }`, '}']
  })
}

function writeState(
  effect: PlannedEffect,
  area: Area,
  state: State,
  properties: readonly string[],
  mark: string | undefined,
  what: 'moving' | 'still',
): readonly StateRule[] {
  const { looks, css, ways: all = [], staggerMs, later: given, chosenBy, zone, startsFrom = {} } = state
  const { names } = effect
  const machine = area.looks ?? { keys: false }
  const later =
    given !== undefined
      ? ` ${fillHoles(given, names)}`
      : staggerMs === undefined
        ? ''
        : ` calc(var(--${names.name}-index, 0) * ${cssNumber(staggerMs)}ms)`
  const isPushing = properties.some((property) => pushing.has(property))
  const timed = what === 'moving' ? properties : properties.filter((property) => !pushing.has(property))
  const transition = ({ id, feel, lasts }: Way) => {
    const time =
      lasts !== undefined
        ? `calc(${fillHoles(lasts, names)} * 1s) ${feel.easing}`
        : id === undefined
          ? writeTime(feel)
          : `var(${propertyOfWay(effect, id)})`
    // Between being there and not there is nothing either: until the end of the time it is there.
    const isDiscrete = timed.includes('display') ? '\ntransition-behavior: allow-discrete;' : ''
    return `transition: ${timed.map((property) => `${property} ${time}`).join(', ')};${isDiscrete}${later ? `\ntransition-delay:${later};` : ''}`
  }
  const on = (showing: string) =>
    chosenBy === undefined ? seenOn(effect, state, area, showing, mark) : chosen(state, markOf(effect, area))
  // Off is what an element is in a stylesheet by itself; where the script tells it, it is when that is there.
  const showing = zone ? whileTold(effect, area, zone) : whileShowing(groundOf(area), looks, machine, mark)
  const usual = all.find(({ from }) => from === 'any')
  const special = all.filter(({ from }) => from !== 'any')
  const ofThese = (all: State['css']) =>
    Object.fromEntries(Object.entries(all).filter(([name]) => moving.has(name) === (what === 'moving')))
  const own = ofThese(css)
  const prefix = prefixOf(effect, state)
  const starts = writeDeclarations(ofThese(startsFrom), names)
  const { animation } = state
  const ways = what === 'moving' && !isPushing ? [] : special
  const declarations = [
    ...writeDeclarations(own, names, prefix),
    ...(animation && what === 'moving' ? [`animation: ${writeAnimation(effect, state, animation)};`] : []),
    ...(starts.length > 0 ? ['@starting-style {', ...starts.map((line) => `  ${line}`), '}'] : []),
    ...(usual && timed.length > 0 && (what === 'still' || isPushing) ? transition(usual).split('\n') : []),
  ]
  const isOnPage = typeof state.to !== 'object' || !('part' in state.to)
  const isOff = looks.includes('off')
  const rest = ways.map((way): StateRule => [
    on(`${showing}[${mark ?? ''}-from="${way.from}"]`),
    transition(way).split('\n'),
    isOnPage,
    isOff,
  ])
  return [...(declarations.length > 0 ? [[on(showing), declarations, isOnPage, isOff] as const] : []), ...rest]
}

/** What a zone chooses of the elements that are linked to it; or, while it chooses one, the others. */
function chosen({ to, whose }: State, mark: string): string {
  if (typeof to !== 'object' || !('linked' in to)) return ''
  const linked = asOneSelector(styleText(to.linked))
  const isChosen = `[${chosenMark(mark)}]`
  return whose === 'others' ? `:root:has(${linked}${isChosen}) ${linked}:not(${isChosen})` : `${linked}${isChosen}`
}
