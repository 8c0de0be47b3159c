// The sites that a new studio begins with: plain starters, and the demo.
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { tiltDefaults } from '../src/core/effect/tilt/settings'
import type { Effect } from '../src/core/site/site'
import { specimensPage } from './vesper-hollow/specimens'

/** A site before its pages are kept: each page with its HTML. */
export interface NewSite {
  readonly id: string
  readonly name: string
  readonly pages: readonly { readonly id: string; readonly name: string; readonly html: string }[]
  readonly effects: readonly Effect[]
}

const root = new URL('..', import.meta.url).pathname

export function newSites(): readonly NewSite[] {
  return [
    { id: 'starters', name: 'Starters', pages: [{ id: 'cards', name: 'Eight cards', html: readFileSync(join(root, 'demo/starters/cards.html'), 'utf8') }], effects: [] },
    {
      id: 'vesper-hollow',
      name: 'Vesper Hollow',
      pages: [{ id: 'specimens', name: 'Specimens', html: specimensPage() }],
      effects: [{ id: 'plates', kind: 'tilt', name: 'Plates give way', select: '.plate', noun: 'each plate', settings: { ...tiltDefaults, acrossDeg: 10, liftPx: 18 } }],
    },
  ]
}
