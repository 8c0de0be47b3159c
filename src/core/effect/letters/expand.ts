// Letters as a rig: each letter of a text lies over where it stands, and CSS works out from where the pointer is how near it is.
import type { Knob, Part, Rig } from '../../rig/rig'
import { asOneSelector } from '../../rig/resolve'
import { areaOn, channelsIn, comingFeel, insetsOf, rigOf } from '../build'
import { lettersParameters, type LettersSettings } from './settings'

const { knob, token } = lettersParameters

type Shown = Pick<LettersSettings, 'weight' | 'sizePercent' | 'risePx' | 'asidePx' | 'turnDeg' | 'blurPx' | 'colours'>

/** What moves a letter, as one transform; none where nothing does. */
function transformOf({ sizePercent, risePx, asidePx, turnDeg }: Shown): Part['css'] {
  const steps = [
    ...(asidePx !== 0 ? ['translate(calc({aside} * var(--aside-x)), calc({aside} * var(--aside-y)))'] : []),
    ...(risePx !== 0 ? ['translateY(calc(-1 * {rise} * var(--near)))'] : []),
    ...(turnDeg !== 0 ? ['rotate(calc({turn} * var(--near)))'] : []),
    ...(sizePercent !== 100 ? ['scale(calc(1 + ({size} - 1) * var(--near)))'] : []),
  ]
  return steps.length > 0 ? { transform: steps.join(' '), 'transform-origin': '50% 78%' } : {}
}

function letterCss(settings: Shown): Part['css'] {
  return {
    '--near': '0',
    ...(settings.asidePx === 0 ? {} : { '--aside-x': '0', '--aside-y': '0' }),
    position: 'absolute',
    translate: '-50% -50%',
    'white-space': 'pre',
    'text-indent': '0',
    'font-weight':
      settings.weight > 0 ? 'calc(var(--letter-weight) + ({weight} - var(--letter-weight)) * var(--near))' : 'var(--letter-weight)',
    color:
      settings.colours === 'other'
        ? 'color-mix(in oklab, {colour} calc(100% * var(--near)), var(--letter-colour))'
        : 'var(--letter-colour)',
    '-webkit-text-fill-color': 'currentcolor',
    ...transformOf(settings),
    ...(settings.blurPx > 0 ? { filter: 'blur(calc({blur} * var(--near)))' } : {}),
  }
}

function knobsOf(settings: LettersSettings): readonly Knob[] {
  const { weight, sizePercent, risePx, asidePx, turnDeg, blurPx } = settings
  return [
    knob(settings, 'reachPx'),
    ...(weight > 0 ? [knob(settings, 'weight')] : []),
    ...(sizePercent !== 100 ? [knob(settings, 'sizePercent')] : []),
    ...(risePx !== 0 ? [knob(settings, 'risePx')] : []),
    ...(asidePx !== 0 ? [knob(settings, 'asidePx')] : []),
    ...(turnDeg !== 0 ? [knob(settings, 'turnDeg')] : []),
    ...(blurPx > 0 ? [knob(settings, 'blurPx')] : []),
  ]
}

/** The rig of letters of what `select` matches. */
export function expandLetters(settings: LettersSettings, select: string): Rig {
  const { by, reachPx, asidePx, colours, comeMs, goMs, follow } = settings
  const channel = channelsIn('text')
  return rigOf({
    areas: [areaOn('text', select, { insets: insetsOf(-Math.min(reachPx, 400)), among: 'all' })],
    channels: [
      channel('here', { of: 'inside' }, 'light', comingFeel(comeMs), { going: comingFeel(goMs) }),
      ...(['x', 'y'] as const).map((axis) =>
        channel(axis, { of: `${axis}Px` }, 'light', follow, { away: { kind: 'hold', pose: 0 }, seenBy: 'here' }),
      ),
    ],
    knobs: knobsOf(settings),
    tokens: colours === 'other' ? [token(settings, 'colour')] : [],
    parts: [
      { id: 'letters', area: 'text', lives: { atMostAt: 3 }, css: { position: 'absolute', inset: '0' } },
      {
        id: 'letter',
        area: 'text',
        inside: 'letters',
        holds: { lay: by, near: { x: 'x', y: 'y', here: 'here', reach: 'reach', ...(asidePx === 0 ? {} : { isAside: true }) } },
        css: letterCss(settings),
      },
    ],
    rules: [
      { select: `${asOneSelector(select)}:has(> [data-letters])`, css: { '-webkit-text-fill-color': 'transparent' } },
      { select, part: 'letter', css: { transform: 'none' }, isCalm: true },
    ],
  })
}
