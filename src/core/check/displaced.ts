// Displaced: something that the page gives the same elements and that cannot go on beside the effect.
import { nameOf, type Check } from './check'

export const displaced: Check = {
  id: 'displaced',
  needsLayout: false,
  look: (checked) => {
    const { displaced: properties } = checked.told
    const moved = properties.filter((property) => property !== 'clip-path')
    if (properties.length === 0) return undefined
    const words = [
      ...(properties.includes('clip-path')
        ? ['cuts elements that the page gives a clip path too, and only one of them counts: the effect’s']
        : []),
      ...(moved.length > 0
        ? [`drives ${moved.join(' and ')} of elements in which an animation of the page does so too: the animation stands meanwhile`]
        : []),
    ]
    return { words: `${nameOf(checked)} ${words.join('; and it ')}.` }
  },
}
