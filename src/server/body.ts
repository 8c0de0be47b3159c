// The body of a request, as JSON that can be kept.
import { readJson } from '../core/site/text'
import { Problem } from './problem'

/** What is longer is nothing that the studio made, bytes: a document of 4 MB, as it was and as it is. */
const longest = 9_000_000

/** The JSON of a request. Throws a Problem: 413 for more than 9 MB, counted while it comes in; 400 for what is no JSON. */
export async function readBody(request: Request): Promise<unknown> {
  const text = await readText(
    request,
    longest,
    () => new Problem(413, 'Too much at once', 'This is more than a site holds (4 MB of settings), and was not saved.'),
  )
  try {
    return readJson(text)
  } catch {
    throw new Problem(400, 'This cannot be read', 'What was sent is not JSON, so nothing was saved.')
  }
}

/** The text of a request, of so many bytes at most; more is not waited for. Throws what `tooMuch` makes. */
export async function readText(request: Request, most: number, tooMuch: () => Problem): Promise<string> {
  if (Number(request.headers.get('content-length') ?? 0) > most) throw tooMuch()
  const parts: Uint8Array[] = []
  let size = 0
  for await (const part of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    size += part.length
    if (size > most) throw tooMuch()
    parts.push(part)
  }
  return Buffer.concat(parts).toString('utf8')
}
