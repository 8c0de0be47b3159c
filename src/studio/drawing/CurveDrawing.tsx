// A curve with its stops: dragged in place, added by a press between them, removed and shaped beneath.
import { Box, Flex } from '@chakra-ui/react'
import { useRef, useState } from 'react'
import { parseEasing } from '../../core/curve/easing'
import { valueOnCurve, type Curve, type Stop } from '../../core/curve/curve'
import { addStop, moveStop, removeStop, shapeSpan } from '../../core/curve/edit-curve'
import type { CurveControl } from '../../core/effect/control'
import { readSum } from '../../core/effect/arithmetic'
import { newGesture } from '../store/site-store'
import { Button, Field } from '../theme/controls'
import { NamedField } from '../theme/NamedField'
import { DrawingFrame } from './DrawingFrame'
import { LineChart } from './LineChart'
import type { Present } from './present'

interface CurveDrawingProps {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- a drawing serves the controls of every kind
  readonly control: CurveControl<any>
  readonly curve: Curve
  readonly onChange: (curve: Curve, gesture: string) => void
  /** The number that goes into the curve now; undefined while the pointer is away. */
  readonly input: (present: Present) => number | undefined
}

const points = 160
const short = (value: number) => parseFloat(value.toPrecision(3))

export function CurveDrawing({ control, curve, onChange, input }: CurveDrawingProps) {
  const [picked, setPicked] = useState(0)
  const drag = useRef<{ at: number; readonly gesture: string } | null>(null)
  const { stops } = curve
  const across: readonly [number, number] = [
    Math.min(control.across.from, stops[0]?.at ?? 0),
    Math.max(control.across.to, stops.at(-1)?.at ?? 1),
  ]
  const line = Array.from({ length: points + 1 }, (_, i) => {
    const x = across[0] + ((across[1] - across[0]) * i) / points
    return { x, y: valueOnCurve(curve, x) }
  })
  const [least, greatest] = [Math.min(0, ...line.map(({ y }) => y)), Math.max(...line.map(({ y }) => y))]
  const room = (greatest - least || 1) * 0.14
  const at = Math.min(picked, stops.length - 1)
  const stop = stops[at]
  const put = (index: number, to: Partial<Stop>, gesture = newGesture()) => onChange(moveStop(curve, index, to), gesture)
  return (
    <DrawingFrame title={control.title} words={`${stops.length} stops`}>
      <LineChart
        label={`${control.title}: ${stops.map((each) => `${short(each.at)} gives ${short(each.value)}`).join(', ')}`}
        lines={[
          { points: line, colour: 'madder' },
          { points: stops.map((each) => ({ x: each.at, y: each.value })), colour: 'ink', isStops: true },
        ]}
        across={across}
        down={[least - room, greatest + room]}
        present={(present) => {
          const x = input(present)
          return { point: x === undefined ? null : { x, y: valueOnCurve(curve, x) }, moves: false }
        }}
        onPress={(point, near) => {
          const found = stops.findIndex((each) => near({ x: each.at, y: each.value }) < 14)
          const gesture = newGesture()
          if (found < 0) {
            const added = addStop(curve, point.x)
            onChange(added.curve, gesture)
            drag.current = { at: added.at, gesture }
          } else drag.current = { at: found, gesture }
          setPicked(drag.current.at)
        }}
        onDrag={(point) => drag.current && put(drag.current.at, { at: short(point.x), value: short(point.y) }, drag.current.gesture)}
        onRelease={() => (drag.current = null)}
      />
      {stop && (
        <Flex
          gap="5px"
          align="center"
          fontSize="13px"
          color="soft"
          flex="none"
          role="group"
          aria-label={`Stop ${at + 1} of ${stops.length}`}
        >
          <Button
            variant="quiet"
            px="4px"
            minHeight="24px"
            aria-label="The stop before"
            disabled={at === 0}
            onClick={() => setPicked(at - 1)}
          >
            ‹
          </Button>
          <StopNumber label="The number that goes in" value={stop.at} onValue={(value) => put(at, { at: value })} />
          <Box>→</Box>
          <StopNumber label="What it comes to" value={stop.value} onValue={(value) => put(at, { value })} />
          <Button
            variant="quiet"
            px="4px"
            minHeight="24px"
            aria-label="The next stop"
            disabled={at >= stops.length - 1}
            onClick={() => setPicked(at + 1)}
          >
            ›
          </Button>
          {at < stops.length - 1 && (
            <Easing
              key={`${at} ${stop.easing ?? ''}`}
              easing={stop.easing ?? 'linear'}
              onEasing={(easing) => onChange(shapeSpan(curve, at, easing), newGesture())}
            />
          )}
          {at === stops.length - 1 && (
            <Button
              variant="quiet"
              minHeight="24px"
              fontSize="13px"
              onClick={() => onChange(addStop(curve, across[0] + (across[1] - across[0]) / 2).curve, newGesture())}
            >
              Add one
            </Button>
          )}
          {stops.length > 2 && (
            <Button
              variant="quiet"
              minHeight="24px"
              px="5px"
              fontSize="13px"
              aria-label="Remove this stop"
              onClick={() => onChange(removeStop(curve, at), newGesture())}
            >
              ×
            </Button>
          )}
        </Flex>
      )}
    </DrawingFrame>
  )
}

function StopNumber({
  label,
  value,
  onValue,
}: {
  readonly label: string
  readonly value: number
  readonly onValue: (value: number) => void
}) {
  const take = (text: string) => {
    const read = readSum(text, '')
    if (typeof read === 'number') onValue(read)
  }
  return (
    <NamedField
      label={label}
      width="58px"
      minHeight="24px"
      px="5px"
      fontSize="13px"
      textAlign="center"
      value={String(short(value))}
      onTake={take}
    />
  )
}

/** The easing of the span behind a stop, as CSS writes it; what cannot be read stays as it was. */
function Easing({ easing, onEasing }: { readonly easing: string; readonly onEasing: (easing: string) => void }) {
  const [typed, setTyped] = useState(easing)
  const isGood = parseEasing(typed) !== undefined
  const take = () => (isGood && typed !== easing ? onEasing(typed) : undefined)
  return (
    <Field
      aria-label="Easing to the next stop"
      title={isGood ? 'Easing to the next stop, as CSS writes it' : 'This is no easing of CSS; the old one stays.'}
      aria-invalid={!isGood}
      flex="1"
      minWidth="0"
      minHeight="24px"
      px="5px"
      fontSize="12px"
      fontFamily="mono"
      value={typed}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        event.stopPropagation()
        if (event.key === 'Enter') take()
      }}
    />
  )
}
