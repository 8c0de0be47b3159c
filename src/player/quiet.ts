// Keeps the page's own transitions from lagging behind our values.

/** What stood inline before: property, duration, delay. */
export type Quieted = readonly [string, string, string]

/**
 * Repeats the element's own transition list with our names at 0s behind it, where that list would catch them. Gives what
 * stood inline before, or undefined where nothing was to be done.
 */
export function quietTransitions(element: HTMLElement | SVGElement, style: CSSStyleDeclaration, names: readonly string[]): Quieted | undefined {
  const own = split(style.transitionProperty)
  const durations = split(style.transitionDuration)
  const delays = split(style.transitionDelay)
  const lasts = (i: number) => parseFloat(durations[i % durations.length] ?? '') > 0 || parseFloat(delays[i % delays.length] ?? '') > 0
  if (!own.some((name, i) => lasts(i) && (name === 'all' || names.includes(name)))) return undefined
  const before = [element.style.transitionProperty, element.style.transitionDuration, element.style.transitionDelay] as const
  const behind = names.map(() => '0s')
  setTransitions(element, [[...own, ...names].join(), [...own.map((_, i) => durations[i % durations.length]), ...behind].join(), [...own.map((_, i) => delays[i % delays.length]), ...behind].join()])
  return before
}

/** Writes the three lists inline. */
export function setTransitions({ style }: HTMLElement | SVGElement, [property, duration, delay]: Quieted): void {
  style.transitionProperty = property
  style.transitionDuration = duration
  style.transitionDelay = delay
}

const split = (list: string) => list.split(',').map((each) => each.trim())
