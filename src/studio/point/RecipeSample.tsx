// A recipe's living sample: a small card that answers the built-in path, played by the script that would be exported, in a shadow root.
import { Box } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import type { Recipe } from '../../core/effect/kind'
import type { AnyKind } from '../../core/effect/kinds'
import { plainFacts } from '../../core/compile/facts'
import { registrationsOf, writeStylesheet } from '../../core/export/stylesheet'
import { withHoverMarks } from '../../core/page/hover-marks'
import { scriptFor } from '../store/scripts'
import { playSample, type SamplePlay } from './sample-play'

interface RecipeSampleProps {
  readonly kind: AnyKind
  readonly recipe: Recipe<unknown>
  readonly moving: boolean
}

/** The sample card has a border, and nothing else that would matter. */
const sampleFacts = { ...plainFacts, hasBorders: true }

/** Whether the designer asks for less motion. */
const isCalm = () => matchMedia('(prefers-reduced-motion: reduce)').matches

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
  const play = useRef<SamplePlay | null>(null)
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
    let isShown = true
    void Promise.resolve(scriptFor(planned, sampleFacts)).then((text) => {
      if (!isShown) return
      play.current = playSample({ root, sample: kind.sample, text, nonce: scriptNonce(), isCalm: isCalm() })
      play.current.come()
    }, console.error)
    return () => {
      isShown = false
      play.current?.end()
      play.current = null
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((sheet) => sheet !== registered)
    }
  }, [kind, recipe, isSeen])
  // What is touched goes on from where it rests, and comes to rest again afterwards.
  useEffect(() => {
    if (!moving || isCalm()) return
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
