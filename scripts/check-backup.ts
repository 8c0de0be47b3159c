// Checks a backup by its own sum, without a database.
import { BackupError, checkBackup } from '../src/server/backup'

const [file = ''] = process.argv.slice(2)
try {
  await checkBackup(file)
} catch (error) {
  console.error(error instanceof BackupError ? error.message : error)
  process.exit(1)
}
