// The studio that all tests share, and the tab in which those of a worker run.
import { expect, test as base } from '@playwright/test'
import type { Database } from '../../scripts/database.mjs'
import { houseAt, type House } from './at-house'
import { openHouse, type OwnHouse } from './own-house'
import { openTab, type Tab } from './tab'

export type { House } from './at-house'

/** Where the studio of this run is: written down by the set-up, read by each worker. */
export const sharedHouse = {
  keep: ({ address, connection }: OwnHouse): void => {
    process.env.GLASS_MOTH_HOUSE = JSON.stringify({ address, connection })
  },
  read: (): { readonly address: string; readonly connection: Database['connection'] } =>
    JSON.parse(process.env.GLASS_MOTH_HOUSE ?? '') as { address: string; connection: Database['connection'] },
}

export const test = base.extend<{ quiet: undefined; ownHouse: OwnHouse }, { house: House; tab: Tab }>({
  house: [
    async ({}, use) => {
      const { address, connection } = sharedHouse.read()
      await use(houseAt(address, () => connection))
    },
    { scope: 'worker' },
  ],
  // For a test that stops, fills or restarts it.
  ownHouse: [
    async ({ page }, use) => {
      const own = await openHouse()
      await use(own)
      // Nobody is there any more when it closes.
      for (const each of page.context().pages()) await each.goto('about:blank')
      await own.close()
    },
    { timeout: 240_000 },
  ],
  tab: [
    async ({ browser, house }, use) => {
      const tab = openTab(browser, new URL(house.address).origin)
      await use(tab)
      await tab.close()
    },
    { scope: 'worker' },
  ],
  page: async ({ tab, house }, give, info) => {
    // A test that begins in the studio may go on in the one that is open.
    await give(await tab.begin(/\b(toStudio|openStarters?|walkOne)\b/.test(String(info.fn))))
    if (info.status !== info.expectedStatus) tab.giveUp()
    await tab.leave()
    await house.clear()
  },
  context: async ({ page }, give) => {
    await give(page.context())
  },
  // No page of ours may throw, whatever a test does with it.
  quiet: [
    async ({ page }, use) => {
      const errors: string[] = []
      page.on('pageerror', (error) => errors.push(error.message))
      await use(undefined)
      if (errors.length > 0) throw new Error(`The page threw: ${errors.join('; ')}`)
    },
    { auto: true },
  ],
})

/** A document that is being left answers nothing: the one that follows is asked. */
async function pastLeaving<T>(ask: () => T | Promise<T>): Promise<T> {
  for (const end = Date.now() + 20_000; ;)
    try {
      return await ask()
    } catch (error) {
      if (!/context was destroyed|frame (was|got) detached/i.test(String(error)) || Date.now() > end) throw error
      await new Promise((resolve) => setTimeout(resolve, 40))
    }
}

/** Asks again and again, often, until what is expected holds. */
export const eventually = <T>(ask: () => T | Promise<T>) => expect.poll(() => pastLeaving(ask), { intervals: [20, 40, 60, 90] })

export { expect }
