// Tries and traces: what was kept of an effect, tried on, gone back to, and compared under one trace.
import { Box, Flex } from '@chakra-ui/react'
import { Play, Trash2 } from 'lucide-react'
import { useRef } from 'react'
import type { Effect, KeptTrace, Try } from '../../core/site/site'
import { keepTry } from '../commands'
import { useSelected, useSite, useStudio, useView } from '../context'
import { Drawer } from '../Drawer'
import { keyOf } from '../registry'
import { presentTry } from '../store/view-store'
import { newGesture } from '../store/site-store'
import { Button } from '../theme/controls'
import { NamedField } from '../theme/NamedField'
import { giveTraceFile, playTrace, takeTraceFile } from '../thread/commands'
import { ComparePart } from './ComparePart'

export function TriesDrawer() {
  const selected = useSelected()
  return (
    <Drawer label="Tries" title="Tries and traces">
      <Box overflowY="auto" px="14px" py="10px" display="flex" flexDirection="column" gap="16px" fontSize="14px">
        {selected ? (
          <TryList effect={selected.effect} number={selected.number} />
        ) : (
          <Box color="soft">Choose an effect, to keep tries of it.</Box>
        )}
        {selected && (selected.effect.tries?.length ?? 0) > 0 && <ComparePart effect={selected.effect} />}
        <TraceList />
      </Box>
    </Drawer>
  )
}

const small = { variant: 'quiet', minHeight: '26px', fontSize: '13px', px: '6px' } as const

function TryList({ effect, number }: { readonly effect: Effect; readonly number: number }) {
  const studio = useStudio()
  const { store } = studio
  const { tries = [] } = effect
  const write = (next: readonly Try[], words: string) =>
    store.edit({ do: 'change', id: effect.id, to: { tries: next.length > 0 ? [...next] : undefined } }, words)
  return (
    <Box as="section" aria-label="Tries of this effect">
      <Flex align="center" mb="4px">
        <Box as="h3" fontWeight="600" flex="1">
          Tries of effect {number}
        </Box>
        <Button minHeight="26px" fontSize="13px" onClick={() => keepTry(studio)} title={keyOf('keepTry')}>
          Save current
        </Button>
      </Flex>
      {tries.length === 0 && <Box color="soft">None yet. Keep a good one before you go on tuning: you can always come back to it.</Box>}
      {tries.map((each) => (
        <Flex key={each.id} align="center" gap="3px" minHeight="34px" borderBottom="1px solid" borderColor="hairline">
          <NamedField
            label={`Name of ${each.name}`}
            value={each.name}
            maxLength={120}
            flex="1"
            minWidth="0"
            onTake={(name) =>
              write(
                tries.map((other) => (other === each ? { ...each, name } : other)),
                'Renaming a try',
              )
            }
          />
          <TryOn effect={effect} id={each.id} />
          <Button
            {...small}
            onClick={() => {
              studio.view.update({ comparison: null })
              store.edit(
                { do: 'change', id: effect.id, to: { settings: each.settings, bindings: undefined } },
                `Going back to ${each.name}`,
                newGesture(),
              )
            }}
          >
            Go back to it
          </Button>
          <Button
            {...small}
            aria-label={`Remove ${each.name}`}
            onClick={() =>
              write(
                tries.filter((other) => other !== each),
                'Removing a try',
              )
            }
          >
            <Trash2 size={14} aria-hidden="true" />
          </Button>
        </Flex>
      ))}
    </Box>
  )
}

/** Plays a try on the page for as long as it is pressed in; nothing is changed by it. */
function TryOn({ effect, id }: { readonly effect: Effect; readonly id: string }) {
  const { view } = useStudio()
  const { comparison } = useView('comparison')
  const isOn = comparison?.one === id && comparison.other === id
  return (
    <Button
      {...small}
      aria-pressed={isOn}
      aria-label={`Try on ${effect.tries?.find((each) => each.id === id)?.name ?? ''}`}
      onClick={() => view.update({ comparison: isOn ? null : { one: id, other: id, trace: presentTry } })}
    >
      Try on
    </Button>
  )
}

function TraceList() {
  const studio = useStudio()
  const { traces = [] } = useSite()
  const chooser = useRef<HTMLInputElement>(null)
  const write = (next: readonly KeptTrace[], words: string) =>
    studio.store.edit({ do: 'site', to: { traces: next.length > 0 ? [...next] : undefined } }, words)
  return (
    <Box as="section" aria-label="Traces of this site">
      <Flex align="center" mb="4px">
        <Box as="h3" fontWeight="600" flex="1">
          Traces of this site
        </Box>
        <Button minHeight="26px" fontSize="13px" onClick={() => chooser.current?.click()}>
          Take one from a file
        </Button>
        <input
          ref={chooser}
          type="file"
          accept=".csv,.json,text/csv,application/json"
          hidden
          aria-label="A trace as CSV or JSON"
          onChange={({ target }) => {
            const [file] = target.files ?? []
            if (file) void takeTraceFile(studio, file)
            target.value = ''
          }}
        />
      </Flex>
      {traces.length === 0 && (
        <Box color="soft">
          None yet. Drag along the thread at the foot and keep a stretch, or take a file: CSV with t,x,y,buttons, or JSON.
        </Box>
      )}
      {traces.map((each) => (
        <Flex key={each.id} align="center" gap="3px" minHeight="34px" borderBottom="1px solid" borderColor="hairline">
          <NamedField
            label={`Name of ${each.name}`}
            value={each.name}
            maxLength={120}
            flex="1"
            minWidth="0"
            onTake={(name) =>
              write(
                traces.map((other) => (other === each ? { ...each, name } : other)),
                'Renaming a trace',
              )
            }
          />
          <Button {...small} aria-label={`Replay ${each.name}`} title="Replay it" onClick={() => playTrace(studio, each)}>
            <Play size={14} aria-hidden="true" />
          </Button>
          <Button {...small} onClick={() => giveTraceFile(each, 'csv')}>
            CSV
          </Button>
          <Button {...small} onClick={() => giveTraceFile(each, 'json')}>
            JSON
          </Button>
          <Button
            {...small}
            aria-label={`Remove ${each.name}`}
            onClick={() =>
              write(
                traces.filter((other) => other !== each),
                'Removing a trace',
              )
            }
          >
            <Trash2 size={14} aria-hidden="true" />
          </Button>
        </Flex>
      ))}
    </Box>
  )
}
