import { describe, expect, it } from 'vitest'
import { refuseCaller, studioPolicy, type Caller } from './door'
import { framePolicy, scriptlessPolicy, withAgent } from './frame'
import { checkIdentifiers } from './identifiers'
import { answer, Problem } from './problem'

describe('the door', () => {
  const caller: Caller = { host: '127.0.0.1:4717', origin: null, fetchSite: null, isNavigation: false }
  const isRefused = (change: Partial<Caller>) => refuseCaller({ ...caller, ...change }, '4717') !== undefined

  it('is open to this machine and the studio itself', () => {
    expect(
      [{}, { host: 'localhost:4717' }, { origin: 'http://127.0.0.1:4717', fetchSite: 'same-origin' }, { fetchSite: 'none' }].some(
        isRefused,
      ),
    ).toBe(false)
    expect(isRefused({ fetchSite: 'cross-site', isNavigation: true })).toBe(false)
  })

  it.each([
    { host: 'evil.test' },
    { host: '127.0.0.1:80' },
    { host: null },
    { origin: 'null' },
    { origin: 'http://evil.test' },
    { origin: 'http://localhost:4717' },
    { origin: 'https://127.0.0.1:4717' },
    { fetchSite: 'cross-site' },
    { fetchSite: 'same-site' },
  ])('is closed to %j', (change) => {
    expect(isRefused(change)).toBe(true)
  })

  it('lets the studio frame its page route and nothing else', () => {
    expect(studioPolicy('n', '127.0.0.1:1')).toContain('frame-src http://127.0.0.1:1/frame/;')
  })
})

describe('the frame of a page', () => {
  it('gets an opaque origin, no network, and only our script', () => {
    const policy = framePolicy('abc')
    for (const rule of ['sandbox allow-scripts;', "default-src 'none'", "script-src 'nonce-abc';", "base-uri 'none'", "form-action 'none'"])
      expect(policy).toContain(rule)
    expect(policy).not.toContain('allow-same-origin')
  })

  it('has the agent where its place was left, unable to end its own element', () => {
    const heldBack = [
      { what: 'script' as const, count: 2, at: 1 },
      { what: 'sheet' as const, count: 1, at: 3 },
    ]
    expect(withAgent({ html: '<head><script nonce="abc"></script><p>abc', heldBack }, 'agent("</script>")', 'abc')).toBe(
      '<head><script nonce="abc" data-held="script=2 sheet=1">agent("<\\/script>")</script><p>abc',
    )
  })

  it('lets nothing run at all for a visitor without script', () => {
    expect(scriptlessPolicy).toMatch(/^sandbox; default-src 'none';/)
    expect(scriptlessPolicy).not.toMatch(/script|blob|http/)
  })
})

describe('the parts of a request', () => {
  it('are identifiers, or there is no such address', () => {
    expect(checkIdentifiers({ siteId: 'vesper-hollow', pageId: 'a_1' })).toEqual({ siteId: 'vesper-hollow', pageId: 'a_1' })
    for (const siteId of ['', '../x', 'a b', 'x'.repeat(41), '<script>']) expect(() => checkIdentifiers({ siteId })).toThrow(Problem)
  })
})

describe('a problem', () => {
  it('is told as RFC 9457 says', async () => {
    const response = await answer(() => Promise.reject(new Problem(412, 'Saved elsewhere', 'A sentence.', { revision: 3 })))
    expect([response.status, response.headers.get('content-type')]).toEqual([412, 'application/problem+json'])
    expect(await response.json()).toEqual({
      type: 'about:blank',
      title: 'Saved elsewhere',
      status: 412,
      detail: 'A sentence.',
      revision: 3,
    })
  })

  it('that nobody expected keeps its inside to the log', async () => {
    const response = await answer(() => Promise.reject(new Error('password is hunter2')))
    expect(response.status).toBe(500)
    expect(await response.text()).not.toContain('hunter2')
  })
})
