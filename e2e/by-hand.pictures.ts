// Makes the pictures of docs/by-hand.md: npm run pictures. Not a test, so npm test leaves it out.
import { expect, type Page } from '@playwright/test'
import { writeFileSync } from 'node:fs'
import { expandTilt } from '../src/core/effect/tilt/expand'
import { tiltDefaults } from '../src/core/effect/tilt/settings'
import { evaluate } from '../src/core/rig/evaluate'
import { effectOf, settingsOf } from './support/alone'
import { test } from './support/house'
import { dragOnPage, movePointer, onScreen, pointIn, stageOf } from './support/stage'

const demo = (house: { address: string }, page: string) => `${house.address}/studio/vesper-hollow/${page}`
const shoot = async (page: Page, name: string) => {
  await page.waitForTimeout(900)
  await page.screenshot({ path: `docs/by-hand/${name}.jpg`, type: 'jpeg', quality: 80 })
}

test('pictures for those who write by hand', async ({ page, house }) => {
  test.setTimeout(240_000)
  page.setDefaultTimeout(15_000)
  const open = async (at: string) => {
    await page.goto(demo(house, at))
    return stageOf(page)
  }

  // The stand-in pointer stays on the plate while the hand is at a number.
  let frame = await open('specimens')
  const corner = await pointIn(frame, '.plate', 1, 0.9, 0.12)
  await movePointer(page, ...corner, 6)
  await page.waitForTimeout(600)
  const angle = page.getByRole('spinbutton', { name: 'The angle', exact: true })
  await angle.hover()
  await page.mouse.down()
  await page.mouse.move(620, 690, { steps: 6 })
  await shoot(page, 'stand-in')
  await page.mouse.up()
  await page.keyboard.press('Control+z')

  // Posing by hand: the pointer is fastened, and the plate is dragged to where it should be.
  await movePointer(page, ...corner, 6)
  await page.mouse.move(900, 760, { steps: 4 })
  await page.keyboard.press('h')
  await dragOnPage(page, await pointIn(frame, '.plate', 1, 0.5, 0.6), await pointIn(frame, '.plate', 1, 0.62, 0.5))
  await expect(page.getByText('Adjust')).toBeVisible()
  await shoot(page, 'pose')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Control+z')

  // A feel told in ms, drawn against a flick.
  await page
    .getByRole('button', { name: /^How it follows/ })
    .first()
    .click()
  await shoot(page, 'feel')
  await page.keyboard.press('Escape')

  // A run that provokes faults, and the thread of the pointer.
  await page.getByRole('button', { name: 'Test paths and traces' }).click()
  await shoot(page, 'paths')
  await page.keyboard.press('Escape')

  // Two tries under one trace.
  frame = await open('specimens')
  await movePointer(page, ...corner, 6)
  await page.mouse.move(1000, 690, { steps: 3 })
  await page.keyboard.press('Shift+Y')
  await page
    .getByRole('button', { name: /^How it follows/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'springy' }).click()
  await page.getByRole('button', { name: 'Compare' }).click()
  await page.waitForTimeout(1500)
  await shoot(page, 'tries')

  // The distance between two plates, over the whole travel and three widths.
  frame = await open('specimens')
  await movePointer(page, ...(await pointIn(frame, '.plate', 0, 0.6, 0.4)), 4)
  await page.mouse.move(1000, 760, { steps: 3 })
  await page.keyboard.press('j')
  for (const [index, u] of [
    [0, 0.985],
    [1, 0.015],
  ] as const) {
    const at = await onScreen(page, ...(await pointIn(frame, '.plate', index, u, 0.5)))
    await page.mouse.click(at.x, at.y)
  }
  await page.getByRole('button', { name: 'Over three widths' }).click()
  await page.getByText(/1280: .* · 820: .* · 390: /).waitFor({ timeout: 30_000 })
  await shoot(page, 'distance')
  await page.keyboard.press('Escape')

  // The ladder, with what each choice matches here and across the site.
  frame = await open('specimens')
  await page.keyboard.press('p')
  const plate = await pointIn(frame, '.plate', 1, 0.5, 0.97)
  await movePointer(page, ...plate, 4)
  await page.waitForTimeout(300)
  const place = await onScreen(page, ...plate)
  await page.mouse.click(place.x, place.y)
  await shoot(page, 'ladder')
  await page.keyboard.press('Escape')

  // Preview as somebody else.
  await page.getByRole('button', { name: /^Preview as/ }).click()
  await shoot(page, 'preview')
  await page.keyboard.press('Escape')

  // CSS that maps, with knobs on top.
  frame = await open('specimens')
  await page.getByRole('button', { name: /^Effect \d+: Plates/ }).click()
  await page.keyboard.press('c')
  await page.getByRole('button', { name: /^Copy minified .*KB/ }).waitFor()
  await page.mouse.move(420, 700)
  await shoot(page, 'code')
  await page.keyboard.press('c')

  // What is amiss between an effect and a page, with the fix.
  const shelf = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Jars</title><style>body { margin: 0; background: #f6f4ee; color: #2a332c; font: 17px/1.5 Georgia, serif } h1 { margin: 56px 64px 20px; font-weight: 500 } .row { display: flex; gap: 8px; margin: 0 60px; overflow: hidden } .jar { flex: 1; height: 300px; padding: 26px; background: #fff; border: 1px solid #d8d2c2; transition: transform 0.4s }</style></head><body><h1>Jars of the cellar</h1><section class="row"><article class="jar"><h2>Quince</h2><p>Of the tree by the well.</p></article><article class="jar"><h2>Sloe</h2><p>After the first frost.</p></article><article class="jar" style="transform: none !important"><h2>Rowan</h2><p>With game, or alone.</p></article></section></body></html>`
  await page.goto(
    await house.addSite('jars', shelf, [
      effectOf('tilt', '.jar', settingsOf('tilt', { scalePercent: 12, sheenPercent: 24 }), { name: 'Jars lean', noun: 'each jar' }),
    ]),
  )
  await stageOf(page)
  await page.keyboard.press('k')
  await page.getByText(/slide under the one after it/).waitFor()
  await shoot(page, 'checks')
})

test('a picture of one value at three frame rates', () => {
  const sample = (t: number, x: number, phase: 'move' | 'leave') => ({ t, x, y: 350, buttons: 0, pointerType: 'mouse' as const, phase })
  const trace = [sample(0, 330, 'move'), sample(120, 420, 'move'), sample(240, 670, 'move'), sample(620, 670, 'leave')]
  const boxes = { window: { width: 1000, height: 700 }, elements: { '.card': [{ x: 320, y: 250, width: 360, height: 200 }] } }
  const rig = expandTilt({ ...tiltDefaults, follow: { kind: 'spring', frequencyHz: 2.6, dampingRatio: 0.5 } }, '.card')
  const valuesAt = (fps: number) => {
    const moments = Array.from({ length: Math.ceil((fps * 1300) / 1000) }, (_, i) => (i * 1000) / fps)
    const { columns, moments: all } = evaluate(rig, trace, boxes, moments)
    const column = columns.findIndex((name) => name.startsWith('rotateY'))
    return all.map(({ t, values }) => [t, Number(values[column])] as const)
  }
  const at = ([t, value]: readonly [number, number]) => `${(40 + t * 0.68).toFixed(1)},${(140 - value * 8).toFixed(1)}`
  const rows = [
    [30, '#a8423f', 4.2],
    [60, '#3f6b8a', 2.8],
    [144, '#222', 1.2],
  ] as const
  const drawn = rows.map(([fps, colour, r]) =>
    valuesAt(fps)
      .map((each) => at(each).split(','))
      .map(([x, y]) => `<circle cx="${x}" cy="${y}" r="${r}" fill="${colour}"/>`)
      .join(''),
  )
  const words = rows.map(([fps, colour], i) => `<text x="${560 + i * 110}" y="24" fill="${colour}">${fps} a second</text>`).join('')
  writeFileSync(
    'docs/by-hand/frame-rates.svg',
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 960 240" font-family="sans-serif" font-size="15"><rect width="960" height="240" fill="#fff"/><path d="M40 140H940" stroke="#bbb"/><text x="8" y="146" fill="#555">0°</text><text x="40" y="24" fill="#222">The lean of a card after a flick, and after the pointer has left</text>${words}${drawn.join('')}</svg>\n`,
  )
})
