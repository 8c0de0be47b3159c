// The pages of the site: brought in, named, put in order, copied, removed and brought back; and what of the page is held back.
import { Box, Flex } from '@chakra-ui/react'
import { ArrowDown, ArrowUp, Copy, Trash2 } from 'lucide-react'
import { useEffect, useRef, type ReactNode } from 'react'
import { starters } from '../../core/page/starters'
import { binDays, type Page } from '../../core/site/site'
import { usePage, useSite, useStudio, useView } from '../context'
import { Drawer } from '../Drawer'
import { Button } from '../theme/controls'
import { NamedField } from '../theme/NamedField'
import { ImportPage } from './ImportPage'
import { addPage, bringBack, copyPage, movePage, openPage, removePage, renamePage } from './commands'
import { NotLoadedList } from './NotLoadedList'

export function PagesDrawer() {
  const { pages, bin = [] } = useSite()
  const studio = useStudio()
  return (
    <Drawer label="Pages" title="Pages of this site">
      <Box overflowY="auto" px="14px" py="10px" display="flex" flexDirection="column" gap="18px">
        <ol>
          {pages.map((page, index) => (
            <PageRow key={page.id} page={page} isFirst={index === 0} isLast={index === pages.length - 1} />
          ))}
        </ol>
        <Part title="New page">
          <NewPage />
        </Part>
        <Part title="Import pages">
          <ImportPage />
        </Part>
        <Part title="Not loaded here">
          <NotLoadedList />
        </Part>
        {bin.length > 0 && (
          <Part title={`Removed, kept for ${binDays} days`}>
            {bin.map(({ page, removedAt }) => (
              <Flex key={page.id} align="center" gap="8px" minHeight="30px" fontSize="14px">
                <Box flex="1" truncate>
                  {page.name}
                </Box>
                <Box color="soft" fontSize="13px">
                  {new Date(removedAt).toLocaleDateString()}
                </Box>
                <Button minHeight="25px" fontSize="13px" onClick={() => bringBack(studio, page)}>
                  Bring back
                </Button>
              </Flex>
            ))}
          </Part>
        )}
      </Box>
    </Drawer>
  )
}

/** A page to begin with: blank, or with a starter on it. */
function NewPage() {
  const studio = useStudio()
  const small = { minHeight: '26px', fontSize: '13px', px: '8px' } as const
  return (
    <Flex gap="5px" wrap="wrap">
      <Button {...small} variant="act" onClick={() => void addPage(studio)}>
        Blank page
      </Button>
      {starters.map((starter) => (
        <Button key={starter.id} {...small} title={starter.need} onClick={() => void addPage(studio, starter)}>
          {starter.title}
        </Button>
      ))}
    </Flex>
  )
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box as="section" aria-label={title}>
      <Box as="h3" fontSize="14px" fontWeight="600" mb="6px">
        {title}
      </Box>
      {children}
    </Box>
  )
}

function PageRow({ page, isFirst, isLast }: { readonly page: Page; readonly isFirst: boolean; readonly isLast: boolean }) {
  const studio = useStudio()
  const isSeen = usePage().id === page.id
  const { lit } = useView('lit')
  const row = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (lit === page.id) row.current?.scrollIntoView({ block: 'nearest' })
  }, [lit, page.id])
  const small = { variant: 'quiet', px: '4px', minHeight: '26px' } as const
  return (
    <Flex
      ref={row}
      as="li"
      align="center"
      gap="3px"
      background={lit === page.id ? 'press' : undefined}
      minHeight="34px"
      borderBottom="1px solid"
      borderColor="hairline"
    >
      <NamedField
        label={`Name of the page ${page.name}`}
        value={page.name}
        maxLength={120}
        flex="1"
        minWidth="0"
        minHeight="27px"
        fontWeight={isSeen ? '600' : '400'}
        borderColor="transparent"
        background="transparent"
        _hover={{ borderColor: 'hairline' }}
        onTake={(name) => renamePage(studio, page, name)}
      />
      {isSeen ? (
        <Box fontSize="13px" color="soft" px="8px">
          open now
        </Box>
      ) : (
        <Button minHeight="26px" fontSize="13px" onClick={() => openPage(studio, page.id)}>
          Open
        </Button>
      )}
      <Button {...small} aria-label={`Move ${page.name} up`} title="Up" disabled={isFirst} onClick={() => movePage(studio, page, -1)}>
        <ArrowUp size={15} aria-hidden="true" />
      </Button>
      <Button {...small} aria-label={`Move ${page.name} down`} title="Down" disabled={isLast} onClick={() => movePage(studio, page, 1)}>
        <ArrowDown size={15} aria-hidden="true" />
      </Button>
      <Button {...small} aria-label={`Duplicate ${page.name}`} title="Duplicate" onClick={() => copyPage(studio, page)}>
        <Copy size={15} aria-hidden="true" />
      </Button>
      <Button
        {...small}
        aria-label={`Remove ${page.name}`}
        title="Remove"
        disabled={isFirst && isLast}
        onClick={() => removePage(studio, page)}
      >
        <Trash2 size={15} aria-hidden="true" />
      </Button>
    </Flex>
  )
}
