// Gives the database tests a MariaDB of their own, in a temporary folder.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { databaseEnvironment, startDatabase } from '../../scripts/database.mjs'
import { buildReader } from '../../scripts/build-reader'
import { installMariaDb } from '../../scripts/install.mjs'

export async function setup(): Promise<() => Promise<void>> {
  buildReader(process.cwd())
  const folder = mkdtempSync(join(tmpdir(), 'glass-moth-test-'))
  const database = await startDatabase({ program: installMariaDb(), folder })
  Object.assign(process.env, databaseEnvironment(database.connection), { GLASS_MOTH_LOG: 'silent' })
  return async () => {
    await database.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}
