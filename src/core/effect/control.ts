// Controls: the live words and rows of a caption, as data. The studio draws them without knowing any kind by name.
import type { Curve } from '../curve/curve'
import type { Feel } from '../feel/feel'
import type { Handle } from '../rig/handle'
import { readSum } from './arithmetic'
import type { Unit } from './unit'

export type { Handle, Unit }

/** What every control has: its place in words, what is drawn beside it, and how it reads and changes the settings. */
interface ControlOf<S, Value> {
  readonly id: string
  readonly title: string
  /** Which drawing belongs to this word. */
  readonly drawing: Drawing
  /** Among which rows it stands, where the caption may not tell it. */
  readonly row?: ControlRow | undefined
  /** Its heading among the rows, where that does not follow from what it is; and whether it is nothing for these settings, such as the colour of what is not there. */
  readonly section?: Section | undefined
  readonly isIdle?: boolean | undefined
  /** What it does to the page, in words that begin or end a sentence. */
  readonly help?: string | undefined
  /** The control whose value that drawing shows, where it is not this one. */
  readonly draws?: string | undefined
  readonly read: (settings: S) => Value
  readonly write: (settings: S, value: Value) => S
}

/** `more`: less used words. `exact`: exact numbers of what has a word. `common`: how strong, where and for whom, which all kinds have. */
export type ControlRow = 'more' | 'exact' | 'common'

/** The headings under which rows stand. */
export type Section = 'Shape' | 'Light' | 'Motion' | 'Touch and access' | 'Area' | 'Strength'

/** A number that can be dragged, stepped and typed. Ranges are inclusive, in the control's own unit. */
export interface NumberControl<S> extends ControlOf<S, number> {
  readonly kind: 'number'
  readonly unit: Unit
  readonly least: number
  readonly greatest: number
  readonly step: number
  /** What of it is drawn on the page, to be dragged. */
  readonly handle?: Handle | 'pin' | undefined
  /** The knob of the rig that it turns, where it is one. */
  readonly knob?: string | undefined
  /** So many of it are 1 of that knob; as they are when left out. */
  readonly per?: number | undefined
  /** For a number in %: what a hundred of it is. */
  readonly percentOf?: PercentOf | undefined
}

/** What 100 % stands for, in words; for the px beside it a length of the area, so many times. */
export interface PercentOf {
  readonly words: string
  readonly length?: 'width' | 'height' | 'half-width' | 'half-height' | undefined
  readonly times?: number | undefined
}

/** A word chosen from a few. */
export interface ChoiceControl<S> extends ControlOf<S, string> {
  readonly kind: 'choice'
  readonly options: readonly { readonly value: string; readonly words: string }[]
  readonly handle?: 'pin' | undefined
}

/** How something follows: one of the five by name, or tuned by hand. */
export interface FeelControl<S> extends ControlOf<S, Feel> {
  readonly kind: 'feel'
}

/** A curve whose stops are dragged. Its numbers on both axes have units and a range that the drawing shows at least. */
export interface CurveControl<S> extends ControlOf<S, Curve> {
  readonly kind: 'curve'
  readonly across: {
    readonly title: string
    readonly unit: Unit
    readonly from: number
    readonly to: number
    /** What the pointer gives it is read by this channel. */ readonly channel: string
  }
  readonly unit: Unit
}

/** A colour as CSS writes it. */
export interface ColourControl<S> extends ControlOf<S, string> {
  readonly kind: 'colour'
  /** The token of the rig that it sets. */
  readonly token?: string | undefined
  /** A whole background will do as well: gradients, pictures. */
  readonly takesBackgrounds?: boolean | undefined
}

/** A gradient with stops, as CSS writes it. */
export interface GradientControl<S> extends ControlOf<S, string> {
  readonly kind: 'gradient'
  readonly token?: string | undefined
}

/** A text that is written by hand, and checked. */
export interface TextControl<S> extends ControlOf<S, string> {
  readonly kind: 'text'
  /** What belongs there, in a few words. */
  readonly hint: string
  /** Why a text will not do, in words that end a sentence about it; undefined where it does. */
  readonly faultOf: (text: string) => string | undefined
  /** It is declarations of CSS, which a browser may know or not. */
  readonly isCss?: boolean | undefined
}

export type Control<S> =
  NumberControl<S> | ChoiceControl<S> | FeelControl<S> | CurveControl<S> | ColourControl<S> | GradientControl<S> | TextControl<S>

/**
 * `flick`: the answer to a flick in time. `return`: the way back. `strip`: coming above, going mirrored beneath.
 * `depths`: numbers of that drawing at their heights, seen from the side. `sketch`: what the kind draws itself.
 * `curve`, `gradient`: stops to be dragged. `none`: nothing that a drawing could tell.
 */
export type Drawing = 'flick' | 'return' | 'strip' | 'sketch' | 'depths' | 'curve' | 'gradient' | 'none'

/** A piece of a sentence: plain words, the noun of a role, or the live word of a control. */
export type Piece = string | { readonly role: string } | { readonly control: string }

/** How a control's number is shown: its unit close up, as CSS writes it. */
export function formatNumber(value: number, unit: Unit): string {
  const text = String(Number(value.toFixed(unit === 'Hz' || unit === '' ? 3 : 1))).replace('-', '\u2212')
  if (unit === 'deg') return `${text}\u00b0`
  return `${text}${unit}`
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
  return heldNumber(control, Number(moved.toFixed(6)))
}

/** The value held in the control's range. */
export function heldNumber<S>({ least, greatest }: NumberControl<S>, value: number): number {
  return Math.min(greatest, Math.max(least, value))
}
