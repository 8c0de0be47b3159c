// Files on their way to the server, which reads pages from them.
import * as z from 'zod'
import { bundleSchema, pageSchema } from '../../core/site/site'
import { refusalOf } from '../store/reach'

const importedSchema = z.object({ pages: z.array(pageSchema), bundle: bundleSchema.optional() })

/** As much as the server takes at once, bytes. */
const mostBytes = 60 * 1024 * 1024

/** A file on its way in: from a file input, a drop or a paste, with its path. */
export interface Brought {
  readonly path: string
  readonly file: Blob
}

/** What goes on while files are taken in: how many of them are kept by now, and how it is ended. */
export interface Sending {
  readonly signal: AbortSignal
  readonly onCount: (done: number, of: number) => void
}

/** What the server says of it, line by line. */
const lineSchema = z.union([
  z.object({ done: z.number(), of: z.number() }),
  z.object({ result: importedSchema }),
  z.object({ problem: z.object({ detail: z.string() }) }),
])

const wasCancelled = 'The import was cancelled, and nothing was brought in.'
const isAway = 'The studio’s server cannot be reached, so nothing was brought in.'

/** Sends files to the server, which reads pages from them. Throws an Error with a sentence where it refuses, or where that was ended. */
export async function sendFiles(files: readonly Brought[], { signal, onCount }: Sending): Promise<z.infer<typeof importedSchema>> {
  const size = files.reduce((sum, { file }) => sum + file.size, 0)
  if (size > mostBytes)
    throw new Error(`What you brought has ${Math.round(size / 1024 / 1024)} MB; ${mostBytes / 1024 / 1024} MB are taken at once.`)
  const form = new FormData()
  for (const { file } of files) form.append('file', file)
  form.append('paths', JSON.stringify(files.map(({ path }) => path)))
  const orWhy = (error: unknown): never => {
    throw new Error(signal.aborted ? wasCancelled : isAway, { cause: error })
  }
  const headers = { accept: 'application/jsonl' }
  const response = await fetch('/api/import', { method: 'POST', body: form, headers, signal }).catch(orWhy)
  if (!response.ok || !response.body) throw new Error(await refusalOf(response))
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  for (;;) {
    const { done, value } = await reader.read().catch(orWhy)
    if (done) throw new Error(isAway)
    const lines = (rest + value).split('\n')
    rest = lines.pop() ?? ''
    for (const line of lines) {
      const said = lineSchema.parse(JSON.parse(line))
      if ('result' in said) return said.result
      if ('problem' in said) throw new Error(said.problem.detail)
      onCount(said.done, said.of)
    }
  }
}
