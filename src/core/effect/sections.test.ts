// The rows of each kind stand under headings, what belongs together under the same one.
import { describe, expect, it } from 'vitest'
import { findKind, kinds } from './kinds'
import { isFound, sectionOf } from './sections'

/** The titles under each heading, of the rows that a kind has with these settings. */
function rowsOf(id: string, changes: object = {}): Readonly<Record<string, readonly string[]>> {
  const kind = findKind(id)
  if (!kind) throw new Error(`There is no kind "${id}".`)
  const rows = kind.controls({ ...(kind.defaults as object), ...changes }).filter(({ row }) => row !== undefined)
  const headings: Record<string, string[]> = {}
  for (const control of rows) (headings[sectionOf(control)] ??= []).push(control.title)
  return headings
}

describe('the headings of rows', () => {
  it('have all of a sheen and of a shadow in the light', () => {
    const { Light = [] } = rowsOf('tilt', { sheenPercent: 20, shadowPx: 8 })
    expect(Light).toEqual([
      ...['The sheen', 'The size of the sheen', 'How soft it is', 'How far the sheen goes', 'The sheen is', 'The colour of the sheen'],
      ...['The blend of the sheen', 'The shadow falls', 'How soft the shadow is', 'The colour of the shadow'],
    ])
  })

  it('have what pieces do in the motion, and what the focus does with what else is for keys', () => {
    const { Motion, 'Touch and access': access } = rowsOf('hover-look', { keys: 'own' })
    expect(Motion).toEqual(
      expect.arrayContaining(['Its pieces come from', 'When off its pieces are', 'Its pieces set out', 'Each later by']),
    )
    expect(access).toEqual(expect.arrayContaining(['With the focus it is', 'More CSS with the focus', 'Reduced motion']))
  })

  it('have the widths of windows beside the choice that asks for them, and the bounds of a lens beside what changes it', () => {
    const { Area } = rowsOf('tilt', { windowWidth: 'between' })
    expect(Area).toEqual(expect.arrayContaining(['Window width', 'From a width of', 'Up to a width of', 'Inset unit', 'Inset top']))
    const { 'Touch and access': access } = rowsOf('magnifier')
    expect(access).toEqual(expect.arrayContaining(['Ctrl and the wheel, or two fingers', 'At the least', 'At the most']))
  })

  it.each(kinds.map(({ id }) => id).filter((id) => id !== 'free'))(
    'of %s have times and feels in the motion, and colours in the light',
    (id) => {
      const kind = findKind(id)
      for (const control of kind?.controls(kind.defaults) ?? []) {
        if (control.kind === 'feel' || (control.kind === 'number' && control.unit === 'Hz'))
          expect(sectionOf(control), control.id).toBe('Motion')
        if (control.kind === 'colour') expect(sectionOf(control), control.id).toBe('Light')
      }
    },
  )

  it('are searched with their rows, as are the words that a row can be', () => {
    const controls = findKind('tilt')?.controls(findKind('tilt')?.defaults) ?? []
    const found = (search: string) => controls.filter((control) => isFound(control, search)).map(({ title }) => title)
    expect(found('light sheen')).toContain('The blend of the sheen')
    expect(found('slanting band')).toEqual(['The sheen is'])
    expect(found('a row that none has')).toEqual([])
  })
})
