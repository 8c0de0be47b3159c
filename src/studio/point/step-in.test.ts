// Arrow keys in a list that wraps.
import { expect, it } from 'vitest'
import { stepTo } from './step-in'

const box = (left: number, top: number) => ({ left, top, right: left + 100, bottom: top + 50 })
// Two in a row, one under them, and two more under a heading.
const boxes = [box(0, 0), box(110, 0), box(0, 60), box(0, 150), box(110, 150)]

it.each([
  [0, 'ArrowRight', 1],
  [1, 'ArrowRight', 2],
  [4, 'ArrowRight', 4],
  [0, 'ArrowLeft', 0],
  [0, 'ArrowDown', 2],
  [1, 'ArrowDown', 2],
  [2, 'ArrowDown', 3],
  [4, 'ArrowDown', 4],
  [4, 'ArrowUp', 2],
  [2, 'ArrowUp', 0],
  [1, 'ArrowUp', -1],
  [3, 'Home', 0],
  [1, 'End', 4],
  [1, 'Enter', undefined],
  [-1, 'ArrowDown', undefined],
])('from %d %s leads to %s', (from, key, to) => {
  expect(stepTo(boxes, from, key)).toBe(to)
})
