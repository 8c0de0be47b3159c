// A studio of its own for whoever asks: a database in a temporary folder with the demo in it, and the built server in front of it.
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
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

/** A database folder with the demo in it, made once in a run, of which each house has a copy. */
const modelFolder = {
  keep: (folder: string): void => void (process.env.GLASS_MOTH_MODEL = folder),
  read: (): string | undefined => process.env.GLASS_MOTH_MODEL,
}

/** Makes the database folder of which houses are copies. Gives what removes it. */
export async function makeModel(): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'glass-moth-model-'))
  const database = await startDatabase({ program: installMariaDb(), folder })
  try {
    loadDemo(database.connection)
  } finally {
    await database.stop()
  }
  modelFolder.keep(folder)
  return () => rmSync(folder, { recursive: true, force: true })
}

/** Serves what is in this database; ends the database too when that cannot be done. */
async function serve(database: Database, port: number) {
  try {
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
    const model = modelFolder.read()
    if (model !== undefined) cpSync(model, folder, { recursive: true })
    let database: Database = await startDatabase({ program, folder })
    // Outside of a test run there is no model.
    if (model === undefined) loadDemo(database.connection)
    const port = await freePort()
    let studio = await serve(database, port)
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
