// Building on the page: starters, edits of the source, roles with their shells, and visiting as someone else.
import { readFileSync } from 'node:fs'
import type { Frame, Page } from '@playwright/test'
import { eventually, expect, test, type House } from './support/house'
import { long } from './support/long'
import { toStudio, cardsPage, clickOnPage, countOfEffect, leanOf, movePointer, onScreen, stageOf, tiltOnCards } from './support/stage'

const sourceOf = async (house: House, site: string) => {
  const [row] = await house.query('SELECT html FROM page_sources WHERE hash = (SELECT JSON_VALUE(document, ?) FROM sites WHERE id = ?)', [
    '$.pages[0].source',
    site,
  ])
  return String(row?.html)
}

const pretty = `<!doctype html>
<html lang="en">
<head>
  <meta charset="utf-8">
  <title>Pretty</title>
  <style>
    .plot { width: 300px; height: 160px; margin: 40px; background: #dde }
  </style>
</head>
<body>
  <main>
    <div class="plot">
      <p class="words">First words</p>
    </div>
    <div class="plot">
      <p>Second words</p>
    </div>
  </main>
</body>
</html>
`

async function chooseRung(page: Page, select: string, rung: RegExp): Promise<void> {
  const stage = await stageOf(page)
  await page.keyboard.press('p')
  await clickOnPage(page, stage, select)
  await page.getByRole('region', { name: 'Under the pointer' }).getByRole('button', { name: rung }).click()
}

test(
  'starters, copies, wrappers and attributes are put into the source as clean lines, and undone to the byte',
  long,
  async ({ page, house }) => {
    await toStudio(page, await house.addSite('build', pretty))
    await chooseRung(page, '.words', /div\.plot/)
    await page.getByRole('group', { name: 'What to do with it' }).getByRole('button', { name: 'Markup' }).click()
    await page.getByRole('button', { name: 'Card', exact: true }).click()
    const before = pretty
    await eventually(() => sourceOf(house, 'build')).toContain('    <article class="card">\n      <h3>A card</h3>\n')
    const withCard = await sourceOf(house, 'build')
    expect(withCard).toContain('    .card { box-sizing: border-box;')
    await eventually(async () => (await stageOf(page)).locator('.card h3').count()).toBe(1)

    await chooseRung(page, '.plot:nth-of-type(2)', /div\.plot/)
    await page.getByRole('group', { name: 'What to do with it' }).getByRole('button', { name: 'Markup' }).click()
    await page.getByRole('button', { name: 'Wrap', exact: true }).click()
    await eventually(() => sourceOf(house, 'build')).toContain(
      '    <div class="wrap">\n      <div class="plot">\n        <p>Second words</p>\n      </div>\n    </div>\n',
    )

    await chooseRung(page, '.wrap .plot', /div\.plot/)
    await page.getByRole('group', { name: 'What to do with it' }).getByRole('button', { name: 'Markup' }).click()
    await page.getByLabel('Attribute', { exact: true }).fill('title')
    await page.getByLabel('Its value; empty takes it off').fill('a "plot"')
    await page.getByRole('button', { name: 'Set', exact: true }).click()
    await eventually(() => sourceOf(house, 'build')).toContain('<div class="plot" title="a &quot;plot&quot;">')

    for (let i = 0; i < 3; i++) await page.getByRole('button', { name: /^Undo/ }).click()
    await eventually(() => sourceOf(house, 'build')).toBe(before)
  },
)

test(
  'a text is edited on the page by a double click, and an element is moved by pointing at its new place',
  long,
  async ({ page, house }) => {
    await toStudio(page, await house.addSite('markup-words', pretty))
    let stage = await stageOf(page)
    const box = await stage.locator('.words').evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
    const place = await onScreen(page, box.x + 20, box.y + 8)
    await page.mouse.dblclick(place.x, place.y)
    await page.keyboard.press('Control+a')
    await page.keyboard.type('Better & shorter')
    await page.keyboard.press('Enter')
    await eventually(() => sourceOf(house, 'markup-words')).toContain('<p class="words">Better &amp; shorter</p>')
    await eventually(async () => {
      stage = await stageOf(page)
      return stage
        .locator('.words')
        .textContent()
        .catch(() => '')
    }).toBe('Better & shorter')

    await chooseRung(page, '.words', /p\.words/)
    await page.getByRole('group', { name: 'What to do with it' }).getByRole('button', { name: 'Markup' }).click()
    await page.getByRole('button', { name: 'Move …' }).click()
    await clickOnPage(page, await stageOf(page), '.plot:nth-of-type(2) p')
    await page.getByRole('region', { name: 'Under the pointer' }).getByRole('button', { name: /^p p/ }).click()
    await page.getByRole('region', { name: 'Move it' }).getByRole('button', { name: 'after it' }).click()
    await eventually(() => sourceOf(house, 'markup-words')).toContain(
      '      <p>Second words</p>\n      <p class="words">Better &amp; shorter</p>\n    </div>',
    )
  },
)

test('the markup drawer edits the source in a proper editor, marks faults in place, and takes changes when told to', async ({
  page,
  house,
}) => {
  await toStudio(page, await house.addSite('drawer', pretty))
  await stageOf(page)
  await page.keyboard.press('m')
  const editor = page.getByRole('textbox', { name: 'HTML of the page' })
  await expect(editor).toContainText('First words')
  await editor.click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type('<p class="more">unclosed <b>words</p>')
  await expect(page.getByText(/place.* a browser has to guess at/)).toBeVisible()
  expect(await sourceOf(house, 'drawer')).toBe(pretty)
  await page.keyboard.press('Control+s')
  await eventually(() => sourceOf(house, 'drawer')).toContain('class="more"')
  await eventually(async () => (await stageOf(page)).locator('.more').count()).toBe(1)
})

test('the ladder is climbed by keys, and a typed selector says what it matches', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('markup-keys', pretty))
  await stageOf(page)
  await page.keyboard.press('p')
  for (const key of ['ArrowDown', 'ArrowDown', 'ArrowRight']) {
    await page.keyboard.press(key)
    await page.waitForTimeout(150)
  }
  await page.keyboard.press('Enter')
  const choices = page.getByRole('region', { name: 'Which elements' })
  await expect(choices.getByRole('button', { name: /^all 2 like it/ })).toContainText('.plot')
  await expect(choices.getByRole('button', { name: /alone/ })).toContainText('.plot:nth-child(2)')
  const typed = choices.getByRole('textbox', { name: 'or by selector' })
  for (const [text, words] of [
    ['.plot > p', '2 on this page.'],
    ['.gone', 'Nothing on this page matches.'],
    ['p[', 'This is no CSS selector.'],
  ] as const) {
    await typed.fill(text)
    await expect(choices.getByRole('status')).toHaveText(words)
  }
  await typed.fill('.plot > p')
  // And another kind beside it.
  await choices.getByRole('button', { name: /^And also/ }).click()
  await clickOnPage(page, await stageOf(page), '.plot >> nth=0')
  await expect(choices.getByText('With .plot > p')).toBeVisible()
  await choices.getByRole('button', { name: /alone/ }).click()
  await page.getByRole('button', { name: /^Give way/ }).click()
  await eventually(async () => countOfEffect(await stageOf(page))).toBe(3)
})

test('a picture is replaced by one of the designer’s own, in one step of undo', long, async ({ page, house }) => {
  const html = pretty.replace(
    '<p>Second words</p>',
    '<img class="view" src="gone.png" srcset="gone.png 2x" alt="" width="120" height="80">',
  )
  await toStudio(page, await house.addSite('picture', html))
  await chooseRung(page, '.view', /img\.view/)
  await page.getByRole('group', { name: 'What to do with it' }).getByRole('button', { name: 'Markup' }).click()
  await page
    .getByLabel('A picture to put there')
    .setInputFiles({
      name: 'my view.svg',
      mimeType: 'image/svg+xml',
      buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="12" height="8"/>'),
    })
  await eventually(() => sourceOf(house, 'picture')).toMatch(
    /<img class="view" src="[0-9a-f]{8}-my-view\.svg" alt="" width="120" height="80">/,
  )
  await eventually(async () =>
    (await stageOf(page))
      .locator('.view')
      .evaluate((element) => (element as HTMLImageElement).naturalWidth)
      .catch(() => 0),
  ).toBe(12)
  await page.getByRole('button', { name: 'Undo: Replacing a picture' }).click()
  await eventually(() => sourceOf(house, 'picture')).toBe(html)
})

test(
  'four cards glow in colours of their own, read from their backgrounds and set by hand, in the studio, after a reload and in the export',
  long,
  async ({ page, house, browser }) => {
    const glow = { ...(JSON.parse(readFileSync('bench/rigs/glow.json', 'utf8')) as object) }
    const settings = JSON.parse(JSON.stringify(glow).replaceAll('".card"', '"&"')) as unknown
    const html = cardsPage.replace(
      '</style>',
      '.card:nth-child(1) { background: rgb(10, 20, 30) } .card:nth-child(2) { background: rgb(40, 50, 60) }</style>',
    )
    const url = await house.addSite('glow', html, [
      { id: 'glow', kind: 'free', name: 'Cards glow', select: '.card', noun: 'each card', settings },
    ])
    await page.goto(url)
    let stage = await stageOf(page)
    const colourOf = (where: Frame | Page, index: number) =>
      where.evaluate(
        (at) =>
          getComputedStyle(document.querySelectorAll('.card')[at] as Element)
            .getPropertyValue('--card-free-light-colour')
            .trim(),
        index,
      )
    await eventually(() => colourOf(stage, 0)).toBe('rgb(255 214 140 / 0.4)')
    await page.getByRole('button', { name: 'More' }).click()
    const each = page.getByRole('group', { name: 'Per element' })
    await expect(each.getByRole('button', { name: /^8, .*like the others/ })).toBeVisible()
    await each.getByRole('button', { name: 'Read it from each: from …' }).click()
    await page.getByRole('menuitem', { name: 'its background' }).click()
    await eventually(() => colourOf(stage, 0)).toBe('rgb(10, 20, 30)')
    await each.getByRole('button', { name: /^3, / }).click()
    await each.getByLabel(/^Per element:/).fill('nonsense')
    await expect(each.getByLabel(/^Per element:/)).toHaveAttribute('aria-invalid', 'true')
    await each.getByLabel(/^Per element:/).fill('tomato')
    await page.keyboard.press('Enter')
    await eventually(() => colourOf(stage, 2)).toBe('tomato')
    await expect(page.getByRole('status').getByText('· saved')).toBeVisible()
    await page.reload()
    stage = await stageOf(page)
    await eventually(() => colourOf(stage, 2)).toBe('tomato')
    const exported = await (await page.request.get(`${house.address}/export/glow/page`)).text()
    const own = await (await browser.newContext()).newPage()
    await own.setContent(exported)
    expect([await colourOf(own, 0), await colourOf(own, 1), await colourOf(own, 2)]).toEqual([
      'rgb(10, 20, 30)',
      'rgb(40, 50, 60)',
      'tomato',
    ])
    await own.mouse.move(60 + 120, 180, { steps: 3 })
    await eventually(() =>
      own.evaluate(() => getComputedStyle(document.querySelector('.card-free-pool') as Element).backgroundImage),
    ).toContain('rgb(10, 20, 30)')
    await own.context().close()
  },
)

const roleRig = {
  id: 'follow',
  kind: 'free',
  name: 'Tag follows',
  select: '.plot',
  noun: 'each plot',
  settings: {
    areas: [{ id: 'plot', of: 'each', select: '&', box: 'still', among: 'one', pointer: 'fine', touch: 'none' }],
    channels: [
      {
        id: 'x',
        area: 'plot',
        frame: 'area',
        signal: { of: 'xPx' },
        away: { kind: 'settle', pose: 0 },
        feel: { kind: 'direct' },
        group: 'travel',
      },
    ],
    knobs: [],
    outputs: [{ to: { within: '&tag' }, slot: { on: 'transform', fn: 'translateX' }, base: 0, factor: 1, channel: 'x', strength: 1 }],
    parts: [],
    rules: [],
    roles: [
      {
        id: 'tag',
        title: 'tag',
        needs: 'shell',
        shell: {
          open: '<span class="tag-frame">',
          close: '</span>',
          select: '.tag-frame',
          css: '.tag-frame { display: block; overflow: clip; }\n',
        },
      },
    ],
  },
}

test('a role is filled by pointing, and the shell that it needs is shown as a change and put there in one act', async ({ page, house }) => {
  await toStudio(page, await house.addSite('roles', pretty, [roleRig]))
  await stageOf(page)
  await page.getByRole('button', { name: /^Which elements are the tag \(needs a shell\): tag$/ }).click()
  await clickOnPage(page, await stageOf(page), '.words')
  await expect(page.getByText('The tag needs an element around it.')).toBeVisible()
  await page.getByRole('button', { name: 'Show the change' }).click()
  await expect(page.getByLabel('What changes in the markup')).toContainText('+      <span class="tag-frame">')
  await page.getByRole('button', { name: 'Put it there' }).click()
  await eventually(() => sourceOf(house, 'roles')).toContain(
    '      <span class="tag-frame">\n        <p class="words">First words</p>\n      </span>',
  )
  await expect(page.getByText('needs an element around it')).toHaveCount(0)
  await eventually(async () => {
    const stage = await stageOf(page)
    await movePointer(page, 140, 100, 2)
    return stage
      .locator('.words')
      .evaluate((element) => new DOMMatrix(getComputedStyle(element).transform).e)
      .catch(() => 0)
  }).toBeCloseTo(140 - 48, 0)
})

test('the page is visited as a finger, with reduced motion, without script, and at other widths', long, async ({ page, house }) => {
  const html = cardsPage
    .replace(
      '</style>',
      '.card { outline: 0 solid red } @media (hover: none) { .card { outline-width: 3px } } @media (prefers-reduced-motion: reduce) { .card { outline-width: 5px } }</style>',
    )
    .replace('</body>', '<noscript><p class="bare">no script</p></noscript></body>')
  await toStudio(page, await house.addSite('visit', html, [tiltOnCards()]))
  let stage = await stageOf(page)
  const visit = async (name: RegExp) => {
    await page.getByRole('button', { name: /^Preview as/ }).click()
    await page.getByRole('menuitem', { name }).click()
  }
  const outline = () => stage.evaluate(() => getComputedStyle(document.querySelector('.card') as Element).outlineWidth)
  const lean = () => leanOf(stage, '.card', 0).then(({ rotateY }) => rotateY)
  const overCard = () => movePointer(page, 60 + 225, 180, 4)
  await overCard()
  await eventually(lean).toBeGreaterThan(6)
  await visit(/^a finger/i)
  await eventually(outline).toBe('3px')
  await overCard()
  await eventually(lean).toBeCloseTo(0, 1)
  await visit(/^a keyboard/i)
  await overCard()
  await page.waitForTimeout(300)
  expect(Math.abs(await lean())).toBeLessThan(0.01)
  await visit(/^reduced motion/i)
  await eventually(outline).toBe('5px')
  await overCard()
  await page.waitForTimeout(400)
  expect(Math.abs(await lean())).toBeLessThan(0.01)
  await visit(/^a mouse/i)
  await eventually(outline).toBe('0px')

  await visit(/^phone/i)
  await eventually(() => stage.evaluate(() => [innerWidth, innerHeight])).toEqual([390, 844])
  await page.getByRole('slider', { name: 'Width of the visitor’s window' }).focus()
  await page.keyboard.press('Shift+ArrowRight')
  await eventually(() => stage.evaluate(() => innerWidth)).toBe(490)
  await page.getByLabel(/^Width of the visitor’s window, 240/).fill('612')
  await page.keyboard.press('Enter')
  await eventually(() => stage.evaluate(() => innerWidth)).toBe(612)

  await visit(/^three widths/i)
  await expect(page.locator('iframe')).toHaveCount(3)
  const first = page.locator('iframe').first()
  await eventually(() =>
    Promise.all(
      page
        .frames()
        .slice(1)
        .map((frame) => frame.locator('glass-moth-overlay').count()),
    ),
  ).toEqual([1, 1, 1])
  const box = await first.boundingBox()
  if (!box) throw new Error('The first window is not on the screen.')
  const scale = box.width / 1280
  await page.mouse.move(box.x + 280 * scale, box.y + 180 * scale, { steps: 4 })
  for (const index of [1, 2, 3]) {
    const frame = page.frames()[index]
    if (frame) await eventually(() => leanOf(frame, '.card', 0).then(({ rotateY }) => rotateY)).toBeGreaterThan(6)
  }
  await visit(/^laptop/i)
  await visit(/^no script/i)
  await eventually(async () => {
    stage = page.frames().find((frame) => frame.url().includes('visit=noscript')) ?? stage
    return stage
      .locator('.bare')
      .innerText()
      .catch(() => '')
  }).toBe('no script')
  // A link is there to be seen, and leads nowhere.
  const asked: string[] = []
  page.on('request', (request) => asked.push(request.url()))
  const link = await stage.evaluate(() => {
    const { x, y, width, height } = (document.querySelector('.card a') as Element).getBoundingClientRect()
    return { x: (x + width / 2) / innerWidth, y: (y + height / 2) / innerWidth }
  })
  const shown = await page.locator(`iframe[src*="visit=noscript"]`).boundingBox()
  if (!shown) throw new Error('The page is not on the screen.')
  await page.mouse.click(shown.x + link.x * shown.width, shown.y + link.y * shown.width)
  await eventually(() => stage.url()).toMatch(/visit=noscript.*#-$/)
  await expect(stage.locator('.bare')).toHaveText('no script')
  expect(asked.filter((url) => url.includes('example.test'))).toEqual([])
})

test(
  'one element that was chosen alone is told of when its selector matches more, and is named in the markup in one act',
  long,
  async ({ page, house }) => {
    const html =
      '<!doctype html><html><head><style>.card { width: 200px; height: 80px; background: #ddd; margin: 8px }</style></head><body><div class="row"><article class="card">One</article><article class="card">Two</article></div><div class="row"><article class="card">Three</article><article class="card" id="four">Four</article></div></body></html>'
    const url = await house.addSite('first-alone', html, [{ ...tiltOnCards(), select: '.card:nth-child(1)', noun: 'this card' }])
    await page.goto(url)
    await stageOf(page)
    const told = page.getByText('This card was one element; 2 match .card:nth-child(1) by now.')
    await expect(told).toBeVisible()
    await page.getByRole('button', { name: 'Show the change' }).click()
    await expect(page.getByLabel('What changes in the markup')).toContainText('id="card-1"')
    await page.getByRole('button', { name: 'Give it an id' }).click()
    await expect(told).toHaveCount(0)
    await expect(page.frameLocator('iframe').first().locator('#card-1')).toHaveText('One')
    await expect(page.getByText('this card', { exact: false }).first()).toBeVisible()
    // Undone in one step.
    await page.keyboard.press('Control+z')
    await expect(told).toBeVisible()
  },
)
