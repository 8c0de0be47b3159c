import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { Script } from 'node:vm'
import { Linter } from 'eslint'
import { describe, expect, inject, it } from 'vitest'
import { writeStylesheet } from '../core/export/stylesheet'
import type { Output, Rig } from '../core/rig/rig'
import type { Slot } from '../core/rig/slot'
import { compile } from '../core/compile/compile'
import { factNames, plainFacts, worstFacts } from '../core/compile/facts'
import { namesUsed } from '../core/compile/join'
import { needsScript } from '../core/compile/needs-script'
import { kinds, type AnyKind } from '../core/effect/kinds'
import { readFragments } from './fragments'
import { gzippedSize, minifyScript } from './minify'
import { writePage } from './page'

const fragments = readFragments(new URL('../..', import.meta.url).pathname)
/** The most that scripts may weigh, minified and gzipped, with their data, bytes. */
const budgets = { tilt: 1530, tiltAtWorst: 2790, kind: 2095, seven: 3750, note: 2700, rows: 4480, all: 15_970 }

const named = (name: string) => ({ title: name, name })
/** An effect as it is from the start; one by hand, which has nothing then, as its first recipe has it. */
const rigOf = ({ id, expand, roles, defaults, recipes }: AnyKind, select = '.card') => {
  const settings: unknown = id === 'free' ? recipes[0]?.settings : defaults
  return {
    rig: expand(
      settings,
      select,
      Object.fromEntries(
        roles(settings)
          .slice(1)
          .map((role) => [role.id, `${select} .${role.id}`]),
      ),
    ),
    names: named(id),
    sentence: `What ${id} does.`,
  }
}
const every = kinds
  .filter(({ id }) => id !== 'free')
  .map((kind) => rigOf(kind, `.${kind.id}`))
  .filter(({ rig }) => needsScript(rig))
const firstSeven = ['tilt', 'drift', 'fold', 'follow', 'spotlight', 'glow', 'grain-light']
const seven = every.filter(({ names }) => firstSeven.includes(names.name))
const tilt = seven.filter(({ names }) => names.name === 'tilt')
const scripts = [
  ...kinds
    .filter((kind) => needsScript(rigOf(kind).rig))
    .flatMap((kind) =>
      [plainFacts, worstFacts].map((facts) => ({
        of: `${kind.id}, ${facts === worstFacts ? 'at worst' : 'plain'}`,
        script: compile([rigOf(kind)], facts, fragments),
      })),
    ),
  { of: 'all kinds, at worst', script: compile(every, worstFacts, fragments) },
]
const only = (kind: string) =>
  compile(
    every.filter(({ names }) => names.name === kind),
    plainFacts,
    fragments,
  )
const weigh = (script: string) => gzippedSize(minifyScript(script))

/** The names that a browser has for everyone, as TypeScript knows them; those of the language are known to the linter. */
const ofBrowsers = Object.fromEntries(
  [
    ...readFileSync(fileURLToPath(import.meta.resolve('typescript/lib/lib.dom.d.ts')), 'utf8').matchAll(
      /^declare (?:var|function|namespace) (\w+)/gm,
    ),
  ].map(([, name = '']) => [name, 'readonly' as const]),
)

/** What our lint of exported code finds: names that nobody defines, what nobody uses or reaches, names within names, functions of forty lines. */
function faultsIn(script: string): readonly string[] {
  const rules: Linter.RulesRecord = {
    'no-undef': 'error',
    'no-unused-vars': ['error', { args: 'all', argsIgnorePattern: '^_' }],
    'no-unused-expressions': ['error', { allowShortCircuit: false }],
    'no-shadow': 'error',
    'no-unreachable': 'error',
    'no-constant-condition': 'error',
    'no-constant-binary-expression': 'error',
    'no-dupe-else-if': 'error',
    'no-empty': 'error',
    'no-empty-pattern': 'error',
    'no-extra-boolean-cast': 'error',
    'no-self-assign': 'error',
    'no-self-compare': 'error',
    'no-useless-return': 'error',
    'no-useless-rename': 'error',
    'no-lonely-if': 'error',
    'no-else-return': 'error',
    'no-var': 'error',
    'prefer-const': ['error', { destructuring: 'all' }],
    'object-shorthand': 'error',
    eqeqeq: 'error',
    'no-eval': 'error',
    'no-implied-eval': 'error',
    'no-new-func': 'error',
    'max-depth': ['error', 5],
  }
  const body = script.replace(/^(const takeOff = )?\(\(\) => \{\n/, '').replace(/\n\}\)\(\)\n$/, '')
  const found = new Linter().verify(body, [
    {
      languageOptions: {
        ecmaVersion: 2023,
        sourceType: 'script',
        globals: ofBrowsers,
        parserOptions: { ecmaFeatures: { globalReturn: true } },
      },
      rules: { ...rules, 'max-lines-per-function': ['error', { max: 40, skipComments: false, skipBlankLines: false }] },
    },
  ])
  return found.map(({ ruleId, message, line }) => `${ruleId ?? ''}: ${message} (${body.split('\n')[line - 1]?.trim() ?? ''})`)
}
/** Every fact on alone and off alone; or, by the digits of their numbers, as few as have any two of them apart, each on and off. */
const factsTried = inject('isLong')
  ? factNames.flatMap((name) => [
      { ...plainFacts, [name]: true },
      { ...worstFacts, [name]: false },
    ])
  : Array.from({ length: Math.ceil(Math.log2(factNames.length + 2)) }, (_, digit) => ({
      ...plainFacts,
      ...Object.fromEntries(factNames.map((name, i) => [name, (((i + 1) >> digit) & 1) === 1])),
    }))

describe('a compiled script', () => {
  it('is none at all of a kind that CSS does alone, whatever the page may do', () => {
    const alone = kinds.filter((kind) => !needsScript(rigOf(kind).rig))
    expect(alone.map(({ id }) => id)).toEqual(['wash', 'crop', 'spread', 'cursor'])
    for (const kind of alone) expect(compile([rigOf(kind)], worstFacts, fragments)).toBe('')
  })

  it.each(scripts)(
    'of $of is an expression of its own that defines nothing global, and cannot end the element that it stands in',
    ({ script }) => {
      expect(script).toMatch(/^\(\(\) => \{\n/)
      expect(script).not.toMatch(/given\.|\bimport\b|\bexport\b/)
      expect(() => new Script(script)).not.toThrow()
    },
  )

  it('parses, defines what it uses and passes its lint with every fact on and off, and with all that it can do besides', () => {
    const made = factsTried.map((facts) => compile(every, facts, fragments))
    const leaving = [{ takesOff: true as const }, { isModule: true as const }, { takesOff: true as const, isModule: true as const }].map(
      (each) => compile(every, worstFacts, fragments, each),
    )
    expect(leaving[0]).toMatch(/^const takeOff = \(\(\) => \{\n[\s\S]*\n {2}return takeOff\n\}\)\(\)\n$/)
    expect(leaving[2]).toMatch(/\nexport \{ takeOff \}\n$/)
    expect(leaving[1]).not.toMatch(/^\(\(\)|takeOff/)
    expect(
      [...made, ...leaving.map((script) => script.replace('export { takeOff }', 'takeOff()'))].flatMap((script) => faultsIn(script)),
    ).toEqual([])
  }, 240_000)

  it('is none where effects ask for none', () => {
    const [one] = tilt
    if (!one) throw new Error('There is no tilt.')
    const still = { ...one, rig: { ...one.rig, channels: [], parts: [], outputs: [] } }
    expect(compile([still], worstFacts, fragments)).toBe('')
    expect(compile([still, one], plainFacts, fragments)).toBe(compile([one], plainFacts, fragments))
    expect(writePage('<p>', 'p { color: red }\n', '')).not.toContain('script')
  })

  it('uses no name that it does not define, defines none that it does not use, and passes the lint of exported code', () => {
    expect(faultsIn('(() => {\n  const a = 1\n  if (false) show(2)\n})()\n')).toHaveLength(3)
    expect(faultsIn('(() => {\n  addEventListener("blur", (event) => window.stop())\n})()\n')).toHaveLength(1)
    expect(scripts.flatMap(({ of, script }) => faultsIn(script).map((fault) => `${of}: ${fault}`))).toEqual([])
  })

  it('holds what its effects ask for, and nothing else', () => {
    const lean = compile(tilt, plainFacts, fragments)
    expect(lean).toMatch(/settles in 416 ms, 4 % overshoot/i)
    for (const other of ['bezier', 'MutationObserver', 'dueAt', 'aria-hidden', 'querySelectorAll']) expect(lean).not.toContain(other)
    expect(compile(tilt, worstFacts, fragments)).toContain('--own-transform')
  })

  it('is the same with other numbers, but for these', () => {
    const [one] = tilt
    if (!one) throw new Error('There is no tilt.')
    const softer = {
      ...one,
      rig: {
        ...one.rig,
        channels: one.rig.channels.map((channel) => ({
          ...channel,
          feel: { kind: 'spring' as const, frequencyHz: 1.31, dampingRatio: 0.642 },
        })),
      },
    }
    const bare = (script: string) => script.replaceAll(/\d+\.\d+|settles in[^\n]*|Settles in[^\n]*|const \w+ =/g, '')
    expect(bare(compile([softer], plainFacts, fragments))).toBe(bare(compile(tilt, plainFacts, fragments)))
    expect(compile([softer], plainFacts, fragments)).toContain('1.31 * 0.642')
  })

  it.each([
    ['one tilt', compile(tilt, plainFacts, fragments), budgets.tilt],
    ['one tilt on a page of which nothing is known', compile(tilt, worstFacts, fragments), budgets.tiltAtWorst],
    ['any one kind', only('spotlight'), budgets.kind],
    ['a note', only('note'), budgets.note],
    ['rows', only('rows'), budgets.rows],
    ['seven kinds on a page', compile(seven, plainFacts, fragments), budgets.seven],
    ['all kinds on a page', compile(every, plainFacts, fragments), budgets.all],
  ])('of %s keeps its budget', (name, script, budget) => {
    const bytes = weigh(script)
    console.log(`script of ${name}, minified and gzipped: ${bytes} of ${budget} bytes, ${script.split('\n').length - 1} lines`)
    expect(bytes).toBeLessThanOrEqual(budget)
  })
})

describe('what an export asks of a browser', () => {
  const table = readFileSync(new URL('../../docs/browsers.md', import.meta.url), 'utf8')
  const told = new Set([...table.matchAll(/`([^`]+)`/g)].map(([, word = '']) => word.replace('()', '')))

  it('is told in docs/browsers.md: each global of the script', () => {
    const own = new Set([...fragments.flatMap(({ names }) => names), 'given', 'effects'])
    const used = new Set(fragments.flatMap(({ text }) => namesUsed(text)).filter((name) => !own.has(name)))
    expect(used.size).toBeGreaterThan(10)
    expect([...used].filter((name) => !told.has(name))).toEqual([])
  })

  it('is told there: each at-rule and function of the stylesheet', () => {
    const output = (slot: Slot, more: Partial<Output> = {}): Output => ({
      to: 'self',
      slot,
      base: 1,
      factor: 2,
      channel: 'x',
      strength: 1,
      ...more,
    })
    const rig: Rig = {
      areas: [{ id: 'a', of: 'each', select: '.a', box: 'still', among: 'one', pointer: 'any', touch: 'drag' }],
      channels: [
        {
          id: 'x',
          area: 'a',
          frame: 'area',
          signal: { of: 'x' },
          away: { kind: 'settle', pose: 0 },
          feel: { kind: 'direct' },
          group: 'light',
        },
        {
          id: 'here',
          area: 'a',
          frame: 'area',
          signal: { of: 'inside' },
          away: { kind: 'settle', pose: 0 },
          feel: { kind: 'timed', durationMs: 180, easing: 'cubic-bezier(0.2, 0.7, 0.2, 1)', delayMs: 0 },
          going: { kind: 'timed', durationMs: 320, easing: 'linear(0, 0.7 30%, 1)', delayMs: 40 },
          group: 'light',
        },
      ],
      knobs: [],
      outputs: [
        { to: { part: 'p' }, slot: { on: 'opacity' }, base: 0, factor: 1, channel: 'here', strength: 1 },
        ...(
          ['translateX', 'translateY', 'perspective', 'translateZ', 'rotateX', 'rotateY', 'rotate', 'scale', 'scaleY', 'skewX'] as const
        ).map((fn) => output({ on: 'transform', fn })),
        output({ on: 'filter', fn: 'blur' }),
        output({ on: 'filter', fn: 'saturate' }),
        output({ on: 'inset', side: 'top' }),
        output(
          { on: 'opacity' },
          {
            curve: {
              stops: [
                { at: 0, value: 0 },
                { at: 1, value: 1 },
              ],
            },
          },
        ),
        ...(['oklch', 'oklab'] as const).map((space) =>
          output(
            { on: 'property', name: `--${space}`, unit: '', law: 'replace' },
            {
              curve: {
                colours: [
                  { at: 0, value: { space, values: [0, 0, 0, 1] } },
                  { at: 1, value: { space, values: [1, 0, 0, 1] } },
                ],
              },
            },
          ),
        ),
      ],
      parts: [{ id: 'p', area: 'a', css: {} }],
      rules: [],
    }
    const css = writeStylesheet([{ number: 1, names: { title: '', name: 'a' }, rig, sentence: 'A.' }]).replace(/\/\*[\s\S]*?\*\//g, '')
    const used = new Set([...css.matchAll(/(@[a-z-]+)|([a-zA-Z-]+)\(/g)].map(([, rule, fn]) => rule ?? fn ?? ''))
    used.delete('')
    expect(used.size).toBeGreaterThan(15)
    expect([...used].filter((name) => !told.has(name))).toEqual([])
  })
})

describe('a page with its effects', () => {
  it.each([
    [
      '<!doctype html>\n<html>\n<head><title>t</title>\n</head>\n<body class=x>\n<p>text\n</body>\n</html>\n',
      /<title>t<\/title>\n<style>\ncss<\/style>\n<\/head>[\s\S]*<p>text\n<script>\njs<\/script>\n<\/body>/,
    ],
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
    expect(writePage(source, 'css', 'js')).toBe(
      '<html><head><!-- </head> --><script>"</body>"</script><style>\ncss</style>\n</head><body>a<script>\njs</script>\n</body></html>',
    )
  })
})
