// The studio under measurement: how soon the page shows a number that is dragged, what pointer moves cost React, how soon a site opens.
import type { Browser, Page } from '@playwright/test'
import { createHash } from 'node:crypto'
import { tiltDefaults } from '../src/core/effect/tilt/settings'
import type { House } from '../e2e/support/house'
import { cardsPage, clickOnPage, stageOf } from '../e2e/support/stage'
import { median, nameHelper } from './browser'
import type { Report } from './comparisons'

const count = 20

/** A page of more than a thousand elements, with twenty sorts of cards on it. */
const html = `<!doctype html><html lang="en"><head><title>Twenty</title><style>
  body { margin: 0; display: grid; grid-template-columns: repeat(10, 120px); gap: 6px; font: 11px/1.3 sans-serif }
  .card { height: 76px; padding: 4px; background: #e4e7e1 }
</style></head><body>${Array.from({ length: 170 }, (_, i) => `<article class="card sort-${i % count}"><h3>Card ${i}</h3><p>Some <b>words</b> in it</p><a href="#x">a link</a></article>`).join('')}</body></html>`

const effects = Array.from({ length: count }, (_, i) => ({
  id: `e${i}`,
  kind: 'tilt',
  name: `Lean ${i}`,
  select: `.sort-${i}`,
  noun: 'each card',
  settings: { ...tiltDefaults, acrossDeg: 9 },
}))

/** What is noted in the window of the studio and in that of the page, on one clock (ms since 1970). */
interface Noted {
  commits: number
  steps: { t: number; value: number }[]
  frames: { t: number; value: number }[]
}

/** Begins to note: React's commits, the steps of a drag, and on every frame of the page what it shows. */
async function note(page: Page): Promise<void> {
  await page.addInitScript(nameHelper)
  await page.addInitScript(() => {
    const noted: Noted = { commits: 0, steps: [], frames: [] }
    Object.assign(window, { noted })
    const now = () => performance.timeOrigin + performance.now()
    if (window.top === window) {
      Object.assign(window, {
        __REACT_DEVTOOLS_GLOBAL_HOOK__: {
          supportsFiber: true,
          checkDCE: () => undefined,
          inject: () => 1,
          onCommitFiberRoot: () => noted.commits++,
          onCommitFiberUnmount: () => undefined,
        },
      })
      // After React has heard the step: what the word says then.
      addEventListener('pointermove', () => {
        const t = now()
        queueMicrotask(() =>
          noted.steps.push({
            t,
            value: Number(document.querySelector('[role=spinbutton][aria-label="The angle"]')?.getAttribute('aria-valuenow')),
          }),
        )
      })
    } else {
      const look = () => {
        const card = document.querySelector('.sort-0')
        const rules = [...document.styleSheets].flatMap((sheet) => [...sheet.cssRules])
        const own = rules.find((rule) => rule instanceof CSSStyleRule && rule.selectorText === '.sort-0')
        const name = own instanceof CSSStyleRule ? [...own.style].find((each) => each.endsWith('-lean')) : undefined
        if (card && name) noted.frames.push({ t: now(), value: parseFloat(getComputedStyle(card).getPropertyValue(name)) })
        requestAnimationFrame(look)
      }
      requestAnimationFrame(look)
    }
  })
}

const frameOf = (page: Page) => page.frames().find((frame) => frame.url().includes('/frame/')) ?? page.mainFrame()

/** Opens a studio in a new page and waits until it plays. */
async function open(browser: Browser, address: string): Promise<Page> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await note(page)
  await page.goto(address)
  await page.getByRole('spinbutton', { name: 'The angle' }).waitFor()
  await frameOf(page).locator('[data-card], .card').first().waitFor()
  await page.waitForTimeout(1500)
  return page
}

/** Two frames of the page, however long they take. */
const twoFrames = (page: Page) =>
  frameOf(page).evaluate(() => new Promise<void>((resolve) => requestAnimationFrame(() => requestAnimationFrame(() => resolve()))))

/** In how many frames of the page each step of a drag was shown: 1 is the next frame after the step. */
export async function framesToShow(browser: Browser, house: House, steps = 100): Promise<readonly number[]> {
  const page = await open(browser, await house.addSite('bench-drag', html, effects))
  const box = await page.getByRole('spinbutton', { name: 'The angle' }).boundingBox()
  if (!box) throw new Error('There is no number to drag.')
  const x = box.x + box.width / 2
  const y = box.y + box.height / 2
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + 40, y, { steps: 4 })
  await page.waitForTimeout(300)
  await page.evaluate(() => ((window as unknown as { noted: Noted }).noted.steps = []))
  for (let i = 0; i < steps; i++) {
    // There and back by turns, a whole step of the number each time.
    await page.mouse.move(x + 40 + 5 * (1 + (i % 20 < 10 ? i % 10 : 10 - (i % 10))), y)
    await twoFrames(page)
  }
  await page.waitForTimeout(300)
  const told = await page.evaluate(() => (window as unknown as { noted: Noted }).noted.steps)
  const frames = await frameOf(page).evaluate(() => (window as unknown as { noted: Noted }).noted.frames)
  await page.close()
  if (told.length < steps * 0.9 || frames.length === 0)
    throw new Error(`Only ${told.length} of ${steps} steps were noted, and ${frames.length} frames.`)
  let before = NaN
  return told.flatMap(({ t }, i) => {
    // What the step came to is what the page shows next that is new.
    const until = told[i + 1]?.t ?? Infinity
    const after = frames.filter((frame) => frame.t > t)
    const shown = after.findIndex((frame) => frame.value !== before && !Number.isNaN(before))
    const last = frames.findLast((frame) => frame.t < until)
    const isChanged = before !== (after[shown]?.value ?? before)
    before = last?.value ?? before
    return i === 0 || !isChanged ? [] : [shown + 1]
  })
}

/** How often React renders anything while the pointer goes over the page so many times. */
export async function commitsOfMoves(browser: Browser, house: House, moves = 200): Promise<number> {
  const page = await open(browser, await house.addSite('bench-moves', html, effects))
  const box = await page.locator('iframe').boundingBox()
  if (!box) throw new Error('There is no page.')
  const at = (i: number) => [box.x + 60 + ((i * 37) % (box.width - 120)), box.y + 60 + ((i * 23) % (box.height - 120))] as const
  for (let i = 0; i < 40; i++) await page.mouse.move(...at(i))
  await page.waitForTimeout(600)
  const before = await page.evaluate(() => {
    const { noted } = window as unknown as { noted: Noted }
    return [noted.commits, (noted.commits = 0)]
  })
  if (!before[0]) throw new Error('React tells nothing of its renders.')
  for (let i = 0; i < moves; i++) await page.mouse.move(...at(i))
  const commits = await page.evaluate(() => (window as unknown as { noted: Noted }).noted.commits)
  await page.close()
  return commits
}

/** How long a site of ten pages takes from its address until its page plays and its words can be dragged, ms; and a bare page of the same HTML. */
async function timesToOpen(browser: Browser, house: House, rounds = 5): Promise<{ readonly ours: number; readonly bare: number }> {
  const address = await house.addSite('bench-open', html, effects.slice(0, 1))
  const [row] = await house.query('SELECT document FROM sites WHERE id = ?', ['bench-open'])
  const site = (typeof row?.document === 'string' ? JSON.parse(row.document) : row?.document) as {
    pages: { id: string; name: string; source: string }[]
  }
  for (let i = 1; i < 10; i++) {
    const other = html.replaceAll('Card ', `Tile ${i} `)
    const source = createHash('sha256').update(other).digest('hex')
    await house.query('INSERT IGNORE INTO page_sources (hash, html) VALUES (?, ?)', [source, other])
    site.pages.push({ id: `page-${i}`, name: `Page ${i}`, source })
  }
  await house.query('UPDATE sites SET document = ? WHERE id = ?', [JSON.stringify(site), 'bench-open'])
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const [ours, bare]: [number[], number[]] = [[], []]
  for (let round = -1; round < rounds; round++) {
    const page = await context.newPage()
    await page.addInitScript(nameHelper)
    await page.addInitScript(() => {
      const noted = window as unknown as { plays?: number; words?: number }
      const now = () => performance.timeOrigin + performance.now()
      if (window.top === window) {
        // The controls are made in the browser, so a word that is there answers.
        new MutationObserver(() => {
          if (document.querySelector('[role=spinbutton]')) noted.words ??= now()
        }).observe(document, { subtree: true, childList: true })
      } else {
        addEventListener('message', ({ data }: MessageEvent<{ type?: string }>) => {
          if (data.type === 'play') noted.plays ??= now()
        })
      }
    })
    await page.goto(address)
    await page.locator('iframe').waitFor({ state: 'attached' })
    await page.waitForFunction(() => 'words' in window)
    await frameOf(page).waitForFunction(() => 'plays' in window)
    const plays = await frameOf(page).evaluate(() => (window as unknown as { plays: number }).plays)
    const [begun, words] = await page.evaluate(() => [performance.timeOrigin, (window as unknown as { words: number }).words] as const)
    const plain = await context.newPage()
    await plain.setContent(html)
    const loaded = await plain.evaluate(() => new Promise<number>((resolve) => requestAnimationFrame(() => resolve(performance.now()))))
    if (round >= 0) {
      ours.push(Math.max(plays, words) - begun)
      bare.push(loaded)
    }
    await Promise.all([page.close(), plain.close()])
  }
  await context.close()
  return { ours: median(ours), bare: median(bare) }
}

/** How long it takes from touching a recipe until it plays on the element that was pointed at, ms: one after another. */
async function timesToTry(browser: Browser, house: House, recipes = 8): Promise<readonly number[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.addInitScript(nameHelper)
  await page.addInitScript(() => {
    const noted: { touched: number[]; plays: number[] } = { touched: [], plays: [] }
    Object.assign(window, { tried: noted })
    const now = () => performance.timeOrigin + performance.now()
    addEventListener('message', ({ data }: MessageEvent<{ type?: string }>) => {
      if (data.type === 'play') noted.plays.push(now())
    })
    addEventListener(
      'pointerover',
      ({ target }) => (target as Element).closest('section[aria-label="Recipes"] button') && noted.touched.push(now()),
      true,
    )
  })
  await page.goto(await house.addSite('bench-try', cardsPage))
  const frame = await stageOf(page)
  await page.keyboard.press('p')
  await clickOnPage(page, frame, '.card:nth-child(2) h2')
  const buttons = page
    .getByRole('region', { name: 'Recipes' })
    .getByRole('button')
    .filter({ has: page.locator('div') })
  await buttons.first().waitFor()
  // A designer looks before touching.
  await page.waitForTimeout(6000)
  const times: number[] = []
  for (let i = 0; i < recipes; i++) {
    await buttons.nth(i).hover()
    await page.waitForTimeout(500)
    const touched = await page.evaluate(() => (window as unknown as { tried: { touched: number[] } }).tried.touched.splice(0))
    const plays = await frame.evaluate(() => (window as unknown as { tried: { plays: number[] } }).tried.plays.splice(0))
    const [begun, shown] = [touched[0], plays.at(-1)]
    if (begun !== undefined && shown !== undefined) times.push(shown - begun)
  }
  await page.close()
  if (times.length < recipes / 2) throw new Error(`Only ${times.length} of ${recipes} recipes were seen to play.`)
  return times
}

/** How long home takes from its address until every page of a site of so many can be opened, and the first picture in sight is there, ms. */
async function timesAtHome(browser: Browser, house: House, pages: number, rounds = 5): Promise<number> {
  const id = `bench-home-${pages}`
  await house.addSite(id, html)
  const [row] = await house.query('SELECT document FROM sites WHERE id = ?', [id])
  const site = (typeof row?.document === 'string' ? JSON.parse(row.document) : row?.document) as { pages: { id: string; name: string }[] }
  const [first] = site.pages
  if (!first) throw new Error('The site has no page.')
  site.pages = Array.from({ length: pages }, (_, i) => ({ ...first, id: i === 0 ? first.id : `page-${i}`, name: `Page ${i}` }))
  // Before all others, so that its first page is in sight.
  await house.query('UPDATE sites SET document = ?, position = -1 WHERE id = ?', [JSON.stringify(site), id])
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const times: number[] = []
  // The first visit is led to the starters, the second draws the pictures that are kept from then on.
  for (let round = -2; round < rounds; round++) {
    const page = await context.newPage()
    await page.goto(house.address)
    if (round > -2) {
      const section = page.getByRole('region', { name: `Site ${id}` })
      await section.locator('img').first().waitFor({ timeout: 60_000 })
      if ((await section.getByRole('link', { name: /^Page \d/ }).count()) !== pages) throw new Error('Pages are missing at home.')
      if (round >= 0) times.push(await page.evaluate(() => performance.now()))
    }
    await page.close()
  }
  await context.close()
  await house.query('DELETE FROM sites WHERE id = ?', [id])
  return median(times)
}

/** The studio: a number that is dragged, pointer moves, opening, home, trying recipes. */
/** How long it takes until an edit of one window is seen in another, ms: of the same browser, and of another one. */
async function timesToOthers(
  browser: Browser,
  house: House,
): Promise<{ readonly same: readonly number[]; readonly other: readonly number[] }> {
  const url = await house.addSite('bench-windows', cardsPage, [
    { id: 'lean', kind: 'tilt', name: 'Lean', select: '.card', noun: 'each card', settings: tiltDefaults },
  ])
  const viewport = { width: 1280, height: 800 }
  const contexts = [await browser.newContext({ viewport }), await browser.newContext({ viewport })] as const
  const [first, second, third] = [await contexts[0].newPage(), await contexts[0].newPage(), await contexts[1].newPage()]
  const angleOf = (page: Page) => page.getByRole('spinbutton', { name: 'The angle', exact: true })
  for (const page of [first, second, third]) {
    await page.goto(url)
    await stageOf(page)
  }
  const same: number[] = []
  const other: number[] = []
  for (let value = 10; value < 20; value++) {
    const seen = async (page: Page, list: number[], since: number) => {
      await page.waitForFunction(
        (wanted) => document.querySelector('[role=spinbutton][aria-label="The angle"]')?.getAttribute('aria-valuenow') === wanted,
        String(value),
      )
      list.push(Date.now() - since)
    }
    await angleOf(first).focus()
    await first.keyboard.type(String(value))
    await first.keyboard.press('Enter')
    const since = Date.now()
    await Promise.all([seen(second, same, since), seen(third, other, since)])
  }
  for (const context of contexts) await context.close()
  return { same, other }
}

export async function compareStudio(browser: Browser, house: House): Promise<Report> {
  const frames = await framesToShow(browser, house)
  const late = frames.filter((each) => each > 2 || each < 1).length / Math.max(1, frames.length)
  const commits = await commitsOfMoves(browser, house)
  const { ours, bare } = await timesToOpen(browser, house)
  const tries = await timesToTry(browser, house)
  const one = await timesAtHome(browser, house, 1)
  const hundred = await timesAtHome(browser, house, 100)
  const others = await timesToOthers(browser, house)
  return {
    title: 'The studio, on a page of 1,000 elements with 20 effects',
    lines: [
      `Of ${frames.length} steps of a number that is dragged, ${frames.filter((each) => each === 1).length} are on the page in the next frame, ${frames.filter((each) => each === 2).length} in the one after, ${frames.filter((each) => each > 2).length} later.`,
      '',
      `Renders of React during 200 moves over the page: ${commits}.`,
      '',
      `A site of ten pages, from its address until its page plays and its words can be dragged: ${Math.round(ours)} ms; the bare page of the same HTML is drawn after ${Math.round(bare)} ms.`,
      '',
      `Home with a site of 100 pages, until all can be opened and what is in sight has its picture: ${Math.round(hundred)} ms; with one page ${Math.round(one)} ms.`,
      '',
      `From touching a recipe until its script is on the page, on an element that was pointed at some seconds ago: ${Math.round(median(tries))} ms (${tries.map((each) => Math.round(each)).join(', ')}).`,
      '',
      `From an edit until it is in another window: of the same browser ${Math.round(median([...others.same]))} ms, of another one ${Math.round(median([...others.other]))} ms.`,
    ],
    aims: [
      { words: 'steps that are later than the frame after the next', measured: late, most: 0.05 },
      { words: 'renders of React during pointer moves', measured: commits, most: 0 },
      { words: 'seconds to open a site of ten pages', measured: ours / 1000, most: 0.8 },
      { words: 'seconds until home with 100 pages is there', measured: hundred / 1000, most: 1 },
      { words: 'home with 100 pages against home with one', measured: hundred / one, most: 1.5 },
      { words: 'ms from touching a recipe until it plays', measured: median(tries), most: 50 },
      { words: 's until an edit is in another window of the browser, at worst', measured: Math.max(...others.same) / 1000, most: 1 },
      { words: 's until an edit is in a window of another browser, at worst', measured: Math.max(...others.other) / 1000, most: 2 },
    ],
  }
}
