// What a designer does to the markup of a page: each is an edit of its source, kept, and undone like any other.
import type * as Markup from '../../core/page/markup'
import type { MarkupEdit, Where } from '../../core/page/markup'
import type { Starter } from '../../core/page/starters'
import { folderOf } from '../../core/site/path'
import type { SiteFile } from '../../core/site/site'
import { notify } from '../commands'
import { stopPointing } from '../point/commands'
import { pageOf, type Studio } from '../context'
import { refusalOf } from '../store/reach'
import { newGesture } from '../store/site-store'

/** A change of a source, by what edits markup: that is loaded when it is first needed. */
export type SourceChange = (source: string, markup: typeof Markup) => string

/** The change that each studio is at: the next one begins with what it leaves. */
const changing = new WeakMap<Studio, Promise<unknown>>()

/** Changes the source of the page; a change that cannot be done is said at the foot of the page. Gives whether it was done. */
export function changeSource(studio: Studio, words: string, change: SourceChange, gesture = newGesture()): Promise<boolean> {
  const next = (changing.get(studio) ?? Promise.resolve()).then(() => takeChange(studio, words, change, gesture))
  changing.set(studio, next)
  return next
}

async function takeChange(studio: Studio, words: string, change: SourceChange, gesture: string): Promise<boolean> {
  const page = pageOf(studio)
  try {
    const [markup, before] = await Promise.all([import('../../core/page/markup'), studio.search.source(page.source)])
    const after = change(before, markup)
    if (after === before) return false
    const source = await studio.search.keep(after)
    studio.store.edit({ do: 'page', id: page.id, to: { source } }, words, gesture)
    return true
  } catch (error) {
    notify(studio, error instanceof Error ? error.message : 'This cannot be done here.')
    return false
  }
}

export async function editMarkup(studio: Studio, edit: MarkupEdit, words: string): Promise<boolean> {
  const done = await changeSource(studio, words, (source, { applyMarkup }) => applyMarkup(source, edit))
  if (done) stopPointing(studio)
  return done
}

/** Puts a starter before, after or into an element, with its CSS. */
export async function placeStarter(studio: Studio, starter: Starter, at: number, where: Where): Promise<void> {
  const done = await changeSource(studio, `Placing ${starter.title.toLowerCase()}`, (source, { addCssOnce, applyMarkup }) =>
    addCssOnce(applyMarkup(source, { do: 'insert', at, where, html: starter.html }), starter.css),
  )
  if (done) stopPointing(studio)
}

/** Keeps a file that the designer chose. Gives undefined, and says why, when it is refused. */
export async function keepFile(studio: Studio, file: File): Promise<SiteFile | undefined> {
  const form = new FormData()
  form.append('file', file)
  form.append('paths', JSON.stringify([file.name]))
  try {
    const response = await fetch('/api/assets', { method: 'POST', body: form })
    if (!response.ok) throw new Error(await refusalOf(response))
    return (await response.json()) as SiteFile
  } catch (error) {
    notify(
      studio,
      error instanceof TypeError
        ? 'The studio’s server cannot be reached, so the file was not taken.'
        : error instanceof Error
          ? error.message
          : 'The file was not taken.',
    )
    return undefined
  }
}

/** Puts a chosen picture in the place of another: the file comes along with the page, and the element asks for it. */
export async function replacePicture(studio: Studio, number: number, file: File): Promise<void> {
  await bringPicture(studio, file, 'Replacing a picture', (source, address, { applyMarkup }) => {
    const withSrc = applyMarkup(source, { do: 'attribute', at: number, name: 'src', value: address })
    return applyMarkup(applyMarkup(withSrc, { do: 'attribute', at: number, name: 'srcset', value: null }), {
      do: 'attribute',
      at: number,
      name: 'sizes',
      value: null,
    })
  })
}

/** Puts a picture where an element is that cannot play here, such as a frame. */
export async function putPicture(studio: Studio, number: number, file: File): Promise<void> {
  await bringPicture(studio, file, 'Putting a picture there', (source, address, { applyMarkup }) =>
    applyMarkup(source, { do: 'replace', at: number, html: `<img src="${address}" alt="">` }),
  )
}

/** Brings a picture along with the page, and changes the source so that it asks for it. */
async function bringPicture(
  studio: Studio,
  file: File,
  words: string,
  change: (source: string, address: string, markup: typeof Markup) => string,
): Promise<void> {
  const kept = await keepFile(studio, file)
  if (!kept) return
  if (!kept.type.startsWith('image/')) return notify(studio, `"${file.name}" is no picture, so nothing was replaced.`)
  const folder = folderOf(pageOf(studio))
  const address = `${kept.hash.slice(0, 8)}-${file.name.replace(/[^\w.-]+/g, '-')}`
  const gesture = newGesture()
  addFile(studio, { ...kept, path: folder + address }, words, gesture)
  if (await changeSource(studio, words, (source, markup) => change(source, address, markup), gesture)) stopPointing(studio)
}

/** Adds a file to those that came with the page. */
export function addFile(studio: Studio, file: SiteFile, words = 'Bringing a file', gesture = newGesture()): void {
  const { site } = studio.store.history.get()
  const page = pageOf(studio)
  const id = page.bundle ?? `b${page.id}`.slice(0, 40)
  const before = site.bundles?.find((each) => each.id === id)
  const files = [...(before?.files ?? []).filter(({ path }) => path !== file.path), file]
  const bundles = [...(site.bundles ?? []).filter((each) => each.id !== id), { id, files }]
  const pages = site.pages.map((each) => (each.id === page.id ? { ...each, bundle: id } : each))
  studio.store.edit({ do: 'site', to: { bundles, pages } }, words, gesture)
}
