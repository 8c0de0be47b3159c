// A chart of lines, with the present moment riding on it: the frame that all drawings in time and of curves share.
import { Box } from '@chakra-ui/react'
import { CategoryScale, Chart, LinearScale, LineController, LineElement, PointElement, type Plugin } from 'chart.js'
import { useEffect, useRef, type PointerEvent } from 'react'
import { usePresent, type Present } from './present'

Chart.register(LineController, LineElement, PointElement, LinearScale, CategoryScale)

export interface Point {
  readonly x: number
  readonly y: number
}

export interface Line {
  readonly points: readonly Point[]
  readonly colour: ChartColour
  readonly dashed?: boolean
  /** Shown as dots: stops that can be dragged. */
  readonly isStops?: boolean
}

type ChartColour = 'madder' | 'violet' | 'lichen' | 'ink' | 'edge'

/** What is drawn under the lines: the chart's own coordinates in px. */
export type Marks = (
  ink: CanvasRenderingContext2D,
  at: (point: Point) => Point,
  area: { readonly left: number; readonly right: number; readonly top: number; readonly bottom: number },
) => void

/** A level line right across at a value: where things begin, meet, or should come to. */
export const levelAt =
  (value: number): Marks =>
  (ink, at, { left, right }) => {
    const { y } = at({ x: 0, y: value })
    ink.strokeStyle = colourOf('edge')
    ink.beginPath()
    ink.moveTo(left, y)
    ink.lineTo(right, y)
    ink.stroke()
  }

interface LineChartProps {
  readonly label: string
  readonly lines: readonly Line[]
  readonly across: readonly [number, number]
  readonly down: readonly [number, number]
  readonly marks?: Marks
  /** Where the present moment rides, and whether it goes on by itself. */
  readonly present?: (present: Present) => { readonly point: Point | null; readonly moves: boolean }
  readonly onPress?: (at: Point, near: (point: Point) => number, event: PointerEvent<HTMLElement>) => void
  readonly onDrag?: (at: Point) => void
  readonly onRelease?: () => void
}

export const colourOf = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(`--gm-${name}`).trim()

export function LineChart(props: LineChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const dot = useRef<HTMLDivElement>(null)
  const chart = useRef<Chart<'line'> | null>(null)
  const latest = useRef(props)
  const { label, lines, across, down, onPress } = props
  const toPx = ({ x, y }: Point): Point => ({
    x: chart.current?.scales.x?.getPixelForValue(x) ?? 0,
    y: chart.current?.scales.y?.getPixelForValue(y) ?? 0,
  })
  useEffect(() => {
    latest.current = props
  })
  useEffect(() => {
    if (!canvas.current) return
    const under: Plugin<'line'> = {
      id: 'under',
      beforeDatasetsDraw: ({ ctx, chartArea }) => {
        ctx.save()
        latest.current.marks?.(ctx, toPx, chartArea)
        ctx.restore()
      },
    }
    const made = new Chart(canvas.current, {
      type: 'line',
      data: { datasets: [] },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        events: [],
        layout: { padding: lines.some(({ isStops }) => isStops) ? { top: 8, right: 10, left: 10 } : { top: 3, right: 5, left: 3 } },
        scales: {
          x: {
            type: 'linear',
            border: { display: false },
            grid: { display: false },
            ticks: {
              maxTicksLimit: 5,
              font: { family: 'Commissioner Variable', size: 12 },
              callback: (value) => `${value}`.replace('-', '\u2212'),
            },
          },
          y: { type: 'linear', display: false },
        },
      },
      plugins: [under],
    })
    chart.current = made
    return () => {
      made.destroy()
      chart.current = null
    }
    // A chart has stops from the beginning, or never.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [])
  useEffect(() => {
    const made = chart.current
    if (!made) return
    const { x, y } = made.options.scales ?? {}
    if (x) Object.assign(x, { min: across[0], max: across[1] })
    if (y) Object.assign(y, { min: down[0], max: down[1] })
    if (x?.ticks) x.ticks.color = colourOf('soft')
    made.data.datasets = lines.map(({ points, colour, dashed, isStops }) => ({
      data: points.map((point) => ({ ...point })),
      parsing: false,
      borderWidth: 2,
      borderColor: colourOf(colour),
      borderDash: dashed ? [4, 3] : [],
      showLine: !isStops,
      ...(isStops ? { clip: false as const } : {}),
      pointRadius: isStops ? 6 : 0,
      pointBackgroundColor: colourOf('sheet'),
      pointBorderColor: colourOf(colour),
      pointBorderWidth: 2,
    }))
    made.update('none')
  })
  usePresent((present) => {
    const ride = latest.current.present?.(present)
    const mark = dot.current
    if (!mark) return false
    mark.hidden = !ride?.point
    if (ride?.point) {
      const { x, y } = toPx(ride.point)
      mark.style.transform = `translate(${x}px, ${y}px)`
    }
    return ride?.moves ?? false
  })
  const valueAt = (event: PointerEvent<HTMLElement>): Point => {
    const box = event.currentTarget.getBoundingClientRect()
    return {
      x: chart.current?.scales.x?.getValueForPixel(event.clientX - box.left) ?? 0,
      y: chart.current?.scales.y?.getValueForPixel(event.clientY - box.top) ?? 0,
    }
  }
  return (
    <Box
      flex="1"
      minHeight="0"
      position="relative"
      role="img"
      aria-label={label}
      touchAction={onPress ? 'none' : undefined}
      cursor={onPress ? 'crosshair' : undefined}
      onPointerDown={(event) => {
        if (!onPress) return
        event.currentTarget.setPointerCapture(event.pointerId)
        const box = event.currentTarget.getBoundingClientRect()
        const press = { x: event.clientX - box.left, y: event.clientY - box.top }
        onPress(valueAt(event), (point) => Math.hypot(toPx(point).x - press.x, toPx(point).y - press.y), event)
      }}
      onPointerMove={(event) => event.currentTarget.hasPointerCapture(event.pointerId) && props.onDrag?.(valueAt(event))}
      onPointerUp={props.onRelease}
      onPointerCancel={props.onRelease}
    >
      <canvas ref={canvas} />
      <Box
        ref={dot}
        hidden
        aria-hidden="true"
        position="absolute"
        left="-5px"
        top="-5px"
        width="10px"
        height="10px"
        borderRadius="5px"
        background="madder"
        border="2px solid"
        borderColor="sheet"
        pointerEvents="none"
      />
    </Box>
  )
}
