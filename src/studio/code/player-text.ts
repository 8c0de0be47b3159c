// The player's text for a set of needs, from the server; and what a text weighs.
import { useEffect, useState } from 'react'
import * as z from 'zod'

const playerSchema = z.object({ readable: z.string(), smallBytes: z.number() })
export type PlayerText = z.infer<typeof playerSchema>

const known = new Map<string, PlayerText>()

/** The player for these needs (joined by commas), once it came; or why it did not. */
export function usePlayer(needs: string): { readonly text?: PlayerText; readonly failure?: string } {
  const [player, setPlayer] = useState<{ readonly needs: string; readonly text?: PlayerText; readonly failure?: string }>({ needs })
  useEffect(() => {
    let isCurrent = true
    const load = async () => {
      try {
        const response = await fetch(`/api/player?needs=${needs}`)
        const text = playerSchema.parse(await response.json())
        known.set(needs, text)
        if (isCurrent) setPlayer({ needs, text })
      } catch {
        if (isCurrent) setPlayer({ needs, failure: 'The studio cannot be reached, so its script cannot be shown now. Close the code and open it again.' })
      }
    }
    if (!known.has(needs)) void load()
    return () => {
      isCurrent = false
    }
  }, [needs])
  const text = known.get(needs)
  return text ? { text } : player.needs === needs ? player : {}
}

/** Bytes of a text after gzip, by the browser's own compressor. */
export async function gzippedBytes(text: string): Promise<number> {
  const stream = new Blob([text]).stream().pipeThrough(new CompressionStream('gzip'))
  return (await new Response(stream).arrayBuffer()).byteLength
}
