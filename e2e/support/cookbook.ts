// The cookbook: pages of docs that are written by the walks themselves, and held to what these find.
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Walk } from './walk'

const docs = join(new URL('../..', import.meta.url).pathname, 'docs')
export const cookbookFolder = join(docs, 'cookbook')

/** Whether this run draws the pictures anew too: `npm run cookbook`. */
export const isDrawn = process.env.COOKBOOK === 'draw'

/** What a kind does for a finger, a keyboard, reduced motion and without a script. */
export interface Answers {
  readonly kind: string
  readonly touch: string
  readonly keyboard: string
  readonly reducedMotion: string
  readonly noScript: string
}

/** A text with all numbers taken for one, for these may differ by the fonts of a machine. */
const withoutNumbers = (text: string) => text.replace(/-?\d+(\.\d+)?/g, '0')

/** Writes a file of the docs where it says anything else than its numbers. Gives whether it said so already, or all is written anew. */
function keep(file: string, text: string): boolean {
  const before = existsSync(file) ? readFileSync(file, 'utf8') : ''
  const isSame = withoutNumbers(before) === withoutNumbers(text)
  if (!isSame || isDrawn) {
    mkdirSync(join(file, '..'), { recursive: true })
    writeFileSync(file, text)
  }
  return isSame || isDrawn
}

export const keepPage = (id: string, text: string): boolean => keep(join(cookbookFolder, `${id}.md`), text)

/** What leaves beside the page's own: the last stylesheet, and the last script, without what stands around them. */
function codeOf(html: string): { readonly css: string; readonly js: string } {
  const last = (tag: string) => [...html.matchAll(new RegExp(`<${tag}>([^]*?)</${tag}>`, 'g'))].at(-1)?.[1] ?? ''
  const css = last('style')
  const isScript = html.lastIndexOf('<script>') > html.lastIndexOf('</style>')
  return { css: css.trim(), js: isScript ? last('script').trim() : '' }
}

const distinct = (texts: readonly string[]) => [...new Set(texts)]

/** The page of a walk in the cookbook. */
export function pageOfWalk(
  { id, title, isFor, acts, starters, result, moments }: Walk,
  told: readonly string[],
  html: string,
  all: readonly Answers[],
): string {
  const { css, js } = codeOf(html)
  const says = (of: (each: Answers) => string) => {
    const said = distinct(all.map(of))
    return said.length === 1 ? said[0] : all.map((each) => `${each.kind}: ${of(each)}`).join(' ')
  }
  return `${[
    `# ${title}`,
    isFor,
    `## The acts`,
    `${starters.length > 0 ? `On the starter${starters.length > 1 ? 's' : ''} ${starters.map((each) => `\`${each}\``).join(' and ')}. ` : ''}${told.length} of ${acts} at most${result === undefined ? '' : `, result ${result} of [those that designers come for](../results.md)`}:`,
    told.map((each, i) => `${i + 1}. ${each}`).join('\n'),
    `## In motion`,
    moments.map(({ words }, i) => `<img src="${id}-${i + 1}.jpg" width="49%" alt="${words}">`).join('\n'),
    `${moments[0].words}; ${moments[1].words.charAt(0).toLowerCase()}${moments[1].words.slice(1)}.`,
    `## What leaves`,
    `\`\`\`css\n${css}\n\`\`\``,
    js === '' ? 'No script.' : `\`\`\`js\n${js}\n\`\`\``,
    `## For everybody`,
    [
      `* By finger: ${says(({ touch }) => touch)}`,
      `* By key: ${says(({ keyboard }) => keyboard)}`,
      `* With reduced motion: ${says(({ reducedMotion }) => reducedMotion)}`,
      `* Without a script: ${says(({ noScript }) => noScript)}`,
    ].join('\n'),
  ].join('\n\n')}\n`
}

/** Keeps the row of a result: its number, what it is, the acts that are wanted at most, and those that were taken. */
export function keepResult({ result = 0, title, acts, id }: Walk, taken: number): boolean {
  const file = join(docs, 'results.md')
  const head = [
    '# The results that designers come for',
    'Each is reached in the studio from starters, exported and opened by itself by `e2e/results.spec.ts`, which writes this table: in how many acts at most, and in how many it was. An act is pointing at an element, choosing something, changing one value, or a key.',
    '| | result | wanted | taken |\n|---|---|---|---|',
  ].join('\n\n')
  const before = existsSync(file) ? readFileSync(file, 'utf8') : ''
  const rows = new Map([...before.matchAll(/^\| (\d+) \|.*$/gm)].map(([row, number]) => [Number(number), row]))
  rows.set(result, `| ${result} | [${title}](cookbook/${id}.md) | ${acts} | ${taken} |`)
  const text = `${head}\n${[...rows]
    .sort(([one], [other]) => one - other)
    .map(([, row]) => row)
    .join('\n')}\n`
  if (text !== before) writeFileSync(file, text)
  return text === before || isDrawn
}

/** The list of all walks. */
export function keepIndex(results: readonly Walk[], others: readonly Walk[]): boolean {
  const list = (walks: readonly Walk[]) => walks.map(({ id, title }) => `* [${title}](${id}.md)`).join('\n')
  return keep(
    join(cookbookFolder, 'README.md'),
    `${[
      '# Cookbook',
      'What people ask for, each from a plain starter: what it is for, the acts, two stills, the code that leaves, and what it does by finger, by key, with reduced motion and without a script. The pages are written by the tests that walk them (`npm run cookbook` draws the pictures anew), and `npm test` fails where one of them is not what leaves any more.',
      '## Results that designers come for',
      list(results),
      '## And more',
      list(others),
    ].join('\n\n')}\n`,
  )
}
