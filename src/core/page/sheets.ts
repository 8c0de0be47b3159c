// Stylesheets as the studio's copy of a page has them: imports put in where they stand, files by placeholders.
import { changeAddresses } from './css-addresses'
import { readReference } from './references'
import { placeholderOf } from './studio-copy-marks'

/** A file that came with a page. */
export interface PageFile {
  readonly path: string
  readonly hash: string
  readonly type: string
}

/** What a sheet or a page refers to is found in. */
export interface Surroundings {
  readonly files: ReadonlyMap<string, PageFile>
  /** The text of a stylesheet by its hash. */
  readonly sheetText: (hash: string) => string | undefined
  /** Hears of what is not loaded: an address elsewhere, or a file that is not there. */
  readonly onMissing: (what: 'sheet' | 'picture' | 'font' | 'media', address: string, isMissing: boolean) => void
}

const deepestImport = 8
/** As much CSS as imports may bring into one page, characters, and as many of them. */
const mostImported = 8_000_000
const mostImports = 500
/** A condition that is longer is none that anybody wrote, characters. */
const longestCondition = 2000

/** What imports have brought so far, and those that are being put in: a sheet that imports itself is not followed. */
interface Progress {
  readonly chain: readonly string[]
  readonly spent: { characters: number; imports: number }
}

const begin = (): Progress => ({ chain: [], spent: { characters: 0, imports: 0 } })

/** CSS from the file at `path`, ready for the studio's frame. */
export function prepareSheet(css: string, path: string, around: Surroundings, progress: Progress = begin()): string {
  return changeAddresses(css, {
    address: (address) => addressIn(address, path, around, /\.(woff2?|ttf|otf|eot)([?#]|$)/i.test(address) ? 'font' : 'picture'),
    import: (address, condition) => {
      const inner = sheetAt(address, path, around, progress)
      return inner === undefined || condition.length > longestCondition ? '/* an import */' : wrap(inner, condition)
    },
  })
}

/** What an address becomes in the studio's copy; undefined where it stays. An address that leads nowhere becomes empty. */
export function addressIn(
  address: string,
  from: string,
  { files, onMissing }: Surroundings,
  what: 'picture' | 'font' | 'media',
): string | undefined {
  const reference = readReference(address, from)
  if (reference.kind === 'within') return undefined
  if (reference.kind === 'code') return 'data:,'
  const path = reference.kind === 'file' ? reference.path : reference.address
  const file = files.get(path)
  if (!file) onMissing(what, path, reference.kind === 'file')
  return file ? placeholderOf(file.hash) : 'data:,'
}

/** The sheet that an address leads to, ready for the frame; undefined, and told of, where there is none. */
export function sheetAt(address: string, from: string, around: Surroundings, progress: Progress = begin()): string | undefined {
  const reference = readReference(address, from)
  if (reference.kind === 'within' || reference.kind === 'code') return undefined
  const path = reference.kind === 'file' ? reference.path : reference.address
  const file = around.files.get(path)
  const text = file && around.sheetText(file.hash)
  if (text === undefined) {
    around.onMissing('sheet', path, reference.kind === 'file')
    return undefined
  }
  const { chain, spent } = progress
  spent.characters += text.length
  spent.imports += 1
  if (chain.includes(path) || chain.length >= deepestImport || spent.characters > mostImported || spent.imports > mostImports)
    return undefined
  return prepareSheet(text, path, around, { chain: [...chain, path], spent })
}

/** An imported sheet under the layer, support and media that its import names. */
function wrap(css: string, condition: string): string {
  const layer = /^layer(\(([^)]*)\))?\s*/i.exec(condition)
  const rest = condition.slice(layer?.[0].length ?? 0)
  const supports = /^supports\((.*?)\)\s*(?=$|[a-z(])/i.exec(rest)
  const media = rest.slice(supports?.[0].length ?? 0).trim()
  let text = css
  if (media) text = `@media ${media} {\n${text}\n}`
  if (supports) text = `@supports (${supports[1] ?? ''}) {\n${text}\n}`
  return layer ? `@layer ${layer[2] ?? ''} {\n${text}\n}` : text
}
