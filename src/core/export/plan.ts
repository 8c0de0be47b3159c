// What an export is made of: each effect of the site with its number, name, rig and sentence.
import type { Piece } from '../effect/control'
import { formatNumber } from '../effect/control'
import { expandEffect, findKind } from '../effect/kinds'
import { planRig, type Names } from '../rig/plan'
import type { PlayedFigure } from '../rig/played'
import type { Rig } from '../rig/rig'
import { playsOn, type Effect, type Site } from '../site/site'
import { namesOf, siteMark } from './names'

/** One effect on its way out. */
export interface Figure {
  readonly number: number
  readonly names: Names
  readonly rig: Rig
  readonly sentence: string
  /** What single matches have of their own, by knob or token. */
  readonly own?: Effect['own']
}

/**
 * The figures of a site that play, or of one of its pages. `siteId` keeps its property names apart from those of other sites;
 * `only` leaves out all but one effect.
 */
export function planFigures(site: Site, siteId: string, pageId?: string, only?: string): readonly Figure[] {
  const names = namesOf(site.effects)
  const mark = siteMark(siteId)
  return site.effects.flatMap((effect, index) => {
    if (!playsOn(effect, pageId) || (only !== undefined && effect.id !== only)) return []
    const name = names[index] ?? 'figure'
    return [{ number: index + 1, names: { title: `Figure ${index + 1}, ${name}`, name, mark }, rig: expandEffect(effect), sentence: tellEffect(effect), own: effect.own }]
  })
}

/** What the player plays of them. */
export function playedFigures(figures: readonly Figure[]): readonly PlayedFigure[] {
  return figures.flatMap(({ rig, names }) => planRig(rig, names))
}

/** The effect's sentence in plain text. */
export function tellEffect(effect: Effect): string {
  const kind = findKind(effect.kind)
  if (!kind) return effect.name
  const word = (piece: Piece): string => {
    if (typeof piece === 'string') return piece
    if ('role' in piece) return effect.roles?.[piece.role]?.noun ?? (piece.role === kind.roles(effect.settings)[0]?.id ? effect.noun : piece.role)
    const control = kind.controls.find(({ id }) => id === piece.control)
    if (!control) return ''
    if (control.kind === 'number') return formatNumber(control.read(effect.settings), control.unit)
    return control.options.find(({ value }) => value === control.read(effect.settings))?.words ?? ''
  }
  return kind.sentence(effect.settings).map(word).join('')
}
