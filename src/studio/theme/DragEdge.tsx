// An edge by which something is dragged wider and narrower, by arrow keys as well.
import { Box } from '@chakra-ui/react'
import { useRef, type ComponentProps } from 'react'

interface DragEdgeProps extends Omit<ComponentProps<typeof Box>, 'onChange'> {
  readonly label: string
  /** How wide it is, between which it is held, and how that is told. */
  readonly value: number
  readonly least: number
  readonly most: number
  readonly told: string
  /** How much wider it is for each px that the edge goes to the right; less than 0 for an edge at the left. */
  readonly perPx: number
  /** So many steps are one with Shift. */
  readonly coarse: number
  readonly onValue: (value: number) => void
}

const stepPx = 10

export function DragEdge({ label, value, least, most, told, perPx, coarse, onValue, ...rest }: DragEdgeProps) {
  const start = useRef<{ readonly x: number; readonly value: number } | null>(null)
  const give = (to: number) => onValue(Math.round(Math.min(most, Math.max(least, to))))
  return (
    <Box
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-orientation="horizontal"
      aria-valuenow={value}
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuetext={told}
      position="absolute"
      cursor="ew-resize"
      touchAction="none"
      {...rest}
      onKeyDown={(event) => {
        const way = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
        if (way === 0) return
        event.preventDefault()
        event.stopPropagation()
        give(value + way * Math.sign(perPx) * stepPx * (event.shiftKey ? coarse : 1))
      }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        start.current = { x: event.clientX, value }
      }}
      onPointerMove={(event) => start.current && give(start.current.value + perPx * (event.clientX - start.current.x))}
      onPointerUp={() => (start.current = null)}
    />
  )
}
