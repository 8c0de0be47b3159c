// A recipe's living sample: a small card that answers the built-in walk, played by the player itself in a shadow root.
import { Box } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import type { Kind, Recipe } from '../../core/effect/kind'
import type { AnyKind } from '../../core/effect/kinds'
import { writeStylesheet } from '../../core/export/stylesheet'
import { pointAt } from '../../core/geometry/place'
import { planRig } from '../../core/rig/plan'
import type { Rig } from '../../core/rig/rig'
import { placeOnWalk } from '../../core/trace/walk'
import { attach } from '../../player/attach'
import type { Feed } from '../../player/pointer'

const restingMs = 900

interface RecipeSampleProps {
  readonly kind: AnyKind
  readonly recipe: Recipe<unknown>
  readonly moving: boolean
}

/** What is shown: a card with a picture, a title and a line; a word as large as there is room; something small that can go about. */
const samplesHtml: Readonly<Record<Kind<unknown>['sample'], { readonly html: string; readonly select: string }>> = {
  card: { html: '<div class="sample"><div class="picture"></div><div class="title"></div><div class="line"></div></div>', select: '.sample' },
  heading: { html: '<div class="sample word">Moth</div>', select: '.sample' },
  mover: { html: '<div class="sample"><div class="mover"></div></div>', select: '.mover' },
}
const sampleCss = `
  .sample { box-sizing: border-box; width: 58px; height: 76px; padding: 7px; border: 1px solid var(--gm-edge); border-radius: 3px; background-color: var(--gm-sheet); color: var(--gm-ink); }
  .picture { height: 34px; border-radius: 2px; background: linear-gradient(135deg, #c98b5a, #6f8f7a); }
  .title { height: 3px; width: 72%; margin-top: 8px; background: var(--gm-ink); }
  .word { border: 0; background: none; padding: 22px 0; font: 600 23px/1.3 Georgia, serif; letter-spacing: -0.04em; }
  .mover { width: 14px; height: 14px; margin: 22px 14px; border-radius: 7px; background: linear-gradient(135deg, #c98b5a, #6f8f7a); }
  .line { height: 2px; width: 90%; margin-top: 5px; background: var(--gm-edge); }
`

let samples = 0

export function RecipeSample({ kind, recipe, moving }: RecipeSampleProps) {
  const host = useRef<HTMLDivElement>(null)
  const [isSeen, setSeen] = useState(false)
  useEffect(() => {
    // Most recipes are further down the list, and cost nothing until they are scrolled to.
    const sight = new IntersectionObserver((entries) => setSeen(entries.some(({ isIntersecting }) => isIntersecting)))
    if (host.current) sight.observe(host.current)
    return () => sight.disconnect()
  }, [])
  useEffect(() => {
    const element = host.current
    if (!element || !isSeen) return
    const root = element.shadowRoot ?? element.attachShadow({ mode: 'open' })
    const names = { title: 'A sample', name: `sample-${++samples}`, mark: 'smp' }
    const { html, select } = samplesHtml[kind.sample]
    const roles = Object.fromEntries(Object.entries(recipe.roles ?? {}).map(([id, { within }]) => [id, `${select} ${within}`]))
    const rig = shrinkLengths(kind.expand(recipe.settings, select, roles))
    root.innerHTML = `<style>${sampleCss}${writeStylesheet([{ number: 1, names, rig, sentence: '' }])}</style>${html}`
    let feed: Feed = () => undefined
    const detach = attach(root, planRig(rig, names), { samples: (given) => {
      feed = given
      return () => undefined
    } })
    const card = root.querySelector('.sample')
    const walk = (ms: number, now: number) => {
      if (!card) return
      const { left, top, width, height } = element.getBoundingClientRect()
      const { x, y } = pointAt({ x: left, y: top, width, height }, placeOnWalk(ms))
      feed({ t: now, x, y, buttons: 0, pointerType: 'mouse', phase: 'move' }, card)
    }
    // At rest it is shown as it lies a moment after the pointer came.
    const begun = performance.now()
    let handle = requestAnimationFrame(() => walk(restingMs, performance.now()))
    if (moving && !matchMedia('(prefers-reduced-motion: reduce)').matches) {
      handle = requestAnimationFrame(function step(now) {
        walk(restingMs + now - begun, performance.now())
        handle = requestAnimationFrame(step)
      })
    }
    return () => {
      cancelAnimationFrame(handle)
      detach()
    }
  }, [kind, recipe, moving, isSeen])
  return <Box ref={host} aria-hidden="true" width="58px" height="76px" justifySelf="center" pointerEvents="none" />
}

/** The same rig for a card a quarter as large, turning twice as far so that it can be seen. */
function shrinkLengths(rig: Rig): Rig {
  const scale = (unit: string) => (unit === 'px' ? 0.3 : unit === 'deg' ? 2 : 1)
  return { ...rig, knobs: rig.knobs.map((knob) => ({ ...knob, value: knob.value * scale(knob.unit) })) }
}
