// Two states of an effect under one trace, side by side: on the page, as lines, and in the numbers that differ.
import { Box, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { expandEffect } from '../../core/effect/kinds'
import { type Boxes } from '../../core/rig/evaluate'
import { touchedBy } from '../../core/rig/resolve'
import type { Effect } from '../../core/site/site'
import { withBindings } from '../../core/site/bindings'
import { readTrace } from '../../core/trace/csv'
import type { TraceAnswer, TraceNumbers } from '../../core/trace/compare'
import { makeRun, runNames, runs, type RunName } from '../../core/trace/runs'
import { WordMenu } from '../caption/ChoiceWord'
import { notify } from '../commands'
import { useSite, useStudio, useView } from '../context'
import { LineChart, type Line } from '../drawing/LineChart'
import { letGo } from '../frame/holding'
import { presentTry, type Comparison } from '../store/view-store'
import { Button } from '../theme/controls'
import { runSamples } from '../thread/commands'

interface Answers {
  readonly of: string
  readonly one: TraceAnswer
  readonly other: TraceAnswer
  readonly trace: readonly { readonly t: number }[]
}

const rows: readonly { readonly key: keyof TraceNumbers; readonly words: string; readonly tell: (value: number) => string }[] = [
  { key: 'settleMs', words: 'settles after', tell: (value) => `${Math.round(value)}ms` },
  { key: 'overshoot', words: 'overshoot', tell: (value) => `${(value * 100).toFixed(1)}%` },
  { key: 'greatestLag', words: 'greatest lag', tell: (value) => `${(value * 100).toFixed(0)}% of the way` },
  { key: 'jumps', words: 'jumps', tell: String },
  { key: 'leftovers', words: 'not back at rest', tell: (value) => (value === 0 ? 'nothing' : `${value} values`) },
]

export function ComparePart({ effect }: { readonly effect: Effect }) {
  const studio = useStudio()
  const site = useSite()
  const { comparison } = useView('comparison')
  const [answers, setAnswers] = useState<Answers | null>(null)
  const tries = effect.tries ?? []
  const [first] = tries
  const [choice, setChoice] = useState<Comparison>({ one: first?.id ?? presentTry, other: presentTry, trace: 'run:still' })
  const states = [{ value: presentTry, words: 'as it is now' }, ...tries.map(({ id, name }) => ({ value: id, words: name, isName: true }))]
  const traces = [
    ...runNames.map((name) => ({ value: `run:${name}`, words: runs[name].words })),
    ...(site.traces ?? []).map(({ id, name }) => ({ value: id, words: name, isName: true })),
  ]
  const wordsOf = (options: readonly { value: string; words: string }[], value: string) =>
    options.find((each) => each.value === value)?.words ?? 'gone'
  const settingsOf = (id: string) =>
    tries.find((each) => each.id === id)?.settings ??
    withBindings(site).effects.find((each) => each.id === effect.id)?.settings ??
    effect.settings
  const key = JSON.stringify([choice, settingsOf(choice.one), settingsOf(choice.other)])
  const isSide = comparison !== null && comparison.one !== comparison.other

  const compare = async () => {
    const [one, other] = [choice.one, choice.other].map((id) => expandEffect({ ...effect, settings: settingsOf(id) }))
    if (!one || !other) return
    const boxes: Boxes = await studio.link.ask({
      type: 'boxes',
      selects: [...new Set([effect.select, ...touchedBy(one).read, ...touchedBy(other).read])],
    })
    const box = boxes.elements[effect.select]?.find(({ y, height }) => y + height > 0 && y < boxes.window.height)
    const kept = site.traces?.find(({ id }) => id === choice.trace)
    if (!box) return notify(studio, 'Nothing that this effect means is in sight; scroll to it first.')
    const trace = kept ? readTrace(kept.csv) : makeRun(choice.trace.slice(4) as RunName, box, boxes.window)
    const [a, b] = await Promise.all([one, other].map((rig) => studio.search.ask({ ask: 'trace', rig, trace, boxes })))
    if (a && b) setAnswers({ of: key, one: a, other: b, trace })
    // Side by side on the page, under the same trace.
    studio.view.update({ comparison: { ...choice, run: runSamples(trace) } })
    letGo(studio)
  }
  const shown = answers?.of === key ? answers : null
  return (
    <Box as="section" aria-label="Compare">
      <Box as="h3" fontWeight="600" mb="4px">
        Compare
      </Box>
      <Flex gap="6px" wrap="wrap" align="center">
        <WordMenu
          label="The one"
          words={wordsOf(states, choice.one)}
          options={states.map((each) => ({ ...each, isCurrent: each.value === choice.one }))}
          onTouch={() => undefined}
          onChange={(one) => setChoice({ ...choice, one })}
        />
        <Box>beside</Box>
        <WordMenu
          label="The other"
          words={wordsOf(states, choice.other)}
          options={states.map((each) => ({ ...each, isCurrent: each.value === choice.other }))}
          onTouch={() => undefined}
          onChange={(other) => setChoice({ ...choice, other })}
        />
        <Box>under</Box>
        <WordMenu
          label="The trace"
          words={wordsOf(traces, choice.trace)}
          options={traces.map((each) => ({ ...each, isCurrent: each.value === choice.trace }))}
          onTouch={() => undefined}
          onChange={(trace) => setChoice({ ...choice, trace })}
        />
      </Flex>
      <Flex gap="6px" mt="7px">
        <Button
          variant="act"
          minHeight="27px"
          fontSize="13px"
          disabled={choice.one === choice.other}
          onClick={() =>
            void compare().catch((error: unknown) =>
              notify(studio, error instanceof Error ? error.message : 'This could not be worked out.'),
            )
          }
        >
          Compare
        </Button>
        {isSide && (
          <Button minHeight="27px" fontSize="13px" onClick={() => studio.view.update({ comparison: null })}>
            One page again
          </Button>
        )}
      </Flex>
      {shown && <Result answers={shown} one={wordsOf(states, choice.one)} other={wordsOf(states, choice.other)} />}
    </Box>
  )
}

interface ResultProps {
  readonly answers: Answers
  /** What the two are called. */
  readonly one: string
  readonly other: string
}

/** How two states go under the same trace, and their numbers side by side. */
function Result({ answers, one, other }: ResultProps) {
  const numbers = [answers.one.numbers, answers.other.numbers] as const
  const differs = ({ key, tell }: (typeof rows)[number]) => tell(numbers[0][key]) !== tell(numbers[1][key])
  const lastAt = lastShown(answers)
  const beyond = 0.1 + Math.max(...numbers.map(({ overshoot }) => overshoot))
  const farthest = farthestLine(answers)
  return (
    <>
      <Box height="120px" mt="8px" display="flex">
        <LineChart
          label={`How the value goes that differs most, ${one} beside ${other}`}
          across={[0, lastAt]}
          down={[-beyond, 1 + beyond]}
          lines={[...linesOf(answers.one, farthest, lastAt, 'madder'), ...linesOf(answers.other, farthest, lastAt, 'violet')]}
        />
      </Box>
      <Grid role="table" aria-label="The numbers of both" templateColumns="1.2fr 1fr 1fr" fontSize="13px" rowGap="2px" mt="5px">
        <Box role="row" display="contents">
          <Box role="columnheader" color="soft">
            Result
          </Box>
          <Box role="columnheader" fontWeight="600" color="madder" truncate>
            {one}
          </Box>
          <Box role="columnheader" fontWeight="600" color="violet" truncate>
            {other}
          </Box>
        </Box>
        {rows.map((row) => (
          <Box role="row" display="contents" key={row.key}>
            <Box role="rowheader" color="soft">
              {row.words}
            </Box>
            {numbers.map((each, i) => (
              <Box role="cell" key={i} fontWeight={differs(row) ? '600' : '400'}>
                {row.tell(each[row.key])}
              </Box>
            ))}
          </Box>
        ))}
      </Grid>
    </>
  )
}

/** Until when both are shown, ms: until they have settled, and a little longer. */
function lastShown({ one, other, trace }: Answers): number {
  const settled = (trace.at(-1)?.t ?? 0) + Math.max(one.numbers.settleMs, other.numbers.settleMs) * 1.2
  return Math.max(800, Math.min(8000, Math.ceil(settled / 200) * 200))
}

/** The line on which the two go farthest apart. */
function farthestLine({ one, other }: Answers): number {
  const apart = one.lines.map(({ points }, i) =>
    points.reduce((sum, { value }, k) => sum + Math.abs(value - (other.lines[i]?.points[k]?.value ?? value)), 0),
  )
  return Math.max(0, apart.indexOf(Math.max(...apart)))
}

function linesOf({ lines }: TraceAnswer, at: number, lastAt: number, colour: 'madder' | 'violet'): readonly Line[] {
  return lines
    .slice(at, at + 1)
    .map(({ points }) => ({
      points: points.filter(({ t }) => t <= lastAt).map(({ t, value }) => ({ x: t, y: value })),
      colour,
      dashed: colour === 'violet',
    }))
}
