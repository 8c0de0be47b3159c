// Making the page larger and smaller on the plate, and moving it there.
import { useEffect, type RefObject } from 'react'
import { zoomBy } from '../../core/geometry/wheel'
import type { Studio } from '../context'
import { fitted, layOutPlate, zoomAbout, type Place, type Zoom } from './layout'

/** Shows the page at so many times its size, or as large as fits; what is in the middle of the plate, or at `at`, stays there. */
export function zoomTo({ view }: Pick<Studio, 'view'>, scale: Zoom['scale'], at?: Place): void {
  const { plate } = view.hand
  const middle = { left: plate.space.width / 2, top: plate.space.height / 2 }
  view.update({ zoom: scale === 'fit' ? fitted : zoomAbout(plate.space, plate.windows, view.get().zoom, scale, at ?? middle) })
}

/** The scale at which the page is shown. */
export const scaleNow = ({ view }: Pick<Studio, 'view'>): number => layOutPlate({ ...view.hand.plate, zoom: view.get().zoom }).scale

/** Where a point of the page's window is on the plate, px. */
export function onPlate({ view }: Pick<Studio, 'view'>, { x, y }: { readonly x: number; readonly y: number }): Place {
  const { scale, places } = layOutPlate({ ...view.hand.plate, zoom: view.get().zoom })
  return { left: (places[0]?.left ?? 0) + x * scale, top: (places[0]?.top ?? 0) + y * scale }
}

/** Hears Ctrl and the wheel on the plate and in the page. */
export function useZooming(studio: Studio, room: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const element = room.current
    const turn = (by: number, at: Place) => zoomTo(studio, scaleNow(studio) * by, at)
    const turned = (event: WheelEvent) => {
      if (!element || !(event.ctrlKey || event.metaKey)) return
      event.preventDefault()
      const { left, top } = element.getBoundingClientRect()
      turn(zoomBy(event), { left: event.clientX - left, top: event.clientY - top })
    }
    element?.addEventListener('wheel', turned, { passive: false })
    const stop = studio.link.listen((message) => {
      if (message.type === 'zoom') turn(message.by, onPlate(studio, message))
    })
    return () => {
      element?.removeEventListener('wheel', turned)
      stop()
    }
  }, [studio, room])
}
