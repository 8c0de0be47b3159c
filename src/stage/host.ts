// Hosts the player on the page: puts in the stylesheet of the export, and attaches the player to what it plays.
import type { PlayedFigure } from '../core/rig/played'
import { attach } from '../player/attach'
import type { Counted } from './cost'
import { findAll } from './find'
import type { Hand } from './hand'

export interface Host {
  /** Plays these figures from now on; what went on before goes on from where it is. */
  readonly play: (stylesheet: string, figures: readonly PlayedFigure[]) => void
  /** Plays them as for a visitor who prefers reduced motion, or not. */
  readonly reduceMotion: (isReduced: boolean) => void
  /** Lends the page to somebody who plays the figures by a clock of their own, and then plays on. */
  readonly measure: <Answer>(work: (figures: readonly PlayedFigure[]) => Answer) => Answer
  /** The sheets that are ours and not the page's. */
  readonly sheets: () => readonly CSSStyleSheet[]
}

export function makeHost(page: Document, hand: Hand, counted: Counted, onSheet: () => void): Host {
  const style = page.createElement('style')
  let playing: readonly PlayedFigure[] = []
  let detach: ((keepValues?: boolean) => void) | undefined
  let isReduced = false
  const frame = { request: (callback: (now: number) => void) => requestAnimationFrame(counted(callback)), cancel: (handle: number) => cancelAnimationFrame(handle) }
  const begin = () => {
    detach = attach(page, playing, { samples: hand.source, reducedMotion: isReduced, frame })
    hand.repeat()
  }
  return {
    play: (stylesheet, figures) => {
      if (style.textContent !== stylesheet) style.textContent = stylesheet
      if (!style.isConnected) page.head.append(style)
      if (/:(hover|active)/.test(stylesheet)) onSheet()
      // A turned knob changes the stylesheet alone, and the player plays on.
      if (JSON.stringify(figures) === JSON.stringify(playing)) return
      detach?.(true)
      dropValues(page, playing, figures)
      playing = figures
      begin()
    },
    sheets: () => (style.sheet ? [style.sheet] : []),
    measure: (work) => {
      detach?.(true)
      const answer = work(playing)
      begin()
      return answer
    },
    reduceMotion: (isNow) => {
      if (isNow === isReduced) return
      isReduced = isNow
      detach?.(true)
      begin()
    },
  }
}

/** Takes values, and the marks of figures, off the elements on which no figure has them any more. */
function dropValues(page: Document, before: readonly PlayedFigure[], after: readonly PlayedFigure[]): void {
  const kept = new Map(after.flatMap(written).map(({ name, select }) => [name, new Set(findAll(page, select))] as const))
  for (const { name, select } of before.flatMap(written)) {
    for (const element of findAll(page, select) ?? []) {
      if (kept.get(name)?.has(element)) continue
      if (name.startsWith('--')) element.style.removeProperty(name)
      else element.removeAttribute(name)
      if (element.getAttribute('style') === '') element.removeAttribute('style')
    }
  }
}

/** The properties and attributes that a figure writes on elements of the page, and on which. */
function written({ name: figure, area, frames, own, parts, marksArea }: PlayedFigure): readonly { readonly name: string; readonly select: string }[] {
  const ground = area.of === 'window' ? ':root' : area.select
  // The element that parts stand in is marked, whether anything is written on it or not.
  const marked = parts || marksArea ? [{ name: `data-${figure}`, select: ground }] : []
  return marked.concat(frames.flatMap(({ of, channels }) => {
    const frame = typeof of === 'object' && 'each' in of ? of.each : ground
    return channels.flatMap(({ writes }) =>
      writes.flatMap(({ property, to }) => {
        const select = !to ? frame : 'within' in to ? `:is(${frame}) :is(${to.within})` : 'linked' in to ? to.linked : undefined
        if (select === undefined) return []
        return [property, `data-${figure}`, ...Object.values(own ?? {})].map((name) => ({ name, select }))
      }),
    )
  }))
}
