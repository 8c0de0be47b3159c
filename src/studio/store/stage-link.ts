// The studio's end of the line to the page's frame.
import { fromStage, type FromStage, type ToStage } from '../../stage/protocol'

const momentary = new Set<ToStage['type']>(['asset', 'colours', 'stand', 'run', 'test-run', 'boxes', 'flat', 'gap', 'edges', 'lift'])

/** How long an answer of the page is waited for, ms. */
const answerMs = 4000

export interface StageLink {
  /** Says something to the page; before the page is ready the last word of each type waits. */
  readonly say: (message: ToStage) => void
  /** Takes the frame's window, and gives back how to let go of it. */
  readonly connect: (frame: HTMLIFrameElement) => () => void
  /** For a page that may be there already: says what waits, and asks to be told again what the page said at the beginning. */
  readonly greet: () => void
  /** Says something and resolves with what `take` makes of the page's answer. Throws an Error with a sentence when none comes. */
  readonly ask: <Answer>(message: ToStage, take: (answer: FromStage) => Answer | undefined) => Promise<Answer>
  /** Resolves once a page has answered, or after so many ms. */
  readonly whenReady: (mostMs: number) => Promise<void>
  readonly listen: (listener: (message: FromStage) => void) => () => void
}

export function makeStageLink(): StageLink {
  let frame: HTMLIFrameElement | null = null
  let ready = false
  /** Whether a page may be there that has not answered yet: it is told everything, and what it missed once more when it says that it stands. */
  let greeted = false
  const waiting = new Map<ToStage['type'], ToStage>()
  const listeners = new Set<(message: FromStage) => void>()
  // The frame's origin is opaque, so no target origin can be named; the frame is ours and holds no secret.
  const post = (message: ToStage) => frame?.contentWindow?.postMessage(message, '*')
  const receive = (event: MessageEvent) => {
    if (!frame || event.source !== frame.contentWindow || event.origin !== 'null') return
    const message = fromStage.safeParse(event.data)
    if (!message.success) return console.warn('The page sent a message that the studio does not know.', message.error.issues)
    if (message.data.type === 'ready') {
      // One that answers a greeting has heard what was said since.
      if (!(greeted && message.data.isAgain)) for (const each of waiting.values()) post(each)
      ready = true
    }
    for (const listener of listeners) listener(message.data)
  }
  const say: StageLink['say'] = (message) => {
    // What is said for the moment is not said again to whoever comes next.
    if (!momentary.has(message.type)) waiting.set(message.type, message)
    if (ready || greeted) post(message)
  }
  /** The first message of which `take` makes something; undefined after so many ms. */
  const hearFirst = <Answer>(take: (message: FromStage) => Answer | undefined, mostMs: number) =>
    new Promise<Answer | undefined>((resolve) => {
      const done = (answer?: Answer) => {
        clearTimeout(timer)
        listeners.delete(look)
        resolve(answer)
      }
      const look = (message: FromStage) => {
        const answer = take(message)
        if (answer !== undefined) done(answer)
      }
      const timer = setTimeout(done, mostMs)
      listeners.add(look)
    })
  return {
    say,
    ask: async (message, take) => {
      const heard = hearFirst(take, answerMs)
      say(message)
      const answer = await heard
      if (answer === undefined) throw new Error('The page does not answer; it may still be loading.')
      return answer
    },
    whenReady: async (mostMs) => {
      if (!ready) await hearFirst(({ type }) => type === 'ready' || undefined, mostMs)
    },
    greet: () => {
      greeted = true
      post({ type: 'again' })
      for (const each of waiting.values()) post(each)
    },
    connect: (element) => {
      frame = element
      ready = greeted = false
      addEventListener('message', receive)
      return () => {
        removeEventListener('message', receive)
        frame = null
        ready = greeted = false
      }
    },
    listen: (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
  }
}
