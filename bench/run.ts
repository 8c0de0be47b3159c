// npm run bench: every comparison side by side in this machine's Chromium, printed and written to bench/RESULTS.md.
// npm run bench -- search tilt: these alone, their parts of the file written anew.
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { cpus, totalmem } from 'node:os'
import type { Browser } from '@playwright/test'
import { openBrowser } from './browser'
import { openHouse } from '../e2e/support/own-house'
import type { House } from '../e2e/support/at-house'
import {
  compareEvaluation,
  compareGrain,
  compareGrid,
  compareInputToPaint,
  compareMany,
  compareMixed,
  comparePageSize,
  compareSearch,
  compareToggling,
  comparePorthole,
  compareSizes,
  compareSpotlight,
  compareSpread,
  compareTilt,
  compareWipe,
  tellAim,
  type Report,
} from './comparisons'
import { compareCursor, compareLetters, compareMagnifier, compareTrail } from './pointer'
import { compareGrowth } from './growth/compare'
import { compareImport } from './import'
import { compareLoading } from './loading'
import { compareStudio } from './studio'

/** A comparison that asks for a studio: one of its own, for as long as it takes. */
const atHome = (compare: (browser: Browser, house: House) => Promise<Report>) => async (browser: Browser) => {
  const house = await openHouse()
  try {
    return await compare(browser, house)
  } finally {
    await house.close()
  }
}

/** The comparisons in the order of the file, by the names that the command line takes. */
const parts: Readonly<Record<string, (browser: Browser) => Report | Promise<Report>>> = {
  size: () => compareSizes(),
  toggling: (browser) => compareToggling(browser),
  evaluation: (browser) => compareEvaluation(browser),
  growth: () => compareGrowth(),
  search: (browser) => compareSearch(browser),
  paint: (browser) => compareInputToPaint(browser),
  tilt: (browser) => compareTilt(browser),
  grid100: (browser) => compareGrid(browser, 100),
  grid400: (browser) => compareGrid(browser, 400),
  spotlight: (browser) => compareSpotlight(browser),
  wipe: (browser) => compareWipe(browser),
  porthole: (browser) => comparePorthole(browser),
  spread: (browser) => compareSpread(browser),
  many: (browser) => compareMany(browser),
  grain: (browser) => compareGrain(browser),
  trail: (browser) => compareTrail(browser),
  cursor: (browser) => compareCursor(browser),
  magnifier: (browser) => compareMagnifier(browser),
  letters: (browser) => compareLetters(browser),
  pages: (browser) => comparePageSize(browser),
  mixed: (browser) => compareMixed(browser),
  loading: atHome(compareLoading),
  studio: atHome(compareStudio),
  import: atHome((_, house) => compareImport(house)),
}

const file = new URL('RESULTS.md', import.meta.url)
const marked = (name: string) => `<!-- ${name} -->`

/** The text of each part as the file has it now. */
function partsBefore(): ReadonlyMap<string, string> {
  const text = existsSync(file) ? readFileSync(file, 'utf8') : ''
  return new Map(
    Object.keys(parts).flatMap((name) => {
      const [, from] = text.split(`${marked(name)}\n`)
      return from === undefined ? [] : [[name, from.split(/^(?:<!-- |## Why)/m)[0] ?? '']]
    }),
  )
}

function tell({ title, lines, aims }: Report, name: string): string {
  return [
    `## ${title}`,
    '',
    ...lines,
    '',
    ...aims.map((aim) => `* ${tellAim(aim)}`),
    '',
    `(\`npm run bench -- ${name}\` runs this alone.)`,
    '',
    '',
  ].join('\n')
}

const asked = process.argv.slice(2)
const unknown = asked.find((name) => !(name in parts))
if (unknown !== undefined) {
  console.error(`There is no part "${unknown}"; parts are ${Object.keys(parts).join(', ')}.`)
  process.exit(2)
}
const browser = await openBrowser()
const machine = `${cpus().length} cores (${cpus()[0]?.model.trim() ?? 'unknown'}), ${Math.round(totalmem() / 2 ** 30)} GB, Chromium ${browser.version()} with software drawing, Node ${process.version}`
console.log(machine)
const told = new Map(asked.length > 0 ? partsBefore() : [])
for (const [name, compare] of Object.entries(parts)) {
  if (asked.length > 0 && !asked.includes(name)) continue
  const text = tell(await compare(browser), name)
  console.log(text)
  told.set(name, text)
}
await browser.close()
const head = [
  '# What it costs',
  '',
  'Written by `npm run bench`. Each comparison runs side by side in one run, with real input events and the counters of the browser itself; figures are medians of several rounds. The ratios are what counts; times are those of one machine:',
  '',
  machine,
  '',
  '',
].join('\n')
const why = [
  '## Why aims are missed',
  '',
  '* Task time is mostly painting: the floor, which does nothing but move tiles, takes three quarters to four fifths of ours. Neither comes near a twelfth of (a).',
  '* Script and style against the floor: the floor never measures again and writes one finished transform for a card; we look now and then whether something moved without a word, and write one number for each axis, which the stylesheet makes a transform of. That is what keeps the knobs in the stylesheet.',
  '* Wipe: the floor is one handler for one element that is measured once. Ours hears all that the page may do (scrolling, resizing, pointers out of the window, keys, what is removed), reads a frame of each element that is cut, and has CSS compute the clip from a registered property: 0.2 ms a move more of 16; the CPU of all processes, which is nearly all drawing, is within a few per cent of the usual. A slanting soft edge has a mask besides, which software drawing pays for.',
  '* Porthole: the same, with three numbers a move instead of one (two of the place, one of how far it is open), each registered and followed by itself; script and style are within a third of the floor, and drawing is a third of the usual mask, which is drawn anew as large as the layer.',
  '* Many buttons that are pulled: each is asked whether the pointer is near, and where it lies is read again five times a second, since pages move without a word: 2 µs a move and button, beside 0.3 ms that one costs. Rows are asked of nothing but what is hit.',
  '* Trail, cursor and lens against the floor: each piece of ours is written as two numbers that CSS puts in their place, the floor writes one finished transform. A chain is exact in time, so each link is a sum over those before it, and knobs (sizes, colours) are asked of the stylesheet; the floor takes a step for each frame, which is another trail at another frame rate, and has its colours in it. What is heard besides (leaving, scrolling, dialogs that open over it, fields where the system takes over) costs 0.1 ms a move whatever it moves; with so little to do, that is most of it. A ribbon of the floor follows events, so it is drawn once a move and stays behind; ours goes where the pointer went by the clock, and is drawn until it has.',
  '* Lens over 2,000 elements: what is moved is the layer of all of them, and the browser works out the style of what holds them; the floor has no sheets, no stand-ins and no way in for what changes.',
  '* Opening a site of ten pages: most of it is the screen that is loaded and taken up by React. It was 0.78 s in an earlier run here and up to 0.92 in later ones without a change: the machine varies by more than is missing.',
  '* First paint of the demo: the script stands last in the page, but a file from disk is there at once, so it runs before the first frame. Run later, folds and captions would be seen as the page has them and then change.',
  '* Size, all kinds on a page: twenty-three kinds are 15.9 KB, where 7 were aimed at for twenty-four. A copy that is kept in step is 2 KB of it, letters 1, pieces and canvases of trails 1.5; focus, Escape, taps, waiting, sides, zones, parts that come and go and the laying out of notes are 3.6. A page that has none of these has none of it.',
  '* Size: the hand-written models know one effect, and write what it needs where it is needed. Ours are put together from parts that know any number: a place has a list of followers where the model has `x` and `y`, elements are asked which of them has the pointer where the model asks its one card, and what is measured is kept in a map. That is 0.4 KB and 80 lines for one tilt, and 30 lines more by the layout of all our code, which breaks lines at 140; it is why seven kinds are 1.2 KB more than the model for them, and not seven times 0.4 (docs/decisions/018-the-studio-plays-what-leaves.md). What a rig by hand can use beside that (looks, chains, zones, curves of colour) has no model.',
  '',
].join('\n')
writeFileSync(
  file,
  head +
    Object.keys(parts)
      .flatMap((name) => (told.has(name) ? [`${marked(name)}\n${told.get(name) ?? ''}`] : []))
      .join('') +
    why,
)
console.log('Written to bench/RESULTS.md.')
