// Tells the page of looks and zones: by attributes that its stylesheet can use, and by events.
import type { PlayedFigure } from '../core/rig/played'
import type { Playing, Stand } from './stands'
import { say } from './telling'

/** Tells the look and the zone of a place where they changed since they were last told: `card-pressed`, `card-still`, `card-zone`. */
function tellStates({ figure }: Playing, stand: Stand): void {
  const { place, cast } = stand
  const { shown } = place.presence.look
  if (figure.area.looks && stand.toldLook !== shown) {
    stand.toldLook = shown
    for (const element of cast.elements) element.setAttribute(`data-${figure.name}`, shown)
    if (shown === 'still' || shown === 'pressed') say(figure, cast, shown)
  }
  for (const { channels, states } of place.plays) {
    for (let i = 0; i < channels.length; i++) {
      const of = channels[i]?.signal.of
      const zone = states[i]?.reading ?? NaN
      if ((of !== 'zone' && of !== 'nearest') || Number.isNaN(zone) || zone === stand.toldZone) continue
      stand.toldZone = zone
      for (const element of cast.elements) element.setAttribute(`data-${figure.name}-zone`, String(zone))
      say(figure, cast, 'zone', zone)
    }
  }
}

/** Takes the attributes off. */
function end({ name }: PlayedFigure, elements: readonly Element[]): void {
  for (const element of elements) {
    element.removeAttribute(`data-${name}`)
    element.removeAttribute(`data-${name}-zone`)
  }
}

export const states = { tell: tellStates, end }
