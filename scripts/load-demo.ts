// Applies the migrations (after a backup, where there is something to lose and a folder for it is given), puts the starters and the
// demo in place where they are missing or nobody has changed them, and drops what is past its time.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { newSites } from '../demo/sites'
import { siteFormat, type Site } from '../src/core/site/site'
import { writeBackup } from '../src/server/backup'
import { pool } from '../src/server/database'
import { keepHouse } from '../src/server/housekeeping'
import { migrate } from '../src/server/migrate'
import { createSite, keepSource, renewSite } from '../src/server/sites'
import { keepTemplate } from '../src/server/templates'
import { backupName } from './backups.mjs'

const [backups] = process.argv.slice(2)
const backUp = async () => {
  if (backups === undefined) return
  mkdirSync(backups, { recursive: true, mode: 0o700 })
  await writeBackup(join(backups, backupName('before-update')))
}

await migrate(join(new URL('..', import.meta.url).pathname, 'src/server/migrations'), backUp)
for (const [position, { id, name, pages, effects }] of newSites().entries()) {
  const kept = await Promise.all(
    pages.map(async ({ html, path, ...page }) => ({
      ...page,
      source: await keepSource(html),
      ...(path !== undefined && { path, bundle: id }),
    })),
  )
  const site: Site = { format: siteFormat, name, pages: kept, effects: [...effects] }
  if (!(await createSite(id, position, site))) await renewSite(id, site)
  // What is more than a plain starter can be begun from again.
  if (effects.length > 0) await keepTemplate(id, site)
}
// What is old may also go another day.
await keepHouse().catch((error: unknown) => console.error('Nothing old was dropped:', error))
await pool().end()
