// The studio's server: Next behind a door that answers what Next would answer in plain text or not at all.
import { randomBytes } from 'node:crypto'
import { createServer } from 'node:http'
import next from 'next'
import { longestHeaders, openPreviewDoor } from './preview-door.mjs'
import { portIsTaken } from './serve.mjs'

const port = Number(process.env.GLASS_MOTH_PORT)
const methods = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']

/** Answers with a problem (RFC 9457). */
function refuse(response, status, title, detail, headers = {}) {
  response
    .writeHead(status, { 'content-type': 'application/problem+json', 'cache-control': 'no-store', ...headers })
    .end(JSON.stringify({ type: 'about:blank', title, status, detail }))
}

/** Whether an address is not written as addresses are. */
function isUnreadable(url) {
  try {
    return /[\0-\x1f\\]/.test(decodeURIComponent(url.split('?')[0])) || !url.startsWith('/')
  } catch {
    return true
  }
}

/** Gives an answer without words the words that belong to it. */
function explainEmptyAnswers(response) {
  const { end } = response
  response.end = (...given) => {
    if (response.statusCode === 405 && !response.headersSent && given[0] === undefined) {
      response.end = end
      return refuse(response, 405, 'Not possible here', 'This address does not answer that method.')
    }
    return end.apply(response, given)
  }
}

// Told to the studio by this process's environment, where previews are asked for.
const token = randomBytes(12).toString('base64url')
process.env.GLASS_MOTH_PREVIEW_TOKEN = token

const app = next({ dev: false, dir: new URL('..', import.meta.url).pathname, hostname: '127.0.0.1', port })
await app.prepare()
const handle = app.getRequestHandler()

const server = createServer({ maxHeaderSize: longestHeaders }, (request, response) => {
  if (request.url === '/api/health') response.setHeader('glass-moth-identity', process.env.GLASS_MOTH_IDENTITY ?? '')
  if (!methods.includes(request.method))
    return refuse(response, 405, 'Not possible here', `This studio does not answer ${request.method}.`, { allow: methods.join(', ') })
  if (isUnreadable(request.url))
    return refuse(
      response,
      400,
      'The address cannot be read',
      'This address is not written as addresses are. Home lists the sites that exist.',
    )
  explainEmptyAnswers(response)
  handle(request, response).catch(() => {
    if (!response.headersSent)
      refuse(
        response,
        500,
        'Something went wrong',
        'The studio met an error that it did not expect. Its log says more; trying again may help.',
      )
  })
})
// A request that is none is told so in the same manner.
server.on('clientError', ({ code }, socket) => {
  const [status, title, detail] =
    code === 'HPE_HEADER_OVERFLOW'
      ? [
          431,
          'Request Header Fields Too Large',
          'The browser sends more cookies for this address than the studio can read. Clear those of 127.0.0.1 in the browser.',
        ]
      : [400, 'Bad Request', 'This is no request that a browser makes.']
  const body = JSON.stringify({ type: 'about:blank', title, status, detail })
  if (socket.writable)
    socket.end(
      `HTTP/1.1 ${status} ${title}\r\ncontent-type: application/problem+json\r\ncontent-length: ${Buffer.byteLength(body)}\r\nconnection: close\r\n\r\n${body}`,
    )
})
const previews = await openPreviewDoor({ port: port + 1, studioPort: port, token, isLan: process.env.GLASS_MOTH_LAN === '1', handle })
process.env.GLASS_MOTH_PREVIEW_PORT = String(previews.address().port)
server.once('error', (error) => {
  console.error(error)
  // Told to the start command by the status.
  process.exit(error.code === 'EADDRINUSE' ? portIsTaken : 1)
})
server.listen(port, '127.0.0.1')

for (const signal of ['SIGTERM', 'SIGINT'])
  process.on(signal, () => {
    // What is under way may end; windows that only listen for news are let go.
    previews.close()
    previews.closeAllConnections()
    server.close(() => process.exit(0))
    setTimeout(() => server.closeAllConnections(), 1500).unref()
  })
