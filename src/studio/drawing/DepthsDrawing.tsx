// Layers at their heights, seen from the side: the page stands upright at the left, the eye looks from the right. Each is dragged.
import { useRef, useState } from 'react'
import { formatNumber, heldNumber, type NumberControl } from '../../core/effect/control'
import { newGesture } from '../store/site-store'
import { DrawingFrame } from './DrawingFrame'

export interface Depth {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- a drawing serves the controls of every kind
  readonly control: NumberControl<any>
  readonly value: number
}

interface DepthsDrawingProps {
  readonly depths: readonly Depth[]
  readonly onChange: (control: Depth['control'], value: number, gesture: string) => void
}

const page = 54
const far = 268

export function DepthsDrawing({ depths, onChange }: DepthsDrawingProps) {
  const surface = useRef<SVGSVGElement>(null)
  /** A drag: where it began, from which value, and how far the drawing reached then. */
  const drag = useRef<{ readonly x: number; readonly value: number; readonly reach: number; readonly gesture: string } | null>(null)
  const [held, setHeld] = useState<number | null>(null)
  const reach = held ?? Math.max(60, ...depths.map(({ value }) => Math.abs(value) * 1.25))
  const xOf = (value: number) => page + (value / reach) * (far - page)
  const move = (clientX: number, { control }: Depth) => {
    const box = surface.current?.getBoundingClientRect()
    const from = drag.current
    if (!box || !from) return
    const scale = Math.min(box.width / 308, box.height / 120)
    onChange(control, heldNumber(control, Math.round(from.value + ((clientX - from.x) / scale / (far - page)) * from.reach)), from.gesture)
  }
  const end = () => {
    drag.current = null
    setHeld(null)
  }
  return (
    <DrawingFrame title="Seen from the side" words={depths.map(({ control, value }) => formatNumber(value, control.unit)).join(', ')}>
      <svg
        ref={surface}
        viewBox="0 0 308 120"
        aria-label="The heights of the layers"
        role="group"
        style={{ flex: 1, minHeight: 0, width: '100%', touchAction: 'none' }}
      >
        <path d={`M${page} 6V112`} stroke="var(--gm-violet)" strokeWidth="1.5" strokeDasharray="4 4" />
        <path d="M284 58q8-8 16 0q-8 7-16 0Z" fill="none" stroke="var(--gm-soft)" strokeWidth="1.3" />
        <circle cx="292" cy="58" r="2.2" fill="var(--gm-soft)" />
        {depths.map((depth, i) => {
          const { control, value } = depth
          const x = xOf(value)
          const height = 92 - (i * 60) / Math.max(1, depths.length)
          return (
            <g
              key={control.id}
              role="slider"
              tabIndex={0}
              aria-label={control.title}
              aria-valuenow={value}
              aria-valuemin={control.least}
              aria-valuemax={control.greatest}
              aria-valuetext={formatNumber(value, control.unit)}
              style={{ cursor: 'ew-resize' }}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId)
                drag.current = { x: event.clientX, value, reach, gesture: newGesture() }
                setHeld(reach)
              }}
              onPointerMove={(event) => move(event.clientX, depth)}
              onPointerUp={end}
              onPointerCancel={end}
              onKeyDown={(event) => {
                const step =
                  event.key === 'ArrowRight' || event.key === 'ArrowUp'
                    ? 1
                    : event.key === 'ArrowLeft' || event.key === 'ArrowDown'
                      ? -1
                      : 0
                if (step === 0) return
                event.preventDefault()
                onChange(control, heldNumber(control, value + step * control.step * (event.shiftKey ? 10 : 1)), newGesture())
              }}
            >
              <path d={`M${page} 58H${x}`} stroke="var(--gm-edge)" strokeWidth="1" />
              <rect x={x - 9} y={56 - height / 2} width="18" height={height} fill="transparent" />
              <rect x={x - 2} y={58 - height / 2} width="4" height={height} rx="2" fill="var(--gm-ink)" />
              <text x={x} y={i % 2 === 0 ? 117 : 12} textAnchor="middle" fontSize="11" fill="var(--gm-soft)">
                {formatNumber(value, control.unit)}
              </text>
            </g>
          )
        })}
      </svg>
    </DrawingFrame>
  )
}
