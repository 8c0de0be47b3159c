import { describe, expect, it } from 'vitest'
import { tiltDefaults, type TiltSettings } from '../effect/tilt/settings'
import { findKind, kinds } from '../effect/kinds'
import { planEffects } from '../export/plan'
import { writeStylesheet } from '../export/stylesheet'
import type { Effect, Site, Binding } from './site'
import { isCircle, tellBinding, bindingsFor, withBindings } from './bindings'

const effect = (id: string, settings: Partial<TiltSettings> = {}, bindings?: Record<string, Binding>): Effect => ({
  id,
  kind: 'tilt',
  name: `Lean ${id}`,
  select: `.${id}`,
  noun: 'each card',
  settings: { ...tiltDefaults, linked: false, ...settings },
  ...(bindings ? { bindings } : {}),
})
const site = (effects: Effect[], values?: Site['values']): Site => ({
  format: 'glass-moth/2',
  name: 'A site',
  pages: [{ id: 'p', name: 'A page', source: '0'.repeat(64) }],
  effects,
  ...(values ? { values } : {}),
})
const settingsOf = (made: Site, at = 0) => withBindings(made).effects[at]?.settings as TiltSettings

describe('bindings', () => {
  it('follow another word of the same effect: half of it, held in its own range', () => {
    const made = site([
      effect('a', { acrossDeg: 20, upDownDeg: 3 }, { upDownDeg: { to: { effect: 'a', control: 'acrossDeg' }, times: 0.5 } }),
    ])
    expect(settingsOf(made).upDownDeg).toBe(10)
    expect(
      settingsOf(site([effect('a', { acrossDeg: 40 }, { upDownDeg: { to: { effect: 'a', control: 'acrossDeg' }, times: 2 } })])).upDownDeg,
    ).toBe(45)
  })

  it('follow by way of others, over effects, and the opposite of a number', () => {
    const made = site([
      effect('a', { pose: { x: 0.3, y: 0 } }, { 'pin-y': { to: { effect: 'b', control: 'pin-x' }, times: -1 } }),
      effect('b', {}, { 'pin-x': { to: { effect: 'a', control: 'pin-x' }, times: 2 } }),
    ])
    expect(settingsOf(made).pose).toEqual({ x: 0.3, y: -0.6 })
  })

  it('leave a value as it is where what they go to is gone, or where they go round in a circle', () => {
    const gone = site([
      effect(
        'a',
        { upDownDeg: 3 },
        { upDownDeg: { to: { effect: 'no', control: 'acrossDeg' }, times: 1 }, acrossDeg: { to: { value: 'no' }, times: 1 } },
      ),
    ])
    expect(settingsOf(gone)).toMatchObject({ upDownDeg: 3, acrossDeg: 9 })
    const round = site([
      effect(
        'a',
        { acrossDeg: 4, upDownDeg: 5 },
        {
          acrossDeg: { to: { effect: 'a', control: 'upDownDeg' }, times: 1 },
          upDownDeg: { to: { effect: 'a', control: 'acrossDeg' }, times: 1 },
        },
      ),
    ])
    expect(settingsOf(round)).toMatchObject({ acrossDeg: 4, upDownDeg: 5 })
  })

  it('are not offered where they would go round, nor between units that differ', () => {
    const made = site(
      [effect('a', {}, { upDownDeg: { to: { effect: 'a', control: 'acrossDeg' }, times: 1 } })],
      [{ id: 'v', name: 'slope', value: 12, unit: 'deg' }],
    )
    expect(isCircle(made, 'a', 'acrossDeg', { to: { effect: 'a', control: 'upDownDeg' }, times: 1 })).toBe(true)
    const [first] = made.effects
    const across = findKind('tilt')
      ?.controls(tiltDefaults)
      .find(({ id }) => id === 'acrossDeg')
    if (!first || !across) throw new Error('There is an angle.')
    expect(bindingsFor(made, first, across).map(({ words }) => words)).toEqual(['slope'])
  })

  it('are told in words', () => {
    const made = site([effect('a'), effect('b')], [{ id: 'v', name: 'slope', value: 12, unit: 'deg' }])
    expect(tellBinding(made, { to: { value: 'v' }, times: 1 }, 'a')).toBe('the same as slope')
    expect(tellBinding(made, { to: { effect: 'b', control: 'acrossDeg' }, times: 0.5 }, 'a')).toBe('half of the angle (effect 2)')
    expect(tellBinding(made, { to: { effect: 'x', control: 'y' }, times: 3 }, 'a')).toBe('3 times a number that is gone')
  })

  it('to a named value are that value in the stylesheet, named once', () => {
    const binding = (times: number): Binding => ({ to: { value: 'v' }, times })
    const css = writeStylesheet(
      planEffects(
        site(
          [effect('a', {}, { acrossDeg: binding(1) }), effect('b', {}, { acrossDeg: binding(0.5) })],
          [{ id: 'v', name: 'slope', value: 12, unit: 'deg' }],
        ),
        'site',
      ),
    )
    expect(css.match(/--slope: 12deg;/g)).toHaveLength(1)
    expect(css).toContain('-lean: var(--slope);')
    expect(css).toContain('-lean: calc(0.5 * var(--slope));')
  })

  const coloured = kinds.flatMap((kind) =>
    kind
      .controls(kind.defaults)
      .flatMap((control) =>
        control.kind === 'colour' && control.token !== undefined ? [[kind.id, control.id, control.token, kind, control] as const] : [],
      ),
  )
  it.each(coloured)('to a named colour by the %s’s %s are that name in the stylesheet', (_, id, token, kind, control) => {
    const settings = control.write(
      {
        ...(kind.defaults as object),
        ...(kind.id === 'tilt' ? { sheenPercent: 20, shadowPx: 9 } : {}),
        // A cursor that the browser draws by itself is a picture, which knows no names.
        ...(kind.id === 'cursor' ? { lateMs: 20 } : {}),
      },
      'rebeccapurple',
    ) as unknown
    const made = site(
      [{ ...effect('a'), kind: kind.id, settings, bindings: { [id]: { to: { value: 'v' }, times: 1 } } }],
      [{ id: 'v', name: 'ink', value: 'rebeccapurple', unit: '' }],
    )
    const css = writeStylesheet(planEffects(made, 'site'))
    expect(css).toContain('--ink: rebeccapurple;')
    expect(css).toContain(`-${token}: var(--ink);`)
  })
})
