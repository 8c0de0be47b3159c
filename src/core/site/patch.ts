// Patches: what an edit changed, field by field and item by item, with what was there before. A patch can be applied to whatever
// a document has become since, and taken back from it.

/** The way to a field: names of fields, and items of lists by their key. */
export type Path = readonly (string | { readonly id: string })[]

export type Op =
  /** A field; `from` and `to` are undefined where it is not there. */
  | { readonly do: 'set'; readonly at: Path; readonly from?: unknown; readonly to?: unknown }
  /** An item comes into a list, or goes; `behind` is the key of the one before it. */
  | { readonly do: 'put' | 'drop'; readonly at: Path; readonly item: unknown; readonly behind: string | null }
  /** Items of a list change places. */
  | { readonly do: 'order'; readonly at: Path; readonly from: readonly string[]; readonly to: readonly string[] }

export type Patch = readonly Op[]

/** Where a patch met something that was not as it had been. */
export interface Clash {
  readonly op: Op
  /**
   * `both`: the field had been changed to `theirs` by then, and is what the patch says now. `gone`: what it is about had been
   * removed, and stays so. `kept`: what it would remove had been changed (or is the last page), and stays as `theirs`.
   */
  readonly what: 'both' | 'gone' | 'kept'
  readonly theirs?: unknown
}

export interface Applied<T> {
  readonly value: T
  readonly clashes: readonly Clash[]
}

type Fields = Readonly<Record<string, unknown>>

const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value)

/** The key by which an item of a list is told from the others; undefined for what has none. */
export function keyOf(item: unknown): string | undefined {
  if (!isFields(item)) return undefined
  if (typeof item.id === 'string') return item.id
  if (isFields(item.page) && typeof item.page.id === 'string') return item.page.id
  return typeof item.path === 'string' && typeof item.hash === 'string' ? item.path : undefined
}

/** The keys of a list whose items all have one of their own; undefined for any other value. */
function keysOf(value: unknown): readonly string[] | undefined {
  if (!Array.isArray(value)) return undefined
  const keys = value.map(keyOf)
  return keys.every((key) => key !== undefined) && new Set(keys).size === keys.length ? keys : undefined
}

/** Whether two values of a document are equal, whatever the order of their fields; a field of undefined is none. */
export function isSame(one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true
  if (Array.isArray(one) && Array.isArray(other)) return one.length === other.length && one.every((each, i) => isSame(each, other[i]))
  if (!isFields(one) || !isFields(other)) return false
  return [...new Set([...Object.keys(one), ...Object.keys(other)])].every((key) => isSame(one[key], other[key]))
}

/** What changed between two documents, in an order in which it can be applied. */
export function diff(before: unknown, after: unknown, at: Path = []): Patch {
  if (before === after || isSame(before, after)) return []
  if (isFields(before) && isFields(after))
    return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key) => diff(before[key], after[key], [...at, key]))
  const [old, now] = [keysOf(before ?? []), keysOf(after ?? [])]
  // A list that is not there yet is an empty one, so that two may begin it at once.
  if (old && now && old.length + now.length > 0)
    return diffLists(old, (before ?? []) as readonly unknown[], now, (after ?? []) as readonly unknown[], at)
  return [setOp(at, before, after)]
}

/** The op that sets a field; what is not there is left out. */
const setOp = (at: Path, from: unknown, to: unknown): Op => ({
  do: 'set',
  at,
  ...(from === undefined ? {} : { from }),
  ...(to === undefined ? {} : { to }),
})

/** A record with one field as given; without it where that is undefined. */
function withField(fields: Fields, key: string, value: unknown): Fields {
  if (value !== undefined) return { ...fields, [key]: value }
  return Object.fromEntries(Object.entries(fields).filter(([each]) => each !== key))
}

function diffLists(old: readonly string[], before: readonly unknown[], now: readonly string[], after: readonly unknown[], at: Path): Patch {
  const ops: Op[] = []
  let order = [...old]
  old.forEach((key, i) => {
    if (now.includes(key)) return
    ops.push({ do: 'drop', at, item: before[i], behind: order[order.indexOf(key) - 1] ?? null })
    order = order.filter((each) => each !== key)
  })
  now.forEach((key, i) => {
    if (old.includes(key)) return
    const behind = now[i - 1] ?? null
    ops.push({ do: 'put', at, item: after[i], behind })
    order.splice(behind === null ? 0 : order.indexOf(behind) + 1, 0, key)
  })
  if (order.some((key, i) => key !== now[i])) ops.push({ do: 'order', at, from: order, to: now })
  const inside = now.flatMap((key, i) => (old.includes(key) ? diff(before[old.indexOf(key)], after[i], [...at, { id: key }]) : []))
  return [...ops, ...inside]
}

/** The patch that takes another one back. */
export function invert(patch: Patch): Patch {
  return patch.toReversed().map((op): Op => {
    if (op.do === 'set') return setOp(op.at, op.to, op.from)
    if (op.do === 'order') return { ...op, from: op.to, to: op.from }
    return { ...op, do: op.do === 'put' ? 'drop' : 'put' }
  })
}

/** Two patches in a row as one; what a drag sets again and again is set once. */
export function join(one: Patch, two: Patch): Patch {
  const joined = [...one]
  for (const op of two) {
    const at = joined.findLastIndex((each) => each.do === 'set' && isSame(each.at, op.at))
    const before = joined[at]
    if (op.do === 'set' && before?.do === 'set' && joined.slice(at).every((each) => each.do === 'set')) {
      joined.splice(at, 1, ...(isSame(before.from, op.to) ? [] : [setOp(op.at, before.from, op.to)]))
    } else joined.push(op)
  }
  return joined
}

/** How much a patch insists: `ours` sets what has been changed since, and tells; `careful` leaves it alone, and tells. */
export type Manner = 'ours' | 'careful'

/** Applies a patch to what a document is now. */
export function applyPatch<T>(document: T, patch: Patch, manner: Manner = 'ours'): Applied<T> {
  const clashes: Clash[] = []
  let value: unknown = document
  for (const op of patch) {
    const change = (now: unknown): unknown => {
      const { value: next, clash } = applyOp(op, now, manner)
      if (clash) clashes.push({ op, ...clash })
      return next
    }
    const next = changeAt(value, op.at, change)
    if (next === missing) clashes.push({ op, what: 'gone' })
    else value = next
  }
  return { value: value as T, clashes }
}

/** Stands for a way that leads nowhere any more. */
const missing = Symbol('missing')

/** A value with the one at the end of a path changed; the same value where nothing changed, `missing` where the way is gone. */
function changeAt(value: unknown, path: Path, change: (now: unknown) => unknown): unknown {
  const [first, ...rest] = path
  if (first === undefined) return change(value)
  if (typeof first === 'string') {
    if (!isFields(value) || (rest.length > 0 && value[first] === undefined)) return missing
    const next = changeAt(value[first], rest, change)
    if (next === missing || next === value[first]) return next === missing ? missing : value
    return withField(value, first, next)
  }
  if (!Array.isArray(value)) return missing
  const at = value.findIndex((item) => keyOf(item) === first.id)
  if (at < 0) return missing
  const next = changeAt(value[at], rest, change)
  return next === missing ? missing : next === value[at] ? value : value.with(at, next)
}

interface Outcome {
  readonly value: unknown
  readonly clash?: Omit<Clash, 'op'>
}

function applyOp(op: Op, now: unknown, manner: Manner): Outcome {
  if (op.do === 'set') return applySet(op, now, manner)
  const list: readonly unknown[] = Array.isArray(now) ? now : []
  if (op.do === 'order') {
    const place = new Map(op.to.map((key, i) => [key, i]))
    const known = list
      .filter((item) => place.has(keyOf(item) ?? ''))
      .sort((one, other) => (place.get(keyOf(one) ?? '') ?? 0) - (place.get(keyOf(other) ?? '') ?? 0))
    let next = 0
    const ordered = list.map((item) => (place.has(keyOf(item) ?? '') ? known[next++] : item))
    return { value: ordered.every((item, i) => item === list[i]) ? now : ordered }
  }
  const at = list.findIndex((item) => keyOf(item) === keyOf(op.item))
  if (op.do === 'put') {
    if (at >= 0) return isSame(list[at], op.item) ? { value: now } : { value: now, clash: { what: 'kept', theirs: list[at] } }
    const behind = op.behind === null ? 0 : list.findIndex((item) => keyOf(item) === op.behind) + 1 || list.length
    return { value: list.toSpliced(behind, 0, op.item) }
  }
  if (at < 0) return { value: now }
  if (!isSame(list[at], op.item)) return { value: now, clash: { what: 'kept', theirs: list[at] } }
  // A site keeps one page, even where two remove another one each.
  if (list.length === 1 && op.at.length === 1 && op.at[0] === 'pages') return { value: now, clash: { what: 'kept', theirs: list[at] } }
  return { value: list.toSpliced(at, 1) }
}

function applySet({ from, to }: Extract<Op, { do: 'set' }>, now: unknown, manner: Manner): Outcome {
  if (isSame(now, to)) return { value: now }
  if (isSame(now, from)) return { value: to }
  // Both began the same record, or one takes its part of it away again: each has its own fields.
  if (from === undefined && isFields(now) && isFields(to))
    return within(
      now,
      Object.keys(to).map((key) => [key, undefined, to[key]]),
      manner,
    )
  if (to === undefined && isFields(now) && isFields(from)) {
    const left = within(
      now,
      Object.keys(from).map((key) => [key, from[key], undefined]),
      'careful',
    )
    return isFields(left.value) && Object.keys(left.value).length === 0 ? { ...left, value: undefined } : left
  }
  if (manner === 'careful') return { value: now, clash: { what: 'kept', theirs: now } }
  return { value: to, clash: { what: 'both', theirs: now } }
}

function within(now: Fields, changes: readonly (readonly [string, unknown, unknown])[], manner: Manner): Outcome {
  let [value, clash]: [Fields, Outcome['clash']] = [now, undefined]
  for (const [key, from, to] of changes) {
    const one = applySet({ do: 'set', at: [], from, to }, value[key], manner)
    clash ??= one.clash && { ...one.clash, theirs: now }
    value = withField(value, key, one.value)
  }
  return { value, ...(clash ? { clash } : {}) }
}
