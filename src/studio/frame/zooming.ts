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
      if (message.type !== 'zoom') return
      const { scale, places } = layOutPlate({ ...studio.view.hand.plate, zoom: studio.view.get().zoom })
      const [place = { left: 0, top: 0 }] = places
      turn(message.by, { left: place.left + message.x * scale, top: place.top + message.y * scale })
    })
    return () => {
      element?.removeEventListener('wheel', turned)
      stop()
    }
  }, [studio, room])
}
