// What the commands say when they cannot go on.
import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { stat } from 'node:fs/promises'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createConnection } from 'mysql2/promise'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { freePort, startDatabase } from './database.mjs'
import { installMariaDb, installProgram } from './install.mjs'
import { processesWith } from './programs.mjs'
import { Obstacle, sentenceOf } from './say.mjs'
import { takePort } from './serve.mjs'

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
    expect(await obstacleOf(() => installProgram(program))).toBe(
      'MariaDB is missing and only an administrator may install it. Run: sudo apt-get install -y --no-install-recommends mariadb-server-core',
    )
  })

  it('is used from the first place where it is', () => {
    expect(installProgram({ ...program, places: ['/nowhere', process.execPath] })).toBe(process.execPath)
  })
})

describe('what the system says no to', () => {
  it.each([
    ['ENOSPC', 'The disk is full: /data. Make some room on it; nothing that was saved is lost.'],
    ['EROFS', 'This cannot be written: /data. Check the rights of the folder.'],
    ['EACCES', 'This cannot be written: /data. Check the rights of the folder.'],
    ['EPIPE', undefined],
  ])('is one sentence that names the cause: %s', (code, words) => {
    expect(sentenceOf(Object.assign(new Error(), { code, path: '/data' }))).toBe(words)
  })
})

describe('a port', () => {
  it('that is taken is told with another to choose', async () => {
    const server = createServer()
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
    const { port } = server.address() as AddressInfo
    const told = (await obstacleOf(() => takePort(port))) ?? ''
    const [, free = ''] =
      /^Port \d+ is taken, perhaps by a studio that already runs\. This one is free: PORT=(\d+) npm start$/.exec(told) ?? []
    // Not the one behind it, which is for previews.
    expect(Number(free)).toBeGreaterThan(port + 1)
    await (
      await takePort(Number(free))
    )()
    await new Promise((resolve) => server.close(resolve))
    const letGo = await takePort(port)
    expect(await obstacleOf(() => takePort(port))).toContain(`Port ${port} is taken`)
    await letGo()
    await (
      await takePort(port)
    )()
  })

  it('that is held keeps no start command from ending', async () => {
    const script = `const { takePort } = await import(${JSON.stringify(join(import.meta.dirname, 'serve.mjs'))}); await takePort(${await freePort()})`
    expect(spawnSync(process.execPath, ['--input-type=module', '-e', script], { timeout: 60_000 }).status).toBe(0)
  })

  it.each([NaN, 0, 70000, 80.5])('cannot be %s', async (port) => {
    expect(await obstacleOf(() => takePort(port))).toContain('PORT must be a whole number from 1 to 65535')
  })
})

describe('a database', () => {
  let folder: string
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'glass-moth-broken-'))
  })
  afterEach(() => rmSync(folder, { recursive: true, force: true }))

  const program = installMariaDb()
  /** Asks as root, by the socket, with the password that only the folder's owner can read. */
  const askAsRoot = async (sql: string): Promise<Record<string, unknown>[]> => {
    const connection = await createConnection({
      socketPath: join(folder, 'mariadb.sock'),
      user: 'root',
      password: readFileSync(join(folder, 'password'), 'utf8'),
    })
    const [rows] = await connection.query(sql)
    await connection.end()
    return rows as Record<string, unknown>[]
  }
  /** A start command that is on its way in a process of its own. */
  const startElsewhere = () =>
    spawn(
      process.execPath,
      [
        '--input-type=module',
        '-e',
        `const { startDatabase } = await import(${JSON.stringify(join(import.meta.dirname, 'database.mjs'))}); await startDatabase({ program: ${JSON.stringify(program)}, folder: ${JSON.stringify(folder)} }); console.log('answers'); setInterval(() => undefined, 1000)`,
      ],
      { stdio: ['ignore', 'pipe', 'ignore'] },
    )
  const hasEnded = (child: ChildProcess) => new Promise((resolve) => child.once('exit', resolve))

  it('has no account that is open, nor one that reads files; its own sees its own data alone', async () => {
    const database = await startDatabase({ program, folder })
    const accounts = await askAsRoot(
      "SELECT User, Host, JSON_VALUE(Priv, '$.authentication_string') AS secret, JSON_VALUE(Priv, '$.account_locked') AS locked FROM mysql.global_priv",
    )
    expect(
      accounts.filter(({ secret, locked }) => !(typeof secret === 'string' && secret.length > 20) && locked !== '1' && locked !== 'true'),
    ).toEqual([])
    expect(accounts.map(({ User }) => User)).not.toContain('')
    expect(accounts.filter(({ User, Host }) => User === 'root' && Host !== 'localhost')).toEqual([])
    const [settings] = await askAsRoot('SELECT @@secure_file_priv AS files, @@skip_networking AS alone, @@local_infile AS uploads')
    expect(settings).toEqual({ files: `${join(folder, 'no-files')}/`, alone: 1, uploads: 0 })
    expect((await stat(folder)).mode & 0o77).toBe(0)
    const connection = await createConnection(database.connection)
    await expect(connection.query("SELECT 1 INTO OUTFILE '/tmp/glass-moth-out'")).rejects.toThrow(/FILE privilege/)
    await expect(connection.query('SELECT * FROM mysql.global_priv')).rejects.toMatchObject({ code: 'ER_TABLEACCESS_DENIED_ERROR' })
    await connection.end()
    await expect(createConnection({ socketPath: join(folder, 'mariadb.sock'), user: 'root' })).rejects.toMatchObject({
      code: 'ER_ACCESS_DENIED_ERROR',
    })
    await database.stop()
  })

  it('has its temporary tables in its own folder, where no other server that starts removes them', async () => {
    const database = await startDatabase({ program, folder })
    const [settings] = await askAsRoot('SELECT @@tmpdir AS temporary')
    expect(settings).toEqual({ temporary: join(folder, 'temporary') })
    await database.stop()
  })

  it('whose folder lacks a file is moved aside whole, said, and made anew', async () => {
    const first = await startDatabase({ program, folder })
    await first.stop()
    rmSync(join(folder, 'data', 'mysql', 'plugin.frm'))
    const told = vi.spyOn(console, 'log').mockReturnValue()
    const second = await startDatabase({ program, folder })
    expect(told.mock.calls.flat().join(' ')).toContain('The database folder is damaged: mysql/plugin.frm is missing. It was moved to')
    told.mockRestore()
    expect(readdirSync(second.movedTo ?? '')).toContain('ibdata1')
    await second.stop()
  })

  it('whose data cannot be read is told with its own reason, where the whole log is and how to go back to a backup; nothing is deleted', async () => {
    const first = await startDatabase({ program, folder })
    await first.stop()
    writeFileSync(join(folder, 'data', 'ibdata1'), 'this is no data')
    const message = await obstacleOf(() => startDatabase({ program, folder }))
    expect(message).toMatch(
      /^The database will not start: \S.*\. The whole log is .*mariadb\.log\. To go back to a backup, run: npm run restore -- FILE/,
    )
    expect(readFileSync(join(folder, 'data', 'ibdata1'), 'utf8')).toBe('this is no data')
  })

  it('whose program ends at once is an obstacle, not a crash', async () => {
    expect(await obstacleOf(() => startDatabase({ program: '/bin/false', folder }))).toMatch(/^The database folder could not be made/)
    expect(await obstacleOf(() => startDatabase({ program: '/nowhere/mariadbd', folder }))).toMatch(
      /^The database folder could not be made/,
    )
  })

  it.each([120, 500, 1500, 4000])(
    'starts again after a start command that was killed after %s ms',
    async (afterMs) => {
      const child = startElsewhere()
      await new Promise((resolve) => setTimeout(resolve, afterMs))
      child.kill('SIGKILL')
      await hasEnded(child)
      const database = await startDatabase({ program, folder })
      // One server, and it is ours.
      expect(processesWith(`--datadir=${folder}/`)).toHaveLength(1)
      await database.stop()
      expect(processesWith(`--datadir=${folder}/`)).toEqual([])
      expect(readdirSync(folder).filter((name) => name.startsWith('data.making-'))).toEqual([])
    },
    60_000,
  )

  it('of a studio that runs is left alone, and that is said', async () => {
    const child = startElsewhere()
    await new Promise((resolve) => child.stdout.once('data', resolve))
    expect(await obstacleOf(() => startDatabase({ program, folder }))).toBe(
      `A studio already runs with this data (process ${child.pid}). Stop it first; two cannot share one database.`,
    )
    child.kill('SIGKILL')
    await hasEnded(child)
    const database = await startDatabase({ program, folder })
    await database.stop()
  })

  it('whose path is too long for a socket is reached by loopback, with its password alone', async () => {
    const far = join(folder, 'a'.repeat(60), 'b'.repeat(60))
    const database = await startDatabase({ program, folder: far })
    const { host, port } = database.connection
    expect([host, typeof port]).toEqual(['127.0.0.1', 'number'])
    const connection = await createConnection(database.connection)
    expect((await connection.query('SELECT 1 AS one'))[0]).toEqual([{ one: 1 }])
    await connection.end()
    for (const user of ['root', 'glass_moth', ''])
      await expect(createConnection({ host: '127.0.0.1', port: port ?? 0, user })).rejects.toMatchObject({ code: 'ER_ACCESS_DENIED_ERROR' })
    await database.stop()
  })

  it('goes on where it was when it is started again', async () => {
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
  })
})
