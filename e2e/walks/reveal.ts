import type { Page } from '@playwright/test'
import { starters } from '../../src/core/page/starters'
import { openStarter } from '../support/acts'
import { eventually, expect } from '../support/house'
import { boxOf } from '../support/readings'
import { stageOf } from '../support/stage'
import type { Walk } from '../support/walk'

const grid = starters.find(({ id }) => id === 'picture-grid') ?? { html: '', css: '' }

/** A page whose pictures fade in by its own script. */
const fadingPage = (css: string, body: string) =>
  `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>A site</title><style>img { opacity: 0; transition: opacity 0.6s } img.is-there { opacity: 1 }\n${css}</style></head><body>${body}<script>addEventListener("load", () => document.querySelectorAll("img").forEach((each) => each.classList.add("is-there")))</script></body></html>`

const listStyles =
  'ul { list-style: none } .plate { display: block; width: 300px; height: 200px; overflow: hidden } .plate img { width: 100%; height: 100%; object-fit: cover; display: block }'
const source = /src="([^"]+)"/.exec(grid.html)?.[1] ?? ''
const list = `<ul>${[1, 2, 3, 4].map((n) => `<li><a class="work" href="#w${n}"><span class="plate"><img alt="" src="${source}"></span>Work ${n}</a></li>`).join('')}</ul>`

/** Cards with two faces in another markup. */
const rooms = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Other</title><style>body { margin: 40px } .tile { width: 240px; margin-bottom: 20px } .tile > div { padding: 20px; background: #dde } </style></head><body>${[1, 2].map((n) => `<section class="tile"><div><h3>Room ${n}</h3></div><div><p>A bed, a desk, and the window to the yard.</p><button>Book</button></div></section>`).join('')}</body></html>`

export const results: readonly Walk[] = [
  {
    id: 'tall-pictures-travel',
    result: 10,
    acts: 3,
    title: 'Three tall pictures that travel in their frames at one pace, by tap too',
    isFor: 'Long things in short frames: web pages, posters, trees.',
    starters: ['tall-pictures'],
    moments: [
      { words: 'On its way down', on: '.tall-frame', index: 1, restMs: 1600 },
      { words: 'Further on', on: '.tall-frame', index: 1, restMs: 4200 },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.tall-frame img', 0.5, 0.2)
      await hand.clickOn(/all 3 like it/)
      await hand.clickOn(/^One pace/)
    },
    check: async ({ alone, browser, file }) => {
      const goingOf = (surface: Page, i: number) =>
        surface.evaluate((index) => {
          const image = document.querySelectorAll('.tall-frame img')[index] as HTMLElement
          const away = image.offsetHeight - (image.parentElement as HTMLElement).clientHeight
          const ms = Number(image.getAnimations()[0]?.effect?.getComputedTiming().duration ?? 0)
          return { away, pace: ms > 0 ? Math.round((away / ms) * 1000) : 0 }
        }, i)
      const ways: number[] = []
      for (const i of [0, 1, 2]) {
        const box = await boxOf(alone, '.tall-frame', i)
        await alone.mouse.move(box.x + 50, box.y + 50)
        await eventually(async () => (await goingOf(alone, i)).pace).toBe(140)
        ways.push((await goingOf(alone, i)).away)
      }
      expect(new Set(ways).size).toBe(3)
      const phone = await browser.newContext({ hasTouch: true, isMobile: true, viewport: { width: 900, height: 700 } })
      const touched = await phone.newPage()
      await touched.goto(`file://${file}`)
      const box = await boxOf(touched, '.tall-frame', 1)
      await touched.touchscreen.tap(box.x + 60, box.y + 60)
      await eventually(async () => (await goingOf(touched, 1)).pace).toBe(140)
      await phone.close()
    },
  },
  {
    id: 'panels-one-grows',
    result: 16,
    acts: 5,
    title: 'A row of six panels of which the met one grows, contents unseen until then, films playing only then',
    isFor: 'Many chapters side by side, and room for one.',
    starters: ['panels'],
    moments: [
      { words: 'The second panel', on: '.panel', index: 1, v: 0.7 },
      { words: 'The fifth panel', on: '.panel', index: 4, v: 0.7 },
    ],
    walk: async ({ page, hand, frame }) => {
      await hand.pointAt(frame, '.panel-3', 0.5, 0.8)
      await hand.clickOn(/^One opens/)
      await expect(page.getByText(/the caption can put it on others/)).toBeVisible()
      await page.getByRole('button', { name: 'More', exact: true }).click()
      await hand.choose(/^Moving pictures play/, 'while it is open')
      // What is opened from now on notes what plays in it.
      await page.context().addInitScript(() => {
        const played: string[] = []
        Object.assign(window, { played })
        const note = (what: string) =>
          function (this: HTMLMediaElement) {
            played.push(`${what} ${[...document.querySelectorAll('video')].indexOf(this as HTMLVideoElement)}`)
            return Promise.resolve()
          }
        HTMLMediaElement.prototype.play = note('play')
        HTMLMediaElement.prototype.pause = function (this: HTMLMediaElement) {
          void note('pause').call(this)
        }
      })
    },
    check: async ({ alone }) => {
      const widths = () => alone.locator('.panel').evaluateAll((all) => all.map((each) => each.getBoundingClientRect().width))
      const seen = () => alone.locator('.panel-content').evaluateAll((all) => all.map((each) => getComputedStyle(each).opacity))
      const played = () => alone.evaluate(() => (window as unknown as { played: string[] }).played.splice(0))
      await eventually(seen).toEqual(['0', '0', '0', '0', '0', '0'])
      const box = await boxOf(alone, '.panel', 1)
      await alone.mouse.move(box.x + 50, box.y + 200)
      await eventually(seen).toEqual(['0', '1', '0', '0', '0', '0'])
      // Within paddings of 22 px it is 2.4 times as wide as the others, and its words have just the width that is there.
      await eventually(async () => {
        const [first = 0, open = 0] = await widths()
        return Math.round(((open - 44) / (first - 44)) * 100) / 100
      }).toBe(2.4)
      const [open, content] = [await boxOf(alone, '.panel', 1), await boxOf(alone, '.panel-content', 1)]
      expect(content.width).toBeCloseTo(open.width - 44, 0)
      expect((await played()).filter((each) => each.startsWith('play'))).toEqual(['play 1'])
      await alone.mouse.move(box.x + 50, 700)
      await eventually(seen).toEqual(['0', '0', '0', '0', '0', '0'])
      expect((await played()).at(-1)).toMatch(/^pause/)
    },
  },
  {
    id: 'frames-draw-in',
    result: 19,
    acts: 6,
    title:
      'On several pages of a site, with different markup, every picture’s frame draws in while the picture grows, without hurting the site’s own fade',
    isFor: 'One answer for all pictures of a site, however its pages are built.',
    starters: [],
    moments: [
      { words: 'A frame that is met', on: '.plate', index: 0 },
      { words: 'Another one', on: '.plate', index: 1 },
    ],
    begin: async (page, house) => {
      await page.goto(await house.addSite('two-pages', fadingPage(grid.css, grid.html), [], { other: fadingPage(listStyles, list) }))
      return { frame: await stageOf(page), exported: `${new URL(house.address).origin}/export/two-pages/other` }
    },
    walk: async ({ page, house, hand, frame }) => {
      await hand.pointAt(frame, '.picture-card', 0.5, 0.4)
      await hand.clickOn(/all 6 like it/)
      await hand.clickOn(/^Even mount/)
      await expect(page.getByRole('status').filter({ hasText: /^· saved$/ })).toBeVisible()
      await page.goto(`${new URL(house.address).origin}/studio/two-pages/other`)
      await hand.pointAt(await stageOf(page), '.plate', 0.5, 0.4)
      await hand.clickOn(/all 4 like it/)
      await hand.clickOn(/^Even mount/)
    },
    check: async ({ page, open }) => {
      for (const [name, frame] of [
        ['page', '.picture-card'],
        ['other', '.plate'],
      ] as const) {
        const alone = await open(`${new URL(page.url()).origin}/export/two-pages/${name}`)
        const image = alone.locator(`${frame} img`).first()
        const styleOf = (property: string) => image.evaluate((element, each) => getComputedStyle(element).getPropertyValue(each), property)
        // The site's own fade is on its way, and comes to its end.
        await eventually(() => styleOf('opacity')).toBe('1')
        expect(await styleOf('transition-property')).toBe('opacity, clip-path, scale')
        expect((await styleOf('transition-duration')).split(', ')).toEqual(['0.6s', '0.34s', '0.34s'])
        const box = await boxOf(alone, frame)
        await alone.mouse.move(box.x + 3, box.y + 60)
        await eventually(() => styleOf('scale')).toBe('1.06')
        // The corners of the frame are kept.
        const round = frame === '.picture-card' ? ' round 9\\.43\\d*px' : ''
        await eventually(() => styleOf('clip-path')).toMatch(new RegExp(`^inset\\(calc\\(2\\.83\\d*% \\+ 11\\.32\\d*px\\)${round}\\)$`))
        await alone.mouse.move(box.x + 3, box.y + box.height + 300)
        await eventually(() => styleOf('scale')).toBe('none')
        await alone.close()
      }
    },
  },
  {
    id: 'two-faced-cards',
    result: 21,
    acts: 5,
    title: 'Three two-faced cards with a button on the back, saved as a preset and used again with other content',
    isFor: 'What is on the back is worth a turn; and what was made once is made for good.',
    starters: [],
    moments: [
      { words: 'A card turned over', on: '.tile', index: 0, v: 0.3 },
      { words: 'The other one', on: '.tile', index: 1, v: 0.3 },
    ],
    begin: (page, house) => openStarter(page, house, 'faces'),
    exported: (house) => `${new URL(house.address).origin}/export/rooms/page`,
    walk: async ({ page, house, hand, frame }) => {
      await hand.pointAt(frame, '.two-faced', 0.5, 0.2)
      await hand.clickOn(/^Turned over/)
      await page.getByRole('button', { name: 'More', exact: true }).click()
      await hand.clickOn('Save as a preset')
      await expect(page.getByText('Turned over is kept as a preset', { exact: false })).toBeVisible()
      await page.goto(await house.addSite('rooms', rooms))
      await hand.pointAt(await stageOf(page), '.tile', 0.5, 0.2)
      await page.getByRole('button', { name: 'Your presets' }).click()
      await hand.clickOn('Put it on this')
    },
    check: async ({ alone, page }) => {
      const seen = (index: number) =>
        alone
          .locator('.tile')
          .nth(index)
          .evaluate((tile) => [...tile.children].map((face) => getComputedStyle(face).visibility))
      await eventually(() => seen(0)).toEqual(['visible', 'hidden'])
      const box = await boxOf(alone, '.tile', 1)
      await alone.mouse.move(box.x + 60, box.y + 20)
      await eventually(() => seen(1)).toEqual(['hidden', 'visible'])
      expect(await seen(0)).toEqual(['visible', 'hidden'])
      await alone.mouse.move(700, 700)
      await eventually(() => seen(1)).toEqual(['visible', 'hidden'])
      // By keys: the card, then the button on its back.
      await alone.keyboard.press('Tab')
      await eventually(() => seen(0)).toEqual(['hidden', 'visible'])
      await alone.keyboard.press('Tab')
      expect(await alone.evaluate(() => document.activeElement?.textContent)).toBe('Book')
      // Presets are for all sites: others shall find none of it.
      const { origin } = new URL(page.url())
      for (const { id } of (await (await page.request.get(`${origin}/api/presets`)).json()) as { id: string }[])
        await page.request.delete(`${origin}/api/presets/${id}`, { headers: { origin } })
    },
  },
]
