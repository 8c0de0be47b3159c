// Pictures that are drawn larger than they are.
import type { Seen, SeenAsked } from '../../core/check/seen'
import type { Numbers } from '../numbers'

/** So much larger than without the effect it is enlarged by it. */
const enlarged = 1.15

/** How wide the largest file is that a picture names itself, px. */
const largestOf = ({ srcset, naturalWidth }: HTMLImageElement) =>
  Math.max(naturalWidth, ...[...srcset.matchAll(/\s(\d+)w/g)].map(([, width]) => Number(width)))

/**
 * The pictures in an element that the effect enlarges beyond their own pixels, or shows so in a lens; `still` is the element's box without it.
 */
export function coarseIn(
  element: Element,
  still: Pick<DOMRect, 'width'>,
  numbers: Numbers,
  { zoom, sharper }: NonNullable<SeenAsked['lens']> = { zoom: 1 },
): Seen['coarse'] {
  const all = [...(element instanceof HTMLImageElement ? [element] : []), ...element.querySelectorAll('img')]
  return all.flatMap((picture) => {
    const number = numbers.of(picture)
    if (sharper !== undefined && picture.hasAttribute(sharper)) return []
    const width = picture.getBoundingClientRect().width * zoom
    const has = zoom > 1 ? largestOf(picture) : picture.naturalWidth
    const before = picture === element ? still.width : picture.offsetWidth
    // Drawings have no pixels of their own.
    if (number === undefined || picture.naturalWidth === 0 || /^data:image\/svg|\.svg(\?|#|$)/.test(picture.currentSrc)) return []
    return width > before * enlarged && width > has * 1.1 ? [{ number, has, needs: width }] : []
  })
}
