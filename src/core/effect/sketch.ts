// A drawing as data: a kind tells what is to be seen, the studio draws it. Points in units of a board 308 wide and 126 high.

export type Ink = 'ink' | 'soft' | 'violet' | 'madder'

export interface Point {
  readonly x: number
  readonly y: number
}

export type Mark =
  /** A line, thick for what is meant, dashed for where it was. */
  | { readonly draw: 'line'; readonly from: Point; readonly to: Point; readonly ink: Ink; readonly how?: 'thick' | 'dashed' }
  /** A line with a head at its end. */
  | { readonly draw: 'arrow'; readonly from: Point; readonly to: Point; readonly ink: Ink }
  | { readonly draw: 'dot'; readonly at: Point }
  /** Where it is seen from. */
  | { readonly draw: 'eye'; readonly at: Point }

export interface Sketch {
  readonly title: string
  /** At the right of the title. */
  readonly note: string
  /** What it shows, for those who do not see it. */
  readonly words: string
  readonly marks: readonly Mark[]
}
