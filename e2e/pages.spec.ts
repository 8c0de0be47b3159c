// Bringing pages in, and taking them out again with an effect on them.
import { mkdtempSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import type { Locator, Page } from '@playwright/test'
import { strFromU8, unzipSync, zipSync } from 'fflate'
import { openStarter } from './support/acts'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { builderMade, handWritten, utilityDressed, zipOf, filesOf } from './support/made-pages'
import { toStudio, cardsPage, countOfEffect, clickOnPage, leanOf, onScreen, stageOf, tiltOnCards } from './support/stage'

const drawerOf = (page: Page) => page.getByRole('complementary', { name: 'Pages' })

async function openPages(page: Page): Promise<Locator> {
  await page.keyboard.press('g')
  await expect(drawerOf(page)).toBeVisible()
  return drawerOf(page)
}

async function bringFiles(page: Page, files: readonly { readonly name: string; readonly text: Buffer | string }[]): Promise<void> {
  const input = drawerOf(page).getByLabel('Files of a page')
  const [only] = files
  if (only && only.text.length > 40_000_000) {
    const path = join(mkdtempSync(join(tmpdir(), 'glass-moth-large-')), only.name)
    writeFileSync(path, only.text)
    return input.setInputFiles(path)
  }
  await input.setInputFiles(files.map(({ name, text }) => ({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(text) })))
}

/** Points at an element of the page, chooses a rung and what it means, and keeps a recipe. */
async function pointAndKeep(page: Page, select: string, rung: RegExp, choice: RegExp): Promise<void> {
  const stage = await stageOf(page)
  await page.keyboard.press('p')
  await clickOnPage(page, stage, select)
  await page.getByRole('region', { name: 'Under the pointer' }).getByRole('button', { name: rung }).click()
  await page.getByRole('region', { name: 'Which elements' }).getByRole('button', { name: choice }).first().click()
  await page.getByRole('button', { name: /^Give way/ }).click()
}

/** Exports the page, opens what came by itself, and gives it with its source. */
async function openExport(page: Page): Promise<{ readonly own: Page; readonly html: string }> {
  await page.keyboard.press('c')
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Export page' }).click()])
  const folder = mkdtempSync(join(tmpdir(), 'glass-moth-export-'))
  const bytes = readFileSync(await download.path())
  let file = join(folder, download.suggestedFilename())
  if (file.endsWith('.zip')) {
    for (const [path, text] of Object.entries(unzipSync(bytes))) {
      mkdirSync(dirname(join(folder, path)), { recursive: true })
      writeFileSync(join(folder, path), text)
    }
    file = join(folder, 'index.html')
  } else writeFileSync(file, bytes)
  const own = await page.context().newPage()
  const problems: string[] = []
  own.on('pageerror', (error) => problems.push(error.message))
  await own.goto(`file://${file}`)
  expect(problems).toEqual([])
  return { own, html: readFileSync(file, 'utf8') }
}

/** That an element of an exported page leans under the pointer. */
async function expectLean(own: Page, select: string, least = 6, index = 1): Promise<void> {
  const target = own.locator(select).nth(index)
  await target.scrollIntoViewIfNeeded()
  const box = await target.boundingBox()
  if (!box) throw new Error('The element is not on the page.')
  await own.mouse.move(box.x + box.width - 6, box.y + box.height / 2, { steps: 5 })
  await eventually(() => leanOf(own, select, index).then(({ rotateY }) => rotateY)).toBeGreaterThan(least)
}

test('a page written by hand comes in as a ZIP with its sheets and pictures, and carries an effect out again, every other byte as it was', async ({
  page,
  house,
}) => {
  await toStudio(page, await house.addSite('hand', cardsPage))
  await stageOf(page)
  await openPages(page)
  await bringFiles(page, [{ name: 'boats.zip', text: zipOf(handWritten()) }])
  await expect(page.getByRole('button', { name: 'Page: Harrow & Reed, boats by hand' })).toBeVisible()
  await expect(drawerOf(page).getByText('Nothing: the page is here as a whole.')).toBeVisible()
  let stage = await stageOf(page)
  // Its own sheets, the one imported for print too, and its pictures are there, once the page is.
  await eventually(async () => {
    stage = await stageOf(page)
    return stage.evaluate(() => [...document.images].filter((image) => image.naturalWidth > 0).length).catch(() => 0)
  }).toBe(24)
  expect(await stage.evaluate(() => getComputedStyle(document.querySelector('.boats') as Element).display)).toBe('grid')
  await pointAndKeep(page, '.boat:nth-of-type(2) img', /a\.boat-picture/, /^all 24 like it/)
  const { own, html } = await openExport(page)
  await eventually(() => own.evaluate(() => [...document.images].filter((image) => image.naturalWidth > 0).length)).toBe(24)
  await expectLean(own, '.boat-picture')
  expect(html.replace(/<style>\n[\s\S]*?<\/style>\n|<script>\n[\s\S]*?<\/script>\n/g, '')).toBe(handWritten().html)
})

test(
  'a page of a builder comes in as files; what is hidden until a script is shown in one act, and each has a colour of its own from an attribute',
  long,
  async ({ page, house }) => {
    await toStudio(page, await house.addSite('builder', cardsPage))
    await stageOf(page)
    const drawer = await openPages(page)
    await bringFiles(
      page,
      Object.entries(filesOf(builderMade())).map(([name, text]) => ({ name, text })),
    )
    await expect(drawer.getByText('2 scripts do not run.').or(drawer.getByText('A script does not run.').first()).first()).toBeVisible()
    await expect(drawer.getByText('https://example.org/boot.js')).toBeVisible()
    let stage = await stageOf(page)
    expect(
      await stage.evaluate(
        () =>
          getComputedStyle(document.querySelector('h1') as Element).opacity +
          getComputedStyle(document.querySelector('.hidden-until') as Element).opacity,
      ),
    ).toBe('10')
    await drawer.getByRole('button', { name: 'Show them here' }).click()
    await expect(drawer.getByText('Shown here, though the page hides it')).toBeVisible()
    await eventually(async () => {
      stage = await stageOf(page)
      return stage.evaluate(() => getComputedStyle(document.querySelector('.hidden-until') as Element).opacity).catch(() => '')
    }).toBe('1')
    await page.keyboard.press('g')
    stage = await stageOf(page)
    // No choice hangs on a name that the next build changes.
    await page.keyboard.press('p')
    await clickOnPage(page, stage, '.cards >> nth=0 >> .item:nth-child(3) h3')
    const choices = page.getByRole('region', { name: 'Which elements' })
    for (const rung of await page.getByRole('region', { name: 'Under the pointer' }).getByRole('button').all()) {
      await rung.click()
      const lasting = (await choices.getByRole('button').allInnerTexts()).filter((text) => !text.startsWith('this'))
      for (const text of lasting) expect(text).not.toMatch(/\.e\w*\d/)
    }
    await page
      .getByRole('region', { name: 'Under the pointer' })
      .getByRole('button', { name: /div\.item\./ })
      .click()
    await choices
      .getByRole('button', { name: /all 24 like it/ })
      .first()
      .click()
    await page.getByRole('button', { name: /^Give way/ }).click()
    // The lean of each by an attribute of its own.
    await page.getByRole('button', { name: 'More' }).click()
    const each = page.getByRole('group', { name: 'Per element' })
    await expect(each.getByRole('button', { name: /^\d+, .*like the others/ })).toHaveCount(24)
    await each.getByRole('button', { name: /^2, / }).click()
    await each.getByLabel(/^Per element: how far it leans/).fill('21')
    await page.keyboard.press('Enter')
    await expect(each.getByRole('button', { name: /^2, .*: 21deg/ })).toBeVisible()
    await page.reload()
    stage = await stageOf(page)
    const { own } = await openExport(page)
    await expectLean(own, '.item-card', 21 * 0.9)
    await expectLean(own, '.item-card', 0, 3)
  },
)

test(
  'a page in utility classes comes in by pasting, is pointed at by its structure, and carries an effect out again',
  long,
  async ({ page, house }) => {
    await toStudio(page, await house.addSite('utility', cardsPage))
    await stageOf(page)
    const drawer = await openPages(page)
    await drawer.getByRole('button', { name: 'Paste HTML and CSS …' }).click()
    await drawer.getByLabel('HTML of a page').fill(utilityDressed().html)
    await drawer.getByLabel('CSS of the page').fill(utilityDressed().sheets['pasted.css'] ?? '')
    await drawer.getByRole('button', { name: 'Import pasted HTML' }).click()
    await expect(page.getByRole('button', { name: 'Page: Paths of the hollow' })).toBeVisible()
    await page.keyboard.press('g')
    await pointAndKeep(page, 'li:nth-child(2) h3', /li\.stack-3/, /ul > li/)
    const { own } = await openExport(page)
    await expectLean(own, 'ul > li')
  },
)

test('pages are renamed, moved, copied, removed and brought back, and all of it is undone', async ({ page, house }) => {
  await toStudio(page, await house.addSite('many', cardsPage))
  await stageOf(page)
  const drawer = await openPages(page)
  const names = async () =>
    Promise.all((await drawer.getByRole('textbox', { name: /^Name of the page/ }).all()).map((field) => field.inputValue()))
  await drawer.getByRole('button', { name: 'Duplicate A page' }).click()
  await drawer.getByLabel('Name of the page A page, copy').fill('Second')
  await page.keyboard.press('Enter')
  await eventually(names).toEqual(['A page', 'Second'])
  await drawer.getByRole('button', { name: 'Move Second up' }).click()
  await eventually(names).toEqual(['Second', 'A page'])
  await drawer.getByRole('button', { name: 'Remove A page' }).click()
  await eventually(names).toEqual(['Second'])
  await expect(drawer.getByRole('button', { name: 'Remove Second' })).toBeDisabled()
  await drawer.getByRole('button', { name: 'Bring back' }).click()
  await eventually(names).toEqual(['Second', 'A page'])
  for (let i = 0; i < 5; i++) await page.getByRole('button', { name: /^Undo/ }).click()
  await eventually(names).toEqual(['A page'])
  await expect(page.getByRole('status').getByText('· saved')).toBeVisible()
  const [row] = await house.query('SELECT JSON_LENGTH(document, ?) AS pages FROM sites WHERE id = ?', ['$.pages', 'many'])
  expect(row?.pages).toBe(1)
})

test('a newer version finds its elements again, and names what is lost with what it may have become', async ({ page, house }) => {
  await toStudio(page, await house.addSite('newer', cardsPage, [tiltOnCards()]))
  await stageOf(page)
  const drawer = await openPages(page)
  await drawer.getByLabel('It is a newer version of the page that is open now').check()
  await bringFiles(page, [
    { name: 'index.html', text: cardsPage.replaceAll('class="card"', 'class="plaque"').replaceAll('.card', '.plaque') },
  ])
  await expect(drawer.getByText('One effect does not find their elements here.')).toBeVisible()
  await drawer.getByRole('button', { name: '.plaque, 8' }).click()
  const stage = await stageOf(page)
  await eventually(() => countOfEffect(stage).catch(() => 0)).toBe(8)
})

const hugeHtml = () => `<p>${'x'.repeat(50 * 1024 * 1024)}`
const bomb = () => Buffer.from(zipSync({ 'index.html': new TextEncoder().encode('<p>x'), 'zeros.bin': new Uint8Array(13 * 1024 * 1024) }))
const outsideZip = () => Buffer.from(zipSync({ '../../evil.html': new TextEncoder().encode('<p>x') }))
const crowded = () =>
  Buffer.from(zipSync(Object.fromEntries(Array.from({ length: 100_000 }, (_, i) => [`f${i}`, new Uint8Array()])), { level: 0 }))

const refusals: readonly (readonly [what: string, name: string, make: () => Buffer, words: RegExp])[] = [
  ['50 MB of HTML', 'big.html', () => Buffer.from(hugeHtml()), /"big\.html" has 50\.0 MB; a page may have 4\./],
  ['a ZIP that unpacks to far more', 'bomb.zip', bomb, /"zeros\.bin" in the ZIP has more than 12 MB\./],
  ['a ZIP with names that lead out of it', 'out.zip', outsideZip, /would lie outside of it\./],
  ['a ZIP with 100,000 files', 'crowd.zip', crowded, /The ZIP holds more than 3000 files\./],
  ['a broken ZIP', 'broken.zip', () => Buffer.from('PK\u0003\u0004 nothing of the sort'), /The ZIP is broken/],
  [
    'a picture that is called HTML',
    'page.html',
    () => Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13]),
    /"page\.html" is called HTML, but is really a picture \(PNG\)\./,
  ],
  ['an empty page', 'empty.html', () => Buffer.from(''), /"empty\.html" is empty\.|nothing in what you brought/],
  [
    'a picture alone',
    'only.svg',
    () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'),
    /There is no HTML file in what you brought\./,
  ],
]

test('what cannot be taken is refused in a sentence, and nothing of it stays', long, async ({ page, ownHouse: house }) => {
  // In a house of its own, where nobody else keeps anything meanwhile.
  await page.goto(await house.addSite('refused', cardsPage))
  await stageOf(page)
  const drawer = await openPages(page)
  const kept = () => house.query('SELECT (SELECT COUNT(*) FROM assets) AS assets, (SELECT COUNT(*) FROM page_sources) AS sources')
  const before = await kept()
  for (const [what, name, make, words] of refusals) {
    await bringFiles(page, [{ name, text: make() }])
    await expect(drawer.getByRole('alert'), what).toContainText(words)
    expect(await kept(), what).toEqual(before)
  }
})

test(
  'odd pages are taken as far as is sensible: broken markup, another encoding, a sheet with faults, missing files, a long name, 20,000 elements',
  long,
  async ({ page, house }) => {
    await toStudio(page, await house.addSite('odd', cardsPage))
    await stageOf(page)
    const drawer = await openPages(page)
    const latin = Buffer.from(
      '<html><head><meta charset="windows-1252"><title>Caf\xe9</title></head><body><p class="p">na\xefve</p></body></html>',
      'latin1',
    )
    await bringFiles(page, [{ name: 'latin.html', text: latin }])
    await expect(page.getByRole('button', { name: 'Page: Café' })).toBeVisible()
    await eventually(async () => (await stageOf(page)).evaluate(() => document.querySelector('.p')?.textContent).catch(() => '')).toBe(
      'naïve',
    )

    await bringFiles(page, [
      {
        name: 'broken.html',
        text: '<title>Broken</title><div><p>one<div></p><table><b>two</table></span><img src="gone.png"><style>.x { colr red; } @nonsense; .y { color: rgb(1, 2, 3) }</style><p class="y">three',
      },
    ])
    await expect(page.getByRole('button', { name: 'Page: Broken' })).toBeVisible()
    await expect(drawer.getByText('A picture did not come along: its place is empty.')).toBeVisible()
    await eventually(async () =>
      (await stageOf(page)).evaluate(() => getComputedStyle(document.querySelector('.y') as Element).color).catch(() => ''),
    ).toBe('rgb(1, 2, 3)')

    await bringFiles(page, [{ name: 'long.html', text: `<title>${'name '.repeat(100)}</title><p>x` }])
    await expect(page.getByRole('button', { name: /^Page: name name .*…$/ })).toBeVisible()

    await bringFiles(page, [
      {
        name: 'large.html',
        text: `<title>Large</title><main>${'<section class="part"><p class="line">x</p></section>'.repeat(10_000)}</main>`,
      },
    ])
    await expect(page.getByRole('button', { name: 'Page: Large' })).toBeVisible()
    await eventually(async () =>
      (await stageOf(page)).evaluate(() => document.querySelectorAll('*').length).catch(() => 0),
    ).toBeGreaterThan(20_000)
    await page.keyboard.press('g')
    await page.keyboard.press('p')
    await clickOnPage(page, await stageOf(page), '.line >> nth=0')
    await expect(
      page
        .getByRole('region', { name: 'Which elements' })
        .getByRole('button', { name: /all 10000 like it/ })
        .first(),
    ).toBeVisible()
  },
)

test('a page is dropped with a picture that holds a script: the picture is seen, and the script runs nowhere', async ({ page, house }) => {
  await toStudio(page, await house.addSite('dropped', cardsPage))
  await stageOf(page)
  await openPages(page)
  await page.evaluate(() => {
    const told: unknown[] = []
    Object.assign(window, { told })
    addEventListener('message', ({ data }) => data === 'deed' && told.push(data))
    const transfer = new DataTransfer()
    transfer.items.add(
      new File(['<title>Dropped</title><img src="a.svg"><object data="a.svg"></object><embed src="a.svg"><p class="p">x'], 'index.html', {
        type: 'text/html',
      }),
    )
    transfer.items.add(
      new File(
        [
          '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9" onload="top.postMessage(\'deed\',\'*\')"><script>top.postMessage("deed","*")</script></svg>',
        ],
        'a.svg',
        { type: 'image/svg+xml' },
      ),
    )
    const target = [...document.querySelectorAll('div')].findLast((each) => each.textContent.startsWith('Drop an HTML file'))?.parentElement
    for (const type of ['dragover', 'drop'])
      target?.dispatchEvent(new DragEvent(type, { bubbles: true, cancelable: true, dataTransfer: transfer }))
  })
  await expect(page.getByRole('button', { name: 'Page: Dropped' })).toBeVisible()
  await eventually(async () => (await stageOf(page)).evaluate(() => document.images[0]?.naturalWidth).catch(() => 0)).toBe(9)
  await page.waitForTimeout(500)
  expect(await page.evaluate(() => (window as unknown as { told: unknown[] }).told)).toEqual([])
  await expect(drawerOf(page).getByText('A frame or an embedded page stays empty.').first()).toBeVisible()
})

test('a stylesheet elsewhere is named with what it leaves bare, and a file given for it is used', async ({ page, house }) => {
  await toStudio(
    page,
    await house.addSite('given', '<title>Given</title><link rel="stylesheet" href="https://example.org/far.css"><p class="p">x'),
  )
  await stageOf(page)
  const drawer = await openPages(page)
  await expect(drawer.getByText('A stylesheet is elsewhere and is not loaded: what it styles stands bare.')).toBeVisible()
  await drawer
    .getByLabel('A file for https://example.org/far.css')
    .setInputFiles({ name: 'far.css', mimeType: 'text/css', buffer: Buffer.from('.p { color: rgb(4, 5, 6) }') })
  await eventually(async () =>
    (await stageOf(page)).evaluate(() => getComputedStyle(document.querySelector('.p') as Element).color).catch(() => ''),
  ).toBe('rgb(4, 5, 6)')
  await expect(drawer.getByText('Nothing: the page is here as a whole.')).toBeVisible()
})

test('the snippet saves a page as it is rendered, with its styles and pictures inside, as one file that can be brought in', async ({
  page,
  house,
}) => {
  const source = await (await page.request.get(`${house.address}/api/snippet`)).text()
  await page.route('http://made-up.test/**', (route) => {
    const path = new URL(route.request().url()).pathname
    if (path === '/')
      return route.fulfill({
        contentType: 'text/html',
        body: '<!doctype html><title>Rendered</title><link rel="stylesheet" href="a.css"><body onclick="x()"><img src="p.svg" srcset="p.svg 2x"><script>document.body.insertAdjacentHTML("beforeend", "<p class=late>made by script</p>")</script></body>',
      })
    if (path === '/a.css') return route.fulfill({ contentType: 'text/css', body: '.late { color: rgb(9, 8, 7); background: url(p.svg) }' })
    return route.fulfill({ contentType: 'image/svg+xml', body: '<svg xmlns="http://www.w3.org/2000/svg" width="4" height="4"/>' })
  })
  await page.goto('http://made-up.test/')
  const [download] = await Promise.all([page.waitForEvent('download'), page.evaluate(source)])
  expect(download.suggestedFilename()).toBe('Rendered.html')
  const saved = readFileSync(await download.path(), 'utf8')
  expect(saved).not.toMatch(/<script|onclick|srcset|href="a\.css"/)
  expect(saved).toContain('made by script')
  expect(saved.match(/data:image\/svg\+xml/g)?.length).toBeGreaterThanOrEqual(2)
  await page.setContent(saved)
  expect(
    await page.evaluate(() => [getComputedStyle(document.querySelector('.late') as Element).color, document.images[0]?.naturalWidth]),
  ).toEqual(['rgb(9, 8, 7)', 4])
  expect(strFromU8(Buffer.from(saved)).startsWith('<!doctype html>')).toBe(true)
})

test('a page begins blank or with a starter, and the site is renamed where one works on it', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('fresh', cardsPage))
  await stageOf(page)
  await page.getByRole('button', { name: /^Page: / }).click()
  await page.getByRole('menuitem', { name: 'New blank page' }).click()
  await expect(page.getByRole('button', { name: 'Page: Blank page' })).toBeVisible()
  await eventually(async () => (await stageOf(page)).evaluate(() => document.title)).toBe('Blank page')
  const drawer = await openPages(page)
  await drawer.getByRole('region', { name: 'New page' }).getByRole('button', { name: 'Card grid' }).click()
  await eventually(async () => (await stageOf(page)).locator('.grid-card').count()).toBe(6)
  await page.getByLabel('Name of the site', { exact: true }).fill('Ferry pier')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status').filter({ hasText: /^· saved$/ })).toBeVisible()
  await page.goto(house.address)
  await page.goto(house.address)
  await expect(page.getByRole('region', { name: 'Ferry pier' })).toContainText('3 pages')
})

test('the history shows the page as it was beside the page as it is', async ({ page, house }) => {
  const { frame } = await openStarter(page, house, 'card')
  const heading = frame.locator('.card h3').first()
  const before = await heading.innerText()
  const { x, y } = await heading.evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
  const at = await onScreen(page, x + 20, y + 8)
  await page.mouse.dblclick(at.x, at.y)
  await page.keyboard.press('Control+a')
  await page.keyboard.type('Another name')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /^Undo: / })).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: /^· saved$/ })).toBeVisible()
  await page.getByRole('button', { name: 'History', exact: true }).click()
  await page.getByRole('complementary', { name: 'History' }).getByRole('button', { name: 'Show changes' }).last().click()
  const shown = (of: RegExp) => {
    const one = page.frames().find((each) => of.test(each.url()))
    return one ? one.locator('.card h3').first().innerText().catch(() => '') : '' // prettier-ignore
  }
  await eventually(() => shown(/visit=noscript&version=\d/)).toBe(before)
  await eventually(() => shown(/visit=noscript&of=/)).toBe('Another name')
})
