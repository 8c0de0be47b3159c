import { given } from './given'
import { overOf } from './over'
import { partsOf } from './parts'
import { pointer } from './pointer'
import type { Effect, Place } from './types'

/** What an element is called, or the link or button that it lies in: by its label, its title, its heading, its own words, or what stands for a picture. */
export function labelOf(element: Element): string | null {
  const named = element.closest('a, button, summary') ?? element
  return (
    named.ariaLabel ||
    named.getAttribute('title') ||
    (named.querySelector('h1, h2, h3, h4, h5, h6') ?? named).textContent.trim() ||
    (named.querySelector('[alt]') ?? named).getAttribute('alt')
  )
}

/** A text of the stylesheet, without its quotes and with what is escaped in it. */
export const toldOf = (element: Element, property: string) =>
  getComputedStyle(element)
    .getPropertyValue(property)
    .replaceAll(/^\s*["']|["']\s*$/g, '')
    .replaceAll(/\\(?:([0-9a-f]{1,6}) ?|(.))/gi, (_, code: string | undefined, character: string) =>
      code === undefined ? character : String.fromCodePoint(Number(`0x${code}`)),
    )

/** Has parts say what the element says that the pointer is on, by the number of what asks for that; they go on saying it until another one says something. */
export function tellMet(effect: Effect, place: Place): void {
  for (const part of effect.parts ?? []) {
    const { asks, says = [] } = part
    if (!asks) continue
    const element = place.isOn && pointer.over?.closest(asks.join(', '))
    if (!element || element === part.met) continue
    part.met = element
    const say = says[overOf(asks) - 1]
    for (const each of partsOf(place.area, effect.isWindow ? `.${part.part}` : `:scope .${part.part}`)) {
      if (say) each.textContent = say(element)?.trim() ?? ''
      if (given.partsRound && part.isRound) each.style.setProperty('--radius', getComputedStyle(element).borderRadius)
    }
  }
}
