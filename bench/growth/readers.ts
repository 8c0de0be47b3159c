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

/** The work of a reader over a text that is made before. */
const over =
  (textOf: (n: number) => string, read: (text: string) => unknown): Reader['make'] =>
  (n) => {
    const text = textOf(n)
    return () => read(text)
  }

const all: readonly (readonly [of: string, size: number, make: Reader['make']])[] = [
  ['a srcset of spaces', 200_000, over((n) => `a.png${' '.repeat(n)}1x`, readSrcset)],
  ['a srcset of commas', 200_000, over((n) => ','.repeat(n), readSrcset)],
  ['a srcset of brackets', 100_000, over((n) => `a ${'('.repeat(n)}`, readSrcset)],
  [
    'a sheet of addresses',
    20_000,
    over(
      (n) => 'a{b:url(x)}'.repeat(n),
      (text) => prepareSheet(text, 'a.css', around),
    ),
  ],
  [
    'a sheet of imports',
    20_000,
    over(
      (n) => '@import "x.css" screen;'.repeat(n),
      (text) => prepareSheet(text, 'a.css', around),
    ),
  ],
  [
    'a sheet of one import that has no end',
    100_000,
    over(
      (n) => `@import "x" ${'(a) '.repeat(n)}`,
      (text) => prepareSheet(text, 'a.css', around),
    ),
  ],
  [
    'a sheet of escapes',
    40_000,
    over(
      (n) => 'a{b:u\\72l(x)}'.repeat(n),
      (text) => changeAddresses(text, leave),
    ),
  ],
  [
    'a sheet of backslashes',
    200_000,
    over(
      (n) => '\\'.repeat(n),
      (text) => changeAddresses(text, leave),
    ),
  ],
  [
    'a sheet of open brackets',
    200_000,
    over(
      (n) => '('.repeat(n),
      (text) => changeAddresses(text, leave),
    ),
  ],
  ['the rules of rules in a rule', 20_000, over((n) => `p{${'a:b{c:d}'.repeat(n)}}`, readSheet)],
  ['the rules of open blocks', 100_000, over((n) => 'a{'.repeat(n), readSheet)],
  ['the rules of names without an end', 50_000, over((n) => `p{${'a:b '.repeat(n)}`, readSheet)],
  ['the rules of names of our own', 50_000, over((n) => '--a:b{'.repeat(n), readSheet)],
  ['the rules of stray braces', 100_000, over((n) => '}'.repeat(n), readSheet)],
  ['the declarations of blocks', 50_000, over((n) => 'a:{b}'.repeat(n), readStyle)],
  [
    'a page of text',
    400_000,
    over(
      (n) => `<p>${'x '.repeat(n)}`,
      (text) => copyForStudio(text, options),
    ),
  ],
  [
    'a page of attributes',
    50_000,
    over(
      (n) => `<p ${Array.from({ length: n }, (_, i) => `a${i}`).join(' ')}>`,
      (text) => refused(() => readTree(text)),
    ),
  ],
  [
    'a page of closing tags',
    200_000,
    over(
      (n) => '</p>'.repeat(n),
      (text) => refused(() => readTree(text)),
    ),
  ],
  [
    'a page nested without end',
    100_000,
    over(
      (n) => '<div>'.repeat(n),
      (text) => refused(() => readTree(text)),
    ),
  ],
  [
    'tables in tables',
    50_000,
    over(
      (n) => '<table><tr><td>'.repeat(n),
      (text) => refused(() => readTree(text)),
    ),
  ],
  [
    'a page of comments',
    50_000,
    over(
      (n) => '<!---->'.repeat(n),
      (text) => refused(() => readTree(text)),
    ),
  ],
  ['a page with faults', 100_000, over((n) => '<p <b>'.repeat(n / 8), htmlProblems)],
  ['a sheet with faults', 100_000, over((n) => 'a{b c}'.repeat(n / 4), cssProblems)],
  [
    'a source that is edited',
    100_000,
    over(
      (n) => `<p>${'x '.repeat(n)}</p>`,
      (text) => applyMarkup(text, { do: 'attribute', at: 3, name: 'class', value: 'y' }),
    ),
  ],
  ['a trace', 16_000, over((n) => `t,x,y,buttons\n${Array.from({ length: n }, (_, i) => `${i},1,2,0`).join('\n')}`, readTrace)],
  ['a selector', 64_000, over((n) => `.a${' .b'.repeat(n)}`, isSelector)],
  ['a selector of brackets', 64_000, over((n) => ':is('.repeat(n), isSelector)],
  ['an easing', 64_000, over((n) => `linear(${'0, '.repeat(n)}1)`, parseEasing)],
  ['a gradient', 4000, over((n) => `linear-gradient(${'red, '.repeat(n)}blue)`, readGradient)],
  [
    'a sum',
    16_000,
    over(
      (n) => `${'1 + '.repeat(n)}1`,
      (text) => readSum(text, ''),
    ),
  ],
  [
    'a sum of brackets',
    16_000,
    over(
      (n) => `${'('.repeat(n)}1`,
      (text) => readSum(text, ''),
    ),
  ],
  ['JSON of halves of characters', 64_000, over((n) => JSON.stringify({ a: '\ud83d'.repeat(n) }), readJson)],
  [
    'a long name',
    400_000,
    over(
      (n) => 'x\u0301'.repeat(n),
      (text) => cutText(text, 100),
    ),
  ],
  [
    'a style of addresses in a page',
    20_000,
    over(
      (n) => `<p style="${'background:url(x);'.repeat(n)}">`,
      (text) => copyForStudio(text, options),
    ),
  ],
]

export const readers: readonly Reader[] = all.map(([of, size, make]) => ({ of, size, make }))
