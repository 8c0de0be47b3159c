// What Chromium computes from the exported CSS is what the core says: for rigs of every sort of slot, moment by moment.
import { tiltDefaults } from '../src/core/effect/tilt/settings'
import { findKind } from '../src/core/effect/kinds'
import { expandTilt } from '../src/core/effect/tilt/expand'
import { evaluate, type Moment } from '../src/core/rig/evaluate'
import type { Rig } from '../src/core/rig/rig'
import { transformOf } from '../src/core/rig/values'
import type { Sample } from '../src/core/signal/sample'
import { computed, drive, rigFrom, transformApart } from './support/bare'
import { eventually, expect, test } from './support/house'
import { movePointer, stageOf } from './support/stage'

const html = `<!doctype html><html><head><style>
  body { margin: 0; height: 1400px } .card { position: absolute; width: 300px; height: 200px; background: #ddd } .a { left: 100px; top: 100px } .b { left: 480px; top: 140px }
</style></head><body><div class="card a"><p>text</p></div><div class="card b"><p>text</p></div></body></html>`
const boxes = {
  window: { width: 1280, height: 800 },
  elements: {
    '.card': [
      { x: 100, y: 100, width: 300, height: 200 },
      { x: 480, y: 140, width: 300, height: 200 },
    ],
  },
}

const spring = { kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 }
const eased = { kind: 'timed', durationMs: 240, easing: 'linear(0, 0.7 30%, 0.9, 1)', delayMs: 20 }
const glide = { kind: 'glide', halfLifeMs: 50 }

const rigs: Readonly<Record<string, Rig>> = {
  lean: expandTilt({ ...tiltDefaults, liftPx: 24, scalePercent: 6 }, '.card'),
  carry: rigFrom(
    {},
    [
      { id: 'x', signal: { of: 'xPx' }, feel: glide },
      { id: 'turn', signal: { of: 'angle' }, feel: spring },
      { id: 'here', signal: { of: 'here', come: eased, go: eased } },
    ],
    [
      { slot: { on: 'transform', fn: 'translateX' }, channel: 'x', factor: 0.2, weight: 'here', strength: 0.5 },
      { slot: { on: 'transform', fn: 'rotate' }, channel: 'turn', factor: 0.25 },
      { slot: { on: 'transform', fn: 'skewX' }, channel: 'here', factor: 4 },
      { slot: { on: 'transform', fn: 'scaleY' }, base: 1, channel: 'here', factor: -0.2 },
    ],
  ),
  fade: rigFrom(
    {
      insets: {
        top: { value: -80, unit: 'px' },
        right: { value: -80, unit: 'px' },
        bottom: { value: -80, unit: 'px' },
        left: { value: -80, unit: 'px' },
      },
      among: 'all',
    },
    [
      {
        id: 'far',
        signal: { of: 'distance', from: 'edge' },
        away: { kind: 'settle', pose: 80 },
        curve: {
          stops: [
            { at: -40, value: 1, easing: 'ease-in-out' },
            { at: 80, value: 0.2 },
          ],
        },
        feel: glide,
      },
      { id: 'y', signal: { of: 'y' }, feel: eased },
    ],
    [
      { slot: { on: 'opacity' }, channel: 'far' },
      { slot: { on: 'filter', fn: 'blur' }, base: 6, factor: -6, channel: 'far' },
      {
        slot: { on: 'filter', fn: 'saturate' },
        channel: 'y',
        curve: {
          stops: [
            { at: 0, value: 0.5 },
            { at: 0.6, value: 2, easing: 'ease' },
            { at: 1, value: 1 },
          ],
        },
      },
      { slot: { on: 'inset', side: 'left' }, factor: 30, channel: 'y' },
      {
        slot: { on: 'property', name: 'letter-spacing', unit: 'px', law: 'replace' },
        channel: 'y',
        curve: {
          stops: [
            { at: 0.2, value: 0 },
            { at: 0.9, value: 7 },
          ],
        },
      },
      {
        slot: { on: 'property', name: 'background-color', unit: '', law: 'replace' },
        channel: 'y',
        curve: {
          colours: [
            { at: 0, value: { space: 'oklch', values: [0.7, 0.12, 20, 1] } },
            { at: 1, value: { space: 'oklch', values: [0.5, 0.1, 300, 0.5] } },
          ],
        },
      },
      {
        slot: { on: 'property', name: 'color', unit: '', law: 'replace' },
        channel: 'y',
        curve: {
          colours: [
            { at: 0, value: { space: 'oklab', values: [0.7, 0.1, 0.05, 1] } },
            { at: 0.5, value: { space: 'oklab', values: [0.3, -0.05, 0.1, 1] } },
            { at: 1, value: { space: 'oklab', values: [0.9, 0, -0.1, 1] } },
          ],
        },
      },
    ],
  ),
}

const at = (t: number, x: number, y: number, phase: Sample['phase'] = 'move'): Sample => ({
  t,
  x,
  y,
  buttons: 0,
  pointerType: 'mouse',
  phase,
})
const trace = [
  at(20, 130, 120),
  at(60, 390, 290),
  at(150, 250, 210),
  at(320, 520, 200),
  at(420, 500, 335),
  at(700, 900, 700),
  at(720, 390, 120),
  at(990, 400, 60, 'leave'),
]
const moments = [16, 33, 70, 140, 220, 350, 430, 600, 715, 760, 900, 1010, 1200, 1500, 4000]

/** Plays a trace to a page, and gives each moment once its frame is shown. */
async function* playThem(driven: Awaited<ReturnType<typeof drive>>, samples: readonly Sample[], expected: readonly Moment[]) {
  let next = 0
  for (const moment of expected) {
    for (let sample = samples[next]; sample && sample.t <= moment.t; sample = samples[++next]) await driven.hear(sample)
    await driven.frame(moment.t)
    yield moment
  }
}

const numbersOf = (text: string) => [...text.matchAll(/-?\d+\.?\d*(?:e-?\d+)?/g)].map(Number)

/** A rig that has all of both: what two effects on one element come to. */
const merged = (one: Rig, other: Rig): Rig => ({
  ...one,
  channels: [...one.channels, ...other.channels.map((each) => ({ ...each, area: one.areas[0]?.id ?? '' }))],
  knobs: [...one.knobs, ...other.knobs],
  outputs: [...one.outputs, ...other.outputs],
})

test("two effects on one element, each by a selector of its own, are composed by the laws of their properties; the page's own values stay", async ({
  page,
}) => {
  const own = html.replace(
    '</style>',
    '.a { left: 60px; transform: translateX(40px); filter: contrast(0.9); box-shadow: 1px 2px 3px red; mask-image: linear-gradient(blue, blue) } </style>',
  )
  const shadow = (hole: string, unit: string, more: object) => ({ slot: { on: 'shadow', layer: 'cast', hole, unit }, ...more })
  const drift = rigFrom(
    { select: '.a' },
    [{ id: 'far', signal: { of: 'centredX' }, feel: glide }],
    [
      { slot: { on: 'transform', fn: 'translateX' }, factor: 20, channel: 'far' },
      { slot: { on: 'transform', fn: 'rotateY' }, factor: 7, channel: 'far' },
      { slot: { on: 'transform', fn: 'scale' }, base: 1, factor: 0.1, channel: 'far' },
      { slot: { on: 'opacity' }, base: 0.8, factor: 0.1, channel: 'far' },
      { slot: { on: 'filter', fn: 'blur' }, base: 2, factor: 1, channel: 'far' },
      shadow('x', 'px', { factor: 10, channel: 'far' }),
      shadow('blur', 'px', { base: 12, factor: 4, channel: 'far' }),
      { slot: { on: 'mask', layer: 'cut', hole: 'from', unit: '%' }, base: 50, factor: 20, channel: 'far' },
    ],
    {
      layers: [
        { id: 'cast', css: '{x} 4px {blur} 0 #000' },
        { id: 'cut', css: 'linear-gradient(90deg, #000 {from}, #0000)' },
      ],
    },
  )
  const fade = rigFrom(
    {},
    [{ id: 'down', signal: { of: 'y' }, feel: eased }],
    [
      { slot: { on: 'opacity' }, base: 1, factor: -0.5, channel: 'down' },
      { slot: { on: 'filter', fn: 'saturate' }, base: 1, factor: 1, channel: 'down' },
      shadow('y', 'px', { base: 3, factor: 9, channel: 'down' }),
    ],
    { layers: [{ id: 'cast', css: '0 {y} 0 0 #123456' }] },
  )
  const lean = expandTilt({ ...tiltDefaults, scalePercent: 6 }, '.card')
  const driven = await drive(page, own, { lean, drift, fade })
  const all = merged(merged(lean, drift), fade)
  const { columns, moments: expected } = evaluate(all, trace, boxes, moments, driven.byCss)
  for await (const { t, values } of playThem(driven, trace, expected)) {
    const channel = (id: string) => Number(values[columns.indexOf(`${id}[0]`)])
    expect(
      await transformApart(page, await computed(page, '.a', 'transform'), `translateX(40px) ${transformOf(all, channel)}`),
      `at ${t}`,
    ).toBeLessThan(2e-3)
    const [far, down] = [channel('far'), channel('down')]
    expect(Math.abs(Number(await computed(page, '.a', 'opacity')) - (0.8 + 0.1 * far) * (1 - 0.5 * down))).toBeLessThan(1e-3)
    const near = async (property: string, numbers: readonly number[]) => {
      const read = numbersOf((await computed(page, '.a', property)).replace(/rgba?\([^)]*\)/g, ''))
      expect(read.length, await computed(page, '.a', property)).toBe(numbers.length)
      numbers.forEach((number, i) => expect(Math.abs(number - (read[i] ?? NaN)), `${property} at ${t}`).toBeLessThan(0.01))
    }
    await near('filter', [0.9, 2 + far, 1 + down])
    await near('box-shadow', [1, 2, 3, 0, 10 * far, 4, 12 + 4 * far, 0, 0, 3 + 9 * down, 0, 0])
    await near('mask-image', [90, 50 + 20 * far])
    expect(await computed(page, '.a', 'mask-composite')).toContain('intersect')
    // On the other card two of them meet.
    expect(Math.abs(Number(await computed(page, '.b', 'opacity')) - (1 - 0.5 * Number(values[columns.indexOf('down[1]')])))).toBeLessThan(
      1e-3,
    )
  }
  await driven.detach()
  expect(await page.evaluate(() => document.querySelector('.a')?.outerHTML.replace(/ (data-\S+|style)="[^"]*"/g, ' LEFT'))).toBe(
    '<div class="card a"><p>text</p></div>',
  )
})

test('two effects that follow alike in the same elements do so once, and each is what the core says', async ({ page }) => {
  const lean = expandTilt(tiltDefaults, '.card')
  const [x, y] = lean.channels
  const slide: Rig = {
    ...lean,
    channels: [
      { ...x, id: 'across' },
      { ...y, id: 'down' },
    ] as Rig['channels'],
    knobs: [],
    outputs: [
      { to: { within: 'p' }, slot: { on: 'transform', fn: 'translateX' }, base: 0, factor: 30, channel: 'across', strength: 1 },
      { to: 'self', slot: { on: 'transform', fn: 'translateY' }, base: 0, factor: 12, channel: 'down', strength: 1 },
      { to: 'self', slot: { on: 'opacity' }, base: 0.8, factor: 0.2, channel: 'across', strength: 1 },
    ],
  }
  const driven = await drive(page, html, { lean, slide })
  const { columns, moments: expected } = evaluate(merged(lean, slide), trace, boxes, moments)
  for await (const { t, values } of playThem(driven, trace, expected)) {
    const channel = (id: string) => Number(values[columns.indexOf(`${id}[0]`)])
    expect(
      await transformApart(
        page,
        await computed(page, '.a', 'transform'),
        transformOf({ ...merged(lean, slide), outputs: [...lean.outputs, ...slide.outputs].filter(({ to }) => to === 'self') }, channel),
      ),
      `at ${t}`,
    ).toBeLessThan(2e-3)
    expect(
      await transformApart(page, await computed(page, '.a p', 'transform'), `translateX(${30 * channel('across')}px)`),
      `at ${t}`,
    ).toBeLessThan(2e-2)
    expect(Math.abs(Number(await computed(page, '.a', 'opacity')) - (0.8 + 0.2 * channel('across')))).toBeLessThan(1e-3)
  }
  expect(await page.evaluate(() => (document.querySelector('.a')?.outerHTML.match(/--[a-z-]+(?=:)|data-[a-z]+/g) ?? []).sort())).toEqual([
    '--lean-x',
    '--lean-x',
    '--lean-y',
    'data-lean',
    'data-lean',
  ])
  await driven.detach()
  expect(await page.evaluate(() => document.querySelector('.a')?.outerHTML)).toBe('<div class="card a"><p>text</p></div>')
})

test('what comes and goes by the stylesheet does so from the first time on, on parts that have just been added, and turned round midway', async ({
  page,
}) => {
  const glow = findKind('glow')
  const rig = glow?.expand(glow.defaults, '.card', {}) as Rig
  const driven = await drive(page, html, { light: rig })
  expect(driven.byCss).toEqual(['here'])
  const turning = [at(10, 200, 200), at(100, 900, 600), at(150, 210, 200), at(400, 900, 600, 'leave')]
  const frames = [16, 40, 90, 110, 140, 160, 200, 300, 410, 500, 900]
  const { columns, moments: expected } = evaluate(rig, turning, boxes, frames, driven.byCss)
  for await (const { t, values } of playThem(driven, turning, expected)) {
    expect(
      Math.abs(Number(await computed(page, '.a .light-edge-pool', '--light-here')) - Number(values[columns.indexOf('here[0]')])),
      `at ${t}`,
    ).toBeLessThan(3e-4)
  }
  expect(await page.evaluate(() => document.querySelector('.a')?.outerHTML)).not.toContain('--light-here')
  await driven.frame(9000)
  expect(await driven.isAsleep()).toBe(true)
})

for (const [name, rig] of Object.entries(rigs)) {
  test(`what Chromium computes for "${name}" is what the core says, at ${moments.length} moments`, async ({ page }) => {
    const driven = await drive(page, html, { [name]: rig })
    const { columns, moments: expected } = evaluate(rig, trace, boxes, moments, driven.byCss)
    for await (const { t, values } of playThem(driven, trace, expected)) {
      for (const [card, index] of [
        ['.a', 0],
        ['.b', 1],
      ] as const) {
        const value = (column: string) => values[columns.indexOf(`${column}[${index}]`)]
        if (rig.outputs.some(({ slot }) => slot.on === 'transform')) {
          const own = transformOf(rig, (channel, link) => Number(value(link === undefined ? channel : `${channel}.${link + 1}`)))
          expect(await transformApart(page, await computed(page, card, 'transform'), own), `${card} at ${t}`).toBeLessThan(2e-3)
        }
        for (const { slot, channel } of rig.outputs) {
          if (slot.on === 'transform' || channel === undefined) continue
          const shown = value(
            slot.on === 'property' ? slot.name : slot.on === 'filter' ? slot.fn : slot.on === 'inset' ? `inset-${slot.side}` : slot.on,
          )
          const property = slot.on === 'property' ? slot.name : slot.on === 'inset' ? 'clip-path' : slot.on
          const text = await computed(page, card, property)
          if (typeof shown === 'string') {
            const [own, theirs] = [numbersOf(shown), numbersOf(text)]
            // A hue may be written a turn further.
            own.forEach((number, i) =>
              expect(
                Math.abs(((((number - (theirs[i] ?? NaN)) % 360) + 540) % 360) - 180),
                `${property} ${shown} and ${text}`,
              ).toBeLessThan(0.01),
            )
            continue
          }
          const numbers = numbersOf(text)
          const read =
            text === 'normal'
              ? 0
              : slot.on === 'filter'
                ? numbers[slot.fn === 'blur' ? 0 : 1]
                : slot.on === 'inset'
                  ? (numbers[3] ?? numbers[1] ?? numbers[0])
                  : numbers[0]
          expect(Math.abs(Number(read) - Number(shown)), `${property} of ${card} at ${t}: ${text} and ${shown}`).toBeLessThan(0.01)
        }
      }
    }
    await driven.frame(9000)
    expect(await driven.isAsleep()).toBe(true)
  })
}

test('a rig written by hand plays in the studio and in its export, with the numbers of the core', async ({ page, house }, info) => {
  const { carry } = rigs
  if (!carry) throw new Error('There is no such rig.')
  const url = await house.addSite('free', html, [
    { id: 'f', kind: 'free', name: 'By hand', select: '.card', noun: 'each card', settings: carry },
  ])
  const shows = async (surface: { evaluate: typeof page.evaluate }, seen: { x: number; y: number }) => {
    const {
      columns,
      moments: [rest],
    } = evaluate(carry, [at(0, seen.x, seen.y)], boxes, [60_000])
    const own = transformOf(carry, (channel) => Number(rest?.values[columns.indexOf(`${channel}[0]`)]))
    return surface.evaluate((expected) => {
      const [first, second] = [getComputedStyle(document.querySelector('.a') as Element).transform, expected].map((text) =>
        new DOMMatrix(text).toFloat64Array(),
      )
      return Math.max(...[...(first ?? [])].map((value, i) => Math.abs(value - (second?.[i] ?? NaN))))
    }, own)
  }
  await page.goto(url)
  const frame = await stageOf(page)
  await expect(page.getByRole('region', { name: 'Caption of effect 1' })).toBeVisible()
  await frame.evaluate(() =>
    addEventListener('pointermove', (event) => Object.assign(window, { seen: { x: event.clientX, y: event.clientY } }), true),
  )
  await movePointer(page, 340, 160)
  const seen = await frame.evaluate(() => (window as unknown as { seen: { x: number; y: number } }).seen)
  await eventually(() => shows(frame as never, seen)).toBeLessThan(0.01)
  await page.keyboard.press('c')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export page' }).click()
  const file = info.outputPath('free.html')
  await (await download).saveAs(file)
  await page.goto(`file://${file}`)
  await page.mouse.move(340, 160)
  await eventually(() => shows(page, { x: 340, y: 160 })).toBeLessThan(0.01)
})

test('easings, colours and steps are those of the browser', async ({ page }) => {
  const { parseEasing } = await import('../src/core/curve/easing')
  await page.setContent('<!doctype html><div></div>')
  const easings = [
    'ease',
    'ease-in-out',
    'cubic-bezier(0.3, -0.6, 0.2, 1.7)',
    'linear(0, 0.25 25% 75%, 1)',
    'linear(0, 0.3, 0.1 60%, 1.2, 1)',
    'steps(4)',
    'steps(3, jump-start)',
    'steps(5, jump-both)',
    'steps(4, jump-none)',
    'step-start',
  ]
  for (const easing of easings) {
    const shown = await page.evaluate((text) => {
      const animation = (document.querySelector('div') as HTMLElement).animate(
        [{ opacity: 0, translate: '0px' }, { translate: '1000px' }],
        { duration: 1000, easing: text, fill: 'both' },
      )
      animation.pause()
      return Array.from({ length: 41 }, (_, i) => {
        animation.currentTime = i * 24.9
        return parseFloat(getComputedStyle(document.querySelector('div') as Element).translate) || 0
      })
    }, easing)
    shown.forEach((value, i) =>
      expect(Math.abs(value / 1000 - (parseEasing(easing)?.((i * 24.9) / 1000) ?? NaN)), `${easing} at ${i}`).toBeLessThan(1e-4),
    )
  }
})
