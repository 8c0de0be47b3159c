// Bindings: a number or a colour of an effect that follows a named value of the site, or a number of another word.
import { heldNumber, type Control } from '../effect/control'
import { findKind } from '../effect/kinds'
import type { Effect, NamedValue, Site, Binding } from './site'

/** The words of a factor: "half of", "opposite of". */
export const bindingFactors: readonly { readonly times: number; readonly words: string }[] = [
  { times: 1, words: 'the same as' },
  { times: 0.5, words: 'half of' },
  { times: 2, words: 'twice' },
  { times: -1, words: 'the opposite of' },
]

const controlsOf = (effect: Effect): readonly Control<unknown>[] => findKind(effect.kind)?.controls(effect.settings) ?? []

const known = new WeakMap<Site, Site>()

/**
 * The site with every bound number and colour as what it is bound to says, each held in its own range. A binding to something
 * that is gone leaves the value as it was, and so does one in a circle. The same site gives the same answer.
 */
export function withBindings(site: Site): Site {
  if (!site.effects.some(({ bindings }) => bindings)) return site
  let bound = known.get(site)
  if (!bound) {
    bound = { ...site, effects: site.effects.map((effect) => followBindings(site, effect)) }
    known.set(site, bound)
  }
  return bound
}

function followBindings(site: Site, effect: Effect): Effect {
  let settings = effect.settings
  for (const id of Object.keys(effect.bindings ?? {})) {
    const control = controlsOf({ ...effect, settings }).find((each) => each.id === id)
    if (!control) continue
    const value = valueOf(site, effect.id, id, [])
    if (control.kind === 'number' && typeof value === 'number') settings = control.write(settings, heldNumber(control, value))
    if ((control.kind === 'colour' || control.kind === 'gradient') && typeof value === 'string') settings = control.write(settings, value)
  }
  return settings === effect.settings ? effect : { ...effect, settings }
}

/** What a word comes to, by way of whatever it is bound to; undefined in a circle, or where something is gone. */
function valueOf(site: Site, effectId: string, id: string, path: readonly string[]): number | string | undefined {
  const key = `${effectId}/${id}`
  const effect = site.effects.find((each) => each.id === effectId)
  if (path.includes(key) || !effect) return undefined
  const control = controlsOf(effect).find((each) => each.id === id)
  const binding = effect.bindings?.[id]
  if (binding) {
    const value =
      'value' in binding.to ? namedOf(site, binding.to.value)?.value : valueOf(site, binding.to.effect, binding.to.control, [...path, key])
    if (value !== undefined) return typeof value === 'number' ? value * binding.times : value
    if (path.length > 0) return undefined
  }
  return control?.kind === 'number' || control?.kind === 'colour' || control?.kind === 'gradient'
    ? control.read(effect.settings)
    : undefined
}

const namedOf = ({ values }: Site, id: string): NamedValue | undefined => values?.find((each) => each.id === id)

/** Whether tying one word to another would go round in a circle. */
export function isCircle(site: Site, effectId: string, id: string, binding: Binding): boolean {
  let at: Binding | undefined = binding
  for (let steps = 0; at && 'effect' in at.to; steps++) {
    const to: { readonly effect: string; readonly control: string } = at.to
    if ((to.effect === effectId && to.control === id) || steps > 400) return true
    at = site.effects.find((each) => each.id === to.effect)?.bindings?.[to.control]
  }
  return false
}

/** The bindings of an effect with another one for a word, or without one; undefined where none is left. */
export function withBinding(bindings: Effect['bindings'], id: string, binding?: Binding): Effect['bindings'] {
  const others = Object.entries(bindings ?? {}).filter(([each]) => each !== id)
  const all = binding ? [...others, [id, binding] as const] : others
  return all.length > 0 ? Object.fromEntries(all) : undefined
}

/** What a word may be bound to: named values and words of the same sort, of this effect and of others, without circles. */
export function bindingsFor(
  site: Site,
  effect: Effect,
  control: Control<unknown>,
): readonly { readonly to: Binding['to']; readonly words: string }[] {
  const isNumber = control.kind === 'number'
  const fits = (other: Control<unknown>) =>
    isNumber && other.kind === 'number' ? other.unit === control.unit : other.kind === control.kind
  const named = (site.values ?? [])
    .filter(({ value, unit }) => (isNumber ? typeof value === 'number' && unit === control.unit : typeof value === 'string'))
    .map(({ id, name }) => ({ to: { value: id }, words: name }))
  const others = site.effects.flatMap((each, index) =>
    controlsOf(each)
      .filter(
        (other) =>
          fits(other) &&
          !(each.id === effect.id && other.id === control.id) &&
          !isCircle(site, effect.id, control.id, { to: { effect: each.id, control: other.id }, times: 1 }),
      )
      .map((other) => ({
        to: { effect: each.id, control: other.id },
        words: each.id === effect.id ? other.title.toLowerCase() : `${other.title.toLowerCase()} (effect ${index + 1})`,
      })),
  )
  return [...named, ...others]
}

/** A binding in words: "half of the angle". */
export function tellBinding(site: Site, { to, times }: Binding, own: string): string {
  const factor = bindingFactors.find((each) => each.times === times)?.words ?? `${times} times`
  if ('value' in to) return `${factor} ${namedOf(site, to.value)?.name ?? 'a named value that is gone'}`
  const at = site.effects.findIndex(({ id }) => id === to.effect)
  const effect = site.effects[at]
  const title =
    effect &&
    controlsOf(effect)
      .find(({ id }) => id === to.control)
      ?.title.toLowerCase()
  return title === undefined ? `${factor} a number that is gone` : `${factor} ${title}${to.effect === own ? '' : ` (effect ${at + 1})`}`
}
