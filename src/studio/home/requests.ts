// What home asks of the server.
import * as z from 'zod'
import type { Bundle, Page } from '../../core/site/site'
import { reach } from '../store/reach'

const madeSchema = z.object({ siteId: z.string(), pageId: z.string() })

const ask = (address: string, method: string, body: unknown) =>
  reach(address, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })

/** Begins a site, and gives the address of its first page in the studio. Throws an Error with a sentence. */
export async function newSite(
  how:
    | { readonly starter: string }
    | { readonly template: string }
    | { readonly copyOf: string }
    | { readonly pages: readonly Page[]; readonly bundle?: Bundle | undefined },
): Promise<string> {
  const { siteId, pageId } = madeSchema.parse(await (await ask('/api/sites', 'POST', how)).json())
  return `/studio/${siteId}/${pageId}`
}

/** Brings back the last readable version of a site that cannot be read. Throws an Error with a sentence. */
export async function restoreSite(id: string): Promise<void> {
  await ask(`/api/sites/${id}/restore`, 'POST', {})
}

/** Renames a site, removes it, or brings it back. Throws an Error with a sentence. */
export async function changeSite(id: string, change: { readonly name: string } | { readonly removed: boolean }): Promise<void> {
  await ask(`/api/sites/${id}`, 'PATCH', change)
}
