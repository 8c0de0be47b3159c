// The script of the page as it leaves, compiled by the server from the effects as they are now; and what a text weighs.
import { useEffect, useState } from 'react'
import * as z from 'zod'
import type { Site } from '../../core/site/site'

const scriptSchema = z.object({ readable: z.string(), small: z.string(), smallBytes: z.number() })
export type ScriptText = z.infer<typeof scriptSchema>

/** A number that is dragged asks for no script of its own at every step, ms. */
const pauseMs = 120

/** The script of a page's effects, or of one alone, once it came; or why it did not. The one before stays until then. */
export function useScript(siteId: string, page: string, { effects, values }: Pick<Site, 'effects' | 'values'>, only: string | undefined): { readonly text?: ScriptText; readonly failure?: string } {
  const [script, setScript] = useState<{ readonly text?: ScriptText; readonly failure?: string }>({})
  useEffect(() => {
    const stop = new AbortController()
    const load = async () => {
      try {
        const response = await fetch(`/api/sites/${siteId}/script`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ page, only, effects, values }), signal: stop.signal })
        setScript({ text: scriptSchema.parse(await response.json()) })
      } catch {
        if (!stop.signal.aborted) setScript({ failure: 'The studio cannot be reached, so its script cannot be shown now. Close the code and open it again.' })
      }
    }
    const timer = setTimeout(() => void load(), pauseMs)
    return () => {
      clearTimeout(timer)
      stop.abort()
    }
  }, [siteId, page, effects, values, only])
  return script
}

/** Bytes of a text after gzip, by the browser's own compressor. */
export async function gzippedBytes(text: string): Promise<number> {
  const stream = new Blob([text]).stream().pipeThrough(new CompressionStream('gzip'))
  return (await new Response(stream).arrayBuffer()).byteLength
}
