// Which selectors meet on an element: there the effects of a site have to be composed.

/** Each set of two or more of these selectors that some element matches (and no other of them), in their order. */
export function overlapsOf(selects: readonly string[], find: (select: string) => Iterable<object> | undefined): readonly (readonly string[])[] {
  const matched = new Map<object, string[]>()
  for (const select of selects) for (const element of find(select) ?? []) matched.set(element, [...(matched.get(element) ?? []), select])
  const sets = new Map<string, readonly string[]>()
  for (const set of matched.values()) if (set.length > 1) sets.set(set.join('\n'), set)
  return [...sets.values()]
}
