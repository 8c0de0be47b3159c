// Tells the page's own code what happens: events that bubble from the area's element, and attributes for looks and zones.
import type { PlayedFigure } from '../core/rig/played'
import type { Cast, Playing, Stand } from './stands'

/** Tells what changed at a place since it was last told. Events are named after the figure: `card-on`, `card-off`, `card-still`. */
function tell({ figure }: Playing, stand: Stand): void {
  const { place, cast } = stand
  const { presence } = place
  const shown = presence.look.shown
  const isOn = figure.area.looks ? shown !== 'off' : presence.inside
  if (figure.area.looks && stand.toldLook !== shown) {
    stand.toldLook = shown
    for (const element of cast.elements) element.setAttribute(`data-${figure.name}`, shown)
    if (shown === 'still' || shown === 'pressed') say(figure, cast, shown)
  }
  if (isOn !== stand.isToldOn) {
    stand.isToldOn = isOn
    say(figure, cast, isOn ? 'on' : 'off')
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

function say({ name }: PlayedFigure, { elements }: Cast, what: string, detail?: number): void {
  elements[0]?.dispatchEvent(new CustomEvent(`${name}-${what}`, { bubbles: true, composed: true, detail }))
}

/** Tells that all of a place has come to rest. */
function settled({ figure }: Playing, { cast }: Stand): void {
  say(figure, cast, 'settled')
}

/** Takes the attributes off. */
function end({ name }: PlayedFigure, elements: readonly Element[]): void {
  for (const element of elements) {
    element.removeAttribute(`data-${name}`)
    element.removeAttribute(`data-${name}-zone`)
  }
}

export const telling = { tell, settled, end }
