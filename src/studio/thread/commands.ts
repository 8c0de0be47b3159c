// What can be done with the pointer's way: built-in runs, traces that are kept, and files of them.
import { expandEffect } from '../../core/effect/kinds'
import { capitalised, cutText } from '../../core/site/text'
import { nanoid } from 'nanoid'
import type { Sample } from '../../core/signal/sample'
import type { KeptTrace } from '../../core/site/site'
import { readTrace, writeTrace } from '../../core/trace/csv'
import { keepTrace, readTraceFile, writeTraceJson } from '../../core/trace/kept'
import { runs, type RunName } from '../../core/trace/runs'
import type { RunSample } from '../../stage/protocol'
import { saveText } from '../save-file'
import { notify, selectedEffect } from '../commands'
import { letGo } from '../frame/holding'
import type { Studio } from '../context'

/** Plays a built-in run over the selected effect. */
export function playRun(studio: Studio, run: RunName): void {
  const { link } = studio
  const effect = selectedEffect(studio)
  if (!effect) return
  letGo(studio)
  const [bridge] = expandEffect(effect).areas.flatMap((area) => area.bridge ?? area.joined ?? [])
  link.say({ type: 'test-run', run, select: effect.select, ...(bridge === undefined ? {} : { bridge }) })
  notify(studio, `${capitalised(runs[run].words)}: shows ${runs[run].provokes}.`)
}

/** A trace as it travels to the page, from 0 ms on. */
export function runSamples(samples: readonly Sample[]): RunSample[] {
  const from = samples[0]?.t ?? 0
  return samples.filter(({ phase }) => phase !== 'focus' && phase !== 'blur').map((sample) => ({ ...sample, t: sample.t - from }))
}

/** Plays a trace on the page. */
export function playTrace(studio: Studio, trace: KeptTrace | readonly Sample[]): void {
  letGo(studio)
  studio.link.say({ type: 'run', samples: runSamples('csv' in trace ? readTrace(trace.csv) : trace) })
}

const most = 30

function addTrace({ store, ...studio }: Studio, name: string, csv: string): void {
  const { traces = [] } = store.history.get().site
  if (traces.length >= most) return notify({ store, ...studio }, `${most} traces are kept; remove one first.`)
  store.edit({ do: 'site', to: { traces: [...traces, { id: nanoid(8), name, csv }] } }, 'Keeping a trace')
  studio.view.update({ drawer: 'tries' })
}

/** Keeps a stretch of the thread under a name. */
export function keepStretch(studio: Studio, samples: readonly Sample[]): void {
  if (samples.length === 0) return
  addTrace(studio, `Trace ${(studio.store.history.get().site.traces?.length ?? 0) + 1}`, keepTrace(samples))
}

/** Takes a trace from a file; one that cannot be read is told in a sentence. */
export async function takeTraceFile(studio: Studio, file: File): Promise<void> {
  try {
    addTrace(studio, cutText(file.name.replace(/\.[a-z]+$/i, ''), 120) || 'Trace', keepTrace(readTraceFile(await file.text())))
  } catch (error) {
    notify(studio, error instanceof Error ? error.message : 'This file cannot be read as a trace.')
  }
}

/** Gives a trace as a file, to be kept by the browser. */
export function giveTraceFile({ name, csv }: KeptTrace, format: 'csv' | 'json'): void {
  const samples = readTrace(csv)
  saveText(
    `${name.replace(/[^\w -]/g, '').trim() || 'trace'}.${format}`,
    format === 'csv' ? writeTrace(samples) : writeTraceJson(samples),
    format === 'csv' ? 'text/csv' : 'application/json',
  )
}
