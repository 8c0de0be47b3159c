// A drawing with its heading and, at the right, what it comes to in words.
import { Box, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'

export function DrawingFrame({ title, words, children }: { readonly title: string; readonly words: string; readonly children: ReactNode }) {
  return (
    <Flex direction="column" height="100%" minHeight="0">
      <Flex justify="space-between" fontSize="13px" color="soft" gap="10px" flex="none">
        <Box as="h2" fontWeight="600" color="ink" fontSize="14px" whiteSpace="nowrap">
          {title}
        </Box>
        <Box truncate title={words}>
          {words}
        </Box>
      </Flex>
      {children}
    </Flex>
  )
}
