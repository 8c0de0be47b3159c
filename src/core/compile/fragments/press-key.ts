import { areaFrame } from './areas'
import { effects, given } from './given'
import { limited } from './limited'
import { dismissAll } from './looks'
import { pointer } from './pointer'
import type { Heard, Place } from './types'

/** Which way keys move the pointer, in steps; so many that they end at a side where that is meant. */
export const ways = new Map<string | undefined, readonly [right: number, down: number]>([
  ['ArrowLeft', [-1, 0]],
  ['ArrowRight', [1, 0]],
  ['ArrowUp', [0, -1]],
  ['ArrowDown', [0, 1]],
  ['Home', [-1e6, 0]],
  ['End', [1e6, 0]],
])

/** How many times as large a key makes what fingers would. */
export const zooms = new Map<string | undefined, number>([
  ['+', 1.25],
  ['-', 0.8],
])

/** Takes a key to the effects; gives where it moves the pointer to. */
export function pressKey(key: string, t: number): Heard | undefined {
  if (given.hasEscape && key === 'Escape') for (const effect of effects) dismissAll(effect, t)
  const [right, down] = ways.get(key) ?? [0, 0]
  const by = given.hasPinch ? zooms.get(key) : undefined
  if (!given.hasArrowKeys || (!right && !down && !by)) return undefined
  for (const effect of effects) {
    const place = effect.arrowKeys ? [...effect.places.values()].find(({ focused }) => focused) : undefined
    if (
      !place ||
      !effect.arrowKeys ||
      (by && !effect.pinches) ||
      (given.partsSlide && effect.slider && !effect.values.some(({ slides }) => slides))
    )
      continue
    const { toFrame, width, height } = areaFrame(effect, place.area)
    // From where it is, or else from the middle.
    const at =
      pointer.over && place.isOn ? toFrame.transformPoint(pointer) : { x: width / 2, y: height / 2, ...slideAt(place, width, height) }
    const [across, along] = given.partsSlide ? slid(place, right, down) : [right, down]
    const x = limited(at.x + across * effect.arrowKeys * width, 0, width)
    const y = limited(at.y + along * effect.arrowKeys * height, 0, height)
    const to = toFrame.inverse().transformPoint({ x, y })
    if (given.hasPinch && by) return { type: 'pinch', timeStamp: t, clientX: to.x, clientY: to.y, target: place.area, buttons: 0, by }
    return { type: 'pointermove', timeStamp: t, clientX: to.x, clientY: to.y, target: place.area, buttons: 0, pointerType: 'mouse' }
  }
  return undefined
}

/** A slider goes along its own side by every key: to the right, and up as well, it goes on; one that goes down goes on downward. */
function slid({ followers }: Place, right: number, down: number): readonly [right: number, down: number] {
  const { slides } = followers.find(({ value }) => value.slides)?.value ?? {}
  return slides === 'x' ? [right - down, 0] : slides === 'y' ? [0, right + down] : [right, down]
}

/** Where the slider of a place is, px. */
function slideAt({ followers }: Place, width: number, height: number): { readonly x?: number; readonly y?: number } {
  if (!given.partsSlide) return {}
  const shown = followers.find(({ value }) => value.slides)
  if (!shown) return {}
  return shown.value.slides === 'x' ? { x: shown.target * width } : { y: shown.target * height }
}
