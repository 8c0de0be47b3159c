// npm run clocks: the clocks of the studio's server, of its database and of the page are set 31 days ahead and back while they run.
// It needs the Debian package faketime; nothing may be lost, and nothing of the bin or of the history may go.
import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { freePort } from '../../scripts/database.mjs'
import { ask, pause } from './house'
import { chromiumArguments } from './kills'
import { makeSite, openWindow, pointAt, readServer, settleAll } from './writers'

const library = '/usr/lib/x86_64-linux-gnu/faketime/libfaketime.so.1'
if (!existsSync(library)) {
  console.log('The Debian package faketime is missing. Run: sudo apt-get install -y --no-install-recommends faketime')
  process.exit(1)
}
const root = new URL('../..', import.meta.url).pathname
const folder = mkdtempSync(join(tmpdir(), 'gm-clocks-'))
const clock = join(folder, 'clock')
/** Sets the clock of all processes of the studio, as faketime reads it. */
const setClock = (by: string) => writeFileSync(clock, `${by}\n`)
const port = await freePort()
const address = `http://127.0.0.1:${port}`
const start = async () => {
  const child = spawn(process.execPath, ['scripts/start.mjs'], {
    cwd: root,
    stdio: 'ignore',
    env: {
      ...process.env,
      PORT: String(port),
      GLASS_MOTH_DATA: join(folder, 'database'),
      LD_PRELOAD: library,
      FAKETIME_TIMESTAMP_FILE: clock,
      FAKETIME_NO_CACHE: '1',
      FAKETIME_DONT_FAKE_MONOTONIC: '1',
    },
  })
  for (let waited = 0; waited < 120_000; waited += 200) {
    const isThere = await fetch(`${address}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    )
    if (isThere) return child
    await pause(200)
  }
  throw new Error('The studio does not start.')
}
const wrong: string[] = []
const expectSame = (what: string, is: unknown, should: unknown) => {
  const isSame = JSON.stringify(is) === JSON.stringify(should)
  if (!isSame) wrong.push(`${what}: ${JSON.stringify(is)}, and not ${JSON.stringify(should)}`)
  console.log(`  ${what}: ${isSame ? 'as it should be' : wrong.at(-1)}`)
}

setClock('+0')
let studio = await start()
pointAt({ address } as Parameters<typeof pointAt>[0])
const { id, ...known } = await makeSite({ address } as Parameters<typeof makeSite>[0], 2)
const other = await makeSite({ address } as Parameters<typeof makeSite>[0], 1)
const stores = [openWindow(id, known), openWindow(id, known)]
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: chromiumArguments })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
const pageId = known.site.pages[0]?.id ?? ''
await page.goto(`${address}/studio/${id}/${pageId}`)
/** The clock of the page, while it runs: its Date goes by another time, as after a change of the system's. */
const setPageClock = (days: number) =>
  page.evaluate(`
    const Real = (window.trueDate ??= Date)
    const now = () => Real.now() + ${days * 86_400_000}
    window.Date = class extends Real {
      constructor(...given) { super(...(given.length === 0 ? [now()] : given)) }
      static now() { return now() }
    }`)
const versions = async () => {
  const list = (await (await ask(`${address}/api/sites/${id}/revisions`)).json()) as unknown
  return JSON.stringify(list).match(/"revision":\d+/g)?.length ?? 0
}
// A site in the bin comes back within 30 days; a clock that jumps while the studio runs takes nothing.
await ask(`${address}/api/sites/${other.id}`, { method: 'DELETE' })
let least = await versions()
for (const [n, by] of ['+31d', '-31d', '+0'].entries()) {
  setClock(by)
  await setPageClock(by === '+0' ? 0 : Number(by.slice(0, -1)))
  for (const [who, store] of stores.entries()) store.edit({ do: 'change', id: `e${who}`, to: { name: `${by} ${who}` } }, 'Renaming')
  await page.getByRole('button', { name: /^Effect 1:/ }).click()
  const angle = page.getByRole('spinbutton', { name: 'The angle', exact: true })
  await angle.focus()
  await page.keyboard.press('ArrowUp')
  const shown = await angle.getAttribute('aria-valuenow')
  expectSame(`saved at ${by}`, await settleAll(stores, 30_000), true)
  await page.getByRole('status').getByText('· saved').waitFor()
  await Promise.all(stores.map((store) => store.saver.refresh()))
  const { site } = await readServer(address, id)
  expectSame(
    `names at ${by}`,
    site.effects.map(({ name }) => name),
    [`${by} 0`, `${by} 1`],
  )
  expectSame(`the page's own edit at ${by}`, String((site.effects[0]?.settings as { acrossDeg?: number }).acrossDeg), shown)
  const now = await versions()
  expectSame(`versions at ${by}, none fewer`, now >= least, true)
  least = now
  expectSame(`undo at ${by}`, [stores[0]?.undo(), await settleAll(stores, 30_000)][1], true)
  if (n === 0) {
    // Started anew a month later, what was thrown away is past its time; what is used is not.
    studio.kill('SIGINT')
    await new Promise((resolve) => studio.once('exit', resolve))
    studio = await start()
    expectSame('the site after a start a month later', (await readServer(address, id)).site.effects.length, 2)
  }
}
expectSame('the demo', (await readServer(address, 'vesper-hollow')).site.pages.length, 4)
await browser.close()
for (const store of stores) store.saver.end()
studio.kill('SIGINT')
await new Promise((resolve) => studio.once('exit', resolve))
setClock('-31d')
studio = await start()
expectSame('the site after a start a month earlier', (await readServer(address, id)).site.effects.length, 2)
studio.kill('SIGINT')
await new Promise((resolve) => studio.once('exit', resolve))
const backups = existsSync(join(folder, 'database', 'backups')) ? readdirSync(join(folder, 'database', 'backups')) : []
expectSame(
  'a backup was made',
  backups.some((name) => name.endsWith('-daily.glass-moth-backup')),
  true,
)
rmSync(folder, { recursive: true, force: true })
console.log(wrong.length === 0 ? 'Nothing was lost.' : `${wrong.length} things went wrong.`)
process.exit(wrong.length === 0 ? 0 : 1)
