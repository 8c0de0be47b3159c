// Contrast: text that can be read without the pointer, and at some place of it cannot (WCAG 2.2, 1.4.3).
import { contrastOf, over, readColour, type Rgba } from '../curve/seen-colour'
import { nameOf, withCommonSetting, type Check } from './check'
import type { TextLook } from './seen'

/** The contrast of a text as it looks; undefined where a colour cannot be told. */
export function contrastIn({ colour, opacity, grounds, layers }: TextLook): number | undefined {
  const colours = [...grounds].reverse().map(readColour)
  const text = readColour(colour)
  if (!text || colours.some((each) => each === undefined) || colours.length === 0) return undefined
  const laid = (under: Rgba, isOver: boolean) =>
    layers
      .filter((each) => each.isOver === isOver)
      .reduce((result, each) => {
        const top = readColour(each.colour)
        return top ? over(top, result, each.opacity) : result
      }, under)
  const ground = laid(
    (colours as Rgba[]).reduce((under, top) => over(top, under)),
    false,
  )
  const written = over(text, ground, opacity)
  return contrastOf(laid(written, true), laid(ground, true))
}

export const contrast: Check = {
  id: 'contrast',
  needsLayout: true,
  look: (checked) => {
    const found = (checked.seen?.texts ?? []).flatMap(({ number, words, isLarge, rest, looks }) => {
      const needs = isLarge ? 3 : 4.5
      const before = contrastIn(rest)
      const worst = Math.min(...looks.map((each) => contrastIn(each) ?? 21))
      return before !== undefined && before >= needs && worst < needs ? [{ number, words, worst, needs }] : []
    })
    const [first] = [...found].sort((one, other) => one.worst / one.needs - other.worst / other.needs)
    if (!first) return undefined
    const more = found.length > 1 ? `, and ${found.length - 1} more` : ''
    const strength = (checked.effect.settings as { strengthPercent?: number }).strengthPercent ?? 100
    return {
      words: `${nameOf(checked)} makes text hard to read: “${first.words}” comes down to a contrast of ${first.worst.toFixed(1)} of the ${first.needs} it needs${more}.`,
      elements: found.map(({ number }) => number),
      fix:
        checked.kind.lacks?.includes('strength') || !checked.planned.rig.knobs.some(({ isAmount }) => isAmount)
          ? undefined
          : {
              words: 'Make it half as strong',
              edit: withCommonSetting(checked, { strengthPercent: Math.max(5, Math.round(strength / 10) * 5) }),
            },
    }
  },
}
