// What of the page does not play in the studio, what that leaves bare, and one act against it.
import { Box, Flex } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import * as z from 'zod'
import { usePage, useStudio, useView } from '../context'
import { addFile, keepFile, putPicture } from '../markup/commands'
import { showUnseen } from './commands'
import { useObservable } from '../store/observable'
import { Button } from '../theme/controls'

const heldSchema = z.array(
  z.object({
    what: z.enum(['script', 'handler', 'frame', 'refresh', 'sheet', 'picture', 'font', 'media']),
    address: z.string().optional(),
    isMissing: z.boolean().optional(),
    count: z.number(),
    at: z.number().int(),
  }),
)
type Held = z.infer<typeof heldSchema>[number]

const wordsFor = ({ what, count, isMissing }: Held): string => {
  const from = isMissing ? 'did not come along' : 'is elsewhere and is not loaded'
  switch (what) {
    case 'script':
      return count === 1 ? 'A script does not run.' : `${count} scripts do not run.`
    case 'handler':
      return `${count} ${count === 1 ? 'handler or link that is code does' : 'handlers or links that are code do'} not run.`
    case 'frame':
      return 'A frame or an embedded page stays empty.'
    case 'refresh':
      return 'A refresh that would lead away does not happen.'
    case 'sheet':
      return `A stylesheet ${from}: what it styles stands bare.`
    case 'picture':
      return `A picture ${from}: its place is empty.`
    case 'font':
      return `A font ${from}: its text is set in another.`
    case 'media':
      return `A video or sound ${from}.`
  }
}

const canBeGiven = ({ what }: Held) => what === 'sheet' || what === 'picture' || what === 'font' || what === 'media'

export function NotLoadedList() {
  const { store } = useStudio()
  const page = usePage()
  const saving = useObservable(store.saver.saving)
  const [held, setHeld] = useState<readonly Held[] | null>(null)
  const [failed, setFailed] = useState(false)
  useEffect(() => {
    if (saving.state !== 'saved') return
    let isCurrent = true
    fetch(`/api/held/${store.id}/${page.id}`)
      .then(async (response) => heldSchema.parse(await response.json()))
      .then((list) => {
        if (isCurrent) setHeld(list)
        setFailed(false)
      })
      .catch(() => isCurrent && setFailed(true))
    return () => {
      isCurrent = false
    }
  }, [store.id, page.id, page.source, page.bundle, saving.state])
  if (failed)
    return (
      <Box fontSize="14px" color="soft">
        The studio’s server cannot be reached now.
      </Box>
    )
  if (!held)
    return (
      <Box fontSize="14px" color="soft">
        Looking …
      </Box>
    )
  return (
    <Flex direction="column" gap="7px" fontSize="14px">
      {held.length === 0 && <Box color="soft">Nothing: the page is here as a whole. The export has it as you brought it.</Box>}
      {held.map((each) => (
        <HeldRow key={`${each.what} ${each.address ?? ''}`} held={each} />
      ))}
      <Unseen hasScripts={held.some(({ what }) => what === 'script')} />
      {held.length > 0 && (
        <Box color="soft" fontSize="13px">
          All of it stays in the source, and goes out with the export as you brought it.
        </Box>
      )}
    </Flex>
  )
}

function HeldRow({ held }: { readonly held: Held }) {
  const studio = useStudio()
  const input = useRef<HTMLInputElement>(null)
  const replace = async (file: File | undefined) => {
    if (file) await putPicture(studio, held.at, file)
  }
  const give = async (file: File | undefined) => {
    const kept = file && (await keepFile(studio, file))
    if (kept && held.address !== undefined) addFile(studio, { ...kept, path: held.address }, 'Giving a file for an address')
  }
  return (
    <Flex gap="10px" align="center">
      <Box flex="1" minWidth="0">
        <Box>{wordsFor(held)}</Box>
        {held.address !== undefined && (
          <Box fontFamily="mono" fontSize="12px" color="soft" truncate title={held.address}>
            {held.address}
          </Box>
        )}
      </Box>
      {held.what === 'frame' && (
        <>
          <Button
            minHeight="26px"
            fontSize="13px"
            flex="none"
            title="In the page itself; undo brings the frame back"
            onClick={() => input.current?.click()}
          >
            Put a picture there …
          </Button>
          <input
            ref={input}
            type="file"
            accept="image/*"
            hidden
            aria-label="A picture in the place of a frame"
            onChange={({ target }) => void replace(target.files?.[0])}
          />
        </>
      )}
      {canBeGiven(held) && (
        <>
          <Button minHeight="26px" fontSize="13px" flex="none" onClick={() => input.current?.click()}>
            Provide file …
          </Button>
          <input
            ref={input}
            type="file"
            hidden
            aria-label={`A file for ${held.address ?? ''}`}
            onChange={({ target }) => void give(target.files?.[0])}
          />
        </>
      )}
    </Flex>
  )
}

/** What is hidden until a script shows it, and the act that shows it in the studio. */
function Unseen({ hasScripts }: { readonly hasScripts: boolean }) {
  const studio = useStudio()
  const page = usePage()
  const {
    unseen: { elements },
  } = useView('unseen')
  const shown = [...(page.shown ?? []), ...(page.shownBy ?? []).map(({ select, class: name }) => `${select} with .${name}`)]
  if (shown.length > 0) {
    return (
      <Flex gap="10px" align="center">
        <Box flex="1">
          Shown here, though the page hides it:{' '}
          <Box as="span" fontFamily="mono" fontSize="12px">
            {shown.join(', ')}
          </Box>
        </Box>
        <Button
          minHeight="26px"
          fontSize="13px"
          onClick={() => studio.store.edit({ do: 'page', id: page.id, to: { shown: undefined, shownBy: undefined } }, 'Hiding it again')}
        >
          Hide again
        </Button>
      </Flex>
    )
  }
  if (elements.length === 0) return null
  return (
    <Flex gap="10px" align="center">
      <Box flex="1">
        {elements.length === 1 ? 'One element is' : `${elements.length} elements are`} there and not seen
        {hasScripts ? ', perhaps until a script shows them' : ''}.
      </Box>
      <Button minHeight="26px" fontSize="13px" flex="none" onClick={() => void showUnseen(studio, page)}>
        Show them here
      </Button>
    </Flex>
  )
}
