import { given } from './given'
import { undone } from './off'
import type { Effect, Place } from './types'

let tied = 0

/** Ties what is joined to a place to it: by a name for the stylesheet, and for assistive technology. */
export function tie({ name, describes }: Effect, { area }: Place, beside: HTMLElement): void {
  const anchor = `${name}-${++tied}`
  for (const { style } of [area as HTMLElement, beside]) {
    style.setProperty('--note-anchor', `--${anchor}`)
    if (given.takesOff) undone.push(() => ['anchor', 'gap', 'left', 'top'].forEach((each) => style.removeProperty(`--note-${each}`)))
  }
  if (!describes) return
  const focusable = 'a[href], button, input, select, textarea, summary, [tabindex]'
  const described = area.matches(focusable) ? area : (area.querySelector(focusable) ?? area)
  const before = described.getAttribute('aria-describedby')
  if (given.takesOff)
    undone.push(() => {
      if (before === null) described.removeAttribute('aria-describedby')
      else described.setAttribute('aria-describedby', before)
      if (beside.id === anchor) beside.removeAttribute('id')
    })
  beside.id ||= anchor
  described.setAttribute('aria-describedby', `${before ?? ''} ${beside.id}`.trim())
}

/**
 * Lays what is joined to a place beside it, where the browser's stylesheets cannot: on the other side where it fits there alone, and within
 * the window.
 */
export function layBeside({ side, align, gapPx = 0 }: Effect, { area, beside, look }: Place): void {
  if (!side || !beside || look.shown === 'off' || CSS.supports('position-area', 'top')) return
  const { left, right, top, bottom } = area.getBoundingClientRect()
  const { offsetWidth: width, offsetHeight: height } = beside
  const { clientWidth, clientHeight } = document.documentElement
  const isLevel = side === 'left' || side === 'right'
  const [start, end, size, room] = isLevel ? [left, right, width, clientWidth] : [top, bottom, height, clientHeight]
  const [before, after] = [start - gapPx - size, end + gapPx]
  const isBefore = side === 'left' || side === 'top'
  const goesBefore = isBefore ? before >= 0 || after + size > room : after + size > room && before >= 0
  const [from, to, length, breadth] = isLevel ? [top, bottom, height, clientHeight] : [left, right, width, clientWidth]
  const wanted = align === 'start' ? from : align === 'end' ? to - length : (from + to - length) / 2
  const along = Math.max(0, Math.min(wanted, breadth - length))
  const away = goesBefore ? before : after
  beside.style.setProperty('--note-gap', '0px')
  beside.style.setProperty('--note-left', `${isLevel ? away : along}px`)
  beside.style.setProperty('--note-top', `${isLevel ? along : away}px`)
}
