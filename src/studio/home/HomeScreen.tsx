'use client'
// Home: the sites and their pages, each seen as it is.
import { Box, Flex, Grid, chakra } from '@chakra-ui/react'
import { Mark } from '../Mark'
import { visitor } from '../visitor'

export interface SiteCard {
  readonly id: string
  readonly name: string
  readonly figures: number
  readonly pages: readonly { readonly id: string; readonly name: string }[]
}

/** How wide a page is shown, and what that is of the visitor's window. */
const thumbnail = { width: 574, scale: 574 / visitor.width } as const

export function HomeScreen({ sites }: { readonly sites: readonly SiteCard[] }) {
  return (
    <Box maxWidth="1240px" mx="auto" px="32px" pb="64px">
      <Flex as="header" align="center" gap="12px" py="26px">
        <Mark />
        <Box as="h1" fontSize="22px" fontWeight="600">Glass Moth</Box>
        <Box color="soft">Elements of a page that answer the pointer.</Box>
      </Flex>
      <Grid as="main" templateColumns={`repeat(auto-fill, ${thumbnail.width}px)`} columnGap="28px">
        {sites.length === 0 && <Box>There are no sites here. Run npm start again to bring the starters and the demo back.</Box>}
        {sites.map((site) => (
          <Box as="section" key={site.id} aria-label={site.name} borderTop="1px solid" borderColor="edge" pt="14px" pb="34px">
            <Flex align="baseline" gap="14px" mb="14px">
              <Box as="h2" fontSize="18px" fontWeight="600">{site.name}</Box>
              <Box fontSize="14px" color="soft">{count(site.pages.length, 'page')}, {count(site.figures, 'figure')}</Box>
            </Flex>
            <Grid gap="28px" templateColumns="minmax(0, 1fr)">
              {site.pages.map((page) => (
                <PageCard key={page.id} siteId={site.id} page={page} />
              ))}
            </Grid>
          </Box>
        ))}
      </Grid>
    </Box>
  )
}

const count = (n: number, noun: string) => (n === 0 ? `no ${noun}s` : `${n} ${noun}${n === 1 ? '' : 's'}`)

function PageCard({ siteId, page }: { readonly siteId: string; readonly page: SiteCard['pages'][number] }) {
  return (
    <chakra.a href={`/studio/${siteId}/${page.id}`} display="block" textDecoration="none" color="ink" borderRadius="3px" _focusVisible={{ outline: '2px solid var(--gm-ink)', outlineOffset: '4px' }}>
      <Box height={`${visitor.height * thumbnail.scale}px`} overflow="hidden" outline="1px solid" outlineColor="edge" background="white">
        <iframe title={`A picture of ${page.name}`} src={`/frame/${siteId}/${page.id}`} sandbox="allow-scripts" tabIndex={-1} loading="lazy" aria-hidden="true" inert
          style={{ ...visitor, border: 0, transformOrigin: '0 0', transform: `scale(${thumbnail.scale})`, pointerEvents: 'none', display: 'block' }} />
      </Box>
      <Box mt="9px" fontWeight="600" truncate>{page.name}</Box>
    </chakra.a>
  )
}
