// npm run restore -- FILE: makes a new database from a backup; what was there before is moved aside.
import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { dataFolder } from './data-folder.mjs'
import { markRestored, restoringFolder, runningDatabase, settleRestore, startDatabase } from './database.mjs'
import { installMariaDb, installPackages } from './install.mjs'
import { Obstacle, runCommand, say } from './say.mjs'
import { runWithDatabase } from './serve.mjs'

const [given] = process.argv.slice(2)

await runCommand(async () => {
  if (given === undefined) throw new Obstacle('Say from where: npm run restore -- FILE')
  const file = resolve(given)
  if (!existsSync(file)) throw new Obstacle(`There is no file ${file}.`)
  if (await runningDatabase(dataFolder)) throw new Obstacle('The studio runs with this data now. Stop it first (Ctrl-C), then restore.')
  installPackages()
  const program = installMariaDb()
  // The backup is read and checked before anything is moved.
  const checked = runWithDatabase('scripts/check-backup.ts', [file], { user: '', password: '', database: '' })
  if (checked.status !== 0) throw new Obstacle(checked.output)
  // It is made beside what is there, which stays in its place until the other one is whole.
  settleRestore(dataFolder)
  const database = await startDatabase({ program, folder: restoringFolder(dataFolder) })
  try {
    const { status, output } = runWithDatabase('scripts/restore-into.ts', [file], database.connection)
    if (status !== 0) throw new Obstacle(output)
    say(output)
  } finally {
    await database.stop()
  }
  if (await runningDatabase(dataFolder))
    throw new Obstacle('A studio was started with this data meanwhile. Stop it first (Ctrl-C), then restore.')
  markRestored(dataFolder)
  const aside = settleRestore(dataFolder)?.aside
  if (aside !== undefined) say(`What was there before is now in ${aside}.`)
})
