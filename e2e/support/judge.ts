// What effects come to on a page, as the core has it: transforms and opacities of all that they write on, for a pointer at places of their areas.
import { expect, type Frame, type Page } from '@playwright/test'
import { expandEffect } from '../../src/core/effect/kinds'
import type { Box } from '../../src/core/geometry/box'
import { evaluate, type Boxes } from '../../src/core/rig/evaluate'
import { partOf, type Output, type Rig } from '../../src/core/rig/rig'
import { selectOf } from '../../src/core/rig/resolve'
import { transformFunctions } from '../../src/core/rig/names'
import { outputValue } from '../../src/core/rig/values'
import { composeValues, propertyOf, slotName, unitOf } from '../../src/core/rig/slot'
import type { Sample } from '../../src/core/signal/sample'

/** An effect that is judged: on the first match of its selector, whose padding box or border box it reads the pointer in. */
export interface Judged {
  readonly kind: string
  readonly select: string
  readonly settings: object
  readonly roles?: Readonly<Record<string, { readonly select: string; readonly noun: string }>>
  readonly reads: 'padding' | 'border'
  /** The transform that what it writes on itself has of its own while the pointer is there. */
  readonly ownOn?: string | undefined
}

/** The area of an effect on the page as it is without it: its size, and the nine places as points of the window, with whether the pointer hits it there. */
export interface Ground {
  readonly width: number
  readonly height: number
  readonly borderLeft: number
  readonly borderTop: number
  readonly places: readonly { readonly u: number; readonly v: number; readonly x: number; readonly y: number; readonly isHit: boolean }[]
  /** What each of its targets has of its own, by the target's key. */
  readonly own: Readonly<Record<string, { readonly transform: string; readonly opacity: string }>>
  /** Where what is read in besides the area lies in it. */
  readonly inner: Readonly<Record<string, { readonly x: number; readonly y: number; readonly width: number; readonly height: number }>>
}

const shares = [0.08, 0.5, 0.92]
export const places = shares.flatMap((v) => shares.map((u) => ({ u, v })))

export const rigOf = ({ kind, select, settings, roles }: Judged): Rig => expandEffect({ kind, settings, select, roles })

/** The targets of a rig that the core can tell of: elements of the page by their selector, or parts. */
export function targetsOf(
  rig: Rig,
): readonly { readonly key: string; readonly part?: string | undefined; readonly select?: string | undefined }[] {
  const told = rig.outputs.filter(({ slot }) => slot.on === 'transform' || propertyOf(slot) === 'opacity')
  return [
    ...new Map(
      told.map((output) => {
        const part = partOf(output.to)
        return [keyOf(rig, output), { key: keyOf(rig, output), ...(part === undefined ? { select: selectOf(rig, output) } : { part }) }]
      }),
    ).values(),
  ]
}

const keyOf = (rig: Rig, output: Output) => partOf(output.to) ?? `on ${selectOf(rig, output)}`

/** The elements that channels are read in besides the area. */
const framesOf = (rig: Rig) => [
  ...new Set(rig.channels.flatMap(({ frame }) => (typeof frame === 'object' && 'each' in frame ? [frame.each] : []))),
]

/** Measures the areas of effects on a page that has none of them, and what their targets have of their own there. */
export async function groundsOn(
  surface: Page | Frame,
  judged: readonly Judged[],
  at: readonly { readonly u: number; readonly v: number }[] = places,
  host?: string,
): Promise<readonly Ground[]> {
  const asked = judged.map((each) => {
    const rig = rigOf(each)
    const area = rig.areas[0]?.select ?? ''
    return {
      area,
      targets: targetsOf(rig).flatMap(({ key, select }) => (select === undefined ? [] : [{ key, select }])),
      frames: framesOf(rig),
      ownOn: each.ownOn,
    }
  })
  return surface.evaluate(
    ([all, asked, within]) =>
      all.map(({ area, targets, frames, ownOn }) => {
        const root = (within === undefined ? document : document.querySelector(within)?.shadowRoot) as Document | ShadowRoot
        const element = root.querySelector(area) as HTMLElement
        const style = getComputedStyle(element)
        const before: string | null = element.getAttribute('style')
        const own = Object.fromEntries(
          targets.map(({ key, select }) => {
            const { transform, opacity } = getComputedStyle(root.querySelector(select) as Element)
            return [key, { transform, opacity }]
          }),
        )
        /** Where an element lies by itself, from the outermost that it is laid out in. */
        const layoutOf = (given: HTMLElement) => {
          let [x, y] = [0, 0]
          for (let each: Element | null = given; each instanceof HTMLElement; each = each.offsetParent) {
            x += each.offsetLeft + (each === given ? 0 : each.clientLeft)
            y += each.offsetTop + (each === given ? 0 : each.clientTop)
          }
          return { x, y }
        }
        const inner = Object.fromEntries(
          frames.map((select) => {
            const target = root.querySelector(select) as HTMLElement
            const [from, to] = [layoutOf(element), layoutOf(target)]
            const [x, y] = [to.x - from.x - element.clientLeft, to.y - from.y - element.clientTop]
            return [select, { x, y, width: target.offsetWidth, height: target.offsetHeight }]
          }),
        )
        const [borderLeft, borderTop] = [parseFloat(style.borderLeftWidth), parseFloat(style.borderTopWidth)]
        if (style.position === 'static') element.style.setProperty('position', 'relative', 'important')
        // Where it lies while the pointer is on it.
        if (ownOn !== undefined) element.style.setProperty('transform', ownOn, 'important')
        // A point of its own space as the window has it: by a probe that lies there.
        const probe = document.createElement('u')
        element.append(probe)
        const points = asked.map(({ u, v }) => {
          probe.style.cssText = `all: initial !important; position: absolute !important; left: ${u * 100}% !important; top: ${v * 100}% !important; width: 0 !important; height: 0 !important; transition: none !important`
          const { x, y } = probe.getBoundingClientRect()
          probe.style.setProperty('display', 'none', 'important')
          const hit = root.elementFromPoint(x, y)
          return { u, v, x, y, isHit: hit !== null && element.contains(hit) && Math.min(x, y) > 3 }
        })
        probe.remove()
        if (before === null) element.removeAttribute('style')
        else element.setAttribute('style', before)
        return { width: element.clientWidth, height: element.clientHeight, borderLeft, borderTop, places: points, own, inner }
      }),
    [asked, at, host] as const,
  )
}

/** What is expected of a target: its transform without what the page gives it, as functions with numbers; shares of its own size apart. */
export interface Expected {
  readonly key: string
  readonly part: string | undefined
  readonly select: string | undefined
  readonly functions: readonly { readonly fn: string; readonly value: number; readonly unit: string }[]
  readonly opacity: number | undefined
}

/** What the core says of an effect for samples in its own space, at times. */
export function expectedOf(
  judged: Judged,
  { width, height, borderLeft, borderTop, inner }: Ground,
  samples: readonly { readonly t: number; readonly u: number; readonly v: number; readonly phase?: Sample['phase'] }[],
  times: readonly number[],
  byCss: readonly string[] = [],
): readonly (readonly Expected[])[] {
  const rig = rigOf(judged)
  const isBorder = judged.reads === 'border'
  const box = isBorder ? { x: 0, y: 0, width: width + 2 * borderLeft, height: height + 2 * borderTop } : { x: 0, y: 0, width, height }
  const elements: Boxes['elements'] = Object.fromEntries<readonly Box[]>([
    ...rig.areas
      .flatMap(({ select, beyond }) => [select, ...(beyond === undefined ? [] : [beyond])])
      .map((select) => [select, [box]] as const),
    ...Object.entries(inner).map(([select, each]) => [select, [each]] as const),
  ])
  const trace = samples.map(({ t, u, v, phase = 'move' }): Sample => ({
    t,
    x: u * width + (isBorder ? borderLeft : 0),
    y: v * height + (isBorder ? borderTop : 0),
    buttons: 0,
    pointerType: 'mouse',
    phase,
  }))
  const { columns, moments } = evaluate(rig, trace, { window: { width: 1280, height: 720 }, elements }, times, byCss)
  return moments.map(({ values }) => {
    const valueOf = (channel: string) => Number(values[columns.indexOf(`${channel}[0]`)])
    return targetsOf(rig).map(({ key, part, select }) => {
      const own = rig.outputs.filter((output) => keyOf(rig, output) === key)
      const composed = (outputs: readonly Output[]) => {
        const [first] = outputs
        return (
          first &&
          composeValues(
            first.slot,
            outputs.map((output) => Number(outputValue(rig, output, valueOf))),
          )
        )
      }
      return {
        key,
        part,
        select,
        functions: transformFunctions.flatMap((fn) => {
          const same = own.filter(({ slot }) => slot.on === 'transform' && slotName(slot) === fn)
          const value = composed(same)
          return value === undefined || !same[0] ? [] : [{ fn, value, unit: unitOf(same[0].slot) }]
        }),
        opacity: composed(own.filter(({ slot }) => propertyOf(slot) === 'opacity')),
      }
    })
  })
}

/** By how much what a page shows differs from what is expected of an effect: px for where things are, else by members of matrices in thousandths, and by opacity. */
export async function apartOn(
  surface: Page | Frame,
  name: string,
  area: string,
  expected: readonly Expected[],
  own: Ground['own'],
  ownOn: string | undefined,
  within?: string,
): Promise<{ readonly worst: number; readonly told: string }> {
  return surface.evaluate(
    ([prefix, ground, all, given, on, host]) => {
      const root = (host === undefined ? document : document.querySelector(host)?.shadowRoot) as Document | ShadowRoot
      let [worst, told] = [0, '']
      const note = (apart: number, words: string) => {
        if (!(apart <= worst)) [worst, told] = [Number.isNaN(apart) ? Infinity : apart, words]
      }
      const area = root.querySelector(ground)
      for (const { key, part, select, functions, opacity } of all) {
        const target = part === undefined ? root.querySelector(select ?? '') : area?.querySelector(`.${prefix}-${part}`)
        if (!(target instanceof HTMLElement)) {
          // A part that is seen with the pointer alone is not there before it came.
          note(opacity === 0 ? 0 : Infinity, `${key} is not there`)
          continue
        }
        const style = getComputedStyle(target)
        const page = part === undefined ? (given[key] ?? { transform: 'none', opacity: '1' }) : { transform: 'none', opacity: '1' }
        if (functions.length > 0) {
          const size = (fn: string) => (fn.endsWith('Y') ? target.offsetHeight : target.offsetWidth)
          const text = functions.map(
            ({ fn, value, unit }) => `${fn}(${unit === '%' ? `${(value / 100) * size(fn)}px` : `${value}${unit}`})`,
          )
          const base = part === undefined && on !== undefined ? on : page.transform
          const wanted = new DOMMatrix(`${base === 'none' ? '' : base} ${text.join(' ')}`).toFloat64Array()
          const shown = new DOMMatrix(style.transform).toFloat64Array()
          shown.forEach((member, i) => {
            const apart = Math.abs(member - (wanted[i] ?? NaN))
            note(i >= 12 ? apart : apart * 1000, `${key} transform ${style.transform} for ${base} ${text.join(' ')}`)
          })
        }
        if (opacity !== undefined) {
          const apart = Math.abs(Number(style.opacity) - opacity * Number(page.opacity))
          note(apart * 100, `${key} opacity ${style.opacity} for ${opacity}`)
        }
      }
      return { worst, told }
    },
    [name, area, expected, own, ownOn, within] as const,
  )
}

/** Nothing of a page may differ by more, in px, thousandths of a matrix, or hundredths of an opacity. */
export const mostApart = 1.5

/** Moves the pointer to nine places of an effect's area, and compares all that is computed there, once it rests, with what the core says. */
export async function judgeAtRest(
  { surface, move }: { readonly surface: Page | Frame; readonly move: (x: number, y: number) => Promise<void> },
  judged: Judged,
  name: string,
  ground: Ground | undefined,
): Promise<void> {
  if (!ground) throw new Error('It was not measured.')
  const samples = places.map((each, i) => ({ t: 1000 * (i + 1), ...each }))
  const times = samples.map(({ t }) => t + 990)
  const expected = expectedOf(judged, ground, samples, times)
  // What is scrolled away or covered cannot be pointed at.
  expect(ground.places.filter(({ isHit }) => isHit).length, judged.kind).toBeGreaterThan(4)
  for (const [i, { x, y, isHit }] of ground.places.entries()) {
    if (!isHit) continue
    await move(x, y)
    const told = () => apartOn(surface, name, rigOf(judged).areas[0]?.select ?? '', expected[i] ?? [], ground.own, judged.ownOn)
    let last = await told()
    // The script of a page with every kind on it takes its time, and a page that has just come may not hear the hand yet: a person moves on until it does.
    const isFirst = i === ground.places.findIndex((each) => each.isHit)
    for (let wait = 16; last.worst >= mostApart && wait < (isFirst ? 8000 : 3000); wait *= 1.4) {
      await surface.waitForTimeout(wait)
      if (isFirst) {
        await move(x + 2, y)
        await move(x, y)
      }
      last = await told()
    }
    expect(last.worst, `${judged.kind} at ${i}: ${last.told}`).toBeLessThan(mostApart)
  }
}
