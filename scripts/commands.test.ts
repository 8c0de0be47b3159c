// What the commands say when they cannot go on.
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { startDatabase } from './database.mjs'
import { installMariaDb, installProgram } from './install.mjs'
import { Obstacle } from './say.mjs'
import { checkPort } from './serve.mjs'

const obstacleOf = async (work: () => unknown): Promise<string> => {
  try {
    await work()
  } catch (error) {
    if (error instanceof Obstacle) return error.message
    throw error
  }
  throw new Error('Nothing stood in the way.')
}

describe('a program that is missing', () => {
  const program = { title: 'MariaDB', places: ['/nowhere/mariadbd'], debianPackage: 'mariadb-server-core' }
  afterEach(() => void vi.restoreAllMocks())

  it('is named with the command that installs it when we may not', async () => {
    vi.spyOn(process, 'getuid').mockReturnValue(1000)
    expect(await obstacleOf(() => installProgram(program))).toBe('MariaDB is missing and only an administrator may install it. Run: sudo apt-get install -y --no-install-recommends mariadb-server-core')
  })

  it('is used from the first place where it is', () => {
    expect(installProgram({ ...program, places: ['/nowhere', process.execPath] })).toBe(process.execPath)
  })
})

describe('a port', () => {
  it('that is taken is told with another to choose', async () => {
    const server = createServer()
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
    const { port } = server.address() as AddressInfo
    expect(await obstacleOf(() => checkPort(port))).toBe(`Port ${port} is taken, perhaps by a studio that already runs. Choose another: PORT=${port + 1} npm start`)
    await new Promise((resolve) => server.close(resolve))
    await checkPort(port)
  })

  it.each([NaN, 0, 70000, 80.5])('cannot be %s', async (port) => {
    expect(await obstacleOf(() => checkPort(port))).toContain('PORT must be a whole number from 1 to 65535')
  })
})

describe('a database', () => {
  let folder: string
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'glass-moth-broken-'))
  })
  afterEach(() => rmSync(folder, { recursive: true, force: true }))

  it('whose folder is broken is told with its own reason and where the whole log is', async () => {
    mkdirSync(join(folder, 'data', 'mysql'), { recursive: true })
    writeFileSync(join(folder, 'data', 'mysql', 'global_priv.frm'), 'this is no table')
    const message = await obstacleOf(() => startDatabase({ program: installMariaDb(), folder }))
    expect(message).toMatch(/^The database will not start: \S.*\. The whole log is .*mariadb\.log\.$/)
  }, 30_000)

  it('goes on where it was when it is started again', async () => {
    const program = installMariaDb()
    const { createConnection } = await import('mysql2/promise')
    const ask = async (sql: string): Promise<unknown> => {
      const database = await startDatabase({ program, folder })
      const connection = await createConnection(database.connection)
      const [rows] = await connection.query(sql)
      await connection.end()
      await database.stop()
      return rows
    }
    await ask('CREATE TABLE kept AS SELECT 42 AS answer')
    expect(await ask('SELECT answer FROM kept')).toEqual([{ answer: 42 }])
  }, 30_000)
})
