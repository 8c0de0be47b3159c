// The studio's own functions without its screen: a page is pointed at, a recipe is chosen, the caption is changed, by what clicks call.
import type { Page as BrowserPage } from '@playwright/test'
import { buildSync } from 'esbuild'
import { indexPage } from '../../src/core/page/selector'
import { findIn, readTree } from '../../src/core/page/tree'
import { applyEdit } from '../../src/core/site/edit'
import { siteSchema, type Effect, type Site } from '../../src/core/site/site'
import type { Studio } from '../../src/studio/context'
import { addRecipe, climb } from '../../src/studio/point/commands'
import { observable } from '../../src/studio/store/observable'
import { makeViewStore, notPointing, type LadderRung } from '../../src/studio/store/view-store'
import { answerQuestion } from '../../src/worker/answers'
import type { Question } from '../../src/worker/protocol'
import type { Under } from '../../src/stage/protocol'

/** What the page's side of the studio answers, as one script that defines `ground`. */
const groundScript =
  buildSync({
    stdin: {
      contents: `
        import { elementsUnder } from './src/stage/ladder'
        import { makeAnswers } from './src/stage/answers'
        const elements = [...document.querySelectorAll('*')].filter((element) => element !== document.currentScript)
        const numbers = { of: (element) => { const i = elements.indexOf(element); return i < 0 ? undefined : i }, at: (number) => elements[number] }
        export const under = (x, y) => elementsUnder(document, numbers, x, y, document.createElement('div'), true)
        export const answer = makeAnswers(document, numbers, () => [], {}, () => null)`,
      resolveDir: '.',
      loader: 'ts',
    },
    bundle: true,
    write: false,
    format: 'iife',
    globalName: 'ground',
    target: 'es2022',
  }).outputFiles[0]?.text ?? ''

/** Puts a page into a tab, ready to be pointed at. */
export async function layGround(page: BrowserPage, html: string): Promise<void> {
  await page.setContent(html)
  await page.addScriptTag({ content: groundScript })
}

export interface HeadlessStudio {
  /** Points at a place of the page's window and clicks. */
  readonly pointAt: (x: number, y: number) => Promise<void>
  /** Chooses a recipe, and waits until it is fitted to the page. */
  readonly choose: (kind: string, recipe: string) => Promise<Effect | undefined>
  /** How many elements a selector matches. */
  readonly countOf: (select: string) => number
  /** What is picked of what lies there. */
  readonly rung: () => LadderRung | undefined
  /** Chooses all like it, where there are such. */
  readonly chooseAlike: () => void
  /** Puts an effect on all that are like its element, as the noun of the caption does. Gives it as it is then. */
  readonly putOnAlike: (effect: Effect) => Promise<Effect>
}

/** A studio for a page that lies in a tab. */
export function headlessStudio(page: BrowserPage, html: string): HeadlessStudio {
  const tree = readTree(html)
  const pages = new Map([['page', indexPage(tree)]])
  let site: Site = siteSchema.parse({
    format: 'glass-moth/2',
    name: 'A site',
    pages: [{ id: 'page', name: 'A page', source: 'e'.repeat(64) }],
    effects: [],
  })
  const view = makeViewStore('page', null, { getItem: () => null, setItem: () => undefined })
  const history = observable({ site } as ReturnType<Studio['store']['history']['get']>)
  const inPage = (expression: string) => page.evaluate(expression)
  const studio = {
    view,
    store: {
      history,
      edit: (edit: Parameters<typeof applyEdit>[1]) => {
        site = applyEdit(site, edit)
        history.set({ ...history.get(), site })
      },
    },
    link: { say: () => undefined, ask: (question: object) => inPage(`ground.answer(${JSON.stringify(question)})`) },
    search: { ask: (question: Question) => Promise.resolve(answerQuestion(pages, question)) },
  } as unknown as Studio
  return {
    pointAt: async (x, y) => {
      const under = (await inPage(`ground.under(${x}, ${y})`)) as Under[]
      view.update({ pointing: { ...notPointing, stage: 'looking' }, trial: null })
      await climb(studio, under, true)
    },
    choose: async (kind, recipe) => {
      const before = site.effects.length
      await addRecipe(studio, kind, recipe)
      return site.effects[before]
    },
    countOf: (select) => findIn(tree, select)?.length ?? 0,
    rung: () => view.get().pointing.rungs[view.get().pointing.pick],
    chooseAlike: () => {
      const { pointing } = view.get()
      const choice = pointing.rungs[pointing.pick]?.choices.findIndex(({ how }) => how === 'class') ?? -1
      if (choice >= 0) view.update({ pointing: { ...pointing, choice } })
    },
    putOnAlike: async (effect) => {
      const rung = await studio.search.ask({ ask: 'first', page: 'page', select: effect.select })
      const alike = rung?.choices.find(({ how }) => how === 'class')
      if (alike) studio.store.edit({ do: 'change', id: effect.id, to: { select: alike.select, noun: `each ${rung?.noun ?? ''}` } }, '')
      return site.effects.find(({ id }) => id === effect.id) ?? effect
    },
  }
}
