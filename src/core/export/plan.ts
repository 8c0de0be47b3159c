// What an export is made of: each effect of the site with its number, name, rig and sentence.
import type { Piece } from '../effect/control'
import { formatNumber } from '../effect/control'
import { expandEffect, findKind } from '../effect/kinds'
import type { PlayedFigure } from '../rig/played'
import type { Rig } from '../rig/rig'
import type { Effect, Site } from '../site/site'
import { namesOf, siteMark } from './names'

/** One effect on its way out. */
export interface Figure {
  readonly number: number
  readonly name: string
  readonly rig: Rig
  readonly sentence: string
  /** The custom property that the script writes for each channel, in order. */
  readonly properties: readonly string[]
}

/** The figures of a site. `siteId` keeps its property names apart from those of other sites. */
export function planFigures(site: Site, siteId: string): readonly Figure[] {
  const names = namesOf(site.effects)
  const mark = siteMark(siteId)
  return site.effects.map((effect, index) => {
    const rig = expandEffect(effect)
    const name = names[index] ?? 'figure'
    return { number: index + 1, name, rig, sentence: tellEffect(effect), properties: rig.channels.map(({ id }) => `--${name}-${id}-${mark}`) }
  })
}

/** The effect's sentence in plain text. */
export function tellEffect(effect: Effect): string {
  const kind = findKind(effect.kind)
  if (!kind) return effect.name
  const word = (piece: Piece): string => {
    if (typeof piece === 'string') return piece
    if ('role' in piece) return effect.noun
    const control = kind.controls.find(({ id }) => id === piece.control)
    if (!control) return ''
    if (control.kind === 'number') return formatNumber(control.read(effect.settings), control.unit)
    return control.options.find(({ value }) => value === control.read(effect.settings))?.words ?? ''
  }
  return kind.sentence(effect.settings).map(word).join('')
}

/** What the player plays of a figure. */
export function playedFigure({ number, rig, name, properties }: Figure): PlayedFigure {
  return {
    title: `Figure ${number}, ${name}`,
    select: rig.area.select,
    pointer: rig.area.pointer,
    channels: rig.channels.map(({ signal, away, curve, feel, going, group }, index) => ({ property: properties[index] ?? '', signal, away, curve, feel, going, group })),
  }
}
