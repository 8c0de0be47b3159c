import { describe, expect, it } from 'vitest'
import { tiltDefaults } from '../effect/tilt/settings'
import { makePreset, placePreset, presetEffect, presetSchema } from './preset'
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
  roles: { layer: { select: '.grid .card h2', noun: 'title' } },
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
    expect(presetEffect(preset, 'new', { select: '.mine', noun: 'each of mine' })).toMatchObject({
      id: 'new',
      select: '.mine',
      roles: { layer: { select: '.mine h2' } },
    })
  })

  it('refuses what is none', () => {
    expect(presetSchema.safeParse({ ...preset, css: 'a{}</style><script>' }).success).toBe(false)
    expect(presetSchema.safeParse({ ...preset, effect: { ...preset.effect, kind: 'no' } }).success).toBe(false)
    expect(() => makePreset(source, 400, effect, '')).not.toThrow()
  })
})
