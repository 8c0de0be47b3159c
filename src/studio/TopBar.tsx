// The top bar: where we are, how saving stands, as whom the page is visited, undo, and the ways to what stands beside it.
import { Box, Flex, VisuallyHidden } from '@chakra-ui/react'
import { Code, History, Keyboard, ListChecks, PencilLine, Redo2, Undo2 } from 'lucide-react'
import { toggleDrawer } from './commands'
import { useStudio, useView } from './context'
import { redo, undo } from './effects/commands'
import { keyOf } from './registry'
import { HomeLink } from './HomeLink'
import { Mark } from './Mark'
import { PageMenu } from './pages/PageMenu'
import { renameSite } from './pages/commands'
import { useObservable } from './store/observable'
import { Button } from './theme/controls'
import { NamedField } from './theme/NamedField'
import { PreviewAs } from './preview/PreviewAs'
import { ZoomMenu } from './ZoomMenu'

export function TopBar() {
  const studio = useStudio()
  const { store } = studio
  const history = useObservable(store.history)
  const { drawer } = useView('drawer')
  const undone = history.undo.at(-1)?.words
  const redone = history.redo.at(-1)?.words
  return (
    <Flex as="header" align="center" gap="5px" px="10px" borderBottom="1px solid" borderColor="edge" background="sheet" minWidth="0">
      <HomeLink>
        <Mark />
      </HomeLink>
      <Flex align="center" gap="8px" minWidth="0" ml="6px">
        <VisuallyHidden as="h1">{history.site.name}</VisuallyHidden>
        <Box minWidth="0">
          <NamedField
            label="Name of the site"
            title="Rename the site"
            value={history.site.name}
            maxLength={120}
            fontSize="15px"
            fontWeight="600"
            px="4px"
            ml="-4px"
            borderColor="transparent"
            background="transparent"
            textOverflow="ellipsis"
            _hover={{ borderColor: 'hairline' }}
            style={{ width: `${Math.min(26, Math.max(6, history.site.name.length + 1.5))}ch` }}
            onTake={(name) => renameSite(studio, name)}
          />
        </Box>
        <Box color="soft" aria-hidden="true">
          /
        </Box>
        <PageMenu />
        <SaveWords />
      </Flex>
      <Box flex="1" />
      <PreviewAs />
      <ZoomMenu />
      <Button
        variant="quiet"
        onClick={() => undo(studio)}
        disabled={!undone}
        aria-label={undone ? `Undo: ${undone}` : 'Nothing to undo'}
        title={undone ? `Undo: ${undone} (${keyOf('undo')})` : undefined}
      >
        <Undo2 size={16} aria-hidden="true" />
      </Button>
      <Button
        variant="quiet"
        onClick={() => redo(studio)}
        disabled={!redone}
        aria-label={redone ? `Redo: ${redone}` : 'Nothing to redo'}
        title={redone ? `Redo: ${redone} (${keyOf('redo')})` : undefined}
      >
        <Redo2 size={16} aria-hidden="true" />
      </Button>
      <Button
        variant="quiet"
        aria-pressed={drawer === 'revisions'}
        aria-label="History"
        onClick={() => toggleDrawer(studio, 'revisions')}
        title="History: earlier versions of this site"
      >
        <History size={16} aria-hidden="true" />
      </Button>
      <Button
        variant="quiet"
        aria-pressed={drawer === 'keys'}
        aria-label="Commands and keys"
        onClick={() => toggleDrawer(studio, 'keys')}
        title={`Commands and keys (${keyOf('sheet')})`}
      >
        <Keyboard size={16} aria-hidden="true" />
      </Button>
      <ChecksButton />
      <Button
        variant="quiet"
        aria-pressed={drawer === 'markup'}
        onClick={() => toggleDrawer(studio, 'markup')}
        title={`The markup of the page (${keyOf('markup')})`}
      >
        <PencilLine size={16} aria-hidden="true" /> Markup
      </Button>
      <Button
        variant="quiet"
        aria-pressed={drawer === 'code'}
        onClick={() => toggleDrawer(studio, 'code')}
        title={`The code (${keyOf('code')})`}
      >
        <Code size={16} aria-hidden="true" /> Code
      </Button>
    </Flex>
  )
}

/** How much is amiss on this page, and the way to it. */
function ChecksButton() {
  const studio = useStudio()
  const { drawer, findings } = useView('drawer', 'findings')
  const count = findings?.length ?? 0
  return (
    <Button
      variant="quiet"
      aria-pressed={drawer === 'checks'}
      fontWeight={count > 0 ? '600' : undefined}
      onClick={() => toggleDrawer(studio, 'checks')}
      title={`What is amiss with effects on this page (${keyOf('checks')})`}
    >
      <ListChecks size={16} aria-hidden="true" /> {count === 0 ? 'Checks' : count === 1 ? '1 check' : `${count} checks`}
    </Button>
  )
}

/** How saving stands, in words; longer ones where something is to be known. */
function SaveWords() {
  const saving = useObservable(useStudio().store.saver.saving)
  const words = { saved: 'saved', saving: 'saving', offline: 'not saved yet, kept in this browser' }[saving.state]
  const isBad = saving.state === 'offline'
  return (
    <Box
      role="status"
      fontSize="13px"
      color={isBad ? 'ink' : 'soft'}
      fontWeight={isBad ? '600' : undefined}
      whiteSpace="nowrap"
      title={'detail' in saving ? saving.detail : undefined}
    >
      {isBad ? '⚠ ' : '· '}
      {words}
    </Box>
  )
}
