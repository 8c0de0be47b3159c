// Pages of other makers, from packages of templates: whole, with what belongs to them put in, as one text.
import type { Page as BrowserPage } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Judged } from './judge'

export interface OtherPage {
  readonly name: string
  readonly folder: string
  readonly judged: readonly Judged[]
}

const direct = { follow: { kind: 'direct' }, comeMs: 0, goMs: 0 }

/** The settings of a kind as they are from the start are filled in where they are used. */
export const others = (settingsOf: (kind: string, changes: object) => object): readonly OtherPage[] => {
  const one = (kind: string, select: string, roles?: Judged['roles'], changes: object = {}): Judged => {
    const own = settingsOf(kind, {}) as Readonly<Record<string, unknown>>
    const known = Object.fromEntries(Object.entries(direct).filter(([key]) => key in own))
    return {
      kind,
      select,
      settings: settingsOf(kind, { ...known, ...('back' in own ? { back: null } : {}), ...changes }),
      reads: kind === 'glow' ? 'border' : 'padding',
      ...(roles ? { roles } : {}),
    }
  }
  const layers = { layers: [{ id: 'layer-1', amount: 22 }, { id: 'layer-2', amount: 6 }] } // prettier-ignore
  const role = (select: string) => ({ select, noun: 'it' })
  return [
    {
      name: 'one long page of a studio',
      folder: 'startbootstrap-creative',
      judged: [
        one('tilt', '.portfolio-box', undefined, { sheenPercent: 30, scalePercent: 4 }),
        one('drift', '.masthead', { 'layer-1': role('.masthead h1'), 'layer-2': role('.masthead .btn') }, layers),
        one('fold', '#services h2'),
        one('follow', '#about .btn', { ground: role('#about') }),
        one('spotlight', '.bg-dark'),
        one('glow', '#services .col-lg-3'),
        one('grain-light', '#contact'),
      ],
    },
    {
      name: 'a journal',
      folder: 'startbootstrap-clean-blog',
      judged: [
        // What it lies in leans not, so that where it lies is known to the px.
        one('tilt', '.post-preview ~ .post-preview', undefined, { sheenPercent: 30, scalePercent: 4 }),
        one('drift', '.masthead', { 'layer-1': role('.masthead h1'), 'layer-2': role('.masthead .subheading') }, layers),
        one('fold', '.post-preview h2'),
        one('follow', 'main .btn, body > .container .btn', { ground: role('.justify-content-end') }),
        one('spotlight', 'footer'),
        one('glow', '.post-preview'),
        one('grain-light', 'footer .container'),
      ],
    },
  ]
}

/** The page of a package as one text: its own sheets, scripts and pictures are put in; what it has from elsewhere stays elsewhere. */
export function readOther({ folder }: OtherPage): string {
  const base = join('node_modules', folder, 'dist')
  const text = (path: string) => readFileSync(join(base, path), 'utf8')
  const data = (path: string) => `data:image/jpeg;base64,${readFileSync(join(base, path)).toString('base64')}`
  return text('index.html')
    .replace(/<link href="(css\/[^"]+)"[^>]*>/g, (_, path: string) => `<style>${text(path).replaceAll('../assets/', 'assets/')}</style>`)
    .replace(/<script src="(js\/[^"]+)"><\/script>/g, (_, path: string) => `<script>${text(path)}</script>`)
    .replace(/src="(assets\/img\/[^"]+\.jpg)"/g, (_, path: string) => `src="${data(path)}"`)
}

/** Answers what such a page asks of elsewhere: its library of parts from the package that came with it, a stand-in for a picture viewer, and nothing else. */
export async function answerElsewhere(page: BrowserPage): Promise<void> {
  await page.route(/^https:/, (route) => {
    const address = route.request().url()
    if (/bootstrap@[\d.]+\/dist\/js\/bootstrap\.bundle/.test(address))
      return route.fulfill({ path: 'node_modules/bootstrap/dist/js/bootstrap.bundle.min.js', contentType: 'text/javascript' })
    if (/simpleLightbox.*\.js/.test(address))
      return route.fulfill({ body: 'window.SimpleLightbox = class {}', contentType: 'text/javascript' })
    return route.abort()
  })
}
