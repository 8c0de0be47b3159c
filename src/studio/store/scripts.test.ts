// Scripts in the studio: who waits for the compiler, what asks nobody, and what is said to a page.
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { askedBy, takeFacts, type PageFacts } from '../../core/compile/page-facts'
import { keyOf, planScript, withoutWords } from '../../core/compile/plan'
import { findKind } from '../../core/effect/kinds'
import type { FromStage, QuestionType, ToStage } from '../../stage/protocol'
import type { FromCompiler, ToCompiler } from '../../worker/protocol'
import type { foresee, makeScriptPlay } from './scripts'
import type { StageLink } from './stage-link'

/** A compiler that answers when it is told to. */
class FakeWorker {
  static made: FakeWorker[] = []
  readonly asked: ToCompiler[] = []
  readonly listeners = new Map<string, (event: { readonly data?: FromCompiler; readonly preventDefault?: () => void }) => void>()
  constructor() {
    FakeWorker.made.push(this)
  }
  addEventListener(type: string, listener: (event: { readonly data?: FromCompiler; readonly preventDefault?: () => void }) => void) {
    this.listeners.set(type, listener)
  }
  postMessage(message: ToCompiler) {
    this.asked.push(message)
  }
  /** Answers what was asked last: with what was asked, so that a test can tell. */
  answer(failure?: string) {
    const { shape } = this.asked.at(-1) ?? { shape: { main: '' } }
    this.listeners.get('message')?.({ data: failure === undefined ? { text: shape.main } : { failure } })
  }
}

const facts: PageFacts = {
  hasBorders: false,
  hasPositions: false,
  hasTurns: false,
  hasOwnStyles: false,
  hasInlineStyles: false,
  hasTransitions: false,
  hasLateElements: false,
  hasOwnCode: false,
  ownRules: [],
  ownLayers: [],
  hasPartTransitions: false,
  hasClips: false,
  hasEyes: false,
  partStyles: [],
  contested: [],
  liesIn: [],
  sheets: 'read',
}

/** A line to a page that tells these facts when it is asked. */
function makeLink() {
  const said: ToStage[] = []
  const listeners = new Set<(message: FromStage) => void>()
  const asked: { readonly type: QuestionType }[] = []
  const link: StageLink = {
    say: (message) => void said.push(message),
    connect: () => () => undefined,
    greet: () => undefined,
    ask: ((question: { readonly type: QuestionType }) => {
      asked.push(question)
      return Promise.resolve(facts)
    }) as StageLink['ask'],
    whenReady: () => Promise.resolve(),
    listen: (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
  }
  return { link, said, asked, ready: (isAgain = false) => listeners.forEach((listener) => listener({ type: 'ready', now: 0, isAgain })) }
}

const sourceOf = (kind: string, changes: object = {}, select = '.card') => {
  const found = findKind(kind)
  if (!found) throw new Error(kind)
  return {
    rig: found.expand({ ...(found.defaults as object), ...changes }, select, {}),
    names: { title: kind, name: `card-${kind}` },
    sentence: 'What it does.',
    number: 1,
  }
}
/** What the server answers about a page with one tilt that has these facts. */
function shapeFor(its: PageFacts) {
  const sources = [sourceOf('tilt')]
  return {
    key: keyOf(planScript(withoutWords(sources), takeFacts(its), { allows: [] }).shape),
    text: 'from the server',
    asked: askedBy(sources),
    facts: its,
  }
}
const spring = (frequencyHz: number) => ({ follow: { kind: 'spring', frequencyHz, dampingRatio: 0.7 } })
const texts = (said: readonly ToStage[]) => said.flatMap((message) => (message.type === 'play' ? [message.played.text] : []))
const settle = () => new Promise((resolve) => setTimeout(resolve, 5))

describe('scripts in the studio', () => {
  let scripts: { readonly foresee: typeof foresee; readonly makeScriptPlay: typeof makeScriptPlay }
  beforeEach(async () => {
    FakeWorker.made = []
    vi.resetModules()
    vi.stubGlobal('Worker', FakeWorker)
    scripts = await import('./scripts')
  })
  const worker = () => FakeWorker.made.at(-1) ?? new FakeWorker()

  it('are written once for each shape: a number that is dragged asks nobody, one of the stylesheet is not even planned', async () => {
    const { link, said, asked } = makeLink()
    const play = scripts.makeScriptPlay(link, () => undefined)
    play.play([sourceOf('tilt', spring(2.5))])
    await settle()
    worker().answer()
    await settle()
    expect(texts(said)).toHaveLength(1)
    play.play([sourceOf('tilt', spring(3.25))])
    expect(texts(said)).toHaveLength(2)
    expect(texts(said)[1]).toContain('3.25')
    play.play([sourceOf('tilt', { ...spring(3.25), acrossDeg: 14, upDownDeg: 14 })])
    expect(texts(said)).toHaveLength(2)
    expect([worker().asked.length, asked.length]).toEqual([1, 1])
    expect(said.find((message) => message.type === 'play')?.played.writes).toContainEqual({ name: '--card-tilt-x', select: '.card' })
  })

  it('are asked about anew when another page comes into the frame', async () => {
    const { link, asked, ready } = makeLink()
    scripts.makeScriptPlay(link, () => undefined).play([sourceOf('tilt')])
    await settle()
    ready()
    await settle()
    expect(asked).toHaveLength(2)
    // One that only says once more that it stands is the same page.
    ready(true)
    await settle()
    expect(asked).toHaveLength(2)
    expect(worker().asked).toHaveLength(1)
  })

  it('that somebody waits for come before those that may be played next', async () => {
    const { link, said } = makeLink()
    const play = scripts.makeScriptPlay(link, () => undefined)
    for (const kind of ['glow', 'fold', 'drift']) void play.prepare([sourceOf(kind)])
    await settle()
    play.play([sourceOf('tilt')])
    await settle()
    for (let i = 0; i < 2; i++) {
      worker().answer()
      await settle()
    }
    expect(texts(said)).toHaveLength(1)
    expect(texts(said)[0]).toContain('--card-tilt-x')
    expect(worker().asked).toHaveLength(3)
    // What was written to be ready is at hand.
    for (let i = 0; i < 2; i++) {
      worker().answer()
      await settle()
    }
    play.play([sourceOf('drift')])
    expect(texts(said)).toHaveLength(2)
    expect(worker().asked).toHaveLength(4)
  })

  it('that are out of date when they come are not played', async () => {
    const { link, said } = makeLink()
    const play = scripts.makeScriptPlay(link, () => undefined)
    play.play([sourceOf('glow')])
    await settle()
    play.play([sourceOf('tilt')])
    await settle()
    worker().answer()
    await settle()
    expect(texts(said)).toHaveLength(0)
    worker().answer()
    await settle()
    expect(texts(said)[0]).toContain('--card-tilt-x')
    play.end()
  })

  it('that cannot be written are told of in a sentence, and tried again with the next change', async () => {
    const failed: string[] = []
    const { link, said } = makeLink()
    const play = scripts.makeScriptPlay(link, (error) => failed.push((error as Error).message))
    play.play([sourceOf('tilt')])
    await settle()
    worker().answer('The studio’s server cannot be reached.')
    await settle()
    play.play([sourceOf('tilt')])
    await settle()
    // Whoever has it is told: it is no fault that nobody heard of.
    let isHeard = false
    worker().listeners.get('error')?.({ preventDefault: () => (isHeard = true) })
    expect(isHeard).toBe(true)
    await settle()
    expect(failed).toEqual(['The studio’s server cannot be reached.', expect.stringContaining('could not be loaded')])
    play.play([sourceOf('tilt')])
    await settle()
    expect(FakeWorker.made).toHaveLength(2)
    worker().answer()
    await settle()
    expect(texts(said)).toHaveLength(1)
  })

  it('are played as soon as a page that was too busy to answer does', async () => {
    const { NoAnswer } = await import('./stage-link')
    const failed: string[] = []
    const { link, said } = makeLink()
    let answers = 0
    const ask: StageLink['ask'] = (question) => (++answers > 2 ? link.ask(question) : Promise.reject(new NoAnswer()))
    scripts.makeScriptPlay({ ...link, ask }, (error) => failed.push((error as Error).message)).play([sourceOf('tilt')])
    await expect.poll(() => worker().asked.length, { timeout: 4000 }).toBe(1)
    worker().answer()
    await settle()
    expect(texts(said)[0]).toContain('--card-tilt-x')
    expect(failed).toEqual(Array(2).fill('The page does not answer; it may still be loading.'))
  })

  it('of nothing that asks for one are none, and no compiler is begun for them', async () => {
    const { link, said } = makeLink()
    const play = scripts.makeScriptPlay(link, () => undefined)
    play.play([])
    await settle()
    const tilt = sourceOf('tilt')
    play.play([{ ...tilt, rig: { ...tilt.rig, channels: [], outputs: [], parts: [] } }])
    await settle()
    expect(texts(said)).toEqual(['', ''])
    expect(FakeWorker.made).toHaveLength(0)
  })

  it('come from the server when a page opens, where its facts are the same', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(Response.json(shapeFor(facts))))
    const { link, said } = makeLink()
    scripts.foresee('site', 'page')
    const play = scripts.makeScriptPlay(link, () => undefined)
    play.play([sourceOf('tilt')])
    await settle()
    expect(texts(said)).toEqual(['from the server'])
    expect(FakeWorker.made).toHaveLength(0)
    play.play([sourceOf('tilt')], [], ['hasOwnCode'])
    await settle()
    expect(FakeWorker.made).toHaveLength(1)
  })

  it('play by what the server foresees until the page tells its facts, and anew where these are others', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(Response.json(shapeFor({ ...facts, hasBorders: true }))))
    const { link, said } = makeLink()
    let tell: () => void = () => undefined
    const silent = new Promise<void>((resolve) => (tell = resolve))
    scripts.foresee('site', 'page')
    const ask: StageLink['ask'] = (question) => silent.then(() => link.ask(question))
    const play = scripts.makeScriptPlay({ ...link, ask }, () => undefined)
    play.play([sourceOf('tilt')])
    await settle()
    expect(texts(said)).toEqual(['from the server'])
    tell()
    await settle()
    worker().answer()
    await settle()
    expect(texts(said)).toHaveLength(2)
    expect(texts(said)[1]).toContain('--card-tilt-x')
  })
})
