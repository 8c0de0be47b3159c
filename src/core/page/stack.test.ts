import { describe, expect, it } from 'vitest'
import { MarkupError } from './markup'
import { stack, standTogether } from './stack'
import { elementsOf, readTree } from './tree'

const source = (body: string) => `<!doctype html>\n<html><head></head>\n<body>\n${body}\n</body></html>`
const numberOf = (text: string, id: string) => elementsOf(readTree(text)).findIndex(({ attribs }) => attribs.id === id)
const stacked = (body: string) => {
  const text = source(body)
  return stack(text, numberOf(text, 'front'), numberOf(text, 'back'))
}

describe('two elements laid over each other', () => {
  it('stand in one element around them, the back before the front, wherever they stood', () => {
    const apart = '  <header>\n    <p id="back">behind</p>\n  </header>\n  <main>\n    <p id="front">before</p>\n  </main>'
    expect(stacked(apart)).toMatch(/<div class="stacked">\s*<p id="back">behind<\/p>\s*<p id="front">before<\/p>\s*<\/div>/)
    const turned = '  <main>\n    <p id="front">before</p>\n    <i>after it</i>\n  </main>\n  <footer><p id="back">behind</p></footer>'
    const result = stacked(turned)
    expect(result).toMatch(/<div class="stacked">\s*<p id="back">behind<\/p>\s*<p id="front">before<\/p>\s*<\/div>\s*<i>after it<\/i>/)
    expect(result).toContain('.stacked > * { grid-area: 1 / 1; }')
    expect(result).toContain('<footer></footer>')
  })

  it('is not for what lies in one another', () => {
    expect(() => stacked('<div id="front"><p id="back"></p></div>')).toThrow(MarkupError)
    expect(() => stacked('<div id="back"><p id="front"></p></div>')).toThrow(MarkupError)
  })

  it('is not needed for what stands in one element', () => {
    const text = source('<main><p id="front"></p><p id="back"></p></main><p id="other"></p>')
    const number = (id: string) => numberOf(text, id)
    expect(standTogether(text, number('front'), number('back'))).toBe(true)
    expect(standTogether(text, number('front'), number('other'))).toBe(false)
    expect(standTogether(text, number('front'), 999)).toBe(false)
  })
})
