// Compiled scripts on a bare page, with a clock, frames and samples of their own: what Chromium computes, moment by moment.
import type { Page } from '@playwright/test'
import { buildSync } from 'esbuild'
import { writePage } from '../../src/bundle/page'
import { readFragments } from '../../src/bundle/fragments'
import { compile } from '../../src/core/compile/compile'
import { factsOf } from '../../src/core/compile/tree-facts'
import { writesOf } from '../../src/core/compile/writes'
import { withShared } from '../../src/core/export/share'
import { registrationsOf, targetsOf, writeStylesheet } from '../../src/core/export/stylesheet'
import { overlapsOf } from '../../src/core/rig/resolve'
import { findIn, readTree } from '../../src/core/page/tree'
import { comingsOf } from '../../src/core/rig/comings'
import type { Names } from '../../src/core/rig/plan'
import type { Rig } from '../../src/core/rig/rig'
import { readRig } from '../../src/core/rig/check'
import type { Sample } from '../../src/core/signal/sample'

const fragments = readFragments('.')

/** What runs scripts in the studio, as one script that defines `stage`. */
const stageScript =
  buildSync({
    stdin: {
      contents: "export { runScript } from './src/play/run-script'\nexport { takeOff } from './src/play/take-off'",
      resolveDir: '.',
      loader: 'ts',
    },
    bundle: true,
    write: false,
    format: 'iife',
    globalName: 'stage',
    target: 'es2022',
  }).outputFiles[0]?.text ?? ''

export const namesOf = (name: string): Names => ({ title: `Effect ${name}`, name })

/** A rig of channels in one area, with the usual things filled in; checked at the border. */
export function rigFrom(area: object, channels: readonly object[], outputs: readonly object[], more: Partial<Rig> = {}): Rig {
  return readRig({
    areas: [{ id: 'area', of: 'each', select: '.card', box: 'still', among: 'one', pointer: 'any', touch: 'none', ...area }],
    channels: channels.map((channel) => ({
      area: 'area',
      frame: 'area',
      away: { kind: 'settle', pose: 0 },
      feel: { kind: 'direct' },
      group: 'light',
      ...channel,
    })),
    knobs: [],
    outputs: outputs.map((output) => ({ to: 'self', base: 0, factor: 1, strength: 1, ...output })),
    parts: [],
    rules: [],
    ...more,
  })
}

/** The stylesheet of rigs by name, as an export writes it for a page. */
export function stylesheetOf(rigs: Readonly<Record<string, Rig>>, html = '', hasScripts = false): string {
  const planned = sourcesOf(rigs)
  const tree = readTree(html)
  return writeStylesheet(
    planned,
    overlapsOf(targetsOf(planned), (select) => findIn(tree, select)),
    factsOf({ tree, lacksSheets: false, hasScripts }, planned),
  )
}

const sourcesOf = (rigs: Readonly<Record<string, Rig>>) =>
  withShared(Object.entries(rigs).map(([name, rig], index) => ({ number: index + 1, names: namesOf(name), rig, sentence: `${name}.` })))

/** The script of rigs by name for a page, one whose own scripts may change it if so asked. */
export const scriptOf = (rigs: Readonly<Record<string, Rig>>, html: string, hasScripts = false): string =>
  compile(sourcesOf(rigs), factsOf({ tree: readTree(html), lacksSheets: false, hasScripts }, sourcesOf(rigs)), fragments)

export const withStyles = (html: string, rigs: Readonly<Record<string, Rig>>, hasScripts = false) =>
  writePage(html, stylesheetOf(rigs, html, hasScripts), '', { hasLayers: html.includes('@layer') })

/** A page whose body is a shadow root with the styles of page and effects in it; properties are registered for all of the page. */
const inShadow = (html: string, rigs: Readonly<Record<string, Rig>>, flat: string) =>
  html
    .replace('</head>', () => `<style>${registrationsOf(sourcesOf(rigs), factsIn(flat, rigs))}</style></head>`)
    .replace('</template>', () => `<style>${stylesheetOf(rigs, flat)}</style></template>`)

const factsIn = (html: string, rigs: Readonly<Record<string, Rig>>, hasScripts = false) =>
  factsOf({ tree: readTree(html), lacksSheets: false, hasScripts }, sourcesOf(rigs))

interface Driven {
  frames: ((now: number) => void)[]
  begun: Map<Animation, number>
  hear: (sample: Sample, hit: Element | null) => void
  end: () => void
}
interface Staged {
  readonly stage: {
    readonly runScript: (text: string, around: object) => Pick<Driven, 'hear' | 'end'>
    readonly takeOff: (page: Document, before: readonly unknown[], after: readonly unknown[]) => void
  }
}

/** Opens a page that plays these rigs by a clock that stands until it is moved; in the shadow root of `host` if so asked: `flat` is then the same page without one, from which facts are read. */
export async function drive(
  page: Page,
  html: string,
  rigs: Readonly<Record<string, Rig>>,
  {
    hasScripts = false,
    host,
    flat = html,
  }: { readonly hasScripts?: boolean; readonly host?: string | undefined; readonly flat?: string | undefined } = {},
) {
  await page.setContent(host === undefined ? withStyles(html, rigs, hasScripts) : inShadow(html, rigs, flat))
  await page.addScriptTag({ content: stageScript })
  await page.evaluate(
    ({ text, writes, within }) => {
      const root = (within === undefined ? document : document.querySelector(within)?.shadowRoot) as Document | ShadowRoot
      const driven: Driven = { frames: [], begun: new Map(), hear: () => undefined, end: () => undefined }
      const { stage } = window as unknown as Staged
      const running = stage.runScript(text, {
        root,
        nonce: '',
        requestFrame: (callback: (now: number) => void) => driven.frames.push(callback),
        elementFromPoint: (x: number, y: number) => root.elementFromPoint(x, y),
      })
      driven.hear = running.hear
      driven.end = () => {
        running.end()
        stage.takeOff(document, writes, [])
      }
      Object.assign(window, { driven, drivenRoot: root })
    },
    { text: scriptOf(rigs, flat, hasScripts), writes: writesOf(sourcesOf(rigs)), within: host },
  )
  const facts = factsIn(flat, rigs, hasScripts)
  return {
    /** The channels that the stylesheet follows. */
    byCss: comingsOf(sourcesOf(rigs), facts).flatMap((each) => each.map(({ id }) => id)),
    /** The same by rig. */
    byCssOf: comingsOf(sourcesOf(rigs), facts).map((each) => each.map(({ id }) => id)),
    /** Shows a frame at `t`; transitions go by that clock too. */
    frame: (t: number) =>
      page.evaluate((now) => {
        const { driven, drivenRoot } = window as unknown as { driven: Driven; drivenRoot: Document }
        const keepTime = () => {
          for (const each of drivenRoot.getAnimations()) {
            each.pause()
            const begun = driven.begun.get(each) ?? now
            driven.begun.set(each, begun)
            each.currentTime = now - begun
          }
        }
        keepTime()
        for (const callback of driven.frames.splice(0)) callback(now)
        keepTime()
      }, t),
    hear: (sample: Partial<Sample> & { readonly t: number }) =>
      page.evaluate(
        (each) =>
          (window as unknown as { driven: Driven }).driven.hear(
            each as Sample,
            each.phase === 'leave' ? null : (window as unknown as { drivenRoot: Document }).drivenRoot.elementFromPoint(each.x, each.y),
          ),
        { x: 0, y: 0, buttons: 0, pointerType: 'mouse', phase: 'move', ...sample },
      ),
    detach: () => page.evaluate(() => (window as unknown as { driven: Driven }).driven.end()),
    isAsleep: () => page.evaluate(() => (window as unknown as { driven: Driven }).driven.frames.length === 0),
  }
}

/** Reads computed values of an element. */
export const computed = (page: Page, select: string, name: string) =>
  page.evaluate(
    ([selector = '', property = '']) => getComputedStyle(document.querySelector(selector) as Element).getPropertyValue(property),
    [select, name],
  )

/** The greatest difference between two transforms, member by member of their matrices. */
export const transformApart = (page: Page, one: string, other: string) =>
  page.evaluate(
    ([a = '', b = '']) => {
      const [first, second] = [new DOMMatrix(a).toFloat64Array(), new DOMMatrix(b).toFloat64Array()]
      return Math.max(...[...first].map((value, i) => Math.abs(value - (second[i] ?? NaN))))
    },
    [one, other],
  )

/**
 * Plays a trace to rigs by a clock that jumps from frame to frame, and gives what was written by then of some properties: for each frame
 * and property, on each match of a selector or in it, as text.
 */
export async function playThrough(
  page: Page,
  html: string,
  rigs: Readonly<Record<string, Rig>>,
  trace: readonly Sample[],
  frames: readonly number[],
  asked: readonly { readonly select: string; readonly property: string }[],
): Promise<readonly (readonly (readonly string[])[])[]> {
  await page.setContent(withStyles(html, rigs))
  await page.addScriptTag({ content: stageScript })
  return page.evaluate(
    ([text, samples, times, properties]) => {
      const due: ((now: number) => void)[] = []
      const running = (window as unknown as Staged).stage.runScript(text, {
        root: document,
        nonce: '',
        requestFrame: (callback: (now: number) => void) => due.push(callback),
        elementFromPoint: (x: number, y: number) => document.elementFromPoint(x, y),
      })
      let next = 0
      return times.map((t) => {
        for (let sample = samples[next]; sample && sample.t <= t; sample = samples[++next])
          running.hear(sample, sample.phase === 'leave' || sample.phase === 'cancel' ? null : document.elementFromPoint(sample.x, sample.y))
        for (const callback of due.splice(0)) callback(t)
        return properties.map(({ select, property }) => {
          const readIn = (element: HTMLElement) =>
            element.style.getPropertyValue(property) ||
            (element.querySelector<HTMLElement>(`[style*="${property}:"]`)?.style.getPropertyValue(property) ?? '')
          const texts = [...document.querySelectorAll<HTMLElement>(select)].map(readIn)
          // What is read in one place may be written in another.
          return texts.some((each) => each !== '') ? texts : [readIn(document.documentElement)]
        })
      })
    },
    [scriptOf(rigs, html), trace, frames, asked] as const,
  )
}

/** What happens to a page beside the pointer: where its elements are put from a moment on; those without a box are removed. */
export interface Moved {
  readonly t: number
  readonly elements: Readonly<Record<string, readonly { readonly x: number; readonly y: number; readonly width: number }[]>>
}

/**
 * Plays samples and moves to a page of absolutely positioned elements by a clock that jumps, and gives what is computed at these times for each
 * element of a selector (nothing for those that are removed); and whether the script is asleep at the end.
 */
export async function playMoved(
  page: Page,
  html: string,
  rigs: Readonly<Record<string, Rig>>,
  samples: readonly Sample[],
  moves: readonly Moved[],
  times: readonly number[],
  asked: { readonly select: string; readonly property: string },
): Promise<{ readonly seen: readonly (readonly (string | null)[])[]; readonly isAsleep: boolean }> {
  await page.setContent(withStyles(html, rigs))
  await page.addScriptTag({ content: stageScript })
  return page.evaluate(
    ([text, given, boxes, until, { select, property }]) => {
      const elements = new Map(
        Object.keys(boxes[0]?.elements ?? {}).map((each) => [each, [...document.querySelectorAll<HTMLElement>(each)]]),
      )
      const put = ({ elements: at }: (typeof boxes)[number]) => {
        for (const [each, places] of Object.entries(at))
          places.forEach(({ x, y, width }, i) => {
            const element = elements.get(each)?.[i]
            if (width === 0) element?.remove()
            else if (element) Object.assign(element.style, { left: `${x}px`, top: `${y}px` })
          })
      }
      const due: ((now: number) => void)[] = []
      const hit = (x: number, y: number) => document.elementFromPoint(x, y)
      let [nextSample, nextMove] = [0, 0]
      const first = boxes[nextMove++]
      if (first) put(first)
      const running = (window as unknown as Staged).stage.runScript(text, {
        root: document,
        nonce: '',
        requestFrame: (callback: (now: number) => void) => due.push(callback),
        elementFromPoint: hit,
      })
      const draw = (t: number) => {
        for (const callback of due.splice(0)) callback(t)
      }
      const hear = (sample: Sample) => {
        // What is out of sight can have the focus too.
        const isAt = (element: Element) => {
          const { left, top, right, bottom } = element.getBoundingClientRect()
          return sample.x >= left && sample.x <= right && sample.y >= top && sample.y <= bottom
        }
        const target =
          sample.phase === 'focus' ? ([...elements.values()].flat().find(isAt) ?? null) : (hit(sample.x, sample.y) as HTMLElement | null)
        if (sample.phase === 'focus') target?.focus({ preventScroll: true })
        if (sample.phase === 'blur') (document.activeElement as HTMLElement | null)?.blur()
        running.hear(sample, sample.phase === 'leave' ? null : target)
        draw(sample.t)
      }
      const seen = until.map((t) => {
        for (;;) {
          const [sample, move] = [given[nextSample], boxes[nextMove]]
          if (Math.min(sample?.t ?? Infinity, move?.t ?? Infinity) > t) break
          if (move && move.t <= (sample?.t ?? Infinity)) {
            nextMove++
            put(move)
            running.hear({ t: move.t, x: 0, y: 0, buttons: 0, pointerType: 'mouse', phase: 'scroll' }, null)
            draw(move.t)
          } else if (sample) {
            nextSample++
            hear(sample)
          }
        }
        draw(t)
        return (elements.get(select) ?? []).map((each) => (each.isConnected ? getComputedStyle(each).getPropertyValue(property) : null))
      })
      return { seen, isAsleep: due.length === 0 }
    },
    [scriptOf(rigs, html), samples, moves, times, asked] as const,
  )
}

/** Opens a page with the script of these rigs in it, as an export has it. */
export async function playReal(page: Page, html: string, rigs: Readonly<Record<string, Rig>>, hasScripts = false): Promise<void> {
  await page.setContent(withStyles(html, rigs, hasScripts))
  await page.addScriptTag({ content: scriptOf(rigs, html, hasScripts) })
}

/** Runs a script in the shadow root of an element, by the real pointer. */
export async function playInShadow(page: Page, host: string, text: string): Promise<void> {
  await page.addScriptTag({ content: stageScript })
  await page.evaluate(
    ([select = '', script = '']) => {
      const root = document.querySelector(select)?.shadowRoot as ShadowRoot
      const { runScript } = (window as unknown as Staged).stage
      const running = runScript(script, {
        root,
        nonce: '',
        requestFrame: (callback: (now: number) => void) => requestAnimationFrame(callback),
        elementFromPoint: (x: number, y: number) => root.elementFromPoint(x, y),
      })
      addEventListener('pointermove', ({ timeStamp, clientX, clientY }) =>
        running.hear(
          { t: timeStamp, x: clientX, y: clientY, buttons: 0, pointerType: 'mouse', phase: 'move' },
          root.elementFromPoint(clientX, clientY),
        ),
      )
      Object.assign(window, { driven: running })
    },
    [host, text],
  )
}

/** A number that was written on an element. */
export const written = (page: Page, select: string, property: string) =>
  page.evaluate(
    ([selector = '', name = '']) => parseFloat((document.querySelector(selector) as HTMLElement).style.getPropertyValue(name)),
    [select, property],
  )
