// Which selectors meet on an element: there the effects of a site have to be composed.

/** Each set of two or more of these selectors that some element matches (and no other of them), in their order. */
export function overlapsOf(
  selects: readonly string[],
  find: (select: string) => Iterable<object> | undefined,
): readonly (readonly string[])[] {
  const matched = new Map<object, string[]>()
  for (const select of selects) for (const element of find(select) ?? []) matched.set(element, [...(matched.get(element) ?? []), select])
  const sets = new Map<string, readonly string[]>()
  for (const set of matched.values()) if (set.length > 1) sets.set(set.join('\n'), set)
  return [...sets.values()]
}

/** Whether some element of one selector is one of another, or lies in one; found once for each selector. */
export function liesInBy<Found extends object>(
  find: (select: string) => Iterable<Found> | undefined,
  parentOf: (element: Found) => Found | null,
): (inner: string, outer: string) => boolean {
  const known = new Map<string, ReadonlySet<Found>>()
  const found = (select: string) => {
    const set = known.get(select) ?? new Set<Found>(find(select) ?? [])
    known.set(select, set)
    return set
  }
  return (inner, outer) => {
    const around = found(outer)
    for (const element of found(inner)) {
      for (let each: Found | null = element; each; each = parentOf(each)) if (around.has(each)) return true
    }
    return false
  }
}
