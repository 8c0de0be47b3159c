// The distance between two edges over the whole travel of the pointer, in one window or over three widths.
import { Box, Flex } from '@chakra-ui/react'
import { sides } from '../../core/rig/names'
import { ActionMenu } from '../caption/ActionMenu'
import { takeEdge, toggleMeasuring } from '../frame/holding'
import { useStudio, useView } from '../context'
import { DrawingFrame } from '../drawing/DrawingFrame'
import { levelAt, LineChart, type Line } from '../drawing/LineChart'
import type { Measuring } from '../store/pointer-mode'
import { Button } from '../theme/controls'
import { threeWindows, visitor } from '../visitor'

const short = (value: number) => `${Number(value.toFixed(Math.abs(value) < 10 ? 1 : 0))}`.replace('-', '\u2212')

/** The widest distance and the deepest overlap among these, in words. */
function spanWords(values: readonly number[]): string {
  const known = values.filter(Number.isFinite)
  if (known.length === 0) return 'no distance that can be measured: one edge is upright, the other level'
  const [least, greatest] = [Math.min(...known), Math.max(...known)]
  if (greatest - least < 0.05) return `${short(greatest)}px all the way`
  return `${short(least)} to ${short(greatest)}px`
}

export function DistanceDrawing({ measuring }: { readonly measuring: Measuring }) {
  const studio = useStudio()
  const { windows } = useView('windows')
  const { edges, measures } = measuring
  const [first] = measures
  const lines: Line[] = measures.flatMap(({ across, down }, i): Line[] => {
    const line = (values: readonly number[], dashed: boolean): Line => ({
      points: values.map((y, at) => ({ x: (at / Math.max(1, values.length - 1)) * 100, y })).filter(({ y }) => Number.isFinite(y)),
      colour: (['madder', 'lichen', 'violet'] as const)[i % 3] ?? 'ink',
      dashed,
    })
    return [line(across, false), line(down, true)]
  })
  const all = lines.flatMap(({ points }) => points.map(({ y }) => y))
  const [least, greatest] = [Math.min(-1, ...all), Math.max(1, ...all)]
  const over = () => {
    studio.view.update({ windows: windows.length === 1 ? threeWindows : [visitor] })
  }
  return (
    <DrawingFrame title="Distance" words={first ? spanWords([...first.across, ...first.down]) : ''}>
      {!first ? (
        <Flex flex="1" align="center" color="soft" fontSize="14px">
          {edges.length === 0
            ? 'Click the first of two edges that should meet.'
            : edges.length === 1
              ? 'Now the edge that it should meet.'
              : 'Measuring over the whole travel …'}
        </Flex>
      ) : (
        <>
          <LineChart
            label={`The distance over the travel: ${measures.map(({ width, across, down }) => `at ${width}px ${spanWords([...across, ...down])}`).join('; ')}`}
            lines={lines}
            across={[0, 100]}
            down={[least * 1.15, greatest * 1.15]}
            marks={levelAt(0)}
            present={({ sample }) => ({
              point: sample?.place ? { x: (sample.place.x + 1) * 50, y: valueAt(first.across, (sample.place.x + 1) / 2) } : null,
              moves: false,
            })}
          />
          {measures.length > 1 && (
            <Box fontSize="12px" color="soft">
              {measures.map(({ width, across, down }) => `${width}: ${spanWords([...across, ...down])}`).join(' · ')}
            </Box>
          )}
        </>
      )}
      <Flex gap="6px" flex="none">
        {edges.length < 2 && <EdgeMenu />}
        {edges.length > 0 && (
          <Button
            variant="quiet"
            minHeight="24px"
            fontSize="13px"
            onClick={() => {
              toggleMeasuring(studio)
              toggleMeasuring(studio)
            }}
          >
            Other edges
          </Button>
        )}
        {first && (
          <Button variant="quiet" minHeight="24px" fontSize="13px" onClick={over}>
            {windows.length === 1 ? 'Over three widths' : 'In one window'}
          </Button>
        )}
        <Button variant="quiet" minHeight="24px" fontSize="13px" onClick={() => toggleMeasuring(studio)}>
          Done
        </Button>
      </Flex>
    </DrawingFrame>
  )
}

/** How many matches of an effect are offered by name. */
const mostNamed = 6

/** Edges by name: those of the effect's first matches, for whoever has no pointer to click them with. */
function EdgeMenu() {
  const studio = useStudio()
  const { matches } = useView('matches')
  const named = matches?.all.slice(0, mostNamed) ?? []
  if (named.length === 0) return null
  return (
    <ActionMenu
      label="An edge by its name"
      options={named.flatMap(({ words }, i) =>
        sides.map((side) => ({ value: `${i}:${side}`, words: `${side} edge of ${i + 1}${words ? `, ${words.slice(0, 24)}` : ''}` })),
      )}
      onChoose={(value) => {
        const [index, name] = value.split(':')
        const match = named[Number(index)]
        const side = sides.find((each) => each === name)
        if (match && side) takeEdge(studio, { number: match.number, side })
      }}
    >
      By name
    </ActionMenu>
  )
}

/** The value between two of even places. */
function valueAt(values: readonly number[], share: number): number {
  const at = share * (values.length - 1)
  const [one, other] = [values[Math.floor(at)] ?? 0, values[Math.ceil(at)] ?? 0]
  return one + (other - one) * (at - Math.floor(at))
}
