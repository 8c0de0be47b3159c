// Coarse pictures: enlarged to more pixels than they have.
import { nameOf, type Check } from './check'

export const coarsePicture: Check = {
  id: 'coarse-picture',
  needsLayout: true,
  look: (checked) => {
    const found = checked.seen?.coarse ?? []
    const [first] = found
    return (
      first && {
        words: `${nameOf(checked)} enlarges a picture of ${Math.round(first.has)}px to ${Math.round(first.needs)}px: it has too few pixels and looks soft. A larger file of it would be sharp.`,
        elements: found.map(({ number }) => number),
      }
    )
  },
}
