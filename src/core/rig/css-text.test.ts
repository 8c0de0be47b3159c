import { describe, expect, it } from 'vitest'
import { isContained, isSelector, selectorText, valueWithHoles } from './css-text'

describe('CSS text that is written as it stands', () => {
  it.each([
    '.card',
    'a[href="x{y}"] > b:is(.c, #d)',
    '.sm\\:w-1\\/2',
    "[title='a\"b\\'</style>']",
    'linear-gradient(#fff, rgb(0 0 0 / 20%))',
    '&:hover',
    '"a;b"',
  ])('may be %s', (text) => {
    expect(isContained(text)).toBe(true)
  })

  it.each([
    '.card{} html{background:url(http://e.test)} .card',
    '.a"',
    '.a[b="x',
    '.a\\',
    'rgb(0',
    ')',
    '.a /* ',
    'x */ y',
    'a;b',
    '@import "x"',
    '</style>',
    "'a\nb'",
    '(]',
    '.a\\\n',
    '"x\\"',
  ])('may not be %s', (text) => {
    expect(isContained(text)).toBe(false)
  })

  it.each([
    '.card, #a > b + c ~ d',
    '& .x',
    '.a:has(> img):not(.b)',
    ':is(.a, [data-x="1"]):nth-child(2n + 1)',
    '.sm\\:w-1\\/2',
    ':root',
    '*',
    '[a=b i], [*|href$="x"], .-a, #--b',
  ])('is a selector: %s', (text) => {
    expect(isSelector(text)).toBe(true)
  })

  it.each([
    "';inj();'",
    '.card\u2028inj()',
    '.card-->',
    '.a,,.b',
    '.a >',
    '.a{}',
    ':is(',
    '.card:::',
    '',
    '$1',
    '.1a',
    '#1a',
    '.-1a',
    'a > 2b',
    '.a%b',
    '.a .0',
    '-',
    'a - b',
    '[0]',
    '[a=0]',
    ':is([a=])',
    '[a|b]',
  ])('is no selector: %s', (text) => {
    expect(isSelector(text)).toBe(false)
  })

  it('is told in words where it is refused', () => {
    expect(selectorText().safeParse('.a{}').error?.issues[0]?.message).toBe('is not a CSS selector')
    expect(valueWithHoles(99).safeParse('calc({a} * 2)').success).toBe(true)
    expect(valueWithHoles(99).safeParse('{a} }').success).toBe(false)
  })
})
