// A gradient with its stops: dragged along it, added by a press, coloured and removed beneath.
import { Box, Flex, chakra } from '@chakra-ui/react'
import { useRef, useState } from 'react'
import {
  addGradientStop,
  changeGradientStop,
  readGradient,
  removeGradientStop,
  writeGradient,
  type Gradient,
} from '../../core/curve/gradient'
import { ColourField, overChecks, swatch } from '../caption/ColourField'
import { newGesture } from '../store/site-store'
import { Button, Field } from '../theme/controls'
import { DrawingFrame } from './DrawingFrame'
import { usePresent } from './present'

interface GradientDrawingProps {
  readonly title: string
  readonly css: string
  readonly onChange: (css: string, gesture: string) => void
}

export function GradientDrawing({ title, css, onChange }: GradientDrawingProps) {
  const gradient = readGradient(css)
  return (
    <DrawingFrame title={title} words={gradient ? `${gradient.type}, ${gradient.stops.length} stops` : 'as it is written'}>
      {gradient ? (
        <Stops gradient={gradient} onChange={(next, gesture) => onChange(writeGradient(next), gesture)} />
      ) : (
        <Written css={css} onChange={onChange} />
      )}
    </DrawingFrame>
  )
}

function Stops({ gradient, onChange }: { readonly gradient: Gradient; readonly onChange: (gradient: Gradient, gesture: string) => void }) {
  const [picked, setPicked] = useState(0)
  const bar = useRef<HTMLDivElement>(null)
  const rider = useRef<HTMLDivElement>(null)
  const gesture = useRef('')
  const { stops } = gradient
  const at = Math.min(picked, stops.length - 1)
  const stop = stops[at]
  usePresent(({ sample }) => {
    if (!rider.current) return false
    rider.current.hidden = !sample?.place
    if (sample?.place) rider.current.style.left = `${((sample.place.x + 1) / 2) * 100}%`
    return false
  })
  const shareAt = (clientX: number) => {
    const box = bar.current?.getBoundingClientRect()
    return box ? Math.round(Math.min(100, Math.max(0, ((clientX - box.left) / box.width) * 100))) : 0
  }
  return (
    <Flex direction="column" gap="8px" pt="8px" px="8px" flex="1" minHeight="0">
      <Box
        ref={bar}
        position="relative"
        flex="1"
        minHeight="22px"
        borderRadius="3px"
        border="1px solid"
        borderColor="edge"
        cursor="copy"
        style={overChecks(`linear-gradient(90deg, ${stops.map(({ colour, at: place }) => `${colour} ${place}%`).join(', ')})`)}
        onPointerDown={(event) => {
          if (event.target !== event.currentTarget) return
          const added = addGradientStop(gradient, shareAt(event.clientX))
          onChange(added.gradient, newGesture())
          setPicked(added.at)
        }}
      >
        <Box
          ref={rider}
          hidden
          aria-hidden="true"
          position="absolute"
          top="-5px"
          bottom="-5px"
          width="2px"
          ml="-1px"
          background="madder"
          pointerEvents="none"
        />
        {stops.map((each, i) => (
          <chakra.span
            key={i}
            role="slider"
            tabIndex={0}
            aria-label={`Stop ${i + 1}`}
            aria-valuenow={Math.round(each.at)}
            aria-valuemin={0}
            aria-valuemax={100}
            aria-valuetext={`${Math.round(each.at)}%, ${each.colour}`}
            position="absolute"
            bottom="-9px"
            width="16px"
            height="16px"
            ml="-8px"
            borderRadius="8px"
            border="2px solid"
            borderColor={i === at ? 'ink' : 'sheet'}
            outline="1px solid"
            outlineColor="edge"
            cursor="ew-resize"
            touchAction="none"
            _focusVisible={{ boxShadow: '0 0 0 3px var(--gm-ink)' }}
            style={{ left: `${each.at}%`, ...swatch(each.colour) }}
            onFocus={() => setPicked(i)}
            onPointerDown={(event) => {
              event.stopPropagation()
              event.currentTarget.setPointerCapture(event.pointerId)
              gesture.current = newGesture()
              setPicked(i)
            }}
            onPointerMove={(event) =>
              event.currentTarget.hasPointerCapture(event.pointerId) &&
              onChange(changeGradientStop(gradient, i, { at: shareAt(event.clientX) }), gesture.current)
            }
            onKeyDown={(event) => {
              const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
              if (step !== 0) {
                event.preventDefault()
                onChange(changeGradientStop(gradient, i, { at: each.at + step * (event.shiftKey ? 10 : 1) }), newGesture())
              }
              if (event.key === 'Delete') onChange(removeGradientStop(gradient, i), newGesture())
            }}
          />
        ))}
      </Box>
      {stop && (
        <Flex gap="6px" align="center" pt="5px" fontSize="13px" color="soft" flex="none">
          <ColourField
            label={`Colour of stop ${at + 1}`}
            value={stop.colour}
            onValue={(colour, by) => onChange(changeGradientStop(gradient, at, { colour }), by)}
          />
          <Box whiteSpace="nowrap">at {Math.round(stop.at)}%</Box>
          {gradient.type !== 'radial' && <Shape key={gradient.shape} gradient={gradient} onChange={onChange} />}
          {stops.length > 2 && (
            <Button
              variant="quiet"
              minHeight="24px"
              px="5px"
              fontSize="13px"
              aria-label="Remove this stop"
              onClick={() => onChange(removeGradientStop(gradient, at), newGesture())}
            >
              ×
            </Button>
          )}
        </Flex>
      )}
    </Flex>
  )
}

/** The angle or corner of a gradient. */
function Shape({ gradient, onChange }: { readonly gradient: Gradient; readonly onChange: (gradient: Gradient, gesture: string) => void }) {
  const [typed, setTyped] = useState(gradient.shape)
  const take = () => {
    const next = { ...gradient, shape: typed.trim() }
    if (CSS.supports('background-image', writeGradient(next))) onChange(next, newGesture())
    else setTyped(gradient.shape)
  }
  return (
    <Field
      aria-label="Angle or corner"
      placeholder="180deg"
      width="84px"
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

/** A gradient that has more in it than stops: as text. */
function Written({ css, onChange }: { readonly css: string; readonly onChange: (css: string, gesture: string) => void }) {
  return (
    <Box
      as="pre"
      flex="1"
      minHeight="0"
      overflow="auto"
      whiteSpace="pre-wrap"
      fontFamily="mono"
      fontSize="12px"
      m="0"
      mt="6px"
      tabIndex={0}
    >
      {css}
      <Button
        mt="6px"
        fontSize="13px"
        minHeight="25px"
        onClick={() => onChange('linear-gradient(90deg, #ffffff 0%, #00000000 100%)', newGesture())}
      >
        Begin with two stops
      </Button>
    </Box>
  )
}
