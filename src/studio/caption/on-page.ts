// What a look at the page that is open finds, which may take its time.
import { useEffect, useState } from 'react'
import type { Site } from '../../core/site/site'
import type { Match } from '../../worker/protocol'
import { usePage, useStudio, type Studio } from '../context'

type Page = Site['pages'][number]

/** A look at the page, when the worker knows the site as it stands; `matchesOf` tells what a selector matches there. */
type Look<Found> = (at: {
  readonly page: Page
  readonly studio: Studio
  readonly matchesOf: (select: string) => Promise<readonly Match[]>
}) => Promise<Found | null>

/** What a look finds: null without one, until it is there, where it finds nothing, and anew once the page or what `key` says is another. */
export function useOnPage<Found>(key: string, look: Look<Found> | null): Found | null {
  const studio = useStudio()
  const page = usePage()
  const [found, setFound] = useState<{ readonly key: string; readonly value: Found | null } | null>(null)
  const whole = `${page.id} ${page.source} ${key}`
  useEffect(() => {
    if (!look) return undefined
    let isCurrent = true
    const { search } = studio
    const begin = async () => {
      const value = await look({ page, studio, matchesOf: (select) => search.ask({ ask: 'matches', page: page.id, select }) })
      if (isCurrent) setFound({ key: whole, value })
    }
    void begin().catch(() => undefined)
    return () => {
      isCurrent = false
    }
    // The look is another function each time; the key says when it would find something else.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [studio, whole])
  return found?.key === whole ? found.value : null
}
