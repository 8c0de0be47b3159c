// Applies the migrations, puts the starters and the demo in place where they are missing or nobody has changed them, and drops what was brought and
// never kept.
import { join } from 'node:path'
import { newSites } from '../demo/sites'
import { siteFormat, type Site } from '../src/core/site/site'
import { dropOrphans } from '../src/server/assets'
import { pool } from '../src/server/database'
import { migrate } from '../src/server/migrate'
import { createSite, dropRemoved, keepSource, renewSite } from '../src/server/sites'
import { keepTemplate } from '../src/server/templates'

await migrate(join(new URL('..', import.meta.url).pathname, 'src/server/migrations'))
for (const [position, { id, name, pages, effects }] of newSites().entries()) {
  const kept = await Promise.all(pages.map(async (page) => ({ id: page.id, name: page.name, source: await keepSource(page.html) })))
  const site: Site = { format: siteFormat, name, pages: kept, effects: [...effects] }
  if (!(await createSite(id, position, site))) await renewSite(id, site)
  // What is more than a plain starter can be begun from again.
  if (effects.length > 0) await keepTemplate(id, site)
}
await dropRemoved()
await dropOrphans()
await pool().end()
