// Every word of every kind has a line of help.
import { expect, it } from 'vitest'
import type { Control } from './control'
import { helpOf, helpOfRole } from './help'
import { kinds, type AnyKind } from './kinds'

/** The words of a kind as it is from the start, and as each recipe has it. */
function wordsOf(kind: AnyKind): readonly Control<unknown>[] {
  const all: readonly unknown[] = [kind.defaults, ...kind.recipes.map(({ settings }) => settings as unknown)]
  return all.flatMap((settings) => kind.controls(settings))
}

const each = kinds.map((kind) => [kind.id, kind] as const)

it.each(each)('of %s says something, once, as a sentence', (_, kind) => {
  for (const control of wordsOf(kind)) {
    const help = helpOf(control)
    expect(help, control.id).toMatch(/^[\p{Lu}\d“].{8,400}\.$/su)
    expect(help, control.id).not.toMatch(/undefined|\.\.$/)
  }
})

// What a rig by hand does is for its author to say.
it.each(each.filter(([id]) => id !== 'free'))('of the numbers, choices and texts of %s says what they do, in one line', (_, kind) => {
  for (const control of wordsOf(kind)) {
    if (control.kind !== 'number' && control.kind !== 'choice' && control.kind !== 'text') continue
    expect(control.help ?? '', control.id).toMatch(/^[a-z].{9,89}[^.]$/)
    expect(control.help?.toLowerCase(), control.id).not.toBe(control.title.toLowerCase())
  }
})

it('tells a number with its range, and a choice without help by what it can be', () => {
  const number = { kind: 'number', id: 'way', title: 'The way', unit: 'px', least: 0, greatest: 90, step: 1, drawing: 'none' } as const
  const reading = { read: () => 4, write: () => ({}) }
  expect(helpOf({ ...number, ...reading })).toBe('The way, 0px to 90px.')
  expect(helpOf({ ...number, ...reading, help: 'how far it goes' })).toBe('How far it goes; 0px to 90px.')
  const options = [{ value: 'a', words: 'this' }, { value: 'b', words: 'that' }] // prettier-ignore
  expect(helpOf({ kind: 'choice', id: 'it', title: 'It is', drawing: 'none', options, read: () => 'a', write: () => ({}) })).toBe(
    'It is: this; that.',
  )
})

it('tells a noun by what it is for the effect', () => {
  const [main, wing] = [{ id: 'card', title: 'card', needs: 'yours' }, { id: 'wing', title: 'wing', needs: 'yours' }] as const // prettier-ignore
  expect(helpOfRole(main, true)).toMatch(/^Which elements it is on/)
  expect(helpOfRole(wing, false)).toBe('Which elements are its wing; others can be pointed at.')
  expect(helpOfRole({ ...wing, title: 'its picture' }, false)).toBe('Which elements are its picture; others can be pointed at.')
})
