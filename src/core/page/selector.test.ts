import { expect, it } from 'vitest'
import { escapeName } from './selector'

// CSSOM, "serialize an identifier".
it.each([
  ['plain', 'plain'],
  ['4up', '\\34 up'],
  ['-4up', '-\\34 up'],
  ['a4', 'a4'],
  ['-a4', '-a4'],
  ['--4', '--4'],
  ['-', '\\-'],
  ['md:flex', 'md\\:flex'],
  ['w-1/2', 'w-1\\/2'],
  ['\u0001', '\\1 '],
  ['\u007f', '\\7f '],
  ['\u0000', '\ufffd'],
  ['größe', 'größe'],
])('the name %j is written %s', (name, written) => {
  expect(escapeName(name)).toBe(written)
})
