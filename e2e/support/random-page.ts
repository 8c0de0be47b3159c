// Pages at random: an element of each kind's sort in boxes within boxes, dressed by a grammar of what pages do.
import fc from 'fast-check'
import { kinds } from '../../src/core/effect/kinds'
import type { Judged } from './judge'

/** One case: a page, the effect on it, and the pointer's way over it in shares of its area, with the frames that are looked at. */
export interface RandomCase {
  readonly html: string
  /** The element whose shadow root it stands in; and the same page without one. */
  readonly host: string | undefined
  readonly flat: string
  readonly judged: Judged
  readonly way: readonly { readonly t: number; readonly u: number; readonly v: number }[]
  readonly frames: readonly number[]
}

const some = (...values: readonly string[]) => fc.constantFrom('', ...values)

/** Declarations that boxes around the element may have. */
const around = fc
  .tuple(
    some(
      'transform: rotate(4deg)',
      'transform: scale(.85)',
      'transform: translate(9px, 5px) skewY(3deg)',
      'rotate: -3deg',
      'scale: 1.1',
      'zoom: 1.2',
    ),
    some('overflow: hidden', 'overflow: clip', 'overflow: auto; scrollbar-width: none'),
    some('position: relative', 'position: relative; z-index: 3', 'isolation: isolate'),
    some('filter: saturate(.7)', 'opacity: .9', 'mix-blend-mode: multiply', 'will-change: transform', 'contain: layout style'),
    some('border: 3px solid #777', 'border-left: 7px solid #333', 'padding: 6px', 'margin-left: 11px'),
    some('transition: all .4s', 'display: flow-root', 'direction: rtl', 'container-type: inline-size'),
  )
  .map((all) => all.filter((each) => each !== '').join('; '))

/** Declarations of the element itself. */
const own = fc
  .tuple(
    some('transform: rotate(5deg)', 'transform: translateY(7px) scale(.95)', 'translate: 4px 2px; rotate: 2deg', 'transform: skewX(4deg)'),
    some('border: 2px solid #444', 'border: 5px double #955; border-radius: 18px', 'border-width: 1px 4px 7px 2px; border-style: solid'),
    some('overflow: hidden', 'overflow: clip'),
    some('box-sizing: border-box', 'padding: 9px 3px', 'box-sizing: border-box; padding: 1em'),
    some('transition: all .3s', 'transition: transform 1s ease-in !important', 'transition: none'),
    some('filter: contrast(.9)', 'opacity: 85%', 'box-shadow: 0 3px 9px #0006', 'background-image: linear-gradient(#fff, #ddd)'),
    some('position: relative', 'position: relative; left: 6px', 'position: sticky; top: 0', 'float: left'),
  )
  .map((all) => all.filter((each) => each !== '').join('; '))

/** Rules of the page's sheet that reach further than was meant. */
const loose = fc.subarray(
  ['* { transition: opacity .2s }', 'span { display: inline-block; padding: 2px; filter: blur(1px) }', '*, ::before { box-sizing: border-box }', '.it { will-change: opacity }', '@layer a { .it { transform: none; opacity: 1 } }', 'div > div { min-height: 10px }', '.it > * { position: relative; background: #fed }'],
  { maxLength: 3 },
) // prettier-ignore

const judgedKinds = ['tilt', 'drift', 'fold', 'follow', 'spotlight', 'glow', 'grain-light']

/** An effect at random: a recipe of some kind, as it is from the start. */
const effect = fc.constantFrom(
  ...kinds
    .filter(({ id }) => judgedKinds.includes(id))
    .flatMap(({ id, recipes }) =>
      recipes.map((recipe): Judged => {
        const isFollow = id === 'follow'
        const ids = ((recipe.settings as { layers?: readonly { id: string }[] }).layers ?? []).map((layer) => layer.id)
        const layers = Object.fromEntries(ids.slice(0, 2).map((layer, i) => [layer, { select: `.it .in-${i + 1}`, noun: 'layer' }]))
        return {
          kind: id,
          select: isFollow ? '.it .in-1' : '.it',
          settings: recipe.settings as object,
          roles: isFollow ? { ground: { select: '.it', noun: 'ground' } } : layers,
          reads: id === 'glow' ? 'border' : 'padding',
        }
      }),
    ),
)

const share = fc.double({ min: 0.03, max: 0.97, noNaN: true })
const time = fc.integer({ min: 20, max: 700 })
const inOrder = <T>(list: readonly T[], timeOf: (each: T) => number) => [...list].sort((one, other) => timeOf(one) - timeOf(other))

export const randomCase: fc.Arbitrary<RandomCase> = fc
  .record({
    boxes: fc.array(around, { maxLength: 3 }),
    own,
    loose,
    effect,
    isShadow: fc.integer({ min: 0, max: 7 }).map((n) => n === 0),
    way: fc.array(fc.record({ t: time, u: share, v: share }), { minLength: 2, maxLength: 5 }),
    frames: fc.array(fc.integer({ min: 16, max: 1200 }), { minLength: 3, maxLength: 5 }),
  })
  .map((given): RandomCase => {
    const css = `body { margin: 20px; background: #f2efe8 } .it { width: 260px; height: 150px; background-color: #c9b68f; color: #222; font: 20px/1.3 serif } .in-1, .in-2 { display: block; position: absolute; left: 40px; top: 30px; width: 50px; height: 30px; background-color: #667 } .in-2 { left: 130px }
.it { ${given.own} } ${given.boxes.map((each, i) => `.box-${i} { ${each} }`).join(' ')} ${given.loose.join(' ')}`
    const it =
      given.effect.kind === 'fold'
        ? '<h2 class="it">Moths come late</h2>'
        : '<div class="it"><i class="in-1"></i><i class="in-2"></i>Some words</div>'
    const body = given.boxes.reduceRight((inner, _, i) => `<div class="box-${i}">${inner}</div>`, it)
    const isShadow = given.isShadow
    const flat = `<!doctype html><html><head><style>${css}</style></head><body>${body}</body></html>`
    const html = isShadow
      ? `<!doctype html><html><head></head><body><section id="host"><template shadowrootmode="open"><style>${css}</style>${body}</template></section></body></html>`
      : flat
    return {
      html,
      flat,
      host: isShadow ? '#host' : undefined,
      judged: given.effect,
      way: inOrder(given.way, ({ t }) => t).filter(({ t }, i, all) => t !== all[i - 1]?.t),
      frames: inOrder([...new Set(given.frames)], (t) => t),
    }
  })
