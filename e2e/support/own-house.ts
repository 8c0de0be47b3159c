// A studio of its own for whoever asks: a database in a temporary folder with the demo in it, and the built server in front of it.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort, startDatabase, type Database } from '../../scripts/database.mjs'
import { installMariaDb } from '../../scripts/install.mjs'
import { loadDemo, startStudio } from '../../scripts/serve.mjs'
import { houseAt, type House } from './at-house'

/** A house that a test may take apart: nobody else lives in it. */
export interface OwnHouse extends House {
  readonly stopDatabase: () => Promise<void>
  readonly startDatabase: () => Promise<void>
  readonly restartAll: () => Promise<void>
  /** Where its database listens. */
  readonly connection: Database['connection']
  readonly close: () => Promise<void>
}

/** Serves the demo from this database; ends the database too when that cannot be done. */
async function loadAndServe(database: Database, port: number) {
  try {
    loadDemo(database.connection)
    return await startStudio({ port, connection: database.connection })
  } catch (error) {
    await database.stop()
    throw error
  }
}

export async function openHouse(): Promise<OwnHouse> {
  const folder = mkdtempSync(join(tmpdir(), 'glass-moth-e2e-'))
  const remove = () => rmSync(folder, { recursive: true, force: true })
  try {
    const program = installMariaDb()
    let database: Database = await startDatabase({ program, folder })
    const port = await freePort()
    let studio = await loadAndServe(database, port)
    const start = async () => {
      database = await startDatabase({ program, folder, port: database.connection.port })
    }
    return {
      ...houseAt(studio.address, () => database.connection),
      connection: database.connection,
      stopDatabase: () => database.stop(),
      startDatabase: start,
      restartAll: async () => {
        await studio.stop()
        await database.stop()
        await start()
        studio = await startStudio({ port, connection: database.connection })
      },
      close: async () => {
        await studio.stop()
        await database.stop()
        remove()
      },
    }
  } catch (error) {
    remove()
    throw error
  }
}
