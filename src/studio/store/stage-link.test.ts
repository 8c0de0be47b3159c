// The line to the page's frame: what is said before the page stands, to one that stands already, and to the next one.
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { ToStage } from '../../stage/protocol'
import { makeStageLink } from './stage-link'

/** A frame with a page that hears and says things. */
function makeFrame() {
  const heard: ToStage['type'][] = []
  const listeners = new Set<(event: object) => void>()
  const contentWindow = { postMessage: ({ type }: ToStage) => void heard.push(type) }
  vi.stubGlobal('addEventListener', (_: string, listener: (event: object) => void) => listeners.add(listener))
  vi.stubGlobal('removeEventListener', (_: string, listener: (event: object) => void) => listeners.delete(listener))
  const tell = (data: object, from: { readonly source?: object; readonly origin?: string } = {}) =>
    listeners.forEach((listener) => listener({ source: contentWindow, origin: 'null', data, ...from }))
  const ready = (isAgain = false) => tell({ type: 'ready', now: 0, isAgain })
  const link = makeStageLink()
  const disconnect = link.connect({ contentWindow } as unknown as HTMLIFrameElement)
  return { link, heard, ready, tell, disconnect, takeHeard: () => heard.splice(0) }
}

afterEach(() => vi.unstubAllGlobals())

describe('the line to the page', () => {
  it('keeps the last word of each sort until the page stands, and says it again to the next one', () => {
    const { link, ready, takeHeard } = makeFrame()
    link.say({ type: 'point', on: true })
    link.say({ type: 'point', on: false })
    expect(takeHeard()).toEqual([])
    ready()
    expect(takeHeard()).toEqual(['point'])
    ready()
    expect(takeHeard()).toEqual(['point'])
  })

  it('tells a page that may stand already everything at once, and nothing twice when it answers', () => {
    const { link, ready, takeHeard } = makeFrame()
    link.say({ type: 'point', on: false })
    link.greet()
    link.say({ type: 'outline', select: null })
    expect(takeHeard()).toEqual(['again', 'point', 'outline'])
    ready(true)
    link.say({ type: 'outline', select: '.card' })
    expect(takeHeard()).toEqual(['outline'])
  })

  it('tells a page that was greeted before it stood what it missed', () => {
    const { link, ready, takeHeard } = makeFrame()
    link.say({ type: 'point', on: false })
    link.greet()
    takeHeard()
    ready()
    expect(takeHeard()).toEqual(['point'])
  })

  it('hears nobody but the page in its own frame, and nothing that no page says', () => {
    const warn = vi.spyOn(console, 'warn').mockReturnValue()
    const { link, tell, disconnect } = makeFrame()
    const heard: string[] = []
    link.listen(({ type }) => void heard.push(type))
    tell({ type: 'ready', now: 0, isAgain: false }, { source: {} })
    tell({ type: 'ready', now: 0, isAgain: false }, { origin: 'https://elsewhere.example' })
    tell({ type: 'nonsense' })
    expect(heard).toEqual([])
    expect(warn).toHaveBeenCalledOnce()
    tell({ type: 'ready', now: 0, isAgain: false })
    disconnect()
    tell({ type: 'ready', now: 0, isAgain: false })
    expect(heard).toEqual(['ready'])
  })

  it('says to nobody who comes later what was for the moment', () => {
    const { link, ready, takeHeard } = makeFrame()
    ready()
    link.say({ type: 'stand', x: 1, y: 2 })
    link.say({ type: 'bare', on: true })
    expect(takeHeard()).toEqual(['stand', 'bare'])
    ready()
    expect(takeHeard()).toEqual(['bare'])
  })

  it('asks a page that is not ready once it is, and knows an answer by its number', async () => {
    const { link, ready, tell, takeHeard } = makeFrame()
    const [colours, flat] = [link.ask({ type: 'colours' }), link.ask({ type: 'flat', select: '.card' })]
    expect(takeHeard()).toEqual([])
    ready()
    expect(takeHeard()).toEqual(['colours', 'flat'])
    tell({ type: 'answer', to: 2, answer: 'overflow' })
    tell({ type: 'answer', to: 1, answer: ['red'] })
    expect(await colours).toEqual(['red'])
    expect(await flat).toBe('overflow')
    ready()
    expect(takeHeard()).toEqual([])
  })

  it('says in a sentence that the page does not answer', async () => {
    vi.useFakeTimers()
    const { link, ready } = makeFrame()
    ready()
    const asked = expect(link.ask({ type: 'facts', asked: { read: [], written: [], driven: [], turned: [], looked: [] } })).rejects.toThrow(
      'The page does not answer',
    )
    await vi.runAllTimersAsync()
    await asked
    vi.useRealTimers()
  })
})
