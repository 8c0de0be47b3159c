// Drift in words: its controls, its sentence and its line of time.
import type { Control, Piece } from '../control'
import { returnControls, followingControls, followingPieces } from '../feel-controls'
import { layerControls } from '../layers'
import { pinControls } from '../pin-controls'
import { plainControls } from '../plain-controls'
import { awayChoice } from '../away'
import { ranges, type DriftLayer, type DriftSettings } from './settings'

const { number, choice } = plainControls<DriftSettings>()

const unitOfLayers = ({ unit, kept }: DriftSettings) => (kept === 'enlarged' ? '%' : unit)

export const driftControls = (settings: DriftSettings): readonly Control<DriftSettings>[] => [
  ...layerControls<DriftLayer, DriftSettings>(settings, { title: 'The way', unit: unitOfLayers(settings), ...ranges.amount, greatest: unitOfLayers(settings) === '%' ? 100 : ranges.amount.greatest, step: 1, drawing: 'depths', percentOf: unitOfLayers(settings) === '%' ? { words: 'its own size' } : undefined }, ({ amount }) => amount, (layer, amount) => ({ ...layer, amount })),
  choice('way', { title: 'The layers slide', options: [{ value: 'against', words: 'against the pointer' }, { value: 'with', words: 'with the pointer' }] }),
  choice('axes', { title: 'They slide', options: [{ value: 'both', words: 'both ways' }, { value: 'across', words: 'across only' }, { value: 'up-down', words: 'up and down only' }] }),
  choice('unit', { title: 'The way is told in', options: [{ value: 'px', words: 'px' }, { value: '%', words: '% of each layer' }] }),
  choice('kept', { title: 'The layers', options: [{ value: 'free', words: 'may leave the box' }, { value: 'cut', words: 'are cut at the box' }, { value: 'enlarged', words: 'are enlarged to fill the box' }] }),
  number('turnDeg', { title: 'They turn by', unit: 'deg', ...ranges.turn, step: 1, knob: 'turn' }),
  number('scalePercent', { title: 'They grow by', unit: '%', ...ranges.scale, step: 1, percentOf: { words: 'their own size' } }),
  awayChoice<DriftSettings>('they lie as designed', 'they wait at the pin', 'they stay as they were left'),
  ...pinControls<DriftSettings>((changed) => ({ ...changed, away: 'settle' }), 'the box'),
  ...followingControls<DriftSettings>('How they follow'),
  ...returnControls<DriftSettings>('How they go back'),
]

/** The sentence names two layers; more of them are told by their number. */
export const driftSentence = ({ layers }: DriftSettings): readonly Piece[] => [
  'In ', { role: 'ground' }, ', ',
  ...layers.slice(0, 2).flatMap(({ id }, index): Piece[] => [...(index > 0 ? [' and '] : []), { role: id }, index === 0 ? ' slides by ' : ' by ', { control: id }]),
  ...(layers.length > 2 ? [`, and ${layers.length - 2} more by theirs`] : layers.length === 0 ? ['no layer slides yet'] : []),
  ', ', { control: 'way' }, ', ', { control: 'axes' }, '.',
]

export const driftTime = ({ follow }: DriftSettings): readonly Piece[] => [...followingPieces({ follow }), '. When away ', { control: 'away' }, '.']
