// What leaves, for those who go on by hand: knobs that may be turned in the stylesheet, and a command line that says the same as the page.
import { spawnSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { openAlone } from './support/alone'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { cardBox, cardsPage, leanOf, tiltOnCards } from './support/stage'

test('the knobs of an exported stylesheet are turned by hand, and the page follows', async ({ page }, info) => {
  await openAlone(page, cardsPage, [tiltOnCards()], info.outputPath('page.html'))
  const { x, y, width, height } = cardBox(0)
  // On the border the pointer counts as on the outermost edge.
  await page.mouse.move(x + width - 2, y + height / 2, { steps: 4 })
  const lean = async () => (await leanOf(page, '.card', 0)).rotateY
  await eventually(lean).toBeCloseTo(9, 2)
  const knobs = await page.evaluate(() => {
    const rule = [...document.styleSheets]
      .flatMap((sheet) => [...sheet.cssRules])
      .find((each): each is CSSStyleRule => each instanceof CSSStyleRule && [...each.style].some((name) => name.endsWith('-tilt-lean')))
    return rule ? Object.fromEntries([...rule.style].map((name) => [name, rule.style.getPropertyValue(name).trim()])) : {}
  })
  expect(knobs).toEqual({ '--card-tilt-lean': '9deg', '--card-tilt-perspective': '820px' })
  // As somebody would in a stylesheet of their own, next year.
  await page.addStyleTag({ content: '.card:first-child { --card-tilt-lean: 21deg }' })
  await eventually(lean).toBeCloseTo(21, 2)
  await page.addStyleTag({ content: '.card:first-child { --card-tilt-lean: -4deg }' })
  await eventually(lean).toBeCloseTo(-4, 2)
})

test('the command line says the same as the page at rest', long, async ({ page }, info) => {
  const effect = tiltOnCards()
  const path = (name: string) => info.outputPath(name)
  const site = { format: 'glass-moth/2', name: 'Cards', pages: [{ id: 'page', name: 'A page', source: 'e'.repeat(64) }], effects: [effect] }
  const { x, y, width, height } = cardBox(0)
  const at = { x: x + 0.8 * width, y: y + 0.3 * height }
  // The box in which a pointer is read is that of the padding: 3 px within the border.
  const box = { x: x + 3, y: y + 3, width: width - 6, height: height - 6 }
  writeFileSync(path('site.json'), JSON.stringify(site))
  writeFileSync(path('run.csv'), `t,x,y,buttons\n0,${at.x},${at.y},0\n`)
  writeFileSync(path('boxes.json'), JSON.stringify({ window: { width: 1280, height: 800 }, elements: { '.card': [box] } }))
  const words = [
    'simulate',
    path('site.json'),
    '--trace',
    path('run.csv'),
    '--boxes',
    path('boxes.json'),
    '--at',
    '4000',
    '--out',
    path('values.csv'),
  ]
  const { status, stderr } = spawnSync('npx', ['tsx', 'src/cli/main.ts', ...words], { encoding: 'utf8' })
  expect(status, stderr).toBe(0)
  const [names = '', values = ''] = readFileSync(path('values.csv'), 'utf8').split('\n')
  const said = (column: string) => Number(values.split(',')[names.split(',').findIndex((name) => name.endsWith(column))])

  await openAlone(page, cardsPage, [effect], path('page.html'))
  await page.mouse.move(at.x, at.y)
  await eventually(async () => (await leanOf(page, '.card', 0)).rotateY).toBeCloseTo(said('rotateY[0]'), 3)
  expect((await leanOf(page, '.card', 0)).rotateX).toBeCloseTo(said('rotateX[0]'), 3)
})
