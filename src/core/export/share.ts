// What effects of a page have in common: those that hear the pointer in the same elements go by one name, and follow once what they follow alike.
import { isLength, nameOfArea, propertyOfChannel, type Names } from '../rig/plan'
import type { Area, Channel, Rig } from '../rig/rig'
import { isZone } from '../signal/signal'

interface Named {
  readonly names: Names
  readonly rig: Rig
}

/** What must be the same for two areas to be one: all but their ids, and when their effects play. */
const keyOfArea = ({ rig: { media, window, finePointerOnly, notCalm } }: Named, area: Area): string =>
  JSON.stringify([{ ...area, id: '' }, media ?? null, window ?? null, finePointerOnly ?? false, notCalm ?? false])

/** A zone is told by an attribute of its area: two would be told by one. */
const tellsZone = ({ channels }: Rig, area: Area) => channels.some((channel) => channel.area === area.id && isZone(channel.signal))

/** What must be the same for two channels to be one; undefined for those that are followed apart: chains, what is seen by another, what comes and goes. */
const keyOfChannel = (rig: Rig, channel: Channel): string | undefined =>
  channel.chain !== undefined || channel.seenBy !== undefined || channel.signal.of === 'inside'
    ? undefined
    : JSON.stringify(
        { ...channel, id: '', area: '', group: isCalm(channel.group), isLength: isLength(rig, channel.id) },
        (_, value: unknown) => value ?? undefined,
      )

/** Whether it goes on for visitors who prefer reduced motion: nothing else hangs on the group once a rig is made. */
const isCalm = (group: Channel['group']) => group === 'light' || group === 'state'

/** The effects with the names that they share. */
export function withShared<PlannedEffect extends Named>(effects: readonly PlannedEffect[]): readonly PlannedEffect[] {
  const areaNames = new Map<string, string>()
  const properties = new Map<string, string>()
  return effects.map((effect) => {
    const { rig, names } = effect
    const areas: Record<string, string> = {}
    const channels: Record<string, string> = {}
    for (const area of rig.areas) {
      if (tellsZone(rig, area)) continue
      const areaKey = keyOfArea(effect, area)
      const known = areaNames.get(areaKey)
      if (known === undefined) areaNames.set(areaKey, nameOfArea(names, rig, area.id))
      else areas[area.id] = known
      for (const channel of rig.channels.filter((each) => each.area === area.id)) {
        const key = keyOfChannel(rig, channel)
        if (key === undefined) continue
        const property = properties.get(areaKey + key)
        // Of one effect each has a property of its own.
        if (property === undefined) properties.set(areaKey + key, propertyOfChannel(names, channel.id))
        else if (known !== undefined) channels[channel.id] = property
      }
    }
    return Object.keys(areas).length === 0 ? effect : { ...effect, names: { ...names, shared: { areas, channels } } }
  })
}
