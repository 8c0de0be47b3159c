// Rows: list rows whose other face rolls in from the side they are entered by, with a picture of the current one.
import { comingFeel } from '../build'
import { state } from '../families'
import type { Kind } from '../kind'
import type { Sample } from '../samples'
import { expandRows } from './expand'
import { rowsDefaults, rowsParameters, rowsSettings, type RowsSettings } from './settings'
import { rowsSentence, rowsTime } from './words'

/** Four rows of two faces. */
const row = '<div class="row"><div class="off"><i></i></div><div class="on"><i></i></div></div>'
const sample: Sample = {
  html: `<div class="sample">${row}${row}${row}${row}</div>`,
  css: `.sample { width: 58px; height: 76px; }
  .row { height: 18px; border-bottom: 1px solid #b9c0b6; overflow: clip; display: grid; }
  .off, .on { grid-area: 1 / 1; display: grid; align-items: center; padding-left: 6px; }
  .on { background: #24424a; } i { width: 34px; height: 3px; background: #6b7168; } .on i { background: #f0d9a8; width: 40px; }`,
  select: '.row',
}

const faces = { off: { within: '> :nth-child(1)', noun: 'its first face' }, on: { within: '> :nth-child(2)', noun: 'its second face' } }
const withPicture = { ...faces, picture: { within: '> img', noun: 'its picture' } }

/** The settings that matter. */
const leftOut = ({ picture }: RowsSettings): readonly string[] =>
  picture === 'pointer'
    ? ['placeX', 'placeY']
    : ['besideXPx', 'besideYPx', 'follow', 'followMs', 'pastPercent', 'frequencyHz', 'dampingRatio']

export const rows: Kind<RowsSettings> = {
  id: 'rows',
  title: 'Rows',
  does: 'In a list each row shows another face, or a picture of its own.',
  suits: ['group', 'link'],
  alsoCalled: ['list hover', 'text roll', 'rolling list', 'image on hover', 'hover reveal list', 'table rows', 'menu hover'],
  family: state,
  sample,
  settings: rowsSettings,
  defaults: rowsDefaults,
  roles: () => [
    { id: 'row', title: 'row', needs: 'yours' },
    { id: 'off', title: 'face when off', needs: 'yours' },
    { id: 'on', title: 'face when on', needs: 'yours', ask: 'point at the other face' },
    { id: 'picture', title: 'picture', needs: 'yours' },
  ],
  apart: ['off', 'on'],
  wantsBox: true,
  wantsSeveral: true,
  controls: (settings) => rowsParameters.controls(settings).filter(({ id }) => !leftOut(settings).includes(id)),
  forSample: (settings) => ({ ...settings, pictureWidthPx: 30, pictureHeightPx: 22, radiusPx: 2, besideXPx: 6, besideYPx: -11 }),
  recipes: [
    {
      id: 'rolled-over',
      title: 'Rolled over',
      need: 'The other face of a row pushes the first one out, the way you go; its picture rides along.',
      settings: rowsDefaults,
      roles: withPicture,
    },
    {
      id: 'covered',
      title: 'Covered',
      need: 'The other face rolls over the first, which stays where it is.',
      settings: { ...rowsDefaults, off: 'covered', comeMs: 320, goMs: 320 },
      roles: withPicture,
    },
    {
      id: 'shown-in-one-place',
      title: 'Shown in one place',
      need: 'The picture of the current row stands at the side of the window; the next one rolls over it.',
      settings: { ...rowsDefaults, picture: 'place', pictureWidthPx: 340, pictureHeightPx: 420, comeMs: 340, goMs: 340 },
      roles: withPicture,
    },
    {
      id: 'words-alone',
      title: 'Words alone',
      need: 'The faces of a row change places, quickly, and no picture is shown.',
      settings: { ...rowsDefaults, comeMs: 200, goMs: 280 },
      roles: faces,
    },
  ],
  sentence: rowsSentence,
  time: rowsTime,
  answers: {
    touch: 'A tap rolls one in, and a tap elsewhere out; a row that is a link is followed as ever.',
    keyboard: 'The focus on a row rolls it in, from above.',
    reducedMotion: 'The faces change places at once; the picture is there, in a corner of the window, and gone.',
    noScript: 'Both faces stand as the page has them.',
  },
  turned: (settings) => settings,
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ comeMs, goMs }) => ({ follow: comingFeel(comeMs), back: comingFeel(goMs), come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandRows,
  lacks: ['strength', 'insets', 'touch'],
}
