// The torment in its short form: some of every kill, some of every hostile input. `npm run torment` is the long one.
import { expect, test } from '@playwright/test'
import { spawn, spawnSync } from 'node:child_process'
import { mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { exportMutations, hostileImports, nonsenseRequests, openOrdinary, openSmuggling } from '../bench/torment/border'
import { seededRandom } from '../demo/vesper-hollow/random'
import { openTormentHouse, pause, type TormentHouse } from '../bench/torment/house'
import { killStarts, killUnderEdits } from '../bench/torment/kills'
import { manyCookies, sheetsWithSlips, wrongShapes } from '../bench/torment/obstacles'
import { freePort } from '../scripts/database.mjs'
import { processesWith } from '../scripts/programs.mjs'
import { isLong, long } from './support/long'
import { makeSite, openWindow, pointAt, readServer, settleAll, twoWriters } from '../bench/torment/writers'

const random = seededRandom(20_261_127)
let house: TormentHouse

test.describe.configure({ mode: 'serial', timeout: 600_000 })
test.beforeAll(async () => {
  house = await openTormentHouse()
  expect(await house.start()).toBe(true)
})
test.afterAll(() => house.close())

test('hostile imports and nonsense are answered, and open nothing', long, async () => {
  await openOrdinary(house)
  // From behind the heaviest ones, which the long form sends.
  const imports = await hostileImports(house, 24, random, 'http://smuggled.example.test/x', 12)
  expect([imports.imports, imports.failed]).toEqual([24, []])
  expect(imports.taken).toBeGreaterThan(0)
  expect((await nonsenseRequests(house, 60, random)).wrong).toEqual([])
  expect(await openSmuggling(house, 4, random)).toEqual({ pages: 4, scriptsRun: 0, requests: 0, lookups: 0 })
  const { accepted, injections } = exportMutations(250, random)
  expect([accepted > 10, injections]).toEqual([true, []])
})

test('cookies of other tools, slips in stylesheets and edits of a wrong shape stand in nobody’s way', async () => {
  const [cookies, slips, shapes] = [
    await manyCookies(house, [20, 1100]),
    await sheetsWithSlips(house, 8, random),
    await wrongShapes(house, 60, random),
  ]
  expect([cookies.wrong, slips.wrong, shapes.wrong]).toEqual([[], [], []])
  expect([cookies.tries, slips.tries > 4, shapes.tries]).toEqual([2, true, 60])
})

test('a database that hangs is told as such, edits are kept meanwhile, and saved when it goes on', async () => {
  pointAt(house)
  const { id, ...start } = await makeSite(house, 1)
  const store = openWindow(id, start)
  expect(house.kill('database', 'SIGSTOP')).toBe(true)
  store.edit({ do: 'change', id: 'e0', to: { name: 'While it hangs' } }, 'Renaming')
  expect(await store.saver.settle()).toBe(false)
  expect(store.saver.saving.get()).toMatchObject({ state: 'offline', detail: expect.stringContaining('The database does not answer.') })
  expect(house.kill('database', 'SIGCONT')).toBe(true)
  expect(await settleAll([store], 20_000)).toBe(true)
  expect((await readServer(house.address, id)).site.effects[0]?.name).toBe('While it hangs')
  store.saver.end()
})

test('two writers with undo lose nothing and revert nothing of each other', async () => {
  const { edits, undone, lost, reverted } = await twoWriters(house, 40, random)
  expect([edits > 40, undone > 4, lost, reverted]).toEqual([true, true, 0, 0])
})

test('kills of server, database and start command lose no edit and revert none, and all comes back', long, async () => {
  const result = await killUnderEdits(house, [['server'], ['database'], ['start']], random)
  expect(result).toMatchObject({ kills: 3, lost: 0, reverted: 0, notComeBack: 0, failedStarts: 0 })
  expect(await killStarts(1, 'migrations', random)).toMatchObject({ failedStarts: 0 })
  await house.stop()
  expect(house.leftovers()).toEqual([])
})

test('a damaged data folder is moved aside by the next start, and the newest backup restored', long, async () => {
  const damaged = await openTormentHouse()
  try {
    expect(await damaged.start()).toBe(true)
    pointAt(damaged)
    const { id } = await makeSite(damaged, 2)
    await damaged.stop()
    // The backup of the day was made when it started; another one has the new site.
    expect(
      spawnSync(process.execPath, ['scripts/backup.mjs', join(damaged.data, 'backups', 'z-later.glass-moth-backup')], {
        env: { ...process.env, GLASS_MOTH_DATA: damaged.data },
      }).status,
    ).toBe(0)
    rmSync(join(damaged.data, 'data', 'mysql', 'plugin.frm'))
    expect(await damaged.start()).toBe(true)
    expect((await readServer(damaged.address, id)).site.effects).toHaveLength(2)
    expect(readdirSync(damaged.data).filter((name) => name.startsWith('data.aside-'))).toHaveLength(1)
  } finally {
    await damaged.close()
  }
})

test('a start that is stopped by Ctrl-C at any moment ends all that it started', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'gm-ctrl-c-'))
  for (const afterMs of isLong ? [150, 500, 900, 1600, 2600, 4000] : [150, 1600]) {
    const data = join(folder, String(afterMs))
    const child = spawn(process.execPath, ['scripts/start.mjs'], {
      stdio: 'ignore',
      env: { ...process.env, PORT: String(await freePort()), GLASS_MOTH_DATA: data },
    })
    await pause(afterMs)
    child.kill('SIGINT')
    await new Promise((resolve) => child.once('exit', resolve))
    expect([afterMs, processesWith(`--datadir=${data}`)]).toEqual([afterMs, []])
  }
  rmSync(folder, { recursive: true, force: true })
})
