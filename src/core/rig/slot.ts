// Slots: what of an element a value may drive. Each has a neutral value and a law by which several values compose.
import type { Described } from '../described'
import type { Unit } from './names'
import type { slotSchema } from './schema'

export type Slot =
  | Described<typeof slotSchema>
  /** Any CSS property or custom property: the last one wins, or they add, or multiply. */
  | {
      readonly on: 'property'
      readonly name: string
      readonly unit: Unit
      readonly law: 'replace' | 'add' | 'multiply'
      readonly neutral?: number | undefined
    }

/** What the slot shows without any effect. */
export function neutralOf(slot: Slot): number {
  switch (slot.on) {
    case 'transform':
      return slot.fn.startsWith('scale') ? 1 : 0
    case 'filter':
      return slot.fn === 'brightness' || slot.fn === 'contrast' || slot.fn === 'saturate' ? 1 : 0
    case 'opacity':
      return 1
    case 'inset':
    case 'slide':
      return 0
    case 'property':
      return slot.neutral ?? (slot.law === 'multiply' ? 1 : 0)
    case 'shadow':
    case 'background':
    case 'mask':
    case 'clip':
      return slot.neutral ?? 0
  }
}

/** The least and greatest value that the slot can show. */
export function limitsOf(slot: Slot): readonly [number, number] {
  if (slot.on === 'opacity') return [0, 1]
  if (slot.on === 'transform') return slot.fn === 'perspective' ? [0, Infinity] : [-Infinity, Infinity]
  if (slot.on === 'filter') return slot.fn === 'hue-rotate' ? [-Infinity, Infinity] : slot.fn === 'grayscale' ? [0, 1] : [0, Infinity]
  return slot.on === 'inset' ? [0, Infinity] : [-Infinity, Infinity]
}

/** The unit in which a slot is given. */
export function unitOf(slot: Slot): Unit {
  switch (slot.on) {
    case 'transform':
      return slot.unit ?? (slot.fn.startsWith('scale') ? '' : /^(rotate|skew)/.test(slot.fn) ? 'deg' : 'px')
    case 'filter':
      return slot.fn === 'blur' ? 'px' : slot.fn === 'hue-rotate' ? 'deg' : ''
    case 'opacity':
      return ''
    case 'inset':
    case 'slide':
      return 'px'
    case 'property':
    case 'shadow':
    case 'background':
    case 'mask':
    case 'clip':
      return slot.unit
  }
}

/** How several values of one slot become one: a perspective stands alone, and so does what replaces; the last one counts. */
export function lawOf(slot: Slot): 'add' | 'multiply' | 'greatest' | 'last' {
  if (slot.on === 'inset') return 'greatest'
  if (slot.on === 'property') return slot.law === 'replace' ? 'last' : slot.law
  if (slot.on === 'transform' && slot.fn === 'perspective') return 'last'
  return slot.on === 'opacity' ||
    (slot.on === 'transform' && slot.fn.startsWith('scale')) ||
    (slot.on === 'filter' && neutralOf(slot) === 1)
    ? 'multiply'
    : 'add'
}

/** Several values of one slot as one, by its law. */
export function composeValues(slot: Slot, values: readonly number[]): number {
  switch (lawOf(slot)) {
    case 'add':
      return values.reduce((sum, value) => sum + value, 0)
    case 'multiply':
      return values.reduce((product, value) => product * value, 1)
    case 'greatest':
      return Math.max(...values)
    case 'last':
      return values.at(-1) ?? neutralOf(slot)
  }
}

/** What is shown of a value: between the neutral one and it by weight and strength, within the slot's limits. */
export function shownValue(slot: Slot, value: number, weight: number, strength: number): number {
  const neutral = neutralOf(slot)
  const [least, greatest] = limitsOf(slot)
  return Math.min(greatest, Math.max(least, neutral + weight * strength * (value - neutral)))
}

/** A name for the slot, equal for those that compose. */
export function slotName(slot: Slot): string {
  switch (slot.on) {
    case 'transform':
    case 'filter':
      return slot.fn
    case 'opacity':
      return 'opacity'
    case 'inset':
      return `inset-${slot.side}`
    case 'slide':
      return `slide-${slot.axis}`
    case 'property':
      return slot.name
    case 'shadow':
    case 'background':
    case 'mask':
    case 'clip':
      return `${slot.layer}-${slot.hole}`
  }
}

/** The CSS property that the slot drives. */
export function propertyOf(slot: Slot): string {
  return slot.on === 'property' ? slot.name : properties[slot.on]
}

const properties = {
  transform: 'transform',
  slide: 'translate',
  opacity: 'opacity',
  filter: 'filter',
  inset: 'clip-path',
  shadow: 'box-shadow',
  background: 'background-image',
  mask: 'mask-image',
  clip: 'clip-path',
} as const

/** The properties of which the page's own value is kept, with what stands for it where it has none. */
export const keptProperties: Readonly<Record<string, string>> = {
  transform: '',
  filter: '',
  opacity: '1',
  'box-shadow': '0 0 #0000',
  'background-image': 'none',
  'mask-image': 'linear-gradient(#000 0 0)',
}
