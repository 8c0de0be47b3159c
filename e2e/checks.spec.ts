// The checks: told in the top bar and beside the page, each mended in one act and undone in one step; and what the stage says of a page that is not whole.
import { spawnSync } from 'node:child_process'
import { mkdirSync, writeFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { effectOf, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { toStudio, clickOnPage, movePointer, stageOf } from './support/stage'

const shelf = (css: string, body = '') => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>Pots</title><style>
body { margin: 0; background: #fff; font: 16px/1.5 sans-serif } .row { display: flex; gap: 8px; padding: 0 4px; margin: 60px } .pot { width: 300px; height: 220px; background: #fafafa; color: #333 } .tiny { position: absolute; left: 20px; top: 20px; width: 14px; height: 14px; background: #333 } .wrap { position: relative; height: 150px }
${css}</style></head><body><section class="row"><article class="pot"><h2>A pot of thyme</h2><p>Kept dry.</p></article><article class="pot"><p>Two</p></article><article class="pot"><p>Three</p></article></section><div class="wrap"><a class="tiny" href="#x" aria-label="there"></a></div>${body}</body></html>`

const drawer = (page: Page) => page.getByRole('complementary', { name: 'Checks' })
const button = (page: Page) => page.getByRole('banner').getByRole('button', { name: /^(Checks|\d+ checks?)$/ })

test('a page on which nothing is amiss says so', long, async ({ page, house }) => {
  await toStudio(
    page,
    await house.addSite('well', shelf('.pot { background: #2f4a44; color: #fff }'), [effectOf('tilt', '.pot', settingsOf('tilt'))]),
  )
  await stageOf(page)
  await page.keyboard.press('k')
  await expect(drawer(page)).toContainText('Nothing is amiss')
  await expect(button(page)).toHaveText('Checks')
})

const oneLayer = { layers: [{ id: 'layer-1', amount: 22 }] }

test('what is amiss is counted, told in sentences, mended in one act and undone in one step', async ({ page, house }) => {
  const html = shelf('.row { overflow: hidden }', '<style>.pot > :last-child { margin-bottom: 0 }</style>').replace(
    '<article class="pot"><p>Two',
    '<article class="pot" style="transform: none !important"><p>Two',
  )
  await toStudio(
    page,
    await house.addSite('amiss', html, [
      effectOf('tilt', '.pot', settingsOf('tilt', { scalePercent: 12, sheenPercent: 20 })),
      effectOf('drift', '.wrap', settingsOf('drift', oneLayer), { roles: { 'layer-1': { select: '.tiny', noun: 'dot' } } }),
    ]),
  )
  const stage = await stageOf(page)
  await expect(button(page)).toHaveText('6 checks')
  await button(page).click()
  for (const words of [
    'Effect 1 is overruled on one element: transform is !important in the style attribute there',
    'Effect 1 has light that is not seen',
    'Effect 1 is cut off by up to',
    'Effect 1 makes 2 elements slide under the one after it',
    'Effect 1 adds elements, so a rule of the page matches something else: .pot > :last-child',
    'Effect 2 takes a link or a button of 14 x 14px away from the pointer',
  ])
    await expect(drawer(page)).toContainText(words)
  const mend = async (act: RegExp, left: number) => {
    await drawer(page).getByRole('button', { name: act }).first().click()
    await expect(button(page)).toHaveText(left === 1 ? '1 check' : `${left} checks`)
  }
  await mend(/^Bring it in front$/, 5)
  await mend(/^Let \d+px more be seen$/, 4)
  await mend(/^Take !important off$/, 3)
  await mend(/^Use a shade of the ground$/, 2)
  await mend(/^Have the page not count them$/, 1)
  await drawer(page).getByRole('button', { name: 'Make it 24px large' }).click()
  await expect(drawer(page)).toContainText('Nothing is amiss')
  expect(await (await stageOf(page)).evaluate(() => document.querySelectorAll('.pot')[1]?.getAttribute('style'))).toContain(
    'transform: none',
  )
  await page.keyboard.press('Control+z')
  await expect(button(page)).toHaveText('1 check')
  await expect(drawer(page)).toContainText('Effect 2 takes a link')
  expect(stage).toBeDefined()
})

test('the command line says the same of a site as the studio', long, async ({ page, house }, info) => {
  const html = shelf('.row { overflow: hidden } .pot > :last-child { margin-bottom: 0 }')
  const effects = [
    effectOf('tilt', '.pot', settingsOf('tilt', { scalePercent: 12, sheenPercent: 20 })),
    effectOf('spotlight', '.row', settingsOf('spotlight')),
    effectOf('drift', '.wrap', settingsOf('drift', oneLayer), { roles: { 'layer-1': { select: '.tiny', noun: 'dot' } } }),
  ]
  await toStudio(page, await house.addSite('same', html, effects))
  await stageOf(page)
  await page.keyboard.press('k')
  const rows = drawer(page).getByRole('listitem')
  await expect(rows.first()).toBeVisible()
  const told = await rows.allInnerTexts()
  mkdirSync(info.outputPath('site'), { recursive: true })
  const pages = [{ id: 'page', name: 'A page', source: 'e'.repeat(64) }]
  writeFileSync(info.outputPath('site/site.json'), JSON.stringify({ format: 'glass-moth/2', name: 'A site', pages, effects }))
  writeFileSync(info.outputPath('site/index.html'), html)
  const { stdout, status } = spawnSync('npm', ['run', '-s', 'glass-moth', '--', 'check', info.outputPath('site/site.json'), '--layout', 'yes', '--format', 'json'], { encoding: 'utf8' }) // prettier-ignore
  expect(status).toBe(1)
  const { findings } = JSON.parse(stdout) as { findings: { words: string }[] }
  // A px more or less is the browser's window.
  const plain = (words: string) => words.replace(/\d+px/g, 'N px')
  expect(findings).toHaveLength(told.length)
  for (const [i, { words }] of findings.entries()) expect(plain(told[i] ?? '')).toContain(plain(words))
})

test('a check changes nothing of what is seen: where the pointer rested, the page leans as before', async ({ page, house }) => {
  await toStudio(
    page,
    await house.addSite('still-pots', shelf('.pot { background: #2f4a44; color: #fff }'), [effectOf('tilt', '.pot', settingsOf('tilt'))]),
  )
  const stage = await stageOf(page)
  const lean = () => stage.evaluate(() => getComputedStyle(document.querySelector('.pot') as Element).transform)
  await movePointer(page, 100, 90)
  let before = ''
  await eventually(async () => {
    const now = await lean()
    const isSame = now === before && now.startsWith('matrix3d')
    before = now
    return isSame
  }).toBe(true)
  await expect(button(page)).toHaveText('Checks')
  await page.keyboard.press('k')
  await expect(drawer(page)).toContainText('Nothing is amiss')
  // The page is narrower beside the checks; the hand has stayed.
  await eventually(lean).toMatch(/^matrix3d/)
})

const hidden = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Hidden</title><style>
body { margin: 0; font: 18px/1.5 sans-serif } .step { height: 200px; margin: 20px; background: #cdb; opacity: 0; transform: translateY(60px) rotate(2deg); transition: all .5s } .step.in { opacity: 1; transform: rotate(1deg) } .menu { opacity: 0 } .menu:hover { opacity: 1 }
</style></head><body><section class="step">The first step</section><section class="step">The second step</section><nav class="menu">A menu that comes with the pointer</nav><script>document.querySelectorAll('.step').forEach((each) => each.classList.add('in'))</script></body></html>`

test('a page that hides what its scripts show says so, and shows it where they would have put it', async ({ page, house }) => {
  await toStudio(page, await house.addSite('hidden', hidden))
  let stage = await stageOf(page)
  const notice = page.getByRole('status', { name: 'What of the page is not seen' })
  await expect(notice).toContainText(
    /^⚠2 elements of this page, \d+% of the window, are seen only once its scripts run; here they do not\./,
  )
  await notice.getByRole('button', { name: 'Show them here' }).click()
  await expect(notice).toBeHidden()
  await expect
    .poll(async () => {
      stage = await stageOf(page)
      return stage.evaluate(() => {
        const style = getComputedStyle(document.querySelector('.step') as Element)
        return [
          style.opacity,
          Math.round(Math.asin(new DOMMatrix(style.transform).b) * (180 / Math.PI) * 10) / 10,
          new DOMMatrix(style.transform).f,
        ]
      })
    })
    .toEqual(['1', 1, 0])
  // The export has the page as it was brought.
  const exported = await page.evaluate(async () => (await fetch(location.pathname.replace('/studio/', '/export/'))).text())
  expect(exported).toContain('<section class="step">')
  await page.keyboard.press('Control+z')
  await expect(notice).toContainText('2 elements')
})

test('a page that lacks a sheet and pictures says what is missing', async ({ page, house }) => {
  await toStudio(
    page,
    await house.addSite(
      'lacking',
      '<!doctype html><html><head><link rel="stylesheet" href="look.css"></head><body><img src="a.png" alt=""><img src="b.png" alt=""><p>Words</p></body></html>',
    ),
  )
  await stageOf(page)
  const notice = page.getByRole('status', { name: 'What of the page is not seen' })
  await expect(notice).toContainText('A stylesheet and 2 pictures of this page are not loaded.')
  await notice.getByRole('button', { name: 'What is missing' }).click()
  await expect(page.getByRole('complementary', { name: 'Pages' })).toContainText('look.css')
  await notice.getByRole('button', { name: 'Close this' }).click()
  await expect(notice).toBeHidden()
})

test('a spotlight that is chosen for words is on the box that they stand in, and says so', long, async ({ page, house }) => {
  const html =
    '<!doctype html><html><head><style>body { margin: 0 } .hero { margin: 40px; padding: 60px; background: #e8e2d0; border-radius: 12px } h1 { margin: 0; font-size: 50px }</style></head><body><section class="hero"><h1>Words at night</h1></section></body></html>'
  await toStudio(page, await house.addSite('check-words', html))
  const stage = await stageOf(page)
  await page.keyboard.press('p')
  await clickOnPage(page, stage, 'h1', 0.1, 0.5)
  const ladder = page.getByRole('region', { name: 'Under the pointer' })
  await ladder.getByRole('button', { name: /h1/ }).first().click()
  await page
    .getByRole('button', { name: /Hand lamp/ })
    .first()
    .click()
  await expect(page.getByText(/It is on \.hero, the box that .* stands in/)).toBeVisible()
  await movePointer(page, 300, 150)
  await eventually(() => stage.evaluate(() => document.querySelector('.hero')?.querySelectorAll(':scope > [data-part]').length)).toBe(1)
})

test('white light is not laid on a pale card unseen', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('pale', shelf('')))
  const stage = await stageOf(page)
  await page.keyboard.press('p')
  await clickOnPage(page, stage, '.pot', 0.8, 0.8)
  await page
    .getByRole('button', { name: /Sheen|sheen|Glass/ })
    .first()
    .click()
  await expect(page.getByText('Its light could not be seen on this ground, so it is a shade of the ground now')).toBeVisible()
})

test('the edge of a glow is seen on a card that clips and has a border', long, async ({ page }, info) => {
  const html = shelf('.pot { overflow: hidden; border: 6px solid #889; background: #2f4a44; color: #fff }')
  await openAlone(page, html, [effectOf('glow', '.pot', settingsOf('glow'))], info.outputPath('page.html'))
  await page.mouse.move(200, 150)
  const edge = page.locator('.pot-glow-edge').first()
  await edge.waitFor({ state: 'attached' })
  const [inner, line] = await page.evaluate(() => {
    const card = (document.querySelector('.pot') as HTMLElement).getBoundingClientRect()
    const box = (document.querySelector('.pot-glow-edge') as HTMLElement).getBoundingClientRect()
    return [box.left - card.left, box.width]
  })
  // Within the border, where the card shows it.
  expect(inner).toBe(6)
  expect(line).toBe(300)
})

test('grain is drawn pixel for pixel in a page that is shown scaled', long, async ({ page, house }) => {
  await toStudio(
    page,
    await house.addSite('grain', shelf('.wrap { height: 300px }'), [effectOf('grain-light', '.wrap', settingsOf('grain-light'))]),
  )
  const stage = await stageOf(page)
  await movePointer(page, 400, 420)
  const frame = await page.locator('iframe').boundingBox()
  const size = () =>
    stage.evaluate(() => parseFloat(getComputedStyle(document.querySelector('.wrap-grain-light-specks') as Element).backgroundSize))
  await stage.waitForSelector('.wrap-grain-light-specks', { state: 'attached' })
  await eventually(async () => Math.round(((await size()) * (frame?.width ?? 0)) / 1280)).toBe(256)
})
