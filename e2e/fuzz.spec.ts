// Random pages x random effects x short traces: what Chromium computes is what the core says. Again: GLASS_MOTH_FUZZ=SEED, so many cases: GLASS_MOTH_CASES=N.
import fc from 'fast-check'
import { drive } from './support/bare'
import { test } from './support/house'
import { isLong, seedOr } from './support/long'
import { apartOn, expectedOf, groundsOn, mostApart, rigOf } from './support/judge'
import { randomCase, type RandomCase } from './support/random-page'
import type { Page } from '@playwright/test'

const cases = Number(process.env.GLASS_MOTH_CASES ?? (isLong ? 500 : 12))
const seed = seedOr(20_261_128)

/** By how much a case differs at its worst, with what does. */
async function worstOf(
  page: Page,
  { html, host, flat, judged, way, frames }: RandomCase,
): Promise<{ readonly worst: number; readonly told: string }> {
  await page.setContent(html)
  const [ground] = await groundsOn(page, [judged], way, host)
  if (!ground) throw new Error('There is no ground.')
  // What is cut off, or covered by what lies in it, cannot be pointed at.
  const points = way.flatMap(({ t }, i) => {
    const place = ground.places[i]
    return place?.isHit ? [{ t, ...place }] : []
  })
  if (points.length === 0) return { worst: 0, told: 'nothing to point at' }
  const rig = rigOf(judged)
  const driven = await drive(page, html, { it: rig }, { host, flat })
  const expected = expectedOf(judged, ground, points, frames, driven.byCss)
  let [worst, told, next] = [0, '', 0]
  for (const [i, t] of frames.entries()) {
    for (let point = points[next]; point && point.t <= t; point = points[++next]) await driven.hear({ t: point.t, x: point.x, y: point.y })
    await driven.frame(t)
    // Before the pointer came, parts need not be there.
    if (next === 0) continue
    const apart = await apartOn(page, 'it', rig.areas[0]?.select ?? '', expected[i] ?? [], ground.own, undefined, host)
    if (apart.worst > worst) [worst, told] = [apart.worst, `${judged.kind} at ${t} ms: ${apart.told}`]
  }
  await driven.detach()
  return { worst, told }
}

test(`${cases} random pages with random effects on them are what the core says, from seed ${seed}`, async ({ page }) => {
  test.setTimeout(300_000 + cases * 5000)
  await page.setViewportSize({ width: 1000, height: 700 })
  const found: string[] = []
  for (const [i, each] of fc.sample(randomCase, { numRuns: cases, seed }).entries()) {
    const { worst, told } = await worstOf(page, each)
    if (!(worst < mostApart)) found.push(`Case ${i}: ${told}\n${each.html}\n${JSON.stringify(each.judged)}\n${JSON.stringify(each.way)}`)
  }
  if (found.length > 0) throw new Error(`${found.length} of ${cases} differ, seed ${seed}.\n${found.join('\n\n')}`)
})
