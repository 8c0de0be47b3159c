// All checks, in the order in which they are told; and what they find on a page.
import { findKind } from '../effect/kinds'
import { planEffects } from '../export/plan'
import { withBindings } from '../site/bindings'
import type { Site } from '../site/site'
import type { Check, Checked, Found } from './check'
import { clipped } from './clipped'
import { coarsePicture } from './coarse-picture'
import { contrast } from './contrast'
import { cursor } from './cursor'
import { displaced } from './displaced'
import { flattened } from './flattened'
import { hoverContent } from './hover-content'
import { hoverOnly } from './hover-only'
import { lagging } from './lagging'
import { largeCopy } from './large-copy'
import { layers } from './layers'
import { lostLight } from './lost-light'
import { manyElements } from './many-elements'
import { noResult } from './no-result'
import { noTouch } from './no-touch'
import { overruled } from './overruled'
import { reducedMotion } from './reduced-motion'
import { roles } from './roles'
import { selector } from './selector'
import { smallTarget } from './small-target'
import { structural } from './structural'
import { underNeighbour } from './under-neighbour'
import type { Seen } from './seen'
import type { Told } from './told'

export const checks: readonly Check[] = [
  selector,
  overruled,
  roles,
  layers,
  noResult,
  lostLight,
  lagging,
  displaced,
  clipped,
  underNeighbour,
  flattened,
  contrast,
  coarsePicture,
  largeCopy,
  smallTarget,
  hoverOnly,
  noTouch,
  hoverContent,
  reducedMotion,
  cursor,
  structural,
  manyElements,
]

/** Something that is amiss with an effect on a page, in a sentence. */
export interface Finding extends Found {
  readonly check: string
  /** The effect, by its id and its number. */
  readonly effect: string
  readonly number: number
}

/** What is known of one effect on the page. */
export interface Known {
  readonly told: Told
  readonly seen?: Seen | undefined
}

/** What all checks find on a page; of effects about which nothing is known, nothing. */
export function checkPage(
  site: Site,
  pageId: string,
  known: (effect: string) => Known | undefined,
  styleOf: Checked['styleOf'],
  matchesElsewhere: (select: string) => boolean,
): readonly Finding[] {
  const planned = planEffects(site, pageId)
  const { effects } = withBindings(site)
  return planned.flatMap((each) => {
    const effect = effects[each.number - 1]
    const kind = effect && findKind(effect.kind)
    const about = effect && known(effect.id)
    if (!effect || !kind || !about) return []
    const checked: Checked = { effect, kind, planned: each, told: about.told, seen: about.seen, styleOf, matchesElsewhere }
    const found = checks.flatMap((check) => {
      const answer = check.look(checked)
      return answer ? [{ ...answer, check: check.id, effect: effect.id, number: each.number }] : []
    })
    // What is overruled, or waits for an element, is not told of twice.
    return found.some(({ check }) => check === 'overruled' || check === 'roles')
      ? found.filter(({ check }) => check !== 'no-result')
      : found
  })
}
