// Writes a backup of the database that GLASS_MOTH_DB names.
import { writeBackup } from '../src/server/backup'
import { pool, toldProblem } from '../src/server/database'
import { Problem } from '../src/server/problem'

const [file = ''] = process.argv.slice(2)
try {
  await writeBackup(file)
  await pool().end()
} catch (error) {
  const told = error instanceof Error && 'code' in error && error.code === 'ENOSPC' ? new Error('The disk is full.') : toldProblem(error)
  console.error(told instanceof Problem ? told.detail : told instanceof Error ? told.message : String(told))
  process.exit(1)
}
