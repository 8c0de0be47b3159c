// What the regions of the studio share: the stores and the line to the page.
import { createContext, useContext, useMemo } from 'react'
import type { Effect, Page } from '../core/site/site'
import { partOf, useObservable, type Observable } from './store/observable'
import type { Search } from './store/search'
import type { SiteStore } from './store/site-store'
import type { StageLink } from './store/stage-link'
import type { ThreadStore } from './store/thread-store'
import type { View, ViewStore } from './store/view-store'

export interface Studio {
  readonly store: SiteStore
  readonly view: ViewStore
  readonly link: StageLink
  readonly thread: ThreadStore
  readonly search: Search
  /** Whether single letters act as keys. */
  readonly letters: Observable<boolean>
}

export const StudioContext = createContext<Studio | null>(null)

/** The studio around a component. Throws an Error outside of one. */
export function useStudio(): Studio {
  const studio = useContext(StudioContext)
  if (!studio) throw new Error('This component belongs inside a studio.')
  return studio
}

/** The present site, view and history of the studio. */
export function useSite() {
  return useObservable(useStudio().store.history).site
}

/** Some of what is in view: whoever asks for it is drawn afresh when one of these changes, and not for the rest. */
export function useView<Key extends keyof View>(...keys: readonly Key[]): Pick<View, Key> {
  const { view } = useStudio()
  const names = keys.join()
  // The names stand for the keys, which are the same at every call.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  return useObservable(useMemo(() => partOf(view, keys), [view, names]))
}

/** The selected effect and its number, if there is one. */
export function useSelected(): { readonly effect: Effect; readonly number: number } | undefined {
  const site = useSite()
  const { selected } = useView('selected')
  const index = site.effects.findIndex(({ id }) => id === selected)
  const effect = site.effects[index]
  return effect && { effect, number: index + 1 }
}

/** The page that is seen. Throws an Error for a site without pages, which there is not. */
export function pageOf({ store, view }: Pick<Studio, 'store' | 'view'>): Page {
  const { pages } = store.history.get().site
  const page = pages.find(({ id }) => id === view.get().page) ?? pages[0]
  if (!page) throw new Error('A site has a page.')
  return page
}

export function usePage(): Page {
  const studio = useStudio()
  useSite()
  useView('page')
  return pageOf(studio)
}
