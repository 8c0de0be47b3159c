// Figures that play in some windows only: where their query holds, and what to do when that changes.
import type { PlayedFigure } from '../core/rig/played'

/** Whether a figure is for a window as wide as this one, and for a visitor of this kind. */
const applies = ({ media, notCalm }: PlayedFigure, reducedMotion: boolean): boolean => !(notCalm && reducedMotion) && (media === undefined || matchMedia(media).matches)

/** Calls `onChange` when a window becomes one that a figure is for, or is it no longer. */
function watch(figures: readonly PlayedFigure[], onChange: () => void, signal: AbortSignal): void {
  for (const { media } of figures) if (media !== undefined) matchMedia(media).addEventListener('change', onChange, { signal })
}

export const widths = { applies, watch }
