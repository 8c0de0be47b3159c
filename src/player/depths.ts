// Depth that an element keeps although it cuts off what sticks out of it.
import type { Styled } from './measure'

/**
 * `overflow: hidden` would press what floats above an element flat; `clip` cuts alike and leaves it its depth (CSS
 * Transforms Level 2, grouping property values). Gives what brings the page's own back, where there is anything to.
 */
function deepen({ style: own }: Styled, style: CSSStyleDeclaration): (() => void) | undefined {
  if (style.overflow !== 'hidden') return undefined
  const before = own.overflow
  own.overflow = 'clip'
  return () => {
    own.overflow = before
  }
}

export const depths = { deepen }
