// What reads what somebody else wrote: archives, pages, sheets, for as long and in as much memory as it may, in a thread of its own.
// Nothing here knows the database.
import { createHash } from 'node:crypto'
import { zipSync } from 'fflate'
import sniffEncoding from 'html-encoding-sniffer'
import { gzippedSize, minifyScript } from '../../bundle/minify'
import { writePage } from '../../bundle/page'
import { compile, writeShape } from '../../core/compile/compile'
import { needsScript } from '../../core/compile/needs-script'
import { keyOf, planScript, withoutWords } from '../../core/compile/plan'
import { allowing, factNames, type FactName, type Facts, type Leaving } from '../../core/compile/facts'
import { askedBy, takeFacts, type Asked, type PageFacts } from '../../core/compile/page-facts'
import { pageFactsOf } from '../../core/compile/tree-facts'
import { planEffects, type PlannedEffect } from '../../core/export/plan'
import { targetsOf, writeStylesheet } from '../../core/export/stylesheet'
import { overlapsOf } from '../../core/rig/resolve'
import { copyForStudio, type StudioCopy } from '../../core/page/studio-copy'
import type { PageFile } from '../../core/page/sheets'
import { elementsOf, findIn, PageTooLarge, readTree, textOf } from '../../core/page/tree'
import type { Page, Site } from '../../core/site/site'
import { staysInside } from '../../core/site/path'
import { cutText } from '../../core/site/text'
import { nameOfType, typeOf } from '../file-types'
import { importLimits } from '../import-limits'
import { Problem } from '../problem'
import { scriptFragments } from '../built'
import { placeLoose } from './place-loose'
import { unzip, type Unpacked } from '../unzip'

/** A page that was read, with whether its text gives back the very bytes that came. */
export interface ReadPage {
  readonly path: string
  readonly name: string
  readonly html: string
  readonly isExact: boolean
}

export interface ReadFile {
  readonly path: string
  readonly type: string
  readonly hash: string
  readonly bytes: Uint8Array
}

export interface ReadImport {
  readonly pages: readonly ReadPage[]
  /** Everything else, and the bytes of pages that were in another encoding. */
  readonly files: readonly ReadFile[]
}

export interface CopyTask {
  readonly html: string
  readonly path: string
  readonly files: readonly PageFile[]
  /** The texts of sheets by hash. */
  readonly sheets: ReadonlyMap<string, string>
  readonly shown: readonly string[]
  readonly shownBy: readonly { readonly select: string; readonly class: string }[]
  readonly nonce: string | undefined
}

export interface ExportTask {
  readonly site: Site
  readonly page: Page
  readonly html: string
  /** The page with all of its sheets in it; whether some of them could not be had, and whether it has scripts. */
  readonly dressed: string
  readonly lacksSheets: boolean
  readonly hasScripts: boolean
  /** One effect that is asked for alone. */
  readonly only?: string | undefined
}

/** A script as it leaves, and in as few characters as it can be; its weight is that of the small form, gzipped, bytes. */
export interface ScriptText {
  readonly readable: string
  readonly small: string
  readonly smallBytes: number
  /** What it counts on, which its stylesheet counts on too. */
  readonly facts: PageFacts
}

/** A script with stand-ins for its numbers and the key of its shape; and what was asked of the page to write it, with the answer. */
export interface WrittenShape {
  readonly key: string
  readonly text: string
  readonly asked: Asked
  readonly facts: PageFacts
}

/** What something in a script weighs, bytes of its small form gzipped: a fact that it allows for, or being taken off again; and whether it is in it. */
export interface ScriptCost {
  readonly what: FactName | 'takesOff'
  /** By the page itself, by the designer's wish, or not. */
  readonly isIn: 'page' | 'wish' | 'no'
  readonly bytes: number
}

/** The tasks by name; each is a function of what can be posted to a thread. */
export const tasks = {
  import: readImport,
  /** Whether a page's HTML is within the limits. Throws a 413 Problem where it is not. */
  check: (html: string): true => {
    readPageTree(html, 'The page')
    return true
  },
  copy: ({ html, path, files, sheets, shown, shownBy, nonce }: CopyTask): StudioCopy =>
    copyForStudio(html, {
      path,
      files: new Map(files.map((file) => [file.path, file])),
      sheetText: (hash) => sheets.get(hash),
      shown,
      shownBy,
      nonce,
    }),
  /** An archive of files by their paths. */
  pack: (entries: Readonly<Record<string, Uint8Array>>): Uint8Array<ArrayBuffer> => zipSync(entries, { level: 6, mtime: '2020-01-01' }),
  export: (task: ExportTask): string => {
    const tree = readTree(task.html)
    const planned = planEffects(task.site, task.page.id)
    const overlaps = overlapsOf(targetsOf(planned), (select) => findIn(tree, select))
    const facts = takeFacts(factsFor(planned, task))
    const { script } = task.site
    return writePage(
      task.html,
      writeStylesheet(planned, overlaps, allowing(facts, script ?? {})),
      compile(planned, facts, scriptFragments(), script),
      { isModule: script?.isModule, hasLayers: facts.ownLayers.length > 0 },
    )
  },
  script: (task: ExportTask): ScriptText => {
    const planned = planEffects(task.site, task.page.id, task.only)
    const facts = factsFor(planned, task)
    const readable = compile(planned, takeFacts(facts), scriptFragments(), task.site.script)
    const small = minifyScript(readable)
    return { readable, small, smallBytes: gzippedSize(small), facts }
  },
  /** What the studio's own compiler would write for the page, by its shape. */
  shape: (task: ExportTask): WrittenShape | null => {
    const planned = planEffects(task.site, task.page.id)
    if (!planned.some(({ rig }) => needsScript(rig))) return null
    const facts = factsFor(planned, task)
    const { shape } = planScript(withoutWords(planned), takeFacts(facts), { allows: task.site.script?.allows })
    return { key: keyOf(shape), text: writeShape(shape, scriptFragments()), asked: askedBy(planned), facts }
  },
  /** How many elements of a page each selector matches; null where it cannot be read. */
  counts: ({ html, selects }: { readonly html: string; readonly selects: readonly string[] }): Readonly<Record<string, number | null>> => {
    const tree = readTree(html)
    return Object.fromEntries(selects.map((select) => [select, findIn(tree, select)?.length ?? null]))
  },
  costs: (task: ExportTask): readonly ScriptCost[] => {
    const planned = planEffects(task.site, task.page.id, task.only)
    const facts = takeFacts(factsFor(planned, task))
    const { script = {} } = task.site
    const weigh = (known: Facts, leaving: Leaving) => gzippedSize(minifyScript(compile(planned, known, scriptFragments(), leaving)))
    const wished = new Set(script.allows)
    const present = weigh(facts, script)
    // Each is weighed against the script as it is: without what is in it, or with what is not.
    const without = (what: FactName) =>
      present - weigh({ ...facts, [what]: false }, { ...script, allows: script.allows?.filter((each) => each !== what) })
    const withIt = (what: FactName) => weigh({ ...facts, [what]: true }, script) - present
    return [
      ...factNames.map((what): ScriptCost => ({
        what,
        isIn: facts[what] ? 'page' : wished.has(what) ? 'wish' : 'no',
        bytes: facts[what] || wished.has(what) ? without(what) : withIt(what),
      })),
      {
        what: 'takesOff',
        isIn: script.takesOff ? 'wish' : 'no',
        bytes: script.takesOff
          ? present - weigh(facts, { ...script, takesOff: undefined })
          : weigh(facts, { ...script, takesOff: true }) - present,
      },
    ]
  },
}

/** What is known of a page that is dressed so. */
const factsFor = (planned: readonly PlannedEffect[], { dressed, lacksSheets, hasScripts }: ExportTask): PageFacts =>
  pageFactsOf({ tree: readTree(dressed), lacksSheets, hasScripts }, planned)

const short = (path: string) => (path.length > 80 ? `…${path.slice(-79)}`.toWellFormed() : path)
const isPage = (path: string) => /\.x?html?$/i.test(path)
const megabytes = (bytes: number) => bytes / 1024 / 1024

/** Reads what was brought; files that lost their folders are where the pages ask for them. Throws a Problem with one sentence when there is no page, or something is too large, broken or not what it says. */
function readImport(given: readonly Unpacked[]): ReadImport {
  const files = withoutCommonFolder(unpackAll(given))
  const large = files.find(({ bytes, path }) => bytes.length > (isPage(path) ? importLimits.htmlBytes : importLimits.fileBytes))
  if (large)
    throw new Problem(
      413,
      'A file is too large',
      `"${short(large.path)}" has ${megabytes(large.bytes.length).toFixed(1)} MB; ${isPage(large.path) ? `a page may have ${megabytes(importLimits.htmlBytes)}` : `a file may have ${megabytes(importLimits.fileBytes)}`}.`,
    )
  const unsafe = files.find(({ path }) => !staysInside(path))
  if (unsafe) throw new Problem(422, 'A path is not safe', `"${short(unsafe.path)}" would lie outside of what was brought.`)
  const [pageFiles, others] = [files.filter(({ path }) => isPage(path)), files.filter(({ path }) => !isPage(path))]
  if (pageFiles.length === 0)
    throw new Problem(
      422,
      'No page',
      files.length === 0
        ? 'There was nothing in what you brought.'
        : 'There is no HTML file in what you brought. Bring the page with its files, or paste its HTML.',
    )
  if (pageFiles.length > importLimits.pages)
    throw new Problem(413, 'Too many pages', `${pageFiles.length} HTML files were brought; ${importLimits.pages} are taken at once.`)
  const pages = pageFiles.map(readPage).sort(indexFirst)
  const originals = pageFiles.filter(({ path }) => pages.some((page) => page.path === path && !page.isExact))
  return {
    pages,
    files: placeLoose([...others, ...originals], pages).map(({ path, bytes }) => ({
      path,
      bytes,
      type: typeOf(path, bytes),
      hash: createHash('sha256').update(bytes).digest('hex'),
    })),
  }
}

/** All files, archives opened. What they hold counts together, while it is unpacked. */
function unpackAll(given: readonly Unpacked[]): readonly Unpacked[] {
  const left = { files: importLimits.files, totalBytes: importLimits.totalBytes }
  return given.flatMap(({ path, bytes }) => {
    const found =
      typeOf(path, bytes) === 'application/zip'
        ? unzip(bytes, { ...left, fileBytes: importLimits.fileBytes })
        : [{ path: path.replaceAll('\\', '/').replace(/^\/+/, ''), bytes }]
    left.files -= found.length
    left.totalBytes -= found.reduce((sum, each) => sum + each.bytes.length, 0)
    if (left.files < 0)
      throw new Problem(
        413,
        'Too many files',
        `More than ${importLimits.files} files were brought; that is the most that is taken at once.`,
      )
    if (left.totalBytes < 0)
      throw new Problem(
        413,
        'Too much at once',
        `What was brought has more than ${megabytes(importLimits.totalBytes)} MB; that is the most that is taken at once.`,
      )
    return found
  })
}

/** Archives and folders often hold everything in one folder of their own. */
function withoutCommonFolder(files: readonly Unpacked[]): readonly Unpacked[] {
  const folders = files.map(({ path }) => path.split('/').slice(0, -1))
  let depth = 0
  while (files.length > 0 && folders.every((parts) => parts[depth] !== undefined && parts[depth] === folders[0]?.[depth])) depth += 1
  return depth === 0 ? files : files.map(({ path, bytes }) => ({ path: path.split('/').slice(depth).join('/'), bytes }))
}

/** Encodings that no decoder reads, since they were ways to smuggle: a browser shows a page of them as one replacement character. */
const unreadable = /^(replacement|iso-2022-kr|hz-gb-2312|iso-2022-cn|iso-2022-cn-ext|csiso2022kr)$/i

/** A page's text, by the encoding that its bytes or its own words tell. */
function readPage({ path, bytes }: Unpacked): ReadPage {
  const type = typeOf(path, bytes)
  if (type !== 'text/html') throw new Problem(422, 'Not a page', `"${short(path)}" is called HTML, but is really ${nameOfType(type)}.`)
  if (bytes.length === 0) throw new Problem(422, 'Not a page', `"${short(path)}" is empty.`)
  const html = decode(bytes, path).toWellFormed()
  if (html.includes('\0')) throw new Problem(422, 'Not a page', `"${short(path)}" is called HTML, but holds bytes that no text has.`)
  const title = elementsOf(readPageTree(html, `"${short(path)}"`)).find(({ name }) => name === 'title')
  const name =
    (
      (title && textOf(title)) ||
      path
        .split('/')
        .at(-1)
        ?.replace(/\.x?html?$/i, '') ||
      'Page'
    ).trim() || 'Page'
  return { path, html, name: cutText(name, 100), isExact: Buffer.from(html, 'utf8').equals(Buffer.from(bytes)) }
}

function decode(bytes: Uint8Array, path: string): string {
  const encoding = sniffEncoding(bytes, { defaultEncoding: 'utf-8' }).toLowerCase()
  const refusal = () =>
    new Problem(
      422,
      'The encoding cannot be read',
      `"${short(path)}" says that it is written in ${encoding}, which no browser reads. Save it as UTF-8 and bring it again.`,
    )
  if (unreadable.test(encoding)) throw refusal()
  try {
    return new TextDecoder(encoding).decode(bytes)
  } catch {
    throw refusal()
  }
}

function readPageTree(html: string, name: string) {
  try {
    return readTree(html)
  } catch (error) {
    throw error instanceof PageTooLarge ? new Problem(413, 'The page is too large', `${name} ${error.message}.`) : error
  }
}

function indexFirst(one: ReadPage, other: ReadPage): number {
  const rank = ({ path }: ReadPage) => [path.split('/').length, /(^|\/)index\.x?html?$/i.test(path) ? 0 : 1, path] as const
  const [a, b] = [rank(one), rank(other)]
  return a[0] - b[0] || a[1] - b[1] || (a[2] < b[2] ? -1 : 1)
}
