// What a script writes on the elements of a page, by which it can be taken off again.
import { planRig } from '../rig/plan'
import { targetSelect } from '../rig/resolve'
import { statesOf } from '../rig/states'
import type { Source } from './effects'

/** A custom property or an attribute, and the elements that may have it. */
export interface Written {
  readonly name: string
  readonly select: string
}

/** The properties and attributes that these effects write on elements of the page, and on which. */
export function writesOf(sources: readonly Source[]): readonly Written[] {
  const all = sources.flatMap(({ rig, names }) =>
    planRig(rig, names).flatMap(({ name, area, frames, own }) => {
      const ground = area.of === 'window' ? ':root' : area.select
      const mark = `data-${name}`
      return [
        { name: mark, select: ground },
        { name: `${mark}-from`, select: ground },
        // What looks and zones tell of elements that are linked, and what ties another element to a match.
        ...statesOf(rig, area).flatMap(({ to, chosenBy }) =>
          typeof to === 'object' && 'linked' in to
            ? (chosenBy === undefined ? [mark, `${mark}-from`] : [`${mark}-chosen`]).map((each) => ({ name: each, select: to.linked }))
            : [],
        ),
        ...(area.joined === undefined
          ? []
          : [ground, area.joined].flatMap((select) =>
              ['anchor', 'gap', 'left', 'top'].map((each) => ({ name: `--note-${each}`, select })),
            )),
        ...frames.flatMap(({ of, channels }) => {
          const frame = typeof of === 'object' && 'each' in of ? of.each : ground
          return channels.flatMap(({ zone, writes }) => [
            ...(zone === undefined ? [] : [{ name: `${mark}-${zone}`, select: frame }]),
            ...writes.flatMap(({ property, to }) => {
              const select = targetSelect(frame, to ?? 'self')
              return [property, mark, ...Object.values(own)].map((each) => ({ name: each, select }))
            }),
          ])
        }),
      ]
    }),
  )
  return [...new Map(all.map((each) => [JSON.stringify([each.name, each.select]), each])).values()]
}
