// npm run clocks: the clocks of the studio's server, of its database and of the page are set 31 days ahead and back while they run.
// It needs the Debian package faketime; nothing may be lost, and nothing of the bin or of the history may go.
import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { ask, openTormentHouse } from './house'
import { chromiumArguments } from '../../src/cli/chromium'
import { makeSite, openWindow, pointAt, readServer, settleAll } from './writers'

const library = '/usr/lib/x86_64-linux-gnu/faketime/libfaketime.so.1'
if (!existsSync(library)) {
  console.log('The Debian package faketime is missing. Run: sudo apt-get install -y --no-install-recommends faketime')
  process.exit(1)
}
const folder = mkdtempSync(join(tmpdir(), 'gm-clocks-'))
const clock = join(folder, 'clock')
/** Sets the clock of all processes of the studio, as faketime reads it. */
const setClock = (by: string) => writeFileSync(clock, `${by}\n`)
setClock('+0')
const house = await openTormentHouse({
  LD_PRELOAD: library,
  FAKETIME_TIMESTAMP_FILE: clock,
  FAKETIME_NO_CACHE: '1',
  FAKETIME_DONT_FAKE_MONOTONIC: '1',
})
const { address } = house
const start = async () => {
  if (!(await house.start())) throw new Error('The studio does not start.')
}
const wrong: string[] = []
const expectSame = (what: string, is: unknown, should: unknown) => {
  const isSame = JSON.stringify(is) === JSON.stringify(should)
  if (!isSame) wrong.push(`${what}: ${JSON.stringify(is)}, and not ${JSON.stringify(should)}`)
  console.log(`  ${what}: ${isSame ? 'as it should be' : wrong.at(-1)}`)
}

await start()
pointAt(house)
const { id, ...known } = await makeSite(house, 2)
const other = await makeSite(house, 1)
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
/** Throws another site into the bin, or takes it out again. Gives whether that could be done. */
const setRemoved = async (removed: boolean) => {
  const body = JSON.stringify({ removed })
  return (await ask(`${address}/api/sites/${other.id}`, { method: 'PATCH', headers: { 'content-type': 'application/json' }, body })).ok
}
expectSame('the bin takes a site', await setRemoved(true), true)
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
  // What is in the bin stays for 30 days; a clock that jumps while the studio runs takes nothing of it.
  expectSame(`the bin at ${by}`, [await setRemoved(false), await setRemoved(true)], [true, true])
  if (n === 0) {
    // Out of the bin, since it is past its time after a start a month later.
    await setRemoved(false)
    await house.stop()
    await start()
    expectSame('the site after a start a month later', (await readServer(address, id)).site.effects.length, 2)
  }
}
expectSame('the demo', (await readServer(address, 'vesper-hollow')).site.pages.length, 4)
await browser.close()
for (const store of stores) store.saver.end()
await house.stop()
setClock('-31d')
await start()
expectSame('the site after a start a month earlier', (await readServer(address, id)).site.effects.length, 2)
await house.stop()
const backups = existsSync(join(house.data, 'backups')) ? readdirSync(join(house.data, 'backups')) : []
expectSame(
  'a backup was made',
  backups.some((name) => name.endsWith('-daily.glass-moth-backup')),
  true,
)
await house.close()
rmSync(folder, { recursive: true, force: true })
console.log(wrong.length === 0 ? 'Nothing was lost.' : `${wrong.length} things went wrong.`)
process.exit(wrong.length === 0 ? 0 : 1)
