// A colour picked by eye: chroma and lightness on a plane, hue and alpha beside it, each by keyboard as well; written as hex or OKLCH.
import { Box, Flex, chakra } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import { greatestChroma, held, isShown, readPicked, writeHex, writeOklch, type Picked } from '../../core/curve/picked-colour'
import { contrastOf, over, readColour } from '../../core/curve/seen-colour'
import { Button } from '../theme/controls'

interface ColourPickerProps {
  readonly label: string
  readonly value: string
  /** What it stands on, as a CSS colour; empty where that is not known. */
  readonly ground: string
  readonly onValue: (css: string) => void
}

const plane = { width: 246, height: 116 } as const
/** The plane is drawn at a quarter of its points, which is as fine as it is seen. */
const drawn = { width: 82, height: 39 } as const

/** What is picked where the value is none that can be read, such as a custom property of the page. */
const fallback: Picked = { lightness: 0.6, chroma: 0.12, hue: 150, alpha: 1 }

export function ColourPicker({ label, value, ground, onValue }: ColourPickerProps) {
  const [hue, setHue] = useState(fallback.hue)
  const picked = readPicked(value, hue) ?? fallback
  const isOklch = /^oklch/i.test(value.trim())
  const write = (next: Picked, asOklch = isOklch) => onValue(asOklch ? writeOklch(next) : writeHex(next))
  const change = (to: Partial<Picked>) => {
    const next = { ...picked, ...to }
    setHue(next.hue)
    write(next)
  }
  const solid = writeHex({ ...picked, alpha: 1 })
  return (
    <Box role="group" aria-label={`${label}: picker`}>
      <Plane picked={picked} onPick={(lightness, chroma) => change({ lightness, chroma })} />
      <Slide
        words="Hue"
        value={picked.hue}
        greatest={360}
        step={1}
        told={`${Math.round(picked.hue)}°`}
        track={`linear-gradient(90deg in oklch longer hue, oklch(.7 .14 0), oklch(.7 .14 360))`}
        onValue={(next) => change({ hue: next })}
      />
      <Slide
        words="Chroma"
        value={picked.chroma}
        greatest={greatestChroma}
        step={0.005}
        told={picked.chroma.toFixed(3)}
        track={`linear-gradient(90deg in oklab, oklch(${picked.lightness} 0 ${picked.hue}), oklch(${picked.lightness} ${greatestChroma} ${picked.hue}))`}
        onValue={(chroma) => change({ chroma })}
      />
      <Slide
        words="Lightness"
        value={picked.lightness}
        greatest={1}
        step={0.01}
        told={`${Math.round(picked.lightness * 100)}%`}
        track={`linear-gradient(90deg in oklab, oklch(0 ${picked.chroma} ${picked.hue}), oklch(1 ${picked.chroma} ${picked.hue}))`}
        onValue={(lightness) => change({ lightness })}
      />
      <Slide
        words="Alpha"
        value={picked.alpha}
        greatest={1}
        step={0.01}
        told={`${Math.round(picked.alpha * 100)}%`}
        track={`linear-gradient(90deg, transparent, ${solid}), repeating-conic-gradient(#b9bdb6 0 25%, #fff 0 50%) 0 0 / 8px 8px`}
        onValue={(alpha) => change({ alpha })}
      />
      <Flex align="center" gap="4px" mt="6px">
        {[false, true].map((asOklch) => (
          <Button
            key={String(asOklch)}
            variant="quiet"
            minHeight="24px"
            fontSize="12.5px"
            px="6px"
            aria-pressed={isOklch === asOklch}
            onClick={() => write(picked, asOklch)}
          >
            {asOklch ? 'OKLCH' : 'Hex'}
          </Button>
        ))}
        <Box flex="1" textAlign="right" color="soft" role="status">
          {tellContrast(value, ground)}
        </Box>
      </Flex>
      {!isShown(picked) && (
        <Box color="soft" mt="2px">
          More colourful than sRGB: screens show {writeHex(held(picked))} instead.
        </Box>
      )}
    </Box>
  )
}

/** How a colour stands out from what it is on, in words; empty where one of them is not known. */
export function tellContrast(value: string, ground: string): string {
  const [colour, under] = [readColour(value), readColour(ground)]
  if (!colour || !under || under[3] === 0) return ''
  const base = over(under, [1, 1, 1, 1])
  return `On its ground: contrast ${contrastOf(over(colour, base), base).toFixed(1)}`
}

/** Chroma across, lightness up, at one hue; what screens do not show is hatched. */
function Plane({ picked, onPick }: { readonly picked: Picked; readonly onPick: (lightness: number, chroma: number) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const isHeld = useRef(false)
  const hue = Math.round(picked.hue)
  useEffect(() => {
    const context = canvas.current?.getContext('2d')
    if (!context) return
    context.clearRect(0, 0, drawn.width, drawn.height)
    for (let y = 0; y < drawn.height; y++)
      for (let x = 0; x < drawn.width; x++) {
        const point = { lightness: 1 - y / (drawn.height - 1), chroma: (x / (drawn.width - 1)) * greatestChroma, hue, alpha: 1 }
        const isSeen = isShown(point)
        if (!isSeen && (x + y) % 4 > 0) continue
        context.fillStyle = isSeen ? writeHex(point) : '#8a908888'
        context.fillRect(x, y, 1, 1)
      }
  }, [hue])
  const pick = (event: React.PointerEvent<HTMLElement>) => {
    const { left, top, width, height } = event.currentTarget.getBoundingClientRect()
    const share = (at: number, from: number, length: number) => Math.min(1, Math.max(0, (at - from) / length))
    onPick(1 - share(event.clientY, top, height), share(event.clientX, left, width) * greatestChroma)
  }
  return (
    <Box
      aria-hidden="true"
      position="relative"
      width={`${plane.width}px`}
      height={`${plane.height}px`}
      mb="8px"
      border="1px solid"
      borderColor="edge"
      borderRadius="3px"
      overflow="hidden"
      cursor="crosshair"
      touchAction="none"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        isHeld.current = true
        pick(event)
      }}
      onPointerMove={(event) => isHeld.current && pick(event)}
      onPointerUp={() => (isHeld.current = false)}
    >
      <canvas ref={canvas} width={drawn.width} height={drawn.height} style={{ width: '100%', height: '100%', display: 'block' }} />
      <Box
        position="absolute"
        width="13px"
        height="13px"
        borderRadius="7px"
        border="2px solid #fff"
        outline="1px solid #000"
        pointerEvents="none"
        style={{
          left: `calc(${(picked.chroma / greatestChroma) * 100}% - 6px)`,
          top: `calc(${(1 - picked.lightness) * 100}% - 6px)`,
          background: writeHex({ ...picked, alpha: 1 }),
        }}
      />
    </Box>
  )
}

interface SlideProps {
  readonly words: string
  readonly value: number
  readonly greatest: number
  readonly step: number
  /** The value in words. */
  readonly told: string
  readonly track: string
  readonly onValue: (value: number) => void
}

function Slide({ words, value, greatest, step, told, track, onValue }: SlideProps) {
  return (
    <chakra.label display="grid" gridTemplateColumns="64px 1fr 44px" alignItems="center" gap="8px" minHeight="24px">
      <Box as="span" color="soft">
        {words}
      </Box>
      <chakra.input
        type="range"
        min={0}
        max={greatest}
        step={step}
        value={value}
        aria-valuetext={told}
        onChange={({ currentTarget }) => onValue(Number(currentTarget.value))}
        onKeyDown={(event) => event.stopPropagation()}
        appearance="none"
        width="100%"
        height="24px"
        background="transparent"
        cursor="pointer"
        style={{ '--track': track } as React.CSSProperties}
        css={{
          '&::-webkit-slider-runnable-track': { height: '10px', borderRadius: '5px', background: 'var(--track)', boxShadow: 'inset 0 0 0 1px var(--gm-edge)' }, // prettier-ignore
          '&::-moz-range-track': { height: '10px', borderRadius: '5px', background: 'var(--track)' },
          '&::-webkit-slider-thumb': { appearance: 'none', width: '14px', height: '14px', marginTop: '-2px', borderRadius: '7px', background: 'var(--gm-sheet)', border: '2px solid var(--gm-ink)' }, // prettier-ignore
          '&::-moz-range-thumb': { width: '10px', height: '10px', borderRadius: '7px', background: 'var(--gm-sheet)', border: '2px solid var(--gm-ink)' }, // prettier-ignore
        }}
      />
      <Box as="span" textAlign="right" fontVariantNumeric="tabular-nums">
        {told}
      </Box>
    </chakra.label>
  )
}
