// The studio's end of the line to the page's frame.
import {
  fromStage,
  toStageTable,
  type AnswerTo,
  type FromStage,
  type Question,
  type QuestionType,
  type ToStage,
} from '../../stage/protocol'

/** How long an answer of the page is waited for, ms. */
const answerMs = 4000

/** A page that gave no answer in time; it may still be loading. */
export class NoAnswer extends Error {
  constructor() {
    super('The page does not answer; it may still be loading.')
  }
}

/** Whatever is no question. */
export type Statement = Exclude<ToStage, { readonly ask: number }>

export interface StageLink {
  /** Says something to the page; before the page is ready the last word of each type that lasts waits. */
  readonly say: (message: Statement) => void
  /** Takes the frame's window, and gives back how to let go of it. */
  readonly connect: (frame: HTMLIFrameElement) => () => void
  /** For a page that may be there already: says what waits, and asks to be told again what the page said at the beginning. */
  readonly greet: () => void
  /** Asks the page something; one that is not ready is asked again once it is. Throws NoAnswer when none comes. */
  readonly ask: <Type extends QuestionType>(question: { readonly type: Type } & Question<Type>) => Promise<AnswerTo<Type>>
  /** Resolves once a page has answered, or after so many ms. */
  readonly whenReady: (mostMs: number) => Promise<void>
  readonly listen: (listener: (message: FromStage) => void) => () => void
}

export function makeStageLink(): StageLink {
  let frame: HTMLIFrameElement | null = null
  let ready = false
  /** Whether a page may be there that has not answered yet: it is told everything, and what it missed once more when it says that it stands. */
  let greeted = false
  const waiting = new Map<ToStage['type'], Statement>()
  /** Questions without an answer yet, by their number. */
  const open = new Map<number, ToStage>()
  let asked = 0
  const catchUp = () => {
    for (const each of [...waiting.values(), ...open.values()]) post(each)
  }
  const listeners = new Set<(message: FromStage) => void>()
  // The frame's origin is opaque, so no target origin can be named; the frame is ours and holds no secret.
  const post = (message: ToStage) => frame?.contentWindow?.postMessage(message, '*')
  const receive = (event: MessageEvent) => {
    if (!frame || event.source !== frame.contentWindow || event.origin !== 'null') return
    const message = fromStage.safeParse(event.data)
    if (!message.success) return console.warn('The page sent a message that the studio does not know.', message.error.issues)
    if (message.data.type === 'ready') {
      // One that answers a greeting has heard what was said since.
      if (!(greeted && message.data.isAgain)) catchUp()
      ready = true
    }
    for (const listener of listeners) listener(message.data)
  }
  const say: StageLink['say'] = (message) => {
    // What is said for the moment is not said again to whoever comes next.
    if (toStageTable[message.type].lasts) waiting.set(message.type, message)
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
    ask: async (question) => {
      const ask = ++asked
      const message = { ...question, ask } as unknown as ToStage
      const { answer: answers } = toStageTable[question.type]
      const heard = hearFirst((each) => (each.type === 'answer' && each.to === ask ? answers.parse(each.answer) : undefined), answerMs)
      open.set(ask, message)
      if (ready || greeted) post(message)
      const answer = await heard
      open.delete(ask)
      if (answer === undefined) throw new NoAnswer()
      return answer as AnswerTo<typeof question.type>
    },
    whenReady: async (mostMs) => {
      if (!ready) await hearFirst(({ type }) => type === 'ready' || undefined, mostMs)
    },
    greet: () => {
      greeted = true
      post({ type: 'again' })
      catchUp()
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
