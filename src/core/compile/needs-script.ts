// Whether an effect needs a script.
import { addedParts, type Rig } from '../rig/rig'
import { isByStylesheet } from '../rig/states'

/** An effect whose rules, and what CSS tells by itself, are all that there is needs none. */
export const needsScript = (rig: Rig): boolean =>
  rig.channels.length > 0 || addedParts(rig).length > 0 || rig.areas.some((area) => area.looks !== undefined && !isByStylesheet(rig, area))
