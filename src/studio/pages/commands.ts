// What a designer does with the pages of a site.
import { nanoid } from 'nanoid'
import { blankTitle, type Starter } from '../../core/page/starters'
import type { Bundle, Page, Site } from '../../core/site/site'
import { cutText } from '../../core/site/text'
import { notify } from '../commands'
import { pageOf, type Studio } from '../context'
import { selectHere } from '../effects/commands'
import { nothingUnseen } from '../store/view-store'
import { sendFiles, type Brought, type Sending } from './send'

/** Shows another page of the site. */
export function openPage({ view, store }: Studio, id: string): void {
  if (id === view.get().page) return
  view.update({ page: id, unseen: nothingUnseen, findings: null, matches: null, described: null, trial: null })
  // The caption is of something that is on the page.
  selectHere({ store, view })
  window.history.replaceState(null, '', `/studio/${store.id}/${id}`)
}

/** Shows what is hidden until a script of the page's own shows it, in the studio: by the class that it would set, where that can be told. */
export async function showUnseen({ search, store, view }: Studio, page: Page): Promise<void> {
  const { elements } = view.get().unseen
  const numbers = elements.map(({ number, by }) => by?.number ?? number)
  const rungs = await search.ask({ ask: 'rungs', page: page.id, numbers: [...new Set(numbers)] })
  const selects = new Map(
    rungs.map(({ number, choices }) => [number, choices.find(({ how }) => how === 'class')?.select ?? choices[0]?.select ?? '']),
  )
  const found = elements.map(({ by }, i) => ({ select: selects.get(numbers[i] ?? -1) ?? '', class: by?.class }))
  const shown = [...(page.shown ?? []), ...found.flatMap((each) => (each.class === undefined && each.select !== '' ? [each.select] : []))]
  const shownBy = [
    ...(page.shownBy ?? []),
    ...found.flatMap((each) => (each.class !== undefined && each.select !== '' ? [{ select: each.select, class: each.class }] : [])),
  ]
  const byText = new Map(shownBy.map((each) => [JSON.stringify(each), each]))
  store.edit(
    {
      do: 'page',
      id: page.id,
      to: {
        shown: shown.length > 0 ? [...new Set(shown)].slice(0, 50) : undefined,
        shownBy: byText.size > 0 ? [...byText.values()].slice(0, 50) : undefined,
      },
    },
    'Showing what was hidden',
  )
}

/** Brings pages in, behind those that are there, and shows the first. Gives a sentence when it is refused. */
export async function bringPages(studio: Studio, files: readonly Brought[], sending: Sending): Promise<string | undefined> {
  try {
    const { pages, bundle } = await sendFiles(files, sending)
    const { site } = studio.store.history.get()
    studio.store.edit(
      { do: 'site', to: { pages: [...site.pages, ...pages], ...withBundle(site, bundle) } },
      pages.length === 1 ? `Bringing ${pages[0]?.name ?? 'a page'}` : `Bringing ${pages.length} pages`,
    )
    if (pages[0]) openPage(studio, pages[0].id)
    return undefined
  } catch (error) {
    return error instanceof Error ? error.message : 'This could not be brought in.'
  }
}

const withBundle = (site: Site, bundle: Bundle | undefined) => (bundle ? { bundles: [...(site.bundles ?? []), bundle] } : {})

/** An effect whose elements are not in a page's newer version, and what they may have become. */
export interface Lost {
  readonly effect: string
  readonly name: string
  readonly select: string
  readonly candidates: readonly { readonly select: string; readonly count: number }[]
}

/** Puts a newer version in the place of the page: effects find their elements again, and lost ones are told. */
export async function replacePage(studio: Studio, files: readonly Brought[], sending: Sending): Promise<string | readonly Lost[]> {
  const { store, search } = studio
  try {
    const { pages, bundle } = await sendFiles(files, sending)
    const page = pageOf(studio)
    const next = pages.find(({ path }) => path === page.path) ?? pages[0]
    if (!next) return 'There was no page in what you brought.'
    const before = await search.source(page.source)
    const { site } = store.history.get()
    const replaced = site.pages.map((each) => (each.id === page.id ? { ...next, id: page.id, name: page.name } : each))
    const selects = site.effects.map(({ select }) => select)
    const had = await search.ask({ ask: 'count', selects })
    store.edit({ do: 'site', to: { pages: replaced, ...withBundle(site, bundle) } }, 'Bringing a newer version')
    const has = await search.ask({ ask: 'count', selects })
    const lost = site.effects.filter(({ select }) => (had[select]?.[page.id] ?? 0) > 0 && (has[select]?.[page.id] ?? 0) === 0)
    return await Promise.all(
      lost.map(async ({ id, name, select }) => ({
        effect: id,
        name,
        select,
        candidates: await search.ask({ ask: 'alike', page: page.id, select, before }),
      })),
    )
  } catch (error) {
    return error instanceof Error ? error.message : 'This could not be brought in.'
  }
}

/** Adds a page to the site, blank or with a starter on it, and shows it. */
export async function addPage(studio: Studio, starter?: Starter): Promise<void> {
  try {
    const { plainPage } = await import('../../core/page/plain-page')
    const page = { id: nanoid(10), name: starter?.title ?? blankTitle, source: await studio.search.keep(plainPage(starter)) }
    const { pages } = studio.store.history.get().site
    studio.store.edit({ do: 'site', to: { pages: [...pages, page] } }, `Adding ${page.name}`)
    openPage(studio, page.id)
    studio.view.update({ lit: page.id })
  } catch (error) {
    notify(studio, error instanceof Error ? error.message : 'The page could not be made.')
  }
}

/** Renames the site. */
export function renameSite({ store }: Studio, name: string): void {
  const trimmed = cutText(name.trim(), 120)
  if (trimmed !== '' && trimmed !== store.history.get().site.name) store.edit({ do: 'site', to: { name: trimmed } }, 'Renaming the site')
}

export function renamePage({ store }: Studio, page: Page, name: string): void {
  const trimmed = cutText(name.trim(), 120)
  if (trimmed !== '' && trimmed !== page.name) store.edit({ do: 'page', id: page.id, to: { name: trimmed } }, 'Renaming a page')
}

/** Moves a page up or down among the others. */
export function movePage({ store }: Studio, page: Page, by: -1 | 1): void {
  const { pages } = store.history.get().site
  const at = pages.findIndex(({ id }) => id === page.id)
  const to = at + by
  if (at < 0 || to < 0 || to >= pages.length) return
  store.edit({ do: 'site', to: { pages: pages.toSpliced(at, 1).toSpliced(to, 0, page) } }, 'Moving a page')
}

export function copyPage(studio: Studio, page: Page): void {
  const { pages } = studio.store.history.get().site
  const copy = { ...page, id: nanoid(10), name: `${cutText(page.name, 110)}, copy` }
  studio.store.edit({ do: 'site', to: { pages: pages.toSpliced(pages.indexOf(page) + 1, 0, copy) } }, `Duplicating ${page.name}`)
  studio.view.update({ lit: copy.id })
}

/** Puts a page into the bin; the last one stays. */
export function removePage(studio: Studio, page: Page): void {
  const { site } = studio.store.history.get()
  if (site.pages.length < 2) return notify(studio, 'A site has a page; bring another one first.')
  const left = site.pages.filter(({ id }) => id !== page.id)
  studio.store.edit(
    { do: 'site', to: { pages: left, bin: [...(site.bin ?? []), { page, removedAt: new Date().toISOString() }] } },
    `Removing ${page.name}`,
  )
  if (studio.view.get().page === page.id && left[0]) openPage(studio, left[0].id)
}

export function bringBack({ store }: Studio, page: Page): void {
  const { site } = store.history.get()
  store.edit(
    { do: 'site', to: { pages: [...site.pages, page], bin: (site.bin ?? []).filter((each) => each.page.id !== page.id) } },
    `Bringing ${page.name} back`,
  )
}
