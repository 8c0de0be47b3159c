// Controls: the live words and rows of a caption, as data. The studio draws them without knowing any kind by name.

import { readSum } from './arithmetic'
import type { Unit } from './unit'

export type { Unit }

/** A number that can be dragged, stepped and typed. Ranges are inclusive, in the control's own unit. */
export interface NumberControl<S> {
  readonly kind: 'number'
  readonly id: string
  readonly title: string
  readonly unit: Unit
  readonly least: number
  readonly greatest: number
  readonly step: number
  /** Which drawing belongs to this word. */
  readonly drawing: Drawing
  readonly read: (settings: S) => number
  readonly write: (settings: S, value: number) => S
}

/** A word chosen from a few. */
export interface ChoiceControl<S> {
  readonly kind: 'choice'
  readonly id: string
  readonly title: string
  readonly drawing: Drawing
  readonly options: readonly { readonly value: string; readonly words: string }[]
  readonly read: (settings: S) => string
  readonly write: (settings: S, value: string) => S
}

export type Control<S> = NumberControl<S> | ChoiceControl<S>

/** `flick`: the answer to a flick in time. `return`: the way back. `side`: the element as it leans, seen from aside. */
export type Drawing = 'flick' | 'return' | 'side'

/** A piece of a sentence: plain words, the noun of a role, or the live word of a control. */
export type Piece = string | { readonly role: string } | { readonly control: string }

/** How a control's number is shown: the unit with a narrow space before it, none before a degree sign. */
export function formatNumber(value: number, unit: Unit): string {
  const text = String(Number(value.toFixed(unit === 'Hz' || unit === '' ? 3 : 1))).replace('-', '\u2212')
  if (unit === 'deg') return `${text}\u00b0`
  return unit === '' ? text : `${text}\u202f${unit}`
}

/** Reads what was typed or pasted into a number control: a number or a sum, with or without units. */
export function parseNumber<S>(text: string, control: NumberControl<S>): { value: number } | { refusal: string } {
  const range = `${formatNumber(control.least, control.unit)} to ${formatNumber(control.greatest, control.unit)}`
  const value = readSum(text, control.unit)
  if (value === 'nonsense') return { refusal: `${control.title} is a number or a sum, from ${range}.` }
  if (value === 'unit') return { refusal: `${control.title} is given in ${control.unit || 'plain numbers'}: ${range}.` }
  return value >= control.least && value <= control.greatest ? { value } : { refusal: `${control.title} goes from ${range}.` }
}

/** The value after stepping by `steps` (may be a fraction), kept on the step's grid and in range. */
export function stepNumber<S>(control: NumberControl<S>, value: number, steps: number): number {
  const grid = Math.abs(steps) < 1 ? control.step / 10 : control.step
  const moved = Math.round((value + steps * control.step) / grid) * grid
  return Math.min(control.greatest, Math.max(control.least, Number(moved.toFixed(6))))
}
