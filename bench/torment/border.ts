// What comes in over the border: hostile imports, nonsense requests, and documents that try to leave their place in an export.
import { parse as parseCss, walk, generate } from 'css-tree'
import { chromium } from '@playwright/test'
import { createServer } from 'node:http'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Script } from 'node:vm'
import { chromiumArguments } from '../../src/cli/chromium'
import { tiltDefaults } from '../../src/core/effect/tilt/settings'
import { readFragments } from '../../src/bundle/fragments'
import { compile } from '../../src/core/compile/compile'
import { worstFacts } from '../../src/core/compile/facts'
import { planEffects } from '../../src/core/export/plan'
import { writeStylesheet } from '../../src/core/export/stylesheet'
import { elementsOf, readTree } from '../../src/core/page/tree'
import { siteSchema, type Site } from '../../src/core/site/site'
import { findKind } from '../../src/core/effect/kinds'
import { hostileImport, smugglingPage } from './hostile'
import { ask, pick, type TormentHouse } from './house'

export interface ImportsResult {
  readonly imports: number
  readonly taken: number
  /** Answers of 500 and more, and imports that were not answered in 25 s. */
  readonly failed: readonly string[]
  readonly slowestMs: number
  readonly slowest: string
  readonly sites: readonly string[]
}

/** Brings an ordinary page in, makes a site of it, and opens and exports it. */
export async function openOrdinary({ address }: TormentHouse): Promise<void> {
  const form = new FormData()
  form.append('file', new Blob(['<!doctype html><title>x</title><p class="card">x</p>']))
  form.append('paths', JSON.stringify(['index.html']))
  const imported: unknown = await (await ask(`${address}/api/import`, { method: 'POST', body: form })).json()
  const { siteId, pageId } = (await (
    await ask(`${address}/api/sites`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(imported) })
  ).json()) as { siteId: string; pageId: string }
  for (const path of [
    `/frame/${siteId}/${pageId}`,
    `/export/${siteId}/${pageId}`,
    `/export/${siteId}`,
    `/studio/${siteId}/${pageId}`,
    '/',
    `/api/sites/${siteId}/state`,
  ])
    await (await ask(address + path)).arrayBuffer()
}

/** Sends hostile imports, and opens the studio's copy of what was taken. */
export async function hostileImports(
  { address }: TormentHouse,
  count: number,
  random: () => number,
  elsewhere: string,
  from = 0,
): Promise<ImportsResult> {
  const result = { imports: 0, taken: 0, failed: [] as string[], slowestMs: 0, slowest: '', sites: [] as string[] }
  for (let i = 0; i < count; i++) {
    const { name, files } = hostileImport(i + from, random, elsewhere)
    const form = new FormData()
    for (const { bytes } of files) form.append('file', new Blob([new Uint8Array(bytes)]))
    form.append('paths', JSON.stringify(files.map(({ path }) => path)))
    const began = performance.now()
    result.imports += 1
    try {
      const response = await ask(`${address}/api/import`, { method: 'POST', body: form, signal: AbortSignal.timeout(25_000) })
      const body: unknown = await response.json()
      if (response.status >= 500) result.failed.push(`${name}: ${response.status}`)
      if (response.ok) {
        result.taken += 1
        const made = (await (
          await ask(`${address}/api/sites`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
        ).json()) as { siteId?: string; pageId?: string }
        if (made.siteId === undefined) continue
        const path = `${made.siteId}/${made.pageId ?? ''}`
        result.sites.push(path)
        const [copy, page] = await Promise.all([ask(`${address}/frame/${path}`), ask(`${address}/export/${path}`)])
        if (copy.status >= 500 || page.status >= 500) result.failed.push(`${name}: copy ${copy.status}, export ${page.status}`)
        await Promise.all([copy.arrayBuffer(), page.arrayBuffer()])
      }
    } catch (error) {
      result.failed.push(`${name}: ${error instanceof Error ? error.message : String(error)}`)
    }
    const ms = performance.now() - began
    if (ms > result.slowestMs) Object.assign(result, { slowestMs: ms, slowest: name })
  }
  return result
}

export interface SmugglingResult {
  readonly pages: number
  readonly scriptsRun: number
  readonly requests: number
  readonly lookups: number
}

/** Opens smuggling pages in the studio's frame in a browser whose network is written down: nothing runs, nothing is asked for, no name is looked up. */
export async function openSmuggling({ address }: TormentHouse, count: number, random: () => number): Promise<SmugglingResult> {
  const folder = mkdtempSync(join(tmpdir(), 'gm-net-'))
  const netLog = join(folder, 'net.json')
  let requests = 0
  const outside = createServer((_, response) => {
    requests += 1
    response.end()
  })
  await new Promise<void>((resolve) => outside.listen(0, '127.0.0.1', resolve))
  const bound = outside.address()
  const there = `http://127.0.0.1:${typeof bound === 'object' && bound ? bound.port : 0}`
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: [...chromiumArguments, `--log-net-log=${netLog}`] })
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
  let scriptsRun = 0
  await page.exposeFunction('noteDeed', () => (scriptsRun += 1))
  await page.addInitScript(() =>
    addEventListener('message', ({ data }) => data === 'deed' && (window as unknown as { noteDeed: () => void }).noteDeed()),
  )
  for (let i = 0; i < count; i++) {
    // One half by address, where a server listens; the other by names, which would have to be looked up.
    const target = i % 2 === 0 ? `${there}/x` : `http://smuggled-${i}.example.test/x`
    const html = smugglingPage(random, target, "top.postMessage('deed','*')")
    const form = new FormData()
    form.append('file', new Blob([html]))
    form.append('paths', JSON.stringify(['a.html']))
    const imported: unknown = await (await ask(`${address}/api/import`, { method: 'POST', body: form })).json()
    const made = (await (
      await ask(`${address}/api/sites`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(imported) })
    ).json()) as { siteId: string; pageId: string }
    await page.goto(`${address}/studio/${made.siteId}/${made.pageId}`)
    await page.mouse.move(300 + (i % 7) * 40, 200)
    await page.mouse.click(340, 240)
    await page.waitForTimeout(250)
  }
  await browser.close()
  await new Promise((resolve) => outside.close(resolve))
  const lookups = (readFileSync(netLog, 'utf8').match(/smuggled-\d+\.example\.test/g) ?? []).length
  rmSync(folder, { recursive: true, force: true })
  return { pages: count, scriptsRun, requests, lookups }
}

export interface RequestsResult {
  readonly requests: number
  /** Answers that are no problem in JSON though they refuse, or that are errors of the server. */
  readonly wrong: readonly string[]
}

/** Sends requests that are mostly nonsense. */
export async function nonsenseRequests({ address }: TormentHouse, count: number, random: () => number): Promise<RequestsResult> {
  const parts = ['starters', 'nobody', '..', '%2e%2e', '%E0%A4%A', '%00', 'a'.repeat(300), '<x>', '0', '-1', '{}', 'page', '\u{1F98B}']
  const paths = [
    '/api/sites',
    '/api/sites/A',
    '/api/sites/A/edits',
    '/api/sites/A/state',
    '/api/sites/A/revisions',
    '/api/sites/A/revisions/B',
    '/api/sites/A/restore',
    '/api/sources',
    '/api/sources/A',
    '/api/assets',
    '/api/assets/A',
    '/api/import',
    '/api/presets',
    '/api/presets/A',
    '/api/player',
    '/api/snippet',
    '/api/held/A/B',
    '/api/A/B',
    '/api/health',
  ]
  const bodies = [
    '',
    '{',
    '[]',
    'null',
    '{"a":1}',
    '"x"',
    '{"window":"w","revision":1,"entries":[{"number":1,"words":"","gesture":"","patch":[{"do":"set","at":["__proto__","x"],"to":1}]}]}',
    '{"window":"w","revision":1,"entries":[{"number":1,"words":"","gesture":"","patch":[{"do":"set","at":[],"to":null}]}]}',
    '{"name":"\\ud83d"}',
    '{"name":7}',
    JSON.stringify({ a: 'x'.repeat(100_000) }),
    '['.repeat(20_000),
  ]
  const wrong: string[] = []
  for (let i = 0; i < count; i++) {
    const path =
      pick(random, paths)
        .replace('A', () => pick(random, parts))
        .replace('B', () => pick(random, parts)) + (random() < 0.2 ? '?windows=%ff&needs=x' : '')
    const method = pick(random, ['GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'])
    const body = method === 'GET' ? undefined : pick(random, bodies)
    const headers = { 'content-type': pick(random, ['application/json', 'text/plain', 'multipart/form-data; boundary=x', 'x']) }
    try {
      const response = await ask(new URL(address).origin + path, {
        method,
        ...(body === undefined ? {} : { body, headers }),
        redirect: 'manual',
        signal: AbortSignal.timeout(10_000),
      })
      const type = response.headers.get('content-type') ?? ''
      const text = await response.text()
      if (
        response.status >= 500 ||
        (response.status >= 400 &&
          new URL(response.url).pathname.startsWith('/api/') &&
          (type !== 'application/problem+json' || !text.includes('"detail"')))
      )
        wrong.push(`${method} ${path.slice(0, 80)}: ${response.status} ${type}`)
    } catch (error) {
      wrong.push(`${method} ${path.slice(0, 80)}: ${error instanceof Error ? error.message : String(error)}`)
    }
  }
  return { requests: count, wrong }
}

export interface MutationsResult {
  readonly mutations: number
  readonly accepted: number
  readonly injections: readonly string[]
}

const fragments = readFragments(new URL('../..', import.meta.url).pathname)
const payloads = [
  '} html{background:url(http://inj.test)} x{',
  '.card{} html{background:url(http://inj.test)} .card',
  '</style><script>inj()</script>',
  '*/ html{background:url(http://inj.test)} /*',
  '"; html{background:url(http://inj.test)}',
  "')} html{background:url(http://inj.test)} x{y:('",
  '\\',
  '"',
  "'",
  '(',
  ')',
  '[',
  '{',
  '}',
  '/*',
  '*/',
  '<!--',
  '-->',
  '@import "http://inj.test";',
  '\n} html{background:url(http://inj.test)}',
  '\u2028inj()',
  '`${inj()}`',
  "';inj();'",
  '</script><script>inj()</script>',
  'url(',
  'a\0b',
  '\\}',
  '"\n} html{background:url(http://inj.test)}',
]

/** Puts what would leave its place into every string of a document, and looks at what an export makes of those that are accepted. */
export function exportMutations(count: number, random: () => number): MutationsResult {
  const base: Site = siteSchema.parse({
    format: 'glass-moth/2',
    name: 'A site',
    pages: [{ id: 'p', name: 'A page', source: 'a'.repeat(64), path: 'index.html', shown: ['.x'] }],
    bundles: [{ id: 'b', files: [{ path: 'a.css', hash: 'b'.repeat(64), type: 'text/css', size: 3 }] }],
    values: [
      { id: 'v', name: 'slope', value: 12, unit: 'deg' },
      { id: 'c', name: 'lamp', value: '#fff', unit: '' },
    ],
    effects: [
      {
        id: 'e',
        kind: 'tilt',
        name: 'Lean',
        select: '.card',
        noun: 'each card',
        settings: { ...tiltDefaults, liftPx: 4 },
        overrides: { lean: { values: { '.card:nth-child(2)': '4deg' } } },
        bindings: { acrossDeg: { to: { value: 'v' }, times: 1 } },
      },
      {
        id: 'g',
        kind: 'glow',
        name: 'Glow',
        select: '.card, .plate > b',
        noun: 'each card',
        settings: {},
        narrow: { upToPx: 600, values: { radius: '90px' } },
      },
      { id: 's', kind: 'spotlight', name: 'Light', select: '#ground', noun: 'the ground', settings: {} },
    ].map((effect) => ({ ...effect, settings: { ...defaultsOf(effect.kind), ...effect.settings } })),
  })
  const paths = stringsOf(base)
  const injections: string[] = []
  let accepted = 0
  for (let i = 0; i < count; i++) {
    const path = pick(random, paths)
    const payload = pick(random, payloads)
    const mutated = setAt(base, path, (old) => (random() < 0.5 ? payload : `${old}${payload}`))
    const checked = siteSchema.safeParse(mutated)
    if (!checked.success) continue
    accepted += 1
    const planned = planEffects(checked.data, 'p')
    const css = writeStylesheet(planned, [])
    const script = compile(planned, worstFacts, fragments)
    const html = `<!doctype html><style>\n${css}</style><script>\n${script}</script>`
    if (hasInjection(css, html, script)) injections.push(`${path.join('.')}: ${payload}`)
  }
  return { mutations: count, accepted, injections }
}

function hasInjection(css: string, html: string, script: string): boolean {
  let found = false
  try {
    walk(parseCss(css, { onParseError: () => (found = true) }), (node) => {
      if (node.type === 'Rule' && /(^|,)\s*html\b/.test(generate(node.prelude))) found = true
      if (node.type === 'Atrule' && node.name === 'import') found = true
    })
  } catch {
    return true
  }
  const elements = elementsOf(readTree(html)).map(({ name }) => name)
  if (elements.filter((name) => name === 'script').length !== 1 || elements.filter((name) => name === 'style').length !== 1) return true
  try {
    // It is read, not run: a script that cannot be read was broken open.
    new Script(script)
  } catch {
    return true
  }
  return found
}

const isFields = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null

function stringsOf(value: unknown, path: readonly string[] = []): readonly (readonly string[])[] {
  if (typeof value === 'string') return [path]
  return isFields(value) ? Object.entries(value).flatMap(([key, each]) => stringsOf(each, [...path, key])) : []
}

function setAt(value: unknown, [first, ...rest]: readonly string[], change: (old: string) => string): unknown {
  if (first === undefined) return change(String(value))
  if (Array.isArray(value)) return value.map((each: unknown, i) => (String(i) === first ? setAt(each, rest, change) : each))
  return isFields(value) ? { ...value, [first]: setAt(value[first], rest, change) } : value
}

const defaultsOf = (kind: string) => findKind(kind)?.defaults as object
