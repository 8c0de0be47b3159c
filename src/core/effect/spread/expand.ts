// Spread as a rig: panels that grow by `flex-grow` while they are met, with contents that come then, and hold their width meanwhile.
import type { Rig, Rule, State } from '../../rig/rig'
import { asCompound, asOneSelector, targetSelect } from '../../rig/resolve'
import { areaOn, groundOf, rigOf, timed, whileOn } from '../build'
import type { Filled } from '../kind'
import { spreadParameters, type SpreadSettings } from './settings'

const { knob } = spreadParameters

const easing = 'cubic-bezier(0.3, 0.7, 0.2, 1)'

const eased = (durationMs: number) => timed(durationMs, easing)

/** The width of contents in an open panel: its share of what gaps and paddings leave of the row, which is what `flex-grow` shares out. */
const openWidth = 'calc((100cqw - ({count} - 1) * {gap} - {count} * {beside}) * {grows} / ({count} - 1 + {grows}))'

/** The same in a grid, whose tracks have paddings in them. */
const openTrack = 'calc((100cqw - ({count} - 1) * {gap}) * {grows} / ({count} - 1 + {grows}) - {beside})'

type Looks = State['looks']

/** The rules of a grid: its tracks while none of its panels is met, and while each of them is. */
function tracksOf({ along, panels, growsTimes, comeMs, goMs }: SpreadSettings, row: string, select: string): readonly Rule[] {
  const property = along === 'across' ? 'grid-template-columns' : 'grid-template-rows'
  const met = ':is(:hover, :focus-visible, :has(:focus-visible))'
  // Each by itself: browsers take no repeat() from one list to another.
  const tracks = (open?: number) => Array.from({ length: panels }, (_, i) => `${i === open ? growsTimes : 1}fr`).join(' ')
  const taking = (ms: number) => `${property} ${ms}ms ${easing}`
  return [
    { select: row, css: { [property]: tracks() } },
    ...Array.from({ length: panels }, (_, i) => ({
      select: `${row}:has(> ${asCompound(select)}:nth-child(${i + 1} of ${select})${met})`,
      css: { [property]: tracks(i) },
    })),
    { select: row, css: { transition: taking(goMs) }, isMotion: true },
    { select: `${row}:has(> ${asCompound(select)}${met})`, css: { transition: taking(comeMs) }, isMotion: true },
  ]
}

/** Whether it can be told by CSS alone; else why not, in words. */
export function reasonOf({ plays, first, stays }: SpreadSettings): string | undefined {
  if (plays !== 'page') return 'CSS cannot play a video'
  if (first > 0) return 'CSS cannot have one open until another is met'
  return stays ? 'CSS forgets which was the last one' : undefined
}

/** What moving pictures do. */
function mediaOf({ plays, resumes }: SpreadSettings, isOpen: boolean): State['media'] {
  if (plays === 'page') return undefined
  if (plays === 'never') return 'pause'
  if (plays === 'always') return 'play'
  return !isOpen ? 'pause' : resumes === 'start' ? 'restart' : 'play'
}

/** The rig of panels that `select` matches; `content` among the roles is what comes in them, else all that is directly in them but a heading. */
export function expandSpread(settings: SpreadSettings, select: string, { content }: Filled = {}): Rig {
  const { along, lays, off, dimPercent, isHeld, plays, first, stays, stackBelowPx, comeMs, goMs } = settings
  const row = groundOf(select)
  const inside = content ?? `${asOneSelector(select)} > :not(h1, h2, h3, h4, h5, h6, [data-part])`
  const isAcross = along === 'across'
  const holds = isHeld && isAcross
  // What a script tells is told on panels; their grid is a flex box then.
  const isGrid = lays === 'grid' && reasonOf(settings) === undefined
  const isLaid = lays === 'effect' || (lays === 'grid' && !isGrid)
  const state = (looks: Looks, to: State['to'], css: State['css']): State => ({
    area: 'panel',
    looks,
    to,
    css,
    ways: [
      {
        from: 'any',
        feel: eased(looks.includes('off') ? goMs : comeMs),
        id: looks.includes('off') ? 'closes' : 'opens',
        note: looks.includes('off') ? 'how it closes' : 'how it opens',
      },
    ],
  })
  const contents: readonly State[] =
    off === 'seen'
      ? []
      : [
          state(['off'], { within: inside }, { opacity: off === 'dim' ? String(dimPercent / 100) : '0' }),
          state(whileOn, { within: inside }, { opacity: '1' }),
        ]
  // A picture that is the ground of a panel is content too.
  const ground: State['css'] = off === 'none' ? { 'background-image': 'none' } : {}
  const playing: readonly State[] =
    plays === 'page'
      ? []
      : [
          { area: 'panel', looks: ['off'], to: { within: 'video, audio' }, css: {}, media: mediaOf(settings, false) },
          { area: 'panel', looks: whileOn, to: { within: 'video, audio' }, css: {}, media: mediaOf(settings, true) },
        ]
  const rules: Rule[] = [
    {
      select: row,
      css: {
        gap: '{gap}',
        ...(isLaid ? { display: 'flex', 'flex-direction': isAcross ? 'row' : 'column' } : {}),
        // What is in it is as wide as the row lets it be.
        ...(holds ? { 'container-type': 'inline-size' } : {}),
      },
    },
    { select, css: { ...(isLaid ? { 'flex-basis': '0' } : {}), [isAcross ? 'min-width' : 'min-height']: '0', overflow: 'clip' } },
    ...(holds ? [{ select: targetSelect(select, { within: inside }), css: { width: isGrid ? openTrack : openWidth } }] : []),
    ...(isGrid ? tracksOf(settings, row, select) : []),
  ]
  return rigOf({
    areas: [
      areaOn('panel', select, {
        box: 'live',
        pointer: 'any',
        touch: 'tap',
        looks: {
          goDelayMs: 0,
          atMostOne: stays || first > 0,
          keys: true,
          ...(first > 0 ? { first: first - 1 } : {}),
          ...(stays ? { stays: true } : {}),
        },
      }),
    ],
    knobs: [
      knob(settings, 'growsTimes'),
      knob(settings, 'gapPx'),
      ...(holds ? [knob(settings, 'panels'), knob(settings, 'besidePx')] : []),
    ],
    rules,
    states: [
      ...(isGrid
        ? Object.keys(ground).length > 0
          ? [state(['off'], 'self', ground), state(whileOn, 'self', {})]
          : []
        : [state(['off'], 'self', { 'flex-grow': '1', ...ground }), state(whileOn, 'self', { 'flex-grow': '{grows}' })]),
      ...contents,
      ...playing,
    ],
    media: stackBelowPx > 0 ? `(min-width: ${stackBelowPx}px)` : undefined,
  })
}
