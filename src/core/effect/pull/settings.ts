// Pull: its settings.
import { described, following, number, percent, returning, type SettingsOf } from '../parameters'

const parameters = {
  reachPx: number({
    title: 'It feels the pointer from',
    help: 'from how far outside its edge it begins to come',
    from: 48,
    inSample: 0.4,
    unit: 'px',
    least: 0,
    greatest: 400,
    step: 2,
    handle: { on: 'reach' },
  }),
  /** How much of the way from its middle to the pointer it goes. */
  sharePercent: percent({
    title: 'It comes',
    from: 32,
    greatest: 90,
    percentOf: { words: 'the way to the pointer' },
    knob: { id: 'share', note: 'how much of the way to the pointer it comes', per: 100, isAmount: true },
  }),
  mostPx: number({
    title: 'At most',
    help: 'it never goes further than this from home',
    from: 28,
    inSample: 0.5,
    unit: 'px',
    least: 1,
    greatest: 300,
    step: 1,
  }),
  innerPercent: percent({
    title: 'What it holds, beyond that',
    from: 14,
    greatest: 90,
    percentOf: { words: 'the way to the pointer' },
    knob: { id: 'inner', note: 'how much more of it what it holds comes', per: 100, isAmount: true },
  }),
  keepsPx: number({
    title: 'So much of it stays where it is pressed',
    help: 'so much of it stays where it stands, so that a press meets it',
    from: 24,
    unit: 'px',
    least: 0,
    greatest: 200,
    step: 2,
    row: 'more',
  }),
  follow: following('How it follows', { kind: 'spring', frequencyHz: 2.9, dampingRatio: 0.62 }),
  back: returning('How it goes home'),
}

export type PullSettings = SettingsOf<typeof parameters>
export const pullParameters = described(parameters)
export const { settings: pullSettings, defaults: pullDefaults } = pullParameters
