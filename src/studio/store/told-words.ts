// What other windows did, in words, each with the one act that has it the other way.
import { capitalised } from '../../core/site/text'
import { formatNumber } from '../../core/effect/control'
import { findKind } from '../../core/effect/kinds'
import type { Edit } from '../../core/site/edit'
import { applyPatch, keyOf, type Clash, type Path } from '../../core/site/patch'
import type { Effect, Site } from '../../core/site/site'
import type { RefusedEdit } from './edit-log'
import type { Told } from './site-store'

export interface ToldWords {
  readonly sentence: string
  readonly act?: { readonly title: string; readonly edit: Edit } | undefined
}

const lists: Readonly<Record<string, string>> = {
  effects: 'the effect',
  pages: 'the page',
  values: 'the named value',
  traces: 'the trace',
  bundles: 'the files',
  bin: 'the removed page',
  tries: 'the try',
}
const fields: Readonly<Record<string, string>> = {
  name: 'name',
  noun: 'noun',
  select: 'selector',
  pages: 'pages',
  isOff: 'being off',
  source: 'markup',
  shown: 'what is shown',
  value: 'value',
}

const isFields = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** The value at the end of a path; undefined where the way is gone. */
function valueAt(document: unknown, path: Path): unknown {
  return path.reduce<unknown>(
    (value, part) =>
      typeof part === 'string'
        ? isFields(value)
          ? value[part]
          : undefined
        : Array.isArray(value)
          ? value.find((item) => keyOf(item) === part.id)
          : undefined,
    document,
  )
}

const controlOf = (effect: Effect, key: string) =>
  findKind(effect.kind)
    ?.controls(effect.settings)
    .find(({ id }) => id === key)

/** How a field of an effect tells its number: with the unit of its control. */
function unitAt(site: Site, [list, item, ...rest]: Path): (value: number) => string {
  const effect = list === 'effects' && typeof item === 'object' ? site.effects.find(({ id }) => id === item.id) : undefined
  const key = rest.at(-1)
  const control = effect && typeof key === 'string' ? controlOf(effect, key) : undefined
  return (value) => (control?.kind === 'number' ? formatNumber(value, control.unit) : String(Math.round(value * 1000) / 1000))
}

/** Where an edit was made: "the angle of the effect Lean". */
function tellPlace(site: Site, path: Path): string {
  const [list, item, ...rest] = path
  if (typeof list !== 'string') return 'the site'
  if (item === undefined || typeof item === 'string') return list === 'name' ? 'the name of the site' : `the ${list}`
  const found = valueAt(site, [list, item])
  const name = isFields(found) ? (isFields(found.page) ? found.page.name : found.name) : undefined
  const owner = `${lists[list] ?? 'an item'}${typeof name === 'string' ? ` ${name}` : ''}`
  const names = rest.filter((part) => typeof part === 'string')
  const key = names.at(-1)
  if (key === undefined) return owner
  const effect = list === 'effects' ? site.effects.find(({ id }) => id === item.id) : undefined
  const control = effect && controlOf(effect, key)
  return `the ${control?.title.replace(/^The /, '').toLowerCase() ?? fields[key] ?? key.replace(/([A-Z])/g, ' $1').toLowerCase()} of ${owner}`
}

const tellValue = (value: unknown, number: (value: number) => string): string =>
  typeof value === 'number'
    ? number(value)
    : typeof value === 'string' && value.length < 40
      ? `“${value}”`
      : value === undefined
        ? 'nothing'
        : 'another value'

function tellClash(site: Site, before: Site, { op, what, theirs }: Clash): ToldWords {
  if (what === 'both') {
    const tell = (value: unknown) => tellValue(value, unitAt(site, op.at))
    return {
      sentence: `${capitalised(tellPlace(site, op.at))} was changed in two windows at once: ${tell(op.do === 'set' ? op.to : undefined)} counts, the other one set ${tell(theirs)}.`,
      act: {
        title: theirs === undefined || isFields(theirs) || Array.isArray(theirs) ? 'Use the other one' : `Use ${tell(theirs)}`,
        edit: { do: 'patch', patch: [{ do: 'set', at: op.at, from: valueAt(site, op.at), to: theirs }] },
      },
    }
  }
  if (what === 'kept') {
    const at = op.do === 'set' ? op.at : [...op.at, { id: keyOf(op.do === 'order' ? undefined : op.item) ?? '' }]
    const removes = op.do === 'drop'
    return {
      sentence: `${capitalised(tellPlace(site, at))} was changed in one window while another ${removes ? 'removed it' : 'added it'}. It stays as it was changed.`,
      act: removes ? { title: 'Remove it', edit: { do: 'patch', patch: [{ ...op, item: theirs }] } } : undefined,
    }
  }
  // What was removed, as this window still had it.
  const depth = op.at.findIndex((part, i) => typeof part !== 'string' && valueAt(site, op.at.slice(0, i + 1)) === undefined)
  const item = valueAt(before, op.at.slice(0, depth + 1))
  const back =
    item === undefined || depth < 0 ? undefined : applyPatch(site, [{ do: 'put', at: op.at.slice(0, depth), item, behind: null }])
  return {
    sentence: `${capitalised(tellPlace(before, op.at.slice(0, depth + 1)))} was removed in one window while the other changed it. It stays removed.`,
    act:
      back && back.clashes.length === 0
        ? { title: 'Bring it back', edit: { do: 'patch', patch: [{ do: 'put', at: op.at.slice(0, depth), item, behind: null }] } }
        : undefined,
  }
}

/** What is said of edits that the server will not take: each reason once. */
export function tellRefused(refused: readonly RefusedEdit[]): string {
  const reasons = [...new Set(refused.map(({ detail }) => detail))]
  const more = reasons.length > mostReasons ? ` And ${reasons.length - mostReasons} more.` : ''
  return `${refused.length === 1 ? 'An edit was' : `${refused.length} edits were`} not taken; everything else is saved. ${reasons.slice(0, mostReasons).join(' ')}${more}`
}

/** How many reasons are told. */
const mostReasons = 3

/** What a window is told, one sentence each. */
export function tellTold(site: Site, told: Told): readonly ToldWords[] {
  switch (told.what) {
    case 'clash': {
      const all = told.clashes.map((clash) => tellClash(site, told.before, clash))
      return all.filter(({ sentence }, i) => all.findIndex((each) => each.sentence === sentence) === i)
    }
    case 'left alone':
      return [{ sentence: `“${told.words}” was changed in another window since, so undoing it leaves that as it is.` }]
    case 'unreadable':
      return [
        {
          sentence: `${told.count === 1 ? 'An edit that was' : `${told.count} edits that were`} kept in this browser cannot be read by this version. Nothing was deleted; a newer version may read them.`,
        },
      ]
  }
}
