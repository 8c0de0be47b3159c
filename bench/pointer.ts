// What goes with the pointer: trails and a cursor, beside the usual way and the floor.
import type { Browser } from '@playwright/test'
import { costTable, measure, own, type Report } from './comparisons'
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
  const costs = await measure(
    browser,
    {
      '(a) usual': page(byHand('cursor-usual'), css),
      '(b) ours': page(exported([kindPlanned('cursor', { shapes: [shape] }, 'body', 1, { 'shape-1': '.card' })])),
      '(c) floor': page(byHand('cursor-floor'), css),
    },
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
    ],
  }
}
