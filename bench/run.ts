// npm run bench: every comparison side by side in this machine's Chromium, printed and written to bench/RESULTS.md.
import { writeFileSync } from 'node:fs'
import { cpus, totalmem } from 'node:os'
import { openBrowser } from './browser'
import { compareEvaluation, compareGrid, compareInputToPaint, compareMixed, comparePageSize, compareSizes, compareTilt, tellAim, type Report } from './comparisons'

const browser = await openBrowser()
const machine = `${cpus().length} cores (${cpus()[0]?.model.trim() ?? 'unknown'}), ${Math.round(totalmem() / 2 ** 30)} GB, Chromium ${browser.version()} with software drawing, Node ${process.version}`
const lines = ['# What it costs', '', 'Written by `npm run bench`. Each comparison runs side by side in one run, with real input events and the counters of the browser itself; figures are medians of several rounds. The ratios are what counts; times are those of one machine:', '', machine, '']

function add({ title, lines: told, aims }: Report): void {
  const part = [`## ${title}`, '', ...told, '', ...aims.map((aim) => `* ${tellAim(aim)}`), '']
  console.log(part.join('\n'))
  lines.push(...part)
}

console.log(machine)
add(compareSizes())
add(await compareEvaluation(browser))
add(await compareInputToPaint(browser))
add(await compareTilt(browser))
add(await compareGrid(browser, 100))
add(await compareGrid(browser, 400))
add(await comparePageSize(browser))
add(await compareMixed(browser))
await browser.close()
lines.push(
  '## Why aims are missed',
  '',
  '* Task time is mostly painting: the floor, which does nothing but move tiles, takes three quarters of ours. Neither comes near a twelfth of (a).',
  '* Script and style against the floor: the floor never measures again and writes one finished transform for a card; we look now and then whether something moved without a word, and write one number for each axis, which the stylesheet makes a transform of. That is what keeps the knobs in the stylesheet.',
  '* Size: docs/decisions/006-what-the-engine-weighs.md.',
  '',
)
writeFileSync(new URL('RESULTS.md', import.meta.url), lines.join('\n'))
console.log('Written to bench/RESULTS.md.')
