// Pointing: what lies under the pointer is told as it changes, and a click chooses it.
import { showHand } from './hand'
import { elementsUnder } from './ladder'
import type { Numbers } from './numbers'
import type { Overlay } from './overlay'
import type { PointerSource } from './pointer-source'
import type { FromStageOf } from './protocol'

export interface Pointing {
  readonly isOn: () => boolean
  readonly set: (isOn: boolean) => void
}

export function makePointing(
  page: Document,
  numbers: Numbers,
  overlay: Overlay,
  source: PointerSource,
  onUnder: (under: Omit<FromStageOf<'under'>, 'type'>) => void,
): Pointing {
  let isOn = false
  let told = ''
  const lookUnder = (x: number, y: number, chosen: boolean, adds: boolean) => {
    const elements = [...elementsUnder(page, numbers, x, y, overlay.host, chosen)]
    const key = elements.map(({ number }) => number).join()
    if (key === told && !chosen) return
    told = key
    if (chosen) source.pointedAt(numbers.at(elements[0]?.number ?? -1) ?? null, x, y)
    onUnder({ elements, chosen, adds })
  }
  page.addEventListener('pointermove', ({ clientX, clientY }) => isOn && lookUnder(clientX, clientY, false, false), { passive: true })
  page.addEventListener(
    'click',
    (event) => {
      if (!isOn) return
      event.preventDefault()
      // Neither the page nor what tells where a link would go is meant.
      event.stopImmediatePropagation()
      lookUnder(event.clientX, event.clientY, true, event.shiftKey)
      isOn = false
      showHand(page, null)
    },
    { capture: true },
  )
  return {
    isOn: () => isOn,
    set: (next) => {
      isOn = next
      told = ''
      showHand(page, isOn ? 'crosshair' : null)
      if (!isOn) return overlay.outline(null)
      // What lies under a pointer that already stands on the page is told at once.
      const standing = source.pointer()
      if (standing) lookUnder(standing.x, standing.y, false, false)
    },
  }
}
