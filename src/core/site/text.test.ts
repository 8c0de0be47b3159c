import { describe, expect, it } from 'vitest'
import { cutText, readJson } from './text'

describe('text at the border', () => {
  it('is cut between characters, as one sees them', () => {
    expect(cutText('short', 10)).toBe('short')
    expect(cutText(`${'x'.repeat(97)}\u{1F98B}\u{1F98B}`, 100)).toBe(`${'x'.repeat(97)}\u{1F98B}…`)
    expect(cutText(`${'x'.repeat(98)}\u{1F98B}z`, 100)).toBe(`${'x'.repeat(98)}…`)
    expect(cutText('\u{1F468}\u200d\u{1F469}\u200d\u{1F467}'.repeat(20), 30).isWellFormed()).toBe(true)
  })

  it('as JSON has no halves of characters, in values nor in names', () => {
    expect(readJson('{"a\\ud83d":["\\ude00x",{"b":"\\ud83e\\udd8b"}]}')).toEqual({ 'a\ufffd': ['\ufffdx', { b: '\u{1F98B}' }] })
    expect(() => readJson('{')).toThrow(SyntaxError)
  })
})
