// A site checked whole, at the cost of what changed: effects that were checked are known again as long as they are the same objects.
import { describeIssues } from './issues'
import { presentSiteSchema, siteSchema, type Effect, type Site } from './site'

const known = new WeakSet<Effect>()

/** Remembers the effects of a site that came out of its schema. */
export function rememberChecked(site: Site): Site {
  for (const effect of site.effects) known.add(effect)
  return site
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> => typeof value === 'object' && value !== null
const isListOf = (value: unknown, isOne: (each: unknown) => boolean) => Array.isArray(value) && value.every(isOne)

/** What keeps a value from being looked at as a site, in a sentence: it lacks the lists that a site is read by. Undefined where it has them. */
export function misshapen(value: unknown): string | undefined {
  if (
    isObject(value) &&
    isListOf(value.effects, isObject) &&
    isListOf(value.pages, isObject) &&
    (value.bin === undefined || isListOf(value.bin, (each) => isObject(each) && isObject(each.page)))
  )
    return undefined
  const { error } = presentSiteSchema.safeParse(value)
  return error ? describeIssues(error) : 'It would be no site any more.'
}

/** The site as its schema has it, or what is wrong with it in a sentence. */
export function checkSite(site: Site): { readonly site: Site } | { readonly reason: string } {
  const fresh = site.effects.filter((effect) => !known.has(effect))
  // With all of them, since places are told by their number, and the list has its own limits.
  const whole = () => {
    const { data, error } = siteSchema.safeParse(site)
    return data ? { site: rememberChecked(data) } : { reason: describeIssues(error) }
  }
  if (fresh.length === site.effects.length) return whole()
  const read = siteSchema.safeParse({ ...site, effects: fresh })
  if (!read.success || site.effects.length > 400) return whole()
  let next = 0
  const effects = site.effects.map((effect) => (known.has(effect) ? effect : (read.data.effects[next++] ?? effect)))
  return { site: rememberChecked({ ...read.data, effects }) }
}
