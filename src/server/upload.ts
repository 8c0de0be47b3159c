// Files on their way in.
import { Problem } from './problem'
import type { Unpacked } from './unzip'

/** What multipart form data adds to the files, at most, bytes. */
const slack = 1024 * 1024

/**
 * The files of a request with their paths: `file` fields, and beside them `paths`, a JSON list in the same order. Throws
 * a Problem: 413 when there is more than `totalBytes`, 400 when it cannot be read.
 */
export async function readUpload(request: Request, totalBytes: number): Promise<readonly Unpacked[]> {
  const tooMuch = () => new Problem(413, 'Too much at once', `More than ${totalBytes / 1024 / 1024} MB were brought; that is the most that is taken at once.`)
  if (Number(request.headers.get('content-length') ?? 0) > totalBytes + slack) throw tooMuch()
  const form = await request.formData().catch(() => {
    throw new Problem(400, 'The files cannot be read', 'What was sent cannot be read as files, so nothing was taken in.')
  })
  const files = form.getAll('file').filter((each) => each instanceof File)
  if (files.reduce((sum, { size }) => sum + size, 0) > totalBytes) throw tooMuch()
  const paths = readPaths(form.get('paths'))
  return Promise.all(files.map(async (file, i) => ({ path: (paths[i] ?? file.name).slice(0, 1000), bytes: new Uint8Array(await file.arrayBuffer()) })))
}

function readPaths(text: unknown): readonly string[] {
  try {
    const paths: unknown = JSON.parse(typeof text === 'string' ? text : '[]')
    return Array.isArray(paths) && paths.every((each) => typeof each === 'string') ? paths : []
  } catch {
    return []
  }
}
