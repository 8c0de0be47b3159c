import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { tiltDefaults } from '../core/effect/tilt/settings'
import type { Preset } from '../core/site/preset'
import { pool } from './database'
import { migrate } from './migrate'
import { keepPreset, listPresets, removePreset } from './presets'
import { Problem } from './problem'

beforeAll(() => migrate(join(import.meta.dirname, 'migrations')))
afterAll(() => pool().end())

const preset: Preset = {
  format: 'glass-moth-preset/2',
  name: 'Leaning \u{1F98B}',
  effect: { id: 'preset', kind: 'tilt', name: 'Leaning', select: '.preset-leaning', noun: 'each card', settings: tiltDefaults },
  markup: '<article class="preset-leaning">Grüße</article>',
  css: '.preset-leaning { color: teal }',
}

describe('presets in the database', () => {
  it('are kept as they are, listed by name, and removed', async () => {
    const { id } = await keepPreset(preset)
    await keepPreset({ ...preset, name: 'A first one' })
    expect((await listPresets()).map((each) => each.preset)).toEqual([{ ...preset, name: 'A first one' }, preset])
    await removePreset(id)
    expect((await listPresets()).map((each) => each.preset.name)).toEqual(['A first one'])
    await expect(removePreset(id)).rejects.toMatchObject({ status: 404 })
  })

  it.each([
    [{ ...preset, name: ' ' }, 'needs a name'],
    [{ ...preset, css: '</style>' }, 'is no CSS'],
    [{ ...preset, effect: { ...preset.effect, settings: {} } }, 'settings'],
    [null, 'Should be a group of fields'],
  ])('are refused in a sentence: %#', async (document, words) => {
    const error: unknown = await keepPreset(document).catch((caught: unknown) => caught)
    expect(error).toBeInstanceOf(Problem)
    expect((error as Problem).detail).toContain(words)
  })
})
