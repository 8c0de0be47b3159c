// Kills: server, database, start command and browser by SIGKILL at moments that chance chooses, while edits are made.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type BrowserContext } from '@playwright/test'
import { chromiumArguments } from '../../src/cli/chromium'
import { startDatabase } from '../../scripts/database.mjs'
import { installMariaDb } from '../../scripts/install.mjs'
import { processesWith } from '../../scripts/programs.mjs'
import { runWithDatabase } from '../../scripts/serve.mjs'
import type { tiltDefaults } from '../../src/core/effect/tilt/settings'
import { isSame } from '../../src/core/site/patch'
import type { Site } from '../../src/core/site/site'
import { hasEnded, pause, pick, type Part, type TormentHouse } from './house'
import { makeSite, openWindow, pointAt, readServer, settleAll } from './writers'

const root = new URL('../..', import.meta.url).pathname

export interface KillsResult {
  readonly kills: number
  readonly edits: number
  readonly lost: number
  readonly reverted: number
  readonly notComeBack: number
  readonly failedStarts: number
}

const nothing: KillsResult = { kills: 0, edits: 0, lost: 0, reverted: 0, notComeBack: 0, failedStarts: 0 }
export const sum = (one: KillsResult, other: KillsResult): KillsResult =>
  Object.fromEntries(Object.entries(one).map(([key, value]) => [key, value + other[key as keyof KillsResult]])) as unknown as KillsResult

/** Two windows write without a pause while parts of the studio are killed. */
export async function killUnderEdits(
  house: TormentHouse,
  victims: readonly (readonly Part[])[],
  random: () => number,
): Promise<KillsResult> {
  pointAt(house)
  const { id, ...start } = await makeSite(house, 2)
  const stores = [openWindow(id, start), openWindow(id, start)]
  let result = nothing
  let counter = 0
  /** Each window counts up in an effect of its own, so what is older is told by its number. */
  const edit = (who: number) => stores[who]?.edit({ do: 'change', id: `e${who}`, to: { name: `n ${++counter}` } }, 'Counting')
  const numberOf = (site: Site, who: number) => Number(site.effects.find((effect) => effect.id === `e${who}`)?.name.replace(/\D+/g, ''))
  for (const together of victims) {
    const acknowledged = [0, 1].map((who) =>
      stores[who]?.saver.saving.get().state === 'saved' ? numberOf(stores[who].history.get().site, who) : -1,
    )
    const killAt = Math.floor(random() * 30)
    for (let i = 0; i < 40; i++) {
      edit(i % 2)
      if (i === killAt) for (const victim of together) if (house.kill(victim)) result = { ...result, kills: result.kills + 1 }
      await pause(random() * 30)
    }
    result = { ...result, edits: result.edits + 40 }
    if (together.includes('start') && !(await house.start())) result = { ...result, failedStarts: result.failedStarts + 1 }
    if (!(await house.answers(60_000)) || !(await settleAll(stores, 60_000))) {
      result = { ...result, notComeBack: result.notComeBack + 1 }
      continue
    }
    await Promise.all(stores.map((store) => store.saver.refresh()))
    const { site } = await readServer(house.address, id)
    for (const who of [0, 1]) {
      const [now, shown] = [numberOf(site, who), numberOf(stores[who]?.history.get().site ?? site, who)]
      if (now !== shown || now < (acknowledged[who] ?? 0))
        console.log(
          `  After ${together.join(' and ')}: the server has ${now}, the window shows ${shown}, saved was ${acknowledged[who] ?? 0}.`,
        )
      if (now < (acknowledged[who] ?? 0)) result = { ...result, reverted: result.reverted + 1 }
      if (now !== shown) result = { ...result, lost: result.lost + 1 }
    }
    if (!stores.every((store) => isSame(store.history.get().site, site))) result = { ...result, lost: result.lost + 1 }
  }
  for (const store of stores) store.saver.end()
  return result
}

/** A start that is killed while it lays out the database, or while it changes the schema of an older one; then it must start. */
export async function killStarts(count: number, during: 'bootstrap' | 'migrations', random: () => number): Promise<KillsResult> {
  let result = nothing
  const program = installMariaDb()
  for (let i = 0; i < count; i++) {
    const folder = mkdtempSync(join(tmpdir(), 'gm-start-'))
    const runAndKill = async (code: string, afterMs: number, env: Record<string, string> = {}) => {
      const child = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', code], {
        cwd: root,
        stdio: 'ignore',
        env: { ...process.env, ...env },
      })
      await pause(afterMs)
      if (child.exitCode === null && child.kill('SIGKILL')) result = { ...result, kills: result.kills + 1 }
      await hasEnded(child)
    }
    try {
      if (during === 'bootstrap') {
        await runAndKill(
          `const { startDatabase } = await import(${JSON.stringify(join(root, 'scripts/database.mjs'))}); await startDatabase({ program: ${JSON.stringify(program)}, folder: ${JSON.stringify(folder)} }); setInterval(() => undefined, 1000)`,
          250 + random() * 900,
        )
        const database = await startDatabase({ program, folder })
        await database.stop()
      } else {
        const database = await startDatabase({ program, folder })
        await runAndKill(
          `process.env.GLASS_MOTH_DB = ${JSON.stringify(JSON.stringify(database.connection))}; const { migrate } = await import(${JSON.stringify(join(root, 'src/server/migrate.ts'))}); await migrate(${JSON.stringify(join(root, 'src/server/migrations'))}); process.exit(0)`,
          500 + random() * 700,
        )
        const { status } = runWithDatabase('scripts/load-demo.ts', [], database.connection)
        if (status !== 0) result = { ...result, failedStarts: result.failedStarts + 1 }
        await database.stop()
      }
    } catch {
      result = { ...result, failedStarts: result.failedStarts + 1 }
    }
    if (processesWith(`--datadir=${folder}/`).length > 0) result = { ...result, failedStarts: result.failedStarts + 1 }
    rmSync(folder, { recursive: true, force: true })
  }
  return result
}

/** A browser that is killed in the middle of editing; opened again, it shows the last edit that was older than a moment, and the server has it. */
export async function killBrowsers(house: TormentHouse, count: number, random: () => number, also: boolean): Promise<KillsResult> {
  pointAt(house)
  const { id, site } = await makeSite(house, 1)
  const url = `${house.address}/studio/${id}/${site.pages[0]?.id ?? ''}`
  const profile = mkdtempSync(join(tmpdir(), 'gm-profile-'))
  const launch = () =>
    chromium.launchPersistentContext(profile, {
      executablePath: '/usr/bin/chromium',
      args: chromiumArguments,
      viewport: { width: 1280, height: 800 },
    })
  const kill = async (context: BrowserContext) => {
    for (const { pid } of processesWith(`--user-data-dir=${profile}`)) process.kill(pid, 'SIGKILL')
    await context.close().catch(() => undefined)
  }
  const angleOf = (document: Site) => (document.effects[0]?.settings as typeof tiltDefaults).acrossDeg
  let result = nothing
  let last = 9
  for (let i = 0; i < count; i++) {
    const context = await launch()
    const page = context.pages()[0] ?? (await context.newPage())
    await page.goto(url)
    const angle = page.getByRole('spinbutton', { name: 'The angle', exact: true })
    await angle.waitFor()
    // What an earlier window left comes in a moment after the page.
    const valueOf = async () => Number(await angle.getAttribute('aria-valuenow'))
    for (let waited = 0; waited < 3000 && (await valueOf()) !== last; waited += 50) await page.waitForTimeout(50)
    if ((await valueOf()) !== last) {
      console.log(`  A browser showed ${await valueOf()} where it had shown ${last}.`)
      result = { ...result, lost: result.lost + 1 }
      last = await valueOf()
    }
    const isCutOff = random() < 0.5
    if (isCutOff) await page.route('**/api/sites/**', (route) => route.abort())
    await angle.focus()
    for (let step = 0; step < 3 + Math.floor(random() * 6); step++) {
      // Up to 40 and down again, so that each value tells which edit it was.
      await page.keyboard.press(last >= 40 ? 'Home' : 'ArrowUp')
      last = last >= 40 ? 0 : last + 1
      await page.waitForTimeout(random() * 60)
    }
    await page.waitForTimeout(50 + random() * 500)
    last = await valueOf()
    if (also) house.kill(pick(random, ['server', 'database']))
    await kill(context)
    result = { ...result, kills: result.kills + 1 + (also ? 1 : 0), edits: result.edits + 1 }
    if (also && !(await house.answers(60_000))) result = { ...result, notComeBack: result.notComeBack + 1 }
  }
  const context = await launch()
  const page = context.pages()[0] ?? (await context.newPage())
  await page.goto(url)
  await page.getByRole('status').getByText('· saved').waitFor()
  await page.waitForTimeout(1500)
  const saved = angleOf((await readServer(house.address, id)).site)
  if (saved !== last) {
    console.log(`  The server has ${saved} where a browser had shown ${last}.`)
    result = { ...result, lost: result.lost + 1 }
  }
  await context.close()
  rmSync(profile, { recursive: true, force: true })
  return result
}
