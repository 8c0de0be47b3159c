import { describe, expect, it } from 'vitest'
import { Misuse, readArguments } from './arguments'

describe('the words of a command line', () => {
  it('are files, and options with a value each', () => {
    expect(readArguments(['site.json', '--out', 'values.csv', '--fps=30', 'other.json'], ['out', 'fps'])).toEqual({
      files: ['site.json', 'other.json'],
      options: { out: 'values.csv', fps: '30' },
    })
  })

  it.each([
    [['--out', 'a', '--out', 'b'], '--out takes one value.'],
    [['--out=', '--out', 'b'], '--out takes one value.'],
    [['--out'], '--out takes one value.'],
    [['--speed', '3'], 'There is no option --speed; there are --out, --fps.'],
    [['-o', 'a'], 'There is no option -o.'],
  ])('%j are refused', (words, sentence) => {
    expect(() => readArguments(words, ['out', 'fps'])).toThrow(new Misuse(sentence))
  })
})
