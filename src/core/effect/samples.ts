// What recipes are shown on: a few elements in a box of 58 x 76 px, in the colours of the studio.

import type { Place } from '../geometry/place'

export interface Sample {
  readonly html: string
  readonly css: string
  /** What the effect is on; the pointer goes over `.sample`, the first of them. */
  readonly select: string
  /** Where the pointer is in the box, or on what the effect is on where that is in it, when the sample is seen at rest: where the effect is seen best. */
  readonly rest?: Place
  /** After how long what is only on its way is held as it is then, ms. */
  readonly heldAtMs?: number
}

const boxCss =
  'box-sizing: border-box; width: 58px; height: 76px; padding: 7px; border: 1px solid var(--gm-edge); border-radius: 3px; background-color: var(--gm-sheet); color: var(--gm-ink);'
const picture = 'linear-gradient(135deg, #c98b5a, #6f8f7a)'

/** A card with a picture, a title and a line. */
export const cardSample: Sample = {
  html: '<div class="sample"><div class="picture"></div><div class="title"></div><div class="line"></div></div>',
  css: `.sample { ${boxCss} }
  .picture { height: 34px; border-radius: 2px; background: ${picture}; }
  .title { height: 3px; width: 72%; margin-top: 8px; background: var(--gm-ink); }
  .line { height: 2px; width: 90%; margin-top: 5px; background: var(--gm-edge); }`,
  select: '.sample',
}

/** A word, as large as there is room. */
export const headingSample: Sample = {
  html: '<div class="sample">Moth</div>',
  css: `.sample { ${boxCss} border: 0; background: none; padding: 22px 0; font: 600 23px/1.3 Georgia, serif; letter-spacing: -0.04em; }`,
  select: '.sample',
}

/** Something small that can go about. */
export const moverSample: Sample = {
  html: '<div class="sample"><div class="mover"></div></div>',
  css: `.sample { ${boxCss} }
  .mover { width: 14px; height: 14px; margin: 22px 14px; border-radius: 7px; background: ${picture}; }`,
  select: '.mover',
}
