// glass-moth simulate: what a site's effects do under a trace, as a table of values.
import { writeFileSync } from 'node:fs'
import { planEffects } from '../core/export/plan'
import { readBoxes } from '../core/rig/boxes-schema'
import { evaluate, missingBoxes, type Boxes, type BoxesAt } from '../core/rig/evaluate'
import { touchedBy } from '../core/rig/resolve'
import type { Rig } from '../core/rig/rig'
import type { Sample } from '../core/signal/sample'
import { siteSchema } from '../core/site/site'
import { readTrace } from '../core/trace/csv'
import { Misuse, readArguments } from './arguments'
import { readFile } from './read-file'

export const simulateUsage =
  'glass-moth simulate SITE.json --trace TRACE.csv [--fps N | --at T1,T2,...] [--boxes BOXES.json] --out VALUES.csv'

/** A table of values: a name for each column, and a line for each moment. */
interface Table {
  readonly columns: readonly string[]
  readonly lines: readonly (readonly (number | string)[])[]
}

/** Runs the command with the words after its name. Throws `Misuse` for wrong use, an Error for a file that cannot be read. */
export function simulate(words: readonly string[]): string {
  const { files, options } = readArguments(words, ['trace', 'fps', 'at', 'boxes', 'out'])
  const [site] = files
  const { trace: tracePath, out, boxes: boxesPath } = options
  if (files.length !== 1 || !site || !tracePath || !out) throw new Misuse(simulateUsage)
  if (options.fps !== undefined && options.at !== undefined) throw new Misuse('Give either --fps or --at.')
  const trace = readFile('trace', tracePath, readTrace)
  const planned = readFile('site', site, (text) => planEffects(siteSchema.parse(JSON.parse(text)), 'site'))
  const boxes = boxesPath === undefined ? undefined : readFile('boxes', boxesPath, (text) => readBoxes(JSON.parse(text)))
  const times = readTimes(trace, options.fps, options.at)
  const tables = planned.map(({ rig, names }) => tableOf(rig, names.name, trace, boxes ?? plainBoxes(rig), times))
  const columns = ['t', ...tables.flatMap((table) => table.columns)]
  const lines = times.map((t, i) => [t, ...tables.flatMap((table) => table.lines[i] ?? [])])
  writeFileSync(out, [columns, ...lines].map((cells) => `${cells.map(writeCell).join(',')}\n`).join(''))
  return `${lines.length} moments of ${columns.length - 1} values in ${out}.`
}

/** The moments to be shown: those given, or frames from the first sample until two seconds after the last one. */
function readTimes(trace: readonly Sample[], fps = '60', at?: string): readonly number[] {
  if (at !== undefined) {
    const times = at.split(',').map((text) => (text.trim() === '' ? NaN : Number(text)))
    if (!times.every(Number.isFinite) || times.some((t, i) => t < (times[i - 1] ?? -Infinity)))
      throw new Misuse('--at takes times in ms that rise, joined by commas.')
    return times
  }
  const rate = Number(fps)
  if (!(rate >= 1 && rate <= 1000)) throw new Misuse('--fps takes a number from 1 to 1000.')
  const begin = trace[0]?.t ?? 0
  const end = (trace.at(-1)?.t ?? 0) + afterMs
  return Array.from({ length: Math.floor(((end - begin) * rate) / 1000) + 1 }, (_, i) => begin + (i * 1000) / rate)
}

const afterMs = 2000

/** Where nothing else is said: a window of 1280 x 720 with one match of each selector, as large as half of it, in the middle. */
function plainBoxes(rig: Rig): Boxes {
  const box = { x: 320, y: 180, width: 640, height: 360 }
  return { window: { width: 1280, height: 720 }, elements: Object.fromEntries(touchedBy(rig).read.map((select) => [select, [box]])) }
}

function tableOf(rig: Rig, name: string, trace: readonly Sample[], boxes: Boxes | readonly BoxesAt[], times: readonly number[]): Table {
  for (const each of 'window' in boxes ? [boxes] : boxes) {
    const missing = missingBoxes(rig, each)
    if (missing !== undefined) throw new Error(`The boxes say nothing of "${missing}", which ${name} reads.`)
  }
  const { columns, moments } = evaluate(rig, trace, boxes, times)
  return { columns: columns.map((column) => `${name}.${column}`), lines: moments.map(({ values }) => values) }
}

/** A cell of CSV; numbers to a billionth. */
function writeCell(value: number | string): string {
  if (typeof value === 'number') return Number.isNaN(value) ? '' : String(Number(value.toFixed(9)))
  return /[",\n]/.test(value) ? `"${value.replaceAll('"', '""')}"` : value
}
