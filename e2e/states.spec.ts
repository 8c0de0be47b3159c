// Hover looks, pulls, zones, notes and rows as they are exported: what each is like under the pointer, by keys and by finger, and that nothing is left.
import type { Page } from '@playwright/test'
import { writeFileSync } from 'node:fs'
import { effectOf, exportAlone, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { styleOf } from './support/readings'
import { record } from './support/recorder'

const page = (css: string, body: string) =>
  `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>States</title><style>* { box-sizing: border-box } body { margin: 0; font: 16px/1.4 sans-serif } ${css}</style></head><body>${body}</body></html>`
const settled = (surface: Page) =>
  surface.evaluate(() => {
    for (const animation of document.getAnimations()) animation.finish()
  })
/** What an effect says of an element, by the attribute that its rules go by; null where it says nothing. */
const markOf = (surface: Page, select: string) =>
  surface
    .locator(select)
    .first()
    .evaluate((element) => element.getAttribute(element.getAttributeNames().find((name) => name.startsWith('data-')) ?? ''))
const role = (select: string) => ({ select, noun: 'it' })

test.describe('a hover look', () => {
  const html = page(
    '.key { display: block; width: 200px; height: 50px; margin: 40px; background: #e3cfa2 } .key i { display: inline-block; width: 20px; height: 20px; background: #222 } .side { margin: 40px } main { display: grid; grid-template-columns: 300px 300px }',
    `<main>${[1, 2, 3].map((n) => `<a class="key" href="#${n}"><i></i><i></i><i></i></a><p class="side">Side ${n}</p>`).join('')}</main>`,
  )
  const look = (changes: object, roles: Readonly<Record<string, { select: string; noun: string }>> = {}) =>
    effectOf('hover-look', '.key', settingsOf('hover-look', changes), { roles })

  test('rises without flickering at the edge that it leaves, is another when pressed, and dims the others', async ({
    page: alone,
  }, info) => {
    await openAlone(alone, html, [look({ risePx: 8, pressPercent: 90, others: 'dim', othersPercent: 40 })], info.outputPath('page.html'))
    expect(await alone.locator('script').count()).toBe(0)
    const box = await alone.locator('.key').first().boundingBox()
    if (!box) throw new Error('There is no key.')
    await alone.mouse.move(box.x + 100, box.y + box.height - 2)
    await eventually(() => styleOf(alone, '.key', 'translate')).toBe('0px -8px')
    await settled(alone)
    // Two px from its lower edge, which is eight px higher by now.
    for (let i = 0; i < 10; i++) {
      await alone.waitForTimeout(20)
      expect(await styleOf(alone, '.key', 'translate')).toBe('0px -8px')
    }
    await eventually(() => styleOf(alone, '.key', 'opacity', 1)).toBe('0.4')
    expect(await styleOf(alone, '.key', 'opacity', 0)).toBe('1')
    await alone.mouse.move(box.x + 100, box.y + 20)
    await alone.mouse.down()
    await eventually(() => styleOf(alone, '.key', 'scale')).toBe('0.9')
    await alone.mouse.up()
    await alone.mouse.move(box.x + 280, box.y + 300)
    await eventually(() => styleOf(alone, '.key', 'translate')).toBe('none')
    await eventually(() => styleOf(alone, '.key', 'opacity', 2)).toBe('1')
    // The focus does what the pointer does.
    await alone.keyboard.press('Tab')
    await eventually(async () =>
      (await Promise.all([0, 1, 2].map((i) => styleOf(alone, '.key', 'translate', i)))).filter((each) => each !== 'none'),
    ).toHaveLength(1)
  })

  test('comes by a spring that goes past its mark, and goes without one', async ({ page: alone }, info) => {
    await openAlone(
      alone,
      html,
      [look({ risePx: 0, growPercent: 150, way: 'spring', comeMs: 400, overshootPercent: 30 })],
      info.outputPath('page.html'),
    )
    await alone.locator('.key').first().hover()
    // The browser's own transition, gone through at moments of its own.
    const scales = await alone.evaluate(() => {
      const key = document.querySelector('.key') as HTMLElement
      const transition = key.getAnimations().find((each) => each instanceof CSSTransition && each.transitionProperty === 'scale')
      if (!transition) return []
      transition.pause()
      const seen = Array.from({ length: 101 }, (_, i) => {
        transition.currentTime = 4 * i
        return Number(getComputedStyle(key).scale)
      })
      transition.finish()
      return seen
    })
    expect(Math.max(...scales)).toBeGreaterThan(1.64)
    expect(Math.max(...scales)).toBeLessThan(1.66)
    await eventually(() => styleOf(alone, '.key', 'scale')).toBe('1.5')
  })

  test('has pieces that set out by their order, or by their distance from the pointer, and takes what is linked along', async ({
    page: alone,
  }, info) => {
    const roles = { pieces: role('.key i'), linked: role('.side') }
    await openAlone(alone, html, [look({ risePx: 0, staggerMs: 50 }, { pieces: role('.key i') })], info.outputPath('order.html'))
    const delays = () => Promise.all([0, 1, 2].map((i) => styleOf(alone, '.key i', 'transition-delay', i)))
    expect((await delays()).map((each) => each.split(', ')[0])).toEqual(['0s', '0.05s', '0.1s'])
    await openAlone(alone, html, [look({ risePx: 0, staggerMs: 100, staggerBy: 'pointer' }, roles)], info.outputPath('away.html'))
    await eventually(() => markOf(alone, '.key')).toBe('off')
    const at = await alone.locator('.key i').nth(2).boundingBox()
    if (!at) throw new Error('There is no piece.')
    expect(await styleOf(alone, '.side', 'opacity')).toBe('0')
    await alone.mouse.move(at.x + 10, at.y + 10)
    await eventually(async () => Number((await delays())[0]?.replace(/s.*/, ''))).toBeGreaterThan(0.04)
    const seconds = (await delays()).map((each) => Number.parseFloat(each))
    // Where it comes from it lies ten px lower.
    expect(seconds[2]).toBeLessThan(0.015)
    // A hundred ms for each hundred px.
    expect(seconds[0]).toBeCloseTo(Math.hypot(at.x - ((await alone.locator('.key i').nth(0).boundingBox())?.x ?? 0), 0) / 1000, 2)
    await eventually(() => styleOf(alone, '.side', 'opacity')).toBe('1')
    expect(await styleOf(alone, '.side', 'opacity', 1)).toBe('0')
  })
})

test.describe('a pull', () => {
  const html = page(
    '.key { position: absolute; width: 120px; height: 60px; top: 200px } .key b { display: block; width: 20px; height: 20px; background: #222 }',
    [0, 1, 2].map((n) => `<button class="key" style="left: ${200 + n * 300}px"><b></b></button>`).join(''),
  )
  const pull = (changes: object = {}) =>
    effectOf('pull', '.key', settingsOf('pull', { follow: { kind: 'direct' }, ...changes }), { roles: { inner: role('.key b') } })
  const shiftOf = async (alone: Page, select: string, index = 0) => {
    const [, , , , x = 0, y = 0] = ((await styleOf(alone, select, 'transform', index)).match(/-?[\d.]+/g) ?? []).map(Number)
    return [x, y].map((each) => Math.round(each * 10) / 10)
  }

  test('comes its share of the way, what it holds a little more, and never leaves the place where it is pressed', async ({
    page: alone,
  }, info) => {
    await openAlone(alone, html, [pull({ sharePercent: 40, innerPercent: 20, mostPx: 200, reachPx: 60 })], info.outputPath('page.html'))
    await alone.mouse.move(290, 250)
    await eventually(() => shiftOf(alone, '.key')).toEqual([12, 8])
    expect(await shiftOf(alone, '.key b')).toEqual([6, 4])
    expect(await shiftOf(alone, '.key', 1)).toEqual([0, 0])
    // Pressed there it is met: the click is heard.
    await alone.evaluate(() => document.querySelector('.key')?.addEventListener('click', () => (document.title = 'pressed')))
    await alone.mouse.click(290, 250)
    expect(await alone.title()).toBe('pressed')
    // Far above it would go 48 px up: 24 px of 60 stay where they lie.
    await openAlone(alone, html, [pull({ sharePercent: 90, mostPx: 300, reachPx: 200, innerPercent: 0 })], info.outputPath('far.html'))
    await alone.mouse.move(260, 120)
    await eventually(() => shiftOf(alone, '.key')).toEqual([0, -36])
    await alone.mouse.move(260, 640)
    await eventually(() => shiftOf(alone, '.key')).toEqual([0, 0])
  })

  test('stays at home for a finger, and for those who prefer reduced motion', async ({ browser }, info) => {
    const calm = await browser.newContext({ reducedMotion: 'reduce' })
    const alone = await calm.newPage()
    await openAlone(alone, html, [pull({ sharePercent: 40 })], info.outputPath('page.html'))
    await alone.mouse.move(290, 250)
    await eventually(() => markOf(alone, '.key')).toBe('')
    expect(await shiftOf(alone, '.key')).toEqual([0, 0])
    await calm.close()
  })
})

test.describe('zones', () => {
  const html = page(
    'main { display: flex; height: 300px; margin: 0 200px } .bed { flex: 1 } svg { display: block }',
    `<main>${[1, 2, 3, 4].map((n) => `<section class="bed">${n}</section>`).join('')}</main><svg width="400" height="100">${[1, 2, 3, 4].map((n) => `<circle class="dot" cx="${n * 80}" cy="50" r="20"></circle>`).join('')}</svg><p style="height: 900px"></p>`,
  )
  const zones = (changes: object = {}) =>
    effectOf('zones', '.bed', settingsOf('zones', { marginXPx: 200, comeMs: 0, goMs: 0, ...changes }), { roles: { linked: role('.dot') } })
  const chosen = (alone: Page, select = '.bed') =>
    alone.locator(select).evaluateAll((all) => all.map((each) => Number(each.getAttributeNames().some((name) => name.endsWith('-chosen')))))

  test('choose anywhere in the window, within margins beyond which the last stays, with what is linked, SVG too', async ({
    page: alone,
  }, info) => {
    await openAlone(alone, html, [zones()], info.outputPath('page.html'))
    // From the start the first one.
    await eventually(() => chosen(alone)).toEqual([1, 0, 0, 0])
    const { width } = alone.viewportSize() ?? { width: 1280 }
    const at = (share: number) => 200 + share * (width - 400)
    for (const [x, which] of [
      [at(0.3), 1],
      [at(0.6), 2],
      [width - 20, 3],
      [10, 0],
      [at(0.99), 3],
    ] as const) {
      await alone.mouse.move(x, 600)
      const told = [0, 1, 2, 3].map((n) => Number(n === which))
      await eventually(() => chosen(alone)).toEqual(told)
      expect(await chosen(alone, '.dot')).toEqual(told)
      expect(await styleOf(alone, '.dot', 'opacity', which)).toBe('1')
      expect(await styleOf(alone, '.dot', 'opacity', (which + 1) % 4)).toBe('0')
    }
    await alone.mouse.move(at(0.3), -5)
    expect(await chosen(alone)).toEqual([0, 0, 0, 1])
    // There is nothing over the page: its text can be selected.
    expect(await alone.evaluate(() => document.elementFromPoint(260, 20)?.className)).toBe('bed')
  })

  test('are chosen by the focus on one of them', async ({ page: alone }, info) => {
    const linked = html.replaceAll(/<section class="bed">(\d)<\/section>/g, '<section class="bed"><a href="#$1">$1</a></section>')
    await openAlone(alone, linked, [zones({ first: 0 })], info.outputPath('page.html'))
    for (const which of [0, 1, 2]) {
      await alone.keyboard.press('Tab')
      await eventually(() => chosen(alone)).toEqual([0, 1, 2, 3].map((n) => Number(n === which)))
    }
    await alone.mouse.move(10, 600)
    await eventually(() => chosen(alone)).toEqual([1, 0, 0, 0])
  })

  test('are chosen by a tap on one of them, wherever its zone lies; elsewhere by the zone', async ({ browser }, info) => {
    const file = info.outputPath('page.html')
    writeFileSync(file, exportAlone(html.replace('margin: 0 200px', 'margin: 0'), [zones()]))
    const phone = await browser.newContext({ hasTouch: true, isMobile: true, viewport: { width: 390, height: 800 } })
    const alone = await phone.newPage()
    await alone.goto(`file://${file}`)
    // The margins leave no room for zones there.
    for (const which of [2, 1, 3, 0]) {
      await alone.locator('.bed').nth(which).tap()
      await eventually(() => chosen(alone)).toEqual([0, 1, 2, 3].map((n) => Number(n === which)))
    }
    await alone.locator('p').tap()
    await eventually(() => chosen(alone)).toEqual([0, 0, 1, 0])
    await phone.close()
  })

  test('tell the page’s own code, once for each change', async ({ page: alone }, info) => {
    await openAlone(alone, html, [zones()], info.outputPath('page.html'), { script: { allows: ['hasOwnCode'] } })
    await alone.evaluate(() => {
      const told: number[] = []
      Object.assign(window, { told })
      for (const name of ['bed-zones-zone', 'bed-zone', 'zones-zone'])
        document.addEventListener(name, (event) => told.push((event as CustomEvent<number>).detail))
    })
    for (let x = 240; x < 1000; x += 20) await alone.mouse.move(x, 400)
    const told = () => alone.evaluate(() => (window as unknown as { told: number[] }).told)
    await eventually(async () => (await told()).at(-1)).toBe(3)
    expect((await told()).filter((each, i, all) => each !== all[i - 1])).toEqual(await told())
  })

  test('go to the nearest of given boxes, by arrow keys too, and back to none', async ({ page: alone }, info) => {
    await openAlone(alone, html, [zones({ where: 'area', cut: 'nearest', first: 0, leaves: 'none' })], info.outputPath('page.html'))
    expect(await chosen(alone)).toEqual([0, 0, 0, 0])
    await alone.mouse.move(640, 200)
    await eventually(async () => (await chosen(alone)).join('')).toMatch(/^0(10|01)0$/)
    await alone.mouse.move(640, 650)
    await eventually(() => chosen(alone)).toEqual([0, 0, 0, 0])
    await openAlone(alone, html, [zones({ where: 'area', marginXPx: 0 })], info.outputPath('keys.html'))
    await expect(alone.locator('main')).toHaveAttribute('tabindex', '0')
    await alone.keyboard.press('Tab')
    for (let n = 0; n < 4; n++) await alone.keyboard.press('ArrowRight')
    await eventually(() => chosen(alone)).toEqual([0, 0, 0, 1])
    await alone.keyboard.press('Home')
    await eventually(() => chosen(alone)).toEqual([1, 0, 0, 0])
  })
})

test.describe('a note', () => {
  const html = page(
    'body { padding: 200px } .note { display: none; padding: 10px; background: #24424a; color: #fff } .term { color: #a8562f } .box { height: 120px; width: 500px; overflow: auto; border: 1px solid } .tall { height: 600px; padding-top: 90px }',
    `<p>A word <a class="term" href="#one">of the house</a><span class="note">What it is: <a class="inner" href="#inner">more</a></span>, and <button class="term" type="button">another</button><span class="note">And that.</span> in a line.</p>
     <div class="box"><div class="tall"><button class="term" type="button">in a box</button><span class="note">Third.</span></div></div>
     <p id="elsewhere">Elsewhere.</p>`,
  )
  const note = (changes: object = {}) => effectOf('note', '.term', settingsOf('note', changes), { roles: { note: role('.note') } })
  const isOpen = (alone: Page, index = 0) =>
    alone
      .locator('.note')
      .nth(index)
      .evaluate((element) => getComputedStyle(element).display !== 'none')
  const boxOf = async (alone: Page, select: string, index = 0) => {
    const box = await alone.locator(select).nth(index).boundingBox()
    if (!box) throw new Error(`${select} is not seen.`)
    return box
  }
  const toMiddle = async (alone: Page, select: string, index = 0) => {
    const { x, y, width, height } = await boxOf(alone, select, index)
    await alone.mouse.move(x + width / 2, y + height / 2)
  }

  test('comes up over what it is about, can be moved onto, waits, and goes on the same way', async ({ page: alone }, info) => {
    // It goes so slowly that a hand on a busy machine can call that off.
    await openAlone(alone, html, [note({ waitMs: 200, comeMs: 100, goMs: 1600 })], info.outputPath('page.html'))
    await eventually(() => isOpen(alone)).toBe(false)
    const onTheWay = () =>
      record(
        alone,
        () => {
          const { display, translate } = getComputedStyle(document.querySelector('.note') as HTMLElement)
          return display === 'none' ? undefined : Number(translate.split(' ')[1]?.replace('px', '') ?? 0)
        },
        undefined,
      )
    const ways = async ({ end }: Awaited<ReturnType<typeof onTheWay>>) =>
      (await end()).flatMap(({ value }) => (value === undefined ? [] : [value]))
    const coming = await onTheWay()
    await toMiddle(alone, '.term')
    await eventually(() => styleOf(alone, '.note', 'opacity')).toBe('1')
    await eventually(() => styleOf(alone, '.note', 'translate')).toMatch(/^(0px|none)$/)
    const came = await ways(coming)
    // From below to its place, and never beyond.
    expect(came[0]).toBeGreaterThan(0)
    expect(Math.min(...came)).toBeGreaterThanOrEqual(0)
    expect(came.at(-1)).toBe(0)
    const [term, lies] = [await boxOf(alone, '.term'), await boxOf(alone, '.note')]
    expect(lies.y + lies.height).toBeCloseTo(term.y - 10, 0)
    expect(lies.x + lies.width / 2).toBeCloseTo(term.x + term.width / 2, 0)
    // Over the gap onto the note, where it stays.
    await toMiddle(alone, '.note')
    await alone.waitForTimeout(400)
    expect(await isOpen(alone)).toBe(true)
    const going = await onTheWay()
    await alone.mouse.move(10, 600)
    await eventually(() => isOpen(alone)).toBe(false)
    const went = await ways(going)
    expect(Math.max(...went)).toBe(0)
    expect(Math.min(...went)).toBeLessThan(-3)
    // Coming back while it goes calls that off, from where it is.
    await toMiddle(alone, '.term')
    await eventually(() => styleOf(alone, '.note', 'opacity')).toBe('1')
    await alone.mouse.move(10, 600)
    await eventually(async () => Number(await styleOf(alone, '.note', 'opacity')) < 0.9).toBe(true)
    const again = await onTheWay()
    await toMiddle(alone, '.term')
    await eventually(() => styleOf(alone, '.note', 'opacity')).toBe('1')
    expect(Math.max(...(await ways(again)))).toBeLessThanOrEqual(0)
  })

  test('opens on focus and is read there, is closed by Escape with the focus where it is, and one of them is open at a time', async ({
    page: alone,
  }, info) => {
    await openAlone(alone, html, [note({ waitMs: 0, comeMs: 0, goMs: 0 })], info.outputPath('page.html'))
    await eventually(() => isOpen(alone)).toBe(false)
    await alone.keyboard.press('Tab')
    await eventually(() => isOpen(alone)).toBe(true)
    const id = await alone.locator('.term').first().getAttribute('aria-describedby')
    expect(await alone.locator(`[id="${id ?? ''}"]`).innerText()).toContain('What it is')
    await alone.keyboard.press('Escape')
    await eventually(() => isOpen(alone)).toBe(false)
    expect(await alone.evaluate(() => document.activeElement?.className)).toBe('term')
    await alone.keyboard.press('Tab')
    await eventually(() => isOpen(alone, 1)).toBe(true)
    await toMiddle(alone, '.term')
    await eventually(async () => [await isOpen(alone), await isOpen(alone, 1)]).toEqual([true, false])
    // What is in it can be focused, and keeps it.
    await alone.mouse.move(10, 600)
    await alone.evaluate(() => (document.activeElement as HTMLElement).blur())
    await alone.locator('.term').first().focus()
    await eventually(() => isOpen(alone)).toBe(true)
    await alone.keyboard.press('Tab')
    expect(await alone.evaluate(() => document.activeElement?.className)).toBe('inner')
    expect(await isOpen(alone)).toBe(true)
  })

  test('opens by a tap, on a link before it is followed, and closes by one elsewhere', async ({ browser }, info) => {
    const phone = await browser.newContext({ hasTouch: true, isMobile: true, viewport: { width: 900, height: 700 } })
    const alone = await phone.newPage()
    await openAlone(alone, html, [note({ waitMs: 0, comeMs: 0, goMs: 0 })], info.outputPath('page.html'))
    await eventually(() => isOpen(alone)).toBe(false)
    const tap = async (select: string, index = 0) => {
      const { x, y, width, height } = await boxOf(alone, select, index)
      await alone.touchscreen.tap(x + width / 2, y + height / 2)
    }
    await tap('.term')
    await eventually(() => isOpen(alone)).toBe(true)
    expect(alone.url()).not.toContain('#one')
    await tap('.term')
    await eventually(() => alone.url()).toContain('#one')
    await tap('#elsewhere')
    await eventually(() => isOpen(alone)).toBe(false)
    await tap('.term', 1)
    await eventually(() => isOpen(alone, 1)).toBe(true)
    await tap('#elsewhere')
    await eventually(() => isOpen(alone, 1)).toBe(false)
    // A busy page draws between a finger and its click.
    const slowTap = () =>
      alone
        .locator('.term')
        .first()
        .evaluate(async (term) => {
          const { x, y } = term.getBoundingClientRect()
          const at = { clientX: x + 2, clientY: y + 2, bubbles: true, cancelable: true, pointerType: 'touch', isPrimary: true }
          for (const type of ['pointerdown', 'pointerup']) {
            term.dispatchEvent(new PointerEvent(type, at))
            for (let i = 0; i < 3; i++) await new Promise(requestAnimationFrame)
          }
          return term.dispatchEvent(new PointerEvent('click', { ...at, detail: 1 }))
        })
    expect(await slowTap()).toBe(false)
    await eventually(() => isOpen(alone)).toBe(true)
    expect(await slowTap()).toBe(true)
    await phone.close()
  })

  for (const anchors of [true, false])
    test(`flips and shifts within the window and follows scroll, ${anchors ? 'by the stylesheet' : 'by the script where a browser has no anchors'}`, async ({
      page: alone,
    }, info) => {
      if (!anchors)
        await alone.addInitScript(() => {
          const own = CSS as unknown as { supports: (...asked: string[]) => boolean }
          const supports = own.supports.bind(CSS)
          own.supports = (...asked) => asked[0] !== 'position-area' && supports(...asked)
        })
      const withoutAnchors = (text: string) => text.replace(/^\s*position-(area|anchor|try-fallbacks|visibility): [^;]*;$/gm, '')
      const edges = page(
        '.note { display: none; width: 240px; height: 60px; background: #24424a } .term { position: absolute; width: 60px; height: 30px } body { height: 2400px }',
        `<button class="term" style="left: 300px; top: 4px">A</button><span class="note">A</span><button class="term" style="left: 0; top: 300px">B</button><span class="note">B</span>`,
      )
      await openAlone(
        alone,
        edges,
        [note({ waitMs: 0, comeMs: 0, goMs: 0, travelPx: 0 })],
        info.outputPath('page.html'),
        anchors ? {} : { changed: withoutAnchors },
      )
      await eventually(() => isOpen(alone)).toBe(false)
      await toMiddle(alone, '.term')
      await eventually(() => isOpen(alone)).toBe(true)
      // Above there is no room: it lies below.
      await eventually(async () => Math.round((await boxOf(alone, '.note')).y)).toBe(44)
      await toMiddle(alone, '.term', 1)
      await eventually(() => isOpen(alone, 1)).toBe(true)
      await eventually(async () => Math.round((await boxOf(alone, '.note', 1)).y)).toBe(230)
      // In the middle it would begin 90 px left of the window.
      expect(Math.round((await boxOf(alone, '.note', 1)).x)).toBe(0)
      await alone.mouse.wheel(0, 14)
      await eventually(async () => Math.round((await boxOf(alone, '.note', 1)).y)).toBe(216)
    })

  test('follows its anchor in a box that scrolls, and is not seen while that is scrolled out of sight', async ({ page: alone }, info) => {
    await openAlone(alone, html, [note({ waitMs: 4000, comeMs: 0, goMs: 0, travelPx: 0 })], info.outputPath('page.html'))
    await eventually(() => isOpen(alone, 2)).toBe(false)
    const anchor = await boxOf(alone, '.term', 2)
    await toMiddle(alone, '.term', 2)
    await eventually(() => isOpen(alone, 2)).toBe(true)
    const above = () => boxOf(alone, '.note', 2).then(({ y, height }) => Math.round(y + height))
    expect(await above()).toBe(Math.round(anchor.y) - 10)
    await alone.locator('.box').evaluate((box) => (box.scrollTop = 40))
    await eventually(above).toBe(Math.round(anchor.y) - 50)
    const { x, y } = await boxOf(alone, '.note', 2)
    const isSeen = () =>
      alone.evaluate(([left = 0, top = 0]) => document.elementFromPoint(left + 8, top + 8)?.className === 'note', [x, y - 0])
    expect(await isSeen()).toBe(true)
    await alone.locator('.box').evaluate((box) => (box.scrollTop = 400))
    await eventually(isSeen).toBe(false)
  })

  test('without a script the link works, and the note is as the page has it', async ({ browser }, info) => {
    const plain = await browser.newContext({ javaScriptEnabled: false })
    const alone = await plain.newPage()
    const shown = html.replace('display: none; padding', 'padding')
    await openAlone(alone, shown, [note()], info.outputPath('page.html'))
    await expect(alone.locator('.note').first()).toBeVisible()
    await openAlone(alone, shown, [note({ noScript: 'hidden' })], info.outputPath('hidden.html'))
    await expect(alone.locator('.note').first()).toBeHidden()
    await alone.locator('.term').first().click()
    expect(alone.url()).toContain('#one')
    await plain.close()
  })
})

test.describe('rows', () => {
  const picture = (n: number) =>
    `data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 4 3"><rect width="4" height="3" fill="hsl(${n * 40} 50% 50%)"/></svg>`)}`
  const html = (count = 10) =>
    page(
      '.list { margin: 60px 40px; padding: 0; width: 500px; list-style: none } .row { display: block; color: #222 } .face { display: block; padding: 6px; } .on { background: #24424a; color: #fff } .shot { display: none } .tall { padding-bottom: 30px }',
      `<ul class="list">${Array.from({ length: count }, (_, n) => `<li><a class="row" href="#${n}"><span class="face off${n === 2 ? ' tall' : ''}">Row ${n}</span><span class="face on">Open ${n}</span><img class="shot" alt="" src="${picture(n)}"></a></li>`).join('')}</ul>`,
    )
  const rows = (changes: object = {}, withPicture = true) =>
    effectOf('rows', '.row', settingsOf('rows', changes), {
      roles: { off: role('.row .off'), on: role('.row .on'), ...(withPicture ? { picture: role('.row .shot') } : {}) },
    })
  /** How far down each face that rolls in is, in shares of its height. */
  const rolls = (alone: Page) =>
    alone.locator('.on').evaluateAll((all) =>
      all.map((each) => {
        const { transform, visibility } = getComputedStyle(each)
        const y = new DOMMatrix(transform).m42 / (each as HTMLElement).offsetHeight
        return visibility === 'hidden' ? 'out' : Math.round(y * 100) / 100
      }),
    )
  const boxOf = async (alone: Page, index: number) => {
    const box = await alone.locator('.row').nth(index).boundingBox()
    if (!box) throw new Error(`There is no row ${index}.`)
    return box
  }
  /** Where the face of a row is in the first frame in which it is seen, and in the one in which it has gone farthest. */
  const watch = async (alone: Page, index: number) => {
    const { end } = await record(
      alone,
      (which) => {
        const face = document.querySelectorAll('.on')[which] as HTMLElement
        const { transform, visibility } = getComputedStyle(face)
        return visibility === 'visible' ? new DOMMatrix(transform).m42 / face.offsetHeight : undefined
      },
      index,
    )
    return async () => (await end()).flatMap(({ value }) => (value === undefined ? [] : [value]))
  }

  test('roll in from the side of entry, push the other face out, and roll out by the side of leaving', async ({ page: alone }, info) => {
    await openAlone(alone, html(), [rows()], info.outputPath('page.html'))
    await eventually(() => rolls(alone)).toEqual(Array(10).fill('out'))
    const { x, y, height } = await boxOf(alone, 4)
    await alone.mouse.move(x + 100, y - 200)
    const coming = await watch(alone, 4)
    await alone.mouse.move(x + 100, y + 5)
    await eventually(async () => (await rolls(alone))[4]).toBe(0)
    const came = await coming()
    expect(came[0]).toBeLessThan(0)
    expect(Math.max(...came)).toBeLessThanOrEqual(0)
    // The face that was there has gone a whole height down.
    expect(await styleOf(alone, '.off', 'visibility', 4)).toBe('hidden')
    const going = await watch(alone, 4)
    await alone.mouse.move(x + 100, y + height + 5)
    await eventually(async () => (await rolls(alone))[4]).toBe('out')
    const went = await going()
    expect(Math.min(...went)).toBeGreaterThanOrEqual(0)
    expect(Math.max(...went)).toBeGreaterThan(0.3)
    // From below it comes from below.
    await alone.mouse.move(x + 100, y + 3 * height)
    const up = await watch(alone, 4)
    await alone.mouse.move(x + 100, y + height - 3)
    await eventually(async () => (await rolls(alone))[4]).toBe(0)
    expect((await up())[0]).toBeGreaterThan(0)
    // Their heights are the page's.
    expect((await boxOf(alone, 2)).height).toBeGreaterThan((await boxOf(alone, 1)).height + 20)
  })

  test('show the picture of the current one, two at most, and none 400 ms after leaving', async ({ page: alone }, info) => {
    await openAlone(alone, html(), [rows({ follow: { kind: 'direct' } })], info.outputPath('page.html'))
    await eventually(() => rolls(alone)).toEqual(Array(10).fill('out'))
    const shots = () =>
      alone.locator('[data-part]').evaluateAll((all) => all.filter((each) => getComputedStyle(each).position === 'fixed').length)
    expect(await shots()).toBe(0)
    const { x, y } = await boxOf(alone, 3)
    await alone.mouse.move(x + 100, y + 5)
    await eventually(shots).toBe(1)
    const at = () =>
      alone
        .locator('[data-part]')
        .first()
        .evaluate((element) => {
          const { left, top } = element.getBoundingClientRect()
          return [Math.round(left), Math.round(top)]
        })
    await eventually(at).toEqual([Math.round(x + 128), Math.round(y + 5 - 90)])
    expect(
      await alone
        .locator('[data-part] [data-part]')
        .first()
        .evaluate((element) => getComputedStyle(element).backgroundImage),
    ).toContain('svg')
    let most = 0
    for (let n = 3; n < 10; n++) {
      const next = await boxOf(alone, n)
      await alone.mouse.move(next.x + 100, next.y + 8)
      most = Math.max(most, await shots())
    }
    expect(most).toBeLessThanOrEqual(2)
    await alone.mouse.move(x + 800, y)
    await alone.waitForTimeout(400)
    expect(await shots()).toBe(0)
    expect(await alone.locator('[data-part]').count()).toBe(0)
  })

  test(
    'leave nothing after sixty of them were swept over in three samples, up and down, 200 times',
    long,
    async ({ page: alone }, info) => {
      await openAlone(alone, html(60), [rows({ comeMs: 120, goMs: 120 })], info.outputPath('page.html'))
      await eventually(() => rolls(alone)).toEqual(Array(60).fill('out'))
      const seen = await alone.evaluate(async () => {
        const list = document.querySelector('.list') as HTMLElement
        const frame = () => new Promise((resolve) => requestAnimationFrame(resolve))
        const move = (y: number) => {
          const target = document.elementFromPoint(300, y) ?? document.documentElement
          for (const type of ['pointerover', 'pointermove'])
            target.dispatchEvent(
              new PointerEvent(type, { bubbles: true, composed: true, clientX: 300, clientY: y, isPrimary: true, pointerType: 'mouse' }),
            )
        }
        let most = 0
        for (let n = 0; n < 200; n++) {
          const [from, to] = n % 2 ? [700, 20] : [20, 700]
          for (const share of [0, 0.45, 1]) {
            move(from + (to - from) * share)
            await frame()
            most = Math.max(most, list.querySelectorAll('[data-part] > [data-part]').length)
          }
        }
        document.documentElement.dispatchEvent(
          new PointerEvent('pointerout', { bubbles: true, clientX: 300, clientY: -5, isPrimary: true, pointerType: 'mouse' }),
        )
        return most
      })
      expect(seen).toBeLessThanOrEqual(2)
      await eventually(() => rolls(alone)).toEqual(Array(60).fill('out'))
      await eventually(() => alone.locator('[data-part]').count()).toBe(0)
      expect(
        await alone
          .locator('.row')
          .evaluateAll((all) => all.filter((each) => each.getAttributeNames().some((name) => each.getAttribute(name) === 'on')).length),
      ).toBe(0)
    },
  )

  test('come by the focus, at once for those who prefer it so, and stand as they are without a script', async ({ browser }, info) => {
    const calm = await browser.newContext({ reducedMotion: 'reduce' })
    const alone = await calm.newPage()
    await openAlone(alone, html(), [rows()], info.outputPath('page.html'))
    await eventually(() => rolls(alone)).toEqual(Array(10).fill('out'))
    await alone.keyboard.press('Tab')
    await eventually(async () => (await rolls(alone))[0]).toBe(0)
    expect(await styleOf(alone, '.on', 'transform')).toBe('none')
    await calm.close()
    const plain = await browser.newContext({ javaScriptEnabled: false })
    const still = await plain.newPage()
    await openAlone(still, html(), [rows()], info.outputPath('plain.html'))
    await expect(still.locator('.on').first()).toBeVisible()
    await expect(still.locator('.off').first()).toBeVisible()
    await plain.close()
  })
})
