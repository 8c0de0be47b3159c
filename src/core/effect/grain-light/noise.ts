// The grain: an inline SVG picture of noise that the browser draws once and repeats.
import type { GrainLightSettings } from './settings'

/** Width and height of the picture that is repeated, px. */
export const noiseTilePx = 256

/**
 * A CSS url() of specks on nothing: fractal noise (Filter Effects, section 9.21) whose red channel becomes the alpha of
 * white or black. Its edges meet, so that it can be repeated.
 */
export function noiseUrl({
  fineness,
  detail,
  seed,
  speckle,
}: Pick<GrainLightSettings, 'fineness' | 'detail' | 'seed' | 'speckle'>): string {
  const shade = speckle === 'light' ? 1 : 0
  const matrix = `0 0 0 0 ${shade} 0 0 0 0 ${shade} 0 0 0 0 ${shade} 2.4 0 0 0 -1`
  const svg = `<svg xmlns='http://www.w3.org/2000/svg' width='${noiseTilePx}' height='${noiseTilePx}'><filter id='n' x='0' y='0' width='100%' height='100%'><feTurbulence type='fractalNoise' baseFrequency='${fineness}' numOctaves='${detail}' seed='${seed}' stitchTiles='stitch'/><feColorMatrix values='${matrix}'/></filter><rect width='100%' height='100%' filter='url(#n)'/></svg>`
  return `url("data:image/svg+xml,${encodeURIComponent(svg).replaceAll("'", '%27').replaceAll('(', '%28').replaceAll(')', '%29')}")`
}
