// What is compared, side by side in one run: each gives lines for the report, and whether its aim was reached.
import type { Browser } from '@playwright/test'
import { buildSync } from 'esbuild'
import { gzippedSize } from '../src/bundle/minify'
import { springGap } from '../src/core/feel/spring'
import { heapOf, median, medianCost, moveAlong, openBench, pause, sweep, type Bench, type Cost } from './browser'
import { kinds } from '../src/core/effect/kinds'
import { busyFacts, byHand, exported, plannedOf, gridPage, handOf, kindPlanned, readable, scriptAtMost, scriptOf } from './pages'

/** One aim: what was measured against what was aimed at. */
export interface Aim {
  readonly words: string
  readonly measured: number
  readonly most: number
}

export interface Report {
  readonly title: string
  readonly lines: readonly string[]
  readonly aims: readonly Aim[]
}

const here = new URL('.', import.meta.url).pathname

/** Costs of several pages, each measured once a round, so that what else the machine does falls on all of them alike. */
export async function measure(
  browser: Browser,
  pages: Readonly<Record<string, string>>,
  moves: number,
  rounds: number,
  { between, height }: { readonly between?: (bench: Bench) => Promise<void>; readonly height?: number } = {},
): Promise<Readonly<Record<string, Cost>>> {
  const costs: Record<string, Cost[]> = {}
  for (let round = 0; round < rounds; round++) {
    for (const [name, html] of Object.entries(pages)) {
      const bench = await openBench(browser, html)
      // Warm: everything was found, measured and compiled once.
      await moveAlong(bench, sweep(40, 1240, height))
      await pause(bench.page, 300)
      ;(costs[name] ??= []).push(await bench.cost(() => moveAlong(bench, sweep(moves, 1240, height))))
      await between?.(bench)
      await bench.page.close()
    }
  }
  return Object.fromEntries(Object.entries(costs).map(([name, all]) => [name, medianCost(all)]))
}

export const own = ({ script, style }: Cost) => script + style

export function costTable(costs: Readonly<Record<string, Cost>>, moves: number): readonly string[] {
  const cell = (value: number) => (value / moves).toFixed(3)
  return [
    '| per move | task ms | script ms | style ms | layout ms | style recalculations | CPU of all processes ms |',
    '|---|---:|---:|---:|---:|---:|---:|',
    ...Object.entries(costs).map(
      ([name, cost]) =>
        `| ${name} | ${cell(cost.task)} | ${cell(cost.script)} | ${cell(cost.style)} | ${cell(cost.layout)} | ${cell(cost.styleCount)} | ${cell(cost.cpu)} |`,
    ),
  ]
}

/** The glow that does what the baselines do: light on the surface alone, at once. */
const plainGlow = { edgePx: 0, reachPx: 110, sizePx: 220, surfacePercent: 40, lies: 'over', follow: { kind: 'direct' }, comeMs: 0, goMs: 0 }

/** A grid of cards lit by one pointer. */
export async function compareGrid(browser: Browser, count: number, moves = 300, rounds = 3): Promise<Report> {
  const page = (source: { readonly css: string; readonly js: string }) => gridPage({ count, sizePx: 90, gapPx: 12 }, source)
  const costs = await measure(
    browser,
    {
      '(a) usual': page(byHand('glow-usual')),
      "(a') once a frame": page(byHand('glow-frames')),
      '(b) ours': page(exported([kindPlanned('glow', plainGlow)])),
      "(b') ours, with edges and a soft spring": page(exported([kindPlanned('glow')])),
      '(c) floor': page(byHand('glow-floor')),
    },
    moves,
    rounds,
  )
  const of = (name: string) => costs[name] ?? medianCost([])
  const [usual, frames, ours, floor] = [of('(a) usual'), of("(a') once a frame"), of('(b) ours'), of('(c) floor')]
  return {
    title: `A grid of ${count} cards lit by one pointer, ${moves} moves`,
    lines: costTable(costs, moves),
    aims: [
      { words: 'task time against (a)', measured: ours.task / usual.task, most: 1 / 12 },
      { words: "task time against (a')", measured: ours.task / frames.task, most: 1 / 5 },
      { words: 'script and style against (a)', measured: own(ours) / own(usual), most: 1 / 12 },
      { words: "script and style against (a')", measured: own(ours) / own(frames), most: 1 / 5 },
      { words: 'CPU of all processes against (a)', measured: ours.cpu / usual.cpu, most: 1 / 6 },
      { words: 'script and style against (c)', measured: own(ours) / own(floor), most: 1.25 },
    ],
  }
}

/** The same 12 lit cards on pages of different size. */
export async function comparePageSize(browser: Browser, moves = 200, rounds = 3): Promise<Report> {
  const page = (others: number) => gridPage({ count: 12, others, sizePx: 90, gapPx: 12 }, exported([kindPlanned('glow', plainGlow)]))
  const sizes = [100, 1000, 5000] as const
  const costs = await measure(browser, Object.fromEntries(sizes.map((size) => [`${size} elements`, page(size - 50)])), moves, rounds, {
    height: 100,
  })
  const of = (size: number) => costs[`${size} elements`] ?? medianCost([])
  return {
    title: `The same 12 cards on pages of 100, 1,000 and 5,000 elements, ${moves} moves`,
    lines: costTable(costs, moves),
    aims: [{ words: 'script and style, 5,000 elements against 100', measured: own(of(5000)) / own(of(100)), most: 1.5 }],
  }
}

/** A spotlight over an area as high as the window, and over one of 10,000 px. */
export async function compareSpotlight(browser: Browser, moves = 300, rounds = 3): Promise<Report> {
  const page = (height: number) => {
    const { css, js } = exported([kindPlanned('spotlight', {}, '.ground')])
    return `<!doctype html><meta charset="utf-8"><title>bench</title><style>body{margin:0} .ground{height:${height}px;background:#e8e2d4}${css}</style><section class="ground">${'<p>Words in the dark.</p>'.repeat(10)}</section><script>{\n${js}\n}</script>`
  }
  const costs = await measure(browser, { 'area of 720 px': page(720), 'area of 10,000 px': page(10_000) }, moves, rounds)
  const of = (name: string) => costs[name] ?? medianCost([])
  const [small, large] = [of('area of 720 px'), of('area of 10,000 px')]
  return {
    title: `A spotlight over a small and a large area, ${moves} moves`,
    lines: costTable(costs, moves),
    aims: [
      { words: 'task time, large against small', measured: large.task / small.task, most: 1.3 },
      { words: 'CPU of all processes, large against small', measured: large.cpu / small.cpu, most: 1.3 },
    ],
  }
}

/** One layer over another of 1200 x 700, with words in both. */
const layersPage = ({ css, js }: { readonly css: string; readonly js: string }, more = '') =>
  `<!doctype html><meta charset="utf-8"><title>bench</title><style>body{margin:0} .ground{position:relative;width:1200px;height:700px;margin:0 auto} .back,.front{position:absolute;inset:0;padding:40px} .back{background:linear-gradient(#123,#456);color:#fff} .front{background:linear-gradient(#eda,#fc8)}${more}${css}</style><section class="ground"><div class="back"><h1>Night</h1>${'<p>Words behind.</p>'.repeat(10)}</div><div class="front"><h1>Day</h1>${'<p>Words before.</p>'.repeat(10)}</div></section><script>{\n${js}\n}</script>`

/** A wipe over 1200 x 700, cut where the pointer is; at once, as the baselines are. */
export async function compareWipe(browser: Browser, moves = 300, rounds = 3): Promise<Report> {
  const page = layersPage
  const plain = { follow: { kind: 'direct' }, cuts: 'front' }
  const costs = await measure(
    browser,
    {
      '(a) usual': page(byHand('wipe-usual')),
      '(b) ours': page(exported([kindPlanned('wipe', plain, '.front', 1, {})])),
      "(b') ours, soft and slanting": page(exported([kindPlanned('wipe', { ...plain, directionDeg: 110, softPx: 60 }, '.front', 1, {})])),
      '(c) floor': page(byHand('wipe-floor')),
    },
    moves,
    rounds,
    { height: 300 },
  )
  const of = (name: string) => costs[name] ?? medianCost([])
  const [usual, ours, floor] = [of('(a) usual'), of('(b) ours'), of('(c) floor')]
  return {
    title: `A wipe over 1200 x 700, ${moves} moves`,
    lines: costTable(costs, moves),
    aims: [
      { words: 'script and style against (c)', measured: own(ours) / own(floor), most: 1.3 },
      { words: 'CPU of all processes against (a)', measured: ours.cpu / usual.cpu, most: 1 },
    ],
  }
}

/** A porthole in 1200 x 700, at once and as large as it is, as the baselines are. */
export async function comparePorthole(browser: Browser, moves = 300, rounds = 3): Promise<Report> {
  const plain = { follow: { kind: 'direct' }, comeMs: 0, goMs: 0 }
  const page = (source: { readonly css: string; readonly js: string }) => layersPage(source, ' .back{z-index:1}')
  const ours = (changes: object = {}) =>
    page(exported([kindPlanned('porthole', { ...plain, ...changes }, '.front', 1, { back: '.back', ground: '.ground' })]))
  const costs = await measure(
    browser,
    {
      '(a) usual': page(byHand('porthole-usual')),
      '(b) ours': ours(),
      "(b') ours, with a soft edge": ours({ softPx: 60 }),
      '(c) floor': page(byHand('porthole-floor')),
    },
    moves,
    rounds,
    { height: 300 },
  )
  const of = (name: string) => costs[name] ?? medianCost([])
  const [usual, plainly, soft, floor] = [of('(a) usual'), of('(b) ours'), of("(b') ours, with a soft edge"), of('(c) floor')]
  return {
    title: `A porthole in 1200 x 700, ${moves} moves`,
    lines: costTable(costs, moves),
    aims: [
      { words: 'script and style against (c)', measured: own(plainly) / own(floor), most: 1.3 },
      { words: 'CPU of all processes against (a)', measured: plainly.cpu / usual.cpu, most: 1 },
      { words: 'CPU of all processes with a soft edge against (a)', measured: soft.cpu / usual.cpu, most: 1 },
    ],
  }
}

/** Panels that grow: how often the page is laid out for every frame that is drawn meanwhile. */
export async function compareSpread(browser: Browser, rounds = 3): Promise<Report> {
  const { css } = exported([kindPlanned('spread', { panels: 6, comeMs: 600, goMs: 600 }, '.panel', 1, { content: '.words' })])
  const words = '<p>What is seen once it has room, in lines that stay as they are.</p>'.repeat(4)
  const html = `<!doctype html><meta charset="utf-8"><title>bench</title><style>body{margin:0} .row{display:flex;width:1200px;height:500px} .panel{flex:1;min-width:0;background:#cdd}${css}</style><div class="row">${`<section class="panel"><h2>Panel</h2><div class="words">${words}</div></section>`.repeat(6)}</div>`
  const perFrame: number[] = []
  for (let round = 0; round < rounds; round++) {
    const bench = await openBench(browser, html)
    const opened = async (x: number) => {
      await moveAlong(bench, [[x, 200]])
      // As a text, since what compiles this file would name the function by a helper that the page does not have.
      return bench.page.evaluate<number>(
        'new Promise((done) => { let n = 0; const from = performance.now(); requestAnimationFrame(function count(now) { n++; now - from < 550 ? requestAnimationFrame(count) : done(n) }) })',
      )
    }
    await opened(100)
    let frames = 0
    const { layoutCount } = await bench.cost(async () => {
      for (const x of [900, 300, 1100]) frames += await opened(x)
    })
    perFrame.push(layoutCount / frames)
    await bench.page.close()
  }
  const measured = median(perFrame)
  return {
    title: 'Panels of a row that grow, three openings',
    lines: [`Layouts for each frame that is drawn while one opens: ${measured.toFixed(2)}. There is no script, so none is forced.`],
    aims: [{ words: 'layouts a frame', measured, most: 1.1 }],
  }
}

/** Few of a kind against many: what is out of reach costs next to nothing. */
export async function compareMany(browser: Browser, moves = 300, rounds = 3): Promise<Report> {
  const rows = exported([kindPlanned('rows', {}, '.row', 1, { off: '.row .off', on: '.row .on' })])
  const list = (count: number) =>
    `<!doctype html><meta charset="utf-8"><title>bench</title><style>body{margin:0} .row{height:30px;width:1200px} ${rows.css}</style>${'<div class="row"><div class="off">Row</div><div class="on">Open</div></div>'.repeat(count)}<script>{\n${rows.js}\n}</script>`
  const pull = exported([kindPlanned('pull', { innerPercent: 0 }, '.key', 1, {})])
  const keys = (count: number) =>
    `<!doctype html><meta charset="utf-8"><title>bench</title><style>body{margin:0} main{display:flex;flex-wrap:wrap;gap:60px} .key{width:90px;height:40px} ${pull.css}</style><main>${'<button class="key">Key</button>'.repeat(count)}</main><script>{\n${pull.js}\n}</script>`
  const costs = await measure(
    browser,
    {
      '20 rows': list(20),
      '1000 rows': list(1000),
      '20 pulled buttons': keys(20),
      '100 pulled buttons': keys(100),
      '400 pulled buttons': keys(400),
    },
    moves,
    rounds,
    { height: 300 },
  )
  const of = (name: string) => costs[name] ?? medianCost([])
  return {
    title: `Few and many, ${moves} moves`,
    lines: costTable(costs, moves),
    aims: [
      { words: 'script, a thousand rows against twenty', measured: of('1000 rows').script / of('20 rows').script, most: 1.5 },
      {
        words: 'script, a hundred pulled buttons against twenty',
        measured: of('100 pulled buttons').script / of('20 pulled buttons').script,
        most: 1.5,
      },
    ],
  }
}

/** A light that moves over a ground with and without grain: noise that were drawn again would be many times dearer. */
export async function compareGrain(browser: Browser, moves = 300, rounds = 3): Promise<Report> {
  const page = (changes: object, more = '') => {
    const { css, js } = exported([kindPlanned('grain-light', { follow: { kind: 'direct' }, ...changes }, '.ground')])
    return `<!doctype html><meta charset="utf-8"><title>bench</title><style>body{margin:0} .ground{height:720px;color:#fff}${css}${more}</style><section class="ground">Grain</section><script>{\n${js}\n}</script>`
  }
  const costs = await measure(
    browser,
    {
      'without grain': page({}, '.grain-light-1-specks { background: none !important }'),
      'with grain': page({}),
      'with the finest grain of five octaves': page({ fineness: 2, detail: 5 }),
    },
    moves,
    rounds,
  )
  const of = (name: string) => costs[name] ?? medianCost([])
  const [without, plain, finest] = [of('without grain'), of('with grain'), of('with the finest grain of five octaves')]
  return {
    title: `A light over grain, ${moves} moves`,
    lines: costTable(costs, moves),
    aims: [
      { words: 'task time, with grain against without', measured: plain.task / without.task, most: 1.3 },
      { words: 'CPU of all processes, five octaves against two', measured: finest.cpu / plain.cpu, most: 1.2 },
    ],
  }
}

/** One tilting card with smoothing. */
export async function compareTilt(browser: Browser, moves = 300, rounds = 3): Promise<Report> {
  const counting = `<script>window.asked = 0; for (const name of ['requestAnimationFrame', 'setTimeout', 'setInterval']) { const own = window[name].bind(window); window[name] = (...given) => (window.asked++, own(...given)) }</script>`
  const page = (source: { readonly css: string; readonly js: string }) =>
    gridPage({ count: 1, sizePx: 500 }, source).replace('<script>', `${counting}<script>`)
  const idle: Record<string, number> = {}
  const names = ['(a) usual', '(b) ours', '(c) floor'] as const
  const pages = {
    '(a) usual': page(byHand('tilt-usual')),
    '(b) ours': page(exported([plannedOf('lean')])),
    '(c) floor': page(byHand('tilt-floor')),
  }
  let turn = 0
  const between = async ({ page: open }: Bench) => {
    await pause(open, 1500)
    const asked = () => open.evaluate(() => (window as unknown as { asked: number }).asked)
    const before = await asked()
    await pause(open, 1000)
    idle[names[turn++ % names.length] ?? ''] = (await asked()) - before
  }
  const costs = await measure(browser, pages, moves, rounds, { between })
  const of = (name: string) => costs[name] ?? medianCost([])
  const lerp = (hz: number) => 9 * (1 - 0.9 ** Math.floor((200 * hz) / 1000))
  const exact = 9 + 9 * springGap({ kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 }, -1, 0, 200)
  return {
    title: `One tilting card with smoothing, ${moves} moves`,
    lines: [
      ...costTable(costs, moves),
      '',
      `Frame callbacks and timers asked for in one second at rest: usual ${idle['(a) usual']}, ours ${idle['(b) ours']}, floor ${idle['(c) floor']}.`,
      '',
      `The lean 200 ms after a jump of 9 deg: usual ${lerp(30).toFixed(2)} deg at 30 Hz and ${lerp(144).toFixed(2)} deg at 144 Hz; ours ${exact.toFixed(2)} deg at every rate.`,
    ],
    aims: [
      { words: 'script and style while moving against (c)', measured: own(of('(b) ours')) / own(of('(c) floor')), most: 1.25 },
      { words: 'frame callbacks and timers of ours in a second at rest', measured: idle['(b) ours'] ?? NaN, most: 0 },
    ],
  }
}

const sorts = ['glow', 'lean', 'drift', 'turn', 'trail', 'hover', 'zones'] as const

/** Twenty rigs of mixed sorts at once on one page. */
export async function compareMixed(browser: Browser, moves = 10_000): Promise<Report> {
  const planned = Array.from({ length: 20 }, (_, i) => plannedOf(sorts[i % sorts.length] ?? 'glow', i + 1, `.c${i}, .c${i + 20}`))
  const bench = await openBench(browser, gridPage({ count: 40, sizePx: 120, gapPx: 12 }, exported(planned)))
  const { page } = bench
  const failures: string[] = []
  page.on('console', (message) => message.type() === 'error' && failures.push(message.text()))
  await page.evaluate(() => undefined)
  await moveAlong(bench, sweep(200))
  const forced = await forcedIn(bench, 300)
  // The same count on a page that is known to force them, as a proof that it counts.
  const control = await openBench(browser, gridPage({ count: 40, sizePx: 120, gapPx: 12 }, byHand('glow-usual')))
  const forcedByHand = await forcedIn(control, 20)
  await control.page.close()
  await moveAlong(bench, sweep(Math.min(3000, moves)))
  await pause(page, 1500)
  const before = await heapOf(bench)
  await moveAlong(bench, sweep(moves))
  await pause(page, 1500)
  const grown = (await heapOf(bench)) - before
  const cost = await bench.cost(() => moveAlong(bench, sweep(300)))
  await page.close()
  return {
    title: `Twenty rigs of mixed sorts (${sorts.join(', ')}) at once on 40 cards`,
    lines: [
      ...costTable({ ours: cost }, 300),
      '',
      `Forced layouts and style recalculations in 300 moves after warm-up: ${forced} (by the usual way on the same cards, in 20 moves: ${forcedByHand}). Heap after ${moves.toLocaleString('en')} moves and a collection: ${(grown / 1024).toFixed(1)} KB more than before. Figures that failed: ${failures.length}.`,
    ],
    aims: [
      { words: 'forced layouts after warm-up', measured: forced, most: 0 },
      {
        words: 'forced layouts that the count misses where they are known to be (0 is none missed)',
        measured: forcedByHand > 0 ? 0 : 1,
        most: 0,
      },
      { words: 'heap grown, KB', measured: grown / 1024, most: 50 },
      { words: 'effects that failed', measured: failures.length, most: 0 },
    ],
  }
}

/** Layouts and style recalculations that were forced in so many moves, from the browser's own trace. */
async function forcedIn(bench: Bench, moves: number): Promise<number> {
  const { session } = bench
  const events: TraceEvent[] = []
  session.on('Tracing.dataCollected', ({ value }) => events.push(...(value as unknown as typeof events)))
  await session.send('Tracing.start', { transferMode: 'ReportEvents', traceConfig: { includedCategories: ['devtools.timeline'] } })
  await moveAlong(bench, sweep(moves))
  const done = new Promise<void>((resolve) => session.once('Tracing.tracingComplete', () => resolve()))
  await session.send('Tracing.end')
  await done
  return countForced(events)
}

interface TraceEvent {
  readonly name: string
  readonly ts: number
  readonly dur?: number
  readonly ph: string
  readonly tid: number
}

/** Those that began while a script ran. */
function countForced(events: readonly TraceEvent[]): number {
  const whole = events.filter(({ ph }) => ph === 'X')
  const scripts = whole.filter(({ name }) => name === 'FunctionCall' || name === 'FireAnimationFrame' || name === 'EventDispatch')
  return whole.filter(
    ({ name, ts, tid }) =>
      (name === 'Layout' || name === 'UpdateLayoutTree') &&
      scripts.some((script) => script.tid === tid && ts > script.ts && ts < script.ts + (script.dur ?? 0)),
  ).length
}

/** In how many of so many moves the frame after the input event carries the pointer's own x: written as `property` on `select`, px from `from`. */
export async function placedNext(
  browser: Browser,
  html: string,
  moves: number,
  {
    select,
    property,
    from = 'html',
    middle = false,
  }: { readonly select: string; readonly property: string; readonly from?: string; readonly middle?: boolean },
): Promise<{ readonly hits: number; readonly moves: number }> {
  const bench = await openBench(browser, html)
  await bench.page.evaluate(
    ([part, name, area, isMiddle]) => {
      const seen = { hits: 0, moves: 0 }
      Object.assign(window, { seen })
      const box = document.querySelector(area)?.getBoundingClientRect()
      const left = (box?.left ?? 0) + (isMiddle ? (box?.width ?? 0) / 2 : 0)
      addEventListener('pointermove', ({ clientX }) => {
        seen.moves++
        // Asked for after the script's own callback, so it comes behind it in the same frame.
        requestAnimationFrame(() => {
          const written = document.querySelector<HTMLElement>(part)?.style.getPropertyValue(name) ?? ''
          if (Math.abs(parseFloat(written) - (clientX - left)) < 0.01) seen.hits++
        })
      })
    },
    [select, property, from, middle] as const,
  )
  await moveAlong(bench, sweep(moves, 500, 500))
  await pause(bench.page, 100)
  const seen = await bench.page.evaluate(() => (window as unknown as { seen: { hits: number; moves: number } }).seen)
  await bench.page.close()
  return seen
}

/** How many of a hundred moves the next frame missed. */
export const missedOf = ({ hits, moves }: { readonly hits: number; readonly moves: number }) => (100 * (moves - hits)) / moves

/** Whether the frame after an input event carries the `direct` value. */
export async function compareInputToPaint(browser: Browser, moves = 300): Promise<Report> {
  const html = gridPage({ count: 1, sizePx: 600 }, exported([plannedOf('glow')]))
  const seen = await placedNext(browser, html, moves, { select: '.glow-pool', property: '--glow-x', from: '.card' })
  return {
    title: `Input to paint, ${seen.moves} moves`,
    lines: [`The frame after the event carried the pointer's own place in ${seen.hits} of ${seen.moves} moves.`],
    aims: [{ words: 'moves that the next frame missed, of 100', measured: missedOf(seen), most: 1 }],
  }
}

/** Mapping steps in a worker of the browser. */
export async function compareEvaluation(browser: Browser, rounds = 5): Promise<Report> {
  const source =
    buildSync({ entryPoints: [`${here}evaluation.ts`], bundle: true, write: false, format: 'iife', target: 'es2022' }).outputFiles[0]
      ?.text ?? ''
  const page = await browser.newPage()
  const times = await page.evaluate(
    async ([code, count]) => {
      const worker = new Worker(URL.createObjectURL(new Blob([code], { type: 'text/javascript' })))
      const all: number[] = []
      for (let round = 0; round <= Number(count); round++) {
        const ms = await new Promise<number>((resolve) => {
          worker.onmessage = ({ data }) => resolve(data as number)
          worker.postMessage(null)
        })
        // The first round compiles.
        if (round > 0) all.push(ms)
      }
      worker.terminate()
      return all
    },
    [source, String(rounds)] as const,
  )
  await page.close()
  const ms = median(times)
  const steps = 10_000 * 30
  return {
    title: 'Evaluation: a trace of 10 s at 1000 Hz through 30 mappings, in a worker',
    lines: [
      `${ms.toFixed(0)} ms, ${((steps / ms) * 1e-3).toFixed(2)} million mapping steps a second on one core (median of ${rounds} rounds).`,
    ],
    aims: [
      { words: 'ms for the trace', measured: ms, most: 300 },
      { words: 'ms for a million steps', measured: (ms / steps) * 1e6, most: 500 },
    ],
  }
}

/** What choosing could mean, for everything under a pointer on a page of 5,000 elements: our worker beside the browser's own walk. */
export async function compareSearch(browser: Browser, rounds = 9): Promise<Report> {
  const source =
    buildSync({ entryPoints: [`${here}search.ts`], bundle: true, write: false, format: 'iife', target: 'es2022' }).outputFiles[0]?.text ??
    ''
  const html = searchedPage()
  const page = await browser.newPage()
  await page.setContent(html)
  const { ours, walks, elements, selects } = await page.evaluate(
    async ([code, text, count]) => {
      const worker = new Worker(URL.createObjectURL(new Blob([code], { type: 'text/javascript' })))
      const [searched, walked]: [number[], number[]] = [[], []]
      let found: readonly string[] = []
      // First the page is told, then asked about; the first answer compiles.
      for (let round = -1; round <= Number(count); round++) {
        const { ms, selects: all } = await new Promise<{ readonly ms: number; readonly selects: readonly string[] }>((resolve) => {
          worker.onmessage = ({ data }) => resolve(data as { ms: number; selects: string[] })
          worker.postMessage(round < 0 ? text : null)
        })
        found = all
        const begun = performance.now()
        let sum = 0
        for (const select of all) for (const element of document.querySelectorAll(select)) sum += element.matches(select) ? 1 : 0
        const walk = performance.now() - begun
        if (round > 0 && sum > 0) {
          searched.push(ms)
          walked.push(walk)
        }
      }
      worker.terminate()
      return { ours: searched, walks: walked, elements: document.querySelectorAll('*').length, selects: found.length }
    },
    [source, html, String(rounds)] as const,
  )
  await page.close()
  return {
    title: `Pointing: what twelve elements under the pointer could mean, on a page of ${elements} elements`,
    lines: [
      `${median(ours).toFixed(1)} ms in the worker for ${selects} choices, found and counted; ${median(walks).toFixed(1)} ms for a plain walk of the same page with \`querySelectorAll\` and \`matches\`, which is told the selectors (medians of ${rounds} rounds).`,
    ],
    aims: [{ words: 'ms for the ladder', measured: median(ours), most: 100 }],
  }
}

/** Nested wrappers, repeats, generated and lasting classes: 5,000 elements. */
function searchedPage(): string {
  const card = (n: number) =>
    `<article class="card c${n.toString(36)}x9"><div class="inner"><figure class="picture"><img alt=""></figure><div class="copy"><h3><span>t</span></h3><p>a</p><p class="last">b</p></div></div></article>`
  return `<!doctype html><main>${Array.from({ length: 10 }, (_, s) => `<section class="part part-${s}"><div class="wrap"><div class="grid">${Array.from({ length: 55 }, (__, n) => card(s * 55 + n)).join('')}</div></div></section>`).join('')}</main>`
}

/** What scripts and stylesheets weigh, beside those that a good hand wrote. */
export function compareSizes(): Report {
  const every = sorts.map((name, i) => plannedOf(name, i + 1))
  const names = kinds.map(({ id }) => id).filter((id) => id !== 'free')
  // Those that the model of a good hand has.
  const seven = names
    .filter((id) => ['tilt', 'drift', 'fold', 'follow', 'spotlight', 'glow', 'grain-light'].includes(id))
    .map((id, i) => kindPlanned(id, {}, '.card', i + 1))
  const all = gzippedSize(scriptOf(names.map((id, i) => kindPlanned(id, {}, '.card', i + 1))))
  // What CSS does alone leaves no script.
  const weighed = (script: string) => (script === '' ? 0 : gzippedSize(script))
  const sizes = new Map(names.map((id) => [id, weighed(scriptOf([kindPlanned(id)]))]))
  const tilt = sizes.get('tilt') ?? NaN
  const dearest = Math.max(...sizes.values())
  const lines = readable([kindPlanned('tilt')]).split('\n').length - 1
  const most = gzippedSize(scriptAtMost([kindPlanned('tilt')]))
  const ofSeven = gzippedSize(scriptOf(seven))
  const free = gzippedSize(scriptOf(every))
  const hand: Readonly<Record<string, number>> = Object.fromEntries(
    ['tilt', 'glow', 'spotlight', 'seven'].map((name) => [name, gzippedSize(handOf(`hand-${name}`))]),
  )
  return {
    title: 'Size, minified and gzipped, with data',
    lines: [
      `One tilt is ${lines} lines as it is read, and ${tilt} bytes small; with all that it can allow for and be asked, ${most} bytes. Seven sorts of rigs together are ${free} bytes.`,
      '',
      '| one effect as it is from the start | script, bytes | by a good hand | stylesheet, bytes |',
      '|---|---:|---:|---:|',
      ...names.map((id) => `| ${id} | ${sizes.get(id) ?? ''} | ${hand[id] ?? ''} | ${gzippedSize(exported([kindPlanned(id)]).css)} |`),
      `| seven of them at once | ${ofSeven} | ${hand.seven ?? ''} | |`,
      `| all of them at once | ${all} | | |`,
    ],
    aims: [
      { words: 'one tilt, lines', measured: lines, most: 80 },
      { words: 'one tilt, bytes', measured: tilt, most: 1331 },
      { words: 'one tilt with every option, bytes', measured: most, most: 1843 },
      { words: 'any one kind, bytes', measured: dearest, most: 1843 },
      { words: 'seven kinds on a page, bytes', measured: ofSeven, most: 2867 },
      { words: 'seven sorts of free rigs, bytes', measured: free, most: 6144 },
    ],
  }
}

/** A page whose own script changes a class twenty times a second, with 100 cards and the pointer at rest on one: what ours makes of each second. */
export async function compareToggling(browser: Browser, seconds = 4): Promise<Report> {
  const busy = 'setInterval(() => document.querySelector(".others i").classList.toggle("busy"), 50)'
  const pages = {
    'no effect': { css: '', js: '' },
    'tilt, by a good hand': byHand('hand-tilt'),
    tilt: exported([kindPlanned('tilt')], busyFacts),
    'tilt in a pose, which is seen without the pointer': exported([kindPlanned('tilt', { pose: { x: 0.5, y: 0.25 } })], busyFacts),
  }
  const costs: Record<string, Cost> = {}
  for (const [name, { css, js }] of Object.entries(pages)) {
    const rounds: Cost[] = []
    for (let round = 0; round < 3; round++) {
      const bench = await openBench(browser, gridPage({ count: 100, others: 10 }, { css, js: `${js}\n${busy}` }))
      await moveAlong(bench, [
        [100, 100],
        [140, 120],
      ])
      await pause(bench.page, 1200)
      rounds.push(await bench.cost(() => pause(bench.page, seconds * 1000)))
      await bench.page.close()
    }
    costs[name] = medianCost(rounds)
  }
  const bare = costs['no effect']?.script ?? 0
  const ours = (name: string) => Math.max(0, ((costs[name]?.script ?? NaN) - bare) / seconds)
  return {
    title: 'A page that changes a class 20 times a second, 100 cards, the pointer at rest',
    lines: [
      '| in each second | script ms | style ms |',
      '|---|---:|---:|',
      ...Object.entries(costs).map(
        ([name, { script, style }]) => `| ${name} | ${(script / seconds).toFixed(2)} | ${(style / seconds).toFixed(2)} |`,
      ),
    ],
    aims: [{ words: 'script of ours in each second, ms', measured: ours('tilt'), most: 2 }],
  }
}

/** An aim in words, with what came of it. */
export function tellAim({ words, measured, most }: Aim): string {
  const shown = (value: number) =>
    Number.isInteger(value) ? String(value) : value < 0.5 && value > 0 ? `1/${(1 / value).toFixed(1)}` : value.toFixed(2)
  return `${measured <= most ? 'reached' : 'MISSED'}: ${words} ${shown(measured)} (aim: at most ${shown(most)})`
}
