// Follow in words: its controls, its sentence and its line of time.
import type { Control, Piece } from '../control'
import { followingControls, followingPieces } from '../feel-controls'
import { plainControls } from '../plain-controls'
import { timeRange } from '../settings'
import { ranges, type FollowSettings } from './settings'

const { number, choice } = plainControls<FollowSettings>()

export const followControls: readonly Control<FollowSettings>[] = [
  choice('axes', { title: 'It goes', options: [{ value: 'both', words: 'wherever the pointer goes' }, { value: 'across', words: 'across with the pointer' }, { value: 'up-down', words: 'up and down with the pointer' }] }),
  number('acrossPx', { title: 'Across, at most', unit: 'px', ...ranges.limit, step: 10 }),
  number('upDownPx', { title: 'Up and down, at most', unit: 'px', ...ranges.limit, step: 10 }),
  number('offsetXPx', { title: 'To the right of the pointer', unit: 'px', ...ranges.offset, step: 2, knob: 'beside' }),
  number('offsetYPx', { title: 'Below the pointer', unit: 'px', ...ranges.offset, step: 2, knob: 'below' }),
  { kind: 'curve', id: 'path', title: 'Its path', drawing: 'curve', unit: 'px', across: { title: 'run', unit: '', from: 0, to: 1 }, read: ({ path }) => path, write: (settings, path) => ({ ...settings, path }) },
  number('leanDeg', { title: 'It leans, fast, by', unit: 'deg', ...ranges.lean, step: 1, knob: 'lean' }),
  choice('turns', { title: 'It turns', options: [{ value: 'no', words: 'not' }, { value: 'heading', words: 'to where the pointer heads' }] }),
  choice('away', { title: 'When away', drawing: 'flick', draws: 'follow', options: [{ value: 'home', words: 'it goes home' }, { value: 'stays', words: 'it stays where it was left' }] }),
  number('comeMs', { title: 'The time to come', unit: 'ms', ...timeRange, step: 20, drawing: 'strip' }),
  number('goMs', { title: 'The time to go', unit: 'ms', ...timeRange, step: 20, drawing: 'strip' }),
  ...followingControls<FollowSettings>('How it follows'),
]

export const followSentence = ({ axes }: FollowSettings): readonly Piece[] => [
  'In ', { role: 'ground' }, ', ', { role: 'mover' }, ' goes ', { control: 'axes' }, ', by at most ', ...(axes === 'up-down' ? [] : [{ control: 'acrossPx' }]), ...(axes === 'both' ? [' across and '] : []), ...(axes === 'across' ? [] : [{ control: 'upDownPx' }]), axes === 'both' ? ' up and down; it leans by ' : '; it leans by ', { control: 'leanDeg' }, '.',
]

export const followTime = ({ follow }: FollowSettings): readonly Piece[] => [...followingPieces({ follow }), '. When away ', { control: 'away' }, '.']
