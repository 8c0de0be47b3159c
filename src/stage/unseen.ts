// What a page hides until a script of its own shows it.
import type { Numbers } from './numbers'

const most = 40

/** The outermost elements with words or pictures in them that are drawn with no opacity or not at all. */
export function findUnseen(page: Document, numbers: Numbers): readonly number[] {
  const found: number[] = []
  const look = (element: Element) => {
    if (found.length >= most) return
    const { opacity, visibility, display } = getComputedStyle(element)
    if (display === 'none') return
    if (opacity === '0' || visibility === 'hidden') {
      const number = numbers.of(element)
      const { width, height } = element.getBoundingClientRect()
      if (
        number !== undefined &&
        width * height > 400 &&
        (element.textContent.trim() !== '' || element.querySelector('img, svg, video') || element.matches('img, video'))
      )
        found.push(number)
      return
    }
    for (const child of element.children) look(child)
  }
  for (const child of page.body.children) look(child)
  return found
}
