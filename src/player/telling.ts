// Tells the page's own code what happens: events that bubble from the area's element, named after the figure.
import type { PlayedFigure } from '../core/rig/played'
import type { Cast, Playing, Stand } from './stands'

/** Tells that a place came on or went off since it was last told: `card-on`, `card-off`. */
function tell({ figure }: Playing, stand: Stand): void {
  const { presence } = stand.place
  const isOn = figure.area.looks ? presence.look.shown !== 'off' : presence.inside
  if (isOn === stand.isToldOn) return
  stand.isToldOn = isOn
  say(figure, stand.cast, isOn ? 'on' : 'off')
}

export function say({ name }: PlayedFigure, { elements }: Cast, what: string, detail?: number): void {
  elements[0]?.dispatchEvent(new CustomEvent(`${name}-${what}`, { bubbles: true, composed: true, detail }))
}

/** Tells that all of a place has come to rest: `card-settled`. */
function settled({ figure }: Playing, { cast }: Stand): void {
  say(figure, cast, 'settled')
}

export const telling = { tell, settled }
