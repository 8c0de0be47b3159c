// Every command by name, with its key: found by typing, and run from here. Keys work while the focus is in the page too, and never while something is typed.
import { Box, Flex, chakra } from '@chakra-ui/react'
import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import { hasWords } from '../core/site/text'
import { useStudio, useView } from './context'
import { Drawer } from './Drawer'
import { stepIn } from './point/step-in'
import { keyNamed } from './key-names'
import { commands, groups, type Command } from './registry'
import { useObservable } from './store/observable'
import { SearchField } from './theme/SearchField'

interface Line {
  readonly key: string
  readonly words: string
  /** What is run; none for what is done by hand. */
  readonly command?: Command
}

/** What else keys do, by the headings under which that stands. */
const others: Readonly<Record<string, readonly (readonly [key: string, words: string])[]>> = {
  Everywhere: [
    ['Ctrl wheel', 'zoom about the pointer'],
    ['Space, held', 'drag the page to where it is to be seen'],
  ],
  'The selected effect': [
    ['Ctrl C, Ctrl X', 'copy it, cut it; as text, for any page or site'],
    ['Ctrl V', 'paste on what is chosen, or on what it was for'],
    ['F2', 'rename it, in the list'],
    ['Alt Up, Alt Down', 'move it in the list'],
  ],
  'While pointing': [
    ['Arrows', 'walk the tree of the page: up is what is around'],
    ['Enter', 'choose what is outlined'],
    ['Letters', 'once something is chosen: find a recipe'],
    ['Esc', 'stop'],
  ],
  'On a number': [
    ['Arrows', 'step; Shift coarse, Alt fine'],
    ['Home, End', 'the least, the greatest'],
    ['Enter, digits', 'type: sums and units too, such as 0.2s + 40ms'],
  ],
}

const all: readonly { readonly title: string; readonly lines: readonly Line[] }[] = [...groups, 'On a number'].map((title) => ({
  title,
  lines: [
    ...commands.filter(({ group }) => group === title).map((command): Line => ({ key: command.key, words: command.words, command })),
    ...(others[title] ?? []).map(([key, words]) => ({ key, words })),
  ],
}))

/** The lines that have every word of a search, under their headings. */
export function findLines(search: string): typeof all {
  return all
    .map(({ title, lines }) => ({
      title,
      lines: lines.filter(({ key, words, command }) =>
        hasWords([words, key, command?.label ?? '', command?.hint ?? '', title].join(' '), search),
      ),
    }))
    .filter(({ lines }) => lines.length > 0)
}

export function CommandsDrawer() {
  const studio = useStudio()
  const { letters } = studio
  const act = useObservable(letters)
  const [search, setSearch] = useState('')
  const field = useRef<HTMLInputElement>(null)
  const list = useRef<HTMLDivElement>(null)
  useEffect(() => field.current?.focus({ preventScroll: true }), [])
  const found = findLines(search)
  const run = (command: Command) => {
    studio.view.update({ drawer: null })
    command.run(studio)
  }
  const onKeys = (event: KeyboardEvent<HTMLDivElement>) => {
    if (stepIn(event.currentTarget, event.key, () => field.current?.focus())) event.preventDefault()
  }
  return (
    <Drawer label="Commands" title="Commands and keys">
      <Box px="14px" pt="10px">
        <SearchField
          ref={field}
          label="Find a command"
          placeholder="Find: undo, zoom, distance …"
          value={search}
          width="100%"
          onSearch={setSearch}
          onKey={(event) => {
            const [first] = found.flatMap(({ lines }) => lines.flatMap(({ command }) => (command ? [command] : [])))
            if (event.key === 'Enter' && first && search.trim() !== '') run(first)
            if (event.key === 'ArrowDown' && list.current && stepIn(list.current, 'Home')) event.preventDefault()
            if (event.key === 'Escape') studio.view.update({ drawer: null })
          }}
        />
      </Box>
      <Box ref={list} px="14px" py="8px" fontSize="14px" onKeyDown={onKeys}>
        {found.length === 0 && (
          <Box color="soft" py="6px">
            No command is called “{search.trim()}”.
          </Box>
        )}
        {found.map(({ title, lines }) => (
          <Box as="section" key={title} aria-label={title} mb="14px">
            <Box as="h3" fontWeight="600" mb="3px">
              {title}
            </Box>
            <ul>
              {lines.map((line) => (
                <Row key={line.key + line.words} line={line} onRun={run} />
              ))}
            </ul>
          </Box>
        ))}
        {search === '' && (
          <chakra.label display="flex" gap="8px" alignItems="baseline" pt="8px" borderTop="1px solid" borderColor="hairline">
            <input type="checkbox" checked={act} onChange={({ target }) => letters.set(target.checked)} />
            <Box as="span">
              Single letters and digits act as keys.{' '}
              <Box as="span" color="soft">
                Turn this off where a screen reader, dictation or another program uses them; Ctrl, arrows, Enter and Esc go on.
              </Box>
            </Box>
          </chakra.label>
        )}
      </Box>
    </Drawer>
  )
}

/** A command that is run from here, or what is done by hand, with its key. */
function Row({ line: { key, words, command }, onRun }: { readonly line: Line; readonly onRun: (command: Command) => void }) {
  const view = useView('mode', 'onlyThis', 'drawer')
  const what = words.charAt(0).toUpperCase() + words.slice(1)
  if (!command)
    return (
      <Flex as="li" justify="space-between" gap="12px" px="8px" py="3px" color="soft">
        <span>{what}</span>
        <Box as="span" whiteSpace="nowrap">
          {keyNamed(key)}
        </Box>
      </Flex>
    )
  return (
    <li>
      <chakra.button
        type="button"
        data-step
        aria-pressed={command.isOn ? command.isOn(view) : undefined}
        onClick={() => onRun(command)}
        display="flex"
        width="100%"
        justifyContent="space-between"
        gap="12px"
        px="8px"
        py="3px"
        minHeight="26px"
        border="0"
        borderRadius="4px"
        background="transparent"
        color="ink"
        textAlign="left"
        cursor="pointer"
        _hover={{ background: 'press' }}
        _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '-2px' }}
      >
        <span>{what}</span>
        <Box as="span" fontWeight="600" whiteSpace="nowrap">
          {keyNamed(key)}
        </Box>
      </chakra.button>
    </li>
  )
}
