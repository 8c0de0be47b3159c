// Edits that an earlier version of the studio kept in this browser as whole documents, with those that they were made from.
import * as z from 'zod'
import { diff, type Patch } from '../../core/site/patch'
import { siteSchema } from '../../core/site/site'

const keptSchema = z.object({ base: siteSchema, site: siteSchema })

/** What an earlier version kept of a site: what was changed, and how to let go of it. */
export function olderEdits(storage: Storage, siteId: string): readonly { readonly patch: Patch; readonly forget: () => void }[] {
  const prefix = `glass-moth:unsaved:${siteId}:`
  const keys = Array.from({ length: storage.length }, (_, i) => storage.key(i)).filter(
    (key): key is string => key?.startsWith(prefix) === true,
  )
  return keys.flatMap((key) => {
    try {
      const { base, site } = keptSchema.parse(JSON.parse(storage.getItem(key) ?? ''))
      return [{ patch: diff(base, site), forget: () => storage.removeItem(key) }]
    } catch {
      // What cannot be read stays where it is.
      return []
    }
  })
}
