// The thread at the foot: the pointer's last twelve seconds, drawn on a canvas as they come. No React on a move.
import { Box, Grid } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import { findKind } from '../../core/effect/kinds'
import { answerOf } from '../../core/feel/spring-answer'
import { useSelected, useStudio } from '../context'
import { drawThread, sayPresent } from './draw-thread'
import type { Times } from './phases'

export function Thread() {
  const { thread } = useStudio()
  const selected = useSelected()
  const times = useRef<Times>({ followMs: 0, backMs: 0 })
  useEffect(() => {
    const kind = selected && findKind(selected.effect.kind)
    if (!selected || !kind) return
    const springs = kind.springs(selected.effect.settings)
    times.current = springs ? { followMs: answerOf(springs.follow).settleMs, backMs: answerOf(springs.back).settleMs } : { followMs: 0, backMs: 0 }
  }, [selected])
  const canvas = useRef<HTMLCanvasElement>(null)
  const words = useRef<HTMLDivElement>(null)
  useEffect(() => {
    let handle = 0
    const frame = () => {
      handle = 0
      const now = performance.now()
      const surface = canvas.current
      if (!surface) return
      const isMoving = drawThread(surface, thread.samples, now, times.current)
      if (words.current) words.current.textContent = sayPresent(thread.samples, now, times.current)
      if (isMoving) handle = requestAnimationFrame(frame)
    }
    const wake = () => {
      handle ||= requestAnimationFrame(frame)
    }
    const stop = thread.watch(wake)
    addEventListener('resize', wake)
    wake()
    return () => {
      stop()
      removeEventListener('resize', wake)
      cancelAnimationFrame(handle)
    }
  }, [thread])
  return (
    <Grid as="footer" aria-label="The pointer's thread" templateColumns="minmax(0, 1fr) 296px" borderTop="1px solid" borderColor="edge" background="ground" alignItems="stretch">
      <Box position="relative" minHeight="0">
        <canvas ref={canvas} role="img" aria-label="How the pointer went across and down over the last twelve seconds" style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }} />
      </Box>
      <Box ref={words} px="14px" fontSize="13px" lineHeight="39px" borderLeft="1px solid" borderColor="hairline" whiteSpace="nowrap" />
    </Grid>
  )
}
