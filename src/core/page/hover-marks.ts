// A page under a pointer that is not the real one: its rules for :hover and :active follow marks, in the studio's copy only.

export const hoverMark = 'data-glass-moth-hover'
export const activeMark = 'data-glass-moth-active'

/** A selector, or a sheet, in which the two states are told by our marks; they weigh as much as what they stand for. */
export function withHoverMarks(css: string): string {
  return css.replace(/:hover(?![\w-])/g, `[${hoverMark}]`).replace(/:active(?![\w-])/g, `[${activeMark}]`)
}
