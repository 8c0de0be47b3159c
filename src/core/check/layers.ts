// Layers: two that give way to each other are the same element, or one lies in the other.
import { filledIn, findKind } from '../effect/kinds'
import type { Effect } from '../site/site'
import { switchingOff, type Check } from './check'

/** The selectors of the two elements of an effect that have to stand apart, each with what it is called; none where it has no such two. */
function layersOf(effect: Effect): readonly { readonly id: string; readonly title: string; readonly select: string | undefined }[] {
  const kind = findKind(effect.kind)
  const all = kind?.roles(effect.settings) ?? []
  const filled = filledIn(effect)
  return (kind?.apart ?? []).flatMap((role) => {
    const index = all.findIndex((each) => each.id === role)
    return index < 0 ? [] : [{ id: role, title: all[index]?.title ?? role, select: index === 0 ? effect.select : filled[role] }]
  })
}

/** The selectors of the two, where both are known. */
export const selectsApart = (effect: Effect): readonly string[] => {
  const selects = layersOf(effect).flatMap(({ select }) => (select === undefined ? [] : [select]))
  return selects.length === 2 ? selects : []
}

export const layers: Check = {
  id: 'layers',
  needsLayout: false,
  look: (checked) => {
    const [one, other] = layersOf(checked.effect)
    if (!one || !other || checked.told.matches.length === 0) return undefined
    const offers = { fix: { words: `Point at another ${other.title}`, role: other.id }, or: switchingOff(checked) }
    switch (checked.told.apart) {
      case 'same':
        return {
          words: `The ${one.title} and the ${other.title} of effect ${checked.planned.number} are the same element: nothing can give way.`,
          ...offers,
        }
      case 'inside':
        return {
          words: `Of the ${one.title} and the ${other.title} of effect ${checked.planned.number} one lies in the other, so they cannot part.`,
          ...offers,
        }
      default:
        return undefined
    }
  },
}
