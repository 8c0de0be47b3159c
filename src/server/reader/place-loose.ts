// Files that were brought without their folders: each is put where the pages ask for it.
import { copyForStudio } from '../../core/page/studio-copy'
import type { Unpacked } from '../unzip'

/** How often sheets may lead to sheets that lead to files. */
const mostRounds = 4

const nameOf = (path: string) => (path.split('/').at(-1) ?? path).toLowerCase()

/** How many of their last parts two paths have in common. */
function commonTail(one: string, other: string): number {
  const [a, b] = [one, other].map((path) => path.toLowerCase().split('/').reverse()) as [string[], string[]]
  const apart = a.findIndex((part, i) => part !== b[i])
  return apart < 0 ? a.length : apart
}

/**
 * The files with those that nobody asks for where they are, and that are called like one that a page asks for and that is missing, at that
 * path. Where several are called so, the one whose folders fit best; where that does not tell, none.
 */
export function placeLoose(
  files: readonly Unpacked[],
  pages: readonly { readonly path: string; readonly html: string }[],
): readonly Unpacked[] {
  let placed = files
  for (let round = 0; round < mostRounds; round++) {
    const missing = missingIn(placed, pages)
    const moved = new Map<Unpacked, string>()
    for (const path of missing) {
      const alike = placed.filter((file) => nameOf(file.path) === nameOf(path) && !moved.has(file) && !isPagePath(file.path, pages))
      const best = Math.max(...alike.map((file) => commonTail(file.path, path)))
      const fitting = alike.filter((file) => commonTail(file.path, path) === best)
      if (fitting[0] && fitting.length === 1) moved.set(fitting[0], path)
    }
    if (moved.size === 0) return placed
    placed = placed.flatMap((file) => {
      const path = moved.get(file)
      if (path === undefined) return [file]
      // One that has a folder may be asked for there too.
      return file.path.includes('/') ? [file, { ...file, path }] : [{ ...file, path }]
    })
  }
  return placed
}

const isPagePath = (path: string, pages: readonly { readonly path: string }[]) => pages.some((page) => page.path === path)

/** The paths that pages, or sheets of theirs, ask for and that are not there. */
function missingIn(files: readonly Unpacked[], pages: readonly { readonly path: string; readonly html: string }[]): readonly string[] {
  const byPath = new Map(files.map((file) => [file.path, { path: file.path, type: '', size: file.bytes.length, hash: file.path }]))
  const text = (path: string) => {
    const file = files.find((each) => each.path === path)
    return file && new TextDecoder().decode(file.bytes)
  }
  const held = pages.flatMap(
    ({ path, html }) => copyForStudio(html, { path, files: byPath, sheetText: text, shown: [], nonce: undefined }).heldBack,
  )
  return [
    ...new Set(
      held.flatMap(({ what, isMissing, address }) =>
        address !== undefined && (isMissing || (what === 'script' && !address.includes(':') && !byPath.has(address))) ? [address] : [],
      ),
    ),
  ]
}
