// Puts a backup in the place of all that the database of GLASS_MOTH_DB holds.
import { join } from 'node:path'
import { BackupError, checkBackup, restoreBackup } from '../src/server/backup'
import { pool } from '../src/server/database'
import { migrate } from '../src/server/migrate'

const [file = ''] = process.argv.slice(2)
const migrations = join(new URL('..', import.meta.url).pathname, 'src/server/migrations')
try {
  await checkBackup(file)
  await migrate(migrations)
  const { madeAt, rows } = await restoreBackup(file, migrations)
  console.log(`Restored ${rows} rows as they were at ${madeAt}.`)
  await pool().end()
} catch (error) {
  console.error(error instanceof BackupError ? error.message : error)
  process.exit(1)
}
