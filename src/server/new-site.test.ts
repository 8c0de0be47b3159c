import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { starters } from '../core/page/starters'
import { htmlProblems } from '../core/page/problems'
import { pool } from './database'
import { keepHouse } from './housekeeping'
import { migrate } from './migrate'
import { newSiteFrom } from './new-site'
import { changeSite } from './saving'
import { createSite, keepSource, listRemoved, listSites, readPage, readSite, renewSite, setRemoved } from './sites'
import { keepTemplate, listTemplates } from './templates'
import { siteFormat, type Site } from '../core/site/site'

beforeAll(() => migrate(join(import.meta.dirname, 'migrations')))
afterAll(() => pool().end())

const listed = async () => (await listSites()).map(({ id }) => id)

describe('a new site', () => {
  it.each(starters.map(({ id, title }) => [id, title] as const))(
    'begins with the starter %s, as a page without a fault',
    async (starter, title) => {
      const { siteId, pageId } = await newSiteFrom({ starter })
      const { html, site } = await readPage(siteId, pageId)
      expect([site.name, site.effects]).toEqual([title, []])
      expect(htmlProblems(html)).toEqual([])
      expect((await listed()).at(-1)).toBe(siteId)
    },
  )

  it('begins from a template, as that was handed out, whatever became of the site that was there first', async () => {
    const source = await keepSource('<p class="lamp">A lamp</p>')
    const site: Site = { format: siteFormat, name: 'A demo', pages: [{ id: 'one', name: 'One', source }], effects: [] }
    await keepTemplate('a-demo', { ...site, name: 'An older demo' })
    await keepTemplate('a-demo', site)
    expect(await listTemplates()).toContainEqual({ id: 'a-demo', name: 'A demo' })
    const { siteId, pageId } = await newSiteFrom({ template: 'a-demo' })
    expect((await readSite(siteId)).site).toEqual(site)
    expect((await readPage(siteId, pageId)).html).toContain('A lamp')
    await expect(newSiteFrom({ template: 'nothing' })).rejects.toMatchObject({ status: 422 })
  })

  it('that is handed out is renewed where nobody has changed it, and left alone where somebody has', async () => {
    const site = (name: string): Site => ({
      format: siteFormat,
      name,
      pages: [{ id: 'one', name: 'One', source: 'a'.repeat(64) }],
      effects: [],
    })
    expect(await createSite('handed-out', 1, site('First'))).toBe(true)
    await renewSite('handed-out', site('Renewed'))
    expect((await readSite('handed-out')).site.name).toBe('Renewed')
    await changeSite('handed-out', 'Renaming', (now) => ({ ...now, name: 'Mine' }))
    await renewSite('handed-out', site('Renewed again'))
    expect(await readSite('handed-out')).toMatchObject({ revision: 2, site: { name: 'Mine' } })
  })

  it('begins as a copy of another, with a name of its own', async () => {
    const { siteId } = await newSiteFrom({ starter: 'card' })
    const copy = await newSiteFrom({ copyOf: siteId })
    expect((await readSite(copy.siteId)).site).toEqual({ ...(await readSite(siteId)).site, name: 'Card, copy' })
  })

  it('is refused for a starter or a site that there is not', async () => {
    await expect(newSiteFrom({ starter: 'castle' })).rejects.toThrow('There is no starter of this name.')
    await expect(newSiteFrom({ copyOf: 'nobody' })).rejects.toThrow(/does not exist/)
  })
})

describe('a removed site', () => {
  it('is not listed, can be brought back, and is gone after 30 days', async () => {
    const { siteId } = await newSiteFrom({ starter: 'text' })
    await setRemoved(siteId, true)
    expect(await listed()).not.toContain(siteId)
    expect((await listRemoved()).map(({ id, name }) => [id, name])).toContainEqual([siteId, 'Text'])
    await setRemoved(siteId, false)
    expect(await listed()).toContain(siteId)
    await setRemoved(siteId, true)
    await pool().query('UPDATE sites SET removed_at = CURRENT_TIMESTAMP(3) - INTERVAL 35 DAY WHERE id = ?', [siteId])
    // On the first days that it runs, nobody knows whether its clock is right.
    await pool().query('DELETE FROM run_days')
    await keepHouse()
    expect((await listRemoved()).map(({ id }) => id)).toContain(siteId)
    await pool().query('INSERT IGNORE INTO run_days (day) VALUES (CURRENT_DATE - INTERVAL 1 DAY), (CURRENT_DATE - INTERVAL 2 DAY)')
    await keepHouse()
    await expect(readSite(siteId)).rejects.toThrow(/does not exist/)
    await expect(setRemoved('nobody', true)).rejects.toThrow(/does not exist/)
  })
})
