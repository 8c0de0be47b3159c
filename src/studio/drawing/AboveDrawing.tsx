// The element seen from above as it leans under a pointer at its right edge: where the edge goes, and where the eye is.
import { Box, Flex } from '@chakra-ui/react'
import type { Rig } from '../../core/rig/rig'
import type { TransformFunction } from '../../core/rig/names'
import { slotName } from '../../core/rig/slot'
import { outputValue } from '../../core/rig/values'

const half = 70
const middle = { x: 140, y: 58 }

export function AboveDrawing({ rig }: { readonly rig: Rig }) {
  const value = (fn: TransformFunction) => {
    const output = rig.outputs.find(({ slot }) => slotName(slot) === fn)
    return output ? Number(outputValue(rig, output, (channel) => (channel === 'y' ? 0 : 1))) : 0
  }
  const turn = (value('rotateY') * Math.PI) / 180
  const lift = Math.min(14, value('translateZ') * 0.12)
  // Seen from above: away from the eye is up on the drawing.
  const edge = { x: half * Math.cos(turn), y: -half * Math.sin(turn) + lift }
  const sinks = turn > 0
  const degrees = Math.abs(value('rotateY'))
  const words = `The edge under the pointer ${sinks ? 'sinks' : 'rises'} by ${Number(degrees.toFixed(1))}°${lift > 0 ? `, lifted by ${Math.round(value('translateZ'))} px` : ''}.`
  const right = { x: middle.x + edge.x, y: middle.y + edge.y }
  return (
    <Flex direction="column" height="100%">
      <Flex justify="space-between" fontSize="13px" color="soft">
        <Box as="h2" fontWeight="600" color="ink" fontSize="14px">Seen from above</Box>
        <Box>eye at {Math.round(value('perspective'))} px</Box>
      </Flex>
      <svg viewBox="0 0 308 126" role="img" aria-label={words} style={{ flex: 1, minHeight: 0, width: '100%' }}>
        <path d={`M${middle.x - half} ${middle.y}H${middle.x + half}`} stroke="var(--gm-violet)" strokeWidth="1.5" strokeDasharray="4 4" />
        <path d={`M${middle.x - edge.x} ${middle.y - edge.y + 2 * lift}L${right.x} ${right.y}`} stroke="var(--gm-ink)" strokeWidth="4" strokeLinecap="round" />
        <circle cx={middle.x} cy={middle.y + lift} r="3" fill="var(--gm-sheet)" stroke="var(--gm-ink)" strokeWidth="1.5" />
        {degrees > 0.4 && <Arrow x={right.x + 14} from={middle.y} to={right.y} colour="var(--gm-ink)" />}
        <Arrow x={middle.x + half + 34} from={118} to={middle.y} colour="var(--gm-madder)" />
        <path d="M133 118q7-7 14 0q-7 6-14 0Z" fill="none" stroke="var(--gm-soft)" strokeWidth="1.3" />
        <circle cx="140" cy="118" r="2" fill="var(--gm-soft)" />
      </svg>
    </Flex>
  )
}

interface ArrowProps {
  readonly x: number
  readonly from: number
  readonly to: number
  readonly colour: string
}

function Arrow({ x, from, to, colour }: ArrowProps) {
  const point = from < to ? -5 : 5
  return <path d={`M${x} ${from}V${to}M${x - 4} ${to + point}L${x} ${to}L${x + 4} ${to + point}`} fill="none" stroke={colour} strokeWidth="1.6" strokeLinecap="round" strokeLinejoin="round" />
}
