/** What was last told of an element, and when. */
const lastTold = new WeakMap<Element, { readonly told: readonly string[]; askedAt: number }>()

/**
 * What the stylesheet says of some properties of an element: asked for five times a second at most, since that may have styles worked out. It is
 * the same list as long as it says the same.
 */
export function toldBySheet(element: Element, properties: readonly string[], t: number): readonly string[] {
  const last = lastTold.get(element)
  if (last && t - last.askedAt <= 200) return last.told
  const style = getComputedStyle(element)
  const told = properties.map((name) => style.getPropertyValue(name).trim())
  const same = last?.told.join() === told.join() ? last.told : told
  lastTold.set(element, { told: same, askedAt: t })
  return same
}
