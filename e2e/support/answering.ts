// Whether what a caption says is seen: an exported page beside the same page without effects, under the same pointer.
import type { Browser, Page } from '@playwright/test'
import { shareApart } from './pixels'

/** What was seen of an effect on a page. */
export interface Answering {
  /** How many elements its selector matches, and how many of them were pointed at. */
  readonly matches: number
  readonly pointed: number
  /** Those that did not answer, by their index. */
  readonly dead: readonly number[]
  /** Elements that are laid out elsewhere, or larger or smaller, while no pointer is there. */
  readonly moved: readonly string[]
}

/** Three tabs, each in a window of its own, since what is not in front takes its time: the page as it is, with effects, and one that compares pictures. */
export interface Tabs {
  readonly plain: Page
  readonly played: Page
  readonly helper: Page
}

export async function openTabs(browser: Browser): Promise<Tabs> {
  const open = () => browser.newPage({ viewport: { width: 1280, height: 800 } })
  const [plain, played, helper] = await Promise.all([open(), open(), open()])
  return { plain, played, helper }
}

const shares = [0.5, 0.12, 0.88]

/** Where the elements of a page are laid out: without what only draws them elsewhere. Parts that effects add are left out. */
const placesOf = (page: Page) =>
  page.evaluate(() => {
    const still = document.createElement('style')
    still.textContent =
      '*, ::before, ::after { transition: none !important; transform: none !important; translate: none !important; scale: none !important; rotate: none !important }'
    document.head.append(still)
    const places = [...document.body.querySelectorAll<HTMLElement>('*')]
      .filter((each) => each instanceof HTMLElement && !['STYLE', 'SCRIPT'].includes(each.tagName) && !each.closest('[data-part]'))
      .map((each) => {
        const { x, y, width, height } = each.getBoundingClientRect()
        return {
          told: `${each.tagName.toLowerCase()}${[...each.classList].map((name) => `.${name}`).join('')}`,
          box: [x, y, width, height].map((side) => side.toFixed(1)).join(),
        }
      })
    still.remove()
    return places
  })

/** A part of the window. */
interface Clip {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/** So far around an element its effect is looked for, px. */
const aroundPx = 160

/** Where a match can be hit once it is scrolled to, as points of the window, and the part of the window around it. */
const placesOn = (page: Page, select: string, index: number) =>
  page.evaluate(
    ([selector, at, parts, around]) => {
      const element = [...document.querySelectorAll(selector)][at]
      const whole = { x: 0, y: 0, width: innerWidth, height: innerHeight }
      if (!element || element === document.body)
        return { clip: whole, points: parts.flatMap((v) => parts.map((u) => ({ x: u * innerWidth, y: v * innerHeight }))) }
      element.scrollIntoView({ block: 'center', behavior: 'instant' })
      const box = element.getBoundingClientRect()
      const [x, y] = [Math.max(0, box.left - around), Math.max(0, box.top - around)]
      const clip = { x, y, width: Math.min(innerWidth, box.right + around) - x, height: Math.min(innerHeight, box.bottom + around) - y }
      const points = parts.flatMap((v) =>
        parts.flatMap((u) => {
          const point = { x: box.left + u * box.width, y: box.top + v * box.height }
          const hit = document.elementFromPoint(point.x, point.y)
          return hit && element.contains(hit) ? [point] : []
        }),
      )
      return { clip, points }
    },
    [select, index, shares, aroundPx] as const,
  )

/** What the browser itself shows for a pointer there. */
const cursorAt = (page: Page, x: number, y: number) =>
  page.evaluate(([left, top]) => getComputedStyle(document.elementFromPoint(left, top) ?? document.body).cursor, [x, y] as const)

/** Whether two tabs show something else. */
async function isApart({ plain, played, helper }: Tabs, clip: Clip): Promise<boolean> {
  const [one, other] = await Promise.all([plain.screenshot({ clip }), played.screenshot({ clip })])
  return !one.equals(other) && (await shareApart(helper, one, other, 4)) > 2e-5
}

/** Brings the pointers of both tabs to a point, by a way that is the same for both. */
async function pointTo({ plain, played }: Tabs, { x, y }: { readonly x: number; readonly y: number }): Promise<void> {
  await plain.mouse.move(x, y)
  await played.mouse.move(x - 60, y - 20)
  await played.mouse.move(x, y, { steps: 6 })
}

/** Whether a match answers at one of some places: it looks different from the page without the effect there, or only while nobody points at it. */
async function answersAt(
  tabs: Tabs,
  { clip, points }: { readonly clip: Clip; readonly points: readonly { readonly x: number; readonly y: number }[] },
): Promise<boolean> {
  await pointTo(tabs, { x: 3, y: 3 })
  const isApartAway = await isApart(tabs, clip)
  for (const place of points.slice(0, 3)) {
    await pointTo(tabs, place)
    for (const wait of [30, 700]) {
      await tabs.played.waitForTimeout(wait)
      if (isApartAway !== (await isApart(tabs, clip))) return true
      if ((await cursorAt(tabs.plain, place.x, place.y)) !== (await cursorAt(tabs.played, place.x, place.y))) return true
    }
    // What shines everywhere and all the time shines elsewhere than before.
    if (isApartAway) {
      const there = await tabs.played.screenshot({ clip })
      await pointTo(tabs, { x: 3, y: 3 })
      await tabs.played.waitForTimeout(500)
      if ((await shareApart(tabs.helper, there, await tabs.played.screenshot({ clip }), 4)) > 2e-5) return true
    }
  }
  return false
}

/** Puts the page and its export into the tabs and points at matches of a selector: `most` of them (none for 0), each at up to three places. */
export async function answering(tabs: Tabs, html: string, exported: string, select: string, most = 2): Promise<Answering> {
  const { plain, played } = tabs
  for (const [tab, text] of [
    [plain, html],
    [played, exported],
  ] as const) {
    await tab.mouse.move(3, 3)
    await tab.setContent(text)
  }
  const [before, after] = [await placesOf(plain), await placesOf(played)]
  const moved =
    before.length === after.length
      ? before.flatMap(({ told, box }, i) => (after[i]?.box === box ? [] : [`${told}: ${box}, then ${after[i]?.box ?? ''}`]))
      : [`${before.length} elements, then ${after.length}`]
  const matches = await played.evaluate((each) => document.querySelectorAll(each).length, select)
  const step = Math.max(1, Math.ceil(matches / Math.max(1, most)))
  const dead: number[] = []
  let pointed = 0
  for (let index = 0; most > 0 && index < matches; index += step) {
    const places = await placesOn(plain, select, index)
    await placesOn(played, select, index)
    if (places.points.length === 0) continue
    pointed++
    if (!(await answersAt(tabs, places))) dead.push(index)
  }
  return { matches, pointed, dead, moved }
}
