// Earlier states of the site: looked at, and gone back to. Going back is an edit like any other, so it can be undone.
import { Box, Flex } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import * as z from 'zod'
import { siteSchema, type Site } from '../../core/site/site'
import { notify } from '../commands'
import { useSite, useStudio } from '../context'
import { Drawer } from '../Drawer'
import { useObservable } from '../store/observable'
import { Button } from '../theme/controls'

const listSchema = z.array(z.object({ revision: z.number().int(), savedAt: z.string() }))
type Revision = z.infer<typeof listSchema>[number]

export function RevisionsDrawer() {
  const { store } = useStudio()
  const keeping = useObservable(store.keeper.keeping)
  const [list, setList] = useState<readonly Revision[] | null>(null)
  const [failed, setFailed] = useState(false)
  useEffect(() => {
    if (keeping.state === 'saving') return
    let isCurrent = true
    fetch(`/api/sites/${store.id}/revisions`)
      .then(async (response) => listSchema.parse(await response.json()))
      .then((all) => isCurrent && setList(all))
      .catch(() => isCurrent && setFailed(true))
    return () => {
      isCurrent = false
    }
  }, [store.id, keeping.state])
  return (
    <Drawer label="Earlier states" title="Earlier states of this site" width="440px">
      <Box overflowY="auto" px="14px" py="8px" fontSize="14px">
        {failed && <Box color="soft">The studio’s server cannot be reached now.</Box>}
        <ol>{list?.map((each, index) => <RevisionRow key={each.revision} revision={each} isNow={index === 0} />)}</ol>
      </Box>
    </Drawer>
  )
}

function RevisionRow({ revision: { revision, savedAt }, isNow }: { readonly revision: Revision; readonly isNow: boolean }) {
  const studio = useStudio()
  const now = useSite()
  const [seen, setSeen] = useState<Site | null>(null)
  const read = async (): Promise<Site | null> => {
    try {
      return siteSchema.parse(await (await fetch(`/api/sites/${studio.store.id}/revisions/${revision}`)).json())
    } catch {
      notify(studio, 'This state could not be had from the studio’s server.')
      return null
    }
  }
  const goBack = async () => {
    const site = seen ?? (await read())
    if (site) studio.store.edit({ do: 'replace', site }, 'Going back to an earlier state')
  }
  return (
    <Box as="li" borderBottom="1px solid" borderColor="hairline" py="5px">
      <Flex align="center" gap="8px">
        <Box flex="1">{new Date(savedAt).toLocaleString()} <Box as="span" color="soft">· {revision}</Box></Box>
        {isNow ? <Box color="soft" fontSize="13px">as it is now</Box> : (
          <>
            <Button look="quiet" minHeight="25px" fontSize="13px" aria-expanded={seen !== null} onClick={() => (seen ? setSeen(null) : void read().then(setSeen))}>Look</Button>
            <Button minHeight="25px" fontSize="13px" onClick={() => void goBack()}>Go back to it</Button>
          </>
        )}
      </Flex>
      {seen && (
        <Box fontSize="13px" color="soft" pb="4px">
          {difference(seen, now).map((line) => <Box key={line}>{line}</Box>)}
        </Box>
      )}
    </Box>
  )
}

/** What differs between an earlier state and now, in lines. */
function difference(then: Site, now: Site): readonly string[] {
  const lines: string[] = []
  for (const [what, before, after] of [['Figure', then.effects, now.effects], ['Page', then.pages, now.pages]] as const) {
    for (const each of before) {
      const other = after.find(({ id }) => id === each.id)
      if (!other) lines.push(`${what} ${each.name}: there then, not now`)
      else if (JSON.stringify(other) !== JSON.stringify(each)) lines.push(`${what} ${each.name}: different then`)
    }
    for (const each of after) if (!before.some(({ id }) => id === each.id)) lines.push(`${what} ${each.name}: not there then`)
  }
  return lines.length > 0 ? lines : ['The same as now.']
}
