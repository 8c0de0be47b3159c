import { expect, it } from 'vitest'
import { slipsIn, withSlip } from './plant'

it('finds slips in functions alone, and plants one of them', () => {
  const source = "const most = 4\nimport x from 'y'\nconst f = (a: 1 | 2) => (a < most ? !a : Math.min(a, 3))\n"
  const slips = slipsIn(source)
  expect(slips.map(({ text, slip }) => `${text} -> ${slip}`)).toEqual(['< -> >', '!a -> a', 'min -> max', '3 -> 4'])
  expect(slips.map((slip) => withSlip(source, slip))[0]).toContain('(a > most ?')
})
