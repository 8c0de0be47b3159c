// npm start: from a fresh clone to a studio on loopback, saying each step.
import { join } from 'node:path'
import { buildWhenNeeded } from './build.mjs'
import { startDatabase } from './database.mjs'
import { checkNode, installMariaDb, installPackages, root } from './install.mjs'
import { runCommand, say } from './say.mjs'
import { checkPort, loadDemo, startStudio } from './serve.mjs'

const port = Number(process.env.PORT ?? 4717)

await runCommand(async () => {
  console.log('\nGlass Moth')
  checkNode()
  await checkPort(port)
  installPackages()
  const program = installMariaDb()

  const running = []
  let stopping = false
  const stopAll = async (code) => {
    if (stopping) return
    stopping = true
    for (const part of running.reverse()) await part.stop()
    process.exit(code)
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => {
    say('Stopping the studio and its database.')
    void stopAll(0)
  })

  const folder = join(root, '.glass-moth', 'database')
  let connection
  // A database that dies under us is started again on its own port; the studio keeps edits in the browser meanwhile.
  const keepDatabase = async () => {
    const database = await startDatabase({
      program,
      folder,
      port: connection?.port,
      onExit: () => {
        if (stopping) return
        say('The database stopped by itself. Starting it again.')
        running.splice(running.indexOf(database), 1)
        keepDatabase().catch((error) => say(`${error.message} Edits stay in the browser; stop with Ctrl-C and run npm start again.`))
      },
    })
    running.unshift(database)
    connection = database.connection
  }
  try {
    say('Starting MariaDB on loopback.')
    await keepDatabase()
    say('Preparing the database, the starters and the demo site.')
    loadDemo(connection)
    buildWhenNeeded()
    say('Serving the studio.')
    const studio = await startStudio({ port, connection, onExit: () => {
      say('The studio stopped by itself. Run npm start again.')
      void stopAll(1)
    } })
    running.push(studio)
    console.log(`\n  Open ${studio.address}   (Ctrl-C stops it)\n`)
  } catch (error) {
    stopping = true
    for (const part of running.reverse()) await part.stop()
    throw error
  }
})
