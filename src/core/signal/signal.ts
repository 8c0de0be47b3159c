// Signals: numbers read from the pointer in a frame of reference. Data only; `readers.ts` reads them.
import type { Timed } from '../feel/timed'
import type { Look } from '../look/look'

export type Axis = 'x' | 'y'

export type Signal =
  /** 0..1 between the insets of the padding box; held at the ends, or running on. */
  | { readonly of: 'x' | 'y' | 'centredX' | 'centredY'; readonly beyond?: 'clamp' | 'extend' | undefined }
  /** px from the left or upper edge of the padding box, or from that of the border box, or from the middle. */
  | { readonly of: 'xPx' | 'yPx'; readonly from?: 'padding' | 'border' | 'centre' | undefined }
  /** px from the middle, or from the edge of the border box: negative inside. */
  | { readonly of: 'distance'; readonly from: 'centre' | 'edge' }
  /** Degrees clockwise from up, unwrapped: where the pointer is seen from the middle, or which way it moves. */
  | { readonly of: 'angle' | 'heading' }
  /** px/s; it halves every 50 ms. */
  | { readonly of: 'speed' }
  /** Which of columns x rows, row by row from 0, or which of the elements that `among` matches is nearest. */
  | { readonly of: 'zone'; readonly columns: number; readonly rows: number; readonly hysteresisPx?: number | undefined }
  | { readonly of: 'nearest'; readonly among: string; readonly hysteresisPx?: number | undefined }
  /** 0 or 1. */
  | { readonly of: 'inside' | 'pressed' | 'focus' }
  /** 1 once the pointer has travelled less than 3 px for so long. */
  | { readonly of: 'still'; readonly afterMs: number }
  /** 0 when the pointer is away, 1 when it is there, with times to come and to go. */
  | { readonly of: 'here'; readonly come: Timed; readonly go: Timed }
  /** Which side it came in or went out by: 0 top, 1 right, 2 bottom, 3 left; on one axis where given. */
  | { readonly of: 'entrySide' | 'exitSide'; readonly axis?: Axis | undefined }
  /** px in the frame, as it was so long ago. */
  | { readonly of: 'past'; readonly axis: Axis; readonly lagMs: number }
  /** 0..1 over each period of the trace's clock, while the pointer is there. */
  | { readonly of: 'time'; readonly periodMs: number }
  /** A number for each look; those left out are as `off`. `others`: what any other match shows. */
  | { readonly of: 'look'; readonly values: LookValues; readonly whose?: 'others' | undefined; readonly enterFrom?: Pose | undefined; readonly leaveTo?: Pose | undefined }

export type LookValues = { readonly off: number } & { readonly [name in Exclude<Look, 'off'>]?: number | undefined }

/** One value, or one for each side: top, right, bottom, left. */
export type Pose = number | readonly [number, number, number, number]

export type SignalName = Signal['of']
