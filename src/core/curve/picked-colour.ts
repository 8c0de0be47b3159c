// A colour as it is picked: lightness, chroma, hue and alpha in OKLCH (CSS Color Module Level 4, section 9.4), written as CSS.
import { converter, formatHex, formatHex8, modeOklch, modeRgb, parse, useMode as addMode } from 'culori/fn'
import { readColour } from './seen-colour'

addMode(modeRgb)
addMode(modeOklch)
const toOklch = converter('oklch')
const toRgb = converter('rgb')
/** Half of the smallest step that a screen of 8 bits shows: white is 1 only up to what rounding leaves. */
const slack = 0.5 / 255

export interface Picked {
  /** 0..1 */
  readonly lightness: number
  /** 0..`greatestChroma` */
  readonly chroma: number
  /** Degrees, 0..360; of what has no hue the one that was picked last. */
  readonly hue: number
  /** 0..1 */
  readonly alpha: number
}

/** The chroma of the most colourful colours of sRGB is 0.32. */
export const greatestChroma = 0.33

/** A CSS colour as it is picked; undefined for what is none by itself. `hue` is what is said of grey. */
export function readPicked(css: string, hue = 0): Picked | undefined {
  const found = readColour(css) && toOklch(parse(css.trim()))
  return found && { lightness: found.l, chroma: Math.min(greatestChroma, found.c), hue: found.c < 0.002 ? hue : (found.h ?? hue), alpha: found.alpha ?? 1 } // prettier-ignore
}

const oklch = ({ lightness: l, chroma: c, hue: h }: Picked) => ({ mode: 'oklch', l, c, h }) as const

/** Whether a screen with the colours of sRGB shows it as it is. */
export function isShown(picked: Picked): boolean {
  const { r, g, b } = toRgb(oklch(picked))
  return [r, g, b].every((share) => share >= -slack && share <= 1 + slack)
}

/** The same lightness and hue with as much of the chroma as sRGB has. */
export function held(picked: Picked): Picked {
  if (isShown(picked)) return picked
  let [low, high] = [0, picked.chroma]
  for (let i = 0; i < 20; i++) {
    const middle = (low + high) / 2
    if (isShown({ ...picked, chroma: middle })) low = middle
    else high = middle
  }
  return { ...picked, chroma: low }
}

/** As `#rrggbb`, with two more digits where it lets something through; in sRGB. */
export function writeHex(picked: Picked): string {
  const colour = oklch(held(picked))
  return picked.alpha < 1 ? formatHex8({ ...colour, alpha: picked.alpha }) : formatHex(colour)
}

/** As `oklch(L C H / alpha)`. */
export function writeOklch({ lightness, chroma, hue, alpha }: Picked): string {
  const short = (value: number, digits: number) => Number(value.toFixed(digits))
  return `oklch(${short(lightness, 3)} ${short(chroma, 4)} ${short(hue, 1)}${alpha < 1 ? ` / ${short(alpha, 2)}` : ''})`
}
