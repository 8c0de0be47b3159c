import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { keepAsset, readAsset } from './assets'
import { checkBackup, restoreBackup, writeBackup } from './backup'
import { pool } from './database'
import { migrate } from './migrate'
import { changeSite } from './saving'
import { createSite, keepSource, readPage, readSite } from './sites'
import { listVersions, readVersion } from './versions'

const folder = join(import.meta.dirname, 'migrations')
const place = mkdtempSync(join(tmpdir(), 'glass-moth-backup-'))
const file = join(place, 'all.glass-moth-backup')
const picture = Uint8Array.from({ length: 3000 }, (_, i) => i % 256)
let asset = ''

beforeAll(async () => {
  await migrate(folder)
  asset = await keepAsset(picture, 'image/png')
  await createSite('backed-up', 0, {
    format: 'glass-moth/2',
    name: 'Grüße \u{1F98B}',
    pages: [{ id: 'p', name: 'P', source: await keepSource('<p>kept</p>') }],
    effects: [],
  })
  await changeSite('backed-up', 'Renaming', (site) => ({ ...site, name: 'Second' }))
  await writeBackup(file)
})
afterAll(async () => {
  rmSync(place, { recursive: true })
  await pool().end()
})

describe('a backup', () => {
  it('brings back all that there was: sites, versions, pages, bytes of files, and nothing that came later', async () => {
    await changeSite('backed-up', 'Renaming', (site) => ({ ...site, name: 'Third' }))
    await pool().query('DELETE FROM assets')
    await createSite('later', 0, {
      format: 'glass-moth/2',
      name: 'Later',
      pages: [{ id: 'p', name: 'P', source: 'a'.repeat(64) }],
      effects: [],
    })
    const { rows } = await restoreBackup(file, folder)
    expect(rows).toBeGreaterThan(3)
    expect((await readSite('backed-up')).site.name).toBe('Second')
    expect((await readPage('backed-up', 'p')).html).toBe('<p>kept</p>')
    expect((await listVersions('backed-up')).map(({ done }) => done)).toEqual(['Renaming', 'Beginning'])
    expect((await readAsset(asset)).bytes.equals(Buffer.from(picture))).toBe(true)
    await expect(readSite('later')).rejects.toMatchObject({ status: 404 })
  })

  it('is of one moment, whatever is saved while it is written', async () => {
    const during = join(place, 'during.glass-moth-backup')
    const writing = writeBackup(during)
    for (let i = 0; i < 20; i++) await changeSite('backed-up', 'Renaming', (site) => ({ ...site, name: `During ${i}` }))
    await writing
    await restoreBackup(during, folder)
    // The site and its newest version say the same, and no open window knows a later revision.
    const { site, revision } = await readSite('backed-up')
    const [newest] = await listVersions('backed-up')
    expect(await readVersion('backed-up', newest?.revision ?? 0)).toEqual(site)
    expect(revision).toBeGreaterThan(1_000_000)
    expect(site.name).toMatch(/Second|During/)
  })

  it('is checked before anything is touched: one that is damaged, cut off, newer or none is refused in a sentence', async () => {
    const text = gunzipSync(readFileSync(file)).toString('utf8')
    const variant = (name: string, bytes: Uint8Array) => {
      writeFileSync(join(place, name), bytes)
      return join(place, name)
    }
    const cases: readonly (readonly [string, RegExp])[] = [
      [variant('flipped', gzipSync(text.replace('Second', 'Sekond'))), /damaged: its check sum does not match/],
      [variant('cut', gzipSync(text.slice(0, text.lastIndexOf('{"rows"')))), /cut off/],
      [variant('torn', readFileSync(file).subarray(0, 300)), /damaged|cut off/],
      [variant('none', Buffer.from('hello')), /is no backup of Glass Moth/],
      [join(place, 'nowhere'), /There is no file/],
    ]
    for (const [path, words] of cases) await expect(restoreBackup(path, folder)).rejects.toThrow(words)
    const head = text.slice(0, text.indexOf('\n'))
    expect((await checkBackup(file)).schema).toContain('006_journal.sql')
    expect(head).toContain('glass-moth-backup/1')
    expect((await readSite('backed-up')).site.name).toMatch(/Second|During/)
  })
})
