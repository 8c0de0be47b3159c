// npm run backup -- FILE: writes all that the studio holds into one file; also while it runs.
import { existsSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import { dataFolder } from './data-folder.mjs'
import { runningDatabase, startDatabase } from './database.mjs'
import { installMariaDb, installPackages } from './install.mjs'
import { Obstacle, runCommand, say } from './say.mjs'
import { runWithDatabase } from './serve.mjs'

const [given] = process.argv.slice(2)

await runCommand(async () => {
  if (given === undefined) throw new Obstacle('Say where to: npm run backup -- FILE')
  const file = resolve(given)
  if (existsSync(file)) throw new Obstacle(`${file} is there already; it was not replaced. Choose another name.`)
  if (!existsSync(dirname(file))) throw new Obstacle(`There is no folder ${dirname(file)}.`)
  if (!existsSync(dataFolder)) throw new Obstacle('There is nothing to back up yet; npm start makes the database.')
  installPackages()
  const running = await runningDatabase(dataFolder)
  const database = running ? undefined : await startDatabase({ program: installMariaDb(), folder: dataFolder })
  try {
    const { status, output } = runWithDatabase('scripts/backup-from.ts', [file], running ?? database.connection)
    if (status !== 0) throw new Obstacle(`The backup could not be made. ${output}`)
    say(`All sites, pages, files and presets are in ${file}.`)
  } finally {
    await database?.stop()
  }
})
