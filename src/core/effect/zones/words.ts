// Zones in words: its sentence and its line of time.
import type { Piece } from '../control'
import type { ZonesSettings } from './settings'

export function zonesSentence({ where, cut, marginXPx, marginYPx }: ZonesSettings): readonly Piece[] {
  const count: readonly Piece[] =
    cut === 'nearest'
      ? []
      : cut === 'grid'
        ? [' of ', { control: 'columns' }, ' by ', { control: 'rows' }]
        : [': ', { control: cut === 'columns' ? 'columns' : 'rows' }]
  const margins: readonly Piece[] = [
    ...(cut === 'columns' || cut === 'grid' || marginXPx > 0 ? [{ control: 'marginXPx' }] : []),
    ...(cut === 'rows' || marginYPx > 0 ? [...(cut === 'columns' || cut === 'grid' ? [' and '] : []), { control: 'marginYPx' }] : []),
  ]
  return [
    'The pointer ',
    { control: 'where' },
    ...(where === 'area' ? [', ', { role: 'ground' }, ','] : []),
    ' chooses one of ',
    { role: 'zones' },
    ', by ',
    { control: 'cut' },
    ...count,
    ...(cut === 'nearest' ? [] : [' within margins of ', ...margins]),
    '; the others are seen at ',
    { control: 'othersPercent' },
    ', and ',
    { role: 'linked' },
    ' goes with it.',
  ]
}

export const zonesTime = ({ leaves }: ZonesSettings): readonly Piece[] => [
  'Comes in ',
  { control: 'comeMs' },
  ', goes in ',
  { control: 'goMs' },
  leaves === 'stays' ? '. The last one stays chosen.' : leaves === 'first' ? '. Then the first choice is back.' : '. Then none is chosen.',
]
