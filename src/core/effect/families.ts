// The headings under which recipes stand. A kind names its own.
export interface Family {
  readonly title: string
}

export const depth: Family = { title: 'Depth' }
export const light: Family = { title: 'Light' }
export const reveal: Family = { title: 'Reveal' }
/** What an element is while the pointer, a finger or the focus is on it. */
export const state: Family = { title: 'State' }
/** What the pointer itself becomes, or has with it. */
export const atPointer: Family = { title: 'Cursor' }
/** Rigs by hand. */
export const custom: Family = { title: 'Custom' }
