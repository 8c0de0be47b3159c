// What holds for every kind: its settings, its rig in any box, and its words.
import { describe, expect, it } from 'vitest'
import { namedFeels } from '../feel/named'
import type { Box } from '../geometry/box'
import { evaluate } from '../rig/evaluate'
import { touchedBy } from '../rig/resolve'
import { readRig } from '../rig/check'
import type { Rig } from '../rig/rig'
import type { Sample } from '../signal/sample'
import { writeStylesheet } from '../export/stylesheet'
import { kinds, type AnyKind } from './kinds'

const at = (t: number, x: number, y: number): Sample => ({ t, x, y, buttons: 0, pointerType: 'mouse', phase: 'move' })
const rolesOf = (kind: AnyKind, settings: unknown) =>
  Object.fromEntries(
    kind
      .roles(settings)
      .slice(1)
      .map(({ id }) => [id, `.${id}`]),
  )
const rigOf = (kind: AnyKind, settings: unknown) => kind.expand(settings, '.own', rolesOf(kind, settings))
const boxesOf = (rig: Rig, box: Box) => ({
  window: { width: 1280, height: 720 },
  elements: Object.fromEntries(touchedBy(rig).read.map((select) => [select, [box]])),
})
const recipes = kinds.flatMap((kind) =>
  kind.recipes.map((recipe) => ({ name: `${kind.id}, ${recipe.id}`, kind, settings: recipe.settings as unknown })),
)
const all = [...recipes, ...kinds.map((kind) => ({ name: `${kind.id}, from the start`, kind, settings: kind.defaults as unknown }))]

const box: Box = { x: 100, y: 100, width: 300, height: 200 }

describe.each(all)('$name', ({ kind, settings }) => {
  const rig = rigOf(kind, settings)

  it('passes its own checks and makes a rig that passes those of rigs', () => {
    expect(kind.settings.parse(settings)).toEqual(settings)
    expect(() => readRig(rig)).not.toThrow()
    expect(kind.expand(settings, '.own', rolesOf(kind, settings))).toEqual(rig)
  })

  it.each([
    ['as large as a card', box],
    ['of no size', { ...box, width: 0, height: 0 }],
    ['as large as a wall', { x: -5000, y: -5000, width: 1e6, height: 1e6 }],
  ])('gives finite numbers in a box %s, at its corners, its middle and outside', (_, size) => {
    const points = [
      [size.x, size.y],
      [size.x + size.width, size.y + size.height],
      [size.x + size.width / 2, size.y + size.height / 2],
      [-900, -900],
    ] as const
    const { columns, moments } = evaluate(
      rig,
      points.map(([x, y], i) => at(i * 300, x, y)),
      boxesOf(rig, size),
      [0, 10, 310, 620, 930, 4000],
    )
    // Of what is dropped there may be fewer than could be.
    const isDrop = (column: number) => /^\S+\.\d+ (x|y|index|age)\[/.test(columns[column] ?? '')
    for (const { values } of moments)
      for (const [column, value] of values.entries())
        if (typeof value === 'number' && !isDrop(column)) expect(Number.isFinite(value), columns[column]).toBe(true)
  })

  it('is told by controls and roles that there are', () => {
    const ids = new Set(kind.controls(settings).map(({ id }) => id))
    const roles = new Set(kind.roles(settings).map(({ id }) => id))
    for (const piece of [...kind.sentence(settings), ...kind.time(settings)])
      if (typeof piece === 'object') expect('control' in piece ? ids.has(piece.control) : roles.has(piece.role)).toBe(true)
  })

  it('stays within its checks at both ends of every number, and with every choice, feel and pin', () => {
    for (const control of kind.controls(settings)) {
      const changed: unknown[] =
        control.kind === 'number'
          ? [control.least, control.greatest].map((value) => control.write(settings, value) as unknown)
          : control.kind === 'choice'
            ? control.options.map(({ value }) => control.write(settings, value) as unknown)
            : control.kind === 'feel'
              ? namedFeels.map(({ feel }) => control.write(settings, feel) as unknown)
              : []
      for (const each of changed) {
        expect(kind.settings.safeParse(each).success, control.id).toBe(true)
        expect(() => readRig(rigOf(kind, each)), control.id).not.toThrow()
      }
    }
    const posed: unknown = kind.withAwayPlace(settings, { x: -0.4, y: 0.7 })
    expect(kind.settings.safeParse(posed).success).toBe(true)
    if (posed === settings) return
    const place = kind.awayPlace(posed)
    if (!place) throw new Error('It waits nowhere.')
    // What waits on a line is taken along it alone, and stays where it is put there.
    if (kind.id === 'wipe') expect([place.x === -0.4, place.y === 0.7]).toContain(true)
    else expect(place).toEqual({ x: -0.4, y: 0.7 })
    expect(kind.awayPlace(kind.withAwayPlace(posed, place))).toEqual(place)
  })

  it('fits a sample a quarter as large, within its own ranges', () => {
    const small: unknown = kind.forSample?.(settings) ?? settings
    expect(kind.settings.safeParse(small).success).toBe(true)
    expect(() => readRig(rigOf(kind, small))).not.toThrow()
  })

  it('is itself again when it is turned twice', () => {
    expect(kind.turned(kind.turned(settings))).toEqual(settings)
  })

  it('writes no knob, token or part that its rig does not use', () => {
    const used = JSON.stringify([rig.outputs, rig.parts, rig.rules, rig.states, rig.layers, rig.knobs.map(({ times }) => times)])
    for (const { id } of rig.knobs)
      expect(used.includes(`"knob":"${id}"`) || used.includes(`{${id}}`) || used.includes(`"${id}"`), id).toBe(true)
    for (const { id } of rig.tokens ?? []) expect(used.includes(`{${id}}`) || used.includes(`"${id}"`), id).toBe(true)
    const written = new Set(rig.outputs.flatMap(({ to }) => (typeof to === 'object' && 'part' in to ? [to.part] : [])))
    for (const { id, css } of rig.parts) expect(Object.keys(css).length > 0 || written.has(id), id).toBe(true)
  })
})

it('of all kinds, what is drawn as the kind itself draws it has such a drawing, and curves are read by channels that there are', () => {
  for (const { kind, settings } of all) {
    const controls = kind.controls(settings)
    expect(controls.some(({ drawing }) => drawing === 'sketch') && !kind.sketch, kind.id).toBe(false)
    for (const control of controls) {
      if (control.kind !== 'curve' || kind.id !== 'free') continue
      expect(rigOf(kind, settings).channels.map(({ id }) => id)).toContain(control.across.channel)
    }
  }
})

describe('recipes', () => {
  it('have names of their own, none of which begins as another one does', () => {
    const titles = kinds.flatMap((kind) => kind.recipes.map(({ title }) => title.toLowerCase()))
    expect(titles.filter((title, i) => titles.some((other, n) => n !== i && other.startsWith(title)))).toEqual([])
  })
})

describe('kinds with roles of which there may be several', () => {
  it.each(kinds.filter(({ moreRoles }) => moreRoles).map((kind) => [kind.id, kind] as const))(
    '%s takes them up to twenty and lets them go',
    (_, kind) => {
      let settings: unknown = kind.defaults
      for (let i = 0; i < 30; i++) settings = kind.moreRoles?.add(settings)
      expect(kind.roles(settings)).toHaveLength(21)
      expect(kind.settings.safeParse(settings).success).toBe(true)
      expect(() => readRig(rigOf(kind, settings))).not.toThrow()
      const last = kind.roles(settings).at(-1)?.id ?? ''
      const fewer: unknown = kind.moreRoles?.remove(settings, last)
      expect(kind.roles(fewer).map(({ id }) => id)).not.toContain(last)
      // A new one never takes the place of one that was pointed at.
      expect(new Set(kind.roles(kind.moreRoles?.add(fewer)).map(({ id }) => id)).size).toBe(21)
    },
  )
})

describe.each(kinds)('numbers of $id', (kind) => {
  const odd = [1e-320, -1e-320, Number.MIN_VALUE, 1e-7, -0, 1e308, -1e308, Number.NaN, Number.POSITIVE_INFINITY]
  const start: unknown = kind.defaults
  const numbers = kind.controls(start).flatMap((control) => (control.kind === 'number' ? [control] : []))

  it('are finite where they leave, at both ends of each range, just beyond them and next to nothing', () => {
    for (const control of numbers)
      for (const value of [control.least, control.greatest, control.least - control.step, control.greatest + control.step, ...odd]) {
        const read = kind.settings.safeParse(control.write(start, value))
        if (!read.success) continue
        const rig = rigOf(kind, read.data)
        const told = `${control.id} at ${value}`
        expect(
          JSON.stringify(rig, (_, each: unknown) => (typeof each === 'number' && !Number.isFinite(each) ? 'no number' : each)),
          told,
        ).not.toContain('no number')
        const css = writeStylesheet([{ number: 1, names: { title: '', name: kind.id }, rig, sentence: 'A.' }])
        expect(css.match(/NaN|Infinity|undefined/), told).toBeNull()
      }
  })
})
