// Where the pointer counts for an effect, and what is seen where it does not.
import type { Rig } from '../rig/rig'
import { needsScript } from './needs-script'

/** What has to hold for the pointer to count, as media features: how wide the window is, and that the visitor did not ask for less motion. */
export const playsUnder = ({ window, notCalm }: Rig): readonly string[] => [
  ...(notCalm ? ['(prefers-reduced-motion: no-preference)'] : []),
  ...(window === undefined ? [] : [window]),
]

/**
 * Whether, where it does not play, all is as it is while the pointer is away: the script lets no pointer in, and layers that lie over each
 * other stay so. All is gone there of what hides for a mouse alone, and of what needs no script.
 */
export const restsElsewhere = (rig: Rig): boolean => playsUnder(rig).length > 0 && rig.finePointerOnly !== true && needsScript(rig)
