// Effects on whole pages of other makers, with their own sheets and scripts: in the export and in the studio, what the core says.
import { writeFileSync } from 'node:fs'
import { copyForStudio } from '../src/core/page/studio-copy'
import { tasks } from '../src/server/reader/tasks'
import { siteSchema } from '../src/core/site/site'
import { settingsOf } from './support/alone'
import { effectsOf, namesOn } from './support/garden'
import { expect, test } from './support/house'
import { groundsOn, judgeAtRest, rigOf, type Ground, type Judged } from './support/judge'
import { answerElsewhere, others, readOther } from './support/others'
import { isLong, long } from './support/long'
import { shareApart } from './support/pixels'
import { movePointer, stageOf } from './support/stage'
import type { Frame, Page } from '@playwright/test'

/** Scrolls so that an element is in the middle of the window, at once. */
const scrollTo = (surface: Page | Frame, select: string) =>
  surface.evaluate((each) => {
    const element = document.querySelector(each) as HTMLElement
    document.documentElement.style.setProperty('scroll-behavior', 'auto', 'important')
    element.scrollIntoView({ block: element.offsetHeight > 500 ? 'start' : 'center' })
    document.documentElement.style.removeProperty('scroll-behavior')
  }, select)

const areaOf = (judged: Judged) => rigOf(judged).areas[0]?.select ?? ''

/** The page with its effects as a download has it. */
function exportOther(html: string, effects: readonly unknown[]): string {
  const page = { id: 'page', name: 'A page', source: 'e'.repeat(64) }
  const site = siteSchema.parse({ format: 'glass-moth/2', name: 'A site', pages: [page], effects })
  const options = { path: 'index.html', files: new Map(), sheetText: () => undefined, shown: [], nonce: 'none' }
  const { html: dressed, heldBack } = copyForStudio(html, options)
  const lacksSheets = heldBack.some(({ what }) => what === 'sheet')
  return tasks.export({ site, page, html, dressed, lacksSheets, hasScripts: true })
}

for (const [number, other] of others(settingsOf).entries()) {
  const { judged } = other
  test(`${other.name}: every kind is what the core says, exported`, number === 0 ? long : {}, async ({ page }, info) => {
    await page.setViewportSize({ width: 1280, height: 720 })
    await answerElsewhere(page)
    const html = readOther(other)
    const [plain, exported] = [info.outputPath('plain.html'), info.outputPath('page.html')]
    writeFileSync(plain, html)
    await page.goto(`file://${plain}`)
    const grounds: (Ground | undefined)[] = []
    for (const each of judged) {
      await scrollTo(page, areaOf(each))
      await page.waitForTimeout(400)
      grounds.push((await groundsOn(page, [each]))[0])
    }
    const effects = effectsOf(judged)
    writeFileSync(exported, exportOther(html, effects))
    await page.goto(`file://${exported}`)
    for (const [index, each] of judged.entries()) {
      await scrollTo(page, areaOf(each))
      await page.waitForTimeout(400)
      await judgeAtRest({ surface: page, move: (x, y) => page.mouse.move(x, y) }, each, namesOn(effects)[index] ?? '', grounds[index])
    }
    // Without those that are seen at all times, the page is as it was.
    await page.goto(`file://${plain}`)
    // On the line of links, which lies over all.
    await page.mouse.move(700, 36)
    await page.waitForTimeout(600)
    const before = await page.screenshot({ animations: 'disabled' })
    writeFileSync(exported, exportOther(html, effectsOf(judged.filter(({ kind }) => kind !== 'fold' && kind !== 'grain-light'))))
    await page.goto(`file://${exported}`)
    for (const [x, y] of [[640, 300], [200, 500], [700, 36]] as const) await page.mouse.move(x, y) // prettier-ignore
    await page.waitForTimeout(900)
    const after = await page.screenshot({ animations: 'disabled' })
    expect(await shareApart(page, before, after)).toBeLessThan(5e-4)
  })

  // The studio plays what is exported.
  if (!isLong) continue
  test(`${other.name}: every kind is what the core says, in the studio`, async ({ page, house }) => {
    const html = readOther(other)
    await page.setViewportSize({ width: 1600, height: 1100 })
    const effects = effectsOf(judged)
    const address = await house.addSite(`other-${other.folder.slice(-4)}`, html, effects)
    // As the studio has it, without scripts and without what is elsewhere, and with no effect.
    const bare = await house.addSite(`bare-${other.folder.slice(-4)}`, html)
    await page.goto(bare)
    const plain = await stageOf(page)
    const grounds: (Ground | undefined)[] = []
    for (const each of judged) {
      await scrollTo(plain, areaOf(each))
      await page.waitForTimeout(100)
      grounds.push((await groundsOn(plain, [each]))[0])
    }
    await page.goto(address)
    const surface = await stageOf(page)
    for (const [index, each] of judged.entries()) {
      await scrollTo(surface, areaOf(each))
      await page.waitForTimeout(100)
      await judgeAtRest({ surface, move: (x, y) => movePointer(page, x, y) }, each, namesOn(effects)[index] ?? '', grounds[index])
    }
  })
}
