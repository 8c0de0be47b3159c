// What is read of an exported page: boxes, styles, and where things that follow the pointer are.
import type { Frame, Page } from '@playwright/test'

/** A page by itself, or one that is alive in the studio's frame. */
export type Surface = Page | Frame

export interface Box {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
  readonly left: number
  readonly right: number
  readonly bottom: number
}

/** The box of an element as it is seen, px of the window. */
export const boxOf = (page: Surface, select: string, index = 0): Promise<Box> =>
  page
    .locator(select)
    .nth(index)
    .evaluate((element) => element.getBoundingClientRect().toJSON() as Box)

export const styleOf = (page: Surface, select: string, property: string, index = 0): Promise<string> =>
  page
    .locator(select)
    .nth(index)
    .evaluate((element, name) => getComputedStyle(element).getPropertyValue(name), property)

export const opacityOf = async (page: Surface, select: string, index = 0): Promise<number> =>
  Number(await styleOf(page, select, 'opacity', index))

/** How far an element is slid across, and down, px. */
export const shiftOf = async (page: Surface, select: string, index = 0): Promise<{ readonly x: number; readonly y: number }> =>
  page
    .locator(select)
    .nth(index)
    .evaluate((element) => {
      const { m41, m42 } = new DOMMatrix(getComputedStyle(element).transform)
      return { x: m41, y: m42 }
    })
export const slideOf = async (page: Surface, select: string, index = 0): Promise<number> => (await shiftOf(page, select, index)).x

/** The middle of an element, from a point of the window, px. */
export async function missOf(page: Surface, select: string, x: number, y: number): Promise<number> {
  const box = await boxOf(page, select)
  return Math.hypot(box.x + box.width / 2 - x, box.y + box.height / 2 - y)
}

/** Moves the pointer onto an element: its middle, or where shares of its box say. */
export async function moveTo(
  page: Page,
  select: string,
  { index = 0, u = 0.5, v = 0.5 } = {},
): Promise<{ readonly x: number; readonly y: number }> {
  const box = await boxOf(page, select, index)
  const at = { x: box.x + u * box.width, y: box.y + v * box.height }
  await page.mouse.move(at.x - 12, at.y)
  await page.mouse.move(at.x, at.y, { steps: 4 })
  return at
}

/** Where the line of a wipe cuts an element, px of the window: the right or left side of its clip path. */
export const cutOf = (page: Surface, select: string, side: 'left' | 'right'): Promise<number> =>
  page.locator(select).evaluate((element, from) => {
    const { left, right, width } = element.getBoundingClientRect()
    const sides = /inset\((.*)\)/.exec(getComputedStyle(element).clipPath)?.[1]?.match(/calc\([^)]*\)|\S+/g) ?? []
    const text = (from === 'right' ? sides[1] : sides[3]) ?? ''
    const [, share = '0', sign = '+', px = '0'] = /calc\(([\d.]+)% ([+-]) (-?[\d.]+)px\)/.exec(text) ?? [
      text,
      String(parseFloat(text) || 0),
    ]
    const cut = (Number(share) / 100) * width + (sign === '-' ? -1 : 1) * Number(px)
    return from === 'right' ? right - cut : left + cut
  }, side)

/** Which of some elements are marked as chosen. */
export const chosenOf = (page: Surface, select: string): Promise<number[]> =>
  page
    .locator(select)
    .evaluateAll((all) => all.flatMap((each, i) => (each.getAttributeNames().some((name) => name.endsWith('-chosen')) ? [i] : [])))
