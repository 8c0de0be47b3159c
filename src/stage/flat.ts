// What makes the browser draw an element flat, whatever heights it holds (CSS Transforms Level 2, grouping property values).

/** The property that does so, or null. `overflow: clip` counts: with it Chromium draws flat too. */
export function flattenedBy(element: Element): string | null {
  const style = getComputedStyle(element)
  if (style.overflowX !== 'visible' || style.overflowY !== 'visible') return 'overflow'
  if (style.clipPath !== 'none') return 'clip-path'
  if (style.filter !== 'none') return 'filter'
  if (Number(style.opacity) < 1) return 'opacity'
  if (style.mixBlendMode !== 'normal') return 'mix-blend-mode'
  return style.maskImage !== 'none' ? 'mask' : null
}
