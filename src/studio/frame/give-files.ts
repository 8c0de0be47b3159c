// The files that a page asks for: fetched, and posted into its frame, which may not ask for anything itself.
import type { StageLink } from '../store/stage-link'

/** Fetches files by their hashes and posts their bytes into the frame. Gives how many could not be had. */
export async function giveFiles(link: StageLink, hashes: readonly string[]): Promise<number> {
  const given = await Promise.all(
    hashes.map(async (hash) => {
      try {
        const response = await fetch(`/api/assets/${hash}`)
        if (!response.ok) return false
        link.say({ type: 'asset', hash, mime: response.headers.get('content-type') ?? '', bytes: await response.arrayBuffer() })
        return true
      } catch {
        return false
      }
    }),
  )
  return given.filter((came) => !came).length
}
