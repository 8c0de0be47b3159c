// What of colours is seen: over one another, apart from one another, and by how much writing stands out.
import {
  converter,
  differenceEuclidean,
  formatHex,
  modeHsl,
  modeHwb,
  modeLab,
  modeLch,
  modeOklab,
  modeOklch,
  modeP3,
  modeRgb,
  parse,
  useMode as addMode,
} from 'culori/fn'

for (const mode of [modeRgb, modeHsl, modeHwb, modeLab, modeLch, modeOklab, modeOklch, modeP3]) addMode(mode as typeof modeRgb)
const toRgb = converter('rgb')
const toOklch = converter('oklch')
const difference = differenceEuclidean('oklab')

/** A colour in sRGB: red, green, blue and alpha, each 0..1. */
export type Rgba = readonly [red: number, green: number, blue: number, alpha: number]

/** A CSS colour; undefined for what is none, or hangs on where it stands, as `currentcolor` does. */
export function readColour(css: string): Rgba | undefined {
  const found = parse(css.trim())
  const rgb = found && toRgb(found)
  return rgb && [rgb.r, rgb.g, rgb.b, rgb.alpha ?? 1]
}

/** How a colour meets what lies under it (Compositing and Blending Level 1, section 10), channel by channel. */
export type Blend = 'normal' | 'screen' | 'multiply' | 'soft-light' | 'overlay'

const blends: Readonly<Record<Blend, (under: number, over: number) => number>> = {
  normal: (_, over) => over,
  screen: (under, over) => under + over - under * over,
  multiply: (under, over) => under * over,
  overlay: (under, over) => (under <= 0.5 ? 2 * under * over : 1 - 2 * (1 - under) * (1 - over)),
  'soft-light': (under, over) => {
    if (over <= 0.5) return under - (1 - 2 * over) * under * (1 - under)
    const lifted = under <= 0.25 ? ((16 * under - 12) * under + 4) * under : Math.sqrt(under)
    return under + (2 * over - 1) * (lifted - under)
  },
}

/** One colour over another that is solid, with an opacity 0..1 of its own. */
export function over([red, green, blue, alpha]: Rgba, [r, g, b]: Rgba, opacity = 1, blend: Blend = 'normal'): Rgba {
  const share = alpha * opacity
  const mix = (under: number, top: number) => under + share * (blends[blend](under, top) - under)
  return [mix(r, red), mix(g, green), mix(b, blue), 1]
}

/** How far two solid colours are apart, as a distance in OKLab: 0 for the same, 1 for black and white; about 0.02 is just seen. */
export const apart = (one: Rgba, other: Rgba): number => difference(asRgb(one), asRgb(other))

const asRgb = ([r, g, b]: Rgba) => ({ mode: 'rgb', r, g, b }) as const

/** The contrast of two solid colours, 1..21 (WCAG 2.2, "contrast ratio" and "relative luminance"). */
export function contrastOf(one: Rgba, other: Rgba): number {
  const luminance = ([r, g, b]: Rgba) => {
    const linear = (value: number) => (value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4)
    return 0.2126 * linear(r) + 0.7152 * linear(g) + 0.0722 * linear(b)
  }
  const [lighter = 1, darker = 1] = [luminance(one), luminance(other)].sort((a, b) => b - a)
  return (lighter + 0.05) / (darker + 0.05)
}

/** The ground's own hue, so much darker (or lighter, on a dark ground) that light of it is seen there. */
export function shadeFor(ground: Rgba): string {
  const { l, c, h } = toOklch(asRgb(ground))
  return formatHex({ mode: 'oklch', l: l > 0.55 ? l - 0.45 : l + 0.45, c: Math.min(c + 0.03, 0.12), h: h ?? 70 })
}
