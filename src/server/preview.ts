// The preview: a page as it is exported, with its files, at an address of its own beside the studio's. It only reads.
import { timingSafeEqual } from 'node:crypto'
import { networkInterfaces } from 'node:os'
import { filesOf, type Page, type Site } from '../core/site/site'
import { readAsset } from './assets'
import { exportPage } from './export'
import { Problem } from './problem'
import { readPage, readSource } from './sites'

/** By this the door of the preview is known to the studio's server; what it says is made anew at each start. */
export const previewHeader = 'x-glass-moth-preview'

const token = () => process.env.GLASS_MOTH_PREVIEW_TOKEN ?? ''

const isSame = (one: string, other: string) =>
  one.length > 0 && one.length === other.length && timingSafeEqual(Buffer.from(one), Buffer.from(other))

/** Throws a 404 Problem for whoever does not come by the preview's own door. */
export function isPreviewCaller({ headers }: Pick<Request, 'headers'>): void {
  if (!isSame(headers.get(previewHeader) ?? '', token()))
    throw new Problem(404, 'No preview here', 'Previews have an address of their own; the studio opens it from the menu “Preview as”.')
}

const pathOf = ({ path }: Page) => path ?? 'index.html'

/** Whether two pages were brought together, so that links lead from one to the other. */
const areTogether = (one: Page, other: Page) => one.id === other.id || (one.bundle !== undefined && one.bundle === other.bundle)

/** What stands at a path beside a page: the page itself, one that came with it, or a file. Throws a 404 Problem where there is nothing. */
export async function previewOf({ siteId, pageId }: { readonly siteId: string; readonly pageId: string }, path: string): Promise<Response> {
  const { site, page } = await readPage(siteId, pageId)
  if (path === '')
    return new Response(null, { status: 302, headers: { location: encodeURI(`/${token()}/${siteId}/${pageId}/${pathOf(page)}`) } })
  const other = site.pages.find((each) => areTogether(page, each) && pathOf(each) === path)
  if (other) return pageResponse(site, other)
  const file = filesOf(site, page).find((each) => each.path === path)
  if (!file) throw new Problem(404, 'Not in this site', `There is no “${path.slice(0, 200)}” beside this page.`)
  const { type, bytes } = await readAsset(file.hash)
  return new Response(new Uint8Array(bytes), { headers: headersFor(type) })
}

async function pageResponse(site: Site, page: Page): Promise<Response> {
  const html = await exportPage(site, page, await readSource(page.source))
  return new Response(html, { headers: headersFor('text/html; charset=utf-8') })
}

const headersFor = (type: string) => ({
  'content-type': type,
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'cache-control': 'no-store',
})

/** Where previews are had: on this machine, at another host than the studio so that neither has the other's cookies, and by which addresses in the network where it was started for that. */
export interface PreviewPlaces {
  readonly here: string
  readonly lan: readonly string[]
}

/** Throws a 404 Problem where the server was started without them. */
export function previewPlaces(): PreviewPlaces {
  const port = process.env.GLASS_MOTH_PREVIEW_PORT
  if (!port || token() === '') throw new Problem(404, 'No previews', 'This studio was started without an address for previews.')
  const addresses = Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => `http://${address}:${port}/${token()}`)
  return { here: `http://localhost:${port}/${token()}`, lan: process.env.GLASS_MOTH_LAN === '1' ? addresses : [] }
}
