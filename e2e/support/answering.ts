// Whether what a caption says is seen: an exported page beside the same page without effects, under the same pointer.
import type { Page } from '@playwright/test'
import { shareApart } from './pixels'

/** What was seen of an effect on a page. */
export interface Answering {
  /** How many elements its selector matches, and how many of them were pointed at. */
  readonly matches: number
  readonly pointed: number
  /** Those that did not answer, by their index. */
  readonly dead: readonly number[]
  /** Elements whose place or size differs while no pointer is there: told by tag and class. */
  readonly moved: readonly string[]
}

const shares = [0.5, 0.12, 0.88]

/** Where the elements of a page are laid out: without what only draws them elsewhere. Parts that effects add are left out. */
const placesOf = (page: Page) =>
  page.evaluate(() => {
    const still = document.createElement('style')
    still.textContent =
      '*, ::before, ::after { transform: none !important; translate: none !important; scale: none !important; rotate: none !important }'
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

/** The places of the first matches that can be hit on a page: points of the window after scrolling there. */
const placesOn = (page: Page, select: string, index: number) =>
  page.evaluate(
    ([selector, at, parts]) => {
      const element = [...document.querySelectorAll(selector)][at]
      if (!element || element === document.body) return parts.flatMap((v) => parts.map((u) => ({ x: u * innerWidth, y: v * innerHeight })))
      element.scrollIntoView({ block: 'center', behavior: 'instant' })
      const box = element.getBoundingClientRect()
      return parts.flatMap((v) =>
        parts.flatMap((u) => {
          const [x, y] = [box.left + u * box.width, box.top + v * box.height]
          const hit = document.elementFromPoint(x, y)
          return hit && element.contains(hit) ? [{ x, y }] : []
        }),
      )
    },
    [select, index, shares] as const,
  )

/** What the browser itself shows for a pointer there. */
const cursorAt = (page: Page, x: number, y: number) =>
  page.evaluate(([left, top]) => getComputedStyle(document.elementFromPoint(left, top) ?? document.body).cursor, [x, y] as const)

/** Points at matches of a selector on both pages, and says which never showed anything. `most` matches are tried, each at places until one answers. */
export async function answering(plain: Page, played: Page, helper: Page, select: string, most = 4): Promise<Answering> {
  const [before, after] = [await placesOf(plain), await placesOf(played)]
  const moved =
    before.length === after.length
      ? before.flatMap(({ told, box }, i) => (after[i]?.box === box ? [] : [`${told}: ${box}, then ${after[i]?.box ?? ''}`]))
      : [`${before.length} elements, then ${after.length}`]
  const matches = await played.evaluate((each) => document.querySelectorAll(each).length, select)
  const dead: number[] = []
  let pointed = 0
  const step = Math.max(1, Math.ceil(matches / most))
  for (let index = 0; index < matches; index += step) {
    const places = await placesOn(plain, select, index)
    await placesOn(played, select, index)
    if (places.length === 0) continue
    pointed++
    let isSeen = false
    for (const place of places.slice(0, 3)) {
      for (const [i, page] of [plain, played].entries()) {
        await page.mouse.move(3, 3)
        await page.mouse.move(place.x - 60, place.y - 20, { steps: i === 1 ? 4 : 1 })
        await page.mouse.move(place.x, place.y, { steps: i === 1 ? 6 : 1 })
      }
      for (const wait of [30, 600]) {
        await played.waitForTimeout(wait)
        const [one, other] = [await plain.screenshot(), await played.screenshot()]
        if (!one.equals(other) && (await shareApart(helper, one, other)) > 2e-5) isSeen = true
        if (isSeen || (await cursorAt(plain, place.x, place.y)) !== (await cursorAt(played, place.x, place.y))) {
          isSeen = true
          break
        }
      }
      if (isSeen) break
    }
    if (!isSeen) dead.push(index)
  }
  return { matches, pointed, dead, moved }
}
