// Compiled scripts in Chromium against evaluate(): rigs at random, and every recipe of every kind at nine points and on the way.
import type { Page } from '@playwright/test'
import fc from 'fast-check'
import { cases } from '../src/bundle/differ'
import { needsScript } from '../src/core/compile/needs-script'
import { kinds } from '../src/core/effect/kinds'
import { evaluate, type Boxes } from '../src/core/rig/evaluate'
import { touchedBy } from '../src/core/rig/resolve'
import { propertyOfChannel } from '../src/core/rig/plan'
import { spanOf } from '../src/core/rig/play'
import type { Rig } from '../src/core/rig/rig'
import { isPresent, type Sample } from '../src/core/signal/sample'
import { namesOf, playThrough } from './support/bare'
import { covering } from '../src/bundle/covering'
import { expect, test } from './support/house'
import { isLong, seedOr } from './support/long'

/** What lies between what Chromium shows and evaluate() says at most: the band of rest, and what is rounded off. */
const most = 3e-4

const px = (value: number) => Math.round(value)
const place = ({ x, y, width, height }: { x: number; y: number; width: number; height: number }, { x: left, y: top } = { x: 0, y: 0 }) =>
  `left:${x - left}px;top:${y - top}px;width:${width}px;height:${height}px`

/** A page with these boxes: layers in the card that holds their middle, zones behind everything. */
function pageOf({ elements }: Boxes): string {
  const cards = elements['.card'] ?? []
  const layers = elements['.layer'] ?? []
  const homeOf = (layer: (typeof layers)[number]) =>
    Math.max(
      0,
      cards.findIndex(
        ({ x, y, width, height }) =>
          layer.x + layer.width / 2 >= x &&
          layer.x + layer.width / 2 <= x + width &&
          layer.y + layer.height / 2 >= y &&
          layer.y + layer.height / 2 <= y + height,
      ),
    )
  return `<!doctype html><html><head><style>html { overflow: hidden } body { margin: 0; height: 700px } div { position: absolute } .zone { pointer-events: none; z-index: -1 }</style></head><body>${(elements['.zone'] ?? []).map((zone) => `<div class="zone" style="${place(zone)}"></div>`).join('')}${cards
    .map(
      (card, i) =>
        `<div class="card" tabindex="0" style="${place(card)}">${layers
          .filter((layer) => homeOf(layer) === i)
          .map((layer) => `<div class="layer" style="${place(layer, card)}"></div>`)
          .join('')}</div>`,
    )
    .join('')}</body></html>`
}

const rounded = (boxes: Boxes): Boxes => ({
  ...boxes,
  elements: Object.fromEntries(
    Object.entries(boxes.elements).map(([select, all]) => [
      select,
      all.map(({ x, y, width, height }) => ({ x: px(x), y: px(y), width: px(width), height: px(height) })),
    ]),
  ),
})

/** By how much what was written differs from what evaluate() says, in shares of each channel's range; of channels that are read in the area. */
function worstOf(
  rig: Rig,
  boxes: Boxes,
  trace: readonly Sample[],
  frames: readonly number[],
  written: Awaited<ReturnType<typeof playThrough>>,
  props: readonly { readonly id: string; readonly property: string }[],
): { readonly worst: number; readonly told: string; readonly read: number } {
  const { columns, moments } = evaluate(rig, trace, boxes, frames)
  let [worst, told, read] = [0, '', 0]
  moments.forEach(({ t, values }, m) =>
    props.forEach(({ id, property }, p) => {
      const channel = rig.channels.find((each) => each.id === id)
      written[m]?.[p]?.forEach((text, n) => {
        if (!channel || text === '') return
        read++
        const expected = Number(values[columns.indexOf(`${id}[${n}]`)])
        const apart = Math.abs(Number(text.replace(/px$/, '')) - expected) / spanOf(channel)
        if (apart > worst || Number.isNaN(apart))
          [worst, told] = [
            Number.isNaN(apart) ? Infinity : apart,
            `${property} (${channel.signal.of}) of element ${n} at ${t}: ${text} instead of ${expected}`,
          ]
      })
    }),
  )
  return { worst, told, read }
}

test('rigs at random show in Chromium what evaluate() says', async ({ page }) => {
  await page.setViewportSize({ width: 1000, height: 700 })
  let read = 0
  const all = fc.sample(cases(1), { numRuns: 60, seed: seedOr(20261129) })
  const has = ({ areas, channels }: Rig) => [
    ...areas.map(({ of }) => of),
    ...channels.flatMap(({ signal, feel }) => [signal.of, feel.kind]),
  ]
  for (const [made, [played]] of isLong ? all : covering(all, ([rig]) => has(rig))) {
    if (!played) continue
    const [boxesGiven, samples] = played
    // What is about the focus, links and fingers is the hit test's of a page; here the pointer is a mouse.
    const rig: Rig = {
      ...made,
      areas: made.areas.map((area) => ({ ...area, looks: area.looks && { ...area.looks, keys: false } })),
      channels: made.channels
        // What a box holds beyond itself, and what zones choose, is tried apart (looks.spec.ts).
        .filter(({ signal, chain }) => !['focus', 'chosen', 'overflowX', 'overflowY'].includes(signal.of) && chain === undefined)
        .map((channel) => ({ ...channel, frame: 'area' as const })),
    }
    if (rig.channels.length === 0) continue
    const shown: Rig = {
      ...rig,
      outputs: rig.channels.map(({ id }) => ({
        to: 'self',
        slot: { on: 'property', name: `--${id}`, unit: '', law: 'replace' },
        base: 0,
        factor: 1,
        channel: id,
        strength: 1,
      })),
    }
    const boxes = rounded(boxesGiven)
    const trace = samples
      .filter(({ phase }) => phase !== 'focus' && phase !== 'blur')
      .map((sample) => ({ ...sample, x: px(sample.x) + 0.25, y: px(sample.y) + 0.25, pointerType: 'mouse' as const }))
    const end = (trace.at(-1)?.t ?? 0) + 300
    const frames = Array.from({ length: 24 }, (_, i) => 5 + (i * end) / 23)
    const props = shown.channels.map(({ id }) => ({ id, property: propertyOfChannel(namesOf('rig'), id) }))
    const select = shown.areas[0]?.of === 'window' ? ':root' : '.card'
    const written = await playThrough(
      page,
      pageOf(boxes),
      { rig: shown },
      trace,
      frames,
      props.map(({ property }) => ({ select, property })),
    )
    const {
      worst,
      told,
      read: some,
    } = worstOf(
      shown,
      boxes,
      trace,
      frames,
      shown.areas[0]?.of === 'group' ? written.map((each) => each.map((texts) => texts.slice(0, 1))) : written,
      props,
    )
    expect(worst, `${told}\n${JSON.stringify(shown)}`).toBeLessThan(most)
    read += some
  }
  expect(read).toBeGreaterThan(isLong ? 2000 : 400)
})

const ground = (css: string) =>
  `<!doctype html><html><head><style>html { overflow: hidden } body { margin: 0; height: 700px } .card { position: absolute; left: 200px; top: 150px; width: 400px; height: 300px; font: 60px/1 serif } .card + .card { left: 700px; width: 240px } .card > * { position: absolute; left: 40px; top: 30px; width: 120px; height: 80px } ${css}</style></head><body>`
const at = (t: number, x: number, y: number, phase: Sample['phase'] = 'move'): Sample => ({
  t,
  x,
  y,
  buttons: 0,
  pointerType: 'mouse',
  phase,
})

/** Where the pointer goes: nine points, at each until all rests; then a jump and three moments on the way, and away. */
const nine = [0.02, 0.5, 0.98].flatMap((v) => [0.02, 0.5, 0.98].map((u) => [200 + u * 400, 150 + v * 300] as const))
const journey = [...nine.map(([x, y], i) => at(100 + i * 4000, x, y)), at(40_000, 580, 170), at(44_000, 20, 20, 'leave')]
const looks = [...nine.map((_, i) => 100 + i * 4000 + 3900), 40_040, 40_120, 40_300, 44_040, 44_120, 50_000]

const boxesOn = (page: Page, selects: readonly string[]) =>
  page.evaluate(
    (all) =>
      Object.fromEntries(
        all.map((select) => [
          select,
          [...document.querySelectorAll(select)].map((element) => {
            const { x, y, width, height } = element.getBoundingClientRect()
            return { x, y, width, height }
          }),
        ]),
      ),
    selects,
  )

// What CSS does alone has no values to compare, nor has a kind that only turns looks; chains on parts are tried apart (trail.spec.ts).
const writesValues = (rig: Rig): boolean =>
  needsScript(rig) && rig.outputs.some(({ channel }) => channel !== undefined) && rig.channels.every(({ chain }) => chain === undefined)
for (const kind of kinds.filter(({ id, expand, defaults }) => id !== 'free' && writesValues(expand(defaults, '.card')))) {
  test(`every recipe of ${kind.id} shows at nine points, and on the way, what evaluate() says`, async ({ page }) => {
    await page.setViewportSize({ width: 1000, height: 700 })
    let all = 0
    for (const recipe of kind.recipes) {
      // The ground of what follows is what it stands in, unless it is given.
      const roles = kind
        .roles(recipe.settings)
        .slice(1)
        .map(({ id }) => id)
        .filter((id) => id !== 'ground')
      const html = `${ground('')}${'<div class="card">Words'.concat(...roles.map((id) => `<i class="${id}"></i>`), '</div>').repeat(2)}</body></html>`
      const rig = kind.expand(recipe.settings, '.card', Object.fromEntries(roles.map((id) => [id, `.card .${id}`])))
      await page.setContent(html)
      const boxes: Boxes = { window: { width: 1000, height: 700 }, elements: await boxesOn(page, touchedBy(rig).read) }
      const followed = rig.channels.filter(
        ({ frame, chain, signal }) =>
          (frame === 'area' || (typeof frame === 'object' && 'each' in frame)) &&
          chain === undefined &&
          !['time', 'past', 'speed', 'heading'].includes(signal.of),
      )
      const whole = rig.areas[0]?.of === 'window' ? ':root' : (rig.areas[0]?.select ?? '')
      const props = followed.map(({ id, frame }) => ({
        id,
        property: propertyOfChannel(namesOf('it'), id),
        select: typeof frame === 'object' && 'each' in frame ? frame.each : whole,
      }))
      const trace = journey.filter(isPresent).concat(journey.filter((sample) => !isPresent(sample)))
      const written = await playThrough(page, html, { it: rig }, trace, looks, props)
      const { worst, told, read } = worstOf(
        rig,
        boxes,
        trace,
        looks,
        rig.areas[0]?.of === 'group' ? written.map((each) => each.map((texts) => texts.slice(0, 1))) : written,
        props,
      )
      expect(worst, `${recipe.id}: ${told}`).toBeLessThan(most)
      all += read
    }
    expect(all).toBeGreaterThan(10)
  })
}
