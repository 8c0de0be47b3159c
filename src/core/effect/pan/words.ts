// Pan in words: its sentence and its line of time.
import type { Piece } from '../control'
import { followingPieces } from '../feel-controls'
import type { PanSettings } from './settings'

export const panSentence = (): readonly Piece[] => [
  'In ',
  { role: 'frame' },
  ' ',
  { role: 'picture' },
  ' travels to ',
  { control: 'toward' },
  ' ',
  { control: 'by' },
  '.',
]

export const panTime = ({ by, room, follow }: PanSettings): readonly Piece[] => {
  if (by === 'pointer') return [...followingPieces({ follow }), '.']
  if (by === 'pace')
    return [
      'Goes there at ',
      { control: 'goPxS' },
      ', back at ',
      { control: 'backPxS' },
      '. CSS cannot work out a time from a length, so a script measures how far that is.',
    ]
  return [
    'Goes there in ',
    { control: 'comeMs' },
    ', back in ',
    { control: 'goMs' },
    room === 'script' ? '. A script measures how far that is.' : '. CSS does all of it.',
  ]
}
