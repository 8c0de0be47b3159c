// The door of previews: an address of its own, beside the studio's, that answers reading alone and only by the token of this run.
import { timingSafeEqual } from 'node:crypto'
import { createServer } from 'node:http'

const say = (response, status, words) =>
  response.writeHead(status, { 'content-type': 'text/plain; charset=utf-8', 'cache-control': 'no-store' }).end(`${words}\n`)

const isSame = (one, other) => one.length === other.length && timingSafeEqual(Buffer.from(one), Buffer.from(other))

/** What is asked for, where the address has the token; undefined where it has not, or cannot be read. */
export function askedFor(url, token) {
  const [, given = '', rest] = /^\/([^/?#]+)(\/[^?#]*)/.exec(url) ?? []
  if (rest === undefined || !isSame(given, token)) return undefined
  try {
    const plain = decodeURIComponent(rest)
    // Nothing leads out of the site.
    return /[\0-\x1f\\]|(^|\/)\.\.?(\/|$)/.test(plain) ? undefined : `/preview${rest.replace(/\/+$/, '')}`
  } catch {
    return undefined
  }
}

/** Cookies of other tools on this host, and of pages that were previewed on it, come with every request, bytes. */
export const longestHeaders = 1 << 20

/**
 * Opens the door; `handle` answers what comes by it as the studio would. It is at `localhost`, another host than the studio's, so that
 * neither has the other's cookies; whichever loopback address a browser takes that for. Gives its server once it listens.
 */
export function openPreviewDoor({ port, studioPort, token, isLan, handle }) {
  const respond = (request, response) => {
    if (request.method !== 'GET' && request.method !== 'HEAD') return say(response, 405, 'A preview is only looked at.')
    const asked = askedFor(request.url ?? '', token)
    if (asked === undefined) return say(response, 404, 'There is no preview at this address. The studio tells the right one.')
    // From here on it is a request of the studio’s own: nothing else of what was sent counts.
    request.url = asked
    request.headers = { host: `127.0.0.1:${studioPort}`, 'x-glass-moth-preview': token, accept: '*/*' }
    handle(request, response).catch(() => response.headersSent || say(response, 500, 'This page cannot be shown now.'))
  }
  const server = createServer({ maxHeaderSize: longestHeaders }, respond)
  const listenBySix = () => {
    const beside = createServer({ maxHeaderSize: longestHeaders }, respond)
    server.once('close', () => {
      beside.close()
      beside.closeAllConnections()
    })
    return new Promise((resolve) => {
      // A machine without IPv6 has `localhost` by the other one alone.
      beside.once('error', () => resolve(server))
      beside.listen(server.address().port, '::1', () => resolve(server))
    })
  }
  return new Promise((resolve, reject) => {
    const listen = (wanted) => server.listen(wanted, isLan ? '0.0.0.0' : '127.0.0.1', () => void listenBySix().then(resolve))
    server.once('error', (error) => {
      if (error.code !== 'EADDRINUSE') return reject(error)
      server.once('error', reject)
      listen(0)
    })
    listen(port)
  })
}
