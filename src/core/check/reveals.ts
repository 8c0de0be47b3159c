// Whether an effect brings content of the page that is not seen without the pointer.
import { poseOf } from '../rig/play'
import { partOf, type Rig, type Target } from '../rig/rig'

const hides = (css: Readonly<Record<string, string>>) =>
  Object.entries(css).some(
    ([property, value]) =>
      (property === 'opacity' && Number(value) === 0) ||
      (property === 'visibility' && value === 'hidden') ||
      (property === 'display' && value === 'none'),
  )

/** The targets on the page that are not seen while the pointer is away, and are with it. */
export function revealedBy(rig: Rig): readonly Target[] {
  const channelOf = (id: string | undefined) => rig.channels.find((channel) => channel.id === id)
  const faded = rig.outputs.filter(({ to, slot, base, factor, channel: id, curve }) => {
    const channel = channelOf(id)
    if (partOf(to) !== undefined || slot.on !== 'opacity' || !channel || curve) return false
    return Math.abs(base + factor * poseOf(channel)) < 0.05
  })
  const shown = (rig.states ?? []).filter(
    ({ to, looks, css, chosenBy }) => chosenBy === undefined && partOf(to) === undefined && looks.includes('off') && hides(css),
  )
  return [...faded, ...shown].map(({ to }) => to)
}

/** The targets of which one is seen, whichever a zone chooses, and the others are not. */
export const chosenOf = (rig: Rig): readonly Target[] =>
  (rig.states ?? []).flatMap(({ to, css, chosenBy, whose }) => (chosenBy !== undefined && whose === 'others' && hides(css) ? [to] : []))
