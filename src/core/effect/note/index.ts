// Note: information that comes up beside what it is about, can be pointed at, and goes its way.
import { comingFeel } from '../build'
import { state } from '../families'
import type { Kind } from '../kind'
import type { Sample } from '../samples'
import { expandNote, opposite } from './expand'
import { noteDefaults, noteParameters, noteSettings, type NoteSettings } from './settings'
import { noteSentence, noteTime } from './words'

/** A word in a few lines, with a note over it. */
const sample: Sample = {
  html: '<div class="sample"><i></i><i></i><div class="word"></div><i></i><div class="note"></div></div>',
  css: `.sample { width: 58px; height: 76px; padding-top: 22px; box-sizing: border-box; }
  i { display: block; height: 3px; margin-bottom: 5px; background: #b9c0b6; } i + i { width: 70%; }
  .word { width: 20px; height: 5px; margin-bottom: 4px; border-radius: 2px; background: #a8562f; }
  .note { width: 28px; height: 18px; border-radius: 4px; background: #24424a; }`,
  select: '.word',
  rest: { x: 0, y: 0 },
}

export const note: Kind<NoteSettings> = {
  id: 'note',
  title: 'Note',
  does: 'A note comes beside it, and stays while it is pointed at.',
  suits: ['link', 'text', 'button'],
  alsoCalled: ['tooltip', 'popover', 'hover card', 'hint', 'info bubble', 'definition', 'popup'],
  family: state,
  sample,
  settings: noteSettings,
  defaults: noteDefaults,
  roles: () => [
    { id: 'anchor', title: 'anchor', needs: 'yours' },
    { id: 'note', title: 'note', needs: 'yours', ask: 'point at the note' },
  ],
  apart: ['anchor', 'note'],
  inStep: ['note'],
  controls: noteParameters.controls,
  forSample: (settings) => ({ ...settings, gapPx: 3, travelPx: Math.min(settings.travelPx, 5), widthPx: 0 }),
  recipes: [
    {
      id: 'comes-up',
      title: 'Comes up, and goes on',
      need: 'What explains a word comes up over it, and leaves the way it was going.',
      settings: noteDefaults,
      roles: { note: { within: '~ .note', noun: 'its note' } },
    },
    {
      id: 'drawer',
      title: 'Out to the right',
      need: 'It comes out beside it, and draws in again.',
      settings: { ...noteDefaults, side: 'right', align: 'start', travelPx: 12, leaves: 'back', comeMs: 220, goMs: 160 },
      roles: { note: { within: '~ .note', noun: 'its note' } },
    },
    {
      id: 'at-once',
      title: 'At once, for a while',
      need: 'It is there without moving, and waits longer before it goes.',
      settings: { ...noteDefaults, side: 'bottom', travelPx: 0, waitMs: 700, comeMs: 60, goMs: 320 },
      roles: { note: { within: '~ .note', noun: 'its note' } },
    },
    {
      id: 'in-the-margin',
      title: 'In the margin',
      need: 'It lies narrow at the left; others may be open at the same time.',
      settings: { ...noteDefaults, side: 'left', align: 'start', gapPx: 24, travelPx: 10, widthPx: 180, atMostOne: false },
      roles: { note: { within: '~ .note', noun: 'its note' } },
    },
  ],
  sentence: noteSentence,
  time: noteTime,
  answers: {
    touch: 'A tap opens it, and a tap elsewhere closes it.',
    keyboard: 'The focus opens it, and Escape closes it and leaves the focus where it is; it is read as a description.',
    reducedMotion: 'It comes and goes where it is.',
    noScript: 'What it is about works; the note is as the page has it, or not shown, as chosen.',
  },
  turned: (settings) => ({ ...settings, side: opposite[settings.side] }),
  awayPlace: () => undefined,
  withAwayPlace: (settings) => settings,
  feels: ({ comeMs, goMs }) => ({ follow: comingFeel(comeMs), back: comingFeel(goMs), come: comingFeel(comeMs), go: comingFeel(goMs) }),
  expand: expandNote,
  lacks: ['strength', 'insets', 'touch'],
}
