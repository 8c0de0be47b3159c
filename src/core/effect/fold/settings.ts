// Fold: its settings.
import { softSpring } from '../build'
import { away, choice, colour, described, following, number, percent, pinned, returning, type SettingsOf } from '../parameters'

const ofTheHeading = { words: 'the width of the heading', length: 'width' } as const

const parameters = {
  /** From the left edge of the heading. */
  cornerPercent: percent({
    title: 'Where the corner stands',
    from: 42,
    least: 5,
    greatest: 95,
    percentOf: ofTheHeading,
    knob: { id: 'corner', note: 'where the corner stands, as a share of the heading', per: 100 },
  }),
  angleDeg: number({
    title: 'The slant of the walls',
    from: 26,
    inSample: 1.4,
    unit: 'deg',
    least: 0,
    greatest: 45,
    step: 1,
    knob: { id: 'angle', note: 'how far each wall is skewed', isAmount: true },
  }),
  corner: choice({
    title: 'The corner comes',
    help: 'whether the corner stands out to you, or goes in like an open book',
    from: 'outer',
    options: { outer: 'toward you', inner: 'away from you' },
    row: 'more',
  }),
  shadePercent: percent({
    title: 'The shade on the second wall',
    from: 30,
    percentOf: { words: 'full shade' },
    knob: { id: 'dark', note: 'how dark the second wall is', per: 100, isAmount: true },
  }),
  shade: colour({
    title: 'The colour of the shade',
    from: '#10140f',
    row: 'more',
    token: { id: 'shade', note: 'the colour of the shade' },
  }),
  ground: colour({
    title: 'The walls are of',
    from: 'transparent',
    takesBackgrounds: true,
    row: 'more',
    token: { id: 'ground', note: 'what both walls are made of' },
  }),
  /** How far the words slide at either edge. */
  travelPercent: percent({
    title: 'The way the words slide',
    from: 12,
    greatest: 60,
    percentOf: ofTheHeading,
    knob: { id: 'travel', note: 'how far the words slide at either edge, as a share of the heading', per: 100, isAmount: true },
  }),
  direction: choice({
    title: 'The words slide',
    help: 'which way the words slide over the walls',
    from: 'against',
    options: { against: 'against the pointer', with: 'with the pointer' },
  }),
  away: away('the words stand in the middle', 'they wait at the pin', 'they stay as they were left'),
  pose: pinned('the heading', 'settle', { axes: ['x'] }),
  follow: following('How the words follow', softSpring),
  back: returning('How they go back'),
}

export type FoldSettings = SettingsOf<typeof parameters>
export const foldParameters = described(parameters)
export const { settings: foldSettings, defaults: foldDefaults } = foldParameters
