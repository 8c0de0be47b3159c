// Looks at the effects of a page, one after another while nothing else happens, and has the worker say what is amiss.
import { useEffect } from 'react'
import type { Known } from '../../core/check/checks'
import { seenAskedBy, toldAskedOf } from '../../core/check/asked'
import { planEffects, type PlannedEffect } from '../../core/export/plan'
import type { Effect } from '../../core/site/site'
import { usePage, useSite, useStudio, useView, type Studio } from '../context'
import { whenIdle } from '../store/idle'
import { playsAll } from '../store/scripts'

/** So long after the last change of what plays it is looked at, ms. */
const calmMs = 1500
/** While the hand moves on the page it is left alone; so long after that it is not, ms. */
const stillMs = 1000

/** What there is to know of one effect; undefined while something on the page is on its way. */
async function lookAt({ link }: Studio, planned: PlannedEffect, effect: Effect | undefined): Promise<Known | undefined> {
  const seen = await link.ask({ type: 'seen', asked: seenAskedBy(planned) })
  if (seen === 'busy') return undefined
  const told = await link.ask({ type: 'told', asked: toldAskedOf(planned, effect) })
  return { told, ...(seen ? { seen } : {}) }
}

/** Keeps the findings in step with the page that is seen. */
export function useChecks(): void {
  const studio = useStudio()
  const { link, search, store, thread, view } = studio
  const site = useSite()
  const page = usePage()
  const { pointing, trial, mode, visitor, comparison, onlyThis } = useView('pointing', 'trial', 'mode', 'visitor', 'comparison', 'onlyThis')
  const isFree = pointing.stage === 'no' && trial === null && mode.is === 'real' && visitor === 'mouse' && !comparison && !onlyThis
  const version = [page.id, page.source, page.bundle, JSON.stringify([page.shown, page.shownBy])].join(' ')
  useEffect(() => {
    if (!isFree) return
    let isCurrent = true
    const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))
    const look = async () => {
      await pause(calmMs)
      await link.whenReady(4000)
      const planned = planEffects(site, page.id)
      const known: Record<string, Known> = {}
      for (const each of planned) {
        const id = site.effects[each.number - 1]?.id ?? ''
        // The hand on the page is not to be disturbed, and what is looked at has to play there.
        const isBusy = () => performance.now() - (thread.samples.at(-1)?.t ?? -Infinity) < stillMs || !playsAll(link)
        for (let found: Known | undefined; !found;) {
          await whenIdle(1500)
          while (isCurrent && isBusy()) await pause(150)
          if (!isCurrent) return
          found = await lookAt(studio, each, site.effects[each.number - 1])
          if (found) known[id] = found
          else await pause(stillMs)
        }
      }
      const findings = await search.ask({ ask: 'check', site, page: page.id, known })
      if (isCurrent) view.update({ findings })
    }
    // A page that does not answer is looked at again when it changes.
    look().catch(() => undefined)
    return () => {
      isCurrent = false
    }
    // The version stands for all of the page that matters.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [studio, link, search, store, thread, view, site, version, isFree])
}
