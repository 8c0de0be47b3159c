// Where things are on the page in the studio's frame, which is shown scaled to fit.
import { expect, type Frame, type Page } from '@playwright/test'

/** A page with eight cards of fixed boxes, so that a test can say where every pointer position is. */
export const cardsPage = `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>Cards</title>
<style>body { margin: 0; height: 1500px } .row { position: relative } .card { position: absolute; width: 240px; height: 160px; box-sizing: border-box; border: 3px solid #999; padding: 10px; background: #fff }
${Array.from({ length: 8 }, (_, i) => `.card:nth-child(${i + 1}) { left: ${60 + (i % 4) * 290}px; top: ${100 + Math.floor(i / 4) * 240}px }`).join('\n')}</style></head>
<body><div class="row">${Array.from({ length: 8 }, (_, i) => `<article class="card"><h2>Card ${i + 1}</h2><a href="https://example.test/${i}">a link</a></article>`).join('')}</div></body></html>`

/** The box of a card of `cardsPage`, CSS px of the page. */
export const cardBox = (index: number) => ({ x: 60 + (index % 4) * 290, y: 100 + Math.floor(index / 4) * 240, width: 240, height: 160 })

/** The settings of a tilt as the studio has them from the start, with changes. */
export const tiltSettings = (changes: Readonly<Record<string, unknown>> = {}) => ({
  acrossDeg: 9,
  upDownDeg: 9,
  linked: true,
  edge: 'sinks',
  perspectivePx: 820,
  liftPx: 0,
  scalePercent: 0,
  comeMs: 180,
  goMs: 320,
  follow: { kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 },
  back: null,
  away: 'settle',
  pose: { x: 0, y: 0 },
  ...changes,
})

export const tiltOnCards = (changes: Readonly<Record<string, unknown>> = {}) => ({
  id: 'lean',
  kind: 'tilt',
  name: 'Cards give way',
  select: '.card',
  noun: 'each card',
  settings: tiltSettings(changes),
})

/**
 * Goes to a page in the studio: from another one that is open in this tab by the studio's own router, so that its code is not loaded again;
 * else by the address.
 */
export async function toStudio(page: Page, address: string): Promise<void> {
  const [here, there] = [new URL(page.url()), new URL(address)]
  if (here.origin !== there.origin || !here.pathname.startsWith('/studio/')) return void (await page.goto(address))
  await page.evaluate(
    (path) => (window as unknown as { next: { router: { push: (to: string) => void } } }).next.router.push(path),
    there.pathname,
  )
  await page.waitForURL(address)
  const frame = there.pathname.replace('/studio/', '/frame/')
  await expect(page.locator('iframe').first()).toHaveAttribute('src', new RegExp(`${frame}(\\?|$)`))
  await expect.poll(() => page.frames().filter((each) => each.url().includes('/frame/') && !each.url().includes(frame)).length).toBe(0)
}

/** The frame in which the page is alive, once its agent has started and the studio answers. */
export async function stageOf(page: Page): Promise<Frame> {
  await expect(page.locator('iframe')).toBeVisible()
  await expect.poll(() => page.frames().some((frame) => frame.url().includes('/frame/'))).toBe(true)
  const frame = page.frames().find((each) => each.url().includes('/frame/'))
  if (!frame) throw new Error('The page has no frame.')
  await frame.waitForSelector('glass-moth-overlay', { state: 'attached' })
  await page.locator('[data-answers]').waitFor({ state: 'attached' })
  return frame
}

/** Moves the real pointer to a point of the page in the frame, given in its own CSS px. */
export async function movePointer(page: Page, x: number, y: number, steps = 1): Promise<void> {
  const place = await onScreen(page, x, y)
  await page.mouse.move(place.x, place.y, { steps })
}

/** Where a point of the page is on the studio's screen. */
export async function onScreen(page: Page, x: number, y: number): Promise<{ x: number; y: number }> {
  const box = await page.locator('iframe').boundingBox()
  if (!box) throw new Error('The frame is not on the screen.')
  const scale = box.width / 1280
  return { x: box.x + x * scale, y: box.y + y * scale }
}

/** Drags with the real pointer from one point of the page to another, both in its own px. */
export async function dragOnPage(page: Page, from: readonly [number, number], to: readonly [number, number]): Promise<void> {
  const [start, end] = [await onScreen(page, ...from), await onScreen(page, ...to)]
  await page.mouse.move(start.x, start.y)
  await page.mouse.down()
  await page.mouse.move(end.x, end.y, { steps: 8 })
  await page.mouse.up()
}

/** Drags what the studio has drawn at a point of the page, once it is there, to another point, both in the page's own px. */
export async function dragGrip(page: Page, frame: Frame, from: readonly [number, number], to: readonly [number, number]): Promise<void> {
  await standsStill(page)
  await expect
    .poll(() => frame.evaluate(([x, y]) => document.elementFromPoint(x, y)?.localName, [...from] as const), { intervals: [40] })
    .toBe('glass-moth-overlay')
  await dragOnPage(page, from, to)
}

/** A point of an element of the page as shares of its box, in the page's own px. */
export async function pointIn(frame: Frame, select: string, index: number, u: number, v: number): Promise<[number, number]> {
  const box = await frame
    .locator(select)
    .nth(index)
    .evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
  return [box.x + u * box.width, box.y + v * box.height]
}

/** Waits until something has taken its size; the plate grows and shrinks with what stands around it. */
export async function standsStill(page: Page, what = page.locator('iframe').first()): Promise<void> {
  let before = ''
  await expect
    .poll(
      async () => {
        const now = JSON.stringify(await what.boundingBox())
        const isSame = now === before
        before = now
        return isSame
      },
      { intervals: [60] },
    )
    .toBe(true)
}

/** Moves the real pointer over an element of the page in the frame: its middle, or where shares of its box say. */
export async function moveOver(page: Page, frame: Frame, select: string, u = 0.5, v = 0.5): Promise<void> {
  const { x, y } = await placeOn(page, frame, select, u, v)
  await page.mouse.move(x - 3, y)
  await page.mouse.move(x, y)
}

/** Clicks an element of the page in the frame, with the real pointer: its middle, or where shares of its box say. */
export async function clickOnPage(page: Page, frame: Frame, select: string, u = 0.5, v = 0.5): Promise<void> {
  const { x, y } = await placeOn(page, frame, select, u, v)
  await page.mouse.click(x, y)
}

async function placeOn(page: Page, frame: Frame, select: string, u: number, v: number): Promise<{ x: number; y: number }> {
  await standsStill(page)
  const box = await frame
    .locator(select)
    .first()
    .evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
  return onScreen(page, box.x + box.width * u, box.y + box.height * v)
}

/** The turns (degrees) and the lift that a computed transform holds: perspective(p) translateZ(z) rotateX(a) rotateY(b). */
export interface Lean {
  readonly rotateX: number
  readonly rotateY: number
  readonly translateZ: number
}

export async function leanOf(frame: Frame | Page, select: string, index: number): Promise<Lean> {
  const text = await frame
    .locator(select)
    .nth(index)
    .evaluate((element) => getComputedStyle(element).transform)
  return readLean(text)
}

export function readLean(transform: string): Lean {
  if (transform === 'none') return { rotateX: 0, rotateY: 0, translateZ: 0 }
  const inner = /^matrix3d\((.*)\)$/.exec(transform)?.[1]
  if (inner === undefined) {
    if (/^matrix\(1, 0, 0, 1, 0, 0\)$/.test(transform)) return { rotateX: 0, rotateY: 0, translateZ: 0 }
    throw new Error(`An unexpected transform: ${transform}`)
  }
  const m = inner.split(',').map(Number)
  const member = (column: number, row: number) => m[(column - 1) * 4 + row - 1] ?? NaN
  // R = Rx(a) Ry(b): the first row is (cos b, 0, sin b), the second column (0, cos a, sin a).
  return {
    rotateX: (Math.atan2(member(2, 3), member(2, 2)) * 180) / Math.PI,
    rotateY: (Math.atan2(member(3, 1), member(1, 1)) * 180) / Math.PI,
    translateZ: member(4, 3),
  }
}

/** How many elements the knobs of the first effect are given to. */
export const countOfEffect = (stage: Frame | Page) =>
  stage.evaluate(() => {
    const rules = [...document.styleSheets]
      .flatMap((sheet) => [...sheet.cssRules])
      .filter((rule): rule is CSSStyleRule => rule instanceof CSSStyleRule)
    // Ours come behind the page's own.
    const own = rules.findLast(({ style }) => style.length > 0 && [...style].every((name) => name.startsWith('--')))
    return own ? document.querySelectorAll(own.selectorText).length : 0
  })
