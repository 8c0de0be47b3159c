// Letters as they are exported: where each lies, what it is by how near the pointer is, and that the text stays a text.
import type { Page } from '@playwright/test'
import { effectOf, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { moveOver, stageOf } from './support/stage'

const letters = (changes: object = {}, select = 'h1') =>
  effectOf('letters', select, settingsOf('letters', { comeMs: 0, goMs: 0, follow: { kind: 'direct' }, ...changes }))
const page = (inside: string, css = '') =>
  `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Words</title><style>
  body { margin: 0; padding: 60px; height: 1200px } h1 { width: 600px; margin: 40px; font: 400 40px/1.4 sans-serif } ${css}
</style></head><body>${inside}</body></html>`

/** Each letter: its text, its middle, and how that of the text below it lies from there, px. */
const laid = (alone: Page) =>
  alone.evaluate(() => {
    const host = document.querySelector('h1')
    const all = [...document.querySelectorAll<HTMLElement>('[class$="-letter"]')]
    // The text without what was added, with where each of its characters is.
    const walker = document.createTreeWalker(host as Node, NodeFilter.SHOW_TEXT)
    const own: { text: string; x: number; y: number }[] = []
    for (let node = walker.nextNode() as Text | null; node; node = walker.nextNode() as Text | null) {
      if (node.parentElement?.closest('[data-part]')) continue
      for (const { index, segment } of new Intl.Segmenter().segment(node.data)) {
        const range = document.createRange()
        range.setStart(node, index)
        range.setEnd(node, index + segment.length)
        const { x, y, width, height } = range.getBoundingClientRect()
        if (segment.trim()) own.push({ text: segment, x: x + width / 2, y: y + height / 2 })
      }
    }
    return {
      own,
      letters: all.map((each) => {
        const { x, y, width, height } = each.getBoundingClientRect()
        return { text: each.textContent, x: x + width / 2, y: y + height / 2 }
      }),
    }
  })

test('each letter lies where it stands, in every script, and what belongs together is one', async ({ page: alone }, info) => {
  const html = page('<h1>Wren &amp; <em>offish</em> 👩‍🌾 e\u0301t <b>नमस्ते</b> office</h1>')
  await openAlone(alone, html, [letters({ weight: 400 })], info.outputPath('page.html'))
  await alone.mouse.move(20, 700)
  expect(await alone.locator('[data-letters]').count()).toBe(0)
  await alone.mouse.move(200, 130)
  await eventually(() => alone.locator('[class$="-letter"]').count()).toBeGreaterThan(15)
  const { own, letters: all } = await laid(alone)
  expect(all.map(({ text }) => text).join('')).toBe(own.map(({ text }) => text).join(''))
  for (const piece of ['👩‍🌾', 'e\u0301', 'ffi', 'W']) expect(all.map(({ text }) => text)).toContain(piece)
  for (const { text, x, y } of all) {
    const there = own.find((each) => each.text === text)
    if (!there || own.filter((each) => each.text === text).length > 1) continue
    expect(Math.abs(x - there.x), text ?? '').toBeLessThan(0.6)
    expect(Math.abs(y - there.y), text ?? '').toBeLessThan(0.6)
  }
})

test('Arabic goes by words, and from right to left lines are where they stand', async ({ page: alone }, info) => {
  await openAlone(alone, page('<h1 dir="rtl">مرحبا بكم في الحديقة</h1>'), [letters({ risePx: 0 })], info.outputPath('page.html'))
  await alone.mouse.move(600, 130)
  await eventually(() => alone.locator('[class$="-letter"]').allTextContents()).toEqual(['مرحبا', 'بكم', 'في', 'الحديقة'])
  const xs = (await laid(alone)).letters.map(({ x }) => x)
  expect([...xs].sort((one, other) => other - one)).toEqual(xs)
})

test('is larger, heavier, higher and of another colour by how near it is; nothing in the line moves; then all is as it was', async ({
  page: alone,
}, info) => {
  const before = page('<h1>Moths at the lamp tonight</h1><p class="below">Below</p>')
  await openAlone(
    alone,
    before,
    [letters({ weight: 900, sizePercent: 140, risePx: 10, colours: 'other', colour: 'rgb(200, 0, 0)', reachPx: 120 })],
    info.outputPath('page.html'),
  )
  const lies = () =>
    alone.evaluate(() => ['h1', '.below'].map((select) => JSON.stringify(document.querySelector(select)?.getBoundingClientRect())))
  const asItWas = await lies()
  const seen = (text: string, n = 0) =>
    alone.evaluate(
      ([which, index]) => {
        const all = [...document.querySelectorAll<HTMLElement>('[class$="-letter"]')].filter((each) => each.textContent === which)
        const { transform, fontWeight, color } = getComputedStyle(all[index] ?? document.body)
        const { a, f } = new DOMMatrix(transform)
        return { size: a, rise: f, weight: Number(fontWeight), color }
      },
      [text, n] as const,
    )
  const at = await alone.evaluate(() => {
    const range = document.createRange()
    const text = document.querySelector('h1')?.firstChild as Text
    range.setStart(text, 0)
    range.setEnd(text, 1)
    const { x, y, width, height } = range.getBoundingClientRect()
    return [x + width / 2, y + height / 2] as const
  })
  await alone.mouse.move(...at)
  await eventually(async () => (await seen('M')).weight).toBeGreaterThan(899)
  const first = await seen('M')
  expect(first.size).toBeCloseTo(1.4, 3)
  expect(first.rise).toBeCloseTo(-10, 2)
  // Beyond its reach everything is its own.
  expect(await seen('g')).toEqual({ size: 1, rise: 0, weight: 400, color: 'oklab(0 0 0)' })
  // Half way it is half of it.
  await alone.mouse.move(at[0] - 60, at[1])
  await eventually(async () => Number((await seen('M')).size.toFixed(3))).toBe(1.2)
  expect(await lies()).toEqual(asItWas)
  // It is a text still: read, selected and copied as such.
  expect(await alone.locator('h1').evaluate((each) => (each as HTMLElement).innerText)).toContain('Moths at the lamp tonight')
  await expect(alone.getByRole('heading', { name: 'Moths at the lamp tonight', exact: true })).toBeVisible()
  await alone.mouse.click(at[0] + 2, at[1], { clickCount: 3 })
  expect((await alone.evaluate(() => getSelection()?.toString()))?.trim()).toBe('Moths at the lamp tonight')
  await alone.mouse.move(900, 900)
  await eventually(() => alone.locator('[data-part]').count()).toBe(0)
  expect(await alone.locator('h1').evaluate((each) => getComputedStyle(each).webkitTextFillColor)).toBe('rgb(0, 0, 0)')
})

test('words and lines respond as one, and a text that becomes another is laid anew', async ({ page: alone }, info) => {
  const text = 'The garden is (mostly) dark, so that you can see it; bring nothing that shines.'
  await openAlone(alone, page(`<h1>${text}</h1>`), [letters({ by: 'words' })], info.outputPath('page.html'))
  await alone.mouse.move(200, 130)
  const told = () => alone.locator('[class$="-letter"]').allTextContents()
  await eventually(told).toEqual(text.split(' '))
  await alone.evaluate(() => {
    const node = document.querySelector('h1')?.firstChild as Text
    node.data = 'Other words'
  })
  await eventually(told).toEqual(['Other', 'words'])
  await alone.evaluate(() =>
    document.querySelector('h1')?.append(Object.assign(document.createElement('em'), { textContent: ' and more' })),
  )
  await eventually(told).toEqual(['Other', 'words', 'and', 'more'])
  await openAlone(alone, page(`<h1>${text}</h1>`), [letters({ by: 'lines' })], info.outputPath('lines.html'))
  await alone.mouse.move(200, 130)
  await eventually(async () => (await told()).join(' ')).toBe(text)
  expect((await told()).length).toBe(3)
  // A line is as near as what of it is nearest, however wide it is.
  const box = await alone.locator('h1').boundingBox()
  const nearOf = () =>
    alone.locator('[class$="-letter"]').evaluateAll((all) => all.map((each) => Number(getComputedStyle(each).getPropertyValue('--near'))))
  await alone.mouse.move((box?.x ?? 0) + 12, (box?.y ?? 0) + (box?.height ?? 0) / 6)
  await eventually(async () => Math.round(((await nearOf())[0] ?? 0) * 100)).toBeGreaterThan(96)
  // Narrower, it has more lines.
  await alone.evaluate(() => document.querySelector('h1')?.style.setProperty('width', '300px'))
  await eventually(async () => (await told()).length).toBeGreaterThan(4)
})

test('those who prefer less motion see weight and colour alone', async ({ page: alone }, info) => {
  await alone.emulateMedia({ reducedMotion: 'reduce' })
  await openAlone(
    alone,
    page('<h1>Moths at the lamp</h1>'),
    [letters({ weight: 900, risePx: 20, reachPx: 400 })],
    info.outputPath('page.html'),
  )
  await alone.mouse.move(130, 130)
  const first = alone.locator('[class$="-letter"]').first()
  await eventually(() => first.evaluate((each) => Number(getComputedStyle(each).fontWeight))).toBeGreaterThan(700)
  expect(await first.evaluate((each) => getComputedStyle(each).transform)).toBe('none')
})

test('plays in the studio as in the export', long, async ({ page: studio, house }) => {
  const address = await house.addSite('words', page('<h1>Moths at the lamp</h1>'), [letters({ sizePercent: 150, reachPx: 300 })])
  await studio.goto(address)
  const frame = await stageOf(studio)
  await moveOver(studio, frame, 'h1', 0.1, 0.5)
  const sizes = () =>
    frame
      .locator('[class$="-letter"]')
      .evaluateAll((all) => all.map((each) => Number(new DOMMatrix(getComputedStyle(each).transform).a.toFixed(3))))
  await eventually(async () => (await sizes()).length).toBe(14)
  await eventually(async () => Math.max(...(await sizes()))).toBeGreaterThan(1.4)
})
