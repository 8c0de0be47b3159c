// Where a stand-in pointer belongs: on a page of cards in a row, each 100 px wide and 100 px from the next.
import { describe, expect, it } from 'vitest'
import type { Sample } from '../core/signal/sample'
import { makeArea } from './area'

interface Card {
  readonly at: number
  readonly isConnected: boolean
  readonly contains: (other: unknown) => boolean
  readonly matches: (select: string) => boolean
}

function makeCard(at: number): Card {
  const card: Card = { at, isConnected: true, contains: (other) => other === card, matches: (select) => select === '.card' }
  return card
}

/** An area over three cards at 0, 200 and 400 px; what lies between them is nothing. */
function makeRow() {
  const cards = [0, 200, 400].map(makeCard)
  const far = { getBoundingClientRect: () => ({ left: 9e9, right: 9e9, top: 9e9, bottom: 9e9, width: 0, height: 0 }) }
  const page = {
    querySelectorAll: (select: string) => (select === '.card' ? cards.map((card) => Object.assign(card, far)) : []),
  } as unknown as Document
  const hitAt = (x: number) => (cards.find(({ at }) => x >= at && x < at + 100) ?? null) as unknown as Element | null
  const area = makeArea(page, hitAt)
  const move = (t: number, x: number, phase: Sample['phase'] = 'move') =>
    area.remember({ t, x, y: 0, buttons: 0, pointerType: 'mouse', phase }, hitAt(x))
  return { area, move, cards: cards as unknown as readonly Element[] }
}

describe('the resting point', () => {
  it('is where the pointer stood for long enough, and not where it only went across', () => {
    const { area, move } = makeRow()
    area.become('.card')
    move(0, 20)
    move(200, 150)
    move(220, 250)
    move(240, 700)
    area.settle(300)
    expect(area.restingPoint()).toEqual({ x: 20, y: 0 })
  })

  it('is where it stands when the hand leaves, and where it was pressed', () => {
    const { area, move } = makeRow()
    area.become('.card')
    move(0, 20)
    move(10, 230)
    area.settle(140)
    expect(area.restingPoint()).toEqual({ x: 230, y: 0 })
    move(150, 410, 'down')
    expect(area.restingPoint()).toEqual({ x: 410, y: 0 })
  })

  it('takes a tremble for a rest, and a rest outside of the area for none', () => {
    const { area, move } = makeRow()
    area.become('.card')
    for (const [t, x] of [
      [0, 50],
      [60, 52],
      [130, 51],
    ] as const)
      move(t, x)
    expect(area.restingPoint()).toEqual({ x: 50, y: 0 })
    move(140, 150)
    move(400, 160)
    expect(area.restingPoint()).toEqual({ x: 50, y: 0 })
  })

  it('is nowhere while nothing is selected; then where the hand stood before, or where was pointed at', () => {
    const { area, move, cards } = makeRow()
    move(0, 220)
    area.settle(200)
    expect([area.isAny(), area.restingPoint()]).toEqual([false, undefined])
    expect(area.become('.card')).toBe(true)
    expect(area.become('.card')).toBe(false)
    expect(area.restingPoint()).toEqual({ x: 220, y: 0 })
    area.become(null)
    area.pointedAt(cards[2] ?? null, { x: 430, y: 0 })
    area.become('.card')
    expect(area.restingPoint()).toEqual({ x: 430, y: 0 })
  })

  it('forgets what the pointer stood at when it is told so', () => {
    const { area, move } = makeRow()
    area.become('.card')
    area.restAt({ x: 5, y: 5 })
    move(0, 220)
    area.forget()
    area.settle(500)
    expect(area.restingPoint()).toEqual({ x: 5, y: 5 })
  })
})

it('an element of the area has its number, and nothing else has one', () => {
  const { area, cards } = makeRow()
  area.become('.card')
  expect([cards[1] && area.indexOf(cards[1]), area.indexOf({} as Element)]).toEqual([1, undefined])
  expect([area.at(cards[2] ?? null, 410, 0), area.at(null, 150, 0)]).toEqual([cards[2], null])
})
