import { describe, expect, it } from 'vitest'
import { asksBecause, poseByHand, posedKnobs } from './pose'
import { tilt } from './tilt'
import { tiltDefaults, type TiltSettings } from './tilt/settings'

const two: TiltSettings = { ...tiltDefaults, linked: false, acrossDeg: 10, upDownDeg: 10 }

describe('a pose by hand', () => {
  it('on a midline changes the one number that moves there, so that the card lies where it was dragged', () => {
    // At the right edge the card turns by +angle; 10 px to the right are 2 degrees more.
    const posed = poseByHand(tilt, two, { x: 1, y: 0 }, { x: 10, y: 0 }, 'both')
    expect(posed).toMatchObject({ acrossDeg: 12, upDownDeg: 10 })
    // Half way, the angle has to grow by twice as much for the same turn.
    expect(poseByHand(tilt, two, { x: 0.5, y: 0 }, { x: 10, y: 0 }, 'both')).toMatchObject({ acrossDeg: 14 })
    expect(asksBecause(tilt.expand(two, '.card'), { x: 1, y: 0 })).toBe(false)
  })

  it('off both midlines asks because of what, and changes that alone', () => {
    const place = { x: 1, y: 1 }
    expect(asksBecause(tilt.expand(two, '.card'), place)).toBe(true)
    expect(poseByHand(tilt, two, place, { x: 10, y: 10 }, 'across')).toMatchObject({ acrossDeg: 12, upDownDeg: 10 })
    expect(poseByHand(tilt, two, place, { x: 10, y: 10 }, 'up-down')).toMatchObject({ acrossDeg: 10, upDownDeg: 12 })
    expect(poseByHand(tilt, two, place, { x: 10, y: 10 }, 'both')).toMatchObject({ acrossDeg: 12, upDownDeg: 12 })
  })

  it('turns with the direction: an edge that rises is dragged the other way', () => {
    expect(poseByHand(tilt, { ...two, edge: 'rises' }, { x: 1, y: 0 }, { x: -10, y: 0 }, 'both')).toMatchObject({ acrossDeg: 12 })
  })

  it('stays in range, and does nothing in the very middle', () => {
    expect(poseByHand(tilt, two, { x: 0.1, y: 0 }, { x: 900, y: 0 }, 'both')).toMatchObject({ acrossDeg: 45 })
    expect(posedKnobs(tilt.expand(two, '.card'), { x: 0, y: 0 }, { x: 30, y: 30 }, 'both').size).toBe(0)
  })

  it('gives a knob that both axes share the mean of what they ask for', () => {
    expect(posedKnobs(tilt.expand(tiltDefaults, '.card'), { x: 1, y: 1 }, { x: 10, y: 0 }, 'both').get('lean')).toBe(11)
    expect(posedKnobs(tilt.expand(tiltDefaults, '.card'), { x: 1, y: 1 }, { x: 10, y: 20 }, 'both').get('lean')).toBe(12)
  })
})
