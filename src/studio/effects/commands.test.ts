// Effects handled as wholes: removed, duplicated, moved, linked, copied and pasted, each one step of undo, with a word of what happened.
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { findKind } from '../../core/effect/kinds'
import { beginHistory, doEdit, undo as undoStep } from '../../core/site/history'
import type { Edit } from '../../core/site/edit'
import type { Effect, Site } from '../../core/site/site'
import type { Studio } from '../context'
import { observable } from '../store/observable'
import { makeViewStore } from '../store/view-store'
import { chooseEffect, chosenEffects, duplicateEffects, firstHere, moveEffect, removeEffects, selectBeside, tieEffects, toggleOff, undo } from './commands' // prettier-ignore
import { pasteEffect, tellCopied, textOfEffects } from './effect-text'

const effectOf = (id: string, kind: string, select: string, more: Partial<Effect> = {}): Effect => ({
  id,
  kind,
  name: `The ${id}`,
  select,
  noun: `each ${select.slice(1)}`,
  settings: findKind(kind)?.defaults,
  ...more,
})

const three = [
  effectOf('lean', 'tilt', '.card'),
  effectOf('lamp', 'glow', '.lamp', { pages: ['other'] }),
  effectOf('second', 'tilt', '.plate'),
]

/** A studio with a page on which `.card` and `.plate` are. */
function studioWith(effects: readonly Effect[]) {
  const pages = [
    { id: 'page', name: 'Page', source: 'a'.repeat(64) },
    { id: 'other', name: 'Other', source: 'b'.repeat(64) },
  ]
  const history = observable(beginHistory({ format: 'glass-moth/2', name: 'Site', pages, effects } as unknown as Site))
  const take = (done: ReturnType<typeof undoStep>) => done && history.set(done.history)
  const store = {
    history,
    edit: (edit: Edit, words: string, gesture = String(Math.random())) => take(doEdit(history.get(), edit, words, gesture)),
    undo: () => take(undoStep(history.get())),
  }
  const counts = new Map([
    ['.card', { page: 8, other: 0 }],
    ['.lamp', { page: 3, other: 2 }],
    ['.plate', { page: 1, other: 4 }],
  ])
  const view = makeViewStore('page', effects[0]?.id ?? null, { getItem: () => null, setItem: () => undefined }, counts)
  const studio = { store, view } as unknown as Studio
  const ids = () => history.get().site.effects.map(({ id }) => id)
  return { studio, view, history, ids, notice: () => view.get().notice }
}

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

describe('effects as wholes', () => {
  it('are of the page where they are for it and find something there', () => {
    const { history, view } = studioWith(three)
    const { site } = history.get()
    const { counts } = view.get()
    expect([firstHere(site, { id: 'page' }, counts)?.id, firstHere(site, { id: 'other' }, counts)?.id]).toEqual(['lean', 'lamp'])
    expect(firstHere(site, { id: 'third' }, new Map([['.card', { third: 0 }], ['.plate', { third: 0 }]]))).toBeUndefined() // prettier-ignore
    // What is off is shown where nothing else is.
    const off = { ...site, effects: site.effects.map((each) => (each.id === 'lean' ? { ...each, isOff: true as const } : each)) }
    expect(firstHere(off, { id: 'page' }, counts)?.id).toBe('second')
  })

  it('are chosen alone, beside others, and in a row', () => {
    const { studio, view } = studioWith(three)
    const order = ['lean', 'second', 'lamp']
    const chosen = () => chosenEffects(studio).map(({ id }) => id)
    chooseEffect(studio, 'second', 'also', order)
    expect(chosen()).toEqual(['lean', 'second'])
    chooseEffect(studio, 'lean', 'also', order)
    expect([chosen(), view.get().selected]).toEqual([['second'], 'second'])
    chooseEffect(studio, 'lamp', 'range', order)
    expect(chosen()).toEqual(['lamp', 'second'])
    chooseEffect(studio, 'lean', 'alone', order)
    expect(chosen()).toEqual(['lean'])
  })

  it('are removed together in one step, which says what it was and comes back', () => {
    const { studio, view, ids, notice } = studioWith(three)
    view.update({ chosen: ['lamp'] })
    removeEffects(studio)
    expect([ids(), notice()]).toEqual([['second'], 'Removed 2 effects. Ctrl Z brings them back.'])
    undo(studio)
    expect([ids(), notice()]).toEqual([['lean', 'lamp', 'second'], 'Undone: Removing 2 effects.'])
    view.update({ selected: null })
    removeEffects(studio)
    expect(ids()).toHaveLength(3)
  })

  it('are doubled, each behind its own, and turned off and on together', () => {
    const { studio, history, ids } = studioWith(three)
    duplicateEffects(studio, three.slice(0, 2))
    expect(history.get().site.effects.map(({ name }) => name)).toEqual(['The lean', 'The lean, copy', 'The lamp', 'The lamp, copy', 'The second']) // prettier-ignore
    expect(new Set(ids()).size).toBe(5)
    const off = () => history.get().site.effects.map(({ isOff = false }) => isOff)
    toggleOff(studio, history.get().site.effects.slice(0, 2))
    expect(off()).toEqual([true, true, false, false, false])
    toggleOff(studio, history.get().site.effects.slice(0, 3))
    expect(off()).toEqual([true, true, true, false, false])
    toggleOff(studio, history.get().site.effects.slice(0, 3))
    expect(off()).toEqual([false, false, false, false, false])
  })

  it('move past their neighbour on this page, and N goes among those of the page', () => {
    const { studio, view, ids } = studioWith(three)
    moveEffect(studio, three[2] as Effect, -1)
    expect(ids()).toEqual(['second', 'lean', 'lamp'])
    selectBeside(studio, 1)
    expect(view.get().selected).toBe('second')
    selectBeside(studio, 1)
    expect(view.get().selected).toBe('lean')
  })

  it('are linked in what they have in common, in one step', () => {
    const { studio, history, notice } = studioWith(three)
    const [lean, , second] = three as [Effect, Effect, Effect]
    tieEffects(studio, [lean, second])
    const bound = history.get().site.effects.find(({ id }) => id === 'second')?.bindings
    expect(bound?.acrossDeg).toEqual({ to: { effect: 'lean', control: 'acrossDeg' }, times: 1 })
    expect(notice()).toMatch(/^\d+ values of The second follow The lean now\.$/)
    undo(studio)
    expect(history.get().site.effects.find(({ id }) => id === 'second')?.bindings).toBeUndefined()
  })
})

describe('effects as text', () => {
  it('are pasted elsewhere as they are, several at once', () => {
    const { studio, history, notice } = studioWith(three)
    const empty = studioWith([])
    expect(pasteEffect(empty.studio, textOfEffects(three))).toBe(true)
    expect(empty.history.get().site.effects.map(({ kind, select }) => [kind, select])).toEqual([['tilt', '.card'], ['glow', '.lamp'], ['tilt', '.plate']]) // prettier-ignore
    expect(empty.notice()).toBe('Pasted 3 effects on each card.')
    tellCopied(studio, false)
    expect([history.get().site.effects.length, notice()]).toEqual([3, 'Copied The lean. Point at something and paste, here or on another site.']) // prettier-ignore
    tellCopied(studio, true)
    expect([history.get().site.effects.length, notice()?.startsWith('Cut The lean.')]).toEqual([2, true])
  })

  it('replace one of their kind that is there already, and undo has it back', () => {
    const { studio, history, ids, notice } = studioWith(three)
    const settings = { ...(three[0]?.settings as object), acrossDeg: 21 }
    pasteEffect(studio, textOfEffects([{ ...(three[0] as Effect), id: 'elsewhere', name: 'Steep', settings }]))
    expect(ids()).toEqual(['lean', 'lamp', 'second'])
    expect(history.get().site.effects[0]).toMatchObject({ name: 'The lean', settings: { acrossDeg: 21 } })
    expect(notice()).toBe('Replaced Steep on each card. Ctrl Z takes it back.')
    undo(studio)
    expect(history.get().site.effects[0]).toEqual(three[0])
  })

  it.each([
    ['plain words', false, null],
    ['{"format":"something/1"}', false, null],
    ['{"format":"glass-moth-effect/1"}', false, /cannot be pasted/],
    ['{"format":"glass-moth-effect/1","effect":{"kind":"none"}}', false, /cannot be pasted/],
  ])('that are none are left alone: %s', (text, isTaken, words) => {
    const { studio, ids, notice } = studioWith(three)
    expect(pasteEffect(studio, text)).toBe(isTaken)
    expect(ids()).toHaveLength(3)
    if (words) expect(notice()).toMatch(words)
    else expect(notice()).toBeNull()
  })

  it('is nothing for no effect', () => {
    expect(textOfEffects([])).toBe('')
  })
})
