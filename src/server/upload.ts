// Files on their way in: read as they come, counted while they do.
import busboy from 'busboy'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import type { ReadableStream } from 'node:stream/web'
import { callerOf, portOf, refuseCaller } from './door'
import { importLimits } from './import-limits'
import { Problem } from './problem'
import type { Unpacked } from './unzip'

/** A list of paths that is longer is no list of ours, characters. */
const longestList = 4_000_000

/**
 * The files of a request with their paths: `file` fields, and beside them `paths`, a JSON list in the same order. Each has its
 * bytes to itself. Throws a Problem: 403 for a foreign caller, 413 as soon as there is more than `totalBytes`, 400 when it cannot be read.
 */
export async function readUpload(request: Request, totalBytes: number): Promise<readonly Unpacked[]> {
  // The proxy keeps a second copy of what it lets by, so large bodies do not go by it.
  const foreign = refuseCaller(callerOf(request), portOf(request))
  if (foreign !== undefined) throw new Problem(403, 'Refused', foreign)
  const unreadable = () => new Problem(400, 'The files cannot be read', 'What was sent cannot be read as files, so nothing was taken in.')
  const files: { name: string | undefined; bytes: Uint8Array }[] = []
  let list = ''
  let total = 0
  let refusal: Problem | undefined
  try {
    const form = busboy({
      headers: Object.fromEntries(request.headers),
      limits: { files: importLimits.files + 1, fields: 4, fieldSize: longestList },
    })
    form.on('field', (name, value) => {
      if (name === 'paths') list = value
    })
    form.on('file', (_, stream, { filename }) => {
      const parts: Buffer[] = []
      stream.on('data', (part: Buffer) => {
        total += part.length
        if (total > totalBytes) {
          refusal ??= new Problem(
            413,
            'Too much at once',
            `More than ${totalBytes / 1024 / 1024} MB were brought; that is the most that is taken at once.`,
          )
          form.destroy(refusal)
        } else parts.push(part)
      })
      stream.on('close', () => files.push({ name: filename, bytes: joined(parts) }))
    })
    if (!request.body) throw unreadable()
    await pipeline(Readable.fromWeb(request.body as ReadableStream<Uint8Array>), form)
  } catch {
    throw refusal ?? unreadable()
  }
  const paths = readPaths(list)
  return files.map(({ name, bytes }, i) => ({ path: (paths[i] ?? name ?? '').slice(0, 1000).toWellFormed(), bytes }))
}

/** Parts as one, in memory of its own, so that it can be handed over. */
function joined(parts: readonly Buffer[]): Uint8Array {
  const bytes = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0))
  let at = 0
  for (const part of parts) {
    bytes.set(part, at)
    at += part.length
  }
  return bytes
}

function readPaths(text: string): readonly string[] {
  try {
    const paths: unknown = JSON.parse(text === '' ? '[]' : text)
    return Array.isArray(paths) && paths.every((each) => typeof each === 'string') ? paths : []
  } catch {
    return []
  }
}
