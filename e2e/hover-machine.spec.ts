// The hover machine as it is exported: 200 sequences of what a visitor, the keys, a finger and the page can do, against its model.
import * as fc from 'fast-check'
import { beginTold, commands, hoverRig, options } from '../src/core/look/hover-model'
import { lookNames } from '../src/core/look/look'
import { playMoved } from './support/bare'
import { expect, test } from './support/house'
import { isLong, seedOr } from './support/long'

const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Looks</title><style>
  body { margin: 0; height: 3000px } .anchor, .note { position: absolute; box-sizing: border-box; width: 100px; height: 40px; padding: 0; border: 0 }
</style></head><body>${[0, 1, 2].map((n) => `<button class="anchor">${n}</button><div class="note">${n}</div>`).join('')}</body></html>`

const said = (given: Iterable<{ toString: () => string }>) => [...given].map((each) => each.toString()).join(', ')

test('shows in Chromium what its model says, is asleep at the end, and says nothing on the console', async ({ page }) => {
  await page.setViewportSize({ width: 1000, height: 700 })
  const errors: string[] = []
  page.on('pageerror', ({ message }) => errors.push(message))
  const sequences = fc.sample(fc.tuple(options, fc.commands(commands, { maxCommands: 40, size: 'max' })), {
    numRuns: isLong ? 200 : 40,
    seed: seedOr(71),
  })
  let looked = 0
  for (const [own, given] of sequences) {
    const told = beginTold(own)
    fc.modelRun(() => ({ model: told, real: told }), given)
    const end = told.t + 2000
    const samples = [
      ...told.samples,
      { t: told.t + 1, x: 0, y: 0, buttons: 0, pointerType: 'mouse', phase: 'leave' } as const,
      { t: told.t + 2, x: 5, y: 5, buttons: 0, pointerType: 'mouse', phase: 'blur' } as const,
      { t: told.t + 3, x: 5, y: 5, buttons: 0, pointerType: 'mouse', phase: 'key', key: 'Escape' } as const,
    ]
    const times = told.expected.map(({ t }) => t)
    const { seen, isAsleep } = await playMoved(
      page,
      html,
      { anchor: hoverRig(own) },
      samples,
      told.boxes,
      [...times, told.t + 600, end, end + 16],
      { select: '.anchor', property: '--shown' },
    )
    // What is removed shows nothing any more.
    const shown = seen.slice(0, times.length).map((all) => all.map((each) => (each === null ? null : lookNames[Number(each)])))
    const expected = told.expected.map((each, k) => each.shown.map((look, n) => (shown[k]?.[n] === null ? null : look)))
    const apart = shown.findIndex((all, k) => JSON.stringify(all) !== JSON.stringify(expected[k]))
    const words = `${said(given)} with ${JSON.stringify(own)}: after ${apart + 1}, ${JSON.stringify(shown[apart])} instead of ${JSON.stringify(expected[apart])}`
    expect(apart, words).toBe(-1)
    expect(seen.at(-1)?.every((each) => each === null || Number(each) === 0)).toBe(true)
    expect(isAsleep, said(given)).toBe(true)
    looked += shown.length
  }
  expect(looked).toBeGreaterThan(isLong ? 2000 : 400)
  expect(errors).toEqual([])
})
