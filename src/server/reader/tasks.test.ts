// What scripts weigh and of what shape they are, worked out away from the server's own thread.
import { describe, expect, it } from 'vitest'
import { findKind } from '../../core/effect/kinds'
import { factNames } from '../../core/compile/facts'
import type { Site } from '../../core/site/site'
import { forgiven } from '../../../bench/torment/forgiven'
import { tasks, type ExportTask } from './tasks'

const page = { id: 'p', name: 'A page', source: '0'.repeat(64) }
const html = '<!doctype html><style>.card { border: 2px solid }</style><main><article class="card">A</article></main>'

function taskFor(script: Site['script'], change: Partial<ExportTask> = {}): ExportTask {
  const effect = {
    id: 'one',
    kind: 'tilt',
    name: 'Lean',
    select: '.card',
    noun: 'each card',
    settings: findKind('tilt')?.defaults as unknown,
  }
  const site: Site = { format: 'glass-moth/2', name: 'A site', pages: [page], effects: [effect], script }
  return { site, page, html, dressed: html, lacksSheets: false, hasScripts: false, ...change }
}
const costOf = (task: ExportTask, what: string) => tasks.costs(task).find((cost) => cost.what === what)

/** Each weighing compiles the script a dozen times, ms. */
const timeout = 60_000

describe('what a script counts on', { timeout }, () => {
  it('is one entry for each fact and for taking off, in their order', () => {
    expect(tasks.costs(taskFor(undefined)).map(({ what }) => what)).toEqual([...factNames, 'takesOff'])
  })

  it('says what the page itself has, what is allowed for, and what is not in it', () => {
    const task = taskFor({ allows: ['hasTransitions'] })
    expect(costOf(task, 'hasBorders')).toMatchObject({ isIn: 'page' })
    expect(costOf(task, 'hasTransitions')).toMatchObject({ isIn: 'wish' })
    expect(costOf(task, 'hasLateElements')).toMatchObject({ isIn: 'no' })
  })

  it.each(['hasTransitions', 'hasOwnStyles', 'takesOff'] as const)(
    'weighs %s by what comes with it, whether it is in the script or not',
    (what) => {
      const [without, withIt] = [taskFor(undefined), taskFor(what === 'takesOff' ? { takesOff: true } : { allows: [what] })]
      const more = tasks.script(withIt).smallBytes - tasks.script(without).smallBytes
      expect(more).toBeGreaterThan(0)
      expect(costOf(without, what)?.bytes).toBe(more)
      expect(costOf(withIt, what)?.bytes).toBe(more)
    },
  )

  it('weighs what the page itself has by what would go without it', () => {
    const bare = taskFor(undefined, { dressed: html.replace('border: 2px solid', 'color: red') })
    expect(costOf(taskFor(undefined), 'hasBorders')?.bytes).toBe(
      tasks.script(taskFor(undefined)).smallBytes - tasks.script(bare).smallBytes,
    )
  })
})

describe('the shape of a script', { timeout }, () => {
  it('is one for whatever differs by numbers alone, and none where nothing is to be played', () => {
    const one = taskFor(undefined)
    const other: ExportTask = {
      ...one,
      site: {
        ...one.site,
        effects: one.site.effects.map((effect) => ({ ...effect, settings: { ...(effect.settings as object), acrossDeg: 17 } })),
      },
    }
    expect(tasks.shape(one)?.key).toBe(tasks.shape(other)?.key)
    expect(tasks.shape({ ...one, site: { ...one.site, effects: [] } })).toBeNull()
  })

  it('is another where the page is another', () => {
    expect(tasks.shape(taskFor(undefined))?.key).not.toBe(tasks.shape(taskFor(undefined, { hasScripts: true }))?.key)
  })
})

describe('a page whose sheet has a slip', { timeout }, () => {
  it.each(forgiven)('is exported as it is, whatever browsers make of %j', (css) => {
    const source = `<!doctype html><title>A page</title><style>${css}</style><main><article class="card">A</article></main>`
    const task = taskFor(undefined, { html: source, dressed: source })
    // Byte for byte, but for what HTML itself knows as no character.
    const exported = tasks.export(task)
    expect(exported).toContain(`<style>${css}</style>`)
    expect(exported).toContain('rotate')
  })

  it('is exported with all that a page may do allowed for where it nests without end', () => {
    const deep = (open: string, levels: number) => `${open.repeat(levels)}color: red${'}'.repeat(levels)}`
    for (const css of [deep('p { ', 5000), deep('&&& { ', 300), deep('p, q { ', 300), deep('@media all { ', 5000)]) {
      const source = html.replace('.card { border: 2px solid }', css)
      const task = taskFor(undefined, { html: source, dressed: source })
      expect(tasks.export(task)).toContain(css)
      expect(tasks.script(task).facts).toMatchObject({ sheets: 'unread', hasBorders: true })
    }
  })

  it('tells that a sheet is missing', () => {
    expect(tasks.script(taskFor(undefined, { lacksSheets: true })).facts.sheets).toBe('missing')
  })
})
