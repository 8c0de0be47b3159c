// Rows as a rig: one channel tells how far the face of a row has rolled in, from the side of entry, and out by that of leaving; the
// picture of a row comes by the same, and follows the pointer in the window.
import type { Channel, Knob, Output, Part, Rig, Rule, State } from '../../rig/rig'
import { areaOn, channelsIn, comingFeel, coverCss, outputOn, rigOf, sliding, timed, whileOn } from '../build'
import type { Filled } from '../kind'
import { rowsParameters, type RowsSettings } from './settings'

const { knob } = rowsParameters

/** 1 is a whole height below, -1 one above; of the sides left and right, which there are for no row, the nearer of these counts. */
const bySide = [-1, 1, 1, -1] as const

/** The face that was there is always a whole height ahead of the one that comes: below it as that comes from above, above it as it goes down. */
const ahead: Output['curve'] = {
  stops: [
    { at: -1, value: 0 },
    { at: 0, value: 1 },
    { at: 0.0001, value: -1 },
    { at: 1, value: 0 },
  ],
}

/** The rig of rows that `select` matches; `off` and `on` among the roles are the two faces of each, `picture` what is shown of it. */
export function expandRows(settings: RowsSettings, select: string, { off, on, picture }: Filled = {}): Rig {
  const { layers, comeMs, goMs } = settings
  const channel = channelsIn('row')
  if (on === undefined || on === off) return rigOf({ areas: [areaOn('row', select)] })
  const roll = channel(
    'roll',
    { of: 'look', values: { off: 1, on: 0 }, axis: 'y', enterFrom: bySide, leaveTo: bySide },
    'state',
    comingFeel(comeMs),
    { going: comingFeel(goMs) },
  )
  const faces = [on, ...(off === undefined ? [] : [off])]
  const shown = picture === undefined ? undefined : pictureOf(settings, picture)
  // A face that goes is seen until it is gone.
  const state = (looks: State['looks'], within: string, visibility: 'visible' | 'hidden', ms: number): State => ({
    area: 'row',
    looks,
    to: { within },
    css: { visibility },
    ways: [{ from: 'any', feel: timed(ms, 'linear') }],
  })
  const isPushed = settings.off === 'pushed' && off !== undefined
  const rules: Rule[] = [
    { select, css: { overflow: 'clip', ...(layers === 'over' ? { display: 'grid' } : {}) }, whilePlayed: true },
    ...(layers === 'over' ? faces.map((face) => ({ select: face, css: { 'grid-area': '1 / 1' } })) : []),
    // Nothing rolls for those who prefer it so: one face is there, or the other.
    ...faces.map((face) => ({ select: face, css: { transform: 'none' }, isCalm: true })),
    ...(shown ? [{ select, part: 'shot', css: { transform: 'none' }, isCalm: true }] : []),
    ...(shown && settings.picture === 'pointer'
      ? [{ select, part: 'picture', css: { transform: 'none', inset: 'auto 4vw 4vh auto' }, isCalm: true }]
      : []),
  ]
  return rigOf({
    areas: [areaOn('row', select, { pointer: 'any', touch: 'tap', byHit: true, looks: { goDelayMs: 0, atMostOne: true, keys: true } })],
    channels: [roll, ...(shown?.channels ?? [])],
    knobs: shown?.knobs ?? [],
    outputs: [
      outputOn({ within: on }, sliding('Y', '%'), { factor: 100, channel: 'roll' }),
      ...(isPushed ? [outputOn({ within: off }, sliding('Y', '%'), { factor: 100, channel: 'roll', curve: ahead })] : []),
      ...(shown?.outputs ?? []),
    ],
    parts: shown?.parts ?? [],
    rules,
    states: [
      // What is out of sight is neither read nor focused.
      state(['off'], on, 'hidden', goMs),
      state(whileOn, on, 'visible', 0),
      ...(isPushed ? [state(['off'], off, 'visible', 0), state(whileOn, off, 'hidden', comeMs)] : []),
      ...(shown?.states ?? []),
    ],
  })
}

type Shown = Pick<Rig, 'channels' | 'knobs' | 'outputs' | 'parts'> & { readonly states: readonly State[] }

/** The picture of a row: a part that is there only with the pointer, at two rows at most, the one of the current row on top. */
function pictureOf(settings: RowsSettings, picture: string): Shown {
  const { follow, besideXPx, besideYPx, placeX, placeY, goMs } = settings
  const channel = channelsIn('row')
  const rides = settings.picture === 'pointer'
  // Where the pointer is in the window: the picture stands beside it, but for those who prefer less motion.
  const there = { frame: 'window', away: { kind: 'hold', pose: 0 } } as const
  const axes = ['x', 'y'] as const
  const channels: readonly Channel[] = rides
    ? [
        channel('there', { of: 'inside' }, 'state', { kind: 'direct' }, { frame: 'window', going: comingFeel(goMs) }),
        ...axes.map((axis) => channel(axis, { of: axis === 'x' ? 'xPx' : 'yPx' }, 'state', follow, { ...there, seenBy: 'there' })),
      ]
    : []
  const px = (value: number) => `${value}px`
  const parts: readonly Part[] = [
    {
      id: 'picture',
      area: 'row',
      lives: { atMostAt: 2 },
      css: {
        position: 'fixed',
        left: rides ? px(besideXPx) : `calc(${placeX}vw - {picture-width} / 2)`,
        top: rides ? px(besideYPx) : `calc(${placeY}vh - {picture-height} / 2)`,
        width: '{picture-width}',
        height: '{picture-height}',
        overflow: 'clip',
        'border-radius': '{picture-radius}',
        'z-index': '1',
      },
    },
    {
      id: 'shot',
      area: 'row',
      inside: 'picture',
      holds: { picture: { within: picture } },
      css: { ...coverCss, 'background-size': 'cover', 'background-position': 'center' },
    },
  ]
  const knobs: readonly Knob[] = [knob(settings, 'pictureWidthPx'), knob(settings, 'pictureHeightPx'), knob(settings, 'radiusPx')]
  return {
    channels,
    knobs,
    outputs: [
      ...(rides ? axes.map((axis) => outputOn({ part: 'picture' }, sliding(axis === 'x' ? 'X' : 'Y'), { channel: axis })) : []),
      outputOn({ part: 'shot' }, sliding('Y', '%'), { factor: 100, channel: 'roll' }),
    ],
    parts,
    states: [
      { area: 'row', looks: whileOn, to: { part: 'picture' }, css: { 'z-index': '2' } },
      { area: 'row', looks: ['off', ...whileOn], to: { within: picture }, css: { display: 'none' } },
    ],
  }
}
