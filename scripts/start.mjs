// npm start: from a fresh clone to a studio on loopback, saying each step.
import { backUpDaily, newestBackup } from './backups.mjs'
import { buildWhenNeeded } from './build.mjs'
import { backupsFolder, dataFolder } from './data-folder.mjs'
import { restoreIsDone, startDatabase } from './database.mjs'
import { checkNode, installMariaDb, installPackages } from './install.mjs'
import { keep } from './keep.mjs'
import { Obstacle, runCommand, say } from './say.mjs'
import { endLeftStudios, loadDemo, runWithDatabase, startStudio, takePort } from './serve.mjs'

const port = Number(process.env.PORT ?? 4717)
/** Whether previews may be opened from other devices in the network. */
const isLan = process.argv.includes('--lan')
const unknown = process.argv.slice(2).filter((each) => each !== '--lan')

/** How to stop what runs, the last one first; each is there as soon as its program is. */
const running = new Set()
let stopping
const house = { running, isStopping: () => stopping !== undefined }
const stopAll = (code) => {
  stopping ??= (async () => {
    for (const stop of [...running].reverse()) await stop()
    process.exit(code)
  })()
  return stopping
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    if (!stopping) say('Stopping the studio and its database.')
    void stopAll(0)
  })

await runCommand(async () => {
  console.log('\nGlass Moth')
  if (unknown.length > 0) throw new Obstacle(`npm start knows --lan only, and not ${unknown.join(' ')}.`)
  checkNode()
  await endLeftStudios()
  const letGoOfPort = await takePort(port)
  installPackages()
  const program = installMariaDb()

  let connection
  const keepDatabase = () =>
    keep('database', house, async (events) => {
      const database = await startDatabase({ program, folder: dataFolder, port: connection?.port, ...events })
      connection = database.connection
      return database
    })
  try {
    say('Starting MariaDB.')
    const { movedTo } = await keepDatabase()
    const backup = movedTo === undefined ? undefined : newestBackup(backupsFolder)
    if (backup !== undefined) {
      say(`Restoring the newest backup, ${backup}.`)
      const { status, output } = runWithDatabase('scripts/restore-into.ts', [backup], connection)
      if (status !== 0) throw new Obstacle(output)
    } else if (movedTo !== undefined)
      say('There is no backup in the data folder. One that you keep elsewhere is restored by: npm run restore -- FILE')
    restoreIsDone(dataFolder)
    say('Preparing the database, the starters and the demo site.')
    loadDemo(connection, backupsFolder)
    await buildWhenNeeded()
    if (stopping) return await stopping
    say('Serving the studio.')
    await letGoOfPort()
    const studio = await keep('studio', house, (events) => startStudio({ port, connection, isLan, ...events }))
    running.add(backUpDaily(backupsFolder, () => connection))
    console.log(`\n  Open ${studio.address}   (Ctrl-C stops it)\n`)
    if (isLan)
      console.log(
        '  Previews can be opened from other devices in your network. Whoever there has the address of one sees the pages of your sites,\n  and can change nothing. The studio itself answers this machine alone. “Preview as”, “On a phone” shows the address.\n',
      )
  } catch (error) {
    // A signal that came while we were busy is heard first.
    await new Promise((resolve) => setTimeout(resolve, 20))
    if (stopping) return await stopping
    for (const stop of [...running].reverse()) await stop()
    throw error
  }
})
