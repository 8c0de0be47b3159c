import { given } from './given'
import { remember, undone } from './off'
import { seenOn } from './targets'
import type { Effect, Place } from './types'

/** What the page itself gives an element of what effects drive, and its transitions: as text, by custom property. */
export function readOwn(effect: Effect, place: Place): NonNullable<Place['own']> {
  return seenOn(effect, place).flatMap((target) => {
    const style = getComputedStyle(target)
    const kept = given.ownProperties.map(
      (property) => [`--own-${property}`, (given.readsComputed ? style : target.style).getPropertyValue(property)] as const,
    )
    return [
      ...kept.filter(([name, text]) => text && text !== 'none' && !target.style.getPropertyValue(name)),
      ...(given.hasTransitions ? quietTransitions(style, target) : []),
    ].map(([name, text]) => [target, name, text] as const)
  })
}

/** The page's transitions with what follows the pointer at 0s behind them, where they would make it lag. */
function quietTransitions(
  { transitionProperty, transitionDuration, transitionDelay }: CSSStyleDeclaration,
  target: HTMLElement,
): readonly (readonly [string, string])[] {
  const [own, durations, delays] = [transitionProperty, transitionDuration, transitionDelay].map((list) => list.split(', '))
  if (
    !own ||
    !durations ||
    !delays ||
    target.style.transitionProperty.includes(given.driven[0] ?? '') ||
    !own.some(
      (name, i) =>
        (name === 'all' || given.driven.includes(name)) &&
        parseFloat(durations[i % durations.length] ?? '') + parseFloat(delays[i % delays.length] ?? '') > 0,
    )
  )
    return []
  const spread = (list: readonly string[]) => [...own.map((_, i) => list[i % list.length]), ...given.driven.map(() => '0s')].join()
  return [
    ['transition-property', [...own, ...given.driven].join()],
    ['transition-duration', spread(durations)],
    ['transition-delay', spread(delays)],
  ]
}

/** Keeps that on the elements, for the stylesheet to go on with. */
export function keepOwn(effect: Effect, place: Place): void {
  for (const [target, name, text] of place.own ?? []) {
    if (given.takesOff) remember(target, name)
    target.style.setProperty(name, text, given.hasTransitions && name.startsWith('transition') ? 'important' : '')
  }
  if (given.watchesStyles) for (const target of seenOn(effect, place)) watchStyle(target)
}

/** Follows what scripts of the page set in the style of an element. */
function watchStyle(target: HTMLElement): void {
  const { style } = target
  const read = () => given.ownProperties.map((property) => style.getPropertyValue(property))
  let before = read()
  const observer = new MutationObserver(() => {
    const now = read()
    now.forEach((text, i) => {
      if (text !== before[i]) style.setProperty(`--own-${given.ownProperties[i] ?? ''}`, text === 'none' ? 'initial' : text)
    })
    before = now
  })
  observer.observe(target, { attributeFilter: ['style'] })
  if (given.takesOff)
    undone.push(() => {
      observer.disconnect()
      for (const property of given.ownProperties) style.removeProperty(`--own-${property}`)
    })
}
