// What an output shows, as CSS works it out: calc() of knobs and of what the script writes.
import { cssColour } from '../curve/colour'
import type { Timed } from '../feel/feel'
import { isLength, isPlain, propertyOfChannel, propertyOfKnob, propertyOfOutput, type Names } from '../rig/plan'
import { unitOfKnob, type Knob, type Output, type Rig } from '../rig/rig'
import { limitsOf, neutralOf, unitOf } from '../rig/slot'

/** The expression of one output: valid inside calc() where it is a number, or a colour by itself. */
export function writeValue(rig: Rig, names: Names, output: Output): string {
  const { base, factor, knob, channel, slot, weight, strength, curve, keepsPx } = output
  if (curve && 'colours' in curve) return isPlain(output) ? writeMix(rig, names, output) : `var(${propertyOfOutput(names, output)})`
  const unit = unitOf(slot)
  const given = rig.knobs.find(({ id }) => id === knob)
  const hasUnit = (unitOfKnob(rig.knobs, knob) ?? '') !== ''
  const factors = given ? [`var(${propertyOfKnob(names, given.id)})`] : []
  if (channel !== undefined)
    factors.push(
      isPlain(output) ? writeRange(output, read(rig, names, channel, output.link)) : `var(${propertyOfOutput(names, output)}, 0)`,
    )
  // The unit comes from the knob or from what is written, or else from the factor.
  const isInPx = channel !== undefined && isLength(rig, channel)
  if (!hasUnit && !isInPx && unit !== '') factors.unshift(`${cssNumber(factor)}${unit}`)
  else if (factor !== 1 || factors.length === 0) factors.unshift(cssNumber(factor))
  const product = factors.join(' * ')
  const value = base === 0 ? product : plus(`${cssNumber(base)}${unit}`, product)
  const shown =
    weight === undefined && strength === 1
      ? value
      : weigh(value, base !== 0, neutralOf(slot), weight === undefined ? undefined : read(rig, names, weight), strength)
  if (keepsPx !== undefined) return `clamp(min(${cssNumber(keepsPx)}px - 100%, -40%), ${shown}, max(100% - ${cssNumber(keepsPx)}px, 40%))`
  return limitsOf(slot)[0] === 0 && slot.on !== 'opacity' && slot.on !== 'transform' ? `max(0${unit}, ${shown})` : shown
}

/** What the script writes for a channel; its away pose until then. */
function read(rig: Rig, names: Names, channel: string, link?: number): string {
  const played = rig.channels.find(({ id }) => id === channel)
  // Registered with its pose; a link of a chain that nobody writes has none.
  return played ? `var(${propertyOfChannel(names, channel, link)})` : '0'
}

/** A sum, or the difference that it is where what is added is negative. */
const plus = (one: string, other: string) => (other.startsWith('-') ? `${one} - ${other.slice(1)}` : `${one} + ${other}`)

const less = (one: string, value: number) => (value === 0 ? one : plus(one, cssNumber(-value)))

/** neutral + weight * strength * (value - neutral) */
function weigh(value: string, isSum: boolean, neutral: number, weight: string | undefined, strength: number): string {
  const by = [...(weight === undefined ? [] : [weight]), ...(strength === 1 ? [] : [cssNumber(strength)])].join(' * ')
  if (neutral === 0) return isSum ? `(${value}) * ${by}` : `${value} * ${by}`
  return `${cssNumber(neutral)} + (${less(value, neutral)}) * ${by}`
}

/** A plain curve of a reading: a straight line between two stops, held at both ends or running on. */
function writeRange({ curve }: Output, reading: string): string {
  if (!curve || !('stops' in curve)) return reading
  const [from, to] = curve.stops
  if (!from || !to) return reading
  const slope = (to.value - from.value) / (to.at - from.at)
  const way = from.at === 0 ? reading : `(${less(reading, from.at)})`
  const product = slope === 1 ? way : `${cssNumber(slope)} * ${way}`
  const line = from.value === 0 ? product : plus(cssNumber(from.value), product)
  if (curve.beyond === 'extend') return `(${line})`
  return `clamp(${cssNumber(Math.min(from.value, to.value))}, ${line}, ${cssNumber(Math.max(from.value, to.value))})`
}

/** A colour between two. */
function writeMix(rig: Rig, names: Names, { curve, channel = '', link }: Output): string {
  if (!curve || !('colours' in curve)) return ''
  const [from, to] = curve.colours
  if (!from || !to) return ''
  const reading = read(rig, names, channel, link)
  const way = from.at === 0 ? reading : `(${less(reading, from.at)})`
  const share = to.at - from.at === 1 ? way : `${way} / ${cssNumber(to.at - from.at)}`
  return `color-mix(in ${from.value.space}, ${cssColour(from.value)}, ${cssColour(to.value)} clamp(0%, 100% * ${share}, 100%))`
}

/** A knob's value as CSS writes it. */
export function writeKnob(names: Names, { value, unit, times }: Knob): string {
  return times === undefined ? `${cssNumber(value)}${unit}` : `calc(${cssNumber(value)}${unit} * var(${propertyOfKnob(names, times)}))`
}

/** A number as CSS writes it: no exponent, no needless digits. */
export function cssNumber(value: number): string {
  return String(Number(value.toFixed(6)))
}

/** CSS that can also stand inside a style element. */
export function styleText(text: string): string {
  return text.replaceAll('</', '<\\/')
}

/** CSS as a rig has it, filled in: `{id}` is a knob or a token, and `{index}` the number of what was dropped, as a part of this name. */
export const fillHoles = (css: string, names: Names, dropped?: string): string =>
  styleText(css).replace(/\{([^}]*)\}/g, (_, id: string) =>
    dropped !== undefined && id === 'index' ? `var(--${dropped}-index)` : `var(${propertyOfKnob(names, id)})`,
  )

/** Declarations as a rig has them, filled in. */
export const writeDeclarations = (css: Readonly<Record<string, string>>, names: Names, dropped?: string): readonly string[] =>
  Object.entries(css).map(([name, value]) => `${name}: ${fillHoles(value, names, dropped)};`)

/** A time as a transition has it: how long, how, and how much later. */
export const writeTime = ({ durationMs, delayMs, easing }: Timed): string =>
  `${cssNumber(durationMs)}ms ${easing}${delayMs === 0 ? '' : ` ${cssNumber(delayMs)}ms`}`
