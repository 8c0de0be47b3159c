// The tables of a script: effects that hear the pointer in the same areas are one, and what they follow alike is followed once.
import type { EffectDraft } from './effects'
import { number, quote } from './literal'
import type { Fields } from './values'

/** An effect as a script holds it: its members, and those of its values. */
export interface EffectTable {
  readonly fields: Fields
  readonly values: readonly Fields[]
  readonly sentences: readonly string[]
}

/** What a value is written on: the element itself, elements in it, one that is linked to it, parts by where they lie in their area. */
export interface Targets {
  readonly self: boolean
  readonly within: readonly string[]
  readonly linked?: string | undefined
  readonly parts: readonly string[]
}

/** Members that are so where any of the effects has them. */
const either = ['findsAll', 'stands', 'keeps', 'seenOnSelf', 'focuses', 'linkedLooks', 'tellsBefore'] as const

/** With any of these, elements stay marked: the stylesheet takes them on, or others are marked with them. */
const staysMarked = ['comes', 'turnsLooks', 'seenWithin', 'seenLinked', 'alsoNamed']

/** The tables of these effects, in their order: one for those that go by one name, in one frame of reference. */
export function joinTables(drafts: readonly EffectDraft[]): readonly EffectTable[] {
  const groups = new Map<string, EffectDraft[]>()
  for (const draft of drafts) {
    const key = JSON.stringify([draft.name, draft.of])
    groups.set(key, [...(groups.get(key) ?? []), draft])
  }
  return [...groups.values()].map(tableOf)
}

function tableOf(same: readonly EffectDraft[]): EffectTable {
  const fields = new Map(same[0]?.fields)
  for (const member of either) if (same.some((each) => each.fields.has(member))) fields.set(member, 'true')
  // Where one of them shares a vanishing point, its elements are found by the matrices that they have.
  if (new Set(same.map((each) => each.fields.get('measure'))).size > 1) fields.set('measure', 'turned')
  const joined = <Item>(listOf: (each: EffectDraft) => readonly Item[]) => [...new Set(same.flatMap(listOf))]
  const [within, linked, parts] = [joined((each) => each.within), joined((each) => each.linked), joined((each) => each.parts)]
  const others = joined(({ ownName, name }) => (ownName === name ? [] : [ownName]))
  if (same.some(({ comesMs }) => comesMs !== undefined)) fields.set('comes', 'true')
  const longest = (msOf: (each: EffectDraft) => number | undefined) => Math.max(0, ...same.map((each) => msOf(each) ?? 0))
  const [comesMs, goesMs] = [longest((each) => each.comesMs), longest((each) => each.goesMs)]
  if (comesMs > 0) fields.set('comesMs', number(comesMs)).set('goesMs', number(goesMs))
  if (within.length > 0) fields.set('seenWithin', quote(within.join(', ')))
  if (linked.length > 0) fields.set('seenLinked', `[${linked.map(quote).join(', ')}]`)
  if (parts.length > 0) fields.set('parts', `[${parts.join(', ')}]`)
  for (const member of ['deeds', 'indexed', 'chosen'] as const) {
    const all = joined((each) => each[member])
    if (all.length > 0) fields.set(member, `[${all.join(', ')}]`)
  }
  const meets = Math.max(...same.map((each) => each.meets))
  if (meets > 0) fields.set('meets', String(meets))
  const shown = joined((each) => each.shownWhileOn)
  if (shown.length > 0) fields.set('shownWhileOn', quote(shown.join(', ')))
  if (others.length > 0) fields.set('alsoNamed', `[${others.map(quote).join(', ')}]`)
  if (!same.every((each) => each.fields.has('bareAtRest')) || staysMarked.some((member) => fields.has(member))) fields.delete('bareAtRest')
  return { fields, values: valuesOf(same), sentences: same.flatMap(({ sentence = '' }) => (sentence === '' ? [] : [sentence])) }
}

/** The values of all of them; what is the same several times is one, on all that it is seen on. */
function valuesOf(same: readonly EffectDraft[]): readonly Fields[] {
  const all: { fields: Fields; on: Targets; readonly key: string }[] = []
  for (const { values } of same) {
    const places: number[] = []
    for (const { fields, on } of values) {
      const seen = places[Number(fields.get('seenBy'))]
      const own = seen === undefined ? fields : new Map([...fields, ['seenBy', String(seen)] as const])
      const key = JSON.stringify([...own])
      const known = fields.has('property') ? all.findIndex((each) => each.key === key && areJoined(fields, each.on, on)) : -1
      const other = all[known]
      if (other)
        other.on = { self: other.on.self || on.self, within: [...other.on.within, ...on.within], parts: [...other.on.parts, ...on.parts] }
      places.push(other ? known : all.push({ fields: own, on, key }) - 1)
    }
  }
  // Where much is written on parts at once, these are looked for once.
  const isMuch = ({ fields }: { readonly fields: Fields }) => fields.has('links') || fields.has('pieces') || all.length >= muchWritten
  return all.map((each) => withTargets(each.fields, each.on, isMuch(each)))
}

/** Whether one value can be on all of these: what is in step with something else, and links of a chain but for those on parts, are each on elements of their own. */
const areJoined = (fields: Fields, ...ons: readonly Targets[]) =>
  ons.every(
    ({ linked, parts }) =>
      linked === undefined && (!(fields.has('links') || fields.has('pieces')) || (!fields.has('link') && parts.length > 0)),
  )

/** So many values of one effect are many. */
const muchWritten = 4

function withTargets(fields: Fields, { self, within, linked, parts }: Targets, isMuch: boolean): Fields {
  const all = new Map(fields)
  if (self) all.set('onSelf', 'true')
  if (linked !== undefined) all.set('linked', quote(linked))
  if (within.length > 0) all.set('within', quote([...new Set(within)].join(', ')))
  if (parts.length > 0) all.set('onParts', quote([...new Set(parts)].join(', ')))
  if (isMuch && parts.length > 0 && !self && linked === undefined && within.length === 0) all.set('isOfParts', 'true')
  return all
}
