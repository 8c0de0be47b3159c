// Says what stands in the way of saving, and where two windows met; it lies at the page's upper edge and blocks nothing.
import { Box, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { useStudio } from './context'
import { useOpenPanel } from './open-panel'
import { saveText } from './save-file'
import { useObservable } from './store/observable'
import { tellRefused, tellTold } from './store/told-words'
import { Button } from './theme/controls'

/** How many sentences are shown; the rest is in the history. */
const most = 3

export function SaveNotices() {
  const { store } = useStudio()
  const { width } = useOpenPanel()
  const saving = useObservable(store.saver.saving)
  const told = useObservable(store.told)
  const { site } = useObservable(store.history)
  const refused = useObservable(store.saver.refused)
  const lines = told ? tellTold(site, told) : []
  if (saving.state !== 'offline' && lines.length === 0 && refused.length === 0) return null
  const close = () => store.told.set(null)
  return (
    <Flex direction="column" gap="8px" position="absolute" top="8px" left="56px" right={`${width + 16}px`} zIndex="6">
      {saving.state === 'offline' && <Notice words={saving.detail} />}
      {refused.length > 0 && (
        <Notice words={tellRefused(refused)}>
          <Button variant="act" onClick={store.tryAgain}>
            Try again
          </Button>
          <Button
            onClick={() => {
              saveText(`edits-of-${store.id}.json`, JSON.stringify({ site: store.id, edits: refused }, null, 2), 'application/json')
            }}
          >
            Save to a file
          </Button>
          <Button onClick={() => void store.saver.release()}>Delete {refused.length === 1 ? 'it' : 'them'}</Button>
        </Notice>
      )}
      {lines.slice(0, most).map(({ sentence, act }) => (
        <Notice key={sentence} words={sentence}>
          {act && (
            <Button
              onClick={() => {
                store.edit(act.edit, act.title)
                close()
              }}
            >
              {act.title}
            </Button>
          )}
          <Button variant="act" onClick={close}>
            OK
          </Button>
        </Notice>
      ))}
      {lines.length > most && (
        <Notice words={`And ${lines.length - most} more; the history has all of it.`}>
          <Button variant="act" onClick={close}>
            OK
          </Button>
        </Notice>
      )}
    </Flex>
  )
}

function Notice({ words, children }: { readonly words: string; readonly children?: ReactNode }) {
  return (
    <Flex
      role="alert"
      align="center"
      gap="12px"
      px="14px"
      py="9px"
      background="sheet"
      border="1px solid"
      borderColor="ink"
      borderRadius="4px"
      boxShadow="0 12px 28px -18px #000"
    >
      <Box fontWeight="700" aria-hidden="true">
        ⚠
      </Box>
      <Box flex="1" fontSize="14px">
        {words}
      </Box>
      {children}
    </Flex>
  )
}
