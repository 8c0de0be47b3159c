// The scripts that play on pages in the studio: those that are exported, written by a worker for what the page in its frame is.
import * as z from 'zod'
import { needsScript } from '../../core/compile/needs-script'
import { keyOf, planScript, withNumbers, withoutWords, type Shape } from '../../core/compile/plan'
import { askedBy, takeFacts, type Asked, type PageFacts } from '../../core/compile/page-facts'
import { allowing, plainFacts, type FactName, type Facts } from '../../core/compile/facts'
import { findKind } from '../../core/effect/kinds'
import type { PlannedEffect } from '../../core/export/plan'
import { writeStylesheet } from '../../core/export/stylesheet'
import { doesStand, type Source } from '../../core/compile/effects'
import { writesOf } from '../../core/compile/writes'
import type { FromCompiler, ToCompiler } from '../../worker/protocol'
import { whenIdle } from './idle'
import { askedSchema, pageFactsSchema } from '../../stage/protocol'
import { scriptAddress } from './script-address'
import { NoAnswer, type StageLink } from './stage-link'

/** Scripts by their shapes, with stand-ins for numbers: a number that is dragged asks nobody. */
const written = new Map<string, string>()
const mostWritten = 500

/** What waits for the compiler, which writes one after another: what plays on a page before what may be played next. */
interface Job {
  readonly key: string
  readonly shape: Shape
  isUrgent: boolean
  readonly promise: Promise<string>
  readonly take: (text: string) => void
  readonly fail: (error: Error) => void
}
const jobs: Job[] = []
let current: Job | undefined
let compiler: Worker | undefined

function compilerWorker(): Worker {
  if (compiler) return compiler
  compiler = new Worker(new URL('../../worker/compile.ts', import.meta.url), { type: 'module' })
  compiler.addEventListener('message', ({ data }: MessageEvent<FromCompiler>) => {
    const job = current
    current = undefined
    if (job && 'text' in data) {
      if (written.size >= mostWritten) written.clear()
      written.set(job.key, data.text)
      job.take(data.text)
    } else if (job && 'failure' in data) job.fail(new Error(data.failure))
    next()
  })
  // One that could not be loaded is made anew for whoever asks next.
  compiler.addEventListener('error', (event) => {
    event.preventDefault()
    const job = current
    compiler = current = undefined
    job?.fail(
      new Error(
        'The part of the studio that writes scripts could not be loaded. What played before goes on; change something to try again.',
      ),
    )
    next()
  })
  return compiler
}

function next(): void {
  if (current) return
  const urgent = jobs.findIndex(({ isUrgent }) => isUrgent)
  ;[current] = jobs.splice(Math.max(0, urgent), 1)
  if (current) compilerWorker().postMessage({ shape: current.shape } satisfies ToCompiler)
}

/** A shape, written out by the worker. */
function write(shape: Shape, key: string, isUrgent: boolean): Promise<string> {
  const known = current?.key === key ? current : jobs.find((job) => job.key === key)
  if (known) {
    known.isUrgent ||= isUrgent
    return known.promise
  }
  const { promise, resolve, reject } = withResolvers()
  jobs.push({ key, shape, isUrgent, promise, take: resolve, fail: reject })
  next()
  return promise
}

function withResolvers() {
  let [resolve, reject]: [(text: string) => void, (error: Error) => void] = [() => undefined, () => undefined]
  const promise = new Promise<string>((take, fail) => ([resolve, reject] = [take, fail]))
  return { promise, resolve, reject }
}

const shapeSchema = z.object({ key: z.string(), text: z.string(), asked: askedSchema, facts: pageFactsSchema }).nullable()

/** What the server says of the page that opens: what was asked of it, and the facts that it found. */
interface Foreseen {
  readonly asked: string
  readonly facts: PageFacts
}

/** What the server is writing meanwhile. It counts until a page has told its facts itself. */
let coming: Promise<Foreseen | undefined> = Promise.resolve(undefined)

/** The server writes the script of a page that opens, while the studio and its compiler are still being loaded. */
export function foresee(siteId: string, pageId: string): void {
  coming = fetch(scriptAddress(siteId, pageId))
    .then(async (response) => {
      const made = response.ok ? shapeSchema.parse(await response.json()) : null
      if (made) written.set(made.key, made.text)
      return made ? { asked: JSON.stringify(made.asked), facts: made.facts } : undefined
    })
    .catch(() => undefined)
}

/** Once there is a moment, the compiler writes a script that nobody needs: the first one that somebody waits for comes sooner. */
export function warmCompiler(): void {
  const tilt = findKind('tilt')
  if (!tilt) return
  const { shape } = planScript(
    [{ rig: tilt.expand(tilt.defaults, '.card', {}), names: { title: 'A card', name: 'card-tilt' } }],
    plainFacts,
  )
  void whenIdle(2000)
    .then(() => write(shape, keyOf(shape), false))
    .catch(() => undefined)
}

/** The script of these effects: at once where one of its shape was written before; urgent is what somebody waits for. */
export function scriptFor(
  sources: readonly Source[],
  facts: Facts,
  allows: readonly FactName[] = [],
  isUrgent = false,
): string | Promise<string> {
  if (!sources.some(({ rig }) => needsScript(rig))) return ''
  const { shape, numbers } = planScript(withoutWords(sources), facts, { allows })
  const key = keyOf(shape)
  const known = written.get(key)
  return known === undefined
    ? coming.then(() => written.get(key) ?? write(shape, key, isUrgent)).then((text) => withNumbers(text, numbers))
    : withNumbers(known, numbers)
}

/** What a script hangs on: all of its effects but the values of their knobs, which stand in the stylesheet, unless something is seen by them at all. */
const inputsOf = (sources: readonly Source[], allows: readonly FactName[]): string =>
  JSON.stringify([
    allows,
    sources.map(({ rig, names }) => [
      names,
      { ...rig, tokens: [], knobs: rig.knobs.map((knob) => ({ ...knob, value: 0 })) },
      rig.areas.map((area) => doesStand(rig, area)),
    ]),
  ])

/** After how long a page that gave no answer is asked again, ms. */
const askAgainMs = 500

/** What plays on a page: its effects, which of their selectors meet on some element, and what the designer allows for. */
interface Playing {
  readonly planned: readonly PlannedEffect[]
  readonly overlaps: readonly (readonly string[])[]
  readonly allows: readonly FactName[]
}

/** Plays effects on the page in one frame, whichever page comes into it. */
export interface ScriptPlay {
  readonly play: (planned: readonly PlannedEffect[], overlaps?: Playing['overlaps'], allows?: readonly FactName[]) => void
  /** Writes a script that may be played next. */
  readonly prepare: (sources: readonly Source[], allows?: readonly FactName[]) => Promise<unknown>
  readonly end: () => void
}

/** The links to pages whose script is still being written. */
const waiting = new WeakSet<StageLink>()

/** Whether a page plays what it was last told to. */
export const playsAll = (link: StageLink): boolean => !waiting.has(link)

export function makeScriptPlay(link: StageLink, onFail: (error: unknown) => void): ScriptPlay {
  const known = new Map<string, PageFacts | Promise<PageFacts>>()
  let playing: Playing | undefined
  let round = 0
  let dressed = 0
  /** What the script hangs on that plays, or is on its way. */
  let inputs = ''
  /** What of the page that hangs on, as it is asked. */
  let about = JSON.stringify(askedBy([]))
  /** What there is to know of the page; asked of it once. What the server foresees plays until the page tells otherwise. */
  const factsAbout = (key: string): PageFacts | Promise<PageFacts> => {
    const already = known.get(key)
    if (already) return already
    const told = link.ask({ type: 'facts', asked: JSON.parse(key) as Asked })
    const foreseen = coming.then((each) => (each?.asked === key ? each.facts : undefined))
    const first = Promise.race([told, foreseen.then((facts) => facts ?? told)])
    const isStill = () => known.get(key) === first
    known.set(key, first)
    const take = async (facts: PageFacts) => {
      const before = await foreseen
      coming = Promise.resolve(undefined)
      if (!isStill()) return
      known.set(key, facts)
      if (before && JSON.stringify(before) !== JSON.stringify(facts)) playAnew()
    }
    told.then(take, () => isStill() && known.delete(key))
    return first
  }
  const textFor = (sources: readonly Source[], allows: readonly FactName[], isUrgent: boolean): string | Promise<string> => {
    const facts = factsAbout(JSON.stringify(askedBy(sources)))
    return facts instanceof Promise
      ? facts.then((each) => scriptFor(sources, takeFacts(each), allows, isUrgent))
      : scriptFor(sources, takeFacts(facts), allows, isUrgent)
  }
  const dress = ({ planned, overlaps, allows }: Playing) => {
    const mine = ++dressed
    const say = (facts?: PageFacts) =>
      mine === dressed &&
      link.say({ type: 'dress', stylesheet: writeStylesheet(planned, overlaps, facts && allowing(takeFacts(facts), { allows })) })
    const facts = factsAbout(about)
    if (facts instanceof Promise) facts.then(say, () => say())
    else say(facts)
  }
  const show = () => {
    if (!playing) return
    const { planned: sources, allows } = playing
    const now = inputsOf(sources, allows)
    const isSame = now === inputs
    // While a knob is turned, the same is to be known of the page.
    if (!isSame) about = JSON.stringify(askedBy(sources))
    dress(playing)
    if (isSame) return
    inputs = now
    const mine = ++round
    const say = (text: string) => {
      if (mine !== round) return
      waiting.delete(link)
      link.say({ type: 'play', played: { text, writes: writesOf(sources) } })
    }
    const text = textFor(sources, allows, true)
    if (typeof text === 'string') return say(text)
    waiting.add(link)
    text.then(say, (error: unknown) => {
      inputs = ''
      if (mine !== round) return
      onFail(error)
      // A page that is busy for long is asked again, so that it plays once it can.
      if (error instanceof NoAnswer) setTimeout(() => mine === round && playAnew(), askAgainMs)
    })
  }
  const playAnew = () => {
    inputs = ''
    show()
  }
  const stop = link.listen((message) => {
    // One that stands since before anybody listened has been told everything.
    if (message.type !== 'ready' || message.isAgain) return
    known.clear()
    playAnew()
  })
  return {
    play: (planned, overlaps = [], allows = []) => {
      playing = { planned, overlaps, allows }
      show()
    },
    prepare: (sources, allows = []) => Promise.resolve(textFor(sources, allows, false)).catch(() => undefined),
    end: () => {
      round++
      dressed++
      stop()
    },
  }
}
