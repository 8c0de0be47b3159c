// The tab in which a worker's tests run one after another. A browser that has the studio's code already opens it in half the time, so
// the tab stays as long as tests leave it as they found it; each begins on a blank page, with nothing kept of the one before.
import type { Browser, BrowserContext, Page } from '@playwright/test'

/** The window of a test from the start. */
const viewport = { width: 1280, height: 800 }
const permissions = ['clipboard-read', 'clipboard-write']

/** What cannot be taken from a page again: who does it has the tab to the end, and the next test gets another one. */
const lasting = ['addInitScript', 'exposeFunction', 'exposeBinding', 'addLocatorHandler'] as const

/** Pages of tabs in which a document that is put into them is as one that is gone to. */
const plain = new WeakSet<Page>()

/** Whether nothing waits in a page for the next document that is gone to. */
export const isPlain = (page: Page): boolean => plain.has(page)

export interface Tab {
  /** A blank page in the state of a new one; for a test that begins in the studio also one with the studio open on another site. */
  readonly begin: (isForStudio: boolean) => Promise<Page>
  /** Leaves what is open there, so that nothing of it asks for anything any more; the studio stays open. */
  readonly leave: () => Promise<void>
  /** Says that what is there now is not used again. */
  readonly giveUp: () => void
  readonly close: () => Promise<void>
}

/** A tab of this browser; `origin` is whose stored data is removed before each test. */
export function openTab(browser: Browser, origin: string): Tab {
  let context: BrowserContext | undefined
  let page: Page | undefined
  let isSpent = false
  const spend = () => {
    isSpent = true
    if (page) plain.delete(page)
  }
  const isInStudio = (at: Page) => at.url().startsWith(`${origin}/studio/`)

  const anew = async (): Promise<Page> => {
    await context?.close()
    context = await browser.newContext({ viewport, permissions })
    const addInitScript = context.addInitScript.bind(context)
    context.addInitScript = (...args) => {
      spend()
      return addInitScript(...args)
    }
    isSpent = false
    return newPage(context)
  }

  const newPage = async (within: BrowserContext): Promise<Page> => {
    const made = await within.newPage()
    plain.add(made)
    for (const name of lasting) {
      const own = made[name].bind(made) as (...args: unknown[]) => Promise<never>
      Object.assign(made, {
        [name]: (...args: unknown[]) => {
          spend()
          return own(...args)
        },
      })
    }
    const install = made.clock.install.bind(made.clock)
    made.clock.install = (...args) => {
      spend()
      return install(...args)
    }
    return made
  }

  return {
    leave: async () => {
      if (!context || !page || isSpent || page.isClosed()) return spend()
      for (const other of context.pages()) if (other !== page) await other.close()
      page.removeAllListeners()
      await page.unrouteAll({ behavior: 'ignoreErrors' })
      if (page.url().startsWith(origin)) await page.evaluate(() => sessionStorage.clear()).catch(spend)
      // Where a new page has its pointer; a document that comes later does not know that it was there.
      await page.mouse.move(0, 0)
      if (!isInStudio(page)) await page.goto('about:blank')
    },
    begin: async (isForStudio) => {
      if (isSpent || !context || !page || page.isClosed()) return (page = await anew())
      const staysOpen = isForStudio && isInStudio(page)
      if (!staysOpen && page.url() !== 'about:blank') await page.goto('about:blank')
      await page.setViewportSize(viewport)
      await page.emulateMedia({ media: null, colorScheme: null, reducedMotion: null, forcedColors: null, contrast: null })
      const session = await context.newCDPSession(page)
      await session.send('Storage.clearDataForOrigin', { origin, storageTypes: staysOpen ? 'cookies,local_storage' : 'all' })
      await session.detach()
      return isSpent ? (page = await anew()) : page
    },
    giveUp: spend,
    close: async () => context?.close(),
  }
}
