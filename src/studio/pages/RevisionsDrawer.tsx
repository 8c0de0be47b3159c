// The history of the site: its versions, told by what was done. One is looked at, named so that it is kept for ever, and brought
// back whole or by effect; bringing back is an edit like any other, so it can be undone.
import { Box, Flex } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import * as z from 'zod'
import type { Edit } from '../../core/site/edit'
import { diff, isSame } from '../../core/site/patch'
import { siteSchema, type Site } from '../../core/site/site'
import { notify } from '../commands'
import { usePage, useSite, useStudio } from '../context'
import { Drawer } from '../Drawer'
import { useObservable } from '../store/observable'
import { reach } from '../store/reach'
import { Button } from '../theme/controls'
import { NamedField } from '../theme/NamedField'
import { visitor as usualWindow } from '../visitor'

const listSchema = z.array(z.object({ revision: z.number().int(), savedAt: z.string(), done: z.string(), name: z.string().nullable() }))
type Version = z.infer<typeof listSchema>[number]

export function RevisionsDrawer() {
  const { store } = useStudio()
  const saving = useObservable(store.saver.saving)
  const [list, setList] = useState<readonly Version[] | null>(null)
  const [failed, setFailed] = useState(false)
  const [named, setNamed] = useState(0)
  useEffect(() => {
    if (saving.state === 'saving') return
    let isCurrent = true
    fetch(`/api/sites/${store.id}/revisions`)
      .then(async (response) => listSchema.parse(await response.json()))
      .then((all) => isCurrent && setList(all))
      .catch(() => isCurrent && setFailed(true))
    return () => {
      isCurrent = false
    }
  }, [store.id, saving.state, named])
  return (
    <Drawer label="History" title="History of this site">
      <Box overflowY="auto" px="14px" py="8px" fontSize="14px">
        {failed && <Box color="soft">The studio’s server cannot be reached now.</Box>}
        <Box color="soft" fontSize="13px" pb="6px">
          Every version of today is kept, one an hour for a week, then one a day. Those with a name are kept for ever.
        </Box>
        <ol>
          {list?.map((each, index) => (
            <VersionRow key={each.revision} version={each} isNow={index === 0} onNamed={() => setNamed(named + 1)} />
          ))}
        </ol>
      </Box>
    </Drawer>
  )
}

function VersionRow({
  version: { revision, savedAt, done, name },
  isNow,
  onNamed,
}: {
  readonly version: Version
  readonly isNow: boolean
  readonly onNamed: () => void
}) {
  const studio = useStudio()
  const now = useSite()
  const [seen, setSeen] = useState<Site | null>(null)
  const address = `/api/sites/${studio.store.id}/revisions/${revision}`
  const saySo = (error: unknown) =>
    notify(studio, error instanceof Error ? error.message : 'This version could not be had from the studio’s server.')
  const read = async (): Promise<Site | null> => {
    try {
      return siteSchema.parse(await (await reach(address)).json())
    } catch (error) {
      saySo(error)
      return null
    }
  }
  const bringBack = async () => {
    const site = seen ?? (await read())
    if (site) studio.store.edit({ do: 'replace', site }, 'Bringing back a version')
  }
  const giveName = async (given: string) => {
    try {
      await reach(address, { method: 'PATCH', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ name: given }) })
      onNamed()
    } catch (error) {
      saySo(error)
    }
  }
  const time = new Date(savedAt).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })
  return (
    <Box as="li" borderBottom="1px solid" borderColor="hairline" py="6px">
      <Flex align="center" gap="8px">
        <Box flex="1" minWidth="0">
          <Box truncate title={done} fontWeight={name === null ? '400' : '600'}>
            {name ?? (done || 'Edits')}
          </Box>
          <Box color="soft" fontSize="13px" truncate>
            {time}
            {name !== null && done ? ` · ${done}` : ''}
          </Box>
        </Box>
        {isNow ? (
          <Box color="soft" fontSize="13px">
            current
          </Box>
        ) : (
          <>
            <Button
              variant="quiet"
              minHeight="25px"
              fontSize="13px"
              aria-expanded={seen !== null}
              onClick={() => (seen ? setSeen(null) : void read().then(setSeen))}
            >
              Show changes
            </Button>
            <Button minHeight="25px" fontSize="13px" onClick={() => void bringBack()}>
              Bring back
            </Button>
          </>
        )}
      </Flex>
      {seen && (
        <Box fontSize="13px" pb="4px" pt="4px">
          <ThenAndNow then={seen} revision={revision} />
          <NamedField
            label={`Name of the version of ${time}`}
            placeholder="Name, to keep it for ever"
            value={name ?? ''}
            maxLength={120}
            width="100%"
            minHeight="27px"
            fontSize="13px"
            allowsEmpty
            onTake={(given) => void giveName(given)}
          />
          {changesSince(seen, now).map(({ words, back }) => (
            <Flex key={words} align="center" gap="8px" minHeight="27px" color="soft">
              <Box flex="1">{words}</Box>
              {back && (
                <Button
                  variant="quiet"
                  minHeight="24px"
                  fontSize="13px"
                  aria-label={`Bring back: ${words}`}
                  onClick={() => studio.store.edit(back, 'Bringing back from a version')}
                >
                  Bring back
                </Button>
              )}
            </Flex>
          ))}
        </Box>
      )}
    </Box>
  )
}

/** How wide the page is shown as it was and as it is, px. */
const shownWidth = 176

/** The page that is seen as it was in a version, and as it is saved now: both at rest, without script. */
function ThenAndNow({ then, revision }: { readonly then: Site; readonly revision: number }) {
  const { store } = useStudio()
  const page = usePage()
  const was = then.pages.find(({ id }) => id === page.id)
  const address = `/frame/${store.id}/${page.id}?visit=noscript`
  const scale = shownWidth / usualWindow.width
  return (
    <Flex gap="12px" mb="8px">
      {[
        { words: 'Then', source: was && `${address}&version=${revision}` },
        { words: 'Now', source: `${address}&of=${page.source.slice(0, 8)}` },
      ].map(({ words, source }) => (
        <Box key={words} width={`${shownWidth}px`}>
          <Box color="soft" mb="3px">
            {words}
          </Box>
          <Box
            height={`${usualWindow.height * scale}px`}
            overflow="hidden"
            border="1px solid"
            borderColor="edge"
            background="white"
            color="black"
          >
            {source === undefined ? (
              <Box p="8px">This page was not there yet.</Box>
            ) : (
              <iframe
                src={source}
                title={`The page ${page.name}, ${words.toLowerCase()}`}
                sandbox=""
                tabIndex={-1}
                inert
                style={{ ...usualWindow, border: 0, display: 'block', transformOrigin: '0 0', transform: `scale(${scale})` }}
              />
            )}
          </Box>
        </Box>
      ))}
    </Flex>
  )
}

interface Change {
  readonly words: string
  /** The edit that has this one as it was. */
  readonly back?: Edit
}

/** What changed since a version, in lines. */
function changesSince(then: Site, now: Site): readonly Change[] {
  const lines: Change[] = []
  then.effects.forEach((effect, at) => {
    const present = now.effects.find(({ id }) => id === effect.id)
    if (!present)
      lines.push({ words: `Effect ${effect.name}: removed since`, back: { do: 'add', effect, at: Math.min(at, now.effects.length) } })
    else if (!isSame(present, effect))
      lines.push({
        words: `Effect ${effect.name}: changed since`,
        back: { do: 'patch', patch: diff(present, effect, ['effects', { id: effect.id }]) },
      })
  })
  for (const { id, name } of now.effects)
    if (!then.effects.some((each) => each.id === id)) lines.push({ words: `Effect ${name}: added since` })
  for (const page of then.pages) {
    const present = now.pages.find(({ id }) => id === page.id)
    if (!present) lines.push({ words: `Page ${page.name}: removed since`, back: { do: 'site', to: { pages: [...now.pages, page] } } })
    else if (!isSame(present, page))
      lines.push({
        words: `Page ${page.name}: changed since`,
        back: { do: 'patch', patch: diff(present, page, ['pages', { id: page.id }]) },
      })
  }
  for (const { id, name } of now.pages) if (!then.pages.some((each) => each.id === id)) lines.push({ words: `Page ${name}: added since` })
  return lines.length > 0 ? lines : [{ words: 'The same as now.' }]
}
