// Chromium under measurement: real input events, and the browser's own counters.
import { chromium, type Browser, type CDPSession, type Page } from '@playwright/test'
import { chromiumArguments } from '../src/cli/chromium'

const args = [...chromiumArguments, '--enable-precise-memory-info']

export const openBrowser = (): Promise<Browser> => chromium.launch({ executablePath: '/usr/bin/chromium', args })

/** What a stretch of work cost: times in ms of the page's main thread, and counts. */
export interface Cost {
  readonly task: number
  readonly script: number
  readonly style: number
  readonly layout: number
  readonly styleCount: number
  readonly layoutCount: number
  /** CPU time of all processes of the browser, ms. */
  readonly cpu: number
}

export interface Bench {
  readonly page: Page
  readonly session: CDPSession
  readonly cost: (work: () => Promise<void>) => Promise<Cost>
}

/** A page on which everything is counted. */
export async function openBench(browser: Browser, html: string): Promise<Bench> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 720 } })
  await page.setContent(html)
  const session = await page.context().newCDPSession(page)
  const whole = await browser.newBrowserCDPSession()
  await session.send('Performance.enable', { timeDomain: 'threadTicks' })
  const read = async () => {
    const { metrics } = await session.send('Performance.getMetrics')
    const { processInfo } = await whole.send('SystemInfo.getProcessInfo')
    const of = (name: string) => metrics.find((each) => each.name === name)?.value ?? NaN
    const seconds = (name: string) => of(name) * 1000
    const cpu = processInfo.reduce((sum, { cpuTime }) => sum + cpuTime, 0) * 1000
    return {
      task: seconds('TaskDuration'),
      script: seconds('ScriptDuration'),
      style: seconds('RecalcStyleDuration'),
      layout: seconds('LayoutDuration'),
      styleCount: of('RecalcStyleCount'),
      layoutCount: of('LayoutCount'),
      cpu,
    }
  }
  return {
    page,
    session,
    cost: async (work) => {
      const before = await read()
      await work()
      const after = await read()
      return Object.fromEntries(Object.entries(after).map(([name, value]) => [name, value - before[name as keyof Cost]])) as unknown as Cost
    },
  }
}

/** Moves the mouse by real input events, each after the one before was taken. */
export async function moveAlong({ session }: Bench, points: readonly (readonly [number, number])[]): Promise<void> {
  for (const [x, y] of points) await session.send('Input.dispatchMouseEvent', { type: 'mouseMoved', x, y, pointerType: 'mouse' })
}

/** A path that sweeps over the window in curves: `count` points, the same every time. */
export function sweep(count: number, width = 1240, height = 680): readonly (readonly [number, number])[] {
  return Array.from({ length: count }, (_, i) => {
    const turn = (i / count) * 2 * Math.PI
    return [20 + ((1 + Math.sin(3 * turn)) / 2) * width, 20 + ((1 + Math.cos(2 * turn + 0.4)) / 2) * height] as const
  })
}

/** What the page's own memory holds after a collection, bytes. */
export async function heapOf({ session }: Bench): Promise<number> {
  await session.send('HeapProfiler.collectGarbage')
  await session.send('HeapProfiler.collectGarbage')
  return (await session.send('Runtime.getHeapUsage')).usedSize
}

export const pause = (page: Page, ms: number): Promise<void> => page.waitForTimeout(ms)

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = sorted.length / 2
  return sorted.length === 0
    ? NaN
    : sorted.length % 2
      ? (sorted[Math.floor(middle)] ?? NaN)
      : ((sorted[middle - 1] ?? NaN) + (sorted[middle] ?? NaN)) / 2
}

/** The medians of several costs. */
export function medianCost(costs: readonly Cost[]): Cost {
  const of = (name: keyof Cost) => median(costs.map((cost) => cost[name]))
  return {
    task: of('task'),
    script: of('script'),
    style: of('style'),
    layout: of('layout'),
    styleCount: of('styleCount'),
    layoutCount: of('layoutCount'),
    cpu: of('cpu'),
  }
}

/** The compiler that runs these files names inner functions by a helper of its own; for pages, which have none. */
export const nameHelper = 'globalThis.__name = (each) => each'
