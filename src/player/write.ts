// Writes values on elements, and takes them off again.
import { shapers } from '../core/curve/shapers'
import { channelValue, type Play } from '../core/rig/play'
import type { PlayedFigure, Write } from '../core/rig/played'
import type { Styled } from './measure'
import { quietTransitions, setTransitions, type Quieted } from './quiet'

/** One custom property on some elements, and what was last written there. */
export interface Writer {
  readonly play: Play
  readonly channel: number
  readonly link: number | undefined
  readonly write: Write
  readonly elements: readonly Styled[]
  last: number
}

/** What the page's own inline style was, by element: an empty attribute, and its transitions where ours stand now. */
export type StyledBefore = Map<Styled, { readonly wasEmpty: boolean; quieted: Quieted | undefined; readonly style: CSSStyleDeclaration }>

/** Writes what changed at `t` (ms). */
export function writeValues(writers: readonly Writer[], t: number): void {
  for (let i = 0; i < writers.length; i++) {
    const writer = writers[i]
    if (!writer) continue
    const value = channelValue(writer.play, writer.channel, t, writer.link)
    if (value === writer.last) continue
    writer.last = value
    const { property, curve } = writer.write
    const text = !curve ? String(Math.round(value * 1e5) / 1e5) : 'colours' in curve ? shapers.colours.cssAt(curve, value) : String(shapers.stops.valueAt(curve, value))
    for (let k = 0; k < writer.elements.length; k++) writer.elements[k]?.style.setProperty(property, text)
  }
}

/** Sees to it that no transition of the page's own lags behind the values, or what follows them. */
export function quiet(styled: StyledBefore, writers: readonly Writer[], drives: readonly string[]): void {
  for (const element of new Set(writers.flatMap(({ elements }) => elements))) {
    const own = styled.get(element)
    if (!own || own.quieted) continue
    const properties = writers.filter(({ elements }) => elements.includes(element)).map(({ write }) => write.property)
    own.quieted = quietTransitions(element, own.style, [...properties, ...drives])
  }
}

/** Takes the values off, and what was set beside them on these elements and on the hosts of parts; the style attribute too, where the page had none. */
export function endWrites(styled: StyledBefore, hosts: readonly Styled[], writers: readonly Writer[], { name, own: kept }: PlayedFigure): void {
  for (const { elements, write } of writers) for (const element of elements) element.style.removeProperty(write.property)
  for (const element of new Set([...hosts, ...writers.flatMap(({ elements }) => elements)])) {
    const own = styled.get(element)
    for (const property in kept) element.style.removeProperty(kept[property] ?? '')
    element.removeAttribute(`data-${name}`)
    if (own?.quieted) setTransitions(element, own.quieted)
    if (own && !own.wasEmpty && element.getAttribute('style') === '') element.removeAttribute('style')
    styled.delete(element)
  }
}
