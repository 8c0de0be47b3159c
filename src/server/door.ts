// Who may ask: only this machine's own browser, on pages that this very server sent.

/** What a request says of where it comes from. */
export interface Caller {
  readonly host: string | null
  readonly origin: string | null
  readonly fetchSite: string | null
  readonly isNavigation: boolean
}

/**
 * Why a request is refused, or undefined. Foreign hosts (a name that was made to point at loopback), foreign
 * origins, `null` among them, and requests that another site's page makes are refused.
 */
export function refuseCaller({ host, origin, fetchSite, isNavigation }: Caller, port: string): string | undefined {
  const hosts = [`127.0.0.1:${port}`, `localhost:${port}`]
  if (host === null || !hosts.includes(host)) return 'This studio answers on 127.0.0.1 only.'
  if (origin !== null && origin !== `http://${host}`) return 'This studio answers its own pages only.'
  if (fetchSite !== null && fetchSite !== 'same-origin' && fetchSite !== 'none' && !isNavigation)
    return 'This studio answers its own pages only.'
  return undefined
}

/** The caller of a request. */
export const callerOf = ({ headers, method }: Pick<Request, 'headers' | 'method'>): Caller => ({
  host: headers.get('host'),
  origin: headers.get('origin'),
  fetchSite: headers.get('sec-fetch-site'),
  isNavigation: method === 'GET' && headers.get('sec-fetch-mode') === 'navigate',
})

/** The port that callers must name. */
export const portOf = ({ headers }: Pick<Request, 'headers'>): string =>
  process.env.GLASS_MOTH_PORT ?? headers.get('host')?.split(':')[1] ?? ''

/** The policy of the studio's own pages. Frames are the page route's alone. */
export function studioPolicy(nonce: string, host: string): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "connect-src 'self'",
    `frame-src http://${host}/frame/`,
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
}
