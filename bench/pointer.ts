// What goes with the pointer: trails and a cursor, beside the usual way and the floor.
import type { Browser } from '@playwright/test'
import { costTable, measure, missedOf, own, placedNext, type Report } from './comparisons'
import { heapOf, medianCost, openBench, moveAlong, pause, sweep } from './browser'
import { byHand, exported, kindPlanned } from './pages'

type Source = { readonly css: string; readonly js: string }

const field = (pieces: number, { css, js }: Source, more = '') =>
  `<!doctype html><meta charset="utf-8"><title>bench</title><style>body{margin:0;height:700px;background:#23262b;color:#ccc} ${more}${css}</style><body data-pieces="${pieces}"><h1>A field</h1>${'<p>Words on it.</p>'.repeat(20)}<script>{\n${js}\n}</script>`

const pieceCss =
  '.piece{position:fixed;left:0;top:0;width:10px;height:10px;margin:-5px;border-radius:50%;background:#c98b5a;pointer-events:none;will-change:transform} '
const ours = (changes: object) => exported([kindPlanned('trail', { endPercent: 100, sizePx: 10, endPx: 10, ...changes }, 'body', 1, {})])

/** Trails of twelve pieces, of sixty, and a ribbon. */
export async function compareTrail(browser: Browser, moves = 300, rounds = 3, long = 10_000): Promise<Report> {
  const costs = await measure(
    browser,
    {
      '(a) usual, 12': field(12, byHand('trail-usual'), pieceCss),
      '(b) ours, 12': field(12, ours({ pieces: 12 })),
      '(c) floor, 12': field(12, byHand('trail-floor'), pieceCss),
      '(a) usual, 60': field(60, byHand('trail-usual'), pieceCss),
      '(b) ours, 60, on a canvas': field(60, ours({ pieces: 60 })),
      '(c) floor, 60': field(60, byHand('trail-floor'), pieceCss),
      '(b) ours, a ribbon': field(40, ours({ law: 'path', shape: 'ribbon', pieces: 40, lateMs: 12, sizePx: 22, endPx: 1 })),
      '(c) floor, a ribbon': field(40, byHand('ribbon-floor'), '.sheet{position:fixed;inset:0;pointer-events:none} '),
    },
    moves,
    rounds,
    { height: 500 },
  )
  const of = (name: string) => costs[name] ?? medianCost([])
  const ratio = (one: string, other: string) => own(of(one)) / own(of(other))
  return {
    title: `Trails of 12 pieces, of 60, and a ribbon, ${moves} moves`,
    lines: costTable(costs, moves),
    aims: [
      { words: 'script and style against (c), 12 pieces', measured: ratio('(b) ours, 12', '(c) floor, 12'), most: 1.3 },
      { words: 'script and style against (c), 60 pieces', measured: ratio('(b) ours, 60, on a canvas', '(c) floor, 60'), most: 1.3 },
      { words: 'script and style against (c), a ribbon', measured: ratio('(b) ours, a ribbon', '(c) floor, a ribbon'), most: 1.3 },
      { words: 'script and style against (a), 12 pieces', measured: ratio('(b) ours, 12', '(a) usual, 12'), most: 1 },
      {
        words: `heap grown after ${long} moves of 60 pieces, KB`,
        measured: await heapGrown(browser, field(60, ours({ pieces: 60 })), long),
        most: 50,
      },
      {
        words: `heap grown after ${long} moves that leave pieces behind, KB`,
        measured: await heapGrown(browser, field(24, ours({ law: 'dropped', pieces: 24, everyPx: 14 })), long),
        most: 50,
      },
    ],
  }
}

/** By how much the heap has grown after so many moves once all is at rest, KB. */
async function heapGrown(browser: Browser, html: string, moves: number): Promise<number> {
  const bench = await openBench(browser, html)
  await moveAlong(bench, sweep(300, 1240, 500))
  await pause(bench.page, 2500)
  const before = await heapOf(bench)
  for (let i = 0; i < moves / 1000; i++) await moveAlong(bench, sweep(1000, 1240, 500))
  await pause(bench.page, 2500)
  const grown = (await heapOf(bench)) - before
  await bench.page.close()
  return grown / 1024
}

/** A dot that becomes a labelled disc over a hundred links. */
export async function compareCursor(browser: Browser, moves = 300, rounds = 3): Promise<Report> {
  const css =
    '.cursor{position:fixed;left:0;top:0;width:14px;height:14px;margin:-7px;border-radius:50%;background:#e0a63a;pointer-events:none;z-index:9;transition:width .22s,height .22s;will-change:transform} .cursor.large{width:72px;height:72px} .cursor span{opacity:0} .cursor.large span{opacity:1} '
  const page = ({ css: own, js }: Source, more = '') =>
    `<!doctype html><meta charset="utf-8"><title>bench</title><style>body{margin:0;background:#23262b;color:#ccc} .grid{display:grid;grid-template-columns:repeat(auto-fill,110px);gap:12px;padding:8px} .card{height:56px;background:#33373e} h2{margin:4px;font-size:12px} ${more}${own}</style><div class="grid">${Array.from({ length: 100 }, (_, i) => `<a class="card"><h2>Open ${i}</h2></a>`).join('')}</div><script>{\n${js}\n}</script>`
  const shape = { id: 'shape-1', shape: 'label', sizePx: 72, colour: '#1d3b40', ink: '#ffffff', says: 'label', text: '', picture: '' }
  const ours = exported([kindPlanned('cursor', { shapes: [shape] }, 'body', 1, { 'shape-1': '.card' })])
  const costs = await measure(
    browser,
    { '(a) usual': page(byHand('cursor-usual'), css), '(b) ours': page(ours), '(c) floor': page(byHand('cursor-floor'), css) },
    moves,
    rounds,
    { height: 600 },
  )
  const of = (name: string) => costs[name] ?? medianCost([])
  return {
    title: `A cursor with a label over a hundred links, ${moves} moves`,
    lines: costTable(costs, moves),
    aims: [
      { words: 'script and style against (c)', measured: own(of('(b) ours')) / own(of('(c) floor')), most: 1.3 },
      { words: 'script and style against (a)', measured: own(of('(b) ours')) / own(of('(a) usual')), most: 1 },
      {
        words: 'moves that the next frame missed, of 100',
        measured: missedOf(await placedNext(browser, page(ours), moves, { select: '.cursor-1-point', property: '--cursor-1-x' })),
        most: 1,
      },
    ],
  }
}

const lensCss =
  '.lens{position:fixed;left:0;top:0;width:190px;height:190px;border-radius:50%;overflow:clip;background:#fff;pointer-events:none} .copy{position:absolute;left:0;top:0;transform-origin:0 0;transform:scale(2.5)} '

/** An area that fills the window: a picture, or so many elements. */
const area = (inside: string, { css, js }: Source, more = '') =>
  `<!doctype html><meta charset="utf-8"><title>bench</title><style>body{margin:0} .area{position:relative;width:1240px;height:680px;overflow:clip;background:#eee} .area img{display:block;width:1240px;height:680px} .row{display:flex;gap:4px;height:17px;font:12px/17px sans-serif} .list{columns:5} ${more}${css}</style><div class="area">${inside}</div><script>{\n${js}\n}</script>`

const pictureOf = () => {
  const dots = Array.from(
    { length: 400 },
    (_, i) => `<circle cx="${(i * 67) % 1240}" cy="${(i * 41) % 680}" r="9" fill="hsl(${i * 7} 60% 50%)"/>`,
  ).join('')
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1240" height="680">${dots}</svg>`
  return `<img alt="" src="data:image/svg+xml,${encodeURIComponent(svg)}">`
}
const rowsOf = (elements: number) =>
  `<div class="list">${Array.from({ length: elements / 5 }, (_, i) => `<div class="row"><b>${i}</b><span>word <i>of</i></span><em>more</em></div>`).join('')}</div>`

/** A lens over a picture, and over two thousand elements. */
export async function compareMagnifier(browser: Browser, moves = 300, rounds = 3): Promise<Report> {
  const lens = exported([kindPlanned('magnifier', { comeMs: 0, goMs: 0 }, '.area', 1, {})])
  const pages = (inside: string, name: string) => ({
    [`(a) usual, ${name}`]: area(inside, byHand('magnifier-usual'), lensCss),
    [`(b) ours, ${name}`]: area(inside, lens),
    [`(c) floor, ${name}`]: area(inside, byHand('magnifier-floor'), lensCss),
  })
  const costs = await measure(browser, { ...pages(pictureOf(), 'a picture'), ...pages(rowsOf(2000), '2,000 elements') }, moves, rounds, {
    height: 640,
  })
  const of = (name: string) => costs[name] ?? medianCost([])
  const ratio = (one: string, other: string) => own(of(one)) / own(of(other))
  const made = await makingOf(browser, area(rowsOf(2000), lens))
  return {
    title: `A lens over a picture and over 2,000 elements, ${moves} moves`,
    lines: [
      ...costTable(costs, moves),
      '',
      `Of 2,000 elements the copy is whole after ${made.ms.toFixed(0)} ms, in ${made.steps} steps; the longest takes ${made.longest.toFixed(1)} ms, ${made.longestFrame.toFixed(1)} ms with all that the browser does in that frame.`,
    ],
    aims: [
      {
        words: 'task time over a picture against moving a tile (c)',
        measured: of('(b) ours, a picture').task / of('(c) floor, a picture').task,
        most: 1.5,
      },
      { words: 'script and style over a picture against (c)', measured: ratio('(b) ours, a picture', '(c) floor, a picture'), most: 1.5 },
      {
        words: 'script and style over 2,000 elements against (c)',
        measured: ratio('(b) ours, 2,000 elements', '(c) floor, 2,000 elements'),
        most: 1.5,
      },
      { words: 'ms of the longest step of making a copy', measured: made.longest, most: 16 },
      {
        words: 'moves that the next frame missed, of 100',
        measured: missedOf(
          await placedNext(browser, area(pictureOf(), lens), moves, {
            select: '.magnifier-1-hand',
            property: '--magnifier-1-x',
            from: '.area',
            middle: true,
          }),
        ),
        most: 1,
      },
    ],
  }
}

/** How a copy is made once the pointer comes: how long that takes, in how many steps, and how long the longest of them is by itself and with all that the browser does in its frame, ms. */
async function makingOf(
  browser: Browser,
  html: string,
): Promise<{ readonly ms: number; readonly steps: number; readonly longest: number; readonly longestFrame: number }> {
  const bench = await openBench(browser, html)
  await bench.page.evaluate(() => {
    const frames: (readonly [step: number, frame: number])[] = []
    Object.assign(globalThis, { frames })
    const ask = globalThis.requestAnimationFrame.bind(globalThis)
    globalThis.requestAnimationFrame = (callback) =>
      ask((now) => {
        const begun = performance.now()
        callback(now)
        const step = performance.now() - begun
        // What is posted comes after layout and paint.
        const channel = new MessageChannel()
        channel.port1.onmessage = () => frames.push([step, performance.now() - begun])
        channel.port2.postMessage(0)
      })
  })
  const framesOf = () => bench.page.evaluate(() => (globalThis as unknown as { frames: (readonly [number, number])[] }).frames)
  const begun = Date.now()
  await moveAlong(bench, [[300, 300]])
  let [still, count] = [0, 0]
  while (still < 3) {
    await pause(bench.page, 40)
    const { length } = await framesOf()
    still = length === count ? still + 1 : 0
    count = length
  }
  const ms = Date.now() - begun - 3 * 40
  const frames = await framesOf()
  await bench.page.close()
  return {
    ms,
    steps: frames.length,
    longest: Math.max(...frames.map(([step]) => step)),
    longestFrame: Math.max(...frames.map(([, frame]) => frame)),
  }
}

/** Five hundred letters that rise and swell. */
export async function compareLetters(browser: Browser, moves = 300, rounds = 3): Promise<Report> {
  const text = 'The garden is dark so that you can see it. '.repeat(15).slice(0, 625)
  const page = ({ css, js }: Source) =>
    `<!doctype html><meta charset="utf-8"><title>bench</title><style>body{margin:0} .text{position:relative;margin:0;padding:30px;font:400 38px/1.4 sans-serif} .text>span{display:inline-block;white-space:pre} ${css}</style><p class="text">${text}</p><script>{\n${js}\n}</script>`
  const ours = kindPlanned('letters', { risePx: 14, sizePercent: 120, follow: { kind: 'direct' } }, '.text', 1, {})
  const weighty = kindPlanned('letters', { weight: 800, follow: { kind: 'direct' } }, '.text', 1, {})
  const costs = await measure(
    browser,
    {
      '(a) usual': page(byHand('letters-usual')),
      '(b) ours': page(exported([ours])),
      "(b') ours, by weight": page(exported([weighty])),
      '(c) floor': page(byHand('letters-floor')),
    },
    moves,
    rounds,
    { height: 500 },
  )
  const of = (name: string) => costs[name] ?? medianCost([])
  return {
    title: `Five hundred letters (${text.replaceAll(' ', '').length}) that rise and swell, ${moves} moves`,
    lines: costTable(costs, moves),
    aims: [
      { words: 'ms of the main thread for a move, within a frame', measured: of('(b) ours').task / moves, most: 16 },
      { words: 'ms of the main thread for a move by weight, within a frame', measured: of("(b') ours, by weight").task / moves, most: 16 },
      { words: 'task time against (a)', measured: of('(b) ours').task / of('(a) usual').task, most: 1 },
    ],
  }
}
