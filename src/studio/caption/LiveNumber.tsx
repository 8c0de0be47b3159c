// A live number: a quiet chip with a hairline scale under it. Drag it sideways, step it with arrow keys, or type.
import { Box, chakra } from '@chakra-ui/react'
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { formatNumber, parseNumber, stepNumber, type NumberControl } from '../../core/effect/control'
import { newGesture } from '../store/site-store'

interface LiveNumberProps {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- a chip serves the controls of every kind
  readonly control: NumberControl<any>
  readonly value: number
  readonly onTouch: () => void
  readonly onChange: (value: number, gesture: string) => void
  readonly onRefusal: (refusal: string | null) => void
}

/** How far the hand goes for one step, px. */
const stepPx = 5
/** Steps of one key or of one drag unit: coarse with Shift, fine with Alt. */
const reach = (event: { readonly shiftKey: boolean; readonly altKey: boolean }) => (event.shiftKey ? 10 : event.altKey ? 0.1 : 1)

const direction: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 10, PageDown: -10 }

export function LiveNumber({ control, value, onTouch, onChange, onRefusal }: LiveNumberProps) {
  const [typed, setTyped] = useState<string | null>(null)
  const drag = useRef<{ readonly x: number; readonly from: number; readonly gesture: string; moved: boolean } | null>(null)
  const keyGesture = useRef('')
  const chip = useRef<HTMLSpanElement>(null)
  const shown = formatNumber(roundShown(value, control), control.unit)
  const widest = Math.max(...[control.least, control.greatest].map((each) => formatNumber(each, control.unit).length), shown.length)
  const share = (value - control.least) / (control.greatest - control.least)

  const begin = (event: PointerEvent<HTMLElement>) => {
    if (typed !== null || event.button !== 0) return
    onTouch()
    onRefusal(null)
    event.currentTarget.setPointerCapture(event.pointerId)
    drag.current = { x: event.clientX, from: value, gesture: newGesture(), moved: false }
  }
  const move = (event: PointerEvent<HTMLElement>) => {
    const now = drag.current
    if (!now) return
    const steps = ((event.clientX - now.x) / stepPx) * reach(event)
    if (Math.abs(event.clientX - now.x) > 3) now.moved = true
    if (now.moved) onChange(stepNumber(control, now.from, event.altKey ? steps : Math.round(steps)), now.gesture)
  }
  const end = () => {
    if (drag.current && !drag.current.moved) setTyped(shown)
    drag.current = null
  }
  const press = (event: KeyboardEvent) => {
    const steps = direction[event.key]
    if (steps !== undefined) {
      event.preventDefault()
      keyGesture.current ||= newGesture()
      onChange(stepNumber(control, value, steps * reach(event)), keyGesture.current)
    } else if (event.key === 'Home' || event.key === 'End') {
      event.preventDefault()
      onChange(event.key === 'Home' ? control.least : control.greatest, newGesture())
    } else if (event.key === 'Enter' || /^[\d.(-]$/.test(event.key)) {
      if (event.ctrlKey || event.metaKey || event.altKey) return
      event.preventDefault()
      setTyped(event.key === 'Enter' ? shown : event.key)
    }
  }
  const commit = (text: string) => {
    setTyped(null)
    if (text === shown) return onRefusal(null)
    const read = parseNumber(text, control)
    if ('refusal' in read) return onRefusal(`${read.refusal} It stays at ${shown}.`)
    onRefusal(null)
    onChange(read.value, newGesture())
  }

  if (typed !== null) {
    return (
      <chakra.input
        autoFocus
        aria-label={control.title}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onFocus={(event) => typed === shown && event.target.select()}
        onBlur={(event) => commit(event.target.value)}
        onKeyDown={(event) => {
          event.stopPropagation()
          if (event.key === 'Escape') {
            setTyped(null)
            onRefusal(null)
          }
          if (event.key === 'Enter') {
            commit(event.currentTarget.value)
            requestAnimationFrame(() => chip.current?.focus())
          }
        }}
        width={`calc(${widest}ch + 18px)`}
        height="25px"
        px="7px"
        textAlign="center"
        color="ink"
        background="sheet"
        border="1px solid"
        borderColor="ink"
        borderRadius="4px"
        fontWeight="600"
      />
    )
  }
  return (
    <chakra.span
      ref={chip}
      role="spinbutton"
      tabIndex={0}
      aria-label={control.title}
      aria-valuenow={roundShown(value, control)}
      aria-valuemin={control.least}
      aria-valuemax={control.greatest}
      aria-valuetext={shown}
      title={`Drag sideways, arrow keys, or type: ${formatNumber(control.least, control.unit)} to ${formatNumber(control.greatest, control.unit)}`}
      onPointerDown={begin}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={() => (drag.current = null)}
      onPaste={(event) => commit(event.clipboardData.getData('text'))}
      onFocus={onTouch}
      onBlur={() => (keyGesture.current = '')}
      onKeyDown={press}
      display="inline-block"
      position="relative"
      width={`calc(${widest}ch + 18px)`}
      textAlign="center"
      lineHeight="23px"
      verticalAlign="baseline"
      background="ground"
      borderRadius="4px"
      color="ink"
      fontWeight="600"
      cursor="ew-resize"
      userSelect="none"
      touchAction="none"
      border="1px solid"
      borderColor="hairline"
      _hover={{ borderColor: 'edge' }}
      _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '1px' }}
    >
      {shown}
      <Box as="span" aria-hidden="true" position="absolute" left="6px" right="6px" bottom="1px" height="1px" background="edge">
        <Box
          as="span"
          position="absolute"
          left={`${Math.min(1, Math.max(0, share)) * 100}%`}
          top="-3px"
          width="2px"
          height="5px"
          ml="-1px"
          background="lichen"
        />
      </Box>
    </chakra.span>
  )
}

/** What is shown of a value: no more digits than its steps mean. */
function roundShown(value: number, { step }: { readonly step: number }): number {
  const digits = step >= 10 ? 0 : step >= 1 ? 1 : 3
  const rounded = Number(value.toFixed(digits))
  return step >= 1 && Math.abs(rounded - Math.round(value)) < 0.06 ? Math.round(value) : rounded
}
