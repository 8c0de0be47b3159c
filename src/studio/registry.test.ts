// The registry of commands: no key and no id is taken twice, and each key is one that a browser tells.
import { describe, expect, it, vi } from 'vitest'
import { codesOf, commandOf, commands, groups } from './registry'
import { keyNamed } from './key-names'

describe('the commands of the studio', () => {
  it('have ids and keys of their own', () => {
    const codes = commands.flatMap(codesOf)
    expect(new Set(commands.map(({ id }) => id)).size).toBe(commands.length)
    expect(new Set(codes).size).toBe(codes.length)
    for (const code of codes) expect(code).toMatch(/^(\$mod\+)?(Shift\+)?(Key[A-Z]|Digit\d|\?|Delete|Backspace)$/)
  })

  it('are told by the codes of their letters, with what is held besides', () => {
    expect([codesOf(commandOf('turn')), codesOf(commandOf('before')), codesOf(commandOf('holdStill')), codesOf(commandOf('redo'))]).toEqual(
      [['KeyT'], ['Shift+KeyN'], ['Digit4'], ['$mod+Shift+KeyZ', '$mod+KeyY']],
    )
  })

  it('stand on the sheet, in a group that there is, with words of their own', () => {
    for (const { group } of commands) expect(groups).toContain(group)
    expect(new Set(commands.map(({ words }) => words)).size).toBe(commands.length)
  })

  it('have keys that are named as the visitor’s system names them', () => {
    vi.stubGlobal('navigator', { platform: 'Linux x86_64' })
    expect(keyNamed('Ctrl Shift Z')).toBe('Ctrl Shift Z')
    vi.stubGlobal('navigator', { platform: 'MacIntel' })
    expect(keyNamed('Ctrl Shift Z')).toBe('⌘ Shift Z')
    vi.unstubAllGlobals()
  })
})
