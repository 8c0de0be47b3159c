// What the player is told of a figure: where to listen, and which custom property follows which signal.
import type { PlayedChannel } from './play'
import type { Area } from './rig'

export interface PlayedFigure {
  /** How the console names it, should it fail. */
  readonly title: string
  readonly select: string
  readonly pointer: Area['pointer']
  readonly channels: readonly (PlayedChannel & { readonly property: string })[]
}
