// Choosing edges: the edge nearest to the pointer is shown, and a click takes it.
import { nearestSide } from './distance'
import type { Numbers } from './numbers'
import type { Overlay } from './overlay'
import type { Edge, PageMode } from './protocol'

/** Gives a function that hears the mode: while it measures, fewer than two edges are added to by clicks. */
export function chooseEdges(page: Document, numbers: Numbers, overlay: Overlay, onEdge: (edge: Edge) => void): (mode: PageMode) => void {
  let chosen: readonly Edge[] = []
  let isChoosing = false
  const edgeAt = (x: number, y: number): Edge | null => {
    for (let each = page.elementsFromPoint(x, y).find((hit) => hit !== overlay.host) ?? null; each; each = each.parentElement) {
      const number = numbers.of(each)
      if (number !== undefined) return { number, side: nearestSide(each, x, y) }
    }
    return null
  }
  page.addEventListener('pointermove', ({ clientX, clientY }) => isChoosing && overlay.showEdges(chosen, edgeAt(clientX, clientY)), {
    passive: true,
  })
  page.addEventListener(
    'click',
    (event) => {
      if (!isChoosing) return
      event.preventDefault()
      event.stopPropagation()
      const edge = edgeAt(event.clientX, event.clientY)
      if (edge) onEdge(edge)
    },
    { capture: true },
  )
  return (mode) => {
    chosen = mode.is === 'measuring' ? mode.edges : []
    isChoosing = mode.is === 'measuring' && chosen.length < 2
    overlay.showEdges(chosen, null)
  }
}
