// The door of previews: what it takes for an address, and what it lets by.
import type { AddressInfo } from 'node:net'
import { expect, it } from 'vitest'
import { askedFor, openPreviewDoor } from './preview-door.mjs'

const token = 'a-token-of-16-ch'

it.each([
  [`/${token}/site/page/index.html`, '/preview/site/page/index.html'],
  [`/${token}/site/page/`, '/preview/site/page'],
  [`/${token}/site/page/img/a%20moth.svg?x=1#y`, '/preview/site/page/img/a%20moth.svg'],
  [`/${token}`, undefined],
  ['/another-token-16/site/page/index.html', undefined],
  ['/short/site/page', undefined],
  ['/', undefined],
  ['', undefined],
  [`/${token}/../api/sites`, undefined],
  [`/${token}/site/%2e%2e/%2e%2e/api`, undefined],
  [`/${token}/site/./page`, undefined],
  [`/${token}/site\\page`, undefined],
  [`/${token}/%00`, undefined],
  [`/${token}/%E0%A4%A`, undefined],
])('%s asks for %s', (url, asked) => {
  expect(askedFor(url, token)).toBe(asked)
})

it('hands on nothing of a request but its path, and takes another port where its own is taken', async () => {
  const seen: unknown[] = []
  const handle: Parameters<typeof openPreviewDoor>[0]['handle'] = (request, response) => {
    seen.push([request.method, request.url, request.headers])
    response.end('a page')
    return Promise.resolve()
  }
  const first = await openPreviewDoor({ port: 0, studioPort: 4717, token, isLan: false, handle })
  const { port } = first.address() as AddressInfo
  const second = await openPreviewDoor({ port, studioPort: 4717, token, isLan: false, handle })
  const other = second.address() as AddressInfo
  expect([other.address, other.port === port]).toEqual(['127.0.0.1', false])
  const address = `http://127.0.0.1:${port}/${token}/site/page`
  const answer = await fetch(address, { headers: { cookie: 'a=1', 'x-glass-moth-preview': 'forged', origin: 'http://elsewhere.test' } })
  expect([answer.status, await answer.text()]).toEqual([200, 'a page'])
  expect(seen).toEqual([['GET', '/preview/site/page', { host: '127.0.0.1:4717', 'x-glass-moth-preview': token, accept: '*/*' }]])
  expect((await fetch(address, { method: 'DELETE' })).status).toBe(405)
  expect((await fetch(`http://127.0.0.1:${port}/api/sites`)).status).toBe(404)
  expect(seen).toHaveLength(1)
  first.close()
  second.close()
})
