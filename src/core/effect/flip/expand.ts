// Flip as a rig: two faces that turn about the middle of a card which stays where it is; the one that looks away is out of reach.
import type { Channel, Output, Rig, Rule, State } from '../../rig/rig'
import { asOneSelector } from '../../rig/resolve'
import { areaOn, channelsIn, hoverOn, outputOn, rigOf, timed, whileOn } from '../build'
import type { Filled } from '../kind'
import { flipParameters, isBySide, type FlipSettings } from './settings'

const { knob } = flipParameters

/** 1 or -1: which way it turns over, where that hangs on the side that the pointer came from. */
const wayProperty = '--flip-way'

const turning = (durationMs: number) => timed(durationMs, 'cubic-bezier(0.4, 0.1, 0.2, 1)')

/** The half turn of a face beyond `from` degrees, as CSS writes it. */
function halfTurn(turns: FlipSettings['turns'], from: 0 | 180): string {
  // Seen from the front, what is turned by more than 0 about the upright axis goes to the right, about the level axis upward.
  if (isBySide(turns)) return `calc(${from === 0 ? '' : `${from}deg + `}var(${wayProperty}) * 180deg)`
  return `${from + (turns === 'right' || turns === 'up' ? 180 : -180)}deg`
}

/** The side by which the pointer came in as the way that it turns: the edge that it came over goes back. */
function bySide(turns: 'side-x' | 'side-y'): { readonly channel: Channel; readonly output: Output } {
  const isAcross = turns === 'side-x'
  // The signal tells 1 for right and 3 for left, 0 for above and 2 for below.
  const channel = channelsIn('card')(
    'side',
    { of: 'entrySide', axis: isAcross ? 'x' : 'y' },
    'state',
    { kind: 'direct' },
    { away: { kind: 'hold', pose: isAcross ? 1 : 0 } },
  )
  const slot = { on: 'property', name: wayProperty, unit: '', law: 'replace' } as const
  return { channel, output: outputOn('self', slot, { base: isAcross ? 2 : 1, factor: -1, channel: 'side' }) }
}

/** The rig of a flip: `select` is the card; `front` and `back` among the roles are its faces, by its first two elements where they were not pointed at. */
export function expandFlip(settings: FlipSettings, select: string, roles: Filled = {}): Rig {
  const { turns, turnMs, returnMs, keys, layers, display } = settings
  const card = asOneSelector(select)
  const front = roles.front ?? `${card} > :nth-child(1 of :not([data-part]))`
  const back = roles.back ?? `${card} > :nth-child(2 of :not([data-part]))`
  if (front === back) return rigOf({ areas: [areaOn('card', select)] })
  const axis = turns === 'up' || turns === 'down' || turns === 'side-y' ? 'x' : 'y'
  const takesFocus = keys === 'card'
  const side = isBySide(turns) ? bySide(turns) : undefined
  const needsScript = takesFocus || side !== undefined

  const face = (within: string, from: 0 | 180, isTurned: boolean): State => {
    const isSeen = (from === 0) !== isTurned
    return {
      area: 'card',
      looks: isTurned ? whileOn : ['off'],
      to: { within },
      css: {
        rotate: `${axis} ${isTurned ? halfTurn(turns, from) : `${from}deg`}`,
        // What looks away can neither be focused nor is it read; what is seen lies on top, where nothing turns.
        visibility: isSeen ? 'visible' : 'hidden',
        'z-index': isSeen ? '1' : '0',
      },
      ways: [
        {
          from: 'any',
          feel: turning(isTurned ? turnMs : returnMs),
          id: isTurned ? 'turns' : 'returns',
          note: isTurned ? 'how it turns over' : 'how it turns back',
        },
      ],
      ...(takesFocus && !isSeen ? { attributes: { inert: '' } } : {}),
    }
  }
  const played = needsScript ? { whilePlayed: true } : {}
  // Without the script that turns it both faces are there, one after the other.
  const rules: Rule[] = [
    {
      select,
      css: { perspective: '{perspective}', ...(layers === 'over' ? { display: display === 'inline' ? 'inline-grid' : 'grid' } : {}) },
      ...played,
    },
    { select: `:is(${front}, ${back})`, css: { 'backface-visibility': 'hidden', ...(layers === 'over' ? { 'grid-area': '1 / 1' } : {}) } },
  ]
  return rigOf({
    areas: [hoverOn('card', select)],
    channels: side ? [side.channel] : [],
    outputs: side ? [side.output] : [],
    knobs: [knob(settings, 'perspectivePx')],
    rules,
    states: [
      ...(takesFocus
        ? [{ area: 'card', looks: ['off', ...whileOn] as State['looks'], to: 'self' as const, css: {}, attributes: { tabindex: '0' } }]
        : []),
      face(front, 0, false),
      face(back, 180, false),
      face(front, 0, true),
      face(back, 180, true),
    ],
  })
}
