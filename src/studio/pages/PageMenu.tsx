// The name of the page that is seen: it opens to the other pages of the site.
import { Opens } from '../theme/Opens'
import { Box, Menu, Portal } from '@chakra-ui/react'
import { toggleDrawer } from '../commands'
import { usePage, useSite, useStudio } from '../context'
import { keyOf } from '../registry'
import { Button } from '../theme/controls'
import { addPage, openPage } from './commands'

export function PageMenu() {
  const studio = useStudio()
  const { pages } = useSite()
  const page = usePage()
  const choose = (value: string) =>
    value === 'pages' ? toggleDrawer(studio, 'pages') : value === 'blank' ? void addPage(studio) : openPage(studio, value)
  return (
    <Menu.Root onSelect={({ value }) => choose(value)} positioning={{ placement: 'bottom-start', gutter: 4 }} lazyMount unmountOnExit>
      <Menu.Trigger asChild>
        <Button
          variant="quiet"
          fontSize="15px"
          fontWeight="400"
          minWidth="0"
          aria-label={`Page: ${page.name}`}
          title="The pages of this site"
        >
          <Box as="span" truncate maxWidth="220px">
            {page.name}
          </Box>{' '}
          <Opens />
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            {pages.map(({ id, name }) => (
              <Menu.Item key={id} value={id} data-current={id === page.id ? '' : undefined}>
                <Box as="span" truncate maxWidth="360px">
                  {name}
                </Box>
              </Menu.Item>
            ))}
            <Menu.Separator />
            <Menu.Item value="blank">New blank page</Menu.Item>
            <Menu.Item value="pages">Import, arrange and fix pages … ({keyOf('pages')})</Menu.Item>
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  )
}
