// Every word of every kind has a line of help.
import { expect, it } from 'vitest'
import { helpOf } from './help'
import { kinds } from './kinds'

it.each(kinds.map((kind) => [kind.id, kind] as const))('of %s says something, once, as a sentence', (_, kind) => {
  const all: readonly unknown[] = [kind.defaults, ...kind.recipes.map(({ settings }) => settings as unknown)]
  for (const settings of all)
    for (const control of kind.controls(settings)) {
      const help = helpOf(control)
      expect(help, control.id).toMatch(/^[\p{Lu}\d“].{8,400}\.$/su)
      expect(help, control.id).not.toMatch(/undefined|\.\.$/)
    }
})
