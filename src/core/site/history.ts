// The history of a site: what was done, and what can be undone and done again.
import { applyEdit, type Edit } from './edit'
import type { Site } from './site'

/** One step back or forth. `gesture` joins the edits of one drag into one step. */
export interface Step {
  readonly words: string
  readonly gesture: string
  readonly edit: Edit
}

export interface History {
  readonly site: Site
  readonly undo: readonly Step[]
  readonly redo: readonly Step[]
}

const deepest = 500

export function beginHistory(site: Site): History {
  return { site, undo: [], redo: [] }
}

/** Does an edit; one with the gesture of the step before it becomes part of that step. */
export function doEdit(history: History, edit: Edit, words: string, gesture: string): History {
  const { site, inverse } = applyEdit(history.site, edit)
  if (site === history.site) return history
  const last = history.undo.at(-1)
  if (last?.gesture === gesture) return { site, undo: history.undo, redo: [] }
  return { site, undo: [...history.undo, { words, gesture, edit: inverse }].slice(-deepest), redo: [] }
}

/** Takes the last step back; the same history when there is none. */
export function undo(history: History): History {
  const step = history.undo.at(-1)
  if (!step) return history
  const { site, inverse } = applyEdit(history.site, step.edit)
  return { site, undo: history.undo.slice(0, -1), redo: [...history.redo, { ...step, edit: inverse }] }
}

/** Does the last undone step again; the same history when there is none. */
export function redo(history: History): History {
  const step = history.redo.at(-1)
  if (!step) return history
  const { site, inverse } = applyEdit(history.site, step.edit)
  return { site, undo: [...history.undo, { ...step, edit: inverse }], redo: history.redo.slice(0, -1) }
}
