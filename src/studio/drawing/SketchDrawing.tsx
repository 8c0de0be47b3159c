// A drawing that a kind tells as data.
import type { Ink, Mark, Sketch } from '../../core/effect/sketch'
import { DrawingFrame } from './DrawingFrame'

const inks: Readonly<Record<Ink, string>> = {
  ink: 'var(--gm-ink)',
  soft: 'var(--gm-soft)',
  violet: 'var(--gm-violet)',
  madder: 'var(--gm-madder)',
}

export function SketchDrawing({ sketch: { title, note, words, marks } }: { readonly sketch: Sketch }) {
  return (
    <DrawingFrame title={title} words={note}>
      <svg viewBox="0 0 308 126" role="img" aria-label={words} style={{ flex: 1, minHeight: 0, width: '100%' }}>
        {marks.map((mark, i) => (
          <MarkShape key={i} mark={mark} />
        ))}
      </svg>
    </DrawingFrame>
  )
}

function MarkShape({ mark }: { readonly mark: Mark }) {
  switch (mark.draw) {
    case 'line':
      return (
        <path
          d={`M${mark.from.x} ${mark.from.y}L${mark.to.x} ${mark.to.y}`}
          stroke={inks[mark.ink]}
          strokeWidth={mark.how === 'thick' ? 4 : 1.5}
          strokeLinecap={mark.how === 'thick' ? 'round' : undefined}
          strokeDasharray={mark.how === 'dashed' ? '4 4' : undefined}
        />
      )
    case 'arrow':
      return <path d={arrowPath(mark)} fill="none" stroke={inks[mark.ink]} strokeWidth="1.6" strokeLinecap="round" strokeLinejoin="round" />
    case 'dot':
      return <circle cx={mark.at.x} cy={mark.at.y} r="3" fill="var(--gm-sheet)" stroke="var(--gm-ink)" strokeWidth="1.5" />
    case 'eye':
      return (
        <g transform={`translate(${mark.at.x} ${mark.at.y})`}>
          <path d="M-7 0q7-7 14 0q-7 6-14 0Z" fill="none" stroke="var(--gm-soft)" strokeWidth="1.3" />
          <circle r="2" fill="var(--gm-soft)" />
        </g>
      )
  }
}

/** A line whose end has two barbs. */
function arrowPath({ from, to }: Extract<Mark, { draw: 'arrow' }>): string {
  const direction = Math.atan2(to.y - from.y, to.x - from.x)
  const barb = (turn: number) => `${to.x - 6.4 * Math.cos(direction + turn)} ${to.y - 6.4 * Math.sin(direction + turn)}`
  return `M${from.x} ${from.y}L${to.x} ${to.y}M${barb(-0.67)}L${to.x} ${to.y}L${barb(0.67)}`
}
