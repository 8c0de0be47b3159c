// What stands in the way without anybody's ill will: cookies of other tools, slips in stylesheets, edits of a wrong shape, a port that is
// taken, a restore or a build that is interrupted.
import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, symlinkSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import { freePort, startDatabase } from '../../scripts/database.mjs'
import { installMariaDb } from '../../scripts/install.mjs'
import { loadDemo } from '../../scripts/serve.mjs'
import { editsRefused } from '../../src/core/site/journal'
import { tiltDefaults } from '../../src/core/effect/tilt/settings'
import { realSheets } from '../../e2e/support/sheets'
import { forgiven, spoil } from './forgiven'
import { ask, hasEnded, pause, pick, type TormentHouse } from './house'
import { makeSite, openWindow, pointAt, readServer, settleAll } from './writers'

const root = new URL('../..', import.meta.url).pathname

/** How often something was tried, and what went wrong each time that something did. */
export interface Tried {
  readonly tries: number
  readonly wrong: readonly string[]
}

/** Edits while the browser sends more and more cookies: all are kept, and saved once there are fewer; too many are said to be that. */
export async function manyCookies(house: TormentHouse, kilobytes: readonly number[]): Promise<Tried> {
  const wrong: string[] = []
  pointAt(house)
  const { id } = await makeSite(house, 1)
  for (const size of kilobytes) {
    const known = await readServer(house.address, id)
    const plain = globalThis.fetch
    const cookie = `other=${'x'.repeat(size * 1024)}`
    globalThis.fetch = (input, init) =>
      plain(input, { ...init, headers: { ...(init?.headers as Record<string, string> | undefined), cookie } })
    const store = openWindow(id, known)
    store.edit({ do: 'change', id: 'e0', to: { name: `With ${size} KB` } }, 'Renaming')
    const isSaved = await store.saver.settle()
    const answer = await ask(`${house.address}/api/health`, { headers: { cookie } })
    const isTooMuch = size >= 1024
    if (isSaved === isTooMuch) wrong.push(`${size} KB of cookies: ${isSaved ? 'saved' : 'not saved'}`)
    if (isTooMuch && (answer.status !== 431 || !(await answer.text()).includes('cookies')))
      wrong.push(`${size} KB of cookies: ${answer.status}`)
    globalThis.fetch = plain
    await settleAll([store], 20_000)
    const { site } = await readServer(house.address, id)
    if (site.effects[0]?.name !== `With ${size} KB`) wrong.push(`${size} KB of cookies: the edit is not there`)
    store.saver.end()
  }
  pointAt(house)
  return { tries: kilobytes.length, wrong }
}

/** Pages whose stylesheet has slips: each is exported, with its sheet byte for byte and its effect. */
export async function sheetsWithSlips({ address }: TormentHouse, count: number, random: () => number): Promise<Tried> {
  const wrong: string[] = []
  const sheets = realSheets()
  const all = [...forgiven, ...Array.from({ length: count }, () => spoil(pick(random, sheets), random))].slice(0, Math.max(count, 8))
  // What ends the element is no matter of the sheet, and HTML itself has no NUL.
  const kept = all.filter((css) => !/<\/style|\0|\r/i.test(css))
  const post = (path: string, body: object) =>
    ask(address + path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
  for (const css of kept) {
    const form = new FormData()
    form.append(
      'file',
      new Blob([`<!doctype html><title>A sheet</title><style>${css}</style><main><article class="card">A</article></main>`]),
    )
    form.append('paths', JSON.stringify(['index.html']))
    const imported = (await (await ask(`${address}/api/import`, { method: 'POST', body: form })).json()) as object
    const { siteId, pageId } = (await (await post('/api/sites', imported)).json()) as { siteId: string; pageId: string }
    const effect = { id: 'one', kind: 'tilt', name: 'Lean', select: '.card', noun: 'each card', settings: tiltDefaults }
    const patch = [{ do: 'put', at: ['effects'], item: effect, behind: null }]
    await post(`/api/sites/${siteId}/edits`, { window: 'w', revision: 1, entries: [{ number: 1, words: 'Adding', gesture: '', patch }] })
    const answer = await ask(`${address}/export/${siteId}/${pageId}`)
    const html = await answer.text()
    if (answer.status !== 200 || !html.includes(css) || !html.includes('rotate'))
      wrong.push(`${answer.status} for ${JSON.stringify(css.slice(0, 80))}`)
  }
  return { tries: kept.length, wrong }
}

/** Edits whose parts have other shapes than they should: refused by their own type of problem or left out, and the site is as valid as before. */
export async function wrongShapes(house: TormentHouse, count: number, random: () => number): Promise<Tried> {
  const { address } = house
  const wrong: string[] = []
  const { id } = await makeSite(house, 2)
  const places: readonly unknown[] = [
    [], ['effects'], ['bin'], ['pages'], ['name'], ['effects', { id: 'e0' }], ['effects', { id: 'e0' }, 'settings'], ['effects', { id: 'e1' }, 'select'],
    ['__proto__', 'x'], ['effects', 0], ['effects', 'length'], [{ id: 'e0' }], 'effects', null, ['values'], ['script'],
  ] // prettier-ignore
  let deep: unknown = 1
  for (let i = 0; i < 200; i++) deep = [deep]
  const values: readonly unknown[] = [
    null,
    0,
    -1,
    1e300,
    'x',
    '',
    [],
    {},
    [null],
    [1],
    [{}],
    { id: 1 },
    { id: 'e0' },
    deep,
    true,
    'x'.repeat(50_000),
  ]
  for (let i = 0; i < count; i++) {
    const [at, to, item] = [pick(random, places), pick(random, values), pick(random, values)]
    const op = pick(random, [
      { do: 'set', at, from: item, to },
      { do: 'set', at },
      { do: 'put', at, item, behind: pick(random, ['e0', null, 'nobody', 3]) },
      { do: 'drop', at, item, behind: null },
      { do: 'order', at, from: to, to: item },
      { do: pick(random, ['set', 'move', 7]), at, to },
      to,
    ])
    const entry = pick(random, [
      { number: i + 1, words: 'W', gesture: '', patch: [op] },
      { number: i + 1, words: to, gesture: '', patch: item },
      op,
    ])
    const body = JSON.stringify(
      pick(random, [{ window: 'w', revision: 1, entries: [entry] }, { window: 'w', revision: to, entries: item }, to]),
    )
    const answer = await ask(`${address}/api/sites/${id}/edits`, { method: 'POST', headers: { 'content-type': 'application/json' }, body })
    const { type } = (await answer.json()) as { type?: string }
    if (answer.status >= 500 || (answer.status >= 400 && type !== editsRefused))
      wrong.push(`${answer.status} ${type ?? ''} for ${body.slice(0, 120)}`)
  }
  await readServer(address, id).catch((error: unknown) => wrong.push(`The site cannot be read: ${String(error).slice(0, 200)}`))
  return { tries: count, wrong }
}

/** A start command with a data folder of its own; gives its process and what it has said. */
function startCommand(port: number, data: string): { readonly child: ChildProcess; readonly said: () => string } {
  let text = ''
  const child = spawn(process.execPath, ['scripts/start.mjs'], {
    cwd: root,
    env: { ...process.env, PORT: String(port), GLASS_MOTH_DATA: data },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (part: Buffer) => (text += part.toString()))
  return { child, said: () => text }
}

/** Two starts at once on one port, and one on a port of another program: one serves, the others say so with a port that is free. */
export async function takenPorts(count: number): Promise<Tried> {
  const wrong: string[] = []
  const folder = mkdtempSync(join(tmpdir(), 'gm-ports-'))
  const freeIn = (text: string) => Number(/PORT=(\d+) npm start/.exec(text)?.[1])
  for (let i = 0; i < count; i++) {
    const port = await freePort()
    const both = ['one', 'other'].map((name) => startCommand(port, join(folder, `${i}-${name}`)))
    for (let waited = 0; waited < 120_000 && !both.some(({ said }) => said().includes('Open http')); waited += 100) await pause(100)
    const refused = both.filter(({ child }) => child.exitCode !== null)
    const text = refused[0]?.said() ?? ''
    if (refused.length !== 1 || refused[0]?.child.exitCode === 0 || !text.includes(`Port ${port} is taken`) || !(freeIn(text) > 0))
      wrong.push(`Of two starts at once ${refused.length} were refused: ${text.slice(-200)}`)
    for (const { child } of both) child.kill('SIGINT')
    for (const { child } of both) await hasEnded(child)
    const other = createServer()
    await new Promise<void>((resolve) => other.listen(port, '127.0.0.1', resolve))
    const late = startCommand(port, join(folder, `${i}-late`))
    await hasEnded(late.child)
    if (late.child.exitCode === 0 || !(freeIn(late.said()) > 0)) wrong.push(`A port of another program: ${late.said().slice(-200)}`)
    await new Promise((resolve) => other.close(resolve))
  }
  rmSync(folder, { recursive: true, force: true })
  return { tries: 2 * count, wrong }
}

/** Restores that are killed: the next start has what was there before or what was restored, whole, and nothing is left beside it. */
export async function killRestores(count: number, random: () => number): Promise<Tried> {
  const wrong: string[] = []
  const place = mkdtempSync(join(tmpdir(), 'gm-restore-'))
  const folder = join(place, 'database')
  const backup = join(place, 'all.glass-moth-backup')
  const program = installMariaDb()
  const inDatabase = async (sql: string) => {
    const database = await startDatabase({ program, folder })
    const db = await createConnection(database.connection)
    const [rows] = await db.query<RowDataPacket[]>(sql)
    await db.end()
    await database.stop()
    return rows
  }
  const command = (script: string) => [join('scripts', script), backup]
  const options = { cwd: root, stdio: 'ignore', env: { ...process.env, GLASS_MOTH_DATA: folder } } as const
  try {
    const database = await startDatabase({ program, folder })
    loadDemo(database.connection)
    await database.stop()
    await inDatabase("UPDATE sites SET name = 'In the backup' WHERE id = 'starters'")
    spawnSync(process.execPath, command('backup.mjs'), options)
    for (let i = 0; i < count; i++) {
      await inDatabase(`UPDATE sites SET name = 'Before ${i}' WHERE id = 'starters'`)
      const child = spawn(process.execPath, command('restore.mjs'), options)
      await pause(400 + random() * 5200)
      child.kill('SIGKILL')
      await hasEnded(child)
      try {
        const [row] = await inDatabase("SELECT name, (SELECT COUNT(*) FROM page_sources) AS pages FROM sites WHERE id = 'starters'")
        const name = String(row?.name)
        if (![`Before ${i}`, 'In the backup'].includes(name) || !(Number(row?.pages) > 3)) wrong.push(`A restore left ${name}`)
      } catch (error) {
        wrong.push(`After a restore the database does not start: ${String(error).slice(0, 200)}`)
      }
      if (existsSync(join(folder, 'restoring'))) wrong.push('A restore left its folder')
      for (const name of readdirSync(folder))
        if (name.startsWith('data.aside-')) rmSync(join(folder, name), { recursive: true, force: true })
    }
  } finally {
    rmSync(place, { recursive: true, force: true })
  }
  return { tries: count, wrong }
}

/** Builds that are killed, in a copy of the sources: none of them is taken for a whole one. */
export async function killBuilds(count: number, random: () => number): Promise<Tried> {
  const wrong: string[] = []
  const copy = mkdtempSync(join(tmpdir(), 'gm-build-'))
  try {
    const listed = spawnSync('git', ['ls-files', '-z'], { cwd: root, encoding: 'utf8' }).stdout.split('\0')
    for (const file of listed.filter((name) => name !== '')) {
      mkdirSync(join(copy, file, '..'), { recursive: true })
      if (existsSync(join(root, file))) cpSync(join(root, file), join(copy, file))
    }
    symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'))
    const code = "await (await import('./scripts/build.mjs')).buildWhenNeeded()"
    for (let i = 0; i < count; i++) {
      const child = spawn(process.execPath, ['--input-type=module', '-e', code], { cwd: copy, stdio: 'ignore', detached: true })
      await pause(1500 + random() * 25_000)
      try {
        process.kill(-(child.pid ?? 0), 'SIGKILL')
      } catch {
        // It was done by then.
      }
      await hasEnded(child)
      const isStamped = existsSync(join(copy, '.glass-moth', 'build'))
      if (isStamped && child.exitCode !== 0) wrong.push('A build that was killed left its stamp')
    }
  } finally {
    rmSync(copy, { recursive: true, force: true })
  }
  return { tries: count, wrong }
}
