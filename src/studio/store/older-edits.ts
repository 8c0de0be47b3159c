// Edits that an earlier version of the studio kept in this browser as whole documents, with those that they were made from.
import * as z from 'zod'
import { applyPatch, diff } from '../../core/site/patch'
import { siteSchema, tidySite, type Site } from '../../core/site/site'

const keptSchema = z.object({ base: siteSchema, site: siteSchema })

/** What an earlier version kept of a site: the site with what it changed, where nobody changed that since; and how to let go of it. */
export function olderEdits(storage: Storage, siteId: string, now: Site): readonly { readonly site: Site; readonly forget: () => void }[] {
  const prefix = `glass-moth:unsaved:${siteId}:`
  const keys = Array.from({ length: storage.length }, (_, i) => storage.key(i)).filter((key): key is string => key?.startsWith(prefix) === true)
  return keys.flatMap((key) => {
    try {
      const { base, site } = keptSchema.parse(JSON.parse(storage.getItem(key) ?? ''))
      return [{ site: tidySite(applyPatch(now, diff(base, site), 'careful').value), forget: () => storage.removeItem(key) }]
    } catch {
      // What cannot be read stays where it is.
      return []
    }
  })
}
