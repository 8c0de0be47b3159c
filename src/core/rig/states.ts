// What hover looks do: which elements each is seen on, and whether CSS alone can tell them.
import { lookNames, type Look } from '../look/look'
import { addedParts, partOf, type Area, type Rig, type State } from './rig'
import { asOneSelector, targetSelect } from './resolve'

/** The states of an area. */
export const statesOf = ({ states = [] }: Rig, { id }: Area): readonly State[] => states.filter(({ area }) => area === id)

/** Whether a state does something that no stylesheet can. */
const acts = ({ attributes, media, staggerMs, chosenBy, zone, ways = [] }: State): boolean =>
  attributes !== undefined ||
  media !== undefined ||
  staggerMs !== undefined ||
  chosenBy !== undefined ||
  zone !== undefined ||
  ways.some(({ from }) => from !== 'any')

/**
 * Whether CSS alone tells the looks of an area, by :hover, :active and :focus-visible: each match for itself, at once, as large as it is, with
 * nothing else that follows or is added there.
 */
export function isByStylesheet(rig: Rig, area: Area): boolean {
  const { looks, of, insets, bridge, joined, touch, beyond, arrowKeys } = area
  if (
    !looks ||
    of !== 'each' ||
    insets ||
    bridge !== undefined ||
    joined !== undefined ||
    beyond ||
    arrowKeys !== undefined ||
    touch.startsWith('drag')
  )
    return false
  if (
    looks.goDelayMs > 0 ||
    looks.stillMs !== undefined ||
    looks.atMostOne ||
    looks.stays ||
    looks.first !== undefined ||
    looks.escape ||
    looks.opensByTap
  )
    return false
  if (rig.channels.some((channel) => channel.area === area.id) || addedParts(rig).some((part) => part.area === area.id)) return false
  return statesOf(rig, area).every((state) => !acts(state) && !(typeof state.to === 'object' && 'linked' in state.to))
}

/** The area while it shows one of these looks, as a selector: by its mark, or by the browser's own pseudo-classes. */
export function whileShowing(
  select: string,
  looks: readonly Look[],
  { keys }: Pick<NonNullable<Area['looks']>, 'keys'>,
  mark: string | undefined,
): string {
  const ground = asOneSelector(select)
  if (mark !== undefined) {
    if (lookNames.every((look) => looks.includes(look))) return `${ground}[${mark}]`
    const shown = looks.map((look) => `[${mark}="${look}"]`)
    return `${ground}${shown.length === 1 ? (shown[0] ?? '') : `:is(${shown.join(', ')})`}`
  }
  const has = (look: Look) => looks.includes(look)
  const caused = keys ? ':is(:hover, :focus-visible, :has(:focus-visible))' : ':hover'
  if (has('off')) return has('on') ? ground : `${ground}:not(${keys ? ':hover, :focus-visible, :has(:focus-visible)' : ':hover'})`
  if (has('on')) return `${ground}${caused}${has('pressed') ? '' : ':not(:hover:active)'}`
  return has('pressed') ? `${ground}:hover:active` : `${ground}:not(*)`
}

/** The page while some match of an area shows one of these looks, as a selector. */
export function whileSomeShows(
  select: string,
  looks: readonly Look[],
  machine: Pick<NonNullable<Area['looks']>, 'keys'>,
  mark: string | undefined,
): string {
  if (mark !== undefined || !machine.keys || !looks.includes('on') || looks.includes('off'))
    return `:root:has(${whileShowing(select, looks, machine, mark)})`
  // No :has() stands within another one.
  const ground = asOneSelector(select)
  return `:root:has(${ground}:is(:hover, :focus-visible)${looks.includes('pressed') ? '' : ':not(:hover:active)'}, ${ground} :focus-visible)`
}

/** What looks give elements of the page, beside parts: each state, with the selector of what it is seen on. */
export const lookedOn = ({ areas, states = [] }: Rig): readonly { readonly select: string; readonly state: State }[] =>
  states.flatMap((state) => {
    const area = areas.find(({ id }) => id === state.area)
    return area && partOf(state.to) === undefined
      ? [{ select: targetSelect(area.of === 'window' ? ':root' : area.select, state.to), state }]
      : []
  })

/** The elements of the page, beside parts, whose transitions are those of looks. */
export const turnedSelects = (rig: Rig): readonly string[] =>
  lookedOn(rig)
    .filter(({ state: { ways = [] } }) => ways.length > 0)
    .map(({ select }) => select)
