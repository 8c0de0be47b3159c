// What a window did, to be undone and done again. A step is a patch, so undoing takes back one's own edit alone, from whatever
// the document is by then.
import { applyPatch, diff, invert, join, type Patch } from './patch'
import { applyEdit, type Edit } from './edit'
import { tidySite, type Site } from './site'

/** One step back or forth. `gesture` joins the edits of one drag into one step. */
export interface Step {
  readonly words: string
  readonly gesture: string
  readonly patch: Patch
}

export interface History {
  readonly site: Site
  readonly undo: readonly Step[]
  readonly redo: readonly Step[]
}

/** A history after something was done, and what that changed; whether some of it was left as it is, since others changed it. */
export interface Done {
  readonly history: History
  readonly step: Step
  readonly isPartial: boolean
}

const deepest = 500

export function beginHistory(site: Site): History {
  return { site, undo: [], redo: [] }
}

/** Does an edit; one with the gesture of the step before it becomes part of that step. Undefined where it changes nothing. */
export function doEdit(history: History, edit: Edit, words: string, gesture: string): Done | undefined {
  const patch = diff(history.site, tidySite(applyEdit(history.site, edit)))
  if (patch.length === 0) return undefined
  // Applied as everybody else will apply it.
  const site = tidySite(applyPatch(history.site, patch).value)
  const step = { words, gesture, patch }
  const last = history.undo.at(-1)
  const undo =
    last?.gesture === gesture
      ? [...history.undo.slice(0, -1), { ...last, patch: join(last.patch, patch) }]
      : [...history.undo, step].slice(-deepest)
  return { history: { site, undo, redo: [] }, step, isPartial: false }
}

/** Takes the last step back; undefined when there is none. What somebody else changed since is left as it is. */
export function undo(history: History): Done | undefined {
  const step = history.undo.at(-1)
  return (
    step &&
    again(history, { ...step, patch: invert(step.patch) }, (back) => ({ undo: history.undo.slice(0, -1), redo: [...history.redo, back] }))
  )
}

/** Does the last undone step again; undefined when there is none. */
export function redo(history: History): Done | undefined {
  const step = history.redo.at(-1)
  return (
    step &&
    again(history, { ...step, patch: invert(step.patch) }, (forth) => ({ undo: [...history.undo, forth], redo: history.redo.slice(0, -1) }))
  )
}

function again(history: History, wanted: Step, rest: (done: Step) => Pick<History, 'undo' | 'redo'>): Done {
  const { value, clashes } = applyPatch(history.site, wanted.patch, 'careful')
  const site = tidySite(value)
  // What was really changed, so that going the other way changes no more than that.
  const step = { ...wanted, patch: diff(history.site, site) }
  return { history: { site, ...rest(step) }, step, isPartial: clashes.length > 0 }
}
