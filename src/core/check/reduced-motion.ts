// Reduced motion: something of the page moves by a channel that is not stilled for those who prefer that.
import { partOf } from '../rig/rig'
import { nameOf, withCommonSetting, type Check } from './check'

export const reducedMotion: Check = {
  id: 'reduced-motion',
  needsLayout: false,
  look: (checked) => {
    const { rig } = checked.planned
    if (rig.notCalm) return undefined
    const goesOn = new Set(rig.channels.filter(({ group }) => group === 'light' || group === 'state').map(({ id }) => id))
    // What rides on the line of a cut shows where that is, by the visitor's own hand: without it half of the page could not be reached.
    const cuts = rig.outputs.some(({ slot }) => slot.on === 'clip')
    const stilled = rig.rules.flatMap(({ isCalm, css, select }) => (isCalm && css.transform === 'none' ? [select] : []))
    const moves = rig.outputs.some(
      ({ to, slot, channel }) =>
        slot.on === 'transform' &&
        !(typeof to === 'object' && 'within' in to && stilled.includes(to.within)) &&
        !(cuts && slot.fn.startsWith('translate')) &&
        partOf(to) === undefined &&
        channel !== undefined &&
        goesOn.has(channel),
    )
    const isAnimated = [...rig.rules, ...rig.parts].some(({ css }) => Object.keys(css).some((name) => /^animation(-name)?$/.test(name)))
    if (!moves && !isAnimated) return undefined
    return {
      words: `${nameOf(checked)} moves things for visitors who prefer reduced motion too.`,
      fix: { words: 'Do not play it for them', edit: withCommonSetting(checked, { reducedMotion: 'off' }) },
    }
  },
}
