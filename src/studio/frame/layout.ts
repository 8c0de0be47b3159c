// Where the visitor's windows lie on the plate: as large as fits beside the panels, or as large as was asked, and moved by hand.
import type { WindowSize } from '../visitor'

/** How the page is shown: as large as fits, or so many times its size; px of the plate by which it was moved from where it lies by itself. */
export interface Zoom {
  readonly scale: 'fit' | number
  readonly x: number
  readonly y: number
}

/** The plate in a window of 1280 x 800, before it is measured, px. */
export const usualPlate: WindowSize = { width: 1236, height: 564 }

export const fitted: Zoom = { scale: 'fit', x: 0, y: 0 }

/** How large and how small a page is shown. */
export const zoomRange = { least: 0.1, most: 4 } as const

/** What is kept free around the windows, and between them; and what a title above a window takes, px. */
const margin = 10
const plainGap = 14
const titleHigh = 26
/** A panel beside the page is so wide at least, and has more where the page leaves it, px. */
export const narrowPanel = 300
const widePanel = 580
/** A page is not made smaller than this for a panel's sake; it lies under the panel then. */
const leastFit = 0.6

export interface Place {
  readonly left: number
  readonly top: number
}

export interface PlateLayout {
  readonly scale: number
  /** The upper left corners of the windows, whole px of the plate, so that the pointer is read in the page where it is seen. */
  readonly places: readonly Place[]
  /** How wide the room beside the page is, where panels stand, px. */
  readonly beside: number
}

interface LaidOut {
  /** The plate, px. */
  readonly space: WindowSize
  readonly windows: readonly WindowSize[]
  readonly zoom?: Zoom
  /** What stands beside windows that are compared, px. */
  readonly panel?: number
}

/** The scale at which these windows fit, one beside the other or one above the other. */
const fitOf = (windows: readonly WindowSize[], room: WindowSize, isStacked: boolean, gap: number): number => {
  const [along, across] = isStacked ? (['height', 'width'] as const) : (['width', 'height'] as const)
  const sum = windows.reduce((total, each) => total + each[along], 0)
  const most = Math.max(...windows.map((each) => each[across]))
  return Math.min((room[along] - gap * (windows.length - 1)) / sum, room[across] / most)
}

/** Lays the windows out. One window leaves room for a panel beside it; several have all there is but a panel that belongs to them. */
export function layOutPlate({ space, windows, zoom = fitted, panel = 0 }: LaidOut): PlateLayout {
  const isOne = windows.length === 1
  // Windows that are compared have titles.
  const title = isOne || panel === 0 ? 0 : titleHigh
  const gap = Math.max(plainGap, title)
  const room = { width: Math.max(1, space.width - 2 * margin), height: Math.max(1, space.height - 2 * margin - title) }
  const whole = fitOf(windows, room, false, gap)
  const free = room.width - (windows[0]?.width ?? 0) * Math.min(1, whole)
  const beside = isOne ? Math.min(widePanel, Math.max(narrowPanel, free)) : panel
  const left = { ...room, width: Math.max(1, room.width - beside) }
  const isStacked = !isOne && panel > 0 && fitOf(windows, left, true, gap) > fitOf(windows, left, false, gap)
  const fit = Math.min(
    1,
    isOne ? Math.max(Math.min(whole, leastFit), fitOf(windows, left, false, gap)) : fitOf(windows, left, isStacked, gap),
  )
  const scale = zoom.scale === 'fit' ? fit : zoom.scale
  const sizes = windows.map(({ width, height }) => ({ width: width * scale, height: height * scale }))
  const all = {
    width: isStacked ? Math.max(...sizes.map(({ width }) => width)) : sizes.reduce((sum, { width }) => sum + width + gap, -gap),
    height: isStacked ? sizes.reduce((sum, { height }) => sum + height + gap, -gap) : Math.max(...sizes.map(({ height }) => height)),
  }
  const start = { left: startAt(all.width, left.width, zoom.x), top: title + startAt(all.height, left.height, zoom.y) }
  const before = (index: number, side: 'width' | 'height') => sizes.slice(0, index).reduce((sum, each) => sum + each[side] + gap, 0)
  return {
    scale,
    beside: Math.floor(beside),
    places: sizes.map(({ width, height }, index) => ({
      left: Math.round(start.left + (isStacked ? (all.width - width) / 2 : before(index, 'width'))),
      top: Math.round(start.top + (isStacked ? before(index, 'height') : (all.height - height) / 2)),
    })),
  }
}

/** Where what is so long begins: in the middle of what is free, or at its edge where it is longer; moved by hand, but never out of sight. */
function startAt(length: number, room: number, moved: number): number {
  const rest = margin + Math.max(0, (room - length) / 2)
  const seen = Math.min(length, room, 80)
  return Math.min(margin + room - seen, Math.max(margin + seen - length, rest + moved))
}

/** The zoom at which a point of the plate stays where it is while the scale becomes another. */
export function zoomAbout(space: WindowSize, windows: readonly WindowSize[], zoom: Zoom, to: number, at: Place): Zoom {
  const scale = Math.min(zoomRange.most, Math.max(zoomRange.least, to))
  const before = layOutPlate({ space, windows, zoom })
  const plain = layOutPlate({ space, windows, zoom: { scale, x: 0, y: 0 } })
  const [first, last] = [before.places[0], plain.places[0]]
  if (!first || !last) return { ...zoom, scale }
  const ratio = scale / before.scale
  return { scale, x: at.left - (at.left - first.left) * ratio - last.left, y: at.top - (at.top - first.top) * ratio - last.top }
}
