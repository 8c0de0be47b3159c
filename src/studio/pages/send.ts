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

/** Sends files to the server, which reads pages from them. Throws an Error with a sentence where it refuses. */
export async function sendFiles(files: readonly Brought[]): Promise<z.infer<typeof importedSchema>> {
  const size = files.reduce((sum, { file }) => sum + file.size, 0)
  if (size > mostBytes)
    throw new Error(`What you brought has ${Math.round(size / 1024 / 1024)} MB; ${mostBytes / 1024 / 1024} MB are taken at once.`)
  const form = new FormData()
  for (const { file } of files) form.append('file', file)
  form.append('paths', JSON.stringify(files.map(({ path }) => path)))
  const response = await fetch('/api/import', { method: 'POST', body: form }).catch(() => {
    throw new Error('The studio’s server cannot be reached, so nothing was brought in.')
  })
  if (!response.ok) throw new Error(await refusalOf(response))
  return importedSchema.parse(await response.json())
}
