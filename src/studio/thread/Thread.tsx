// The thread at the foot: the pointer's last twelve seconds, drawn on a canvas as they come; dragged along, the stand-in pointer goes through it
// again, and a stretch can be kept as a trace. No React on a move.
import { Box, Flex, Grid } from '@chakra-ui/react'
import { Route } from 'lucide-react'
import { useCallback, useEffect, useRef, useState, type RefObject } from 'react'
import { expandEffect, findKind } from '../../core/effect/kinds'
import type { Sample } from '../../core/signal/sample'
import { runNames, runs, type RunName } from '../../core/trace/runs'
import type { ThreadSample } from '../../stage/protocol'
import { ActionMenu } from '../caption/ActionMenu'
import { useSelected, useSite, useStudio } from '../context'
import { threadMs } from '../store/thread-store'
import { Button } from '../theme/controls'
import { keepStretch, playRun, playTrace } from './commands'
import { drawThread, sayCost, sayPresent } from './draw-thread'
import { timesOf, type Times } from './phases'

/** A shorter stretch than this is none, ms. */
const leastMs = 60

export function Thread() {
  const studio = useStudio()
  const { thread, link } = studio
  const selected = useSelected()
  const times = useRef<Times>({ followMs: 0, backMs: 0 })
  const [stretch, setStretch] = useState<readonly [number, number] | null>(null)
  const shown = useRef<readonly [number, number] | null>(null)
  const canvas = useRef<HTMLCanvasElement>(null)
  const words = useRef<HTMLDivElement>(null)
  const costs = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const kind = selected && findKind(selected.effect.kind)
    if (!selected || !kind) return
    times.current = timesOf(kind.feels(selected.effect.settings), expandEffect(selected.effect).areas)
  }, [selected])
  useThreadDrawing(canvas, words, times, shown)
  useEffect(
    () => link.listen((message) => void (message.type === 'cost' && costs.current && (costs.current.textContent = sayCost(message.cost)))),
    [link],
  )

  const show = useCallback(
    (next: readonly [number, number] | null) => {
      shown.current = next
      setStretch(next)
      thread.stand(next !== null)
    },
    [thread],
  )
  const timeAt = (clientX: number) => {
    const box = canvas.current?.getBoundingClientRect()
    const { at } = thread.stood() ?? { at: performance.now() }
    return box ? at - threadMs * (1 - Math.min(1, Math.max(0, (clientX - box.left) / box.width))) : at
  }
  /** Puts the stand-in pointer where the pointer was at a moment. */
  const standAt = (t: number) => {
    const { samples } = thread.stood() ?? { samples: [] }
    const sample = samples.findLast((each) => each.t <= t) ?? samples[0]
    if (sample) link.say(sample.phase === 'away' ? { type: 'leave', to: 'away' } : { type: 'stand', x: sample.x, y: sample.y })
  }
  const step = (by: number, isWhole: boolean) => {
    if (!thread.stood()) thread.stand(true)
    const { at } = thread.stood() ?? { at: performance.now() }
    const [from, to] = shown.current ?? [at, at]
    const next = Math.min(at, Math.max(at - threadMs, to + by))
    show([isWhole ? from : next, next])
    standAt(next)
  }
  const isStretch = stretch !== null && Math.abs(stretch[1] - stretch[0]) >= leastMs
  return (
    <Grid
      as="footer"
      aria-label="The pointer's thread"
      templateColumns="minmax(0, 1fr) auto 296px"
      borderTop="1px solid"
      borderColor="edge"
      background="ground"
      alignItems="stretch"
    >
      <Box
        position="relative"
        minHeight="0"
        role="slider"
        tabIndex={0}
        aria-label="The pointer’s last twelve seconds"
        aria-valuemin={-threadMs / 1000}
        aria-valuemax={0}
        aria-valuenow={stretch ? (stretch[1] - (thread.stood()?.at ?? stretch[1])) / 1000 : 0}
        aria-valuetext={stretch ? `${(((thread.stood()?.at ?? stretch[1]) - stretch[1]) / 1000).toFixed(1)} s ago` : 'now'}
        title="Drag along it, and the stand-in pointer plays it again"
        cursor="ew-resize"
        touchAction="none"
        _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '-2px' }}
        onPointerDown={(event) => {
          if (thread.samples.length === 0 || event.button !== 0) return
          event.currentTarget.setPointerCapture(event.pointerId)
          thread.stand(true)
          const t = timeAt(event.clientX)
          show([t, t])
          standAt(t)
        }}
        onPointerMove={(event) => {
          if (!event.currentTarget.hasPointerCapture(event.pointerId) || !shown.current) return
          const t = timeAt(event.clientX)
          // The canvas alone while dragging; the buttons come when it is let go.
          shown.current = [shown.current[0], t]
          thread.stand(true)
          standAt(t)
        }}
        onPointerUp={() => shown.current && show(Math.abs(shown.current[1] - shown.current[0]) < leastMs ? null : shown.current)}
        onKeyDown={(event) => {
          const by = event.key === 'ArrowLeft' ? -100 : event.key === 'ArrowRight' ? 100 : 0
          if (event.key === 'Escape') return show(null)
          if (by === 0) return
          event.preventDefault()
          event.stopPropagation()
          step(by * (event.altKey ? 0.1 : 1), event.shiftKey)
        }}
      >
        <canvas
          ref={canvas}
          aria-hidden="true"
          style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}
        />
      </Box>
      <Flex align="center" gap="3px" px="6px" borderLeft="1px solid" borderColor="hairline">
        {stretch && isStretch && <StretchActions stretch={stretch} onDone={() => show(null)} />}
        <RunMenu />
      </Flex>
      <Flex
        direction="column"
        justify="center"
        px="14px"
        fontSize="13px"
        lineHeight="17px"
        borderLeft="1px solid"
        borderColor="hairline"
        whiteSpace="nowrap"
      >
        <Box ref={words} />
        <Box
          ref={costs}
          color="soft"
          fontSize="12.5px"
          title="What a move of the pointer costs at most: boxes that are measured, elements that are written on, and how much of the window they take up"
        />
      </Flex>
    </Grid>
  )
}

/** Draws the thread while something is new, and says the present moment in words. */
function useThreadDrawing(
  canvas: RefObject<HTMLCanvasElement | null>,
  words: RefObject<HTMLDivElement | null>,
  times: RefObject<Times>,
  shown: RefObject<readonly [number, number] | null>,
): void {
  const { thread } = useStudio()
  useEffect(() => {
    let handle = 0
    const frame = () => {
      handle = 0
      const surface = canvas.current
      if (!surface) return
      const stood = thread.stood()
      const now = stood?.at ?? performance.now()
      const isMoving = drawThread(surface, stood?.samples ?? thread.samples, now, times.current, shown.current ?? undefined)
      if (words.current) words.current.textContent = sayPresent(thread.samples, performance.now(), times.current, thread.zone())
      if (isMoving && !stood) handle = requestAnimationFrame(frame)
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
  }, [thread, canvas, words, times, shown])
}

interface StretchActionsProps {
  readonly stretch: readonly [number, number]
  readonly onDone: () => void
}

/** What can be done with a stretch of the thread. */
function StretchActions({ stretch, onDone }: StretchActionsProps) {
  const studio = useStudio()
  const samples = () => samplesIn(studio.thread.stood()?.samples ?? [], stretch)
  return (
    <>
      <Button variant="quiet" minHeight="26px" fontSize="13px" onClick={() => playTrace(studio, samples())}>
        Replay
      </Button>
      <Button
        variant="quiet"
        minHeight="26px"
        fontSize="13px"
        onClick={() => {
          keepStretch(studio, samples())
          onDone()
        }}
      >
        Keep it
      </Button>
      <Button variant="quiet" minHeight="26px" fontSize="13px" onClick={onDone}>
        Back to live
      </Button>
    </>
  )
}

/** The samples of a stretch, as a trace. */
function samplesIn(samples: readonly ThreadSample[], [one, other]: readonly [number, number]): readonly Sample[] {
  const [from, to] = [Math.min(one, other), Math.max(one, other)]
  let buttons = 0
  return samples
    .filter(({ t }) => t >= from && t <= to)
    .map(({ t, x, y, phase, turned, buttons: held = 0 }) => {
      const sample: Sample = {
        t,
        x,
        y,
        buttons: held,
        pointerType: 'mouse',
        phase: phase === 'away' ? 'leave' : held !== 0 && buttons === 0 ? 'down' : held === 0 && buttons !== 0 ? 'up' : 'move',
      }
      if (turned) return { ...sample, ...turned }
      buttons = held
      return sample
    })
}

/** The built-in runs, and the traces that were kept. */
function RunMenu() {
  const studio = useStudio()
  const { traces = [] } = useSite()
  const selected = useSelected()
  return (
    <ActionMenu
      label="Test paths and traces"
      options={[
        ...(selected ? runNames.map((name) => ({ value: `run:${name}`, words: runs[name].words })) : []),
        ...traces.map(({ id, name }) => ({ value: id, words: `${name} (kept)` })),
        { value: 'manage', words: 'traces: names, files in and out …' },
      ]}
      onChoose={(value) => {
        if (value === 'manage') return studio.view.update({ drawer: 'tries' })
        if (value.startsWith('run:')) return playRun(studio, value.slice(4) as RunName)
        const kept = traces.find(({ id }) => id === value)
        if (kept) playTrace(studio, kept)
      }}
    >
      <Route size={14} aria-hidden="true" /> Test paths
    </ActionMenu>
  )
}
