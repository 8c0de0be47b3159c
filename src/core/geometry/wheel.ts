// What a turn of a wheel is.

/** A turn as the browser tells it (UI Events: `deltaMode` 0 px, 1 lines, 2 pages). */
export interface Turn {
  readonly deltaY: number
  readonly deltaMode: number
}

/** How far a page is scrolled by it, px: a line is 18. */
export const turnedPx = ({ deltaY, deltaMode }: Turn): number => deltaY * (deltaMode ? 18 : 1)

/** How many times as large a turn makes what is zoomed: e times by 300 px, and never by more than half. */
export const zoomBy = (turn: Turn): number => Math.exp(-Math.max(-120, Math.min(120, turnedPx(turn))) / 300)
