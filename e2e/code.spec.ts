// The code of a page: what its script counts on, what it can do besides, and that what is asked of it leaves.
import { readFileSync } from 'node:fs'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { toStudio, cardBox, cardsPage, leanOf, stageOf, tiltOnCards } from './support/stage'

test('what the script counts on is one list with what each entry weighs; what is asked of it is in the script, in the export, and undone in one step', async ({
  page,
  house,
}, info) => {
  const url = await house.addSite('counts', cardsPage, [tiltOnCards()])
  await page.goto(url)
  await stageOf(page)
  await page.getByRole('button', { name: 'Code', exact: true }).click()
  const script = page.getByLabel('Script', { exact: true })
  await expect(script).toContainText('addEventListener')
  const bytesOf = async () => Number(/([\d.]+) KB/.exec(await page.getByRole('button', { name: /^Copy minified/ }).innerText())?.[1])
  await page.getByRole('button', { name: 'What this script counts on' }).click()
  const list = page.getByRole('list', { name: 'What this script counts on' })
  await expect(list.getByRole('listitem')).toHaveCount(10)
  // The cards have borders, so the script allows for them and cannot do without.
  await expect(list.getByRole('checkbox', { name: /^Borders/ })).toBeDisabled()
  await expect(list.getByRole('listitem').filter({ hasText: 'Transitions of their own' })).toContainText(/\+\d+ bytes/)
  const before = await bytesOf()
  await list.getByRole('checkbox', { name: /^Taking it all off/ }).click()
  await expect(script).toContainText('const takeOff = (() => {')
  await eventually(bytesOf).toBeGreaterThan(before)
  await list.getByRole('checkbox', { name: /^Transitions of their own/ }).click()
  await expect(script).toContainText('transition-property')
  await page.keyboard.press('Control+z')
  await expect(script).not.toContainText('transition-property')
  await expect(script).toContainText('takeOff')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export page' }).click()
  const file = info.outputPath('page.html')
  await (await download).saveAs(file)
  expect(readFileSync(file, 'utf8')).toContain('return takeOff')
  await page.goto(`file://${file}`)
  const card = cardBox(1)
  await page.mouse.move(card.x + 230, card.y + 80)
  await eventually(() => leanOf(page, '.card', 1).then(({ rotateY }) => rotateY)).toBeGreaterThan(7)
  await page.evaluate('takeOff()')
  expect(
    await page.evaluate(() =>
      [...document.querySelectorAll('.card')]
        .map((each) => each.outerHTML.replace(' style=""', ''))
        .filter((html) => /style|data-/.test(html)),
    ),
  ).toEqual([])
  await page.mouse.move(card.x + 20, card.y + 20)
  await page.waitForTimeout(150)
  expect(await page.locator('[data-card-tilt]').count()).toBe(0)
})

test('what cannot be weighed is told in a sentence, and weighed when it is asked again', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('unweighed', cardsPage, [tiltOnCards()]))
  await stageOf(page)
  await page.getByRole('button', { name: 'Code', exact: true }).click()
  await expect(page.getByLabel('Script', { exact: true })).toContainText('addEventListener')
  await page.route('**/script', (route) => (route.request().postData()?.includes('"costs"') ? route.abort() : route.continue()))
  const opener = page.getByRole('button', { name: 'What this script counts on' })
  await opener.click()
  await expect(page.getByText('nothing can be weighed now')).toBeVisible()
  await expect(page.getByText('Weighing …')).toBeHidden()
  await page.unroute('**/script')
  await opener.click()
  await opener.click()
  await expect(page.getByRole('list', { name: 'What this script counts on' }).getByRole('listitem')).toHaveCount(10)
})

test('as a module it plays by itself, and takes all of it off again', async ({ page, house }, info) => {
  await toStudio(page, await house.addSite('module', cardsPage, [tiltOnCards()]))
  await stageOf(page)
  await page.getByRole('button', { name: 'Code', exact: true }).click()
  const script = page.getByLabel('Script', { exact: true })
  await page.getByRole('button', { name: 'What this script counts on' }).click()
  const list = page.getByRole('list', { name: 'What this script counts on' })
  await list.getByRole('checkbox', { name: /^As a module/ }).click()
  await list.getByRole('checkbox', { name: /^Taking it all off/ }).click()
  await expect(script).toContainText('export { takeOff }')
  const text = await script.innerText()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export page' }).click()
  const file = info.outputPath('page.html')
  await (await download).saveAs(file)
  expect(readFileSync(file, 'utf8')).toContain('<script type="module">')
  await page.goto(`file://${file}`)
  const card = cardBox(1)
  await page.mouse.move(card.x + 230, card.y + 80)
  const lean = () => leanOf(page, '.card', 1).then(({ rotateY }) => rotateY)
  await eventually(lean).toBeGreaterThan(7)
  // The page without its script, with the module that was read in the studio: what imports it can take it off.
  await page.setContent(readFileSync(file, 'utf8').replace(/<script type="module">[^]*?<\/script>/, ''))
  await page.mouse.move(card.x + 20, card.y + 20)
  await page.evaluate(
    async (module) =>
      void Object.assign(window, (await import(URL.createObjectURL(new Blob([module], { type: 'text/javascript' })))) as object),
    text,
  )
  await page.mouse.move(card.x + 230, card.y + 80)
  await eventually(lean).toBeGreaterThan(7)
  await page.evaluate('takeOff()')
  expect(await page.locator('[data-card-tilt]').count()).toBe(0)
})
