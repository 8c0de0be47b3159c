import { describe, expect, it } from 'vitest'
import { faultOfOutline } from './outline'

describe('an outline', () => {
  it.each([
    'M0 0L100 0 50 100Z',
    'm10,10h80v80h-80z',
    'M50 0C77.6 0 100 22.4 100 50S77.6 100 50 100 0 77.6 0 50 22.4 0 50 0',
    'M.5.5 1e1-2',
    'M10 50a40 40 0 1 0 80 0A40 40 0 0010 50Z M40 50h20',
    'M0 0Q50 50 100 0T200 0',
  ])('is %s', (text) => expect(faultOfOutline(text)).toBeUndefined())

  it.each([
    ['', 'is empty'],
    ['  ', 'is empty'],
    ['L0 0', 'does not begin with a move'],
    ['moth', 'has no numbers after its m'],
    ['M0', 'too few numbers after its M'],
    ['M0 0L10', 'too few numbers after its L'],
    ['M0 0C1 2 3 4 5', 'too few numbers after its C'],
    ['M0 0A10 10 0 2 0 5 5', 'too few numbers after its A'],
    ['M0 0 X10', 'has a “X” where a command should be'],
    ['M0 0Z 5 5', 'has a “5” where a command should be'],
    ['M0 0"/><script>', 'has a “"” where a command should be'],
    [`M0 0${' 1 1'.repeat(2000)}`, 'is longer than'],
  ])('is not %s', (text, why) => expect(faultOfOutline(text)).toContain(why))
})
