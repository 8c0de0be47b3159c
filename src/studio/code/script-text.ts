// The script of the page as it leaves, compiled by the server from the effects as they are now; and what a text weighs.
import { useEffect, useState } from 'react'
import * as z from 'zod'
import type { Site } from '../../core/site/site'
import { pageFactsSchema } from '../../stage/protocol'
import { refusalOf } from '../store/reach'

const scriptSchema = z.object({ readable: z.string(), small: z.string(), smallBytes: z.number(), facts: pageFactsSchema })
export type ScriptText = z.infer<typeof scriptSchema>

/** A number that is dragged asks for no script of its own at every step; what is read comes before what only weighs it, since one thread writes both. Times in ms. */
const pauseMs = { text: 120, costs: 500 }

/** Of what a script is asked for: the effects of a page, or one of them alone. */
export interface AskedScript extends Pick<Site, 'effects' | 'values' | 'script'> {
  readonly siteId: string
  readonly page: string
  readonly only: string | undefined
}

/** Asks the server for a script, or for what is in it weighs, after a moment; `take` says whether it can read the answer. Gives how to call that off. */
export function askForScript(
  { siteId, ...asked }: AskedScript,
  what: 'text' | 'costs',
  take: (answer: unknown) => boolean,
  fail: (why: string) => void,
): () => void {
  const stop = new AbortController()
  const load = async () => {
    try {
      const response = await fetch(`/api/sites/${siteId}/script`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ ...asked, what }),
        signal: stop.signal,
      })
      if (!response.ok) return fail(await refusalOf(response))
      const answer: unknown = await response.json().catch(() => undefined)
      if (!stop.signal.aborted && !take(answer))
        fail('The studio’s server gave an answer that cannot be read; it may be of another version.')
    } catch {
      if (!stop.signal.aborted) fail('The studio’s server cannot be reached.')
    }
  }
  const timer = setTimeout(() => void load(), pauseMs[what])
  return () => {
    clearTimeout(timer)
    stop.abort()
  }
}

/** The script, once it came; or why it did not. The one before stays until then. */
export function useScript({ siteId, page, only, effects, values, script }: AskedScript): {
  readonly text?: ScriptText
  readonly failure?: string
} {
  const [made, setMade] = useState<{ readonly text?: ScriptText; readonly failure?: string }>({})
  useEffect(
    () =>
      askForScript(
        { siteId, page, only, effects, values, script },
        'text',
        (answer) => {
          const read = scriptSchema.safeParse(answer)
          if (read.success) setMade({ text: read.data })
          return read.success
        },
        (why) => setMade({ failure: `${why} So the script cannot be shown now. Close the code and open it again.` }),
      ),
    [siteId, page, only, effects, values, script],
  )
  return made
}

/** Bytes of a text after gzip, by the browser's own compressor. */
export async function gzippedBytes(text: string): Promise<number> {
  const stream = new Blob([text]).stream().pipeThrough(new CompressionStream('gzip'))
  return (await new Response(stream).arrayBuffer()).byteLength
}
