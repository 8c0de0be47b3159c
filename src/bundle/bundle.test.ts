import { readFileSync } from 'node:fs'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import { writeStylesheet } from '../core/export/stylesheet'
import type { Output, Rig } from '../core/rig/rig'
import type { Slot } from '../core/rig/slot'
import { gzippedSize, joinPlayer } from './join-player'
import { minifyScript } from './minify'
import { writePage } from './page'
import { readPlayerModules } from './player-source'

const modules = readPlayerModules(new URL('../..', import.meta.url).pathname)

/** The most that a script may weigh without its data, bytes (docs/decisions/006-what-the-engine-weighs.md). */
const budgets = { oneTilt: 10_752, everything: 17_920 }

const tables = ['laws', 'shapers', 'readers', 'series', 'features', 'abilities']
const everything = [...new Set(modules.flatMap(({ declarations }) => declarations).filter(({ names }) => names.some((name) => tables.includes(name))).flatMap(({ uses }) => uses))]
const oneTilt = ['spring', 'centredX', 'centredY', 'telling']
const weigh = (needs: readonly string[]) => gzippedSize(minifyScript(`(() => {'use strict'\n${joinPlayer(modules, needs)}\nattach(document, [])})()`))

/** The names that a script uses and neither it nor the browser defines. */
function undefinedNames(script: string): readonly string[] {
  const options: ts.CompilerOptions = { allowJs: true, checkJs: true, noEmit: true, target: ts.ScriptTarget.ES2023, lib: ['lib.es2023.d.ts', 'lib.dom.d.ts', 'lib.dom.iterable.d.ts'], types: [] }
  const host = ts.createCompilerHost(options)
  const own = host.getSourceFile.bind(host)
  host.getSourceFile = (name, ...rest) => (name === 'player.js' ? ts.createSourceFile(name, script, ts.ScriptTarget.ES2023) : own(name, ...rest))
  const program = ts.createProgram(['player.js'], options, host)
  const missing = program.getSemanticDiagnostics().filter(({ code }) => code === 2304 || code === 2552 || code === 18004)
  return missing.map(({ messageText }) => ts.flattenDiagnosticMessageText(messageText, ' '))
}

describe('the player as text', () => {
  it('is one scope of plain JavaScript that defines attach', () => {
    const text = joinPlayer(modules, ['spring', 'timed', 'glide', 'direct', 'stops'])
    expect(text).not.toMatch(/^(import|export) /m)
    expect(() => new Function(`${text}; return attach`)).not.toThrow()
    expect(text).toContain('// attach(): plays figures on a page until it is told to stop.')
  })

  it('leaves out what a page does not need', () => {
    const lean = joinPlayer(modules, ['spring', 'centredX', 'centredY'])
    expect(lean).toContain('const laws = { spring }')
    expect(lean).toContain('const shapers = {}')
    expect(lean).not.toContain('cubicBezier')
    expect(joinPlayer(modules, ['timed'])).toContain('cubicBezier')
  })

  it('uses no name that it does not define, whatever is left out', () => {
    expect(undefinedNames('const a = () => b')).toHaveLength(1)
    const scripts = [[], oneTilt, everything, ['glide', 'x', 'stops'], ['look', 'looks', 'flow', 'late', 'states', 'telling', 'timed', 'crossings'], ['past', 'speed', 'flow', 'late', 'tracking', 'chains', 'glide', 'parts', 'targets', 'frames']].map((needs) => `(() => {\n${joinPlayer(modules, needs)}\nattach(document, [])\n})()`)
    expect(undefinedNames(scripts.join(';\n'))).toEqual([])
  }, 240_000)

  it.each([['one tilt', oneTilt, budgets.oneTilt], ['every capability', everything, budgets.everything]] as const)('of %s keeps its budget', (name, needs, budget) => {
    const bytes = weigh(needs)
    console.log(`script of ${name}, minified and gzipped, without data: ${bytes} of ${budget} bytes`)
    expect(bytes).toBeLessThanOrEqual(budget)
  })
})

describe('what an export asks of a browser', () => {
  const table = readFileSync(new URL('../../docs/browsers.md', import.meta.url), 'utf8')
  const told = new Set([...table.matchAll(/`([^`]+)`/g)].map(([, word = '']) => word.replace('()', '')))

  it('is told in docs/browsers.md: each global of the script', () => {
    const own = new Set(modules.flatMap(({ declarations }) => declarations.flatMap(({ names }) => names)))
    const used = new Set(modules.flatMap(({ declarations }) => declarations.flatMap(({ uses }) => uses)).filter((name) => !own.has(name)))
    expect(used.size).toBeGreaterThan(10)
    expect([...used].filter((name) => !told.has(name))).toEqual([])
  })

  it('is told there: each at-rule and function of the stylesheet', () => {
    const output = (slot: Slot, more: Partial<Output> = {}): Output => ({ to: 'self', slot, base: 1, factor: 2, channel: 'x', strength: 1, ...more })
    const rig: Rig = {
      areas: [{ id: 'a', of: 'each', select: '.a', box: 'still', among: 'one', pointer: 'any', touch: 'drag' }],
      channels: [{ id: 'x', area: 'a', frame: 'area', signal: { of: 'x' }, away: { kind: 'settle', pose: 0 }, feel: { kind: 'direct' }, group: 'light' }],
      knobs: [],
      outputs: [
        ...(['translateX', 'translateY', 'perspective', 'translateZ', 'rotateX', 'rotateY', 'rotate', 'scale', 'scaleY', 'skewX'] as const).map((fn) => output({ on: 'transform', fn })),
        output({ on: 'filter', fn: 'blur' }),
        output({ on: 'filter', fn: 'saturate' }),
        output({ on: 'inset', side: 'top' }),
        output({ on: 'opacity' }, { curve: { stops: [{ at: 0, value: 0 }, { at: 1, value: 1 }] } }),
        ...(['oklch', 'oklab'] as const).map((space) => output({ on: 'property', name: `--${space}`, unit: '', law: 'replace' }, { curve: { colours: [{ at: 0, value: { space, values: [0, 0, 0, 1] } }, { at: 1, value: { space, values: [1, 0, 0, 1] } }] } })),
      ],
      parts: [],
      rules: [],
    }
    const css = writeStylesheet([{ number: 1, names: { title: '', name: 'a', mark: 'x' }, rig, sentence: 'A.' }]).replace(/\/\*[\s\S]*?\*\//g, '')
    const used = new Set([...css.matchAll(/(@[a-z-]+)|([a-zA-Z-]+)\(/g)].map(([, rule, fn]) => rule ?? fn ?? ''))
    used.delete('')
    expect(used.size).toBeGreaterThan(15)
    expect([...used].filter((name) => !told.has(name))).toEqual([])
  })
})

describe('a page with its effects', () => {
  it.each([
    ['<!doctype html>\n<html>\n<head><title>t</title>\n</head>\n<body class=x>\n<p>text\n</body>\n</html>\n', /<title>t<\/title>\n<style>\ncss<\/style>\n<\/head>[\s\S]*<p>text\n<script>\njs<\/script>\n<\/body>/],
    ['<p>no head, no body', /^<style>\ncss<\/style>\n<p>no head, no body<script>\njs<\/script>\n$/],
    ['<title>t</title><body><p>x', /<style>\ncss<\/style>\n<body><p>x<script>\njs<\/script>\n$/],
    ['', /^<style>\ncss<\/style>\n<script>\njs<\/script>\n$/],
  ])('has them at the ends of head and body: %j', (source, shape) => {
    const page = writePage(source, 'css', 'js')
    expect(page).toMatch(shape)
    expect(page.replace('<style>\ncss</style>\n', '').replace('<script>\njs</script>\n', '')).toBe(source)
  })

  it('is not misled by tags inside comments and scripts', () => {
    const source = '<html><head><!-- </head> --><script>"</body>"</script></head><body>a</body></html>'
    expect(writePage(source, 'css', 'js')).toBe('<html><head><!-- </head> --><script>"</body>"</script><style>\ncss</style>\n</head><body>a<script>\njs</script>\n</body></html>')
  })
})
