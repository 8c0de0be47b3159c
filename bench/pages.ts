// The pages that are compared: the same markup with a baseline written by hand, or with a rig as it is exported.
import { readFileSync } from 'node:fs'
import { readFragments } from '../src/bundle/fragments'
import { minifyScript } from '../src/bundle/minify'
import { compile } from '../src/core/compile/compile'
import { plainFacts, worstFacts, type Facts, type Leaving } from '../src/core/compile/facts'
import type { PlannedEffect } from '../src/core/export/plan'
import { writeStylesheet } from '../src/core/export/stylesheet'
import { findKind } from '../src/core/effect/kinds'
import { readRig } from '../src/core/rig/check'

const here = new URL('.', import.meta.url).pathname
const fragments = readFragments(`${here}..`)

/** A rig of `bench/rigs` as an effect; `select` replaces `.card` in it. */
export function plannedOf(name: string, number = 1, select = '.card'): PlannedEffect {
  const text = readFileSync(`${here}rigs/${name}.json`, 'utf8').replaceAll('".card"', JSON.stringify(select))
  return {
    number,
    names: { title: `Effect ${number}, ${name}`, name: number === 1 ? name : `${name}-${number}` },
    rig: readRig(JSON.parse(text)),
    sentence: `The rig ${name}.`,
  }
}

/** An effect of a kind as it is from the start, with changes; its roles filled with headings in its elements unless others are given. */
export function kindPlanned(
  kind: string,
  changes: object = {},
  select = '.card',
  number = 1,
  roles?: Readonly<Record<string, string>>,
): PlannedEffect {
  const found = findKind(kind)
  if (!found) throw new Error(`There is no kind "${kind}".`)
  const rest = found.roles(found.defaults).slice(1)
  const filled = roles ?? Object.fromEntries(rest.map(({ id }) => [id, `${select} h2`]))
  const rig = found.expand({ ...(found.defaults as object), ...changes }, select, filled)
  return { number, names: { title: `Effect ${number}, ${kind}`, name: `${kind}-${number}` }, rig, sentence: `The kind ${kind}.` }
}

/** Stylesheet and script of effects as they leave for a plain page, or for one of which this is known. */
export const exported = (planned: readonly PlannedEffect[], facts: Facts = plainFacts): { readonly css: string; readonly js: string } => ({
  css: writeStylesheet(planned, [], facts),
  js: compile(planned, facts, fragments),
})

/** A page with scripts of its own, which may bring elements and listen. */
export const busyFacts: Facts = { ...plainFacts, hasLateElements: true, hasOwnCode: true }

/** A script that was written by hand. */
export const byHand = (name: string): { readonly css: string; readonly js: string } => ({
  css:
    name === 'glow-floor'
      ? '.light { visibility: hidden; position: absolute; inset: 0; overflow: clip; border-radius: inherit; pointer-events: none } .pool { position: absolute; left: -110px; top: -110px; width: 220px; height: 220px; transform: translate(-300px, -300px); background: radial-gradient(closest-side, rgb(255 214 140 / 0.4), transparent) }'
      : '',
  js: readFileSync(`${here}baselines/${name}.js`, 'utf8'),
})

/** The script of effects for a plain page, readable. */
export const readable = (planned: readonly PlannedEffect[]): string => compile(planned, plainFacts, fragments)

/** It, minified. */
export const scriptOf = (planned: readonly PlannedEffect[]): string => minifyScript(readable(planned))

/** A script with all that it may have to allow for, and that can be asked of it; minified. */
export const scriptAtMost = (planned: readonly PlannedEffect[], leaving: Leaving = { takesOff: true }): string =>
  minifyScript(compile(planned, worstFacts, fragments, leaving))

/** A script that a good hand wrote for the same, minified. */
export const handOf = (name: string): string => minifyScript(byHand(name).js)

interface Grid {
  readonly count: number
  /** Other elements on the page, so that it is a page of some size. */
  readonly others?: number
  readonly sizePx?: number
  readonly gapPx?: number
}

/** A page with a grid of cards in the window of 1280 x 720. */
export function gridPage(
  { count, others = 0, sizePx = 60, gapPx = 4 }: Grid,
  { css, js }: { readonly css: string; readonly js: string },
): string {
  const cards = Array.from({ length: count }, (_, i) => `<div class="card c${i}"><h2>${i}</h2><p>text</p></div>`).join('')
  return `<!doctype html><meta charset="utf-8"><title>bench</title><style>
    body { margin: 0; background: #23262b; color: #ccc; font: 11px sans-serif }
    .grid { display: grid; grid-template-columns: repeat(auto-fill, ${sizePx}px); gap: ${gapPx}px; padding: 8px }
    .card { position: relative; height: ${sizePx}px; border-radius: 6px; background-color: #33373e; overflow: hidden }
    h2, p { margin: 2px; font-size: 10px }
    .others { display: flex; flex-wrap: wrap }
  ${css}</style><div class="grid">${cards}</div><div class="others">${'<i>.</i>'.repeat(others)}</div><script>{\n${js}\n}</script>`
}
