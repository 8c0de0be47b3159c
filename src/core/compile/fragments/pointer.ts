/** The pointer: where it is and was, what it is over, its buttons, and since when. */
export const pointer = {
  x: 0,
  y: 0,
  fromX: 0,
  fromY: 0,
  over: null as Element | null,
  buttons: 0,
  isTouch: false,
  isByKeys: false,
  wheelPx: 0,
  pinch: 1,
  turns: 0,
  time: 0,
}
