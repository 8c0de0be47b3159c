import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { tiltDefaults } from '../core/effect/tilt/settings'
import { glowDefaults } from '../core/effect/glow/settings'
import { plainFacts } from '../core/compile/facts'
import { planEffects } from '../core/export/plan'
import { writeStylesheet } from '../core/export/stylesheet'
import { siteSchema } from '../core/site/site'
import { runCommandLine } from './command-line'

let here = ''
beforeEach(() => (here = mkdtempSync(join(tmpdir(), 'check-'))))
afterEach(() => rmSync(here, { recursive: true }))

const path = (name: string) => join(here, name)
const effect = (kind: string, settings: object, select = '.card') => ({ id: kind, kind, name: kind, select, noun: 'each card', settings })
const siteWith = (
  effects: readonly unknown[],
  pages: readonly object[] = [{ id: 'p', name: 'A page', source: 'a'.repeat(64) }],
  more: object = {},
) => ({ format: 'glass-moth/2', name: 'A site', pages, effects, ...more })
const sheeted =
  '<!doctype html><html><head><link rel="stylesheet" href="css/look.css"></head><body><div class="card"><p>One</p></div><p class="card" style="transform: none !important">Two</p></body></html>'

function run(...words: readonly string[]) {
  const said: string[] = []
  const complained: string[] = []
  const code = runCommandLine(
    ['check', ...words],
    (line) => said.push(line),
    (line) => complained.push(line),
  )
  return { code, said, complained }
}

/** A site with a page and a sheet beside it. */
function writeSite(effects: readonly unknown[], html = sheeted) {
  const bundles = [{ id: 'b', files: [{ path: 'css/look.css', hash: 'c'.repeat(64), type: 'text/css', size: 40 }] }]
  const pages = [{ id: 'p', name: 'A page', source: 'a'.repeat(64), bundle: 'b', path: 'index.html' }]
  writeFileSync(path('site.json'), JSON.stringify(siteWith(effects, pages, { bundles })))
  writeFileSync(path('index.html'), html)
  mkdirSync(path('css'))
  writeFileSync(path('css/look.css'), '.card > :last-child { margin: 0 }')
}

describe('glass-moth check', () => {
  it('says what is amiss by markup and sheets, and what it has not looked at', () => {
    writeSite([effect('glow', glowDefaults), effect('tilt', tiltDefaults)])
    const { code, said, complained } = run(path('site.json'), '--layout', 'no')
    expect({ code, complained }).toEqual({ code: 1, complained: [] })
    const lines = said.join('\n').split('\n')
    expect(lines).toHaveLength(4)
    expect(lines[0]).toMatch(/^A page: Effect 1 adds elements, .*\.card > :last-child\. \(Have the page not count them\.\)$/)
    expect(lines[1]).toMatch(/^A page: Effect 2 is overruled on one element: transform is !important/)
    expect(lines[2]).toBe('2 findings.')
    expect(lines[3]).toMatch(
      /^Not looked at, .*: no-result, lost-light, clipped, under-neighbour, flattened, contrast, coarse-picture, large-copy, small-target\.$/,
    )
  })

  it('says the same as JSON where that is asked for', () => {
    writeSite([effect('tilt', tiltDefaults)])
    const { code, said } = run(path('site.json'), '--format', 'json', '--layout', 'no')
    expect(code).toBe(1)
    expect(JSON.parse(said.join('\n'))).toMatchObject({
      findings: [{ page: 'A page', check: 'overruled', effect: 'tilt', number: 1, fix: 'Take !important off' }],
      notLookedAt: [
        'no-result',
        'lost-light',
        'clipped',
        'under-neighbour',
        'flattened',
        'contrast',
        'coarse-picture',
        'large-copy',
        'small-target',
      ],
    })
  })

  it('takes an exported page for what it was without its effects', () => {
    const site = siteSchema.parse(siteWith([effect('glow', glowDefaults)]))
    const planned = planEffects(site, 'p')
    const ours = {
      style: writeStylesheet(planned, [], plainFacts),
      script: '(() => {\n  // The pointer: where it is.\n  const pointer = {}\n})()\n',
    }
    writeFileSync(
      path('index.html'),
      `<!doctype html><html><head><title>x</title><style>\n${ours.style}</style></head><body><div class="card"><p>One</p></div><script>\n${ours.script}</script></body></html>`,
    )
    writeFileSync(path('site.json'), JSON.stringify(site))
    const { code, said } = run(path('site.json'), '--layout', 'no')
    expect(said.join('\n')).toMatch(/^Nothing is amiss\.\n/)
    expect(code).toBe(0)
  })

  it('looks for pages by their names too, and where it is told', () => {
    const pages = ['One', 'The other'].map((name, i) => ({ id: `p${i}`, name, source: 'a'.repeat(64) }))
    writeFileSync(path('site.json'), JSON.stringify(siteWith([effect('tilt', tiltDefaults)], pages)))
    mkdirSync(path('pages'))
    writeFileSync(path('pages/one.html'), '<p class="card">')
    writeFileSync(path('pages/the-other.html'), '<p>')
    expect(run(path('site.json'), '--pages', path('pages'), '--layout', 'no').code).toBe(0)
    expect(run(path('site.json'), '--layout', 'no')).toMatchObject({
      code: 1,
      complained: [expect.stringMatching(/^The page One is not there/)],
    })
  })

  it.each([
    ['no site', [], 2, /^glass-moth check SITE\.json/],
    ['an unknown format', ['site.json', '--format', 'xml'], 2, /^glass-moth check SITE\.json/],
    ['a site that is not there', ['/nowhere/site.json'], 1, /there is no file/],
  ])('refuses %s in one line', (_, words, code, complaint) => {
    const ran = run(...words)
    expect(ran.code).toBe(code)
    expect(ran.complained).toEqual([expect.stringMatching(complaint)])
  })
})
