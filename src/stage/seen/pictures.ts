// Pictures that are drawn larger than they are.
import type { Seen } from '../../core/check/seen'
import type { Numbers } from '../numbers'

/** So much larger than without the effect it is enlarged by it. */
const enlarged = 1.15

/** The pictures in an element that the effect enlarges beyond their own pixels; `still` is the element's box without it. */
export function coarseIn(element: Element, still: Pick<DOMRect, 'width'>, numbers: Numbers): Seen['coarse'] {
  const all = [...(element instanceof HTMLImageElement ? [element] : []), ...element.querySelectorAll('img')]
  return all.flatMap((picture) => {
    const number = numbers.of(picture)
    const { width } = picture.getBoundingClientRect()
    const before = picture === element ? still.width : picture.offsetWidth
    // Drawings have no pixels of their own.
    if (number === undefined || picture.naturalWidth === 0 || /^data:image\/svg|\.svg(\?|#|$)/.test(picture.currentSrc)) return []
    return width > before * enlarged && width > picture.naturalWidth * 1.1 ? [{ number, has: picture.naturalWidth, needs: width }] : []
  })
}
