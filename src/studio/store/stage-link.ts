// The studio's end of the line to the page's frame.
import { fromStage, type FromStage, type ToStage } from '../../stage/protocol'

const momentary = new Set<ToStage['type']>(['asset', 'colours', 'stand', 'run', 'test-run', 'boxes', 'gap', 'edges', 'lift'])

export interface StageLink {
  /** Says something to the page; before the page is ready the last word of each type waits. */
  readonly say: (message: ToStage) => void
  /** Takes the frame's window, and gives back how to let go of it. */
  readonly connect: (frame: HTMLIFrameElement) => () => void
  /** Resolves once a page has answered, or after so many ms. */
  readonly whenReady: (mostMs: number) => Promise<void>
  readonly listen: (listener: (message: FromStage) => void) => () => void
}

export function makeStageLink(): StageLink {
  let frame: HTMLIFrameElement | null = null
  let ready = false
  const waiting = new Map<ToStage['type'], ToStage>()
  const listeners = new Set<(message: FromStage) => void>()
  // The frame's origin is opaque, so no target origin can be named; the frame is ours and holds no secret.
  const post = (message: ToStage) => frame?.contentWindow?.postMessage(message, '*')
  const receive = (event: MessageEvent) => {
    if (!frame || event.source !== frame.contentWindow || event.origin !== 'null') return
    const message = fromStage.safeParse(event.data)
    if (!message.success) return console.warn('The page sent a message that the studio does not know.', message.error.issues)
    if (message.data.type === 'ready') {
      ready = true
      for (const each of waiting.values()) post(each)
    }
    for (const listener of listeners) listener(message.data)
  }
  return {
    say: (message) => {
      // What is said for the moment is not said again to whoever comes next.
      if (!momentary.has(message.type)) waiting.set(message.type, message)
      if (ready) post(message)
    },
    connect: (element) => {
      frame = element
      ready = false
      addEventListener('message', receive)
      return () => {
        removeEventListener('message', receive)
        frame = null
        ready = false
      }
    },
    whenReady: (mostMs) =>
      new Promise((resolve) => {
        if (ready) return resolve()
        const done = () => {
          clearTimeout(timer)
          listeners.delete(look)
          resolve()
        }
        const look = (message: FromStage) => message.type === 'ready' && done()
        const timer = setTimeout(done, mostMs)
        listeners.add(look)
      }),
    listen: (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
  }
}
