// Which elements of the page an output is written on.
import type { Area, FrameOf, Output, Rig, Target } from './rig'

/** The area in which an output is read. */
export function areaOf(rig: Rig, { channel, weight }: Output): Area | undefined {
  const read = rig.channels.find(({ id }) => id === (channel ?? weight))
  return rig.areas.find(({ id }) => id === read?.area) ?? rig.areas[0]
}

/** The selector of what an output is written on. */
export function selectOf(rig: Rig, output: Output): string {
  const read = rig.channels.find(({ id }) => id === (output.channel ?? output.weight))
  const area = areaOf(rig, output)
  const frame =
    read && typeof read.frame === 'object' && 'each' in read.frame
      ? read.frame.each
      : area?.of === 'window'
        ? ':root'
        : (area?.select ?? '')
  return targetSelect(frame, output.to)
}

export function targetSelect(frame: string, to: Target): string {
  if (to === 'self' || 'part' in to) return frame
  if ('linked' in to) return to.linked
  // A selector that begins with the area's own already says that it lies in it.
  if (to.within.startsWith(`${frame} `)) return to.within
  const inner = /[\s>+~,]/.test(to.within) ? `:is(${to.within})` : to.within
  return `${asOneSelector(frame)} ${inner}`
}

/** A list of selectors as one, to which more can be added. */
export const asOneSelector = (select: string) => (select.includes(',') ? `:is(${select})` : select)

/** By what boxes of a frame of reference are told: a selector, or the name of a part as CSS writes it. */
export const frameSelect = (frame: Exclude<FrameOf, string>): string =>
  'each' in frame ? frame.each : 'box' in frame ? frame.box : `::part(${frame.part})`
