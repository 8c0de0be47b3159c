// Looks at the effects of a page that was opened for this alone, as the command line does, and leaves in its place what was seen.
import type { Seen, SeenAsked } from '../../core/check/seen'
import type { Written } from '../../core/compile/writes'
import { runScript } from '../../play/run-script'
import { takeOff } from '../../play/take-off'
import type { Host } from '../host'
import { makeHover } from '../hover'
import { readNumbers } from '../numbers'
import { lookAtEffect } from './look'

interface Given {
  readonly asked: readonly SeenAsked[]
  readonly script: string
  readonly writes: readonly Written[]
}

addEventListener('load', () => {
  const { asked, script, writes } = JSON.parse(
    document.querySelector('script[type="application/json"][data-look]')?.textContent ?? '',
  ) as Given
  const numbers = readNumbers(document)
  const hover = makeHover(document)
  const elementFromPoint = (x: number, y: number) => document.elementFromPoint(x, y)
  const measure: Host['measure'] = (work) => {
    const answer = work((requestFrame) => runScript(script, { root: document, nonce: '', requestFrame, elementFromPoint }))
    takeOff(document, writes, [])
    return answer
  }
  const seen = asked.map((each): Seen | null => {
    // What brings the page itself in has an end, and is over when anybody points at it.
    for (const animation of document.getAnimations())
      if (Number(animation.effect?.getComputedTiming().endTime) < Infinity) animation.finish()
    const answer = lookAtEffect(document, numbers, measure, hover, each)
    return answer === 'busy' ? null : answer
  })
  document.body.textContent = `seen:${encodeURIComponent(JSON.stringify(seen))}:seen`
})
