// Applies the migrations, puts the starters and the demo in place where they are missing, and drops what was brought and
// never kept.
import { join } from 'node:path'
import { newSites } from '../demo/sites'
import { siteFormat } from '../src/core/site/site'
import { dropOrphans } from '../src/server/assets'
import { pool } from '../src/server/database'
import { migrate } from '../src/server/migrate'
import { createSite, dropRemoved, keepSource } from '../src/server/sites'

await migrate(join(new URL('..', import.meta.url).pathname, 'src/server/migrations'))
for (const [position, { id, name, pages, effects }] of newSites().entries()) {
  const kept = await Promise.all(pages.map(async (page) => ({ id: page.id, name: page.name, source: await keepSource(page.html) })))
  await createSite(id, position, { format: siteFormat, name, pages: kept, effects: [...effects] })
}
await dropRemoved()
await dropOrphans()
await pool().end()
