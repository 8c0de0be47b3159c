// A recipe's living sample: a small card that answers the built-in path, played by the script that would be exported, in a shadow root.
import { Box } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import type { Recipe } from '../../core/effect/kind'
import type { AnyKind } from '../../core/effect/kinds'
import { plainFacts } from '../../core/compile/facts'
import { registrationsOf, writeStylesheet } from '../../core/export/stylesheet'
import { hoverMark, withHoverMarks } from '../../core/page/hover-marks'
import { pointAt } from '../../core/geometry/place'
import { placeOnPath } from '../../core/trace/path'
import { runScript, type RunningScript } from '../../play/run-script'
import { scriptFor } from '../store/scripts'

const restingMs = 900
const turnMs = 1100

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
  const play = useRef<((ms: number) => void) | null>(null)
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
    const card = root.querySelector('.sample')
    let running: RunningScript | undefined
    let isShown = true
    const playTo = (ms: number) => {
      if (!card || !running) return
      // What comes by CSS alone comes and goes by turns.
      card.toggleAttribute(hoverMark, ms <= restingMs || Math.floor((ms - restingMs) / turnMs) % 2 === 1)
      const { left, top, width, height } = element.getBoundingClientRect()
      const { x, y } = pointAt({ x: left, y: top, width, height }, placeOnPath(ms))
      running.hear({ t: performance.now(), x, y, buttons: 0, pointerType: 'mouse', phase: 'move' }, card)
    }
    void Promise.resolve(scriptFor(planned, sampleFacts)).then((text) => {
      if (!isShown) return
      running = runScript(text, {
        root,
        nonce: scriptNonce(),
        requestFrame: (callback) => requestAnimationFrame(callback),
        elementFromPoint: () => card,
      })
      play.current = playTo
      playTo(restingMs)
    }, console.error)
    return () => {
      isShown = false
      play.current = null
      running?.end()
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((sheet) => sheet !== registered)
    }
  }, [kind, recipe, isSeen])
  // At rest it is shown as it lies a moment after the pointer came; what is touched goes on from there.
  useEffect(() => {
    if (!moving || matchMedia('(prefers-reduced-motion: reduce)').matches) return
    const begun = performance.now()
    let handle = requestAnimationFrame(function step(now) {
      play.current?.(restingMs + now - begun)
      handle = requestAnimationFrame(step)
    })
    return () => {
      cancelAnimationFrame(handle)
      play.current?.(restingMs)
    }
  }, [moving])
  return <Box ref={host} aria-hidden="true" width="58px" height="76px" justifySelf="center" pointerEvents="none" />
}
