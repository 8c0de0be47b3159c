// Pan as a rig: how far a picture is larger than its frame, told by CSS or measured, and the way there and back by looks or by the pointer.
import type { Output, Rig, Rule, State, Target } from '../../rig/rig'
import { targetSelect } from '../../rig/resolve'
import { anyPicture, areaOn, channelsIn, groundOf, hoverOn, outputOn, rigOf, timed, whileOn } from '../build'
import type { Filled } from '../kind'
import { panParameters, type PanSettings } from './settings'

const { knob } = panParameters

/** By how many px a picture is larger than its frame, where it is measured, and how far along that it is (0..1). */
const wayProperty = '--pan-way'
const alongProperty = '--pan-along'

/** A step along the picture's axis, as the property `translate` has it. */
const step = (toward: PanSettings['toward'], length: string) => (toward === 'bottom' ? `0 ${length}` : `${length} 0`)

/** How far the picture slides until its far end is in view; what is smaller than its frame stays. */
function farOf(toward: PanSettings['toward'], isMeasured: boolean): string {
  if (isMeasured) return `var(${wayProperty}) * ${toward === 'left' ? '' : '-'}1px`
  if (toward === 'left') return 'max(0px, 100% - 100cqw)'
  return `min(0px, ${toward === 'right' ? '100cqw' : '100cqh'} - 100%)`
}

/** The rig of a pan: `select` is the frame, `picture` among the roles what travels in it. */
export function expandPan(settings: PanSettings, select: string, roles: Filled = {}): Rig {
  const { toward, by, comeMs, goMs, follow, room, lies } = settings
  const isAcross = toward !== 'bottom'
  const frame = lies === 'around' ? groundOf(select) : select
  const picture = { within: roles.picture ?? (lies === 'around' ? select : anyPicture) }
  const each = targetSelect(frame, picture)
  const isMeasured = by === 'pace' || room === 'script'
  const far = farOf(toward, isMeasured)
  const written = (to: Target, name: string, channel: string): Output =>
    outputOn(to, { on: 'property', name, unit: '', law: 'replace' }, { channel })
  // What of the picture does not fit is not to be seen.
  const rules: Rule[] = [
    { select: frame, css: { overflow: 'clip', ...(isMeasured ? {} : { 'container-type': isAcross ? 'inline-size' : 'size' }) } },
  ]
  const measured: Rig = rigOf(
    isMeasured
      ? {
          areas: [areaOn('sizes', frame, { box: 'live', pointer: 'any' })],
          channels: [
            channelsIn('sizes')('way', { of: isAcross ? 'excessX' : 'excessY' }, 'state', { kind: 'direct' }, { frame: { each } }),
          ],
          outputs: [written('self', wayProperty, 'way')],
        }
      : { areas: [] },
  )
  if (by === 'pointer') {
    const share = toward === 'left' ? `(1 - var(${alongProperty}))` : `var(${alongProperty})`
    const reading = channelsIn('frame')('along', { of: isAcross ? 'x' : 'y' }, 'travel', follow, {
      away: { kind: 'settle', pose: toward === 'left' ? 1 : 0 },
    })
    return rigOf({
      areas: [areaOn('frame', frame, { pointer: 'any', touch: isAcross ? 'drag-x' : 'drag-y', arrowKeys: 0.1 }), ...measured.areas],
      channels: [reading, ...measured.channels],
      outputs: [written(picture, alongProperty, 'along'), ...measured.outputs],
      rules: [...rules, { select: each, css: { translate: step(toward, `calc(${far} * ${share})`) } }],
    })
  }
  const state = (looks: State['looks'], css: State['css'], way: NonNullable<State['ways']>[number]): State => ({
    area: 'frame',
    looks,
    to: picture,
    css,
    ways: [way],
  })
  const way = (id: 'comes' | 'goes') => {
    const isThere = id === 'comes'
    return by === 'pace'
      ? { from: 'any' as const, feel: timed(0, 'linear'), lasts: `var(${wayProperty}) / {${isThere ? 'pace' : 'pace-back'}}` }
      : {
          from: 'any' as const,
          feel: timed(isThere ? comeMs : goMs, 'ease-in-out'),
          id,
          note: isThere ? 'how it goes there' : 'how it comes back',
        }
  }
  return rigOf({
    areas: [hoverOn('frame', frame), ...measured.areas],
    channels: measured.channels,
    outputs: measured.outputs,
    rules,
    knobs: by === 'pace' ? [knob(settings, 'goPxS'), knob(settings, 'backPxS')] : [],
    states: [
      state(['off'], { translate: '0 0' }, way('goes')),
      state(whileOn, { translate: step(toward, isMeasured ? `calc(${far})` : far) }, way('comes')),
    ],
  })
}
