// Walks: what a designer comes for, reached in the studio from a starter by a hand that counts its acts, taken away, and tried by itself.
import type { Browser, BrowserContext, Frame, Page, TestInfo } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { findKind } from '../../src/core/effect/kinds'
import { siteSchema, type Effect } from '../../src/core/site/site'
import { countingHand, openExport, openStarter, openStarters, type Hand } from './acts'
import { cookbookFolder, isDrawn, keepPage, keepResult, pageOfWalk, type Answers } from './cookbook'
import { expect, test, type House } from './house'

/** Where the pointer is on an exported page for a still picture, and what is seen then. */
export interface Moment {
  readonly words: string
  /** An element, which of them, and where in its box as shares; away where none is said. */
  readonly on?: string
  readonly index?: number
  readonly u?: number
  readonly v?: number
  readonly isPressed?: boolean
  /** How long the pointer rests before the picture, ms. */
  readonly restMs?: number
}

/** What is opened before the count begins. */
export interface Begun {
  readonly frame: Frame
  /** Where the export is. */
  readonly exported: string
}

/** What a walk has to do with. */
export interface Walking extends Begun {
  readonly page: Page
  readonly house: House
  readonly hand: Hand
}

/** The exported page by itself, and what it came from. */
export interface Taken {
  readonly alone: Page
  /** Its file. */
  readonly file: string
  readonly page: Page
  readonly frame: Frame
  readonly browser: Browser
  /** Opens another export of the same site by itself. */
  readonly open: (exported: string) => Promise<Page>
}

export interface Walk {
  /** The name of its page in the cookbook. */
  readonly id: string
  readonly title: string
  /** What it is for, a sentence or two. */
  readonly isFor: string
  /** Its number among the results, where it is one of them. */
  readonly result?: number
  /** In how many acts at most it is to be reached. */
  readonly acts: number
  /** The starters that stand on the page, one below the other; or what else is opened. */
  readonly starters: readonly string[]
  readonly begin?: (page: Page, house: House) => Promise<Begun>
  readonly walk: (walking: Walking) => Promise<void>
  /** What is exported in the end, where that is not the page that was begun with. */
  readonly exported?: (house: House) => string
  /** Reads what Chromium makes of the exported page. */
  readonly check: (taken: Taken) => Promise<void>
  readonly moments: readonly [Moment, Moment]
}

/** Walks, as tests: each counts its acts, exports, opens what leaves by itself, reads it, and holds its page in the cookbook to all that. */
export function walkAll(walks: readonly Walk[]): void {
  for (const walk of walks)
    test(`${walk.title}, in ${walk.acts} acts`, async ({ page, house, browser }, info) => {
      await walkOne(walk, page, house, browser, info)
    })
}

async function walkOne(walk: Walk, page: Page, house: House, browser: Browser, info: TestInfo): Promise<void> {
  const [first = '', ...more] = walk.starters
  const begun = walk.begin
    ? await walk.begin(page, house)
    : more.length > 0
      ? await openStarters(page, house, ...walk.starters)
      : await openStarter(page, house, first)
  const hand = countingHand(page)
  await walk.walk({ ...begun, page, house, hand })
  expect(hand.count(), hand.told().join(' ')).toBeLessThanOrEqual(walk.acts)

  const exported = walk.exported?.(house) ?? begun.exported
  const file = info.outputPath('page.html')
  const alone = await openExport(page, exported, file)
  const open = (other: string) => openExport(page, other, info.outputPath(`other-${other.replace(/\W/g, '').slice(-20)}.html`))
  await walk.check({ alone, file, page, frame: begun.frame, browser, open })

  const taken = hand.told()
  if (walk.result !== undefined) expect(keepResult(walk, taken.length), 'docs/results.md is as this run has it now').toBe(true)
  const answers = await answersOf(house, exported)
  const isTrue = keepPage(walk.id, pageOfWalk(walk, taken, readFileSync(file, 'utf8'), answers))
  if (isDrawn) await draw(await browser.newContext({ viewport: { width: 1000, height: 640 }, deviceScaleFactor: 0.75 }), walk, file)
  expect(isTrue, `docs/cookbook/${walk.id}.md was not what leaves; it has been written anew`).toBe(true)

  // Others find no site of this one's.
  await page.goto('about:blank')
  for (const each of new Set([begun.exported, exported])) await house.query('DELETE FROM sites WHERE id = ?', [siteIn(each)])
}

/** The id of the site in the address of an export. */
const siteIn = (exported: string) => new URL(exported).pathname.split('/')[2] ?? ''

/** What the effects of a site do for those who do not come with a mouse. */
async function answersOf(house: House, exported: string): Promise<readonly Answers[]> {
  const [row] = await house.query('SELECT document FROM sites WHERE id = ?', [siteIn(exported)])
  const document: unknown = typeof row?.document === 'string' ? JSON.parse(row.document) : row?.document
  return siteSchema.parse(document).effects.map((effect: Effect) => {
    const kind = findKind(effect.kind)
    if (!kind) throw new Error(`There is no kind "${effect.kind}".`)
    return { kind: kind.title, ...kind.answersOf(effect.settings) }
  })
}

/** Draws the two moments of a walk into the cookbook. */
async function draw(context: BrowserContext, { id, moments }: Walk, file: string): Promise<void> {
  const page = await context.newPage()
  await page.goto(`file://${file}`)
  for (const [i, { on, index = 0, u = 0.5, v = 0.5, isPressed = false, restMs = 1100 }] of moments.entries()) {
    // Nobody has come to a page that has just been opened; a pointer is on some page always.
    if (on === undefined) await page.goto(`file://${file}`)
    else await page.mouse.move(4, 4)
    let at: { x: number; y: number } | null = null
    if (on !== undefined) {
      const element = page.locator(on).nth(index)
      await element.scrollIntoViewIfNeeded()
      const box = await element.boundingBox()
      if (!box) throw new Error(`${id} has no ${on}.`)
      at = { x: box.x + u * box.width, y: box.y + v * box.height }
      await page.mouse.move(at.x - 40, at.y - 12, { steps: 4 })
      await page.mouse.move(at.x, at.y, { steps: 12 })
      if (isPressed) await page.mouse.down()
    }
    await page.waitForTimeout(restMs)
    // Where the page draws one itself, that is seen.
    const isOwn = await page.evaluate(
      ({ x, y }) => getComputedStyle(document.elementFromPoint(x, y) ?? document.body).cursor === 'none',
      at ?? { x: 4, y: 4 },
    )
    await page.evaluate(markPointer, isOwn ? null : at)
    await page.screenshot({
      path: join(cookbookFolder, `${id}-${i + 1}.jpg`),
      type: 'jpeg',
      quality: 72,
      clip: await page.evaluate(contentBox),
    })
    await page.evaluate(() => document.querySelector('[data-pointer-mark]')?.remove())
    if (isPressed) await page.mouse.up()
  }
  await context.close()
}

/** What of the window has something in it, with some room around; not less than a card needs. */
function contentBox(): { x: number; y: number; width: number; height: number } {
  const boxes = [...document.querySelectorAll('body :not(script, style, [data-part], [data-part] *, svg *)')]
    .map((each) => each.getBoundingClientRect())
    .filter(({ width, height }) => width > 0 && height > 0)
  const left = Math.max(0, Math.min(...boxes.map((each) => each.left)) - 60)
  const right = Math.min(innerWidth, Math.max(...boxes.map((each) => each.right)) + 60)
  const bottom = Math.min(innerHeight, Math.max(320, ...boxes.map((each) => each.bottom + 40)))
  const width = Math.max(480, right - left)
  return { x: Math.max(0, Math.min(innerWidth - width, (left + right - width) / 2)), y: 0, width, height: bottom }
}

/** Draws an arrow where the pointer is, which a picture of a page leaves out. */
function markPointer(at: { x: number; y: number } | null): void {
  if (!at) return
  const mark = document.createElement('div')
  mark.setAttribute('data-pointer-mark', '')
  mark.style.cssText = `all: initial; position: fixed; z-index: 2147483647; left: ${at.x}px; top: ${at.y}px; width: 22px; height: 30px; pointer-events: none`
  mark.innerHTML =
    '<svg width="22" height="30" viewBox="0 0 22 30" style="display:block"><path d="M1 1V23L7 18L11 28L15 26L11 17H19Z" fill="#fff" stroke="#111" stroke-width="1.6" stroke-linejoin="round"/></svg>'
  document.documentElement.append(mark)
}
