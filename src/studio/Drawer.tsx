// The frame of what stands beside the page.
import { Box, Flex } from '@chakra-ui/react'
import { X } from 'lucide-react'
import type { ReactNode } from 'react'
import { useStudio } from './context'
import { Button } from './theme/controls'

interface DrawerProps {
  readonly label: string
  readonly title: string
  readonly actions?: ReactNode
  readonly children: ReactNode
}

/** A drawer with its heading and the way to close it. */
export function Drawer({ label, title, actions, children }: DrawerProps) {
  const { view } = useStudio()
  return (
    <Flex
      as="aside"
      aria-label={label}
      direction="column"
      flex="1 1 0"
      minHeight="0"
      borderLeft="1px solid"
      borderColor="edge"
      background="sheet"
    >
      <Flex align="center" gap="8px" px="14px" py="8px" borderBottom="1px solid" borderColor="hairline">
        <Box as="h2" fontSize="15px" fontWeight="600" flex="1">
          {title}
        </Box>
        {actions}
        <Button variant="quiet" aria-label={`Close the ${label.toLowerCase()}`} onClick={() => view.update({ drawer: null })}>
          <X size={16} aria-hidden="true" />
        </Button>
      </Flex>
      <Flex direction="column" flex="1" minHeight="0" overflowY="auto">
        {children}
      </Flex>
    </Flex>
  )
}
