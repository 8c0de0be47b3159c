// @vitest-environment jsdom
// What effects wrote is taken off elements on which no effect writes it any more, and nothing else is.
import { describe, expect, it } from 'vitest'
import { takeOff } from './take-off'

const written = (name: string, select: string) => ({ name, select })
const bodyWith = (html: string) => {
  document.body.innerHTML = html
  return () => document.body.innerHTML
}

describe('taking off', () => {
  it('takes values and attributes, and an attribute of style that holds nothing any more', () => {
    const now = bodyWith(
      '<p class="a" style="--a-x: 1;" data-a="">one</p><p class="a" style="color: red; --a-x: 0.5;" data-a="on" data-own="">two</p>',
    )
    takeOff(document, [written('--a-x', '.a'), written('data-a', '.a')], [])
    expect(now()).toBe('<p class="a">one</p><p class="a" style="color: red;" data-own="">two</p>')
  })

  it('keeps what the script that comes next writes on the same elements, and there alone', () => {
    const now = bodyWith('<p class="a b" style="--a-x: 1;" data-a="">one</p><p class="a" style="--a-x: 0.5;" data-a="">two</p>')
    takeOff(document, [written('--a-x', '.a'), written('data-a', '.a')], [written('--a-x', '.b'), written('data-a', '.b')])
    expect(now()).toBe('<p class="a b" style="--a-x: 1;" data-a="">one</p><p class="a">two</p>')
  })

  it('minds no selector that the browser cannot read, and no element without a style', () => {
    const now = bodyWith('<p class="a">one</p>')
    expect(() => takeOff(document, [written('--a-x', '.a:::'), written('--a-x', '.a')], [written('data-a', 'p[')])).not.toThrow()
    expect(now()).toBe('<p class="a">one</p>')
  })
})
