// Hosts the effects on the page: puts in the stylesheet of the export, and runs its script.
import { layerOrder } from '../core/export/own-styles'
import type { Counted } from './cost'
import type { PointerSource } from './pointer-source'
import type { Played } from './protocol'
import { runScript, type RunningScript, type Surroundings } from '../play/run-script'
import { takeOff } from '../play/take-off'

export interface Host {
  /** Dresses the page by this stylesheet from now on. */
  readonly dress: (stylesheet: string) => void
  /** Plays this script from now on: from where it would be had it heard what the pointer did lately. */
  readonly play: (played: Played) => void
  /** Whether it has been told what to play. */
  readonly plays: () => boolean
  /** Lends the page to somebody who plays the script by a clock of their own, and then plays on. */
  readonly measure: <Answer>(work: (run: (requestFrame: Surroundings['requestFrame']) => RunningScript) => Answer) => Answer
  /** The sheets that are ours and not the page's. */
  readonly sheets: () => readonly CSSStyleSheet[]
}

export function makeHost(page: Document, nonce: string, source: PointerSource, counted: Counted, onSheet: () => void): Host {
  const style = page.createElement('style')
  const first = Object.assign(page.createElement('style'), { textContent: layerOrder })
  let playing: Played | undefined
  let running: RunningScript | undefined
  const run = (requestFrame: Surroundings['requestFrame']) =>
    runScript(playing?.text ?? '', { root: page, nonce, elementFromPoint: source.hitAt, requestFrame })
  const begin = () => {
    if (!playing?.text) return
    const begun = run((callback) => requestAnimationFrame(counted(callback)))
    for (const { sample, hit } of source.past()) begun.hear(sample, hit)
    running = begun
  }
  const end = () => {
    running?.end()
    running = undefined
  }
  source.feedTo((sample, hit, prevent) => running?.hear(sample, hit, prevent))
  return {
    dress: (stylesheet) => {
      if (style.textContent !== stylesheet) style.textContent = stylesheet
      if (!style.isConnected) page.head.append(style)
      // Of what is important the first layer counts most.
      if (!first.isConnected && stylesheet.includes('@layer ')) page.head.prepend(first)
      if (/:(hover|active)/.test(stylesheet)) onSheet()
    },
    play: (played) => {
      if (played.text === playing?.text) return
      end()
      takeOff(page, playing?.writes ?? [], played.writes)
      playing = played
      begin()
    },
    sheets: () => [first, style].flatMap(({ sheet }) => sheet ?? []),
    plays: () => playing !== undefined,
    measure: (work) => {
      // Whoever measures begins from rest: what the pointer is on leans no longer.
      const atRest = () => takeOff(page, playing?.writes ?? [], [])
      end()
      atRest()
      const answer = work(run)
      atRest()
      begin()
      return answer
    },
  }
}
