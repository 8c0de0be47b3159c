// Going by key from one thing to the next in a list that wraps into rows: what can be stepped to bears `data-step`.

interface Box {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

/** Which of these boxes a key leads to from the one at `from`; -1 where it leads out at the top, and `from` itself where there is no further. */
export function stepTo(boxes: readonly Box[], from: number, key: string): number | undefined {
  const here = boxes[from]
  if (key === 'Home') return 0
  if (key === 'End') return boxes.length - 1
  if (key === 'ArrowRight') return Math.min(boxes.length - 1, from + 1)
  if (key === 'ArrowLeft') return Math.max(0, from - 1)
  if (!here || (key !== 'ArrowDown' && key !== 'ArrowUp')) return undefined
  const isDown = key === 'ArrowDown'
  const beyond = boxes.flatMap((box, index) => {
    const gap = isDown ? box.top - here.bottom : here.top - box.bottom
    return gap > -2 ? [{ index, gap, aside: Math.abs(box.left - here.left) }] : []
  })
  const [nearest] = beyond.sort((a, b) => (Math.abs(a.gap - b.gap) > 4 ? a.gap - b.gap : a.aside - b.aside))
  return nearest?.index ?? (isDown ? from : -1)
}

/** Takes the focus to where a key leads in a list; `out` is what is above it. Gives whether the key led anywhere. */
export function stepIn(list: HTMLElement, key: string, out?: () => void): boolean {
  const all = [...list.querySelectorAll<HTMLElement>('[data-step]')]
  const from = all.findIndex((each) => each === document.activeElement)
  const to = stepTo(
    all.map((each) => each.getBoundingClientRect()),
    from,
    key,
  )
  if (to === undefined || all.length === 0) return false
  if (to < 0) out?.()
  else {
    all[to]?.focus({ preventScroll: true })
    all[to]?.scrollIntoView({ block: 'nearest' })
  }
  return true
}
