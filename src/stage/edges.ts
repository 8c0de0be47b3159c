// Choosing edges: the edge nearest to the pointer is shown, and a click takes it.
import { nearestSide } from './gap'
import type { Numbers } from './numbers'
import type { Overlay } from './overlay'
import type { Edge } from './protocol'

/** Gives a function that turns choosing on and off. */
export function chooseEdges(page: Document, numbers: Numbers, overlay: Overlay, onEdge: (edge: Edge) => void): (isOn: boolean) => void {
  let isChoosing = false
  let chosen: Edge[] = []
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
      if (!edge) return
      chosen = [...chosen, edge].slice(-2)
      onEdge(edge)
      if (chosen.length === 2) isChoosing = false
      overlay.showEdges(chosen, null)
    },
    { capture: true },
  )
  return (isOn) => {
    if (isOn) chosen = []
    isChoosing = isOn
    if (isOn) overlay.showEdges([], null)
  }
}
