// Media queries as visitors have them.
import { expect, it } from 'vitest'
import { asVisitor } from './visitor'
import { resolveMedia } from './visit'

const [always, never] = ['(min-width: 0px)', '(max-width: -1px)']

it.each([
  ['(hover: hover) and (pointer: fine)', 'mouse', `${always} and ${always}`],
  ['(hover)', 'finger', never],
  ['(any-pointer: coarse)', 'finger', always],
  ['(prefers-reduced-motion: reduce)', 'reduced', always],
  ['(prefers-reduced-motion)', 'mouse', never],
  ['(forced-colors: active)', 'forced', always],
  ['(forced-colors: active)', 'mouse', '(forced-colors: active)'],
  ['print', 'mouse', 'print'],
  ['print', 'print', 'all'],
  ['only print and (orientation: portrait)', 'print', 'only all and (orientation: portrait)'],
  ['screen and (min-width: 600px), print', 'print', 'not all, all'],
  ['not screen and (min-width: 600px)', 'print', 'all'],
  ['not print', 'print', 'not all'],
  ['(hover: none)', 'print', always],
] as const)('%s is for %s: %s', (query, visitor, resolved) => {
  expect(resolveMedia(query, visitor)).toBe(resolved)
})

it('no hand is on paper, nor with a keyboard', () => {
  const sample = { t: 0, x: 1, y: 1, buttons: 0, pointerType: 'mouse', phase: 'move' } as const
  expect([asVisitor(sample, 'print'), asVisitor(sample, 'keyboard'), asVisitor(sample, 'forced')]).toEqual([undefined, undefined, sample])
})
