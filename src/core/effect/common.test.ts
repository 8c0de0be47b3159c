// What all kinds have in common: strength, insets, widths of windows, fingers, reduced motion.
import { describe, expect, it } from 'vitest'
import { playsUnder, restsElsewhere } from '../compile/plays'
import { writeStylesheet } from '../export/stylesheet'
import { readRig } from '../rig/check'
import { knobValue, outputValue } from '../rig/values'
import { slotName } from '../rig/slot'
import type { Given } from './common'
import { kinds, findKind, type AnyKind } from './kinds'
import { posedKnobs } from './pose'

const kindOf = (id: string): AnyKind =>
  findKind(id) ??
  (() => {
    throw new Error(id)
  })()
const rolesOf = (kind: AnyKind) =>
  Object.fromEntries(
    kind
      .roles(kind.defaults)
      .slice(1)
      .map(({ id }) => [id, `.${id}`]),
  )
const rigOf = (id: string, common: Given) =>
  kindOf(id).expand({ ...(kindOf(id).defaults as object), ...common }, '.own', rolesOf(kindOf(id)))
const names = { title: 'Effect 1, own', name: 'own' }
const sheetOf = (rig: ReturnType<typeof rigOf>, more = {}) => writeStylesheet([{ number: 1, names, rig, sentence: 'It is so.', ...more }])
const own = kinds.filter(({ lacks }) => !lacks?.includes('touch'))

/** What every output shows with the pointer at the lower right corner. */
const shown = (rig: ReturnType<typeof rigOf>) =>
  rig.outputs.map((output) => [slotName(output.slot), outputValue(rig, output, () => 1)] as const)

describe('the strength of the whole', () => {
  it.each(own.filter(({ lacks }) => !lacks?.includes('strength')).map(({ id }) => id))(
    'of %s leaves it as designed at 100 %%, and answers nothing at 0 %%',
    (id) => {
      expect(rigOf(id, { strengthPercent: 100 })).toEqual(rigOf(id, {}))
      const rig = rigOf(id, { strengthPercent: 0 })
      expect(() => readRig(rig)).not.toThrow()
      const amounts = rig.knobs.filter(({ isAmount }) => isAmount)
      for (const knob of amounts) expect(knobValue(rig, knob.id)).toBe(0)
      // Follow has no knob for its way: it is the outputs themselves that are scaled.
      if (amounts.length === 0) for (const [, value] of shown(rig)) expect(value).toBe(0)
    },
  )

  it('is one knob on top of the stylesheet, that the others are multiples of; values of single cards and named ones too', () => {
    const rig = rigOf('tilt', { strengthPercent: 50 })
    expect(Object.fromEntries(shown(rig)).rotateY).toBe(4.5)
    const css = sheetOf(rig, { overrides: { lean: { values: { '.own:nth-child(2)': '20deg' } } } })
    expect(css).toMatch(/--own-amount: 0\.5;.*\n\s*--own-lean: calc\(9deg \* var\(--own-amount\)\);/)
    expect(css).toContain('.own:nth-child(2) { --own-lean: calc(20deg * var(--own-amount)); }')
    expect(css).toContain('--own-perspective: 820px;')
    expect(sheetOf(rig, { named: { lean: { name: 'turn', css: '3deg', times: 3 } } })).toContain(
      '--own-lean: calc(3 * var(--turn) * var(--own-amount));',
    )
    expect(sheetOf(rigOf('tilt', {}))).not.toContain('amount')
  })

  it('is allowed for when a card is posed by hand', () => {
    const lean = (strengthPercent: number) =>
      posedKnobs(rigOf('tilt', { strengthPercent }), { x: 1, y: 0 }, { x: 50, y: 0 }, 'both').get('lean') ?? 0
    expect(lean(100)).toBeCloseTo(9 + 10, 6)
    expect(lean(50)).toBeCloseTo(9 + 20, 6)
    expect(posedKnobs(rigOf('tilt', { strengthPercent: 0 }), { x: 1, y: 0 }, { x: 50, y: 0 }, 'both').size).toBe(0)
  })

  it('makes layers that fill their box as much larger as they slide further', () => {
    const enlarged = (strengthPercent: number) =>
      Number(
        Object.fromEntries(shown(rigOf('drift', { strengthPercent, kept: 'enlarged', layers: [{ id: 'layer-1', amount: 10 }] } as Given)))
          .scale,
      )
    expect(enlarged(100)).toBeCloseTo(1.2, 3)
    expect(enlarged(200)).toBeCloseTo(1.4, 3)
  })
})

describe('where the pointer is read', () => {
  it('is inside the insets of the area, in px or in %, and never so far in that nothing is left', () => {
    expect(rigOf('tilt', { insetLeft: 20, insetTop: -10 }).areas[0]?.insets).toEqual({
      top: { value: -10, unit: 'px' },
      right: { value: 0, unit: 'px' },
      bottom: { value: 0, unit: 'px' },
      left: { value: 20, unit: 'px' },
    })
    expect(rigOf('tilt', { insetUnit: '%', insetLeft: 300, insetRight: 300 }).areas[0]?.insets).toMatchObject({
      left: { value: 49, unit: '%' },
      right: { value: 49 },
    })
    expect(rigOf('tilt', {}).areas[0]?.insets).toBeUndefined()
  })

  it('is a matter of the kind where its areas have insets of their own', () => {
    const words = (id: string) =>
      kindOf(id)
        .controls(kindOf(id).defaults)
        .map((control) => control.id)
    expect(words('tilt')).toContain('inset-left')
    for (const id of ['glow', 'spotlight', 'free']) expect(words(id)).not.toContain('inset-left')
  })
})

describe('for whom it plays', () => {
  it.each([
    [{ windowWidth: 'wide', fromWidthPx: 900 }, '(min-width: 900px)'],
    [{ windowWidth: 'narrow', toWidthPx: 600 }, '(max-width: 600px)'],
    [{ windowWidth: 'between', fromWidthPx: 600, toWidthPx: 900 }, '(min-width: 600px) and (max-width: 900px)'],
  ] as const)('in windows as %j says', (common, media) => {
    const rig = rigOf('tilt', common)
    expect(rig.window).toBe(media)
    // Elsewhere the pointer does not count; what it is at rest stands.
    expect([playsUnder(rig), restsElsewhere(rig)]).toEqual([[media], true])
    expect(sheetOf(rig)).not.toContain(media)
  })

  it('as a rig by hand says itself, unless more is said', () => {
    const byHand = { ...(kindOf('free').defaults as object), media: '(max-width: 500px)', notCalm: true }
    const expanded = (more: Given) => kindOf('free').expand({ ...byHand, ...more }, '.own')
    expect(expanded({})).toMatchObject({ media: '(max-width: 500px)', notCalm: true })
    expect(expanded({ windowWidth: 'wide', fromWidthPx: 700 }).window).toBe('(min-width: 700px)')
  })

  it('goes whole where it hides for a mouse alone', () => {
    const [from, media] = [{ windowWidth: 'wide', fromWidthPx: 700 }, '(min-width: 700px)'] as const
    for (const id of ['cursor', 'trail']) {
      expect(sheetOf(rigOf(id, from))).toContain(media)
      expect(restsElsewhere(rigOf(id, from))).toBe(false)
    }
  })

  it('in all windows without a word of it in the stylesheet', () => {
    expect(sheetOf(rigOf('tilt', {}))).toContain('@media screen and (forced-colors: none) {')
  })

  it('not with reduced motion, where that is said', () => {
    const rig = rigOf('glow', { reducedMotion: 'off' })
    expect([playsUnder(rig), restsElsewhere(rig)]).toEqual([['(prefers-reduced-motion: no-preference)'], true])
    expect(rig.notCalm).toBe(true)
    expect(kindOf('glow').answersOf({ ...(kindOf('glow').defaults as object), reducedMotion: 'off' }).reducedMotion).toBe(
      'It does not play.',
    )
  })

  it.each(own.map(({ id }) => id))('%s answers a finger when it is told to, and the page may scroll the other way', (id) => {
    const rig = rigOf(id, { touch: 'drag-x' })
    expect(rig.areas.every(({ pointer, touch }) => pointer === 'any' && touch === 'drag-x')).toBe(true)
    expect(rig.finePointerOnly).toBeUndefined()
    expect(sheetOf(rig)).toContain('touch-action: pan-y pinch-zoom;')
  })
})

it('in narrow windows some numbers are otherwise, under the others and over those of single cards', () => {
  const css = sheetOf(rigOf('tilt', {}), {
    narrow: { upToPx: 600, values: { lean: '4deg', gone: '1px' } },
    overrides: { lean: { values: { '.own:first-child': '20deg' } } },
  })
  expect(css).toContain('@media (max-width: 600px) {\n  .own {\n    --own-lean: 4deg;\n  }\n}\n.own:first-child')
  expect(css).not.toContain('gone')
})
