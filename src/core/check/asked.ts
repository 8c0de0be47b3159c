// What of an effect a page is asked: its markup and sheets, and, where it is laid out, what is seen.
import { filledIn } from '../effect/kinds'
import type { PlannedEffect } from '../export/plan'
import { drivenBy } from '../rig/plan'
import { addedParts, partOf, type Rig } from '../rig/rig'
import { selectOf, targetSelect } from '../rig/resolve'
import type { Effect } from '../site/site'
import { selectsApart } from './layers'
import type { SeenAsked } from './seen'
import { toldAskedBy, type ToldAsked } from './told'

/** What markup and sheets are asked about an effect as it is planned. */
export const toldAskedOf = ({ rig }: Pick<PlannedEffect, 'rig'>, effect: Effect | undefined): ToldAsked =>
  effect ? toldAskedBy(rig, selectsApart(effect), filledIn(effect), effect.select) : toldAskedBy(rig)

export function seenAskedBy({ rig, names }: Pick<PlannedEffect, 'rig' | 'names'>): SeenAsked {
  const [area] = rig.areas
  const given = [...(rig.states ?? []), ...rig.rules].map(({ css }) => css)
  const values = given.flatMap((css) => Object.values(css)).join('; ')
  // What only goes into other values of ours is seen by these.
  const isStep = (property: string) => values.includes(`var(${property}`)
  const properties = [...new Set([...drivenBy(rig), ...given.flatMap((css) => Object.keys(css))])].filter((each) => !isStep(each))
  return {
    select: area && area.of !== 'window' ? area.select : '',
    written: writtenBy(rig),
    parts: addedParts(rig).map(({ id }) => `.${names.name}-${id}`),
    properties,
    moves: properties.some((property) => /^(transform|translate|rotate|scale|box-shadow)$/.test(property)),
    lens: rig.parts.flatMap(({ holds }) =>
      typeof holds === 'object' && 'zoom' in holds ? [{ zoom: holds.zoom, sharper: holds.sharper }] : [],
    )[0],
  }
}

/** The selectors of what a rig writes on, or changes by looks, of the page. */
function writtenBy(rig: Rig): readonly string[] {
  const groundOf = (id: string) => rig.areas.find((area) => area.id === id)?.select ?? ''
  return [
    ...new Set([
      ...rig.outputs.filter(({ to }) => partOf(to) === undefined).map((output) => selectOf(rig, output)),
      ...(rig.states ?? []).filter(({ to }) => partOf(to) === undefined).map(({ area, to }) => targetSelect(groundOf(area), to)),
    ]),
  ]
}
