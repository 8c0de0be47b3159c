// What can be done in the studio by key: each command once, with its key, its words, and when it is on. Keys, the sheet of keys, the row under
// the caption and the hints on buttons are read from here.
import type { Look } from '../core/look/look'
import { keepTry, toggleDrawer, turnDirection } from './commands'
import type { Studio } from './context'
import { chosenEffects, duplicateEffects, redo, removeEffects, selectBeside, toggleOff, undo } from './effects/commands'
import { zoomTo } from './frame/zooming'
import { holdLook, leavePage, toggleFastened, toggleMeasuring, togglePosing, togglePath } from './frame/holding'
import { startPointing, stopPointing } from './point/commands'
import { keyNamed } from './key-names'
import type { View } from './store/view-store'

/** What of the view tells whether a command is on. */
export type Modes = Pick<View, 'mode' | 'onlyThis' | 'drawer'>

export interface Command {
  readonly id: string
  /** The heading under which it stands on the sheet. */
  readonly group: Group
  /** Its key as it is named, `Ctrl` standing for ⌘ where that is the key; and as the browser tells it, where that is more or other than the letter. */
  readonly key: string
  readonly codes?: readonly string[]
  /** What it does, on the sheet. */
  readonly words: string
  /** What it is called on a button, and what the button says of it when it is pointed at. */
  readonly label?: string
  readonly hint?: string
  readonly isOn?: (modes: Modes) => boolean
  readonly run: (studio: Studio) => void
}

export const groups = ['Everywhere', 'The selected effect', 'While pointing'] as const
export type Group = (typeof groups)[number]

const hold = (id: string, key: string, look: Look, label: string): Command => ({
  id,
  group: 'The selected effect',
  key,
  codes: [`Digit${key}`],
  label,
  words: `hold state: ${label}, or let go`,
  isOn: ({ mode }) => mode.is === 'held' && mode.look === look,
  run: (studio) => holdLook(studio, look),
})

const all = [
  {
    id: 'point',
    group: 'Everywhere',
    key: 'P',
    words: 'point at something, or stop pointing',
    run: (studio) => (studio.view.get().pointing.stage === 'no' ? startPointing(studio) : stopPointing(studio)),
  },
  { id: 'code', group: 'Everywhere', key: 'C', words: 'the code', run: (studio) => toggleDrawer(studio, 'code') },
  { id: 'markup', group: 'Everywhere', key: 'M', words: 'the markup', run: (studio) => toggleDrawer(studio, 'markup') },
  { id: 'checks', group: 'Everywhere', key: 'K', words: 'the checks', run: (studio) => toggleDrawer(studio, 'checks') },
  { id: 'pages', group: 'Everywhere', key: 'G', words: 'the pages', run: (studio) => toggleDrawer(studio, 'pages') },
  {
    id: 'bare',
    group: 'Everywhere',
    key: 'B',
    words: 'bare view, while it is held: boxes, clips, hidden and blurred things shown plainly',
    run: ({ link }) => link.say({ type: 'bare', on: true }),
  },
  {
    id: 'zoom',
    group: 'Everywhere',
    key: 'Z',
    words: 'zoom: as large as fits, or its own size',
    run: (studio) => zoomTo(studio, studio.view.get().zoom.scale === 'fit' ? 1 : 'fit'),
  },
  { id: 'undo', group: 'Everywhere', key: 'Ctrl Z', codes: ['$mod+KeyZ'], words: 'undo', run: undo },
  { id: 'redo', group: 'Everywhere', key: 'Ctrl Shift Z', codes: ['$mod+Shift+KeyZ', '$mod+KeyY'], words: 'redo', run: redo },
  {
    id: 'sheet',
    group: 'Everywhere',
    key: '?',
    codes: ['?', 'Shift+?'],
    words: 'this list: find a command by its name',
    run: (studio) => toggleDrawer(studio, 'keys'),
  },
  { id: 'next', group: 'The selected effect', key: 'N', words: 'the next effect', run: (studio) => selectBeside(studio, 1) },
  { id: 'before', group: 'The selected effect', key: 'Shift N', words: 'the effect before', run: (studio) => selectBeside(studio, -1) },
  {
    id: 'turn',
    group: 'The selected effect',
    key: 'T',
    label: 'Reverse direction',
    hint: 'Reverse the direction',
    words: 'reverse the direction',
    run: turnDirection,
  },
  {
    id: 'path',
    group: 'The selected effect',
    key: 'W',
    label: 'Play a path',
    hint: 'A stand-in pointer plays a path over it',
    words: 'the stand-in pointer plays a path over it, or stops',
    isOn: ({ mode }) => mode.is === 'playing',
    run: togglePath,
  },
  {
    id: 'leave',
    group: 'The selected effect',
    key: 'L',
    label: 'Pointer out',
    hint: 'The pointer leaves the page for real',
    words: 'pointer out: it leaves the page for real',
    run: leavePage,
  },
  hold('holdOff', '1', 'off', 'away'),
  hold('holdOn', '2', 'on', 'on it'),
  hold('holdPressed', '3', 'pressed', 'pressed'),
  hold('holdStill', '4', 'still', 'standing still'),
  {
    id: 'fasten',
    group: 'The selected effect',
    key: 'F',
    label: 'fastened where it stands',
    words: 'fasten the pointer where it stands, or let it go',
    isOn: ({ mode }) => mode.is === 'fastened',
    run: toggleFastened,
  },
  {
    id: 'pose',
    group: 'The selected effect',
    key: 'H',
    label: 'Pose by hand',
    hint: 'Fasten the pointer and drag the element to where it should be there',
    words: 'pose by hand: drag the element to where it should be',
    isOn: ({ mode }) => mode.is === 'posing',
    run: togglePosing,
  },
  {
    id: 'measure',
    group: 'The selected effect',
    key: 'J',
    label: 'Distance',
    hint: 'Measure the distance between two edges',
    words: 'measure the distance between two edges',
    isOn: ({ mode }) => mode.is === 'measuring',
    run: toggleMeasuring,
  },
  {
    id: 'tries',
    group: 'The selected effect',
    key: 'Y',
    label: 'Tries',
    hint: 'Kept tries, to go back to and to compare',
    words: 'tries, to go back to and to compare',
    isOn: ({ drawer }) => drawer === 'tries',
    run: (studio) => toggleDrawer(studio, 'tries'),
  },
  { id: 'keepTry', group: 'The selected effect', key: 'Shift Y', words: 'keep a try', run: keepTry },
  {
    id: 'off',
    group: 'The selected effect',
    key: 'O',
    label: 'Off',
    hint: 'Off: it plays nowhere and is not exported',
    words: 'off, or on again',
    run: (studio) => toggleOff(studio, chosenEffects(studio)),
  },
  {
    id: 'duplicate',
    group: 'The selected effect',
    key: 'D',
    words: 'duplicate it',
    run: (studio) => duplicateEffects(studio, chosenEffects(studio)),
  },
  {
    id: 'remove',
    group: 'The selected effect',
    key: 'Delete',
    codes: ['Delete', 'Backspace'],
    label: 'Remove',
    hint: 'Remove this effect',
    words: 'remove it; Backspace as well',
    run: (studio) => removeEffects(studio),
  },
  {
    id: 'only',
    group: 'The selected effect',
    key: 'Shift O',
    label: 'Only this',
    hint: 'Only this one plays',
    words: 'only this one plays',
    isOn: ({ onlyThis }) => onlyThis,
    run: ({ view }) => view.update({ onlyThis: !view.get().onlyThis }),
  },
] as const satisfies readonly Command[]

export type CommandId = (typeof all)[number]['id']

export const commands: readonly (Command & { readonly id: CommandId })[] = all

/** A command by its id. */
export function commandOf(id: CommandId): Command {
  const found = commands.find((each) => each.id === id)
  if (!found) throw new Error(`There is no command "${id}".`)
  return found
}

/** The codes by which a browser tells the key of a command. */
export const codesOf = ({ key, codes }: Command): readonly string[] => codes ?? [key.replace(/(\w)$/, 'Key$1').replace(' ', '+')]

/** The key of a command, as the visitor's system names it. */
export const keyOf = (id: CommandId): string => keyNamed(commandOf(id).key)
