import { zipSync, strToU8 } from 'fflate'
import type { RowDataPacket } from 'mysql2/promise'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { siteSchema, type Site } from '../core/site/site'
import { dropOrphans, hashOf, keepAsset, noteNamedFiles, readAsset } from './assets'
import { counted } from './counted'
import { pool } from './database'
import { nameOfType, typeOf } from './file-types'
import { importFiles } from './import'
import { largestFile } from './import-limits'
import { migrate } from './migrate'
import { changeSite } from './saving'
import { createSite, readSource, renewSite } from './sites'
import { unzip, type Unpacked } from './unzip'

const bytes = (text: string) => new TextEncoder().encode(text)
const file = (path: string, text: string) => ({ path, bytes: bytes(text) })
const limits = { files: 5, totalBytes: 1000, fileBytes: 400 }
/** An archive with one byte of its first file changed. */
const flipped = (archive: Uint8Array) => archive.map((byte, i) => (i === 30 + 5 + 2 ? byte ^ 1 : byte))
const zip = (entries: Readonly<Record<string, string>>) =>
  zipSync(Object.fromEntries(Object.entries(entries).map(([path, text]) => [path, strToU8(text)])))

beforeAll(() => migrate(join(import.meta.dirname, 'migrations')))
afterAll(() => pool().end())

describe('what is brought', () => {
  it('becomes pages, the front page first, and a bundle of what came with them', async () => {
    const { pages, bundle } = await importFiles([
      file('site/z/deep.html', '<title>Deep</title>'),
      file('site/about.html', '<p>no title'),
      file('site/index.html', '<title> The   front </title>'),
      file('site/css/a.css', 'a {}'),
    ])
    expect(pages.map(({ name, path }) => [name, path])).toEqual([
      ['The front', 'index.html'],
      ['about', 'about.html'],
      ['Deep', 'z/deep.html'],
    ])
    expect(bundle?.files).toEqual([{ path: 'css/a.css', type: 'text/css', size: 4, hash: hashOf('a {}') }])
    expect(new Set(pages.map((page) => page.bundle))).toEqual(new Set([bundle?.id]))
    expect(await readSource(pages[1]?.source ?? '')).toBe('<p>no title')
    expect((await readAsset(hashOf('a {}'))).bytes.toString()).toBe('a {}')
  })

  it('is read in the encoding that it names, and its own bytes are kept beside', async () => {
    const latin = Uint8Array.from(Buffer.from('<meta charset="iso-8859-1"><title>Caf\xe9</title>', 'latin1'))
    const { pages, bundle } = await importFiles([{ path: 'index.html', bytes: latin.slice() }])
    expect([pages[0]?.name, bundle?.files[0]?.path]).toEqual(['Café', 'index.html'])
    expect((await readAsset(bundle?.files[0]?.hash ?? '')).bytes.equals(Buffer.from(latin))).toBe(true)
  })

  describe('of many files', () => {
    const countOf = async (hashes: readonly string[]) => {
      const [[row]] = await pool().query<RowDataPacket[]>('SELECT COUNT(*) AS kept FROM assets WHERE hash IN (?)', [hashes])
      return Number(row?.kept)
    }
    const many = (mark: string, count: number, different: number) =>
      Array.from({ length: count }, (_, i) => file(`css/${i}.css`, `.${mark} { z-index: ${i % different} }`))
    const ask = (body: readonly Unpacked[], signal?: AbortSignal) =>
      counted(new Request('http://127.0.0.1/', signal ? { signal } : {}), (watch) => importFiles(body, watch))

    it('is told as it goes, and is all there at the end, what came twice and what was there before too', async () => {
      const files = many('whole', 450, 440)
      await keepAsset(bytes('.whole { z-index: 7 }'), 'text/css')
      const hashes = files.map((each) => hashOf(each.bytes))
      const answer = await ask([file('index.html', '<p>many'), ...files]).text()
      const lines = answer
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line) as Record<string, unknown>)
      // Parts are written two at a time, so that the last one may be over before another.
      const counts = lines.slice(0, -1).map(({ done }) => Number(done))
      expect(counts.map((done, i) => done - (counts[i - 1] ?? 0)).toSorted((one, other) => one - other)).toEqual([50, 200, 200])
      expect(counts.at(-1)).toBe(450)
      expect(lines.slice(0, -1).every(({ of }) => of === 450)).toBe(true)
      expect(lines.at(-1)).toMatchObject({ result: { bundle: { files: { length: 450 } } } })
      expect(await countOf(hashes)).toBe(440)
    })

    it('ends where it is cancelled, and makes no page', async () => {
      const files = many('half', 2000, 2000)
      const hashes = files.map((each) => hashOf(each.bytes))
      const reader = ask([file('index.html', '<p>cancelled'), ...files]).body?.getReader()
      const { value } = (await reader?.read()) ?? {}
      expect(new TextDecoder().decode(value)).toBe('{"done":200,"of":2000}\n')
      await reader?.cancel()
      await expect(readSource(hashOf('<p>cancelled'))).rejects.toMatchObject({ status: 404 })
      expect(await countOf(hashes)).toBeLessThan(2000)
      await expect(importFiles([file('index.html', '<p>before')], { signal: AbortSignal.abort() })).rejects.toThrow('aborted')
    })

    it('says in its last line what was wrong with it', async () => {
      expect(JSON.parse(await ask([file('a.css', 'a {}')]).text())).toMatchObject({ problem: { status: 422, title: 'No page' } })
    })
  })

  it.each([
    ['nothing', [], /nothing in what you brought/],
    ['no page', [file('a.css', 'a {}')], /no HTML file/],
    [
      'a picture called HTML',
      [file('a.html', '\u0089PNG'), { path: 'b.html', bytes: Uint8Array.of(0xff, 0xd8, 0xff, 0xe0) }],
      /"b.html" is called HTML, but is really a picture \(JPEG\)/,
    ],
    ['bytes that no text has', [file('a.html', 'x\0y')], /holds bytes that no text has/],
    ['too many pages', Array.from({ length: 51 }, (_, i) => file(`${i}.html`, 'x')), /51 HTML files were brought; 50 are taken/],
    ...['replacement', 'iso-2022-kr', 'hz-gb-2312'].map((encoding): [string, ReturnType<typeof file>[], RegExp] => [
      `a page in ${encoding}`,
      [file('a.html', `<meta charset="${encoding}"><p>x`)],
      /which no browser reads/,
    ]),
    ['a page nested without end', [file('a.html', '<div>'.repeat(5001))], /is nested deeper than 512 elements/],
    ['templates in templates', [file('a.html', '<template>'.repeat(20_000))], /is nested deeper than 512 elements/],
    ['tables in tables', [file('a.html', '<table><tr><td>'.repeat(5000))], /is nested deeper than 512 elements/],
    [
      'an element of countless attributes',
      [file('a.html', `<p ${Array.from({ length: 300_000 }, (_, i) => `a${i}`).join(' ')}>`)],
      /element of 300000 attributes/,
    ],
    ['a path that leads out', [file('index.html', '<p>'), file('x/../../y.css', 'a {}')], /would lie outside/],
    [
      'archives that are too much together',
      Array.from({ length: 8 }, (_, i) => ({ path: `${i}.zip`, bytes: zipSync({ [`${i}.bin`]: new Uint8Array(11_000_000) }) })),
      /more than \d+ MB/,
    ],
    ['a page of too many elements', [file('a.html', '<b></b>'.repeat(40_001))], /"a\.html" has more than 40000 elements/],
  ])('is refused as a whole for %s', async (_, files, words) => {
    const count = async () => (await pool().query('SELECT (SELECT COUNT(*) FROM assets) AS a, (SELECT COUNT(*) FROM page_sources) AS s'))[0]
    const before = await count()
    await expect(importFiles([...files])).rejects.toThrow(words)
    expect(await count()).toEqual(before)
  })
})

describe('an archive', () => {
  it('is unpacked without what systems put beside the files', () => {
    expect(unzip(zip({ 'a/b.txt': 'x', '__MACOSX/a/b.txt': 'y', 'a/.DS_Store': 'z' }), limits).map(({ path }) => path)).toEqual(['a/b.txt'])
  })

  it.each([
    ['too many files', zip(Object.fromEntries(Array.from({ length: 6 }, (_, i) => [`${i}`, 'x']))), /more than 5 files/],
    ['a file too large', zip({ a: 'x'.repeat(500) }), /"a" in the ZIP has more than/],
    ['too much in all', zip({ a: 'x'.repeat(390), b: 'x'.repeat(390), c: 'x'.repeat(390) }), /unpacks to more than/],
    ['a name that leads up', zip({ '../a': 'x' }), /would lie outside/],
    ['a name from the root', zip({ '/etc/a': 'x' }), /would lie outside/],
    ['a name on a drive', zip({ 'C:\\a': 'x' }), /would lie outside/],
    ['a byte that was flipped', flipped(zip({ 'a.txt': 'x'.repeat(90) })), /broken at "a\.txt"/],
    [
      'a byte that was flipped in a file that is not packed',
      flipped(zipSync({ 'b.txt': [strToU8('plain text'), { level: 0 }] })),
      /broken at "b\.txt"/,
    ],
    ['a directory that was cut off', zip({ a: 'x' }).subarray(0, -30), /broken/],
    ['nonsense', bytes('PK\u0003\u0004 and so on'), /broken/],
    ['nothing', zip({}), /broken or holds nothing/],
  ])('is refused for %s', (_, archive, words) => {
    expect(() => unzip(archive, limits)).toThrow(words)
  })

  it('is not believed: one that says it is small is stopped when it is not', () => {
    const archive = zip({ a: 'x'.repeat(100_000) })
    // The sizes in its directory, small for once.
    const view = new DataView(archive.buffer)
    view.setUint32(view.getUint32(archive.length - 6, true) + 24, 1, true)
    expect(() => unzip(archive, limits)).toThrow(/more than/)
  })
})

describe('a file', () => {
  it('is told by its first bytes, else by its name', () => {
    expect(typeOf('a.html', Uint8Array.of(0x89, 0x50, 0x4e, 0x47))).toBe('image/png')
    expect(typeOf('a.woff2', bytes('wOF2....'))).toBe('font/woff2')
    expect(typeOf('A.CSS', bytes('a {}'))).toBe('text/css')
    expect(typeOf('what', bytes('?'))).toBe('application/octet-stream')
    expect(nameOfType('application/pdf')).toBe('a PDF (PDF)')
  })

  it('is kept once, and not when it is too large', async () => {
    expect(await keepAsset(bytes('once'), 'text/plain')).toBe(await keepAsset(bytes('once'), 'text/plain'))
    await expect(keepAsset(new Uint8Array(largestFile + 1), 'text/plain')).rejects.toThrow(/12 MB at most/)
    await expect(readAsset('0'.repeat(64))).rejects.toThrow(/not kept here/)
  })
})

describe('what nobody names any more', () => {
  it('is dropped when it is a day old; what a site or an earlier state of it names stays', async () => {
    const [kept, lost, young] = await Promise.all(['kept', 'lost', 'young'].map((text) => keepAsset(bytes(text), 'text/plain')))
    const site: Site = siteSchema.parse({
      format: 'glass-moth/2',
      name: 'A site',
      pages: [{ id: 'p', name: 'P', source: 'e'.repeat(64), bundle: 'b' }],
      effects: [],
      bundles: [{ id: 'b', files: [{ path: 'a', hash: kept, type: 'text/plain', size: 4 }] }],
    })
    await createSite('orphans', 1, site)
    await changeSite('orphans', 'Dropping files', (now) => ({ ...now, bundles: [] }))
    await pool().query('UPDATE assets SET kept_at = CURRENT_TIMESTAMP(3) - INTERVAL 3 DAY WHERE hash IN (?)', [[kept, lost]])
    // What is kept again counts from then.
    const again = await keepAsset(bytes('again'), 'text/plain')
    await pool().query('UPDATE assets SET kept_at = CURRENT_TIMESTAMP(3) - INTERVAL 3 DAY WHERE hash = ?', [again])
    await keepAsset(bytes('again'), 'text/plain')
    expect(await dropOrphans(new Date(Date.now() - 24 * 3600 * 1000).toISOString().slice(0, 10))).toBeGreaterThanOrEqual(1)
    expect((await readAsset(again)).type).toBe('text/plain')
    expect((await readAsset(kept ?? '')).type).toBe('text/plain')
    expect((await readAsset(young ?? '')).type).toBe('text/plain')
    await expect(readAsset(lost ?? '')).rejects.toThrow(/not kept here/)
  })

  it('is known of each version without reading it again, until it is saved anew or goes', async () => {
    const [first, second] = await Promise.all(['one', 'two'].map((text) => keepAsset(bytes(text), 'text/plain')))
    const withFile = (hash = ''): Site =>
      siteSchema.parse({
        format: 'glass-moth/2',
        name: 'A site',
        pages: [{ id: 'p', name: 'P', source: 'e'.repeat(64), bundle: 'b' }],
        effects: [],
        bundles: [{ id: 'b', files: [{ path: 'a', hash, type: 'text/plain', size: 4 }] }],
      })
    const namedBy = async () => {
      const [rows] = await pool().query<RowDataPacket[]>(
        "SELECT revision, hash FROM revision_files WHERE site_id = 'named' AND hash <> ? ORDER BY revision",
        ['e'.repeat(64)],
      )
      return rows.map(({ revision, hash }) => [Number(revision), String(hash)])
    }
    await createSite('named', 1, withFile(first))
    expect(await noteNamedFiles()).toBeGreaterThan(0)
    expect(await namedBy()).toEqual([[1, first]])
    expect(await noteNamedFiles()).toBe(0)
    await renewSite('named', withFile(second))
    expect(await noteNamedFiles()).toBe(1)
    expect(await namedBy()).toEqual([[1, second]])
    // A version that goes on under another number keeps what it names.
    await pool().query("UPDATE site_revisions SET revision = 7 WHERE site_id = 'named'")
    expect(await namedBy()).toEqual([[7, second]])
    await pool().query("DELETE FROM sites WHERE id = 'named'")
    expect(await namedBy()).toEqual([])
  })
})
