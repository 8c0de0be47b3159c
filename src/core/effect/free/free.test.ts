import { readFileSync, readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { litRig, stackRig } from '../../../../e2e/support/tuning-page'
import { planEffects } from '../../export/plan'
import { writeStylesheet } from '../../export/stylesheet'
import type { Rig } from '../../rig/rig'
import { readRig, rigSchema } from '../../rig/check'
import { tellValue } from '../tell'
import { free } from '.'

const benched = readdirSync('bench/rigs').map((name) => [name, readRig(JSON.parse(readFileSync(`bench/rigs/${name}`, 'utf8')))] as const)
const rigs: readonly (readonly [string, Rig])[] = [
  ...benched,
  ...free.recipes.map(({ id, settings }) => [id, settings] as const),
  ['lit', litRig],
  ['stack', stackRig],
]

describe.each(rigs)('the words of a rig by hand: %s', (_, rig) => {
  it('name only controls that there are, each once, and all of them somewhere', () => {
    const ids = free.controls(rig).map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
    const named = [...free.sentence(rig), ...free.time(rig)].flatMap((piece) =>
      typeof piece === 'object' && 'control' in piece ? [piece.control] : [],
    )
    for (const id of named) expect(ids).toContain(id)
    const inRows = free
      .controls(rig)
      .filter(({ row }) => row !== undefined)
      .map(({ id }) => id)
    expect(new Set([...named, ...inRows])).toEqual(new Set(ids))
    expect(free.sentence(rig).filter((piece) => typeof piece === 'object').length).toBeLessThanOrEqual(6)
  })

  it('say something, and what is written is read back, within what the schema allows', () => {
    for (const control of free.controls(rig)) {
      expect(tellValue(control, rig)).not.toBe('')
      if (control.kind !== 'number') continue
      for (const value of [control.least, control.greatest]) {
        const written = control.write(rig, value)
        expect(rigSchema.safeParse(written).error?.issues).toBeUndefined()
        if (!/-(time|past|frequency|damping)$/.test(control.id)) expect(control.read(written)).toBe(value)
      }
    }
  })

  it('draw only what there is to draw', () => {
    const controls = free.controls(rig)
    for (const control of controls) if (control.draws !== undefined) expect(controls.map(({ id }) => id)).toContain(control.draws)
  })
})

describe('the recipes of rigs by hand', () => {
  it('pass the border, and come into the stylesheet with their own names', () => {
    expect(free.recipes.length).toBeGreaterThanOrEqual(3)
    for (const { id, title, settings } of free.recipes) {
      expect(rigSchema.safeParse(settings).error?.issues).toBeUndefined()
      const site = {
        format: 'glass-moth/2' as const,
        name: 'A site',
        pages: [{ id: 'p', name: 'P', source: '0'.repeat(64) }],
        effects: [{ id, kind: 'free', name: title, select: '.tile, .card', noun: 'each', settings }],
      }
      const css = writeStylesheet(planEffects(site))
      expect(css).not.toContain('&')
      expect(css).not.toMatch(/\{[a-z]+\}/)
    }
  })
})
