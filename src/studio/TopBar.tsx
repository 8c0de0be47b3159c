// The top bar: where we are, how saving stands, undo, and the way to the code.
import { Box, Flex } from '@chakra-ui/react'
import { Code, Redo2, Undo2 } from 'lucide-react'
import { useStudio, useView } from './context'
import { keyNames } from './keys'
import { HomeLink } from './HomeLink'
import { Mark } from './Mark'
import { useObservable } from './store/observable'
import { Button } from './theme/controls'
import { visitor } from './visitor'

export function TopBar() {
  const { store, view, page } = useStudio()
  const history = useObservable(store.history)
  const { codeOpen } = useView()
  const undone = history.undo.at(-1)?.words
  const redone = history.redo.at(-1)?.words
  return (
    <Flex as="header" align="center" gap="6px" px="10px" borderBottom="1px solid" borderColor="edge" background="sheet" minWidth="0">
      <HomeLink>
        <Mark />
      </HomeLink>
      <Flex align="baseline" gap="8px" minWidth="0" ml="6px">
        <Box as="h1" fontSize="15px" fontWeight="600" truncate>{history.site.name}</Box>
        <Box color="soft" aria-hidden="true">/</Box>
        <Box fontSize="15px" truncate>{page.name}</Box>
        <KeepingWords />
      </Flex>
      <Box flex="1" />
      <Box fontSize="13px" color="soft" whiteSpace="nowrap" mr="6px">Visitor with a mouse, {visitor.width} × {visitor.height}</Box>
      <Button look="quiet" onClick={store.undo} disabled={!undone} aria-label={undone ? `Undo: ${undone}` : 'Nothing to undo'} title={undone ? `Undo: ${undone} (${keyNames.undo})` : undefined}>
        <Undo2 size={16} aria-hidden="true" />
      </Button>
      <Button look="quiet" onClick={store.redo} disabled={!redone} aria-label={redone ? `Redo: ${redone}` : 'Nothing to redo'} title={redone ? `Redo: ${redone} (${keyNames.redo})` : undefined}>
        <Redo2 size={16} aria-hidden="true" />
      </Button>
      <Button look="quiet" aria-pressed={codeOpen} onClick={() => view.update({ codeOpen: !codeOpen })} title={`The code (${keyNames.code})`}>
        <Code size={16} aria-hidden="true" /> Code
      </Button>
    </Flex>
  )
}

/** How saving stands, in words; longer ones where something is to be known. */
function KeepingWords() {
  const keeping = useObservable(useStudio().store.keeper.keeping)
  const words = { saved: 'saved', saving: 'saving', offline: 'not saved yet, kept in this browser', refused: 'not saved', conflict: 'not saved, changed elsewhere' }[keeping.state]
  const isBad = keeping.state !== 'saved' && keeping.state !== 'saving'
  return (
    <Box role="status" fontSize="13px" color={isBad ? 'ink' : 'soft'} fontWeight={isBad ? '600' : undefined} whiteSpace="nowrap" title={'detail' in keeping ? keeping.detail : undefined}>
      {isBad ? '⚠ ' : '· '}
      {words}
    </Box>
  )
}
