// Traces on their way in and out: CSV as `glass-moth simulate` reads it, and JSON.
import * as z from 'zod'
import { keys, phases, pointerTypes, type Sample } from '../signal/sample'
import { readTrace, writeTrace } from './csv'

export const traceFormat = 'glass-moth-trace/1'

const traceSchema = z.object({
  format: z.literal(traceFormat),
  samples: z
    .array(
      z.object({
        t: z.number(),
        x: z.number(),
        y: z.number(),
        buttons: z.number().int().min(0).max(31).default(0),
        phase: z.enum(phases).default('move'),
        pointerType: z.enum(pointerTypes).default('mouse'),
        by: z.number().optional(),
        key: z.enum(keys).optional(),
      }),
    )
    .min(1, 'has no samples')
    .max(20_000),
})

/** The most that is kept of one trace: characters of CSV. */
export const mostCsv = 90_000

/** A trace from a file, CSV or JSON. Throws an Error with one sentence for anything else. */
export function readTraceFile(text: string): readonly Sample[] {
  if (text.length > 4_000_000) throw new Error('This file is too long for a trace; 4 MB is the most.')
  if (!/^\s*\{/.test(text)) return readTrace(text)
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    throw new Error('This file begins like JSON, but cannot be read as such.')
  }
  const read = traceSchema.safeParse(json)
  if (!read.success) {
    const [issue] = read.error.issues
    throw new Error(
      `This is no trace of format ${traceFormat}: at ${issue?.path.join('.') || 'the top'}, ${issue?.message ?? 'it cannot be read'}.`,
    )
  }
  return [...read.data.samples].sort((a, b) => a.t - b.t)
}

/** A trace as JSON that `readTraceFile` reads. */
export function writeTraceJson(samples: readonly Sample[]): string {
  return JSON.stringify({ format: traceFormat, samples }, null, 1)
}

const short = (value: number) => Number(value.toFixed(1))

/**
 * A stretch as CSV to be kept: from 0 ms on, to a tenth of a ms and of a px. Where that is too long for a document,
 * moves that follow each other within 4 ms, then within 8, 16 and so on, are left out.
 */
export function keepTrace(samples: readonly Sample[]): string {
  const from = samples[0]?.t ?? 0
  const shortened = samples.map((sample) => ({ ...sample, t: short(sample.t - from), x: short(sample.x), y: short(sample.y) }))
  for (let gapMs = 0; ; gapMs = gapMs === 0 ? 4 : gapMs * 2) {
    let last = -Infinity
    const csv = writeTrace(
      shortened.filter(({ t, phase }) => {
        const isKept = phase !== 'move' || t - last >= gapMs
        if (isKept) last = t
        return isKept
      }),
    )
    if (csv.length <= mostCsv) return csv
  }
}
