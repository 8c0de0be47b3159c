// A recipe's living sample: a small card that answers the built-in walk, by the same core as the page.
import { Box } from '@chakra-ui/react'
import { useEffect, useMemo, useRef } from 'react'
import type { AnyKind } from '../../core/effect/kinds'
import { pointAt } from '../../core/geometry/place'
import { rehearse } from '../../core/rig/evaluate'
import { transformOf } from '../../core/rig/values'
import { placeOnWalk } from '../../core/trace/walk'

const size = { width: 58, height: 76 } as const
const box = { x: 0, y: 0, ...size }
const restingMs = 900

interface RecipeSampleProps {
  readonly kind: AnyKind
  readonly settings: unknown
  readonly moving: boolean
}

export function RecipeSample({ kind, settings, moving }: RecipeSampleProps) {
  const card = useRef<HTMLDivElement>(null)
  const rig = useMemo(() => shrinkLengths(kind.expand(settings, '.sample')), [kind, settings])
  useEffect(() => {
    const rehearsal = rehearse(rig, { window: size, elements: { '.sample': [box] } })
    const show = (ms: number) => {
      const { x, y } = pointAt(box, placeOnWalk(ms))
      rehearsal.hear({ t: ms, x, y, buttons: 0, pointerType: 'mouse', phase: 'move' })
      if (card.current) card.current.style.transform = transformOf(rig, rehearsal.valuesAt(ms))
    }
    // At rest it is shown as it leans, a moment after the pointer came.
    show(0)
    for (let ms = 0; ms <= restingMs; ms += 20) show(ms)
    if (!moving || matchMedia('(prefers-reduced-motion: reduce)').matches) return
    const begun = performance.now() - restingMs
    let handle = requestAnimationFrame(function step(now) {
      show(Math.max(restingMs, now - begun))
      handle = requestAnimationFrame(step)
    })
    return () => cancelAnimationFrame(handle)
  }, [rig, moving])
  return (
    <Box ref={card} aria-hidden="true" width={`${size.width}px`} height={`${size.height}px`} justifySelf="center" background="sheet" border="1px solid" borderColor="edge" borderRadius="3px" padding="7px">
      <Box height="34px" background="hairline" borderRadius="2px" />
      <Box height="3px" width="72%" background="ink" mt="8px" />
      <Box height="2px" width="90%" background="edge" mt="5px" />
    </Box>
  )
}

/** The same rig for a card a quarter as large, leaning twice as far so that it can be seen. */
function shrinkLengths(rig: ReturnType<AnyKind['expand']>) {
  const scale = (unit: string) => (unit === 'px' ? 0.3 : unit === 'deg' ? 2 : 1)
  return { ...rig, knobs: rig.knobs.map((knob) => ({ ...knob, value: knob.value * scale(knob.unit) })) }
}
