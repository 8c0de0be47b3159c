// Letters as a rig: each letter of a text lies over where it stands, and CSS works out from where the pointer is how near it is.
import type { Knob, Part, Rig } from '../../rig/rig'
import { asOneSelector } from '../../rig/resolve'
import type { Slot } from '../../rig/slot'
import { areaOn, channelsIn, comingFeel, insetsOf, outputOn, rigOf } from '../build'
import { lettersParameters, type LettersSettings } from './settings'

const { knob, token } = lettersParameters

/** What the letters are told: where the pointer is, px, and how much of all this there is, 0..1. */
const told = { x: '--letters-x', y: '--letters-y', here: '--letters-here' } as const

const property = (name: string): Slot => ({ on: 'property', name, unit: '', law: 'add' })

const acrossTo = `(var(--letter-x) - var(${told.x}))`
const downTo = `(var(--letter-y) - var(${told.y}))`

/** How near a letter is: 1 at the pointer, 0 from where it does not reach any more, and round at both ends. */
const near = `calc(var(${told.here}) * (0.5 + 0.5 * cos(180deg * min(1, hypot(${acrossTo}, ${downTo}) / {reach}))))`

/** The share of a letter's way, straight away from the pointer, that lies along an axis. */
const aside = (way: string) => `calc(1px * {aside} * var(--near) * ${way} / max(1, hypot(${acrossTo}, ${downTo})))`

type Shown = Pick<LettersSettings, 'weight' | 'sizePercent' | 'risePx' | 'asidePx' | 'turnDeg' | 'blurPx' | 'colours'>

/** What moves a letter, as one transform; none where nothing does. */
function transformOf({ sizePercent, risePx, asidePx, turnDeg }: Shown): Part['css'] {
  const steps = [
    ...(asidePx !== 0 ? [`translate(${aside(acrossTo)}, ${aside(downTo)})`] : []),
    ...(risePx !== 0 ? ['translateY(calc(-1 * {rise} * var(--near)))'] : []),
    ...(turnDeg !== 0 ? ['rotate(calc({turn} * var(--near)))'] : []),
    ...(sizePercent !== 100 ? ['scale(calc(1 + ({size} - 1) * var(--near)))'] : []),
  ]
  return steps.length > 0 ? { transform: steps.join(' '), 'transform-origin': '50% 78%' } : {}
}

function letterCss(settings: Shown): Part['css'] {
  return {
    '--near': near,
    position: 'absolute',
    left: 'calc(1px * var(--letter-x))',
    top: 'calc(1px * var(--letter-y))',
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
  const { by, reachPx, colours, comeMs, goMs, follow } = settings
  const channel = channelsIn('text')
  const letters = { part: 'letters' }
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
    outputs: (['x', 'y', 'here'] as const).map((id) => outputOn(letters, property(told[id]), { channel: id })),
    parts: [
      { id: 'letters', area: 'text', lives: { atMostAt: 3 }, css: { position: 'absolute', inset: '0' } },
      { id: 'letter', area: 'text', inside: 'letters', holds: { lay: by }, css: letterCss(settings) },
    ],
    rules: [
      { select: `${asOneSelector(select)}:has(> [data-letters])`, css: { '-webkit-text-fill-color': 'transparent' } },
      { select, part: 'letter', css: { transform: 'none' }, isCalm: true },
    ],
  })
}
