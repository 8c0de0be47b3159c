// What two rigs on one element cannot both have: of these the later one has its way.
import { partOf, type Output, type Rig } from './rig'
import { lawOf, propertyOf, slotName } from './slot'
import { knobValue } from './values'

/** The names of the slots that both drive, and of which only the last value counts; a perspective that is the same in both is no clash. */
export function clashesOf(earlier: Rig, later: Rig): readonly string[] {
  const alone = ({ outputs }: Rig) =>
    outputs.filter(({ slot, to }) => partOf(to) === undefined && (lawOf(slot) === 'last' || slot.on === 'clip'))
  const others = alone(later)
  const isSame = (one: Output, other: Output) =>
    one.channel === undefined && other.channel === undefined && fixedValue(earlier, one) === fixedValue(later, other)
  const clashes = alone(earlier).filter((one) =>
    others.some((other) => nameOf(one) === nameOf(other) && JSON.stringify(one.to) === JSON.stringify(other.to) && !isSame(one, other)),
  )
  return [...new Set(clashes.map(nameOf))]
}

/** Of clips the last one counts, whatever they are made of. */
const nameOf = ({ slot }: Output) => (slot.on === 'clip' ? propertyOf(slot) : slotName(slot))

const fixedValue = (rig: Rig, { base, factor, knob }: Output) => base + factor * knobValue(rig, knob)
