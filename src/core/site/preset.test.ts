import { describe, expect, it } from 'vitest'
import { filledIn } from '../effect/kinds'
import { tiltDefaults } from '../effect/tilt/settings'
import { makePreset, placePreset, presetEffect, presetSchema, settlePreset } from './preset'
import type { Effect } from './site'

const source =
  '<!doctype html>\n<html><head></head>\n<body>\n  <div class="grid">\n    <article class="card wide">\n      <h2>One</h2>\n    </article>\n  </div>\n</body></html>'
const effect: Effect = {
  id: 'e',
  kind: 'tilt',
  name: 'Leaning card!',
  select: '.grid .card',
  noun: 'each card',
  settings: tiltDefaults,
  overrides: { lean: { values: { '.card:nth-child(1)': '3deg' } } },
  roles: { layer: { select: '& h2', noun: 'title' } },
}
const css = '.card { color: teal }\n.card h2 { margin: 0 }\n'
// html, head, body, div, article
const preset = makePreset(source, 4, effect, css)

describe('a preset', () => {
  it('is the element with what is in it, free of where it stood, with a class of its own', () => {
    expect(presetSchema.parse(preset)).toEqual(preset)
    expect(preset.markup).toBe('<article class="card wide preset-leaning-card">\n  <h2>One</h2>\n</article>')
    expect(preset.effect).toEqual({
      id: 'preset',
      kind: 'tilt',
      name: 'Leaning card!',
      noun: 'each card',
      settings: tiltDefaults,
      select: '.preset-leaning-card',
      roles: { layer: { select: '& h2', noun: 'title' } },
    })
  })

  it('brings the pictures that it asks for to another page, at addresses that are free there', () => {
    const file = (path: string, digit: string) => ({ path, hash: digit.repeat(64), type: 'image/png', size: 9 })
    const own = [file('shop/img/seed.png', 'a'), file('shop/img/see', 'b'), file('img/seed.png', 'c'), file('shop/back.png', 'd')]
    const pictured = source.replace('<h2>One</h2>', '<img src="img/seed.png" srcset="./img/seed.png 2x"><h2>One</h2>')
    const made = makePreset(pictured, 4, effect, `${css}.card { background: url(back.png) }\n`, own, 'shop/')
    expect(made.files).toEqual([file('img/seed.png', 'a'), file('back.png', 'd')])
    expect(presetSchema.parse(made)).toEqual(made)
    // Nothing is there yet; one is there already; another file is at its address.
    expect(settlePreset(made, [], 'a/').files.map(({ path }) => path)).toEqual(['a/img/seed.png', 'a/back.png'])
    expect(settlePreset(made, [file('img/seed.png', 'a')], '').files.map(({ path }) => path)).toEqual(['back.png'])
    const settled = settlePreset(made, [file('img/seed.png', 'e')], '')
    expect(settled.files.map(({ path, hash }) => [path, hash.charAt(0)])).toEqual([
      ['img/aaaaaaaa-seed.png', 'a'],
      ['back.png', 'd'],
    ])
    expect(settled.preset.markup).toContain('<img src="img/aaaaaaaa-seed.png" srcset="./img/aaaaaaaa-seed.png 2x">')
    // Placed once more it brings nothing more.
    expect(settlePreset(made, [file('img/seed.png', 'e'), ...settled.files], '').files).toEqual([])
  })

  it('is placed with its rules, which come once', () => {
    const page = '<!doctype html>\n<html><head></head>\n<body>\n  <main>\n    <p>Text</p>\n  </main>\n</body></html>'
    const once = placePreset(page, preset, 4, 'after')
    expect(once).toContain('    <p>Text</p>\n    <article class="card wide preset-leaning-card">\n      <h2>One</h2>\n    </article>\n')
    const twice = placePreset(once, preset, 5, 'after')
    expect(twice.match(/color: teal/g)).toHaveLength(1)
    expect(twice.match(/<article/g)).toHaveLength(2)
  })

  it('brings its rules to a page that begins some of its own alike', () => {
    const rooted = { ...preset, css: ':root {\n  --leaf: teal;\n}\n.card { color: var(--leaf) }' }
    const page =
      '<!doctype html>\n<html><head>\n  <style>\n    :root {\n      --other: red;\n    }\n  </style>\n</head>\n<body>\n  <p>Text</p>\n</body></html>'
    const once = placePreset(page, rooted, 4, 'after')
    expect(once).toContain('--leaf: teal')
    expect(placePreset(once, rooted, 4, 'after').match(/--leaf: teal/g)).toHaveLength(1)
  })

  it('means what it is put on, its roles within', () => {
    const placed = presetEffect(preset, 'new', { select: '.mine, .yours', noun: 'each of mine' })
    expect(placed).toMatchObject({ id: 'new', select: '.mine, .yours' })
    expect(filledIn(placed)).toEqual({ layer: ':is(.mine, .yours) h2' })
  })

  it('refuses what is none', () => {
    expect(presetSchema.safeParse({ ...preset, css: 'a{}</style><script>' }).success).toBe(false)
    expect(presetSchema.safeParse({ ...preset, effect: { ...preset.effect, kind: 'no' } }).success).toBe(false)
    expect(() => makePreset(source, 400, effect, '')).not.toThrow()
  })
})
