import { test } from './support/house'
import { movePointer, stageOf } from './support/stage'
import { effectOf, settingsOf } from './support/alone'
const hero = `<!doctype html><html><head><meta charset="utf-8"><style>body{margin:0;background:#f6f5f1;font:16px/1.5 sans-serif} .hero{height:560px;padding:80px;background:#203040;color:#fff} h1{font-size:56px;margin:0}</style></head><body><section class="hero"><h1>Night moths gather by the jasmine</h1><p>A short line of words.</p></section></body></html>`
test('look', async ({ page, house }) => {
  test.setTimeout(90000)
  await page.goto(await house.addSite('grainy', hero, [effectOf('grain-light', '.hero', settingsOf('grain-light'))]))
  await stageOf(page)
  await movePointer(page, 600, 300)
  await page.waitForTimeout(1500)
  await page.screenshot({ path: '/tmp/grain.png' })
  await page.goto(await house.addSite('darkwords', hero.replace('background:#203040;color:#fff',''), [effectOf('spotlight', 'h1', settingsOf('spotlight'))]))
  await stageOf(page)
  await movePointer(page, 300, 120)
  await page.waitForTimeout(1500)
  await page.screenshot({ path: '/tmp/dark.png' })
})
