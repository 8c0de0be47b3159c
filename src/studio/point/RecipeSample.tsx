// A recipe's living sample: a small card that answers the built-in path, played by the script that would be exported, in a shadow root.
import { Box } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import type { Recipe } from '../../core/effect/kind'
import type { AnyKind } from '../../core/effect/kinds'
import { plainFacts } from '../../core/compile/facts'
import { registrationsOf, writeStylesheet } from '../../core/export/stylesheet'
import { hoverMark, withHoverMarks } from '../../core/page/hover-marks'
import { holdsPoint } from '../../core/geometry/box'
import { pointAt, type Place } from '../../core/geometry/place'
import { placeOnPath } from '../../core/trace/path'
import { runScript, type RunningScript } from '../../play/run-script'
import { scriptFor } from '../store/scripts'

/** How long the pointer takes from where it comes in to where it rests, ms. */
const comingMs = 650
/** The pointer comes in at the lower left. */
const from: Place = { x: -0.8, y: 0.75 }
/** Where it rests unless the sample says otherwise: near the upper right corner, where what leans leans most. */
const usualRest: Place = { x: 0.88, y: -0.62 }

/** Where the pointer is in a sample so long after it came, in a bow to where it rests. */
function placeComing(ms: number, rest: Place): Place {
  const share = Math.min(1, ms / comingMs)
  return { x: from.x + (rest.x - from.x) * share, y: from.y + (rest.y - from.y) * share - 0.45 * Math.sin(Math.PI * share) }
}

interface RecipeSampleProps {
  readonly kind: AnyKind
  readonly recipe: Recipe<unknown>
  readonly moving: boolean
}

/** The sample card has a border, and nothing else that would matter. */
const sampleFacts = { ...plainFacts, hasBorders: true }

/** By which the studio's own page lets scripts run. */
const scriptNonce = () => document.querySelector<HTMLScriptElement>('script[nonce]')?.nonce ?? ''

/** Each has a name of its own, since what is registered on a page is for all of it. */
let samples = 100

export function RecipeSample({ kind, recipe, moving }: RecipeSampleProps) {
  const host = useRef<HTMLDivElement>(null)
  const [isSeen, setSeen] = useState(false)
  useEffect(() => {
    // Most recipes are further down the list, and cost nothing until they are scrolled to.
    const sight = new IntersectionObserver((entries) => setSeen(entries.some(({ isIntersecting }) => isIntersecting)))
    if (host.current) sight.observe(host.current)
    return () => sight.disconnect()
  }, [])
  const play = useRef<{ readonly come: () => void; readonly goRound: () => void } | null>(null)
  useEffect(() => {
    const element = host.current
    if (!element || !isSeen) return
    const root = element.shadowRoot ?? element.attachShadow({ mode: 'open' })
    const names = { title: 'A sample', name: `sample-${++samples}` }
    const { html, css, select } = kind.sample
    const roles = Object.fromEntries(Object.entries(recipe.roles ?? {}).map(([id, { within }]) => [id, `${select} ${within}`]))
    const settings: unknown = kind.forSample ? kind.forSample(recipe.settings) : recipe.settings
    const rig = kind.expand(settings, select, roles)
    const planned = [{ number: 1, names, rig, sentence: '' }]
    root.innerHTML = `<style>${css}${withHoverMarks(writeStylesheet(planned, [], sampleFacts))}</style>${html}`
    const registered = new CSSStyleSheet()
    registered.replaceSync(registrationsOf(planned))
    document.adoptedStyleSheets.push(registered)
    const card = root.querySelector<HTMLElement>('.sample')
    const matches = [...root.querySelectorAll<HTMLElement>(select)]
    const middle = matches[Math.floor((matches.length - 1) / 2)]
    let running: RunningScript | undefined
    let isShown = true
    let held: FrameRequestCallback[] | undefined
    /** Of what the effect is on the one under the pointer, or the sample itself. */
    const hitAt = (x: number, y: number) =>
      matches.find((each) => holdsPoint(each.getBoundingClientRect(), x, y)) ?? (select === '.sample' ? card : (card ?? null))
    const markHovered = (hit: Element | null) => {
      for (const each of root.querySelectorAll(`.sample, .sample *`)) each.toggleAttribute(hoverMark, hit !== null && each.contains(hit))
    }
    const playAt = (place: Place, ground: Element) => {
      const { x, y } = pointAt(ground.getBoundingClientRect(), place)
      const hit = hitAt(x, y)
      markHovered(hit)
      running?.hear({ t: performance.now(), x, y, buttons: 0, pointerType: 'mouse', phase: 'move' }, hit)
    }
    /** Holds everything as it is now, or lets it go on. */
    const hold = (isHeld: boolean) => {
      for (const each of root.getAnimations()) {
        if (isHeld) each.pause()
        else each.play()
      }
      const waiting = held ?? []
      held = isHeld ? waiting : undefined
      if (!isHeld) for (const each of waiting) requestAnimationFrame(each)
    }
    const rest = kind.sample.rest ?? usualRest
    const restsOn = select === '.sample' || kind.sample.rest === undefined ? card : (middle ?? card)
    let handle = 0
    const animate = (step: (ms: number) => boolean) => {
      const begun = performance.now()
      cancelAnimationFrame(handle)
      handle = requestAnimationFrame(function next(now) {
        if (isShown && step(now - begun)) handle = requestAnimationFrame(next)
      })
    }
    /** The pointer comes and rests where the effect is seen best. */
    const come = () => {
      hold(false)
      animate((ms) => {
        if (restsOn) playAt(placeComing(ms, rest), restsOn)
        const { heldAtMs } = kind.sample
        if (heldAtMs !== undefined && ms >= heldAtMs) {
          hold(true)
          return false
        }
        return ms < Math.max(comingMs, heldAtMs ?? 0)
      })
    }
    const goRound = () => {
      hold(false)
      animate((ms) => {
        if (card) playAt(placeOnPath(900 + ms), card)
        return true
      })
    }
    void Promise.resolve(scriptFor(planned, sampleFacts)).then((text) => {
      if (!isShown) return
      running = runScript(text, {
        root,
        nonce: scriptNonce(),
        requestFrame: (callback) => {
          if (!held) return requestAnimationFrame(callback)
          held.push(callback)
          return 0
        },
        elementFromPoint: (x, y) => hitAt(x, y),
      })
      play.current = { come, goRound }
      come()
    }, console.error)
    return () => {
      isShown = false
      cancelAnimationFrame(handle)
      play.current = null
      running?.end()
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((sheet) => sheet !== registered)
    }
  }, [kind, recipe, isSeen])
  // What is touched goes on from where it rests, and comes to rest again afterwards.
  useEffect(() => {
    if (!moving || matchMedia('(prefers-reduced-motion: reduce)').matches) return
    play.current?.goRound()
    return () => play.current?.come()
  }, [moving])
  return (
    <Box
      ref={host}
      aria-hidden="true"
      overflow="clip"
      css={{ overflowClipMargin: '5px' }}
      width="58px"
      height="76px"
      justifySelf="center"
      pointerEvents="none"
    />
  )
}
