// The benchmarks in short. In `npm test` what is counted; ratios of what it costs, with wide margins, in `npm run test:long`; the whole of
// them is `npm run bench`.
import { openBrowser } from '../bench/browser'
import { compareGrid, compareInputToPaint, compareMixed, compareSearch, compareTilt, tellAim, type Report } from '../bench/comparisons'
import { commitsOfMoves, framesToShow } from '../bench/studio'
import { expect, test } from './support/house'
import { isLong, long } from './support/long'

const aimOf = ({ aims }: Report, words: string) => {
  const aim = aims.find((each) => each.words === words)
  if (!aim) throw new Error(`There is no aim "${words}".`)
  console.log(tellAim(aim))
  return aim.measured
}

// Of many cards those in reach are lit: the more there are, the wider apart are the two, whatever the browser makes of a hundred.
/** A test of `npm run test:long` alone. */
const costs: (title: string, body: Parameters<typeof test>[2]) => void = isLong ? test : () => undefined

costs('a grid lit by one pointer costs a fraction of the usual way', async () => {
  const browser = await openBrowser()
  const report = await compareGrid(browser, 400, 100, 1)
  expect(aimOf(report, 'script and style against (a)')).toBeLessThan(1 / 2)
  expect(aimOf(report, "script and style against (a')")).toBeLessThan(1 / 2)
  expect(aimOf(report, 'CPU of all processes against (a)')).toBeLessThan(0.8)
  await browser.close()
})

costs('a card at rest asks for no frame and no timer', async () => {
  const browser = await openBrowser()
  expect(aimOf(await compareTilt(browser, 60, 1), 'frame callbacks and timers of ours in a second at rest')).toBe(0)
  await browser.close()
})

costs('twenty rigs at once force no layout and keep no memory', async () => {
  const browser = await openBrowser()
  const report = await compareMixed(browser, 600)
  expect(aimOf(report, 'forced layouts after warm-up')).toBe(0)
  expect(aimOf(report, 'heap grown, KB')).toBeLessThan(200)
  expect(aimOf(report, 'effects that failed')).toBe(0)
  await browser.close()
})

costs('the frame after a move carries the pointer itself', async () => {
  const browser = await openBrowser()
  expect(aimOf(await compareInputToPaint(browser, 100), 'moves that the next frame missed, of 100')).toBeLessThan(10)
  await browser.close()
})

test('the ladder of a large page is found beside a plain walk of it', async () => {
  const browser = await openBrowser()
  const { lines } = await compareSearch(browser, 2)
  console.log(lines.join('\n'))
  // How long it takes is told by npm run bench; here, that it finds what there is to be found.
  expect(Number(/for (\d+) choices/.exec(lines[0] ?? '')?.[1])).toBeGreaterThan(30)
  await browser.close()
})

costs('a number that is dragged is on the page within two frames', async ({ house }) => {
  const browser = await openBrowser()
  const frames = await framesToShow(browser, house, 40)
  expect(frames.length).toBeGreaterThan(30)
  expect(frames.filter((each) => each <= 2).length / frames.length).toBeGreaterThan(0.7)
  await browser.close()
})

test('pointer moves render nothing of React', long, async ({ house }) => {
  const browser = await openBrowser()
  expect(await commitsOfMoves(browser, house, 60)).toBe(0)
  await browser.close()
})
