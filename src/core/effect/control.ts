// Controls: the live words and rows of a caption, as data. The studio draws them without knowing any kind by name.

export type Unit = 'deg' | 'px' | 'ms' | '%' | 'Hz' | ''

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

/** Reads what was typed into a number control: a number, with or without the control's unit. */
export function parseNumber<S>(text: string, control: NumberControl<S>): { value: number } | { refusal: string } {
  const range = `${formatNumber(control.least, control.unit)} to ${formatNumber(control.greatest, control.unit)}`
  const match = /^([+\-\u2212]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*(\S*)$/i.exec(text.trim().replace(',', '.'))
  if (!match) return { refusal: `${control.title} is a number from ${range}.` }
  const unit = match[2] ?? ''
  const meant = control.unit === 'deg' ? ['', 'deg', '\u00b0'] : control.unit === 'ms' ? ['', 'ms', 's'] : ['', control.unit.toLowerCase()]
  if (!meant.includes(unit.toLowerCase())) return { refusal: `${control.title} is given in ${control.unit || 'plain numbers'}: ${range}.` }
  const value = Number((match[1] ?? '').replace('\u2212', '-')) * (control.unit === 'ms' && unit.toLowerCase() === 's' ? 1000 : 1)
  if (!(value >= control.least && value <= control.greatest)) return { refusal: `${control.title} goes from ${range}.` }
  return { value }
}

/** The value after stepping by `steps` (may be a fraction), kept on the step's grid and in range. */
export function stepNumber<S>(control: NumberControl<S>, value: number, steps: number): number {
  const grid = Math.abs(steps) < 1 ? control.step / 10 : control.step
  const moved = Math.round((value + steps * control.step) / grid) * grid
  return Math.min(control.greatest, Math.max(control.least, Number(moved.toFixed(6))))
}
