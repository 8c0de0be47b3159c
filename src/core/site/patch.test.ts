import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applyPatch, diff, invert, join } from './patch'

/** Documents with fields, records, lists of items with ids, and lists without. */
const item = fc.record(
  {
    id: fc.constantFrom('a', 'b', 'c', 'd', 'e'),
    name: fc.constantFrom('x', 'y', 'z'),
    size: fc.nat(3),
    deep: fc.record({ at: fc.nat(2), list: fc.array(fc.nat(2), { maxLength: 2 }) }, { requiredKeys: [] }),
  },
  { requiredKeys: ['id', 'name'] },
)
const items = fc.uniqueArray(item, { selector: ({ id }) => id, maxLength: 5 })
const documents = fc.record(
  { title: fc.constantFrom('one', 'two'), items, more: items, own: fc.dictionary(fc.constantFrom('k', 'l'), fc.nat(2)) },
  { requiredKeys: ['title', 'items'] },
)
/** A list that went empty again may be left as an empty one. */
const plain = (value: unknown) =>
  JSON.parse(JSON.stringify(value, (_, each: unknown) => (Array.isArray(each) && each.length === 0 ? undefined : each))) as unknown

describe('a patch', () => {
  it('makes the one document of the other, and takes it back', () => {
    fc.assert(
      fc.property(documents, documents, (before, after) => {
        const patch = diff(before, after)
        const forth = applyPatch(before, patch)
        expect([plain(forth.value), forth.clashes]).toEqual([plain(after), []])
        expect(plain(applyPatch(forth.value, invert(patch)).value)).toEqual(plain(before))
      }),
    )
  })

  it('joined with the next is both in a row, and back', () => {
    fc.assert(
      fc.property(documents, documents, documents, (one, two, three) => {
        const joined = join(diff(one, two), diff(two, three))
        expect(plain(applyPatch(one, joined).value)).toEqual(plain(three))
        expect(plain(applyPatch(three, invert(joined)).value)).toEqual(plain(one))
      }),
    )
  })

  it('of a drag is one field, however long the drag', () => {
    let joined = diff({ a: 0 }, { a: 1 })
    for (let i = 1; i < 50; i++) joined = join(joined, diff({ a: i }, { a: i + 1 }))
    expect(joined).toEqual([{ do: 'set', at: ['a'], from: 0, to: 50 }])
    expect(join(joined, diff({ a: 50 }, { a: 0 }))).toEqual([])
  })

  it('applied twice is applied once', () => {
    fc.assert(
      fc.property(documents, documents, (before, after) => {
        const patch = diff(before, after)
        const once = applyPatch(before, patch).value
        // Unless it is there and back again, which a difference never is.
        expect(plain(applyPatch(once, patch).value)).toEqual(plain(once))
      }),
    )
  })
})

describe('two who change one document', () => {
  const base = {
    title: 'one',
    items: [
      { id: 'a', name: 'x', size: 1 },
      { id: 'b', name: 'y' },
    ],
  }
  const both = (ours: object, theirs: object) => applyPatch(applyPatch<unknown>(base, diff(base, theirs)).value, diff(base, ours))

  it('each keep what they alone changed, whichever comes first', () => {
    fc.assert(
      fc.property(documents, documents, documents, (start, one, two) => {
        const [first, second] = [diff(start, one), diff(start, two)]
        const { value, clashes } = applyPatch(applyPatch<unknown>(start, first).value, second)
        if (clashes.length > 0) return
        // Whatever either put or set is there, unless the other one set or took the same.
        for (const op of first) {
          if (
            op.do !== 'set' ||
            second.some(
              (other) =>
                JSON.stringify(other.at).startsWith(JSON.stringify(op.at).slice(0, -1)) ||
                JSON.stringify(op.at).startsWith(JSON.stringify(other.at).slice(0, -1)),
            )
          )
            continue
          expect(diff(value, applyPatch(value, [op]).value)).toEqual([])
        }
      }),
    )
  })

  it('meet in a field: the later one counts, and the other value is told', () => {
    const { value, clashes } = both({ ...base, title: 'ours' }, { ...base, title: 'theirs' })
    expect(value).toMatchObject({ title: 'ours' })
    expect(clashes).toMatchObject([{ what: 'both', theirs: 'theirs' }])
    expect(applyPatch({ ...base, title: 'theirs' }, diff(base, { ...base, title: 'ours' }), 'careful')).toMatchObject({
      value: { title: 'theirs' },
      clashes: [{ what: 'kept' }],
    })
  })

  it('meet where one changes what the other removed: it stays removed, and that is told', () => {
    const [a, b] = base.items
    const { value, clashes } = both({ ...base, items: [{ ...a, name: 'ours' }, b] }, { ...base, items: [b] })
    expect([value, clashes[0]?.what]).toEqual([{ ...base, items: [b] }, 'gone'])
  })

  it('meet where one removes what the other changed: it stays as changed, and that is told', () => {
    const [a, b] = base.items
    const { value, clashes } = both({ ...base, items: [b] }, { ...base, items: [{ ...a, name: 'theirs' }, b] })
    expect([value, clashes]).toMatchObject([
      { items: [{ id: 'a', name: 'theirs' }, { id: 'b' }] },
      [{ what: 'kept', theirs: { name: 'theirs' } }],
    ])
  })

  it('begin the same list or the same record at once, and both have their part in it', () => {
    const { value, clashes } = both({ ...base, more: [{ id: 'x' }], own: { k: 1 } }, { ...base, more: [{ id: 'y' }], own: { l: 2 } })
    expect([value, clashes]).toEqual([{ ...base, more: [{ id: 'x' }, { id: 'y' }], own: { l: 2, k: 1 } }, []])
    const ours = diff(base, { ...base, own: { k: 1 } })
    expect(applyPatch(value, invert(ours), 'careful').value).toMatchObject({ own: { l: 2 } })
  })

  it('keep one page where each removes another one', () => {
    const pages = { pages: [{ id: 'p' }, { id: 'q' }] }
    const [one, two] = [{ pages: [{ id: 'p' }] }, { pages: [{ id: 'q' }] }]
    const { value, clashes } = applyPatch<unknown>(applyPatch<unknown>(pages, diff(pages, one)).value, diff(pages, two))
    expect([value, clashes.map(({ what }) => what)]).toEqual([one, ['kept']])
  })
})
