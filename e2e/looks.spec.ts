// Hover looks, keys, wheel and fingers on a page of its own, as it is exported.
import { compile } from '../src/core/compile/compile'
import { computed, playReal, rigFrom, scriptOf, stylesheetOf } from './support/bare'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { toStudio, movePointer, stageOf } from './support/stage'

const soon = { kind: 'timed', durationMs: 120, easing: 'linear', delayMs: 0 } as const
const later = { ...soon, durationMs: 300 } as const
const machine = { goDelayMs: 0, atMostOne: false, keys: true }

const html = `<!doctype html><html><head><style>
  body { margin: 0 }
  .card { position: absolute; top: 100px; width: 200px; height: 200px; background: white }
  .card:nth-child(1) { left: 50px } .card:nth-child(2) { left: 300px }
  .words { opacity: 0.5 }
</style></head><body>
  <button class="card"><span class="words">one</span><span class="words">two</span></button>
  <button class="card"><span class="words">three</span></button>
  <p class="told">First</p><p class="told" aria-expanded="mixed">Second</p>
</body></html>`

/** A shade that the stylesheet draws, with words that come in. */
const washed = rigFrom({ select: '.card', pointer: 'fine', looks: machine }, [], [], {
  parts: [{ id: 'shade', area: 'area', drawn: 'after', css: { position: 'absolute', inset: '0', background: 'rgb(0 0 0)' } }],
  states: [
    {
      area: 'area',
      looks: ['off'],
      to: { part: 'shade' },
      css: { opacity: '0' },
      ways: [{ from: 'any', feel: later, id: 'goes', note: 'how it goes' }],
    },
    {
      area: 'area',
      looks: ['on', 'pressed', 'still'],
      to: { part: 'shade' },
      css: { opacity: '0.55' },
      ways: [{ from: 'any', feel: soon, id: 'comes' }],
    },
    { area: 'area', looks: ['on', 'pressed', 'still'], to: { within: '.words' }, css: { opacity: '1' } },
  ],
})

test('a look that CSS can tell needs no script: it comes with the pointer and with the focus, each in its time', async ({ page }) => {
  expect(scriptOf({ wash: washed }, html)).toBe('')
  expect(
    compile([{ rig: washed, names: { title: 'Wash', name: 'wash' } }], { ...(await import('../src/core/compile/facts')).worstFacts }, []),
  ).toBe('')
  await page.setContent(html.replace('</head>', `<style>${stylesheetOf({ wash: washed }, html)}</style></head>`))
  const shade = (index: number) =>
    page.evaluate((n) => getComputedStyle(document.querySelectorAll('.card')[n] as Element, '::after').opacity, index)
  const words = () => page.evaluate(() => [...document.querySelectorAll('.words')].map((each) => getComputedStyle(each).opacity))
  expect(await shade(0)).toBe('0')
  await page.mouse.move(120, 180)
  await eventually(() => shade(0)).toBe('0.55')
  expect([await shade(1), await words()]).toEqual(['0', ['1', '1', '0.5']])
  await page.mouse.move(700, 600)
  await eventually(() => shade(0)).toBe('0')
  await page.keyboard.press('Tab')
  await eventually(() => shade(0)).toBe('0.55')
  // Where the page itself positions the card, it stays so.
  expect(await page.evaluate(() => getComputedStyle(document.querySelector('.card') as Element).position)).toBe('absolute')
})

test('a look acts: attributes, what is linked, one after another, by what was shown before', async ({ page }) => {
  const rig = rigFrom(
    { select: '.card', pointer: 'fine', looks: { ...machine, atMostOne: true, first: 0, stays: true, escape: true } },
    [],
    [],
    {
      states: [
        {
          area: 'area',
          looks: ['on', 'still', 'pressed'],
          to: { linked: '.told' },
          css: { color: 'rgb(200 0 0)' },
          attributes: { 'aria-expanded': 'true' },
        },
        { area: 'area', looks: ['off'], to: { within: '.words' }, css: { opacity: '0.2' }, attributes: { inert: '' } },
        {
          area: 'area',
          looks: ['on', 'still', 'pressed'],
          to: { within: '.words' },
          css: { opacity: '1' },
          staggerMs: 90,
          ways: [
            { from: 'pressed', feel: later },
            { from: 'any', feel: soon },
          ],
        },
      ],
    },
  )
  await playReal(page, html, { panel: rig })
  const told = () => page.evaluate(() => [...document.querySelectorAll('.told')].map((each) => each.getAttribute('aria-expanded')))
  const inert = () => page.evaluate(() => [...document.querySelectorAll('.words')].map((each) => each.hasAttribute('inert')))
  const delay = (index: number) =>
    page.evaluate((n) => getComputedStyle(document.querySelectorAll('.words')[n] as Element).transitionDelay, index)
  // The first one is on from the start; what the page gave the second element is left.
  await eventually(told).toEqual(['true', 'mixed'])
  expect([await inert(), await computed(page, '.told', 'color')]).toEqual([[false, false, true], 'rgb(200, 0, 0)'])
  expect([await delay(0), await delay(1)]).toEqual(['0s', '0.09s'])
  await page.mouse.move(400, 180)
  await eventually(told).toEqual([null, 'true'])
  expect(await inert()).toEqual([true, true, false])
  // It stays when the pointer has gone, until Escape.
  await page.mouse.move(700, 600)
  await page.waitForTimeout(100)
  expect(await told()).toEqual([null, 'true'])
  await page.keyboard.press('Escape')
  await eventually(told).toEqual([null, 'mixed'])
  await page.mouse.move(120, 180)
  await eventually(told).toEqual(['true', 'mixed'])
  await page.mouse.down()
  await eventually(() => page.locator('.card').first().getAttribute('data-panel')).toBe('pressed')
  await page.mouse.up()
  await eventually(() => page.evaluate(() => getComputedStyle(document.querySelector('.words') as Element).transitionDuration)).toBe('0.3s')
  // Escape while the pointer is there puts it off until it has gone and comes again.
  await page.keyboard.press('Escape')
  await eventually(told).toEqual([null, 'mixed'])
  await page.mouse.move(125, 185)
  await page.waitForTimeout(60)
  expect(await told()).toEqual([null, 'mixed'])
})

test('arrow keys move the pointer on what has the focus, a wheel with Ctrl zooms it and not the page', async ({ page }) => {
  const rig = rigFrom(
    { select: '.card', pointer: 'any', arrowKeys: 0.1 },
    [
      { id: 'x', signal: { of: 'x' }, away: { kind: 'hold', pose: 0.5 }, feel: { kind: 'direct' }, group: 'travel' },
      {
        id: 'zoom',
        signal: { of: 'pinch', start: 2, least: 1, greatest: 3 },
        away: { kind: 'hold', pose: 2 },
        feel: { kind: 'direct' },
        group: 'scale',
      },
      {
        id: 'rolled',
        signal: { of: 'wheel', start: 0, least: -50, greatest: 50, perPx: 0.1 },
        away: { kind: 'hold', pose: 0 },
        feel: { kind: 'direct' },
        group: 'travel',
      },
    ],
    ['x', 'zoom', 'rolled'].map((channel) => ({
      slot: { on: 'property', name: `--seen-${channel}`, unit: '', law: 'replace' },
      factor: 1,
      channel,
    })),
  )
  await playReal(page, html, { lens: rig })
  const seen = (channel: string) =>
    page.evaluate((name) => (document.querySelector('.card') as HTMLElement).style.getPropertyValue(name), `--lens-${channel}`)
  await page.keyboard.press('Tab')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await eventually(() => seen('x').then(Number)).toBeCloseTo(0.7, 3)
  await page.keyboard.press('Home')
  await eventually(() => seen('x').then(Number)).toBe(0)
  await page.mouse.move(150, 200)
  await eventually(() => seen('x').then(Number)).toBeCloseTo(0.5, 3)
  const stopped = page.evaluate(
    () => new Promise((resolve) => addEventListener('wheel', (event) => event.ctrlKey && resolve(event.defaultPrevented))),
  )
  await page.keyboard.down('Control')
  await page.mouse.wheel(0, -20)
  await page.keyboard.up('Control')
  expect(await stopped).toBe(true)
  await eventually(() => seen('zoom').then(Number)).toBeCloseTo(2 * Math.exp(0.2), 3)
  await page.mouse.wheel(0, 60)
  await eventually(() => seen('rolled').then(Number)).toBeCloseTo(6, 3)
})

test('what a zone chooses is told on the elements that are linked to it', async ({ page }) => {
  const rig = rigFrom(
    { select: '.card', pointer: 'fine' },
    [
      {
        id: 'zone',
        signal: { of: 'zone', columns: 2, rows: 1 },
        away: { kind: 'hold', pose: 0 },
        feel: { kind: 'direct' },
        group: 'state',
      },
    ],
    [],
    { states: [{ area: 'area', looks: ['on'], chosenBy: 'zone', to: { linked: '.told' }, css: { color: 'rgb(0 90 0)' } }] },
  )
  await playReal(page, html, { plan: rig })
  const colours = () => page.evaluate(() => [...document.querySelectorAll('.told')].map((each) => getComputedStyle(each).color))
  await page.mouse.move(70, 180)
  await eventually(colours).toEqual(['rgb(0, 90, 0)', 'rgb(0, 0, 0)'])
  await page.mouse.move(230, 180)
  await eventually(colours).toEqual(['rgb(0, 0, 0)', 'rgb(0, 90, 0)'])
})

test('what is read in a part finds it, which is added once, and follows the pointer there from the first move', async ({ page }) => {
  const rig = rigFrom(
    { select: '.card', pointer: 'fine' },
    [
      { id: 'x', frame: { part: 'lens' }, signal: { of: 'xPx' }, feel: { kind: 'direct' }, away: { kind: 'settle', pose: 0 } },
      { id: 'hidden', signal: { of: 'overflowY' }, feel: { kind: 'direct' }, away: { kind: 'settle', pose: 0 } },
    ],
    [
      { to: { part: 'lens' }, slot: { on: 'property', name: '--x', unit: '', law: 'replace' }, factor: 1, channel: 'x' },
      { slot: { on: 'property', name: '--hidden', unit: '', law: 'replace' }, factor: 1, channel: 'hidden' },
    ],
    { parts: [{ id: 'lens', area: 'area', css: { position: 'absolute', left: '40px', top: '0', width: '60px', height: '60px' } }] },
  )
  const tall = html
    .replace('</head>', '<style>.card { overflow: hidden } .tall { display: block; height: 500px }</style></head>')
    .replace('one</span>', 'one</span><i class="tall"></i>')
  await playReal(page, tall, { glass: rig })
  const lens = () =>
    page.evaluate(() =>
      [...document.querySelectorAll('.glass-lens')].map((each) => (each as HTMLElement).style.getPropertyValue('--glass-x')),
    )
  expect(await page.locator('.glass-lens').count()).toBe(2)
  // From its own edge, inside the border of the button.
  await page.mouse.move(120, 130)
  await eventually(() => lens().then(([first = '']) => parseFloat(first))).toBeCloseTo(28, 2)
  await page.mouse.move(100, 140)
  await eventually(() => lens().then(([first = '']) => parseFloat(first))).toBeCloseTo(8, 2)
  expect(await page.locator('.glass-lens').count()).toBe(2)
  const hidden = () =>
    page.evaluate(() => parseFloat((document.querySelector('.card') as HTMLElement).style.getPropertyValue('--glass-hidden')))
  expect(await hidden()).toBeGreaterThan(250)
  await page.evaluate(() => document.querySelector('.tall')?.remove())
  await page.setViewportSize({ width: 1000, height: 700 })
  await eventually(hidden).toBe(0)
})

test('in the studio keys, wheel and fingers reach the page’s script as they do in the export', long, async ({ page, house }) => {
  const settings = rigFrom(
    { select: '&', pointer: 'fine', arrowKeys: 0.1, looks: { ...machine, escape: true } },
    [
      { id: 'x', signal: { of: 'x' }, away: { kind: 'hold', pose: 0.5 }, feel: { kind: 'direct' }, group: 'travel' },
      { id: 'zoom', signal: { of: 'pinch', start: 2, least: 1, greatest: 3 }, away: { kind: 'hold', pose: 2 }, feel: { kind: 'direct' } },
    ],
    ['x', 'zoom'].map((channel) => ({ slot: { on: 'property', name: `--seen-${channel}`, unit: '', law: 'replace' }, factor: 1, channel })),
    { states: [{ area: 'area', looks: ['on', 'pressed', 'still'], to: 'self', css: {}, attributes: { 'aria-expanded': 'true' } }] },
  )
  await toStudio(
    page,
    await house.addSite('look-keys', html, [{ id: 'a', kind: 'free', name: 'Keys', select: '.card', noun: 'each card', settings }]),
  )
  const frame = await stageOf(page)
  const card = frame.locator('.card').first()
  const seen = (channel: string) =>
    card.evaluate((element, name) => {
      const own = [...(element as HTMLElement).style].find((each) => each.endsWith(name))
      return Number(own && (element as HTMLElement).style.getPropertyValue(own))
    }, `-${channel}`)
  await card.focus()
  await page.keyboard.press('Tab')
  await page.keyboard.press('Shift+Tab')
  await eventually(() => card.getAttribute('aria-expanded')).toBe('true')
  await page.keyboard.press('ArrowRight')
  await eventually(() => seen('x')).toBeCloseTo(0.6, 3)
  await movePointer(page, 150, 200)
  await eventually(() => seen('x')).toBeCloseTo(0.5, 2)
  await page.keyboard.down('Control')
  await page.mouse.wheel(0, -20)
  await page.keyboard.up('Control')
  await eventually(() => seen('zoom')).toBeCloseTo(2 * Math.exp(0.2), 3)
  await page.keyboard.press('Escape')
  await eventually(() => card.getAttribute('aria-expanded')).toBe(null)
})

test('a part holds the text or the picture that its element gives, kept in step, and is reached where that is said', async ({ page }) => {
  const rig = rigFrom({ select: '.card', pointer: 'fine' }, [{ id: 'here', signal: { of: 'inside' }, feel: { kind: 'direct' } }], [], {
    parts: [
      { id: 'label', area: 'area', holds: { text: { attribute: 'data-word' } }, css: { position: 'absolute', left: '0', top: '0' } },
      {
        id: 'first',
        area: 'area',
        holds: { text: { within: '.words' } },
        reached: { role: 'note' },
        css: { position: 'absolute', left: '0', top: '90px' },
      },
      { id: 'shown', area: 'area', holds: { picture: { within: 'img' } }, css: { position: 'absolute', inset: '120px 0 0' } },
    ],
  })
  const source = `data:image/svg+xml,${encodeURIComponent("<svg xmlns='http://www.w3.org/2000/svg' width='9' height='9'/>")}`
  const told = html.replace(
    '<button class="card"><span class="words">one',
    `<button class="card" data-word="Step in"><img alt="" src="${source}"><span class="words">one`,
  )
  await playReal(page, told, { tag: rig })
  const part = (name: string) => page.locator('.card').first().locator(`.tag-${name}`)
  await expect(part('label')).toHaveText('Step in')
  await expect(part('first')).toHaveText('one')
  expect(await part('shown').evaluate((element) => element.style.backgroundImage)).toContain('data:image/svg+xml')
  await page.evaluate(() => {
    document.querySelector('.card')?.setAttribute('data-word', 'Unfold')
    document.querySelector('.words')?.replaceChildren('uno')
  })
  await expect(part('label')).toHaveText('Unfold')
  await expect(part('first')).toHaveText('uno')
  // What is to be reached is; the others are seen alone.
  expect(await part('first').evaluate((element) => [element.role, element.ariaHidden, getComputedStyle(element).pointerEvents])).toEqual([
    'note',
    null,
    'auto',
  ])
  expect(await part('label').evaluate((element) => [element.role, element.ariaHidden, getComputedStyle(element).pointerEvents])).toEqual([
    null,
    'true',
    'none',
  ])
})

test('a text is split into letters, which answer each by its own distance, and is read out as it stands', async ({ page }) => {
  const rig = rigFrom(
    { select: '.title', pointer: 'fine' },
    [
      {
        id: 'near',
        frame: { part: 'letter' },
        signal: { of: 'distance', from: 'centre' },
        away: { kind: 'settle', pose: 400 },
        feel: { kind: 'direct' },
      },
    ],
    [{ to: { part: 'letter' }, slot: { on: 'property', name: '--near', unit: '', law: 'replace' }, factor: 1, channel: 'near' }],
    {
      parts: [
        { id: 'line', area: 'area', css: { position: 'absolute', inset: '0' } },
        { id: 'letter', area: 'area', inside: 'line', holds: { split: 'letters' }, css: { display: 'inline-block' } },
      ],
    },
  )
  const words = `<!doctype html><html><head><style>body { margin: 0; font: 40px monospace } .title { position: absolute; margin: 0; left: 20px; top: 20px; width: 500px; height: 60px; font: inherit }</style></head><body><h1 class="title">Two moths 👩‍🌾</h1></body></html>`
  await playReal(page, words, { type: rig })
  const letters = page.locator('.type-letter')
  await expect(letters).toHaveText(['T', 'w', 'o', 'm', 'o', 't', 'h', 's', '👩‍🌾'])
  const box = (await letters.nth(1).boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 }
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  const near = () => letters.evaluateAll((all) => all.map((each) => Number((each as HTMLElement).style.getPropertyValue('--type-near'))))
  await eventually(() => near().then(([, w]) => w)).toBeCloseTo(0, 0)
  const [first = 0, , third = 0, fourth = 0] = await near()
  expect([Math.abs(first - box.width) < 1, Math.abs(third - box.width) < 1, fourth > 2.5 * box.width]).toEqual([true, true, true])
  // The heading says what it says; its letters are seen alone, and follow it.
  expect(await page.locator('.type-line').getAttribute('aria-hidden')).toBe('true')
  await page.evaluate(() => document.querySelector('.title')?.firstChild?.replaceWith('Ivy'))
  await expect(letters).toHaveText(['I', 'v', 'y'])
  // What has come since is found with a move a moment later.
  await page.waitForTimeout(250)
  await page.mouse.move(box.x + 2, box.y + 10)
  await eventually(() => near().then((all) => all.length === 3 && all.every((each) => each > 0))).toBe(true)
})
