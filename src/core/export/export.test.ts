import { describe, expect, it } from 'vitest'
import { plainFacts } from '../compile/facts'
import { free } from '../effect/free'
import { tiltDefaults, type TiltSettings } from '../effect/tilt/settings'
import { comingsOf } from '../rig/comings'
import type { Rig } from '../rig/rig'
import type { Effect, Site } from '../site/site'
import { namesOf, wordOf } from './names'
import { planEffects, tellEffect } from './plan'
import { writeStylesheet } from './stylesheet'

const effect = (change: Partial<Effect> = {}, settings: Partial<TiltSettings> = {}): Effect => ({
  id: 'a',
  kind: 'tilt',
  name: 'Lean',
  select: '.row > .plate',
  noun: 'each plate',
  settings: { ...tiltDefaults, ...settings },
  ...change,
})
const site = (...effects: Effect[]): Site => ({
  format: 'glass-moth/2',
  name: 'A site',
  pages: [{ id: 'p', name: 'A page', source: 'a'.repeat(64) }],
  effects,
})
const stylesheetOf = (...effects: Effect[]) => writeStylesheet(planEffects(site(...effects), 'vesper-hollow'), [], plainFacts)

describe('names', () => {
  it.each([
    ['.plate', 'plate'],
    ['.row > .Plate:nth-of-type(3)', 'plate'],
    ['#hero', 'hero'],
    ['main article', 'article'],
    ['a[href^="/x"]:hover', 'a'],
    ['.card__media--big', 'card-media-big'],
    ['.-2x', 'effect-2x'],
    ['*', 'effect'],
    ['.a, .b', 'b'],
  ])('come from the page: %s is about "%s"', (select, word) => {
    expect(wordOf(select)).toBe(word)
  })

  it('are told apart by numbers', () => {
    expect(namesOf([effect(), effect({ select: '.plate' }), effect({ select: '#plate' })])).toEqual([
      'plate-tilt',
      'plate-tilt-2',
      'plate-tilt-3',
    ])
    expect(
      namesOf([
        { select: '.plate', kind: 'glow' },
        { select: '.plate', kind: 'tilt' },
        { select: '.card-glow', kind: 'glow' },
        { select: '.fold', kind: 'fold' },
      ]),
    ).toEqual(['plate-glow', 'plate-tilt', 'card-glow', 'fold'])
  })
})

describe('the stylesheet', () => {
  it('calls what is told by an element by its word, and says its noun', () => {
    const roles = {
      'layer-1': { select: '.plate .moth', noun: 'the moth' },
      'layer-2': { select: '.plate .plate-shadow', noun: 'its shadow' },
    }
    const css = stylesheetOf(
      effect(
        { roles },
        {
          layers: [
            { id: 'layer-1', heightPx: 42 },
            { id: 'layer-2', heightPx: 4 },
          ],
          shadowPx: 9,
        },
      ),
    )
    expect(css).toMatch(/--plate-tilt-moth: 42px; +\/\* how high the moth floats \*\//)
    expect(css).toMatch(/--plate-tilt-shadow-2: 4px; +\/\* how high its shadow floats \*\//)
    expect(css).toContain('translateZ(calc(var(--plate-tilt-shadow-2) * ')
    expect(css).not.toContain('layer-')
    // What only stands somewhere has no word.
    expect(
      stylesheetOf(
        effect(
          { roles: { 'layer-1': { select: '.plate > :nth-child(2)', noun: 'what comes second' } } },
          { layers: [{ id: 'layer-1', heightPx: 42 }] },
        ),
      ),
    ).toContain('--plate-tilt-layer-1: 42px;')
  })

  it('says in one block what one selector says', () => {
    const css = stylesheetOf(
      effect({ roles: { 'layer-1': { select: '.plate .moth', noun: 'the moth' } } }, { layers: [{ id: 'layer-1', heightPx: 42 }] }),
    )
    expect(css.match(/^ {2}\.row > \.plate\[data-plate-tilt\] \{$/gm)).toHaveLength(1)
  })

  it('has its knobs on top and says what they do', () => {
    expect(stylesheetOf(effect())).toBe(`/* Effect 1. Over each plate, the edge under the pointer sinks by 9°, seen
   from 820px. The script writes --plate-tilt-x and --plate-tilt-y. */
@property --plate-tilt-x { syntax: "<number>"; inherits: false; initial-value: 0; }
@property --plate-tilt-y { syntax: "<number>"; inherits: false; initial-value: 0; }
.row > .plate {
  --plate-tilt-lean: 9deg;          /* how far it leans at its edges */
  --plate-tilt-perspective: 820px;  /* how far away the eye is; nearer looks deeper */
}
@media screen and (forced-colors: none) {
  .row > .plate[data-plate-tilt] {
    transform:
      perspective(var(--plate-tilt-perspective))
      rotateX(calc(-1 * var(--plate-tilt-lean) * var(--plate-tilt-y)))
      rotateY(calc(var(--plate-tilt-lean) * var(--plate-tilt-x)));
  }
}
@media (prefers-reduced-motion: reduce) {
  .row > .plate[data-plate-tilt] { --plate-tilt-y: 0 !important; --plate-tilt-x: 0 !important; }
}
`)
  })

  it('goes on with what the rules of the page give, and is held against them', () => {
    const ownRules = [
      { context: [], select: '.row > .plate:hover', declarations: [['transform', 'translateY(-8px)']] as const },
      { context: ['@media print'], select: '.plate', declarations: [['transform', 'none', true]] as const },
      { context: [], select: '.plate', declarations: [['transition', 'transform .3s ease, color 1s']] as const },
    ]
    const css = writeStylesheet(planEffects(site(effect()), 'vesper-hollow'), [], { ...plainFacts, ownRules })
    expect(css.split('/* Effect 1')[0])
      .toBe(`@property --own-transform { syntax: "<transform-list>"; inherits: false; initial-value: translate(0); }
@property --own-transition { syntax: "*"; inherits: false; }

/* What the page itself gives these elements goes on with the effects: its
   rules again, for properties of their own. */
@layer pointer-effects {
  .row > .plate:hover { --own-transform: translateY(-8px); }
  @media print {
    .plate { --own-transform: initial !important; }
  }
  .plate { --own-transition: transform .3s ease, --own-transform .3s ease, color 1s; }
  .row > .plate {
    transition: var(--own-transition, visibility 0s) !important;
  }
}

`)
    expect(css).toContain(`  @layer pointer-effects {
    .row > .plate[data-plate-tilt] {
      transform:
        var(--own-transform)
        perspective(var(--plate-tilt-perspective))
        rotateX(calc(-1 * var(--plate-tilt-lean) * var(--plate-tilt-y)))
        rotateY(calc(var(--plate-tilt-lean) * var(--plate-tilt-x))) !important;
      transition: var(--own-transition, visibility 0s), transform 0s, --plate-tilt-y 0s, --plate-tilt-x 0s !important;
    }
  }`)
  })

  it('takes over nothing that would not stay in its place', () => {
    const told = (context: readonly string[], select: string, value: string) =>
      writeStylesheet(planEffects(site(effect()), 'vesper-hollow'), [], {
        ...plainFacts,
        ownRules: [{ context, select, declarations: [['transform', value]] }],
      })
    expect(told([], '.plate', 'none')).toContain('again')
    for (const [context, select, value] of [
      [[], '.plate', 'none } body { color: red'],
      [[], '} body', 'none'],
      [['@media print { } @import x'], '.plate', 'none'],
    ] as const)
      expect(told(context, select, value)).not.toContain('again')
  })

  it('lies at the away pose until the script comes', () => {
    expect(stylesheetOf(effect({}, { pose: { x: -0.5, y: 0.25 } }))).toMatch(
      /--plate-tilt-x \{[^}]*initial-value: -0\.5; \}\n@property --plate-tilt-y \{[^}]*initial-value: 0\.25; \}/,
    )
  })

  it('grows from 1 and is lifted before it turns', () => {
    const text = stylesheetOf(effect({}, { liftPx: 24, scalePercent: 4 }))
    expect(text).toMatch(
      /perspective[\s\S]*translateZ\(calc\(var\(--plate-tilt-lift\) \* var\(--plate-tilt-here\)\)\)[\s\S]*rotateX[\s\S]*rotateY[\s\S]*scale\(calc\(1 \+ var\(--plate-tilt-scale\) \* var\(--plate-tilt-here\)\)\)/,
    )
  })

  it('cannot be broken out of by a selector or a noun', () => {
    const text = stylesheetOf(effect({ select: '[title="</style><script>"]', noun: '*/ </style> each' }))
    expect(text).not.toContain('</style')
    expect(text.match(/\*\//g)).toHaveLength(3)
  })
})

describe('the sentence in plain text', () => {
  it('is made from the settings', () => {
    expect(tellEffect(effect({}, { edge: 'rises', acrossDeg: 12, liftPx: 20 }))).toBe(
      'Over each plate, the edge under the pointer rises by 12°, seen from 820px, lifted by 20px.',
    )
  })
})

describe('hover looks in a stylesheet', () => {
  const timed = (durationMs: number) => ({ kind: 'timed', durationMs, easing: 'ease', delayMs: 0 }) as const
  const area = { id: 'a', of: 'each', select: '.card', box: 'live', among: 'one', pointer: 'any', touch: 'none' } as const
  const rigWith = (states: Rig['states'], looks: object = {}): Rig => ({
    areas: [{ ...area, looks: { goDelayMs: 0, atMostOne: false, keys: false, ...looks } }],
    ...{ channels: [], knobs: [], outputs: [], parts: [], rules: [] },
    states,
  })
  const sheetOf = (rig: Rig) => writeStylesheet([{ number: 1, names: { title: '', name: 'look' }, rig, sentence: '' }], [], plainFacts)
  const on = {
    area: 'a',
    looks: ['on', 'pressed', 'still'],
    to: 'self',
    css: { color: 'red' },
    ways: [{ from: 'any', feel: timed(90) }],
  } as const

  it('are told by CSS where it can, and by marks where something waits, stays or acts', () => {
    expect(sheetOf(rigWith([on]))).toMatch(/\.card:hover \{\n\s+color: red;\n\s+transition: color 90ms ease;/)
    for (const looks of [{ goDelayMs: 100 }, { stays: true }, { atMostOne: true }, { escape: true }, { stillMs: 300 }])
      expect(sheetOf(rigWith([on], looks))).toContain('.card:is([data-look="on"], [data-look="pressed"], [data-look="still"]) {')
    expect(sheetOf(rigWith([{ ...on, attributes: { inert: '' } }]))).toContain('data-look')
  })

  it('are told apart: pressed alone, off alone, and what the others do', () => {
    const told = (change: object) => sheetOf(rigWith([{ ...on, ...change }]))
    expect(told({ looks: ['pressed'] })).toContain('.card:hover:active {')
    expect(told({ looks: ['on'] })).toContain('.card:hover:not(:hover:active) {')
    expect(told({ looks: ['off'] })).toContain('.card:not(:hover) {')
    expect(told({ whose: 'others' })).toContain(':root:has(.card:hover) .card:not(:hover) {')
    expect(told({ to: { within: '.a, .b' } })).toContain('.card:hover :is(.a, .b) {')
  })

  it('of a rig by hand are on the elements that its roles were filled with', () => {
    const rig = rigWith([{ ...on, to: { within: '&tag' } }])
    const roles = [{ id: 'tag', title: 'tag', needs: 'yours' as const }]
    const made = free.expand({ ...rig, areas: rig.areas.map((each) => ({ ...each, select: '&' })), roles }, '.plate', {
      tag: '.plate .tag',
    })
    expect(made.states?.map(({ to }) => to)).toEqual([{ within: '.plate .tag' }])
  })

  it('have ways of their own from one look to another, one after another where so asked', () => {
    const sheet = sheetOf(
      rigWith([{ ...on, staggerMs: 40, to: { within: 'i' }, ways: [{ from: 'pressed', feel: timed(300) }, ...on.ways] }]),
    )
    expect(sheet).toMatch(/\[data-look="on"\][^{]*\[data-look-from="pressed"\] i \{\n\s+transition: color 300ms ease;/)
    expect(sheet).toContain('transition-delay: calc(var(--look-index, 0) * 40ms);')
  })

  it('leave what another effect brings by a transition to the script, since an element has one list of them', () => {
    const coming: Rig = {
      ...rigWith(undefined),
      areas: [area],
      channels: [
        {
          id: 'here',
          area: 'a',
          frame: 'area',
          signal: { of: 'inside' },
          away: { kind: 'settle', pose: 0 },
          feel: timed(200),
          group: 'light',
        },
      ],
      outputs: [{ to: 'self', slot: { on: 'opacity' }, base: 1, factor: -0.5, channel: 'here', strength: 1 }],
    }
    const both = (rig: Rig) =>
      comingsOf([{ rig: coming }, { rig }], { hasTransitions: false, ownRules: [], liesIn: (one, other) => one === other })
    expect(both(rigWith([on]))[0]).toHaveLength(0)
    expect(both(rigWith([{ ...on, to: { within: 'i' } }]))[0]).toHaveLength(1)
  })
})
