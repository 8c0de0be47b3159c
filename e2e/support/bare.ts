// The player on a bare page, with a clock, frames and samples of its own: what Chromium computes, moment by moment.
import type { Page } from '@playwright/test'
import { buildSync } from 'esbuild'
import { targetsOf, writeStylesheet } from '../../src/core/export/stylesheet'
import { overlapsOf } from '../../src/core/page/overlaps'
import { findIn, readTree } from '../../src/core/page/tree'
import { planRig, type Names } from '../../src/core/rig/plan'
import type { Rig } from '../../src/core/rig/rig'
import { readRig } from '../../src/core/rig/schema'
import type { Sample } from '../../src/core/signal/sample'

/** The player as one script that defines `player`. */
export const playerScript = buildSync({ entryPoints: ['src/player/attach.ts'], bundle: true, write: false, format: 'iife', globalName: 'player', target: 'es2022' }).outputFiles[0]?.text ?? ''

const namesOf = (name: string): Names => ({ title: `Figure ${name}`, name, mark: 't0x' })

/** A rig of channels in one area, with the usual things filled in; checked at the border. */
export function rigFrom(area: object, channels: readonly object[], outputs: readonly object[], more: Partial<Rig> = {}): Rig {
  return readRig({
    areas: [{ id: 'area', of: 'each', select: '.card', box: 'still', among: 'one', pointer: 'any', touch: 'none', ...area }],
    channels: channels.map((channel) => ({ area: 'area', frame: 'area', away: { kind: 'settle', pose: 0 }, feel: { kind: 'direct' }, group: 'light', ...channel })),
    knobs: [],
    outputs: outputs.map((output) => ({ to: 'self', base: 0, factor: 1, strength: 1, ...output })),
    parts: [],
    rules: [],
    ...more,
  })
}

/** The stylesheet of rigs by name, as an export writes it for a page. */
export function stylesheetOf(rigs: Readonly<Record<string, Rig>>, html = ''): string {
  const figures = Object.entries(rigs).map(([name, rig], index) => ({ number: index + 1, names: namesOf(name), rig, sentence: `${name}.` }))
  const tree = readTree(html)
  return writeStylesheet(figures, overlapsOf(targetsOf(figures), (select) => findIn(tree, select)))
}

export const figuresOf = (rigs: Readonly<Record<string, Rig>>) => Object.entries(rigs).flatMap(([name, rig]) => planRig(rig, namesOf(name)))

interface Driven {
  now: number
  frames: ((now: number) => void)[]
  feed: (sample: Sample) => void
  detach: (keepValues?: boolean) => void
}

/** Opens a page that plays these rigs by a clock that stands until it is moved. */
export async function drive(page: Page, html: string, rigs: Readonly<Record<string, Rig>>) {
  await page.setContent(html.replace('</head>', `<style>${stylesheetOf(rigs, html)}</style></head>`))
  await page.addScriptTag({ content: playerScript })
  await page.evaluate((figures) => {
    const driven: Driven = { now: 0, frames: [], feed: () => undefined, detach: () => undefined }
    const { attach } = (window as unknown as { player: { attach: (root: Document, figures: readonly unknown[], options: object) => Driven['detach'] } }).player
    driven.detach = attach(document, figures, {
      clock: () => driven.now,
      frame: { request: (callback: (now: number) => void) => driven.frames.push(callback), cancel: () => undefined },
      samples: (feed: Driven['feed']) => {
        driven.feed = feed
        return () => undefined
      },
    })
    Object.assign(window, { driven })
  }, figuresOf(rigs))
  return {
    /** Shows a frame at `t`. */
    frame: (t: number) =>
      page.evaluate((now) => {
        const { driven } = window as unknown as { driven: Driven }
        driven.now = now
        for (const callback of driven.frames.splice(0)) callback(now)
      }, t),
    hear: (sample: Partial<Sample> & { readonly t: number }) => page.evaluate((each) => (window as unknown as { driven: Driven }).driven.feed(each as Sample), { x: 0, y: 0, buttons: 0, pointerType: 'mouse', phase: 'move', ...sample }),
    detach: () => page.evaluate(() => (window as unknown as { driven: Driven }).driven.detach()),
    isAsleep: () => page.evaluate(() => (window as unknown as { driven: Driven }).driven.frames.length === 0),
  }
}

/** Reads computed values of an element. */
export const computed = (page: Page, select: string, name: string) => page.evaluate(([selector = '', property = '']) => getComputedStyle(document.querySelector(selector) as Element).getPropertyValue(property), [select, name])

/** The greatest difference between two transforms, member by member of their matrices. */
export const transformApart = (page: Page, one: string, other: string) =>
  page.evaluate(([a = '', b = '']) => {
    const [first, second] = [new DOMMatrix(a).toFloat64Array(), new DOMMatrix(b).toFloat64Array()]
    return Math.max(...[...first].map((value, i) => Math.abs(value - (second[i] ?? NaN))))
  }, [one, other])


/** Opens a page that plays these rigs by the real pointer and the real clock. */
export async function playReal(page: Page, html: string, rigs: Readonly<Record<string, Rig>>): Promise<void> {
  await page.setContent(html.replace('</head>', `<style>${stylesheetOf(rigs, html)}</style></head>`))
  await page.addScriptTag({ content: playerScript })
  await page.evaluate((figures) => {
    const { attach } = (window as unknown as { player: { attach: (root: Document, figures: readonly unknown[]) => () => void } }).player
    Object.assign(window, { detach: attach(document, figures) })
  }, figuresOf(rigs))
}

/** A number that was written on an element. */
export const written = (page: Page, select: string, property: string) => page.evaluate(([selector = '', name = '']) => Number((document.querySelector(selector) as HTMLElement).style.getPropertyValue(name)), [select, property])
