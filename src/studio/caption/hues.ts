// A colour for each of several, alike but for the hue.

/** So many colours as hex, from the hue of `colour` round the whole circle in even steps, alike in lightness and chroma (OKLCH). */
export function huesFrom(colour: string, count: number): readonly string[] {
  const surface = document.createElement('canvas')
  surface.width = surface.height = 1
  const ink = surface.getContext('2d', { willReadFrequently: true })
  if (!ink) return []
  return Array.from({ length: count }, (_, i) => {
    ink.clearRect(0, 0, 1, 1)
    ink.fillStyle = `oklch(from ${colour} l c calc(h + ${Math.round((360 * i) / count)}))`
    ink.fillRect(0, 0, 1, 1)
    return `#${[...ink.getImageData(0, 0, 1, 1).data.slice(0, 3)].map((part) => part.toString(16).padStart(2, '0')).join('')}`
  })
}
