// The answer to a flick: how a value follows when the pointer jumps, with the time to settle and the way past the mark.
import { Box, Flex } from '@chakra-ui/react'
import { CategoryScale, Chart, Filler, LinearScale, LineController, LineElement, PointElement, type Plugin } from 'chart.js'
import { useEffect, useRef } from 'react'
import { springGap, type Spring } from '../../core/feel/spring'
import { answerOf, settleBand } from '../../core/feel/spring-answer'

Chart.register(LineController, LineElement, PointElement, LinearScale, CategoryScale, Filler)

const points = 120

/** What a drawing of this spring shows: the time it covers (ms) and the way followed at even moments, 0..1 and beyond. */
function draw(spring: Spring) {
  const { settleMs, overshoot } = answerOf(spring)
  const untilMs = niceSpan(settleMs * 1.45)
  const way = Array.from({ length: points + 1 }, (_, i) => ({ x: (i / points) * untilMs, y: 1 + springGap(spring, -1, 0, (i / points) * untilMs) }))
  return { settleMs, overshoot, untilMs, way }
}

function niceSpan(ms: number): number {
  const steps = [200, 400, 600, 1000, 1500, 2000, 3000, 4000, 6000]
  return steps.find((step) => step >= ms) ?? 8000
}

/** The mark, its 2 % band and the moment of settling, drawn under the line. */
function marks(settleMs: () => number): Plugin<'line'> {
  return {
    id: 'marks',
    beforeDatasetsDraw: ({ ctx, chartArea, scales }) => {
      const x = scales.x?.getPixelForValue(settleMs()) ?? 0
      const [low, mark, high] = [1 - settleBand, 1, 1 + settleBand].map((value) => scales.y?.getPixelForValue(value) ?? 0) as [number, number, number]
      ctx.save()
      ctx.fillStyle = colour('--gm-press')
      ctx.fillRect(chartArea.left, high, chartArea.width, low - high)
      ctx.strokeStyle = colour('--gm-edge')
      ctx.beginPath()
      ctx.moveTo(chartArea.left, mark)
      ctx.lineTo(chartArea.right, mark)
      ctx.stroke()
      ctx.setLineDash([3, 3])
      ctx.beginPath()
      ctx.moveTo(x, chartArea.top)
      ctx.lineTo(x, chartArea.bottom)
      ctx.stroke()
      ctx.restore()
    },
  }
}

const colour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()

export function FlickDrawing({ title, spring }: { readonly title: string; readonly spring: Spring }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const chart = useRef<Chart<'line'> | null>(null)
  const settle = useRef(0)
  const { settleMs, overshoot, untilMs, way } = draw(spring)

  useEffect(() => {
    if (!canvas.current) return
    const made = new Chart(canvas.current, {
      type: 'line',
      data: { datasets: [{ data: [], borderWidth: 2, pointRadius: 0, parsing: false }] },
      options: {
        animation: false, responsive: true, maintainAspectRatio: false, events: [], layout: { padding: { top: 2, right: 4 } },
        scales: {
          x: { type: 'linear', min: 0, border: { display: false }, grid: { display: false }, ticks: { maxTicksLimit: 5, font: { family: 'Commissioner Variable', size: 12 }, callback: (value) => `${value}` } },
          y: { min: 0, display: false },
        },
      },
      plugins: [marks(() => settle.current)],
    })
    chart.current = made
    return () => {
      made.destroy()
      chart.current = null
    }
  }, [])

  useEffect(() => {
    const made = chart.current
    const dataset = made?.data.datasets[0]
    if (!made || !dataset) return
    settle.current = settleMs
    dataset.data = way
    dataset.borderColor = colour('--gm-madder')
    const { x, y } = made.options.scales ?? {}
    if (x) x.max = untilMs
    if (y) y.max = Math.max(1.08, 1 + overshoot * 1.15)
    if (x?.ticks) x.ticks.color = colour('--gm-soft')
    made.update('none')
  })

  const past = overshoot > 0.0005 ? `${(overshoot * 100).toFixed(overshoot < 0.1 ? 1 : 0).replace(/\.0$/, '')} % past the mark` : 'never past the mark'
  return (
    <Flex direction="column" height="100%">
      <Flex justify="space-between" fontSize="13px" color="soft" gap="10px">
        <Box as="h2" fontWeight="600" color="ink" fontSize="14px" whiteSpace="nowrap">{title}</Box>
        <Box whiteSpace="nowrap">settles in {Math.round(settleMs)} ms, {past}</Box>
      </Flex>
      <Box flex="1" minHeight="0" position="relative" role="img" aria-label={`${title}: settles in ${Math.round(settleMs)} milliseconds, ${past}.`}>
        <canvas ref={canvas} />
      </Box>
    </Flex>
  )
}
