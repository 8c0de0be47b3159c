// Crop as a rig: hover looks that CSS tells by itself. What is cut is the picture, so that the frame stays under the pointer as it is.
import type { Rig, State } from '../../rig/rig'
import { anyPicture, comingFeel, groundOf, hoverOn, rigOf, whileOn } from '../build'
import type { Filled } from '../kind'
import { cropParameters, type CropSettings } from './settings'

const { knob } = cropParameters

/**
 * The clip of a picture that is `size` times as large as its frame, in its own coordinates: an edge of the frame that has come in by `inset`
 * is there `(inset + 50% * (size - 1)) / size` from the picture's own.
 */
function drawnIn(grows: boolean, isRound: boolean): string {
  const size = '(1 + {grows})'
  const inset = grows ? `calc(({inset} + 50% * {grows}) / ${size})` : '{inset}'
  const corners = grows ? `calc({corners} / ${size})` : '{corners}'
  return `inset(${inset}${isRound ? ` round ${corners}` : ''})`
}

/** The rig of a crop: `select` is the frame, `picture` among the roles what grows in it. */
export function expandCrop(settings: CropSettings, select: string, roles: Filled = {}): Rig {
  const { by, growPercent, radiusPx, lies, comeMs, goMs } = settings
  const frame = lies === 'around' ? groundOf(select) : select
  const picture = roles.picture ?? (lies === 'around' ? select : anyPicture)
  const [grows, isRound] = [growPercent > 0, radiusPx > 0]
  const state = (looks: State['looks'], css: State['css'], durationMs: number, id: 'comes' | 'goes'): State => ({
    area: 'frame',
    looks,
    to: { within: picture },
    css,
    ways: [{ from: 'any', feel: comingFeel(durationMs), id, note: id === 'comes' ? 'how it comes' : 'how it goes' }],
  })
  return rigOf({
    areas: [hoverOn('frame', frame)],
    knobs: [
      knob(settings, by === 'px' ? 'insetPx' : 'insetPercent'),
      ...(isRound ? [knob(settings, 'radiusPx')] : []),
      ...(grows ? [knob(settings, 'growPercent')] : []),
    ],
    states: [
      state(['off'], { 'clip-path': `inset(0${isRound ? ' round 0' : ''})` }, goMs, 'goes'),
      state(whileOn, { 'clip-path': drawnIn(grows, isRound), ...(grows ? { scale: 'calc(1 + {grows})' } : {}) }, comeMs, 'comes'),
    ],
  })
}
