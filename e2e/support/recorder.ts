// What is to be seen on the way: read in every frame, from when it is asked until the test has seen the end. No time is waited for, so a
// machine that is busy gives fewer readings and the same ones.
import type { Frame, Page } from '@playwright/test'

export interface Reading<T> {
  /** When the frame was, ms. */
  readonly now: number
  readonly value: T
}

interface Recording {
  recording: { readonly seen: Reading<unknown>[]; isOn: boolean }
}

/** Begins to read; `read` is carried to the page, so it knows nothing but what it is given. */
export async function record<A, T>(
  page: Page | Frame,
  read: (given: A) => T,
  given: A,
): Promise<{ readonly end: () => Promise<Reading<T>[]> }> {
  const reader = await page.evaluateHandle<(given: A) => T>(`(${read.toString()})`)
  await page.evaluate(
    ([ask, asked]) => {
      const recording = { seen: [] as Reading<unknown>[], isOn: true }
      Object.assign(window, { recording })
      const look = (now: number) => {
        if (!recording.isOn) return
        recording.seen.push({ now, value: ask(asked as A) })
        requestAnimationFrame(look)
      }
      look(performance.now())
    },
    [reader, given] as const,
  )
  return {
    end: () =>
      page.evaluate(() => {
        const { recording } = window as unknown as Recording
        recording.isOn = false
        return recording.seen as Reading<never>[]
      }),
  }
}

/**
 * Goes through the browser's own transitions that have just begun, at evenly spaced moments from their beginning to their end, reads at
 * each, and leaves them ended. They should last some seconds, so that they are still there when they are looked for.
 */
export async function throughTransitions<A, T>(page: Page | Frame, read: (given: A) => T, given: A, count = 20): Promise<T[]> {
  const reader = await page.evaluateHandle<(given: A) => T>(`(${read.toString()})`)
  await page.waitForFunction(() => document.getAnimations().length > 0)
  return page.evaluate(
    ([ask, asked, steps]) => {
      const all = document.getAnimations()
      for (const each of all) each.pause()
      const end = Math.max(...all.map(({ effect }) => Number(effect?.getComputedTiming().endTime ?? 0)))
      const seen = Array.from({ length: steps + 1 }, (_, i) => {
        for (const each of all) each.currentTime = (end * i) / steps
        return ask(asked as A)
      })
      for (const each of all) each.finish()
      return seen
    },
    [reader, given, count] as const,
  )
}
