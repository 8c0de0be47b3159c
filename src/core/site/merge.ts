// Two versions of a site that began as one, made one again: by effect, page, bundle and field.
import type { Site } from './site'

export interface Merge {
  readonly site: Site
  /** What both changed, each to something else, as words; there our value counts. Or what one removed and the other changed: that stays. */
  readonly clashes: readonly string[]
}

interface Named {
  readonly id: string
  readonly name?: string | undefined
}

/** The three-way merge: what either side changed since `base` counts; where both changed one thing, ours does, and it is told. */
export function mergeSites(base: Site, ours: Site, theirs: Site): Merge {
  const clashes: string[] = []
  const binned = (site: Site) => (site.bin ?? []).map((each) => ({ ...each, id: each.page.id, name: each.page.name }))
  const bin = mergeLists(binned(base), binned(ours), binned(theirs), 'the bin', clashes).map(({ page, removedAt }) => ({ page, removedAt }))
  const pages = mergeLists(base.pages, ours.pages, theirs.pages, 'page', clashes)
  const bundles = mergeLists(base.bundles ?? [], ours.bundles ?? [], theirs.bundles ?? [], 'files', clashes)
  const site: Site = {
    ...ours,
    name: mergeValues(base.name, ours.name, theirs.name, 'the name of the site', clashes) as string,
    // A site has a page, even where each side removed another one.
    pages: pages.length > 0 ? pages : [...theirs.pages],
    effects: mergeLists(base.effects, ours.effects, theirs.effects, 'figure', clashes),
  }
  const values = mergeLists(base.values ?? [], ours.values ?? [], theirs.values ?? [], 'named value', clashes)
  const traces = mergeLists(base.traces ?? [], ours.traces ?? [], theirs.traces ?? [], 'trace', clashes)
  const inUse = new Set([...site.pages, ...bin.map(({ page }) => page)].map(({ bundle }) => bundle))
  for (const [key, list] of [['bundles', bundles.filter(({ id }) => inUse.has(id) || ours.bundles?.some((each) => each.id === id))], ['bin', bin.filter(({ page }) => !site.pages.some(({ id }) => id === page.id))], ['values', values], ['traces', traces]] as const) {
    if (list.length > 0 || ours[key] || theirs[key]) Object.assign(site, { [key]: list })
    else Reflect.deleteProperty(site, key)
  }
  return { site, clashes }
}

/** The items of both sides by id, in our order, theirs behind what they stand behind there. */
function mergeLists<Item extends Named>(base: readonly Item[], ours: readonly Item[], theirs: readonly Item[], what: string, clashes: string[]): Item[] {
  const [before, own, other] = [base, ours, theirs].map((list) => new Map(list.map((item) => [item.id, item]))) as [Map<string, Item>, Map<string, Item>, Map<string, Item>]
  const merged = new Map<string, Item>()
  for (const id of new Set([...own.keys(), ...other.keys()])) {
    const [old, one, two] = [before.get(id), own.get(id), other.get(id)]
    if (one && two) merged.set(id, mergeValues(old, one, two, `${what} ${one.name ?? id}`, clashes) as Item)
    else {
      // On one side only: added there, or removed on the other.
      const left = one ?? two
      if (!left || (old && isSame(old, left))) continue
      if (old) clashes.push(`${what} ${left.name ?? id}, removed on one side and changed on the other`)
      merged.set(id, left)
    }
  }
  const order = isSame([...own.keys()].filter((id) => before.has(id)), [...before.keys()].filter((id) => own.has(id))) ? [theirs, ours] : [ours, theirs]
  return inOrder(merged, order[0] ?? [], order[1] ?? [])
}

/** The merged items in the order of the first list, those of the second behind what they stand behind there. */
function inOrder<Item extends Named>(merged: ReadonlyMap<string, Item>, first: readonly Item[], second: readonly Item[]): Item[] {
  const ids = first.map(({ id }) => id).filter((id) => merged.has(id))
  second.forEach(({ id }, i) => {
    if (!merged.has(id) || ids.includes(id)) return
    const behind = second.slice(0, i).findLast((each) => ids.includes(each.id))
    ids.splice(behind ? ids.indexOf(behind.id) + 1 : 0, 0, id)
  })
  return ids.flatMap((id) => merged.get(id) ?? [])
}

/** One value of both; plain objects field by field. */
function mergeValues(base: unknown, ours: unknown, theirs: unknown, what: string, clashes: string[]): unknown {
  if (isSame(ours, theirs) || isSame(base, theirs)) return ours
  if (isSame(base, ours)) return theirs
  if (isListOfNamed(ours) && isListOfNamed(theirs)) return mergeLists(isListOfNamed(base) ? base : [], ours, theirs, what, clashes)
  if (isRecord(ours) && isRecord(theirs)) {
    const old = isRecord(base) ? base : {}
    const merged: Record<string, unknown> = {}
    for (const key of new Set([...Object.keys(ours), ...Object.keys(theirs)])) {
      const value = mergeValues(old[key], ours[key], theirs[key], `${what}: ${key}`, clashes)
      if (value !== undefined) merged[key] = value
    }
    return merged
  }
  clashes.push(what)
  return ours
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> => typeof value === 'object' && value !== null && !Array.isArray(value)

/** Whether a value is a list of things that are told apart by their ids. */
const isListOfNamed = (value: unknown): value is readonly Named[] => Array.isArray(value) && value.length > 0 && value.every((each) => isRecord(each) && typeof each.id === 'string')

/** Whether two values of a document are equal, whatever the order of their fields. */
export function isSame(one: unknown, other: unknown): boolean {
  if (one === other) return true
  if (Array.isArray(one) && Array.isArray(other)) return one.length === other.length && one.every((each, i) => isSame(each, other[i]))
  if (!isRecord(one) || !isRecord(other)) return false
  const keys = new Set([...Object.keys(one), ...Object.keys(other)])
  return [...keys].every((key) => isSame(one[key], other[key]))
}
