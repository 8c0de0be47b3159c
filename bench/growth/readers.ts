// What reads what others wrote, each with a text as long as one likes that is hard on it.
import { parseEasing } from '../../src/core/curve/easing'
import { readGradient } from '../../src/core/curve/gradient'
import { readSum } from '../../src/core/effect/arithmetic'
import { isSelector } from '../../src/core/rig/css-text'
import { cutText, readJson } from '../../src/core/site/text'
import { readTrace } from '../../src/core/trace/csv'
import { changeAddresses } from '../../src/core/page/css-addresses'
import { readSheet, readStyle } from '../../src/core/page/css-rules'
import { applyMarkup } from '../../src/core/page/markup'
import { cssProblems, htmlProblems } from '../../src/core/page/problems'
import { readSrcset } from '../../src/core/page/references'
import { prepareSheet } from '../../src/core/page/sheets'
import { copyForStudio } from '../../src/core/page/studio-copy'
import { PageTooLarge, readTree } from '../../src/core/page/tree'

const around = { files: new Map(), sheetText: () => undefined, onMissing: () => undefined }
const options = { path: 'index.html', files: new Map(), sheetText: () => undefined, shown: [], nonce: 'n' }
const leave = { address: () => undefined, import: () => undefined }
const refused = (work: () => unknown) => {
  try {
    work()
  } catch (error) {
    if (!(error instanceof PageTooLarge)) throw error
  }
}

export interface Reader {
  readonly of: string
  /** How much is enough for the work to be measured by a clock. */
  readonly size: number
  /** The work with a text of this size. */
  readonly make: (n: number) => () => unknown
}

const all: readonly (readonly [of: string, size: number, make: Reader['make']])[] = [
  [
    'a srcset of spaces',
    200_000,
    (n) => {
      const text = `a.png${' '.repeat(n)}1x`
      return () => readSrcset(text)
    },
  ],
  [
    'a srcset of commas',
    200_000,
    (n) => {
      const text = ','.repeat(n)
      return () => readSrcset(text)
    },
  ],
  [
    'a srcset of brackets',
    100_000,
    (n) => {
      const text = `a ${'('.repeat(n)}`
      return () => readSrcset(text)
    },
  ],
  [
    'a sheet of addresses',
    20_000,
    (n) => {
      const text = 'a{b:url(x)}'.repeat(n)
      return () => prepareSheet(text, 'a.css', around)
    },
  ],
  [
    'a sheet of imports',
    20_000,
    (n) => {
      const text = '@import "x.css" screen;'.repeat(n)
      return () => prepareSheet(text, 'a.css', around)
    },
  ],
  [
    'a sheet of one import that has no end',
    100_000,
    (n) => {
      const text = `@import "x" ${'(a) '.repeat(n)}`
      return () => prepareSheet(text, 'a.css', around)
    },
  ],
  [
    'a sheet of escapes',
    40_000,
    (n) => {
      const text = 'a{b:u\\72l(x)}'.repeat(n)
      return () => changeAddresses(text, leave)
    },
  ],
  [
    'a sheet of backslashes',
    200_000,
    (n) => {
      const text = '\\'.repeat(n)
      return () => changeAddresses(text, leave)
    },
  ],
  [
    'a sheet of open brackets',
    200_000,
    (n) => {
      const text = '('.repeat(n)
      return () => changeAddresses(text, leave)
    },
  ],
  [
    'the rules of rules in a rule',
    20_000,
    (n) => {
      const text = `p{${'a:b{c:d}'.repeat(n)}}`
      return () => readSheet(text)
    },
  ],
  [
    'the rules of open blocks',
    100_000,
    (n) => {
      const text = 'a{'.repeat(n)
      return () => readSheet(text)
    },
  ],
  [
    'the rules of names without an end',
    50_000,
    (n) => {
      const text = `p{${'a:b '.repeat(n)}`
      return () => readSheet(text)
    },
  ],
  [
    'the rules of names of our own',
    50_000,
    (n) => {
      const text = '--a:b{'.repeat(n)
      return () => readSheet(text)
    },
  ],
  [
    'the rules of stray braces',
    100_000,
    (n) => {
      const text = '}'.repeat(n)
      return () => readSheet(text)
    },
  ],
  [
    'the declarations of blocks',
    50_000,
    (n) => {
      const text = 'a:{b}'.repeat(n)
      return () => readStyle(text)
    },
  ],
  [
    'a page of text',
    400_000,
    (n) => {
      const text = `<p>${'x '.repeat(n)}`
      return () => copyForStudio(text, options)
    },
  ],
  [
    'a page of attributes',
    50_000,
    (n) => {
      const text = `<p ${Array.from({ length: n }, (_, i) => `a${i}`).join(' ')}>`
      return () => refused(() => readTree(text))
    },
  ],
  [
    'a page of closing tags',
    200_000,
    (n) => {
      const text = '</p>'.repeat(n)
      return () => refused(() => readTree(text))
    },
  ],
  [
    'a page nested without end',
    100_000,
    (n) => {
      const text = '<div>'.repeat(n)
      return () => refused(() => readTree(text))
    },
  ],
  [
    'tables in tables',
    50_000,
    (n) => {
      const text = '<table><tr><td>'.repeat(n)
      return () => refused(() => readTree(text))
    },
  ],
  [
    'a page of comments',
    50_000,
    (n) => {
      const text = '<!---->'.repeat(n)
      return () => refused(() => readTree(text))
    },
  ],
  [
    'a page with faults',
    100_000,
    (n) => {
      const text = '<p <b>'.repeat(n / 8)
      return () => htmlProblems(text)
    },
  ],
  [
    'a sheet with faults',
    100_000,
    (n) => {
      const text = 'a{b c}'.repeat(n / 4)
      return () => cssProblems(text)
    },
  ],
  [
    'a source that is edited',
    100_000,
    (n) => {
      const text = `<p>${'x '.repeat(n)}</p>`
      return () => applyMarkup(text, { do: 'attribute', at: 3, name: 'class', value: 'y' })
    },
  ],
  [
    'a trace',
    16_000,
    (n) => {
      const text = `t,x,y,buttons\n${Array.from({ length: n }, (_, i) => `${i},1,2,0`).join('\n')}`
      return () => readTrace(text)
    },
  ],
  [
    'a selector',
    64_000,
    (n) => {
      const text = `.a${' .b'.repeat(n)}`
      return () => isSelector(text)
    },
  ],
  [
    'a selector of brackets',
    64_000,
    (n) => {
      const text = ':is('.repeat(n)
      return () => isSelector(text)
    },
  ],
  [
    'an easing',
    64_000,
    (n) => {
      const text = `linear(${'0, '.repeat(n)}1)`
      return () => parseEasing(text)
    },
  ],
  [
    'a gradient',
    4000,
    (n) => {
      const text = `linear-gradient(${'red, '.repeat(n)}blue)`
      return () => readGradient(text)
    },
  ],
  [
    'a sum',
    16_000,
    (n) => {
      const text = `${'1 + '.repeat(n)}1`
      return () => readSum(text, '')
    },
  ],
  [
    'a sum of brackets',
    16_000,
    (n) => {
      const text = `${'('.repeat(n)}1`
      return () => readSum(text, '')
    },
  ],
  [
    'JSON of halves of characters',
    64_000,
    (n) => {
      const text = JSON.stringify({ a: '\ud83d'.repeat(n) })
      return () => readJson(text)
    },
  ],
  [
    'a long name',
    400_000,
    (n) => {
      const text = 'x\u0301'.repeat(n)
      return () => cutText(text, 100)
    },
  ],
  [
    'a style of addresses in a page',
    20_000,
    (n) => {
      const text = `<p style="${'background:url(x);'.repeat(n)}">`
      return () => copyForStudio(text, options)
    },
  ],
]

export const readers: readonly Reader[] = all.map(([of, size, make]) => ({ of, size, make }))
