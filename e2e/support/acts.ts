// A hand that counts what it does in the studio: an act is a click, a key or a drag. Moving the pointer is free.
import { writeFileSync } from 'node:fs'
import { expect, type Frame, type Locator, type Page } from '@playwright/test'
import { starters } from '../../src/core/page/starters'
import type { House } from './house'
import { toStudio, clickOnPage, moveOver, onScreen, stageOf, standsStill } from './stage'

export interface Hand {
  readonly count: () => number
  /** What was done so far, an act a line, as somebody would be told to do it. */
  readonly told: () => readonly string[]
  readonly click: (x: number, y: number) => Promise<void>
  readonly clickOn: (name: string | RegExp, role?: 'button' | 'menuitem') => Promise<void>
  readonly key: (key: string) => Promise<void>
  /** Drags a number of the caption sideways. */
  readonly drag: (name: string, byPx: number) => Promise<void>
  /** Drags from one point of the page to another, in its own px; `words` say what that is. */
  readonly dragOnPage: (from: Point, to: Point, words?: string) => Promise<void>
  /** Starts to point and clicks the element: one act by the rules of the count. */
  readonly pointAt: (frame: Frame, select: string, u?: number, v?: number) => Promise<void>
  /** Points at an element for a role of the caption: one act by the rules of the count. */
  readonly pointRole: (frame: Frame, role: string, select: string, u?: number, v?: number) => Promise<void>
  /** Opens a word of the caption and chooses in its list: one act. */
  readonly choose: (word: string | RegExp, option: string | RegExp) => Promise<void>
}

interface Point {
  readonly x: number
  readonly y: number
}

export function countingHand(page: Page): Hand {
  const told: string[] = []
  const dragFrom = async (from: Point, to: Point) => {
    await page.mouse.move(from.x, from.y)
    await page.mouse.down()
    await page.mouse.move(to.x, to.y, { steps: 6 })
    await page.mouse.up()
  }
  return {
    count: () => told.length,
    told: () => [...told],
    click: async (x, y) => {
      told.push('Click on the page.')
      await page.mouse.click(x, y)
    },
    clickOn: async (name, role = 'button') => {
      const button = page.getByRole(role, { name })
      told.push(`Choose *${await titleOf(button)}*.`)
      await button.click()
    },
    key: async (key) => {
      told.push(`Press **${key.toUpperCase()}**.`)
      await page.keyboard.press(key)
    },
    drag: async (name, byPx) => {
      const word = page.getByRole('spinbutton', { name, exact: true })
      const box = await word.boundingBox()
      if (!box) throw new Error(`There is no "${name}".`)
      const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
      await dragFrom(middle, { x: middle.x + byPx, y: middle.y })
      told.push(`Drag *${name}* to ${await word.getAttribute('aria-valuetext')}.`)
    },
    dragOnPage: async (from, to, words = 'Drag on the page') => {
      told.push(`${words}.`)
      await standsStill(page)
      await dragFrom(await onScreen(page, from.x, from.y), await onScreen(page, to.x, to.y))
    },
    pointAt: async (frame, select, u, v) => {
      told.push(`Point at \`${select}\`.`)
      await page.keyboard.press('p')
      const seen = page.getByRole('region', { name: 'Under the pointer' })
      await expect(seen).toBeVisible()
      // A hand clicks once it sees that the page answers.
      await expect(async () => {
        await moveOver(page, frame, select, u, v)
        await expect(seen.getByRole('listitem').first()).toBeVisible({ timeout: 1000 })
      }).toPass()
      await clickOnPage(page, frame, select, u, v)
    },
    pointRole: async (frame, role, select, u, v) => {
      told.push(`Point at \`${select}\` as the ${role}.`)
      const word = page.getByRole('button', { name: `Which elements are the ${role} (uses elements of your page)` })
      const before = await word.innerText()
      const hasMenu = (await word.getAttribute('aria-haspopup')) !== null
      await word.click()
      if (hasMenu) await page.getByRole('menuitem', { name: /^point at something/i }).click()
      await clickOnPage(page, frame, select, u, v)
      await expect(word).not.toHaveText(before)
    },
    choose: async (word, option) => {
      const button = page.getByRole('button', { name: word })
      const [title = ''] = ((await button.getAttribute('aria-label')) ?? (await titleOf(button))).split(':')
      await button.click()
      const item = page.getByRole('menuitem', { name: option })
      told.push(`Set *${title}* to *${await titleOf(item)}*.`)
      await item.click()
    },
  }
}

/** What a button is called: the first line of what stands on it, else its name. */
async function titleOf(button: Locator): Promise<string> {
  const [first = ''] = (await button.innerText()).trim().split('\n')
  return first === '' ? ((await button.getAttribute('aria-label')) ?? '') : first
}

/** The middle of an element of the page, in the page's own px. */
export async function middleOf(frame: Frame | Page, select: string): Promise<Point> {
  return frame
    .locator(select)
    .first()
    .evaluate((element) => {
      const { x, y, width, height } = element.getBoundingClientRect()
      return { x: x + width / 2, y: y + height / 2 }
    })
}

/** Begins a site from a starter and opens it. Gives the frame and where the page's export is. */
export async function openStarter(
  page: Page,
  house: House,
  starter: string,
): Promise<{ readonly frame: Frame; readonly exported: string }> {
  const { origin } = new URL(house.address)
  const answer = await page.request.post(`${origin}/api/sites`, { data: { starter }, headers: { origin } })
  expect(answer.ok()).toBe(true)
  const { siteId, pageId } = (await answer.json()) as { siteId: string; pageId: string }
  await toStudio(page, `${origin}/studio/${siteId}/${pageId}`)
  return { frame: await stageOf(page), exported: `${origin}/export/${siteId}/${pageId}` }
}

/** A page on which these starters stand one below the other, opened in the studio. */
export async function openStarters(
  page: Page,
  house: House,
  ...ids: readonly string[]
): Promise<{ readonly frame: Frame; readonly exported: string }> {
  const chosen = ids.map((id) => starters.find((each) => each.id === id) ?? fail(`There is no starter "${id}".`))
  const siteId = `with-${ids.join('-')}-${process.env.TEST_WORKER_INDEX ?? ''}`
  const html = `<!doctype html>\n<html lang="en">\n<head><meta charset="utf-8"><title>Starters</title><style>* { box-sizing: border-box } body { margin: 0; font: 16px/1.5 system-ui, sans-serif }\n${chosen.map(({ css }) => css).join('')}</style></head>\n<body>\n${chosen.map((each) => each.html).join('')}</body>\n</html>\n`
  await toStudio(page, await house.addSite(siteId, html))
  return { frame: await stageOf(page), exported: `${new URL(house.address).origin}/export/${siteId}/page` }
}

function fail(why: string): never {
  throw new Error(why)
}

/** Opens the exported page from a file, by itself, once the last change is saved. */
export async function openExport(page: Page, exported: string, file: string): Promise<Page> {
  await expect(page.getByRole('status').filter({ hasText: /^· saved$/ })).toBeVisible()
  writeFileSync(file, await (await page.request.get(exported)).text())
  const other = await page.context().newPage()
  await other.goto(`file://${file}`)
  return other
}
