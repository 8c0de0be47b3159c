// @vitest-environment jsdom
import { afterEach, describe, expect, it } from 'vitest'
import { cornersOf, rowOf } from './row'

afterEach(() => document.body.replaceChildren())

function rowIn(html: string, select = '.panel') {
  document.body.innerHTML = html
  return rowOf([...document.querySelectorAll(select)])
}

describe('the row in which elements stand', () => {
  it('is told by a flex box: how many, how far apart, and which way', () => {
    const panels = '<i class="panel" style="padding: 0 10px 0 20px; border: 1px solid"></i><i class="panel"></i><i class="panel"></i>'
    expect(rowIn(`<div style="display: flex; column-gap: 8px">${panels}</div><p>${panels}</p>`)).toEqual({
      count: 3,
      gapPx: 8,
      besidePx: 32,
      along: 'across',
      isFlex: true,
      isGrid: false,
    })
    expect(rowIn(`<div style="display: flex; flex-direction: column; row-gap: 5px">${panels}</div>`)).toMatchObject({
      gapPx: 5,
      along: 'down',
    })
    expect(rowIn(`<div style="display: grid">${panels}</div>`)).toMatchObject({ isFlex: false, isGrid: true, count: 3 })
  })

  it('is none of one element alone, or of none', () => {
    expect(rowIn('<div><i class="panel"></i></div><p><i class="panel"></i></p>')).toBeNull()
    expect(rowIn('<div></div>')).toBeNull()
  })
})

describe('the corners of an element', () => {
  it('are those of the one that is rounded least', () => {
    // As longhands: not every document model takes the shorthand apart.
    const round = (...corners: readonly string[]) =>
      `<i style="${['top-left', 'top-right', 'bottom-right', 'bottom-left'].map((corner, i) => `border-${corner}-radius: ${corners[i % corners.length] ?? '0'}`).join('; ')}"></i>`
    document.body.innerHTML = round('12px') + round('12px', '4px') + round('50%')
    const all = [...document.querySelectorAll('i')]
    expect(all.map((each) => cornersOf(each))).toEqual([12, 4, 0])
    expect(cornersOf(undefined)).toBe(0)
  })
})
