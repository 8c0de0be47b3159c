// npm run soak [-- MINUTES]: three windows of one site are edited for an hour by chance while something is killed each minute; into
// bench/SOAK.md. Nothing may be lost, and what server and browser hold after a collection may not grow.
import { writeFileSync } from 'node:fs'
import { cpus, totalmem } from 'node:os'
import { chromium, type BrowserContext, type Page } from '@playwright/test'
import { seededRandom } from '../../demo/vesper-hollow/random'
import type { tiltDefaults } from '../../src/core/effect/tilt/settings'
import { openTormentHouse, pause, pick, type Part } from './house'
import { chromiumArguments } from '../../src/cli/chromium'
import { makeSite, pointAt, readServer } from './writers'

const minutes = Number(process.argv[2] ?? 60)
const seed = Number(process.argv[3] ?? Math.floor(Date.now() / 86_400_000))
const random = seededRandom(seed)
/** When the first measure is taken; the server is killed until then, and not afterwards, so that it has time to grow. Minutes. */
const first = Math.min(5, minutes / 3)

const house = await openTormentHouse()
if (!(await house.start())) throw new Error('The studio does not start.')
pointAt(house)
const { id, site } = await makeSite(house, 3)
const url = `${house.address}/studio/${id}/${site.pages[0]?.id ?? ''}`
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: chromiumArguments })
const open = async () => {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  context.setDefaultTimeout(30_000)
  return { context, page: await context.newPage() }
}
const windows: { context: BrowserContext; page: Page }[] = []

/** The angle of the window's own effect: each edits one, and sees those of the others come in. */
const angleIn = (page: Page) => page.getByRole('spinbutton', { name: 'The angle', exact: true })
const shownIn = async (page: Page) => Number(await angleIn(page).getAttribute('aria-valuenow'))
const saved = async () =>
  (await readServer(house.address, id)).site.effects.map(({ settings }) => (settings as typeof tiltDefaults).acrossDeg)

async function enter(who: number): Promise<void> {
  const window = windows[who]
  if (!window) return
  await window.page.goto(url)
  await window.page.getByRole('button', { name: new RegExp(`^Effect ${who + 1}:`) }).click()
  await angleIn(window.page).waitFor()
}

/** Some edits of a window by key, with an undo now and then. */
async function edit(who: number): Promise<void> {
  const window = windows[who]
  if (!window) return
  const { page } = window
  await angleIn(page).focus()
  for (let step = 0; step < 4; step++) {
    const now = await shownIn(page)
    const chance = random()
    if (chance < 0.15) await page.keyboard.press('ControlOrMeta+z')
    else await page.keyboard.press(now >= 40 ? 'Home' : 'ArrowUp')
    await page.waitForTimeout(random() * 40)
  }
  if (random() < 0.1) {
    // What else a hand does meanwhile: a drawer is opened and closed.
    const button = page.getByRole('banner').getByRole('button', { name: pick(random, ['Code', 'Checks', 'History']), exact: true })
    await button.click()
    await page.waitForTimeout(300)
    await button.click()
  }
}

/** Waits until all is saved. Gives how many windows show another number than the server has. */
async function lostAfter(mostMs: number): Promise<number> {
  for (const end = Date.now() + mostMs; ; await pause(200)) {
    const shown = await Promise.all(windows.map(({ page }) => shownIn(page).catch(() => NaN)))
    const kept = await saved().catch(() => [])
    const wrong = shown.filter((value, who) => value !== kept[who]).length
    if (wrong === 0 || Date.now() > end) {
      if (wrong > 0) console.log(`  Windows show ${shown.join(', ')}; the server has ${kept.join(', ')}.`)
      return wrong
    }
  }
}

/** What the first window holds after a collection, MB, and how many of its nodes and listeners there are. */
async function heapOf(page: Page): Promise<{ readonly liveMb: number; readonly nodes: number; readonly listeners: number }> {
  const session = await page.context().newCDPSession(page)
  await session.send('HeapProfiler.enable')
  for (let i = 0; i < 3; i++) await session.send('HeapProfiler.collectGarbage')
  await session.send('Performance.enable')
  const { metrics } = await session.send('Performance.getMetrics')
  const of = (name: string) => metrics.find((metric) => metric.name === name)?.value ?? NaN
  await session.detach()
  return { liveMb: of('JSHeapUsedSize') / 2 ** 20, nodes: of('Nodes'), listeners: of('JSEventListeners') }
}

for (let who = 0; who < 3; who++) {
  windows.push(await open())
  await enter(who)
}
console.log('  Three windows are open.')
const began = Date.now()
const past = () => (Date.now() - began) / 60_000
const rows: string[] = []
let [edits, kills, lost, notComeBack] = [0, 0, 0, 0]
const measure = async () => {
  const [browserHeap, serverHeap] = [await heapOf(windows[0]?.page as Page), await house.liveHeap()]
  rows.push(
    `| ${past().toFixed(0)} | ${browserHeap.liveMb.toFixed(1)} | ${browserHeap.nodes} | ${browserHeap.listeners} | ${serverHeap.liveMb.toFixed(1)} |`,
  )
  console.log(`  ${rows.at(-1)}`)
  return { browser: browserHeap.liveMb, ...serverHeap }
}
let base: Awaited<ReturnType<typeof measure>> | undefined
for (let minute = 1; past() < minutes; minute++) {
  while (past() < minute) {
    const who = Math.floor(random() * 3)
    await edit(who)
    edits += 4
  }
  // The first window is as old as the soak, and so is the server from the first measure on.
  const victims: readonly (Part | 'window')[] = past() < first ? ['server', 'database', 'window'] : ['database', 'window']
  const victim = pick(random, victims)
  if (victim === 'window') {
    const who = 1 + Math.floor(random() * 2)
    const window = windows[who]
    await pause(700)
    const session = await window?.context.newCDPSession(window.page)
    // A process that crashes answers nobody.
    await Promise.race([session?.send('Page.crash').catch(() => undefined), pause(1000)])
    await window?.page.close().catch(() => undefined)
    if (window) window.page = await window.context.newPage()
    await enter(who)
  } else {
    house.kill(victim)
    await edit(0)
    edits += 4
    if (!(await house.answers(60_000))) notComeBack += 1
  }
  kills += 1
  lost += await lostAfter(60_000)
  if (!base && past() >= first) base = await measure()
  else if (minute % 10 === 0) await measure()
}
const last = await measure()
const ratio = { browser: last.browser / (base?.browser ?? NaN), server: last.liveMb / (base?.liveMb ?? NaN) }
const isSameServer = base?.pid === last.pid
const aims: readonly (readonly [string, string, string, boolean])[] = [
  ['Edits lost', String(lost), '0', lost === 0],
  ['Not come back', String(notComeBack), '0', notComeBack === 0],
  [
    'Live heap of the server, beside that after five minutes',
    `${ratio.server.toFixed(2)} x`,
    'at most 1.2 x',
    ratio.server <= 1.2 && isSameServer,
  ],
  ['Live heap of the first window, beside that after five minutes', `${ratio.browser.toFixed(2)} x`, 'at most 1.2 x', ratio.browser <= 1.2],
]
for (const window of windows) await window.context.close()
await browser.close()
await house.close()
const text = `# Soak

Written by \`npm run soak\`: three windows of one site, edited by chance for ${minutes} minutes, with one kill a minute. Seed ${seed}.
${cpus()[0]?.model ?? 'A machine'}, ${cpus().length} cores, ${Math.round(totalmem() / 2 ** 30)} GB, Node ${process.versions.node}; absolute figures are this machine's.

| what | measured | aim |
|---|---|---|
${aims.map(([what, measured, aim, isMet]) => `| ${what} | ${measured}${isMet ? '' : ' (missed)'} | ${aim} |`).join('\n')}

${edits} edits, undo among them; ${kills} kills of database, window (its process) and, in the first minutes, server.

| minute | first window, MB | its nodes | its listeners | server, MB |
|---:|---:|---:|---:|---:|
${rows.join('\n')}
`
console.log(text)
if (minutes >= 60) writeFileSync(new URL('../SOAK.md', import.meta.url), text)
process.exit(aims.every(([, , , isMet]) => isMet) ? 0 : 1)
